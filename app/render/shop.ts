import { collectionAddress, openPages, productAddress, siteOf } from "~/core/addresses";
import type { CodeFacts } from "~/core/code";
import { askedIn, draftOn } from "~/core/conditions";
import {
  entryOf,
  menusOf,
  pageProps,
  spread,
  type Draft,
  type Look,
  type PageDocument,
  type Part,
  overIn,
} from "~/core/document";
import { productWith, type Goods, type Product } from "~/core/goods";
import { shortened } from "~/core/live";
import { currencyDigits, formatMoney } from "~/core/money";
import { offersOf, type Offer } from "~/core/offers";
import { isLight, type Picture } from "~/core/pictures";
import { sellingOf } from "~/core/selling";
import { clockOf, type Situation } from "~/core/situation";
import { readerOf, solveLook } from "~/core/theme";
import { closedHere, withoutClosed } from "~/kinds/closing";
import { firstWords, outlineOf } from "~/kinds/outline";
import type { OutlineEntry } from "~/kinds/outline-places";
import { unreadable } from "~/kinds/readable";
import { referencesOf } from "~/kinds/references";
import { besidePost, journalPosts, postEntry } from "./posts";
import { themeById } from "~/themes";
import { OWN_PAGE_NAMES, type Link } from "~/core/schema";
import { liveFacts, liveForOne, offersFor } from "./facts";
import { fieldsOf } from "./own-fields";
import { sampleOrder } from "./checkout-target";
import { firstPicture } from "./sharing";
import { ownDocuments, situationOn, type Target } from "./target";
import { isPersonal } from "./target-names";
import { tonesOf } from "./tones";
import { canCome } from "~/kinds/designs";
import { hrefFor, type KindEnv, type MenuEntry, type SentForm } from "~/kinds/parts";

/** Day and time, as they are written at a place. */
const momentWords = (at: number, locale: string, timeZone: string): string =>
  new Intl.DateTimeFormat(locale, {
    day: "numeric",
    month: "short",
    year: "numeric",
    hour: "2-digit",
    minute: "2-digit",
    timeZone,
  }).format(at);

/** Everything a page of the shop is drawn from. */
export type ShopContent = {
  readonly draft: Draft;
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  readonly currency: string;
  readonly locale: string;
  /** How prices are written: a locale. */
  readonly moneyFormat: string;
  /** The origin that serves the frames of a seller's own code; absent: no such code runs. */
  readonly codeOrigin?: string;
  /** Offers that have been had as often as they may be, by anybody or by whoever looks; absent: none. */
  readonly spent?: ReadonlySet<string>;
  /** What somebody sent with a form of the page that is drawn, and has to send once more. */
  readonly sent?: SentForm;
  /** In which it is seen, except for the page; absent: its parts are shown as the draft has them. */
  readonly situation?: Situation;
};

/** What a page is drawn from, with the parts that show on it, and to whoever looks. */
export function inSituation(target: Target, content: ShopContent): ShopContent {
  const { draft, goods, situation } = content;
  if (!situation) return { ...content, draft: liveForOne(draft, content) };
  const own = ownDocuments(target, draft.documents, goods);
  const known = situationOn(target, draft.documents, situation);
  const asIs = draftOn(draft, askedIn(known, goods), own);
  const open = withoutClosed(asIs, closedHere(asIs.documents, situation.closed ?? []));
  return { ...content, draft: liveForOne(open, { ...content, situation: known }) };
}

/** Ids of the parts that a page shows, by kind, in reading order. */
export function partsByKind(
  ...documents: readonly (PageDocument | undefined)[]
): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  const enter = (part: Part) => {
    if (!part.shown) return;
    const known = found.get(part.kind);
    if (known) known.push(part.id);
    else found.set(part.kind, [part.id]);
    for (const children of Object.values(part.slots)) children.forEach(enter);
  };
  for (const document of documents) if (document) enter(document.root);
  return found;
}

type Documents = Draft["documents"];

/** An item of a menu with what is in it, as views ask for it. */
const entryFrom = (part: Part): readonly MenuEntry[] => {
  // An item that this version can't read is left out, as a section is.
  if (unreadable(part) !== undefined) return [];
  const { id, props, shown, slots } = part;
  const said = props as unknown as Omit<MenuEntry, "id" | "shown" | "items">;
  return [{ id, shown, ...said, items: (slots.items ?? []).flatMap(entryFrom) }];
};

const readMenus = new WeakMap<PageDocument, readonly MenuEntry[]>();

/** The items of a menu; undefined where there is none of this id. */
function menuOf(documents: Documents, id: string): readonly MenuEntry[] | undefined {
  const document = entryOf(documents, id);
  if (document?.kind !== "menu") return undefined;
  let read = readMenus.get(document);
  if (!read) readMenus.set(document, (read = (document.root.slots.items ?? []).flatMap(entryFrom)));
  return read;
}

const saidOfPages = new WeakMap<PageDocument, string>();

/** What a page says of itself, as one text: of thousands of pages, all but one are as they were. */
function saidOf(page: PageDocument): string {
  let words = saidOfPages.get(page);
  if (words === undefined) {
    words = JSON.stringify([page.id, page.title, page.root.props]);
    saidOfPages.set(page, words);
  }
  return words;
}

const saidOfOffers = new WeakMap<Offer, string>();

/** What an offer says, as one text. */
function offerWords(offer: Offer): string {
  let words = saidOfOffers.get(offer);
  if (words === undefined) saidOfOffers.set(offer, (words = JSON.stringify(offer)));
  return words;
}

const saidOfSites = new WeakMap<Documents, string>();

/**
 * Everything that views ask of the documents besides their own: which pages there are, where, what is in the menus, and what is offered. One text that is
 * the same while none of it changes, so that a letter typed somewhere draws nothing anew that does not show it.
 */
export function siteWords(documents: Documents): string {
  let words = saidOfSites.get(documents);
  if (words === undefined) {
    words = JSON.stringify([
      siteOf(documents).pages.map(({ document, address }) => [address, saidOf(document)]),
      menusOf(documents).map(({ id, root }) => [id, root.slots]),
      offersOf(documents).map(offerWords),
      sellingOf(documents),
    ]);
    saidOfSites.set(documents, words);
  }
  return words;
}

/** What the thing is called that a link leads to. */
const titleFor =
  (goods: Goods, documents: Documents) =>
  (link: Link): string | undefined => {
    switch (link.to) {
      case "home":
        return entryOf(documents, siteOf(documents).home)?.title;
      case "own":
        return OWN_PAGE_NAMES[link.page];
      case "page":
        return entryOf(documents, link.id)?.title;
      case "place":
        return entryOf(documents, link.page)?.title;
      case "product":
        return productWith(goods, link.id)?.title;
      case "collection":
        return goods.collections.find((c) => c.id === link.id)?.title;
      case "list":
        return link.id === null ? "Everything" : goods.collections.find((c) => c.id === link.id)?.title;
      case "over": {
        const part = overIn(documents).find((each) => each.id === link.id);
        return part && shortened(firstWords(part));
      }
      case "mail":
        return link.address;
      case "phone":
        return link.number;
      case "web":
        return link.address.replace(/^https?:\/\/(?:www\.)?/i, "").split("/")[0];
      default:
        return undefined;
    }
  };

/** The picture of what a link leads to: a product's first, a collection's, the one that a page is shared with. */
const pictureFor =
  (goods: Goods, documents: Documents) =>
  (link: Link): string | undefined => {
    switch (link.to) {
      case "product":
        return productWith(goods, link.id)?.pictures[0];
      case "collection":
      case "list":
        return goods.collections.find((c) => c.id === link.id)?.picture ?? undefined;
      case "page": {
        const page = entryOf(documents, link.id);
        return page && (pageProps(page).picture ?? firstPicture(spread(documents, page)));
      }
      default:
        return undefined;
    }
  };

/** The colour sets of a look whose ground is dark. */
export const darkSetsOf = (look: Look): ReadonlySet<string> =>
  new Set(
    Object.entries(solveLook(themeById(look.theme), look).roles.sets).flatMap(([set, { page }]) =>
      isLight(page) ? [] : [set],
    ),
  );

const reached = new WeakMap<Documents, Map<boolean, KindEnv["pages"]>>();

/** The pages that links can lead to; `all`: those as well that are not in the shop yet. There can be thousands, and they are asked for with each page. */
function pagesFor(documents: Documents, all: boolean): KindEnv["pages"] {
  let known = reached.get(documents);
  if (!known) reached.set(documents, (known = new Map<boolean, KindEnv["pages"]>()));
  let pages = known.get(all);
  if (!pages) {
    const list = all ? siteOf(documents).pages : openPages(documents);
    pages = list.map(({ document: { id, title }, address }) => ({ id, title, address }));
    known.set(all, pages);
  }
  return pages;
}

/** The products that a page shows or leads to, in reading order. */
function productsIn(page: PageDocument | undefined, goods: Goods): readonly Product[] {
  const ids = page ? referencesOf(page).flatMap((r) => (r.to === "product" ? [r.id] : [])) : [];
  return [...new Set(ids)].flatMap((id) => productWith(goods, id) ?? []);
}

/** What views may ask of the shop. `studio` is given only by panes. */
export function envOf(
  content: Omit<ShopContent, "draft">,
  { look, documents }: Draft,
  studio?: KindEnv["studio"],
  shown?: KindEnv["shown"],
  page?: PageDocument,
  /** What stands around it. */
  frame?: PageDocument,
): KindEnv {
  const told = offersFor(documents, content);
  const selling = sellingOf(documents);
  const pictures = new Map(content.pictures.map((p) => [p.id, p]));
  // In the studio a link to a page that is not in the shop yet leads there all the same.
  const pages = pagesFor(documents, studio !== undefined);
  const read = readerOf(look.brand, themeById(look.theme).defaults);
  const picture = (id: string | null) => (id === null ? undefined : pictures.get(id));
  const here = shown?.page === "post" ? shown.id : page?.id;
  let byKind: ReadonlyMap<string, readonly string[]> | undefined;
  let outline: readonly OutlineEntry[] | undefined;
  const money = (amount: number) => formatMoney(amount, content.currency, content.moneyFormat);
  return {
    field: fieldsOf({ documents, page: here, shown, locale: content.locale, money }),
    partsOf: (kind) => (byKind ??= partsByKind(page, frame)).get(kind) ?? [],
    outline: () => (outline ??= outlineOf(page)),
    journal: (id) => journalPosts(documents, id, here, content.goods.asOf.day),
    post: () => {
      const post = here === undefined ? undefined : postEntry(documents, here);
      return post && { post, ...besidePost(documents, post.id, content.goods.asOf.day) };
    },
    postGoods: () => (here === undefined ? [] : productsIn(entryOf(documents, here), content.goods)),
    identity: look.identity,
    goods: content.goods,
    clock: content.situation ? clockOf(content.situation) : `${content.goods.asOf.day}T00:00`,
    picture,
    tone: tonesOf(look),
    // Nothing lies over a page where somebody is buying. Panes show all of it.
    href: hrefFor({
      goods: content.goods,
      pages,
      file: picture,
      lies: (id) => {
        const over = studio ? overIn(documents) : page && frame ? overIn({ frame }) : [];
        return over.some((part) => part.id === id && (studio !== undefined || canCome(part)));
      },
      selling,
    }),
    pages,
    menu: (id) => menuOf(documents, id),
    titleOf: titleFor(content.goods, documents),
    pictureOf: pictureFor(content.goods, documents),
    card: {
      words: read.text("goods.words"),
      facts: read.amount("goods.facts"),
      second: read.isOn("goods.second"),
      badge: read.isOn("goods.badge"),
      price: read.isOn("goods.price"),
      compareAt: read.isOn("goods.compareAt"),
      rating: read.isOn("goods.rating"),
    },
    live: liveFacts(documents, look, content),
    money,
    ...told,
    selling,
    currency: content.currency,
    when: (at) => momentWords(at, content.locale, content.goods.asOf.timeZone),
    sampleOrder: (address) =>
      sampleOrder(
        {
          goods: content.goods,
          selling,
          currency: content.currency,
          moneyFormat: content.moneyFormat,
          offers: offersOf(documents),
          bill: told.bill,
        },
        address,
      ),
    darkSets: darkSetsOf(look),
    digits: currencyDigits(content.currency) ?? 2,
    locale: content.locale,
    toast: read.text("toast.set"),
    ...(shown ? { shown } : {}),
    ...(content.sent ? { sent: content.sent } : {}),
    ...(studio ? { studio } : {}),
  };
}

/**
 * Where a seller's own code runs on a page, and what it may know there; nothing on a page where somebody is buying, whatever it holds
 * (a header with code in it, say).
 */
export function codeOn(
  target: Target,
  content: Pick<ShopContent, "codeOrigin" | "currency" | "locale">,
  { identity, goods, pages, shown, digits }: KindEnv,
  page: PageDocument | undefined,
): Pick<KindEnv, "code"> {
  const { codeOrigin } = content;
  if (!codeOrigin || isPersonal(target.page)) return {};
  const product = shown?.page === "product" ? shown.product : undefined;
  const collection = shown?.page === "collection" ? shown.collection : undefined;
  const address = product
    ? productAddress(product)
    : collection
      ? collectionAddress(collection)
      : (pages.find((each) => each.id === page?.id)?.address ?? "");
  const facts: CodeFacts = {
    shop: {
      name: identity.name,
      language: content.locale,
      currency: content.currency,
      products: goods.products.length,
    },
    page: { title: product?.title ?? collection?.title ?? page?.title ?? "", address },
    product: product
      ? {
          id: product.id,
          title: product.title,
          price: product.price / 10 ** digits,
          sku: product.sku,
          tags: [...product.tags],
          attributes: product.attributes,
        }
      : null,
  };
  return { code: { origin: codeOrigin, facts } };
}

/** The address that a link of the shop leads to, and what stands there is called; undefined where it leads nowhere. */
export function wayOf(
  link: Link,
  content: ShopContent,
): { readonly address: string; readonly title: string } | undefined {
  const { href, titleOf } = envOf(content, content.draft);
  const address = href(link);
  return address === undefined ? undefined : { address, title: titleOf(link) ?? "" };
}
