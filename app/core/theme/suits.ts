import type { Amount, Theme } from "./theme";

/** What a seller says of a shop, to be shown themes that were drawn for such a one. What is null has not been said. */
export type Wish = {
  readonly goods: Amount | null;
  readonly words: Amount | null;
  /** What is sold, how it should feel, or a theme's name; empty: nothing. */
  readonly find: string;
  /** What is sold, in words, and the ids of the themes that were drawn for it, the best one first; null: anything. */
  readonly drawnFor?: { readonly words: string; readonly themes: readonly string[] } | null;
};

/** A theme that answers to a wish, and what speaks for it, in words. */
export type Proposal = { readonly theme: Theme; readonly reasons: readonly string[] };

const GOODS_WORDS: Readonly<Record<Amount, string>> = {
  few: "a dozen goods",
  some: "dozens of goods",
  many: "hundreds of goods",
};
const TEXT_WORDS: Readonly<Record<Amount, string>> = {
  few: "few words",
  some: "a story to each",
  many: "many facts",
};

const wordsIn = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/** The words by which a theme is found. */
const wordsOf = ({ name, trades, mood, suits }: Theme): readonly string[] => [
  ...wordsIn(`${name} ${trades} ${mood}`),
  ...[...suits.trades, ...suits.moods].flatMap(wordsIn),
];

/**
 * Themes for a wish: those in which each sought word begins one of theirs, those first that were drawn for such goods, for so many of
 * them and for so many words. The order of the gallery decides between equals.
 */
export function proposals(themes: readonly Theme[], { goods, words, find, drawnFor }: Wish): readonly Proposal[] {
  const sought = wordsIn(find);
  return themes
    .filter((theme) => {
      const own = sought.length ? wordsOf(theme) : [];
      return sought.every((word) => own.some((each) => each.startsWith(word)));
    })
    .map((theme, place) => {
      const { suits } = theme;
      const drawn = drawnFor?.themes.indexOf(theme.id) ?? -1;
      const reasons = [
        ...(drawnFor && drawn >= 0 ? [drawnFor.words] : []),
        ...(goods && suits.goods.includes(goods) ? [GOODS_WORDS[goods]] : []),
        ...(words && suits.words.includes(words) ? [TEXT_WORDS[words]] : []),
      ];
      return { theme, reasons, rank: drawn < 0 ? themes.length : drawn, place };
    })
    .toSorted((a, b) => b.reasons.length - a.reasons.length || a.rank - b.rank || a.place - b.place)
    .map(({ theme, reasons }) => ({ theme, reasons }));
}

/** How many goods a shop has, in the words of `Amount`: up to a dozen are few, from fifty on they are many (common practice, no source). */
export const amountOfGoods = (count: number): Amount => (count <= 12 ? "few" : count < 50 ? "some" : "many");
