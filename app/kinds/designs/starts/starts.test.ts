import { gzipSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { emptyDocument, MAIN_MENU, walk, type Draft, type Part } from "~/core/document";
import { ABOUT, beginWith, KEPT_HOME, replacesStory, type Outcome } from "~/core/commands";
import { applyAll, invertAll } from "~/core/operations";
import { plainOf } from "~/core/rich";
import { renderPage } from "~/render";
import { contentWith } from "~/render/fixtures/content";
import { starterDraft } from "~/server/shops/starter";
import { THEMES } from "~/themes";
import { accepts, makeNode, problemOf, strangerIn } from "../..";
import { withFirst } from "../../layouts";
import { placeholdersIn } from "../../placeholders";
import { BLANKS, ownIn, STARTS, startFor, TRADES, type StartGiven } from "..";
import { isAsOpened } from "./untouched";

const content = contentWith([]);
const shop = "Test & Sons";
const about = { to: "page", id: ABOUT };
const given = (trade: string, more: Partial<StartGiven> = {}): StartGiven => ({
  shop,
  trade: TRADES.find((t) => t.id === trade)!,
  picture: () => null,
  product: () => null,
  collections: [],
  about,
  ...more,
});
const full = (trade: string): StartGiven =>
  given(trade, {
    picture: (n) => content.pictures[n % content.pictures.length]!.id,
    product: (n) => content.goods.products[n % content.goods.products.length]!.id,
    collections: content.goods.collections.map((c) => c.id),
  });

const begun = (draft: Draft, trade: string, of = given(trade), theme = "quince"): Outcome => {
  const { home, story, product } = startFor(trade);
  return beginWith(draft, {
    theme: { id: theme, name: theme, brand: {} },
    parts: {
      home: home(of),
      story: story(of),
      product: product(of),
      aboutItem: makeNode("menu-item", { label: "", link: about }),
    },
    words: trade,
    isOwn: ownIn(draft.look.identity.name),
  });
};
const after = (draft: Draft, outcome: Outcome): Draft => {
  if (!outcome.ok) throw new Error(outcome.why);
  const next = applyAll(draft, outcome.transaction.operations);
  if (!next.ok) throw new Error(next.code);
  return next.draft;
};
const headsOf = (draft: Draft, id: string): readonly unknown[] =>
  draft.documents[id]!.root.slots.main!.map((part) => part.props.heading ?? part.kind);
const opened: Draft = withFirst(starterDraft(shop));

describe("what a shop of each trade begins with", () => {
  it("is there for every trade, and for every theme", () => {
    expect(new Set(STARTS.map((s) => s.trade))).toEqual(new Set(TRADES.map((t) => t.id)));
    const themes = new Set(STARTS.flatMap((s) => s.themes));
    expect(themes).toEqual(new Set(THEMES.map((t) => t.id)));
  });

  it("no two begin alike", () => {
    const homes = STARTS.map(({ trade, home }) => JSON.stringify(home(given(trade)).map((p) => [p.kind, p.props])));
    expect(new Set(homes).size).toBe(STARTS.length);
    const first = STARTS.map(({ trade, home }) => plainOf((home(given(trade))[0]!.props.heading ?? "") as never));
    expect(new Set(first).size).toBe(STARTS.length);
  });

  it.each(STARTS.map((s) => [s.trade, s] as const))(
    "for %s is sound, says nothing that is lacking, and is named to the seller",
    (trade, start) => {
      for (const of of [given(trade), full(trade)])
        for (const build of [start.home, start.story, start.product]) {
          const empty = emptyDocument(2, "page", "begun", "Begun");
          const page = { ...empty, root: { ...empty.root, slots: { main: build(of) } } };
          expect(strangerIn(page, page.root)).toBeUndefined();
          for (const section of page.root.slots.main) expect(accepts(page.root, "main", section)).toBe(true);
          for (const part of walk(page.root))
            if (part.kind !== "root") expect(problemOf(part), part.kind).toBeUndefined();
          const look = { ...content.draft.look, identity: { ...content.draft.look.identity, name: shop } };
          const documents = { ...content.draft.documents, [page.id]: page };
          const drawn = renderPage(
            { page: "text", id: page.id },
            { ...content, draft: { look, documents } },
            "http://s.example",
            {
              every: "/a.js",
              goods: "/b.js",
            },
          );
          expect(drawn.broken).toEqual([]);
          for (const blank of BLANKS) expect(drawn.html).not.toContain(`[${blank}]`);
          const told = new Set(placeholdersIn({ look, documents: { [page.id]: page } }).map((p) => p.part.id));
          const speaking = [...walk(page.root)].filter((p) => plainOf((p.props.text ?? "") as never).length >= 12);
          for (const part of speaking) expect([...told], `${trade} ${part.kind}`).toContain(part.id);
        }
    },
  );
});

it("says nothing that layouts say by themselves: it would be named in every shop", () => {
  const told = placeholdersIn(opened).map((p) => `${p.document.id}: ${p.words}`);
  expect(told.filter((each) => !/^(home|about): /.test(each))).toEqual([]);
});

it.each(THEMES.map((t) => [t.id] as const))("in %s its pages need no more than 20 KB of CSS, packed", (theme) => {
  for (const { trade } of STARTS.filter((s) => s.themes.includes(theme))) {
    const { draft, goods } = content;
    const look = { ...draft.look, theme, identity: { ...draft.look.identity, name: shop } };
    const begins = after({ ...draft, look }, begun({ ...draft, look }, trade, full(trade), theme));
    const product = goods.products.find((p) => p.variants.length)!;
    for (const target of [
      { page: "home" },
      { page: "product", product },
      { page: "collection", collection: undefined },
    ] as const) {
      const { css } = renderPage(target, { ...content, draft: begins }, "http://s.example", {
        every: "/a.js",
        goods: "/b.js",
      });
      expect(gzipSync(css).length, `${trade}, ${target.page}`).toBeLessThan(20 * 1024);
    }
  }
});

describe("a shop that is begun", () => {
  it("has the pages of its trade and the theme in one step, which is taken back whole", () => {
    const before = opened;
    const outcome = begun(before, "food");
    const now = after(before, outcome);
    expect(now.look.theme).toBe("quince");
    expect(headsOf(now, "home")[0]).toBe("Put by for you");
    expect(headsOf(now, ABOUT)).toContain("At the stove");
    expect(Object.keys(now.documents)).toEqual(Object.keys(before.documents));
    const places = now.documents.product!.root.slots.main!.map((p) => p.place);
    expect(places).toEqual(["p-way", "p-main", undefined, "p-goes-with", "p-reviews", "p-seen"]);
    if (!outcome.ok) return;
    const back = applyAll(now, invertAll(outcome.transaction.operations));
    expect(back).toEqual({ ok: true, draft: before });
  });

  it("may be begun with another trade, and nothing of the first one is left", () => {
    const once = after(opened, begun(opened, "plants"));
    const twice = after(once, begun(once, "paper"));
    const straight = after(opened, begun(opened, "paper"));
    for (const id of ["home", ABOUT, "product"]) expect(headsOf(twice, id)).toEqual(headsOf(straight, id));
    expect(Object.keys(twice.documents)).toEqual(Object.keys(straight.documents));
  });

  const changed = (draft: Draft, id: string, change: (part: Part) => Part): Draft => {
    const document = draft.documents[id]!;
    const [first, ...rest] = document.root.slots.main!;
    const root = { ...document.root, slots: { main: [change(first!), ...rest] } };
    return { ...draft, documents: { ...draft.documents, [id]: { ...document, root } } };
  };

  it.each([
    ["words", (part: Part): Part => ({ ...part, props: { ...part.props, heading: "Mine" } })],
    ["a measure", (part: Part): Part => ({ ...part, style: { all: { headSize: 6 } } })],
    ["a picture", (part: Part): Part => ({ ...part, props: { ...part.props, picture: "p1" } })],
    ["when it shows", (part: Part): Part => ({ ...part, shown: false })],
  ])("keeps a home page on which the seller changed %s, out of the shop", (_what, change) => {
    const mine = changed(opened, "home", change);
    const now = after(mine, begun(mine, "craft"));
    const kept = Object.values(now.documents).find((d) => d.title === KEPT_HOME)!;
    expect(kept.root.props).toMatchObject({ hidden: true });
    expect(kept.root.slots.main!.map((p) => p.kind)).toEqual(mine.documents.home!.root.slots.main!.map((p) => p.kind));
    expect(headsOf(now, "home")[0]).toBe("Made one at a time");
    const items = [...walk(now.documents[MAIN_MENU]!.root)].map((p) => JSON.stringify(p.props));
    expect(items.join()).not.toContain(kept.id);
  });

  it("leaves what the seller wrote of themselves, and their sections of the product layout, as they are", () => {
    const written = changed(opened, ABOUT, (part) => ({ ...part, props: { ...part.props, text: "I am Ida." } }));
    expect(replacesStory(written.documents, ownIn(shop))).toBe(false);
    const { product } = written.documents;
    const mine = makeNode("text", { heading: "My own" });
    const main = [...product!.root.slots.main!, mine];
    const documents = { ...written.documents, product: { ...product!, root: { ...product!.root, slots: { main } } } };
    const now = after({ ...written, documents }, begun({ ...written, documents }, "body"));
    expect(now.documents[ABOUT]).toEqual(written.documents[ABOUT]);
    expect(now.documents.product!.root.slots.main!.at(-1)).toEqual(mine);
  });

  it("gets a page about them, and a way to it, where it has none", () => {
    const { [ABOUT]: _gone, ...documents } = opened.documents;
    const menu = documents[MAIN_MENU]!;
    const items = menu.root.slots.items!.slice(0, 1);
    const bare = {
      ...opened,
      documents: { ...documents, [MAIN_MENU]: { ...menu, root: { ...menu.root, slots: { items } } } },
    };
    const now = after(bare, begun(bare, "old"));
    expect(headsOf(now, ABOUT)[0]).toBe("The store room");
    expect(now.documents[MAIN_MENU]!.root.slots.items!.at(-1)!.props.link).toEqual(about);
  });

  it("knows a shop that is as it was opened", () => {
    const home = (draft: Draft) => draft.documents.home!.root.slots.main!;
    expect(isAsOpened(shop, home(opened))).toBe(true);
    expect(isAsOpened(shop, home(after(opened, begun(opened, "food"))))).toBe(false);
    expect(isAsOpened(shop, home(opened).slice(1))).toBe(false);
  });
});
