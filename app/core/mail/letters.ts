import { z } from "zod";
import { linkSchema } from "../schema";
import { LETTER_SORTS, type LetterState } from "./entries";

/** The most blocks of one letter, and the longest words of one block. */
const MOST_BLOCKS = 40;
const LONGEST_WORDS = 5000;
/** The furthest after somebody has joined that a letter follows, in days. */
export const MOST_FOLLOW_DAYS = 730;

const id = z.string().min(1).max(40);

/** What letters are made of, one below the other. */
export const blockSchema = z.discriminatedUnion("sort", [
  z.strictObject({ sort: z.literal("heading"), text: z.string().max(200) }),
  z.strictObject({ sort: z.literal("words"), text: z.string().max(LONGEST_WORDS) }),
  z.strictObject({ sort: z.literal("picture"), picture: id.nullable() }),
  z.strictObject({ sort: z.literal("button"), label: z.string().max(60), link: linkSchema }),
  z.strictObject({ sort: z.literal("goods"), products: z.array(id).max(12) }),
  z.strictObject({ sort: z.literal("code"), text: z.string().max(60) }),
  z.strictObject({ sort: z.literal("line") }),
]);
export type LetterBlock = z.infer<typeof blockSchema>;
export type BlockSort = LetterBlock["sort"];

export const listName = z.string().trim().min(1, "Give the list a name.").max(60, "Keep the name to 60 characters.");

export const letterSchema = z.strictObject({
  sort: z.enum(LETTER_SORTS),
  list: listName,
  /** Days after somebody has joined, for a letter that follows. */
  day: z.number().int().min(0).max(MOST_FOLLOW_DAYS, `A letter can follow within ${MOST_FOLLOW_DAYS} days.`),
  subject: z.string().max(150, "Keep the subject to 150 characters."),
  blocks: z.array(blockSchema).max(MOST_BLOCKS, `A letter can have ${MOST_BLOCKS} parts.`),
});
export type LetterInput = z.infer<typeof letterSchema>;

/** A letter as the studio shows it. Moments are ms since 1970. */
export type Letter = LetterInput & {
  readonly id: string;
  readonly state: LetterState;
  readonly version: number;
  readonly at: number;
  readonly sentAt: number | null;
  /** To how many it went, and how many left the list from it. */
  readonly sent: number;
  readonly left: number;
};

/** How many are on a list, have been asked, have left. */
export type MailList = { readonly name: string; readonly on: number; readonly asked: number; readonly off: number };

/** Somebody on a list. */
export type Subscriber = {
  readonly list: string;
  readonly address: string;
  readonly state: "asked" | "on" | "off";
  readonly page: string;
  readonly at: number;
  readonly onAt: number | null;
  readonly offAt: number | null;
};

/** Why a letter can't go out as it is; undefined where it can. */
export function letterProblem({ subject, blocks }: Pick<LetterInput, "subject" | "blocks">): string | undefined {
  if (!subject.trim()) return "Give the letter a subject first.";
  const says = blocks.some(
    (block) =>
      (block.sort === "words" && block.text.trim()) ||
      (block.sort === "heading" && block.text.trim()) ||
      (block.sort === "goods" && block.products.length) ||
      (block.sort === "picture" && block.picture),
  );
  return says ? undefined : "The letter says nothing yet.";
}

const DAY_MS = 86_400_000;

/**
 * The letters that somebody on a list is due to get, of those that follow by themselves: at once, or once so many days have passed since they joined. Moments are ms since 1970.
 * A letter that was switched on later goes to nobody for whom its day had passed by then.
 */
export const dueLetters = <L extends Pick<Letter, "id" | "sort" | "day" | "state"> & { readonly onSince: number }>(
  letters: readonly L[],
  joined: number,
  now: number,
): readonly L[] =>
  letters.filter(({ sort, day, state, onSince }) => {
    if (state !== "on" || sort === "once") return false;
    const due = joined + (sort === "thanks" ? 0 : day * DAY_MS);
    return due <= now && due >= onSince;
  });
