import { columns, heading, section, toCollection, widget, words } from "../build";
import { collectionTiles, cover, news, threePoints, told, type Start } from "./start";

/** Shops of what is found, played with, and everything else. */
export const FIND_AND_PLAY: readonly Start[] = [
  {
    trade: "old",
    themes: ["damson", "sloe"],
    home: (g) => [
      cover(
        g,
        { heading: "There is only one of it", text: `Found, cleaned and looked at twice by ${g.shop}.` },
        "See the finds",
      ),
      section("product-grid", { heading: "Just come in", text: "", most: 8, more: "See all" }),
      told(
        g,
        "picture-left",
        1,
        {
          over: "Before it came to us",
          heading: "Everything here has been somewhere",
          text: "On a farm, in a school, at the back of a drawer. What we know of a thing stands beside it; what we only guess, we say so.",
        },
        "tint",
      ),
      collectionTiles(g, "Where would you like to rummage?"),
      threePoints([
        ["sun", "Shown as it is", "Every scratch that matters is on a picture."],
        ["mend", "Put right", "What was broken and is not any more is said as well."],
        ["star", "Gone is gone", "Whoever waits may be too late. It happens to us, too."],
      ]),
      news("When a box comes in", "We write before things go into the shop.", "tint"),
    ],
    story: (g) => [
      section("hero", {
        arrangement: "above",
        heading: "The store room",
        text: `Where ${g.shop} keeps what nobody wanted to throw away.`,
        button: "",
        picture: g.picture(1),
      }),
      section("text", {
        arrangement: "columns",
        heading: "How things come to us",
        text: "From clearances, markets and letters that begin with “would you by any chance”. We look at a thing for a while before we take it. If we can’t say what it is, we find out, or we leave it where it is.",
      }),
      section("product-grid", { arrangement: "shelf", heading: "Longest with us", text: "", most: 8, more: "See all" }),
    ],
    product: () => [
      columns(
        [
          [
            100,
            [
              widget("call-out", {
                heading: "One of a kind",
                text: "There is one of it, and it is old. Look at all its pictures, and ask for another one if you want to see a detail.",
              }),
            ],
          ],
        ],
        { width: "narrow" },
      ),
    ],
  },
  {
    trade: "play",
    themes: ["kumquat", "pomelo"],
    home: (g) => [
      cover(g, { heading: "Out you go", text: `Things to play with, from ${g.shop}.` }, "What is there to play?"),
      section("product-grid", { heading: "Everybody’s favourites", text: "", most: 4, more: "See all" }),
      threePoints(
        [
          ["sun", "For outside", "Rain is no excuse. Thunder is."],
          ["star", "For more than one", "Most things are better with somebody else."],
          ["mend", "For a long time", "What breaks is looked at before it is thrown away."],
        ],
        { set: "accent" },
      ),
      told(g, "picture-right", 1, {
        heading: "Tried out by us",
        text: "Somebody has to. What bored us after ten minutes is not in here.",
        more: "Who we are",
        link: g.about,
      }),
      collectionTiles(g, "Big, small, fast, slow"),
      news("Something new to try?", "We tell you when there is.", "tint"),
    ],
    story: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: "Grown-ups, more or less",
        text: `The people behind ${g.shop} play with everything first.`,
        button: "",
        picture: g.picture(1),
      }),
      section("text", {
        arrangement: "statement",
        heading: "A good toy is done by half. The other half is whoever plays.",
        text: "",
      }),
      section("product-grid", { heading: "What we play with", text: "", most: 4, more: "See all" }, { set: "tint" }),
    ],
    product: () => [
      threePoints(
        [
          ["star", "Who it is for", "The age that is said above is meant as a hint. You know yours better."],
          ["mend", "If a part is lost", "Write to us. There is often another one."],
        ],
        { set: "tint" },
      ),
    ],
  },
  {
    trade: "any",
    themes: ["pomelo", "yuzu"],
    home: (g) => [
      cover(
        g,
        { heading: "Good to have you here", text: `A look around ${g.shop} takes a few minutes.` },
        "Look around",
      ),
      section("product-grid", { heading: "In the front row", text: "", most: 4, more: "See all" }),
      collectionTiles(g, "Where would you like to begin?"),
      told(
        g,
        "picture-left",
        1,
        {
          over: "About us",
          heading: "A shop with people in it",
          text: "Whoever writes to us gets an answer from somebody who has had the thing in their hands.",
          more: "Who we are",
          link: g.about,
        },
        "tint",
      ),
      section("product-grid", { arrangement: "shelf", heading: "And a few more", text: "", most: 12, more: "" }),
      news("News from here", "Now and then, when there is something to say."),
    ],
    story: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: `Who is behind ${g.shop}?`,
        text: "A few people who like what they sell.",
        button: "",
        picture: g.picture(1),
      }),
      columns([
        [
          100,
          [
            heading("How we choose", "2", { headSize: 4 }),
            words(
              "We ask of each thing whether we would want it ourselves, and whether we still would in a year. If the answer is twice yes, it comes into the shop.",
            ),
            widget("button", { label: "See what there is", link: toCollection(g) }),
          ],
        ],
      ]),
      section("product-grid", { heading: "What was chosen last", text: "", most: 4, more: "See all" }, { set: "tint" }),
    ],
    product: () => [],
  },
];
