import { Box, Skeleton } from "@mui/material";
import { useCallback, useEffect, useRef, useState, type ReactNode } from "react";
import { createPortal } from "react-dom";
import { useKeyFrame } from "../ui";

/** CSS of a frame in parts; a part whose text is the same is not touched when another one changes. */
export type Sheets = ReadonlyMap<string, string>;

const MARK = "data-zest-frame";
const BLANK = `<!doctype html><html lang="en" ${MARK}><head><meta charset="utf-8"></head><body></body></html>`;

/** Keeps a document's adopted style sheets equal to `sheets`, replacing only those whose text changed. */
function useSheets(frame: Document | null, sheets: Sheets): void {
  const kept = useRef(new Map<string, { css: string; sheet: CSSStyleSheet }>());
  const of = useRef<Document | null>(null);
  useEffect(() => {
    const window = frame?.defaultView;
    if (!frame || !window) return;
    if (of.current !== frame) kept.current.clear();
    of.current = frame;
    const next = new Map<string, { css: string; sheet: CSSStyleSheet }>();
    for (const [key, css] of sheets) {
      const known = kept.current.get(key);
      const sheet = known?.sheet ?? new (window as Window & typeof globalThis).CSSStyleSheet();
      if (known?.css !== css) sheet.replaceSync(css);
      next.set(key, { css, sheet });
    }
    const order = [...next.values()].map((entry) => entry.sheet);
    const now = frame.adoptedStyleSheets;
    if (order.length !== now.length || order.some((sheet, i) => sheet !== now[i])) frame.adoptedStyleSheets = order;
    kept.current = next;
  }, [frame, sheets]);
}

type ShopFrameProps = {
  title: string;
  /** Width of the device in CSS px, and how much it is shrunk to fit. */
  width: number;
  scale: number;
  /** Height on the studio's screen in px. */
  height: number;
  sheets: Sheets;
  children: ReactNode;
  /** Called with the frame's document once it is there, and with null when it goes. */
  onDocument?: (frame: Document | null) => void;
  /** Only to be looked at: no focus, no clicks. */
  inert?: boolean;
};

/** The shop's own views in a document of their own, at the width of a device, live. */
export function ShopFrame({
  title,
  width,
  scale,
  height,
  sheets,
  children,
  onDocument,
  inert = false,
}: ShopFrameProps) {
  const [frame, setFrame] = useState<Document | null>(null);
  useSheets(frame, sheets);
  useKeyFrame(inert ? null : frame);
  const element = useRef<HTMLIFrameElement>(null);
  const ready = useCallback(() => {
    const inner = element.current?.contentDocument;
    if (inner?.readyState === "complete" && inner.documentElement.hasAttribute(MARK)) setFrame(inner);
  }, []);
  // The frame may have loaded before this script was there to hear of it.
  useEffect(ready, [ready]);
  useEffect(() => {
    onDocument?.(frame);
    return () => onDocument?.(null);
  }, [frame, onDocument]);
  return (
    <Box sx={{ position: "relative", overflow: "hidden", width: Math.round(width * scale), height, bgcolor: "#fff" }}>
      {frame ? null : (
        <Skeleton variant="rectangular" animation={false} sx={{ position: "absolute", inset: 0, height: "100%" }} />
      )}
      <iframe
        ref={element}
        title={title}
        srcDoc={BLANK}
        onLoad={ready}
        tabIndex={inert ? -1 : undefined}
        aria-hidden={inert || undefined}
        style={{
          border: 0,
          width,
          height: height / scale,
          transform: `scale(${scale})`,
          transformOrigin: "0 0",
          pointerEvents: inert ? "none" : undefined,
        }}
      />
      {frame ? createPortal(children, frame.body) : null}
    </Box>
  );
}
