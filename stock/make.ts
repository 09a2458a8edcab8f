/**
 * Draws the stock room: all scenes, or those whose name contains the first argument (`none`: only writes the list of
 * them anew). With a second argument, pictures
 * of that many dots on the long side into the folder of the third, to look at. The same code always gives the same
 * pictures.
 */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { resolve } from "node:path";
import { fileURLToPath } from "node:url";
import sharp from "sharp";
import { measurePicture } from "../app/server/reading/picture";
import { drawFrame, sizeOf } from "./draw/frame";
import { SCENES } from "./list";

/** They are drawn with so many dots on the long side, and kept with more: what is smooth loses nothing by being enlarged. */
const DRAWN = 1600;
const LARGER = 1.28;
const SMALL = 360;
const [wanted = "", size, into, share = "0/1"] = process.argv.slice(2);
const folder = into ? resolve(into) : fileURLToPath(new URL("./made/", import.meta.url));
const small = fileURLToPath(new URL("../public/stock/", import.meta.url));
mkdirSync(folder, { recursive: true });
mkdirSync(small, { recursive: true });
const [part = 0, of = 1] = share.split("/").map(Number);

const jobs = SCENES.filter((s, i) => s.name.includes(wanted) && i % of === part);
for (const [i, scene] of jobs.entries()) {
  const began = Date.now();
  const [width, height] = sizeOf(scene.shape, size ? Number(size) : DRAWN);
  const drawn = sharp(drawFrame(scene.draw(), width, height), { raw: { width, height, channels: 3 } });
  if (into) await drawn.png().toFile(resolve(folder, `${scene.name}.png`));
  else {
    await drawn
      .clone()
      .resize(Math.round(width * LARGER), Math.round(height * LARGER), { kernel: "lanczos3" })
      .webp({ quality: 80, effort: 6, smartSubsample: true })
      .toFile(resolve(folder, `${scene.name}.webp`));
    writeFileSync(
      resolve(small, `${scene.name}.webp`),
      await drawn
        .resize({ width: scene.shape === "tall" ? Math.round(SMALL * 0.8) : SMALL })
        .webp({ quality: 72 })
        .toBuffer(),
    );
  }
  process.stdout.write(`${i + 1} of ${jobs.length}: ${scene.name}, ${((Date.now() - began) / 1000).toFixed(1)} s\n`);
}

// What the studio and the server know of each scene. Its colours are read as those of any other picture.
if (!into) {
  const known = [];
  const ROOM = {
    left: "on the left",
    right: "on the right",
    head: "above",
    foot: "below",
    middle: "in the middle",
    all: "everywhere",
  };
  for (const { name, alt, group, words, focus, room } of SCENES) {
    const file = resolve(folder, `${name}.webp`);
    if (!existsSync(file)) continue;
    const { width, height, colours } = await measurePicture(readFileSync(file));
    const [x, y] = focus.map((share) => Math.round(share * 100));
    known.push({
      name,
      alt,
      group,
      words: [...words, `room for words ${ROOM[room]}`],
      width,
      height,
      focus: [x, y],
      colours,
    });
  }
  const list = known.map((scene) => JSON.stringify(scene));
  writeFileSync(fileURLToPath(new URL("./list.json", import.meta.url)), `[\n  ${list.join(",\n  ")}\n]\n`);
  process.stdout.write(`${known.length} scenes in the list\n`);
}
