import sharp from "sharp";
import { shadeOf } from "~/core/pictures";
import { paletteOf } from "~/core/theme";
import type { Jobs, PictureRead, PreparedPicture } from "./jobs";
import { sanitiseSvg, sizeOfSvg } from "./sanitise";
import { looksLikeSvg, problemWithDrawing } from "./svg";

/** Most pixels that are decoded, and the longest side that is kept, in px. */
const MOST_PIXELS = 50_000_000;
const LONGEST_SIDE = 2560;
/** The longest side that is decoded: a picture of one line takes long to turn and to shrink, and shows nothing. */
const LONGEST_DECODED = 30_000;
const LARGEST_DRAWING = 500_000;

const no = (why: string): PictureRead => ({ ok: false, why });

function readDrawing(bytes: Buffer): PictureRead {
  if (bytes.length > LARGEST_DRAWING)
    return no("This drawing is larger than 500 KB. Simplify it, or upload it as a PNG.");
  const source = bytes.toString("utf8");
  const problem = problemWithDrawing(source);
  if (problem) return no(problem);
  const svg = sanitiseSvg(source);
  if (!svg) return no("There is nothing in this drawing that could be shown.");
  const [width, height] = sizeOfSvg(svg);
  return { ok: true, picture: { bytes: Buffer.from(svg), width, height, vector: true, shade: null, colours: [] } };
}

/** Makes an upload ready to be kept, or says why it can't be used. How large it is, is looked at before it is decoded. */
export async function readPicture(given: Uint8Array): Promise<PictureRead> {
  const bytes = Buffer.from(given.buffer, given.byteOffset, given.byteLength);
  if (looksLikeSvg(bytes)) return readDrawing(bytes);
  try {
    const image = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error" });
    const { format, width, height, pages = 1 } = await image.metadata();
    if (!["jpeg", "png", "webp"].includes(format))
      return no("This kind of file can’t be used. Upload a PNG, JPEG, WebP or SVG.");
    if (Math.max(width, height) > LONGEST_DECODED)
      return no("This picture is longer than 30,000 pixels on a side. Make it smaller first.");
    // Turned upright, without the camera's notes (which may say where it was taken), no larger than anything needs.
    const { data, info } = await image
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: "inside", withoutEnlargement: true })
      .webp({ quality: 86, effort: 4 })
      .toBuffer({ resolveWithObject: true });
    const seen = await readColours(data);
    return {
      ok: true,
      picture: { bytes: data, width: info.width, height: info.height, vector: false, ...seen },
      ...(pages > 1 ? { note: "It moves; only its first picture is kept. Upload what moves as a film." } : {}),
    };
  } catch (error) {
    if (error instanceof Error && /pixel limit/i.test(error.message))
      return no("This picture has more than 50 million pixels. Make it smaller first.");
    return no("This file can’t be read as a picture. Upload a PNG, JPEG, WebP or SVG.");
  }
}

/** As many colours are kept of a picture. */
const MOST_COLOURS = 6;
/** As many pixels on a side tell the colours of a picture. */
const SMALL = 48;

/** A colour of less than this share of a picture is not what anybody would look for it by. */
const LEAST_SHARE = 0.06;

/** The colour of a picture's shadows, as `#rrggbb`, null where nothing is to be seen; and the colours that it mostly has. */
async function readColours(bytes: Uint8Array): Promise<Pick<PreparedPicture, "shade" | "colours">> {
  const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS })
    .resize({ width: SMALL, height: SMALL, fit: "inside" })
    .toColourspace("srgb")
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const colours = paletteOf(data, MOST_COLOURS).flatMap(({ colour, weight }) => (weight < LEAST_SHARE ? [] : [colour]));
  return { shade: shadeOf({ data, width: info.width, height: info.height }), colours };
}

/** What is to be known of a WebP picture that was made ready before. */
export async function measurePicture(bytes: Uint8Array): Promise<Jobs["measure"]["answer"]> {
  const { width, height } = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata();
  return { width, height, ...(await readColours(bytes)) };
}

/** A picture of the library as a PNG, `size` px square, whole and not stretched. */
export const iconOf = (bytes: Uint8Array, size: number): Promise<Uint8Array> =>
  sharp(bytes, { density: 300, limitInputPixels: MOST_PIXELS })
    .resize({ width: size, height: size, fit: "contain", background: { r: 0, g: 0, b: 0, alpha: 0 } })
    .png()
    .toBuffer();
