import type { PaneView } from "../keeping";
import { DEVICE_WIDTH } from "../panes";

/** Room around and between panes, in px. */
export const PAD = 16;
/** The phone pane is shown a little larger than the wide one: its words are what has to be read. */
const PHONE_FACTOR = 1.18;

/** Scales at which the panes fill the room there is. */
export function scalesFor(view: PaneView, width: number, height: number): { phone: number; wide: number } {
  const room = width - PAD * (view === "both" ? 3 : 2);
  if (view === "phone") return { phone: Math.min(1, Math.max(0.5, height / 700)), wide: 0 };
  if (view === "wide") return { phone: 0, wide: Math.min(1, room / DEVICE_WIDTH.wide) };
  const wide = Math.min(1, room / (DEVICE_WIDTH.phone * PHONE_FACTOR + DEVICE_WIDTH.wide));
  return { phone: Math.min(1, wide * PHONE_FACTOR), wide };
}
