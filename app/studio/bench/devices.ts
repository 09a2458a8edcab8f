import type { PaneSettings, PaneView } from "../keeping";
import { DEVICE_WIDTH } from "../panes";

/** Room around and between panes, in px. */
export const PAD = 16;
/** The phone pane is shown a little larger than the wide one: its words are what has to be read. */
const PHONE_FACTOR = 1.18;
/** The least that is left of the other pane where one of them stands at full size. */
const LEAST = 240;

const USUAL: PaneSettings = { phone: { device: "phone", isFull: false }, wide: { device: "wide", isFull: false } };

/** How a pane stands: the scale of its page, and the room it has, which is less than its page where it is scrolled sideways. */
export type PaneFit = { readonly scale: number; readonly room: number };
export type PaneFits = { readonly phone: PaneFit | null; readonly wide: PaneFit | null };

/** Scales at which the panes fill the room there is, and how much of it each has; null where a pane is not shown. */
export function fitPanes(view: PaneView, width: number, height: number, panes: PaneSettings = USUAL): PaneFits {
  const room = Math.max(0, width - PAD * (view === "both" ? 3 : 2));
  const [small, large] = [DEVICE_WIDTH[panes.phone.device], DEVICE_WIDTH[panes.wide.device]];
  const fit = (page: number, most: number, isFull: boolean): PaneFit => {
    const scale = isFull ? 1 : Math.min(1, most / page);
    return { scale, room: Math.min(most, page * scale) };
  };
  // By itself a phone is as large as its whole height is still in view.
  const alone = panes.phone.device === "phone" ? Math.max(0.5, height / 700) * small : room;
  if (view === "phone")
    return { phone: fit(small, Math.min(room, panes.phone.isFull ? room : alone), panes.phone.isFull), wide: null };
  if (view === "wide") return { phone: null, wide: fit(large, room, panes.wide.isFull) };
  const factor = panes.phone.device === "phone" ? PHONE_FACTOR : 1;
  const scale = Math.min(1, room / (small * factor + large));
  if (panes.phone.isFull) {
    const phone = fit(small, Math.max(0, Math.min(small, room - LEAST)), true);
    return { phone, wide: fit(large, room - phone.room, panes.wide.isFull) };
  }
  const phone = fit(small, small * Math.min(1, scale * factor), false);
  return { phone, wide: fit(large, panes.wide.isFull ? room - phone.room : large * scale, panes.wide.isFull) };
}

/** On a narrow screen there is room for the phone alone. */
export function fitNarrow(width: number): PaneFits {
  const room = width - 2 * PAD;
  const scale = Math.min(1, room / DEVICE_WIDTH.phone);
  return { phone: { scale, room: DEVICE_WIDTH.phone * scale }, wide: null };
}
