import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Menu,
  MenuItem,
  Typography,
} from "@mui/material";
import { Download, Upload } from "lucide-react";
import { useRef, useState } from "react";
import { replaceBrand } from "~/core/commands";
import type { Brand } from "~/core/document";
import { planTokens, writeTokens, type TokenPlan } from "~/core/formats";
import { hasIn } from "~/kinds/carried";
import { planLook } from "~/render";
import { THEMES, themeById } from "~/themes";
import { useReload, useStudio, useStudioStore } from "../../keeping";
import { FileInput, INK } from "../../ui";
import { bringPictures, packLook, unpackLook } from "../look-archive";
import { brandRows } from "./versions-group";

/** A file that was read, and what taking it over would do; nothing is changed before it is said. */
type Found = {
  readonly name: string;
  readonly theme: string;
  readonly brand: Brand;
  readonly used: Extract<TokenPlan, { ok: true }>["used"];
  /** What else would change. */
  readonly changes: readonly { readonly about: string; readonly from: string; readonly to: string }[];
  readonly left: readonly { readonly what: string; readonly why: string }[];
  /** How many pictures come along. */
  readonly pictures: number;
  /** Takes it over. Gives why it could not; undefined: it did. */
  readonly take: (step: (done: number) => void) => Promise<string | undefined>;
};

const CELLS = {
  "& td, & th": {
    textAlign: "left",
    py: 0.5,
    pr: 2,
    borderTop: `1px solid ${INK.line}`,
    fontSize: 13,
    overflowWrap: "anywhere",
    verticalAlign: "top",
  },
} as const;

/** What can't be used, and why. */
const Left = ({ left }: Pick<Found, "left">) => (
  <Box component="details" sx={{ mt: 2 }} open={left.length <= 12}>
    <Box component="summary" sx={{ cursor: "pointer", fontWeight: 600, fontSize: 14 }}>
      {left.length === 1 ? "One thing can’t be used" : `${left.length} things can’t be used`}
    </Box>
    <Box
      component="ul"
      aria-label="Not used"
      sx={{ m: 0, mt: 1, pl: 2.5, maxHeight: 200, overflowY: "auto", fontSize: 13 }}
    >
      {left.map(({ what, why }, i) => (
        <li key={i}>
          <strong>{what}</strong>: {why}
        </li>
      ))}
    </Box>
  </Box>
);

/** What a file would change, and what of it could not be used. */
function Review({ found, onClose }: { found: Found; onClose: () => void }) {
  const look = useStudio((s) => s.draft.look);
  const [brought, setBrought] = useState<number | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const rows = brandRows(look.brand, look.theme, found.brand, found.theme);
  const isBusy = brought !== null;
  const take = async () => {
    setWhy(null);
    setBrought(0);
    const problem = await found.take(setBrought);
    setBrought(null);
    if (problem === undefined) onClose();
    else setWhy(problem);
  };
  return (
    <Dialog open onClose={() => !isBusy && onClose()} maxWidth="md" fullWidth aria-labelledby="look-file-title">
      <DialogTitle id="look-file-title" component="h2" sx={{ typography: "h2", overflowWrap: "anywhere" }}>
        What “{found.name}” would change
      </DialogTitle>
      <DialogContent>
        {rows.length + found.changes.length ? (
          <Box
            component="table"
            aria-label="What would change"
            sx={{ width: "100%", borderCollapse: "collapse", ...CELLS }}
          >
            <thead>
              <tr>
                <th scope="col">Setting</th>
                <th scope="col">Now</th>
                <th scope="col">From the file</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.key}>
                  <td>{row.name}</td>
                  <td>{row.a}</td>
                  <td>
                    {row.b}
                    {found.used.some((u) => u.key === row.key) ? (
                      <Typography variant="caption" color="text.secondary" component="div">
                        {found.used.find((u) => u.key === row.key)!.path}
                      </Typography>
                    ) : null}
                  </td>
                </tr>
              ))}
              {found.changes.map(({ about, from, to }, i) => (
                <tr key={`${about} ${i}`}>
                  <td>{about}</td>
                  <td>{from}</td>
                  <td>{to}</td>
                </tr>
              ))}
            </tbody>
          </Box>
        ) : (
          <Typography>Nothing: the shop looks like that already.</Typography>
        )}
        {found.pictures ? (
          <Typography variant="body2" sx={{ mt: 2 }}>
            {found.pictures === 1 ? "One picture comes" : `${found.pictures} pictures come`} along into your library.
          </Typography>
        ) : null}
        {found.left.length ? <Left left={found.left} /> : null}
        {why ? (
          <Alert severity="error" sx={{ mt: 2 }}>
            {why} Nothing of the look was changed.
          </Alert>
        ) : null}
        <Box role="status" sx={{ mt: 1, fontSize: 14 }}>
          {isBusy && found.pictures ? `Bringing pictures: ${brought} of ${found.pictures}` : null}
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onClose} disabled={isBusy}>
          Leave everything as it is
        </Button>
        <Button
          variant="contained"
          disabled={isBusy || rows.length + found.changes.length === 0}
          onClick={() => void take()}
        >
          Take it over
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Gives the browser a file to keep. */
function keep(bytes: BlobPart, type: string, shop: string, ending: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([bytes], { type }));
  const base = shop
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");
  link.download = `${base || "shop"}.${ending}`;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** The look as a file for other shops and programs, and files of theirs as a look. */
export function FilesGroup() {
  const store = useStudioStore();
  const reload = useReload();
  const file = useRef<HTMLInputElement>(null);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [found, setFound] = useState<Found | null>(null);
  const [isBusy, setBusy] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const saveTokens = () => {
    const { look } = store.getState().draft;
    const text = writeTokens(themeById(look.theme), look.brand);
    keep(text, "application/design-tokens+json", look.identity.name, "tokens.json");
  };
  const saveWhole = async () => {
    setWhy(null);
    setBusy(true);
    try {
      const { draft, pictures } = store.getState();
      const packed = await packLook(draft, themeById(draft.look.theme), pictures);
      keep(packed, "application/zip", draft.look.identity.name, "look.zip");
    } catch (error) {
      setWhy(error instanceof Error ? error.message : "The look could not be saved.");
    }
    setBusy(false);
  };

  const readTokens = async (chosen: File): Promise<string | undefined> => {
    const { look } = store.getState().draft;
    const plan = planTokens(await chosen.text(), look.brand, THEMES);
    if (!plan.ok) return plan.why;
    setFound({
      name: chosen.name,
      theme: look.theme,
      brand: plan.brand,
      used: plan.used,
      changes: [],
      left: plan.left.map(({ path, why: reason }) => ({ what: path, why: reason })),
      pictures: 0,
      take: async () => {
        const { draft, run } = store.getState();
        return run(replaceBrand(draft, plan.brand, `Look taken from ${chosen.name}`)) ?? undefined;
      },
    });
    return undefined;
  };

  const readWhole = async (chosen: File): Promise<string | undefined> => {
    const answer = await unpackLook(chosen);
    if (!answer.ok) return answer.why;
    const { archive } = answer;
    const names = archive.pictures.map((p) => p.name);
    const planNow = () => {
      const { draft, goods, pictures } = store.getState();
      const shop = { goods, pictures, documents: draft.documents };
      return planLook({ ...archive, pictures: names }, draft, (reference) =>
        hasIn(shop, reference) ? reference.id : null,
      );
    };
    const plan = planNow();
    if (!plan.ok) return plan.why;
    setFound({
      ...plan,
      name: chosen.name,
      theme: plan.theme.id,
      pictures: plan.pictures.length,
      take: async (step) => {
        const { client } = store.getState();
        const brought = await bringPictures(client, plan.pictures, archive.pictures, step);
        if (!brought.ok) return brought.why;
        if (plan.pictures.length) await reload();
        // Another tab may have changed something while it was read through.
        const now = planNow();
        if (!now.ok) return now.why;
        const { draft, run } = store.getState();
        return run(now.take(draft, brought.named, chosen.name)) ?? undefined;
      },
    });
    return undefined;
  };

  const open = async (chosen: File) => {
    setBusy(true);
    const isArchive = /\.zip$/i.test(chosen.name) || /zip/.test(chosen.type);
    const problem = await (isArchive ? readWhole(chosen) : readTokens(chosen));
    setBusy(false);
    setWhy(problem === undefined ? null : `${chosen.name}: ${problem}`);
  };
  return (
    <>
      <Typography variant="caption" color="text.secondary">
        For another shop: everything that makes the look, as an archive (ZIP). For a designer or another program: design
        tokens (W3C format, 2025.10). Reading either shows first what it would change.
      </Typography>
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button
          size="small"
          variant="outlined"
          startIcon={<Download size={16} aria-hidden />}
          onClick={(event) => setAnchor(event.currentTarget)}
          aria-haspopup="menu"
          disabled={isBusy}
          sx={{ flex: 1 }}
        >
          Save the look …
        </Button>
        <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} onClick={() => setAnchor(null)}>
          <MenuItem onClick={() => void saveWhole()}>For another shop: everything (ZIP)</MenuItem>
          <MenuItem onClick={saveTokens}>For other programs: design tokens (JSON)</MenuItem>
        </Menu>
        <Button
          size="small"
          variant="outlined"
          startIcon={<Upload size={16} aria-hidden />}
          onClick={() => file.current?.click()}
          disabled={isBusy}
          sx={{ flex: 1 }}
        >
          Read a look …
        </Button>
      </Box>
      <FileInput
        ref={file}
        label="File with a look"
        accept=".zip,.json,.tokens,application/zip,application/json,application/design-tokens+json"
        onFiles={([chosen]) => void open(chosen)}
      />
      {why ? (
        <Alert severity="error" sx={{ py: 0 }}>
          {why}
        </Alert>
      ) : null}
      {found ? <Review found={found} onClose={() => setFound(null)} /> : null}
    </>
  );
}
