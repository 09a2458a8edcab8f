/**
 * Draws the pictures of the sample shops: all of them, or those whose name contains the first argument (`none`: only writes the list of
 * them anew). With a second argument, pictures of that many dots on the long side into the folder of the third, to look at. The same code
 * always gives the same pictures.
 */
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { resolve } from "node:path";
import { fileURLToPath } from "node:url";
import sharp from "sharp";
import { measurePicture } from "../app/server/reading/picture";
import { drawFrame, sizeOf } from "../stock/draw/frame";
import { SHOTS } from "./list";

/** They are drawn with so many dots on the long side, and kept with more: what is smooth loses nothing by being enlarged. */
const DRAWN = { wide: 1280, tall: 1000, square: 1000 } as const;
const LARGER = { wide: 1.5, tall: 1.25, square: 1.25 } as const;
const [wanted = "", size, into] = process.argv.slice(2);
const folder = into ? resolve(into) : fileURLToPath(new URL("./made/", import.meta.url));
mkdirSync(folder, { recursive: true });

const jobs = SHOTS.filter(({ name }) => name.includes(wanted));
for (const [i, { name, shape, draw }] of jobs.entries()) {
  const began = Date.now();
  const [width, height] = sizeOf(shape, size ? Number(size) : DRAWN[shape]);
  const drawn = sharp(drawFrame(await draw(), width, height), { raw: { width, height, channels: 3 } });
  if (into) await drawn.png().toFile(resolve(folder, `${name}.png`));
  else
    await drawn
      .resize(Math.round(width * LARGER[shape]), Math.round(height * LARGER[shape]), { kernel: "lanczos3" })
      .webp({ quality: 82, effort: 6, smartSubsample: true })
      .toFile(resolve(folder, `${name}.webp`));
  process.stdout.write(`${i + 1} of ${jobs.length}: ${name}, ${((Date.now() - began) / 1000).toFixed(1)} s\n`);
}

if (!into) {
  const known = [];
  for (const { name, alt, focus } of SHOTS) {
    const file = resolve(folder, `${name}.webp`);
    if (!existsSync(file)) continue;
    const bytes = readFileSync(file);
    const [x, y] = focus.map((share) => Math.round(share * 100));
    const hash = createHash("sha256").update(bytes).digest("hex");
    known.push({ id: name, hash, name, alt, focus: [x, y], vector: false, ...(await measurePicture(bytes)) });
  }
  const list = known.map((picture) => JSON.stringify(picture));
  writeFileSync(fileURLToPath(new URL("./list.json", import.meta.url)), `[\n  ${list.join(",\n  ")}\n]\n`);
  process.stdout.write(`${known.length} pictures in the list\n`);
}
