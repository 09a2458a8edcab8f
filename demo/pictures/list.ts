import type { ColourwayName } from "./colourways";
import type { GroundName } from "./grounds";
import type { SailName } from "./kites";
import type { ProductPicture, Subject } from "./products";
import type { SkyScene } from "./scenes";
import type { WorkshopScene } from "./workshop";

export type Described<T> = T & { readonly alt: string };

type KiteRow = readonly [
  file: string,
  title: string,
  sail: SailName,
  colours: ColourwayName,
  ground: GroundName,
  angle?: number,
  tails?: number,
  size?: number,
];

const KITES: readonly KiteRow[] = [
  ["delta-dawn", "Larkspindle Delta in Dawn", "delta", "dawn", "sky", -16, 1.1],
  ["delta-squall", "Larkspindle Delta in Squall", "delta", "squall", "chalk", -16, 1.1],
  ["delta-kelp", "Larkspindle Delta in Kelp", "delta", "kelp", "sand", -16, 1.1],
  ["tern", "Tern Long Delta", "longDelta", "shoal", "chalk", -20, 0, 350],
  ["fulmar-s", "Fulmar Diamond in Heather", "diamond", "heather", "rose", -10, 1.2, 270],
  ["fulmar-l", "Fulmar Diamond in Buoy", "diamond", "buoy", "sky", -10, 1.1, 300],
  ["rokkaku", "Saltmarsh Rokkaku", "rokkaku", "marram", "sky", -8, 0, 330],
  ["box", "Harbour Box kite", "box", "buoy", "chalk", 8, 0, 360],
  ["sled", "Dunlin Sled", "sled", "dawn", "moss", -7, 1, 300],
  ["genki", "Cirrus Genki", "genki", "squall", "rose", -17, 1.2, 350],
  ["swift", "Swift bird kite", "bird", "slate", "sky", -12, 0, 360],
  ["star", "Six-Point Star", "star", "heather", "chalk", 9, 0.9, 320],
  ["facet", "Anemone Facet kite", "facet", "shoal", "sand", 22, 0, 340],
  ["pocket", "Pocket Foil", "pocketFoil", "buoy", "moss", -10, 0, 300],
  ["compass", "Compass Star", "eightStar", "marram", "stone", 6, 0, 350],
  ["skua", "Skua two-line kite", "sport", "buoy", "chalk", -14, 0, 350],
  ["skua-vented", "Skua Vented two-line kite", "vented", "slate", "stone", 14, 0, 350],
  ["gannet", "Gannet two-line kite", "sport", "shoal", "sand", 12, 0, 355],
  ["petrel", "Petrel two-line kite", "smallDelta", "heather", "sky", -18, 0, 320],
  ["sandpiper-s", "Sandpiper Foil 1.4", "foil", "kelp", "sky", -6, 0, 330],
  ["sandpiper-l", "Sandpiper Foil 2.2", "wideFoil", "dawn", "chalk", 5, 0, 350],
  ["kittiwake", "Kittiwake ultralight kite", "sport", "squall", "rose", -8, 0, 350],
  ["turnstone", "Turnstone two-line kite", "vented", "dawn", "sand", -18, 0, 340],
  ["wren", "Little Wren diamond", "diamond", "kelp", "moss", -12, 1.4, 220],
  ["hawk", "Paper Hawk bird kite", "bird", "dawn", "sand", 10, 0, 340],
];

type OtherRow = readonly [file: string, alt: string, subject: Subject, colours: ColourwayName, ground: GroundName];

const OTHERS: readonly OtherRow[] = [
  ["runner", "Four ribbons on an ash wand", { of: "streamers" }, "dawn", "moss"],
  ["pollack", "Fish-shaped windsock in orange and yellow", { of: "windsock", form: "fish" }, "dawn", "sky"],
  [
    "pollack-packed",
    "The windsock rolled up in its bag",
    { of: "kite", sail: "delta", view: "packed" },
    "dawn",
    "sand",
  ],
  ["mackerel", "Fish-shaped windsock in storm blue", { of: "windsock", form: "fish" }, "squall", "chalk"],
  ["cone", "Striped windsock cone in red and white", { of: "windsock", form: "cone" }, "buoy", "sky"],
  ["cone-dawn", "Striped windsock cone in orange", { of: "windsock", form: "cone" }, "dawn", "sand"],
  ["cone-shoal", "Striped windsock cone in sea colours", { of: "windsock", form: "cone" }, "shoal", "chalk"],
  ["cone-kelp", "Striped windsock cone in greens", { of: "windsock", form: "cone" }, "kelp", "sand"],
  ["turbine", "Spinning windsock in four colours", { of: "windsock", form: "turbine" }, "heather", "rose"],
  ["turbine-shoal", "Spinning windsock in sea colours", { of: "windsock", form: "turbine" }, "shoal", "chalk"],
  ["mast", "A tall mast with its banner", { of: "mast" }, "dawn", "sky"],
  ["hoop-s", "Small hoop winder with teal line", { of: "hoop", size: 210 }, "marram", "moss"],
  ["hoop-l", "Large hoop winder with yellow line", { of: "hoop", size: 260 }, "dawn", "chalk"],
  ["line-s", "A spool of teal line", { of: "spool" }, "shoal", "sand"],
  ["line-l", "A spool of orange line", { of: "spool" }, "dawn", "sky"],
  ["line-two", "Two spools, one red and one yellow", { of: "spool", two: true }, "buoy", "chalk"],
  ["swivels", "Brass and steel swivels laid out in rows", { of: "parts", form: "swivels" }, "slate", "stone"],
  ["stake", "A steel ground stake with a loop of cord", { of: "stake" }, "kelp", "sand"],
  ["spars", "Five carbon spars with coloured caps", { of: "tubes", count: 5 }, "dawn", "chalk"],
  ["ferrules", "Brass ferrules laid out in rows", { of: "parts", form: "ferrules" }, "slate", "rose"],
  ["caps", "Vinyl end caps in four colours", { of: "parts", form: "caps" }, "buoy", "sky"],
  ["tape", "Four stacked rolls of ripstop tape", { of: "tape" }, "shoal", "sand"],
  ["offcuts", "A stack of folded ripstop cloth", { of: "cloths", count: 7 }, "dawn", "moss"],
  ["needle", "A sail needle and four threads on a card", { of: "needle" }, "shoal", "rose"],
  ["kit-diamond", "An open kit box with rolled cloth and spars", { of: "kit" }, "dawn", "sky"],
  ["kit-class", "A large kit box with cloth in four colours", { of: "kit" }, "heather", "moss"],
  ["patterns", "A pattern sheet with a pencil on it", { of: "patterns" }, "dawn", "chalk"],
  ["patterns-star", "A full-size pattern sheet, half unfolded", { of: "patterns" }, "marram", "sand"],
];

/** Every product picture of the demo shop. */
export const PRODUCT_PICTURES: readonly Described<ProductPicture>[] = [
  ...KITES.flatMap(
    ([file, title, sail, colours, ground, angle = 0, tails = 0, size = 330]): Described<ProductPicture>[] => [
      { name: file, alt: title, subject: { of: "kite", sail, view: "whole", angle, tails, size }, colours, ground },
      {
        name: `${file}-detail`,
        alt: `Seams and spar ends of the ${title}`,
        subject: { of: "kite", sail, view: "detail", angle, size },
        colours,
        ground: "chalk",
      },
      {
        name: `${file}-packed`,
        alt: `The ${title} rolled up in its bag`,
        subject: { of: "kite", sail, view: "packed" },
        colours,
        ground: "sand",
      },
    ],
  ),
  ...OTHERS.map(([name, alt, subject, colours, ground]) => ({ name, alt, subject, colours, ground })),
];

type Placed = { readonly focus: readonly [number, number] };

/** Every outdoor scene. */
export const SCENES: readonly (Described<SkyScene> & Placed)[] = [
  {
    name: "scene-dunes-noon",
    alt: "A large orange and yellow delta kite over dunes and a blue sea",
    focus: [68, 34],
    sky: "noon",
    height: 1000,
    horizon: 0.7,
    land: "dunes",
    seed: 31,
    eye: 1.9,
    kites: [
      { sail: "delta", colours: "dawn", at: [0.68, 0.25], size: 215, angle: -14, tails: 1.5, to: [0.36, 0.76] },
      { sail: "rokkaku", colours: "buoy", at: [0.9, 0.45], size: 58, angle: 12, to: [0.56, 0.78] },
      { sail: "diamond", colours: "shoal", at: [0.47, 0.13], size: 44, angle: -10, tails: 2 },
    ],
    figures: [
      { at: [0.36, 0.81], height: 66 },
      { at: [0.555, 0.805], height: 46, flip: true },
    ],
  },
  {
    name: "scene-beach-dawn",
    alt: "A figure on a wide beach at dawn flies a long delta kite",
    focus: [38, 40],
    sky: "dawn",
    height: 1000,
    horizon: 0.6,
    land: "beach",
    seed: 3,
    kites: [
      { sail: "longDelta", colours: "heather", at: [0.32, 0.28], size: 190, angle: 10, tails: 1.6, to: [0.595, 0.75] },
    ],
    figures: [{ at: [0.6, 0.84], height: 120, flip: true }],
  },
  {
    name: "scene-gale",
    alt: "A grey and yellow two-line kite in a stormy sky over dunes",
    focus: [58, 36],
    sky: "squall",
    height: 1000,
    horizon: 0.62,
    land: "dunes",
    seed: 12,
    kites: [{ sail: "vented", colours: "slate", at: [0.6, 0.3], size: 190, angle: -24, to: [0.31, 0.72] }],
    figures: [{ at: [0.3, 0.78], height: 80 }],
  },
  {
    name: "scene-beach-dusk",
    alt: "A green kite with two tails over the sea at dusk",
    focus: [66, 32],
    sky: "dusk",
    height: 1000,
    horizon: 0.64,
    land: "beach",
    seed: 7,
    kites: [{ sail: "genki", colours: "kelp", at: [0.7, 0.25], size: 165, angle: -8, tails: 2, to: [0.405, 0.74] }],
    figures: [{ at: [0.4, 0.82], height: 110 }],
  },
  {
    name: "scene-many",
    alt: "Five kites of different shapes high in a summer sky",
    focus: [50, 50],
    sky: "noon",
    height: 1200,
    horizon: 1,
    land: "none",
    seed: 5,
    kites: [
      { sail: "facet", colours: "shoal", at: [0.24, 0.3], size: 150, angle: 14 },
      { sail: "bird", colours: "dawn", at: [0.62, 0.24], size: 170, angle: -16 },
      { sail: "diamond", colours: "heather", at: [0.82, 0.58], size: 120, angle: 10, tails: 1.8 },
      { sail: "foil", colours: "buoy", at: [0.45, 0.62], size: 170, angle: -6 },
      { sail: "star", colours: "kelp", at: [0.14, 0.74], size: 100, angle: 8, tails: 1.4 },
    ],
  },
  {
    name: "scene-first",
    alt: "Two small figures on a beach, each with a little kite",
    focus: [52, 55],
    sky: "noon",
    height: 1000,
    horizon: 0.56,
    land: "beach",
    seed: 5,
    kites: [
      { sail: "diamond", colours: "kelp", at: [0.34, 0.28], size: 84, angle: -10, tails: 2.2, to: [0.5, 0.74] },
      { sail: "sled", colours: "dawn", at: [0.66, 0.2], size: 90, angle: 8, tails: 1.6, to: [0.585, 0.76] },
    ],
    figures: [
      { at: [0.5, 0.83], height: 92, flip: true },
      { at: [0.58, 0.85], height: 84 },
    ],
  },
];

export const WORKSHOP: readonly (Described<WorkshopScene> & Placed)[] = [
  {
    name: "workshop-bench",
    view: "bench",
    height: 1200,
    alt: "A kite laid out on the cutting mat, with thread, a rule, shears and a pattern",
    focus: [54, 46],
  },
  {
    name: "workshop-shelf",
    view: "shelf",
    height: 1200,
    alt: "Shelves full of spools of thread in every colour",
    focus: [50, 50],
  },
  {
    name: "workshop-rolls",
    view: "rolls",
    height: 1000,
    alt: "Stacked rolls of ripstop cloth seen from their ends",
    focus: [50, 60],
  },
  {
    name: "workshop-sewing",
    view: "sewing",
    height: 1200,
    alt: "Orange and yellow cloth under the needle of the sewing machine",
    focus: [46, 62],
  },
];
