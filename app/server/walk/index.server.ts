import { decodeAddress } from "~/core/addresses";
import type { WalkAsked, WalkFinding, WalkNews } from "~/core/walk";
import { shopOrigin } from "../config/index.server";
import { removeTestOrders } from "../orders/index.server";
import { endDraftLink, makeDraftLink } from "../publishing/index.server";
import { freshShop, type Shop } from "../shops/index.server";
import { contentOf, draftContent } from "../storefront/index.server";
import { readPage } from "./page";
import { enterShop, type Shopper } from "./shopper";
import { trialsFor, WALK_MAIL } from "./trials";

/** So many pages are looked at, and pictures asked for, at most. */
const MOST_PAGES = 3_000;
const MOST_FILES = 5_000;

/** What no link is followed to: it changes something, or leads out of what is looked at. */
const isLeft = (path: string): boolean => /^\/(?:draft|media|fonts|assets|lists|account)(?:\/|$)/.test(path);

type Tell = (news: WalkNews) => void;

const underWay = new Set<string>();
/** Whether an automatic shopper is in a shop already. Two would take the pieces that the other one wants to buy. */
export const isWalked = (shopId: string): boolean => underWay.has(shopId);

/**
 * Goes through a shop as a shopper would: every link, then what is tried besides. Whatever it orders is a test, and is taken away at the
 * end, with its goods back in stock. It goes on until it is through, or `signal` says to stop.
 */
export async function walkThrough(shop: Shop, asked: WalkAsked, tell: Tell, signal: AbortSignal): Promise<void> {
  underWay.add(shop.id);
  try {
    await walk(shop, asked, tell, signal);
  } finally {
    underWay.delete(shop.id);
  }
}

async function walk(shop: Shop, { of }: WalkAsked, tell: Tell, signal: AbortSignal): Promise<void> {
  const began = performance.now();
  const origin = shopOrigin(shop.host);
  const content = of === "draft" ? await draftContent(shop) : await contentOf(await freshShop(shop));
  if (!content) {
    tell({
      at: "finding",
      page: "/",
      what: "The shop is not published yet.",
      mend: "Publish it, or walk through the draft.",
    });
    return tell({ at: "end", pages: 0, links: 0, isWhole: true, seconds: 0 });
  }
  const shopper = await enterShop(origin);
  const link = of === "draft" ? await makeDraftLink(shop.id) : undefined;
  try {
    if (link) shopper.setCookie("draft", link.secret);
    const told = new Set<string>();
    const found = (finding: WalkFinding) => {
      const key = `${finding.page} ${finding.what}`;
      if (told.has(key)) return;
      told.add(key);
      tell({ at: "finding", ...finding });
    };
    const links = await followLinks(shopper, tell, found, signal);
    for (const trial of trialsFor(shopper, content, found)) {
      if (signal.aborted) break;
      tell({ at: "trying", name: trial.name, page: trial.page });
      const done = await trial.carryOut().catch((error: unknown) => {
        console.error("a trial of a walk-through failed:", error);
        return { isGood: false, says: "It could not be tried to its end." };
      });
      tell({ at: "trial", name: trial.name, ...done });
      if (!done.isGood)
        found({
          page: trial.page,
          what: `${trial.name}: ${done.says}`,
          mend: "Try it yourself with “Buy something yourself”.",
        });
    }
    const seconds = Math.round((performance.now() - began) / 1000);
    tell({ at: "end", ...links, isWhole: links.isWhole && !signal.aborted, seconds });
  } finally {
    shopper.leave();
    if (link) await endDraftLink(shop.id, link.secret);
    await removeTestOrders(shop.id, WALK_MAIL);
  }
}

async function followLinks(shopper: Shopper, tell: Tell, found: (finding: WalkFinding) => void, signal: AbortSignal) {
  /** Addresses that are known, each with the page that leads there first. */
  const known = new Map<string, string>([["/", ""]]);
  const queue = ["/"];
  /** Places on pages that links lead to, with the page that they stand on. */
  const places: { readonly page: string; readonly id: string; readonly from: string }[] = [];
  const idsOn = new Map<string, ReadonlySet<string>>();
  const files = new Map<string, { readonly file: string; readonly page: string }>();
  let pages = 0;
  let links = 0;
  for (let path = queue.shift(); path !== undefined && !signal.aborted && pages < MOST_PAGES; path = queue.shift()) {
    const from = known.get(path)!;
    const answer = await shopper.get(path);
    const where = from === "" ? path : from;
    if (answer.status >= 300 && answer.status < 400) {
      if (answer.status === 301)
        found({
          page: where,
          what: `A link leads to ${path}, which has moved.`,
          mend: "Choose the page anew, so that the link leads there at once.",
        });
      if (answer.to !== undefined && !known.has(answer.to.split("#")[0]!)) {
        known.set(answer.to.split("#")[0]!, where);
        queue.push(answer.to.split("#")[0]!);
      }
      continue;
    }
    if (answer.status === 404) {
      found({
        page: where,
        what: `A link leads to ${path}, where there is nothing.`,
        mend: "Change the link, or make that page.",
      });
      continue;
    }
    if (answer.status >= 400) {
      found({
        page: path,
        what: `The page can’t be shown (${answer.status}).`,
        mend: "Look at it on the bench: a section of it may be broken.",
      });
      continue;
    }
    if (!answer.type.includes("html")) continue;
    const page = readPage(answer.body);
    pages++;
    idsOn.set(path, page.ids);
    if (page.title === "")
      found({ page: path, what: "It has no title.", mend: "Give it one under Search and sharing." });
    if (page.headings.length === 0)
      found({ page: path, what: "It has no main heading.", mend: "Begin it with a section that has a heading." });
    if (page.headings.length > 1)
      found({
        page: path,
        what: `It has ${page.headings.length} main headings.`,
        mend: "Let one section name the page, and take the heading out of the others.",
      });
    for (const image of page.images) {
      const file = shopper.below(image, path)?.split("#")[0];
      // Of a picture in many sizes, one tells whether it is there.
      const [, of] = /^\/media\/([\da-f]{16,64})/.exec(file ?? "") ?? [];
      if (file !== undefined && of !== undefined && !files.has(of)) files.set(of, { file, page: path });
    }
    for (const { to, words } of page.links) {
      const next = shopper.below(to, path);
      if (next === undefined) continue;
      links++;
      const [address = "", id] = next.split("#");
      if (id) places.push({ page: address, id: decodeAddress(id) ?? id, from: path });
      if (words === "" && !isLeft(address))
        found({
          page: path,
          what: `A link to ${address} has no words.`,
          mend: "Give it words, or its picture a description.",
        });
      if (known.has(address) || isLeft(address)) continue;
      // Lists that are narrowed are the same goods once more, without an end; their pages are looked at one after the other.
      if (isNarrowing(address)) continue;
      known.set(address, path);
      queue.push(address);
    }
    tell({ at: "page", page: path, title: page.title, seen: pages, known: pages + queue.length });
  }
  for (const { page, id, from } of places)
    if (idsOn.has(page) && !idsOn.get(page)!.has(id))
      found({
        page: from,
        what: `A link leads to a place “${id}” on ${page} that is not there.`,
        mend: "Choose the section anew.",
      });
  let asked = 0;
  if (files.size && !signal.aborted) tell({ at: "trying", name: `${files.size} pictures and films`, page: "/" });
  for (const { file, page } of files.values()) {
    if (signal.aborted || asked++ >= MOST_FILES) break;
    const { status } = await shopper.head(file);
    if (status >= 400) found({ page, what: "A picture or a film on it can’t be loaded.", mend: "Choose it anew." });
  }
  return { pages, links, isWhole: queue.length === 0 };
}

/** Whether an address asks a list for something other than its next page. */
function isNarrowing(address: string): boolean {
  const [path = "", query = ""] = address.split("?");
  if (!query) return false;
  const keys = [...new URLSearchParams(query).keys()];
  return path.startsWith("/collections/") || path === "/search"
    ? keys.some((key) => key !== "page")
    : path.startsWith("/cart");
}
