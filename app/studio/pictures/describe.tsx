import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  TextField,
  Typography,
} from "@mui/material";
import { Replace, Scissors, Trash2 } from "lucide-react";
import { useMemo, useState, type MouseEvent } from "react";
import { sourceOf, type Picture } from "~/core/pictures";
import { useStudio } from "../keeping";
import { INK, PlacesList, useWhenChanged } from "../ui";
import { TagsField } from "./tags-field";
import { useDescribe } from "./use-describe";
import { usesOfPictures } from "./uses";

/** Where pictures stand, in words. */
function WhereUsed({ pictures }: { pictures: readonly Picture[] }) {
  const draft = useStudio((s) => s.draft);
  const stored = useStudio((s) => s.stored);
  const places = useMemo(
    () => usesOfPictures(new Set(pictures.map((p) => p.id)), draft, stored),
    [pictures, draft, stored],
  );
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

type RemoveProps = { pictures: readonly Picture[]; onClose: () => void; onGo: () => void };

/** Asks before pictures go, and says what their places will look like then. */
export function RemoveDialog({ pictures, onClose, onGo }: RemoveProps) {
  const isOne = pictures.length === 1;
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="remove-picture">
      <DialogTitle id="remove-picture" component="h2" sx={{ typography: "h2" }}>
        {isOne ? "Remove this picture?" : `Remove these ${pictures.length} pictures?`}
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 1.5 }}>
        <WhereUsed pictures={pictures} />
        <Typography color="text.secondary">
          {isOne
            ? "It goes from the library and from the shop at once. Places that showed it stand in your brand’s colour until they get another one. Undo brings it back; so does uploading it again, for 30 days."
            : "They go from the library and from the shop at once. Places that showed them stand in your brand’s colour until they get others. Undo brings them back; so does uploading them again, for 30 days."}
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
export function Describe({ picture, onRemove, onRework, onReplace, onSaved }: DescribeProps) {
  const { describe, isBusy, problem } = useDescribe();
  const one = useMemo(() => [picture], [picture]);
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
      <TagsField key={picture.id} pictures={one} />
      <WhereUsed pictures={one} />
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

type SeveralProps = {
  chosen: readonly Picture[];
  /** How many there are to choose from. */
  count: number;
  onAll: () => void;
  onRemove: () => void;
  onDone: () => void;
};

/** What can be done with several pictures at once. */
export function Several({ chosen, count, onAll, onRemove, onDone }: SeveralProps) {
  const isNone = chosen.length === 0;
  return (
    <Box
      component="aside"
      aria-label="Chosen pictures"
      sx={{
        display: "grid",
        gap: { xs: 1, md: 1.5 },
        alignContent: "start",
        gridTemplateColumns: { xs: "1fr 1fr", md: "minmax(0,1fr)" },
        "& > .whole": { gridColumn: "1/-1" },
      }}
    >
      <Typography variant="subtitle1" role="status" className="whole">
        {isNone ? "Press the pictures that you mean." : chosen.length === 1 ? "1 chosen" : `${chosen.length} chosen`}
      </Typography>
      {isNone ? null : (
        <Box className="whole">
          <TagsField key={chosen.map((p) => p.id).join()} pictures={chosen} />
        </Box>
      )}
      <Button variant="outlined" disabled={chosen.length === count} onClick={onAll}>
        {count === 1 ? "Choose the one shown" : `Choose all ${count} shown`}
      </Button>
      <Button color="error" disabled={isNone} startIcon={<Trash2 size={16} aria-hidden />} onClick={onRemove}>
        Remove …
      </Button>
      <Button variant="contained" onClick={onDone} className="whole">
        Done
      </Button>
    </Box>
  );
}
