import { useDeferredValue, useMemo } from "react";
import { clockWords, outlook, reachOf, rulesIn, type Condition } from "~/core/conditions";
import { goodsOn } from "~/core/goods";
import { pagesOf } from "~/render";
import { clockNow, useStudio, useStudioStore } from "../keeping";

/** Where something shows, in words, or why it never can. */
export type ReachSaid = { readonly words?: string; readonly problem?: string };

const pagesWords = (count: number, all: number): string =>
  count === all ? (all === 1 ? "the page" : `all ${all} pages`) : `${count} of ${all} pages`;

/**
 * Where conditions hold: on how many of the pages on which their part stands, now and from when they next do, or that they never can. Nothing is worked out
 * where only time is asked about.
 */
export function useReach(conditions: readonly Condition[], document: string | undefined): ReachSaid {
  const store = useStudioStore();
  const goods = useStudio((s) => s.goods);
  const clock = useStudio(clockNow);
  const timeZone = useStudio((s) => s.shop.timeZone);
  // Of the documents, it counts only which there are.
  const ids = useStudio((s) => Object.keys(s.draft.documents).join(" "));
  const asked = useDeferredValue(conditions);
  return useMemo(() => {
    const rules = rulesIn(asked).filter(({ when }) => when !== "dates" && when !== "times");
    if (document === undefined || rules.length === 0) return {};
    const pages = pagesOf(store.getState().draft.documents, goods, document);
    const { shows, until } = outlook(asked, clock);
    // What is over is said to be over.
    if (!shows && until === undefined) return {};
    // What does not show yet is counted as it will be then.
    const from = shows || until === undefined ? undefined : until;
    const then = from?.slice(0, 10);
    const { pages: reached, can } =
      from === undefined || then === undefined
        ? reachOf(asked, pages, clock, { day: clock.slice(0, 10), timeZone }, goods)
        : reachOf(asked, pages, from, { day: then, timeZone }, goodsOn(goods, { day: then, timeZone }));
    if (reached === 0 && rules.some(({ when }) => when === "pages" || when === "goods"))
      return {
        problem:
          pages.length === 1
            ? "It can’t show on the page on which it stands."
            : "It can show on none of the pages on which it stands.",
      };
    if (!can) return { problem: "Nobody can ever see it: what is asked contradicts itself." };
    if (pages.length < 2) return {};
    const where = pagesWords(reached, pages.length);
    return { words: from === undefined ? `Now on ${where}.` : `From ${clockWords(from)} on, it is on ${where}.` };
    // `ids` says when the documents matter here.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [asked, document, ids, goods, clock, timeZone, store]);
}
