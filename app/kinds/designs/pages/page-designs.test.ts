import { describe, expect, it } from "vitest";
import { contentWith } from "~/render/fixtures/content";
import { renderPage } from "~/render";
import { emptyDocument, walk, type PageDocument } from "~/core/document";
import { plainOf } from "~/core/rich";
import { accepts, problemOf, strangerIn } from "../..";
import { placeholdersIn } from "../../placeholders";
import { BLANKS, blankIn, DESIGN_PURPOSES, PAGE_DESIGNS, TRADES, type Given } from "..";

const content = contentWith([]);
const given: Given = {
  shop: "Test & Sons",
  trade: TRADES[1],
  picture: (n) => content.pictures[n % content.pictures.length]!.id,
  product: (n) => content.goods.products[n % content.goods.products.length]!.id,
  collections: content.goods.collections.map((c) => c.id),
};
const nothing: Given = { shop: "S", trade: TRADES[0], picture: () => null, product: () => null, collections: [] };
const pageOf = (id: string, name: string, of: Given): PageDocument => {
  const empty = emptyDocument(2, "page", "designed", name);
  const main = PAGE_DESIGNS.find((d) => d.id === id)!.build(of);
  return { ...empty, root: { ...empty.root, slots: { main } } };
};
const drawn = (page: PageDocument) => {
  const { draft } = content;
  const documents = { ...draft.documents, [page.id]: page };
  return renderPage({ page: "text", id: page.id }, { ...content, draft: { ...draft, documents } }, "http://s.example", {
    every: "/a.js",
    goods: "/b.js",
  });
};
const textOf = (html: string) => /<main[^>]*>(.*)<\/main>/s.exec(html)![1]!.replace(/<[^>]+>/g, " ");

describe("the designs of pages", () => {
  it("are at least fourteen, of different ids and names, for every purpose", () => {
    expect(PAGE_DESIGNS.length).toBeGreaterThanOrEqual(14);
    for (const key of ["id", "name"] as const)
      expect(new Set(PAGE_DESIGNS.map((d) => d[key])).size).toBe(PAGE_DESIGNS.length);
    expect(new Set(PAGE_DESIGNS.map((d) => d.purpose))).toEqual(new Set(DESIGN_PURPOSES));
    const trades = new Set<string>(TRADES.map((t) => t.id));
    for (const each of PAGE_DESIGNS.flatMap((d) => d.trades ?? [])) expect(trades).toContain(each);
  });

  it.each(PAGE_DESIGNS.map((d) => [d.id, d.name] as const))("%s is sound, with goods and without", (id, name) => {
    for (const of of [given, nothing, ...TRADES.map((trade) => ({ ...given, trade }))]) {
      const page = pageOf(id, name, of);
      expect(strangerIn(page, page.root)).toBeUndefined();
      for (const section of page.root.slots.main!) expect(accepts(page.root, "main", section)).toBe(true);
      for (const part of walk(page.root)) if (part.kind !== "root") expect(problemOf(part), part.kind).toBeUndefined();
      const ids = [...walk(page.root)].map((p) => p.id);
      expect(new Set(ids).size).toBe(ids.length);
      expect(drawn(page).broken).toEqual([]);
    }
  });

  it("never show a blank to shoppers, and name every one of them to the seller", () => {
    for (const { id, name, toBeChecked } of PAGE_DESIGNS) {
      const page = pageOf(id, name, given);
      const blanks = [...walk(page.root)].flatMap((part) => blankIn(part) ?? []);
      expect(blanks.length > 0, id).toBe(toBeChecked === true);
      const shown = textOf(drawn(page).html);
      for (const blank of BLANKS) expect(shown).not.toContain(`[${blank}]`);
      const told = placeholdersIn({ ...content.draft, documents: { [page.id]: page } }).map((p) => p.words);
      for (const blank of blanks) expect(told).toContain(blank);
    }
  });

  it("have every sentence of theirs named to the seller, for any trade, until it is another one", () => {
    const shop = content.draft.look.identity.name;
    for (const trade of TRADES)
      for (const { id, name } of PAGE_DESIGNS) {
        const page = pageOf(id, name, { ...given, trade, shop });
        const told = placeholdersIn({ ...content.draft, documents: { [page.id]: page } });
        const sentences = [...walk(page.root)].filter(
          (part) => blankIn(part) === undefined && plainOf((part.props.text ?? "") as never).length >= 12,
        );
        for (const part of sentences)
          expect(
            told.map((t) => t.part.id),
            `${id} ${trade.id}`,
          ).toContain(part.id);
      }
    const page = pageOf("about", "About us", given);
    const own = {
      ...page,
      root: {
        ...page.root,
        slots: {
          main: page.root.slots.main!.map((p) => ({
            ...p,
            props: { ...p.props, text: "In our own words, this is how we do it.", heading: "Ours" },
          })),
        },
      },
    };
    expect(placeholdersIn({ ...content.draft, documents: { [page.id]: own } })).toEqual([]);
  });

  it("use every blank, and no other brackets", () => {
    const all = PAGE_DESIGNS.flatMap(
      ({ id, name }) => JSON.stringify(pageOf(id, name, given)).match(/\[[a-z][^\]"{]*\]/g) ?? [],
    );
    expect(new Set(all)).toEqual(new Set(BLANKS.map((b) => `[${b}]`)));
  });

  it("leave a seller’s own brackets alone", () => {
    const page = pageOf("about", "About us", given);
    const [hero] = page.root.slots.main!;
    expect(blankIn({ ...hero!, props: { ...hero!.props, text: "Signed [and numbered]" } })).toBeUndefined();
    expect(blankIn({ ...hero!, props: { ...hero!.props, text: "Within [how many] days" } })).toBe("[how many]");
  });
});
