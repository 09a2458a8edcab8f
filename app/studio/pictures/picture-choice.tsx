import { Box, Button } from "@mui/material";
import { useState } from "react";
import { sourceOf } from "~/core/pictures";
import { useStudio } from "../keeping";
import { INK } from "../ui";
import { PicturePicker } from "./picker";

/** A picture of the library, small, with what chooses another one and takes it away. `onRemove` absent: there is always one. */
export function PictureChoice({
  picture: id,
  onChoose,
  onRemove,
}: {
  picture: string | null;
  onChoose: (picture: string) => void;
  onRemove?: () => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const picture = useStudio((s) => s.pictures.find((p) => p.id === id));
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "center", flexWrap: "wrap" }}>
      {picture ? (
        <Box
          component="img"
          src={sourceOf(picture, 160)}
          alt={picture.alt}
          sx={{ width: 72, height: 54, objectFit: "cover", borderRadius: 1, border: `1px solid ${INK.line}` }}
        />
      ) : null}
      <Button size="small" variant="outlined" onClick={() => setOpen(true)}>
        {picture ? "Choose another" : "Choose a picture"}
      </Button>
      {picture && onRemove ? (
        <Button size="small" onClick={onRemove}>
          Remove
        </Button>
      ) : null}
      <PicturePicker
        open={isOpen}
        onClose={() => setOpen(false)}
        onChoose={(chosen) => {
          setOpen(false);
          onChoose(chosen);
        }}
      />
    </Box>
  );
}
