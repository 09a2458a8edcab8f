import { Box, ButtonBase, Popover, TextField, Tooltip } from "@mui/material";
import { memo, useCallback, useEffect, useRef, useState } from "react";
import { HexColorPicker, setNonce } from "react-colorful";
import { readColour, type Hex } from "~/core/theme";
import { holdWhilePressed, useStudioStore } from "../keeping";
import { INK, useBehind, useWhenChanged } from "../ui";

const NOT_A_COLOUR = "This is not a colour. Write it like #1f6f8b, teal or rgb(31 111 139).";

type Offered = readonly { readonly name: string; readonly colour: Hex }[];
const NONE: Offered = [];

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
  return useCallback((hex) => {
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
  }, []);
}

type ColourPickerProps = {
  label: string;
  start: Hex;
  anchor: HTMLElement;
  offered: Offered;
  onChange: (hex: Hex) => void;
  onClose: () => void;
};

/** The field of tints; it keeps what is picked to itself, so that a drag draws nothing else of the studio anew. */
const Picker = memo(function Picker({ label, start, anchor, offered, onChange, onClose }: ColourPickerProps) {
  const [colour, setColour] = useState(start);
  const change = usePerFrame(onChange);
  const store = useStudioStore();
  const pick = (hex: Hex) => {
    setColour(hex);
    change(hex);
  };
  useEffect(() => {
    // The picker's own style element must carry the nonce of the page.
    const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
    if (nonce) setNonce(nonce);
  }, []);
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      slotProps={{
        paper: { role: "dialog", "aria-label": label, sx: { p: 1.5, width: 232, border: `1px solid ${INK.ink}` } },
        // What is being coloured must stay in view and unshaded.
        backdrop: { invisible: true },
      }}
    >
      <Box onPointerDown={() => holdWhilePressed(store)}>
        <HexColorPicker color={colour} onChange={pick} />
      </Box>
      {offered.length ? (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 1.25 }}>
          {offered.map((each) => (
            <Tooltip key={`${each.name} ${each.colour}`} title={`${each.name} ${each.colour}`}>
              <ButtonBase
                aria-label={`${each.name} ${each.colour}`}
                onClick={() => pick(each.colour)}
                sx={{ width: 24, height: 24, borderRadius: 0.5, border: `1px solid ${INK.line}` }}
                style={{ backgroundColor: each.colour }}
              />
            </Tooltip>
          ))}
        </Box>
      ) : null}
    </Popover>
  );
});

type ColourTextProps = { label: string; value: Hex; onChange: (hex: Hex) => void };

/** A colour as text, in any form that CSS knows. */
const ColourText = memo(function ColourText({ label, value, onChange }: ColourTextProps) {
  const [typed, setTyped] = useState<string | null>(null);
  useWhenChanged(value, () => setTyped(null));
  const isBad = typed !== null && typed.trim() !== "" && readColour(typed) === undefined;
  return (
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
  );
});

type ColourFieldProps = {
  label: string;
  /** What is shown; it may come from elsewhere. */
  value: Hex;
  onChange: (hex: Hex) => void;
  /** Colours that are offered below the picker. */
  offered?: Offered;
};

/** A colour: picked on a field of tints, or typed. */
export function ColourField({ label, value, onChange, offered = NONE }: ColourFieldProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // What is offered when the picker opens stays while it is open.
  const [kept, setKept] = useState({ offered, start: value });
  const shown = useBehind(value);
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
  });
  const change = useCallback((hex: Hex) => latest.current(hex), []);
  const close = useCallback(() => setAnchor(null), []);
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
      <ButtonBase
        aria-label={`Pick: ${label}`}
        title={`Pick: ${label}`}
        aria-haspopup="dialog"
        onClick={(event) => {
          setKept({ offered, start: value });
          setAnchor(event.currentTarget);
        }}
        sx={{ width: 44, height: 40, flex: "none", border: `1px solid ${INK.soft}`, borderRadius: 1 }}
        style={{ backgroundColor: value }}
      />
      <ColourText label={label} value={shown} onChange={change} />
      {anchor ? (
        <Picker
          label={label}
          start={kept.start}
          anchor={anchor}
          offered={kept.offered}
          onChange={change}
          onClose={close}
        />
      ) : null}
    </Box>
  );
}
