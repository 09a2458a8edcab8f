export { INK, studioTheme } from "./theme";
export { Blank, FindField, Heading, IconAction } from "./pieces";
export { Zest } from "./zest";
export { keysOf, useKeys, type KeyTable } from "./keys";
