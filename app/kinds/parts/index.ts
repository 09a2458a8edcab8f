export * from "./env";
export { Action, Words } from "./words";
export { Pic } from "./pic";
export { Price, ProductCard, Rating } from "./product-card";
export { Sign, SIGNS } from "./signs";
export { Wordmark } from "./wordmark";
export { BASE_CSS } from "./base-css";
export { alignClass, headingClass, lettersClass, Rich, RICH_CLASSES } from "./rich";
