export * from "./layout";
