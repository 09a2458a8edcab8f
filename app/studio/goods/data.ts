import { useCallback, useState } from "react";
import { useOutletContext, useRevalidator } from "react-router";
import type { GoodsSettings, Review, StoredCollection, StoredProduct } from "~/core/goods";
import { useStudio, useStudioStore } from "../keeping";

/** Everything of the Goods area, as the server has it. */
export type GoodsData = {
  readonly products: readonly StoredProduct[];
  readonly collections: readonly StoredCollection[];
  readonly steps: { readonly undo: string | null; readonly redo: string | null };
  readonly reviews: readonly Review[];
  readonly settings: GoodsSettings;
  /** How many wait to be told of each product. */
  readonly waiting: Readonly<Record<string, number>>;
};

export const useGoods = (): GoodsData => useOutletContext<GoodsData>();

export type Problem = { readonly path: string; readonly why: string };
export type Answer = {
  readonly ok: boolean;
  readonly problems?: readonly Problem[];
  readonly code?: string;
  readonly id?: string;
  readonly label?: string | null;
  readonly count?: number;
  readonly product?: StoredProduct;
};

const UNREACHED: Answer = {
  ok: false,
  problems: [{ path: "", why: "That did not reach the server. What you wrote is still here; try again in a moment." }],
};

/** Sends a change of goods, and loads what it made of them. */
export function useChange(): { readonly send: (change: object) => Promise<Answer>; readonly isBusy: boolean } {
  const shop = useStudio((s) => s.shop.id);
  const { revalidate } = useRevalidator();
  const [busy, setBusy] = useState(0);
  const send = useCallback(
    async (change: object): Promise<Answer> => {
      setBusy((n) => n + 1);
      try {
        const answer = await fetch(`/s/${shop}/goods/change`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify(change),
        });
        if (answer.status === 401)
          return {
            ok: false,
            problems: [{ path: "", why: "You are signed out. Sign in in another tab, and try again here." }],
          };
        const said = (await answer.json()) as Answer;
        if (said.ok) await revalidate();
        return said;
      } catch {
        return UNREACHED;
      } finally {
        setBusy((n) => n - 1);
      }
    },
    [shop, revalidate],
  );
  return { send, isBusy: busy > 0 };
}

/** Says what went wrong with a change, where it has no place of its own. */
export function useSay(): (answer: Answer, good?: string) => boolean {
  const store = useStudioStore();
  return useCallback(
    (answer, good) => {
      if (answer.ok) {
        if (good) store.getState().say(good);
      } else store.getState().say(answer.problems?.[0]?.why ?? "That could not be done.", "problem");
      return answer.ok;
    },
    [store],
  );
}
