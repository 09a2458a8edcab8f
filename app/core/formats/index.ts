export * from "./csv";
