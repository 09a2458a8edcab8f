import { textPages, type Draft } from "~/core/document";
import type { Collection, Goods, Product } from "~/core/goods";
import { collectionAddress, pageAddress, productAddress } from "~/kinds/parts";

type Documents = Draft["documents"];

/** Which page of the shop is asked for. */
export type Target =
  | { readonly page: "home" }
  | { readonly page: "text"; readonly id: string }
  | { readonly page: "collection"; readonly collection: Collection | undefined }
  | { readonly page: "product"; readonly product: Product }
  | { readonly page: "search"; readonly query: string }
  | { readonly page: "message"; readonly title: string; readonly text: string; readonly address?: string };

export const NOT_FOUND: Target = {
  page: "message",
  title: "There is nothing here",
  text: "The address may be mistyped, or what was here has gone. The rest of the shop is where it was.",
};

/** The page at an address of the shop; a message that there is none where nothing stands there. `query`: as after `?`. */
export function targetAt(path: string, query: URLSearchParams, documents: Documents, goods: Goods): Target {
  if (path === "/") return { page: "home" };
  const [, area, slug, ...more] = path.split("/");
  if (area === "search" && !slug) return { page: "search", query: (query.get("q") ?? "").slice(0, 120) };
  if (!slug || more.length) return NOT_FOUND;
  if (area === "collections") {
    if (slug === "all") return { page: "collection", collection: undefined };
    const collection = goods.collections.find((c) => c.slug === slug);
    return collection ? { page: "collection", collection } : NOT_FOUND;
  }
  if (area === "products") {
    const product = goods.products.find((p) => p.slug === slug && p.title !== "");
    return product ? { page: "product", product } : NOT_FOUND;
  }
  if (area === "pages") {
    const document = textPages(documents).find((d) => d.id === slug);
    return document ? { page: "text", id: document.id } : NOT_FOUND;
  }
  return NOT_FOUND;
}

/** The address of a page; undefined for messages that stand in for one. */
export function addressOf(target: Target): string | undefined {
  switch (target.page) {
    case "home":
      return "/";
    case "text":
      return pageAddress(target.id);
    case "collection":
      return target.collection ? collectionAddress(target.collection) : "/collections/all";
    case "product":
      return productAddress(target.product);
    case "search":
      return target.query ? `/search?q=${encodeURIComponent(target.query)}` : "/search";
    case "message":
      return target.address;
  }
}

/** A page's name for the seller. */
export function targetName(target: Target, documents: Documents): string {
  switch (target.page) {
    case "home":
      return "Home";
    case "text":
      return documents[target.id]?.title ?? "Page";
    case "collection":
      return target.collection?.title ?? "Everything";
    case "product":
      return target.product.title;
    case "search":
      return target.query ? `Search “${target.query}”` : "Search";
    case "message":
      return target.title;
  }
}

/** What kind of page it is, as the contact sheet says it. */
export const TARGET_KINDS: Readonly<Record<Target["page"], string>> = {
  home: "Home",
  text: "Text page",
  collection: "Collection",
  product: "Product",
  search: "Search",
  message: "Not found",
};

/** One page of every kind that a shop has, the most telling of each. */
export function onePageOfEachKind(documents: Documents, goods: Goods): readonly Target[] {
  const fullest = goods.collections
    .map((c) => [c, goods.products.filter((p) => p.collections.includes(c.id)).length] as const)
    .toSorted(([, a], [, b]) => b - a)[0]?.[0];
  const reduced = goods.products.find((p) => p.compareAt !== null && p.pictures.length > 1);
  const product = reduced ?? goods.products.find((p) => p.pictures.length > 1) ?? goods.products[0];
  const text = textPages(documents)[0];
  const words = goods.products.flatMap((p) => p.title.split(/[^\p{L}]+/u)).filter((w) => w.length > 3);
  const count = (word: string) => words.filter((w) => w === word).length;
  // A word that finds several things, as most searches do.
  const word = [...new Set(words)].toSorted((a, b) => count(b) - count(a))[0] ?? "";
  return [
    { page: "home" },
    { page: "collection", collection: fullest },
    ...(product ? [{ page: "product", product } as const] : []),
    ...(text ? [{ page: "text", id: text.id } as const] : []),
    { page: "search", query: word },
    NOT_FOUND,
  ];
}
