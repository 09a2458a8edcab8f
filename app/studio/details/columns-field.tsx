import { Box, Button, Chip, TextField, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { useState } from "react";
import { addColumn, columnsOf, setShares, sharesIn } from "~/core/commands";
import type { Audience, Part } from "~/core/document";
import { LEAST_SHARE, MOST_COLUMNS, sharesOf, withShare } from "~/core/layout";
import { usualShareIn } from "~/render";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { INK, ON_LEMON } from "../ui";

/** Proportions within reach of one click, by how many columns there are. */
const PROPORTIONS: Readonly<Record<number, readonly (readonly number[])[]>> = {
  2: [
    [1, 1],
    [1, 2],
    [2, 1],
    [1, 3],
    [3, 1],
    [2, 3],
    [3, 2],
  ],
  3: [
    [1, 1, 1],
    [1, 2, 1],
    [2, 1, 1],
    [1, 1, 2],
  ],
  4: [
    [1, 1, 1, 1],
    [2, 1, 1, 1],
    [1, 1, 1, 2],
  ],
  5: [[1, 1, 1, 1, 1]],
  6: [[1, 1, 1, 1, 1, 1]],
};
const near = (a: readonly number[], b: readonly number[]) => a.every((x, i) => Math.abs(x - b[i]!) < 0.2);

function ShareBox({
  shares,
  index,
  onChange,
}: {
  shares: readonly number[];
  index: number;
  onChange: (next: readonly number[]) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = Number((typed ?? "").replace(",", "."));
  const most = 100 - LEAST_SHARE * (shares.length - 1);
  const isBad = typed !== null && typed !== "" && !(read >= LEAST_SHARE && read <= most);
  return (
    <TextField
      value={typed ?? String(Math.round(shares[index]! * 10) / 10)}
      error={isBad}
      helperText={isBad ? `${LEAST_SHARE} to ${most}` : undefined}
      slotProps={{
        htmlInput: { "aria-label": `Column ${index + 1}, share of the width in percent`, inputMode: "decimal" },
      }}
      onBlur={() => setTyped(null)}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = Number(event.target.value.replace(",", "."));
        if (next >= LEAST_SHARE && next <= most) onChange(withShare(shares, index, next));
      }}
    />
  );
}

/** How the columns of a section share its width: by common proportions, or typed exactly. */
export function ColumnsField({ section }: { section: Part }) {
  const store = useStudioStore();
  const audience: Audience = useStudio((s) => s.audience);
  const columns = columnsOf(section);
  const usual = usualShareIn(themeById(useStudio((s) => s.draft.look.theme)));
  const shares = sharesIn(section, audience, usual);
  const set = (next: readonly number[], words?: string) =>
    store.getState().run(setShares(store.getState().draft, section.id, audience, next, words));
  return (
    <Box role="group" aria-label="Columns">
      <Typography variant="caption" sx={{ display: "block", fontWeight: 600, mb: 0.5 }}>
        Columns{audience === "all" ? "" : ", on this device"}
      </Typography>
      <Box sx={{ display: "flex", gap: "3px", height: 22, mb: 0.75 }} aria-hidden>
        {shares.map((share, i) => (
          <Box
            key={columns[i]!.id}
            sx={{ border: `1px solid ${INK.ink}`, borderRadius: 0.5, bgcolor: INK.bench }}
            style={{ flexGrow: share, flexBasis: 0 }}
          />
        ))}
      </Box>
      {columns.length > 1 ? (
        <>
          <Box sx={{ display: "grid", gridTemplateColumns: `repeat(${Math.min(3, columns.length)},1fr)`, gap: 0.75 }}>
            {columns.map((column, i) => (
              <ShareBox key={column.id} shares={shares} index={i} onChange={set} />
            ))}
          </Box>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.75 }}>
            {(PROPORTIONS[columns.length] ?? []).map((p) => {
              const wanted = sharesOf(p);
              const words = p.join(" : ");
              return (
                <Chip
                  key={words}
                  size="small"
                  label={words}
                  variant="outlined"
                  onClick={() => set(wanted, words)}
                  sx={near(wanted, shares) ? { ...ON_LEMON, borderColor: INK.ink } : {}}
                />
              );
            })}
          </Box>
        </>
      ) : null}
      <Button
        size="small"
        startIcon={<Plus size={15} aria-hidden />}
        disabled={columns.length >= MOST_COLUMNS}
        onClick={() => store.getState().run(addColumn(store.getState().draft, section.id, columns.length, usual))}
        sx={{ mt: 0.5 }}
      >
        Add a column
      </Button>
    </Box>
  );
}
