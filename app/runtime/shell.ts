/**
 * What runs first in the frame of a seller's own code, before any of it: takes the code from the address, writes it into the page
 * as its parser goes on, and tells the page around it how high it is and what went wrong.
 */
type Given = { html: string; css: string; script: string; facts: unknown };

const say = (said: Record<string, unknown>): void => parent.postMessage({ zest: said }, "*");
const height = (): void => say({ height: Math.ceil(document.documentElement.getBoundingClientRect().height) });

const frozen = (value: unknown): unknown => {
  if (typeof value === "object" && value !== null) Object.values(Object.freeze(value)).forEach(frozen);
  return value;
};

/** What the page around it says: how its colours are here, which CSS finds under their names; and that it is there to hear. */
function hear(event: MessageEvent): void {
  if (event.source !== parent) return;
  const said = event.data as { zest?: { colours?: Record<string, unknown> } } | null;
  const colours = said?.zest?.colours ?? {};
  for (const [name, value] of Object.entries(colours))
    document.documentElement.style.setProperty(`--${name}`, String(value));
  height();
}

function run({ html, css, script, facts }: Given): void {
  Object.defineProperty(window, "shopFacts", { value: frozen(facts), enumerable: true });
  addEventListener("error", (event) => {
    if (event.message) say({ error: event.message, line: event.lineno });
  });
  addEventListener("unhandledrejection", (event: PromiseRejectionEvent) => say({ error: String(event.reason) }));
  document.addEventListener("securitypolicyviolation", (event) => {
    if (/^https?:/.test(event.blockedURI)) say({ refused: event.blockedURI });
  });
  addEventListener("message", hear);
  addEventListener("DOMContentLoaded", () => {
    // A script that is put in by itself has lines that are counted from its own first one.
    const element = document.createElement("script");
    element.textContent = script;
    document.body.append(element);
    new ResizeObserver(height).observe(document.documentElement);
  });
  // Scripts that are written while the page is read run one after another, as those of any page do.
  document.write(`<style>${css.replaceAll("</", "<\\/")}</style>${html}`);
}

// The code is in what a browser keeps to itself of an address: a new one there is new code.
addEventListener("hashchange", () => location.reload());
// By itself, in a window of its own, it would be a page of anybody's at an address of ours.
if (top !== self) {
  let given: Given | undefined;
  try {
    given = JSON.parse(decodeURIComponent(location.hash.slice(1))) as Given;
  } catch {
    // Somebody cut the address short.
  }
  if (given) run(given);
}
