/** Not seen, and read out to those who don't see. */
export const VISUALLY_HIDDEN = {
  position: "absolute",
  width: 1,
  height: 1,
  // It must not make what it stands in any larger.
  margin: -1,
  overflow: "hidden",
  clipPath: "inset(50%)",
} as const;
