import { Alert, Autocomplete, Box, Button, CircularProgress, MenuItem, TextField, Typography } from "@mui/material";
import { useEffect, useMemo, useState } from "react";
import { mapSchema, pointIn, REACH_NAMES, REACHES, type Place, type Point, type Reach } from "~/core/map";
import { readAt } from "~/core/operations";
import { drawMap, findPlaces } from "~/core/protocol";
import { nameOf } from "~/kinds";
import { useStudio } from "../keeping";
import { useSetOrSay, type FieldProps } from "./use-set";

const countries = new Intl.DisplayNames("en-GB", { type: "region" });
const people = new Intl.NumberFormat("en-GB");

type Choice = Point & { readonly name: string; readonly about: string };

const choiceOf = ({ name, country, state, people: count, lat, lon }: Place): Choice => ({
  name: [name, state, countries.of(country) ?? country].filter(Boolean).join(", "),
  about: `${people.format(count)} people`,
  lat,
  lon,
});

/** Fewer letters find too much. */
const LEAST_LETTERS = 2;
const WAIT_MS = 180;

/** Where something is: found by its name or given as two numbers, then drawn once on the server. */
export function MapField({ node, field, path }: FieldProps) {
  const client = useStudio((s) => s.client);
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const read = mapSchema.safeParse(readAt(node.props, path));
  const map = read.success ? read.data : null;
  const { place, lat, lon } = map ?? {};
  const [typed, setTyped] = useState("");
  const [found, setFound] = useState<readonly Choice[]>([]);
  const [isSeeking, setSeeking] = useState(false);
  const [isDrawing, setDrawing] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  // The same object for the same place: a new one would put its name back while another is being typed.
  const value = useMemo<Choice | null>(
    () => (place === undefined ? null : { name: place, about: "", lat: lat ?? 0, lon: lon ?? 0 }),
    [place, lat, lon],
  );
  const sought = typed.trim() === place ? "" : typed.trim();
  useEffect(() => {
    const point = pointIn(sought);
    let isHere = true;
    const wait = setTimeout(async () => {
      if (point) return setFound([{ ...point, name: `${point.lat}, ${point.lon}`, about: "this very point" }]);
      if (sought.length < LEAST_LETTERS) return setFound([]);
      setSeeking(true);
      const answer = await client.ask(findPlaces, { named: sought.slice(0, 80) });
      if (!isHere) return;
      setSeeking(false);
      setProblem(answer.ok ? null : answer.why);
      setFound(answer.ok ? answer.value.places.map(choiceOf) : []);
    }, WAIT_MS);
    return () => {
      isHere = false;
      clearTimeout(wait);
    };
  }, [client, sought]);
  const draw = async (point: Point, place: string, reach: Reach) => {
    setProblem(null);
    setDrawing(true);
    const answer = await client.ask(drawMap, { lat: point.lat, lon: point.lon, place, reach });
    setDrawing(false);
    if (answer.ok) set(answer.value.map);
    else setProblem(answer.why);
  };
  return (
    <Box role="group" aria-label={field.label} sx={{ display: "grid", gap: 1.25 }}>
      <Autocomplete
        options={found}
        filterOptions={(all) => [...all]}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ name, lat, lon }) => `${name} ${lat} ${lon}`}
        isOptionEqualToValue={(a, b) => a.lat === b.lat && a.lon === b.lon}
        value={value}
        inputValue={typed}
        onInputChange={(_, next) => setTyped(next)}
        onChange={(_, choice) => {
          if (choice) void draw(choice, choice.name, map?.reach ?? "region");
          else set(null);
        }}
        loading={isSeeking}
        loadingText="Looking …"
        noOptionsText={
          sought.length < LEAST_LETTERS
            ? "Type the name of a town, or two numbers: 54.48, -0.62"
            : "No place is called that. Try the nearest town, or give its latitude and longitude: 54.48, -0.62"
        }
        renderOption={({ key: _key, ...props }, { name, about, lat, lon }) => (
          <li {...props} key={`${name} ${lat} ${lon}`}>
            <Box>
              <Typography variant="body2">{name}</Typography>
              <Typography variant="caption" color="text.secondary">
                {about}
              </Typography>
            </Box>
          </li>
        )}
        renderInput={(props) => (
          <TextField {...props} label={field.label} placeholder="A town, or latitude, longitude" />
        )}
      />
      {map ? (
        <TextField
          select
          label="What is seen"
          value={map.reach}
          disabled={isDrawing}
          onChange={(event) => void draw(map, map.place, event.target.value as Reach)}
        >
          {REACH_NAMES.map((reach) => (
            <MenuItem key={reach} value={reach}>
              {REACHES[reach].name}, {REACHES[reach].across} km
            </MenuItem>
          ))}
        </TextField>
      ) : null}
      {isDrawing ? (
        <Box role="status" sx={{ display: "flex", gap: 1, alignItems: "center" }}>
          <CircularProgress size={16} aria-hidden />
          <Typography variant="body2">The map is being drawn …</Typography>
        </Box>
      ) : null}
      {problem ? (
        <Alert
          severity="error"
          action={
            <Button color="inherit" size="small" onClick={() => setProblem(null)}>
              Close
            </Button>
          }
        >
          {problem}
        </Alert>
      ) : null}
      <Typography variant="caption" color="text.secondary">
        Places by GeoNames (CC BY 4.0), coasts and borders by Natural Earth. Nothing is loaded from anywhere in your
        shop.
      </Typography>
    </Box>
  );
}
