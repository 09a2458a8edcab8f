// An inverted index: for each word, which documents have it and how much it weighs there. Documents are numbered as they come; a number
// whose document was taken out is given away again once no word refers to it any more.

/** A word with the documents that have it, in the order in which they came, and its weight in each. */
export type Entry = {
  readonly word: string;
  readonly documents: number[];
  readonly weights: number[];
  /** How many of them are still there. */
  count: number;
};

export type WordIndex = {
  /** How many documents there are. */
  size: number;
  /** Documents by number; undefined where one was taken out. */
  readonly ids: (string | undefined)[];
  readonly numbers: Map<string, number>;
  readonly entries: Map<string, Entry>;
  /** All words in the order of their letters, but for those that came since. */
  sorted: Entry[];
  fresh: Entry[];
  /** The words of each document, so that it can be taken out. */
  readonly wordsOf: (readonly Entry[])[];
  readonly free: number[];
  gone: number;
  /** How long each field is in words, summed up, for its mean. */
  readonly lengths: number[];
};

export const createWordIndex = (fields: number): WordIndex => ({
  size: 0,
  ids: [],
  numbers: new Map(),
  entries: new Map(),
  sorted: [],
  fresh: [],
  wordsOf: [],
  free: [],
  gone: 0,
  lengths: Array.from({ length: fields }, () => 0),
});

/** How soon more of the same word stops to matter, and how much longer fields count less: the usual values of BM25. */
const K1 = 1.2;
const B = 0.7;

/**
 * Takes a document in. Its weights are those of BM25 without the part that depends on how rare a word is, which is known only when
 * something is asked (Robertson and Zaragoza 2009, “The Probabilistic Relevance Framework”, formula 3.15), summed over its fields.
 * @param fields the words of each field
 * @param boosts how much each field counts
 */
export function addDocument(
  index: WordIndex,
  id: string,
  fields: readonly (readonly string[])[],
  boosts: readonly number[],
): void {
  const number = index.free.pop() ?? index.ids.length;
  index.ids[number] = id;
  index.numbers.set(id, number);
  index.size++;
  const weights = new Map<string, number>();
  fields.forEach((words, f) => {
    index.lengths[f]! += words.length;
    const mean = Math.max(1, index.lengths[f]! / index.size);
    const often = new Map<string, number>();
    for (const word of words) often.set(word, (often.get(word) ?? 0) + 1);
    for (const [word, times] of often) {
      const weight = (boosts[f]! * (K1 + 1) * times) / (times + K1 * (1 - B + (B * words.length) / mean));
      weights.set(word, (weights.get(word) ?? 0) + weight);
    }
  });
  const own: Entry[] = [];
  for (const [word, weight] of weights) {
    let entry = index.entries.get(word);
    if (!entry) {
      entry = { word, documents: [], weights: [], count: 0 };
      index.entries.set(word, entry);
      index.fresh.push(entry);
    }
    entry.documents.push(number);
    entry.weights.push(weight);
    entry.count++;
    own.push(entry);
  }
  index.wordsOf[number] = own;
}

/** So many documents may be gone before their numbers are swept out of all words. */
const MOST_GONE = 1_000;

/** Takes a document out; nothing happens where there is none of this id. */
export function removeDocument(index: WordIndex, id: string): void {
  const number = index.numbers.get(id);
  if (number === undefined) return;
  index.numbers.delete(id);
  index.ids[number] = undefined;
  for (const entry of index.wordsOf[number]!) entry.count--;
  index.wordsOf[number] = [];
  index.size--;
  index.gone++;
  if (index.gone > Math.max(MOST_GONE, index.size / 4)) sweep(index);
}

/** Lets go of the numbers of documents that are gone, and of words that nobody has any more. */
function sweep(index: WordIndex): void {
  for (const entry of index.entries.values()) {
    if (entry.count === 0) {
      index.entries.delete(entry.word);
      continue;
    }
    let kept = 0;
    for (let i = 0; i < entry.documents.length; i++) {
      if (index.ids[entry.documents[i]!] === undefined) continue;
      entry.documents[kept] = entry.documents[i]!;
      entry.weights[kept++] = entry.weights[i]!;
    }
    entry.documents.length = entry.weights.length = kept;
  }
  index.sorted = [];
  index.fresh = [...index.entries.values()];
  index.free.length = 0;
  index.ids.forEach((id, number) => id === undefined && index.free.push(number));
  index.gone = 0;
}

const byWord = (a: Entry, b: Entry): number => (a.word < b.word ? -1 : 1);

/** All words in the order of their letters. */
function inOrder(index: WordIndex): readonly Entry[] {
  if (index.fresh.length === 0) return index.sorted;
  const fresh = index.fresh.sort(byWord);
  const { sorted } = index;
  const merged: Entry[] = [];
  let i = 0;
  for (const entry of fresh) {
    while (i < sorted.length && sorted[i]!.word < entry.word) merged.push(sorted[i++]!);
    merged.push(entry);
  }
  while (i < sorted.length) merged.push(sorted[i++]!);
  index.sorted = merged;
  index.fresh = [];
  return merged;
}

/** The first place at which a word does not stand before another one. */
function placeOf(sorted: readonly Entry[], word: string, from = 0): number {
  let [low, high] = [from, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]!.word < word) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The words that begin with these letters, this one among them. */
export function beginningWith(index: WordIndex, letters: string): readonly Entry[] {
  const sorted = inOrder(index);
  const found: Entry[] = [];
  for (let i = placeOf(sorted, letters); i < sorted.length && sorted[i]!.word.startsWith(letters); i++)
    if (sorted[i]!.count > 0) found.push(sorted[i]!);
  return found;
}

export type Near = { readonly entry: Entry; readonly distance: number };

/**
 * The words that are at most so many letters away from one (Levenshtein 1966: a letter too many, too few, or another one). The words are
 * gone through in their order like a tree of letters: what a word shares with the one before is not counted again, and what can't come
 * near any more is passed over with all that begins alike.
 */
export function nearTo(index: WordIndex, word: string, most: number): readonly Near[] {
  const sorted = inOrder(index);
  const found: Near[] = [];
  const width = word.length + 1;
  // rows[d] are the distances of the first d letters of a word to each beginning of the one that is sought.
  const rows: Uint8Array[] = [Uint8Array.from({ length: width }, (_, i) => Math.min(i, 255))];
  let before = "";
  let i = 0;
  while (i < sorted.length) {
    const entry = sorted[i]!;
    const other = entry.word;
    let depth = 0;
    while (depth < other.length && depth < before.length && other[depth] === before[depth]) depth++;
    before = other;
    let isFar = false;
    for (; depth < other.length; depth++) {
      const above = rows[depth]!;
      const row = (rows[depth + 1] ??= new Uint8Array(width));
      row[0] = depth + 1;
      let least = depth + 1;
      for (let j = 1; j < width; j++) {
        const same = above[j - 1]! + (other[depth] === word[j - 1] ? 0 : 1);
        const cost = Math.min(same, above[j]! + 1, row[j - 1]! + 1);
        row[j] = cost;
        if (cost < least) least = cost;
      }
      if (least > most) {
        isFar = true;
        break;
      }
    }
    if (isFar) {
      // Nothing that begins with these letters can come near; the rows beyond them were not worked out.
      before = other.slice(0, depth + 1);
      i = placeOf(sorted, `${before}\uffff`, i + 1);
      continue;
    }
    const distance = rows[other.length]![width - 1]!;
    if (distance <= most && entry.count > 0) found.push({ entry, distance });
    i++;
  }
  return found;
}

/** How telling a word is: the fewer documents have it, the more. */
export const rarity = (index: WordIndex, { count }: Entry): number =>
  Math.log(1 + (index.size - count + 0.5) / (count + 0.5));
