export * from "./checkout";
