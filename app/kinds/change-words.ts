import { conditionsOf, explain, type Names } from "~/core/conditions";
import { entryOf, type Difference, type DocumentKind, type PageDocument, type Part } from "~/core/document";
import { PROPERTIES } from "~/core/cascade";
import { KNOWN_LETTERS } from "~/core/shop-letters";
import { readPinKey, ROLE_WORDS, SET_NAMES, settingOf } from "~/core/theme";
import { kindOf, nameOf, type Field } from ".";

/** A list of changes does not say by name which pages and goods are meant. */
const UNNAMED: Names = {
  page: () => "a page",
  product: () => "a product",
  collection: () => "a collection",
  country: (code) => code,
  money: () => "an amount",
};

export type Change = { readonly where: string; readonly what: string };

const LOOK: Readonly<Record<Extract<Difference, { what: "look" }>["part"], readonly [where: string, what: string]>> = {
  theme: ["Brand", "another theme"],
  name: ["Brand", "shop name changed"],
  tagline: ["Brand", "tagline changed"],
  logo: ["Brand", "logo changed"],
  contact: ["Brand", "contact and opening hours changed"],
  icon: ["Brand", "icon of the browser’s tab changed"],
};

/** What any section can have besides what its kind says. */
const BESIDES: Readonly<Record<string, string>> = {
  anchor: "name of the place",
  backdrop: "picture behind",
  groundFilm: "film behind",
  css: "section CSS",
};

/** A brand setting's name inside a sentence. */
function brandLabel(key: string): string {
  const pin = readPinKey(key);
  if (pin) return `fixed colour of ${ROLE_WORDS[pin.role].name.toLowerCase()} in ${SET_NAMES[pin.set].toLowerCase()}`;
  const label = settingOf(key)?.label ?? key;
  return label.charAt(0).toLowerCase() + label.slice(1);
}

/** Props that hold words are named together; others by their label. */
function propsWords(fields: readonly Field[], keys: readonly string[]): string {
  const said = new Set<string>();
  for (const key of keys) {
    if (key === "arrangement") said.add("arrangement");
    else {
      const field = fields.find((f) => f.key === key);
      if (!field) said.add(entryOf(BESIDES, key) ?? key);
      else if (field.type === "line" || field.type === "text" || field.type === "rich") said.add("words");
      else if (field.type === "link") said.add("link");
      else said.add(field.label.toLowerCase());
    }
  }
  return `${[...said].join(", ")} changed`;
}

const THINGS: Readonly<Record<DocumentKind, string>> = {
  page: "page",
  frame: "page",
  layout: "layout",
  menu: "menu",
  site: "page",
  piece: "piece",
  shared: "shared section",
  offer: "offer",
  season: "season",
  letters: "letters of the shop",
  selling: "settings",
};

/** What a document says of itself, by its keys. */
const SAID: Readonly<Record<string, string>> = {
  products: "used for other goods",
  collections: "used for other goods",
  slug: "address changed",
  parent: "moved among the pages",
  order: "moved among the pages",
  searchTitle: "search and sharing changed",
  description: "search and sharing changed",
  picture: "search and sharing changed",
  unlisted: "search and sharing changed",
  titlePattern: "search and sharing changed",
  descriptionPattern: "search and sharing changed",
  home: "another home page",
  friends: "password for friends changed",
  css: "own CSS changed",
  head: "what search engines and browsers are told changed",
  spellings: "word list changed",
  fields: "own fields changed",
  own: "own fields filled in",
  gives: "what it gives changed",
  code: "code changed",
  fromWorth: "what it takes changed",
  fromCount: "what it takes changed",
  alone: "with what it goes together changed",
  members: "what belongs to it changed",
  look: "look that it wears changed",
  mostUses: "how often it can be had changed",
  mostEach: "how often it can be had changed",
};

/** What those documents say of themselves of which a shop has one. */
const SAID_ONCE: Readonly<Partial<Record<DocumentKind, Readonly<Record<string, string>>>>> = {
  letters: {
    look: "look of all letters changed",
    ...Object.fromEntries(
      Object.entries(KNOWN_LETTERS).map(([key, { name }]) => [key, `letter “${name}” changed`] as const),
    ),
  },
  selling: {
    from: "country that goods are sent from changed",
    zones: "places and what delivery costs changed",
    collect: "collecting in person changed",
    pieceWeight: "weight of a piece changed",
    tax: "tax changed",
    pays: "ways to pay changed",
    takesCards: "gift cards changed",
    cardYears: "gift cards changed",
    accounts: "accounts of shoppers changed",
  },
};

function saidWords(document: PageDocument, keys: readonly string[]): string {
  const { hidden, closed, header, footer, off } = document.root.props;
  const around = (what: string, value: unknown) =>
    value === "own" ? `a ${what} of its own` : value === false ? `no ${what}` : `the shop’s ${what}`;
  const now: Readonly<Record<string, string>> = {
    ...(SAID_ONCE[document.kind] ?? SAID),
    header: around("header", header),
    footer: around("footer", footer),
    hidden: hidden ? "no longer in the shop" : "in the shop",
    closed: closed ? "closed for now" : "open",
    off: off ? "switched off" : "switched on",
    conditions: `holds ${explain(conditionsOf(document.root), UNNAMED)}`,
  };
  const words = keys.map((key) => entryOf(now, key) ?? key);
  return [...new Set(words)].join(", ");
}

/** What a part is called; an item of a menu by its words, as there are many. */
const partName = (part: Part): string =>
  part.kind === "menu-item" && part.props.label ? `“${String(part.props.label)}”` : nameOf(part);

/** A difference as a seller says it: where, and what. */
export function changeWords(difference: Difference): Change {
  if (difference.what === "look") {
    const [where, what] = LOOK[difference.part];
    return { where, what };
  }
  if (difference.what === "brand") return { where: "Brand", what: `${brandLabel(difference.key)} changed` };
  if (!("node" in difference)) {
    const { kind, title } = difference.document;
    const thing = THINGS[kind];
    if (difference.what === "says-of-itself")
      return { where: title, what: saidWords(difference.document, difference.keys) };
    const what = {
      "page-added": `new ${thing}`,
      "page-removed": `${thing} removed`,
      renamed: `${thing} renamed`,
    }[difference.what];
    return { where: title, what };
  }
  const inside = difference.section.id === difference.node.id ? "" : ` › ${partName(difference.node)}`;
  const where = `${difference.document.title} › ${partName(difference.section)}${inside}`;
  const fields = kindOf(difference.node)?.definition.fields ?? [];
  switch (difference.what) {
    case "added":
      return { where, what: difference.node.shown ? "added" : "added, not shown yet" };
    case "removed":
      return { where, what: "removed" };
    case "moved":
      return { where, what: "moved" };
    case "shown":
      return { where, what: "shown" };
    case "not-shown":
      return { where, what: "no longer shown" };
    case "times":
      return { where, what: `shows ${explain(conditionsOf(difference.node), UNNAMED)}` };
    case "props":
      return { where, what: propsWords(fields, difference.keys) };
    case "style":
      return {
        where,
        what: `${difference.keys.map((k) => (k === "hidden" ? "where it shows" : (entryOf(PROPERTIES, k)?.label ?? k).toLowerCase())).join(", ")} changed`,
      };
  }
}
