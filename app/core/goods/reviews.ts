/** `held`: waits for the seller. Only what is `shown` is in the shop and counts. */
export const REVIEW_STATES = ["held", "shown", "hidden"] as const;
export type ReviewState = (typeof REVIEW_STATES)[number];

export type Review = {
  readonly id: string;
  readonly product: string;
  /** 1 to 5. */
  readonly stars: number;
  readonly title: string;
  readonly text: string;
  readonly name: string;
  readonly state: ReviewState;
  /** What the seller says to it; empty: nothing. */
  readonly answer: string;
  /** ISO 8601. */
  readonly at: string;
};

export const MOST_REVIEW_CHARACTERS = 4_000;

/** The average of what is shown, and how many of each number of stars there are; null where there is nothing. */
export function ratingOf(reviews: readonly Pick<Review, "stars" | "state">[]): {
  readonly average: number;
  readonly count: number;
  /** How many gave 1, 2, 3, 4, 5 stars. */
  readonly each: readonly number[];
} | null {
  const each = [0, 0, 0, 0, 0];
  for (const { stars, state } of reviews) if (state === "shown") each[stars - 1]! += 1;
  const count = each.reduce((a, b) => a + b, 0);
  if (count === 0) return null;
  return { average: each.reduce((sum, n, i) => sum + n * (i + 1), 0) / count, count, each };
}
