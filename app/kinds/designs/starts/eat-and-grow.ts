import { columns, heading, section, toCollection, widget, words } from "../build";
import { collectionTiles, cover, news, threePoints, told, type Start } from "./start";

/** Shops of what is eaten, planted and used up. */
export const EAT_AND_GROW: readonly Start[] = [
  {
    trade: "food",
    themes: ["quince", "bergamot"],
    home: (g) => [
      cover(g, { heading: "Put by for you", text: `What ${g.shop} has in the pantry just now.` }, "Open the pantry"),
      section("product-grid", { heading: "Fresh on the shelf", text: "", most: 4, more: "See all" }),
      told(g, "picture-right", 1, {
        over: "From our kitchen",
        heading: "It begins with what goes in",
        text: "Good food needs few things, and somebody who takes the time to choose them.",
        more: "How we work",
        link: g.about,
      }),
      collectionTiles(g, "Sweet, savoury, or both?"),
      threePoints(
        [
          ["sun", "Keep it cool and dark", "A cupboard away from the stove is best."],
          ["cup", "Once it is open", "Into the fridge, with a clean spoon."],
          ["parcel", "A good thing to bring", "Somebody always has room for one more on the breakfast table."],
        ],
        { set: "tint" },
      ),
      news("What is being cooked", "We write when there is something new on the shelf.", "brand"),
    ],
    story: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: "At the stove",
        text: `${g.shop} is a small kitchen. This is how things come about in it.`,
        button: "",
        picture: g.picture(1),
      }),
      section("text", {
        arrangement: "initial",
        heading: "How it is made",
        text: "Somebody brings something good, and we think about what could become of it. We try, we taste, we try again. What we like ourselves in the end goes into the shop, and what we don’t like doesn’t.",
      }),
      section("product-grid", { heading: "What came of it", text: "", most: 4, more: "See all" }, { set: "tint" }),
    ],
    product: () => [
      threePoints(
        [
          ["leaf", "What is in it", "Everything is listed above, the most of it first."],
          ["sun", "How it keeps", "Cool, dark and closed. Once it is open, in the fridge."],
        ],
        { set: "tint" },
      ),
    ],
  },
  {
    trade: "plants",
    themes: ["verbena", "pomelo"],
    home: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: "Begin with a handful of earth",
        text: `Plants and seeds from ${g.shop}, with what you need to know to see them grow.`,
        button: "See what there is",
        link: toCollection(g),
        picture: g.picture(0),
      }),
      section("product-grid", { arrangement: "shelf", heading: "Ready to go out", text: "", most: 8, more: "See all" }),
      section(
        "steps",
        {
          arrangement: "abreast",
          heading: "From a seed to a plate",
          steps: [
            { picture: null, heading: "Sow", text: "Thinly, and no deeper than the seed is thick twice over." },
            { picture: null, heading: "Wait", text: "Keep the earth moist and give it light. Nothing else is needed." },
            { picture: null, heading: "Plant out", text: "Once the nights are mild and there are four leaves." },
          ],
        },
        { set: "tint" },
      ),
      told(g, "overlap", 1, {
        heading: "Some like shade",
        text: "Look where the sun stands at noon before you choose. It decides more than the watering can does.",
        more: "Find the right ones",
      }),
      collectionTiles(g, "For beds, pots and windowsills"),
      news("What to do this month", "A short letter when it is time to sow, to plant or to cut back."),
    ],
    story: (g) => [
      section("hero", {
        arrangement: "above",
        heading: "Among the pots",
        text: `Who waters, pricks out and packs at ${g.shop}.`,
        button: "",
        picture: g.picture(1),
      }),
      section("text", {
        arrangement: "beside",
        heading: "Why plants",
        text: "Because there is always something new to see, every morning. Because they forgive a good deal. And because a windowsill is room enough to begin.",
      }),
      section(
        "product-grid",
        { heading: "Easy ones to begin with", text: "", most: 4, more: "See all" },
        { set: "tint" },
      ),
    ],
    product: () => [
      threePoints([
        ["sun", "Light", "How much it wants is said above. A metre from the window is half as much."],
        ["drop", "Water", "Feel the earth with a finger first. Most plants that die were watered too often."],
        ["leaf", "Patience", "What looks like nothing for two weeks is often just getting ready."],
      ]),
    ],
  },
  {
    trade: "body",
    themes: ["verbena", "sloe"],
    home: (g) => [
      section(
        "hero",
        {
          arrangement: "on-picture",
          over: g.shop,
          heading: "A quiet quarter of an hour",
          text: "For the hands, the skin, and the room around you.",
          button: "Look around",
          link: toCollection(g),
          picture: g.picture(0),
        },
        { height: "tall", align: "center" },
      ),
      section("product-grid", { heading: "For every day", text: "", most: 3, more: "See all" }, { columns: 3 }),
      columns(
        [
          [45, [widget("picture", { picture: g.picture(1) }, { shape: "4/5" })]],
          [
            55,
            [
              heading("Few things, and all of them named", "2", { headSize: 4 }),
              words(
                "What touches the skin should have nothing to hide. Everything that is in a thing is written beside it, in words that can be looked up.",
              ),
              widget("button", { label: "See everything", link: toCollection(g), look: "second" }),
            ],
          ],
        ],
        { across: "center", gap: 6 },
      ),
      section(
        "product-grid",
        { arrangement: "shelf", heading: "Something to give", text: "", most: 8, more: "" },
        { set: "tint" },
      ),
      news("Now and then a letter", "When a new scent is ready."),
    ],
    story: (g) => [
      section("text", {
        arrangement: "statement",
        heading: "What we would not put on our own skin, we do not sell.",
        text: "",
      }),
      told(g, "picture-left", 1, {
        heading: "In the workroom",
        text: `${g.shop} is small. Stirring, pouring, cutting and packing are done by the same few hands.`,
      }),
      section("product-grid", { heading: "To begin with", text: "", most: 4, more: "See all" }, { set: "tint" }),
    ],
    product: () => [
      threePoints(
        [
          ["leaf", "What is in it", "Listed above, the most of it first."],
          [
            "drop",
            "How to use it",
            "A little is enough. Try it on the inside of your arm if your skin is easily upset.",
          ],
          ["sun", "How it keeps", "Dry, and out of the sun."],
        ],
        { set: "tint" },
      ),
    ],
  },
];
