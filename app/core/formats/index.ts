export * from "./csv";
export { planTokens, tokensOf, writeTokens, type TokenLeft, type TokenPlan, type TokenUse } from "./tokens";
