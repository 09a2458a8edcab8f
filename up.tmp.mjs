import sharp from "sharp"; import { readdirSync, writeFileSync } from "node:fs";
for (const f of readdirSync("stock/made")) {
  const p = "stock/made/" + f; const m = await sharp(p).metadata();
  if (Math.max(m.width, m.height) !== 1600) continue;
  const s = 2048 / 1600;
  writeFileSync(p, await sharp(p).resize(Math.round(m.width * s), Math.round(m.height * s), { kernel: "lanczos3" }).webp({ quality: 80, effort: 6, smartSubsample: true }).toBuffer());
}
