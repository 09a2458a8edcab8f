import { Box, Button, FormControlLabel, MenuItem, Radio, RadioGroup, TextField } from "@mui/material";
import { Plus, X } from "lucide-react";
import { canBuy, productWith } from "~/core/goods";
import { MOST_STEPS, type Gives, type Offer } from "~/core/offers";
import { useStudio } from "../keeping";
import { IconAction } from "../ui";
import { AmountField, GoodsChoice, MoneyField } from "../when";
import { ProductChoice } from "./product-choice";

const SORTS: readonly (readonly [Gives["sort"], string])[] = [
  ["percent", "Percent off"],
  ["amount", "An amount off"],
  ["price", "A price for each piece"],
  ["steps", "The more pieces, the more percent off"],
  ["bundle", "Take some, pay fewer"],
  ["gift", "Something given with it"],
  ["delivery", "Cheaper or free delivery"],
];

/** Hundredths of a percent as they are typed: 12.5 is 1250. */
const readPercent = (text: string): number | string => {
  const plain = text.replace("%", "").replace(",", ".").trim();
  if (!/^\d{1,3}(?:\.\d{1,2})?$/.test(plain)) return "Write a number, such as 15 or 12.5.";
  const off = Math.round(Number(plain) * 100);
  return off < 1 ? "Give more than nothing." : off > 10_000 ? "No more than 100 % can be taken off." : off;
};
const writtenPercent = (off: number) => String(off / 100);
const readCount = (text: string): number | string =>
  /^\d{1,2}$/.test(text.trim()) ? Number(text) : "Write a whole number up to 99.";

const PercentField = ({ label, value, onSet }: { label: string; value: number; onSet: (off: number) => void }) => (
  <AmountField
    label={label}
    value={value}
    written={writtenPercent}
    read={readPercent}
    isNeeded
    onSet={(off) => off !== undefined && onSet(off)}
  />
);
const CountField = ({ label, value, onSet }: { label: string; value: number; onSet: (count: number) => void }) => (
  <AmountField
    label={label}
    value={value}
    written={String}
    read={readCount}
    isNeeded
    onSet={(count) => count !== undefined && onSet(count)}
  />
);

type OnChoice<V extends string> = {
  label: string;
  value: V;
  choices: readonly (readonly [V, string])[];
  onSet: (value: V) => void;
};

function Choice<V extends string>({ label, value, choices, onSet }: OnChoice<V>) {
  return (
    <RadioGroup aria-label={label} value={value} onChange={(_e, next) => onSet(next as V)}>
      {choices.map(([each, words]) => (
        <FormControlLabel key={each} value={each} control={<Radio size="small" />} label={words} />
      ))}
    </RadioGroup>
  );
}

const TWO = { display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 };

type Props = { gives: Gives; onSet: (gives: Gives) => void };

function Details({ gives, onSet }: Props) {
  const { currency } = useStudio((s) => s.shop);
  switch (gives.sort) {
    case "percent":
      return (
        <>
          <PercentField label="Percent" value={gives.off} onSet={(off) => onSet({ ...gives, off })} />
          <Choice
            label="Off what"
            value={gives.on}
            choices={[
              ["all", "Off all of it"],
              ["cheapest", "Off the cheapest piece"],
            ]}
            onSet={(on) => onSet({ ...gives, on })}
          />
        </>
      );
    case "amount":
      return (
        <>
          <MoneyField
            isNeeded
            label={`Amount, in ${currency}`}
            value={gives.amount}
            onSet={(amount) => amount && onSet({ ...gives, amount })}
          />
          <Choice
            label="Off what"
            value={gives.on}
            choices={[
              ["all", "Off all of it together"],
              ["each", "Off each piece"],
              ["cheapest", "Off the cheapest piece"],
            ]}
            onSet={(on) => onSet({ ...gives, on })}
          />
        </>
      );
    case "price":
      return (
        <MoneyField
          isNeeded
          label={`Each piece costs, in ${currency}`}
          value={gives.price}
          onSet={(price) => price && onSet({ ...gives, price })}
        />
      );
    case "steps":
      return <Steps gives={gives} onSet={onSet} />;
    case "bundle":
      return (
        <Box sx={TWO}>
          <CountField label="Take" value={gives.take} onSet={(take) => onSet({ ...gives, take })} />
          <CountField label="Pay" value={gives.pay} onSet={(pay) => onSet({ ...gives, pay })} />
        </Box>
      );
    case "gift":
      return <GiftFields gives={gives} onSet={onSet} />;
    case "delivery":
      return (
        <>
          <Choice
            label="How much less"
            value={gives.off === null ? "amount" : gives.off === 10_000 ? "free" : "percent"}
            choices={[
              ["free", "Delivery is free"],
              ["percent", "So much percent less"],
              ["amount", "An amount less"],
            ]}
            onSet={(how) =>
              onSet({
                sort: "delivery",
                off: how === "free" ? 10_000 : how === "percent" ? 5000 : null,
                amount: how === "amount" ? 300 : null,
              })
            }
          />
          {gives.off !== null && gives.off < 10_000 ? (
            <PercentField label="Percent less" value={gives.off} onSet={(off) => onSet({ ...gives, off })} />
          ) : null}
          {gives.amount !== null ? (
            <MoneyField
              isNeeded
              label={`Less, in ${currency}`}
              value={gives.amount}
              onSet={(amount) => amount && onSet({ ...gives, amount })}
            />
          ) : null}
        </>
      );
  }
}

function Steps({ gives, onSet }: { gives: Extract<Gives, { sort: "steps" }>; onSet: (gives: Gives) => void }) {
  const { steps } = gives;
  const put = (next: typeof steps) => onSet({ ...gives, steps: next });
  return (
    <>
      {steps.map((step, i) => (
        // Steps have nothing of their own to be known by.
        <Box key={i} sx={{ display: "grid", gridTemplateColumns: "1fr 1fr auto", gap: 1, alignItems: "start" }}>
          <CountField label="From pieces" value={step.from} onSet={(from) => put(steps.with(i, { ...step, from }))} />
          <PercentField label="Percent" value={step.off} onSet={(off) => put(steps.with(i, { ...step, off }))} />
          <IconAction
            label={`Remove step ${i + 1}`}
            icon={X}
            size={16}
            disabled={steps.length === 1}
            onClick={() => put(steps.toSpliced(i, 1))}
          />
        </Box>
      ))}
      <Box>
        <Button
          size="small"
          startIcon={<Plus size={15} aria-hidden />}
          disabled={steps.length >= MOST_STEPS}
          onClick={() => {
            const last = steps.at(-1)!;
            put([...steps, { from: Math.min(99, last.from + 3), off: Math.min(10_000, last.off + 500) }]);
          }}
        >
          One more step
        </Button>
      </Box>
    </>
  );
}

function GiftFields({ gives, onSet }: { gives: Extract<Gives, { sort: "gift" }>; onSet: (gives: Gives) => void }) {
  const goods = useStudio((s) => s.goods);
  const product = productWith(goods, gives.product);
  return (
    <>
      <ProductChoice
        label="What is given"
        value={gives.product}
        onSet={(id) => {
          const chosen = productWith(goods, id);
          if (chosen) onSet({ ...gives, product: id, variant: chosen.variants[0]?.id ?? null });
        }}
      />
      {product?.variants.length ? (
        <TextField
          select
          size="small"
          label="Which"
          value={gives.variant ?? ""}
          onChange={(e) => onSet({ ...gives, variant: e.target.value })}
        >
          {product.variants.map((variant) => (
            <MenuItem key={variant.id} value={variant.id} disabled={!canBuy(product, variant)}>
              {variant.values.join(", ")}
            </MenuItem>
          ))}
        </TextField>
      ) : null}
      <CountField label="How many" value={gives.count} onSet={(count) => onSet({ ...gives, count })} />
    </>
  );
}

/** What a sort of offer begins with when it takes another's place. */
function begun(sort: Gives["sort"], gift: string): Gives {
  switch (sort) {
    case "percent":
      return { sort, off: 1500, on: "all" };
    case "amount":
      return { sort, amount: 500, on: "all" };
    case "price":
      return { sort, price: 1000 };
    case "steps":
      return { sort, steps: [{ from: 3, off: 500 }] };
    case "bundle":
      return { sort, take: 3, pay: 2 };
    case "gift":
      return { sort, product: gift, variant: null, count: 1 };
    case "delivery":
      return { sort, off: 10_000, amount: null };
  }
}

type EditorProps = {
  offer: Offer;
  onSet: (values: { gives?: Gives; products?: readonly string[]; collections?: readonly string[] }) => void;
};

/** What an offer gives, and for which goods. */
export function GivesEditor({ offer, onSet }: EditorProps) {
  const gift = useStudio((s) => s.goods.products.find((p) => !p.variants.length)?.id ?? s.goods.products[0]?.id);
  const { gives, goods } = offer;
  return (
    <>
      <TextField
        select
        size="small"
        label="What it gives"
        value={gives.sort}
        onChange={(e) => onSet({ gives: begun(e.target.value as Gives["sort"], gift ?? "") })}
      >
        {SORTS.filter(([sort]) => sort !== "gift" || gift !== undefined).map(([sort, words]) => (
          <MenuItem key={sort} value={sort}>
            {words}
          </MenuItem>
        ))}
      </TextField>
      <Details gives={gives} onSet={(next) => onSet({ gives: next })} />
      <GoodsChoice
        value={goods}
        label={
          gives.sort === "gift" || gives.sort === "delivery"
            ? "With these goods (none: any)"
            : "These goods (none: all)"
        }
        onSet={({ products, collections }) => onSet({ products: products ?? [], collections: collections ?? [] })}
      />
    </>
  );
}
