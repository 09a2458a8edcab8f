export type FontUse = {
  readonly family: string;
  readonly weight: number;
  /** Width axis in percent, for families that have it. */
  readonly stretch?: number;
  /** In em. */
  readonly tracking: number;
  readonly leading: number;
};

/** Moods by which type pairs are found. */
export const MOODS = ["lively", "warm", "calm", "fine", "plain", "technical", "playful", "bold"] as const;
export type Mood = (typeof MOODS)[number];

/** Two families that go together: one for heads, one for running text. */
export type TypePair = {
  readonly id: string;
  readonly name: string;
  /** A few words for how it feels. */
  readonly feel: string;
  readonly moods: readonly Mood[];
  readonly heads: FontUse;
  readonly text: FontUse & { readonly strong: number };
};

const heads = (family: string, weight: number, tracking: number, leading: number, stretch?: number): FontUse => ({
  family,
  weight,
  tracking,
  leading,
  ...(stretch === undefined ? {} : { stretch }),
});
const text = (family: string, weight: number, strong: number, leading: number, tracking = 0): TypePair["text"] => ({
  family,
  weight,
  strong,
  leading,
  tracking,
});
const pair = (
  id: string,
  name: string,
  feel: string,
  moods: readonly Mood[],
  headsUse: FontUse,
  textUse: TypePair["text"],
): TypePair => ({ id, name, feel, moods, heads: headsUse, text: textUse });

export const TYPE_PAIRS: readonly TypePair[] = [
  pair(
    "open-air",
    "Bricolage & Instrument",
    "open and lively",
    ["lively", "bold"],
    heads("bricolage-grotesque", 760, -0.025, 1),
    text("instrument-sans", 420, 620, 1.55),
  ),
  pair(
    "larder",
    "Fraunces & Karla",
    "warm and homely",
    ["warm"],
    heads("fraunces", 480, -0.012, 1.1),
    text("karla", 400, 650, 1.6),
  ),
  pair(
    "workbench",
    "Archivo, wide & plain",
    "exact and technical",
    ["technical", "plain"],
    heads("archivo", 640, -0.01, 1.12, 116),
    text("archivo", 400, 650, 1.5),
  ),
  pair(
    "playroom",
    "Fredoka & Nunito",
    "round and cheerful",
    ["playful"],
    heads("fredoka", 600, -0.01, 1.1),
    text("nunito", 450, 750, 1.55),
  ),
  pair(
    "reading-room",
    "Newsreader & Source Serif",
    "calm and bookish",
    ["calm", "fine"],
    heads("newsreader", 500, -0.015, 1.08),
    text("source-serif-4", 400, 650, 1.6),
  ),
  pair(
    "gallery",
    "Cormorant & Jost",
    "fine and airy",
    ["fine", "calm"],
    heads("cormorant-garamond", 500, -0.01, 1.05),
    text("jost", 400, 600, 1.6, 0.005),
  ),
  pair(
    "tea-house",
    "Epilogue & Literata",
    "modern and gentle",
    ["calm", "plain"],
    heads("epilogue", 620, -0.03, 1.08),
    text("literata", 400, 650, 1.6),
  ),
  pair(
    "potting-shed",
    "Bitter & Work Sans",
    "sturdy and earthy",
    ["warm", "plain"],
    heads("bitter", 640, -0.015, 1.12),
    text("work-sans", 400, 620, 1.58),
  ),
  pair(
    "salon",
    "Playfair & Mulish",
    "elegant, with contrast",
    ["fine", "bold"],
    heads("playfair-display", 560, -0.015, 1.08),
    text("mulish", 420, 680, 1.6),
  ),
  pair(
    "posters",
    "Unbounded & Space Grotesk",
    "wide and loud",
    ["bold", "lively"],
    heads("unbounded", 700, -0.035, 1.05),
    text("space-grotesk", 400, 620, 1.55),
  ),
  pair(
    "studio-flat",
    "Outfit & DM Sans",
    "clean and friendly",
    ["plain", "lively"],
    heads("outfit", 600, -0.02, 1.08),
    text("dm-sans", 420, 650, 1.58),
  ),
  pair(
    "herbarium",
    "Alegreya & Figtree",
    "leafy and literate",
    ["warm", "fine"],
    heads("alegreya", 560, -0.01, 1.08),
    text("figtree", 420, 660, 1.58),
  ),
  pair(
    "side-street",
    "Syne & Manrope",
    "odd in a good way",
    ["bold", "lively"],
    heads("syne", 720, -0.02, 1.06),
    text("manrope", 440, 700, 1.58),
  ),
  pair(
    "letter-box",
    "Lora & Karla",
    "soft and personal",
    ["warm", "calm"],
    heads("lora", 580, -0.01, 1.16),
    text("karla", 400, 650, 1.6),
  ),
  pair(
    "candy-jar",
    "Quicksand & Nunito",
    "light and sweet",
    ["playful", "calm"],
    heads("quicksand", 650, -0.015, 1.14),
    text("nunito", 430, 720, 1.58),
  ),
  pair(
    "sports-day",
    "Rubik & Rubik",
    "sturdy and quick",
    ["lively", "playful"],
    heads("rubik", 720, -0.025, 1.04),
    text("rubik", 400, 600, 1.55),
  ),
  pair(
    "switchboard",
    "Space Grotesk & DM Sans",
    "precise with a wink",
    ["technical", "lively"],
    heads("space-grotesk", 640, -0.03, 1.06),
    text("dm-sans", 400, 640, 1.56),
  ),
  pair(
    "front-page",
    "Source Serif & Figtree",
    "reliable, like a newspaper",
    ["plain", "calm"],
    heads("source-serif-4", 680, -0.02, 1.1),
    text("figtree", 400, 640, 1.58),
  ),
  pair(
    "narrow-gauge",
    "Archivo, narrow & Work Sans",
    "tall heads, easy text",
    ["technical", "bold"],
    heads("archivo", 760, -0.01, 1, 75),
    text("work-sans", 400, 620, 1.56),
  ),
  pair(
    "whisper",
    "Manrope & Manrope",
    "even and quiet",
    ["plain", "calm"],
    heads("manrope", 560, -0.03, 1.12),
    text("manrope", 420, 660, 1.6),
  ),
  pair(
    "salvage",
    "Gloock & Figtree",
    "dark and a little theatrical",
    ["bold", "fine"],
    heads("gloock", 400, -0.012, 1.02),
    text("figtree", 400, 640, 1.52),
  ),
  pair(
    "conservatory",
    "Marcellus & Mulish",
    "still, as if cut in stone",
    ["fine", "calm"],
    heads("marcellus", 400, -0.005, 1.12),
    text("mulish", 420, 680, 1.62),
  ),
];

export const typePairById = (id: string): TypePair | undefined => TYPE_PAIRS.find((each) => each.id === id);
