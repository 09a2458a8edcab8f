import { Box } from "@mui/material";
import { useEffect, useMemo, useRef, useState } from "react";
import type { Part } from "~/core/document";
import { useStudio, useStudioStore, wornDraft } from "../keeping";
import {
  BARE_CSS,
  ghostCss,
  reachedCss,
  DEVICE_NAME,
  DEVICE_WIDTH,
  paneCss,
  PaneShell,
  ShopFrame,
  ShopPage,
  useDressing,
  useAsked,
  useTarget,
  type Sheets,
} from "../panes";
import type { PaneDevice } from "./frames";
import type { PaneFit } from "./devices";
import { DeviceChoice, SizeChoice } from "./pane-choices";
import { useCarry, useCarrying } from "./carry";
import { attachPane } from "./interaction";
import { Marks } from "./marks";
import { boxOf } from "./use-measured";
import { partAt } from "./parts";
import { dragPlaced, frameAround, type Held } from "./placing";
import { RichEditor } from "../words";
import type { ScrollSync } from "./scroll-sync";
import { useSectionDrag } from "./use-drag";

export type PaneProps = {
  pane: PaneDevice;
  page: string;
  /** Style sheets of the shop, shared by all panes. */
  pageSheets: Sheets;
  fit: PaneFit;
  height: number;
  sync: ScrollSync;
  onPicture: (node: string, at: string) => void;
  onFrame: (pane: PaneDevice, frame: Document | null) => void;
};

/** A live, editable view of a page at the width of one device, standing on its sill. */
export function Pane({ pane, page, pageSheets, fit, height, sync, onPicture, onFrame }: PaneProps) {
  const { scale, room } = fit;
  const device = useStudio((s) => s.panes[pane].device);
  const store = useStudioStore();
  const draft = useStudio(wornDraft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const shop = useStudio((s) => s.shop);
  const editing = useStudio((s) => (s.editing?.pane === pane ? s.editing : null));
  const carry = useCarry();
  const [frame, setFrame] = useState<Document | null>(null);
  const [hovered, setHovered] = useState<string | null>(null);
  const bare = useStudio((s) => s.bare);
  const pointed = useStudio((s) => s.ownCss.pointed);
  const near = useStudio((s) => (s.selected ? (partAt(s.draft, s.selected)?.path[0]?.id ?? null) : null));
  const isCarrying = useCarrying((c) => c !== null);
  const css = useMemo(
    () => (bare ? BARE_CSS : paneCss(scale) + ghostCss(near, isCarrying) + reachedCss(pointed)),
    [scale, bare, near, isCarrying, pointed],
  );
  const dressing = useDressing(goods, pictures, shop);
  const target = useTarget(page);
  const asked = useAsked(target);
  const studio = useMemo(() => ({ editing, RichEditor }), [editing]);

  const [held, setHeld] = useState<Held | null>(null);
  const onPlace = (node: Part, down: PointerEvent) => {
    if (frame) dragPlaced({ store, frame, device, scale, node, down, onHeld: setHeld });
  };
  const place = useRef(onPlace);
  useEffect(() => {
    place.current = onPlace;
  });

  useEffect(() => {
    onFrame(pane, frame);
    if (!frame) return;
    const onGrab = (id: string, event: PointerEvent) => {
      const part = partAt(store.getState().draft, id);
      if (!part || part.level === "section") return;
      if (frameAround(store, id)) place.current(part.node, event);
      else carry.begin({ id, node: part.node }, event);
    };
    const detach = attachPane(frame, pane, store, { onHover: setHovered, onPicture, onGrab });
    const leave = sync.join(pane, frame);
    return () => {
      detach();
      leave();
    };
  }, [pane, frame, store, sync, carry, onPicture, onFrame]);

  const { dragging, begin } = useSectionDrag(page, {
    extents: (ids) =>
      ids.map((id) => {
        const box = frame ? boxOf(frame, id) : undefined;
        return { start: box?.top ?? 0, end: box ? box.top + box.height : 0 };
      }),
    position: (event) => event.clientY + (frame?.defaultView?.scrollY ?? 0),
    scroller: () => ({
      at: (event) => event.clientY,
      size: frame?.defaultView?.innerHeight ?? 0,
      by: (px) => frame?.defaultView?.scrollBy(0, px),
    }),
  });

  return (
    <PaneShell
      label={`${DEVICE_NAME[device]} pane`}
      sill={
        <>
          <DeviceChoice pane={pane} />
          <SizeChoice pane={pane} scale={scale} />
        </>
      }
    >
      <Box sx={{ width: Math.round(room), overflowX: room < DEVICE_WIDTH[device] * scale - 1 ? "auto" : "hidden" }}>
        <ShopFrame
          title={`${DEVICE_NAME[device]} view of the page`}
          width={DEVICE_WIDTH[device]}
          scale={scale}
          height={height}
          sheets={pageSheets}
          extra={css}
          onDocument={setFrame}
        >
          <ShopPage draft={draft} target={target} dressing={dressing} studio={studio} />
          {frame && !bare ? (
            <Marks
              frame={frame}
              pane={pane}
              device={device}
              asked={asked}
              hovered={hovered}
              dragging={dragging}
              onGrip={begin}
              scale={scale}
              held={held}
              onPlace={onPlace}
              onHeld={setHeld}
            />
          ) : null}
        </ShopFrame>
      </Box>
    </PaneShell>
  );
}
