import { clockPlus } from "~/core/conditions";
import type { Goal } from "~/core/offers";
import type { JournalPosts, KindEnv, PostEntry } from "~/kinds/parts";

// What a part shows that is drawn alone, in miniature, where it would show something of the page around it.

/** Headings of a page that there is not. */
const HEADINGS = ["How we work", "What it is made of", "Where to find us"].map((title, i) => ({
  id: `to-${i}`,
  title,
  isDeep: false,
}));

const POSTS: readonly PostEntry[] = [
  ["A week in the workshop", "What came off the table, and what went back onto it.", "2026-03-02T09:00"],
  ["Three colours for spring", "Where they are from, and what they are for.", "2026-02-14T09:00"],
  ["How to look after it", "Five minutes, twice a year.", "2026-01-20T09:00"],
].map(([title = "", summary = "", at = ""], i) => ({
  id: `sample-${i}`,
  title,
  address: "/",
  at,
  author: "",
  tags: [],
  own: { picture: null, summary },
  picture: () => undefined,
  summary: () => summary,
  minutes: () => 3,
}));

const JOURNAL: JournalPosts = {
  id: "sample",
  title: "Journal",
  address: "/",
  isHere: false,
  pages: [],
  slice: (from, to) => POSTS.slice(from, to),
};

/** With a goal of 60 and 26 in the cart. */
const SAMPLE_GOAL: Goal = {
  offer: {
    id: "sample",
    name: "Free delivery",
    gives: { sort: "delivery", off: 10_000, amount: null },
    goods: { products: [], collections: [] },
    code: "",
    fromWorth: 60_00,
    fromCount: 0,
    mostUses: 0,
    mostEach: 0,
    withGoods: true,
    withRest: true,
    isOff: false,
    conditions: [],
  },
  by: "worth",
  goal: 60_00,
  toGo: 34_00,
};

/** The same shop with a page around the part: headings, and posts and a goal where it has none. */
export const aroundSample = (env: KindEnv): KindEnv => ({
  ...env,
  still: true,
  outline: () => HEADINGS,
  journal: (id) => {
    const own = env.journal(id);
    return own?.pages.length ? own : JOURNAL;
  },
  post: () => env.post() ?? { post: POSTS[1]!, earlier: POSTS[2], later: POSTS[0] },
  offerEnds: (offer) => env.offerEnds(offer) ?? clockPlus(env.clock, 5),
  goals: () => (env.goals().length ? env.goals() : [SAMPLE_GOAL]),
  postGoods: () => env.goods.products.slice(0, 4),
});
