/**
 * Draws the pictures of the demo shop into demo/pictures/made: all of them, or those whose name contains the first
 * argument. The same code always gives the same pictures.
 */
import { mkdirSync } from "node:fs";
import { fileURLToPath } from "node:url";
import sharp from "sharp";
import { PRODUCT_PICTURES, SCENES, WORKSHOP } from "./list";
import { drawProduct } from "./products";
import { drawScene } from "./scenes";
import { drawWorkshop } from "./workshop";

const folder = fileURLToPath(new URL("./made/", import.meta.url));
mkdirSync(folder, { recursive: true });

const wanted = process.argv[2] ?? "";
/** Scenes stand across whole screens, so they are made larger than they are drawn. */
const SCENE_SCALE = 1.6;
const all: readonly (readonly [name: string, draw: () => string, scale: number])[] = [
  ...PRODUCT_PICTURES.map((p) => [p.name, () => drawProduct(p), 1] as const),
  ...SCENES.map((s) => [s.name, () => drawScene(s), SCENE_SCALE] as const),
  ...WORKSHOP.map((s) => [s.name, () => drawWorkshop(s), SCENE_SCALE] as const),
];
const jobs = all.filter(([name]) => name.includes(wanted));
let done = 0;
for (const [name, draw, scale] of jobs) {
  await sharp(Buffer.from(draw()), { density: 72 * scale, limitInputPixels: false })
    .webp({ quality: 80, effort: 5 })
    .toFile(`${folder}${name}.webp`);
  process.stdout.write(`\r${++done} of ${jobs.length} pictures drawn`);
}
process.stdout.write("\n");
