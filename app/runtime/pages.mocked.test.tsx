// @vitest-environment jsdom
// @vitest-environment-options {"url": "http://shop.localhost/"}
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from "vitest";
import { contentWith, goods } from "~/render/fixtures/content";
import { renderCards, renderPage, targetAt } from "~/render";
import { withFirst } from "~/kinds/layouts";

// The shop's script over the very pages that the shop serves.

const plain = contentWith([]);
const content = { ...plain, draft: withFirst(plain.draft), goods: { ...goods, digits: 2 } };
const htmlAt = (path: string): string => {
  const { pathname, searchParams } = new URL(path, location.origin);
  const target = targetAt(pathname, searchParams, content.draft.documents, content.goods);
  return renderPage(target, content, location.origin, { every: "/e.js", goods: "/g.js" }).html;
};

function lay(path: string): void {
  history.replaceState(null, "", path);
  document.body.innerHTML = /<body[^>]*>([\s\S]*)<\/body>/.exec(htmlAt(path))![1]!;
}
const one = <T extends Element = HTMLElement>(selector: string) => document.querySelector<T>(selector)!;
const words = (selector: string) => one(selector)?.textContent?.trim();
const change = (field: Element) => field.dispatchEvent(new Event("change", { bubbles: true }));
const key = (at: Element, name: string) =>
  at.dispatchEvent(new KeyboardEvent("keydown", { key: name, bubbles: true, cancelable: true }));
const submit = (form: Element) => form.dispatchEvent(new SubmitEvent("submit", { bubbles: true, cancelable: true }));

type Sent = { readonly path: string; readonly body: string };
let sent: Sent[] = [];
/** What the shop answers: its own pages for pages, and what is said here for all else. */
let answer: (path: string) => Response | Promise<Response>;

/** What has been seen of each thing that somebody watches for; jsdom lays nothing out, so that is said by hand. */
let watched: { readonly tell: (isIntersecting: boolean) => void; readonly target: Element }[] = [];

beforeAll(async () => {
  vi.stubGlobal(
    "IntersectionObserver",
    class {
      constructor(private readonly heard: (entries: object[]) => void) {}
      observe(target: Element) {
        watched.push({ target, tell: (isIntersecting) => this.heard([{ target, isIntersecting }]) });
      }
      disconnect() {}
    },
  );
  vi.stubGlobal("CSS", { escape: (name: string) => name });
  vi.stubGlobal("matchMedia", () => ({ matches: false }));
  vi.stubGlobal("fetch", async (address: string, init?: RequestInit) => {
    const { pathname, search } = new URL(address, location.origin);
    sent.push({ path: pathname + search, body: String(init?.body ?? "") });
    return answer(pathname + search);
  });
  Element.prototype.scrollTo = vi.fn();
  Element.prototype.scrollBy = vi.fn();
  Element.prototype.scrollIntoView = vi.fn();
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function () {
    this.open = false;
    this.dispatchEvent(new Event("close"));
  };
  localStorage.clear();
  answer = () => Response.json({ ok: true, text: "" });
  lay("/products/many");
  // Reads what the page says of its variants, once, as a page's own script does.
  await import("./goods");
});
beforeEach(() => {
  sent = [];
  watched = [];
  answer = (path) =>
    path.startsWith("/collections") || path.startsWith("/search")
      ? new Response(htmlAt(path))
      : Response.json({ ok: true, text: "" });
});
afterEach(() => document.querySelectorAll("dialog").forEach((d) => d.remove()));

describe("choosing a variant", () => {
  beforeEach(() => lay("/products/many"));
  const pick = (name: string, value: string) => {
    const input = one<HTMLInputElement>(`input[name="${name}"][value="${value}"]`);
    input.checked = true;
    change(input);
  };

  it("changes price, state, all other values and the address to what there is", () => {
    expect(words('[data-live="price"]')).toBe("€64.00");
    pick("option-0", "L");
    expect(words('[data-live="price"]')).toBe("€84.00");
    expect(one<HTMLInputElement>('input[name="option-1"][value="Dawn"]').checked).toBe(true);
    // There is a large one with a long tail alone.
    expect(one<HTMLSelectElement>('select[name="option-2"]').value).toBe("Long");
    expect(words('[data-live="option-0"]')).toBe("L");
    expect(new URL(location.href).searchParams.get("variant")).toBe("v2");
    expect(one<HTMLInputElement>(".buy [name=count]").max).toBe("12");
  });

  it("shows what is sold out when it is asked for, and offers to write instead of selling", () => {
    pick("option-1", "Kelp");
    expect(one('[data-live="state"]').dataset.state).toBe("sold-out");
    expect(one<HTMLFormElement>(".buy").hidden).toBe(true);
    expect(one<HTMLFormElement>(".tell").hidden).toBe(false);
    expect(one<HTMLInputElement>(".tell [name=variant]").value).toBe("v1");
    pick("option-1", "Dawn");
    expect(one<HTMLFormElement>(".buy").hidden).toBe(false);
    expect(one<HTMLFormElement>(".tell").hidden).toBe(true);
  });

  it("marks what each other value would lead to, for eyes and for readers", () => {
    pick("option-1", "Dawn");
    const label = (value: string) => one(`input[value="${value}"]`).closest<HTMLElement>(".opt")!;
    expect(label("Kelp").dataset.state).toBe("unavailable");
    expect(label("Kelp").title).toBe("Kelp, sold out");
    pick("option-0", "L");
    expect(label("Kelp").dataset.state).toBe("none");
    expect(words("[data-option='1'] .opt:last-child [data-state-words]")).toBe(", not in this combination");
  });

  it("never leaves more in the count than there are", () => {
    const count = one<HTMLInputElement>(".buy [name=count]");
    pick("option-0", "L");
    count.value = "10";
    pick("option-0", "S");
    expect([count.max, count.value]).toEqual(["3", "3"]);
  });
});

describe("buying", () => {
  beforeEach(() => lay("/products/plain"));

  it("sends what the plain form would, says that it is there, and counts", async () => {
    answer = () => Response.json({ ok: true, count: 3, text: "" });
    submit(one(".buy"));
    await vi.waitFor(() => expect(words(".cart-toast")).toContain("It is in your cart."));
    expect(sent).toContainEqual({ path: "/cart/add", body: "product=plain&count=1" });
    expect(one<HTMLAnchorElement>(".cart-toast a").pathname).toBe("/cart");
    expect([words(".cart-n"), one(".cart-n").hidden]).toEqual(["3", false]);
  });

  it("says why not, without a way to a cart in which nothing new is", async () => {
    answer = () => Response.json({ ok: false, text: "“Kite plain” can’t be bought just now." }, { status: 422 });
    submit(one(".buy"));
    await vi.waitFor(() => expect(words(".cart-toast")).toBe("“Kite plain” can’t be bought just now."));
    expect(one(".cart-toast a")).toBeNull();
    answer = () => Promise.reject(new TypeError("no network"));
    submit(one(".buy"));
    await vi.waitFor(() => expect(words(".cart-toast")).toBe("That did not go through. Please try again in a moment."));
  });

  it("keeps a bar at hand while the button is out of sight", () => {
    const bar = one(".buy-bar");
    const form = watched.find((w) => w.target.matches(".buy"))!;
    form.tell(false);
    expect(bar.classList.contains("is-out")).toBe(true);
    form.tell(true);
    expect(bar.classList.contains("is-out")).toBe(false);
  });

  it("takes the address of who wants to be told, and says so below it", async () => {
    lay("/products/soon");
    answer = () => Response.json({ ok: true, text: "You get one letter." });
    one<HTMLInputElement>(".tell [name=address]").value = "ann@shop.example";
    submit(one(".tell"));
    await vi.waitFor(() => expect(words(".tell .message")).toBe("You get one letter."));
    expect(sent.find((s) => s.path === "/tell-me")!.body).toContain("address=ann%40shop.example");
    expect(one<HTMLInputElement>(".tell [name=address]").value).toBe("");
  });
});

describe("pictures", () => {
  beforeEach(() => lay("/products/many"));

  it("are shown by their small ones, without leaving the page, and the one in view is marked", () => {
    const links = [...document.querySelectorAll<HTMLAnchorElement>(".thumbs a")];
    expect(links.length).toBeGreaterThan(1);
    const click = new MouseEvent("click", { bubbles: true, cancelable: true });
    links[1]!.dispatchEvent(click);
    expect(click.defaultPrevented).toBe(true);
    expect(one(".stage").scrollTo).toHaveBeenCalled();
    watched.filter((w) => w.target.classList.contains("shot"))[1]!.tell(true);
    expect(links.map((l) => l.getAttribute("aria-current"))).toEqual(links.map((_l, i) => (i === 1 ? "true" : null)));
  });

  it("are looked at closely, stepped through, made larger, and left with the hand where it was", () => {
    const open = one<HTMLAnchorElement>(".shot-open");
    open.click();
    const dialog = one<HTMLDialogElement>("dialog.zoom");
    expect(dialog.open).toBe(true);
    const pictures = [...dialog.querySelectorAll("img")];
    expect(pictures).toHaveLength(document.querySelectorAll(".shot-open").length);
    expect(pictures.every((p) => p.alt !== "")).toBe(true);
    pictures[0]!.click();
    expect(pictures[0]!.className).toBe("is-large");
    const stage = one(".zoom-stage");
    const by = vi.mocked(stage.scrollBy as (options: ScrollToOptions) => void);
    by.mockClear();
    key(stage, "ArrowRight");
    expect(by).toHaveBeenCalledTimes(1);
    const close = [...dialog.querySelectorAll("button")].find((b) => b.textContent === "Close")!;
    close.click();
    expect(document.querySelector("dialog")).toBeNull();
    expect(document.activeElement).toBe(open);
  });
});

describe("a list", () => {
  beforeEach(() => lay("/collections/all"));
  const count = () => words(".list-count");

  it("changes where it stands when something is ticked, with an address to come back to", async () => {
    const box = one<HTMLInputElement>('.filters-form input[type="checkbox"]');
    const promised = box.closest("label")!.querySelector("small")!.textContent;
    box.checked = true;
    box.focus();
    change(box);
    await vi.waitFor(() => expect(count()).toBe(promised === "1" ? "1 product" : `${promised} products`));
    expect(location.search).toContain(encodeURIComponent(box.value).replaceAll("%20", "+"));
    // The list is a new one; what has the hand keeps it all the same.
    const now = document.activeElement as HTMLInputElement;
    expect([now.name, now.value, now.checked]).toEqual([box.name, box.value, true]);
    one<HTMLAnchorElement>(".chip").click();
    await vi.waitFor(() => expect(location.search).toBe(""));
    expect(count()).toBe(`${goods.products.length} products`);
  });

  it("is put into another order, and follows the browser back", async () => {
    const sort = one<HTMLSelectElement>('select[name="sort"]');
    sort.value = "price-up";
    change(sort);
    await vi.waitFor(() => expect(location.search).toBe("?sort=price-up"));
    history.replaceState(null, "", "/collections/all");
    window.dispatchEvent(new PopStateEvent("popstate"));
    await vi.waitFor(() => expect(one<HTMLSelectElement>('select[name="sort"]').value).toBe(""));
  });

  it("answers the latest wish alone, however slow an earlier one was", async () => {
    const waiting: ((r: Response) => void)[] = [];
    answer = () => new Promise((done) => waiting.push(done));
    const boxes = [...document.querySelectorAll<HTMLInputElement>('.filters-form input[type="checkbox"]')];
    boxes[0]!.checked = true;
    change(boxes[0]!);
    boxes[0]!.checked = false;
    boxes[1]!.checked = true;
    change(boxes[1]!);
    expect(waiting).toHaveLength(2);
    waiting[1]!(new Response(htmlAt(sent[1]!.path)));
    await vi.waitFor(() => expect(location.search).toBe(new URL(sent[1]!.path, location.origin).search));
    waiting[0]!(new Response(htmlAt(sent[0]!.path)));
    await Promise.resolve();
    expect(location.search).toBe(new URL(sent[1]!.path, location.origin).search);
    expect(one("zest-list").hasAttribute("aria-busy")).toBe(false);
  });

  it("has its filters rise and fall, and Escape lets them fall", () => {
    const box = () => one(".filters-box").classList.contains("is-open");
    one<HTMLAnchorElement>(".filters-open").click();
    expect(box()).toBe(true);
    window.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape" }));
    expect(box()).toBe(false);
    one<HTMLAnchorElement>(".filters-open").click();
    one<HTMLAnchorElement>(".filters-shade").click();
    expect(box()).toBe(false);
  });

  it("takes over filters that were opened before it was there, and shuts them", async () => {
    // The browser tells of an address later than it changes it: the last telling is waited for, so that no other test hears it.
    const told = vi.fn();
    window.addEventListener("popstate", told);
    location.hash = one<HTMLAnchorElement>(".filters-open").hash;
    lay(location.pathname + location.search + location.hash);
    expect(one(".filters-box").classList.contains("is-open")).toBe(true);
    const box = one<HTMLInputElement>('.filters-form input[type="checkbox"]');
    box.checked = true;
    change(box);
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    await vi.waitFor(() => expect(one("zest-list").hasAttribute("aria-busy")).toBe(false));
    expect(one(".filters-box").classList.contains("is-open")).toBe(true);
    location.hash = one<HTMLAnchorElement>(".filters-open").hash;
    one<HTMLAnchorElement>(".filters-close").click();
    expect(one(".filters-box").classList.contains("is-open")).toBe(false);
    expect(location.hash).toBe(one<HTMLAnchorElement>(".filters-shut").hash);
    await vi.waitFor(() => expect(told).toHaveBeenCalledTimes(3));
    window.removeEventListener("popstate", told);
  });

  it("lets links be opened elsewhere by those who hold a key for it", () => {
    lay("/collections/all?now=1");
    const click = new MouseEvent("click", { bubbles: true, cancelable: true, ctrlKey: true });
    one(".chip").addEventListener("click", (e) => e.preventDefault(), { once: true });
    one(".chip").dispatchEvent(click);
    expect(sent).toEqual([]);
  });
});

describe("a search", () => {
  const suggested = [
    { address: "/products/a", title: "Apple <b>cake", price: "€10.00", picture: "/media/a-160.webp" },
    { address: "/products/b", title: "Apple tart", price: "€9.00", picture: "" },
  ];
  const type = async (query: string) => {
    const field = one<HTMLInputElement>("zest-search input[type=search]");
    field.focus();
    field.value = query;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    await vi.waitFor(() => expect(sent.length).toBeGreaterThan(0));
    return field;
  };
  beforeEach(() => {
    lay("/search");
    answer = () => Response.json(suggested);
  });
  const options = () => [...document.querySelectorAll<HTMLAnchorElement>("[role=option]")];

  it("suggests while one types, as text and never as markup, and is walked through by keys", async () => {
    const field = await type("appel");
    expect(sent[0]!.path).toBe("/suggest?q=appel");
    await vi.waitFor(() => expect(options()).toHaveLength(2));
    expect(options()[0]!.textContent).toContain("Apple <b>cake");
    expect(options().map((o) => o.querySelector("img") !== null)).toEqual([true, false]);
    expect(field.getAttribute("aria-expanded")).toBe("true");
    const at = () => options().map((o) => o.getAttribute("aria-selected"));
    key(field, "ArrowDown");
    expect(at()).toEqual(["true", "false"]);
    expect(field.getAttribute("aria-activedescendant")).toBe(one("[role=option]").id);
    key(field, "ArrowUp");
    expect(field.hasAttribute("aria-activedescendant")).toBe(false);
    key(field, "ArrowUp");
    expect(at()).toEqual(["false", "true"]);
    key(field, "Escape");
    expect(field.getAttribute("aria-expanded")).toBe("false");
  });

  it("asks nothing for a letter alone, and closes when something else is touched", async () => {
    const field = await type("app");
    await vi.waitFor(() => expect(options()).toHaveLength(2));
    document.body.click();
    expect(field.getAttribute("aria-expanded")).toBe("false");
    sent = [];
    field.value = "a";
    field.dispatchEvent(new Event("input", { bubbles: true }));
    field.value = "apple";
    field.dispatchEvent(new Event("input", { bubbles: true }));
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!.path).toBe("/suggest?q=apple");
  });
});

describe("what was looked at before", () => {
  it("is this browser's alone, newest first, without what is looked at now", async () => {
    expect(JSON.parse(localStorage.getItem("zest-seen")!)).toEqual(["many"]);
    localStorage.setItem("zest-seen", JSON.stringify(["plain", "many", "soon"]));
    answer = (path) => {
      const ids = new URL(path, location.origin).searchParams.get("ids")!.split(",");
      return new Response(
        renderCards(
          ids.flatMap((id) => goods.products.find((p) => p.id === id) ?? []),
          content,
        ),
      );
    };
    lay("/products/plain");
    await vi.waitFor(() => expect(one("zest-recent").hidden).toBe(false));
    expect(sent.map((s) => s.path)).toContain("/cards?ids=many,soon");
    const titles = [...document.querySelectorAll("zest-recent .card-title")].map((t) => t.textContent);
    expect(titles).toEqual(["Kite in colours", "Kite soon"]);
  });

  it("shows nothing where nothing was, or what was is gone", async () => {
    localStorage.setItem("zest-seen", JSON.stringify(["plain"]));
    lay("/products/plain");
    localStorage.setItem("zest-seen", "no list");
    lay("/products/plain");
    localStorage.setItem("zest-seen", JSON.stringify(["gone-for-good"]));
    answer = () => new Response("");
    lay("/products/plain");
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    expect(one("zest-recent").hidden).toBe(true);
  });
});
