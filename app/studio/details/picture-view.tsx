import { Box, Button, FormControlLabel, Link, Switch, Typography } from "@mui/material";
import { ChevronDown, ChevronRight, Scissors } from "lucide-react";
import { useId, useState } from "react";
import { setProp } from "~/core/commands";
import type { Audience, Json, Part } from "~/core/document";
import type { Path } from "~/core/operations";
import { cropOn, MOST_ZOOM, type Crop, type Picture, type PictureView } from "~/core/pictures";
import { nameOf } from "~/kinds";
import { useStudio, useStudioStore } from "../keeping";
import { DEVICE_PLURAL } from "../panes";
import { INK, useLatest } from "../ui";
import { ReworkDialog } from "../pictures";
import { Slide } from "./slide";
import { ToneField } from "./tone-field";
import { useSetOrSay, viewAt, viewPath } from "./use-set";

type PictureViewFieldProps = { node: Part; path: Path; picture: Picture };

/** A view without what it does not say, so that nothing is kept that means nothing; undefined where it says nothing at all. */
function tidy(view: PictureView): PictureView | undefined {
  const said = Object.entries(view).filter(
    ([, value]) =>
      value !== undefined && value !== false && !(typeof value === "object" && Object.keys(value).length === 0),
  );
  return said.length ? Object.fromEntries(said) : undefined;
}

const withCrop = (view: PictureView, audience: Audience, crop: Crop | undefined): PictureView => {
  if (audience !== "all") return { ...view, [audience]: crop };
  return { ...view, focus: crop?.focus, zoom: crop?.zoom };
};

/** How a picture is shown at its place: which part of it, which way round, in which tone. Nothing of it touches the picture itself. */
export function PictureViewField({ node, path, picture }: PictureViewFieldProps) {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  const view = viewAt(node, path);
  const Sign = isOpen ? ChevronDown : ChevronRight;
  return (
    <Box sx={{ mt: 0.5 }}>
      <Button
        size="small"
        startIcon={<Sign size={15} aria-hidden />}
        aria-expanded={isOpen}
        aria-controls={id}
        onClick={() => setOpen(!isOpen)}
      >
        Crop and tone{view ? " · changed here" : ""}
      </Button>
      <Box id={id} hidden={!isOpen} sx={{ display: isOpen ? "grid" : "none", gap: 1.5, pl: 0.5, pt: 0.5 }}>
        {isOpen ? <ViewControls node={node} path={path} view={view ?? {}} picture={picture} /> : null}
      </Box>
    </Box>
  );
}

type ControlsProps = { node: Part; path: Path; view: PictureView; picture: Picture };

function ViewControls({ node, path, view, picture }: ControlsProps) {
  const at = viewPath(path);
  const store = useStudioStore();
  const [isReworking, setReworking] = useState(false);
  const put = useSetOrSay(node, path, `Picture replaced in ${nameOf(node)}`);
  const audience = useStudio((s) => s.audience);
  const device = audience === "all" ? "wide" : audience;
  const set = (next: PictureView, label: string) => {
    const { draft, run, say } = store.getState();
    const why = run(
      setProp(draft, node.id, at, tidy(next) as unknown as Json | undefined, `${label} in ${nameOf(node)}`),
    );
    if (why && why !== "It is like that already.") say(why, "problem");
  };
  const own: Crop = audience === "all" ? { focus: view.focus, zoom: view.zoom } : (view[audience] ?? {});
  const crop = audience === "all" ? own : cropOn(view, device);
  const [x, y] = crop.focus ?? picture.focus;
  const zoom = crop.zoom ?? 100;
  const change = (next: Crop) => {
    const focus = next.focus ?? crop.focus ?? picture.focus;
    const large = next.zoom ?? zoom;
    // A point of its own is kept with every enlargement: it is what the picture is enlarged about.
    set(
      withCrop(view, audience, {
        focus: [focus[0], focus[1]],
        ...(large > 100 || audience !== "all" ? { zoom: large } : {}),
      }),
      "Crop changed",
    );
  };
  const slide = useLatest((which: "zoom" | "left" | "top", value: number) =>
    change(which === "zoom" ? { zoom: value } : { focus: which === "left" ? [value, y] : [x, value] }),
  );
  const setTone = useLatest((tone: PictureView["tone"], label: string) => set({ ...view, tone }, label));
  const whom = audience === "all" ? "at this place" : `at this place on ${DEVICE_PLURAL[audience].toLowerCase()}`;
  return (
    <>
      <Box role="group" aria-label="Crop">
        <Box sx={{ display: "flex", justifyContent: "space-between", alignItems: "baseline" }}>
          <Typography variant="caption" sx={{ fontWeight: 600 }}>
            Crop, {whom}
          </Typography>
          {own.focus || own.zoom ? (
            <Link
              component="button"
              type="button"
              variant="caption"
              sx={audience === "all" ? {} : { color: INK.plum }}
              onClick={() => set(withCrop(view, audience, undefined), "Crop put back")}
            >
              put back
            </Link>
          ) : null}
        </Box>
        <Slide name="zoom" label="Enlarged" value={zoom} least={100} most={MOST_ZOOM} unit="%" onSlide={slide} />
        <Slide name="left" label="From the left" value={x} least={0} most={100} unit="%" onSlide={slide} />
        <Slide name="top" label="From the top" value={y} least={0} most={100} unit="%" onSlide={slide} />
        <FormControlLabel
          control={
            <Switch
              size="small"
              checked={view.mirror ?? false}
              onChange={(event) => set({ ...view, mirror: event.target.checked }, "Mirrored")}
            />
          }
          label={<Typography variant="body2">Mirrored</Typography>}
        />
      </Box>
      {picture.vector ? (
        <Typography variant="caption" color="text.secondary">
          A drawing keeps its own colours.
        </Typography>
      ) : (
        <>
          <ToneField picture={picture} tone={view.tone} onChange={setTone} />
          <Box>
            <Button
              size="small"
              variant="outlined"
              startIcon={<Scissors size={15} aria-hidden />}
              onClick={() => setReworking(true)}
            >
              Straighten or cut out …
            </Button>
          </Box>
        </>
      )}
      {isReworking ? (
        <ReworkDialog
          picture={picture}
          forPlace
          onClose={() => setReworking(false)}
          onMade={(made, goal) => {
            setReworking(false);
            if (goal === "here") put(made.id);
          }}
        />
      ) : null}
    </>
  );
}
