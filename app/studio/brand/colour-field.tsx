import { Box, ButtonBase, Popover, TextField, Tooltip } from "@mui/material";
import { useEffect, useRef, useState, type ReactNode } from "react";
import { HexColorPicker, setNonce } from "react-colorful";
import { readColour, type Hex } from "~/core/theme";
import { INK } from "../ui";

const NOT_A_COLOUR = "This is not a colour. Write it like #1f6f8b, teal or rgb(31 111 139).";

/** Calls `apply` at most once a frame, with the latest value; a colour is dragged faster than it can be drawn. */
function usePerFrame(apply: (hex: Hex) => void): (hex: Hex) => void {
  const latest = useRef(apply);
  const waiting = useRef<{ frame: number; hex: Hex } | null>(null);
  useEffect(() => {
    latest.current = apply;
  });
  useEffect(
    () => () => {
      if (waiting.current) cancelAnimationFrame(waiting.current.frame);
    },
    [],
  );
  return (hex) => {
    if (waiting.current) {
      waiting.current.hex = hex;
      return;
    }
    const frame = requestAnimationFrame(() => {
      const due = waiting.current!.hex;
      waiting.current = null;
      latest.current(due);
    });
    waiting.current = { frame, hex };
  };
}

type ColourFieldProps = {
  label: string;
  /** What is shown; it may come from elsewhere. */
  value: Hex;
  onChange: (hex: Hex) => void;
  /** Colours that are offered below the picker. */
  offered?: readonly { readonly name: string; readonly colour: Hex }[];
  children?: ReactNode;
};

/** A colour: picked on a field of tints, or typed in any form that CSS knows. */
export function ColourField({ label, value, onChange, offered = [], children }: ColourFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const change = usePerFrame(onChange);
  useEffect(() => {
    // The picker's own style element must carry the nonce of the page.
    const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
    if (nonce) setNonce(nonce);
  }, []);
  useEffect(() => setTyped(null), [value]);
  const isBad = typed !== null && typed.trim() !== "" && readColour(typed) === undefined;
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
      <Tooltip title={`Pick: ${label}`}>
        <ButtonBase
          aria-label={`Pick: ${label}`}
          aria-haspopup="dialog"
          onClick={(event) => setAnchor(event.currentTarget)}
          sx={{ width: 44, height: 40, flex: "none", border: `1px solid ${INK.soft}`, borderRadius: 1, bgcolor: value }}
        />
      </Tooltip>
      <TextField
        label={label}
        value={typed ?? value}
        error={isBad}
        helperText={isBad ? NOT_A_COLOUR : undefined}
        slotProps={{ htmlInput: { spellCheck: false } }}
        onChange={(event) => {
          setTyped(event.target.value);
          const read = readColour(event.target.value);
          if (read && event.target.value.trim().length > 3) onChange(read);
        }}
        onBlur={() => {
          const read = typed === null ? undefined : readColour(typed);
          if (read && read !== value) onChange(read);
          if (read || typed?.trim() === "") setTyped(null);
        }}
      />
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        slotProps={{
          paper: { role: "dialog", "aria-label": label, sx: { p: 1.5, width: 232, border: `1px solid ${INK.ink}` } },
          // What is being coloured must stay in view and unshaded.
          backdrop: { invisible: true },
        }}
      >
        <HexColorPicker color={value} onChange={change} />
        {offered.length ? (
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 1.25 }}>
            {offered.map(({ name, colour }) => (
              <Tooltip key={`${name} ${colour}`} title={`${name} ${colour}`}>
                <ButtonBase
                  aria-label={`${name} ${colour}`}
                  onClick={() => onChange(colour)}
                  sx={{ width: 24, height: 24, borderRadius: 0.5, bgcolor: colour, border: `1px solid ${INK.line}` }}
                />
              </Tooltip>
            ))}
          </Box>
        ) : null}
        {children}
      </Popover>
    </Box>
  );
}
