import Ajv from "ajv/dist/2020";
import fc from "fast-check";
import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { FORMATS } from "../../bin/lib/formats";
import { setBrandAll, setDocumentCss, type Outcome } from "~/core/commands";
import { SITE, walk, type Draft, type Json, type PageDocument, type Part } from "~/core/document";
import { applyAll, invertAll } from "~/core/operations";
import { makeNode } from "~/kinds";
import { problemOfChange } from "~/kinds/changes";
import { themeById } from "~/themes";
import { contentWith } from "./fixtures/content";
import { lookFilesOf, planLook, type FoundLook, type LookPlan } from "./look-file";

const after = (draft: Draft, outcome: Outcome): Draft => {
  if (!outcome.ok) throw new Error(outcome.why);
  const next = applyAll(draft, outcome.transaction.operations);
  if (!next.ok) throw new Error(next.code);
  return next.draft;
};
const withMain = (draft: Draft, id: string, change: (main: readonly Part[]) => readonly Part[]): Draft => {
  const document = draft.documents[id]!;
  const root = { ...document.root, slots: { ...document.root.slots, main: change(document.root.slots.main!) } };
  return { ...draft, documents: { ...draft.documents, [id]: { ...document, root } } };
};
const withHeader = (draft: Draft, change: (part: Part) => Part): Draft => {
  const frame = draft.documents.frame!;
  const top = frame.root.slots.top!.map((part) => (part.kind === "header" ? change(part) : part));
  const root = { ...frame.root, slots: { ...frame.root.slots, top } };
  return { ...draft, documents: { ...draft.documents, frame: { ...frame, root } } };
};
const headerOf = (draft: Draft): Part => draft.documents.frame!.root.slots.top!.find((p) => p.kind === "header")!;

const ours = contentWith([]).draft;
const PICTURE = "p-own";
/** A shop that was worked on: another theme, a brand, a header, a layout with a section of its own, CSS. */
function made(): Draft {
  const dressed = { ...ours, look: { ...ours.look, theme: "verbena" } };
  const branded = after(dressed, setBrandAll(dressed, { colour: "#0b6b4a", corners: "square" }, "Brand"));
  const headed = withHeader(branded, (part) => ({
    ...part,
    props: { ...part.props, arrangement: "middle", css: ".part { top: 0 }" },
  }));
  const extra = makeNode("picture-words", {
    heading: "Of another shop",
    picture: PICTURE,
    link: { to: "page", id: "gone" },
  });
  const laid = withMain(headed, "product", (main) => [...main.slice(0, 2), extra, ...main.slice(2)]);
  return after(laid, setDocumentCss(laid, SITE, ".card { color: red }"));
}
const found = (draft: Draft, more: Partial<FoundLook> & { pictures?: readonly string[] } = {}): FoundLook => {
  const { look, tokens, css, pictures } = lookFilesOf(draft, themeById(draft.look.theme));
  const about = pictures.map((id) => ({ id, file: `${id}.webp`, name: id, alt: "A jar", focus: [50, 40] }));
  return {
    look: JSON.stringify({ ...look, pictures: about }),
    tokens,
    css,
    pictures: about.map((p) => p.file),
    ...more,
  };
};
const none = (): null => null;
const planned = (plan: LookPlan) => {
  if (!plan.ok) throw new Error(plan.why);
  return plan;
};

describe("a look in a file", () => {
  it("makes another shop look the same, which keeps what it says", () => {
    const source = made();
    const plan = planned(planLook(found(source), ours, none));
    const outcome = plan.take(ours, new Map([[PICTURE, "p-new"]]), "it");
    const now = after(ours, outcome);
    expect(now.look.theme).toBe("verbena");
    expect(now.look.brand).toEqual(source.look.brand);
    expect(now.look.identity).toEqual(ours.look.identity);
    expect(headerOf(now).props).toEqual({ ...headerOf(ours).props, arrangement: "middle", css: ".part { top: 0 }" });
    expect(now.documents.frame!.root.slots.bottom).toEqual(ours.documents.frame!.root.slots.bottom);
    expect(now.documents[SITE]!.root.props.css).toBe(".card { color: red }");
    const kinds = (draft: Draft) => [...walk(draft.documents.product!.root)].map((p) => p.kind);
    expect(kinds(now)).toEqual(kinds(source));
    expect(problemOfChange(now, outcome.ok ? outcome.transaction.operations : [])).toBeUndefined();
    // Other documents are the same objects.
    for (const id of ["home", "cart", "checkout"]) expect(now.documents[id]).toBe(ours.documents[id]);
    const back = outcome.ok ? applyAll(now, invertAll(outcome.transaction.operations)) : undefined;
    expect(back).toEqual({ ok: true, draft: ours });
  });

  it("brings its pictures, and what led to another shop leads nowhere", () => {
    const plan = planned(planLook(found(made()), ours, none));
    expect(plan.pictures).toEqual([
      { id: PICTURE, file: `${PICTURE}.webp`, name: PICTURE, alt: "A jar", focus: [50, 40] },
    ]);
    const sectionOf = (draft: Draft) =>
      draft.documents.product!.root.slots.main!.find((p) => p.kind === "picture-words")!;
    const now = after(ours, plan.take(ours, new Map([[PICTURE, "p-new"]]), "it"));
    expect(sectionOf(now).props).toMatchObject({ picture: "p-new", link: { to: "nowhere" } });
    expect(plan.left.map((l) => l.why)).toContain("one place of another shop, empty here.");
    // Without the file of a picture, its place is empty.
    const bare = planned(planLook(found(made(), { pictures: [] }), ours, none));
    expect(bare.pictures).toEqual([]);
    expect(sectionOf(after(ours, bare.take(ours, new Map(), "it"))).props.picture).toBeNull();
  });

  it("says what would change, and nothing where all is like that", () => {
    const plan = planned(planLook(found(made()), ours, none));
    expect(plan.changes.map((c) => c.about)).toEqual(["Header", "Layout Product", "Your own CSS"]);
    expect(plan.changes.find((c) => c.about === "Your own CSS")).toMatchObject({ from: "none", to: "one line" });
    const same = planned(planLook(found(ours), ours, none));
    expect(same.changes).toEqual([]);
    expect(same.take(ours, new Map(), "it")).toEqual({ ok: false, why: "The shop looks like that already." });
  });

  it("takes the CSS of a layout along, and says that a part of one holds code", () => {
    const code = makeNode("markup", { html: "<p>Hello</p>" });
    const source = withMain(after(ours, setDocumentCss(ours, "cart", ".x { top: 0 }")), "product", (main) => [
      ...main,
      makeNode("freehand", {}, { slots: { columns: [makeNode("column", {}, { slots: { widgets: [code] } })] } }),
    ]);
    const plan = planned(planLook(found(source), ours, none));
    expect(plan.changes.map((c) => c.about)).toEqual(["Layout Product", "Layout Cart"]);
    expect(plan.changes[0]!.to).toMatch(/, one part of it with code to look through$/);
    const now = after(ours, plan.take(ours, new Map(), "it"));
    expect(now.documents.cart!.root.props.css).toBe(".x { top: 0 }");
    expect(planned(planLook(found(source), now, none)).changes).toEqual([]);
  });

  it("puts a layout back to what every shop has where the file has none of it", () => {
    const mine = withMain(ours, "cart", (main) => main.slice(0, 1));
    const plan = planned(planLook(found(ours), mine, none));
    expect(plan.changes).toEqual([{ about: "Layout Cart", from: "one section", to: "as the theme has it" }]);
    expect(after(mine, plan.take(mine, new Map(), "it")).documents.cart!.root).toEqual(ours.documents.cart!.root);
  });

  const altered = (change: (file: Record<string, Json>) => void): FoundLook => {
    const given = found(made());
    const file = JSON.parse(given.look) as Record<string, Json>;
    change(file);
    return { ...given, look: JSON.stringify(file) };
  };

  it("leaves out what this version does not know, says so, and takes the rest", () => {
    const plan = planned(
      planLook(
        altered((file) => {
          file.theme = "tangelo";
          const layouts = file.layouts as Record<string, Json[]>;
          (layouts.product![2] as Record<string, Json>).kind = "hologram";
        }),
        ours,
        none,
      ),
    );
    expect(plan.theme.id).toBe(ours.look.theme);
    expect(plan.left).toContainEqual({ what: "Theme “tangelo”", why: "There is no such theme. Yours stays." });
    expect(plan.left).toContainEqual({ what: "Layout Product", why: "This version does not know “hologram”." });
    const now = after(ours, plan.take(ours, new Map(), "it"));
    expect([...walk(now.documents.product!.root)].map((p) => p.kind)).not.toContain("hologram");
    expect(headerOf(now).props.arrangement).toBe("middle");
  });

  it("refuses what is no look, what is newer, and a layout that contradicts itself", () => {
    const why = (given: FoundLook) => {
      const plan = planLook(given, ours, none);
      return plan.ok ? undefined : plan.why;
    };
    expect(why(found(ours, { look: "{" }))).toMatch(/look\.json can’t be read/);
    expect(why(altered((file) => void (file.layouts = { attic: [] })))).toMatch(/look\.json can’t be read/);
    expect(why(altered((file) => void (file.version = 2)))).toBe(
      "This look was saved by a newer version of the studio.",
    );
    const twice = planned(
      planLook(
        altered((file) => {
          const { product } = file.layouts as { product: Json[] };
          product.push(product[0]!);
        }),
        ours,
        none,
      ),
    );
    expect(twice.left).toContainEqual({ what: "Layout Product", why: "Two of its parts have the same id." });
    expect(twice.changes.map((c) => c.about)).not.toContain("Layout Product");
    const bare = planned(planLook(found(made(), { tokens: undefined }), ours, none));
    expect(bare.brand).toEqual(ours.look.brand);
    expect(bare.left[0]!.what).toBe("look.tokens.json");
  });

  it("whatever stands in a file: nothing breaks, and what is taken over may be kept", () => {
    const start = JSON.parse(found(made()).look) as Json;
    const places: (readonly (string | number)[])[] = [];
    const gather = (value: Json, path: readonly (string | number)[]): void => {
      if (path.length) places.push(path);
      if (Array.isArray(value)) value.forEach((each, i) => gather(each, [...path, i]));
      else if (typeof value === "object" && value !== null)
        for (const [key, each] of Object.entries(value)) gather(each, [...path, key]);
    };
    gather(start, []);
    fc.assert(
      fc.property(fc.constantFrom(...places), fc.jsonValue(), (path, value) => {
        const file = structuredClone(start) as Record<string, Json>;
        let at: Record<string | number, Json> = file;
        for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, Json>;
        at[path.at(-1)!] = value as Json;
        const plan = planLook({ ...found(made()), look: JSON.stringify(file) }, ours, none);
        if (!plan.ok) return;
        const outcome = plan.take(ours, new Map(), "it");
        if (!outcome.ok) return;
        const now = after(ours, outcome);
        expect(problemOfChange(now, outcome.transaction.operations)).toBeUndefined();
      }),
      { numRuns: 150 },
    );
  });
});

// Draft 2020-12 of JSON Schema, read by a validator that is not ours.
describe("the schemas of files in docs/formats", () => {
  const kept = (name: string): object => JSON.parse(readFileSync(`docs/formats/${name}.schema.json`, "utf8")) as object;
  it.each(Object.keys(FORMATS))("of %s is the one that files are checked with (npm run formats)", (name) => {
    expect(JSON.parse(JSON.stringify(FORMATS[name]!()))).toEqual(kept(name));
  });

  it("accepts what is saved, and nothing that lacks something", () => {
    const ajv = new Ajv({ strict: false, validateFormats: false });
    const look = ajv.compile(kept("look"));
    const file = JSON.parse(found(made()).look) as Record<string, unknown>;
    expect(look(file), JSON.stringify(look.errors)).toBe(true);
    expect(look({ ...file, format: "other" })).toBe(false);
    expect(look({ ...file, around: undefined })).toBe(false);
    const kinds = ajv.compile(kept("kinds"));
    const documents: readonly PageDocument[] = Object.values(ours.documents);
    for (const part of documents.flatMap((d) => [...walk(d.root)]))
      if (part.kind !== "root") expect(kinds({ ...allKinds, [part.kind]: part.props }), part.kind).toBe(true);
    expect(kinds({ ...allKinds, hero: { heading: 7 } })).toBe(false);
  });
  const allKinds = Object.fromEntries(
    Object.keys((kept("kinds") as { properties: object }).properties).map((kind) => [kind, makeNode(kind, {}).props]),
  );
});
