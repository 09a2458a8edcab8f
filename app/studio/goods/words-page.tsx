import { Alert, Autocomplete, Box, Button, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { AVAILABILITIES, AVAILABILITY_ABOUT, AVAILABILITY_WORDS, searchGoods, type Availability } from "~/core/goods";
import { sameJson } from "~/core/document";
import { useStudio } from "../keeping";
import { IconAction, INK, useWhenChanged } from "../ui";
import { useChange, useGoods, useSay } from "./data";
import { Group } from "./product-form";

/** The shop's own words for whether something can be had, and words that mean the same when shoppers search. */
export function WordsPage() {
  const { settings } = useGoods();
  const goods = useStudio((s) => s.goods);
  const shop = useStudio((s) => s.shop.id);
  const { send, isBusy } = useChange();
  const say = useSay();
  const [words, setWords] = useState(settings.words);
  const [groups, setGroups] = useState<readonly (readonly string[])[]>(settings.synonyms);
  const [problem, setProblem] = useState<string | null>(null);
  const [tried, setTried] = useState("");
  // Data that is loaded anew and says the same must not take away what is being written.
  const said = JSON.stringify([settings.words, settings.synonyms]);
  useWhenChanged(said, () => {
    setWords(settings.words);
    setGroups(settings.synonyms);
  });
  const full = groups.filter((g) => g.length > 0);
  const isDirty = !sameJson(words, settings.words) || !sameJson(full, settings.synonyms);
  const keep = async () => {
    const answer = await send({ intent: "settings", settings: { words, synonyms: full } });
    setProblem(answer.ok ? null : (answer.problems[0]?.why ?? answer.why));
    if (answer.ok) say(answer, "Saved. The shop says it now.");
  };
  const set = (state: Availability, text: string) => {
    const { [state]: _old, ...rest } = words;
    setWords(text ? { ...rest, [state]: text } : rest);
  };
  const found = tried ? searchGoods({ ...goods, synonyms: full }, tried, 8) : null;
  return (
    <Box sx={{ overflowY: "auto", p: 2 }}>
      <Box sx={{ maxWidth: 900, mx: "auto", display: "grid", gap: 2 }}>
        <Box sx={{ display: "flex", alignItems: "center" }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            Words and search
          </Typography>
          <Button variant="contained" disabled={!isDirty || isBusy} onClick={() => void keep()}>
            Save
          </Button>
        </Box>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
        <Group
          title="Whether something can be had, in your words"
          about="They stand on badges and beside the price. A product can have its own."
        >
          <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(380px, 1fr))", gap: 1.5 }}>
            {AVAILABILITIES.map((state) => (
              <TextField
                key={state}
                label={AVAILABILITY_WORDS[state]}
                value={words[state] ?? ""}
                placeholder={AVAILABILITY_WORDS[state]}
                helperText={AVAILABILITY_ABOUT[state]}
                onChange={(e) => set(state, e.target.value)}
                slotProps={{ htmlInput: { maxLength: 40 }, inputLabel: { shrink: true } }}
              />
            ))}
          </Box>
        </Group>
        <Group
          title="Words that mean the same"
          about="Whoever looks for one of a group finds all of it. Letters that are wrong, and accents, are seen through anyway."
          aside={
            <Button size="small" startIcon={<Plus size={15} aria-hidden />} onClick={() => setGroups([...groups, []])}>
              Add a group
            </Button>
          }
        >
          {groups.map((group, i) => (
            <Box key={i} sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
              <Autocomplete
                multiple
                freeSolo
                options={[] as string[]}
                value={[...group]}
                sx={{ flex: 1 }}
                onChange={(_e, next) =>
                  setGroups(groups.with(i, [...new Set(next.map((w) => w.trim()).filter(Boolean))]))
                }
                renderInput={(params) => (
                  <TextField
                    {...params}
                    label={`Group ${i + 1}`}
                    placeholder="Another word"
                    helperText={group.length === 1 ? "A group needs two words at least. Enter adds one." : undefined}
                  />
                )}
              />
              <IconAction
                label={`Remove group ${i + 1}`}
                icon={Trash2}
                onClick={() => setGroups(groups.filter((_g, k) => k !== i))}
              />
            </Box>
          ))}
          {groups.length === 0 ? <Typography color="text.secondary">No groups yet.</Typography> : null}
          <Box sx={{ borderTop: `1px solid ${INK.line}`, pt: 1.5, display: "grid", gap: 1 }}>
            <TextField
              label="Try it"
              value={tried}
              onChange={(e) => setTried(e.target.value)}
              placeholder="What a shopper types"
              sx={{ maxWidth: 360 }}
              slotProps={{ inputLabel: { shrink: true } }}
            />
            {found ? (
              <Typography role="status">
                {found.fit === "none"
                  ? "Nothing is found."
                  : `${found.fit === "some" ? "Nothing has all of it; some of it has: " : ""}${found.products.map((p) => p.title).join(", ")}`}
              </Typography>
            ) : null}
          </Box>
        </Group>
        <Typography variant="body2" color="text.secondary">
          How the search page looks is a layout of its own: <Link to={`/s/${shop}/pages?page=search`}>Search</Link>.
        </Typography>
      </Box>
    </Box>
  );
}
