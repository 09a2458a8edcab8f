import { HtmlValidate } from "html-validate";
import { describe, expect, it } from "vitest";
import { layoutProps, type Draft, type LayoutSort, type Part } from "~/core/document";
import { kindsOf, makeNode } from "~/kinds";
import { firstLayouts } from "~/kinds/layouts";
import { contentWith, goods } from "./fixtures/content";
import { renderPage, targetFor } from ".";

const SCRIPTS = { every: "/a.js", goods: "/b.js" };
const validator = new HtmlValidate({ extends: [], rules: { "no-dup-id": "error" } });

/** Everything that a layout can hold, twice over, each with an id of its own. */
function twice(sort: LayoutSort): Draft {
  const { draft } = contentWith([]);
  const fits = (only: readonly LayoutSort[] | undefined) => !only || only.includes(sort);
  const widgets = (round: number): Part[] =>
    kindsOf("widget")
      .filter((k) => fits(k.definition.only) && k.definition.kind !== "group")
      .map((k) => makeNode(k.definition.kind, {}, { id: `${k.definition.kind}-${round}` }));
  const sections = (round: number): Part[] => [
    makeNode("freehand", {}, { slots: { columns: [makeNode("column", {}, { slots: { widgets: widgets(round) } })] } }),
    ...kindsOf("section")
      .filter((k) => k.definition.slots.includes("main") && fits(k.definition.only) && k.definition.kind !== "freehand")
      .map((k) => makeNode(k.definition.kind, {}, { id: `${k.definition.kind}-${round}` })),
  ];
  const layout = firstLayouts()[sort];
  const main = [...sections(1), ...sections(2)];
  return {
    ...draft,
    documents: { ...draft.documents, [sort]: { ...layout, root: { ...layout.root, slots: { main } } } },
  };
}

const pageOf = (sort: LayoutSort) => {
  const draft = twice(sort);
  expect(layoutProps(draft.documents[sort]!)?.of).toBe(sort);
  const content = { ...contentWith([]), draft };
  const show = sort === "product" ? "/products/variants" : null;
  const target = targetFor(draft.documents, goods, sort, show);
  return renderPage(target, content, "http://s.example", SCRIPTS).html;
};

describe.each(["product", "collection", "search"] as const)("a %s page with two of every kind", (sort) => {
  const html = pageOf(sort);

  it("has no id twice, and nothing that leads to or belongs to an id that is not there", async () => {
    const { results } = await validator.validateString(html);
    expect(results.flatMap((r) => r.messages.map((m) => m.message))).toEqual([]);
    const ids = new Set([...html.matchAll(/ id="([^"]+)"/g)].map((m) => m[1]));
    const asked = [...html.matchAll(/ (?:for|form|aria-controls|aria-labelledby)="([^"]+)"| href="#([^"]+)"/g)];
    expect(asked.length).toBeGreaterThan(2);
    for (const [whole, one, two] of asked) expect(ids, whole).toContain(one ?? two);
  });
});

it("each choice of a variant belongs to the form that stands with it", () => {
  const html = pageOf("product");
  const forms = [...html.matchAll(/<form id="(buy-[^"]+)"/g)].map((m) => m[1]);
  expect(forms).toEqual(["buy-product-buy-1", "buy-product-buy-2"]);
  const belongs = new Set([...html.matchAll(/ form="(buy-[^"]+)"/g)].map((m) => m[1]));
  expect([...belongs]).toEqual(forms);
});
