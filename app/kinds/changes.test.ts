import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { emptyDocument, freeze, walk, type Draft, type Json, type Part } from "~/core/document";
import { applyAll, type Operation } from "~/core/operations";
import { DOCUMENT_VERSION, MOST_IN_SLOT, readLook, transactionSchema } from "~/core/schema";
import { json } from "~/core/fixtures/arbitraries";
import { KINDS, makeNode } from ".";
import { problemOfChange } from "./changes";
import { readPage } from "./reading";

const page = (id: string, sections: readonly Part[]) => {
  const document = emptyDocument(DOCUMENT_VERSION, id === "frame" ? "frame" : "page", id, id);
  return id === "frame"
    ? document
    : { ...document, root: { ...document.root, slots: { ...document.root.slots, main: sections } } };
};
const draftOf = (sections: readonly Part[]): Draft =>
  freeze({
    look: {
      theme: "pomelo",
      identity: { name: "Shop", tagline: "", logo: { form: "words" } },
      brand: {},
      versions: {},
    },
    documents: { frame: page("frame", []), home: page("home", sections) },
  });
const hero = (id: string) => makeNode("hero", {}, { id });
const start = draftOf([hero("a"), makeNode("text", {}, { id: "b" })]);

/** What the studio and the server do with a change, one after the other: the same code. */
function accepted(draft: Draft, operations: readonly Operation[]): Draft | undefined {
  const sent = { id: "t", group: "g", intent: "x", label: "x", operations };
  if (!transactionSchema.safeParse(JSON.parse(JSON.stringify(sent))).success) return undefined;
  const applied = applyAll(draft, operations);
  return applied.ok && problemOfChange(applied.draft, operations) === undefined ? applied.draft : undefined;
}

const names = fc.constantFrom(
  "heading",
  "text",
  "items",
  "0",
  "constructor",
  "__proto__",
  "x".repeat(61),
  "x".repeat(59),
  "css",
  "anchor",
);
const nasty: fc.Arbitrary<Json> = fc.oneof(
  json,
  fc.constantFrom<Json>(
    "x".repeat(20_001),
    "x".repeat(300),
    Array.from({ length: 5_001 }, () => 0),
    null,
    true,
    1e308,
    {
      ["y".repeat(81)]: 1,
    },
  ),
);
const ids = fc.constantFrom("a", "b", "c", "home", "HOME", "look", "LOOK", "frame", "constructor", "d");
const parts: fc.Arbitrary<Part> = fc
  .tuple(fc.constantFrom(...KINDS.keys(), "unheard-of"), ids, fc.integer({ min: 0, max: 12_000 }), fc.boolean())
  .map(([kind, id, version, plain]) =>
    plain && KINDS.has(kind) ? makeNode(kind, {}, { id }) : { ...makeNode("hero", {}, { id }), kind, version },
  );
const operations: fc.Arbitrary<Operation> = fc.oneof(
  fc.record({
    type: fc.constant("setProp" as const),
    document: fc.constant("home"),
    node: ids,
    path: fc.array(names, { minLength: 1, maxLength: 3 }),
    before: fc.constant({ absent: true } as const),
    after: nasty.map((is) => ({ is })),
  }),
  fc.record({
    type: fc.constant("setStyle" as const),
    document: fc.constant("home"),
    node: ids,
    audience: fc.constantFrom("all" as const, "phone" as const),
    property: names,
    before: fc.constant({ absent: true } as const),
    after: fc.constantFrom<string | number | boolean>("x".repeat(401), "left", 3, true, "fixed").map((is) => ({ is })),
  }),
  fc.record({
    type: fc.constant("insertNode" as const),
    document: fc.constantFrom("home", "frame"),
    to: fc.record({
      parent: fc.constantFrom("home-root", "a", "b"),
      slot: names,
      index: fc.integer({ min: 0, max: 3 }),
    }),
    node: parts,
  }),
  fc.record({
    type: fc.constant("setTitle" as const),
    document: fc.constant("home"),
    before: fc.constant("home"),
    after: fc.constantFrom("", " ", "x".repeat(300), "Ünï", "x"),
  }),
  fc.record({
    type: fc.constant("setLook" as const),
    path: fc.array(fc.constantFrom("brand", "identity", "name", "colour", "theme", "__proto__", "versions"), {
      minLength: 1,
      maxLength: 3,
    }),
    before: fc.constant({ absent: true } as const),
    after: nasty.map((is) => ({ is })),
  }),
  fc.record({
    type: fc.constantFrom("addDocument" as const, "removeDocument" as const),
    added: fc
      .tuple(ids, fc.constantFrom(1, 2, 3, 99), fc.array(parts, { maxLength: 2 }))
      .map(([id, schemaVersion, sections]) => ({ ...page(id, sections), schemaVersion })),
  }),
);

describe("what is accepted", () => {
  it("is read again just as it is, whatever was sent", () => {
    let count = 0;
    fc.assert(
      fc.property(fc.array(operations, { minLength: 1, maxLength: 4 }), (sent) => {
        const next = accepted(start, sent);
        if (!next) return;
        count++;
        const stored = JSON.parse(JSON.stringify(next)) as Draft;
        for (const [id, document] of Object.entries(next.documents)) {
          const read = readPage(stored.documents[id]);
          expect(read.ok && JSON.parse(JSON.stringify(read.document))).toEqual(JSON.parse(JSON.stringify(document)));
        }
        expect(readLook(stored.look)).toEqual({ look: next.look, unread: {} });
        expect(next.documents.home && next.documents.frame).toBeDefined();
      }),
      { seed: 12, numRuns: 4_000 },
    );
    // Otherwise nothing of this was tried.
    expect(count).toBeGreaterThan(100);
  });

  it.each([
    ["a page that every shop has is removed", { type: "removeDocument", added: start.documents.home! }],
    ["what stands on every page is removed", { type: "removeDocument", added: start.documents.frame! }],
    ["a page is named like one in capital letters", { type: "addDocument", added: page("HOME", []) }],
    ["a page takes the place of the look", { type: "addDocument", added: page("look", []) }],
    ["a page takes the place of the look, in capital letters", { type: "addDocument", added: page("Look", []) }],
    ["a page is named as every object is", { type: "addDocument", added: page("constructor", []) }],
    ["a page is of a version to come", { type: "addDocument", added: { ...page("x", []), schemaVersion: 99 } }],
  ] as const)("is nothing by which %s", (_what, operation) => {
    expect(accepted(start, [operation as unknown as Operation])).toBeUndefined();
  });
});

describe("a page that holds more than it may", () => {
  const full = draftOf(Array.from({ length: MOST_IN_SLOT + 40 }, (_, i) => hero(`s${i}`)));
  const sections = (draft: Draft | undefined) => draft?.documents.home?.root.slots.main?.length;
  const place = (index: number) => ({ parent: full.documents.home!.root.id, slot: "main", index });

  it("is read", () => expect(readPage(JSON.parse(JSON.stringify(full.documents.home)))).toMatchObject({ ok: true }));

  it("loses what is taken out of it, and everything else about it may change; nothing is added", () => {
    const last = [...walk(full.documents.home!.root)].at(-1)!;
    const fewer = accepted(full, [
      { type: "removeNode", document: "home", from: place(MOST_IN_SLOT + 39), node: last },
    ]);
    expect(sections(fewer)).toBe(MOST_IN_SLOT + 39);
    const title: Operation = { type: "setTitle", document: "home", before: "home", after: "Home" };
    expect(accepted(full, [title])?.documents.home?.title).toBe("Home");
    expect(
      accepted(full, [{ type: "insertNode", document: "home", to: place(0), node: hero("more") }]),
    ).toBeUndefined();
  });
});
