import { entryOf, type Draft, type LayoutSort } from "~/core/document";
import { isNarrowed, NO_QUERY, writeQuery } from "~/core/goods";
import { ACCOUNT, ADDRESS_OF_DOOR } from "~/core/account";
import { GIFT_CARD } from "~/core/gift-cards";
import { ALL_GOODS, collectionAddress, homeOf, pageAddress, productAddress } from "~/core/addresses";
import { partAddress } from "~/core/journal";
import { DOOR_NAMES } from "./account-target";
import type { Target } from "./target";

// What pages of the shop are called, and where they are.

type Documents = Draft["documents"];

/** The address of a page; undefined for messages that stand in for one. */
export function addressOf(target: Target, documents: Documents): string | undefined {
  switch (target.page) {
    case "home":
      return "/";
    case "text": {
      const own = pageAddress(documents, target.id);
      return own === undefined || !target.part ? own : partAddress(own, target.part);
    }
    case "post":
      return target.id === undefined ? undefined : pageAddress(documents, target.id);
    case "collection": {
      const own = target.collection ? collectionAddress(target.collection) : ALL_GOODS;
      const page = target.query && !isNarrowed(target.query) ? target.query.page : 1;
      return page > 1 ? `${own}?page=${page}` : own;
    }
    case "product":
      return productAddress(target.product);
    case "search":
      return target.sought ? `/search?${writeQuery(target.query ?? NO_QUERY, 2, { q: target.sought })}` : "/search";
    case "cart":
      return "/cart";
    case "checkout":
      return "/checkout";
    case "sign-in":
      return ADDRESS_OF_DOOR[target.door];
    case "account":
      return ACCOUNT;
    case "gift-card":
      return GIFT_CARD;
    case "thanks":
    case "order":
    case "not-found":
    case "closed":
      return undefined;
    case "message":
      return target.address;
  }
}

/** A page's name for the seller. */
export function targetName(target: Target, documents: Documents): string {
  switch (target.page) {
    case "home":
      return entryOf(documents, homeOf(documents))?.title ?? "Home";
    case "text":
      return entryOf(documents, target.id)?.title ?? "Page";
    case "collection":
      return target.collection?.title ?? "Everything";
    case "product":
      return target.product.title;
    case "search":
      return target.sought ? `Search “${target.sought}”` : "Search";
    case "post":
      return (target.id === undefined ? undefined : entryOf(documents, target.id)?.title) ?? "A post";
    case "cart":
    case "checkout":
    case "thanks":
    case "order":
    case "account":
    case "gift-card":
    case "not-found":
    case "closed":
      return entryOf(documents, target.page)?.title ?? TARGET_KINDS[target.page];
    case "sign-in":
      return DOOR_NAMES[target.door];
    case "message":
      return target.title;
  }
}

/** What kind of page it is, as the contact sheet says it. */
export const TARGET_KINDS: Readonly<Record<Target["page"], string>> = {
  home: "Home",
  text: "Text page",
  post: "Post",
  collection: "Collection",
  product: "Product",
  search: "Search",
  cart: "Cart",
  checkout: "Checkout",
  thanks: "Thank you",
  order: "Order",
  "sign-in": "Signing in",
  account: "Account",
  "gift-card": "Gift card",
  "not-found": "Not found",
  closed: "Closed for now",
  message: "Message",
};

const { home: _home, text: _text, message: _message, ...OF_LAYOUTS } = TARGET_KINDS;

/** The sorts of pages that a layout is made for, as the seller knows them. */
export const LAYOUT_NAMES: Readonly<Record<LayoutSort, string>> = {
  ...OF_LAYOUTS,
  product: "Product pages",
  collection: "Collection pages",
  post: "Posts",
};

const PERSONAL: ReadonlySet<string> = new Set<Target["page"]>([
  "cart",
  "checkout",
  "thanks",
  "order",
  "sign-in",
  "account",
  "gift-card",
]);

/** Whether somebody is buying on such a page, or sees what is theirs: nothing comes over it, and no code of the seller’s own runs there. */
export const isPersonal = (page: Target["page"] | LayoutSort): boolean => PERSONAL.has(page);
