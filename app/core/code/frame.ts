import type { Json } from "../document";

// A seller's own code runs in a frame that belongs to nobody: the page that holds it writes the code into the frame's address,
// behind the `#`, which no server is sent. What the frame may load is said by the policy that its empty page is served with.

/** What a seller wrote for one frame. */
export type OwnCode = { readonly html: string; readonly css: string; readonly script: string };

/** What code may know of where it stands: read only, and nothing that a shopper could not see. */
export type CodeFacts = Readonly<Record<string, Json>>;

/** Where the empty page of a frame is, on the host that serves nothing else. */
export const FRAME_PATH = "/frame";
/** Places that one frame may load from at most. */
export const MOST_ORIGINS = 20;
/** What a frame may do: run scripts, send forms, open what a link leads to. Never: be of the origin that served it. */
export const SANDBOX = "allow-scripts allow-forms allow-popups allow-popups-to-escape-sandbox";

const ORIGIN =
  /^https:\/\/(?:\*\.)?(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)+[a-z][a-z0-9-]{0,62}(?::\d{1,5})?(?=[/?#]|$)/;

/** The origin that an address is of, where browsers can be told to load from it; `*.` stands for every name below one. */
export const originIn = (written: string): string | undefined => ORIGIN.exec(written.trim().toLowerCase())?.[0];

/** The origins in a list with one on each line, each once, and the lines that are none, counted from 1. */
export function originsIn(list: string): { readonly origins: readonly string[]; readonly wrong: readonly number[] } {
  const origins = new Set<string>();
  const wrong: number[] = [];
  for (const [index, line] of list.split("\n").entries()) {
    if (line.trim() === "") continue;
    const origin = originIn(line);
    if (origin) origins.add(origin);
    else wrong.push(index + 1);
  }
  return { origins: [...origins], wrong };
}

/** The address of the frame that runs code; `host`: the origin that serves frames. */
export function frameAddress(host: string, code: OwnCode, origins: readonly string[], facts: CodeFacts): string {
  const given = JSON.stringify({ html: code.html, css: code.css, script: code.script, facts });
  const load = origins.length ? `?load=${encodeURIComponent(origins.join(" "))}` : "";
  return `${host}${FRAME_PATH}${load}#${encodeURIComponent(given)}`;
}

/**
 * The policy (CSP 3) that a frame's page is served with. `load`: what the address asks for, of which only what reads as an origin
 * counts. `holders`: the origins whose pages may hold the frame.
 */
export function framePolicy(load: string, holders: readonly string[]): string {
  const origins = load
    .split(" ")
    .filter((each) => originIn(each) === each)
    .slice(0, MOST_ORIGINS)
    .join(" ");
  const from = (...own: string[]) => [...own, origins].filter(Boolean).join(" ") || "'none'";
  return [
    `sandbox ${SANDBOX}`,
    "default-src 'none'",
    `script-src ${from("'unsafe-inline'")}`,
    `style-src ${from("'unsafe-inline'")}`,
    `img-src ${from("data:", "blob:")}`,
    `media-src ${from("data:", "blob:")}`,
    `font-src ${from("data:")}`,
    `connect-src ${from()}`,
    `frame-src ${from()}`,
    `form-action ${from()}`,
    "base-uri 'none'",
    `frame-ancestors ${holders.join(" ")}`,
  ].join("; ");
}

/** How high a frame may be, in CSS px. */
export const LEAST_HEIGHT = 20;
export const MOST_HEIGHT = 4000;
