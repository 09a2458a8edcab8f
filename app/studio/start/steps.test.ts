import { describe, expect, it } from "vitest";
import { setBrand, setLogo, setProp, addNode, type Outcome } from "~/core/commands";
import { MAIN_MENU, type Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import { applyAll } from "~/core/operations";
import { makeNode } from "~/kinds";
import { withFirst } from "~/kinds/layouts";
import { contentWith } from "~/render/fixtures/content";
import { nextSteps } from "./steps";

const after = (draft: Draft, outcome: Outcome): Draft => {
  if (!outcome.ok) throw new Error(outcome.why);
  const applied = applyAll(draft, outcome.transaction.operations);
  if (!applied.ok) throw new Error(applied.code);
  return applied.draft;
};
const { goods, draft: full } = contentWith([]);
const empty: Goods = { ...goods, products: [], collections: [] };
const hero = makeNode("hero");
const fresh = withFirst({
  look: { theme: "pomelo", identity: { name: "S", tagline: "", logo: { form: "words" } }, brand: {}, versions: {} },
  documents: {
    frame: full.documents.frame!,
    home: { ...full.documents.home!, root: { ...full.documents.home!.root, slots: { main: [hero] } } },
  },
});
const done = (draft: Draft, of = empty, published?: Draft) =>
  nextSteps(draft, of, published)
    .filter((s) => s.done)
    .map((s) => s.id);

describe("what is next for a new shop", () => {
  it("is everything at first, and ticks itself off as the shop says so itself", () => {
    expect(done(fresh)).toEqual([]);
    let draft = after(fresh, setLogo(fresh, { form: "sign", sign: "kite" }));
    expect(done(draft)).toEqual(["logo"]);
    draft = after(draft, setBrand(draft, "colour", "#225577"));
    expect(done(draft)).toEqual(["logo", "colours"]);
    expect(done(draft, goods)).toEqual(["logo", "colours", "goods"]);
    const menu = draft.documents[MAIN_MENU]!;
    const to = { parent: menu.root.id, slot: "items", index: 0 };
    const item = (link: object) => makeNode("menu-item", { link: link as never });
    draft = after(draft, addNode(draft, MAIN_MENU, to, item({ to: "home" }), "Item"));
    expect(done(draft)).not.toContain("menu");
    draft = after(draft, addNode(draft, MAIN_MENU, to, item({ to: "collection", id: "one" }), "Item"));
    expect(done(draft)).toContain("menu");
    // The studio's own words are not the seller's, whichever of them are left.
    draft = after(draft, setProp(draft, hero.id, ["heading"], "Made for wind and weather", "Words"));
    expect(done(draft)).not.toContain("home");
    draft = after(draft, setProp(draft, hero.id, ["text"], "By the two of us, up in the loft", "Words"));
    expect(done(draft)).toContain("home");
    expect(done(draft, goods, fresh)).toHaveLength(6);
  });
});
