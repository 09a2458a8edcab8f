import { Box, ButtonBase, ToggleButton, ToggleButtonGroup, Tooltip, Typography } from "@mui/material";
import { useState } from "react";
import { setLogo } from "~/core/commands";
import { sourceOf } from "~/core/pictures";
import { Sign, SIGNS } from "~/kinds/parts";
import { useStudio, useStudioStore } from "../keeping";
import { PicturePicker, Uploader } from "../pictures";
import { INK, ON_LEMON } from "../ui";
import { IconChoice, LogoSight } from "./logo-sight";

/** The logo: the name alone, a sign beside it, or an uploaded picture. The favicon is made from the same. */
export function LogoChoice() {
  const store = useStudioStore();
  const { logo } = useStudio((s) => s.draft.look.identity);
  const picture = useStudio((s) =>
    logo.form === "picture" ? s.pictures.find((p) => p.id === logo.picture) : undefined,
  );
  const [form, setForm] = useState(logo.form);
  const [choosing, setChoosing] = useState(false);
  const set = (next: typeof logo) => {
    setForm(next.form);
    store.getState().run(setLogo(store.getState().draft, next));
  };
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={form}
        aria-label="Logo"
        onChange={(_event, next: typeof form | null) => {
          if (!next) return;
          setForm(next);
          if (next === "words") set({ form: "words" });
          if (next === "sign" && logo.form !== "sign") set({ form: "sign", sign: Object.keys(SIGNS)[0]! });
        }}
      >
        <ToggleButton value="words">Name only</ToggleButton>
        <ToggleButton value="sign">Sign</ToggleButton>
        <ToggleButton value="picture">Picture</ToggleButton>
      </ToggleButtonGroup>
      {form === "sign" ? (
        <Box role="group" aria-label="Sign" sx={{ display: "grid", gridTemplateColumns: "repeat(6,1fr)", gap: 0.5 }}>
          {Object.entries(SIGNS).map(([sign, { name }]) => {
            const isChosen = logo.form === "sign" && logo.sign === sign;
            return (
              <Tooltip key={sign} title={name}>
                <ButtonBase
                  aria-label={name}
                  aria-pressed={isChosen}
                  onClick={() => set({ form: "sign", sign })}
                  sx={{
                    height: 40,
                    borderRadius: 1,
                    fontSize: 18,
                    border: `1px solid ${isChosen ? INK.ink : INK.line}`,
                    ...(isChosen ? ON_LEMON : {}),
                  }}
                >
                  <Sign sign={sign} />
                </ButtonBase>
              </Tooltip>
            );
          })}
        </Box>
      ) : null}
      {form === "picture" ? (
        <>
          {picture ? (
            <ButtonBase
              onClick={() => setChoosing(true)}
              aria-label="Choose another logo"
              sx={{ p: 1.5, border: `1px solid ${INK.line}`, borderRadius: 1, bgcolor: INK.paper }}
            >
              <Box
                component="img"
                src={sourceOf(picture, 320)}
                alt=""
                sx={{ maxHeight: 56, maxWidth: "100%", objectFit: "contain" }}
              />
            </ButtonBase>
          ) : null}
          {picture && logo.form === "picture" ? <LogoSight logo={logo} /> : null}
          <Uploader label="Upload a logo" onAdded={(added) => set({ form: "picture", picture: added.id })} />
          {picture && picture.width < 200 && !picture.vector ? (
            <Typography variant="caption" sx={{ color: INK.brick }}>
              This picture is {picture.width} px wide and will look blurred. Use one of at least 200 px, or an SVG.
            </Typography>
          ) : null}
        </>
      ) : null}
      <IconChoice />
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={(id) => {
          set({ form: "picture", picture: id });
          setChoosing(false);
        }}
      />
    </Box>
  );
}
