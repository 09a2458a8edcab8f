import { useState, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from "react";
import { setProp } from "~/core/commands";
import type { Json, Part } from "~/core/document";
import type { Rect } from "~/core/layout";
import { readAt } from "~/core/operations";
import { nameOf } from "~/kinds";
import { useStudioStore } from "../keeping";
import { followPointer } from "../ui";
import { pathOf } from "../words";
import { partAt } from "./parts";
import { useMeasured } from "./use-measured";

type Spot = { readonly at: string; readonly name: string; readonly box: Rect };
type Point = { readonly x: number; readonly y: number };

/** How far a key moves a point, in percent of its picture. */
const BY_KEY = 1;
const within = (value: number) => Math.round(Math.max(0, Math.min(100, value)) * 10) / 10;

/** Points on the picture of a part, each with the box of the picture. */
function spotsIn(frame: Document, node: Part): readonly Spot[] {
  const scroll = frame.defaultView?.scrollY ?? 0;
  return [...frame.querySelectorAll<HTMLElement>(`[data-node="${node.id}"] [data-spot-at]`)].flatMap((element) => {
    const box = element.parentElement?.getBoundingClientRect();
    if (!box || box.width === 0) return [];
    const name = element.querySelector("summary")?.getAttribute("aria-label") ?? "";
    return [
      {
        at: element.dataset.spotAt!,
        name,
        box: { left: box.left, top: box.top + scroll, width: box.width, height: box.height },
      },
    ];
  });
}

/** Points on a picture that show goods: dragged to what they mean, moved by the arrow keys, opened by a press. */
export function SpotHandles({ frame, node }: { frame: Document; node: Part }) {
  const store = useStudioStore();
  const [held, setHeld] = useState<({ at: string } & Point) | null>(null);
  const spots = useMeasured(frame, () => spotsIn(frame, node)) ?? [];
  const put = (at: string, { x, y }: Point) => {
    const { draft, run } = store.getState();
    const now = readAt(node.props, pathOf(at)) as Readonly<Record<string, Json>>;
    run(setProp(draft, node.id, pathOf(at), { ...now, x: within(x), y: within(y) }, `Point moved in ${nameOf(node)}`));
  };
  return spots.map(({ at, name, box }) => {
    const point = readAt(node.props, pathOf(at)) as unknown as Point | undefined;
    if (!point) return null;
    const { x, y } = held?.at === at ? held : point;
    const begin = (down: ReactPointerEvent) => {
      down.stopPropagation();
      let to: Point = point;
      followPointer(down.nativeEvent, {
        farEnough: 3,
        swallowsClick: true,
        onMove: (dx, dy) => {
          to = { x: within(point.x + (dx / box.width) * 100), y: within(point.y + (dy / box.height) * 100) };
          setHeld({ at, ...to });
        },
        onEnd: (how) => {
          setHeld(null);
          if (how === "dropped") put(at, to);
          const spot = frame.querySelector<HTMLDetailsElement>(`[data-node="${node.id}"] [data-spot-at="${at}"]`);
          if (how === "clicked" && spot) spot.open = !spot.open;
        },
      });
    };
    const onKey = (event: KeyboardEvent) => {
      const by = { ArrowLeft: [-BY_KEY, 0], ArrowRight: [BY_KEY, 0], ArrowUp: [0, -BY_KEY], ArrowDown: [0, BY_KEY] }[
        event.key
      ];
      if (!by || event.altKey || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      event.stopPropagation();
      // Keys are pressed faster than panes are drawn.
      const now = partAt(store.getState().draft, node.id)?.node.props ?? node.props;
      const there = readAt(now, pathOf(at)) as unknown as Point;
      put(at, { x: there.x + by[0]!, y: there.y + by[1]! });
    };
    return (
      <button
        key={at}
        type="button"
        className="zm-focus"
        aria-label={`${name}: ${point.x} % from the left, ${point.y} % from the top. Arrow keys move the point.`}
        title="Drag the point to what it means"
        style={{ left: box.left + (x / 100) * box.width, top: box.top + (y / 100) * box.height }}
        onPointerDown={begin}
        onKeyDown={onKey}
      />
    );
  });
}
