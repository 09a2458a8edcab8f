export * from "./account";
