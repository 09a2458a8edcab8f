import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogTitle,
  FormControlLabel,
  LinearProgress,
  Radio,
  RadioGroup,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { Redo2, Undo2, X } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { AS_IT_IS, isAsItIs, wholeAddress, type Picture, type Rework } from "~/core/pictures";
import { readRework } from "~/core/protocol";
import { useReload, useStudio, useStudioStore } from "../../keeping";
import { IconAction, INK } from "../../ui";
import { usesOfPicture } from "../uses";
import { placePicture, type Goal } from "./place-picture";
import { Stage, type Brush } from "./stage";
import { CutTools, Sight, StraightTools } from "./tools";
import { useCutter } from "./use-cutter";

type ReworkDialogProps = {
  picture: Picture;
  onClose: () => void;
  /** It has been made and kept, and stands wherever the old one stood if that is its goal. */
  onMade: (picture: Picture, goal: Goal) => void;
  /** Whether it was opened for one place, to which the result can go alone. */
  forPlace?: boolean;
};

/** Straightens, turns and cuts out a picture. The original stays; what was done can be taken up again later. */
export function ReworkDialog({ picture, ...rest }: ReworkDialogProps) {
  const pictures = useStudio((s) => s.pictures);
  const client = useStudio((s) => s.client);
  const original = pictures.find((p) => p.id === picture.madeOf);
  const hasOriginal = original !== undefined;
  const [start, setStart] = useState<Rework | null>(hasOriginal ? null : AS_IT_IS);
  useEffect(() => {
    if (!hasOriginal) return;
    let isGone = false;
    void client.ask(readRework, { id: picture.id }).then((reply) => {
      if (!isGone) setStart((reply.ok && reply.value.rework) || AS_IT_IS);
    });
    return () => {
      isGone = true;
    };
  }, [hasOriginal, client, picture.id]);
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  return (
    <Dialog
      open
      onClose={rest.onClose}
      maxWidth="xl"
      fullWidth
      fullScreen={isNarrow}
      aria-labelledby="rework-picture"
      slotProps={{ paper: { sx: isNarrow ? {} : { height: "min(860px, calc(100% - 48px))", m: 3 } } }}
    >
      {start ? (
        <Work key={picture.id} old={picture} source={original ?? picture} start={start} {...rest} />
      ) : (
        <LinearProgress aria-label="Opening the picture" />
      )}
    </Dialog>
  );
}

type History = { readonly past: readonly Rework[]; readonly now: Rework; readonly future: readonly Rework[] };

/** What is being done, with its steps back and on. A change under the same `key` as the last one belongs to its step. */
function useSteps(start: Rework) {
  const [{ past, now, future }, setSteps] = useState<History>({ past: [], now: start, future: [] });
  const [lastKey, setLastKey] = useState("");
  return {
    now,
    change: (next: Rework, key = "") => {
      const isSame = key !== "" && key === lastKey;
      setSteps({ past: isSame ? past : [...past, now], now: next, future: [] });
      setLastKey(key);
    },
    undo: past.length
      ? () => {
          setSteps({ past: past.slice(0, -1), now: past.at(-1)!, future: [now, ...future] });
          setLastKey("");
        }
      : null,
    redo: future.length
      ? () => {
          setSteps({ past: [...past, now], now: future[0]!, future: future.slice(1) });
          setLastKey("");
        }
      : null,
  };
}

type WorkProps = Omit<ReworkDialogProps, "picture"> & {
  /** The picture that stands where the new one will. */
  old: Picture;
  /** The picture that it is made of. */
  source: Picture;
  start: Rework;
};

function Work({ old, source, start, onClose, onMade, forPlace = false }: WorkProps) {
  const store = useStudioStore();
  const reload = useReload();
  const draft = useStudio((s) => s.draft);
  const stored = useStudio((s) => s.stored);
  const places = useMemo(() => usesOfPicture(old.id, draft, stored), [old.id, draft, stored]);
  const { now, change, undo, redo } = useSteps(start);
  const cutter = useCutter(wholeAddress(source), now.cut);
  const [brush, setBrush] = useState<Brush | null>(null);
  const [ground, setGround] = useState("none");
  const [zoom, setZoom] = useState(1);
  const [isLeaning, setLeaning] = useState(false);
  const [goal, setGoal] = useState<Goal>(forPlace ? "here" : places.length ? "everywhere" : "library");
  const [isMaking, setMaking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const isUnchanged = JSON.stringify(now) === JSON.stringify(start) || isAsItIs(now);

  const keep = async () => {
    setMaking(true);
    setProblem(null);
    const blob = await cutter.make(now);
    if (!blob) {
      setMaking(false);
      return setProblem(
        blob === null
          ? "Nothing is left of the picture. Paint over what stays with the brush “Keep”."
          : "The picture could not be made. It may be too large for this browser.",
      );
    }
    const placed = await placePicture(store, old, { blob, of: source.id, rework: now }, goal);
    await reload();
    setMaking(false);
    if (!placed.ok) return setProblem(placed.why);
    onMade(placed.picture, goal);
  };

  return (
    <Box
      sx={{ display: "contents" }}
      onKeyDown={(event) => {
        if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return;
        event.preventDefault();
        (event.shiftKey ? redo : undo)?.();
      }}
    >
      <DialogTitle id="rework-picture" component="div" sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <Typography component="h2" variant="h2" sx={{ flex: 1, minWidth: 0, fontSize: { xs: 18, md: "inherit" } }}>
          Straighten and cut out
        </Typography>
        <IconAction label="Undo" icon={Undo2} disabled={!undo} onClick={() => undo?.()} />
        <IconAction label="Redo" icon={Redo2} disabled={!redo} onClick={() => redo?.()} />
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          px: 3,
          display: "grid",
          gap: 2.5,
          gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) 320px" },
          gridTemplateRows: { xs: "auto auto", md: "minmax(0,1fr)" },
          overflowY: { xs: "auto", md: "visible" },
        }}
      >
        <Box
          sx={{
            display: "grid",
            gridTemplateRows: { xs: "max(130px,34dvh) auto", md: "minmax(0,1fr) auto" },
            gap: 1,
            minHeight: 0,
            // On a narrow screen the tools scroll beneath the picture that they work on.
            position: { xs: "sticky", md: "static" },
            top: 0,
            zIndex: 1,
            bgcolor: INK.raised,
          }}
        >
          <Stage
            picture={source}
            image={cutter.picture}
            rework={now}
            look={cutter.look}
            ground={ground}
            brush={now.cut ? brush : null}
            zoom={zoom}
            hasLines={isLeaning}
            onStroke={(stroke) =>
              now.cut && change({ ...now, cut: { ...now.cut, strokes: [...now.cut.strokes, stroke] } })
            }
          />
          <Sight ground={now.cut ? ground : null} onGround={setGround} zoom={zoom} onZoom={setZoom} />
        </Box>
        <Box sx={{ overflowY: { md: "auto" }, display: "grid", gap: 2.5, alignContent: "start", pr: 0.5 }}>
          <StraightTools rework={now} onChange={change} onLeaning={setLeaning} />
          <CutTools rework={now} cutter={cutter} brush={brush} onBrush={setBrush} onChange={change} />
        </Box>
      </Box>
      <Box role="status" sx={{ px: 3, pt: problem ? 1 : 0 }}>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
      </Box>
      <DialogActions sx={{ px: 3, py: 1.5, gap: 1, flexWrap: "wrap" }}>
        {!forPlace && places.length === 0 ? (
          <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
            It goes into the library; the old one stays as well.
          </Typography>
        ) : (
          <RadioGroup
            row
            aria-label="Where the new picture goes"
            value={goal}
            onChange={(_event, value) => setGoal(value as Goal)}
            sx={{ flex: 1, columnGap: 1 }}
          >
            {forPlace ? <FormControlLabel value="here" control={<Radio size="small" />} label="Only here" /> : null}
            {places.length > (forPlace ? 1 : 0) ? (
              <FormControlLabel
                value="everywhere"
                control={<Radio size="small" />}
                label={
                  places.length === 1
                    ? `Where the old one stands: ${places[0]}`
                    : `Everywhere the old one stands, in ${places.length} places`
                }
              />
            ) : null}
            <FormControlLabel value="library" control={<Radio size="small" />} label="Into the library alone" />
          </RadioGroup>
        )}
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={isUnchanged || isMaking || cutter.hasFailed} onClick={() => void keep()}>
          {isMaking ? "Making it …" : "Keep the new picture"}
        </Button>
      </DialogActions>
    </Box>
  );
}
