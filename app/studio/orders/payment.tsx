import { Alert, Box, FormControlLabel, Switch, Typography } from "@mui/material";
import { useState, type ReactNode } from "react";
import { notSelling, TEST_CARDS, type SellingRoot } from "~/core/selling";
import { INK } from "../ui";
import { KeptField, useSelling } from "./kept-field";

type Pays = NonNullable<SellingRoot["pays"]>;

type WayProps = { name: string; about: string; isOn: boolean; onSet: (is: boolean) => void; children?: ReactNode };

const WayOf = ({ name, about, isOn, onSet, children }: WayProps) => (
  <Box sx={{ borderTop: `1px solid ${INK.line}`, py: 1.5, display: "grid", gap: 1 }}>
    <FormControlLabel
      control={<Switch checked={isOn} onChange={(_e, is) => onSet(is)} />}
      label={<Typography sx={{ fontWeight: 600 }}>{name}</Typography>}
    />
    <Typography variant="body2" color="text.secondary" sx={{ maxWidth: 640 }}>
      {about}
    </Typography>
    {isOn ? children : null}
  </Box>
);

const spaced = (number: string) => number.replace(/(.{4})(?=.)/g, "$1 ");

/** How the shop is paid. */
export function PaymentPage() {
  const { selling, set } = useSelling();
  const { pays } = selling;
  const [why, setWhy] = useState<string>();
  // Switched on, and not said yet to which account: nothing of it reaches a shop.
  const [wantsTransfer, setWantsTransfer] = useState(false);
  const change = (values: Partial<Pays>): string | undefined => {
    const problem = set({
      pays: Object.fromEntries(Object.entries({ ...pays, ...values }).filter(([, v]) => v !== undefined)),
    });
    setWhy(problem);
    return problem;
  };
  const lacks = notSelling(selling);
  return (
    <Box sx={{ overflowY: "auto", minHeight: 0 }}>
      <Box sx={{ p: { xs: 2, md: 3 }, maxWidth: 860, display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Typography variant="h1">Payment</Typography>
        <Typography color="text.secondary" sx={{ maxWidth: 640 }}>
          Without a way to pay there is no checkout. Shoppers get it when you publish.
        </Typography>
        {lacks ? (
          <Alert severity="info">
            {lacks === "payment"
              ? "Nobody can pay yet for what you send or hand over: switch on what fits."
              : "Nobody can buy yet: say under Delivery where you send to, or where goods can be fetched."}
          </Alert>
        ) : null}
        <Box>
          <WayOf
            name="Card"
            about="A stand-in for card payments: no money is taken, and only test cards are accepted. Shoppers are told so. Use it to try your shop out."
            isOn={pays.card === true}
            onSet={(is) => change({ card: is ? true : undefined })}
          >
            <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: 14, fontVariantNumeric: "tabular-nums" }}>
              <li>{spaced(TEST_CARDS.paid)}: paid</li>
              <li>{spaced(TEST_CARDS.declined)}: declined</li>
              <li>{spaced(TEST_CARDS.asked)}: asks whether it is them</li>
              <li>{spaced(TEST_CARDS.late)}: no answer comes</li>
            </Box>
          </WayOf>
          <WayOf
            name="Bank transfer"
            about="They are told where to, and you mark the order as paid when the money has arrived."
            isOn={pays.transfer !== undefined || wantsTransfer}
            onSet={(is) => {
              setWantsTransfer(is);
              if (!is && pays.transfer !== undefined) change({ transfer: undefined });
            }}
          >
            <KeptField
              label="To which account: whose it is, and its number"
              value={pays.transfer ?? ""}
              most={600}
              multiline
              minRows={2}
              sx={{ maxWidth: 560 }}
              onSet={(transfer) => change({ transfer })}
            />
          </WayOf>
          <WayOf
            name="On delivery"
            about="Whoever brings the parcel takes the money. Only for what is sent."
            isOn={pays.onDelivery === true}
            onSet={(is) => change({ onDelivery: is ? true : undefined })}
          />
          <WayOf
            name="On collection"
            about="They pay when they fetch it. Only for what is collected."
            isOn={pays.onCollection === true}
            onSet={(is) => change({ onCollection: is ? true : undefined })}
          />
        </Box>
        {why ? (
          <Typography variant="body2" color="error" role="alert">
            {why}
          </Typography>
        ) : null}
      </Box>
    </Box>
  );
}
