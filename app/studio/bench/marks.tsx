import { entryOf, type Device, type Part } from "~/core/document";
import { useEffect, useLayoutEffect, useState, type PointerEvent as ReactPointerEvent } from "react";
import { createPortal } from "react-dom";
import { resolve } from "~/core/cascade";
import type { Rect } from "~/core/layout";
import type { Asked } from "~/core/conditions";
import { hasStyle, hasTrait, kindOf } from "~/kinds";
import { nodeLayers } from "~/render";
import { themeById } from "~/themes";
import { useStudio } from "../keeping";
import { sharedDocument, whereWords } from "../shared";
import type { PaneDevice } from "./frames";
import { useCarry, useCarrying } from "./carry";
import { CheckMarks } from "./check-marks";
import { FocusHandles } from "./focus-handles";
import { PlacedHandles } from "./placed-handles";
import type { Held } from "./placing";
import { ColumnLines, SpaceHandles } from "./handles";
import { nameOfPart, partAt, unseenWords, type PartAt } from "./parts";
import type { Dragging } from "./use-drag";
import { SpanHandle } from "./span-handle";
import { SpotHandles } from "./spot-handles";
import { boxOf, useMeasured } from "./use-measured";

type MarksProps = {
  frame: Document;
  pane: PaneDevice;
  device: Device;
  /** Where, when and as whom the pane is looked at. */
  asked: Asked;
  hovered: string | null;
  dragging: Dragging | null;
  onGrip: (id: string, event: PointerEvent) => void;
  /** How much the pane is shrunk. */
  scale: number;
  /** What is seen while something that is placed freely is held. */
  held: Held | null;
  onPlace: (node: Part, event: PointerEvent) => void;
  onHeld: (held: Held | null) => void;
};

const Dots = () => (
  <svg viewBox="0 0 12 12" fill="currentColor" aria-hidden="true">
    {[2, 6, 10].flatMap((y) => [3.5, 8.5].map((x) => <circle key={`${x} ${y}`} cx={x} cy={y} r="1.2" />))}
  </svg>
);

/** Whether a part ends below what its pane shows, so that its tag would lie on its own words. */
function useReachesBelow(frame: Document, bottom: number): boolean {
  const [reaches, setReaches] = useState(false);
  useEffect(() => {
    const view = frame.defaultView;
    if (!view) return;
    const look = () => setReaches(bottom > view.scrollY + view.innerHeight);
    look();
    frame.addEventListener("scroll", look, { passive: true });
    view.addEventListener("resize", look);
    return () => {
      frame.removeEventListener("scroll", look);
      view.removeEventListener("resize", look);
    };
  }, [frame, bottom]);
  return reaches;
}

type FrameProps = {
  frame: Document;
  part: PartAt;
  box: Rect;
  hidden: readonly string[];
  /** Where else it stands, of a shared section; undefined for what is on this page alone. */
  shared: string | undefined;
  /** Where, when and as whom the pane is looked at. */
  asked: Asked;
  onGrip: (e: PointerEvent) => void;
};

function SelectionFrame({ frame, part, box, hidden, shared, asked, onGrip }: FrameProps) {
  const name = nameOfPart(part);
  const unseen = unseenWords(part.node, asked);
  const isStuck = useReachesBelow(frame, box.top + box.height);
  return (
    <div
      className={part.level === "section" ? "zm-frame" : "zm-frame zm-small"}
      style={{ ...box, height: `calc(${box.height}px + 26px*var(--k))` }}
      data-selected={part.node.id}
    >
      <div className={shared === undefined ? "zm-edge" : "zm-edge is-shared"}>
        <i />
        <i />
        <i />
        <i />
      </div>
      <div className={isStuck ? "zm-tab is-stuck" : "zm-tab"}>
        <button
          className="zm-grip"
          type="button"
          tabIndex={-1}
          aria-label={`Drag ${name}`}
          onPointerDown={(e: ReactPointerEvent) => onGrip(e.nativeEvent)}
        >
          <Dots />
        </button>
        <b>{name}</b>
        {shared === undefined ? null : <em>{shared}</em>}
        {unseen === undefined ? null : <em>{unseen}</em>}
        {hidden.length ? <em>not on {hidden.join(", ")}</em> : null}
      </div>
    </div>
  );
}

/** Whether space around or in a part can be set at all. */
const hasSpace = (node: Part): boolean => {
  const definition = kindOf(node)?.definition;
  return definition !== undefined && (hasStyle(definition, node, "spaceTop") || hasStyle(definition, node, "above"));
};

/** Selection, hover, handles and drop place, drawn over the pane's page and outside of its layout. */
export function Marks({
  frame,
  pane,
  device,
  asked,
  scale,
  hovered,
  dragging,
  held,
  onGrip,
  onPlace,
  onHeld,
}: MarksProps) {
  const selected = useStudio((s) => s.selected);
  const also = useStudio((s) => s.also);
  const editing = useStudio((s) => s.editing);
  const audience = useStudio((s) => s.audience);
  const draft = useStudio((s) => s.draft);
  const carry = useCarry();
  const isCarrying = useCarrying((c) => c !== null);
  const drop = useCarrying((c) => (c?.pane === pane ? c : null));
  const [layer] = useState(() => {
    const element = frame.createElement("div");
    element.id = "zest-marks";
    return element;
  });
  useLayoutEffect(() => {
    frame.body.append(layer);
    return () => layer.remove();
  }, [frame, layer]);

  const part = selected ? partAt(draft, selected) : undefined;
  const around = part?.level === "widget" ? part.path.at(-2) : undefined;
  const isHovering = hovered !== null && hovered !== selected && !dragging && !isCarrying;
  const boxes = useMeasured(frame, () => ({
    part: part && boxOf(frame, part.node.id),
    around: around && boxOf(frame, around.id),
    hovered: isHovering ? boxOf(frame, hovered) : undefined,
    also: also.map((id) => boxOf(frame, id)),
  }));
  const box = part && boxes?.part;
  const layers = part ? nodeLayers(part.node, themeById(draft.look.theme), draft.look) : [];
  const hiddenElsewhere = (["phone", "tablet", "wide"] as const).filter(
    (d) => d !== device && resolve(layers, "hidden", d)?.value === true,
  );
  const section = part?.path[0];
  const isPlaced = around !== undefined && hasTrait(around, "places");
  const sharedBy = part && sharedDocument(entryOf(draft.documents, part.document));
  const shared = sharedBy && whereWords(draft.documents, sharedBy.id);
  // On something small, handles would hide it.
  const isRoomy = box !== undefined && box.height > 44 && box.width > 120;
  const isAlone = also.length === 0 && !editing && !isCarrying && !dragging;
  const grip = (down: PointerEvent) => {
    if (!part) return;
    if (part.level === "section") onGrip(part.node.id, down);
    else if (isPlaced) onPlace(part.node, down);
    else carry.begin({ id: part.node.id, node: part.node }, down);
  };
  return createPortal(
    <>
      {isHovering && boxes?.hovered ? <div className="zm-hover" style={boxes.hovered} /> : null}
      {also.map((id, i) => {
        const other = boxes?.also[i];
        return other ? <div key={id} className="zm-also" style={other} data-selected={id} /> : null;
      })}
      {part && box ? (
        <>
          {/* A thin line around what a widget stands in, so that its neighbours are seen as such. */}
          {around && boxes?.around ? <div className="zm-parent" style={boxes.around} /> : null}
          <SelectionFrame
            frame={frame}
            part={part}
            box={box}
            hidden={hiddenElsewhere}
            shared={shared}
            asked={asked}
            onGrip={grip}
          />
        </>
      ) : null}
      {isAlone && section?.slots.columns ? <ColumnLines frame={frame} section={section} audience={audience} /> : null}
      {isAlone && part && box && isRoomy && !isPlaced && part.level !== "item" && hasSpace(part.node) ? (
        <SpaceHandles
          frame={frame}
          node={part.node}
          level={part.level}
          layers={layers}
          audience={audience}
          device={device}
        />
      ) : null}
      {isAlone && part ? <FocusHandles frame={frame} node={part.node} device={device} /> : null}
      {isAlone && part && around && part.level === "widget" && kindOf(part.node)?.definition.styles.includes("span") ? (
        <SpanHandle frame={frame} node={part.node} around={around} layers={layers} />
      ) : null}
      {isAlone && part ? <SpotHandles frame={frame} node={part.node} /> : null}
      {isAlone && part && isPlaced ? (
        <PlacedHandles frame={frame} device={device} scale={scale} node={part.node} held={held} onHeld={onHeld} />
      ) : null}
      <CheckMarks pane={pane} />
      {dragging ? (
        <div className="zm-sill" style={{ top: dragging.sill }}>
          <span>{dragging.words}</span>
        </div>
      ) : null}
      {drop?.place ? (
        <div className="zm-drop" style={drop.place.line} data-words={drop.words}>
          <span>{drop.words}</span>
        </div>
      ) : null}
    </>,
    layer,
  );
}
