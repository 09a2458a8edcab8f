import { ButtonBase, Menu, MenuItem, Tooltip } from "@mui/material";
import { ChevronDown } from "lucide-react";
import { useState } from "react";
import type { Device } from "~/core/document";
import { useStudio, useStudioStore } from "../keeping";
import { DEVICE_NAME, DEVICE_WIDTH, SillName } from "../panes";
import { INK } from "../ui";
import type { PaneDevice } from "./frames";

const ON_SILL = {
  gap: 0.5,
  px: 0.5,
  mx: -0.5,
  borderRadius: 0.5,
  color: "inherit",
  font: "inherit",
  whiteSpace: "nowrap",
  "&:hover": { color: INK.spark },
  "&&:focus-visible": { outlineColor: INK.spark, outlineOffset: -2, boxShadow: "none" },
} as const;

/** Which device a pane shows: its own, or a tablet in its place. */
export function DeviceChoice({ pane }: { pane: PaneDevice }) {
  const store = useStudioStore();
  const device = useStudio((s) => s.panes[pane].device);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const offered: readonly Device[] = pane === "phone" ? ["phone", "tablet"] : ["tablet", "wide"];
  return (
    <>
      <ButtonBase
        sx={ON_SILL}
        aria-haspopup="menu"
        aria-label={`This pane shows: ${DEVICE_NAME[device]}`}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <SillName>{DEVICE_NAME[device]}</SillName>
        <ChevronDown size={12} aria-hidden />
      </ButtonBase>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {offered.map((each) => (
          <MenuItem
            key={each}
            role="menuitemradio"
            aria-checked={each === device}
            selected={each === device}
            onClick={() => {
              store.getState().setPane(pane, { device: each });
              setAnchor(null);
            }}
          >
            {DEVICE_NAME[each]}, {DEVICE_WIDTH[each]} px wide
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

/** How large a pane shows its page; one press changes between full size and as it fits. */
export function SizeChoice({ pane, scale }: { pane: PaneDevice; scale: number }) {
  const store = useStudioStore();
  const { device, isFull } = useStudio((s) => s.panes[pane]);
  const percent = Math.round(scale * 100);
  return (
    <Tooltip title={isFull ? "Shrink it to fit" : "Show it at full size"}>
      <ButtonBase
        sx={ON_SILL}
        aria-pressed={isFull}
        aria-label={`Full size; now at ${percent} %`}
        onClick={() => store.getState().setPane(pane, { isFull: !isFull })}
      >
        {DEVICE_WIDTH[device]} wide, at {percent} %
      </ButtonBase>
    </Tooltip>
  );
}
