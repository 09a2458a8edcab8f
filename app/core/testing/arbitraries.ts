import fc from "fast-check";
import { freeze, ROOT_SLOTS, type Draft, type Json, type Node } from "../document";
import { absent, applyAll, type Operation } from "../operations";
import { held, readAt } from "../operations";
import { placeOf, walk } from "../document";

// Made-up drafts and changes for property tests.

const word = fc.stringMatching(/^[a-z]{1,6}$/);
export const json: fc.Arbitrary<Json> = fc.jsonValue({ maxDepth: 2 }).map((v) => JSON.parse(JSON.stringify(v)) as Json);

const node = (id: string): fc.Arbitrary<Node> =>
  fc.record({
    id: fc.constant(id),
    kind: fc.constantFrom("hero", "text", "product-grid"),
    props: fc.dictionary(word, json, { maxKeys: 3, noNullPrototype: true }),
    style: fc.record(
      { all: fc.dictionary(word, fc.integer(), { minKeys: 1, maxKeys: 2, noNullPrototype: true }) },
      { requiredKeys: [] },
    ),
    conditions: fc.constant([]),
    shown: fc.boolean(),
    slots: fc.constant({}),
  });

const rootOf = (id: string, slots: Record<string, readonly Node[]>): Node => ({
  id,
  kind: "root",
  props: {},
  style: {},
  conditions: [],
  shown: true,
  slots,
});

/** A draft with a frame and a home page of up to six sections. */
export const draft: fc.Arbitrary<Draft> = fc.integer({ min: 1, max: 6 }).chain((count) =>
  fc
    .tuple(fc.tuple(...Array.from({ length: count }, (_, i) => node(`n${i}`))), node("top1"), node("bottom1"))
    .map(([main, top, bottom]) =>
      freeze({
        look: { theme: "pomelo", identity: { name: "Shop", tagline: "", logo: { form: "words" as const } }, brand: {} },
        documents: {
          frame: {
            schemaVersion: 2,
            id: "frame",
            kind: "frame" as const,
            title: "Every page",
            root: rootOf("fr", { top: [top], bottom: [bottom] }),
          },
          home: { schemaVersion: 2, id: "home", kind: "page" as const, title: "Home", root: rootOf("hr", { main }) },
        },
      }),
    ),
);

/** A change that fits the draft, chosen by three numbers. */
export function changeOf(
  here: Draft,
  [pick, what, where]: readonly [number, number, number],
  value: Json,
): Operation | undefined {
  const { root } = here.documents.home!;
  const all = [...walk(root)].filter((n) => n.id !== root.id);
  const chosen = all[pick % Math.max(1, all.length)];
  const count = root.slots[ROOT_SLOTS.page[0]!]!.length;
  const insert = (): Operation => ({
    type: "insertNode",
    document: "home",
    to: { parent: root.id, slot: "main", index: where % (count + 1) },
    node: {
      id: `x${pick}-${what}-${where}`,
      kind: "text",
      props: { text: value },
      style: {},
      conditions: [],
      shown: true,
      slots: {},
    },
  });
  if (!chosen) return insert();
  const place = placeOf(root, chosen.id)!;
  const prop = (["a", "b", "heading"] as const)[where % 3]!;
  switch (what % 7) {
    case 0:
      return all.some((n) => n.id === `x${pick}-${what}-${where}`) ? undefined : insert();
    case 1:
      return { type: "removeNode", document: "home", from: place, node: chosen };
    case 2:
      return {
        type: "moveNode",
        document: "home",
        node: chosen.id,
        from: place,
        to: { ...place, index: where % count },
      };
    case 3:
      return {
        type: "setProp",
        document: "home",
        node: chosen.id,
        path: [prop],
        before: held(readAt(chosen.props, [prop])),
        after: where % 4 ? { is: value } : absent,
      };
    case 4: {
      const audience = (["all", "phone", "wide"] as const)[where % 3]!;
      return {
        type: "setStyle",
        document: "home",
        node: chosen.id,
        audience,
        property: "align",
        before: held(chosen.style[audience]?.align),
        after: where % 5 ? { is: `v${where}` } : absent,
      };
    }
    case 5:
      return { type: "setShown", document: "home", node: chosen.id, before: chosen.shown, after: !chosen.shown };
    default:
      return {
        type: "setLook",
        path: ["brand", "colour"],
        before: held(readAt(here.look as unknown as Json, ["brand", "colour"])),
        after: where % 3 ? { is: `#${String(100000 + (where % 899999))}` } : absent,
      };
  }
}

export const steps = fc.array(fc.tuple(fc.tuple(fc.nat(1000), fc.nat(1000), fc.nat(1000)), json), {
  minLength: 1,
  maxLength: 25,
});

/** Carries out a run of changes, skipping those that don't fit. */
export function carryOut(
  start: Draft,
  run: readonly (readonly [readonly [number, number, number], Json])[],
): { draft: Draft; operations: Operation[] } {
  let here = start;
  const operations: Operation[] = [];
  for (const [numbers, value] of run) {
    const operation = changeOf(here, numbers, value);
    const result = operation && applyAll(here, [operation]);
    if (operation && result?.ok) {
      here = result.draft;
      operations.push(operation);
    }
  }
  return { draft: here, operations };
}
