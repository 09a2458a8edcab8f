import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { brandWords, keepVersion, removeVersion, wearVersion } from "~/core/commands";
import { entryOf, type Brand, type BrandVersion, type Draft } from "~/core/document";
import { readPinKey, resolveSetting } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../../keeping";
import { DraftFrame } from "../../panes";
import { IconAction, INK } from "../../ui";
import { wordsFor } from "./setting-control";

const HOME = { page: "home" } as const;

type BrandRow = { readonly key: string; readonly name: string; readonly a: string; readonly b: string };

/** What two brands say differently, setting by setting, in words. */
export function brandRows(a: Brand, themeA: string, b: Brand, themeB: string): readonly BrandRow[] {
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])].sort();
  const said = (brand: Brand, theme: string, key: string) => {
    const own = entryOf(brand, key);
    if (own !== undefined) return wordsFor(key, own);
    if (readPinKey(key)) return "not fixed";
    const { name, defaults } = themeById(theme);
    const { value } = resolveSetting(key, {}, defaults);
    return value === null ? `as theme ${name} has it` : `${wordsFor(key, value)} (theme ${name})`;
  };
  const rows = keys
    .map((key) => ({ key, name: brandWords({ ...a, ...b }, key), a: said(a, themeA, key), b: said(b, themeB, key) }))
    .filter((row) => row.a !== row.b);
  return themeA === themeB
    ? rows
    : [{ key: "theme", name: "Theme", a: themeById(themeA).name, b: themeById(themeB).name }, ...rows];
}

const ShopInVersion = ({ draft, title }: { draft: Draft; title: string }) => (
  <Box sx={{ border: `1px solid ${INK.ink}`, lineHeight: 0, width: "max-content" }}>
    <DraftFrame
      inert
      title={title}
      draft={draft}
      target={HOME}
      device="wide"
      scale={0.324}
      height={310}
      extra="body{overflow-x:hidden}"
    />
  </Box>
);

function Compare({ version, onClose }: { version: BrandVersion; onClose: () => void }) {
  const draft = useStudio((s) => s.draft);
  const then = useMemo<Draft>(
    () => ({ ...draft, look: { ...draft.look, theme: version.theme, brand: version.brand } }),
    [draft, version],
  );
  const rows = brandRows(version.brand, version.theme, draft.look.brand, draft.look.theme);
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="compare-brands">
      <DialogTitle id="compare-brands" component="h2" sx={{ typography: "h2" }}>
        “{version.name}” and the brand as it is
      </DialogTitle>
      <DialogContent>
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
          <Box>
            <Typography variant="subtitle2">{version.name}</Typography>
            <ShopInVersion draft={then} title={version.name} />
          </Box>
          <Box>
            <Typography variant="subtitle2">Now</Typography>
            <ShopInVersion draft={draft} title="Now" />
          </Box>
        </Box>
        {rows.length ? (
          <Box
            component="table"
            sx={{
              width: "100%",
              mt: 2,
              borderCollapse: "collapse",
              "& td, & th": { textAlign: "left", py: 0.625, pr: 2, borderTop: `1px solid ${INK.line}`, fontSize: 13 },
            }}
          >
            <thead>
              <tr>
                <th scope="col">What differs</th>
                <th scope="col">{version.name}</th>
                <th scope="col">Now</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.key}>
                  <td>{row.name}</td>
                  <td>{row.a}</td>
                  <td>{row.b}</td>
                </tr>
              ))}
            </tbody>
          </Box>
        ) : (
          <Typography sx={{ mt: 2 }}>They are the same.</Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

/** Brands put aside under a name: to go back to, and to hold against the one that is worn now. */
export function VersionsGroup() {
  const store = useStudioStore();
  const versions = useStudio((s) => s.draft.look.versions);
  const locale = useStudio((s) => s.shop.locale);
  const [name, setName] = useState("");
  const [why, setWhy] = useState<string | null>(null);
  const [comparing, setComparing] = useState<string | null>(null);
  const compared = comparing === null ? undefined : entryOf(versions, comparing);
  const sorted = Object.entries(versions).toSorted(([, a], [, b]) => (a.at < b.at ? 1 : -1));
  const when = new Intl.DateTimeFormat(locale, { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });
  const keep = () => {
    const outcome = keepVersion(store.getState().draft, name, new Date().toISOString());
    if (!outcome.ok) return setWhy(outcome.why);
    store.getState().run(outcome);
    setName("");
    setWhy(null);
  };
  return (
    <>
      <Box
        component="form"
        onSubmit={(event) => (event.preventDefault(), keep())}
        sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}
      >
        <TextField
          label="Name for the brand as it is"
          value={name}
          error={why !== null}
          helperText={why ?? undefined}
          slotProps={{ htmlInput: { maxLength: 60 } }}
          onChange={(event) => {
            setName(event.target.value);
            setWhy(null);
          }}
        />
        <Button type="submit" variant="outlined" sx={{ mt: 0.25 }}>
          Save
        </Button>
      </Box>
      {sorted.length === 0 ? (
        <Typography variant="caption" color="text.secondary">
          Nothing is put aside yet. Keep the brand under a name before you try something bold.
        </Typography>
      ) : null}
      {sorted.map(([id, version]) => (
        <Box key={id} role="group" aria-label={version.name} sx={{ borderTop: `1px solid ${INK.line}`, pt: 1 }}>
          <Typography variant="subtitle2">{version.name}</Typography>
          <Typography variant="caption" color="text.secondary">
            {when.format(new Date(version.at))} · theme {themeById(version.theme).name}
          </Typography>
          <Box sx={{ display: "flex", gap: 0.5, alignItems: "center" }}>
            <Button
              size="small"
              variant="outlined"
              onClick={() => store.getState().run(wearVersion(store.getState().draft, id))}
            >
              Use this one
            </Button>
            <Button size="small" onClick={() => setComparing(id)}>
              Compare
            </Button>
            <Box sx={{ flex: 1 }} />
            <IconAction
              label={`Remove ${version.name}`}
              icon={Trash2}
              size={16}
              onClick={() => {
                store.getState().run(removeVersion(store.getState().draft, id));
                store.getState().say(`Version “${version.name}” removed.`, "plain", true);
              }}
            />
          </Box>
        </Box>
      ))}
      {compared ? <Compare version={compared} onClose={() => setComparing(null)} /> : null}
    </>
  );
}
