import { useEffect, useMemo, useState } from "react";
import { useStudio, useStudioStore } from "../keeping";
import {
  BARE_CSS,
  DEVICE_NAME,
  DEVICE_WIDTH,
  paneCss,
  PaneShell,
  ShopFrame,
  SillName,
  SillScale,
  ShopPage,
  useDressing,
  useTarget,
  type Sheets,
} from "../panes";
import type { PaneDevice } from "./frames";
import { useCarry } from "./carry";
import { attachPane } from "./interaction";
import { Marks } from "./marks";
import { boxOf } from "./use-measured";
import { partAt } from "./parts";
import { RichEditor } from "../words";
import type { ScrollSync } from "./scroll-sync";
import { useSectionDrag } from "./use-drag";

export type PaneProps = {
  device: PaneDevice;
  page: string;
  /** Style sheets of the shop, shared by all panes. */
  pageSheets: Sheets;
  scale: number;
  height: number;
  sync: ScrollSync;
  onPicture: (node: string, at: string) => void;
  onFrame: (device: PaneDevice, frame: Document | null) => void;
};

/** A live, editable view of a page at the width of one device, standing on its sill. */
export function Pane({ device, page, pageSheets, scale, height, sync, onPicture, onFrame }: PaneProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const { currency, locale } = useStudio((s) => s.shop);
  const editing = useStudio((s) => (s.editing?.pane === device ? s.editing : null));
  const carry = useCarry();
  const [frame, setFrame] = useState<Document | null>(null);
  const [hovered, setHovered] = useState<string | null>(null);
  const bare = useStudio((s) => s.bare);
  const css = useMemo(() => (bare ? BARE_CSS : paneCss(scale)), [scale, bare]);
  const dressing = useDressing(goods, pictures, currency, locale);
  const target = useTarget(page);
  const studio = useMemo(() => ({ editing, RichEditor }), [editing]);

  useEffect(() => {
    onFrame(device, frame);
    if (!frame) return;
    const onGrab = (id: string, event: PointerEvent) => {
      const part = partAt(store.getState().draft, id);
      if (part && part.level !== "section") carry.begin({ id, node: part.node }, event);
    };
    const detach = attachPane(frame, device, store, { onHover: setHovered, onPicture, onGrab });
    const leave = sync.join(device, frame);
    return () => {
      detach();
      leave();
    };
  }, [device, frame, store, sync, carry, onPicture, onFrame]);

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
          <SillName>{DEVICE_NAME[device]}</SillName>
          <SillScale width={DEVICE_WIDTH[device]} scale={scale} />
        </>
      }
    >
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
          <Marks frame={frame} device={device} hovered={hovered} dragging={dragging} onGrip={begin} />
        ) : null}
      </ShopFrame>
    </PaneShell>
  );
}
