import { describe, expect, it } from "vitest";
import { emptyDocument, freeze, type Draft, type PageDocument, type Part } from "~/core/document";
import { applyAll, invertAll } from "~/core/operations";
import type { Goods } from "~/core/goods";
import { ownLink } from "~/core/schema";
import { makeNode } from ".";
import { filesIn, placeWords, referencesOf, shownFiles, whereUsed } from "./references";
import { replacePicture, withFileAgain, withoutFile } from "./replaced";

const withMain = (document: PageDocument, parts: readonly Part[], props: object = {}): PageDocument => ({
  ...document,
  root: {
    ...document.root,
    props: { ...document.root.props, ...props },
    slots: { ...document.root.slots, main: parts },
  },
});

const hero = makeNode("hero", { picture: "old" });
const backed = { ...makeNode("text"), props: { ...makeNode("text").props, backdrop: "old" } };
const row = makeNode("pictures", {
  pictures: [
    { picture: "other", caption: "", link: { to: "nowhere" } },
    { picture: "old", caption: "A", link: { to: "file", id: "old" } },
  ],
});
const draft: Draft = freeze({
  look: {
    theme: "pomelo",
    identity: {
      name: "S",
      tagline: "",
      logo: { form: "picture", picture: "mark", onDark: "old", height: 40 },
      icon: "old",
    },
    brand: {},
    versions: {},
  },
  documents: {
    home: withMain(emptyDocument(2, "page", "home", "Home"), [hero, backed, row], {
      slug: "",
      picture: "old",
      own: { view: "picture:old" },
    }),
    about: withMain(emptyDocument(2, "page", "about", "About"), [makeNode("hero", { picture: "other" })]),
  },
} as unknown as Draft);

const shown = ({ documents }: Draft) =>
  Object.values(documents)
    .flatMap(referencesOf)
    .filter((r) => r.to === "picture")
    .map((r) => r.id);

describe("a picture that is replaced everywhere", () => {
  const outcome = replacePicture(draft, "old", "new", "Kite");
  const operations = outcome.ok ? outcome.transaction.operations : [];
  const applied = applyAll(draft, operations);

  it("is the new one in sections, behind words, in lists, with what is shared, as logo and icon", () => {
    if (!applied.ok) throw new Error(applied.code);
    expect(shown(draft).filter((id) => id === "old")).toHaveLength(5);
    expect(shown(applied.draft).filter((id) => id === "old")).toEqual([]);
    expect(shown(applied.draft).filter((id) => id === "new")).toHaveLength(5);
    expect(applied.draft.look.identity).toMatchObject({
      logo: { picture: "mark", onDark: "new", height: 40 },
      icon: "new",
    });
    // A link to a file leads where it led.
    expect(applied.draft.documents.home!.root.slots.main![2]!.props.pictures).toMatchObject([
      { picture: "other" },
      { picture: "new", caption: "A", link: { to: "file", id: "old" } },
    ]);
  });

  it("leaves what shows others alone, and is taken back in one step", () => {
    if (!applied.ok) throw new Error(applied.code);
    expect(applied.draft.documents.about).toBe(draft.documents.about);
    const back = applyAll(applied.draft, invertAll(operations));
    expect(back.ok && back.draft).toEqual(draft);
    expect(outcome.ok && outcome.transaction.label).toBe("“Kite” replaced everywhere");
  });

  it("that stands nowhere is said to", () => {
    expect(replacePicture(draft, "nowhere", "new", "x")).toEqual({
      ok: false,
      why: "It stands nowhere on your pages.",
    });
  });

  it("is found where it is shared with a page's link", () => {
    const uses = whereUsed(draft, (r) => r.to === "picture" && r.id === "old").map(placeWords);
    expect(uses).toContain("Home › what is shared");
  });
});

describe("a film or a document that is taken away everywhere", () => {
  const film = `${"a".repeat(64)}.webm`;
  const pdf = `${"b".repeat(64)}.pdf`;
  const behind = { ...makeNode("hero"), props: { ...makeNode("hero").props, groundFilm: film } };
  const sheet = { to: "document", file: pdf, name: "Sizes" } as const;
  const text = makeNode("heading", { text: [{ type: "text", text: "Sizes" }] });
  const with1 = withMain(
    emptyDocument(2, "page", "home", "Home"),
    [behind, makeNode("film", { film }), makeNode("button", { label: "Sizes", link: sheet }), text],
    { own: { sheet: ownLink(sheet), place: "Whitby" } },
  );
  const shop: Draft = freeze({ ...draft, documents: { home: with1 } });

  it.each([
    [film, 2],
    [pdf, 2],
  ])("%s goes from its %i places in one step, and comes back whole", (file, count) => {
    const outcome = withoutFile(shop, file, "It");
    if (!outcome.ok) throw new Error(outcome.why);
    expect(outcome.transaction.operations).toHaveLength(count);
    const applied = applyAll(shop, outcome.transaction.operations);
    if (!applied.ok) throw new Error("not applied");
    const after = applied.draft;
    expect(filesIn(after).has(file)).toBe(false);
    expect(filesIn(after).size).toBe(1);
    const back = withFileAgain(outcome.transaction, "It");
    if (!back.ok) throw new Error(back.why);
    expect(applyAll(after, back.transaction.operations)).toMatchObject({ ok: true, draft: shop });
  });

  it("is refused where it stands nowhere", () => {
    expect(withoutFile(shop, `${"c".repeat(64)}.pdf`, "It")).toMatchObject({ ok: false });
  });

  it("is asked for by goods as well", () => {
    const manual = `${"c".repeat(64)}.pdf`;
    const products = [
      { own: {}, video: { file: "x.mp4", after: 1 } },
      { own: { manual: ownLink({ to: "document", file: manual, name: "Manual" }) }, video: null },
    ] as unknown as Goods["products"];
    expect([...shownFiles({ draft: shop, goods: { products } })].toSorted()).toEqual(
      [film, pdf, manual, "x.mp4"].toSorted(),
    );
  });
});
