import { one } from "./page";

const LEAST = 20;
const MOST = 4000;

/** The colours that a frame is told of; its element has them under these names. */
const COLOURS = ["ink", "soft", "page", "line", "brand"];

/** The frame of a seller's own code: told the colours in which it stands, and made as high as what is in it says. */
export class Frame extends HTMLElement {
  readonly #hear = ({ source, data }: MessageEvent): void => {
    const frame = one<HTMLIFrameElement>("iframe", this);
    if (!frame || source !== frame.contentWindow) return;
    const high = Number((data as { zest?: { height?: unknown } } | null)?.zest?.height);
    if (high > 0) frame.height = String(Math.min(MOST, Math.max(LEAST, Math.ceil(high))));
  };
  /** Whoever is in it, nothing of this is secret. */
  readonly #tell = (): void => {
    const frame = one<HTMLIFrameElement>("iframe", this);
    const style = getComputedStyle(this);
    const colours = Object.fromEntries(COLOURS.map((name) => [name, style.getPropertyValue(`--of-${name}`).trim()]));
    frame?.contentWindow?.postMessage({ zest: { colours } }, "*");
  };
  connectedCallback(): void {
    addEventListener("message", this.#hear);
    one("iframe", this)?.addEventListener("load", this.#tell);
    // It may have come up before this was there to hear it.
    this.#tell();
  }
  disconnectedCallback(): void {
    removeEventListener("message", this.#hear);
  }
}
