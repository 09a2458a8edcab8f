import sharp from "sharp";
import { light, mix, type Light } from "../../stock/draw/colour";

/** Something printed: the colour at a place of it, both from 0 (left, head) to 1. */
export type Sheet = (u: number, v: number) => Light;

const LINEAR: readonly number[] = Array.from(
  { length: 256 },
  (_, i) => light(`#${i.toString(16).padStart(2, "0").repeat(3)}`)[0],
);

/** What an SVG shows, to be laid upon a thing. `inner` is drawn on `width` × `height` px with 0, 0 in the middle. */
export async function printed(width: number, height: number, ground: string, inner: string): Promise<Sheet> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="${-width / 2} ${-height / 2} ${width} ${height}"><rect x="${-width / 2}" y="${-height / 2}" width="${width}" height="${height}" fill="${ground}"/>${inner}</svg>`;
  const { data } = await sharp(Buffer.from(svg)).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const at = (x: number, y: number): Light => {
    const i = (Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x))) * 3;
    return [LINEAR[data[i]!]!, LINEAR[data[i + 1]!]!, LINEAR[data[i + 2]!]!];
  };
  return (u, v) => {
    const x = u * width - 0.5;
    const y = v * height - 0.5;
    const x0 = Math.floor(x);
    const y0 = Math.floor(y);
    const across = x - x0;
    return mix(mix(at(x0, y0), at(x0 + 1, y0), across), mix(at(x0, y0 + 1), at(x0 + 1, y0 + 1), across), y - y0);
  };
}
