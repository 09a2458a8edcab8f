import { describe, expect, it } from "vitest";
import type { Product } from "~/core/goods";
import { ownLink } from "~/core/schema";
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
    { id: "more", name: "More", sort: "link" },
    { id: "drawing", name: "Drawing", sort: "picture", of: "product" },
    { id: "manual", name: "Manual", sort: "link", of: "product" },
    { id: "maker", name: "Maker", sort: "words", of: "product" },
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

  it("of a product shows what it says in the seller’s own fields: words, a picture, a file behind a button", () => {
    const manual = { to: "document", file: `${"a".repeat(64)}.pdf`, name: "manual.pdf" } as const;
    const own = { maker: "Ida & Tam", drawing: "picture:wide", manual: ownLink(manual) };
    const parts = [
      bound("heading", "maker", "product"),
      bound("picture", "drawing", "product"),
      bound("button", "manual", "product", "nothing", { label: "How it is rigged" }),
    ];
    const { site } = withFields([], {}).draft.documents;
    const around = sectionAround(parts[0]!);
    const [column] = Object.values(around.slots)[0]!;
    const section = { ...around, slots: { columns: [{ ...column!, slots: { widgets: parts } }] } } as Part;
    const drawnOf = (product: Product) => {
      const content = contentWithPart("product", section);
      const documents = { ...content.draft.documents, site: site! };
      return mainOf(html({ page: "product", product }, { ...content, draft: { ...content.draft, documents } }));
    };
    const product = goods.products[0]!;
    const drawn = drawnOf({ ...product, own });
    expect(drawn).toContain("Ida &amp; Tam");
    expect(drawn).toContain('alt="A wide beach"');
    expect(drawn).toMatch(/<a [^>]*href="\/media\/a{64}\.pdf[^"]*"[^>]*><span>How it is rigged/);
    // One that says nothing there shows nothing: no empty button, no gap.
    expect(drawnOf({ ...product, own: {} })).not.toMatch(/w-heading|w-picture|w-button|rigged/);
  });

  it("of a page leads where the page says", () => {
    const button = bound("button", "more", "page", "own", { label: "Read on", link: { to: "home" } });
    const said = { more: ownLink({ to: "web", address: "https://example.com/kites" }) };
    expect(html({ page: "home" }, withFields([button], said))).toMatch(
      /href="https:\/\/example\.com\/kites"[^>]*><span>Read on/,
    );
    expect(html({ page: "home" }, withFields([button], {}))).toMatch(/href="\/"[^>]*><span>Read on/);
    expect(
      mainOf(html({ page: "home" }, withFields([button], { more: 'link:{"to":"web","address":"javascript:x"}' }))),
    ).not.toContain("javascript");
  });

  it("runs nothing of what stands there", () => {
    const drawn = html({ page: "home" }, withFields([bound("words", "place")], { place: "<img src=x onerror=x()>" }));
    expect(drawn).not.toContain("<img src=x");
  });

  it("is one that can do so, and says from where", () => {
    expect(problemOf(bound("heading", "title"))).toBeUndefined();
    expect(problemOf(bound("quote", "title"))).toMatchObject({ path: "bound" });
    expect(problemOf(bound("heading", "title", "elsewhere"))).toMatchObject({ path: "bound" });
  });
});

it("a picture in a field of a page is used there", () => {
  const { home } = withFields([], { view: "picture:wide", place: "picture: no" }).draft.documents;
  expect(referencesOf(home!)).toContainEqual({ to: "picture", id: "wide" });
  expect(referencesOf(home!).filter((r) => r.to === "picture")).toHaveLength(1);
  expect(pageProps(home!).slug).toBe("home");
});
