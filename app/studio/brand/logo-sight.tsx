import { Alert, Box, Button, ButtonBase, Slider, Typography } from "@mui/material";
import { useEffect, useId, useState } from "react";
import { setIcon, setLogo } from "~/core/commands";
import {
  iconPicture,
  LOGO_HEIGHT,
  logoHeights,
  logoOn,
  type LogoPlace,
  type LogoWay,
  type PictureLogo,
} from "~/core/document";
import {
  isLight,
  LEAST_LOGO_CONTRAST,
  logoContrast,
  SCRIM_COLOURS,
  sourceOf,
  type Picture,
  type Pixels,
} from "~/core/pictures";
import { solveLook } from "~/core/theme";
import { LYING_TINT, Sign } from "~/kinds/parts";
import { wantsToLie } from "~/render";
import { themeById } from "~/themes";
import { holdWhilePressed, useStudio, useStudioStore } from "../keeping";
import { PicturePicker } from "../pictures";
import { INK, ON_LEMON } from "../ui";

const READ_WIDTH = 160;
const WAY_WORDS: Readonly<Record<LogoWay, string>> = {
  light: "All white",
  dark: "All black",
  "on-light": "On a white plate",
  "on-dark": "On a black plate",
  words: "The name instead",
};

/** The pixels of a picture, small; undefined until they are read, or where they can't be. */
function usePixels(picture: Picture | undefined): Pixels | undefined {
  const [read, setRead] = useState<{ readonly of: string; readonly pixels: Pixels }>();
  useEffect(() => {
    if (!picture) return;
    const image = new Image();
    let isOver = false;
    image.onload = () => {
      const width = READ_WIDTH;
      const height = Math.max(1, Math.round((width * picture.height) / Math.max(1, picture.width)));
      const canvas = document.createElement("canvas");
      Object.assign(canvas, { width, height });
      const context = canvas.getContext("2d", { willReadFrequently: true });
      if (isOver || !context) return;
      context.drawImage(image, 0, 0, width, height);
      setRead({ of: picture.id, pixels: { data: context.getImageData(0, 0, width, height).data, width, height } });
    };
    image.src = sourceOf(picture, READ_WIDTH);
    return () => {
      isOver = true;
    };
  }, [picture]);
  return read && read.of === picture?.id ? read.pixels : undefined;
}

/** What can be done where a logo is not seen on a ground, the likeliest first. */
const waysOn = (ground: string): readonly LogoWay[] =>
  isLight(ground) ? ["dark", "on-dark", "words"] : ["light", "on-light", "words"];

/** What a header that lies over a picture stands on, about: its tint over a middling picture. */
const OVER_GROUND = mix(SCRIM_COLOURS.dark.scrim, LYING_TINT / 100, 128);

function mix(rgb: readonly number[], share: number, rest: number): string {
  const byte = (value: number) => Math.round(value * share + rest * (1 - share));
  return `#${rgb.map((value) => byte(value).toString(16).padStart(2, "0")).join("")}`;
}

const FILTERS: Partial<Readonly<Record<LogoWay, string>>> = {
  light: "brightness(0) invert(1)",
  dark: "brightness(0)",
};
const PLATES: Partial<Readonly<Record<LogoWay, string>>> = { "on-light": "#fff", "on-dark": "#16191b" };

type Place = { readonly place: LogoPlace; readonly name: string; readonly ground: string; readonly ink: string };
const WHERE: Readonly<Record<LogoPlace, string>> = {
  header: "in the header",
  footer: "in the footer",
  over: "over a picture",
};

/** The grounds on which the shop shows its logo. */
function usePlaces(): readonly Place[] {
  const look = useStudio((s) => s.draft.look);
  const top = useStudio((s) => s.draft.documents.frame?.root.slots.top);
  const theme = themeById(look.theme);
  const { sets } = solveLook(theme, look).roles;
  const lies = top?.some((row) => wantsToLie(row, theme, look)) ?? false;
  return [
    { place: "header", name: "Header", ground: sets.header.page, ink: sets.header.ink },
    { place: "footer", name: "Footer", ground: sets.footer.page, ink: sets.footer.ink },
    ...(lies ? [{ place: "over", name: "Over a picture", ground: OVER_GROUND, ink: "#ffffff" } as const] : []),
  ];
}

/** The logo as it is seen on one ground, with what mends it where it can't be. */
function LogoOn({ logo, place, name, ground, ink }: Place & { logo: PictureLogo }) {
  const store = useStudioStore();
  const shopName = useStudio((s) => s.draft.look.identity.name);
  const { picture: id, way } = logoOn(logo, place, !isLight(ground));
  const picture = useStudio((s) => s.pictures.find((p) => p.id === id));
  const pixels = usePixels(picture);
  const ratio = pixels && logoContrast(pixels, ground);
  const isLost = !way && ratio !== undefined && ratio < LEAST_LOGO_CONTRAST;
  const set = (next: LogoWay | undefined) =>
    store.getState().run(setLogo(store.getState().draft, { ...logo, [place]: next }));
  // A version for this ground leaves only one question: whether the name is better.
  const ways = id === logo.picture ? waysOn(ground) : [];
  return (
    <Box sx={{ display: "grid", gap: 0.75 }}>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "auto minmax(0,1fr)",
          alignItems: "center",
          gap: 1.5,
          px: 1.5,
          minHeight: 60,
          borderRadius: 1,
          border: `1px solid ${INK.line}`,
          bgcolor: ground,
          color: ink,
        }}
      >
        <Typography variant="caption" sx={{ color: "inherit" }}>
          {name}
        </Typography>
        <Box sx={{ justifySelf: "end", maxWidth: "100%", display: "grid", py: 0.75 }}>
          {way === "words" || !picture ? (
            <Typography variant="subtitle2" noWrap sx={{ color: "inherit" }}>
              {shopName}
            </Typography>
          ) : (
            <Box
              component="img"
              src={sourceOf(picture, 320)}
              alt={`Your logo ${WHERE[place]}`}
              sx={{
                maxHeight: 44,
                maxWidth: "100%",
                objectFit: "contain",
                filter: way && FILTERS[way],
                bgcolor: way && PLATES[way],
                ...(way && PLATES[way] ? { p: 0.5, borderRadius: 0.5 } : {}),
              }}
            />
          )}
        </Box>
      </Box>
      {isLost ? (
        <Alert severity="warning" icon={false} sx={{ py: 0 }}>
          Your logo can hardly be seen {WHERE[place]}.
        </Alert>
      ) : null}
      {isLost || way ? (
        <Box role="group" aria-label={`Logo ${WHERE[place]}`} sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
          {ways.map((each) => (
            <Button
              key={each}
              size="small"
              variant="outlined"
              aria-pressed={way === each}
              onClick={() => set(each)}
              sx={way === each ? ON_LEMON : {}}
            >
              {WAY_WORDS[each]}
            </Button>
          ))}
          {way ? (
            <Button size="small" onClick={() => set(undefined)}>
              As it is
            </Button>
          ) : null}
        </Box>
      ) : null}
    </Box>
  );
}

/** One of the heights of a logo, by drag. */
function Height({ label, value, onChange }: { label: string; value: number; onChange: (px: number) => void }) {
  const store = useStudioStore();
  const id = useId();
  return (
    <Box>
      <Typography id={id} variant="subtitle2">
        {label}, {value} px
      </Typography>
      <Slider
        aria-labelledby={id}
        size="small"
        min={LOGO_HEIGHT.least}
        max={LOGO_HEIGHT.most}
        step={4}
        value={value}
        onPointerDown={() => holdWhilePressed(store)}
        onChange={(_e, px) => onChange(px)}
      />
    </Box>
  );
}

/** A logo's version for dark grounds: another picture, for those who have one. */
function ForDark({ logo }: { logo: PictureLogo }) {
  const store = useStudioStore();
  const [choosing, setChoosing] = useState(false);
  const set = (onDark: string | undefined) =>
    store.getState().run(setLogo(store.getState().draft, { ...logo, onDark }));
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "center" }}>
      <Button size="small" variant="outlined" onClick={() => setChoosing(true)}>
        {logo.onDark === undefined ? "Add a version for dark grounds" : "Another version for dark grounds"}
      </Button>
      {logo.onDark === undefined ? null : (
        <Button size="small" onClick={() => set(undefined)}>
          Do without
        </Button>
      )}
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        own={logo.onDark === undefined ? [] : [logo.onDark]}
        onChoose={(id) => {
          set(id);
          setChoosing(false);
        }}
      />
    </Box>
  );
}

/** The logo on each of the grounds on which it is seen, with what mends it; how high it stands. */
export function LogoSight({ logo }: { logo: PictureLogo }) {
  const store = useStudioStore();
  const places = usePlaces();
  const heights = logoHeights(logo);
  const set = (next: Partial<PictureLogo>) =>
    store.getState().run(setLogo(store.getState().draft, { ...logo, ...next }, true));
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      {places.map((place) => (
        <LogoOn key={place.place} logo={logo} {...place} />
      ))}
      <ForDark logo={logo} />
      <Height label="Height" value={heights.height} onChange={(height) => set({ height })} />
      <Height label="On phones" value={heights.onPhone} onChange={(onPhone) => set({ onPhone })} />
      <Height label="In a header that gets lower" value={heights.least} onChange={(least) => set({ least })} />
    </Box>
  );
}

/** The shop's icon, so many px large, as it is made for tabs and home screens. */
function Icon({ size }: { size: number }) {
  const look = useStudio((s) => s.draft.look);
  const wanted = iconPicture(look.identity);
  const picture = useStudio((s) => s.pictures.find((p) => p.id === wanted));
  const { brand } = solveLook(themeById(look.theme), look).roles.sets;
  const { logo, name } = look.identity;
  const box = { width: size, height: size, flex: "none", borderRadius: `${Math.round(size * 0.22)}px` } as const;
  return picture ? (
    <Box
      component="img"
      src={sourceOf(picture, 160)}
      alt=""
      sx={{ ...box, objectFit: "contain", ...(size > 16 ? { border: `1px solid ${INK.line}` } : {}) }}
    />
  ) : (
    <Box
      aria-hidden
      sx={{
        ...box,
        display: "grid",
        placeItems: "center",
        bgcolor: brand.page,
        color: brand.ink,
        fontSize: Math.round(size * 0.66),
        fontWeight: 700,
        lineHeight: 1,
      }}
    >
      {logo.form === "sign" ? <Sign sign={logo.sign} /> : [...name.trim()][0]?.toUpperCase()}
    </Box>
  );
}

/** What stands in the browser's tab, seen as it is there, and how to choose another picture for it. */
export function IconChoice() {
  const store = useStudioStore();
  const { logo, icon, name } = useStudio((s) => s.draft.look.identity);
  const [choosing, setChoosing] = useState(false);
  const set = (next: string | undefined) => store.getState().run(setIcon(store.getState().draft, next));
  return (
    <Box sx={{ display: "grid", gap: 0.75 }}>
      <Typography variant="subtitle2">In the browser’s tab</Typography>
      <ButtonBase
        onClick={() => setChoosing(true)}
        aria-label="Choose a picture for the browser’s tab"
        sx={{
          justifyContent: "flex-start",
          gap: 1,
          px: 1.25,
          py: 0.75,
          border: `1px solid ${INK.line}`,
          borderRadius: "10px 10px 0 0",
          bgcolor: INK.raised,
          maxWidth: 260,
          minWidth: 0,
        }}
      >
        <Icon size={16} />
        <Typography variant="body2" noWrap>
          {name}
        </Typography>
      </ButtonBase>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.25 }}>
        <Icon size={48} />
        <Typography variant="caption" color="text.secondary">
          On a phone’s home screen
        </Typography>
      </Box>
      <Typography variant="caption" color="text.secondary">
        {icon ? "A picture of its own." : "Made from your logo. Press it to choose another picture."}
      </Typography>
      {icon ? (
        <Button size="small" sx={{ justifySelf: "start" }} onClick={() => set(undefined)}>
          Make it from the logo
        </Button>
      ) : null}
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        own={logo.form === "picture" ? [logo.picture] : []}
        onChoose={(id) => {
          set(id);
          setChoosing(false);
        }}
      />
    </Box>
  );
}
