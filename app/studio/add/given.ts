import { useMemo, useSyncExternalStore } from "react";
import type { Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { TRADES, type Given } from "~/kinds/designs";
import { useStudio } from "../keeping";
import { useScenes } from "../pictures";

const KEY = "zest-trade";
const listeners = new Set<() => void>();
let chosen: string | undefined;

function kept(): string {
  try {
    chosen ??= localStorage.getItem(KEY) ?? TRADES[0].id;
  } catch {
    chosen ??= TRADES[0].id;
  }
  return chosen;
}

const listen = (told: () => void) => {
  listeners.add(told);
  return () => listeners.delete(told);
};

function choose(trade: string): void {
  chosen = trade;
  try {
    localStorage.setItem(KEY, trade);
  } catch {
    // Then it is asked again the next time.
  }
  for (const told of listeners) told();
}

/** What is sold, as it was last said in this browser, and the way to say it: designs are offered and worded by it. */
export function useTrade(): readonly [string, (trade: string) => void] {
  const trade = useSyncExternalStore(listen, kept, () => TRADES[0].id);
  return [trade, choose];
}

/** What designs are made with, from these goods and pictures. */
export function givenFrom(shop: string, trade: string, goods: Goods, scenes: readonly Picture[]): Given {
  const wide = scenes.filter((p) => !p.vector && p.width >= 800 && p.width > p.height);
  const usable = wide.length ? wide : scenes.filter((p) => !p.vector);
  const shown = goods.products.filter((p) => p.pictures.length);
  const things = shown.length ? shown : goods.products;
  return {
    shop,
    trade: TRADES.find((t) => t.id === trade) ?? TRADES[0],
    picture: (n) => usable[n % Math.max(1, usable.length)]?.id ?? null,
    product: (n) => things[n % Math.max(1, things.length)]?.id ?? null,
    collections: goods.collections.map((c) => c.id),
  };
}

/** The same from the shop at hand. */
export function useGiven(trade: string): Given {
  const shop = useStudio((s) => s.draft.look.identity.name);
  const goods = useStudio((s) => s.goods);
  const scenes = useScenes();
  return useMemo(() => givenFrom(shop, trade, goods, scenes), [shop, goods, scenes, trade]);
}
