import type { Answer } from "../form";

/** What became of something that was sent with a form. */
export const ENTRY_STATES = ["new", "read", "done", "spam"] as const;
export type EntryState = (typeof ENTRY_STATES)[number];

/** Whether somebody is on a list. `asked`: they have not said yes to our letter yet. */
export type ListState = "asked" | "on" | "off";

/** The list on which sign-ups are that name no other. */
export const NEWS = "News";

/** `once`: to everybody on the list, one time. `thanks`: at once to each who joins. `follow`: so many days after that. */
export const LETTER_SORTS = ["once", "thanks", "follow"] as const;
export type LetterSort = (typeof LETTER_SORTS)[number];
/** `draft`: nobody gets it. `on`: it goes out by itself. `sending`, `sent`: once to all. */
export type LetterState = "draft" | "on" | "sending" | "sent";

export type Reply = { readonly text: string; readonly at: number };

/** Something that was sent with a form, as the studio shows it. */
export type MailEntry = {
  readonly id: string;
  readonly form: string;
  readonly formName: string;
  /** The title of the page it was sent from. */
  readonly page: string;
  readonly state: EntryState;
  /** Where an answer goes; null: no address was given. */
  readonly address: string | null;
  readonly answers: readonly Answer[];
  readonly files: readonly { readonly id: string; readonly name: string; readonly bytes: number }[];
  readonly replies: readonly Reply[];
  /** ms since 1970. */
  readonly at: number;
  /** When it is deleted by itself. */
  readonly dropAt: number | null;
};

/** Nobody reads, answers and sends a form faster than that, in ms (common practice, no source). */
const FASTEST_MS = 1500;
/** More addresses than that stand in advertisements. */
const MOST_LINKS = 3;

/**
 * Whether something was sent by a machine, by what people don't do. What looks like it is put aside and not thrown away.
 * `blank`: what came in the field that nobody sees; `took`: ms between seeing the page and sending; undefined: not known.
 */
export function looksLikeSpam(answers: readonly Answer[], blank: string, took: number | undefined): boolean {
  if (blank !== "") return true;
  if (took !== undefined && took < FASTEST_MS) return true;
  const links = answers.reduce((sum, { text }) => sum + (text.match(/\bhttps?:\/\/|<a\s|\[url/gi)?.length ?? 0), 0);
  return links > MOST_LINKS;
}
