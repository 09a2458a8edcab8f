import { Box } from "@mui/material";
import { useRef } from "react";
import type { Device, Draft } from "~/core/document";
import type { Target } from "~/render";
import { DEVICE_WIDTH } from "./devices";
import { DraftFrame } from "./draft-frame";
import { BARE_CSS, NOT_EDITING } from "./studio-css";
import { useSeen } from "./use-seen";

type PageSightProps = {
  draft: Draft;
  target: Target;
  name: string;
  /** Each device on which it is seen, with its width on the screen in px. */
  sizes: readonly (readonly [device: Device, width: number])[];
  height: number;
  /** What is still to be filled in is seen as well. */
  withBlanks?: boolean;
  /** Whoever draws it has waited already. */
  atOnce?: boolean;
};

/** A page of the shop as it looks, small and live, on one or several devices. Drawn once it is near and nothing else is to be done. */
export function PageSight({ draft, target, name, sizes, height, withBlanks = false, atOnce = false }: PageSightProps) {
  const holder = useRef<HTMLDivElement>(null);
  const near = useSeen(holder);
  const seen = near || atOnce;
  return (
    <Box ref={holder} sx={{ display: "flex", gap: "6px", height, flex: "none" }}>
      {sizes.map(([device, width]) => (
        <Box key={device} sx={{ width, height, overflow: "hidden", bgcolor: "#fff", position: "relative" }}>
          {seen ? (
            <DraftFrame
              inert
              title={`${name}, ${device}`}
              draft={draft}
              target={target}
              device={device}
              scale={width / DEVICE_WIDTH[device]}
              height={height}
              {...(withBlanks ? { studio: NOT_EDITING, extra: BARE_CSS } : {})}
            />
          ) : null}
        </Box>
      ))}
    </Box>
  );
}
