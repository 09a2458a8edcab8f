import { Box, ButtonBase, Typography } from "@mui/material";
import { memo, useMemo } from "react";
import { addressOf, onePageOfEachKind, TARGET_KINDS, targetName } from "~/render";
import { useStudio } from "../keeping";
import { ON_LEMON } from "../ui";
import { BrandPane } from "./brand-pane";
import { useDesk, useDeskStore } from "./desk";
import type { DeskPanes } from "./panes-area";

const GAP = 12;
const CAPTION = 24;
const SILL = 20;

/** How many cards stand side by side, and how large their panes are, so that as many as can be are seen at once. */
export function sheetMeasures(count: number, width: number, height: number) {
  const columns = Math.max(1, Math.min(count, Math.floor((width + GAP) / 270)));
  const card = Math.floor((width - GAP * (columns + 1)) / columns);
  const inner = card - 10;
  // A phone takes a little more than its share: it is what most shoppers have.
  const phone = Math.floor(inner * 0.27);
  const wide = inner - phone - 10;
  const rows = Math.ceil(count / columns);
  const fitting = Math.floor((height - GAP * (rows + 1)) / rows) - CAPTION - SILL - 4;
  return { columns, phone, wide, pane: Math.max(170, Math.min(fitting, 420)) };
}

/** Every kind of page the shop has, on a phone and on a wide screen, small and live. */
export const ContactSheet = memo(function ContactSheet({
  panes,
  width,
  height,
}: {
  panes: DeskPanes;
  width: number;
  height: number;
}) {
  const desk = useDeskStore();
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  const counts = useDesk((d) => d.counts);
  const sought = useDesk((d) => d.sought);
  const targets = useMemo(() => onePageOfEachKind(documents, goods), [documents, goods]);
  const measures = sheetMeasures(targets.length, width, height);
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: `repeat(${measures.columns}, max-content)`,
        gap: `${GAP}px`,
        p: `${GAP}px`,
        alignContent: "start",
        justifyContent: "center",
        overflowY: "auto",
        height,
      }}
    >
      {targets.map((target) => {
        const address = addressOf(target, documents) ?? "/nothing-here";
        const kind = TARGET_KINDS[target.page];
        const name = targetName(target, documents);
        const found = (counts[`${kind} phone`] ?? 0) + (counts[`${kind} wide`] ?? 0);
        const common = { address, title: kind, small: true, height: measures.pane, ...panes } as const;
        return (
          <Box component="article" key={kind} aria-label={kind}>
            <ButtonBase
              onClick={() => {
                desk.getState().walkTo(address);
                desk.getState().show("both");
              }}
              aria-label={`Open ${kind}`}
              sx={{
                display: "flex",
                width: "100%",
                justifyContent: "space-between",
                gap: 1,
                height: CAPTION,
                px: 0.25,
              }}
            >
              <Typography variant="caption" noWrap>
                <strong>{kind}</strong>
                {name === kind ? "" : ` · ${name}`}
              </Typography>
              {sought ? (
                <Typography
                  variant="caption"
                  sx={{ ...(found ? ON_LEMON : {}), px: 0.5, borderRadius: 0.5, flex: "none" }}
                >
                  {found ? `${found} here` : "not here"}
                </Typography>
              ) : null}
            </ButtonBase>
            <Box sx={{ display: "flex", gap: "10px" }}>
              <BrandPane id={`${kind} phone`} device="phone" width={measures.phone} {...common} />
              <BrandPane id={`${kind} wide`} device="wide" width={measures.wide} {...common} />
            </Box>
          </Box>
        );
      })}
    </Box>
  );
});
