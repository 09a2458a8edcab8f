export * from "./designs";
export * from "./gift-cards";
