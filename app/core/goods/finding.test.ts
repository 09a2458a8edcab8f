import { describe, expect, it } from "vitest";
import { findInGoods, makeCollection, makeProduct, replaceInGoods } from ".";

const shaped = {
  type: "doc",
  content: [
    {
      type: "paragraph",
      content: [
        { type: "text", text: "For strong " },
        { type: "text", text: "wi", marks: [{ type: "bold" as const }] },
        { type: "text", text: "nd." },
      ],
    },
  ],
} as const;
const skua = makeProduct({
  id: "skua",
  title: "Skua wind kite",
  sku: "WIND-1",
  description: shaped,
  tags: ["wind"],
  attributes: { Wind: "Strong wind", Level: "Anyone" },
  specification: [
    { name: "Wind", value: "2–5" },
    { name: "Sewn for", value: "wind and wind again" },
  ],
  search: { title: "", description: "A kite for wind" },
});
const line = makeProduct({ id: "line", title: "Line", sku: "L" });
const gales = makeCollection({ id: "gales", title: "Autumn wind", description: "What wind needs" });
const goods = { products: [skua, line], collections: [gales] };
const wind = { words: "wind", matchCase: false, whole: true };
const all = new Set(findInGoods(goods, wind).map(({ id }) => id));

describe("words in goods", () => {
  it("are found in what goods say, across letters that differ, and not in what they are ordered by", () => {
    expect(findInGoods(goods, wind).map(({ title, where, spans }) => [title, where, spans.length])).toEqual([
      ["Autumn wind", "Title", 1],
      ["Autumn wind", "Description", 1],
      ["Skua wind kite", "Title", 1],
      ["Skua wind kite", "Description", 1],
      ["Skua wind kite", "Wind", 1],
      ["Skua wind kite", "Sewn for", 2],
      ["Skua wind kite", "Description for search engines", 1],
    ]);
    expect(findInGoods(goods, { ...wind, words: " " })).toEqual([]);
    expect(findInGoods(goods, wind, 1)).toHaveLength(1);
  });

  it("give way to others in the texts that are named, and nowhere else", () => {
    const done = replaceInGoods(goods, wind, "breeze", all);
    if (!done.ok) throw new Error(done.why);
    expect(done.count).toBe(7);
    expect([...done.products.keys(), ...done.collections.keys()]).toEqual(["skua", "gales"]);
    const now = done.products.get("skua")!;
    expect(now).toMatchObject({
      title: "Skua breeze kite",
      sku: "WIND-1",
      tags: ["wind"],
      attributes: { Wind: "Strong breeze", Level: "Anyone" },
      search: { description: "A kite for breeze" },
    });
    expect(now.specification).toEqual([
      { name: "Wind", value: "2–5" },
      { name: "Sewn for", value: "breeze and breeze again" },
    ]);
    expect(JSON.stringify(now.description)).toContain('"breeze"');
    const one = replaceInGoods(goods, wind, "breeze", new Set(["product skua title"]));
    expect(one.ok && [one.count, one.collections.size]).toEqual([1, 0]);
  });

  it("leave no product without a title, and no text too long, and say which", () => {
    const title = { words: "Line", matchCase: false, whole: true };
    const only = new Set(["product line title"]);
    expect(replaceInGoods(goods, title, " ", only)).toEqual({
      ok: false,
      why: "“Line”: A product needs a title.",
    });
    expect(replaceInGoods(goods, title, "x".repeat(161), only)).toEqual({
      ok: false,
      why: "“Line”: Keep it to 160 characters.",
    });
    expect(replaceInGoods(goods, wind, "breeze", new Set(["product gone title"])).ok).toBe(false);
  });
});
