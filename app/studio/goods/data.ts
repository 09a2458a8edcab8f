import { useCallback, useState } from "react";
import { useOutletContext } from "react-router";
import type { GoodsRequest, GoodsSettings, Review, StoredCollection, StoredProduct } from "~/core/goods";
import { changeGoods } from "~/core/protocol";
import type { Reply } from "../client";
import { useStudio, useStudioStore, useReload } from "../keeping";

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

export type { Problem } from "~/core/protocol";
export type GoodsReply = Reply<{
  readonly id?: string | undefined;
  readonly count?: number | undefined;
  readonly label?: string | null | undefined;
  readonly product?: StoredProduct | undefined;
}>;

/** Sends a change of goods, and loads what it made of them. */
export function useChange(): {
  readonly send: (change: GoodsRequest) => Promise<GoodsReply>;
  readonly isBusy: boolean;
} {
  const client = useStudio((s) => s.client);
  const reload = useReload();
  const [busy, setBusy] = useState(0);
  const send = useCallback(
    async (change: GoodsRequest): Promise<GoodsReply> => {
      setBusy((n) => n + 1);
      try {
        const answer = await client.ask(changeGoods, change);
        if (answer.ok) await reload();
        return answer;
      } finally {
        setBusy((n) => n - 1);
      }
    },
    [client, reload],
  );
  return { send, isBusy: busy > 0 };
}

/** Says what went wrong with a change, where it has no place of its own. */
export function useSay(): (answer: GoodsReply, good?: string) => boolean {
  const store = useStudioStore();
  return useCallback(
    (answer, good) => {
      if (answer.ok) {
        if (good) store.getState().say(good);
      } else store.getState().say(answer.problems[0]?.why ?? answer.why, "problem");
      return answer.ok;
    },
    [store],
  );
}
