import { Alert, Box, Button, LinearProgress, Typography } from "@mui/material";
import { Upload } from "lucide-react";
import { useRef, useState } from "react";
import type { Picture } from "~/core/pictures";
import { useStudioStore, useReload } from "../keeping";
import { FileInput, INK, ON_LEMON } from "../ui";
import { dropped, unpacked } from "./gather";
import { ACCEPTED, upload } from "./upload";

type UploaderProps = {
  /** Each as it comes. */
  onAdded?: (picture: Picture) => void;
  /** All that came, once no more are on their way. */
  onDone?: (pictures: readonly Picture[]) => void;
  several?: boolean;
  label?: string;
};

/** Takes pictures in by button or by dropping them; says how far it is, and what could not be used and why. */
export function Uploader({ onAdded, onDone, several = false, label = "Upload a picture" }: UploaderProps) {
  const store = useStudioStore();
  const reload = useReload();
  const input = useRef<HTMLInputElement>(null);
  const [share, setShare] = useState<number | null>(null);
  const [going, setGoing] = useState({ at: 0, of: 0 });
  const isStopped = useRef(false);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [notes, setNotes] = useState<readonly string[]>([]);
  const [over, setOver] = useState(false);
  const take = async (given: Promise<readonly File[]> | readonly File[]) => {
    const said: string[] = [];
    const came: Picture[] = [];
    setProblems([]);
    setNotes([]);
    isStopped.current = false;
    // Opening a folder or an archive takes a while, and is a part of the work.
    setGoing({ at: 0, of: 0 });
    setShare(0);
    const files = await Promise.resolve(given).catch(() => null);
    const { files: wanted, problems: unread } =
      files === null
        ? { files: [], problems: ["What was dropped could not be read. Choose it with the button instead."] }
        : several
          ? await unpacked(files)
          : { files: files.slice(0, 1), problems: [] };
    const failed = [...unread];
    for (const [index, file] of wanted.entries()) {
      if (isStopped.current) break;
      setGoing({ at: index + 1, of: wanted.length });
      setShare(index / wanted.length);
      const result = await upload(store.getState().client, file, {
        progress: (part) => setShare((index + part * 0.9) / wanted.length),
      });
      if (result.ok) {
        const { pictures } = store.getState();
        if (!pictures.some((p) => p.id === result.picture.id))
          store.setState({ pictures: [result.picture, ...pictures] });
        came.push(result.picture);
        if (result.note) said.push(`“${file.name}”: ${result.note}`);
        onAdded?.(result.picture);
      } else failed.push(result.why);
    }
    setShare(null);
    setProblems(failed);
    setNotes(said);
    await reload();
    // What is to be read is not closed by what it stands in.
    if (failed.length === 0 && said.length === 0) onDone?.(came);
  };
  return (
    <Box
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        void take(dropped(event.dataTransfer));
      }}
      sx={{
        border: `1.5px dashed ${over ? INK.ink : INK.soft}`,
        ...(over ? ON_LEMON : {}),
        borderRadius: 1,
        p: { xs: 0.75, sm: 1.5 },
        display: "grid",
        gap: 1,
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          startIcon={<Upload size={16} aria-hidden />}
          onClick={() => input.current?.click()}
          disabled={share !== null}
        >
          {label}
        </Button>
        {/* On a phone nothing is dropped. */}
        <Typography variant="caption" color="text.secondary" sx={{ display: { xs: "none", sm: "block" } }}>
          {several
            ? "or drop them here: pictures up to 15 MB each, a folder, a ZIP"
            : "or drop it here · PNG, JPEG, WebP or SVG, up to 15 MB"}
        </Typography>
      </Box>
      <FileInput
        ref={input}
        label={label}
        accept={several ? `${ACCEPTED},.zip` : ACCEPTED}
        multiple={several}
        onFiles={(files) => void take(files)}
      />
      {share !== null ? (
        <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
          <LinearProgress variant="determinate" value={share * 100} aria-label="Uploading" sx={{ flex: 1 }} />
          <Typography variant="caption">
            {going.of > 1 ? `${going.at} of ${going.of}` : `${Math.round(share * 100)} %`}
          </Typography>
          {going.of > 1 ? (
            <Button size="small" onClick={() => (isStopped.current = true)}>
              Stop
            </Button>
          ) : null}
        </Box>
      ) : null}
      {notes.map((note) => (
        <Alert key={note} severity="info">
          {note}
        </Alert>
      ))}
      {problems.map((why) => (
        <Alert key={why} severity="error">
          {why}
        </Alert>
      ))}
    </Box>
  );
}
