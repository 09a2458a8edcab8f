import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { X } from "lucide-react";
import { useState } from "react";
import { isLogo } from "~/core/document";
import type { ColourName } from "~/core/pictures";
import { useStudio } from "../keeping";
import { FindField, IconAction } from "../ui";
import { belongs, coloursIn, picturesNamed, SHAPES, withTag, type Narrowed } from "./find";
import { Narrow } from "./narrow";
import { PictureGrid } from "./picture-grid";
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
};

/** Chooses a picture of the library, or takes new ones in. What belongs to the matter comes first, then the newest. */
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

/** What is in the dialog. There is one of these dialogs for each variant of a product: closed, they do no work. */
function Choice({ onClose, onChoose, own = [], onSeveral, most = Infinity }: Omit<PickerProps, "open">) {
  // In the order in which they were pressed.
  const [taken, setTaken] = useState<readonly string[]>([]);
  const isMany = onChoose === undefined;
  const press = (id: string) => {
    if (onChoose) return onChoose(id);
    setTaken(taken.includes(id) ? taken.filter((each) => each !== id) : [...taken, id].slice(0, most));
  };
  const pictures = useStudio((s) => s.pictures);
  const identity = useStudio((s) => s.draft.look.identity);
  const [sought, setSought] = useState("");
  const [shape, setShape] = useState<Narrowed>("all");
  const [colour, setColour] = useState<ColourName | null>(null);
  const [tag, setTag] = useState<string | null>(null);
  const worded = picturesNamed(pictures, sought);
  const named = withTag(worded, pictures, tag);
  const none: ReadonlySet<string> = new Set();
  const inShape = named.filter((p) => belongs(p, shape, none));
  const found = colour ? inShape.filter((p) => coloursIn(p).has(colour)) : inShape;
  const shapes = SHAPES.map((each) => [each, named.filter((p) => belongs(p, each, none)).length] as const);
  // A logo is chosen as a picture only by whoever looks for it.
  const rank = (id: string) => (own.includes(id) ? 0 : isLogo(identity, id) ? 2 : 1);
  const sorted = found.toSorted((a, b) => rank(a.id) - rank(b.id));
  return (
    <>
      <DialogTitle
        id="choose-picture"
        component="div"
        sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}
      >
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          {isMany ? "Choose pictures" : "Choose a picture"}
        </Typography>
        <FindField label="Find by words" value={sought} onChange={setSought} width={240} />
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent
        sx={{ display: "grid", gap: 1.5, gridTemplateRows: "auto auto minmax(0,1fr)", overflow: "hidden" }}
      >
        <Uploader
          several
          label="Upload pictures"
          onDone={(added) => {
            const ids = added.map((p) => p.id);
            if (ids.length === 1 && onChoose) onChoose(ids[0]!);
            else if (ids.length) onSeveral?.(ids);
          }}
        />
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
            label={`Pictures, ${sorted.length}`}
            pictures={sorted}
            {...(isMany ? { taken } : {})}
            onChoose={(picture) => press(picture.id)}
            note={(picture) =>
              own.includes(picture.id) ? "its own" : isLogo(identity, picture.id) ? "logo" : undefined
            }
          />
        ) : (
          <Box>
            <Typography color="text.secondary">
              {pictures.length
                ? sought
                  ? `No picture is described by “${sought}”.`
                  : "There is none of these."
                : "There are no pictures yet. Upload the first ones above."}
            </Typography>
          </Box>
        )}
      </DialogContent>
      {isMany ? (
        <DialogActions>
          <Typography variant="body2" color="text.secondary" sx={{ flex: 1, pl: 2 }} role="status">
            {taken.length === 0
              ? "Press the pictures that you want, in their order."
              : taken.length >= most
                ? `${taken.length} chosen. There is no room for more.`
                : `${taken.length} chosen`}
          </Typography>
          <Button onClick={onClose}>Cancel</Button>
          <Button variant="contained" disabled={taken.length === 0} onClick={() => onSeveral?.(taken)}>
            {taken.length > 1 ? `Add ${taken.length} pictures` : "Add"}
          </Button>
        </DialogActions>
      ) : null}
    </>
  );
}
