import { entryOf, sameJson, type Json, type Part } from "~/core/document";
import { kindOf, makeNode, type Field } from "../..";
import { TRADES } from "../trades";
import { STARTS } from ".";

/** The sections of the home page of a shop that has not been begun with anything yet. */
export const firstHome = (shop: string): readonly Part[] => [
  makeNode("hero", { heading: `Welcome to ${shop}` }),
  makeNode("product-grid", {}),
  makeNode("picture-words", {}),
  makeNode("sign-up", {}),
];

/** The same for the page that says who they are. */
export const firstStory = (shop: string): readonly Part[] => [makeNode("text", { heading: `About ${shop}` })];

/** What is said by where the shop is at, and not by whoever writes. */
const OF_THE_SHOP: ReadonlySet<Field["type"]> = new Set(["picture", "link", "product", "products", "collection"]);

function said(fields: readonly Field[], props: Readonly<Record<string, Json>>): Json {
  return fields.flatMap((field): Json[] => {
    const value = entryOf(props, field.key);
    if (OF_THE_SHOP.has(field.type) || value === undefined) return [];
    if (field.type !== "list" || !Array.isArray(value)) return [[field.key, value]];
    // There are as many as there are collections, all alike.
    const items = new Set(value.map((item) => JSON.stringify(said(field.fields, item as Record<string, Json>))));
    return [[field.key, [...items]]];
  });
}

/** What a section says, how it looks and when it shows, without whose shop it stands in. */
const printOf = ({ kind, props, style, conditions, shown, slots }: Part): Json => [
  kind,
  said(kindOf({ kind })?.definition.fields ?? [], props),
  style,
  conditions,
  shown,
  Object.entries(slots).map(([slot, parts]) => [slot, parts.map(printOf)]),
];

function hasPicture(fields: readonly Field[], props: Readonly<Record<string, Json>>): boolean {
  return fields.some((field) => {
    const value = entryOf(props, field.key);
    if (field.type === "picture") return typeof value === "string";
    return field.type === "list" && Array.isArray(value)
      ? value.some((item) => hasPicture(field.fields, item as Record<string, Json>))
      : false;
  });
}
const showsPicture = (part: Part): boolean =>
  hasPicture(kindOf(part)?.definition.fields ?? [], part.props) || Object.values(part.slots).flat().some(showsPicture);

/** Whether the home page of a shop is still the one that it was opened with. */
export function isAsOpened(shop: string, home: readonly Part[]): boolean {
  return !home.some(showsPicture) && sameJson(home.map(printOf), firstHome(shop).map(printOf));
}

let known: { readonly shop: string; readonly prints: ReadonlySet<string> } | undefined;

/** The prints of everything that any start puts into a shop of this name; gathered once. */
function printsIn(shop: string): ReadonlySet<string> {
  if (known?.shop === shop) return known.prints;
  const given = { shop, picture: () => null, product: () => null, about: { to: "home" } };
  const parts = [...firstHome(shop), ...firstStory(shop)];
  for (const trade of TRADES)
    for (const collections of [[], ["a"]])
      for (const { home, story, product } of STARTS)
        for (const build of [home, story, product]) parts.push(...build({ ...given, trade, collections }));
  known = { shop, prints: new Set(parts.map((part) => JSON.stringify(printOf(part)))) };
  return known.prints;
}

/**
 * Tells of a section whether there is something of the seller's in a shop of this name: it says or looks otherwise than what any start
 * puts there, or a picture stands in it.
 */
export function ownIn(shop: string): (section: Part) => boolean {
  const prints = printsIn(shop);
  return (section) => showsPicture(section) || !prints.has(JSON.stringify(printOf(section)));
}
