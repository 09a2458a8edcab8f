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
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { FileText, Trash2, Upload } from "lucide-react";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Transaction } from "~/core/commands";
import { readFiles, removeFile, type KeptFile } from "~/core/protocol";
import { placeWords, referencesOf, referencesOfProduct, whereUsed } from "~/kinds/references";
import { withFileAgain, withoutFile } from "~/kinds/replaced";
import { useStudio, useStudioStore } from "../keeping";
import { FileInput, FindField, IconAction, INK, PlacesList } from "../ui";
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

const isTo =
  (file: string) =>
  ({ to, id }: { to: string; id: string }): boolean =>
    (to === "film" || to === "document") && id === file;

/** How often each film and document stands on pages and with goods, by its name. */
function useCounts(): ReadonlyMap<string, number> {
  const documents = useStudio((s) => s.draft.documents);
  const products = useStudio((s) => s.stored.products);
  return useMemo(() => {
    const counts = new Map<string, number>();
    for (const { to, id } of [
      ...Object.values(documents).flatMap(referencesOf),
      ...products.flatMap(referencesOfProduct),
    ])
      if (to === "film" || to === "document") counts.set(id, (counts.get(id) ?? 0) + 1);
    return counts;
  }, [documents, products]);
}

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
  const counts = useCounts();
  const [asking, setAsking] = useState<KeptFile | null>(null);
  /** What was just removed, and what took it from its places, where it stood anywhere. */
  const [gone, setGone] = useState<{ file: KeptFile; taken: Transaction | undefined } | null>(null);
  const store = useStudioStore();
  const remove = async (file: KeptFile) => {
    setAsking(null);
    setProblem(null);
    const answer = await client.ask(removeFile, { file: file.file, restore: false });
    if (!answer.ok) return setProblem(answer.why);
    // Pages may have changed while it was asked.
    const { draft, run } = store.getState();
    const outcome = withoutFile(draft, file.file, file.name);
    const why = outcome.ok ? run(outcome) : undefined;
    await read();
    if (why) return setProblem(why);
    setGone({ file, taken: outcome.ok ? outcome.transaction : undefined });
  };
  const bringBack = async ({ file, taken }: NonNullable<typeof gone>) => {
    setGone(null);
    const answer = await client.ask(removeFile, { file: file.file, restore: true });
    if (!answer.ok) return setProblem(answer.why);
    await read();
    // Undo itself would go to the page on which it stands.
    const why = taken && store.getState().run(withFileAgain(taken, file.name));
    if (why) setProblem(why);
  };
  useEffect(() => {
    // oxlint-disable-next-line react/set-state-in-effect -- what is set comes from the server, after this
    void read();
  }, [read]);
  const [kind, setKind] = useState(kinds[0]!);
  const [sought, setSought] = useState("");
  const of = files?.[kind];
  const words = sought.trim().toLowerCase().split(/\s+/);
  const found = of?.filter(({ name }) => words.every((word) => name.toLowerCase().includes(word))) ?? [];
  const title = kinds.length > 1 ? "Films and documents" : WORDS[kinds[0]!].choose;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="choose-file">
      <DialogTitle id="choose-file">{title}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 3 }}>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
        {gone ? (
          <Alert
            severity="success"
            onClose={() => setGone(null)}
            action={
              <Button color="inherit" onClick={() => void bringBack(gone)}>
                Undo
              </Button>
            }
          >
            “{gone.file.name}” is removed.
          </Alert>
        ) : null}
        <Box component="section" aria-label={WORDS[kind].title} sx={{ display: "grid", gap: 1.5 }}>
          {kinds.length > 1 ? (
            <ToggleButtonGroup
              exclusive
              size="small"
              value={kind}
              aria-label="What is shown"
              onChange={(_event, next: FileKind | null) => {
                if (!next) return;
                setKind(next);
                // There may be too few of these for a field in which it could be seen and taken back.
                setSought("");
              }}
            >
              {kinds.map((each) => (
                <ToggleButton key={each} value={each}>
                  {WORDS[each].title}
                  {files ? ` (${files[each].length})` : ""}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
          ) : null}
          <Taking
            key={kind}
            kind={kind}
            onDone={async (file) => {
              await read();
              // Whoever uploads where one is to be chosen means this one.
              onChoose?.(file);
            }}
          />
          {of && of.length > SEEN_AT_ONCE ? (
            <FindField label="Find by name" value={sought} onChange={setSought} width="100%" />
          ) : null}
          {of === undefined ? (
            problem ? null : (
              <Box sx={{ display: "grid", placeItems: "center", minHeight: 100 }}>
                <CircularProgress aria-label="Looking for your files" />
              </Box>
            )
          ) : of.length === 0 ? (
            <Typography color="text.secondary">{WORDS[kind].none}</Typography>
          ) : found.length === 0 ? (
            <Typography color="text.secondary">Nothing here is called “{sought}”.</Typography>
          ) : (
            <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1.5 }}>
              {found.map((file, i) => (
                <Row
                  key={file.file}
                  kind={kind}
                  file={file}
                  isThere={file.file === chosen}
                  isEarly={i < EARLY}
                  places={counts.get(file.file) ?? 0}
                  onChoose={onChoose ? () => onChoose(file) : undefined}
                  onRemove={() => setAsking(file)}
                />
              ))}
            </Box>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
      {asking ? <RemoveFile file={asking} onClose={() => setAsking(null)} onGo={() => void remove(asking)} /> : null}
    </Dialog>
  );
}

/** Asks before a film or a document goes, and says where it stands. */
function RemoveFile({ file, onClose, onGo }: { file: KeptFile; onClose: () => void; onGo: () => void }) {
  const draft = useStudio((s) => s.draft);
  const products = useStudio((s) => s.stored.products);
  const goods = useMemo(
    () => products.filter((p) => referencesOfProduct(p).some(isTo(file.file))).map((p) => p.title),
    [products, file],
  );
  const places = useMemo(() => [...new Set(whereUsed(draft, isTo(file.file)).map(placeWords))], [draft, file]);
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="remove-file">
      <DialogTitle id="remove-file" component="h2" sx={{ typography: "h2", overflowWrap: "anywhere" }}>
        Remove “{file.name}”?
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 1.5 }}>
        {places.length ? (
          <>
            <Typography variant="subtitle2">It stands here</Typography>
            <PlacesList label="Where it stands" places={places} most={8} />
            <Typography color="text.secondary">
              It is taken away there. Shoppers see it until you publish. Undo brings it back.
            </Typography>
          </>
        ) : goods.length ? null : (
          <Typography color="text.secondary">
            It stands nowhere on your pages. Where the published shop still shows it, it stays until you publish. Undo
            brings it back.
          </Typography>
        )}
        {goods.length ? (
          <>
            <Typography variant="subtitle2">These products show it</Typography>
            <PlacesList label="Products that show it" places={goods} most={8} />
            <Typography color="text.secondary">They keep it until you take it away there.</Typography>
          </>
        ) : null}
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

/** More than these are not seen without scrolling, and can be found by typing. */
const SEEN_AT_ONCE = 8;
/** Of so many films the first picture is fetched at once; of all others when they are played. */
const EARLY = 8;

type RowProps = {
  kind: FileKind;
  file: KeptFile;
  isThere: boolean;
  isEarly: boolean;
  /** At how many places it stands. */
  places: number;
  onChoose: (() => void) | undefined;
  onRemove: () => void;
};

const Row = ({ kind, file, isThere, isEarly, places, onChoose, onRemove }: RowProps) => (
  <Box
    component="li"
    sx={{
      display: "grid",
      gridTemplateColumns: { xs: "minmax(0,1fr) auto", sm: `${kind === "film" ? "200px" : "40px"} minmax(0,1fr) auto` },
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
        sx={{
          width: "100%",
          aspectRatio: "16/9",
          bgcolor: "#000",
          borderRadius: 1,
          display: "block",
          gridColumn: { xs: "1 / -1", sm: "auto" },
        }}
      />
    ) : (
      <Box sx={{ display: { xs: "none", sm: "block" } }}>
        <FileText size={28} aria-hidden />
      </Box>
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
        <br />
        {places === 0 ? "Stands nowhere yet" : places === 1 ? "Stands in one place" : `Stands in ${places} places`}
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
    ) : (
      <IconAction label={`Remove ${file.name} …`} icon={Trash2} onClick={onRemove} />
    )}
  </Box>
);

/** Takes one in; says how far it is, and why it could not be used. */
function Taking({ kind, onDone }: { kind: FileKind; onDone: (file: KeptFile) => Promise<void> }) {
  const client = useStudio((s) => s.client);
  const input = useRef<HTMLInputElement>(null);
  const [share, setShare] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File) => {
    setProblem(null);
    setShare(0);
    const answer = await uploadFile(client, kind, file, setShare);
    setShare(null);
    if (answer.ok)
      await onDone({ file: answer.file, name: file.name, bytes: file.size, since: new Date().toISOString() });
    else setProblem(answer.why);
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
