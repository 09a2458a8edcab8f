export * from "./transaction";
export * from "./sections";
export * from "./look";
