import { MenuItem, TextField } from "@mui/material";
import { TRADES } from "~/kinds/designs";
import { useTrade } from "./given";

/** What is sold: designs are offered and worded by it, wherever there are some. */
export function TradeField() {
  const [trade, setTrade] = useTrade();
  return (
    <TextField
      select
      size="small"
      label="What you sell"
      value={trade}
      onChange={(event) => setTrade(event.target.value)}
      sx={{ width: 210 }}
    >
      {TRADES.map((t) => (
        <MenuItem key={t.id} value={t.id}>
          {t.name}
        </MenuItem>
      ))}
    </TextField>
  );
}
