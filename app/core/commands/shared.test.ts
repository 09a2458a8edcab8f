import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  emptyDocument,
  freeze,
  placesOfShared,
  sectionOfShared,
  selectable,
  SHARED,
  spread,
  walk,
  type Draft,
  type Part,
} from "../document";
import { applyAll, invertAll } from "../operations";
import {
  duplicateNodes,
  locate,
  makeSeparate,
  moveNode,
  placeShared,
  removeNodes,
  removeShared,
  renameShared,
  setProp,
  shareSection,
  standsOn,
  type Outcome,
} from ".";

const section = (id: string): Part => ({
  id,
  kind: "text",
  props: { text: id },
  style: {},
  conditions: [],
  shown: true,
  slots: { widgets: [{ id: `${id}-in`, kind: "rule", props: {}, style: {}, conditions: [], shown: true, slots: {} }] },
});
const page = (id: string, kind: "page" | "frame", slots: Part["slots"]) => {
  const empty = emptyDocument(2, kind, id, id);
  return { ...empty, root: { ...empty.root, slots } };
};
const start: Draft = freeze({
  look: {
    theme: "pomelo",
    identity: { name: "Shop", tagline: "", logo: { form: "words" as const } },
    brand: {},
    versions: {},
  },
  documents: {
    home: page("home", "page", { main: [section("a"), section("b"), section("c")] }),
    about: page("about", "page", { main: [section("d")] }),
    fair: page("fair", "page", { main: [] }),
    frame: page("frame", "frame", { top: [], bottom: [section("foot")] }),
  },
});

function perform(here: Draft, outcome: Outcome): Draft {
  if (!outcome.ok) throw new Error(outcome.why);
  const result = applyAll(here, outcome.transaction.operations);
  if (!result.ok) throw new Error(result.code);
  // Whatever a command does can be taken back.
  expect(applyAll(result.draft, invertAll(outcome.transaction.operations))).toEqual({ ok: true, draft: here });
  return result.draft;
}
const why = (outcome: Outcome) => (outcome.ok ? undefined : outcome.why);
const drawn = (draft: Draft, id: string, slot = "main") =>
  (spread(draft.documents, draft.documents[id]!).root.slots[slot] ?? []).map((p) => p.id);
const at = (draft: Draft, id: string, index: number) => ({ parent: draft.documents[id]!.root.id, slot: "main", index });
const shareB = () => perform(start, shareSection(start, "b", "Fairs", "s"));
const onAbout = () => {
  const shared = shareB();
  return perform(shared, placeShared(shared, "s", "about", at(shared, "about", 0)));
};

describe("a shared section", () => {
  it("stays where it was made, with its id, and is drawn wherever it was put", () => {
    const shared = shareB();
    expect(drawn(shared, "home")).toEqual(["a", "b", "c"]);
    const two = onAbout();
    expect(drawn(two, "about")).toEqual(["b", "d"]);
    expect(placesOfShared(two.documents, "s").map((p) => p.document.id)).toEqual(["home", "about"]);
    // Edited once: the words are the same on both, and nothing else is drawn anew.
    const changed = perform(two, setProp(two, "b", ["text"], "Next fair: May", "Words"));
    for (const id of ["home", "about"])
      expect(
        spread(changed.documents, changed.documents[id]!).root.slots.main!.find((p) => p.id === "b")?.props.text,
      ).toBe("Next fair: May");
    expect(spread(changed.documents, changed.documents.fair!)).toBe(changed.documents.fair);
    expect(spread(changed.documents, changed.documents.home!)).toBe(spread(changed.documents, changed.documents.home!));
  });

  it("is moved and taken away on one page alone, and copied as a section of its own", () => {
    const two = onAbout();
    const [place] = two.documents.home!.root.slots.main!.filter((p) => p.kind === SHARED);
    expect(drawn(perform(two, moveNode(two, place!.id, 0, "Fairs")), "home")).toEqual(["b", "a", "c"]);
    const gone = perform(two, removeNodes(two, [place!.id], "Fairs"));
    expect([drawn(gone, "home"), drawn(gone, "about")]).toEqual([
      ["a", "c"],
      ["b", "d"],
    ]);
    const copied = perform(two, duplicateNodes(two, [place!.id], "Fairs"));
    const copy = copied.documents.home!.root.slots.main![2]!;
    expect(copy).toMatchObject({ kind: "text", props: { text: "b" } });
    expect(copy.id).not.toBe("b");
    expect(selectable(two.documents, place!.id)).toBe("b");
    expect(selectable(two.documents, "b-in")).toBe("b-in");
  });

  it("can be made separate on one page, or everywhere, or be removed everywhere", () => {
    const two = onAbout();
    const place = placesOfShared(two.documents, "s").find((p) => p.document.id === "about")!;
    const apart = perform(two, makeSeparate(two, place.part.id));
    const own = apart.documents.about!.root.slots.main![0]!;
    expect(own).toMatchObject({ kind: "text", props: { text: "b" } });
    expect(drawn(apart, "home")).toEqual(["a", "b", "c"]);
    const all = perform(two, removeShared(two, "s", true));
    expect(all.documents.s).toBeUndefined();
    expect(drawn(all, "home")).toHaveLength(3);
    expect(drawn(all, "about")).toHaveLength(2);
    const none = perform(two, removeShared(two, "s", false));
    expect([drawn(none, "home"), drawn(none, "about")]).toEqual([["a", "c"], ["d"]]);
  });

  it("stands once on what a page shows, header and footer among it", () => {
    const two = onAbout();
    expect(why(placeShared(two, "s", "home", at(two, "home", 0)))).toContain("stands on this page already");
    expect(
      why(placeShared(two, "s", "frame", { parent: two.documents.frame!.root.id, slot: "top", index: 0 })),
    ).toContain("single pages");
    const shared = perform(start, shareSection(start, "foot", "Opening hours", "f"));
    expect(drawn(shared, "frame", "bottom")).toEqual(["foot"]);
    expect(why(placeShared(shared, "f", "fair", at(shared, "fair", 0)))).toContain("already");
    expect(standsOn(shared, "f", "home")).toBe(true);
  });

  it("refuses what makes no sense, in words", () => {
    const shared = shareB();
    expect(why(shareSection(start, "b-in", "In it"))).toBe("Choose a section first.");
    expect(why(shareSection(shared, "b", "Again"))).toBe("It is shared already.");
    expect(why(shareSection(shared, "a", " fairs "))).toContain("already");
    expect(why(shareSection(shared, "a", "  "))).toContain("Give it a name");
    expect(why(renameShared(shared, "s", "Fairs"))).toContain("called that already");
    expect(why(placeShared(shared, "no", "about", at(shared, "about", 0)))).toContain("no longer there");
    expect(why(removeShared(shared, "home", true))).toContain("no longer there");
    expect(perform(shared, renameShared(shared, "s", "Markets")).documents.s?.title).toBe("Markets");
  });

  it("is seen where it can't be found", () => {
    const two = onAbout();
    const { s: _gone, ...rest } = two.documents;
    const kinds = spread(rest, rest.about!).root.slots.main!.map((p) => p.kind);
    expect(kinds).toEqual([SHARED, "text"]);
  });
});

it("keeps every id once and every place led somewhere, whatever is done in whatever order", () => {
  const step = fc.record({
    what: fc.constantFrom("share", "place", "separate", "remove", "keep", "duplicate", "take"),
    which: fc.nat(20),
    page: fc.constantFrom("home", "about", "fair", "frame"),
  });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
      let draft = start;
      steps.forEach(({ what, which, page: id }, i) => {
        const root = draft.documents[id]!.root;
        const slot = id === "frame" ? "bottom" : "main";
        const inside = root.slots[slot] ?? [];
        const part = inside[which % Math.max(1, inside.length)];
        const all = Object.values(draft.documents).filter((d) => d.kind === "shared");
        const shared = all[which % Math.max(1, all.length)]?.id ?? "none";
        const outcome = {
          share: () => shareSection(draft, part?.id ?? "none", `Name ${i}`, `s${i}`),
          place: () => placeShared(draft, shared, id, { parent: root.id, slot, index: 0 }),
          separate: () => makeSeparate(draft, part?.id ?? "none"),
          remove: () => removeShared(draft, shared, false),
          keep: () => removeShared(draft, shared, true),
          duplicate: () => duplicateNodes(draft, part ? [part.id] : [], "it"),
          take: () => removeNodes(draft, part ? [part.id] : [], "it"),
        }[what]();
        if (outcome.ok) draft = perform(draft, outcome);
      });
      const ids = Object.values(draft.documents).flatMap((d) => [...walk(d.root)].map((p) => p.id));
      expect(new Set(ids).size).toBe(ids.length);
      for (const document of Object.values(draft.documents)) {
        // A frame and a page together show nothing twice.
        const seen = [document.id, "frame"].flatMap((id) =>
          Object.values(spread(draft.documents, draft.documents[id]!).root.slots)
            .flat()
            .map((p) => p.id),
        );
        if (document.kind === "page") expect(new Set(seen).size).toBe(seen.length);
        for (const part of Object.values(document.root.slots).flat())
          if (part.kind === SHARED) expect(sectionOfShared(draft.documents, String(part.props.of))).toBeDefined();
        if (document.kind === "shared") expect(document.root.slots.main).toHaveLength(1);
      }
      expect(locate(draft, "nothing")).toBeUndefined();
    }),
    { seed: 14, numRuns: 300 },
  );
});
