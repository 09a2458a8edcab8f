import { Box } from "@mui/material";
import { useLayoutEffect, useMemo, useRef } from "react";
import { filterValues, VISIONS, type Failing } from "~/core/theme";
import { seenAt, targetName } from "~/render";
import { SHEET_CSS } from "~/render";
import { fitNarrow, fitPanes } from "../bench";
import { useStudio } from "../keeping";
import { useDressing, usePageSheets, useSheetSource, useStructure } from "../panes";
import { useSize } from "../ui";
import { BrandPane, PARTS_ADDRESS, type BrandPaneProps } from "./brand-pane";
import { ContactSheet } from "./contact-sheet";
import { useDesk } from "./desk";
import type { BrandLook } from "./shown";

/** What all panes of the desk are drawn from; all of it stays the same while only colours and sizes change. */
export type DeskPanes = Pick<BrandPaneProps, "draft" | "latest" | "failing" | "dressing" | "sheets">;

const NONE: readonly Failing[] = [];

const SILL = 26;
const GAP = 16;

/** Tints everything below as somebody with that way of seeing colours sees it. */
function VisionFilter() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
      {VISIONS.map((vision) => (
        <filter key={vision.id} id={`zest-${vision.id}`} colorInterpolationFilters="linearRGB">
          <feColorMatrix type="matrix" values={filterValues(vision)} />
        </filter>
      ))}
    </svg>
  );
}

/** The panes of the Brand area: one page on phone and wide screen, all pages at once, or the sheet of all parts. */
export function PanesArea({ isNarrow, shown: seen }: { isNarrow: boolean; shown: BrandLook }) {
  const { ref, size } = useSize();
  const { draft: exact, look } = seen;
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const shop = useStudio((s) => s.shop);
  const view = useDesk((d) => d.view);
  const address = useDesk((d) => d.address);
  const vision = useDesk((d) => d.vision);
  const dressing = useDressing(goods, pictures, shop);
  const pages = usePageSheets(exact, pictures);
  const isParts = view === "parts";
  const sheets = useSheetSource(
    useMemo(() => (isParts ? new Map([...pages, ["parts", SHEET_CSS]]) : pages), [pages, isParts]),
  );
  const structure = useStructure(exact.look, exact.documents);
  const { documents } = exact;
  const draft = useMemo(() => ({ look: structure, documents }), [structure, documents]);
  const latest = useRef(look);
  useLayoutEffect(() => {
    latest.current = look;
  });
  const failingKey = JSON.stringify(look.roles.failing.map((f) => [f.set, f.pinned]));
  // Each solving makes a new list; the panes count again only when the key says that it holds other colours.
  // oxlint-disable-next-line react/exhaustive-deps
  const failing = useMemo(() => (look.roles.failing.length ? look.roles.failing : NONE), [failingKey]);
  const panes: DeskPanes = useMemo(
    () => ({ draft, latest, failing, dressing, sheets }),
    [draft, failing, dressing, sheets],
  );
  const height = size ? Math.max(200, size.height - SILL - 8) : 0;
  const shown = isNarrow && view !== "parts" ? "phone" : view;
  const single = shown === "parts" ? (isNarrow ? "phone" : "both") : shown === "all" ? "both" : shown;
  const fits = size && (isNarrow ? fitNarrow(size.width) : fitPanes(single, size.width, size.height));
  const where = shown === "parts" ? PARTS_ADDRESS : address;
  const [path, query] = address.split("?");
  const title =
    shown === "parts"
      ? "all parts"
      : targetName(seenAt(path!, new URLSearchParams(query), documents, goods), documents);
  const common = { ...panes, address: where, title, height };
  return (
    <Box
      ref={ref}
      data-panes-ready={size ? "" : undefined}
      sx={{
        flex: 1,
        minHeight: 0,
        minWidth: 0,
        display: "flex",
        gap: `${GAP}px`,
        px: shown === "all" ? 0 : `${GAP}px`,
        justifyContent: "center",
        overflow: "hidden",
        filter: vision ? `url(#zest-${vision})` : undefined,
      }}
    >
      <VisionFilter />
      {size && shown === "all" ? <ContactSheet panes={panes} width={size.width} height={size.height} /> : null}
      {fits?.phone && shown !== "all" ? (
        <BrandPane key="phone" id="phone" device="phone" width={fits.phone.room} {...common} />
      ) : null}
      {fits?.wide && shown !== "all" ? (
        <BrandPane key="wide" id="wide" device="wide" width={fits.wide.room} {...common} />
      ) : null}
    </Box>
  );
}
