import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  addDocument,
  beginningWith,
  createWordIndex,
  nearTo,
  rarity,
  removeDocument,
  type WordIndex,
} from "./word-index";

const indexOf = (...documents: readonly (readonly string[])[]): WordIndex => {
  const index = createWordIndex(1);
  documents.forEach((words, i) => addDocument(index, `d${i}`, [words], [1]));
  return index;
};
const wordsOf = (entries: readonly { readonly word: string }[]) => entries.map((e) => e.word);

/** Levenshtein's distance by its definition, letter by letter. */
function distance(a: string, b: string): number {
  if (a === "" || b === "") return a.length + b.length;
  const rest = distance(a.slice(1), b.slice(1));
  return a[0] === b[0] ? rest : 1 + Math.min(rest, distance(a.slice(1), b), distance(a, b.slice(1)));
}

const word = fc.string({ unit: fc.constantFrom("a", "b", "c"), minLength: 1, maxLength: 5 });

describe("words like another one", () => {
  it.each([
    // Worked examples of the algorithm (Wagner and Fischer 1974; as encyclopaedias have them).
    ["kitten", "sitting", 3],
    ["saturday", "sunday", 3],
    ["flaw", "lawn", 2],
    ["kite", "kite", 0],
  ])("%s is %s but for %i letters", (a, b, letters) => {
    expect(nearTo(indexOf([b]), a, 3).map((n) => n.distance)).toEqual([letters]);
    if (letters > 0) expect(nearTo(indexOf([b]), a, letters - 1)).toEqual([]);
  });

  it("are those that the definition says, whatever else there is", () => {
    fc.assert(
      fc.property(fc.array(word, { maxLength: 14 }), word, fc.nat(3), (words, sought, most) => {
        const wanted = [...new Set(words)].filter((w) => distance(w, sought) <= most).toSorted();
        const found = nearTo(indexOf(words), sought, most);
        expect(found.map((n) => n.entry.word)).toEqual(wanted);
        for (const { entry, distance: d } of found) expect(d).toBe(distance(entry.word, sought));
      }),
      { seed: 5, numRuns: 400 },
    );
  });
});

describe("an index of words", () => {
  it("finds the words that begin with letters, in their order, also those that came later", () => {
    const index = indexOf(["kite", "kitemark", "line"], ["kit"]);
    expect(wordsOf(beginningWith(index, "kit"))).toEqual(["kit", "kite", "kitemark"]);
    addDocument(index, "late", [["kitchen", "zebra"]], [1]);
    expect(wordsOf(beginningWith(index, "kit"))).toEqual(["kit", "kitchen", "kite", "kitemark"]);
    expect(beginningWith(index, "x")).toEqual([]);
  });

  it("weighs a word as BM25 does: more of it more, but less and less, and less in a long text", () => {
    const weight = (words: readonly string[]) => {
      const index = indexOf(words);
      return index.entries.get("a")!.weights[0]!;
    };
    // One text alone is as long as texts are: (k1 + 1) tf / (tf + k1), with k1 = 1.2.
    expect(weight(["a"])).toBeCloseTo(1);
    expect(weight(["a", "a"])).toBeCloseTo(4.4 / 3.2);
    const index = indexOf(["a", "x", "x", "x"], ["a"]);
    const [long, short] = index.entries.get("a")!.weights;
    expect(short).toBeGreaterThan(long!);
    // Of two documents one has it: ln(1 + 1.5 / 1.5).
    expect(rarity(index, index.entries.get("x")!)).toBeCloseTo(Math.log(2));
  });

  it("is, after any coming and going, what it would be from scratch", () => {
    const step = fc.record({ id: fc.constantFrom("p", "q", "r", "s"), words: fc.array(word, { maxLength: 3 }) });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), word, (steps, sought) => {
        const index = createWordIndex(1);
        const now = new Map<string, readonly string[]>();
        for (const { id, words } of steps) {
          removeDocument(index, id);
          now.delete(id);
          if (words.length === 0) continue;
          addDocument(index, id, [words], [1]);
          now.set(id, words);
        }
        const fresh = createWordIndex(1);
        for (const [id, words] of now) addDocument(fresh, id, [words], [1]);
        expect(index.size).toBe(now.size);
        expect(wordsOf(beginningWith(index, sought[0]!))).toEqual(wordsOf(beginningWith(fresh, sought[0]!)));
        for (const entry of beginningWith(index, "")) {
          const there = entry.documents.map((n) => index.ids[n]).filter((id) => id !== undefined);
          expect(new Set(there)).toEqual(new Set([...now].filter(([, w]) => w.includes(entry.word)).map(([id]) => id)));
        }
      }),
      { seed: 6, numRuns: 200 },
    );
  });

  it("takes numbers into use again, so that ever new changes take no ever more room", () => {
    const index = createWordIndex(1);
    for (let i = 0; i < 100; i++) addDocument(index, `p${i}`, [["kite", `n${i}`]], [1]);
    for (let i = 0; i < 5_000; i++) {
      removeDocument(index, "p7");
      addDocument(index, "p7", [["kite", `changed${i}`]], [1]);
    }
    expect(index.ids.length).toBeLessThan(1_300);
    expect(index.entries.size).toBeLessThan(1_300);
    expect(index.entries.get("kite")!.count).toBe(100);
    expect(beginningWith(index, "changed")).toHaveLength(1);
  });
});
