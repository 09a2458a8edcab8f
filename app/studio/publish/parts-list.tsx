import { Alert, Box, Button, Checkbox, FormControlLabel, Link, Typography } from "@mui/material";
import { useState } from "react";
import { entryOf, LOOK_PART, type ChangedPart, type Draft } from "~/core/document";
import { leftBehind, type LeftBehind } from "~/kinds/together";
import { INK } from "../ui";

/** What differs of one part of the shop, in words. */
export type PartChanges = ChangedPart & { readonly name: string; readonly changes: readonly string[] };

const KIND_ORDER = [
  "look",
  "frame",
  "site",
  "menu",
  "page",
  "layout",
  "shared",
  "season",
  "offer",
  "selling",
  "letters",
  "piece",
] as const;

/** Parts in the order in which a seller thinks of them: what is on every page first. */
export const inOrder = (parts: readonly PartChanges[]): readonly PartChanges[] =>
  parts.toSorted((a, b) => rank(a) - rank(b));
const rank = ({ document }: PartChanges) => KIND_ORDER.indexOf(document?.kind ?? "look");

/** The same words several times are said once, with how often. */
function counted(changes: readonly string[]): readonly string[] {
  const times = new Map<string, number>();
  for (const each of changes) times.set(each, (times.get(each) ?? 0) + 1);
  return [...times].map(([words, n]) => (n > 1 ? `${words} (${n} times)` : words));
}

/** So many changes of a part are listed at once. */
const AT_ONCE = 4;

function Changes({ changes }: { changes: readonly string[] }) {
  const [all, setAll] = useState(false);
  const said = counted(changes);
  const shown = all || said.length <= AT_ONCE + 1 ? said : said.slice(0, AT_ONCE);
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.25, fontSize: 13, color: INK.soft, overflowWrap: "anywhere" }}>
      {shown.map((words) => (
        <li key={words}>{words}</li>
      ))}
      {shown.length < said.length ? (
        <li>
          <Link component="button" type="button" variant="body2" onClick={() => setAll(true)}>
            and {said.length - shown.length} more
          </Link>
        </li>
      ) : null}
    </Box>
  );
}

const HOW: Readonly<Record<LeftBehind["how"], (part: string, needs: string) => string>> = {
  leads: (part, needs) => `${part} leads to “${needs}”, which is not in the shop yet.`,
  shows: (part, needs) => `${part} shows “${needs}”, which is not in the shop yet.`,
  beneath: (part, needs) => `${part} stands beneath “${needs}”, which is not in the shop yet.`,
  loses: (part, needs) => `“${needs}” as it is in the shop has the shared section “${part}” and would lose it.`,
};

type PartsListProps = {
  parts: readonly PartChanges[];
  before: Draft;
  after: Draft;
  chosen: ReadonlySet<string>;
  onChosen: (chosen: ReadonlySet<string>) => void;
  /** The part that is looked at closely. */
  focused: string | null;
  onFocus: (part: string) => void;
};

/** What has changed, part by part, each to be ticked; and what would be missing if something stays behind. */
export function PartsList({ parts, before, after, chosen, onChosen, focused, onFocus }: PartsListProps) {
  const missing = leftBehind(before, after, chosen);
  const nameOf = (part: string) =>
    part === LOOK_PART
      ? "Brand"
      : (entryOf(after.documents, part)?.title ?? entryOf(before.documents, part)?.title ?? "");
  const tick = (part: string, on: boolean) => {
    const next = new Set(chosen);
    if (on) next.add(part);
    else next.delete(part);
    onChosen(next);
  };
  const isAll = parts.every((p) => chosen.has(p.part));
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 1.5 }}>
      {parts.length > 1 ? (
        <FormControlLabel
          sx={{ ml: 0, mr: 0 }}
          label={
            <Typography variant="subtitle2">{isAll ? "All of it" : `${chosen.size} of ${parts.length}`}</Typography>
          }
          control={
            <Checkbox
              size="small"
              checked={isAll}
              indeterminate={!isAll && chosen.size > 0}
              onChange={(_e, on) => onChosen(new Set(on ? parts.map((p) => p.part) : []))}
            />
          }
        />
      ) : null}
      <Box
        component="ul"
        aria-label="What will change"
        sx={{ m: 0, p: 0, listStyle: "none", border: `1px solid ${INK.line}`, borderRadius: 1, overflow: "hidden" }}
      >
        {parts.map(({ part, name, what, changes }, i) => (
          <Box
            component="li"
            key={part}
            sx={{
              display: "flex",
              gap: 0.5,
              px: 0.5,
              py: 0.75,
              borderTop: i ? `1px solid ${INK.line}` : 0,
              bgcolor: focused === part ? INK.paper : INK.raised,
              boxShadow: focused === part ? `inset 3px 0 0 ${INK.lemon}, inset 4px 0 0 ${INK.ink}` : "none",
            }}
          >
            <Checkbox
              size="small"
              checked={chosen.has(part)}
              slotProps={{ input: { "aria-label": `Publish ${name}` } }}
              onChange={(_e, on) => tick(part, on)}
              sx={{ alignSelf: "start" }}
            />
            <Box sx={{ flex: 1, minWidth: 0, py: 0.5 }}>
              <Link
                component="button"
                type="button"
                underline="hover"
                color="inherit"
                onClick={() => onFocus(part)}
                sx={{ fontWeight: 600, textAlign: "start", typography: "subtitle2" }}
              >
                {name}
                {what === "new" ? " (new)" : what === "removed" ? " (removed)" : ""}
              </Link>
              {what === "changed" ? <Changes changes={changes} /> : null}
            </Box>
          </Box>
        ))}
      </Box>
      {missing.length ? (
        <Alert severity="warning" sx={{ alignItems: "start" }}>
          {missing.slice(0, 5).map(({ part, needs, how }) => (
            <Box key={`${part} ${needs}`} sx={{ mb: 0.5 }}>
              {HOW[how](nameOf(part), nameOf(needs))}{" "}
              <Button
                size="small"
                sx={{ minHeight: 22, py: 0, px: 0.5, textDecoration: "underline" }}
                onClick={() => tick(needs, true)}
              >
                Publish it too
              </Button>
            </Box>
          ))}
          {missing.length > 5 ? <Box>and {missing.length - 5} more</Box> : null}
        </Alert>
      ) : null}
    </Box>
  );
}
