import { Alert, Box, Button, LinearProgress, Typography } from "@mui/material";
import { Film } from "lucide-react";
import { useRef, useState } from "react";
import { readAt } from "~/core/operations";
import { nameOf } from "~/kinds";
import { useStudio } from "../keeping";
import { FileList, uploadFile } from "../pictures";
import { FileInput } from "../ui";
import { useSetOrSay, type FieldProps } from "./use-set";

/** A film of the seller's own: uploaded, replaced, taken away. */
export function FilmField({ node, field, path }: FieldProps) {
  const client = useStudio((s) => s.client);
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const at = readAt(node.props, path);
  const has = typeof at === "string";
  const [isChoosing, setChoosing] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File) => {
    setProblem(null);
    setShare(0);
    const answer = await uploadFile(client, "film", file, setShare);
    setShare(null);
    if (answer.ok) set(answer.file);
    else setProblem(answer.why);
  };
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
          disabled={share !== null}
          onClick={() => input.current?.click()}
        >
          {has ? "Upload another film" : "Upload a film"}
        </Button>
        <Button size="small" variant="outlined" onClick={() => setChoosing(true)}>
          Choose …
        </Button>
        {has ? (
          <Button size="small" onClick={() => set(null)}>
            Remove
          </Button>
        ) : null}
      </Box>
      <Typography variant="caption" color="text.secondary">
        {has ? "It plays in the shop. Here you see the picture before it." : "MP4 or WebM, up to 40 MB"}
      </Typography>
      <FileInput
        ref={input}
        label="Upload a film"
        accept="video/mp4,video/webm"
        onFiles={([file]) => void take(file)}
      />
      {share !== null ? (
        <LinearProgress variant="determinate" value={share * 100} aria-label="Uploading" sx={{ width: "100%" }} />
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
      {problem ? <Alert severity="error">{problem}</Alert> : null}
    </Box>
  );
}
