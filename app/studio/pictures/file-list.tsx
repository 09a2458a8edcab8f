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
  Link,
  Typography,
} from "@mui/material";
import { FileText, Upload } from "lucide-react";
import { useCallback, useEffect, useRef, useState } from "react";
import { readFiles, type KeptFile } from "~/core/protocol";
import { useStudio } from "../keeping";
import { FileInput, INK } from "../ui";
import { acceptedFor, uploadFile, type FileKind } from "./upload";

const MEGABYTE = 1024 * 1024;
const sizeOf = (bytes: number) =>
  bytes < MEGABYTE ? `${Math.max(1, Math.round(bytes / 1024))} KB` : `${(bytes / MEGABYTE).toFixed(1)} MB`;
const day = (iso: string) =>
  new Date(iso).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });

const WORDS = {
  film: {
    title: "Films",
    choose: "Choose a film",
    upload: "Upload a film",
    what: "MP4 or WebM, up to 40 MB",
    none: "There are no films yet. Upload the first one.",
  },
  document: {
    title: "Documents",
    choose: "Choose a document",
    upload: "Upload a PDF",
    what: "Size charts, patterns, instructions as PDF, up to 20 MB",
    none: "There are no documents yet. Upload the first one.",
  },
} as const;

type FileListProps = {
  readonly kinds: readonly FileKind[];
  readonly onClose: () => void;
  /** Takes one; absent where they are only looked at. */
  readonly onChoose?: (file: KeptFile) => void;
  /** The one that stands there now, by the name under which it is served. */
  readonly chosen?: string | null;
};

/** The films or documents of the shop: looked at, uploaded, and one of them chosen. */
export function FileList({ kinds, onClose, onChoose, chosen = null }: FileListProps) {
  const client = useStudio((s) => s.client);
  const [files, setFiles] = useState<Readonly<Record<FileKind, readonly KeptFile[]>> | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const read = useCallback(async () => {
    const answer = await client.ask(readFiles, {});
    if (answer.ok) setFiles({ film: answer.value.films, document: answer.value.documents });
    else setProblem(answer.why);
  }, [client]);
  useEffect(() => {
    // oxlint-disable-next-line react/set-state-in-effect -- what is set comes from the server, after this
    void read();
  }, [read]);
  const title = kinds.length > 1 ? "Films and documents" : WORDS[kinds[0]!].choose;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="choose-file">
      <DialogTitle id="choose-file">{title}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 3 }}>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
        {kinds.map((kind) => (
          <Box key={kind} component="section" aria-label={WORDS[kind].title} sx={{ display: "grid", gap: 1.5 }}>
            {kinds.length > 1 ? (
              <Typography component="h3" variant="h3">
                {WORDS[kind].title}
              </Typography>
            ) : null}
            <Taking kind={kind} onDone={read} />
            {files === null ? (
              problem ? null : (
                <Box sx={{ display: "grid", placeItems: "center", minHeight: 100 }}>
                  <CircularProgress aria-label="Looking for your files" />
                </Box>
              )
            ) : files[kind].length === 0 ? (
              <Typography color="text.secondary">{WORDS[kind].none}</Typography>
            ) : (
              <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1.5 }}>
                {files[kind].map((file, i) => (
                  <Row
                    key={file.file}
                    kind={kind}
                    file={file}
                    isThere={file.file === chosen}
                    isEarly={i < EARLY}
                    onChoose={onChoose ? () => onChoose(file) : undefined}
                  />
                ))}
              </Box>
            )}
          </Box>
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

/** Of so many films the first picture is fetched at once; of all others when they are played. */
const EARLY = 8;

type RowProps = {
  kind: FileKind;
  file: KeptFile;
  isThere: boolean;
  isEarly: boolean;
  onChoose: (() => void) | undefined;
};

const Row = ({ kind, file, isThere, isEarly, onChoose }: RowProps) => (
  <Box
    component="li"
    sx={{
      display: "grid",
      gridTemplateColumns: { xs: "1fr", sm: `${kind === "film" ? "200px" : "40px"} minmax(0,1fr) auto` },
      gap: 1.5,
      alignItems: "center",
      pb: 1.5,
      borderBottom: `1px solid ${INK.line}`,
      "&:last-child": { border: 0, pb: 0 },
    }}
  >
    {kind === "film" ? (
      <Box
        component="video"
        src={`/media/${file.file}`}
        controls
        muted
        playsInline
        preload={isEarly ? "metadata" : "none"}
        aria-label={file.name}
        sx={{ width: "100%", aspectRatio: "16/9", bgcolor: "#000", borderRadius: 1, display: "block" }}
      />
    ) : (
      <FileText size={28} aria-hidden />
    )}
    <Box sx={{ minWidth: 0 }}>
      <Typography sx={{ overflowWrap: "anywhere", fontWeight: 600 }}>
        {kind === "document" ? (
          <Link href={`/media/${file.file}`} target="_blank" rel="noopener">
            {file.name}
          </Link>
        ) : (
          file.name
        )}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {sizeOf(file.bytes)}, since {day(file.since)}
      </Typography>
    </Box>
    {onChoose ? (
      <Button
        variant="outlined"
        disabled={isThere}
        aria-label={isThere ? `${file.name} stands there now` : `Take ${file.name}`}
        onClick={onChoose}
      >
        {isThere ? "Stands there" : "Take it"}
      </Button>
    ) : null}
  </Box>
);

/** Takes one in; says how far it is, and why it could not be used. */
function Taking({ kind, onDone }: { kind: FileKind; onDone: () => Promise<void> }) {
  const client = useStudio((s) => s.client);
  const input = useRef<HTMLInputElement>(null);
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File) => {
    setProblem(null);
    setShare(0);
    const answer = await uploadFile(client, kind, file, setShare);
    if (answer.ok) await onDone();
    else setProblem(answer.why);
    setShare(null);
  };
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
        <Button
          variant="outlined"
          startIcon={<Upload size={16} aria-hidden />}
          disabled={share !== null}
          onClick={() => input.current?.click()}
        >
          {WORDS[kind].upload}
        </Button>
        <Typography variant="caption" color="text.secondary">
          {WORDS[kind].what}
        </Typography>
      </Box>
      <FileInput
        ref={input}
        label={WORDS[kind].upload}
        accept={acceptedFor(kind)}
        onFiles={([file]) => void take(file)}
      />
      {share !== null ? <LinearProgress variant="determinate" value={share * 100} aria-label="Uploading" /> : null}
      {problem ? <Alert severity="error">{problem}</Alert> : null}
    </Box>
  );
}
