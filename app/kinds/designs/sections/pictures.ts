import { columns, heading, section, toCollection, widget, words, type Given } from "../build";
import { forPurpose, type SectionDesign } from "./design";

const design = forPurpose("Show pictures");

/** Places for pictures, which a shop that has none yet finds empty and fills. */
const many = (g: Given, count: number, from = 0) =>
  Array.from({ length: count }, (_, n) => ({ picture: g.picture(from + n), caption: "", link: { to: "nowhere" } }));

/** What is mainly to be looked at. */
export const PICTURES: readonly SectionDesign[] = [
  design("wall", "Wall of large and small pictures", "gallery, mosaic, masonry, collage, photos", (g) =>
    section("pictures", { arrangement: "unequal", heading: "", pictures: many(g, 6) }, { width: "full" }),
  ),
  design("six", "Six pictures, all alike", "gallery, grid, photos, feed", (g) =>
    section("pictures", { arrangement: "even", heading: "What it looks like here", pictures: many(g, 6, 2) }),
  ),
  design("swipe", "Pictures to slide along", "carousel, slider, gallery, swipe", (g) =>
    section("pictures", { arrangement: "swipe", heading: "Along the wall", pictures: many(g, 8, 1) }, { set: "tint" }),
  ),
  design("own-shapes", "Pictures in the shapes they have", "gallery, photos, natural, uncropped", (g) =>
    section("pictures", { arrangement: "own", heading: "", pictures: many(g, 5, 4) }),
  ),
  design("before-after", "Before and after", "compare, slider, restoration, repair", (g) =>
    section("pictures", { arrangement: "before", heading: "Before and after", pictures: many(g, 2, 3) }),
  ),
  design("one-wide", "One picture across the page", "full width, banner, photo", (g) =>
    columns([[100, [widget("picture", { picture: g.picture(9) }, { shape: "16/9" })]]], {
      width: "full",
      spaceTop: 0,
      spaceBottom: 0,
    }),
  ),
  design("large-and-two", "One large picture and two small ones", "collage, editorial, three", (g) =>
    columns(
      [
        [62, [widget("picture", { picture: g.picture(10) }, { shape: "4/5" })]],
        [
          38,
          [
            widget("picture", { picture: g.picture(11) }, { shape: "1/1" }),
            widget("picture", { picture: g.picture(12) }, { shape: "1/1" }),
          ],
        ],
      ],
      { gap: 3 },
    ),
  ),
  design("arches", "Three arches", "rounded, arch, soft, shapes", (g) =>
    columns(
      [0, 1, 2].map(
        (n) => [33.33, [widget("picture", { picture: g.picture(n + 3) }, { shape: "3/4", round: "arch" })]] as const,
      ),
      { set: "tint" },
    ),
  ),
  design("circles", "Circles with a word below each", "round, icons, categories, circle", (g) =>
    columns(
      ["Look", "Choose", "Enjoy"].map(
        (word, n) =>
          [
            33.33,
            [widget("picture", { picture: g.picture(n + 1) }, { shape: "1/1", round: "oval" }), heading(word, "3")],
          ] as const,
      ),
      { align: "center", gap: 6 },
    ),
  ),
  design("with-caption", "Picture with a line below it", "caption, photo, credit", (g) =>
    columns([[100, [widget("picture", { picture: g.picture(5), caption: "One of those days." }, { shape: "3/2" })]]], {
      width: "narrow",
    }),
  ),
  design("tiles", "Two tiles abreast, each leading on", "split, banners, promo, links", (g) =>
    section("split-tiles", {
      arrangement: "abreast",
      heading: "",
      tiles: [
        { picture: g.picture(6), heading: "New just now", text: "", more: "See it", link: toCollection(g) },
        { picture: g.picture(7), heading: "Everything", text: "", more: "See it", link: toCollection(g, 1) },
      ],
    }),
  ),
  design("tiles-steps", "Tiles like steps", "staircase, promo, three, banners", (g) =>
    section("split-tiles", {
      arrangement: "steps",
      heading: "",
      tiles: ["Begin here", "Then this", "And this"].map((text, n) => ({
        picture: g.picture(n + 8),
        heading: text,
        text: "",
        more: "See it",
        link: toCollection(g, n),
      })),
    }),
  ),
  design("picture-framed", "Picture with air on a block of colour", "frame, poster, passe-partout, border", (g) =>
    columns([[100, [widget("picture", { picture: g.picture(2) }, { shape: "4/3" })]]], {
      set: "brand",
      width: "narrow",
      spaceTop: 6,
      spaceBottom: 6,
    }),
  ),
  design("picture-and-line", "Picture and one sentence, far apart", "minimal, editorial, quiet", (g) =>
    columns(
      [
        [30, [words("Sometimes one picture is enough.")]],
        [70, [widget("picture", { picture: g.picture(0) }, { shape: "3/2" })]],
      ],
      { across: "end", gap: 6 },
    ),
  ),
];
