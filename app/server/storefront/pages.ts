import { createHash, timingSafeEqual } from "node:crypto";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import { LRUCache } from "lru-cache";
import { ALL_GOODS, closedOf, collectionAddress, openPages, productAddress } from "~/core/addresses";
import { cutFileName, cutsOf, solveLook, SUBSETS, type Subset } from "~/core/theme";
import type { Draft } from "~/core/document";
import type { Permission } from "~/kinds";
import { themeById } from "~/themes";
import { axesOf, isNarrowed, NO_QUERY } from "~/core/goods";
import { clockOf, momentIn, nextChange, outcomeOf, type Person, type Situation } from "~/core/situation";
import {
  askedIn,
  draftOn,
  nextTimed,
  partsOutcome,
  personalParts,
  timedOutcome,
  type Personal,
} from "~/core/conditions";
import { draftAt, nextPost, postsOut } from "~/core/journal";
import { wornOn } from "~/core/seasons";
import { goalsOf, offersOf } from "~/core/offers";
import { asksOn } from "~/kinds/asks";
import { closedHere } from "~/kinds/closing";
import { dependsOnDay } from "~/kinds/days";
import { showsCart } from "~/kinds/live";
import { momentsPassed } from "~/kinds/moments";
import {
  movedTo,
  ownDocuments,
  pageShownOf,
  renderPage,
  targetAt,
  withFacts,
  type Broken,
  type RenderedPage,
  type ShopContent,
  type Target,
} from "~/render";
import { codeOrigin } from "../config/index.server";
import { goodsAsStored, goodsOf, situationNow } from "../goods/index.server";
import { SCRIPT_ADDRESSES } from "../http/static";
import { usedUp } from "../offer-uses/index.server";
import { picturesOf } from "../pictures/index.server";
import { formerAddresses, publishedAt, publishedDraft } from "../publishing/index.server";
import type { Shop } from "../shops/index.server";
import { PageCache } from "./cache";
import { linkIn } from "./came-by";
import { createGate } from "./gate";

export type Encoding = "br" | "gzip" | "identity";

/** Header fields, one after the other by name and value: those of a whole answer, and those that say “it is still good”. */
export type Head = { readonly etag: string; readonly whole: string[]; readonly unchanged: string[] };

/** A page as it goes over the wire. */
export type ServedPage = {
  readonly status: number;
  /** What it is known by, whichever way it is packed. */
  readonly hash: string;
  /** Its bytes, as they are and packed. */
  readonly bytes: (encoding: Encoding) => Buffer;
  /** What it was sent with, where that is the same for everybody. */
  readonly heads: Partial<Record<Encoding, Head>>;
  /** For `style-src`: the page's one style element, by its hash. */
  readonly styleHash: string;
  /** It is for whoever asked: others may see it otherwise. */
  readonly isPersonal: boolean;
  /** What its parts need to be allowed. */
  readonly permissions: ReadonlySet<Permission>;
};

const sha = (text: string | Buffer) => createHash("sha256").update(text).digest("base64");

function served(status: number, { html, css, permissions }: RenderedPage, sent: "often" | "once"): ServedPage {
  const raw = Buffer.from(html);
  const packed: Partial<Record<Encoding, Buffer>> = { identity: raw };
  const pack = (encoding: Exclude<Encoding, "identity">) =>
    encoding === "br"
      ? brotliCompressSync(raw, { params: { [constants.BROTLI_PARAM_QUALITY]: sent === "often" ? 9 : 3 } })
      : gzipSync(raw, { level: sent === "often" ? 9 : 3 });
  return {
    status,
    hash: sha(raw).slice(0, 22),
    isPersonal: false,
    permissions,
    styleHash: `'sha256-${sha(css)}'`,
    bytes: (encoding) => (packed[encoding] ??= encoding === "identity" ? raw : pack(encoding)),
    heads: {},
  };
}

const pictures = new LRUCache<string, { readonly version: number; readonly all: ReturnType<typeof picturesOf> }>({
  max: 200,
});

/** The pictures of a shop, read once for each state of them. */
export function picturesNow({ id, picturesVersion: version }: Shop): ReturnType<typeof picturesOf> {
  const have = pictures.get(id);
  if (have?.version === version) return have.all;
  const all = picturesOf(id);
  pictures.set(id, { version, all });
  // What could not be read is asked for again.
  all.catch(() => pictures.delete(id));
  return all;
}

/** A draft as it is at a time: in the look that is worn then, without posts that are ahead and parts outside of their times. */
export const draftThen = (draft: Draft, clock: string): Draft =>
  draftOn(draftAt(wornOn(draft, clock), clock), { clock });

const spentOffers = new LRUCache<string, Promise<ReadonlySet<string>>>({ max: 500 });
/** Offers of a shop that have been had as often as they may be: asked for once for each state of the shop, which using one up changes. */
function spentNow(shop: Shop, { documents }: Draft): Promise<ReadonlySet<string>> {
  const key = `${shop.id} ${shop.publicationId} ${shop.goodsVersion}`;
  const have = spentOffers.get(key);
  if (have) return have;
  const spent = usedUp(shop.id, offersOf(documents));
  spentOffers.set(key, spent);
  spent.catch(() => spentOffers.delete(key));
  return spent;
}

/** What the pages of a shop are drawn from in a situation; undefined while nothing has been published. */
export async function contentOf(
  shop: Shop,
  situation: Situation = situationNow(shop),
): Promise<ShopContent | undefined> {
  const published = shop.publicationId ? await publishedDraft(shop.publicationId) : undefined;
  if (!published) return undefined;
  const draft = draftThen(published, clockOf(situation));
  const [goods, pictures, spent] = await Promise.all([
    goodsOf(shop, situation),
    picturesNow(shop),
    spentNow(shop, published),
  ]);
  return withFacts({
    draft,
    spent,
    goods,
    pictures,
    currency: shop.currency,
    locale: shop.locale,
    moneyFormat: shop.moneyFormat,
    codeOrigin: codeOrigin(),
    situation,
  });
}

/** Whether pages are set in this cut of a font. */
export function usesFont({ draft: { look } }: ShopContent, name: string): boolean {
  const solved = solveLook(themeById(look.theme), look);
  return cutsOf(solved.type, solved.theme.widths).some((cut) =>
    (Object.keys(SUBSETS) as Subset[]).some((subset) => cutFileName(cut, subset) === name),
  );
}

const cache = new PageCache();
/** Does what takes the whole thread in its turn. `place`: who asks. @throws TooMany */
export const inTurn = createGate();
/** Pages of a list that are kept; those further on are asked for too rarely, and anybody can ask for as many as they like. */
const MOST_LIST_PAGES = 50;

/** What an address below the shop's own asks for, and the status to answer with. */
export function targetOf(url: string, content: ShopContent): { target: Target; status: number; path: string } {
  // What stands before the question mark need not be an address: `//` is none.
  const [path = "", ...query] = url.split("?");
  const target = targetAt(path, new URLSearchParams(query.join("?")), content.draft.documents, content.goods);
  return { target, status: target.page === "not-found" ? 404 : 200, path };
}

/** What of an address decides how a page looks; undefined where there is no end of such addresses. */
function partOf(target: Target): string | undefined {
  switch (target.page) {
    case "search":
    case "cart":
      return undefined;
    case "collection": {
      const { query = NO_QUERY } = target;
      return isNarrowed(query) || query.page > MOST_LIST_PAGES ? undefined : `${query.page} ${query.sort ?? ""}`;
    }
    case "product":
      return target.variant?.id ?? "";
    case "text": {
      const { tag, number = 1 } = target.part ?? {};
      return number > MOST_LIST_PAGES ? undefined : `${tag ?? ""} ${number}`;
    }
    default:
      return "";
  }
}

/** A page that is kept, and until when it is the one to send: for as long as the shop is in this state, and not past a moment in ms. */
type KeptAddress = { readonly key: string; readonly shop: Shop; readonly until: number };
const addresses = new LRUCache<string, KeptAddress>({ max: 5_000 });
/** Longer addresses than that are nobody's links; they would take more room than what they lead to. */
const LONGEST_ADDRESS = 300;

/** The page at an address that was asked for before and that nothing has changed since; undefined where that has to be found out. */
export function keptAt(shop: Shop, url: string, now: number): ServedPage | undefined {
  const known = addresses.get(`${shop.id} ${url}`);
  if (!known || now >= known.until) return undefined;
  const { publicationId, goodsVersion, picturesVersion } = known.shop;
  const isSame =
    publicationId === shop.publicationId &&
    goodsVersion === shop.goodsVersion &&
    picturesVersion === shop.picturesVersion;
  return isSame ? cache.get(shop.id, known.key) : undefined;
}

/**
 * The page at an address below the shop's own, like `/products/a?size=2`. A page is drawn once for every state of publication, goods and pictures, and for every outcome of
 * what it depends on in the situation; whoever asks next gets the same bytes. What there is no end of (searches, narrowed
 * lists) is not kept, and paths that lead nowhere share one page, so that made-up addresses can't fill the memory.
 */
export async function pageAt(
  shop: Shop,
  url: string,
  origin: string,
  situation: Situation = situationNow(shop),
  place = "",
  /** Says what is known of whoever asks, as far as parts of the page ask for it. */
  whoAsks?: (content: ShopContent, asks: ReadonlySet<Personal>) => Promise<Person>,
): Promise<ServedPage | undefined> {
  const everybodys = await contentOf(shop, situation);
  if (!everybodys) return undefined;
  const { target, status, path } = targetOf(url, everybodys);
  const documentsThere = everybodys.draft.documents;
  const own = ownDocuments(target, documentsThere, everybodys.goods);
  const personal = personalParts(documentsThere, own);
  const asks = asksOn(documentsThere, own);
  const closed = closedHere(documentsThere, situation.closed ?? []);
  const isPersonal = asks.size > 0 || closed.length > 0;
  const person = asks.size > 0 ? await whoAsks?.(everybodys, asks) : undefined;
  const content: ShopContent = person ? { ...everybodys, situation: { ...situation, person } } : everybodys;
  latest.set(shop.host, { content: { ...everybodys, situation: { ...situation, closed: [] } }, origin });
  const part = partOf(target);
  const forOne = (page: ServedPage): ServedPage => (isPersonal ? { ...page, isPersonal } : page);
  if (part === undefined) return inTurn(place, () => forOne(drawn(status, target, content, origin, "once")));
  const axes = { day: axesOf(await goodsAsStored(shop)).day || dependsOnDay(content.draft) };
  const { documents } = (await publishedDraft(shop.publicationId!)) ?? content.draft;
  const clock = clockOf(situation);
  // A post that comes out is on several pages at once.
  const passed = momentsPassed(documents, clock);
  const outcome = [
    outcomeOf(situation, axes),
    postsOut(documents, clock).count,
    timedOutcome(documents, clock),
    passed.count,
  ].join(" ");
  const until = Math.min(
    nextChange(situation, axes),
    nextPost(documents, clock, situation.timeZone),
    nextTimed(documents, clock, situation.timeZone),
    (passed.next === undefined ? undefined : momentIn(passed.next, situation.timeZone)) ?? Infinity,
  );
  const page = pageShownOf(target, documentsThere);
  const asked = askedIn({ ...situation, page, ...(person ? { person } : {}) }, content.goods);
  const who = person ? partsOutcome(personal, asked) : "";
  const goals = showsCart(documentsThere, own)
    ? goalsOf({ offers: offersOf(documentsThere), goods: content.goods, asked })
    : [];
  const state = [
    shop.publicationId,
    shop.goodsVersion,
    shop.picturesVersion,
    origin,
    outcome,
    who,
    goals.map(({ offer, toGo }) => `${offer.id}=${toGo}`).join("."),
    closed.join("."),
  ].join(" ");
  const key = status === 404 ? `${state} ?` : `${state} ${path} ${part}`;
  // What only friends may see is never answered without asking who it is.
  if (
    status === 200 &&
    !isPersonal &&
    linkIn(url) === undefined &&
    url.length <= LONGEST_ADDRESS &&
    !closedOf(content.draft.documents).closed
  )
    addresses.set(`${shop.id} ${url}`, { key, shop, until });
  const known = cache.get(shop.id, key);
  if (known) return known;
  return inTurn(place, () => {
    // Somebody else asked for the same, and was first.
    const made = cache.get(shop.id, key);
    if (made) return made;
    const page = forOne(drawn(status, target, content, origin));
    cache.set(shop.id, key, page);
    return page;
  });
}

/** What shops looked like when their pages were last asked for, by host. */
const latest = new LRUCache<string, { readonly content: ShopContent; readonly origin: string }>({ max: 500 });
/** Drawn once for each publication: when it is needed there is no time to draw. */
const sorry = new WeakMap<ShopContent["draft"], ServedPage>();

/** A page in the shop's look that asks to come again in a moment; undefined for a shop that nobody has looked at yet. */
export function sorryPage(host: string): ServedPage | undefined {
  const found = latest.get(host);
  if (!found) return undefined;
  let page = sorry.get(found.content.draft);
  if (!page) {
    const text = "The shop is busy just now. Please try again in a few seconds.";
    page = drawn(503, { page: "message", title: "One moment, please", text }, found.content, found.origin);
    sorry.set(found.content.draft, page);
  }
  return page;
}

const reported = new LRUCache<string, true>({ max: 5_000 });

/** Writes once to the log that a section can't be drawn, however often its page is asked for. */
function reportOnce({ node, kind, why }: Broken): void {
  const key = `${node} ${String(why)}`;
  if (reported.has(key)) return;
  reported.set(key, true);
  console.error(`a section of the kind “${kind}” (${node}) can't be drawn and is left out:`, why);
}

/** A page as it is now, for whoever asked. `once`: it is sent to nobody else, so that little time goes into packing it. */
export function drawn(
  status: number,
  target: Target,
  content: ShopContent,
  origin: string,
  sent: "often" | "once" = "often",
  /** What stands at its end besides. */
  strip?: { readonly css: string; readonly html: string },
): ServedPage {
  const page = renderPage(target, content, origin, SCRIPT_ADDRESSES, strip);
  for (const each of page.broken) reportOnce(each);
  return served(status, page, sent);
}

/** A page that says one thing, such as thanks for signing up. */
export async function messagePage(
  shop: Shop,
  title: string,
  text: string,
  status: number,
  origin: string,
): Promise<ServedPage | undefined> {
  const content = await contentOf(shop);
  return content && drawn(status, { page: "message", title, text }, content, origin);
}

const escapeXml = (text: string) => text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/'/g, "&apos;");

/** Where to go on from an address at which nothing stands any more; undefined where nothing is known of it. */
export async function leadsTo(shop: Shop, path: string): Promise<string | undefined> {
  const content = await contentOf(shop);
  if (!content || !shop.publicationId) return undefined;
  const { documents } = content.draft;
  if (targetAt(path, new URLSearchParams(), documents, content.goods).page !== "not-found") return undefined;
  return movedTo(path, documents, await formerAddresses(shop.id, shop.publicationId));
}

/** What a shop that is closed for now says instead of a page; undefined where it is open. `wrong`: a word was tried that is none. */
export async function closedPage(shop: Shop, origin: string, wrong = false): Promise<ServedPage | undefined> {
  const content = await contentOf(shop);
  if (!content || !closedOf(content.draft.documents).closed) return undefined;
  if (wrong) return drawn(401, { page: "closed", wrong }, content, origin, "once");
  const key = [shop.publicationId, shop.goodsVersion, shop.picturesVersion, origin, "closed"].join(" ");
  const known = cache.get(shop.id, key);
  if (known) return known;
  // RFC 9110, 15.6.4: for now. Search engines keep what they know of the shop.
  const page = drawn(503, { page: "closed" }, content, origin);
  cache.set(shop.id, key, page);
  return page;
}

/** What is written down for whoever has said the word for friends: not the word itself, and another one once it has changed. */
export async function friendToken(shop: Shop): Promise<string | undefined> {
  const content = await contentOf(shop);
  const { friends } = content ? closedOf(content.draft.documents) : { friends: "" };
  return friends === "" ? undefined : createHash("sha256").update(`friends ${shop.id} ${friends}`).digest("hex");
}

/** Whether a word is the one for friends of a shop. */
export async function isFriendsWord(shop: Shop, word: string): Promise<boolean> {
  const content = await contentOf(shop);
  const { friends } = content ? closedOf(content.draft.documents) : { friends: "" };
  return friends !== "" && sameText(word.trim(), friends);
}

/** Whether two texts are the same. It takes as long whether they are or not, so that nothing is learnt from it. */
export const sameText = (a: string, b: string): boolean =>
  timingSafeEqual(createHash("sha256").update(a).digest(), createHash("sha256").update(b).digest());

/** The addresses of every page of a shop, for its sitemap (sitemaps.org 0.9). */
export async function sitemapOf(shop: Shop, origin: string): Promise<string | undefined> {
  const content = await contentOf(shop);
  if (!content) return undefined;
  if (closedOf(content.draft.documents).closed) return undefined;
  const { products, collections } = content.goods;
  const published = await publishedAt(shop.publicationId!);
  // Every page changes with a publication; a product's is not older than the product.
  const later = (a: string, b: string) => (a > b ? a : b);
  const paths: readonly (readonly [path: string, changed: string])[] = [
    ...openPages(content.draft.documents)
      .filter((p) => p.address === "/" && !p.props.unlisted)
      .map((p) => [p.address, published] as const),
    ...(products.length ? [[ALL_GOODS, published] as const] : []),
    ...collections.filter((c) => !c.search.unlisted).map((c) => [collectionAddress(c), published] as const),
    ...products
      .filter((p) => !p.search.unlisted)
      .map((p) => [productAddress(p), later(published, p.createdAt)] as const),
    ...openPages(content.draft.documents)
      .filter((p) => p.address !== "/" && !p.props.unlisted)
      .map((p) => [p.address, published] as const),
  ];
  const urls = paths
    .map(
      ([path, changed]) =>
        `<url><loc>${escapeXml(origin + path)}</loc><lastmod>${changed.slice(0, 10)}</lastmod></url>`,
    )
    .join("");
  return `<?xml version="1.0" encoding="UTF-8"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${urls}</urlset>`;
}
