import { columns, form, point, section, toCollection, toProduct, widget } from "../build";
import type { PageDesign } from "./design";

/** Pages that show goods and sell them. */
export const SHOW_AND_SELL: readonly PageDesign[] = [
  {
    id: "wholesale",
    name: "For shops",
    about: "For those who would like to sell what you make.",
    purpose: "Show and sell",
    synonyms: ["wholesale", "trade", "stockists", "resellers", "b2b", "retailers"],
    toBeChecked: true,
    build: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: "Would you like to sell it in your shop?",
        text: `We work with a few shops that we know. If you think that our ${g.trade.things} belong on your shelves, write to us.`,
        button: "See what there is",
        link: toCollection(g),
        picture: g.picture(0),
      }),
      columns(
        [
          [33.33, [point("parcel", "Small orders", "From [the least worth of an order].")]],
          [33.33, [point("house", "Terms", "[your terms for shops]")]],
          [33.34, [point("book", "Pictures and words", "We send you what you need to show them well.")]],
        ],
        { gap: 5 },
      ),
      form(
        "wholesale",
        { heading: "Write to us", text: "A picture of your shop tells us more than anything else." },
        { set: "tint", width: "content" },
      ),
    ],
  },
  {
    id: "gallery",
    name: "Gallery",
    about: "Pictures, large and small, with few words.",
    purpose: "Show and sell",
    synonyms: ["photos", "pictures", "portfolio", "inspiration", "images"],
    build: (g) => [
      section("text", { arrangement: "statement", heading: "A closer look", text: "" }),
      columns(
        [
          [
            60,
            [
              widget("picture", { picture: g.picture(0) }, { shape: "3/2" }),
              widget("picture", { picture: g.picture(1) }, { shape: "3/2" }),
            ],
          ],
          [
            40,
            [
              widget("picture", { picture: g.picture(2) }, { shape: "4/5" }),
              widget("picture", { picture: g.picture(3) }, { shape: "1/1" }),
            ],
          ],
        ],
        { spaceTop: 0, gap: 3 },
      ),
      columns(
        [
          [33.33, [widget("picture", { picture: g.picture(4) }, { shape: "1/1" })]],
          [33.33, [widget("picture", { picture: g.picture(5) }, { shape: "1/1" })]],
          [33.34, [widget("picture", { picture: g.picture(6) }, { shape: "1/1" })]],
        ],
        { spaceTop: 0, gap: 3 },
      ),
      section("product-grid", { heading: "What you saw here", most: 4, more: "See all" }),
    ],
  },
  {
    id: "season",
    name: "This season",
    about: "One mood, one set of goods, for some weeks of the year.",
    purpose: "Show and sell",
    synonyms: ["landing page", "christmas", "summer", "sale", "campaign", "holiday", "spring", "autumn", "winter"],
    build: (g) => [
      section("hero", {
        arrangement: "on-picture",
        heading: "For the weeks ahead",
        text: "What we reach for at this time of the year.",
        button: "See it all",
        link: toCollection(g),
        picture: g.picture(0),
      }),
      section("product-grid", { heading: "Picked for now", most: 8, more: "See all" }),
      section(
        "picture-words",
        {
          arrangement: "overlap",
          heading: "While it lasts",
          text: "For these weeks, and for as long as there is some.",
          more: "Have a look",
          link: toCollection(g, 1),
          picture: g.picture(1),
        },
        { set: "tint" },
      ),
      section("collection-tiles", {
        heading: "Or look around",
        tiles: g.collections.slice(0, 3).map((collection) => ({ collection, words: "" })),
      }),
    ],
  },
  {
    id: "one-product",
    name: "One product",
    about: "Everything about a single product, on a page of its own.",
    purpose: "Show and sell",
    synonyms: ["landing page", "launch", "single product", "feature", "hero product"],
    build: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: "Made to do one thing well",
        text: "A closer look at the one that we are asked about most.",
        button: "See it in the shop",
        link: toProduct(g),
        picture: g.picture(0),
      }),
      columns(
        [
          [33.33, [point("star", "What it does", "It does what it should, and nothing gets in the way.")]],
          [33.33, [point("leaf", "What it is made of", "The material decides how it feels, and how long it lasts.")]],
          [33.34, [point("mend", "How it is made", "With the time that it takes.")]],
        ],
        { gap: 5 },
      ),
      section("picture-words", {
        arrangement: "picture-right",
        heading: "Look closely",
        text: "It is in the details: the edges, the corners, and the places where it is held.",
        picture: g.picture(1),
      }),
      columns([[100, [widget("product", { product: g.product(0) })]]], { set: "tint", width: "narrow" }),
    ],
  },
  {
    id: "lookbook",
    name: "Lookbook",
    about: "Large pictures, one after the other, each with a way to the goods.",
    purpose: "Show and sell",
    trades: ["clothes", "craft", "old", "plants", "play", "body"],
    synonyms: ["collection", "catalogue", "styles", "outfits", "inspiration", "magazine"],
    build: (g) => [
      section("text", {
        arrangement: "statement",
        heading: "Seen, worn, used",
        text: "How it looks when it is at home.",
      }),
      section("picture-words", {
        arrangement: "overlap",
        heading: "First thing in the morning",
        text: "For the quiet hour before the day begins.",
        more: "Have a look",
        link: toCollection(g),
        picture: g.picture(0),
      }),
      section("picture-words", {
        arrangement: "picture-right",
        heading: "Out of the house",
        text: "With room for what the day brings.",
        more: "Have a look",
        link: toCollection(g, 1),
        picture: g.picture(1),
      }),
      section("picture-words", {
        arrangement: "overlap",
        heading: "And home again",
        text: "For the evening, and for as long as it lasts.",
        more: "Have a look",
        link: toCollection(g, 2),
        picture: g.picture(2),
      }),
      section(
        "product-grid",
        { arrangement: "shelf", heading: "All of it", most: 12, more: "See all" },
        { set: "tint" },
      ),
    ],
  },
  {
    id: "gifts",
    name: "Presents",
    about: "A short list for those who look for a present.",
    purpose: "Show and sell",
    synonyms: ["gift guide", "gifts", "present", "ideas", "christmas", "birthday"],
    build: (g) => [
      section("text", {
        arrangement: "statement",
        heading: "A present from here",
        text: "A few that we would be glad to be given ourselves.",
      }),
      section("product-grid", { heading: "", most: 8, more: "See all" }, { spaceTop: 0 }),
      section("collection-tiles", {
        heading: "Look further",
        tiles: g.collections.slice(0, 3).map((collection) => ({ collection, words: "" })),
      }),
    ],
  },
];
