import type { Json, PageDocument, Part } from "~/core/document";
import type { RichDocument, RichNode } from "~/core/rich";
import { makeNode } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { pageDocument } from "../shops/index.server";

type Given = {
  readonly picture: (file: string) => string | null;
  /** The product of a SKU. */
  readonly product: (sku: string) => string | null;
};

const paragraph = (...words: readonly (string | RichNode)[]): RichNode => ({
  type: "paragraph",
  content: words.map((each) => (typeof each === "string" ? { type: "text", text: each } : each)),
});
const head = (text: string): RichNode => ({
  type: "heading",
  attrs: { level: 2 },
  content: [{ type: "text", text }],
});
const leadsTo = (text: string, product: string | null): RichNode => ({
  type: "text",
  text,
  ...(product === null ? {} : { marks: [{ type: "link", attrs: { link: { to: "product", id: product } } }] }),
});
const NARROW = { style: { all: { width: "narrow", align: "start", spaceTop: 2, spaceBottom: 2 } } } as const;
const written = (...content: readonly RichNode[]): Part =>
  makeNode(
    "text",
    { arrangement: "plain", heading: "", text: { type: "doc", content } satisfies RichDocument as unknown as Json },
    NARROW,
  );

type Post = {
  readonly id: string;
  readonly title: string;
  readonly at: string;
  readonly author: string;
  readonly tags: readonly string[];
  readonly summary: string;
  readonly picture: string;
  readonly main: (given: Given) => readonly Part[];
};

const POSTS: readonly Post[] = [
  {
    id: "gale-of-october",
    title: "What the gale of October taught us",
    at: "2026-10-19T08:00",
    author: "Tam",
    tags: ["Wind", "Repairs"],
    summary:
      "Thirty-four knots, eleven kites on the beach, and two of them came down in pieces. Both were ours to blame.",
    picture: "scene-gale.webp",
    main: ({ product }) => [
      written(
        paragraph(
          "Whoever flies in a gale learns more in ten minutes than in a summer. On the fourth of October the harbour gauge stood at thirty-four knots, and half of Skerrow Bay was on the beach to see what would hold.",
        ),
        head("What held"),
        paragraph(
          "The ",
          leadsTo("vented Skua", product("LK-311")),
          " did, all day, with three different people on the line. Vents let a kite breathe: it pulls less than a closed sail of half its size.",
        ),
        head("What did not"),
        paragraph(
          "Two leading edges of last year’s run split at the same seam. We have moved that seam by four centimetres since, and whoever has one of these kites gets it mended for nothing.",
        ),
      ),
      sectionAround(
        makeNode("call-out", {
          sign: "wave",
          heading: "Before you go out",
          text: "Gloves. A line that is rated for it. And nobody downwind of you.",
        }),
        { all: { width: "narrow", spaceTop: 1, spaceBottom: 3 } },
      ),
    ],
  },
  {
    id: "tie-a-bridle",
    title: "How to tie a bridle that stays tied",
    at: "2026-09-27T09:30",
    author: "Ines",
    tags: ["How to", "Repairs"],
    summary: "Three knots, a pencil, and a windless evening are all that it takes.",
    picture: "workshop-bench.webp",
    main: () => [
      written(
        paragraph(
          "A kite that leans to one side is rarely crooked. Nine times in ten it is the bridle: one leg has slipped by the width of a finger.",
        ),
      ),
      makeNode(
        "steps",
        {
          arrangement: "line",
          heading: "On the kitchen table",
          steps: [
            {
              heading: "Mark both legs",
              text: "Fold the kite in half, pull the legs straight, and draw one pencil line across the two of them.",
              picture: null,
            },
            {
              heading: "Loop, and loop again",
              text: "A lark’s head on the ring, then a second turn through it. The second turn is what stays.",
              picture: null,
            },
            {
              heading: "Hang it from the lamp",
              text: "By the ring. If it hangs level it flies level.",
              picture: null,
            },
          ],
        },
        NARROW,
      ),
    ],
  },
  {
    id: "colours-of-autumn",
    title: "Where this autumn’s colours are from",
    at: "2026-09-05T07:45",
    author: "Ines",
    tags: ["Workshop"],
    summary: "Buoy, heather and kelp: three rolls of cloth, and a morning at the slipway with a paint chart.",
    picture: "workshop-rolls.webp",
    main: ({ picture }) => [
      written(
        paragraph(
          "We don’t choose colours from a screen. Each September we walk down to the slipway with the cloth maker’s chart, hold it next to whatever lies there, and order what matches.",
        ),
        paragraph(
          "This year it was an old mooring buoy, the heather above the quarry, and kelp that had been out of the water for a day.",
        ),
      ),
      makeNode(
        "pictures",
        {
          heading: "",
          pictures: ["workshop-shelf.webp", "offcuts.webp", "workshop-sewing.webp"].map((file) => ({
            picture: picture(file),
            caption: "",
            link: { to: "nowhere" },
          })),
        },
        { style: { all: { spaceTop: 2, spaceBottom: 4 } } },
      ),
    ],
  },
  {
    id: "first-flight",
    title: "A first flight, with a four-year-old",
    at: "2026-08-16T10:00",
    author: "Tam",
    tags: ["Wind", "First kites"],
    summary: "What we would bring, where we would stand, and when we would go home.",
    picture: "scene-first.webp",
    main: () => [
      written(
        paragraph(
          "The wind should be on your back and no stronger than what moves small branches: three on Beaufort’s scale. Stand with your back to it, hold the kite up, and let go. That is all. Nobody has to run.",
        ),
        paragraph("Go home while it is still fun. It will be asked for again tomorrow."),
      ),
    ],
  },
];

/** A page that says more of itself. */
const saying = (document: PageDocument, props: Readonly<Record<string, Json>>): PageDocument => ({
  ...document,
  root: { ...document.root, props: { ...document.root.props, ...props } },
});

/** The demo shop's journal: its page, and what has been written. */
export function demoJournal(given: Given): Readonly<Record<string, PageDocument>> {
  const journal = saying(
    pageDocument("journal", "Journal", [
      makeNode("posts", {
        arrangement: "large",
        heading: "From the loft",
        text: "What the wind does here, and what we make of it.",
      }),
    ]),
    { journal: true, order: 1 },
  );
  const posts = POSTS.map(({ id, title, main, picture, ...said }) =>
    saying(pageDocument(id, title, main(given)), {
      ...said,
      parent: "journal",
      picture: given.picture(picture),
    }),
  );
  return Object.fromEntries([journal, ...posts].map((document) => [document.id, document]));
}
