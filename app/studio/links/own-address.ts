import { siteOf } from "~/core/addresses";
import type { Draft } from "~/core/document";
import { isNarrowed, NO_QUERY, writeQuery, type Goods } from "~/core/goods";
import { linkSchema, type Link } from "~/core/schema";
import { targetAt } from "~/render";

type Shop = { readonly documents: Draft["documents"]; readonly goods: Goods };

/** The link to a list of goods: to the collection itself where nothing narrows or orders it. */
export function listLink(id: string | null, query: string): Link {
  return query === "" && id !== null ? { to: "collection", id } : { to: "list", id, query };
}

/**
 * What an address of the shop itself leads to, so that it leads there still when that is called otherwise. Undefined for other
 * addresses, and where nothing stands. `origin`: the shop's own.
 */
export function readOwnAddress(text: string, origin: string, { documents, goods }: Shop): Link | undefined {
  if (!URL.canParse(text) || !URL.canParse(origin)) return undefined;
  const asked = new URL(text);
  if (asked.host !== new URL(origin).host) return undefined;
  const target = targetAt(asked.pathname, asked.searchParams, documents, goods);
  switch (target.page) {
    case "home":
      return { to: "home" };
    case "product":
      return { to: "product", id: target.product.id };
    case "collection": {
      const query = { ...(target.query ?? NO_QUERY), page: 1 };
      const isAsked = isNarrowed(query) || query.sort !== null;
      const link = listLink(target.collection?.id ?? null, isAsked ? writeQuery(query, goods.digits ?? 2) : "");
      // More than anybody asks for by hand stays the address that it is.
      return linkSchema.safeParse(link).success ? link : undefined;
    }
    case "text": {
      const place = decodeURIComponent(asked.hash.slice(1));
      const { id } = target;
      if (!siteOf(documents).byId.has(id)) return undefined;
      return /^[a-z][a-z0-9-]*$/.test(place) ? { to: "place", page: id, name: place } : { to: "page", id };
    }
    default:
      return undefined;
  }
}
