import { clockWords, endWords, type DateRule } from "~/core/conditions";
import { shortened } from "~/core/live";
import type { Member } from "~/core/seasons";
import { nameOf } from "~/kinds";
import { firstWords } from "~/kinds/outline";
import type { SeasonTrouble } from "~/kinds/seasons";

/** So many characters of what a part says are enough to know it by. */
const MOST_WORDS = 60;

/** What something with dates is called, and where it stands. */
export function calledOf({ document, part }: Pick<Member, "document" | "part">): {
  readonly name: string;
  readonly where: string;
} {
  if (document.kind === "offer") return { name: `“${document.title}”`, where: "offer" };
  if (document.kind === "season") return { name: `“${document.title}”`, where: "season" };
  const title = shortened(firstWords(part)).slice(0, MOST_WORDS);
  return {
    name: title ? `${nameOf(part)} “${title}”` : nameOf(part),
    where: document.kind === "frame" ? "every page" : document.title,
  };
}

/** Dates in words: "24 Oct 2026 to 3 Nov 2026". */
export const datesWords = ({ from, until, yearly }: DateRule): string => {
  const words = [from && clockWords(from, !yearly), until && endWords(until, !yearly).replace(/^the end of /, "")];
  const span = from && until ? words.join(" to ") : from ? `from ${words[0]}` : `until ${words[1]}`;
  return yearly ? `${span}, every year` : span;
};

/** What does not go together in a season, in a sentence. */
export function troubleWords(trouble: SeasonTrouble): string {
  switch (trouble.what) {
    case "outside":
      return `It is there ${datesWords(trouble.member.dates)}: not only in the season.`;
    case "half":
      return trouble.member.document.kind === "offer"
        ? "It is off, but the season is on."
        : "It is not shown yet, but the season is on.";
    case "offer":
      return trouble.isOff
        ? `It speaks of “${trouble.offer}”, which is off.`
        : `It speaks of “${trouble.offer}”, which does not hold all that time.`;
    case "look":
      return `“${trouble.other.name}” wears another look at the same time. The one that began later is seen.`;
  }
}
