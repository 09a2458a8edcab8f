import { layoutFor, layoutProps, spread, walk, type PageDocument, type Draft, entryOf } from "~/core/document";
import {
  collectionsWith,
  indexOf,
  NO_QUERY,
  readQuery,
  searchGoods,
  sizeOf,
  variantById,
  variantFor,
  type Collection,
  type Goods,
  type GoodsQuery,
  type Product,
  type Variant,
} from "~/core/goods";
import { ALL_GOODS, collectionAddress, decodeAddress, homeOf, openPages, siteOf } from "~/core/addresses";
import { ACCOUNT, doorAt } from "~/core/account";
import { GIFT_CARD } from "~/core/gift-cards";
import { journalOf, journalPartAt, journalsOf, postsOf, withTag, type JournalPart } from "~/core/journal";
import { offersOf } from "~/core/offers";
import { FIRST_VISIT, type PageShown, type Person, type Situation } from "~/core/situation";
import { type PageSubject } from "~/kinds/parts";
import { cartShown, inCartOf, NO_PRODUCT, type CartTarget } from "./cart-target";
import {
  accountShown,
  doorShown,
  giftCardShown,
  type AccountTarget,
  type DoorTarget,
  type GiftCardTarget,
} from "./account-target";
import { checkoutShown, type CheckoutTarget, type OrderTarget } from "./checkout-target";
import { tellingWord } from "./hard-cases";
import { withPostLayout } from "./posts";

type Documents = Draft["documents"];

/** Which page of the shop is asked for. */
export type Target =
  | { readonly page: "home" }
  /** `part`: of the list of a journal that the page is. */
  | { readonly page: "text"; readonly id: string; readonly part?: JournalPart }
  /** The layout of posts, with one that shows what it is like; undefined where there is none yet. */
  | { readonly page: "post"; readonly id: string | undefined }
  /** `collection`: undefined for everything there is. */
  | { readonly page: "collection"; readonly collection: Collection | undefined; readonly query?: GoodsQuery }
  | { readonly page: "product"; readonly product: Product; readonly variant?: Variant | undefined }
  | { readonly page: "search"; readonly sought: string; readonly query?: GoodsQuery }
  | CartTarget
  | CheckoutTarget
  /** An order: undefined is one to look at, as the layouts of its pages show it. */
  | OrderTarget
  | { readonly page: "thanks" | "order"; readonly sample: string | null }
  | DoorTarget
  | AccountTarget
  | GiftCardTarget
  | { readonly page: "not-found" }
  /** The shop is not open. `wrong`: a word for friends was tried that is none. */
  | { readonly page: "closed"; readonly wrong?: boolean }
  | {
      readonly page: "message";
      readonly title: string;
      readonly text: string;
      readonly address?: string;
      /** A coupon code that is given with it. */
      readonly code?: string;
      /** Where it leads on; absent: to everything that there is. */
      readonly way?: { readonly address: string; readonly label: string };
      /** What is done by a press, before anything else. */
      readonly press?: { readonly action: string; readonly label: string };
      /** What is done instead. */
      readonly refuse?: { readonly action: string; readonly label: string };
    };

export const NOT_FOUND: Target = { page: "not-found" };

/** The variant that an address asks for: by id, or by what is chosen of each option, as a form without script sends it. */
function askedVariant(product: Product, query: URLSearchParams): Variant | undefined {
  const byId = variantById(product, query.get("variant"));
  if (byId || product.options.length === 0) return byId;
  const choice = product.options.map((_o, i) => query.get(`option-${i}`) ?? undefined);
  return choice.every((c) => c !== undefined) ? variantFor(product, choice) : undefined;
}

/** The page at an address of the shop; a message that there is none where nothing stands there. `query`: as after `?`. */
export function targetAt(path: string, query: URLSearchParams, documents: Documents, goods: Goods): Target {
  if (path === "/") return { page: "home" };
  const [, area, slug, ...more] = path.split("/");
  const asked = () => readQuery(query, goods.digits ?? 2);
  if (area === "search" && slug === undefined)
    return { page: "search", sought: (query.get("q") ?? "").slice(0, 120), query: asked() };
  if (slug && more.length === 0 && area === "collections") {
    if (slug === "all") return { page: "collection", collection: undefined, query: asked() };
    const collection = goods.collections.find((c) => c.slug === slug);
    return collection ? { page: "collection", collection, query: asked() } : NOT_FOUND;
  }
  if (slug && more.length === 0 && area === "products") {
    const product = indexOf(goods).bySlug.get(slug);
    return product ? { page: "product", product, variant: askedVariant(product, query) } : NOT_FOUND;
  }
  const plain = decodeAddress(path);
  const page = plain === undefined ? undefined : siteOf(documents).byAddress.get(plain);
  if (page && !page.props.hidden && plain !== "/") return { page: "text", id: page.document.id };
  return plain === undefined ? NOT_FOUND : partAt(plain, documents);
}

/** The page at an address as the studio shows it: of a cart, which each shopper has one of their own of, one to look at. */
export function seenAt(path: string, query: URLSearchParams, documents: Documents, goods: Goods): Target {
  const address = `${path}?${query.toString()}`;
  if (path === "/cart") return cartShown(goods, offersOf(documents), address);
  if (path === "/checkout") return checkoutShown(goods, offersOf(documents), address);
  if (path === ACCOUNT) return accountShown(goods, address);
  if (path === GIFT_CARD) return giftCardShown(address);
  const door = doorAt(path);
  if (door) return doorShown(door, address);
  return targetAt(path, query, documents, goods);
}

/** How many posts a journal shows at once: as many as the section that shows fewest, since its list is the longest. */
const atOnce = (journal: PageDocument): number =>
  Math.min(
    ...[...walk(journal.root)].flatMap(({ kind, shown, props }) =>
      kind === "posts" && shown && typeof props.most === "number" ? [props.most] : [],
    ),
    // Without such a section there is one page, however many there are.
    Number.MAX_SAFE_INTEGER,
  );

/** A tag or a further page of a journal's list; there is none without a post in it. */
function partAt(plain: string, documents: Documents): Target {
  const found = journalPartAt(documents, plain);
  if (!found) return NOT_FOUND;
  const { journal, part } = found;
  const open = postsOf(documents, journal.document.id).filter((post) => !post.props.hidden);
  const listed = part.tag === undefined ? open : withTag(open, part.tag);
  if (listed.length === 0 || part.number > Math.ceil(listed.length / atOnce(journal.document))) return NOT_FOUND;
  return { page: "text", id: journal.document.id, part };
}

/**
 * Where an address leads that was once that of a page: `former` knows whose it was. Also what pages were once addressed by (`/pages/id`),
 * the home page's own name, and addresses in capital letters. Undefined where nothing is known of it.
 */
export function movedTo(path: string, documents: Documents, former: ReadonlyMap<string, string>): string | undefined {
  const plain = decodeAddress(path);
  if (plain === undefined) return undefined;
  const { byId, byAddress, pages } = siteOf(documents);
  const [, area, name, ...more] = plain.split("/");
  const named = area === "pages" && name && more.length === 0 ? name : undefined;
  const found =
    byId.get(former.get(plain) ?? "") ??
    (named === undefined ? undefined : (byId.get(named) ?? byAddress.get(`/${named}`))) ??
    byAddress.get(plain.toLowerCase()) ??
    pages.find(({ document, props }) => document.id === homeOf(documents) && plain === `/${props.slug}`);
  return found && !found.props.hidden && found.address !== path ? found.address : undefined;
}

/** What the layout of a page is to show; undefined for pages that have none. */
export function shownOf(target: Target, goods: Goods, documents: Documents): PageSubject | undefined {
  switch (target.page) {
    case "text":
      if (journalOf(documents, target.id)) return { page: "post", id: target.id };
      return target.part ? { page: "journal", part: target.part } : undefined;
    case "post":
      return { page: "post", id: target.id };
    case "product":
      return { page: "product", product: target.product, variant: target.variant };
    case "collection":
      return {
        page: "collection",
        collection: target.collection,
        query: target.query ?? NO_QUERY,
        address: target.collection ? collectionAddress(target.collection) : ALL_GOODS,
      };
    case "search":
      return {
        page: "search",
        sought: target.sought,
        found: searchGoods(goods, target.sought),
        query: target.query ?? NO_QUERY,
        address: "/search",
      };
    case "cart":
    case "checkout":
      return { ...target, offers: offersOf(documents) };
    case "thanks":
    case "order":
    case "sign-in":
    case "account":
    case "gift-card":
      return target;
    default:
      return undefined;
  }
}

/** The document that a page is drawn from, shared sections in their places; undefined for what is only said. */
export function documentOf(target: Target, documents: Documents, goods: Goods): PageDocument | undefined {
  const document = storedFor(target, documents, goods);
  if (!document) return undefined;
  const whole = spread(documents, document);
  return target.page === "text" && journalOf(documents, target.id) ? withPostLayout(documents, whole) : whole;
}

/** The page that is drawn, as conditions ask about it. */
export function pageShownOf(target: Target, documents: Documents): PageShown {
  switch (target.page) {
    case "home":
      return { sort: "home", page: homeOf(documents) };
    case "text":
      return { sort: journalOf(documents, target.id) ? "post" : "page", page: target.id };
    case "post":
      return { sort: "post", ...(target.id === undefined ? {} : { page: target.id }) };
    case "product":
      return { sort: "product", product: target.product.id };
    case "collection":
      return { sort: "collection", ...(target.collection ? { collection: target.collection.id } : {}) };
    case "search":
    case "cart":
    case "checkout":
    case "thanks":
    case "order":
    case "sign-in":
    case "account":
    case "gift-card":
    case "not-found":
      return { sort: target.page };
    case "closed":
    case "message":
      return { sort: "other" };
  }
}

/** In which situation a page is drawn: on this page, and with the cart that it shows in the hands of whoever looks. */
export function situationOn(
  target: Target,
  documents: Documents,
  situation: Situation,
): Situation & { readonly page: PageShown; readonly person: Person } {
  const person = situation.person ?? FIRST_VISIT;
  return {
    ...situation,
    page: pageShownOf(target, documents),
    person: target.page === "cart" || target.page === "checkout" ? { ...person, cart: inCartOf(target.lines) } : person,
  };
}

/** Every page on which what stands in a document is seen, as conditions ask about it. */
export function pagesOf(documents: Documents, goods: Goods, id: string): readonly PageShown[] {
  const document = entryOf(documents, id);
  const isDrawnWith = (target: Target) => storedFor(target, documents, goods)?.id === id;
  const products = () => goods.products.map((product): Target => ({ page: "product", product }));
  const collections = () =>
    [undefined, ...goods.collections].map((collection): Target => ({ page: "collection", collection }));
  const own = () => openPages(documents).map(({ document: { id: page } }): Target => ({ page: "text", id: page }));
  const shown = (targets: readonly Target[]) => targets.map((target) => pageShownOf(target, documents));
  const home: Target = { page: "home" };
  if (document?.kind === "page") return shown([id === homeOf(documents) ? home : { page: "text", id }]);
  switch (document && layoutProps(document)?.of) {
    case undefined:
      return shown([
        home,
        ...own().filter((target) => target.page === "text" && target.id !== homeOf(documents)),
        ...products(),
        ...collections(),
        { page: "search", sought: "" },
        { page: "cart", lines: [] },
        NOT_FOUND,
        { page: "message", title: "", text: "" },
      ]);
    case "product":
      return shown(products().filter(isDrawnWith));
    case "collection":
      return shown(collections().filter(isDrawnWith));
    case "post":
      return shown(own()).filter(({ sort }) => sort === "post");
    case "search":
      return shown([{ page: "search", sought: "" }]);
    case "cart":
      return shown([{ page: "cart", lines: [] }]);
    case "checkout":
      return shown([{ page: "checkout", lines: [] }]);
    case "thanks":
    case "order":
    case "sign-in":
    case "account":
    case "gift-card":
      return [{ sort: document!.id }];
    case "not-found":
      return shown([NOT_FOUND]);
    case "closed":
      return shown([{ page: "closed" }]);
  }
}

/** The documents that are a page's own, by id: itself, and the layout that it is drawn with. */
export function ownDocuments(target: Target, documents: Documents, goods: Goods): ReadonlySet<string> {
  const stored = storedFor(target, documents, goods);
  const post = target.page === "post" ? target.id : undefined;
  const isPost = target.page === "text" && journalOf(documents, target.id) !== undefined;
  return new Set([stored?.id, post, isPost ? "post" : undefined].filter((id) => id !== undefined));
}

function storedFor(target: Target, documents: Documents, goods: Goods): PageDocument | undefined {
  switch (target.page) {
    case "home":
      return entryOf(documents, homeOf(documents));
    case "text":
      return entryOf(documents, target.id);
    case "product":
      return layoutFor(documents, "product", {
        product: target.product.id,
        collections: collectionsWith(goods, target.product),
      });
    case "collection":
      return layoutFor(documents, "collection", { collections: target.collection ? [target.collection.id] : [] });
    case "post":
    case "search":
    case "cart":
    case "checkout":
    case "thanks":
    case "order":
    case "sign-in":
    case "account":
    case "gift-card":
    case "not-found":
    case "closed":
      return entryOf(documents, target.page);
    default:
      return undefined;
  }
}

/**
 * What a document is looked at as: the page itself, or, for a layout, a page that it draws. `address`: the page of the shop
 * that is wished for; where the layout does not draw that one, the most telling that it does.
 */
export function targetFor(documents: Documents, goods: Goods, id: string, address: string | null): Target {
  const document = entryOf(documents, id);
  const props = document && layoutProps(document);
  if (!document || id === homeOf(documents)) return { page: "home" };
  if (document.kind === "page") return { page: "text", id };
  // Menus, header and footer are looked at on the home page.
  if (!props) return { page: "home" };
  if (address) {
    const wish = new URL(address, "http://shop.example");
    const target = targetAt(wish.pathname, wish.searchParams, documents, goods);
    if (target.page === props.of) return target;
  }
  switch (props.of) {
    case "product": {
      const drawn = goods.products.filter(
        (p) => documentOf({ page: "product", product: p }, documents, goods)?.id === id,
      );
      // The one with most to show: variants, pictures, reviews.
      const score = (p: Product) =>
        Math.min(p.variants.length, 4) +
        Math.min(p.pictures.length, 5) +
        (p.rating ? 3 : 0) +
        p.specification.length / 4;
      const [best] = (drawn.length ? drawn : goods.products).toSorted((a, b) => score(b) - score(a));
      return best ? { page: "product", product: best } : { page: "product", product: NO_PRODUCT };
    }
    case "collection": {
      const drawn = goods.collections.filter(
        (collection) => documentOf({ page: "collection", collection }, documents, goods)?.id === id,
      );
      const [fullest] = drawn.toSorted((a, b) => sizeOf(goods, b) - sizeOf(goods, a));
      return { page: "collection", collection: fullest };
    }
    case "search":
      return { page: "search", sought: tellingWord(goods) };
    case "cart":
      return cartShown(goods, offersOf(documents), address);
    case "checkout":
      return checkoutShown(goods, offersOf(documents), address);
    case "thanks":
    case "order":
      return { page: props.of, sample: address };
    case "sign-in":
      return doorShown("sign-in", address);
    case "account":
      return accountShown(goods, address);
    case "gift-card":
      return giftCardShown(address);
    case "post":
      return { page: "post", id: sampleWanted(documents, address) };
    case "not-found":
    case "closed":
      return { page: props.of };
  }
}

/** The post with which the layout of posts is looked at: the one at an address, or the latest of the first journal that has any. */
function sampleWanted(documents: Documents, address: string | null): string | undefined {
  const wished = address === null ? undefined : siteOf(documents).byAddress.get(decodeAddress(address) ?? "");
  if (wished && journalOf(documents, wished.document.id)) return wished.document.id;
  const posts = journalsOf(documents).flatMap((journal) => postsOf(documents, journal.document.id));
  return (posts.find((post) => !post.props.hidden) ?? posts[0])?.document.id;
}

/** One page of every kind that a shop has, the most telling of each. */
export function onePageOfEachKind(documents: Documents, goods: Goods): readonly Target[] {
  const fullest = goods.collections.toSorted((a, b) => sizeOf(goods, b) - sizeOf(goods, a))[0];
  const reduced = goods.products.find((p) => p.compareAt !== null && p.pictures.length > 1);
  const product = reduced ?? goods.products.find((p) => p.pictures.length > 1) ?? goods.products[0];
  const text = openPages(documents).find((p) => p.address !== "/");
  return [
    { page: "home" },
    { page: "collection", collection: fullest },
    ...(product ? [{ page: "product", product } as const] : []),
    ...(text ? [{ page: "text", id: text.document.id } as const] : []),
    { page: "search", sought: tellingWord(goods) },
    ...(goods.products.length
      ? [
          cartShown(goods, offersOf(documents), null),
          checkoutShown(goods, offersOf(documents), null),
          { page: "order", sample: null } as const,
        ]
      : []),
    NOT_FOUND,
  ];
}
