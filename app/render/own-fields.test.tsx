import { describe, expect, it } from "vitest";
import { pageProps, type Draft, type Json, type Part } from "~/core/document";
import { makeNode, problemOf } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { referencesOf } from "~/kinds/references";
import { contentWith, contentWithPart, goods } from "./fixtures/content";
import { ATTRIBUTE, renderPage, type ShopContent, type Target } from ".";

const SCRIPTS = { every: "/assets/shop.js", goods: "/assets/goods.js" };
const bound = (kind: string, field: string, of = "page", empty = "nothing", props: Record<string, Json> = {}): Part =>
  makeNode(kind, { ...props, bound: { of, field, empty } });
const html = (target: Target, content: ShopContent) =>
  renderPage(target, content, "http://shop.localhost", SCRIPTS).html;
const mainOf = (page: string) => page.slice(page.indexOf("<main"), page.indexOf("</main>"));

/** The shop with a home page that fills in fields of the seller's own. */
function withFields(parts: readonly Part[], own: Record<string, string>): ShopContent {
  const content = contentWith(parts.map((part) => sectionAround(part)));
  const { home, site } = content.draft.documents;
  const fields = [
    { id: "place", name: "Place", sort: "words" },
    { id: "day", name: "Day", sort: "date" },
    { id: "view", name: "View", sort: "picture" },
  ];
  const documents: Draft["documents"] = {
    ...content.draft.documents,
    home: { ...home!, root: { ...home!.root, props: { ...home!.root.props, own } } },
    site: {
      ...(site ?? { ...home!, id: "site", kind: "site", title: "Site" }),
      root: { ...(site ?? home!).root, id: "site-root", slots: {}, props: { fields } },
    } as never,
  };
  return { ...content, draft: { ...content.draft, documents } };
}

describe("a widget that takes what it shows from a field", () => {
  it("of the page shows what the page says there", () => {
    const parts = [
      bound("heading", "place", "page", "nothing", { text: "Written" }),
      bound("words", "day"),
      bound("picture", "view"),
    ];
    const drawn = html(
      { page: "home" },
      withFields(parts, { place: "Whitby & more", day: "2026-12-01", view: "picture:wide" }),
    );
    expect(drawn).toContain("Whitby &amp; more");
    expect(drawn).toContain("1 December 2026");
    expect(drawn).toContain('alt="A wide beach"');
    expect(drawn).not.toContain("Written");
  });

  it("that is empty shows nothing, or what is written in it", () => {
    const written = { text: "Written here" };
    const nothing = bound("heading", "place", "page", "nothing", written);
    const own = bound("heading", "place", "page", "own", written);
    const empty = html({ page: "home" }, withFields([nothing], {}));
    expect(empty).not.toContain("Written here");
    expect(mainOf(empty)).not.toContain("w-heading");
    expect(html({ page: "home" }, withFields([own], { place: "  " }))).toContain("Written here");
  });

  it("of a product shows what each product says", () => {
    const product = goods.products.find((p) => Object.keys(p.attributes).length > 0)!;
    const [name, value] = Object.entries(product.attributes)[0]!;
    const section = sectionAround(bound("heading", ATTRIBUTE + name, "product"));
    const drawn = html({ page: "product", product }, contentWithPart("product", section));
    expect(drawn).toMatch(new RegExp(`<h[1-6][^>]*>${value}</h`));
    const title = sectionAround(bound("heading", "title", "product"));
    expect(mainOf(html({ page: "home" }, contentWith([title])))).not.toContain("w-heading");
  });

  it("runs nothing of what stands there", () => {
    const drawn = html({ page: "home" }, withFields([bound("words", "place")], { place: "<img src=x onerror=x()>" }));
    expect(drawn).not.toContain("<img src=x");
  });

  it("is one that can do so, and says from where", () => {
    expect(problemOf(bound("heading", "title"))).toBeUndefined();
    expect(problemOf(bound("button", "title"))).toMatchObject({ path: "bound" });
    expect(problemOf(bound("heading", "title", "elsewhere"))).toMatchObject({ path: "bound" });
  });
});

it("a picture in a field of a page is used there", () => {
  const { home } = withFields([], { view: "picture:wide", place: "picture: no" }).draft.documents;
  expect(referencesOf(home!)).toContainEqual({ to: "picture", id: "wide" });
  expect(referencesOf(home!).filter((r) => r.to === "picture")).toHaveLength(1);
  expect(pageProps(home!).slug).toBe("home");
});
