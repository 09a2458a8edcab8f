import {
  Box,
  Button,
  Dialog,
  MenuItem,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { ChevronLeft, ChevronRight, X } from "lucide-react";
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from "react";
import type { Device } from "~/core/document";
import type { Colourway, Theme } from "~/core/theme";
import { targetName, themeChanges } from "~/render";
import { themeById, THEMES } from "~/themes";
import { DEVICE_WIDTH, DraftFrame } from "../panes";
import { IconAction, INK, useSize, VISUALLY_HIDDEN } from "../ui";
import { Colourways, useDressed, wayOf } from "./colourways";
import { PageChoice, useSamplePages, useSeenAt } from "./sample-pages";
import { useWorn, type Way } from "./wearing";

const GAP = 12;
/** How wide a phone stands beside a wide screen, in px. */
const PHONE = 280;
const ASIDE = 288;

type LookProps = {
  theme: Theme;
  /** Undefined: the colours stay as they are. */
  way: Way;
  device: Device;
  address: string;
  width: number;
  height: number;
  onWalk: (address: string) => void;
  /** What is looked at together is scrolled together. */
  together: RefObject<Set<Window>>;
};

/** The shop in a theme, on one device: it can be scrolled, and its links lead through the shop. */
function Look({ theme, way, device, address, width, height, onWalk, together }: LookProps) {
  const target = useSeenAt(address);
  const [frame, setFrame] = useState<Document | null>(null);
  const dressed = useDressed(theme, way);
  useEffect(() => {
    frame?.defaultView?.scrollTo(0, 0);
  }, [address, frame]);
  useEffect(() => {
    const own = frame?.defaultView;
    if (!frame || !own) return;
    const all = together.current;
    all.add(own);
    const onClick = (event: MouseEvent) => {
      const element = event.target && "closest" in event.target ? (event.target as HTMLElement) : null;
      // A menu opens; nothing else does what it would in the shop.
      if (element?.closest("summary")) return;
      event.preventDefault();
      const [href] = element?.closest("a")?.getAttribute("href")?.split("#") ?? [];
      if (href?.startsWith("/")) onWalk(href);
    };
    const onSubmit = (event: SubmitEvent) => event.preventDefault();
    const shareOf = ({ scrollY, innerHeight, document }: Window) =>
      scrollY / Math.max(1, document.documentElement.scrollHeight - innerHeight);
    const onScroll = () => {
      const share = shareOf(own);
      for (const other of all) {
        const room = other.document.documentElement.scrollHeight - other.innerHeight;
        // Whoever follows is there already, and leads nobody back.
        if (other !== own && Math.abs(share - shareOf(other)) * room > 2) other.scrollTo(0, share * room);
      }
    };
    frame.addEventListener("click", onClick, true);
    frame.addEventListener("submit", onSubmit, true);
    frame.addEventListener("scroll", onScroll);
    return () => {
      all.delete(own);
      frame.removeEventListener("click", onClick, true);
      frame.removeEventListener("submit", onSubmit, true);
      frame.removeEventListener("scroll", onScroll);
    };
  }, [frame, onWalk, together]);
  return (
    <Box sx={{ flex: "none", boxShadow: `0 0 0 1px ${INK.ink}` }}>
      <DraftFrame
        title={`${theme.name}, ${device}`}
        draft={dressed}
        target={target}
        device={device}
        scale={width / DEVICE_WIDTH[device]}
        height={height}
        onDocument={setFrame}
      />
    </Box>
  );
}

/** What of the shop will look otherwise, and what stays. */
function Differences({ theme }: { theme: Theme }) {
  const { draft } = useWorn();
  const now = themeById(draft.look.theme);
  const changes = useMemo(() => themeChanges(draft, now, theme), [draft, now, theme]);
  if (changes.length === 0)
    return <Typography variant="body2">{now.id === theme.id ? "Your shop wears it." : "Nothing else."}</Typography>;
  return (
    <Box component="dl" sx={{ m: 0, display: "grid", gap: 1 }}>
      {changes.map(({ about, from, to }) => (
        <Box key={about}>
          <Typography component="dt" variant="caption" color="text.secondary">
            {about}
          </Typography>
          <Typography component="dd" variant="body2" sx={{ m: 0, lineHeight: 1.3 }}>
            {to}
            <Box component="span" sx={{ color: INK.soft }}>
              , instead of {from}
            </Box>
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

type CloserProps = {
  theme: Theme;
  way: Way;
  onWay: (way: Colourway | null) => void;
  onTheme: (theme: Theme) => void;
  onUse: (theme: Theme) => void;
  onClose: () => void;
};

/** A theme looked at closely: through all pages of the shop, on a wide screen and a phone, or beside another theme. */
export const ThemeCloser = (props: CloserProps) => (
  <Dialog open fullScreen onClose={props.onClose} aria-labelledby="closer-title">
    <Inside {...props} />
  </Dialog>
);

function Inside({ theme, way, onWay, onTheme, onUse, onClose }: CloserProps) {
  const { draft, sample, pages: ofPages } = useWorn();
  const { documents, look } = draft;
  const { brand, theme: current } = look;
  const pages = useSamplePages();
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [address, setAddress] = useState("/");
  const [beside, setBeside] = useState("");
  const [chosen, setDevice] = useState<Device>("wide");
  const together = useRef(new Set<Window>());
  const { ref, size } = useSize();
  const walk = useCallback((to: string) => setAddress(to), []);
  const target = useSeenAt(address);
  const other = beside && beside !== theme.id ? themeById(beside) : null;
  const device: Device = isNarrow ? "phone" : chosen;
  const step = (by: number) => onTheme(THEMES[(THEMES.indexOf(theme) + by + THEMES.length) % THEMES.length]!);
  const height = size ? size.height - (other ? 36 : 0) : 0;
  const room = size?.width ?? 0;
  const half = Math.min((room - GAP) / 2, DEVICE_WIDTH[device]);
  const looks: readonly { readonly of: Theme; readonly on: Device; readonly width: number }[] = other
    ? [theme, other].map((of) => ({ of, on: device, width: half }))
    : isNarrow
      ? [{ of: theme, on: "phone", width: Math.min(room, DEVICE_WIDTH.phone) }]
      : [
          { of: theme, on: "wide", width: Math.min(room - PHONE - GAP, DEVICE_WIDTH.wide) },
          { of: theme, on: "phone", width: PHONE },
        ];
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100%", bgcolor: INK.paper }}>
      <Box
        sx={{
          display: "flex",
          flexWrap: "wrap",
          gap: 1.5,
          alignItems: "center",
          px: 2,
          py: 1.5,
          borderBottom: `1px solid ${INK.ink}`,
        }}
      >
        <IconAction label="The theme before" icon={ChevronLeft} onClick={() => step(-1)} />
        <Typography id="closer-title" variant="h2" component="h2" sx={{ minWidth: 110, textAlign: "center" }}>
          {theme.name}
        </Typography>
        <IconAction label="The next theme" icon={ChevronRight} onClick={() => step(1)} />
        <Box
          sx={{
            display: "flex",
            flexWrap: "wrap",
            gap: 1.5,
            alignItems: "center",
            flex: { md: 1 },
            // On a narrow window it stands below the name and the way out.
            order: { xs: 1, md: 0 },
          }}
        >
          <PageChoice label="Page" pages={pages} value={address} onChange={setAddress} />
          <Box sx={{ flex: 1 }} />
          <TextField
            select
            size="small"
            label="Beside it"
            value={other ? beside : ""}
            onChange={(event) => setBeside(event.target.value)}
            sx={{ width: 150 }}
            slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          >
            <MenuItem value="">Nothing</MenuItem>
            {THEMES.filter((each) => each !== theme).map((each) => (
              <MenuItem key={each.id} value={each.id}>
                {each.name}
              </MenuItem>
            ))}
          </TextField>
          {other && !isNarrow ? (
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label="On"
              value={chosen}
              onChange={(_event, next: Device | null) => next && setDevice(next)}
            >
              <ToggleButton value="phone">Phone</ToggleButton>
              <ToggleButton value="wide">Wide</ToggleButton>
            </ToggleButtonGroup>
          ) : null}
          <Button variant="contained" onClick={() => onUse(theme)}>
            {current === theme.id ? "Go on with it" : `Use ${theme.name}`}
          </Button>
        </Box>
        <Box sx={{ flex: { xs: 1, md: 0 } }} />
        <IconAction label="Close" keys="Esc" icon={X} onClick={onClose} />
      </Box>
      <Box sx={{ display: "flex", flexDirection: isNarrow ? "column-reverse" : "row", flex: 1, minHeight: 0 }}>
        <Box
          component="aside"
          aria-label={`About ${theme.name}`}
          sx={{
            flex: "none",
            width: isNarrow ? "auto" : ASIDE,
            maxHeight: isNarrow ? "34%" : "none",
            overflowY: "auto",
            p: 2,
            display: "grid",
            gap: 2,
            alignContent: "start",
            borderRight: isNarrow ? 0 : `1px solid ${INK.line}`,
            borderTop: isNarrow ? `1px solid ${INK.line}` : 0,
          }}
        >
          <Typography variant="body2">{theme.mood}</Typography>
          <Colourways theme={theme} current={way === undefined ? wayOf(theme, brand) : way} onChoose={onWay} />
          <Box>
            <Typography variant="h3" component="h3" sx={{ mb: 1 }}>
              What will look different
            </Typography>
            <Differences theme={theme} />
          </Box>
          <Typography variant="body2" color="text.secondary">
            {sample
              ? `Goods and pictures are those of a made-up shop for ${sample.name}. They don’t get into yours.`
              : "Your goods and pictures stay, and so does everything that you decided yourself in Brand."}{" "}
            {ofPages} One step of undo takes the change back.
          </Typography>
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, minHeight: 0, p: `${GAP}px`, bgcolor: INK.bench }}>
          <Box ref={ref} sx={{ height: "100%", display: "flex", gap: `${GAP}px`, justifyContent: "center" }}>
            {size
              ? looks.map(({ of, on, width }) => (
                  <Box key={`${of.id} ${on}`} sx={{ width, minWidth: 0 }}>
                    {other ? (
                      <Box sx={{ height: 36, display: "flex", alignItems: "center", gap: 1.5 }}>
                        <Typography variant="h3" component="h3">
                          {of.name}
                        </Typography>
                        {of === other ? <Button onClick={() => onUse(of)}>Use {of.name}</Button> : null}
                      </Box>
                    ) : null}
                    <Look
                      theme={of}
                      way={of === theme ? way : undefined}
                      device={on}
                      address={address}
                      width={width}
                      height={height}
                      onWalk={walk}
                      together={together}
                    />
                  </Box>
                ))
              : null}
          </Box>
        </Box>
      </Box>
      <Box role="status" sx={VISUALLY_HIDDEN}>
        {targetName(target, documents)}
      </Box>
    </Box>
  );
}
