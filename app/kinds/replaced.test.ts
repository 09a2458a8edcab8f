import { describe, expect, it } from "vitest";
import { emptyDocument, freeze, type Draft, type PageDocument, type Part } from "~/core/document";
import { applyAll, invertAll } from "~/core/operations";
import { makeNode } from ".";
import { placeWords, referencesOf, whereUsed } from "./references";
import { replacePicture } from "./replaced";

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
    home: withMain(emptyDocument(2, "page", "home", "Home"), [hero, backed, row], { slug: "", picture: "old" }),
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
    expect(shown(draft).filter((id) => id === "old")).toHaveLength(4);
    expect(shown(applied.draft).filter((id) => id === "old")).toEqual([]);
    expect(shown(applied.draft).filter((id) => id === "new")).toHaveLength(4);
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
