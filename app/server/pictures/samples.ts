import { join, resolve } from "node:path";
import pictures from "../../../samples/list.json" with { type: "json" };

const folder = resolve("samples/made");
const names = new Map(pictures.map(({ hash, name }) => [hash, name]));

/** Where a picture of the made-up shops lies, which the studio shows while there are no goods; undefined where a hash is not one of theirs. */
export function samplePath(hash: string): string | undefined {
  const name = names.get(hash);
  return name === undefined ? undefined : join(folder, `${name}.webp`);
}
