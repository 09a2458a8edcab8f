export * from "./transaction";
export * from "./nodes";
export * from "./look";
export * from "./columns";
export * from "./layouts";
export * from "./pages";
export * from "./pieces";
export * from "./restore";
