import {
  Alert,
  Box,
  Button,
  CircularProgress,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Typography,
} from "@mui/material";
import { useEffect, useState } from "react";
import { readFilms, type Film } from "~/core/protocol";
import { useStudio } from "../keeping";
import { INK } from "../ui";

const MEGABYTE = 1024 * 1024;
const sizeOf = (bytes: number) =>
  bytes < MEGABYTE ? `${Math.max(1, Math.round(bytes / 1024))} KB` : `${(bytes / MEGABYTE).toFixed(1)} MB`;
const day = (iso: string) =>
  new Date(iso).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });

type FilmListProps = {
  readonly onClose: () => void;
  readonly onChoose: (film: string) => void;
  /** The one that stands there now. */
  readonly chosen: string | null;
};

/** Chooses one of the films that the shop has. Each can be looked at first. */
export function FilmList({ onClose, onChoose, chosen }: FilmListProps) {
  const client = useStudio((s) => s.client);
  const [films, setFilms] = useState<readonly Film[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let isHere = true;
    void client.ask(readFilms, {}).then((answer) => {
      if (!isHere) return;
      if (answer.ok) setFilms(answer.value.films);
      else setProblem(answer.why);
    });
    return () => void (isHere = false);
  }, [client]);
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="choose-film">
      <DialogTitle id="choose-film">Choose a film</DialogTitle>
      <DialogContent>
        {problem ? (
          <Alert severity="error">{problem}</Alert>
        ) : films === null ? (
          <Box sx={{ display: "grid", placeItems: "center", minHeight: 160 }}>
            <CircularProgress aria-label="Looking for your films" />
          </Box>
        ) : films.length === 0 ? (
          <Typography color="text.secondary">There are no films yet. Upload the first one.</Typography>
        ) : (
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 1.5 }}>
            {films.map((film) => (
              <Box
                component="li"
                key={film.file}
                sx={{
                  display: "grid",
                  gridTemplateColumns: { xs: "1fr", sm: "200px minmax(0,1fr) auto" },
                  gap: 1.5,
                  alignItems: "center",
                  pb: 1.5,
                  borderBottom: `1px solid ${INK.line}`,
                  "&:last-child": { border: 0, pb: 0 },
                }}
              >
                <Box
                  component="video"
                  src={`/media/${film.file}`}
                  controls
                  muted
                  playsInline
                  preload="metadata"
                  aria-label={film.name}
                  sx={{ width: "100%", aspectRatio: "16/9", bgcolor: "#000", borderRadius: 1, display: "block" }}
                />
                <Box sx={{ minWidth: 0 }}>
                  <Typography sx={{ overflowWrap: "anywhere", fontWeight: 600 }}>{film.name}</Typography>
                  <Typography variant="body2" color="text.secondary">
                    {sizeOf(film.bytes)}, since {day(film.since)}
                  </Typography>
                </Box>
                <Button
                  variant="outlined"
                  disabled={film.file === chosen}
                  aria-label={film.file === chosen ? `${film.name} stands there now` : `Take ${film.name}`}
                  onClick={() => onChoose(film.file)}
                >
                  {film.file === chosen ? "Stands there" : "Take it"}
                </Button>
              </Box>
            ))}
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
