import { describe, expect, it } from "vitest";
import { removeMenu, removePage, type Outcome } from "~/core/commands";
import {
  emptyDocument,
  freeze,
  MAIN_MENU,
  SITE,
  walk,
  type Draft,
  type PageDocument,
  type Part,
} from "~/core/document";
import { applyAll, invertAll } from "~/core/operations";
import { makeNode } from ".";
import { leadElsewhere, leadingTo, withoutMenu } from "./leading";
import { placeWords, referencesOf } from "./references";

const with_ = (document: PageDocument, slot: string, parts: readonly Part[]): PageDocument => ({
  ...document,
  root: { ...document.root, slots: { ...document.root.slots, [slot]: parts } },
});
const page = (id: string, main: readonly Part[] = []) =>
  with_(emptyDocument(2, "page", id, `Page ${id}`), "main", main);
const item = (id: string, items: readonly Part[] = []) =>
  makeNode("menu-item", { link: { to: "page", id } }, items.length ? { slots: { items } } : {});

const draft: Draft = freeze({
  look: { theme: "pomelo", identity: { name: "S", tagline: "", logo: { form: "words" } }, brand: {}, versions: {} },
  documents: {
    frame: with_(emptyDocument(2, "frame", "frame", "Every page"), "top", [
      makeNode("header"),
      makeNode("notice", {
        messages: [{ sign: "", text: "Look", until: "", more: "here", link: { to: "page", id: "fair" } }],
      }),
    ]),
    [SITE]: emptyDocument(2, "site", SITE, "The shop"),
    [MAIN_MENU]: with_(emptyDocument(2, "menu", MAIN_MENU, "Main menu"), "items", [
      item("fair"),
      item("about"),
      item("fair", [item("about"), item("fair")]),
    ]),
    home: page("home", [
      makeNode("hero", {
        link: { to: "place", page: "fair", name: "top" },
        text: {
          type: "doc",
          content: [
            {
              type: "paragraph",
              content: [
                { type: "text", text: "go", marks: [{ type: "link", attrs: { link: { to: "page", id: "fair" } } }] },
              ],
            },
          ],
        },
      }),
    ]),
    about: page("about"),
    fair: page("fair", [makeNode("hero", { link: { to: "page", id: "fair" } })]),
  },
});
const after = (outcome: Outcome): Draft => {
  if (!outcome.ok) throw new Error(outcome.why);
  const applied = applyAll(draft, outcome.transaction.operations);
  if (!applied.ok) throw new Error(`${applied.code} ${applied.at}`);
  const back = applyAll(applied.draft, invertAll(outcome.transaction.operations));
  expect(back.ok && back.draft).toEqual(draft);
  return applied.draft;
};
const toPage = (d: Draft, id: string) =>
  Object.values(d.documents)
    .flatMap(referencesOf)
    .filter((r) => r.to === "page" && r.id === id).length;

describe("a page that goes", () => {
  it("has everything named that leads to it, but what it has itself", () => {
    expect([...new Set(leadingTo(draft, "fair").map(placeWords))]).toEqual([
      "Every page › Notice strip",
      "Main menu › Menu item",
      "Page home › Hero",
    ]);
  });

  it("takes items of menus along that would lead nowhere; those that hold others, and words, stay", () => {
    const next = after(removePage(draft, "fair", leadElsewhere(draft, "fair", null)));
    expect(toPage(next, "fair")).toBe(0);
    const items = [...walk(next.documents[MAIN_MENU]!.root)].filter((p) => p.kind === "menu-item");
    expect(items.map((p) => p.props.link)).toEqual([
      { to: "page", id: "about" },
      { to: "nowhere" },
      { to: "page", id: "about" },
    ]);
    expect(JSON.stringify(next.documents.home)).toContain('"text":"go"');
  });

  it("can have another one in its place, wherever it was led to", () => {
    const before = [toPage(draft, "about"), toPage(draft, "fair")];
    const next = after(removePage(draft, "fair", leadElsewhere(draft, "fair", "about")));
    // The one that it had to itself is gone with it.
    expect(toPage(next, "about")).toBe(before[0]! + before[1]! - 1);
    expect(next.documents.home!.root.slots.main![0]!.props.link).toEqual({ to: "place", page: "about", name: "top" });
  });
});

it("a menu that goes leaves the headers that showed it without one", () => {
  const other = { ...draft.documents[MAIN_MENU]!, id: "other", title: "Other" };
  const more: Draft = freeze({
    ...draft,
    documents: {
      ...draft.documents,
      other,
      frame: with_(draft.documents.frame!, "bottom", [makeNode("footer", { menus: [{ heading: "", menu: "other" }] })]),
    },
  });
  const outcome = removeMenu(more, "other", withoutMenu(more, "other"));
  const applied = outcome.ok && applyAll(more, outcome.transaction.operations);
  expect(applied && applied.ok && applied.draft.documents.frame!.root.slots.bottom![0]!.props.menus).toEqual([
    { heading: "", menu: "" },
  ]);
  expect(removeMenu(more, MAIN_MENU)).toMatchObject({ ok: false });
});
