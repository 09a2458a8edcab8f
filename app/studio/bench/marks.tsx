import { useEffect, useLayoutEffect, useState, type PointerEvent as ReactPointerEvent } from "react";
import { createPortal } from "react-dom";
import { resolve } from "~/core/cascade";
import { locate } from "~/core/commands";
import { nameOf } from "~/kinds";
import { sectionLayers } from "~/render";
import { themeById } from "~/themes";
import { useStudio } from "../keeping";
import type { Dragging } from "./use-drag";

type Box = { readonly left: number; readonly top: number; readonly width: number; readonly height: number };

/** Where a section stands in a pane's page; undefined where it is not drawn there. */
export function boxOf(frame: Document, node: string): Box | undefined {
  const element = frame.querySelector<HTMLElement>(`[data-node="${node}"]`);
  if (!element || element.getClientRects().length === 0) return undefined;
  const { left, top, width, height } = element.getBoundingClientRect();
  return { left, top: top + (frame.defaultView?.scrollY ?? 0), width, height };
}

/** Counts up whenever something in the pane may have moved. */
function useLayoutCount(frame: Document): number {
  const [count, setCount] = useState(0);
  const draft = useStudio((s) => s.draft);
  useLayoutEffect(() => setCount((n) => n + 1), [draft]);
  useEffect(() => {
    const window = frame.defaultView as (Window & typeof globalThis) | null;
    if (!window) return;
    const observer = new window.ResizeObserver(() => setCount((n) => n + 1));
    observer.observe(frame.body);
    return () => observer.disconnect();
  }, [frame]);
  return count;
}

type MarksProps = {
  frame: Document;
  device: "phone" | "wide";
  hovered: string | null;
  dragging: Dragging | null;
  onGrip: (id: string, event: PointerEvent) => void;
};

/** Selection, hover and drop place, drawn over the pane's page and outside of its layout. */
export function Marks({ frame, device, hovered, dragging, onGrip }: MarksProps) {
  useLayoutCount(frame);
  const selected = useStudio((s) => s.selected);
  const draft = useStudio((s) => s.draft);
  const node = selected ? locate(draft, selected)?.node : undefined;
  const [layer] = useState(() => {
    const element = frame.createElement("div");
    element.id = "zest-marks";
    return element;
  });
  useLayoutEffect(() => {
    frame.body.append(layer);
    return () => layer.remove();
  }, [frame, layer]);

  const box = node && boxOf(frame, node.id);
  const hoverBox = hovered && hovered !== selected && !dragging ? boxOf(frame, hovered) : undefined;
  const layers = node ? sectionLayers(node, themeById(draft.look.theme), draft.look) : [];
  const hiddenElsewhere = (["phone", "tablet", "wide"] as const).filter(
    (d) => d !== device && resolve(layers, "hidden", d)?.value === true,
  );
  return createPortal(
    <>
      {hoverBox ? <div className="zm-hover" style={hoverBox} /> : null}
      {node && box ? (
        <div
          className="zm-frame"
          style={{ ...box, height: `calc(${box.height}px + 26px*var(--k))` }}
          data-selected={node.id}
        >
          <div className="zm-edge">
            <i />
            <i />
            <i />
            <i />
          </div>
          <div className="zm-tab">
            <button
              className="zm-grip"
              type="button"
              tabIndex={-1}
              aria-label={`Drag ${nameOf(node)}`}
              onPointerDown={(e: ReactPointerEvent) => onGrip(node.id, e.nativeEvent)}
            >
              <svg viewBox="0 0 12 12" fill="currentColor" aria-hidden="true">
                <circle cx="3.500" cy="2" r="1.200" />
                <circle cx="8.500" cy="2" r="1.200" />
                <circle cx="3.500" cy="6" r="1.200" />
                <circle cx="8.500" cy="6" r="1.200" />
                <circle cx="3.500" cy="10" r="1.200" />
                <circle cx="8.500" cy="10" r="1.200" />
              </svg>
            </button>
            <b>{nameOf(node)}</b>
            {node.shown ? null : <em>not shown yet</em>}
            {hiddenElsewhere.length ? <em>not on {hiddenElsewhere.join(", ")}</em> : null}
          </div>
        </div>
      ) : null}
      {dragging ? (
        <div className="zm-sill" style={{ top: dragging.sill }}>
          <span>{dragging.words}</span>
        </div>
      ) : null}
    </>,
    layer,
  );
}
