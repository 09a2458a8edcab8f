import { describe, expect, it } from "vitest";
import { freeze, walk, type Draft, type Part } from "~/core/document";
import { plainOf, type Rich } from "~/core/rich";
import { KINDS } from "~/kinds";
import { placeholdersIn } from "~/kinds/placeholders";
import { placeWords } from "~/kinds/references";
import { starterDraft } from "./starter";

const draft = starterDraft("Oda");
const words = (of = draft) => placeholdersIn(of).map((p) => `${placeWords(p)}: ${p.words}`);

function withHero(hero: Part): Draft {
  const home = draft.documents.home!;
  const [, ...rest] = home.root.slots.main!;
  const root = { ...home.root, slots: { main: [hero, ...rest] } };
  return { ...draft, documents: { ...draft.documents, home: { ...home, root } } };
}

describe("words that are still the studio's", () => {
  it("are named with their place until they are written anew, or are not shown", () => {
    const all = words();
    expect(all).toContain("Home › Hero: Take your time. It is good to have you here.");
    const hero = draft.documents.home!.root.slots.main![0]!;
    const written = withHero({ ...hero, props: { ...hero.props, text: "Jam from our own plums." } });
    expect(words(written).length).toBe(all.length - 1);
    expect(words(withHero({ ...hero, shown: false })).some((w) => w.includes("Hero"))).toBe(false);
  });

  it("name every sentence that a kind begins with", () => {
    for (const { definition } of KINDS.values()) {
      const defaults = new Map(Object.entries(definition.defaults));
      for (const key of definition.placeholders ?? []) expect(defaults.has(key), definition.kind).toBe(true);
    }
  });
});

describe("a new shop", () => {
  const texts = [...Object.values(draft.documents)].flatMap((d) =>
    [...walk(d.root)].flatMap(({ props }) =>
      Object.values(props).flatMap((v) =>
        typeof v === "string" || Array.isArray(v) ? [plainOf(v as unknown as Rich)] : [],
      ),
    ),
  );
  // What counts down names its units; that promises nothing.
  const units = /"(?:days|dayWord)":"\w+"/g;
  const defaults = [...KINDS.values()].map((k) => JSON.stringify(k.definition.defaults).replace(units, ""));

  it("gives no instructions, no address that is nobody's, and promises nothing", () => {
    const all = freeze([...texts, ...defaults]).join("\n");
    expect(all).not.toMatch(/one or two sentences|write what|say the one|tell (it|shoppers)|say here|@\w|example/i);
    expect(all).not.toMatch(/\bdays?\b|free delivery|mended|working day|send it back|once a month/i);
  });
});
