import { Autocomplete, TextField } from "@mui/material";
import { useMemo, useState } from "react";
import { LONGEST_TAG, type Picture } from "~/core/pictures";
import { tagPictures } from "~/core/protocol";
import { useReload, useStudio } from "../keeping";
import { inPortions } from "./in-portions";

/** All tags of the shop's pictures, the commonest first, with how many have each. */
export function tagsOf(pictures: readonly Picture[]): readonly (readonly [tag: string, count: number])[] {
  const counts = new Map<string, number>();
  for (const { tags = [] } of pictures) for (const tag of tags) counts.set(tag, (counts.get(tag) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]));
}

/** The tags that all of these pictures have. */
const common = ([first, ...rest]: readonly Picture[]): readonly string[] =>
  (first?.tags ?? []).filter((tag) => rest.every(({ tags }) => tags?.includes(tag)));

/** Words by which pictures are kept together: those that all of these have. What is added or taken is kept at once. */
export function TagsField({ pictures }: { pictures: readonly Picture[] }) {
  const client = useStudio((s) => s.client);
  const all = useStudio((s) => s.pictures);
  const reload = useReload();
  const known = useMemo(() => tagsOf(all).map(([tag]) => tag), [all]);
  const [written, setWritten] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const tags = common(pictures);
  const keep = async (next: readonly string[]) => {
    const add = next.map((tag) => tag.trim()).filter((tag) => tag && !tags.includes(tag));
    const take = tags.filter((tag) => !next.includes(tag));
    if (add.length === 0 && take.length === 0) return;
    setBusy(true);
    const ids = pictures.map((p) => p.id);
    const why = await inPortions(ids, (some) => client.ask(tagPictures, { ids: some, add, take }));
    await reload();
    setBusy(false);
    setProblem(why ?? null);
    // What could not be kept is not lost: it stands there to be changed.
    setWritten(why === undefined ? "" : add.join(", "));
  };
  return (
    <Autocomplete
      multiple
      freeSolo
      size="small"
      disabled={isBusy}
      options={known.filter((tag) => !tags.includes(tag))}
      value={[...tags]}
      inputValue={written}
      onInputChange={(_event, value, reason) => reason !== "reset" && setWritten(value)}
      onChange={(_event, next) => void keep(next)}
      onBlur={() => written.trim() && void keep([...tags, ...written.split(",")])}
      renderInput={(props) => (
        <TextField
          {...props}
          label="Tags"
          error={problem !== null}
          helperText={problem ?? "To find them together. Enter adds one."}
          slotProps={{ ...props.slotProps, htmlInput: { ...props.slotProps.htmlInput, maxLength: LONGEST_TAG } }}
        />
      )}
    />
  );
}
