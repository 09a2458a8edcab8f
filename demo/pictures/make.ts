/**
 * Draws the pictures of the demo shop into demo/pictures/made: all of them, or those whose name contains the first
 * argument. The same code always gives the same pictures.
 */
import { mkdirSync } from "node:fs";
import { fileURLToPath } from "node:url";
import sharp from "sharp";
import { PRODUCT_PICTURES, SCENES, WORKSHOP } from "./list";
import { drawProduct } from "./products";
import { drawGround, drawScene, type SkyScene } from "./scenes";
import { drawWorkshop } from "./workshop";

const folder = fileURLToPath(new URL("./made/", import.meta.url));
mkdirSync(folder, { recursive: true });

const wanted = process.argv[2] ?? "";
/** Scenes stand across whole screens, so they are made larger than they are drawn. */
const SCENE_SCALE = 1.6;
type Job = readonly [name: string, draw: () => string | Promise<string>, scale: number];

/** An outdoor scene: its ground is drawn dot by dot, and what is flown in it upon that. */
async function outdoors(scene: SkyScene): Promise<string> {
  const { data, width, height } = drawGround(scene);
  const png = await sharp(data, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer();
  return drawScene(scene, `data:image/png;base64,${png.toString("base64")}`);
}

const all: readonly Job[] = [
  ...PRODUCT_PICTURES.map((p) => [p.name, () => drawProduct(p), 1] as const),
  ...SCENES.map((s) => [s.name, () => outdoors(s), SCENE_SCALE] as const),
  ...WORKSHOP.map((s) => [s.name, () => drawWorkshop(s), SCENE_SCALE] as const),
];
const jobs = all.filter(([name]) => name.includes(wanted));
let done = 0;
for (const [name, draw, scale] of jobs) {
  await sharp(Buffer.from(await draw()), { density: 72 * scale, limitInputPixels: false, unlimited: true })
    .webp({ quality: 80, effort: 5 })
    .toFile(`${folder}${name}.webp`);
  process.stdout.write(`\r${++done} of ${jobs.length} pictures drawn`);
}
process.stdout.write("\n");
