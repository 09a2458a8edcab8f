import { useMemo } from "react";
import { collectionAddress, productAddress } from "~/core/addresses";
import { seenAt, type Target } from "~/render";
import { useStudio } from "../keeping";

const PAGES = ["Home", "Collection", "Product", "Cart", "Checkout"] as const;
export type PageName = (typeof PAGES)[number];

/** Addresses of the pages of the shop that are looked at in each theme; those that there is nothing for yet are left out. */
export function useSamplePages(): ReadonlyMap<PageName, string> {
  const { products, collections } = useStudio((s) => s.goods);
  return useMemo(() => {
    const shown =
      products.find((p) => p.pictures.length && p.variants.length) ?? products.find((p) => p.pictures.length);
    const product = shown ?? products[0];
    const collection = collections.find((c) => c.parent === null && c.picture) ?? collections[0];
    const pages: [PageName, string | undefined][] = [
      ["Home", "/"],
      ["Collection", product && collection && collectionAddress(collection)],
      ["Product", product && productAddress(product)],
      ["Cart", product && "/cart"],
      ["Checkout", product && "/checkout"],
    ];
    return new Map(pages.flatMap(([name, address]) => (address ? [[name, address] as const] : [])));
  }, [products, collections]);
}

/** The page at an address of this shop, as it is looked at. */
export function useSeenAt(address: string): Target {
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  return useMemo(() => {
    const [path, query] = address.split("?");
    return seenAt(path!, new URLSearchParams(query), documents, goods);
  }, [address, documents, goods]);
}
