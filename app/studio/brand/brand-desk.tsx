import {
  Box,
  Button,
  Drawer,
  IconButton,
  Link,
  Menu,
  MenuItem,
  ToggleButton,
  ToggleButtonGroup,
  Tooltip,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { ArrowLeft, ChevronDown, Eye, Moon, Sun, X } from "lucide-react";
import { memo, useCallback, useMemo, useState } from "react";
import { Link as RouterLink } from "react-router";
import { endWords } from "~/core/conditions";
import { wornAt } from "~/core/seasons";
import { clockOf } from "~/core/situation";
import { ROLE_WORDS, setName, SET_NAMES, VISIONS, type Vision } from "~/core/theme";
import { addressOf, onePageOfEachKind, partById, TARGET_KINDS, seenAt, targetName } from "~/render";
import { useStudio } from "../keeping";
import { LookingAs } from "../looking";
import { INK, ON_LEMON, useBehind, useKeys, useWhenChanged } from "../ui";
import { createDesk, DeskProvider, useDesk, useDeskStore, type DeskView } from "./desk";
import { PanesArea } from "./panes-area";
import { ShownProvider, useShown, useWorkOutShown } from "./shown";
import { RoleStrip } from "./role-strip";
import { BrandSheet } from "./sheet/brand-sheet";

/** Which page is in the panes, with the way back along the trail. */
function PageChoice() {
  const desk = useDeskStore();
  const address = useDesk((d) => d.address);
  const trail = useDesk((d) => d.trail);
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [path, query] = address.split("?");
  const name = targetName(seenAt(path!, new URLSearchParams(query), documents, goods), documents);
  const targets = useMemo(() => onePageOfEachKind(documents, goods), [documents, goods]);
  return (
    <Box sx={{ display: "flex", alignItems: "center", minWidth: 0 }}>
      <Tooltip title="Back to the page before">
        <span>
          <IconButton
            size="small"
            aria-label="Back to the page before"
            disabled={trail.length === 0}
            onClick={() => desk.getState().back()}
          >
            <ArrowLeft size={17} aria-hidden />
          </IconButton>
        </span>
      </Tooltip>
      <Button
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        endIcon={<ChevronDown size={16} aria-hidden />}
        sx={{ px: 1, minWidth: 0 }}
      >
        <Typography component="h1" variant="h2" noWrap sx={{ fontSize: 17, maxWidth: 190 }}>
          {name}
        </Typography>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {targets.map((target) => {
          const to = addressOf(target, documents) ?? "/nothing-here";
          return (
            <MenuItem
              key={to}
              selected={to === address}
              onClick={() => {
                desk.getState().walkTo(to);
                setAnchor(null);
              }}
            >
              {TARGET_KINDS[target.page]}
              {targetName(target, documents) === TARGET_KINDS[target.page] ? "" : `: ${targetName(target, documents)}`}
            </MenuItem>
          );
        })}
      </Menu>
    </Box>
  );
}

/** How others see the shop's colours. */
function VisionChoice() {
  const desk = useDeskStore();
  const vision = useDesk((d) => d.vision);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const choose = (next: Vision["id"] | null) => {
    desk.getState().look({ vision: next });
    setAnchor(null);
  };
  const current = VISIONS.find((v) => v.id === vision);
  return (
    <>
      <Tooltip describeChild title="See the panes as people see them who tell colours apart differently">
        <Button
          size="small"
          aria-haspopup="menu"
          onClick={(event) => setAnchor(event.currentTarget)}
          startIcon={<Eye size={16} aria-hidden />}
          sx={{ ...(current ? ON_LEMON : {}), px: 1 }}
        >
          {current?.name ?? "Seen by"}
        </Button>
      </Tooltip>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem selected={vision === null} onClick={() => choose(null)}>
          Most people
        </MenuItem>
        {VISIONS.map((each) => (
          <MenuItem key={each.id} selected={vision === each.id} onClick={() => choose(each.id)}>
            {each.name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

function SchemeSwitch() {
  const desk = useDeskStore();
  const { look } = useShown();
  const isDark = look.scheme === "dark";
  const Icon = isDark ? Sun : Moon;
  const words = isDark ? "See the light pages" : "See the dark pages";
  return (
    <Tooltip title={words}>
      <IconButton
        size="small"
        aria-label={words}
        onClick={() => desk.getState().look({ shows: isDark ? "light" : "dark" })}
      >
        <Icon size={17} aria-hidden />
      </IconButton>
    </Tooltip>
  );
}

function SoughtLine() {
  const desk = useDeskStore();
  const sought = useDesk((d) => d.sought);
  const counts = useDesk((d) => d.counts);
  const brand = useStudio((s) => s.draft.look.brand);
  if (!sought) return null;
  const total = Object.values(counts).reduce((a, b) => a + b, 0);
  return (
    <Box
      role="status"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1,
        px: 2,
        py: 0.25,
        ...ON_LEMON,
        fontSize: 13,
        borderBottom: `1px solid ${INK.ink}`,
      }}
    >
      <Box sx={{ flex: 1 }}>
        {"role" in sought ? (
          <>
            <strong>{ROLE_WORDS[sought.role].name}</strong> of {setName(brand, sought.set) || SET_NAMES[sought.set]}
            :{" "}
          </>
        ) : (
          <>
            <strong>{partById(sought.part)?.name}</strong>:{" "}
          </>
        )}
        {total === 0 ? "not used on these pages" : total === 1 ? "1 place" : `${total} places`}. Press a page’s name to
        go there.
      </Box>
      <IconButton size="small" aria-label="Stop marking" onClick={() => desk.getState().seek(null)}>
        <X size={16} aria-hidden />
      </IconButton>
    </Box>
  );
}

const VIEWS: readonly (readonly [view: DeskView, label: string])[] = [
  ["phone", "Phone"],
  ["both", "Both"],
  ["wide", "Wide"],
  ["all", "All pages"],
  ["parts", "Parts"],
];

const DeskBar = memo(function DeskBar({ isNarrow, onSheet }: { isNarrow: boolean; onSheet: () => void }) {
  const desk = useDeskStore();
  const view = useDesk((d) => d.view);
  const mode = useDesk((d) => d.mode);
  if (isNarrow)
    return (
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, px: 1.5, height: 44, flex: "none" }}>
        <PageChoice />
        <Box sx={{ flex: 1 }} />
        <Button variant="outlined" size="small" onClick={onSheet}>
          Brand
        </Button>
      </Box>
    );
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 0.75, px: 1.5, height: 44, flex: "none" }}>
      <PageChoice />
      <Box sx={{ flex: 1 }} />
      <LookingAs />
      <Tooltip describeChild title="A click in a pane styles what is clicked, or follows its link (W)">
        <ToggleButtonGroup
          exclusive
          size="small"
          value={mode}
          aria-label="A click in a pane"
          onChange={(_event, next: typeof mode | null) => next && desk.getState().look({ mode: next })}
        >
          <ToggleButton value="style">Style</ToggleButton>
          <ToggleButton value="walk">Walk</ToggleButton>
        </ToggleButtonGroup>
      </Tooltip>
      <VisionChoice />
      <SchemeSwitch />
      <ToggleButtonGroup
        exclusive
        size="small"
        value={view}
        aria-label="Panes"
        onChange={(_event, next: DeskView | null) => next && desk.getState().show(next)}
      >
        {VIEWS.map(([value, label]) => (
          <ToggleButton key={value} value={value}>
            {label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
});

/** Says that shoppers see another look at the time to which the studio is turned: what is changed here is the shop's own. */
function SeasonLine() {
  const season = useStudio((s) => wornAt(s.draft.documents, clockOf(s.situation)));
  const shop = useStudio((s) => s.shop.id);
  if (!season?.look) return null;
  return (
    <Typography role="status" variant="body2" sx={{ px: 2, py: 0.75, bgcolor: INK.wash, color: INK.ink }}>
      The shop wears “{season.look.name}” until {endWords(season.dates.until, !season.dates.yearly)}, for the season{" "}
      <Link component={RouterLink} to={`/s/${shop}/offers?season=${season.id}`} sx={{ color: INK.ink }}>
        {season.name}
      </Link>
      . Here you work on its own look.
    </Typography>
  );
}

function DeskArea() {
  const desk = useDeskStore();
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [sheetOpen, setSheetOpen] = useState(false);
  const picked = useDesk((d) => d.picked);
  const openSheet = useCallback(() => setSheetOpen(true), []);
  const shown = useWorkOutShown();
  // Panes follow at once; panels when there is time.
  const behind = useBehind(shown);
  useWhenChanged(picked, () => picked && isNarrow && setSheetOpen(true));
  useKeys({
    "1": () => desk.getState().show("phone"),
    "2": () => desk.getState().show("both"),
    "3": () => desk.getState().show("wide"),
    "4": () => desk.getState().show("all"),
    "5": () => desk.getState().show("parts"),
    w: () => desk.getState().look({ mode: desk.getState().mode === "walk" ? "style" : "walk" }),
    Escape: () => (desk.getState().sought ? desk.getState().seek(null) : desk.getState().pick(null)),
  });
  return (
    <ShownProvider value={behind}>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: isNarrow ? "minmax(0,1fr)" : "316px minmax(0,1fr)",
          gridTemplateRows: "minmax(0,1fr) auto",
          height: "100%",
          minHeight: 0,
        }}
      >
        {isNarrow ? (
          <Drawer
            anchor="bottom"
            open={sheetOpen}
            onClose={() => setSheetOpen(false)}
            slotProps={{
              paper: {
                "aria-label": "Brand",
                role: "dialog",
                sx: { height: "62dvh", borderTop: `2px solid ${INK.ink}` },
              },
            }}
          >
            <BrandSheet />
          </Drawer>
        ) : (
          <Box
            component="aside"
            aria-label="Brand"
            sx={{
              gridRow: "1 / 3",
              borderRight: `1px solid ${INK.line}`,
              bgcolor: INK.raised,
              overflowY: "auto",
              minHeight: 0,
            }}
          >
            <BrandSheet />
          </Box>
        )}
        <Box sx={{ display: "flex", flexDirection: "column", minWidth: 0, minHeight: 0, bgcolor: INK.bench }}>
          <DeskBar isNarrow={isNarrow} onSheet={openSheet} />
          <SeasonLine />
          <SoughtLine />
          <PanesArea isNarrow={isNarrow} shown={shown} />
        </Box>
        <RoleStrip />
      </Box>
    </ShownProvider>
  );
}

/** The Brand area: what the whole shop looks like, with every page of it in view. */
export function BrandDesk() {
  const [desk] = useState(createDesk);
  return (
    <DeskProvider value={desk}>
      <DeskArea />
    </DeskProvider>
  );
}
