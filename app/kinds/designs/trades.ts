/** What a shop sells, and the words that go with it. */
export type Trade = {
  readonly id: string;
  readonly name: string;
  /** Where it is made or kept: “our workshop”. */
  readonly place: string;
  /** One of the things, and several. */
  readonly thing: string;
  readonly things: string;
  /** What is done there: “made”, “baked”, “chosen”. */
  readonly done: string;
};

/** Trades that a design's first words are written for; the first is for everybody else. */
export const TRADES = [
  { id: "any", name: "Something else", place: "shop", thing: "piece", things: "things", done: "chosen" },
  { id: "craft", name: "Things made by hand", place: "workshop", thing: "piece", things: "pieces", done: "made" },
  {
    id: "clothes",
    name: "Clothes and textiles",
    place: "sewing room",
    thing: "piece",
    things: "clothes",
    done: "sewn",
  },
  { id: "food", name: "Food and drink", place: "kitchen", thing: "batch", things: "food", done: "made" },
  { id: "plants", name: "Plants and seeds", place: "nursery", thing: "plant", things: "plants", done: "grown" },
  {
    id: "paper",
    name: "Books and paper",
    place: "print room",
    thing: "sheet",
    things: "books and paper",
    done: "printed",
  },
  { id: "old", name: "Old and second-hand", place: "store room", thing: "find", things: "finds", done: "found" },
  {
    id: "play",
    name: "Toys, sport and outdoor",
    place: "workshop",
    thing: "piece",
    things: "things",
    done: "tried out",
  },
  {
    id: "body",
    name: "Soap, candles and care",
    place: "workroom",
    thing: "batch",
    things: "soaps and candles",
    done: "made",
  },
] as const satisfies readonly [Trade, ...Trade[]];
