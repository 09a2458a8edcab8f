import { Box, ButtonBase, Dialog, DialogContent, DialogTitle, Typography } from "@mui/material";
import { X } from "lucide-react";
import { useState } from "react";
import { sourceOf } from "~/core/pictures";
import { useStudio } from "../keeping";
import { FindField, IconAction, INK } from "../ui";
import { Uploader } from "./uploader";

type PickerProps = { open: boolean; onClose: () => void; onChoose: (picture: string) => void };

/** Chooses a picture of the library, or takes a new one in. */
export function PicturePicker({ open, onClose, onChoose }: PickerProps) {
  const pictures = useStudio((s) => s.pictures);
  const [sought, setSought] = useState("");
  const words = sought.toLowerCase().trim();
  const found = pictures.filter((p) => !words || `${p.name} ${p.alt}`.toLowerCase().includes(words));
  // Wide pictures first: they are what sections ask for most.
  const sorted = found.toSorted((a, b) => Number(b.width > b.height) - Number(a.width > a.height));
  return (
    <Dialog open={open} onClose={onClose} maxWidth="md" fullWidth aria-labelledby="choose-picture">
      <DialogTitle id="choose-picture" component="div" sx={{ display: "flex", alignItems: "center", gap: 2 }}>
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          Choose a picture
        </Typography>
        <FindField label="Find by words" value={sought} onChange={setSought} width={240} />
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, gridTemplateRows: "auto minmax(0,1fr)" }}>
        <Uploader onAdded={(picture) => onChoose(picture.id)} />
        {sorted.length ? (
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: "repeat(auto-fill, minmax(130px, 1fr))",
              gap: 1.25,
              pb: 1,
              pt: 0.5,
            }}
          >
            {sorted.map((picture) => (
              <ButtonBase
                key={picture.id}
                aria-label={picture.alt || picture.name}
                onClick={() => onChoose(picture.id)}
                sx={{
                  display: "block",
                  borderRadius: 1,
                  overflow: "hidden",
                  border: `1px solid ${INK.line}`,
                  "&:hover": { borderColor: INK.ink },
                }}
              >
                <Box
                  component="img"
                  loading="lazy"
                  src={sourceOf(picture, 320)}
                  alt=""
                  sx={{
                    display: "block",
                    width: "100%",
                    aspectRatio: "4/3",
                    objectFit: "cover",
                    objectPosition: `${picture.focus[0]}% ${picture.focus[1]}%`,
                    bgcolor: INK.paper,
                  }}
                />
              </ButtonBase>
            ))}
          </Box>
        ) : (
          <Typography color="text.secondary">
            {pictures.length
              ? `No picture is described by “${sought}”.`
              : "There are no pictures yet. Upload the first one above."}
          </Typography>
        )}
      </DialogContent>
    </Dialog>
  );
}
