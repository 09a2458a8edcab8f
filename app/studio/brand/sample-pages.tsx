import { ToggleButton, ToggleButtonGroup } from "@mui/material";
import { useMemo } from "react";
import { collectionAddress, productAddress, siteOf } from "~/core/addresses";
import { ABOUT } from "~/core/commands";
import { seenAt, type Target } from "~/render";
import { useWorn } from "./wearing";

/** Names of pages, and their addresses. */
type SamplePages = ReadonlyMap<string, string>;

/** Addresses of the pages of the shop that are looked at in each theme; those that there is nothing for yet are left out. */
export function useSamplePages(): SamplePages {
  const { draft, goods } = useWorn();
  const { products, collections } = goods;
  const about = siteOf(draft.documents).byId.get(ABOUT);
  return useMemo(() => {
    const shown =
      products.find((p) => p.pictures.length && p.variants.length) ?? products.find((p) => p.pictures.length);
    const product = shown ?? products[0];
    const collection = collections.find((c) => c.parent === null && c.picture) ?? collections[0];
    const pages: [string, string | undefined][] = [
      ["Home", "/"],
      ["Collection", product && collection && collectionAddress(collection)],
      ["Product", product && productAddress(product)],
      ["About", about?.address],
      ["Cart", product && "/cart"],
      ["Checkout", product && "/checkout"],
    ];
    return new Map(pages.flatMap(([name, address]) => (address ? [[name, address] as const] : [])));
  }, [products, collections, about]);
}

/** The page at an address of this shop, as it is looked at. */
export function useSeenAt(address: string): Target {
  const {
    draft: { documents },
    goods,
  } = useWorn();
  return useMemo(() => {
    const [path, query] = address.split("?");
    return seenAt(path!, new URLSearchParams(query), documents, goods);
  }, [address, documents, goods]);
}

type PageChoiceProps = {
  label: string;
  pages: SamplePages;
  /** The address that is looked at, which may be another page than any of these. */
  value: string;
  onChange: (address: string) => void;
};

export const PageChoice = ({ label, pages, value, onChange }: PageChoiceProps) => (
  <ToggleButtonGroup
    exclusive
    size="small"
    aria-label={label}
    value={value}
    onChange={(_event, next: string | null) => next && onChange(next)}
    sx={{ flexWrap: "wrap" }}
  >
    {[...pages].map(([name, address]) => (
      <ToggleButton key={name} value={address}>
        {name}
      </ToggleButton>
    ))}
  </ToggleButtonGroup>
);
