import {
  markOf,
  newId,
  type Brand,
  type BrandVersion,
  type Draft,
  type Json,
  type Logo,
  type Look,
  entryOf,
} from "../document";
import { held, readAt, type Operation, type Path } from "../operations";
import type { Tone } from "../pictures";
import {
  problemWithBrand,
  problemWithValue,
  readPinKey,
  ROLE_WORDS,
  setName,
  SET_NAMES,
  settingOf,
  type SettingValue,
} from "../theme";
import { refuse, transaction, type Outcome } from "./transaction";

/** What sets one value of the look; undefined where it is like that already. */
export function lookOperation(draft: Draft, path: Path, value: Json | undefined): Operation | undefined {
  const before = held(readAt(draft.look as unknown as Json, path));
  const after = held(value);
  if (JSON.stringify(before) === JSON.stringify(after)) return undefined;
  return { type: "setLook", path, before, after };
}

function setLook(
  draft: Draft,
  path: Path,
  value: Json | undefined,
  intent: string,
  label: string,
  merges: boolean,
): Outcome {
  const operation = lookOperation(draft, path, value);
  if (!operation) return refuse("It is like that already.");
  return transaction(intent, label, [operation], merges ? { mergeKey: `look:${path.join(".")}` } : {});
}

/** Applies another theme, and with it what of the brand is given: a colourway, say. Content stays, and so does all else that the brand says. */
export function applyTheme(draft: Draft, theme: string, name: string, brand: BrandValues = {}): Outcome {
  const worn = lookOperation(draft, ["theme"], theme);
  return changeLook(draft, worn ? [worn] : [], brand, "applyTheme", `Theme changed to ${name}`);
}

/** Keeps a tone of pictures for the shop, changes one, or (`undefined`) takes it away. */
export function setTone(
  draft: Draft,
  id: string,
  kept: { readonly name: string; readonly tone: Tone } | undefined,
  label: string,
): Outcome {
  const { [id]: _before, ...others } = draft.look.tones ?? {};
  const tones = kept ? { ...draft.look.tones, [id]: kept } : others;
  return setLook(draft, ["tones"], tones as unknown as Json, "setTone", label, true);
}

/** What a brand setting is called in a list of changes: "Button › Primary: made", "Link pinned in Header". */
export function brandWords(brand: Brand, key: string): string {
  const pin = readPinKey(key);
  if (pin)
    return `${ROLE_WORDS[pin.role].name} in ${setName(brand, pin.set) || SET_NAMES[pin.set]}${pin.scheme === "dark" ? ", dark" : ""}`;
  return settingOf(key)?.label ?? key;
}

/** Sets one thing that the brand says; `undefined` leaves it to the theme again. */
export function setBrand(draft: Draft, key: string, value: SettingValue | undefined): Outcome {
  const setting = settingOf(key);
  if (!setting) return refuse(`A brand has no setting “${key}”.`);
  const json = value as Json | undefined;
  const problem = json === undefined ? undefined : problemWithValue(setting, json);
  if (problem) return refuse(problem);
  const words = brandWords(draft.look.brand, key);
  const did = value === undefined ? "put back" : readPinKey(key) ? "fixed" : "changed";
  return setLook(draft, ["brand", key], json, "setBrand", `${words} ${did}`, true);
}

export type BrandValues = Readonly<Record<string, SettingValue | undefined>>;

/** Other operations on the look, and values of the brand with them, in one step. */
function changeLook(
  draft: Draft,
  others: readonly Operation[],
  values: BrandValues,
  intent: string,
  label: string,
): Outcome {
  const given = Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined)) as Brand;
  const problem = problemWithBrand(given);
  if (problem) return refuse(problem);
  const ofBrand = Object.entries(values).flatMap(
    ([key, value]) => lookOperation(draft, ["brand", key], value as Json | undefined) ?? [],
  );
  const operations = [...others, ...ofBrand];
  if (operations.length === 0) return refuse("It is like that already.");
  return transaction(intent, label, operations);
}

/** Changes many things of the brand in one step; `undefined` values are left to the theme. */
export function setBrandAll(draft: Draft, values: BrandValues, label: string): Outcome {
  return changeLook(draft, [], values, "setBrandAll", label);
}

/** The brand becomes exactly `brand`, whatever it says now. */
export function replaceBrand(draft: Draft, brand: Brand, label: string): Outcome {
  const keys = new Set([...Object.keys(draft.look.brand), ...Object.keys(brand)]);
  return setBrandAll(
    draft,
    Object.fromEntries([...keys].map((key) => [key, entryOf(brand, key) as SettingValue | undefined])),
    label,
  );
}

/** Puts everything that the brand says back to the theme; with `keys`, only those. */
export function putBackBrand(
  draft: Draft,
  keys: readonly string[] = Object.keys(draft.look.brand),
  what = "Everything in Brand",
): Outcome {
  return setBrandAll(draft, Object.fromEntries(keys.map((key) => [key, undefined])), `${what} put back to the theme`);
}

const MOST_VERSIONS = 40;

/** Puts the brand as it is aside under a name. `at`: now, as an ISO 8601 date and time. */
export function keepVersion(draft: Draft, name: string, at: string): Outcome {
  const trimmed = name.trim();
  if (trimmed === "") return refuse("Give the version a name, so that you find it again.");
  if (Object.keys(draft.look.versions).length >= MOST_VERSIONS)
    return refuse(`There are ${MOST_VERSIONS} versions already. Remove one first.`);
  const { theme, brand } = draft.look;
  const version: BrandVersion = { name: trimmed.slice(0, 60), at, theme, brand };
  return setLook(draft, ["versions", newId()], version, "keepVersion", `Brand saved as “${version.name}”`, false);
}

export function removeVersion(draft: Draft, id: string): Outcome {
  const version = entryOf(draft.look.versions, id);
  if (!version) return refuse("This version is no longer there.");
  return setLook(draft, ["versions", id], undefined, "removeVersion", `Version “${version.name}” removed`, false);
}

/** Goes back to a version: its brand and its theme, in one step. */
export function wearVersion(draft: Draft, id: string): Outcome {
  const version = entryOf(draft.look.versions, id);
  if (!version) return refuse("This version is no longer there.");
  const label = `Brand is “${version.name}” again`;
  const brand = replaceBrand(draft, version.brand, label);
  const theme = lookOperation(draft, ["theme"], version.theme);
  const operations = [...(theme ? [theme] : []), ...(brand.ok ? brand.transaction.operations : [])];
  if (operations.length === 0) return refuse(`The brand is “${version.name}” already.`);
  return transaction("wearVersion", label, operations);
}

export const setShopName = (draft: Draft, name: string): Outcome =>
  setLook(draft, ["identity", "name"], name, "setShopName", "Shop name changed", true);

export const setTagline = (draft: Draft, tagline: string): Outcome =>
  setLook(draft, ["identity", "tagline"], tagline, "setTagline", "Tagline changed", true);

/** Changes the logo; what it says nothing of is left out. `isDrag`: one of many small steps, such as a slider's, that are one in the end. */
export const setLogo = (draft: Draft, logo: Logo, isDrag = false): Outcome =>
  setLook(draft, ["identity", "logo"], JSON.parse(JSON.stringify(logo)) as Json, "setLogo", "Logo changed", isDrag);

/** What a shop says of how it is reached, each by its key. */
export type ContactKey = "mail" | "phone" | "address" | "hours" | "social";
const CONTACT_WORDS: Readonly<Record<ContactKey, string>> = {
  mail: "Mail address",
  phone: "Phone number",
  address: "Address",
  hours: "Opening hours",
  social: "Links elsewhere",
};

/** Sets one of the ways in which the shop is reached; nothing, or an empty list, takes it away. */
export const setContact = (draft: Draft, key: ContactKey, value: Look["identity"][ContactKey]): Outcome =>
  setLook(
    draft,
    ["identity", key],
    value === undefined || value.length === 0 ? undefined : (JSON.parse(JSON.stringify(value)) as Json),
    "setContact",
    `${CONTACT_WORDS[key]} changed`,
    typeof value === "string",
  );

/** Notes that sentences of the studio are true of the shop: they are the seller's own from then on. */
export function acceptWords(draft: Draft, words: readonly string[]): Outcome {
  const accepted = new Set(draft.look.accepted);
  for (const each of words) accepted.add(markOf(each));
  const label = words.length === 1 ? "Words found to be true" : `${words.length} sentences found to be true`;
  return setLook(draft, ["accepted"], [...accepted], "acceptWords", label, false);
}

/** Gives the browser's tab a picture of its own; without one, its icon is made from the logo. */
export const setIcon = (draft: Draft, picture: string | undefined): Outcome =>
  setLook(draft, ["identity", "icon"], picture, "setIcon", "Icon changed", false);
