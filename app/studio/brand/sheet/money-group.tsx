import { Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { CURRENCIES, formatMoney, MONEY_FORMATS } from "~/core/money";
import { moneyAndTime } from "~/core/protocol";
import { useStudio, useStudioStore } from "../../keeping";
import { CURRENCY_NAMES, TimeZoneField } from "../../ui";

/** An amount that shows how thousands and decimals are written. */
const SAMPLE = 123_450;

type Chosen = (typeof moneyAndTime.input)["_output"];
type Problems = Partial<Readonly<Record<keyof Chosen | "", string>>>;

/** The currency, how prices are written, and where the shop's day begins. These hold at once, as goods do. */
export function MoneyGroup() {
  const store = useStudioStore();
  const shop = useStudio((s) => s.shop);
  const [changed, setChanged] = useState<Partial<Chosen>>({});
  const [problems, setProblems] = useState<Problems>({});
  const [busy, setBusy] = useState(false);
  const { currency, moneyFormat, timeZone } = { ...shop, ...changed };
  const isChanged = currency !== shop.currency || moneyFormat !== shop.moneyFormat || timeZone !== shop.timeZone;
  const change = (next: Partial<Chosen>) => {
    setProblems({});
    setChanged({ ...changed, ...next });
  };
  const keep = async () => {
    setBusy(true);
    const wanted = moneyAndTime.input.safeParse({ currency, moneyFormat, timeZone });
    if (wanted.success) {
      const reply = await store.getState().client.ask(moneyAndTime, wanted.data);
      if (reply.ok) {
        store.setState(({ shop: now }) => ({ shop: { ...now, ...wanted.data } }));
        store.getState().say("Prices and times are shown like that from now on.");
        setChanged({});
      } else
        setProblems(
          reply.problems?.length
            ? Object.fromEntries(reply.problems.map(({ path, why }) => [path, why]))
            : { "": reply.why },
        );
    }
    setBusy(false);
  };
  const code = CURRENCIES.find((each) => each === currency) ?? CURRENCIES[0];
  return (
    <>
      <Typography variant="caption" color="text.secondary">
        These hold at once, for shoppers too. Prices keep their numbers: nothing is converted.
      </Typography>
      <TextField
        select
        label="Currency"
        value={code}
        error={problems.currency !== undefined}
        helperText={problems.currency}
        onChange={(e) => change({ currency: e.target.value as Chosen["currency"] })}
      >
        {CURRENCIES.map((each) => (
          <MenuItem key={each} value={each}>
            {each}
            {CURRENCY_NAMES ? `, ${CURRENCY_NAMES.of(each)}` : ""}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Prices are written"
        value={moneyFormat}
        error={problems.moneyFormat !== undefined}
        helperText={problems.moneyFormat}
        onChange={(e) => change({ moneyFormat: e.target.value as Chosen["moneyFormat"] })}
      >
        {MONEY_FORMATS.map((each) => (
          <MenuItem key={each} value={each}>
            {formatMoney(SAMPLE, code, each)}
          </MenuItem>
        ))}
      </TextField>
      <TimeZoneField zone={timeZone} problem={problems.timeZone} onZone={(zone) => change({ timeZone: zone })} />
      {problems[""] ? (
        <Typography role="alert" variant="body2" color="error">
          {problems[""]}
        </Typography>
      ) : null}
      {isChanged ? (
        <Button variant="contained" disabled={busy} onClick={() => void keep()} sx={{ justifySelf: "start" }}>
          {busy ? "Keeping it …" : "Keep it"}
        </Button>
      ) : null}
    </>
  );
}
