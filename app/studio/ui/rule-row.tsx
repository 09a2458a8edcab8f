import { Autocomplete, Box, MenuItem, TextField } from "@mui/material";
import { X } from "lucide-react";
import {
  attributeNames,
  AVAILABILITIES,
  AVAILABILITY_WORDS,
  isNumberRule,
  RULE_FIELDS,
  RULE_OPS,
  ruleProblem,
  valuesOf,
  type Product,
  type Rule,
  type RuleField,
  type RuleOp,
} from "~/core/goods";
import { IconAction } from "./pieces";

/** Something that is asked of goods, with its reason where it can't be kept. `products`: those whose tags and attributes are offered. */
export function RuleRow({
  rule,
  products,
  onChange,
  onRemove,
}: {
  rule: Rule;
  products: readonly Product[];
  onChange: (r: Rule) => void;
  onRemove: () => void;
}) {
  const { ops } = RULE_FIELDS[rule.field];
  const needsValue = rule.op !== "yes" && rule.op !== "no";
  const options =
    rule.field === "tag"
      ? [...new Set(products.flatMap((p) => p.tags))]
      : rule.field === "attribute" && rule.name
        ? [...new Set(products.flatMap((p) => valuesOf(p, rule.name!)))].slice(0, 200)
        : [];
  const why = ruleProblem(rule);
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start", flexWrap: "wrap" }}>
      <TextField
        select
        label="What"
        value={rule.field}
        sx={{ width: 170 }}
        onChange={(e) => {
          const field = e.target.value as RuleField;
          onChange({ field, op: RULE_FIELDS[field].ops[0], value: "" });
        }}
      >
        {(Object.keys(RULE_FIELDS) as RuleField[]).map((f) => (
          <MenuItem key={f} value={f}>
            {RULE_FIELDS[f].label}
          </MenuItem>
        ))}
      </TextField>
      {rule.field === "attribute" ? (
        <TextField
          select
          label="Which"
          value={rule.name ?? ""}
          sx={{ width: 170 }}
          onChange={(e) => onChange({ ...rule, name: e.target.value, value: "" })}
        >
          {attributeNames(products).map((n) => (
            <MenuItem key={n} value={n}>
              {n}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
      <TextField
        select
        label="How"
        value={rule.op}
        sx={{ width: 140 }}
        onChange={(e) => onChange({ ...rule, op: e.target.value as RuleOp })}
      >
        {ops.map((op) => (
          <MenuItem key={op} value={op}>
            {RULE_OPS[op]}
          </MenuItem>
        ))}
      </TextField>
      {!needsValue ? null : rule.field === "availability" ? (
        <TextField
          select
          label="State"
          value={rule.value}
          sx={{ width: 170 }}
          onChange={(e) => onChange({ ...rule, value: e.target.value })}
        >
          {AVAILABILITIES.map((a) => (
            <MenuItem key={a} value={a}>
              {AVAILABILITY_WORDS[a]}
            </MenuItem>
          ))}
        </TextField>
      ) : (
        <Autocomplete
          freeSolo
          options={options}
          inputValue={rule.value}
          onInputChange={(_e, value) => value !== rule.value && onChange({ ...rule, value })}
          sx={{ width: 190 }}
          renderInput={(params) => (
            <TextField
              {...params}
              label={isNumberRule(rule.field) ? "Number" : "Value"}
              error={rule.value !== "" && why !== undefined}
              helperText={rule.value !== "" ? why : undefined}
            />
          )}
        />
      )}
      <IconAction label="Remove this rule" icon={X} onClick={onRemove} />
    </Box>
  );
}
