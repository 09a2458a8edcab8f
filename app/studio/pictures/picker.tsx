import {
  Alert,
  Box,
  Button,
  CircularProgress,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { X } from "lucide-react";
import { useState } from "react";
import { isLogo } from "~/core/document";
import type { ColourName, Picture } from "~/core/pictures";
import { MOST_TAKEN, takeStock } from "~/core/protocol";
import { useReload, useStudio, useStudioStore } from "../keeping";
import { FindField, IconAction } from "../ui";
import { belongs, coloursIn, picturesNamed, SHAPES, withTag, type Narrowed } from "./find";
import { Narrow } from "./narrow";
import { PictureGrid } from "./picture-grid";
import { stockSource, useStock } from "./stock";
import { Uploader } from "./uploader";

type PickerProps = {
  open: boolean;
  onClose: () => void;
  /** One is chosen. Absent where several are. */
  onChoose?: (picture: string) => void;
  /** Pictures that belong to what one is chosen for: they come first. */
  own?: readonly string[];
  /** Several are chosen, or were uploaded together. */
  onSeveral?: (pictures: readonly string[]) => void;
  /** How many can be chosen where several are. */
  most?: number;
  /** Only what the stock room has is shown: for taking it into the library. */
  fromStock?: boolean;
};

/** Chooses a picture of the library or the stock room, or takes new ones in. What belongs to the matter comes first, then the newest. */
export const PicturePicker = ({ open, ...choice }: PickerProps) => (
  <Dialog
    open={open}
    onClose={choice.onClose}
    maxWidth="md"
    fullWidth
    aria-labelledby="choose-picture"
    slotProps={{ paper: { sx: { height: "min(760px, calc(100% - 64px))" } } }}
  >
    <Choice {...choice} />
  </Dialog>
);

const NONE: ReadonlySet<string> = new Set();

/** What is in the dialog. There is one of these dialogs for each variant of a product: closed, they do no work. */
function Choice({
  onClose,
  onChoose,
  own = [],
  onSeveral,
  most = Infinity,
  fromStock = false,
}: Omit<PickerProps, "open">) {
  const store = useStudioStore();
  const reload = useReload();
  const library = useStudio((s) => s.pictures);
  const identity = useStudio((s) => s.draft.look.identity);
  // In the order in which they were pressed; scenes of the stock room by their names.
  const [taken, setTaken] = useState<readonly string[]>([]);
  const [isStock, setStock] = useState(fromStock);
  const scenes = useStock(isStock);
  const [isTaking, setTaking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [sought, setSought] = useState("");
  const [shape, setShape] = useState<Narrowed>("all");
  const [colour, setColour] = useState<ColourName | null>(null);
  const [tag, setTag] = useState<string | null>(null);
  const isMany = onChoose === undefined;

  /** What is chosen, with each scene of the stock room taken into the library first. */
  const choose = async (chosen: readonly string[], then: (pictures: readonly string[]) => void) => {
    const names = chosen.filter((id) => !library.some((p) => p.id === id));
    if (names.length === 0) return then(chosen);
    setProblem(null);
    setTaking(true);
    const answer = await store.getState().client.ask(takeStock, { names });
    if (answer.ok) await reload();
    setTaking(false);
    if (!answer.ok) return setProblem(answer.why);
    then(chosen.map((id) => answer.value.ids[names.indexOf(id)] ?? id));
  };
  const press = (id: string) => {
    if (onChoose) return void choose([id], ([picture]) => picture !== undefined && onChoose(picture));
    const limit = Math.min(most, fromStock ? MOST_TAKEN : Infinity);
    setTaken(taken.includes(id) ? taken.filter((each) => each !== id) : [...taken, id].slice(0, limit));
  };

  const pictures: readonly Picture[] = isStock ? (scenes ?? []) : library;
  const named = withTag(picturesNamed(pictures, sought), pictures, tag);
  const inShape = named.filter((p) => belongs(p, shape, NONE));
  const found = colour ? inShape.filter((p) => coloursIn(p).has(colour)) : inShape;
  const shapes = SHAPES.map((each) => [each, named.filter((p) => belongs(p, each, NONE)).length] as const);
  // A logo is chosen as a picture only by whoever looks for it.
  const rank = (id: string) => (own.includes(id) ? 0 : isLogo(identity, id) ? 2 : 1);
  const sorted = isStock ? found : found.toSorted((a, b) => rank(a.id) - rank(b.id));
  const change = (to: boolean) => {
    setStock(to);
    setShape("all");
    setColour(null);
    setTag(null);
  };
  return (
    <>
      <DialogTitle
        id="choose-picture"
        component="div"
        sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}
      >
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          {fromStock ? "Stock room" : isMany ? "Choose pictures" : "Choose a picture"}
        </Typography>
        {fromStock ? null : (
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="Where from"
            value={isStock ? "stock" : "own"}
            onChange={(_, to: "stock" | "own" | null) => to && change(to === "stock")}
          >
            <ToggleButton value="own">Your pictures</ToggleButton>
            <ToggleButton value="stock">Stock room</ToggleButton>
          </ToggleButtonGroup>
        )}
        <FindField label="Find by words" value={sought} onChange={setSought} width={220} />
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent
        sx={{ display: "grid", gap: 1.5, gridTemplateRows: "auto auto minmax(0,1fr)", overflow: "hidden" }}
      >
        {isStock ? (
          <Box role="status">
            {problem ? (
              <Alert severity="error">{problem}</Alert>
            ) : isTaking && !isMany ? (
              <LinearProgress aria-label="Taking it into your pictures" />
            ) : (
              <Typography variant="body2" color="text.secondary">
                Free to use in your shop; nobody has to be named. What you choose is copied into your pictures.
              </Typography>
            )}
          </Box>
        ) : (
          <Uploader
            several
            label="Upload pictures"
            onDone={(added) => {
              const ids = added.map((p) => p.id);
              if (ids.length === 1 && onChoose) onChoose(ids[0]!);
              else if (ids.length) onSeveral?.(ids);
            }}
          />
        )}
        <Narrow
          choices={shapes}
          value={shape}
          onChange={setShape}
          pictures={inShape}
          colour={colour}
          onColour={setColour}
          all={pictures}
          tag={tag}
          onTag={setTag}
        />
        {sorted.length ? (
          <PictureGrid
            // The scroll of one place is not that of the other.
            key={isStock ? "stock" : "own"}
            label={`Pictures, ${sorted.length}`}
            pictures={sorted}
            {...(isMany ? { taken } : {})}
            {...(isStock ? { source: stockSource } : {})}
            onChoose={(picture) => press(picture.id)}
            note={(picture) =>
              isStock
                ? undefined
                : own.includes(picture.id)
                  ? "its own"
                  : isLogo(identity, picture.id)
                    ? "logo"
                    : undefined
            }
          />
        ) : isStock && scenes === null ? (
          <Box sx={{ display: "grid", placeItems: "center" }}>
            <CircularProgress aria-label="Opening the stock room" />
          </Box>
        ) : (
          <Box sx={{ display: "grid", gap: 1.5, alignContent: "start", justifyItems: "start" }}>
            <Typography color="text.secondary">
              {isStock && scenes === undefined
                ? "The stock room could not be opened. Check the connection, then open it again."
                : pictures.length
                  ? sought
                    ? `No picture is described by “${sought}”.`
                    : "There is none of these."
                  : "There are no pictures yet. Upload the first ones above, or take some from the stock room."}
            </Typography>
            {!isStock && (sought || pictures.length === 0) ? (
              <Button variant="outlined" onClick={() => change(true)}>
                Look in the stock room
              </Button>
            ) : null}
          </Box>
        )}
      </DialogContent>
      {isMany ? (
        <DialogActions>
          <Typography variant="body2" color="text.secondary" sx={{ flex: 1, pl: 2 }} role="status">
            {taken.length === 0
              ? fromStock
                ? "Press the pictures that you want."
                : "Press the pictures that you want, in their order."
              : taken.length >= most || (fromStock && taken.length >= MOST_TAKEN)
                ? `${taken.length} chosen. There is no room for more.`
                : `${taken.length} chosen`}
          </Typography>
          <Button onClick={onClose}>Cancel</Button>
          <Button
            variant="contained"
            disabled={taken.length === 0}
            loading={isTaking}
            onClick={() => void choose(taken, (ids) => onSeveral?.(ids))}
          >
            {fromStock ? "Add to your pictures" : taken.length > 1 ? `Add ${taken.length} pictures` : "Add"}
          </Button>
        </DialogActions>
      ) : null}
    </>
  );
}
