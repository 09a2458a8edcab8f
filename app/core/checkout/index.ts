export * from "./checkout";
export * from "./one-more";
