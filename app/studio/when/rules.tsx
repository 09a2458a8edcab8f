import {
  Autocomplete,
  Box,
  Button,
  Checkbox,
  createFilterOptions,
  FormControlLabel,
  Radio,
  RadioGroup,
  Switch,
  TextField,
  Typography,
} from "@mui/material";
import { Plus } from "lucide-react";
import { useState } from "react";
import { siteOf } from "~/core/addresses";
import { countriesByName } from "~/core/selling";
import {
  PAGE_SORT_WORDS,
  PAGE_SORTS,
  type CartRule,
  type CountryRule,
  type GoodsRule,
  type PageRule,
  type Rule,
  type VisitorRule,
} from "~/core/conditions";
import { ruleProblem, type Rule as GoodsAsk } from "~/core/goods";
import { decimalMoney, parseMoney } from "~/core/money";
import { useStudio } from "../keeping";
import { RuleRow, useWhenChanged } from "../ui";

type EditorProps<R> = { rule: R; onSet: (rule: R) => void };

const orNone = <T,>(list: readonly T[]): readonly T[] | undefined => (list.length ? list : undefined);

/** Turns a rule round. */
function Turned<R extends Rule>({ rule, label, onSet }: EditorProps<R> & { label: string }) {
  return (
    <FormControlLabel
      control={
        <Switch
          size="small"
          checked={rule.not === true}
          onChange={(_e, on) => onSet({ ...rule, not: on ? true : undefined })}
        />
      }
      label={label}
    />
  );
}

type Named = { readonly id: string; readonly title: string };

function PagesEditor({ rule, onSet }: EditorProps<PageRule>) {
  const documents = useStudio((s) => s.draft.documents);
  // Those that are not in the shop yet as well: what waits for one can be set up before it.
  const pages = siteOf(documents).pages.map(({ document }): Named => document);
  const chosen = pages.filter((page) => rule.pages?.includes(page.id));
  return (
    <>
      <Box role="group" aria-label="Sorts of pages" sx={{ display: "grid", gridTemplateColumns: "1fr 1fr" }}>
        {PAGE_SORTS.filter((sort) => sort !== "other").map((sort) => (
          <FormControlLabel
            key={sort}
            sx={{ mr: 0, alignItems: "flex-start", "& .MuiCheckbox-root": { py: 0.5 } }}
            control={
              <Checkbox
                size="small"
                checked={rule.sorts?.includes(sort) === true}
                onChange={(_e, on) => {
                  const sorts = PAGE_SORTS.filter((each) => (each === sort ? on : rule.sorts?.includes(each)));
                  onSet({ ...rule, sorts: orNone(sorts) });
                }}
              />
            }
            label={
              <Typography variant="body2" sx={{ pt: 0.5 }}>
                {PAGE_SORT_WORDS[sort].replace(/^./, (first) => first.toUpperCase())}
              </Typography>
            }
          />
        ))}
      </Box>
      <Autocomplete
        multiple
        size="small"
        options={pages}
        getOptionLabel={(page) => page.title}
        getOptionKey={(page) => page.id}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        value={chosen}
        onChange={(_e, next) => onSet({ ...rule, pages: orNone(next.map((page) => page.id)) })}
        renderInput={(params) => <TextField {...params} label="These pages" />}
      />
      <Turned rule={rule} label="On all other pages instead" onSet={onSet} />
    </>
  );
}

type GoodsOption = Named & { readonly sort: "products" | "collections"; readonly group: string };
type GoodsNamed = Pick<GoodsRule, "products" | "collections">;

/** More than that are not listed at once: whoever looks for one types. */
const filterGoods = createFilterOptions<GoodsOption>({ limit: 60 });

/** Products and whole collections, chosen by name. */
export function GoodsChoice({
  value,
  label,
  onSet,
}: {
  value: GoodsNamed;
  label: string;
  onSet: (named: GoodsNamed) => void;
}) {
  const goods = useStudio((s) => s.goods);
  const things: readonly GoodsOption[] = [
    ...goods.collections.map(({ id, title }): GoodsOption => ({
      sort: "collections",
      id,
      title,
      group: "Collections",
    })),
    ...goods.products.map(({ id, title }): GoodsOption => ({ sort: "products", id, title, group: "Products" })),
  ];
  const of = (sort: GoodsOption["sort"], chosen: readonly GoodsOption[]) =>
    orNone(chosen.filter((each) => each.sort === sort).map((each) => each.id));
  return (
    <Autocomplete
      multiple
      size="small"
      options={things}
      filterOptions={filterGoods}
      groupBy={(each) => each.group}
      getOptionLabel={(each) => each.title}
      getOptionKey={(each) => `${each.sort} ${each.id}`}
      isOptionEqualToValue={(a, b) => a.sort === b.sort && a.id === b.id}
      value={things.filter((each) => value[each.sort]?.includes(each.id))}
      onChange={(_e, next) => onSet({ products: of("products", next), collections: of("collections", next) })}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}

function GoodsEditor({ rule, onSet }: EditorProps<GoodsRule>) {
  const products = useStudio((s) => s.goods.products);
  // What is only begun stays here until it can be kept.
  const [asks, setAsks] = useState<readonly GoodsAsk[]>(rule.asks ?? []);
  const known = JSON.stringify(rule.asks ?? []);
  useWhenChanged(known, () => setAsks((now) => [...(rule.asks ?? []), ...now.filter(ruleProblem)]));
  const change = (next: readonly GoodsAsk[]) => {
    setAsks(next);
    const whole = next.filter((ask) => ruleProblem(ask) === undefined);
    if (JSON.stringify(whole) !== known) onSet({ ...rule, asks: orNone(whole) });
  };
  return (
    <>
      <GoodsChoice value={rule} label="These goods" onSet={(named) => onSet({ ...rule, ...named })} />
      {rule.products || rule.collections ? null : (
        <Typography variant="caption" color="text.secondary">
          None chosen: all goods of which the following is true.
        </Typography>
      )}
      {asks.map((ask, i) => (
        <RuleRow
          // Questions have nothing of their own to be known by.
          key={i}
          rule={ask}
          products={products}
          onChange={(next) => change(asks.with(i, next))}
          onRemove={() => change(asks.toSpliced(i, 1))}
        />
      ))}
      <Box>
        <Button
          size="small"
          startIcon={<Plus size={15} aria-hidden />}
          onClick={() => setAsks([...asks, { field: "price", op: "under", value: "" }])}
        >
          Ask something of them
        </Button>
      </Box>
      <Turned rule={rule} label="For all other goods instead" onSet={onSet} />
    </>
  );
}

const VISITORS: readonly (readonly [VisitorRule["is"], string])[] = [
  ["new", "New visitors"],
  ["returning", "Visitors who come again"],
  ["subscribed", "Those who get your letters"],
  ["signed-in", "Those who are signed in"],
  ["bought", "Those who have bought before"],
  ["came", "Those who came by a certain link"],
];

function VisitorEditor({ rule, onSet }: EditorProps<VisitorRule>) {
  const address = useStudio((s) => s.shop.address);
  const [by, setBy] = useState(rule.by ?? "");
  useWhenChanged(rule.by ?? "", setBy);
  const said = by.trim();
  return (
    <>
      <RadioGroup
        aria-label="To whom"
        value={rule.is}
        onChange={(_e, value) => {
          const is = value as VisitorRule["is"];
          onSet({ ...rule, is, by: is === "came" ? said || "fair" : undefined });
        }}
      >
        {VISITORS.map(([is, words]) => (
          <FormControlLabel key={is} value={is} control={<Radio size="small" />} label={words} />
        ))}
      </RadioGroup>
      {rule.is === "came" ? (
        <TextField
          size="small"
          label="The word in the link"
          value={by}
          error={said === ""}
          onChange={(e) => {
            setBy(e.target.value);
            if (e.target.value.trim()) onSet({ ...rule, by: e.target.value.trim() });
          }}
          slotProps={{ htmlInput: { maxLength: 60 } }}
          helperText={said === "" ? "Write a word." : `Such a link: ${address}/?from=${encodeURIComponent(said)}`}
        />
      ) : null}
      <Typography variant="caption" color="text.secondary">
        Your shop notes visits, links and sign-ups in cookies of its own, only where a part asks for them, and nothing
        of who it is.
      </Typography>
      <Turned rule={rule} label="To everybody else instead" onSet={onSet} />
    </>
  );
}

const CARTS: readonly (readonly [CartRule["asks"], string])[] = [
  ["empty", "Nothing is in it"],
  ["worth", "What is in it is worth"],
  ["number", "So many pieces are in it"],
  ["goods", "Certain goods are in it"],
];

type AmountProps = {
  label: string;
  value: number | undefined;
  /** How it is written, and read. */
  written: (value: number) => string;
  read: (text: string) => number | string;
  onSet: (value: number | undefined) => void;
  /** It can't be left open: nothing is kept of that, and it is said. */
  isNeeded?: boolean;
};

/** An amount that can be left open, unless it is needed. What can't be read is said, and nothing is kept of it. */
export function AmountField({ label, value, written, read: readText, onSet, isNeeded = false }: AmountProps) {
  const read = (typed: string) =>
    typed.trim() !== "" ? readText(typed) : isNeeded ? "It can’t be left open." : undefined;
  const [text, setText] = useState(value === undefined ? "" : written(value));
  const is = read(text);
  useWhenChanged(value, (now) => now !== is && setText(now === undefined ? "" : written(now)));
  return (
    <TextField
      size="small"
      label={label}
      value={text}
      error={typeof is === "string"}
      helperText={typeof is === "string" ? is : undefined}
      onChange={(e) => {
        setText(e.target.value);
        const next = read(e.target.value);
        if (typeof next !== "string" && next !== value) onSet(next);
      }}
      slotProps={{ htmlInput: { inputMode: "decimal" } }}
    />
  );
}

const TWO = { display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 };

const readCount = (text: string): number | string =>
  /^\d{1,6}$/.test(text.trim()) ? Number(text) : "Write a whole number.";

function CartEditor({ rule, onSet }: EditorProps<CartRule>) {
  const { currency } = useStudio((s) => s.shop);
  const first = useStudio((s) => s.goods.products[0]?.id);
  const starts: Readonly<Record<CartRule["asks"], Partial<CartRule>>> = {
    empty: {},
    worth: { from: 5_000 },
    number: { from: 1 },
    goods: first === undefined ? {} : { products: [first] },
  };
  return (
    <>
      <RadioGroup
        aria-label="What about the cart"
        value={rule.asks}
        onChange={(_e, value) => {
          const asks = value as CartRule["asks"];
          onSet({ when: "cart", asks, not: rule.not, ...starts[asks] });
        }}
      >
        {CARTS.filter(([asks]) => asks !== "goods" || first !== undefined).map(([asks, words]) => (
          <FormControlLabel key={asks} value={asks} control={<Radio size="small" />} label={words} />
        ))}
      </RadioGroup>
      {rule.asks === "worth" ? (
        <Box sx={TWO}>
          <MoneyField label={`From, in ${currency}`} value={rule.from} onSet={(from) => onSet({ ...rule, from })} />
          <MoneyField label="Less than" value={rule.under} onSet={(under) => onSet({ ...rule, under })} />
        </Box>
      ) : null}
      {rule.asks === "number" ? (
        <Box sx={TWO}>
          <AmountField
            label="From"
            value={rule.from}
            written={String}
            read={readCount}
            onSet={(from) => onSet({ ...rule, from })}
          />
          <AmountField
            label="Less than"
            value={rule.under}
            written={String}
            read={readCount}
            onSet={(under) => onSet({ ...rule, under })}
          />
        </Box>
      ) : null}
      {rule.asks === "goods" ? (
        <GoodsChoice value={rule} label="Any of these" onSet={(named) => onSet({ ...rule, ...named })} />
      ) : null}
      <Turned rule={rule} label="Unless that is so" onSet={onSet} />
    </>
  );
}

/** An amount in the shop's currency, in minor units. */
export function MoneyField(props: Pick<AmountProps, "label" | "value" | "onSet" | "isNeeded">) {
  const { currency } = useStudio((s) => s.shop);
  const read = (text: string) => {
    const parsed = parseMoney(text, currency);
    return parsed.ok ? parsed.amount : parsed.why;
  };
  return <AmountField {...props} written={(n) => decimalMoney(n, currency)} read={read} />;
}

/** All countries, by name. */
export const COUNTRIES: readonly Named[] = countriesByName().map(([id, title]) => ({ id, title }));

function CountryEditor({ rule, onSet }: EditorProps<CountryRule>) {
  return (
    <>
      <Autocomplete
        multiple
        size="small"
        options={COUNTRIES}
        getOptionLabel={(each) => each.title}
        getOptionKey={(each) => each.id}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        value={COUNTRIES.filter((each) => rule.countries.includes(each.id))}
        onChange={(_e, next) => onSet({ ...rule, countries: next.map((each) => each.id) })}
        renderInput={(params) => <TextField {...params} label="Countries" />}
      />
      <Typography variant="caption" color="text.secondary">
        Known by the language that a visitor’s browser asks for: right for most, not for all of them.
      </Typography>
      <Turned rule={rule} label="Everywhere else instead" onSet={onSet} />
    </>
  );
}

/** What a rule is changed with. */
export function RuleEditor({ rule, onSet }: EditorProps<Rule>) {
  switch (rule.when) {
    case "pages":
      return <PagesEditor rule={rule} onSet={onSet} />;
    case "goods":
      return <GoodsEditor rule={rule} onSet={onSet} />;
    case "visitor":
      return <VisitorEditor rule={rule} onSet={onSet} />;
    case "cart":
      return <CartEditor rule={rule} onSet={onSet} />;
    case "country":
      return <CountryEditor rule={rule} onSet={onSet} />;
    case "dates":
    case "times":
      return null;
  }
}
