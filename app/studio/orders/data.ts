import { useCallback, useEffect, useState } from "react";
import { useOutletContext, useRevalidator, useSearchParams } from "react-router";
import type { OrderFilter, OrderRequest } from "~/core/orders";
import { changeOrders, type Endpoint } from "~/core/protocol";
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

/** Sends changes of one sort, and loads what they made of what is looked at. `value`: what was answered, where it went through. */
export function useChange<Asked, Answered>(
  question: Endpoint<Asked, Answered>,
): {
  readonly send: (change: Asked, good?: string) => Promise<{ readonly wrong?: Wrong; readonly value?: Answered }>;
  readonly isBusy: boolean;
} {
  const client = useStudio((s) => s.client);
  const store = useStudioStore();
  const { revalidate } = useRevalidator();
  const [busy, setBusy] = useState(0);
  const send = useCallback(
    async (change: Asked, good?: string) => {
      setBusy((n) => n + 1);
      try {
        const answer = await client.ask(question, change);
        if (answer.ok) {
          if (good) store.getState().say(good);
          await revalidate();
          return { value: answer.value };
        }
        const [problem] = answer.problems;
        // Others were faster: what it has become is shown, to be decided on anew.
        if (answer.code === "behind") await revalidate();
        return { wrong: { field: problem?.path ?? "", why: problem?.why ?? answer.why } };
      } finally {
        setBusy((n) => n - 1);
      }
    },
    [client, store, revalidate, question],
  );
  return { send, isBusy: busy > 0 };
}

/** Sends a change of an order; gives why it did not go through. */
export function useOrderChange(): {
  readonly send: (change: OrderRequest, good?: string) => Promise<Wrong>;
  readonly isBusy: boolean;
} {
  const { send, isBusy } = useChange(changeOrders);
  return { send: useCallback(async (change, good) => (await send(change, good)).wrong, [send]), isBusy };
}

/**
 * A long list that is found in and turned over by its address. What stands there is left out where it is usual: no words, the first page,
 * and whatever of `asked` is `usual`. What is typed is waited for a moment.
 */
export function usePages<Asked extends { readonly find: string; readonly page: number }>(
  asked: Asked,
  usual: Partial<Asked> = {},
): {
  readonly find: string;
  readonly setFind: (words: string) => void;
  readonly go: (next: Partial<Asked>) => void;
} {
  const [, setSearch] = useSearchParams();
  const [find, setFind] = useState(asked.find);
  const go = (next: Partial<Asked>) => {
    const plain = new Map<string, unknown>(Object.entries({ find: "", page: 1, ...usual }));
    const said = Object.entries({ ...asked, page: 1, ...next }).filter(([key, value]) => value !== plain.get(key));
    setSearch(Object.fromEntries(said.map(([key, value]) => [key, String(value)])), { replace: true });
  };
  useEffect(() => {
    if (find.trim() === asked.find) return;
    const timer = setTimeout(() => go({ find: find.trim() } as Partial<Asked>), 250);
    return () => clearTimeout(timer);
  });
  return { find, setFind, go };
}
