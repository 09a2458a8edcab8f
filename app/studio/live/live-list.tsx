import { Box, ListSubheader, MenuItem, Typography } from "@mui/material";
import type { Live } from "~/core/live";
import type { LiveGroup } from "./live-of";

/** Facts in a menu, each with what it says now. */
export const LiveItems = ({ groups, onChoose }: { groups: readonly LiveGroup[]; onChoose: (live: Live) => void }) =>
  groups.flatMap(({ id, name, facts }) => [
    <ListSubheader key={id} sx={{ lineHeight: "30px", bgcolor: "transparent", position: "static" }}>
      {name}
    </ListSubheader>,
    ...facts.map(({ live, label, said }) => (
      <MenuItem key={`${id} ${live.field}`} onClick={() => onChoose(live)} sx={{ gap: 2 }}>
        <Box component="span" sx={{ flex: 1 }}>
          {label}
        </Box>
        <Typography component="span" color="text.secondary" sx={{ fontSize: 14 }}>
          {said}
        </Typography>
      </MenuItem>
    )),
  ]);
