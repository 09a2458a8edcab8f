import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Link,
  Radio,
  RadioGroup,
  TextField,
  Typography,
} from "@mui/material";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { closedOf } from "~/core/addresses";
import { setOpen } from "~/core/commands";
import { LONGEST_WORD } from "~/kinds";
import { useStudio, useStudioStore } from "../keeping";

/** Opens the shop, or closes it for now, with a word for friends. */
export function OpenShop({ open, onClose }: { open: boolean; onClose: () => void }) {
  return open ? <Asked onClose={onClose} /> : null;
}

function Asked({ onClose }: { onClose: () => void }) {
  const store = useStudioStore();
  const shop = useStudio((s) => s.shop.id);
  const now = closedOf(useStudio((s) => s.draft.documents));
  const [closed, setClosed] = useState(now.closed);
  const [friends, setFriends] = useState(now.friends);
  const save = () => {
    const state = store.getState();
    if (closed !== now.closed || friends.trim() !== now.friends) {
      const why = state.run(setOpen(state.draft, closed, friends));
      if (why) return state.say(why, "problem");
      state.say(closed ? "The shop closes with the next publication." : "The shop is open with the next publication.");
    }
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="open-shop-title">
      <DialogTitle id="open-shop-title" component="h2" sx={{ typography: "h2" }}>
        Open or closed
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <RadioGroup
          value={closed ? "closed" : "open"}
          onChange={(_e, next) => setClosed(next === "closed")}
          aria-label="The shop is"
        >
          <FormControlLabel value="open" control={<Radio />} label="Open" />
          <FormControlLabel value="closed" control={<Radio />} label="Closed for now" />
        </RadioGroup>
        {closed ? (
          <Box sx={{ display: "grid", gap: 1.5 }}>
            <Typography variant="body2" color="text.secondary">
              Whoever comes sees one page that says so, wherever they wanted to go. Search engines are told that it is
              for now.{" "}
              <Link component={RouterLink} to={`/s/${shop}/pages?page=closed`} onClick={onClose}>
                Look at that page
              </Link>
            </Typography>
            <TextField
              label="Password for friends"
              value={friends}
              onChange={(e) => setFriends(e.target.value)}
              helperText="Optional. Whoever knows it sees the shop as if it were open. Tell it to people, not to the internet."
              slotProps={{ htmlInput: { maxLength: LONGEST_WORD, autoComplete: "off" } }}
            />
          </Box>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={save}>
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
