import {
  Alert,
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogTitle,
  FormControlLabel,
  LinearProgress,
  MenuItem,
  Slider,
  Switch,
  TextField,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { X } from "lucide-react";
import { useEffect, useId, useMemo, useRef, useState } from "react";
import { applyLight, frameAround } from "~/core/cutout";
import { isInCollection } from "~/core/goods";
import { sourceOf, type Light, type Picture } from "~/core/pictures";
import { solveLook } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio } from "../../keeping";
import { IconAction, INK } from "../../ui";
import { ReworkDialog } from "./rework-dialog";
import { lightsOf, reworkFor, useMaking, useSights, type Alike, type Sight } from "./use-alike";
import { saidOfCut } from "./words";
import type { Glance } from "~/workers/cutout.worker";

type AlikeDialogProps = {
  onClose: () => void;
  /** Pictures were made and stand in place of the old ones, in so many products and collections. */
  onMade: (count: number) => void;
};

/** As many pictures as are looked through at once. */
const MOST = 120;
const SHAPES: readonly (readonly [ratio: number, name: string])[] = [
  [0.8, "4 : 5, tall"],
  [0.75, "3 : 4, tall"],
  [1, "1 : 1, square"],
  [1.25, "5 : 4, wide"],
  [1.5, "3 : 2, wide"],
];

/** The shape that most of these pictures are nearest to. */
function usualShape(sights: readonly Pick<Sight, "picture">[]): number {
  const counts = new Map<number, number>();
  for (const { picture } of sights) {
    const ratio = picture.width / picture.height;
    const [nearest] = SHAPES.toSorted(
      (a, b) => Math.abs(Math.log(a[0] / ratio)) - Math.abs(Math.log(b[0] / ratio)),
    )[0]!;
    counts.set(nearest, (counts.get(nearest) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0.8;
}

/** What is wrong with the cut of a picture; null where it is well. */
function doubtOf({ glance }: Sight): string | null {
  if (glance === null) return null;
  if (glance === "failed") return "This picture could not be read.";
  if (!glance.box) return "Nothing was found on it.";
  const said = saidOfCut(glance.opened, glance.judgement, false);
  if (glance.opened.sort === "busy") return "Its ground is busy. Cut it out by hand first.";
  return said.isWell ? null : said.words;
}

const SIDE = 132;

type AfterProps = { glance: Glance; alike: Alike; light: Light | null; ground: string };

function After({ glance, alike, light, ground }: AfterProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [width, height] = alike.ratio > 1 ? [SIDE, SIDE / alike.ratio] : [SIDE * alike.ratio, SIDE];
  useEffect(() => {
    const context = canvas.current?.getContext("2d", { willReadFrequently: true });
    if (!context || !glance.box) return;
    const { width: wide, height: high } = context.canvas;
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.clearRect(0, 0, wide, high);
    const frame = frameAround(glance.box, alike);
    const scale = wide / frame.width;
    context.setTransform(scale, 0, 0, scale, 0, 0);
    context.imageSmoothingQuality = "high";
    context.drawImage(glance.picture, frame.x, frame.y);
    if (light && alike.light) {
      const pixels = context.getImageData(0, 0, wide, high);
      applyLight(pixels.data, light);
      context.putImageData(pixels, 0, 0);
    }
    context.setTransform(1, 0, 0, 1, 0, 0);
    context.globalCompositeOperation = "destination-over";
    context.fillStyle = ground;
    context.fillRect(0, 0, wide, high);
    context.globalCompositeOperation = "source-over";
  }, [glance, alike, light, ground]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label="After"
      width={Math.round(width * 2)}
      height={Math.round(height * 2)}
      style={{ width, height }}
    />
  );
}

type PairProps = {
  sight: Sight;
  alike: Alike;
  light: Light | null;
  ground: string;
  isAccepted: boolean;
  onAccept: (is: boolean) => void;
  onByHand: () => void;
};

/** A product's picture before and after, to be accepted or not. */
function Pair({ sight, alike, light, ground, isAccepted, onAccept, onByHand }: PairProps) {
  const { picture, title, glance } = sight;
  const doubt = doubtOf(sight);
  const seen = glance === "failed" ? null : glance;
  return (
    <Box
      component="li"
      sx={{
        border: `1px solid ${isAccepted ? INK.ink : INK.line}`,
        borderRadius: 1,
        p: 1,
        display: "grid",
        gap: 0.5,
        alignContent: "start",
      }}
    >
      <Box sx={{ display: "flex", gap: 1, height: SIDE, alignItems: "center", justifyContent: "center" }}>
        <img
          src={sourceOf(picture, 320)}
          alt="Before"
          loading="lazy"
          style={{ maxWidth: SIDE, maxHeight: SIDE, minWidth: 0, objectFit: "contain" }}
        />
        {seen?.box ? (
          <After glance={seen} alike={alike} light={light} ground={ground} />
        ) : (
          <Box sx={{ width: SIDE * 0.8, display: "grid", placeItems: "center" }}>
            {glance === null ? <LinearProgress sx={{ width: "70%" }} aria-label={`Looking at ${title}`} /> : null}
          </Box>
        )}
      </Box>
      <FormControlLabel
        disabled={!seen?.box}
        control={<Checkbox size="small" checked={isAccepted} onChange={(_event, is) => onAccept(is)} />}
        label={<Typography variant="body2">{title}</Typography>}
      />
      {doubt ? (
        <>
          <Typography variant="caption" sx={{ color: INK.amber }}>
            {doubt}
          </Typography>
          {seen ? (
            <Box>
              <Button size="small" aria-label={`Cut out ${title} by hand`} onClick={onByHand}>
                By hand …
              </Button>
            </Box>
          ) : null}
        </>
      ) : null}
    </Box>
  );
}

/** Brings pictures of goods to one ground, one size of the thing in its frame, one light: only those that are accepted. */
export function AlikeDialog({ onClose, onMade }: AlikeDialogProps) {
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const label = useId();
  const goods = useStudio((s) => s.stored);
  const pictures = useStudio((s) => s.pictures);
  const look = useStudio((s) => s.draft.look);
  const [which, setWhich] = useState("all");
  const all = useMemo(() => {
    const byId = new Map(pictures.map((p) => [p.id, p]));
    const collection = goods.collections.find((c) => c.id === which);
    const found = goods.products
      .filter((p) => !collection || isInCollection(goods, p, collection))
      .flatMap(({ title, pictures: [first] }) => {
        const picture = byId.get(first ?? "");
        return picture && !picture.vector ? [{ title, picture }] : [];
      });
    // The same picture of two products is one picture.
    return [...new Map(found.map((each) => [each.picture.id, each])).values()];
  }, [goods, pictures, which]);
  const wanted = useMemo(() => all.slice(0, MOST), [all]);
  const sights = useSights(wanted);
  const lights = useMemo(() => lightsOf(sights), [sights]);
  const [alike, setAlike] = useState<Alike>(() => ({
    ratio: usualShape(wanted),
    fill: 0.8,
    stand: false,
    shadow: true,
    light: true,
  }));
  const [answers, setAnswers] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [byHand, setByHand] = useState<Picture | null>(null);
  const { make, making, problem, stop } = useMaking();
  const ground = useMemo(() => solveLook(themeById(look.theme), look).roles.sets.page.raised, [look]);
  const looked = sights.filter(({ glance }) => glance !== null).length;
  const isAccepted = (sight: Sight) =>
    sight.glance !== null &&
    sight.glance !== "failed" &&
    sight.glance.box !== null &&
    (answers.get(sight.picture.id) ?? doubtOf(sight) === null);
  const accepted = sights.filter(isAccepted);
  const keep = async () => {
    const works = accepted.flatMap(({ picture, glance }) =>
      glance === null || glance === "failed"
        ? []
        : [{ picture, rework: reworkFor(glance, lights.get(picture.hash), alike) }],
    );
    const count = await make(works);
    if (count !== null) onMade(count);
  };
  const set = (next: Partial<Alike>) => setAlike({ ...alike, ...next });
  const toggle = (name: string, key: "stand" | "shadow" | "light") => (
    <FormControlLabel
      control={<Switch size="small" checked={alike[key]} onChange={(_event, is) => set({ [key]: is })} />}
      label={name}
    />
  );
  const close = () => {
    if (!making) onClose();
  };
  return (
    <Dialog
      open
      onClose={close}
      maxWidth="xl"
      fullWidth
      fullScreen={isNarrow}
      aria-labelledby="alike-pictures"
      slotProps={{ paper: { sx: isNarrow ? {} : { height: "min(860px, calc(100% - 48px))", m: 3 } } }}
    >
      <DialogTitle id="alike-pictures" component="div" sx={{ display: "flex", alignItems: "start", gap: 1 }}>
        <Box sx={{ flex: 1 }}>
          <Typography component="h2" variant="h2">
            Make product pictures alike
          </Typography>
          <Typography variant="body2" color="text.secondary">
            One ground, one size, one light. The pictures that you have stay in your library.
          </Typography>
        </Box>
        <IconAction label="Close" icon={X} disabled={making !== null} onClick={onClose} />
      </DialogTitle>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          px: 3,
          pb: 1,
          display: "grid",
          gap: 2.5,
          gridTemplateColumns: { xs: "minmax(0,1fr)", md: "240px minmax(0,1fr)" },
          gridTemplateRows: { md: "minmax(0,1fr)" },
          overflowY: { xs: "auto", md: "visible" },
        }}
      >
        <Box
          component="section"
          aria-label="What they have in common"
          sx={{ display: "grid", gap: 1.5, alignContent: "start", pt: 1 }}
        >
          <TextField select label="Pictures of" value={which} onChange={(event) => setWhich(event.target.value)}>
            <MenuItem value="all">All goods</MenuItem>
            {goods.collections.map(({ id, title }) => (
              <MenuItem key={id} value={id}>
                {title}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="Shape"
            value={alike.ratio}
            onChange={(event) => set({ ratio: Number(event.target.value) })}
          >
            {SHAPES.map(([ratio, name]) => (
              <MenuItem key={ratio} value={ratio}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <Box sx={{ px: 0.5 }}>
            <Typography variant="caption" id={label}>
              How much of its frame a thing fills: {Math.round(alike.fill * 100)} %
            </Typography>
            <Slider
              size="small"
              aria-labelledby={label}
              value={Math.round(alike.fill * 100)}
              min={50}
              max={96}
              onChange={(_event, next) => set({ fill: next / 100 })}
            />
          </Box>
          <Box sx={{ display: "grid", pl: 1 }}>
            {toggle("All stand on one line", "stand")}
            {toggle("Keep their shadows", "shadow")}
            {toggle("Bring them to one light", "light")}
          </Box>
          <Typography variant="caption" color="text.secondary">
            They get no ground of their own, so they stand on your shop’s, whatever theme you choose. The light is told
            from the ground that each was photographed on.
          </Typography>
        </Box>
        <Box sx={{ minHeight: 0, overflowY: { md: "auto" }, pr: 0.5 }}>
          {sights.length === 0 ? (
            <Typography color="text.secondary">There are no product pictures here yet.</Typography>
          ) : (
            <Box
              component="ul"
              aria-label="Before and after"
              sx={{
                listStyle: "none",
                p: 0,
                m: 0,
                display: "grid",
                gap: 1.25,
                gridTemplateColumns: "repeat(auto-fill, minmax(min(100%, 270px), 1fr))",
              }}
            >
              {sights.map((sight) => (
                <Pair
                  key={sight.picture.id}
                  sight={sight}
                  alike={alike}
                  light={lights.get(sight.picture.hash) ?? null}
                  ground={ground}
                  isAccepted={isAccepted(sight)}
                  onAccept={(is) => setAnswers(new Map(answers).set(sight.picture.id, is))}
                  onByHand={() => setByHand(sight.picture)}
                />
              ))}
            </Box>
          )}
          {all.length > MOST ? (
            <Typography variant="caption" color="text.secondary">
              These are the first {MOST} of {all.length}. Choose a collection to see its goods.
            </Typography>
          ) : null}
        </Box>
      </Box>
      <Box role="status" sx={{ px: 3 }}>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
        {making ? (
          <LinearProgress
            variant="determinate"
            value={(100 * (making.at - 1)) / making.of}
            aria-label="Making the pictures"
          />
        ) : null}
      </Box>
      {byHand ? <ReworkDialog picture={byHand} onClose={() => setByHand(null)} onMade={() => setByHand(null)} /> : null}
      <DialogActions sx={{ px: 3, py: 1.5, flexWrap: "wrap", gap: 1 }}>
        <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
          {making
            ? `Making ${making.at} of ${making.of} …`
            : looked < sights.length
              ? `${looked} of ${sights.length} looked at …`
              : `${accepted.length} of ${sights.length} accepted`}
        </Typography>
        {making ? (
          <Button onClick={stop}>Stop</Button>
        ) : (
          <>
            <Button onClick={onClose}>Cancel</Button>
            <Button variant="contained" disabled={accepted.length === 0} onClick={() => void keep()}>
              {accepted.length === 0
                ? "Replace pictures"
                : accepted.length === 1
                  ? "Replace 1 picture"
                  : `Replace ${accepted.length} pictures`}
            </Button>
          </>
        )}
      </DialogActions>
    </Dialog>
  );
}
