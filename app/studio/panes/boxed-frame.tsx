import { Box } from "@mui/material";
import type { ComponentProps } from "react";
import { INK } from "../ui";
import { DEVICE_WIDTH } from "./devices";
import { DraftFrame } from "./draft-frame";

type BoxedProps = Pick<ComponentProps<typeof DraftFrame>, "title" | "draft" | "target" | "device" | "height"> & {
  /** On the screen, in px. */
  width: number;
};

/** A page of a state of the shop in a box of its own: only to be looked at. */
export const BoxedFrame = ({ width, device, ...page }: BoxedProps) => (
  <Box
    sx={{ width, border: `1px solid ${INK.ink}`, borderRadius: 1, overflow: "hidden", flex: "none", bgcolor: "#fff" }}
  >
    <DraftFrame inert device={device} scale={width / DEVICE_WIDTH[device]} {...page} />
  </Box>
);
