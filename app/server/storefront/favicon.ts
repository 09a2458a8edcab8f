import * as fontkit from "fontkit";
import sharp from "sharp";
import { entryOf, iconPicture, type Look } from "~/core/document";
import type { Picture } from "~/core/pictures";
import { familyById, solveLook } from "~/core/theme";
import { SIGNS } from "~/kinds/parts";
import { themeById } from "~/themes";
import { shippedFontFile } from "../fonts/index.server";
import { readOriginal } from "../pictures/index.server";
import { readApart } from "../reading/index.server";

/** The file's own instance is its lightest; an outline of this share of the em makes it hold at 16 px. */
const EMBOLDEN = 0.045;

/** The first letter of the shop's name as a drawn outline in its own head type. */
function initial(look: Look): string {
  const solved = solveLook(themeById(look.theme), look);
  const family = familyById(solved.type.heads.family);
  const letter = [...look.identity.name.trim()][0]?.toUpperCase() ?? "?";
  const font = fontkit.openSync(shippedFontFile(family, "latin")) as fontkit.Font;
  const glyph = font.glyphForCodePoint(letter.codePointAt(0)!);
  const { minX, minY, maxX, maxY } = glyph.bbox;
  const scale = 36 / Math.max(maxX - minX, maxY - minY, 1);
  const x = 32 - ((minX + maxX) / 2) * scale;
  const y = 32 + ((minY + maxY) / 2) * scale;
  return `<g transform="translate(${x} ${y}) scale(${scale} ${-scale})"><path d="${glyph.path.toSVG()}" fill="INK" stroke="INK" stroke-width="${font.unitsPerEm * EMBOLDEN}" stroke-linejoin="round"/></g>`;
}

/** The shop's icon as PNG, `size` px square: the picture chosen for it, the uploaded logo, the chosen sign, or the first letter on brand colour. */
export async function iconPng(look: Look, pictures: readonly Picture[], size: number): Promise<Buffer> {
  const wanted = iconPicture(look.identity);
  const logo = wanted === undefined ? undefined : pictures.find((p) => p.id === wanted);
  if (logo) {
    const drawn = await readApart("icon", { bytes: await readOriginal(logo.hash, logo.vector), size });
    // A logo that can't be drawn in time is no reason for a shop to have no icon.
    if (drawn.ok) return Buffer.from(drawn.value);
  }
  return sharp(Buffer.from(iconSvg(look)), { density: (72 * size) / 64 })
    .resize(size, size)
    .png()
    .toBuffer();
}

/** The icon as a drawing: the chosen sign, or the first letter, on brand colour. */
export function iconSvg(look: Look): string {
  const { brand } = solveLook(themeById(look.theme), look).roles.sets;
  const sign = look.identity.logo.form === "sign" ? entryOf(SIGNS, look.identity.logo.sign) : undefined;
  const drawing = sign
    ? `<g transform="translate(11 11) scale(1.75)"><path fill-rule="evenodd" d="${sign.path}" fill="INK"/></g>`
    : initial(look);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="64" height="64" viewBox="0 0 64 64"><rect width="64" height="64" rx="14" fill="${brand.page}"/>${drawing.replaceAll("INK", brand.ink)}</svg>`;
}

/** An ICO file that holds one PNG (allowed since Windows Vista; 6-byte head, 16-byte entry, data). */
export function icoOf(png: Buffer, size: number): Buffer {
  const head = Buffer.alloc(22);
  head.writeUInt16LE(1, 2);
  head.writeUInt16LE(1, 4);
  head.writeUInt8(size % 256, 6);
  head.writeUInt8(size % 256, 7);
  head.writeUInt16LE(1, 10);
  head.writeUInt16LE(32, 12);
  head.writeUInt32LE(png.length, 14);
  head.writeUInt32LE(22, 18);
  return Buffer.concat([head, png]);
}
