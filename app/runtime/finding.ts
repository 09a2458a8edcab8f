import { all, one } from "./page";

// --- lists: filters without a new page ---

export class List extends HTMLElement {
  private asked = 0;
  private isOpen = false;
  private here = location.pathname + location.search;

  /** Filters rise as a sheet where they don't stand beside the list; they stay up while the list below changes. */
  private open(isOpen: boolean, focus = true): void {
    this.isOpen = isOpen;
    const box = one(".filters-box", this);
    box?.classList.toggle("is-open", isOpen);
    if (!isOpen && box && location.hash === `#${box.id}`)
      location.replace(one<HTMLAnchorElement>(".filters-shut", this)!.href);
    // Where they cover the list, what lies below is out of reach for as long.
    one(".list-main", this)?.toggleAttribute("inert", isOpen && matchMedia("(max-width:899.98px)").matches);
    if (focus) one(isOpen ? ".filters-form input" : ".filters-open", this)?.focus({ preventScroll: true });
  }

  connectedCallback(): void {
    // Whoever was quicker than this script has opened them by their address.
    if (location.hash !== "" && location.hash === `#${one(".filters-box", this)?.id}`) this.open(true, false);
    this.addEventListener("change", (event) => {
      const form = (event.target as HTMLInputElement).form;
      // On a phone several things are ticked before the sheet is closed; the list changes behind it.
      if (form?.matches(".filters-form")) void this.go(this.addressOf(form));
    });
    this.addEventListener("submit", (event) => {
      const form = event.target as HTMLFormElement;
      if (!form.matches(".filters-form")) return;
      event.preventDefault();
      this.open(false);
      void this.go(this.addressOf(form), true);
    });
    this.addEventListener("click", (event) => {
      const filters = (event.target as Element).closest(".filters-open,.filters-shut");
      if (filters) {
        event.preventDefault();
        this.open(filters.matches(".filters-open") && !this.isOpen);
        return;
      }
      const link = (event.target as Element).closest<HTMLAnchorElement>(".chip,.pages a,.list-more a");
      if (!link || event.metaKey || event.ctrlKey || event.shiftKey) return;
      event.preventDefault();
      if (link.closest(".list-more")) void this.more(link.href);
      else void this.go(link.href, link.closest(".pages") !== null);
    });
    window.addEventListener("popstate", () => {
      if (location.pathname + location.search !== this.here) void this.go(location.href, false, true);
    });
    window.addEventListener("keydown", (event) => {
      if (event.key === "Escape" && this.isOpen) this.open(false);
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
    const [name, value] = [focused?.name, focused?.value];
    const scrolled = one(".filters-form", this)?.scrollTop ?? 0;
    this.replaceChildren(...list.childNodes);
    if (!isBack) history.pushState(null, "", href);
    this.here = location.pathname + location.search;
    if (this.isOpen) this.open(true, false);
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

export class Search extends HTMLElement {
  connectedCallback(): void {
    const input = one<HTMLInputElement>("input[type=search]", this);
    const list = one(".suggest", this);
    const pattern = list?.firstElementChild?.cloneNode(true) as HTMLElement | undefined;
    if (!input || !list || !pattern) return;
    list.replaceChildren();
    input.setAttribute("role", "combobox");
    input.setAttribute("aria-controls", list.id);
    input.setAttribute("aria-autocomplete", "list");
    // Whoever comes here comes to write; what was found already is looked at first.
    if (input.value === "") input.focus({ preventScroll: true });
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
            link.id = `${list.id}-${i}`;
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
