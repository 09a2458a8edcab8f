import { nameOfColour, type ColourName, type Picture } from "~/core/pictures";

/** The pictures whose name, description or tags hold what is sought; all of them where nothing is. */
export function picturesNamed(pictures: readonly Picture[], sought: string): readonly Picture[] {
  const words = sought.toLowerCase().trim();
  return words
    ? pictures.filter((p) => `${p.name} ${p.alt} ${p.tags?.join(" ") ?? ""}`.toLowerCase().includes(words))
    : pictures;
}

/** Those of `some` that have a tag. One that none of all pictures has any more narrows nothing down. */
export const withTag = (some: readonly Picture[], all: readonly Picture[], tag: string | null): readonly Picture[] =>
  tag !== null && all.some(({ tags }) => tags?.includes(tag)) ? some.filter(({ tags }) => tags?.includes(tag)) : some;

/** By what a library can be narrowed down, in the words of the studio. */
export const NARROWED = {
  all: "All",
  bare: "Not described",
  unused: "Used nowhere",
  wide: "Wide",
  tall: "Tall",
  square: "Square",
} as const;
export type Narrowed = keyof typeof NARROWED;
export const SHAPES: readonly Narrowed[] = ["all", "wide", "tall", "square"];

/** Sides that differ by less than a tenth make a square to the eye. */
const EVEN = 1.1;

/** Whether a picture belongs to what is asked for. `used`: ids of pictures that stand somewhere. */
export function belongs({ id, alt, width, height }: Picture, to: Narrowed, used: ReadonlySet<string>): boolean {
  switch (to) {
    case "all":
      return true;
    case "bare":
      return alt.trim() === "";
    case "unused":
      return !used.has(id);
    case "wide":
      return width > height * EVEN;
    case "tall":
      return height > width * EVEN;
    case "square":
      return Math.max(width, height) <= Math.min(width, height) * EVEN;
  }
}

const named = new WeakMap<Picture, ReadonlySet<ColourName>>();

/** What the colours of a picture are called; asked once for each state of it. */
export function coloursIn(picture: Picture): ReadonlySet<ColourName> {
  let names = named.get(picture);
  if (!names) named.set(picture, (names = new Set((picture.colours ?? []).map(nameOfColour))));
  return names;
}
