import { entryOf } from "~/core/document";
import { seeded } from "../../../demo/pictures/random";

// Invented: what happened in the demo shop. No order, visit or sentence here is anybody's.

type Order = {
  readonly at: Date;
  readonly lines: readonly { readonly sku: string; readonly count: number; readonly price: number }[];
};
type ProductView = { readonly sku: string; readonly day: string; readonly count: number };

const DAY = 86_400_000;

/** What people like, and what they take along with it: chance of each. */
const LIKED: Readonly<Record<string, number>> = {
  "LK-110": 9,
  "LK-130": 6,
  "LK-310": 6,
  "LK-311": 8,
  "LK-160": 5,
  "WS-410": 7,
  "WS-420": 5,
  "LK-370": 4,
  "BK-710": 4,
  "LK-210": 3,
};
const ALONG: Readonly<Record<string, readonly (readonly [sku: string, chance: number])[]>> = {
  "LK-110": [
    ["LR-510", 0.4],
    ["LR-520", 0.34],
    ["WS-410", 0.16],
  ],
  "LK-130": [
    ["LR-510", 0.3],
    ["LK-380", 0.26],
  ],
  "LK-310": [
    ["LR-530", 0.55],
    ["LR-550", 0.3],
  ],
  "LK-311": [
    ["LR-530", 0.5],
    ["LR-550", 0.34],
    ["RP-610", 0.14],
  ],
  "BK-710": [
    ["RP-660", 0.4],
    ["RP-640", 0.3],
  ],
  "WS-420": [["LR-540", 0.42]],
  "WS-410": [["LR-540", 0.28]],
  "RP-610": [
    ["RP-620", 0.6],
    ["RP-630", 0.45],
  ],
};

/** Orders of the last months and looks at goods, more of both towards today. */
export function demoFootfall(
  skus: readonly string[],
  now: number,
): { readonly orders: readonly Order[]; readonly views: readonly ProductView[] } {
  const { next: random } = seeded(20260614);
  const weights = skus.map((sku) => entryOf(LIKED, sku) ?? 1);
  const sum = weights.reduce((a, b) => a + b, 0);
  const pick = () => {
    let at = random() * sum;
    return skus[weights.findIndex((w) => (at -= w) < 0)] ?? skus[0]!;
  };
  const known = new Set(skus);
  const orders = Array.from({ length: 420 }, (): Order => {
    const at = new Date(now - Math.floor(150 * DAY * random() ** 1.6));
    const first = pick();
    const lines = new Map([[first, random() < 0.12 ? 2 : 1]]);
    for (const [sku, chance] of entryOf(ALONG, first) ?? []) if (known.has(sku) && random() < chance) lines.set(sku, 1);
    if (random() < 0.15) lines.set(pick(), 1);
    return { at, lines: [...lines].map(([sku, count]) => ({ sku, count, price: 0 })) };
  });
  const views: ProductView[] = [];
  for (let day = 0; day < 84; day++) {
    const date = new Date(now - day * DAY).toISOString().slice(0, 10);
    skus.forEach((sku, i) => {
      const count = Math.floor(weights[i]! * (1.2 - day / 100) * 3 * random());
      if (count) views.push({ sku, day: date, count });
    });
  }
  return { orders, views };
}

type DemoReview = {
  readonly sku: string;
  readonly stars: number;
  readonly title: string;
  readonly text: string;
  readonly name: string;
  /** Days ago. */
  readonly days: number;
  readonly answer?: string;
  readonly held?: true;
};

export const DEMO_REVIEWS: readonly DemoReview[] = [
  {
    sku: "LK-110",
    stars: 5,
    title: "Up before I had sat down",
    text: "I held it out to see whether there was wind. There was. My tea went cold.",
    name: "Maren",
    days: 9,
    answer: "That is how it goes. Thank you, Maren.",
  },
  {
    sku: "LK-110",
    stars: 5,
    title: "",
    text: "Three summers now, and the seams are as they were. One spar replaced after a disagreement with a breakwater.",
    name: "Old Piet",
    days: 34,
  },
  {
    sku: "LK-110",
    stars: 4,
    title: "Lovely, a bit long for the bus",
    text: "Flies itself. Packed it is 72 cm, which is longer than the luggage rack.",
    name: "Sanna",
    days: 51,
    answer: "True. The Pocket Foil has no spars at all, if you travel a lot.",
  },
  { sku: "LK-110", stars: 5, title: "", text: "Dawn against a blue sky. That is all.", name: "T.", days: 77 },
  {
    sku: "LK-110",
    stars: 3,
    title: "Needs more room than my park",
    text: "Good kite, small park. My own fault, but I would have liked to read about it.",
    name: "Jule",
    days: 103,
  },
  {
    sku: "LK-311",
    stars: 5,
    title: "Gale of 4 October",
    text: "Everybody else was packing up. Vents hum at about 30 knots.",
    name: "Rasmus",
    days: 14,
  },
  {
    sku: "LK-311",
    stars: 4,
    title: "",
    text: "Quick in the turns. Take the 25 m lines, not shorter.",
    name: "Anouk",
    days: 40,
  },
  {
    sku: "LK-310",
    stars: 5,
    title: "First two-liner",
    text: "Two hours of crashing, then a figure of eight.",
    name: "Bo",
    days: 22,
  },
  {
    sku: "WS-410",
    stars: 5,
    title: "The neighbours ask",
    text: "Hangs over the shed and swims all day.",
    name: "Ilse",
    days: 30,
  },
  {
    sku: "WS-410",
    stars: 4,
    title: "",
    text: "Faded a little after the second summer. Still a fish.",
    name: "Harm",
    days: 65,
  },
  {
    sku: "LK-130",
    stars: 5,
    title: "As it was",
    text: "My father had one. He now has this one.",
    name: "Grete",
    days: 18,
  },
  {
    sku: "LK-130",
    stars: 4,
    title: "",
    text: "Tail could be a metre longer in strong wind.",
    name: "Oskar",
    days: 58,
    answer: "We put a spare metre into the bag since May.",
  },
  {
    sku: "BK-710",
    stars: 5,
    title: "Rainy weekend saved",
    text: "Two children, one kitchen table, one kite.",
    name: "Familie Voss",
    days: 45,
  },
  {
    sku: "LK-160",
    stars: 5,
    title: "",
    text: "No sticks, so nothing breaks. My nephew has tried.",
    name: "Kaj",
    days: 27,
  },
  {
    sku: "LK-110",
    stars: 1,
    title: "Not for indoors",
    text: "Bought it for the stairwell.",
    name: "Anonymous",
    days: 2,
    held: true,
  },
  { sku: "LK-311", stars: 5, title: "Came on Saturday", text: "Flown on Sunday.", name: "Wiebke", days: 1, held: true },
];
