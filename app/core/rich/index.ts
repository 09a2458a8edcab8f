export * from "./rich";
export { fitRich, type Fitted } from "./fit";
