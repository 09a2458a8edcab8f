import type { KeyboardEvent } from "react";
import type { Device, Part } from "~/core/document";
import { nameOf } from "~/kinds";
import { useStudioStore } from "../keeping";
import { frameAround, nudgePlaced, widenByKey, widenPlaced, type Held } from "./placing";
import { boxOf, useMeasured } from "./use-measured";

type PlacedHandlesProps = {
  frame: Document;
  device: Device;
  scale: number;
  node: Part;
  held: Held | null;
  onHeld: (held: Held | null) => void;
};

/** How far a key moves something, in percent of its frame; with Shift further. */
const BY_KEY = 1;
const FURTHER = 5;

/**
 * The edge by which something that is placed freely is made wider, the grip by which keys move it, and the lines on which it stands while a
 * hand moves it.
 */
export function PlacedHandles({ frame, device, scale, node, held, onHeld }: PlacedHandlesProps) {
  const store = useStudioStore();
  const own = useMeasured(frame, () => boxOf(frame, node.id) ?? null);
  if (!own || !frameAround(store, node.id)) return null;
  const move = (event: KeyboardEvent) => {
    const step = event.shiftKey ? FURTHER : BY_KEY;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    if (!by || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    nudgePlaced(store, frame, node, device, by[0]!, by[1]!);
  };
  const widen = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!by || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    widenByKey(store, frame, node, device, by);
  };
  return (
    <>
      <button
        type="button"
        className="zm-move"
        aria-label={`Move ${nameOf(node)}: arrow keys, further with Shift`}
        title="Drag it anywhere on its poster; arrow keys move it, further with Shift"
        style={{ left: own.left, top: own.top, width: own.width, height: own.height }}
        tabIndex={0}
        onKeyDown={move}
      />
      <button
        type="button"
        className="zm-widen"
        aria-label={`Width of ${nameOf(node)}: arrow keys`}
        title="Drag to make it wider or narrower"
        style={{ left: own.left + own.width, top: own.top + own.height / 2 }}
        onKeyDown={widen}
        onPointerDown={(event) => {
          event.preventDefault();
          event.stopPropagation();
          widenPlaced({ store, frame, device, scale, node, down: event.nativeEvent, onHeld });
        }}
      />
      {held?.id === node.id ? (
        <>
          {held.guides.map((guide, i) => (
            <span
              key={i}
              className={guide.axis === "x" ? "zm-rule" : "zm-rule zm-rule-flat"}
              data-words={guide.words}
              style={
                guide.axis === "x"
                  ? {
                      left: held.frame.left + guide.at,
                      top: held.frame.top + guide.from,
                      height: guide.to - guide.from,
                    }
                  : { top: held.frame.top + guide.at, left: held.frame.left + guide.from, width: guide.to - guide.from }
              }
            />
          ))}
          <span className="zm-value" style={{ left: own.left + own.width / 2, top: own.top + own.height }}>
            {held.words}
          </span>
        </>
      ) : null}
    </>
  );
}
