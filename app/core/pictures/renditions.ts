import { tintOfShade } from "./shade";

/** Widths in px at which a picture is served; each is made once. */
export const RENDITION_WIDTHS = [160, 320, 480, 640, 960, 1280, 1920, 2560] as const;

/** What is shown of a page where a link to it is shared, in px: the proportions that the Open Graph protocol's readers show whole. */
export const SHARE_SIZE = [1200, 630] as const;
export const shareAddress = ({ hash }: Pick<Picture, "hash">): string => `/media/${hash}-share.jpg`;

/** A picture of the shop's library, as pages need it. */
export type Picture = {
  readonly id: string;
  /** SHA-256 of the stored bytes, hex: its address and its cache key. */
  readonly hash: string;
  readonly name: string;
  readonly alt: string;
  readonly width: number;
  readonly height: number;
  /** What must stay in view when it is cropped, 0–100 from the left and from the top. */
  readonly focus: readonly [x: number, y: number];
  /** Drawn as lines (SVG): served as it is, at any size. */
  readonly vector: boolean;
  /** The colour of its shadows, as `#rrggbb`, from which the tint under words on it is made; null where that is not known. */
  readonly shade: string | null;
  /** The colours that it mostly has, as `#rrggbb`. */
  readonly colours?: readonly string[] | undefined;
  /** Words by which the seller keeps pictures together. */
  readonly tags?: readonly string[] | undefined;
  /** The picture that it was made of in the studio. */
  readonly madeOf?: string | undefined;
};

/** The widths a picture is served at: never wider than it is, and always at least one. */
export function widthsFor(picture: Pick<Picture, "width">): readonly number[] {
  const fitting = RENDITION_WIDTHS.filter((w) => w <= picture.width);
  return fitting.length ? fitting : [RENDITION_WIDTHS[0]];
}

/** Address of a rendition on either origin. `code`: the tone that it is made in, empty for none; drawings have none. */
export const renditionAddress = (picture: Picture, width: number, code = ""): string =>
  picture.vector ? `/media/${picture.hash}.svg` : `/media/${picture.hash}-${width}${code ? `.${code}` : ""}.webp`;

/** Address of a picture as it is kept, in its full size. */
export const wholeAddress = ({ hash, vector }: Pick<Picture, "hash" | "vector">): string =>
  `/media/${hash}.${vector ? "svg" : "webp"}`;

/** `srcset` of a picture; undefined for vector pictures, which need none. */
export const srcSetOf = (picture: Picture, code = ""): string | undefined =>
  picture.vector
    ? undefined
    : widthsFor(picture)
        .map((w) => `${renditionAddress(picture, w, code)} ${w}w`)
        .join(", ");

/** The plain `src`: the width nearest to `wanted` from above, for browsers and readers without `srcset`. */
export function sourceOf(picture: Picture, wanted = 640, code = ""): string {
  const widths = widthsFor(picture);
  return renditionAddress(picture, widths.find((w) => w >= wanted) ?? widths.at(-1)!, code);
}

/** The class under which a picture's focal point is written into the page's CSS. */
export const focusClass = (picture: Picture): string => `f-${picture.hash.slice(0, 8)}`;

/** The rule for a picture's focal point; empty for the middle, which is the default. */
export const focusCss = (picture: Picture): string =>
  picture.focus[0] === 50 && picture.focus[1] === 50
    ? ""
    : `.${focusClass(picture)}{object-position:${picture.focus[0]}% ${picture.focus[1]}%}`;

/** The class of a section whose words stand on a picture: by it the tint between the two takes the hue of the picture. */
export const shadeClass = ({ hash }: Pick<Picture, "hash">): string => `t-${hash.slice(0, 8)}`;

/** The rule for that class; empty where nothing is known of the picture's colours. */
export const shadeCss = (picture: Picture): string =>
  picture.shade ? `.${shadeClass(picture)}{--tint:${tintOfShade(picture.shade).join(" ")}}` : "";
