import { Box, Skeleton } from "@mui/material";
import {
  useCallback,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  type KeyboardEvent as ReactKeyboardEvent,
  type ReactNode,
} from "react";
import { createPortal } from "react-dom";
import { INK, useKeyFrame } from "../ui";

/** CSS of a frame in parts; a part whose text is the same is not touched when another one changes. */
export type Sheets = ReadonlyMap<string, string>;

const MARK = "data-zest-frame";
const BLANK = `<!doctype html><html lang="en" ${MARK}><head><meta charset="utf-8"></head><body></body></html>`;

/** Sheets that change while nothing else does: frames listen to them by themselves, and nothing is drawn anew for it. */
export type SheetSource = { readonly now: () => Sheets; readonly subscribe: (changed: () => void) => () => void };

/** How long frames may take up new sheets, in ms, before the browser is let draw. */
const BUDGET = 5;

/**
 * Lets listeners take turns: as many in a frame of the screen as there is time for, all of them one after another. So a
 * colour can be dragged smoothly over many panes, each of which shows the latest state whenever its turn comes.
 */
function takeTurns() {
  const due = new Set<() => void>();
  let scheduled = 0;
  const work = () => {
    scheduled = 0;
    const until = performance.now() + BUDGET;
    for (const each of due) {
      due.delete(each);
      each();
      if (performance.now() > until) break;
    }
    if (due.size) scheduled = requestAnimationFrame(work);
  };
  return {
    ask: (each: () => void) => {
      // Whoever waits already keeps its place.
      due.add(each);
      scheduled ||= requestAnimationFrame(work);
    },
    leave: (each: () => void) => due.delete(each),
  };
}

function createSheetSource(first: Sheets) {
  let now = first;
  const listeners = new Set<() => void>();
  const turns = takeTurns();
  return {
    now: () => now,
    subscribe: (changed: () => void) => {
      listeners.add(changed);
      return () => {
        listeners.delete(changed);
        turns.leave(changed);
      };
    },
    set: (next: Sheets) => {
      if (next === now) return;
      now = next;
      for (const changed of listeners) turns.ask(changed);
    },
  };
}

/** Turns sheets that are worked out while drawing into a source that stays the same. */
export function useSheetSource(sheets: Sheets): SheetSource {
  const [source] = useState(() => createSheetSource(sheets));
  useLayoutEffect(() => source.set(sheets), [source, sheets]);
  return source;
}

/** Makes these the document's own sheets, in this order, unless they are already: each change has the browser work out all styles. */
function adopt(frame: Document, sheets: CSSStyleSheet[]): void {
  const now = frame.adoptedStyleSheets;
  if (sheets.length !== now.length || sheets.some((sheet, i) => sheet !== now[i])) frame.adoptedStyleSheets = sheets;
}

/** Keeps a document's adopted style sheets equal to `sheets` and then `extra`, replacing only those whose text changed. */
function useSheets(frame: Document | null, sheets: Sheets | SheetSource, extra: string): void {
  const kept = useRef(new Map<string, { css: string; sheet: CSSStyleSheet }>());
  const of = useRef<Document | null>(null);
  const source = "now" in sheets ? sheets : null;
  const fixed = "now" in sheets ? null : sheets;
  const update = useCallback(() => {
    const window = frame?.defaultView;
    if (!frame || !window) return;
    if (of.current !== frame) kept.current.clear();
    of.current = frame;
    const next = new Map<string, { css: string; sheet: CSSStyleSheet }>();
    for (const [key, css] of [...(fixed ?? source!.now()), ["extra", extra] as const]) {
      const known = kept.current.get(key);
      const sheet = known?.sheet ?? new window.CSSStyleSheet();
      if (known?.css !== css) sheet.replaceSync(css);
      next.set(key, { css, sheet });
    }
    adopt(
      frame,
      [...next.values()].map((entry) => entry.sheet),
    );
    kept.current = next;
  }, [frame, fixed, source, extra]);
  useLayoutEffect(update, [update]);
  useEffect(() => {
    // Asking for a style makes the browser work it out now, so that what it takes counts towards the turn.
    const turn = () => {
      update();
      if (frame) void frame.defaultView?.getComputedStyle(frame.body).color;
    };
    return source?.subscribe(turn);
  }, [source, update, frame]);
}

type ShopFrameProps = {
  title: string;
  /** Width of the device in CSS px, and how much it is shrunk to fit. */
  width: number;
  scale: number;
  /** Height on the studio's screen in px. */
  height: number;
  sheets: Sheets | SheetSource;
  /** What the studio adds to them in this frame. */
  extra?: string;
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
  extra = "",
  children,
  onDocument,
  inert = false,
}: ShopFrameProps) {
  const [frame, setFrame] = useState<Document | null>(null);
  useSheets(frame, sheets, extra);
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
  // For whoever goes by the Tab key a pane is one stop, however much can be pressed in it; Enter goes in, Escape comes out.
  const gate = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (inert || !frame) return;
    const leave = (event: KeyboardEvent) => {
      const at = event.target as HTMLElement;
      if (event.key === "Escape" && !at.isContentEditable && !at.closest("[data-editing]")) gate.current?.focus();
    };
    frame.addEventListener("keydown", leave);
    return () => frame.removeEventListener("keydown", leave);
  }, [frame, inert]);
  const enter = (event: ReactKeyboardEvent) => {
    if (event.key !== "Enter" || event.target !== event.currentTarget) return;
    event.preventDefault();
    event.stopPropagation();
    frame?.querySelector<HTMLElement>("a[href],button,input,select,textarea,summary,[tabindex]")?.focus();
  };
  return (
    <Box
      ref={gate}
      {...(inert
        ? {}
        : { tabIndex: 0, role: "group", "aria-label": `${title}. Press Enter to go in, Escape to come out.` })}
      onKeyDown={inert ? undefined : enter}
      sx={{
        position: "relative",
        overflow: "hidden",
        width: Math.round(width * scale),
        height,
        bgcolor: "#fff",
        // A press that begins on what a frame shows until it is there, and ends when it is, would be no click on what it stands in.
        ...(inert ? { pointerEvents: "none" } : {}),
        "&:focus-visible": {
          outline: `3px solid ${INK.ink}`,
          outlineOffset: -3,
          boxShadow: `inset 0 0 0 5px ${INK.lemon}`,
        },
      }}
    >
      {frame ? null : (
        <Skeleton variant="rectangular" animation={false} sx={{ position: "absolute", inset: 0, height: "100%" }} />
      )}
      <iframe
        ref={element}
        title={title}
        srcDoc={BLANK}
        onLoad={ready}
        tabIndex={-1}
        aria-hidden={inert || undefined}
        style={{
          border: 0,
          width,
          height: height / scale,
          transform: `scale(${scale})`,
          transformOrigin: "0 0",
        }}
      />
      {frame ? createPortal(children, frame.body) : null}
    </Box>
  );
}
