import { conditionsOf, mapNamed } from "~/core/conditions";
import {
  layoutProps,
  pageProps,
  sharedOf,
  walk,
  type Draft,
  type Json,
  type PageDocument,
  type Part,
  entryOf,
  OWN_PICTURE,
  ownValuesOf,
} from "~/core/document";
import { held, type Operation } from "~/core/operations";
import type { Goods, Product } from "~/core/goods";
import { isOfOffer, piecesOf, storedLive, type Live, type LiveOfOffer } from "~/core/live";
import { offerOf } from "~/core/offers";
import { nodesIn, type Rich, type RichMark, type RichNode } from "~/core/rich";
import { LETTERS, lettersOf } from "~/core/shop-letters";
import { linkOfOwn, NO_LINK, ownLink, type Link } from "~/core/schema";
import { chassisOf } from "./chassis";
import type { Field } from "./definition";
import { kindOf, nameOf } from ".";

// What a document refers to is known from the fields of its kinds, from links wherever they stand, and from what every
// section has. Bringing in, copying, "where used" and whatever takes something away ask here and nowhere else.

/** A thing that a page can refer to. A file is a picture of the library that a link leads to; films and documents go by the name under which they are served. */
export type Reference = {
  readonly to:
    "picture" | "file" | "film" | "document" | "page" | "product" | "collection" | "menu" | "shared" | "offer" | "over";
  readonly id: string;
  /** It is asked for before something shows; nothing leads to it or shows it. */
  readonly isAsked?: true;
};

/** What becomes of a reference: the same id, another one, or null: it refers to nothing any more. */
export type Remap = (reference: Reference) => string | null;

type Props = Readonly<Record<string, Json>>;

function mapLink(link: Link, remap: Remap): Link {
  const to = (reference: Reference, put: (id: string) => Link): Link => {
    const id = remap(reference);
    return id === null ? NO_LINK : id === reference.id ? link : put(id);
  };
  switch (link.to) {
    case "product":
    case "collection":
    case "page":
    case "file":
    case "over":
      return to({ to: link.to, id: link.id }, (id) => ({ ...link, id }));
    case "list":
      return link.id === null ? link : to({ to: "collection", id: link.id }, (id) => ({ ...link, id }));
    case "document":
      return to({ to: "document", id: link.file }, (file) => ({ ...link, file }));
    case "place":
      return to({ to: "page", id: link.page }, (page) => ({ ...link, page }));
    default:
      return link;
  }
}

/** A list with each of its elements mapped; the same list where none of them changed. */
function mapped<T>(list: readonly T[], map: (each: T) => T | undefined): readonly T[] {
  const next = list.map(map);
  return next.some((each, i) => each !== list[i]) ? next.filter((each) => each !== undefined) : list;
}

/** The offer that a fact is of; that of one that is gone stays named: what it said can't be known. */
const mapFact = (live: LiveOfOffer, remap: Remap): LiveOfOffer => {
  const offer = remap({ to: "offer", id: live.offer }) ?? live.offer;
  return offer === live.offer ? live : { ...live, offer };
};

/** A text with the offers that its facts are of changed. */
const mapFacts = (text: string, remap: Remap): string =>
  text.includes("{")
    ? piecesOf(text)
        .map((piece) =>
          typeof piece === "string" ? piece : storedLive(isOfOffer(piece) ? mapFact(piece, remap) : piece),
        )
        .join("")
    : text;

/** What stands in running text by itself: the picture or film that it is. */
const SHOWN_IN_TEXT: ReadonlyMap<string, "picture" | "film"> = new Map([
  ["figure", "picture"],
  ["film", "film"],
]);

/** A text with what it refers to changed; undefined where what the node shows is gone. */
function mapRich(node: RichNode, remap: Remap): RichNode | undefined {
  const shows = SHOWN_IN_TEXT.get(node.type);
  if (shows) {
    const id = String(node.attrs?.[shows]);
    const next = remap({ to: shows, id });
    return next === null ? undefined : next === id ? node : { ...node, attrs: { ...node.attrs, [shows]: next } };
  }
  if (node.type === "liveField") {
    const live = node.attrs as unknown as Live;
    if (!isOfOffer(live)) return node;
    const next = mapFact(live, remap);
    return next === live ? node : { ...node, attrs: { ...next } };
  }
  if (node.type === "text") {
    const text = mapFacts(node.text ?? "", remap);
    if (text !== node.text) return { ...node, text };
  }
  const mark = (each: RichMark): RichMark | undefined => {
    if (each.type !== "link") return each;
    const link = mapLink(each.attrs.link, remap);
    // Words whose link leads nowhere any more are words.
    if (link.to === "nowhere") return undefined;
    return link === each.attrs.link ? each : { ...each, attrs: { link } };
  };
  const marks = node.marks && mapped(node.marks, mark);
  const content = node.content && mapped(node.content, (inner) => mapRich(inner, remap));
  if (marks === node.marks && content === node.content) return node;
  return { ...node, ...(marks ? { marks } : {}), ...(content ? { content } : {}) };
}

/** Whether a film stands in any running text of a part. */
export const hasFilmInText = (part: Part): boolean => {
  const within = (fields: readonly Field[], props: Props): boolean =>
    fields.some((field) => {
      const value = entryOf(props, field.key);
      if (field.type === "rich") return nodesIn((value ?? "") as unknown as Rich, "film").length > 0;
      return field.type === "list" && ((value ?? []) as readonly Props[]).some((item) => within(field.fields, item));
    });
  return within(kindOf(part)?.definition.fields ?? [], part.props);
};

const mapIds = (ids: Json | undefined, to: Reference["to"], remap: Remap): Json =>
  Array.isArray(ids) ? mapped(ids as readonly string[], (id) => remap({ to, id }) ?? undefined) : (ids ?? []);

function mapValue(field: Field, value: Json | undefined, remap: Remap): Json | undefined {
  if (value === undefined || value === null) return value;
  switch (field.type) {
    case "picture":
    case "film":
    case "product":
    case "collection":
    case "offer":
      return typeof value === "string" ? remap({ to: field.type, id: value }) : value;
    case "line":
    case "text":
      return typeof value === "string" ? mapFacts(value, remap) : value;
    case "journal":
      return typeof value === "string" ? remap({ to: "page", id: value }) : value;
    case "menu":
      // No menu at all is said by an empty text.
      return value === "" ? value : (remap({ to: "menu", id: String(value) }) ?? "");
    case "link":
      return mapLink(value as unknown as Link, remap);
    case "rich":
      return typeof value === "string"
        ? mapFacts(value, remap)
        : (mapRich(value as unknown as RichNode, remap) as unknown as Json);
    case "products":
      return mapIds(value, "product", remap);
    case "goods": {
      const chosen = value as Props;
      const products = mapIds(chosen.products, "product", remap);
      const collections = mapIds(chosen.collections, "collection", remap);
      return products === chosen.products && collections === chosen.collections
        ? value
        : { ...chosen, products, collections };
    }
    case "list":
      return mapped(value as readonly Props[], (item) => mapProps(field.fields, item, remap));
    default:
      return value;
  }
}

function mapProps(fields: readonly Field[], props: Props, remap: Remap): Props {
  let next = props;
  for (const field of fields) {
    const value = mapValue(field, entryOf(props, field.key), remap);
    if (value !== undefined && value !== entryOf(props, field.key)) next = { ...next, [field.key]: value };
  }
  return next;
}

/** A part, and all that stands in it, with what it refers to changed; an unchanged part is the same object. */
export function mapPart(part: Part, remap: Remap): Part {
  const kind = kindOf(part);
  let props = mapProps(kind?.definition.fields ?? [], part.props, remap);
  const { backdrop, groundFilm } = kind ? chassisOf(part) : {};
  if (groundFilm) {
    const id = remap({ to: "film", id: groundFilm });
    if (id !== groundFilm) props = { ...props, groundFilm: id };
  }
  if (backdrop) {
    const id = remap({ to: "picture", id: backdrop });
    if (id !== backdrop) props = { ...props, backdrop: id };
  }
  const shared = sharedOf(part);
  if (shared) {
    const of = remap({ to: "shared", id: shared });
    if (of !== shared) props = { ...props, of: of ?? "" };
  }
  let slots = part.slots;
  for (const [slot, children] of Object.entries(part.slots)) {
    const next = mapped(children, (child) => mapPart(child, remap));
    if (next !== children) slots = { ...slots, [slot]: next };
  }
  // Where it shows stays as narrow as it was: what is gone is named on.
  const conditions = part.conditions.length
    ? (mapNamed(
        conditionsOf(part),
        (named) => remap({ ...named, isAsked: true }) ?? named.id,
      ) as unknown as Part["conditions"])
    : part.conditions;
  const isSame = conditions === part.conditions || conditions === (conditionsOf(part) as unknown);
  if (props === part.props && slots === part.slots && isSame) return part;
  return { ...part, props, slots, ...(isSame ? {} : { conditions }) };
}

/** What a field of a page says that holds a picture. */
const OWN_PICTURE_VALUE = new RegExp(`^${OWN_PICTURE}[a-z0-9]{1,40}$`);

/** What one of the seller's own fields says, with what it refers to changed; empty where that is gone. */
function mapOwn(value: string, remap: Remap): string {
  if (OWN_PICTURE_VALUE.test(value)) {
    const next = remap({ to: "picture", id: value.slice(OWN_PICTURE.length) });
    return next === null ? "" : OWN_PICTURE + next;
  }
  const link = linkOfOwn(value);
  const next = mapLink(link, remap);
  return next === link ? value : ownLink(next);
}

/** The own fields of a page, with what each says. */
const ownIn = (document: PageDocument): readonly (readonly [field: string, value: string])[] =>
  document.kind === "page" ? Object.entries(ownValuesOf(document)) : [];

function referencesOfOwn(value: string): readonly Reference[] {
  const found: Reference[] = [];
  mapOwn(value, (reference) => {
    found.push(reference);
    return reference.id;
  });
  return found;
}

/** What a product refers to by its own fields and its film. */
export const referencesOfProduct = ({ own, video }: Pick<Product, "own" | "video">): readonly Reference[] => [
  ...(video ? [{ to: "film" as const, id: video.file }] : []),
  ...Object.values(own).flatMap(referencesOfOwn),
];

/** What a product says in its own fields, with what they refer to changed. */
export const mapOwnOfProduct = (own: Product["own"], remap: Remap): Product["own"] =>
  Object.fromEntries(Object.entries(own).map(([field, value]) => [field, mapOwn(value, remap)]));

/** The steps after which a page's own fields refer to other things; none where they refer to none of those. */
export function ownRestated(document: PageDocument, remap: Remap): readonly Operation[] {
  return ownIn(document).flatMap(([field, value]): readonly Operation[] => {
    const next = mapOwn(value, remap);
    if (next === value) return [];
    const path = ["own", field];
    return [
      { type: "setProp", document: document.id, node: document.root.id, path, before: held(value), after: held(next) },
    ];
  });
}

/** The picture that is shown with links to a page, where it has one of its own. */
const sharePictureOf = (document: PageDocument): string | null =>
  document.kind === "page" ? pageProps(document).picture : null;

/** The picture above the words of every letter that the shop writes by itself. */
const letterPictureOf = (document: PageDocument): string | null =>
  document.kind === "letters" ? (lettersOf({ [LETTERS]: document }).look?.picture ?? null) : null;

/**
 * The goods that an offer is for, asks about or gives. They stay named when they are gone: what was for one product must not
 * be for all.
 */
export function referencesOfOffer(document: PageDocument): readonly Reference[] {
  const offer = offerOf(document);
  if (!offer) return [];
  const found: Reference[] = [
    ...offer.goods.products.map((id) => ({ to: "product", id }) as const),
    ...offer.goods.collections.map((id) => ({ to: "collection", id }) as const),
    ...(offer.gives.sort === "gift" ? [{ to: "product", id: offer.gives.product } as const] : []),
  ];
  mapNamed(offer.conditions, (named) => {
    found.push({ ...named, isAsked: true });
    return named.id;
  });
  return found;
}

/** A document with what it refers to changed: what its parts show and lead to, and the goods that a layout is for. */
export function mapReferences(document: PageDocument, remap: Remap): PageDocument {
  let root = mapPart(document.root, remap);
  const layout = layoutProps(document);
  if (layout) {
    const products = mapIds([...layout.products], "product", remap);
    const collections = mapIds([...layout.collections], "collection", remap);
    const isSame = JSON.stringify([products, collections]) === JSON.stringify([layout.products, layout.collections]);
    if (!isSame) root = { ...root, props: { ...root.props, products, collections } };
  }
  const own = ownIn(document);
  const mappedOwn = mapped(own, (each) => {
    const next = mapOwn(each[1], remap);
    return next === each[1] ? each : ([each[0], next] as const);
  });
  if (mappedOwn !== own) root = { ...root, props: { ...root.props, own: Object.fromEntries(mappedOwn) } };
  const shared = sharePictureOf(document);
  if (shared) {
    const picture = remap({ to: "picture", id: shared });
    if (picture !== shared) root = { ...root, props: { ...root.props, picture } };
  }
  const above = letterPictureOf(document);
  if (above) {
    const picture = remap({ to: "picture", id: above });
    const look = root.props.look as Props;
    if (picture !== above) root = { ...root, props: { ...root.props, look: { ...look, picture } } };
  }
  return root === document.root ? document : { ...document, root };
}

/** Everything that a document refers to, with repetitions, in reading order. */
export function referencesOf(document: PageDocument): readonly Reference[] {
  if (document.kind === "offer") return referencesOfOffer(document);
  const found: Reference[] = [];
  mapReferences(document, (reference) => {
    found.push(reference);
    return reference.id;
  });
  return found;
}

/** The names of the films and documents that any page of a draft shows or leads to. */
export const filesIn = ({ documents }: Draft): ReadonlySet<string> =>
  new Set(
    Object.values(documents)
      .flatMap(referencesOf)
      .flatMap(({ to, id }) => (to === "film" || to === "document" ? [id] : [])),
  );

/** The same with what goods show: everything of a shop for which such a file is asked. */
export const shownFiles = ({ draft, goods }: { draft: Draft; goods: Pick<Goods, "products"> }): ReadonlySet<string> =>
  new Set([
    ...filesIn(draft),
    ...goods.products
      .flatMap(referencesOfProduct)
      .flatMap(({ to, id }) => (to === "film" || to === "document" ? [id] : [])),
  ]);

export type Use = {
  readonly document: PageDocument;
  /** The part that refers to it; undefined where the document itself does, as a layout that is for it. */
  readonly part: Part | undefined;
};

/** Where in a draft something is referred to. Cheap enough to ask before anything is taken away. */
export function whereUsed(draft: Draft, is: (reference: Reference) => boolean): readonly Use[] {
  const uses: Use[] = [];
  for (const document of Object.values(draft.documents)) {
    const own = new Set<Part>();
    for (const part of walk(document.root)) {
      if (part === document.root) continue;
      const alone = { ...part, slots: {} };
      mapPart(alone, (reference) => {
        if (is(reference)) own.add(part);
        return reference.id;
      });
    }
    for (const part of own) uses.push({ document, part });
    const layout = layoutProps(document);
    const named = layout && [
      ...layout.products.map((id) => ({ to: "product" as const, id })),
      ...layout.collections.map((id) => ({ to: "collection" as const, id })),
    ];
    const shown = sharePictureOf(document) ?? letterPictureOf(document);
    const isInOwn = ownIn(document).some(([, value]) => referencesOfOwn(value).some(is));
    const isInOffer = document.kind === "offer" && referencesOfOffer(document).some(is);
    if (isInOwn || isInOffer || named?.some(is) || (shown && is({ to: "picture", id: shown })))
      uses.push({ document, part: undefined });
  }
  return uses;
}

/** A place where something is used, in words: "Home › Hero". */
export const placeWords = ({ document, part }: Use): string =>
  part
    ? `${document.title} › ${nameOf(part)}`
    : document.kind === "page"
      ? `${document.title} › what is shared`
      : document.kind === "offer"
        ? `the offer “${document.title}”`
        : document.kind === "letters"
          ? document.title
          : `the layout “${document.title}”`;
