/** The shop's script for pages with goods, and with pictures that move or open. All of it makes quicker or nicer what works without it. */
import { Beside } from "./beside";
import { Buy, Options } from "./buying";
import { Cart } from "./cart";
import { Checkout } from "./checkout";
import { List, Search } from "./finding";
import { Film } from "./film";
import { Countdown, Turns } from "./notice";
import { Hours } from "./hours";
import { Gallery, Tabs } from "./looking";
import { all, one, sendsInPlace } from "./page";
import { Compare, Pictures, Slides } from "./pictures";
import { Find } from "./questions";
import { Form } from "./form";
import { Over } from "./over";
import { Frame } from "./frame";

// --- recently seen: known to this browser alone ---

const SEEN = "zest-seen";
const seenIds = (): string[] => {
  try {
    return JSON.parse(localStorage.getItem(SEEN) ?? "[]") as string[];
  } catch {
    return [];
  }
};

class Recent extends HTMLElement {
  async connectedCallback(): Promise<void> {
    const ids = seenIds().filter((id) => id !== this.dataset.own);
    const grid = one(".grid", this);
    if (!grid || ids.length === 0) return;
    try {
      const answer = await fetch(`/cards?ids=${ids.slice(0, Number(this.dataset.most)).join(",")}`);
      const cards = new DOMParser().parseFromString(await answer.text(), "text/html").body.children;
      if (cards.length === 0) return;
      grid.replaceChildren(...cards);
      this.hidden = false;
    } catch {
      // Without it the page is whole as well.
    }
  }
}

for (const [name, element] of Object.entries({
  "zest-options": Options,
  "zest-buy": Buy,
  "zest-beside": Beside,
  "zest-gallery": Gallery,
  "zest-tabs": Tabs,
  "zest-cart": Cart,
  "zest-checkout": Checkout,
  "zest-list": List,
  "zest-search": Search,
  "zest-recent": Recent,
  "zest-slides": Slides,
  "zest-film": Film,
  "zest-compare": Compare,
  "zest-pictures": Pictures,
  "zest-find": Find,
  "zest-hours": Hours,
  "zest-form": Form,
  "zest-frame": Frame,
  "zest-countdown": Countdown,
  "zest-turns": Turns,
  "zest-over": Over,
}))
  customElements.define(name, element);

all<HTMLFormElement>(".review-form,.slip form").forEach(sendsInPlace);

// Telephones and tablets of one maker know places by an address of their own (from memory).
if (/iPhone|iPad/.test(navigator.userAgent))
  for (const link of all<HTMLAnchorElement>(".map-go"))
    link.href = `maps:?q=${link.dataset.place}&ll=${link.dataset.place}`;

const product = one<HTMLInputElement>(".buy [name=product], .tell [name=product], .review-form [name=product]")?.value;
if (product) {
  const before = seenIds().filter((id) => id !== product);
  try {
    localStorage.setItem(SEEN, JSON.stringify([product, ...before].slice(0, 24)));
  } catch {
    // A browser that keeps nothing is free not to.
  }
  void fetch("/seen", {
    method: "POST",
    keepalive: true,
    headers: { "Content-Type": "application/json" },
    body: JSON.stringify({ product }),
  }).catch(() => undefined);
}
