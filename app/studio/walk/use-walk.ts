import { useCallback, useEffect, useRef, useState } from "react";
import { NOT_WALKED, readNews, walkedOn, type Walked, type WalkAsked } from "~/core/walk";
import { useStudio } from "../keeping";

export type Walking = {
  readonly walked: Walked;
  readonly of: WalkAsked["of"] | undefined;
  readonly isUnderWay: boolean;
  /** It was stopped before it was through. */
  readonly isStopped: boolean;
  /** Why it could not begin, or go on. */
  readonly why: string | undefined;
  readonly start: (of: WalkAsked["of"]) => void;
  readonly stop: () => void;
};

/** Sends the automatic shopper through the shop and hears from it as it goes. Leaving the page stops it. */
export function useWalk(): Walking {
  const shop = useStudio((s) => s.shop.id);
  const [walked, setWalked] = useState<Walked>(NOT_WALKED);
  const [of, setOf] = useState<WalkAsked["of"]>();
  const [isUnderWay, setUnderWay] = useState(false);
  const [isStopped, setStopped] = useState(false);
  const [why, setWhy] = useState<string>();
  const running = useRef<AbortController | undefined>(undefined);
  const stop = useCallback(() => running.current?.abort(), []);
  useEffect(() => stop, [stop]);
  const start = useCallback(
    (asked: WalkAsked["of"]) => {
      running.current?.abort();
      const control = new AbortController();
      running.current = control;
      setWalked(NOT_WALKED);
      setOf(asked);
      setWhy(undefined);
      setStopped(false);
      setUnderWay(true);
      const go = async () => {
        const answer = await fetch(`/s/${shop}/walk-through`, {
          method: "POST",
          headers: { "Content-Type": "application/json", Accept: "application/json" },
          body: JSON.stringify({ of: asked }),
          signal: control.signal,
        });
        if (!answer.ok || !answer.body) {
          setWhy(
            answer.status === 409
              ? "The automatic shopper is in your shop already: in another tab, or just leaving. Wait a moment."
              : answer.status === 401
                ? "You are signed out. Sign in again, then start once more."
                : "The walk-through could not begin. Please try again in a moment.",
          );
          return;
        }
        const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
        let rest = "";
        for (;;) {
          const { value, done } = await reader.read();
          if (done) break;
          const lines = (rest + value).split("\n");
          rest = lines.pop() ?? "";
          const news = lines.flatMap((line) => readNews(line) ?? []);
          if (news.length) setWalked((before) => news.reduce(walkedOn, before));
        }
      };
      go()
        .catch(() => {
          if (control.signal.aborted) setStopped(true);
          else setWhy("The connection broke off. What was found so far stands below; start once more.");
        })
        .finally(() => {
          if (running.current === control) setUnderWay(false);
        });
    },
    [shop],
  );
  return { walked, of, isUnderWay, isStopped, why, start, stop };
}
