import { columns, heading, section, toCollection, widget, words } from "../build";
import { collectionTiles, cover, news, threePoints, told, type Start } from "./start";

/** Shops of what is made, sewn and printed. */
export const MAKE_AND_WEAR: readonly Start[] = [
  {
    trade: "craft",
    themes: ["bergamot", "sloe"],
    home: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: "Made one at a time",
        text: `Pieces from the hands of ${g.shop}, to be used every day.`,
        button: "See the pieces",
        link: toCollection(g),
        picture: g.picture(0),
      }),
      section("product-grid", { heading: "Just finished", text: "", most: 4, more: "See all" }),
      section(
        "text",
        { arrangement: "statement", heading: "No two are quite the same, and that is the point.", text: "" },
        { set: "tint" },
      ),
      told(g, "picture-left", 1, {
        over: "The workshop",
        heading: "You can see the hand in it",
        text: "A thumb’s mark at the foot, a glaze that ran a little further than the last time. We leave it where it is.",
        more: "How we work",
        link: g.about,
      }),
      collectionTiles(g, "By what it is for"),
      news("When something new is finished", "A short letter, and not often."),
    ],
    story: (g) => [
      cover(g, { heading: "The workshop", text: `Where everything is made that ${g.shop} sells.` }, ""),
      section("text", {
        arrangement: "columns",
        heading: "What we care about",
        text: "That a piece lies well in the hand. That it can be used without thinking about it, and looked at with pleasure when there is time. That it can take a knock. That nobody needs it, and that it is missed when it is not there.",
      }),
      section(
        "steps",
        {
          arrangement: "line",
          heading: "How a piece comes about",
          steps: [
            { picture: null, heading: "A drawing", text: "Mostly a small one, on the back of something." },
            { picture: null, heading: "The first one", text: "It is kept by us, because it is never quite right." },
            { picture: null, heading: "The next ones", text: "They go into the shop." },
          ],
        },
        { set: "tint" },
      ),
      section("product-grid", { heading: "What is ready now", text: "", most: 4, more: "See all" }),
    ],
    product: () => [
      columns(
        [
          [
            100,
            [
              widget("call-out", {
                heading: "Made by hand",
                text: "Yours may differ a little from the picture, in size and in colour. We send you a good one.",
              }),
            ],
          ],
        ],
        { width: "narrow" },
      ),
    ],
  },
  {
    trade: "clothes",
    themes: ["rangpur", "sloe"],
    home: (g) => [
      section("running-line", {
        arrangement: "large",
        words: [{ text: g.shop }, { text: "new on the rail" }],
        sign: "star",
      }),
      section("product-grid", { heading: "New on the rail", text: "", most: 8, more: "See all" }),
      section("split-tiles", {
        arrangement: "abreast",
        heading: "",
        tiles: g.collections.slice(0, 2).map((id, n) => ({
          picture: g.picture(n),
          heading: "",
          text: "",
          more: "See them",
          link: { to: "collection", id },
        })),
      }),
      told(
        g,
        "picture-right",
        2,
        {
          over: "The sewing room",
          heading: "Worn in, not worn out",
          text: "Good cloth, seams that hold, and a cut that does not ask which year it is.",
          more: "How we work",
          link: g.about,
        },
        "dark",
      ),
      threePoints([
        ["mend", "Made to be mended", "A lost button is no reason to part."],
        ["drop", "Easy to wash", "How, is said with every piece."],
        ["star", "Not sure of your size?", "Measure one that fits you, and compare."],
      ]),
      news("First to see it", "A letter when something new hangs on the rail.", "tint"),
    ],
    story: (g) => [
      section(
        "text",
        { arrangement: "statement", heading: "Fewer clothes, and better ones.", text: "" },
        { set: "dark" },
      ),
      told(g, "picture-left", 0, {
        heading: "Behind the rail",
        text: `${g.shop} began with one piece that could not be found anywhere. There are more of them now.`,
      }),
      section("product-grid", {
        arrangement: "shelf",
        heading: "What we wear ourselves",
        text: "",
        most: 8,
        more: "See all",
      }),
    ],
    product: () => [
      threePoints(
        [
          ["star", "How it fits", "Between two sizes, take the larger one."],
          ["drop", "How to wash it", "Inside out, cool, with colours like its own."],
          ["mend", "If a seam gives way", "Write to us before you throw it away."],
        ],
        { set: "tint" },
      ),
    ],
  },
  {
    trade: "paper",
    themes: ["medlar", "yuzu"],
    home: (g) => [
      section("hero", {
        arrangement: "above",
        heading: "Paper for thinking on",
        text: `Books, sheets and covers from ${g.shop}.`,
        button: "See the shelves",
        link: toCollection(g),
        picture: g.picture(0),
      }),
      section("product-grid", { arrangement: "rows", heading: "From the press", text: "", most: 6, more: "See all" }),
      told(g, "picture-right", 1, {
        over: "The print room",
        heading: "It should lie open by itself",
        text: "A good binding does. So do good thoughts, once there is a clean page in front of them.",
        more: "How we work",
        link: g.about,
      }),
      columns(
        [[100, [widget("quote", { text: "A blank page is not empty. It is only quiet.", who: "" }, { size: 3 })]]],
        { width: "narrow", set: "tint", spaceTop: 6, spaceBottom: 6 },
      ),
      collectionTiles(g, "By what you do with it"),
      news("Printed matter", "We write when something new comes off the press."),
    ],
    story: (g) => [
      section("text", {
        arrangement: "initial",
        heading: "About the paper",
        text: `At ${g.shop}, everything begins with a sheet: how heavy it is, how it takes ink, how it sounds when it is turned. After that come thread, glue and board, and the patience to let them dry.`,
      }),
      told(g, "picture-left", 1, {
        heading: "Folded, sewn, cut",
        text: "In this order. Whoever cuts first learns why.",
      }),
      section("product-grid", { heading: "What is on the shelf", text: "", most: 4, more: "See all" }, { set: "tint" }),
    ],
    product: () => [
      columns(
        [
          [40, [heading("Good to know", "2", { headSize: 2 })]],
          [
            60,
            [
              words(
                "Size, weight of the paper and number of pages stand above. If you write with a fountain pen, look at the weight first: from 90 g/m² on, little shows through.",
              ),
            ],
          ],
        ],
        { set: "tint", spaceTop: 4, spaceBottom: 4 },
      ),
    ],
  },
];
