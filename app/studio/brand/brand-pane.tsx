import { ButtonBase, Tooltip, Typography } from "@mui/material";
import { TriangleAlert } from "lucide-react";
import { memo, useEffect, useLayoutEffect, useMemo, useState, type RefObject } from "react";
import { createPortal } from "react-dom";
import { entryOf, type Draft } from "~/core/document";
import { readerOf, type AnySet, type Failing, type SolvedLook } from "~/core/theme";
import { PARTS, partById, PartsSheet, sharedCss, seenAt, type BrandPart } from "~/render";
import { EnvProvider } from "~/kinds/parts";
import { themeById } from "~/themes";
import { envOf } from "~/render";
import type { PaneDevice } from "../bench";
import {
  DEVICE_NAME,
  DEVICE_WIDTH,
  paneCss,
  PaneShell,
  ShopFrame,
  SillName,
  SillScale,
  ShopPage,
  type Dressing,
  type SheetSource,
} from "../panes";
import { INK, useWhenChanged } from "../ui";
import { useDesk, useDeskStore } from "./desk";
import { elementsOfPart, elementsUsing } from "./where-used";

/** The address under which the sheet of all parts stands; no page of a shop has it. */
export const PARTS_ADDRESS = "#parts";

/** In small panes, what is far below need not be styled with every step of a colour that is dragged. */
const SMALL_CSS =
  "main>.s:nth-child(n+3),.plain .grid>li:nth-child(n+13),.s-footer{content-visibility:auto;contain-intrinsic-size:auto 500px}";

const deskCss = (scale: number, small: boolean) => `${small ? SMALL_CSS : ""}${paneCss(scale)}
a,button,summary,input{cursor:default}
[data-zest-walk] a,[data-zest-walk] summary,[data-zest-walk] button{cursor:pointer}
[data-zest-hover]{outline:calc(1.5px*var(--k)) dotted #17241d!important;outline-offset:calc(2px*var(--k))!important}
[data-zest-used]{outline:calc(2px*var(--k)) solid #17241d!important;outline-offset:calc(1px*var(--k))!important;box-shadow:0 0 0 calc(5px*var(--k)) #f5c518!important}
[data-zest-failing]{outline:calc(2px*var(--k)) dashed #b3402a!important;outline-offset:calc(2px*var(--k))!important;box-shadow:0 0 0 calc(4px*var(--k)) #fff!important}
`;

/** The part that an element belongs to: of all that contain it, the innermost. */
function partAt(element: Element): { part: BrandPart; element: HTMLElement } | undefined {
  let best: { part: BrandPart; element: HTMLElement } | undefined;
  for (const part of PARTS) {
    const found = element.closest<HTMLElement>(part.selector);
    if (found && (!best || (best.element !== found && best.element.contains(found)))) best = { part, element: found };
  }
  return best;
}

const setOf = (element: Element) => (element.closest<HTMLElement>("[data-set]")?.dataset.set ?? "page") as AnySet;

/** Marks `elements` with an attribute until the next call, and gives back how to unmark them. */
function mark(elements: readonly Element[], attribute: string): () => void {
  for (const element of elements) element.setAttribute(attribute, "");
  return () => elements.forEach((element) => element.removeAttribute(attribute));
}

type Box4 = { left: number; top: number; width: number; height: number };

/** The ink frame with lemon pips around what was clicked, its name on a tab below. */
function PickedMark({ frame, element, name }: { frame: Document; element: HTMLElement; name: string }) {
  const [box, setBox] = useState<Box4 | null>(null);
  const [layer] = useState(() => {
    const made = frame.createElement("div");
    made.id = "zest-marks";
    return made;
  });
  useLayoutEffect(() => {
    frame.body.append(layer);
    const measure = () => {
      const rect = element.getBoundingClientRect();
      setBox({
        left: rect.left,
        top: rect.top + (frame.defaultView?.scrollY ?? 0),
        width: rect.width,
        height: rect.height,
      });
    };
    measure();
    const observer = new (frame.defaultView as Window & typeof globalThis).ResizeObserver(measure);
    observer.observe(element);
    observer.observe(frame.body);
    return () => {
      observer.disconnect();
      layer.remove();
    };
  }, [frame, layer, element]);
  if (!box || !element.isConnected) return null;
  return createPortal(
    <div className="zm-frame" style={{ ...box, height: `calc(${box.height}px + 26px*var(--k))` }}>
      <div className="zm-edge">
        <i />
        <i />
        <i />
        <i />
      </div>
      <div className="zm-tab">
        <b style={{ paddingLeft: "calc(10px*var(--k))" }}>{name}</b>
      </div>
    </div>,
    layer,
  );
}

export type BrandPaneProps = {
  /** A name that no other pane has. */
  id: string;
  device: PaneDevice;
  address: string;
  title: string;
  draft: Draft;
  /** The look as it is just now; it is asked for when something is sought, and changes without drawing anew. */
  latest: RefObject<SolvedLook>;
  failing: readonly Failing[];
  dressing: Dressing;
  sheets: SheetSource;
  width: number;
  height: number;
  /** In the contact sheet: following a link would lead out of it. */
  small?: boolean;
};

/** A live view of a page in which a click leads to what styles the thing clicked, or along the shop's links. */
export const BrandPane = memo(function BrandPane(props: BrandPaneProps) {
  const { id, device, address, title, draft, latest, failing, dressing, sheets, width, height, small = false } = props;
  const desk = useDeskStore();
  const scale = width / DEVICE_WIDTH[device];
  const [frame, setFrame] = useState<Document | null>(null);
  const [clicked, setClicked] = useState<{ element: HTMLElement; part: string } | null>(null);
  const mode = useDesk((d) => d.mode);
  const picked = useDesk((d) => d.picked);
  const sought = useDesk((d) => d.sought);
  const found = useDesk((d) => entryOf(d.counts, id));
  const failingCount = useDesk((d) => entryOf(d.unreadable, id) ?? 0);
  const css = useMemo(() => deskCss(scale, small), [scale, small]);
  const target = useMemo(() => {
    const [path, query] = address.split("?");
    return seenAt(path!, new URLSearchParams(query), draft.documents, dressing.goods);
  }, [address, draft.documents, dressing.goods]);
  const theme = themeById(draft.look.theme);
  const rules = sharedCss(theme);

  // Another page has other elements; the place of the old ones means nothing there.
  useWhenChanged(address, () => setClicked(null));
  useWhenChanged(frame, () => setClicked(null));
  useWhenChanged(picked, () => picked ?? setClicked(null));
  useEffect(() => {
    frame?.defaultView?.scrollTo(0, 0);
  }, [address, frame]);

  useEffect(() => {
    if (!frame) return;
    frame.body.toggleAttribute("data-zest-walk", mode === "walk");
    let unhover: (() => void) | undefined;
    const elementOf = (event: Event) =>
      event.target && "closest" in event.target ? (event.target as HTMLElement) : null;
    const follow = (element: HTMLElement): boolean => {
      const href = element.closest("a")?.getAttribute("href");
      if (!href || !href.startsWith("/")) return false;
      desk.getState().walkTo(href);
      if (small) desk.getState().show("both");
      return true;
    };
    const onClick = (event: MouseEvent) => {
      const element = elementOf(event);
      if (!element) return;
      const walks = mode === "walk" || event.ctrlKey || event.metaKey;
      // A menu opens, and a form is sent on to `onSubmit`; nothing else does what it would in the shop.
      const isLeft = element.closest("summary") !== null || (walks && element.closest("form") !== null);
      if (!isLeft) event.preventDefault();
      if (walks) {
        if (!isLeft) follow(element);
        return;
      }
      const hit = partAt(element);
      if (!hit) return desk.getState().pick(null);
      desk.getState().pick({ part: hit.part.id, set: setOf(hit.element) }, hit.part.group);
      setClicked({ element: hit.element, part: hit.part.id });
    };
    const onSubmit = (event: SubmitEvent) => {
      event.preventDefault();
      const form = event.target as HTMLFormElement;
      // A search is a walk by a form instead of a link.
      if (mode === "walk" && form.method === "get") {
        const query = new URLSearchParams([...new FormData(form)].map(([name, value]) => [name, String(value)]));
        desk.getState().walkTo(`${form.getAttribute("action") ?? "/"}?${query.toString()}`);
      }
    };
    const onMove = (event: PointerEvent) => {
      const element = elementOf(event);
      const hit = mode === "style" && element ? partAt(element) : undefined;
      if (hit?.element.hasAttribute("data-zest-hover")) return;
      unhover?.();
      unhover = hit ? mark([hit.element], "data-zest-hover") : undefined;
    };
    const onLeave = () => unhover?.();
    frame.addEventListener("click", onClick, true);
    frame.addEventListener("submit", onSubmit, true);
    frame.addEventListener("pointermove", onMove, true);
    frame.documentElement.addEventListener("pointerleave", onLeave);
    return () => {
      unhover?.();
      frame.removeEventListener("click", onClick, true);
      frame.removeEventListener("submit", onSubmit, true);
      frame.removeEventListener("pointermove", onMove, true);
      frame.documentElement.removeEventListener("pointerleave", onLeave);
    };
  }, [frame, desk, mode, small]);

  // After the page is drawn: where the sought role is used.
  useEffect(() => {
    if (!frame || !sought) return;
    const part = "part" in sought ? partById(sought.part) : undefined;
    const elements =
      "role" in sought
        ? elementsUsing(frame, sought.role, sought.set, rules, latest.current)
        : part
          ? elementsOfPart(frame, part)
          : [];
    desk.getState().count(id, elements.length);
    const [first] = elements;
    const window = frame.defaultView;
    if (first && window) {
      const { top, bottom } = first.getBoundingClientRect();
      if (top > window.innerHeight * 0.85 || bottom < 0)
        window.scrollTo({ top: window.scrollY + top - window.innerHeight * 0.3 });
    }
    return mark(elements, "data-zest-used");
    // Colours do not change what uses them; the theme's rules and the page do.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [frame, sought, rules, address, id, desk, draft.documents]);

  useEffect(() => {
    if (!frame) return;
    const elements = new Set(failing.flatMap((f) => elementsUsing(frame, f.pinned, f.set, rules, latest.current)));
    desk.getState().countUnreadable(id, elements.size);
    return mark([...elements], "data-zest-failing");
    // Another address or document has other elements, and `latest` always holds the look of now.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [frame, failing, rules, address, id, desk, draft.documents]);

  const isParts = address === PARTS_ADDRESS;
  const env = useMemo(() => envOf(dressing, draft), [dressing, draft]);
  const pickedPart = clicked && picked?.part === clicked.part ? partById(clicked.part) : undefined;
  const label = `${title}, ${DEVICE_NAME[device].toLowerCase()}`;
  return (
    <PaneShell
      label={`${label} pane`}
      small={small}
      sill={
        <>
          {small && ((sought && found !== undefined) || failingCount) ? null : (
            <SillName>{DEVICE_NAME[device]}</SillName>
          )}
          {sought && found !== undefined ? (
            <Typography variant="caption" noWrap sx={{ color: INK.spark }}>
              {found === 1 ? "1 place" : `${found} places`}
            </Typography>
          ) : failingCount ? (
            <Tooltip title="Words here can’t be read well because of a fixed colour">
              <ButtonBase
                onClick={() => desk.getState().openRole({ set: failing[0]!.set, role: failing[0]!.pinned })}
                sx={{
                  color: "#ffb4a3",
                  display: "inline-flex",
                  alignItems: "center",
                  gap: 0.5,
                }}
              >
                <TriangleAlert size={13} aria-hidden /> {failingCount}
                {small ? "" : " hard to read"}
              </ButtonBase>
            </Tooltip>
          ) : small ? null : (
            <SillScale width={DEVICE_WIDTH[device]} scale={scale} />
          )}
        </>
      }
    >
      <ShopFrame
        title={small ? label : `${DEVICE_NAME[device]} view of ${title}`}
        width={DEVICE_WIDTH[device]}
        scale={scale}
        height={height}
        sheets={sheets}
        extra={css}
        onDocument={setFrame}
      >
        {isParts ? (
          <EnvProvider value={env}>
            <PartsSheet goods={dressing.goods} read={readerOf(draft.look.brand, theme.defaults)} />
          </EnvProvider>
        ) : (
          <ShopPage draft={draft} target={target} dressing={dressing} />
        )}
        {frame && clicked && pickedPart ? (
          <PickedMark frame={frame} element={clicked.element} name={pickedPart.name} />
        ) : null}
      </ShopFrame>
    </PaneShell>
  );
});
