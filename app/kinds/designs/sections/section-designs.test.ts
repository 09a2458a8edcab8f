import { describe, expect, it } from "vitest";
import { isKnownValue } from "~/core/cascade";
import { walk, type Draft, type Part } from "~/core/document";
import { plainOf } from "~/core/rich";
import { contentWith } from "~/render/fixtures/content";
import { renderPage } from "~/render";
import { THEMES } from "~/themes";
import { accepts, kindOf, problemOf, PURPOSES } from "../..";
import { hasStyle } from "../../chassis";
import { placeholdersIn, saysAsUsual } from "../../placeholders";
import { BLANKS, blankIn, SECTION_DESIGNS, TRADES, type Given } from "..";

const { pictures, goods } = contentWith([]);
const given: Given = {
  shop: "Test & Sons",
  trade: TRADES[1],
  picture: (n) => pictures[n % pictures.length]!.id,
  product: (n) => goods.products[n % goods.products.length]!.id,
  collections: goods.collections.map((c) => c.id),
};
const nothing: Given = { shop: "S", trade: TRADES[0], picture: () => null, product: () => null, collections: [] };
const homeOf = (draft: Draft) => draft.documents.home!;
const drawn = (main: readonly Part[], theme: string) =>
  renderPage({ page: "home" }, contentWith(main, theme), "http://s.example", { every: "/a.js", goods: "/b.js" });
const sentence = (value: unknown) => {
  const words = plainOf((value ?? "") as never).trim();
  return words.length >= 12 ? [words] : [];
};
/** What a part says, by itself and in its lists; what runs along a line is a label. */
const wordsOf = (part: Part) => [
  ...["text", "heading", "caption"].flatMap((key) => (saysAsUsual(part, key) ? [] : sentence(part.props[key]))),
  ...Object.values(part.props)
    .filter(() => part.kind !== "running-line")
    .filter((value): value is Part["props"][] => Array.isArray(value) && typeof value[0] === "object")
    .flatMap((items) => items.flatMap(({ text, answer }) => [...sentence(text), ...sentence(answer)])),
];

describe("the designs of sections", () => {
  it("are at least eighty, each of its own name, of many kinds and for every trade", () => {
    expect(SECTION_DESIGNS.length).toBeGreaterThanOrEqual(80);
    expect(new Set(SECTION_DESIGNS.map((d) => d.name)).size).toBe(SECTION_DESIGNS.length);
    expect(new Set(SECTION_DESIGNS.map((d) => `${d.purpose} ${d.id}`)).size).toBe(SECTION_DESIGNS.length);
    for (const { purpose } of SECTION_DESIGNS) expect(PURPOSES).toContain(purpose);
    expect(new Set(SECTION_DESIGNS.map((d) => d.build(given).kind)).size).toBeGreaterThanOrEqual(24);
    const trades = new Set(SECTION_DESIGNS.flatMap((d) => d.trades ?? []));
    expect(trades).toEqual(new Set(TRADES.slice(1).map((t) => t.id as string)));
  });

  it.each(SECTION_DESIGNS.map((d) => [d.name, d] as const))("%s is sound, with goods and without", (_name, design) => {
    for (const of of [given, nothing, ...TRADES.map((trade) => ({ ...given, trade }))]) {
      const section = design.build(of);
      expect(accepts(homeOf(contentWith([]).draft).root, "main", section)).toBe(true);
      for (const part of walk(section)) {
        expect(problemOf(part), part.kind).toBeUndefined();
        for (const [audience, sheet] of Object.entries(part.style))
          for (const [name, value] of Object.entries(sheet)) {
            const said = `${part.kind} ${audience} ${name} ${String(value)}`;
            expect(hasStyle(kindOf(part)!.definition, part, name), said).toBe(true);
            expect(isKnownValue(name, value), said).toBe(true);
          }
      }
    }
    for (const of of [given, nothing]) expect(drawn([design.build(of)], "pomelo").broken).toEqual([]);
  });

  it.each(THEMES.map((t) => t.id))("stand on one page in %s, and none of them breaks or shows a blank", (theme) => {
    const { html, broken } = drawn(
      SECTION_DESIGNS.map((d) => d.build(given)),
      theme,
    );
    expect(broken).toEqual([]);
    for (const blank of BLANKS) expect(html).not.toContain(`[${blank}]`);
  });

  it("have each of their sentences named to the seller, until it is another one", () => {
    const { name } = contentWith([]).draft.look.identity;
    for (const trade of TRADES) {
      const sections = SECTION_DESIGNS.map((d) => d.build({ ...given, trade, shop: name }));
      const told = new Set(placeholdersIn(contentWith(sections).draft).map((p) => p.words));
      for (const section of sections)
        for (const part of walk(section)) {
          const blank = blankIn(part);
          for (const words of blank === undefined ? wordsOf(part) : [blank])
            expect(told, section.kind).toContain(words);
        }
    }
  });
});
