import type { Brand, Draft, Json, Logo } from "../document";
import { held, readAt, type Operation, type Path } from "../operations";
import { refuse, transaction, type Outcome } from "./transaction";

function setLook(
  draft: Draft,
  path: Path,
  value: Json | undefined,
  intent: string,
  label: string,
  merges: boolean,
): Outcome {
  const before = held(readAt(draft.look as unknown as Json, path));
  const after = held(value);
  if (JSON.stringify(before) === JSON.stringify(after)) return refuse("It is like that already.");
  const operation: Operation = { type: "setLook", path, before, after };
  return transaction(intent, label, [operation], merges ? { mergeKey: `look:${path.join(".")}` } : {});
}

/** Applies another theme. Content stays, and so does everything that the brand says for itself. */
export const applyTheme = (draft: Draft, theme: string, name: string): Outcome =>
  setLook(draft, ["theme"], theme, "applyTheme", `Theme changed to ${name}`, false);

const BRAND_WORDS: Readonly<Record<keyof Brand, string>> = {
  colour: "Brand colour",
  typePair: "Type pair",
  corners: "Corners",
  density: "Density",
  goodsShape: "Shape of goods pictures",
};

/** Sets one thing that the brand says; `undefined` leaves it to the theme again. */
export const setBrand = <K extends keyof Brand>(draft: Draft, key: K, value: Brand[K] | undefined): Outcome =>
  setLook(
    draft,
    ["brand", key],
    value,
    "setBrand",
    `${BRAND_WORDS[key]} ${value === undefined ? "put back" : "changed"}`,
    true,
  );

export const setShopName = (draft: Draft, name: string): Outcome =>
  setLook(draft, ["identity", "name"], name, "setShopName", "Shop name changed", true);

export const setTagline = (draft: Draft, tagline: string): Outcome =>
  setLook(draft, ["identity", "tagline"], tagline, "setTagline", "Tagline changed", true);

export const setLogo = (draft: Draft, logo: Logo): Outcome =>
  setLook(draft, ["identity", "logo"], logo as unknown as Json, "setLogo", "Logo changed", false);
