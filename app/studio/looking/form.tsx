import { Autocomplete, Box, Checkbox, FormControlLabel, Link, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { clockWords } from "~/core/conditions";
import { priceOf, type Product } from "~/core/goods";
import { type InCart, type Person } from "~/core/situation";
import { clockNow, useStudio, type Looking } from "../keeping";
import { useWhenChanged } from "../ui";
import { COUNTRIES, MoneyField, useNames } from "../when";
import { useComing } from "./coming";
import { Dial } from "./dial";

type FormProps = {
  looking: Looking;
  onLook: (looking: Looking) => void;
};

/** When it is looked at: by a dial of the coming year, a date and an hour, or what comes next. */
function WhenPart({ at, onAt }: { at: string | undefined; onAt: (at: string | undefined) => void }) {
  const clock = useStudio(clockNow);
  const shown = at ?? clock;
  const [typed, setTyped] = useState(shown);
  useWhenChanged(shown, setTyped);
  const coming = useComing(clock);
  return (
    <Box component="section" aria-label="When" sx={{ display: "grid", gap: 1 }}>
      <Typography variant="h3">When</Typography>
      <Box sx={{ px: 1 }}>
        <Dial
          label="Day of the coming year"
          begin={`${clock.slice(0, 10)}T00:00`}
          at={shown}
          now={clock}
          letters
          onTurn={onAt}
        />
      </Box>
      <TextField
        size="small"
        type="datetime-local"
        label="Date and hour, by your shop’s clocks"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          if (/^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(event.target.value)) onAt(event.target.value);
        }}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {coming.length ? (
        <Box>
          <Typography variant="caption" color="text.secondary" component="h4">
            What changes next
          </Typography>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxHeight: 120, overflowY: "auto" }}>
            {coming.map((each) => (
              <li key={each.key}>
                <Link
                  component="button"
                  type="button"
                  variant="body2"
                  onClick={() => onAt(each.at)}
                  sx={{ textAlign: "start" }}
                >
                  {clockWords(each.at)}: {each.words}
                </Link>
              </li>
            ))}
          </Box>
        </Box>
      ) : (
        <Typography variant="caption" color="text.secondary">
          Nothing in your shop begins or ends by itself so far.
        </Typography>
      )}
    </Box>
  );
}

/** Turns panes to another time and another shopper. */
export function LookingForm({ looking, onLook }: FormProps) {
  const { at, person } = looking;
  const products = useStudio((s) => s.goods.products);
  const names = useNames();
  const as = (change: Partial<Person>) => onLook({ at, person: { ...person, ...change } });
  const { visitor, cart, country } = person;
  const withGoods = (chosen: readonly Product[]): InCart => ({
    count: chosen.length,
    worth: chosen.reduce((sum, product) => sum + priceOf(product, undefined), 0),
    products: chosen.map((product) => product.id),
  });
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <WhenPart at={at} onAt={(next) => onLook({ at: next, person })} />
      <Box component="section" aria-label="Who looks" sx={{ display: "grid", gap: 1.5 }}>
        <Typography variant="h3">Who looks</Typography>
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
          <TextField
            select
            size="small"
            label="Visitor"
            value={visitor.visits > 1 ? 2 : 1}
            onChange={(e) => as({ visitor: { ...visitor, visits: Number(e.target.value) } })}
          >
            <MenuItem value={1}>New</MenuItem>
            <MenuItem value={2}>Comes again</MenuItem>
          </TextField>
          <TextField
            size="small"
            label="Came by from="
            value={visitor.by}
            onChange={(e) => as({ visitor: { ...visitor, by: e.target.value } })}
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
        </Box>
        <Box sx={{ display: "flex", flexWrap: "wrap" }}>
          {(
            [
              ["isSubscribed", "Gets your letters"],
              ["isSignedIn", "Is signed in"],
              ["hasBought", "Has bought before"],
            ] as const
          ).map(([what, label]) => (
            <FormControlLabel
              key={what}
              control={
                <Checkbox
                  size="small"
                  checked={visitor[what]}
                  onChange={(_e, on) => as({ visitor: { ...visitor, [what]: on } })}
                />
              }
              label={label}
            />
          ))}
        </Box>
        <Autocomplete
          multiple
          size="small"
          options={products}
          getOptionLabel={(product) => product.title}
          getOptionKey={(product) => product.id}
          value={products.filter(({ id }) => cart.products.includes(id))}
          onChange={(_e, next) => as({ cart: withGoods(next) })}
          renderInput={(params) => (
            <TextField
              {...params}
              label="In the cart"
              helperText={cart.count ? `Worth ${names.money(cart.worth)}` : undefined}
            />
          )}
        />
        <MoneyField
          label="The cart is worth"
          value={cart.worth || undefined}
          onSet={(worth = 0) =>
            as({ cart: { ...cart, worth, count: worth > 0 ? Math.max(1, cart.products.length) : 0 } })
          }
        />
        <Autocomplete
          size="small"
          options={COUNTRIES}
          getOptionLabel={(each) => each.title}
          getOptionKey={(each) => each.id}
          value={COUNTRIES.find(({ id }) => id === country) ?? null}
          onChange={(_e, next) => as({ country: next?.id ?? "" })}
          renderInput={(params) => <TextField {...params} label="Country" />}
        />
      </Box>
    </Box>
  );
}
