import type { Later } from "../definition";

/** What the script brings onto the page where pictures open as large as the screen. */
export const LARGE_VIEW: Later = {
  tags: ["dialog"],
  classes: ["zoom", "zoom-stage", "zoom-close", "zoom-step", "is-large"],
};
