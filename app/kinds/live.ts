import {
  entryOf,
  freeze,
  OVER,
  remembered,
  walk,
  type Draft,
  type Json,
  type PageDocument,
  type Part,
} from "~/core/document";
import { standsOn } from "~/core/conditions";
import {
  asTyped,
  filledText,
  isOfOffer,
  isUnbound,
  OFFER_FACT_NAMES,
  piecesOf,
  saysFact,
  storedLive,
  type Live,
  type LiveOfOffer,
  type OfferFact,
} from "~/core/live";
import type { Offer } from "~/core/offers";
import type { RichNode } from "~/core/rich";
import type { Field } from "./definition";
import { noteSaidToAll } from "./said-to-all";
import { kindOf } from ".";

// Facts in the words of a draft's parts: which there are, and what the words are with what they say in their place. It is done before
// anything is drawn, so that headings, lists of headings and what search engines read say the same.

type Documents = Draft["documents"];
type Props = Readonly<Record<string, Json>>;

/** What a fact says; undefined where it can't be said. */
export type SayLive = (live: Live) => string | undefined;

/** Changes each text of a part. A list or value in which nothing changes stays the same object. */
type MapTexts = {
  readonly plain: (text: string, path: string) => string;
  readonly node: (node: RichNode, path: string) => RichNode;
};

const sameOr = <T>(list: readonly T[], map: (each: T, i: number) => T): readonly T[] => {
  const next = list.map(map);
  return next.some((each, i) => each !== list[i]) ? next : list;
};

function mapNode(node: RichNode, map: MapTexts, path: string): RichNode {
  const next = map.node(node, path);
  if (next !== node || !node.content) return next;
  const content = sameOr(node.content, (child) => mapNode(child, map, path));
  return content === node.content ? node : { ...node, content };
}

function mapValue(field: Field, value: Json | undefined, map: MapTexts, path: string): Json | undefined {
  if (typeof value === "string")
    return field.type === "line" || field.type === "text" || field.type === "rich" ? map.plain(value, path) : value;
  if (value === undefined || value === null) return value;
  if (field.type === "rich") return mapNode(value as unknown as RichNode, map, path) as unknown as Json;
  if (field.type === "list" && Array.isArray(value))
    return sameOr(value as readonly Props[], (item, i) => mapTexts(field.fields, item, map, `${path}.${i}.`)) as Json;
  if (field.type === "table" && Array.isArray(value))
    return sameOr(value as readonly (readonly Json[])[], (row) =>
      sameOr(row, (cell) => (typeof cell === "string" ? map.plain(cell, path) : cell)),
    ) as Json;
  return value;
}

function mapTexts(fields: readonly Field[], props: Props, map: MapTexts, above = ""): Props {
  let next = props;
  for (const field of fields) {
    const had = entryOf(props, field.key);
    const value = mapValue(field, had, map, above + field.key);
    if (value !== undefined && value !== had) next = { ...next, [field.key]: value };
  }
  return next;
}

/** A part with facts in its words. `isUnbound`: some of them are of no offer, whatever is done to offers. */
export type LivePart = { readonly part: Part; readonly facts: readonly Live[]; readonly isUnbound: boolean };

/** Facts that the kind of a part says itself in its words, such as what is still to go to a goal. */
export const ownFacts = (part: Part): readonly string[] => kindOf(part)?.definition.says ?? [];

const withoutOwn = (text: string, own: readonly string[]): string =>
  own.reduce((left, fact) => left.replaceAll(`{${fact}}`, ""), text);

/** The fact of an offer that a node of running text is; those of the shop are put in where the text is drawn. */
function factIn({ type, attrs }: RichNode): LiveOfOffer | undefined {
  const live = type === "liveField" ? (attrs as unknown as Live) : undefined;
  return live && isOfOffer(live) ? live : undefined;
}

function livePart(part: Part): LivePart | undefined {
  const facts: Live[] = [];
  let unbound = false;
  const own = ownFacts(part);
  const plain = (text: string) => {
    if (text.includes("{")) {
      for (const piece of piecesOf(text)) if (typeof piece !== "string") facts.push(piece);
      unbound ||= isUnbound(withoutOwn(text, own));
    }
    return text;
  };
  const node = (each: RichNode) => {
    if (each.type === "text") plain(each.text ?? "");
    const live = factIn(each);
    if (live) facts.push(live);
    return each;
  };
  mapTexts(kindOf(part)?.definition.fields ?? [], part.props, { plain, node });
  return facts.length || unbound ? { part, facts, isUnbound: unbound } : undefined;
}

const inDocument = new WeakMap<PageDocument, readonly LivePart[]>();

/** The parts of a document with facts in their words. */
export function livePartsIn(document: PageDocument): readonly LivePart[] {
  let found = inDocument.get(document);
  if (!found) {
    found = [...walk(document.root)].flatMap((part) => livePart(part) ?? []);
    inDocument.set(document, found);
  }
  return found;
}

const inAll = new WeakMap<Documents, readonly PageDocument[]>();

/** The documents with facts in their words: of thousands, few. */
function liveDocuments(documents: Documents): readonly PageDocument[] {
  let found = inAll.get(documents);
  if (!found) inAll.set(documents, (found = Object.values(documents).filter((each) => livePartsIn(each).length > 0)));
  return found;
}

/** How parts are filled: for shoppers, who see no part with a fact that can't be said; or for the studio, which shows where they are. */
export type Filling = {
  readonly say: SayLive;
  /** In the studio: the words that are being written keep their facts, by the names of these offers. */
  readonly studio?: {
    readonly editing: { readonly node: string; readonly at: string } | null;
    readonly offers: readonly Offer[];
  };
  /** What is put in is not the same for everybody. */
  readonly isPersonal?: true;
};

function filledPart({ part, facts, isUnbound: unbound }: LivePart, { say, studio, isPersonal }: Filling): Part {
  if (!studio && (unbound || facts.some((live) => say(live) === undefined))) return { ...part, shown: false };
  const { editing, offers = [] } = studio ?? {};
  const isEdited = (path: string) => editing?.node === part.id && editing.at === path;
  const props = mapTexts(kindOf(part)?.definition.fields ?? [], part.props, {
    plain: (text, path) => (isEdited(path) ? asTyped(text, offers) : filledText(text, say)),
    // Running text with a shape is edited as it is stored: its editor draws the facts itself.
    node: (each, path) => {
      if (isEdited(path)) return each;
      if (each.type === "text") {
        const text = filledText(each.text ?? "", say);
        return text === each.text ? each : { ...each, text };
      }
      const live = factIn(each);
      if (!live) return each;
      const marks = each.marks ? { marks: each.marks } : {};
      return { type: "text", text: say(live) ?? `{${live.field}}`, ...marks };
    },
  });
  if (props === part.props) return part;
  if (isPersonal) noteSaidToAll(props, part.props);
  return { ...part, props };
}

/** Everything on which it depends how a document is filled, as one text. */
function outcomeOf(document: PageDocument, { say, studio, isPersonal }: Filling): string {
  const parts = livePartsIn(document);
  const { editing, offers = [] } = studio ?? {};
  const here = editing && parts.some(({ part }) => part.id === editing.node);
  return JSON.stringify([
    parts.map(({ facts }) => facts.map((live) => say(live) ?? null)),
    studio ? 1 : isPersonal ? 2 : 0,
    here ? [editing, offers.map(({ id, name }) => [id, name])] : null,
  ]);
}

/** What lies over pages comes whole, or not at all: where a fact in it can't be said, there is nothing to come for. */
function withoutBroken(sections: readonly Part[], next: ReadonlyMap<Part, Part>): readonly Part[] {
  const isBroken = (part: Part) => part.shown && next.get(part)?.shown === false;
  return sameOr(sections, (section) => ([...walk(section)].some(isBroken) ? { ...section, shown: false } : section));
}

/** A document with its facts put in. */
function filledDocument(document: PageDocument, filling: Filling): PageDocument {
  const next = new Map(livePartsIn(document).map((each) => [each.part, filledPart(each, filling)]));
  const over = entryOf(document.root.slots, OVER);
  const whole = over && withoutBroken(over, next);
  const root =
    over === whole ? document.root : { ...document.root, slots: { ...document.root.slots, [OVER]: whole ?? [] } };
  const put = (part: Part): Part => {
    const own = next.get(part) ?? part;
    let { slots } = own;
    for (const [slot, children] of Object.entries(own.slots)) {
      const changed = sameOr(children, put);
      if (changed !== children) slots = { ...slots, [slot]: changed };
    }
    return slots === own.slots ? own : { ...own, slots };
  };
  return freeze({ ...document, root: put(root) });
}

const filledDocuments = new WeakMap<PageDocument, Map<string, PageDocument>>();
const filledDrafts = new WeakMap<Draft, Map<string, Draft>>();

/** A draft whose words say what their facts say: the same objects for as long as they say the same. */
export function withLive(draft: Draft, filling: Filling): Draft {
  const found = liveDocuments(draft.documents);
  if (found.length === 0) return draft;
  const outcomes = found.map((document) => outcomeOf(document, filling));
  return remembered(filledDrafts, draft, outcomes.join(), () => {
    const changed = found.map((document, i) => {
      const make = () => filledDocument(document, filling);
      return [document.id, remembered(filledDocuments, document, outcomes[i]!, make)] as const;
    });
    return { ...draft, documents: { ...draft.documents, ...Object.fromEntries(changed) } };
  });
}

const byCart = new WeakMap<PageDocument, boolean>();

function dependsOnCart(document: PageDocument): boolean {
  let depends = byCart.get(document);
  if (depends === undefined) {
    depends =
      livePartsIn(document).some(({ facts }) => facts.some(({ field }) => field === "to-go")) ||
      [...walk(document.root)].some((part) => part.shown && kindOf(part)?.definition.byCart === true);
    byCart.set(document, depends);
  }
  return depends;
}

const cartDocuments = new WeakMap<Documents, readonly PageDocument[]>();

/** Whether what a page shows depends on what lies in the cart, besides its conditions. `own`: its documents, by id; absent: any page. */
export function showsCart(documents: Documents, own?: ReadonlySet<string>): boolean {
  let found = cartDocuments.get(documents);
  if (!found) cartDocuments.set(documents, (found = Object.values(documents).filter(dependsOnCart)));
  return found.some((document) => standsOn(document, own));
}

const UNNAMED = new RegExp(`\\{(${OFFER_FACT_NAMES.join("|")})\\}`, "g");

/** The facts without an offer that a part and all that stands in it name, but for those that it says itself. */
function unnamedIn(part: Part): readonly OfferFact[] {
  const found: OfferFact[] = [];
  const own = ownFacts(part);
  const plain = (text: string) => {
    for (const [, fact] of withoutOwn(text, own).matchAll(UNNAMED)) found.push(fact as OfferFact);
    return text;
  };
  mapTexts(kindOf(part)?.definition.fields ?? [], part.props, { plain, node: (node) => node });
  return [...found, ...Object.values(part.slots).flatMap((inside) => inside.flatMap(unnamedIn))];
}

/** A part of a design, with what it says of an offer said of this one, by its id. */
export function saidOf(part: Part, id: string): Part {
  const own = new Set(ownFacts(part));
  const plain = (text: string) =>
    text.replace(UNNAMED, (whole, fact: OfferFact) => (own.has(fact) ? whole : storedLive({ field: fact, offer: id })));
  const props = mapTexts(kindOf(part)?.definition.fields ?? [], part.props, { plain, node: (node) => node });
  const slots = Object.entries(part.slots).map(([slot, inside]) => [slot, inside.map((child) => saidOf(child, id))]);
  return { ...part, props, slots: Object.fromEntries(slots) as Part["slots"] };
}

/**
 * A part of a design, with what it says of an offer said of one of the shop: of the first that has all of it, one that is switched on before
 * others. Designs say `{percent}` before they know of any; where the shop has none, they say so still.
 */
export function withOffers(part: Part, offers: readonly Offer[]): Part {
  const facts = unnamedIn(part);
  if (facts.length === 0) return part;
  const suited = offers.filter((offer) => facts.every((fact) => saysFact(offer, fact)));
  const offer = suited.find(({ isOff }) => !isOff) ?? suited[0];
  return offer ? saidOf(part, offer.id) : part;
}
