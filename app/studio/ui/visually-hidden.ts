/** Not seen, and read out to those who don't see. */
export const VISUALLY_HIDDEN = {
  position: "absolute",
  width: "1px",
  height: "1px",
  // It must not make what it stands in any larger.
  margin: "-1px",
  overflow: "hidden",
  clipPath: "inset(50%)",
} as const;
