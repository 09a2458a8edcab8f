import { readFile } from "node:fs/promises";
import { join, resolve } from "node:path";
import scenes from "../../../stock/list.json" with { type: "json" };

const folder = resolve("stock/made");
const known = new Map(scenes.map((scene) => [scene.name, scene]));

export type StockScene = {
  readonly file: string;
  readonly alt: string;
  readonly focus: readonly [number, number];
  readonly read: () => Promise<Buffer>;
};

/** A scene of the stock room by its name; undefined where there is none of that name. */
export function sceneNamed(name: string): StockScene | undefined {
  const scene = known.get(name);
  if (!scene) return undefined;
  const [x = 50, y = 50] = scene.focus;
  const file = `${name}.webp`;
  return { file, alt: scene.alt, focus: [x, y], read: () => readFile(join(folder, file)) };
}
