export { atomFeed, type Feed, type FeedEntry } from "./atom";
export * from "./csv";
export { tokensOf, writeTokens } from "./tokens";
export { planTokens, type TokenLeft, type TokenPlan, type TokenUse } from "./tokens-read";
