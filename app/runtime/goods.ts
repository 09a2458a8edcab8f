/** The shop's script for pages with goods. All of it makes quicker or nicer what works without it. */

type Said = { readonly ok: boolean; readonly text: string; readonly count?: number };

const one = <T extends Element = HTMLElement>(selector: string, within: ParentNode = document): T | null =>
  within.querySelector<T>(selector);
const all = <T extends Element = HTMLElement>(selector: string, within: ParentNode = document): T[] => [
  ...within.querySelectorAll<T>(selector),
];
const TROUBLE = "That did not go through. Please try again in a moment.";

async function post(form: HTMLFormElement, more: Record<string, string> = {}): Promise<Said> {
  const body = new URLSearchParams([...new FormData(form)].map(([name, value]) => [name, String(value)]));
  for (const [name, value] of Object.entries(more)) body.set(name, value);
  try {
    const answer = await fetch(form.action, {
      method: "POST",
      headers: { Accept: "application/json", "Content-Type": "application/x-www-form-urlencoded" },
      body,
    });
    return (await answer.json()) as Said;
  } catch {
    return { ok: false, text: TROUBLE };
  }
}

/** Sends a form where it stands and puts the answer below it. */
function sendsInPlace(form: HTMLFormElement | null): void {
  const message = form && one(".message", form);
  if (!form || !message) return;
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    const button = one<HTMLButtonElement>("button[type=submit]", form);
    if (button) button.disabled = true;
    const said = await post(form);
    message.dataset.state = said.ok ? "done" : "failed";
    message.textContent = said.text;
    if (said.ok) form.reset();
    if (button) button.disabled = false;
  });
}

/** How much is in the cart, beside the header's sign. */
function showCount(count: number): void {
  for (const badge of all(".cart-n")) {
    badge.textContent = count ? String(count) : "";
    badge.hidden = count === 0;
  }
}

let toastTimer = 0;
function toast(text: string, isGood: boolean): void {
  let box = one(".cart-toast");
  if (!box) {
    box = document.createElement("div");
    box.className = "toast cart-toast";
    box.setAttribute("role", "status");
    box.dataset.set = one("zest-buy")?.dataset.toast ?? "dark";
    document.body.append(box);
  }
  const words = document.createElement("span");
  words.textContent = text;
  box.replaceChildren(words);
  if (isGood) {
    const link = document.createElement("a");
    link.href = "/cart";
    link.textContent = "See the cart";
    box.append(link);
  }
  box.hidden = false;
  clearTimeout(toastTimer);
  toastTimer = window.setTimeout(() => (box.hidden = true), 6000);
}

// --- choosing a variant, and buying ---

type Variant = {
  readonly id: string;
  readonly values: readonly string[];
  readonly price: string;
  readonly was: string;
  readonly state: string;
  readonly words: string;
  readonly can: boolean;
  readonly most: number;
  readonly picture: string;
};

const variants = JSON.parse(one("#variants")?.textContent ?? "[]") as readonly Variant[];

function choice(): (string | undefined)[] {
  const form = one<HTMLFormElement>("#buy");
  const values: (string | undefined)[] = [];
  for (let i = 0; i < (variants[0]?.values.length ?? 0); i++) {
    const field = form?.elements.namedItem(`option-${i}`);
    values[i] = field && "value" in field ? field.value || undefined : undefined;
  }
  return values;
}

/** The same in all else; where there is none, what keeps most of the earlier options, and rather what can be bought. */
function nearest(values: readonly (string | undefined)[], turned: number): Variant | undefined {
  const score = (v: Variant) =>
    v.values.reduce((sum, value, i) => sum + (i !== turned && value === values[i] ? 2 ** (8 - i) : 0), 0) +
    (v.can ? 0.5 : 0);
  return variants
    .filter((v) => v.values[turned] === values[turned])
    .reduce<Variant | undefined>((best, v) => (best && score(best) >= score(v) ? best : v), undefined);
}

function priceNodes(variant: Variant): Node[] {
  const price = document.createElement("span");
  price.className = "price";
  if (!variant.was) {
    price.textContent = variant.price;
    return [price];
  }
  const part = (tag: string, text: string, className = "") => {
    const element = document.createElement(tag);
    element.textContent = text;
    if (className) element.className = className;
    return element;
  };
  price.append(
    part("span", "Now ", "unseen"),
    part("ins", variant.price),
    " ",
    part("span", "was ", "unseen"),
    part("del", variant.was),
  );
  return [price];
}

function showVariant(variant: Variant): void {
  for (const place of all('[data-live="price"]')) place.replaceChildren(...priceNodes(variant));
  for (const place of all('[data-live="state"]')) {
    place.dataset.state = variant.state;
    place.textContent = variant.words;
  }
  variant.values.forEach((value, i) => {
    for (const place of all(`[data-live="option-${i}"]`)) place.textContent = value;
    for (const input of all<HTMLInputElement>(`input[name="option-${i}"]`)) input.checked = input.value === value;
    const select = one<HTMLSelectElement>(`select[name="option-${i}"]`);
    if (select) select.value = value;
    // What each other value would lead to, now that these are chosen.
    const none = one("zest-options")?.dataset.none ?? "";
    for (const label of all(".opt", one(`[data-option="${i}"]`) ?? document.createElement("p"))) {
      const own = one<HTMLInputElement>("input", label)?.value;
      const fitting = variants.filter((v) => v.values.every((x, k) => (k === i ? x === own : x === variant.values[k])));
      const state = fitting.length === 0 ? "none" : fitting.some((v) => v.can) ? "free" : "unavailable";
      const words = { free: "", unavailable: ", sold out", none: `, ${none.toLowerCase()}` }[state];
      label.dataset.state = state;
      label.title = `${own}${words}`;
      const unseen = one("[data-state-words]", label);
      if (unseen) unseen.textContent = words;
    }
  });
  const form = one<HTMLFormElement>("#buy");
  const tell = one<HTMLFormElement>(".tell");
  if (form) form.hidden = !variant.can;
  if (tell) {
    tell.hidden = variant.can || variant.state === "discontinued";
    const field = one<HTMLInputElement>("[name=variant]", tell);
    if (field) field.value = variant.id;
  }
  const count = form && one<HTMLInputElement>("[name=count]", form);
  if (count) {
    count.max = String(variant.most || 99);
    if (Number(count.value) > Number(count.max)) count.value = count.max;
  }
  const address = new URL(location.href);
  address.searchParams.set("variant", variant.id);
  history.replaceState(null, "", address);
  if (variant.picture)
    one(`.shot[data-picture="${CSS.escape(variant.picture)}"]`)?.dispatchEvent(
      new Event("zest-show", { bubbles: true }),
    );
}

class Options extends HTMLElement {
  connectedCallback(): void {
    this.addEventListener("change", (event) => {
      const name = (event.target as HTMLInputElement).name;
      const turned = Number(/^option-(\d)$/.exec(name)?.[1] ?? NaN);
      if (Number.isNaN(turned)) return;
      const variant = nearest(choice(), turned);
      if (variant) showVariant(variant);
    });
  }
}

class Buy extends HTMLElement {
  connectedCallback(): void {
    const form = one<HTMLFormElement>("#buy", this);
    form?.addEventListener("submit", async (event) => {
      event.preventDefault();
      const said = await post(form);
      if (!said.ok) return toast(said.text, false);
      showCount(said.count ?? 0);
      toast(said.text || (this.dataset.added ?? ""), true);
    });
    sendsInPlace(one<HTMLFormElement>(".tell", this));
    const bar = one(".buy-bar", this);
    if (form && bar)
      new IntersectionObserver(([entry]) =>
        bar.classList.toggle("is-out", !entry!.isIntersecting && !form.hidden),
      ).observe(form);
  }
}

// --- pictures ---

class Gallery extends HTMLElement {
  connectedCallback(): void {
    const stage = one(".stage", this);
    if (!stage) return;
    const shots = all(".shot", stage);
    const links = all<HTMLAnchorElement>(".thumbs a", this);
    const mark = (at: number) =>
      links.forEach((link, i) =>
        i === at ? link.setAttribute("aria-current", "true") : link.removeAttribute("aria-current"),
      );
    const show = (at: number) => {
      const shot = shots[at];
      // Scrolls the stage alone: the page stays where the shopper is.
      if (shot) stage.scrollTo({ left: shot.offsetLeft - (shots[0]?.offsetLeft ?? 0), behavior: "smooth" });
    };
    links.forEach((link, i) =>
      link.addEventListener("click", (event) => {
        event.preventDefault();
        show(i);
      }),
    );
    this.addEventListener("zest-show", (event) => show(shots.indexOf(event.target as HTMLElement)));
    const seen = new IntersectionObserver(
      (entries) => {
        const entry = entries.find((e) => e.isIntersecting);
        if (entry) mark(shots.indexOf(entry.target as HTMLElement));
      },
      { root: stage, threshold: 0.6 },
    );
    shots.forEach((shot) => seen.observe(shot));
    stage.addEventListener("keydown", (event) => {
      const at = Math.round(stage.scrollLeft / Math.max(1, stage.clientWidth));
      if (event.key === "ArrowRight") show(at + 1);
      else if (event.key === "ArrowLeft") show(at - 1);
      else return;
      event.preventDefault();
    });
    if (this.dataset.zoom === undefined) return;
    const opens = all<HTMLAnchorElement>(".shot-open", stage);
    opens.forEach((link, i) =>
      link.addEventListener("click", (event) => {
        event.preventDefault();
        this.open(opens, i);
      }),
    );
  }

  /** All pictures as large as the screen; pressed once more, larger than it. */
  private open(links: readonly HTMLAnchorElement[], at: number): void {
    const dialog = document.createElement("dialog");
    dialog.className = "zoom";
    dialog.setAttribute("aria-label", "Pictures, large");
    const stage = document.createElement("div");
    stage.className = "zoom-stage";
    for (const link of links) {
      const frame = document.createElement("div");
      const picture = document.createElement("img");
      picture.src = link.href;
      picture.alt = one<HTMLImageElement>("img", link)?.alt ?? "";
      picture.loading = "lazy";
      picture.addEventListener("click", () => picture.classList.toggle("is-large"));
      frame.append(picture);
      stage.append(frame);
    }
    const close = document.createElement("button");
    close.className = "button button-2 zoom-close";
    close.textContent = "Close";
    close.addEventListener("click", () => dialog.close());
    dialog.append(stage, close);
    dialog.addEventListener("close", () => {
      dialog.remove();
      links[at]?.focus();
    });
    stage.addEventListener("keydown", (event) => {
      const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
      if (step) stage.scrollBy({ left: step * stage.clientWidth, behavior: "smooth" });
    });
    stage.tabIndex = 0;
    document.body.append(dialog);
    dialog.showModal();
    stage.scrollTo({ left: at * stage.clientWidth });
  }
}

// --- tabs (WAI-ARIA Authoring Practices, tabs with automatic activation) ---

class Tabs extends HTMLElement {
  connectedCallback(): void {
    const panels = all<HTMLElement>(".part-tab", this);
    if (panels.length < 2) return;
    const list = document.createElement("div");
    list.className = "tabs";
    list.setAttribute("role", "tablist");
    const tabs = panels.map((panel, i) => {
      const tab = document.createElement("button");
      tab.type = "button";
      tab.className = "tab";
      tab.id = `tab-${i}`;
      tab.setAttribute("role", "tab");
      tab.setAttribute("aria-controls", (panel.id = `panel-${i}`));
      tab.textContent = one(".head", panel)?.textContent ?? "";
      panel.setAttribute("role", "tabpanel");
      panel.setAttribute("aria-labelledby", tab.id);
      panel.tabIndex = 0;
      list.append(tab);
      return tab;
    });
    const show = (at: number, focus = false) => {
      tabs.forEach((tab, i) => {
        tab.setAttribute("aria-selected", String(i === at));
        tab.tabIndex = i === at ? 0 : -1;
        panels[i]!.hidden = i !== at;
      });
      if (focus) tabs[at]!.focus();
    };
    tabs.forEach((tab, i) => tab.addEventListener("click", () => show(i)));
    list.addEventListener("keydown", (event) => {
      const at = tabs.indexOf(document.activeElement as HTMLButtonElement);
      const to = {
        ArrowRight: (at + 1) % tabs.length,
        ArrowLeft: (at + tabs.length - 1) % tabs.length,
        Home: 0,
        End: tabs.length - 1,
      }[event.key];
      if (to === undefined) return;
      event.preventDefault();
      show(to, true);
    });
    this.prepend(list);
    this.classList.add("is-tabs");
    show(0);
  }
}

// --- lists: filters without a new page ---

class List extends HTMLElement {
  private asked = 0;

  connectedCallback(): void {
    this.addEventListener("change", (event) => {
      const form = (event.target as HTMLInputElement).form;
      // On a phone several things are ticked before the sheet is closed; the list changes behind it.
      if (form?.id === "filter") void this.go(this.addressOf(form));
    });
    this.addEventListener("submit", (event) => {
      const form = event.target as HTMLFormElement;
      if (form.id !== "filter") return;
      event.preventDefault();
      if (location.hash === "#filters") history.replaceState(null, "", location.pathname + location.search);
      void this.go(this.addressOf(form), true);
    });
    this.addEventListener("click", (event) => {
      const link = (event.target as Element).closest<HTMLAnchorElement>(".chip,.pages a,.list-more a");
      if (!link || event.metaKey || event.ctrlKey || event.shiftKey) return;
      event.preventDefault();
      if (link.closest(".list-more")) void this.more(link.href);
      else void this.go(link.href, link.closest(".pages") !== null);
    });
    window.addEventListener("popstate", () => void this.go(location.href, false, true));
    window.addEventListener("keydown", (event) => {
      if (event.key === "Escape" && location.hash === "#filters") location.hash = "list";
    });
  }

  private addressOf(form: HTMLFormElement): string {
    const address = new URL(form.action);
    for (const [name, value] of new FormData(form)) if (value !== "") address.searchParams.append(name, String(value));
    return address.href;
  }

  private async fetched(href: string): Promise<HTMLElement | null> {
    const asked = ++this.asked;
    this.classList.add("is-busy");
    this.setAttribute("aria-busy", "true");
    try {
      const answer = await fetch(href);
      const page = new DOMParser().parseFromString(await answer.text(), "text/html");
      // Only the latest question is answered, however slow an earlier one was.
      return asked === this.asked ? one("zest-list", page) : null;
    } catch {
      location.href = href;
      return null;
    } finally {
      if (asked === this.asked) {
        this.classList.remove("is-busy");
        this.removeAttribute("aria-busy");
      }
    }
  }

  private async go(href: string, toTop = false, isBack = false): Promise<void> {
    const list = await this.fetched(href);
    if (!list) return;
    const focused = document.activeElement as HTMLInputElement | null;
    const hash = location.hash;
    const [name, value] = [focused?.name, focused?.value];
    const scrolled = one(".filters-form", this)?.scrollTop ?? 0;
    this.replaceChildren(...list.childNodes);
    if (!isBack) history.pushState(null, "", href + (hash === "#filters" && !toTop ? hash : ""));
    const form = one(".filters-form", this);
    if (form) form.scrollTop = scrolled;
    // What somebody works with stays under their hands.
    if (name)
      all<HTMLInputElement>("input,select", this)
        .find((e) => e.name === name && (e.type !== "checkbox" || e.value === value))
        ?.focus({ preventScroll: true });
    if (toTop) this.scrollIntoView();
  }

  private async more(href: string): Promise<void> {
    const list = await this.fetched(href);
    const [here, there] = [one(".grid", this), list && one(".grid", list)];
    if (!here || !there) return;
    const first = there.firstElementChild;
    here.append(...there.children);
    const [old, next] = [one(".list-more", this), list && one(".list-more", list)];
    if (next) old?.replaceWith(next);
    else old?.remove();
    one<HTMLAnchorElement>("a", first ?? here)?.focus({ preventScroll: true });
  }
}

// --- search: suggestions (WAI-ARIA Authoring Practices, combobox with list) ---

type Suggested = { readonly address: string; readonly title: string; readonly price: string; readonly picture: string };

class Search extends HTMLElement {
  connectedCallback(): void {
    const input = one<HTMLInputElement>("input[type=search]", this);
    const list = one(".suggest", this);
    const pattern = list?.firstElementChild?.cloneNode(true) as HTMLElement | undefined;
    if (!input || !list || !pattern) return;
    list.replaceChildren();
    input.setAttribute("role", "combobox");
    input.setAttribute("aria-controls", list.id);
    input.setAttribute("aria-autocomplete", "list");
    let [at, asked, timer] = [-1, 0, 0];
    const options = () => all<HTMLAnchorElement>("[role=option]", list);
    const close = () => {
      list.hidden = true;
      at = -1;
      input.setAttribute("aria-expanded", "false");
      input.removeAttribute("aria-activedescendant");
    };
    const mark = (next: number) => {
      at = next;
      options().forEach((option, i) => option.setAttribute("aria-selected", String(i === at)));
      const id = options()[at]?.id;
      if (id) input.setAttribute("aria-activedescendant", id);
      else input.removeAttribute("aria-activedescendant");
    };
    const ask = async () => {
      const mine = ++asked;
      const query = input.value.trim();
      if (query.length < 2) return close();
      try {
        const found = (await (await fetch(`/suggest?q=${encodeURIComponent(query)}`)).json()) as readonly Suggested[];
        if (mine !== asked || document.activeElement !== input) return;
        list.replaceChildren(
          ...found.map((each, i) => {
            const item = pattern.cloneNode(true) as HTMLElement;
            const link = one<HTMLAnchorElement>("a", item)!;
            link.href = each.address;
            link.id = `suggested-${i}`;
            link.tabIndex = -1;
            const picture = one<HTMLImageElement>("img", link)!;
            if (each.picture) picture.src = each.picture;
            else picture.remove();
            one("span", link)!.textContent = each.title;
            one("b", link)!.textContent = each.price;
            return item;
          }),
        );
        at = -1;
        list.hidden = found.length === 0;
        input.setAttribute("aria-expanded", String(found.length > 0));
      } catch {
        close();
      }
    };
    close();
    input.addEventListener("input", () => {
      clearTimeout(timer);
      timer = window.setTimeout(() => void ask(), 120);
    });
    input.addEventListener("keydown", (event) => {
      const count = options().length;
      if (event.key === "Escape") return close();
      if (list.hidden || count === 0) return;
      if (event.key === "ArrowDown") mark(at + 1 >= count ? -1 : at + 1);
      else if (event.key === "ArrowUp") mark(at < 0 ? count - 1 : at - 1);
      else if (event.key === "Enter" && at >= 0) location.href = options()[at]!.href;
      else return;
      event.preventDefault();
    });
    document.addEventListener("click", (event) => {
      if (!this.contains(event.target as Node)) close();
    });
  }
}

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
  "zest-gallery": Gallery,
  "zest-tabs": Tabs,
  "zest-list": List,
  "zest-search": Search,
  "zest-recent": Recent,
}))
  customElements.define(name, element);

all<HTMLFormElement>(".review-form").forEach(sendsInPlace);

const product = one<HTMLInputElement>("#buy [name=product], .tell [name=product], .review-form [name=product]")?.value;
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

// A module of its own, so that nothing of it is global.
export {};
