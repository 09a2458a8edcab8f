import { styled } from "@mui/material/styles";
import { INK } from "./theme";

const Chip = styled("span")({
  display: "inline-block",
  flex: "none",
  width: 18,
  height: 18,
  borderRadius: 3,
  border: `1px solid ${INK.line}`,
});

/**
 * A patch of a colour. The colour is set on the element itself: one that changes while it is dragged must not make a new
 * rule for every step.
 */
export function Swatch({ colour, size = 18, grow = false }: { colour: string; size?: number; grow?: boolean }) {
  const style = grow
    ? { backgroundColor: colour, flex: 1, width: "auto", height: size, border: 0, borderRadius: 0 }
    : { backgroundColor: colour, width: size, height: size };
  return <Chip style={style} aria-hidden="true" />;
}
