import { Box, Typography } from "@mui/material";
import { useEffect, useMemo, useState } from "react";
import type { Target } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { paneCss, ShopFrame, ShopPage, useDressing, type Sheets } from "../panes";
import { INK } from "../ui";
import { DEVICE_NAME, DEVICE_WIDTH } from "./devices";
import { attachPane } from "./interaction";
import { boxOf, Marks } from "./marks";
import type { ScrollSync } from "./scroll-sync";
import { useSectionDrag } from "./use-drag";

export type PaneProps = {
  device: "phone" | "wide";
  page: string;
  /** Style sheets of the shop, shared by all panes. */
  pageSheets: Sheets;
  scale: number;
  height: number;
  sync: ScrollSync;
  onPicture: (node: string, at: string) => void;
  onFrame: (device: "phone" | "wide", frame: Document | null) => void;
};

/** A live, editable view of a page at the width of one device, standing on its sill. */
export function Pane({ device, page, pageSheets, scale, height, sync, onPicture, onFrame }: PaneProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const { currency, locale } = useStudio((s) => s.shop);
  const editing = useStudio((s) => (s.editing?.pane === device ? s.editing : null));
  const [frame, setFrame] = useState<Document | null>(null);
  const [hovered, setHovered] = useState<string | null>(null);
  const css = useMemo(() => paneCss(scale), [scale]);
  const dressing = useDressing(goods, pictures, currency, locale);
  const target = useMemo<Target>(() => (page === "home" ? { page: "home" } : { page: "text", id: page }), [page]);
  const studio = useMemo(() => ({ editing }), [editing]);

  useEffect(() => {
    onFrame(device, frame);
    if (!frame) return;
    const detach = attachPane(frame, device, store, { onHover: setHovered, onPicture });
    const leave = sync.join(device, frame);
    return () => {
      detach();
      leave();
    };
  }, [device, frame, store, sync, onPicture, onFrame]);

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
    <Box
      component="section"
      aria-label={`${DEVICE_NAME[device]} pane`}
      sx={{ display: "flex", flexDirection: "column", flex: "none" }}
    >
      <Box
        sx={{
          border: `1px solid ${INK.ink}`,
          borderBottom: 0,
          borderRadius: "6px 6px 0 0",
          overflow: "hidden",
          lineHeight: 0,
        }}
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
          {frame ? <Marks frame={frame} device={device} hovered={hovered} dragging={dragging} onGrip={begin} /> : null}
        </ShopFrame>
      </Box>
      <Box
        sx={{
          height: 24,
          px: 1.25,
          display: "flex",
          alignItems: "center",
          justifyContent: "space-between",
          bgcolor: INK.ink,
          color: INK.paper,
          borderRadius: "0 0 6px 6px",
        }}
      >
        <Typography variant="caption" sx={{ fontWeight: 600 }}>
          {DEVICE_NAME[device]}
        </Typography>
        <Typography variant="caption">
          {DEVICE_WIDTH[device]} wide{scale < 0.995 ? `, at ${Math.round(scale * 100)} %` : ""}
        </Typography>
      </Box>
    </Box>
  );
}
