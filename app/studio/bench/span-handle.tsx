import { useState, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from "react";
import { PROPERTIES, resolve, type Layer } from "~/core/cascade";
import { setStyle } from "~/core/commands";
import type { Part } from "~/core/document";
import { useStudioStore } from "../keeping";
import { boxOf, useMeasured } from "./use-measured";
import { useHeld } from "./use-held";

/** The shares of a row that a field of a form can have, from the narrowest. */
const SHARES = [
  ["third", 1 / 3],
  ["half", 1 / 2],
  ["rest", 2 / 3],
  ["full", 1],
] as const;

type SpanProps = { frame: Document; node: Part; around: Part; layers: readonly Layer[] };

/** The edge by which something in a row takes more or less of it: dragged from share to share, or moved with the arrow keys. */
export function SpanHandle({ frame, node, around, layers }: SpanProps) {
  const store = useStudioStore();
  const held = useHeld();
  const [words, setWords] = useState("");
  const measured = useMeasured(frame, () => {
    const own = boxOf(frame, node.id);
    const row = frame.querySelector(`[data-slot^="${around.id}:"]`)?.getBoundingClientRect();
    return own && row ? { own, row: row.width } : null;
  });
  // On a phone there is no room beside it.
  if (!measured || measured.row < 500) return null;
  const { own, row } = measured;
  const { choices, label } = PROPERTIES.span!;
  const said = String(resolve(layers, "span", "wide")?.value ?? "full");
  const set = (value: string) =>
    store.getState().run(setStyle(store.getState().draft, [node.id], "all", "span", value, label));
  const nameOf = (value: string) => choices.find((choice) => choice.value === value)?.label ?? "";
  const begin = (down: ReactPointerEvent) =>
    held(
      down,
      (dx) => {
        const share = (own.width + dx) / row;
        const near = SHARES.reduce((best, each) =>
          Math.abs(each[1] - share) < Math.abs(best[1] - share) ? each : best,
        );
        set(near[0]);
        setWords(nameOf(near[0]));
      },
      () => setWords(""),
    );
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!by || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    const at = Math.max(
      0,
      SHARES.findIndex(([value]) => value === (said === "pair" ? "half" : said)),
    );
    set(SHARES[Math.max(0, Math.min(SHARES.length - 1, at + by))]![0]);
  };
  return (
    <>
      <button
        type="button"
        className="zm-widen"
        aria-label={`${label}: ${nameOf(said)}, arrow keys`}
        title="Drag to give it more or less of its row"
        style={{ left: own.left + own.width, top: own.top + own.height / 2 }}
        onKeyDown={onKey}
        onPointerDown={begin}
      />
      {words ? (
        <span className="zm-value" style={{ left: own.left + own.width / 2, top: own.top + own.height }}>
          {words}
        </span>
      ) : null}
    </>
  );
}
