import { useCallback, useEffect, useState } from "react";
import { useOutletContext, useRevalidator } from "react-router";
import type { OrderFilter, OrderRequest } from "~/core/orders";
import { changeOrders } from "~/core/protocol";
import { useStudio, useStudioStore } from "../keeping";

export const useCounts = (): Readonly<Record<OrderFilter, number>> =>
  useOutletContext<Readonly<Record<OrderFilter, number>>>();

/** What happened to an order can't be taken back; where it is looked at, there is nothing to undo. */
export function useNoSteps(): void {
  const setAreaSteps = useStudio((s) => s.setAreaSteps);
  useEffect(() => {
    setAreaSteps({ area: "Orders", undo: null, redo: null, step: () => undefined });
    return () => setAreaSteps(null);
  }, [setAreaSteps]);
}

/** Why a change did not go through: beside its field, or said on its own. Undefined where it did. */
export type Wrong = { readonly field: string; readonly why: string } | undefined;

/** Sends a change of an order and loads what it made of it. */
export function useOrderChange(): {
  readonly send: (change: OrderRequest, good?: string) => Promise<Wrong>;
  readonly isBusy: boolean;
} {
  const client = useStudio((s) => s.client);
  const store = useStudioStore();
  const { revalidate } = useRevalidator();
  const [busy, setBusy] = useState(0);
  const send = useCallback(
    async (change: OrderRequest, good?: string): Promise<Wrong> => {
      setBusy((n) => n + 1);
      try {
        const answer = await client.ask(changeOrders, change);
        if (answer.ok) {
          if (good) store.getState().say(good);
          await revalidate();
          return undefined;
        }
        const [problem] = answer.problems;
        // Others were faster: what it has become is shown, to be decided on anew.
        if (answer.code === "behind") await revalidate();
        return { field: problem?.path ?? "", why: problem?.why ?? answer.why };
      } finally {
        setBusy((n) => n - 1);
      }
    },
    [client, store, revalidate],
  );
  return { send, isBusy: busy > 0 };
}
