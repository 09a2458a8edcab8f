import {
  Alert,
  Box,
  Button,
  ButtonBase,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  InputAdornment,
  Switch,
  TextField,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { X } from "lucide-react";
import { memo, useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { siteOf, slugOfName, slugProblem } from "~/core/addresses";
import { addPage, freeSlug } from "~/core/commands";
import { emptyDocument, freeze, menusOf, newId, SITE, type Draft } from "~/core/document";
import { DOCUMENT_VERSION } from "~/core/schema";
import { makeNode } from "~/kinds";
import { DESIGN_PURPOSES, PAGE_DESIGNS, type Given, type PageDesign } from "~/kinds/designs";
import { TradeField, useGiven, useTrade } from "../add";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { PageSight } from "../panes";
import { chooseByArrow, FindField, IconAction, INK } from "../ui";
import { BeneathField, useAddressBefore } from "./addresses";

const HOME = { page: "home" } as const;
const TILE = { width: 184, height: 196 };
const WIDE = [["wide", TILE.width]] as const;

/** The sections of a design. Each begins with another picture, so that the first one of the shop does not stand on all of them. */
const builtFrom = (design: PageDesign, given: Given) => {
  const first = PAGE_DESIGNS.indexOf(design) * 2;
  return design.build({ ...given, picture: (n) => given.picture(first + n) });
};

/** The shop with a design on a page, to be looked at. */
function useDrawn(design: PageDesign, given: Given): Draft {
  const look = useStudio((s) => s.draft.look);
  const documents = useStudio((s) => s.draft.documents);
  const { frame } = documents;
  const menus = menusOf(documents);
  return useMemo(() => {
    const empty = emptyDocument(DOCUMENT_VERSION, "page", "home", design.name);
    const props = design.alone ? { header: false, footer: false } : {};
    const site = emptyDocument(DOCUMENT_VERSION, "site", SITE, "");
    const home = { ...empty, root: { ...empty.root, props, slots: { main: builtFrom(design, given) } } };
    return freeze({
      look,
      documents: {
        ...Object.fromEntries(menus.map((m) => [m.id, m])),
        ...(frame ? { frame } : {}),
        [SITE]: site,
        home,
      },
    });
    // Menus and frame are those of the moment at which the designs were opened.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [design, given, look]);
}

type TileProps = {
  design: PageDesign;
  given: Given;
  isChosen: boolean;
  /** The Tab key stops here; arrows lead to the others. */
  isStop: boolean;
  onChoose: (design: PageDesign) => void;
};

const DesignTile = memo(function DesignTile({ design, given, isChosen, isStop, onChoose }: TileProps) {
  const draft = useDrawn(design, given);
  return (
    <ButtonBase
      role="radio"
      aria-checked={isChosen}
      tabIndex={isStop ? 0 : -1}
      aria-label={`${design.name}: ${design.about}`}
      onClick={() => onChoose(design)}
      sx={{
        display: "block",
        textAlign: "left",
        width: TILE.width,
        flex: "none",
        border: `1px solid ${isChosen ? INK.ink : INK.line}`,
        boxShadow: isChosen ? `0 0 0 1px ${INK.ink}, 0 4px 0 1px ${INK.lemon}` : "none",
        borderRadius: 1,
        overflow: "hidden",
        bgcolor: INK.raised,
        "&:hover, &.Mui-focusVisible": { borderColor: INK.ink },
      }}
    >
      {design.id === "empty" ? (
        <Box sx={{ height: TILE.height, bgcolor: INK.paper }} />
      ) : (
        <PageSight draft={draft} target={HOME} name={design.name} sizes={WIDE} withBlanks height={TILE.height} />
      )}
      <Box sx={{ px: 1.25, py: 0.75, borderTop: `1px solid ${INK.line}`, minHeight: 64 }}>
        <Typography variant="subtitle2">{design.name}</Typography>
        <Typography variant="caption" color="text.secondary" component="p" sx={{ lineHeight: 1.25 }}>
          {design.about}
        </Typography>
      </Box>
    </ButtonBase>
  );
});

/** The designs that fit what was typed and what is sold, grouped by what they are for. */
function fitting(
  sought: string,
  trade: string,
): readonly { readonly purpose: string; readonly designs: readonly PageDesign[] }[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (d: PageDesign) => {
    const text = [d.name, d.about, d.purpose, ...d.synonyms].join(" ").toLowerCase();
    const suits = trade === "any" || !d.trades || d.trades.includes(trade);
    return suits && words.every((word) => text.includes(word));
  };
  return DESIGN_PURPOSES.map((purpose) => ({
    purpose,
    designs: PAGE_DESIGNS.filter((d) => d.purpose === purpose && fits(d)),
  })).filter(({ designs }) => designs.length);
}

/** Makes a page: from which design, what it is called, where it stands, and which menus lead to it. */
export function NewPage({ open, onClose }: { open: boolean; onClose: () => void }) {
  return open ? <Asked onClose={onClose} /> : null;
}

function Asked({ onClose }: { onClose: () => void }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const documents = useStudio((s) => s.draft.documents);
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [trade] = useTrade();
  const [sought, setSought] = useState("");
  const [design, setDesign] = useState<PageDesign>(PAGE_DESIGNS[0]!);
  // What was typed stays; what was not follows the design.
  const [typedTitle, setTitle] = useState<string | null>(null);
  const [typedSlug, setSlug] = useState<string | null>(null);
  const [parent, setParent] = useState<string | null>(null);
  const [inMenus, setMenus] = useState<readonly string[]>([]);
  const [typedShown, setShown] = useState<boolean | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const given = useGiven(trade);
  const groups = fitting(sought, trade);
  const shown = groups.flatMap((g) => g.designs);
  const stop = shown.includes(design) ? design : shown[0];
  const menus = menusOf(documents);
  const title = typedTitle ?? design.name;
  const slug = typedSlug ?? freeSlug(documents, title, parent);
  const before = useAddressBefore(parent);
  const isPost = siteOf(documents).byId.get(parent ?? "")?.props.journal === true;
  const isShown = typedShown ?? !design.toBeChecked;
  const wrongSlug = typedSlug === null ? undefined : slugProblem(typedSlug);
  const make = () => {
    const id = newId();
    const outcome = addPage(
      store.getState().draft,
      {
        title,
        ...(typedSlug === null ? {} : { slug: typedSlug }),
        parent,
        main: builtFrom(design, given),
        props: {
          ...(isShown ? {} : { hidden: true }),
          ...(design.alone ? { header: false, footer: false } : {}),
          ...(design.journal ? { journal: true } : {}),
          // A page beneath a journal is a post of it.
          ...(isPost ? { at: clockNow(store.getState()) } : {}),
        },
        menus: inMenus.map((menu) => ({ menu, item: makeNode("menu-item", { link: { to: "page", id } }) })),
      },
      id,
    );
    const why = outcome.ok ? store.getState().run(outcome) : outcome.why;
    if (why) return setProblem(why);
    onClose();
    store.getState().select(null);
    void navigate(`/s/${shop}/pages?page=${id}`);
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" fullScreen={isNarrow} aria-labelledby="new-page-title">
      <DialogTitle
        id="new-page-title"
        component="div"
        sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}
      >
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          New page
        </Typography>
        <FindField label="Find a design" value={sought} onChange={setSought} width={220} />
        <TradeField />
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent
        sx={{
          display: isNarrow ? "block" : "grid",
          gridTemplateColumns: "minmax(0,1fr) 320px",
          p: 0,
          height: isNarrow ? "auto" : "min(70vh, 640px)",
          borderTop: `1px solid ${INK.line}`,
        }}
      >
        <Box
          sx={{ overflowY: isNarrow ? "visible" : "auto", p: 2.5, bgcolor: INK.paper, minHeight: 0 }}
          role="radiogroup"
          aria-label="Designs"
          onKeyDown={(event) => chooseByArrow(event, shown, design, setDesign)}
        >
          {groups.length === 0 ? (
            <Typography color="text.secondary">
              No design fits that. Try another word, or begin with an empty page.
            </Typography>
          ) : null}
          {groups.map(({ purpose, designs }) => (
            <Box key={purpose} component="section" aria-label={purpose} sx={{ mb: 3 }}>
              <Typography variant="h3" sx={{ mb: 1.25 }}>
                {purpose}
              </Typography>
              {/* On a phone they lie in a row to push along, so that what is asked of the page stays near. */}
              <Box
                sx={{ display: "flex", flexWrap: isNarrow ? "nowrap" : "wrap", overflowX: "auto", gap: 1.5, pb: 0.75 }}
              >
                {designs.map((d) => (
                  <DesignTile
                    key={d.id}
                    design={d}
                    given={given}
                    isChosen={d === design}
                    isStop={d === stop}
                    onChoose={setDesign}
                  />
                ))}
              </Box>
            </Box>
          ))}
        </Box>
        <Box
          sx={{
            p: 2.5,
            display: "grid",
            gap: 2,
            alignContent: "start",
            overflowY: "auto",
            minHeight: 0,
            borderLeft: isNarrow ? 0 : `1px solid ${INK.line}`,
          }}
        >
          {problem ? <Alert severity="error">{problem}</Alert> : null}
          <TextField
            label="Name"
            value={title}
            onChange={(e) => {
              setProblem(null);
              setTitle(e.target.value);
            }}
            slotProps={{ htmlInput: { maxLength: 120 } }}
          />
          <TextField
            label="Address"
            value={slug}
            error={wrongSlug !== undefined}
            helperText={wrongSlug ?? `${before}${slug}`}
            onChange={(e) => {
              setProblem(null);
              // What can be put right while typing is; a hyphen at the end may go on.
              const typed = e.target.value.toLowerCase().replace(/\s+/g, "-");
              setSlug(typed);
            }}
            onBlur={() => setSlug((now) => (now === null ? now : slugOfName(now) || null))}
            slotProps={{
              input: { startAdornment: <InputAdornment position="start">/</InputAdornment> },
              formHelperText: { sx: { overflowWrap: "anywhere" } },
            }}
          />
          <BeneathField value={parent} onChange={setParent} />
          <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
            <Typography component="legend" variant="subtitle2">
              Menus that lead to it
            </Typography>
            {menus.map((m) => (
              <FormControlLabel
                key={m.id}
                sx={{ display: "flex" }}
                label={m.title}
                control={
                  <Checkbox
                    size="small"
                    checked={inMenus.includes(m.id)}
                    onChange={(_e, on) => setMenus(on ? [...inMenus, m.id] : inMenus.filter((id) => id !== m.id))}
                  />
                }
              />
            ))}
            {inMenus.length === 0 ? (
              <Typography variant="caption" color="text.secondary" component="p">
                In none, shoppers find it only where you lead to it.
              </Typography>
            ) : null}
          </Box>
          <Box>
            <FormControlLabel
              control={<Switch checked={isShown} onChange={(_e, on) => setShown(on)} />}
              label={isShown ? "In the shop with the next publication" : "Not in the shop yet"}
            />
            {design.toBeChecked ? (
              <Typography variant="caption" color="text.secondary" component="p">
                Some of it only you can know. It has [blanks] to fill in; what still has one is not shown to shoppers.
                {design.purpose === "What the law asks for"
                  ? " Have the text checked by somebody who knows the law."
                  : ""}
              </Typography>
            ) : null}
          </Box>
        </Box>
      </DialogContent>
      <DialogActions sx={{ borderTop: `1px solid ${INK.line}` }}>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={make} disabled={title.trim() === "" || wrongSlug !== undefined}>
          Make the page
        </Button>
      </DialogActions>
    </Dialog>
  );
}
