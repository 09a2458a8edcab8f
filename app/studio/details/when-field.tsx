import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { locate } from "~/core/commands";
import { pathTo } from "~/core/document";
import type { AskedWhen } from "~/core/form";
import { readAt } from "~/core/operations";
import { nameOf } from "~/kinds";
import { fieldsOf } from "~/kinds/forms";
import { useStudio } from "../keeping";
import { useSetOrSay, type FieldProps } from "./use-set";

const HOW: Readonly<Record<AskedWhen["how"], string>> = {
  is: "is",
  "is-not": "is not",
  filled: "is answered",
  empty: "is not answered",
};

/** When a field of a form is asked: always, or by what an earlier one says. */
export function WhenField({ node, field, path }: FieldProps) {
  const goods = useStudio((s) => s.goods);
  const form = useStudio((s) => {
    const root = locate(s.draft, node.id)?.root;
    return root && pathTo(root, node.id).at(-2);
  });
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const when = (readAt(node.props, path) ?? null) as AskedWhen | null;
  const all = form ? fieldsOf(form, goods) : [];
  const own = all.findIndex(({ id }) => id === node.id);
  // What is asked later says nothing yet.
  const earlier = (own < 0 ? all : all.slice(0, own)).filter(({ sort }) => sort !== "hidden");
  const other = earlier.find(({ id }) => id === when?.field);
  const isGone = when !== null && !other;
  const put = (next: Partial<AskedWhen>) => set({ ...(when ?? { field: "", how: "is", value: "" }), ...next });
  if (earlier.length === 0 && !when)
    return (
      <Typography variant="caption" color="text.secondary">
        {field.label}: always. Whether a field is asked can depend on those before it.
      </Typography>
    );
  const values = other?.sort === "consent" ? ["yes"] : (other?.options ?? []);
  return (
    <Box role="group" aria-label={field.label} sx={{ display: "grid", gap: 1, gridTemplateColumns: "minmax(0,1fr)" }}>
      <TextField
        select
        label={field.label}
        value={isGone ? "" : (when?.field ?? "-")}
        error={isGone}
        helperText={isGone ? "The field that it depends on does not stand before it any more." : undefined}
        onChange={(event) => {
          const id = event.target.value;
          if (id === "-") return set(null);
          const next = earlier.find((each) => each.id === id);
          const first = next?.sort === "consent" ? "yes" : next?.options[0];
          put({ field: id, how: first === undefined ? "filled" : "is", value: first ?? "" });
        }}
      >
        <MenuItem value="-">Always</MenuItem>
        {earlier.map(({ id, label }) => (
          <MenuItem key={id} value={id}>
            If “{label}” …
          </MenuItem>
        ))}
      </TextField>
      {when && other ? (
        <Box sx={{ display: "flex", gap: 1 }}>
          <TextField
            select
            label="… says"
            value={when.how}
            sx={{ flex: 1 }}
            onChange={(event) => put({ how: event.target.value as AskedWhen["how"] })}
          >
            {(Object.keys(HOW) as AskedWhen["how"][]).map((how) => (
              <MenuItem key={how} value={how}>
                {HOW[how]}
              </MenuItem>
            ))}
          </TextField>
          {when.how === "filled" || when.how === "empty" ? null : values.length ? (
            <TextField
              select
              label="this"
              value={values.includes(when.value) ? when.value : ""}
              error={!values.includes(when.value)}
              sx={{ flex: 1 }}
              onChange={(event) => put({ value: event.target.value })}
            >
              {values.map((value) => (
                <MenuItem key={value} value={value}>
                  {other.sort === "consent" ? "ticked" : (other.names?.get(value) ?? value)}
                </MenuItem>
              ))}
            </TextField>
          ) : (
            <TextField
              label="this"
              value={when.value}
              sx={{ flex: 1 }}
              slotProps={{ htmlInput: { maxLength: 300 } }}
              onChange={(event) => put({ value: event.target.value })}
            />
          )}
        </Box>
      ) : null}
    </Box>
  );
}
