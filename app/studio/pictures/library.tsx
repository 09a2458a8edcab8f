import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Drawer,
  TextField,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { LayoutGrid, Replace, Scissors, Trash2, X } from "lucide-react";
import { useMemo, useState, type MouseEvent } from "react";
import { isLogo } from "~/core/document";
import { sourceOf, type ColourName, type Picture } from "~/core/pictures";
import { removePictures } from "~/core/protocol";
import { useReload, useStudio, useStudioStore } from "../keeping";
import { Blank, FindField, IconAction, INK, PlacesList, useWhenChanged } from "../ui";
import { belongs, coloursIn, NARROWED, picturesNamed, type Narrowed } from "./find";
import { Narrow } from "./narrow";
import { PicturePicker } from "./picker";
import { PictureGrid } from "./picture-grid";
import { replaceEverywhere } from "./replace";
import { AlikeDialog, ReworkDialog } from "./rework";
import { Uploader } from "./uploader";
import { usedIn, usesOfPicture } from "./uses";
import { useDescribe } from "./use-describe";

/** Where a picture stands, in words. */
function WhereUsed({ picture }: { picture: Picture }) {
  const draft = useStudio((s) => s.draft);
  const stored = useStudio((s) => s.stored);
  const places = useMemo(() => usesOfPicture(picture.id, draft, stored), [picture.id, draft, stored]);
  return (
    <Box>
      <Typography variant="subtitle2">Where it is used</Typography>
      {places.length ? (
        <PlacesList label="Where it is used" places={places} most={8} />
      ) : (
        <Typography color="text.secondary">Nowhere yet.</Typography>
      )}
    </Box>
  );
}

/** Asks before a picture goes, and says what its places will look like then. */
function RemoveDialog({ picture, onClose, onGo }: { picture: Picture; onClose: () => void; onGo: () => void }) {
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="remove-picture">
      <DialogTitle id="remove-picture" component="h2" sx={{ typography: "h2" }}>
        Remove this picture?
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 1.5 }}>
        <WhereUsed picture={picture} />
        <Typography color="text.secondary">
          It goes from the library and from the shop at once. Places that showed it stand in your brand’s colour until
          they get another one. Undo brings it back; so does uploading it again, for 30 days.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" color="error" onClick={onGo}>
          Remove
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type DescribeProps = {
  picture: Picture;
  onRemove: () => void;
  onRework: () => void;
  /** Null where it stands nowhere. */
  onReplace: (() => void) | null;
  onSaved: () => void;
};

/** Says what a picture shows and what must stay in view when it is cropped. */
function Describe({ picture, onRemove, onRework, onReplace, onSaved }: DescribeProps) {
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
    <Box component="aside" aria-label="About this picture" sx={{ display: "grid", gap: 1.5, alignContent: "start" }}>
      <Box
        sx={{
          position: "relative",
          width: "fit-content",
          mx: "auto",
          cursor: "crosshair",
          lineHeight: 0,
          border: `1px solid ${INK.line}`,
        }}
        onClick={point}
      >
        <img
          src={sourceOf(picture, 640)}
          alt={picture.alt}
          style={{ width: "auto", height: "auto", maxWidth: "100%", maxHeight: "46dvh" }}
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
      {picture.vector ? null : (
        <Button variant="outlined" startIcon={<Scissors size={16} aria-hidden />} onClick={onRework}>
          Straighten or cut out …
        </Button>
      )}
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
      <WhereUsed picture={picture} />
      {problem ? <Alert severity="error">{problem}</Alert> : null}
      <Button
        variant="contained"
        disabled={!isChanged || isBusy}
        onClick={async () => {
          if ((await describe({ id: picture.id, alt, focus })) === null) onSaved();
        }}
      >
        {isBusy ? "Saving …" : "Save"}
      </Button>
      {onReplace ? (
        <Button startIcon={<Replace size={16} aria-hidden />} onClick={onReplace}>
          Put another in its place …
        </Button>
      ) : null}
      <Button color="error" startIcon={<Trash2 size={16} aria-hidden />} onClick={onRemove}>
        Remove …
      </Button>
    </Box>
  );
}

/** The shop's pictures. */
export function Library() {
  const store = useStudioStore();
  const reload = useReload();
  const pictures = useStudio((s) => s.pictures);
  const identity = useStudio((s) => s.draft.look.identity);
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [chosen, setChosen] = useState<string | null>(null);
  const [sought, setSought] = useState("");
  const [asking, setAsking] = useState<Picture | null>(null);
  const [gone, setGone] = useState<Picture | null>(null);
  const [reworking, setReworking] = useState<Picture | null>(null);
  /** The one that was replaced last, and by which. */
  const [replaced, setReplaced] = useState<readonly [old: Picture, next: Picture] | null>(null);
  const [isAliking, setAliking] = useState(false);
  const hasGoods = useStudio((s) => s.stored.products.some(({ pictures: own }) => own.length > 0));
  const say = useStudio((s) => s.say);
  const [replacing, setReplacing] = useState<Picture | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [narrowed, setNarrowed] = useState<Narrowed>("all");
  const [colour, setColour] = useState<ColourName | null>(null);
  const draft = useStudio((s) => s.draft);
  const stored = useStudio((s) => s.stored);
  const used = useMemo(() => usedIn(draft, stored, pictures), [draft, stored, pictures]);
  const named = picturesNamed(pictures, sought);
  const inShape = named.filter((p) => belongs(p, narrowed, used));
  const found = colour ? inShape.filter((p) => coloursIn(p).has(colour)) : inShape;
  const choices = (Object.keys(NARROWED) as Narrowed[]).map(
    (each) => [each, named.filter((p) => belongs(p, each, used)).length] as const,
  );
  // On a narrow screen the details lie over the pictures, and only when they are asked for.
  const picture = pictures.find((p) => p.id === chosen) ?? (isNarrow ? undefined : found[0]);
  const change = async (which: Picture, restore: boolean) => {
    setProblem(null);
    const reply = await store.getState().client.ask(removePictures, { ids: [which.id], restore });
    if (!reply.ok) return setProblem(reply.why);
    await reload();
    setGone(restore ? null : which);
    setChosen(restore ? which.id : null);
  };
  const replace = async (old: Picture, next: Picture, isBack = false) => {
    setProblem(null);
    setReplaced(null);
    const why = await replaceEverywhere(store, old, next);
    await reload();
    if (why) return setProblem(why);
    setReplaced(isBack || old.id === next.id ? null : [old, next]);
    setChosen(next.id);
  };
  const details = picture ? (
    <Describe
      picture={picture}
      onReplace={used.has(picture.id) ? () => setReplacing(picture) : null}
      onRemove={() => setAsking(picture)}
      onRework={() => setReworking(picture)}
      onSaved={() => {
        // Whoever goes through those that lack a description comes to the next.
        if (narrowed === "bare") setChosen(found[found.findIndex((p) => p.id === picture.id) + 1]?.id ?? null);
      }}
    />
  ) : null;
  return (
    <Box sx={{ height: "100%", p: { xs: 1.5, md: 3 }, pb: { xs: 0, md: 0 } }}>
      <Box
        sx={{
          maxWidth: 1480,
          height: "100%",
          mx: "auto",
          display: "grid",
          gap: 2,
          gridTemplateRows: "auto auto auto minmax(0,1fr)",
          gridTemplateColumns: "minmax(0,1fr)",
        }}
      >
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}>
          <Box sx={{ flex: 1, minWidth: 140 }}>
            <Typography variant="h1">Pictures</Typography>
            <Typography color="text.secondary">
              {pictures.length === 1 ? "1 picture" : `${pictures.length} pictures`}
            </Typography>
          </Box>
          {pictures.length ? <FindField label="Find by words" value={sought} onChange={setSought} width={220} /> : null}
          {hasGoods ? (
            <Button
              variant="outlined"
              startIcon={<LayoutGrid size={16} aria-hidden />}
              onClick={() => setAliking(true)}
            >
              Make product pictures alike …
            </Button>
          ) : null}
          <Uploader several label="Upload pictures" onAdded={(added) => setChosen(isNarrow ? null : added.id)} />
        </Box>
        <Narrow
          choices={choices}
          value={narrowed}
          onChange={setNarrowed}
          pictures={inShape}
          colour={colour}
          onColour={setColour}
        />
        <Box role="status" sx={{ display: "grid", gap: 1 }}>
          {gone ? (
            <Alert
              severity="success"
              onClose={() => setGone(null)}
              action={
                <Button color="inherit" onClick={() => void change(gone, true)}>
                  Undo
                </Button>
              }
            >
              “{gone.alt || gone.name}” is removed.
            </Alert>
          ) : null}
          {replaced ? (
            <Alert
              severity="success"
              onClose={() => setReplaced(null)}
              action={
                <Button color="inherit" onClick={() => void replace(replaced[1], replaced[0], true)}>
                  Put the old one back
                </Button>
              }
            >
              The new picture stands wherever “{replaced[0].alt || replaced[0].name}” stood.
            </Alert>
          ) : null}
          {problem ? <Alert severity="error">{problem}</Alert> : null}
        </Box>
        {pictures.length === 0 ? (
          <Box>
            <Blank
              title="No pictures yet"
              text="Upload photos of your goods, and of what is behind them. They are turned upright, and made in the right size for every screen, by themselves."
            />
          </Box>
        ) : (
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) 300px" },
              gridTemplateRows: "minmax(0,1fr)",
              gap: 3,
              minHeight: 0,
            }}
          >
            {found.length ? (
              <PictureGrid
                label={`Pictures, ${found.length}`}
                pictures={found}
                chosen={picture?.id ?? null}
                onChoose={(each) => setChosen(each.id)}
                note={(each) => (isLogo(identity, each.id) ? "logo" : each.alt ? undefined : "not described")}
              />
            ) : (
              <Typography color="text.secondary">
                {sought ? `No picture here is described by “${sought}”.` : "There is none of these."}
              </Typography>
            )}
            {isNarrow ? (
              <Drawer
                anchor="bottom"
                open={picture !== undefined}
                onClose={() => setChosen(null)}
                slotProps={{ paper: { sx: { maxHeight: "86dvh", p: 2 } } }}
              >
                <Box sx={{ display: "flex", justifyContent: "flex-end" }}>
                  <IconAction label="Close" icon={X} onClick={() => setChosen(null)} />
                </Box>
                {details}
              </Drawer>
            ) : (
              <Box sx={{ overflowY: "auto", pb: 3 }}>{details}</Box>
            )}
          </Box>
        )}
      </Box>
      {isAliking ? (
        <AlikeDialog
          onClose={() => setAliking(false)}
          onMade={(count) => {
            setAliking(false);
            say(
              `New pictures stand in ${count === 1 ? "1 place" : `${count} places`} of your goods. Undo in Goods takes them back.`,
            );
          }}
        />
      ) : null}
      {replacing ? (
        <PicturePicker
          open
          onClose={() => setReplacing(null)}
          onChoose={(id) => {
            setReplacing(null);
            // One that was uploaded just now is known to the store alone.
            const next = store.getState().pictures.find((p) => p.id === id);
            if (next) void replace(replacing, next);
          }}
        />
      ) : null}
      {reworking ? (
        <ReworkDialog
          picture={reworking}
          onClose={() => setReworking(null)}
          onMade={(made, goal) => {
            setReworking(null);
            setChosen(made.id);
            setReplaced(goal === "everywhere" ? [reworking, made] : null);
          }}
        />
      ) : null}
      {asking ? (
        <RemoveDialog
          picture={asking}
          onClose={() => setAsking(null)}
          onGo={() => {
            setAsking(null);
            void change(asking, false);
          }}
        />
      ) : null}
    </Box>
  );
}
