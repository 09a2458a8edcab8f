import { Box, Button, Typography } from "@mui/material";
import { Film } from "lucide-react";
import { useState } from "react";
import { readAt } from "~/core/operations";
import { nameOf } from "~/kinds";
import { FileList } from "../pictures";
import { useSetOrSay, type FieldProps } from "./use-set";

/** A film of the seller's own: uploaded, chosen, taken away. */
export function FilmField({ node, field, path }: FieldProps) {
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const at = readAt(node.props, path);
  const has = typeof at === "string";
  const [isChoosing, setChoosing] = useState(false);
  return (
    <Box role="group" aria-label={field.label} sx={{ display: "grid", gap: 0.75, justifyItems: "start" }}>
      <Typography variant="caption" color="text.secondary">
        {field.label}
      </Typography>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <Button
          size="small"
          variant="outlined"
          startIcon={<Film size={16} aria-hidden />}
          onClick={() => setChoosing(true)}
        >
          {has ? "Another film …" : "Upload or choose a film …"}
        </Button>
        {has ? (
          <Button size="small" onClick={() => set(null)}>
            Take it away
          </Button>
        ) : null}
      </Box>
      {has ? (
        <Typography variant="caption" color="text.secondary">
          It plays in the shop. Here you see the picture before it.
        </Typography>
      ) : null}
      {isChoosing ? (
        <FileList
          kinds={["film"]}
          chosen={has ? at : null}
          onClose={() => setChoosing(false)}
          onChoose={({ file }) => {
            setChoosing(false);
            set(file);
          }}
        />
      ) : null}
    </Box>
  );
}
