import { columns, heading, section, toCollection, widget, words } from "../build";
import { forPurpose, type SectionDesign } from "./design";

const design = forPurpose("Show goods");

/** What shows things to buy. */
export const GOODS: readonly SectionDesign[] = [
  design("four", "Four in a row", "new arrivals, featured, latest", () =>
    section("product-grid", { arrangement: "cards", heading: "New in the shop", most: 4, more: "See all" }),
  ),
  design("eight", "Eight in two rows", "grid, collection, all, featured", () =>
    section("product-grid", {
      arrangement: "cards",
      heading: "A little of everything",
      text: "Eight things to begin with.",
      most: 8,
      more: "See all",
    }),
  ),
  design("two-large", "Two, very large", "hero products, big, feature", () =>
    section(
      "product-grid",
      { arrangement: "cards", heading: "Two to look at closely", most: 2, more: "" },
      { columns: 2, headSize: 5 },
    ),
  ),
  design("three-tint", "Three on a tinted ground", "row, picks, favourites", () =>
    section(
      "product-grid",
      { arrangement: "cards", heading: "Picked by us", most: 3, more: "" },
      { set: "tint", columns: 3 },
    ),
  ),
  design("shelf", "Shelf to slide along", "carousel, slider, scroll, swipe", () =>
    section("product-grid", { arrangement: "shelf", heading: "Along the shelf", most: 12, more: "See all" }),
  ),
  design("shelf-dark", "Shelf on dark", "carousel, slider, night, scroll", () =>
    section(
      "product-grid",
      { arrangement: "shelf", heading: "In a good light", most: 12, more: "See all" },
      { set: "dark" },
    ),
  ),
  design("rows", "List with facts", "table, catalogue, compact, details", () =>
    section("product-grid", { arrangement: "rows", heading: "At a glance", most: 8, more: "See all" }),
  ),
  design("five-small", "Five small ones", "compact, little, accessories, add-ons", () =>
    section(
      "product-grid",
      { arrangement: "cards", heading: "Small things", most: 5, more: "" },
      { columns: 5, headSize: 2, spaceTop: 4, spaceBottom: 4 },
    ),
  ),
  design("gifts", "Something to give", "gifts, presents, birthday, christmas", () =>
    section(
      "product-grid",
      {
        arrangement: "cards",
        heading: "Something to give",
        text: "For a birthday, a thank-you, or for no reason at all.",
        most: 4,
        more: "See all",
      },
      { set: "accent", align: "center" },
    ),
  ),
  design("words-and-two", "Words beside two products", "featured, editorial, picks", (g) =>
    columns(
      [
        [
          34,
          [
            heading("Go well together", "2", { headSize: 4 }),
            words("Two things that we like to see side by side."),
            widget("button", { label: "See everything", link: toCollection(g), look: "second" }),
          ],
        ],
        [33, [widget("product", { product: g.product(0) })]],
        [33, [widget("product", { product: g.product(1) })]],
      ],
      { across: "center" },
    ),
  ),
  design("one-large", "One product, large, with words", "feature, single product, spotlight", (g) =>
    columns(
      [
        [55, [widget("product", { product: g.product(2) })]],
        [
          45,
          [
            heading("The one that we would keep", "2", { headSize: 5 }),
            words("Everybody has a favourite. This is ours."),
            widget("button", { label: "See more like it", link: toCollection(g) }),
          ],
        ],
      ],
      { set: "tint", across: "center", gap: 6 },
    ),
  ),
  design("compare", "Which one is for you?", "comparison, versus, table, choose", () =>
    section("compare-goods", { arrangement: "striped", heading: "Which one is for you?", most: 3 }),
  ),
  design("collections-pictures", "Collections as large pictures", "categories, departments, tiles", (g) =>
    section(
      "collection-tiles",
      {
        arrangement: "on-pictures",
        heading: "Where would you like to begin?",
        tiles: g.collections.slice(0, 3).map((collection) => ({ collection, words: "" })),
      },
      { columns: 3 },
    ),
  ),
  design(
    "collections-captions",
    "Collections with their names below",
    "categories, departments, tiles, captions",
    (g) =>
      section(
        "collection-tiles",
        {
          arrangement: "captions",
          heading: "Find your way",
          tiles: g.collections.slice(0, 4).map((collection) => ({ collection, words: "" })),
        },
        { columns: 4 },
      ),
  ),
  design("collections-index", "Collections as a list of names", "categories, departments, index, menu", (g) =>
    section(
      "collection-tiles",
      {
        arrangement: "index",
        heading: "Everything we have",
        tiles: g.collections.slice(0, 8).map((collection) => ({ collection, words: "" })),
      },
      { set: "dark" },
    ),
  ),
  design("offers", "What is to be had just now", "sale, discounts, codes, promotions", () =>
    section("offers-shown", { arrangement: "slips", heading: "To be had just now" }, { set: "tint" }),
  ),
  design("points", "A picture with things to buy in it", "hotspots, shop the look, tagged, points", (g) =>
    section("look-points", {
      arrangement: "listed",
      heading: "What you see here",
      picture: g.picture(8),
      points: [0, 1].flatMap((n) => {
        const product = g.product(n);
        return product === null ? [] : [{ product, x: 30 + 40 * n, y: 50 }];
      }),
    }),
  ),
];
