import { describe, expect, it } from "vitest";
import { setPattern } from "~/core/commands";
import type { Draft } from "~/core/document";
import { applyAll } from "~/core/operations";
import { contentWith, goods } from "./fixtures/content";
import { fillPattern, renderPage, type Target } from ".";

const content = contentWith([]);
const titleOf = (draft: Draft, target: Target) => {
  const { html } = renderPage(target, { ...content, draft }, "http://s.localhost", { every: "/a.js", goods: "/b.js" });
  return [/<title>([^<]*)/.exec(html)![1], /name="description" content="([^"]*)/.exec(html)![1]];
};
const withPattern = (
  draft: Draft,
  id: string,
  which: "titlePattern" | "descriptionPattern",
  pattern: string,
): Draft => {
  const outcome = setPattern(draft, id, which, pattern);
  const next = outcome.ok ? applyAll(draft, outcome.transaction.operations) : undefined;
  if (!next?.ok) throw new Error("the pattern was not kept");
  return next.draft;
};

describe("what search engines are told of goods", () => {
  const product = goods.products.find((p) => p.id === "bare")!;
  const page: Target = { page: "product", product };

  it("is filled into the pattern of their layout, and what they say for themselves goes before it", () => {
    expect(fillPattern("[name] [name], [shop] [x]", { name: "Kite", shop: "Loft" })).toBe("Kite Kite, Loft [x]");
    expect(titleOf(content.draft, page)[0]).toBe(`${product.title} · Test &amp; Sons`);
    let draft = withPattern(content.draft, "product", "titlePattern", "[name], sewn at [shop]");
    draft = withPattern(draft, "product", "descriptionPattern", "Buy [name] here.");
    expect(titleOf(draft, page)).toEqual([`${product.title}, sewn at Test &amp; Sons`, `Buy ${product.title} here.`]);
    const own = { ...product, search: { title: "My own", description: "" } };
    expect(titleOf(draft, { page: "product", product: own })[0]).toBe("My own");
    // A name with signs of its own is that name.
    const odd = { ...product, title: "$& [shop]" };
    expect(titleOf(draft, { page: "product", product: odd })[0]).toBe("$&amp; [shop], sewn at Test &amp; Sons");
  });

  it("names the further pages of a list", () => {
    const draft = withPattern(content.draft, "collection", "titlePattern", "All [name]");
    const [collection] = goods.collections;
    expect(titleOf(draft, { page: "collection", collection })[0]).toBe("All One &amp; only");
  });

  it("is refused where it says the same, and put back by saying nothing", () => {
    const draft = withPattern(content.draft, "product", "titlePattern", "[name]");
    expect(setPattern(draft, "product", "titlePattern", "[name]")).toMatchObject({ ok: false });
    expect(setPattern(draft, "home", "titlePattern", "x")).toMatchObject({ ok: false });
    expect(withPattern(draft, "product", "titlePattern", "").documents.product).toEqual(
      content.draft.documents.product,
    );
  });
});
