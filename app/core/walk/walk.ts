import { z } from "zod";

// The walk-through: an automatic shopper follows every link of a shop, sends its forms and buys with test cards, and says by page what is wrong.

export const walkAsked = z.strictObject({ of: z.enum(["draft", "published"]) });
export type WalkAsked = z.infer<typeof walkAsked>;

/** Something that is wrong, on a page. */
export type WalkFinding = {
  /** The address of the page, below the shop’s own. */
  readonly page: string;
  readonly what: string;
  /** What to do about it. */
  readonly mend: string;
};

/** What the shopper tried, and what came of it. */
export type WalkTrial = {
  readonly name: string;
  readonly isGood: boolean;
  /** What happened, or why it was not tried. */
  readonly says: string;
  /** It could not be tried: the shop has nothing of it. */
  readonly isSkipped?: true;
};

/** What is told while it goes on, one after the other. */
export type WalkNews =
  | {
      readonly at: "page";
      readonly page: string;
      readonly title: string;
      readonly seen: number;
      readonly known: number;
    }
  | ({ readonly at: "finding" } & WalkFinding)
  | { readonly at: "trying"; readonly name: string; readonly page: string }
  | ({ readonly at: "trial" } & WalkTrial)
  | {
      readonly at: "end";
      readonly pages: number;
      readonly links: number;
      readonly isWhole: boolean;
      readonly seconds: number;
    };

const news: z.ZodType<WalkNews> = z.discriminatedUnion("at", [
  z.object({ at: z.literal("page"), page: z.string(), title: z.string(), seen: z.number(), known: z.number() }),
  z.object({ at: z.literal("finding"), page: z.string(), what: z.string(), mend: z.string() }),
  z.object({ at: z.literal("trying"), name: z.string(), page: z.string() }),
  z.object({
    at: z.literal("trial"),
    name: z.string(),
    isGood: z.boolean(),
    says: z.string(),
    isSkipped: z.literal(true).optional(),
  }),
  z.object({ at: z.literal("end"), pages: z.number(), links: z.number(), isWhole: z.boolean(), seconds: z.number() }),
]) as z.ZodType<WalkNews>;

/** One line of what is told; undefined where it is none. */
export function readNews(line: string): WalkNews | undefined {
  try {
    return news.safeParse(JSON.parse(line)).data;
  } catch {
    return undefined;
  }
}

/** Where a walk-through stands. */
export type Walked = {
  readonly pages: readonly string[];
  readonly known: number;
  /** What it looks at or tries just now. */
  readonly now: { readonly page: string; readonly words: string } | undefined;
  readonly findings: readonly WalkFinding[];
  readonly trials: readonly WalkTrial[];
  readonly end: Extract<WalkNews, { at: "end" }> | undefined;
};
export const NOT_WALKED: Walked = { pages: [], known: 0, now: undefined, findings: [], trials: [], end: undefined };

/** Where it stands after one more piece of news. */
export function walkedOn(walked: Walked, told: WalkNews): Walked {
  switch (told.at) {
    case "page":
      return {
        ...walked,
        pages: [...walked.pages, told.page],
        known: told.known,
        now: { page: told.page, words: told.title || told.page },
      };
    case "finding": {
      const { at: _at, ...finding } = told;
      return { ...walked, findings: [...walked.findings, finding] };
    }
    case "trying":
      return { ...walked, now: { page: told.page, words: told.name } };
    case "trial": {
      const { at: _at, ...trial } = told;
      return { ...walked, trials: [...walked.trials, trial] };
    }
    case "end":
      return { ...walked, now: undefined, end: told };
  }
}

/** Findings by the page on which they are, those with most first. */
export function findingsByPage(
  findings: readonly WalkFinding[],
): readonly (readonly [string, readonly WalkFinding[]])[] {
  const byPage = new Map<string, WalkFinding[]>();
  for (const finding of findings) byPage.set(finding.page, [...(byPage.get(finding.page) ?? []), finding]);
  return [...byPage].sort(([, a], [, b]) => b.length - a.length);
}
