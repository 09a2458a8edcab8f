import { TextField, type TextFieldProps } from "@mui/material";
import { useState } from "react";
import { changeSelling } from "~/core/commands";
import { sellingOf, type Selling, type SellingRoot } from "~/core/selling";
import { useStudio, useStudioStore } from "../keeping";
import { useWhenChanged } from "../ui";

/** How the shop sells, and how to change it: gives why not, where it can't be so. */
export function useSelling(): {
  readonly selling: Selling;
  readonly set: (values: Partial<SellingRoot>) => string | undefined;
} {
  const store = useStudioStore();
  const selling = useStudio((s) => sellingOf(s.draft.documents));
  return {
    selling,
    set: (values) => {
      const { draft, run } = store.getState();
      const outcome = changeSelling(draft, values);
      return outcome.ok ? run(outcome) : outcome.why;
    },
  };
}

type KeptProps = Pick<TextFieldProps, "placeholder" | "helperText" | "multiline" | "minRows" | "sx" | "fullWidth"> & {
  label: string;
  value: string;
  most: number;
  onSet: (text: string) => string | undefined;
};

/** Words that are kept as they are typed; what can’t be kept says why, and stays to be mended. */
export function KeptField({ value, onSet, most, helperText, ...more }: KeptProps) {
  const [text, setText] = useState(value);
  const [why, setWhy] = useState<string>();
  useWhenChanged(value, (now) => now !== text.trim() && (setText(now), setWhy(undefined)));
  return (
    <TextField
      size="small"
      {...more}
      value={text}
      error={why !== undefined}
      helperText={why ?? helperText}
      onChange={(e) => {
        setText(e.target.value);
        const next = e.target.value.trim();
        setWhy(next === value ? undefined : onSet(next));
      }}
      slotProps={{ htmlInput: { maxLength: most } }}
    />
  );
}
