export * from "./gift-cards";
