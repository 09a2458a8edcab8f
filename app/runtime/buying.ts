import { leadsTo, nearest, type Choosable } from "./choosing";
import { showBeside } from "./beside";
import { all, liftOver, one, post, sendsInPlace, showCount, toast } from "./page";

// --- choosing a variant, and buying ---

type PageVariant = Choosable & {
  readonly id: string;
  readonly price: string;
  readonly was: string;
  readonly state: string;
  readonly words: string;
  readonly most: number;
  readonly picture: string;
};

const variants = JSON.parse(one("script.variants")?.textContent ?? "[]") as readonly PageVariant[];

/** What is chosen of each option in one place where it can be. */
const choice = (within: HTMLElement): (string | undefined)[] =>
  (variants[0]?.values ?? []).map((_value, i) => {
    const field = one<HTMLSelectElement | HTMLInputElement>(
      `select[name="option-${i}"],input[name="option-${i}"]:checked`,
      within,
    );
    return field?.value || undefined;
  });

function priceNodes(variant: PageVariant): Node[] {
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

function showVariant(variant: PageVariant): void {
  for (const place of all('[data-live="price"]')) place.replaceChildren(...priceNodes(variant));
  for (const place of all('[data-live="state"]')) {
    place.dataset.state = variant.state;
    place.textContent = variant.words;
  }
  variant.values.forEach((value, i) => {
    for (const place of all(`[data-live="option-${i}"]`)) place.textContent = value;
    for (const input of all<HTMLInputElement>(`input[name="option-${i}"]`)) input.checked = input.value === value;
    for (const select of all<HTMLSelectElement>(`select[name="option-${i}"]`)) select.value = value;
    // What each other value would lead to, now that these are chosen.
    for (const label of all(`[data-option="${i}"] .opt`)) {
      const none = label.closest<HTMLElement>("zest-options")?.dataset.none ?? "";
      const own = one<HTMLInputElement>("input", label)?.value ?? "";
      const state = leadsTo(variants, variant.values, i, own);
      const words = { free: "", unavailable: ", sold out", none: `, ${none.toLowerCase()}` }[state];
      label.dataset.state = state;
      label.title = `${own}${words}`;
      const unseen = one("[data-state-words]", label);
      if (unseen) unseen.textContent = words;
    }
  });
  for (const form of all<HTMLFormElement>(".buy")) {
    form.hidden = !variant.can;
    const count = one<HTMLInputElement>("[name=count]", form);
    if (!count) continue;
    count.max = String(variant.most || 99);
    if (Number(count.value) > Number(count.max)) count.value = count.max;
  }
  for (const tell of all<HTMLFormElement>(".tell")) {
    tell.hidden = variant.can || variant.state === "discontinued";
    const field = one<HTMLInputElement>("[name=variant]", tell);
    if (field) field.value = variant.id;
  }
  const address = new URL(location.href);
  address.searchParams.set("variant", variant.id);
  history.replaceState(null, "", address);
  if (variant.picture)
    for (const shot of all(`.shot[data-picture="${CSS.escape(variant.picture)}"]`))
      shot.dispatchEvent(new Event("zest-show", { bubbles: true }));
}

export class Options extends HTMLElement {
  connectedCallback(): void {
    this.addEventListener("change", (event) => {
      const name = (event.target as HTMLInputElement).name;
      const turned = Number(/^option-(\d)$/.exec(name)?.[1] ?? NaN);
      if (Number.isNaN(turned)) return;
      const variant = nearest(variants, choice(this), turned);
      if (variant) showVariant(variant);
    });
  }
}

export class Buy extends HTMLElement {
  connectedCallback(): void {
    const form = one<HTMLFormElement>(".buy", this);
    form?.addEventListener("submit", async (event) => {
      event.preventDefault();
      const said = await post(form);
      if (!said.ok) return toast(said.text, false);
      showCount(said.count ?? 0);
      const { then } = this.dataset;
      // What could not be done as it was meant is said here.
      if (then === "side" && !said.text) return showBeside(this, true);
      if (then === "cart" && !said.text) return location.assign("/cart?done=added");
      toast(said.text || (this.dataset.added ?? ""), true);
    });
    sendsInPlace(one<HTMLFormElement>(".tell", this));
    const bar = one(".buy-bar", this);
    if (form && bar)
      new IntersectionObserver(([entry]) => {
        if (bar.classList.toggle("is-out", !entry!.isIntersecting && !form.hidden)) liftOver(bar);
        else if (bar.popover) bar.hidePopover?.();
      }).observe(form);
  }
}
