export * from "./rich";
