export * from "./protocol";
export * from "./tab";
export * from "./desk";
