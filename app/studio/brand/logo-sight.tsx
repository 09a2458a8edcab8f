import { Alert, Box, Button, ButtonBase, Slider, Typography } from "@mui/material";
import { useEffect, useState } from "react";
import { setIcon, setLogo } from "~/core/commands";
import { iconPicture, LOGO_HEIGHT, type Logo, type LogoWay } from "~/core/document";
import { isLight, LEAST_LOGO_CONTRAST, logoContrast, sourceOf, type Picture, type Pixels } from "~/core/pictures";
import { solveLook } from "~/core/theme";
import { Sign } from "~/kinds/parts";
import { themeById } from "~/themes";
import { holdWhilePressed, useStudio, useStudioStore } from "../keeping";
import { PicturePicker } from "../pictures";
import { INK, ON_LEMON } from "../ui";

type PictureLogo = Extract<Logo, { form: "picture" }>;
type Place = "header" | "footer";

const READ_WIDTH = 160;
const WAY_WORDS: Readonly<Record<LogoWay, string>> = {
  light: "All white",
  dark: "All black",
  "on-light": "On a white plate",
  "on-dark": "On a black plate",
  words: "The name instead",
};

/** The pixels of a picture, small; undefined until they are read, or where they can't be. */
function usePixels(picture: Picture): Pixels | undefined {
  const [read, setRead] = useState<{ readonly of: string; readonly pixels: Pixels }>();
  useEffect(() => {
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
  return read?.of === picture.id ? read.pixels : undefined;
}

/** What can be done where a logo is not seen on a ground, the likeliest first. */
const waysOn = (ground: string): readonly LogoWay[] =>
  isLight(ground) ? ["dark", "on-dark", "words"] : ["light", "on-light", "words"];

/** Whether the logo is seen in header and footer, with what mends it; how high it stands. */
export function LogoSight({ logo, picture }: { logo: PictureLogo; picture: Picture }) {
  const store = useStudioStore();
  const look = useStudio((s) => s.draft.look);
  const pixels = usePixels(picture);
  const { sets } = solveLook(themeById(look.theme), look).roles;
  const set = (next: Partial<PictureLogo>, isDrag = false) =>
    store.getState().run(setLogo(store.getState().draft, { ...logo, ...next }, isDrag));
  const places: readonly (readonly [Place, string, string])[] = [
    ["header", "Header", sets.header.page],
    ["footer", "Footer", sets.footer.page],
  ];
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <Box>
        <Typography id="logo-height" variant="subtitle2">
          Height, {logo.height ?? LOGO_HEIGHT.usual} px
        </Typography>
        <Slider
          aria-labelledby="logo-height"
          size="small"
          min={LOGO_HEIGHT.least}
          max={LOGO_HEIGHT.most}
          step={4}
          value={logo.height ?? LOGO_HEIGHT.usual}
          onPointerDown={() => holdWhilePressed(store)}
          onChange={(_e, height) => set({ height }, true)}
        />
      </Box>
      {places.map(([place, name, ground]) => {
        const way = logo[place];
        const ratio = pixels && logoContrast(pixels, ground);
        const isLost = ratio !== undefined && ratio < LEAST_LOGO_CONTRAST;
        if (!isLost && !way) return null;
        return (
          <Alert
            key={place}
            severity={way ? "info" : "warning"}
            icon={false}
            sx={{ "& .MuiAlert-message": { width: "100%" } }}
          >
            <Typography variant="body2" gutterBottom>
              {way
                ? `${name}: ${WAY_WORDS[way].toLowerCase()}.`
                : `Your logo can hardly be seen in the ${name.toLowerCase()}.`}
            </Typography>
            <Box
              role="group"
              aria-label={`Logo in the ${name.toLowerCase()}`}
              sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}
            >
              {waysOn(ground).map((each) => (
                <Button
                  key={each}
                  size="small"
                  variant="outlined"
                  aria-pressed={way === each}
                  onClick={() => set({ [place]: each })}
                  sx={way === each ? ON_LEMON : {}}
                >
                  {WAY_WORDS[each]}
                </Button>
              ))}
              {way ? (
                <Button size="small" onClick={() => set({ [place]: undefined })}>
                  As it is
                </Button>
              ) : null}
            </Box>
          </Alert>
        );
      })}
    </Box>
  );
}

/** What stands in the browser's tab, seen as it is there, and how to choose another picture for it. */
export function IconChoice() {
  const store = useStudioStore();
  const look = useStudio((s) => s.draft.look);
  const pictures = useStudio((s) => s.pictures);
  const [choosing, setChoosing] = useState(false);
  const { logo, icon, name } = look.identity;
  const wanted = iconPicture(look.identity);
  const picture = pictures.find((p) => p.id === wanted);
  const { brand } = solveLook(themeById(look.theme), look).roles.sets;
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
        {picture ? (
          <Box
            component="img"
            src={sourceOf(picture, 160)}
            alt=""
            sx={{ width: 16, height: 16, objectFit: "contain" }}
          />
        ) : (
          <Box
            aria-hidden
            sx={{
              width: 16,
              height: 16,
              flex: "none",
              display: "grid",
              placeItems: "center",
              borderRadius: "3px",
              bgcolor: brand.page,
              color: brand.ink,
              fontSize: 11,
              fontWeight: 700,
            }}
          >
            {logo.form === "sign" ? <Sign sign={logo.sign} /> : [...name.trim()][0]?.toUpperCase()}
          </Box>
        )}
        <Typography variant="body2" noWrap>
          {name}
        </Typography>
      </ButtonBase>
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
