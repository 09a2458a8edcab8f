export * from "./walk";
