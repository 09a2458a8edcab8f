import {
  Alert,
  Box,
  Button,
  ButtonBase,
  CircularProgress,
  Link,
  Menu,
  MenuItem,
  Tooltip,
  Typography,
} from "@mui/material";
import { ImageUp } from "lucide-react";
import { useRef, useState } from "react";
import { putBackBrand, setBrand, setBrandAll } from "~/core/commands";
import { sourceOf } from "~/core/pictures";
import {
  explainMoved,
  harmoniesOf,
  placeWords,
  RATIOS,
  rampsOf,
  setName,
  type Hex,
  type Moved,
  type Ramp,
  type Role,
  TONES,
  type Weighed,
} from "~/core/theme";
import { useStudio, useStudioStore } from "../../keeping";
import { ACCEPTED, PicturePicker } from "../../pictures";
import { FileInput, INK, Swatch } from "../../ui";
import { ColourField } from "../../colours";
import { Colourways, wayOf } from "../colourways";
import { coloursOfWay } from "../colours-of-way";
import { coloursOf } from "../palette";
import { useShown } from "../shown";
import { OriginLine, SettingControl, useSetting } from "./setting-control";

const COLOURS = [
  ["colour", "Brand colour", "buttons, links, what should catch the eye"],
  ["colour2", "Accent colour", "second buttons, stars, badges"],
  ["colour3", "Colour of grounds", "what tinted and dark grounds are made of"],
] as const;

function RampRow({ name, ramp }: { name: string; ramp: Ramp }) {
  return (
    <Box
      role="img"
      aria-label={`${name}, from light to dark`}
      sx={{ display: "flex", borderRadius: 0.5, overflow: "hidden", height: 14 }}
    >
      {TONES.map((tone) => (
        <Swatch key={tone} colour={ramp[tone]} size={14} grow />
      ))}
    </Box>
  );
}

function OneColour({ name, label, about, fallback }: { name: string; label: string; about: string; fallback: Hex }) {
  const { value, isSet, from, theme, set } = useSetting(name);
  const { look } = useShown();
  const ramps = rampsOf(look);
  const offered = TONES.map((tone) => ({ name: `Tone ${tone}`, colour: ramps.brand[tone] }));
  return (
    <Box>
      <ColourField
        label={label}
        value={typeof value === "string" ? value : fallback}
        onChange={set}
        offered={offered}
      />
      <Box sx={{ display: "flex", justifyContent: "space-between", gap: 1 }}>
        <Typography variant="caption" color="text.secondary">
          {about}
        </Typography>
        {isSet ? (
          <Box sx={{ flex: "none" }}>
            <OriginLine isSet theme={theme.name} from={from} label={label} onBack={() => set(undefined)} />
          </Box>
        ) : null}
      </Box>
    </Box>
  );
}

/** Colours found in a logo or a picture; each can become any of the brand's three. */
function FromPicture() {
  const store = useStudioStore();
  const pictures = useStudio((s) => s.pictures);
  const logo = useStudio((s) => s.draft.look.identity.logo);
  const [state, setState] = useState<"idle" | "reading" | "failed">("idle");
  const [found, setFound] = useState<readonly Weighed[]>([]);
  const [choosing, setChoosing] = useState(false);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [picked, setPicked] = useState<{ anchor: HTMLElement; colour: Hex } | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const read = async (get: () => Promise<Blob>) => {
    setState("reading");
    const colours = await get()
      .then(coloursOf)
      .catch(() => undefined);
    setState(colours?.length ? "idle" : "failed");
    setFound(colours ?? []);
  };
  const readPicture = (id: string) => {
    const picture = pictures.find((p) => p.id === id);
    if (picture) void read(() => fetch(sourceOf(picture, 960)).then((r) => r.blob()));
  };
  const use = (key: string, words: string) => {
    if (picked) store.getState().run(setBrand(store.getState().draft, key, picked.colour));
    setPicked(null);
    store.getState().say(`${words} taken from the picture.`);
  };
  const drawn = logo.form === "picture" ? logo.picture : undefined;
  return (
    <Box>
      <Button
        size="small"
        variant="outlined"
        fullWidth
        startIcon={
          state === "reading" ? (
            <CircularProgress size={15} aria-label="Reading colours" />
          ) : (
            <ImageUp size={16} aria-hidden />
          )
        }
        onClick={(event) => setMenu(event.currentTarget)}
        aria-haspopup="menu"
        disabled={state === "reading"}
      >
        Take colours from a picture
      </Button>
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)} onClick={() => setMenu(null)}>
        {drawn ? <MenuItem onClick={() => readPicture(drawn)}>The logo</MenuItem> : null}
        <MenuItem onClick={() => setChoosing(true)}>A picture of the shop …</MenuItem>
        <MenuItem onClick={() => file.current?.click()}>A file, without keeping it …</MenuItem>
      </Menu>
      <FileInput
        ref={file}
        label="Picture to take colours from"
        accept={ACCEPTED}
        onFiles={([chosen]) => void read(() => Promise.resolve(chosen))}
      />
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={(id) => {
          setChoosing(false);
          readPicture(id);
        }}
      />
      {state === "failed" ? (
        <Alert severity="error" sx={{ mt: 1, py: 0 }}>
          No colours could be read from this file. Choose a PNG, JPEG, WebP or SVG.
        </Alert>
      ) : null}
      {found.length ? (
        <Box
          role="group"
          aria-label="Colours found"
          sx={{
            display: "flex",
            mt: 1,
            height: 38,
            borderRadius: 1,
            overflow: "hidden",
            border: `1px solid ${INK.line}`,
          }}
        >
          {found.map(({ colour, weight }) => (
            <Tooltip key={colour} title={`${colour}, ${Math.max(1, Math.round(weight * 100))} % of the picture`}>
              <ButtonBase
                aria-label={`Use ${colour}, ${Math.max(1, Math.round(weight * 100))} %`}
                aria-haspopup="menu"
                onClick={(event) => setPicked({ anchor: event.currentTarget, colour })}
                style={{ flexGrow: Math.max(0.12, weight), flexBasis: 0, backgroundColor: colour }}
              />
            </Tooltip>
          ))}
        </Box>
      ) : null}
      <Menu anchorEl={picked?.anchor} open={picked !== null} onClose={() => setPicked(null)}>
        {COLOURS.map(([key, label]) => (
          <MenuItem key={key} onClick={() => use(key, label)}>
            as {label.charAt(0).toLowerCase() + label.slice(1)}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}

function Harmonies() {
  const store = useStudioStore();
  const { look } = useShown();
  const found = harmoniesOf(look.brandColour, look.roles.sets.page.page, RATIOS[look.level].text);
  const wear = (name: string, [second, third]: readonly Hex[]) =>
    store
      .getState()
      .run(
        setBrandAll(
          store.getState().draft,
          { colour2: second, ...(third === undefined ? {} : { colour3: third }) },
          `Accent: ${name.toLowerCase()}`,
        ),
      );
  return (
    <Box>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        What goes with it
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 0.75 }}>
        {found.map(({ id, name, about, colours }) => (
          <Tooltip key={id} title={about}>
            <ButtonBase
              onClick={() => wear(name, colours)}
              aria-label={`Accent: ${name}, ${about}`}
              sx={{
                display: "block",
                textAlign: "left",
                border: `1px solid ${INK.line}`,
                borderRadius: 1,
                overflow: "hidden",
                "&:hover": { borderColor: INK.ink },
              }}
            >
              <Box sx={{ display: "flex", height: 22 }}>
                {[look.brandColour, ...colours].map((colour) => (
                  <Swatch key={colour} colour={colour} size={22} grow />
                ))}
              </Box>
              <Typography variant="caption" sx={{ px: 0.75 }}>
                {name}
              </Typography>
            </ButtonBase>
          </Tooltip>
        ))}
      </Box>
    </Box>
  );
}

/** Each finding once, for the page or else for the first set where it occurs, and where else it holds. */
function findings(moved: readonly Moved[]): readonly { first: Moved; more: number }[] {
  const groups = new Map<string, Moved[]>();
  for (const each of moved) {
    const key = `${each.role} ${each.source}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  // What is seen most comes first.
  const rank = (role: Role) => ["page", "brand", "link"].indexOf(role);
  return [...groups.values()]
    .map((group) => ({ first: group[0]!, more: group.length - 1 }))
    .sort((a, b) => rank(b.first.role) - rank(a.first.role));
}

function Findings() {
  const { look } = useShown();
  const [all, setAll] = useState(false);
  const found = findings(look.roles.moved);
  if (found.length === 0)
    return (
      <Typography variant="caption" color="text.secondary">
        Everything can be read, with your colours exactly as they are.
      </Typography>
    );
  return (
    <Box sx={{ display: "grid", gap: 0.75 }}>
      {found.slice(0, all ? undefined : 2).map(({ first, more }) => (
        <Alert
          key={`${first.role} ${first.source}`}
          severity="info"
          icon={<Swatch colour={first.used} />}
          sx={{ py: 0, fontSize: 13, bgcolor: INK.paper, borderColor: INK.line, color: INK.ink }}
        >
          {explainMoved(first, setName(look.brand, first.set))}
          {more ? ` So on ${more} other ${more === 1 ? "ground" : "grounds"}.` : ""}
        </Alert>
      ))}
      {found.length > 2 ? (
        <Link
          component="button"
          type="button"
          variant="caption"
          onClick={() => setAll(!all)}
          sx={{ textAlign: "left" }}
        >
          {all ? "Show less" : `${found.length - 2} more`}
        </Link>
      ) : null}
    </Box>
  );
}

/** The brand's colours, and everything that follows from them. */
export function ColourGroup() {
  const store = useStudioStore();
  const { look } = useShown();
  const [more, setMore] = useState(false);
  const { brand } = look;
  const hasMore = brand.colour2 !== undefined || brand.colour3 !== undefined || more;
  const pins = Object.keys(brand).filter((key) => key.startsWith("pin."));
  const ramps = rampsOf(look);
  const failing = look.roles.failing;
  return (
    <>
      <Colourways
        theme={look.theme}
        current={wayOf(look.theme, brand)}
        onChoose={(way) =>
          store
            .getState()
            .run(
              setBrandAll(
                store.getState().draft,
                coloursOfWay(way),
                way ? `Colourway ${way.name}` : "The theme’s own colours",
              ),
            )
        }
      />
      <OneColour name="colour" label={COLOURS[0][1]} about={COLOURS[0][2]} fallback={look.brandColour} />
      <RampRow name="Tones of the brand colour" ramp={ramps.brand} />
      {hasMore ? (
        <>
          <OneColour name="colour2" label={COLOURS[1][1]} about={COLOURS[1][2]} fallback={look.accentColour} />
          <RampRow name="Tones of the accent colour" ramp={ramps.accent} />
          <OneColour name="colour3" label={COLOURS[2][1]} about={COLOURS[2][2]} fallback={look.brandColour} />
        </>
      ) : (
        <Button size="small" onClick={() => setMore(true)} sx={{ justifySelf: "start" }}>
          Accent and grounds …
        </Button>
      )}
      <FromPicture />
      <Harmonies />
      <Findings />
      {failing.length ? (
        <Alert severity="error" sx={{ py: 0, fontSize: 13 }}>
          {failing.length === 1 ? "One pair" : `${failing.length} pairs`} can’t be read because of fixed colours, first
          in {placeWords(failing[0]!.set, setName(brand, failing[0]!.set))}. They are marked in the strip below.
        </Alert>
      ) : null}
      {pins.length ? (
        <Typography variant="caption" color="text.secondary">
          {pins.length === 1 ? "One colour is" : `${pins.length} colours are`} fixed.{" "}
          <Link
            component="button"
            type="button"
            variant="caption"
            onClick={() => store.getState().run(putBackBrand(store.getState().draft, pins, "Fixed colours"))}
          >
            Put all of them back
          </Link>
        </Typography>
      ) : null}
      <SettingControl name="paper" />
      <SettingControl name="contrast" />
      <SettingControl name="appearance" />
    </>
  );
}
