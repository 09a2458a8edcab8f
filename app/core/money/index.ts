export * from "./currency";
