import { randomBytes } from "node:crypto";
import { mkdir, readFile, rename, stat, writeFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import {
  FAMILIES,
  familyById,
  fontFileName,
  fontPackage,
  isSingle,
  readCutFileName,
  SUBSETS,
  type Cut,
  type Family,
  type Subset,
} from "~/core/theme";
import { config } from "../config/index.server";
import { readApart } from "../reading/index.server";

const require = createRequire(import.meta.url);

/** The file of a shipped family, with all its weights. */
export const shippedFontFile = (family: Family, subset: Subset): string =>
  join(dirname(require.resolve(`${fontPackage(family)}/package.json`)), "files", fontFileName(family, subset));

const whole = new Map(
  FAMILIES.flatMap((family) =>
    (Object.keys(SUBSETS) as Subset[]).map((subset) => [fontFileName(family, subset), { family, subset }] as const),
  ),
);

const underWay = new Map<string, Promise<string>>();

/**
 * The path of the file that serves a font's name: a shipped file, or a cut of one that holds only the weights its name
 * says. A cut is made when it is first asked for, if `mayMake` agrees, and kept. Undefined for names that are neither.
 */
export async function fontFileFor(name: string, mayMake: () => Promise<boolean>): Promise<string | undefined> {
  const shipped = whole.get(name);
  if (shipped) return shippedFontFile(shipped.family, shipped.subset);
  const read = readCutFileName(name);
  if (!read) return undefined;
  // What was drawn in one weight has nothing to be cut from it.
  const family = familyById(read.cut.family);
  if (isSingle(family)) return shippedFontFile(family, read.subset);
  const path = join(config().fontsFolder, name);
  if (await isThere(path)) return path;
  if (!(await mayMake())) return undefined;
  const running = underWay.get(name);
  if (running) return running;
  const made = makeCut(read.cut, read.subset, path).finally(() => underWay.delete(name));
  underWay.set(name, made);
  return made;
}

const isThere = (path: string) =>
  stat(path).then(
    () => true,
    () => false,
  );

async function makeCut(cut: Cut, subset: Subset, path: string): Promise<string> {
  const source = shippedFontFile(familyById(cut.family), subset);
  // It takes seconds, in which this process would answer nobody.
  const cutting = await readApart("font", { bytes: await readFile(source), cut });
  // The whole font looks the same and is only larger.
  if (!cutting.ok) return source;
  // Written beside and renamed, so that a killed server never leaves half a font.
  await mkdir(dirname(path), { recursive: true });
  const beside = `${path}.${randomBytes(6).toString("hex")}.part`;
  await writeFile(beside, cutting.value);
  await rename(beside, path);
  return path;
}
