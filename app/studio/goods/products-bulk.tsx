import { Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField } from "@mui/material";
import { useState } from "react";
import { attributeNames, AVAILABILITIES, AVAILABILITY_WORDS } from "~/core/goods";
import { useChange, useGoods, useSay } from "./data";

export type BulkKind = "price" | "tag" | "untag" | "collection" | "uncollect" | "availability" | "attribute" | "stock";
export const BULK: readonly (readonly [BulkKind, string])[] = [
  ["price", "Prices up or down …"],
  ["availability", "Availability …"],
  ["stock", "Stock …"],
  ["collection", "Put into a collection …"],
  ["uncollect", "Remove from a collection …"],
  ["tag", "Add a tag …"],
  ["untag", "Take a tag away …"],
  ["attribute", "Set an attribute …"],
];

/** Asks for what is to be changed of many products, and changes it as one step. */
export function BulkDialog({
  kind,
  ids,
  onClose,
}: {
  kind: BulkKind;
  ids: readonly string[];
  onClose: (done: boolean) => void;
}) {
  const { collections, products } = useGoods();
  const { send, isBusy } = useChange();
  const say = useSay();
  const [value, setValue] = useState("");
  const [name, setName] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const title = BULK.find(([k]) => k === kind)![1].replace(" …", "");
  const set = (): object | string => {
    switch (kind) {
      case "price": {
        const percent = Number(value.replace(",", ".").replace(/%$/, ""));
        if (!value || Number.isNaN(percent) || percent <= -100 || percent > 500)
          return "Write by how many percent, like 5 or -10.";
        return { priceTimes: 1 + percent / 100 };
      }
      case "availability":
        return value ? { availability: value } : "Choose a state.";
      case "stock":
        return /^\d{1,7}$/.test(value) ? { stock: Number(value) } : "Write a whole number.";
      case "collection":
        return value ? { addTo: [value] } : "Choose a collection.";
      case "uncollect":
        return value ? { takeFrom: [value] } : "Choose a collection.";
      case "tag":
        return value.trim() ? { addTags: [value.trim()] } : "Write the tag.";
      case "untag":
        return value ? { removeTags: [value] } : "Choose a tag.";
      case "attribute":
        return name.trim() ? { attribute: { name: name.trim(), value: value.trim() } } : "Say which attribute.";
    }
  };
  const apply = async () => {
    const change = set();
    if (typeof change === "string") return setProblem(change);
    const answer = await send({ intent: "bulk", change: { ids, set: change } });
    if (!answer.ok) return setProblem(answer.problems[0]?.why ?? answer.why);
    const { count } = answer.value;
    say(answer, `${count === 1 ? "1 product" : `${count} products`} changed. Ctrl+Z takes it back.`);
    onClose(true);
  };
  const chosen = products.filter((p) => ids.includes(p.id));
  const choices: readonly (readonly [string, string])[] | null =
    kind === "availability"
      ? AVAILABILITIES.filter((a) => a !== "coming-soon").map((a) => [a, AVAILABILITY_WORDS[a]] as const)
      : kind === "collection"
        ? collections.filter((c) => !c.rules).map((c) => [c.id, c.title] as const)
        : kind === "uncollect"
          ? collections
              .filter((c) => chosen.some((p) => p.collections.includes(c.id)))
              .map((c) => [c.id, c.title] as const)
          : kind === "untag"
            ? [...new Set(chosen.flatMap((p) => p.tags))].map((t) => [t, t] as const)
            : null;
  return (
    <Dialog open onClose={() => onClose(false)} fullWidth maxWidth="xs" aria-labelledby="bulk-title">
      <DialogTitle id="bulk-title">
        {title}: {ids.length === 1 ? "1 product" : `${ids.length} products`}
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, pt: "8px !important" }}>
        {kind === "attribute" ? (
          <TextField
            label="Attribute"
            value={name}
            autoFocus
            onChange={(e) => setName(e.target.value)}
            slotProps={{ htmlInput: { list: "attribute-names", maxLength: 80 } }}
          />
        ) : null}
        <datalist id="attribute-names">
          {attributeNames(products).map((n) => (
            <option key={n} value={n} />
          ))}
        </datalist>
        <TextField
          select={choices !== null}
          autoFocus={kind !== "attribute"}
          label={
            kind === "price"
              ? "Percent, like 5 or -10"
              : kind === "attribute"
                ? "Value; empty takes it away"
                : kind === "stock"
                  ? "Pieces of each"
                  : kind === "tag"
                    ? "Tag"
                    : "Which"
          }
          value={value}
          error={problem !== null}
          helperText={
            problem ??
            (kind === "price"
              ? "Variants with a price of their own change as well. Rounded to the smallest coin."
              : undefined)
          }
          onChange={(e) => {
            setValue(e.target.value);
            setProblem(null);
          }}
          onKeyDown={(e) => e.key === "Enter" && choices === null && void apply()}
        >
          {choices?.map(([id, label]) => (
            <MenuItem key={id} value={id}>
              {label}
            </MenuItem>
          ))}
        </TextField>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onClose(false)}>Leave it</Button>
        <Button variant="contained" disabled={isBusy} onClick={() => void apply()}>
          Change
        </Button>
      </DialogActions>
    </Dialog>
  );
}
