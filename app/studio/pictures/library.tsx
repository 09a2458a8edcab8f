import { Alert, Box, Button, ButtonBase, TextField, Typography } from "@mui/material";
import { useState, type MouseEvent } from "react";
import { sourceOf, type Picture } from "~/core/pictures";
import { useStudio } from "../keeping";
import { Blank, INK, useWhenChanged } from "../ui";
import { Uploader } from "./uploader";
import { useDescribe } from "./use-describe";

/** Says what a picture shows and what must stay in view when it is cropped. */
function Describe({ picture }: { picture: Picture }) {
  const { describe, isBusy, problem } = useDescribe();
  const [alt, setAlt] = useState(picture.alt);
  const [focus, setFocus] = useState(picture.focus);
  useWhenChanged(picture, () => {
    setAlt(picture.alt);
    setFocus(picture.focus);
  });
  const isChanged = alt !== picture.alt || focus[0] !== picture.focus[0] || focus[1] !== picture.focus[1];
  const point = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (value: number, size: number) => Math.max(0, Math.min(100, Math.round((value / size) * 100)));
    setFocus([share(event.clientX - box.left, box.width), share(event.clientY - box.top, box.height)]);
  };
  const side = (index: 0 | 1, label: string) => (
    <TextField
      label={label}
      type="number"
      value={focus[index]}
      onChange={(event) => {
        const value = Math.max(0, Math.min(100, Math.round(Number(event.target.value) || 0)));
        setFocus(index === 0 ? [value, focus[1]] : [focus[0], value]);
      }}
    />
  );
  return (
    <Box
      component="aside"
      aria-label="About this picture"
      sx={{ display: "grid", gap: 1.5, alignContent: "start", position: "sticky", top: 16 }}
    >
      <Box
        sx={{ position: "relative", cursor: "crosshair", lineHeight: 0, border: `1px solid ${INK.line}` }}
        onClick={point}
      >
        <img
          src={sourceOf(picture, 640)}
          alt={picture.alt}
          style={{ width: "100%", height: "auto" }}
          width={picture.width}
          height={picture.height}
        />
        <Box
          aria-hidden
          sx={{
            position: "absolute",
            left: `${focus[0]}%`,
            top: `${focus[1]}%`,
            width: 22,
            height: 22,
            m: "-11px",
            borderRadius: "50%",
            border: `2px solid ${INK.ink}`,
            bgcolor: INK.lemon,
            boxShadow: `0 0 0 2px ${INK.paper}`,
          }}
        />
      </Box>
      <Typography variant="caption" color="text.secondary">
        Click what must stay in view when the picture is cropped.
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
        {side(0, "From the left, %")}
        {side(1, "From the top, %")}
      </Box>
      <TextField
        label="What it shows"
        multiline
        minRows={2}
        value={alt}
        onChange={(event) => setAlt(event.target.value)}
        helperText="Read out to people who don’t see the picture."
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <Typography variant="caption" color="text.secondary">
        {picture.name} · {picture.width} × {picture.height}
      </Typography>
      {problem ? <Alert severity="error">{problem}</Alert> : null}
      <Button
        variant="contained"
        disabled={!isChanged || isBusy}
        onClick={() => void describe({ id: picture.id, alt, focus })}
      >
        {isBusy ? "Keeping …" : "Keep"}
      </Button>
    </Box>
  );
}

/** The shop's pictures. */
export function Library() {
  const pictures = useStudio((s) => s.pictures);
  const [chosen, setChosen] = useState<string | null>(null);
  const picture = pictures.find((p) => p.id === chosen) ?? pictures[0];
  return (
    <Box sx={{ height: "100%", overflowY: "auto", p: 3 }}>
      <Box sx={{ maxWidth: 1240, mx: "auto", display: "grid", gap: 2.5 }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 3, flexWrap: "wrap" }}>
          <Box sx={{ flex: 1 }}>
            <Typography variant="h1">Pictures</Typography>
            <Typography color="text.secondary">
              {pictures.length === 1 ? "1 picture" : `${pictures.length} pictures`}
            </Typography>
          </Box>
          <Uploader several label="Upload pictures" onAdded={(added) => setChosen(added.id)} />
        </Box>
        {picture ? (
          <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) 300px", gap: 3, alignItems: "start" }}>
            <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(132px, 1fr))", gap: 1.25 }}>
              {pictures.map((each) => (
                <ButtonBase
                  key={each.id}
                  aria-label={each.alt || each.name}
                  aria-pressed={each.id === picture.id}
                  onClick={() => setChosen(each.id)}
                  sx={{
                    position: "relative",
                    display: "block",
                    borderRadius: 1,
                    overflow: "hidden",
                    outline: each.id === picture.id ? `3px solid ${INK.ink}` : `1px solid ${INK.line}`,
                    boxShadow: each.id === picture.id ? `0 0 0 6px ${INK.lemon}` : "none",
                  }}
                >
                  <Box
                    component="img"
                    loading="lazy"
                    src={sourceOf(each, 320)}
                    alt=""
                    sx={{
                      display: "block",
                      width: "100%",
                      aspectRatio: "1/1",
                      objectFit: "cover",
                      objectPosition: `${each.focus[0]}% ${each.focus[1]}%`,
                      bgcolor: INK.raised,
                    }}
                  />
                  {each.alt ? null : (
                    <Typography
                      variant="caption"
                      sx={{
                        position: "absolute",
                        left: 0,
                        right: 0,
                        bottom: 0,
                        bgcolor: INK.lemon,
                        color: INK.ink,
                        fontWeight: 600,
                      }}
                    >
                      not described
                    </Typography>
                  )}
                </ButtonBase>
              ))}
            </Box>
            <Describe picture={picture} />
          </Box>
        ) : (
          <Blank
            title="No pictures yet"
            text="Upload photos of your goods and of where you make them. They are turned upright, and made in the right size for every screen, by themselves."
          />
        )}
      </Box>
    </Box>
  );
}
