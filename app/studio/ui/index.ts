export { INK, studioTheme } from "./theme";
export { Blank, FindField, Heading, IconAction } from "./pieces";
export { Zest } from "./zest";
export { createKeyFrames, keysOf, KeyFramesProvider, useKeyFrame, useKeys, type KeyTable } from "./keys";
export { useSize } from "./use-size";
export { Swatch } from "./swatch";
export { useBehind } from "./use-behind";
export { Toolbar } from "./toolbar";
export { pageNonce } from "./nonce";
