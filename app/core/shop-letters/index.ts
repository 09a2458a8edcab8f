export * from "./shop-letters";
