import { Box } from "@mui/material";
import { useMemo } from "react";
import type { Draft } from "~/core/document";
import { filterValues, solveLook, VISIONS, type SolvedLook } from "~/core/theme";
import { targetAt, targetName } from "~/render";
import { SHEET_CSS } from "~/render";
import { themeById } from "~/themes";
import { DEVICE_WIDTH, scalesFor } from "../bench";
import { useStudio } from "../keeping";
import { useDressing, usePageSheets, type Dressing, type Sheets } from "../panes";
import { useSize } from "../ui";
import { BrandPane, PARTS_ADDRESS } from "./brand-pane";
import { ContactSheet } from "./contact-sheet";
import { useDesk } from "./desk";

/** What all panes of the desk are drawn from. */
export type DeskPanes = {
  readonly draft: Draft;
  readonly look: SolvedLook;
  readonly dressing: Dressing;
  readonly sheets: Sheets;
};

const SILL = 26;
const GAP = 16;

/** The shop as it is seen now: the draft's look, or that look by night or by day when the desk asks for it. */
export function useShownDraft(): { draft: Draft; look: SolvedLook } {
  const draft = useStudio((s) => s.draft);
  const shows = useDesk((d) => d.shows);
  return useMemo(() => {
    const theme = themeById(draft.look.theme);
    const look = solveLook(theme, draft.look);
    if ((shows ?? look.scheme) === look.scheme && look.appearance !== "auto") return { draft, look };
    const shown = {
      ...draft,
      look: { ...draft.look, brand: { ...draft.look.brand, appearance: shows ?? look.scheme } },
    };
    return { draft: shown, look: solveLook(theme, shown.look) };
  }, [draft, shows]);
}

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
export function PanesArea({ isNarrow }: { isNarrow: boolean }) {
  const { ref, size } = useSize();
  const { draft, look } = useShownDraft();
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const { currency, locale } = useStudio((s) => s.shop);
  const view = useDesk((d) => d.view);
  const address = useDesk((d) => d.address);
  const vision = useDesk((d) => d.vision);
  const dressing = useDressing(goods, pictures, currency, locale);
  const pages = usePageSheets(draft, pictures);
  const withParts = useMemo(() => new Map([...pages, ["parts", SHEET_CSS]]), [pages]);
  const panes: DeskPanes = { draft, look, dressing, sheets: pages };
  const height = size ? Math.max(200, size.height - SILL - 8) : 0;
  const shown = isNarrow && view !== "parts" ? "phone" : view;
  const single = shown === "parts" ? (isNarrow ? "phone" : "both") : shown === "all" ? "both" : shown;
  const scales = size
    ? isNarrow
      ? { phone: Math.min(1, (size.width - 2 * GAP) / DEVICE_WIDTH.phone), wide: 0 }
      : scalesFor(single, size.width, size.height)
    : null;
  const where = shown === "parts" ? PARTS_ADDRESS : address;
  const [path, query] = address.split("?");
  const title =
    shown === "parts" ? "all parts" : targetName(targetAt(path!, new URLSearchParams(query), draft, goods), draft);
  const common = { ...panes, address: where, title, height, sheets: shown === "parts" ? withParts : pages };
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
      {scales && shown !== "all" && scales.phone ? (
        <BrandPane key="phone" id="phone" device="phone" width={scales.phone * DEVICE_WIDTH.phone} {...common} />
      ) : null}
      {scales && shown !== "all" && scales.wide ? (
        <BrandPane key="wide" id="wide" device="wide" width={scales.wide * DEVICE_WIDTH.wide} {...common} />
      ) : null}
    </Box>
  );
}
