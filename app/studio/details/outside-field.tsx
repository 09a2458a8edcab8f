import { TextField } from "@mui/material";
import { useState } from "react";
import { readAt } from "~/core/operations";
import { nameOf } from "~/kinds";
import { outsideFilm } from "~/kinds/parts";
import { useWhenChanged } from "../ui";
import { useSetOrSay, type FieldProps } from "./use-set";

const WRONG =
  "This can’t be played. It needs an address that begins with https:// and leads to an MP4 or WebM, or to a player for other pages.";

/** The address of a film that is kept elsewhere. What can't be played is said here and stays out of the page. */
export function OutsideField({ node, field, path }: FieldProps) {
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const at = readAt(node.props, path);
  const stored = typeof at === "string" ? at : "";
  const [typed, setTyped] = useState(stored);
  useWhenChanged(stored, setTyped);
  const found = outsideFilm(typed);
  const isWrong = typed.trim() !== "" && !found;
  const take = () => {
    const next = found?.address ?? typed.trim();
    if (!isWrong && next !== stored) set(next);
  };
  return (
    <TextField
      label={field.label}
      value={typed}
      error={isWrong}
      slotProps={{ htmlInput: { maxLength: 2000, inputMode: "url", spellCheck: false } }}
      helperText={
        isWrong
          ? WRONG
          : found
            ? `Shoppers are told that it plays from ${found.host}; nothing is loaded from there before they press it.`
            : "Paste the address, or what its page offers to put into other pages."
      }
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === "Enter") take();
      }}
    />
  );
}
