import { Alert, Box, FormControlLabel, Switch, Typography } from "@mui/material";
import { notSelling } from "~/core/selling";
import { useSelling } from "./kept-field";

/** Whether shoppers can have an account. `count`: how many have one. */
export function AccountsPage({ count }: { count: number }) {
  const { selling, set } = useSelling();
  const isOn = selling.accounts !== "no";
  return (
    <Box sx={{ overflowY: "auto", minHeight: 0 }}>
      <Box sx={{ p: { xs: 2, md: 3 }, maxWidth: 860, display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Typography variant="h1">Accounts</Typography>
        <Typography color="text.secondary" sx={{ maxWidth: 640 }}>
          Shoppers see their orders there, order again by a press, keep addresses, choose which of your letters they
          get, take out what you know of them, and delete it. Nobody needs one to buy.
        </Typography>
        {notSelling(selling) ? (
          <Alert severity="info">There are accounts once your shop sells: set up delivery and payment first.</Alert>
        ) : null}
        <FormControlLabel
          control={<Switch checked={isOn} onChange={(_e, is) => void set({ accounts: is ? undefined : "no" })} />}
          label={<Typography sx={{ fontWeight: 600 }}>Shoppers can have an account</Typography>}
        />
        <Typography role="status">
          {count === 0
            ? "Nobody has one yet."
            : count === 1
              ? "1 shopper has one."
              : `${count.toLocaleString("en")} shoppers have one.`}
          {isOn || count === 0 ? "" : " They can’t sign in until you switch it on again; nothing of theirs is lost."}
        </Typography>
      </Box>
    </Box>
  );
}
