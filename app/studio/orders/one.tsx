import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Link,
  TextField,
  Typography,
} from "@mui/material";
import { ArrowLeft, ExternalLink, Printer, StickyNote } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Link as RouterLink } from "react-router";
import { formatMoney } from "~/core/money";
import {
  actionsFor,
  backToCards,
  dueOf,
  goesBy,
  paidWith,
  standingWords,
  type Order,
  type OrderAction,
  type OrderEvent,
  type OrderRequest,
} from "~/core/orders";
import { addressLines, countryName, sellingOf } from "~/core/selling";
import { useMoment, useStudio } from "../keeping";
import { Blank, INK } from "../ui";
import { MoneyField } from "../when";
import { useNoSteps, useOrderChange, type Wrong } from "./data";
import { Standing } from "./list";

const HAPPENED: Readonly<Record<OrderEvent["what"], string>> = {
  placed: "Ordered",
  paid: "Paid",
  ready: "Ready to be collected",
  sent: "Sent",
  collected: "Collected",
  refunded: "Refunded",
  cancelled: "Cancelled",
  note: "Note",
  mail: "Letter",
};

const DOES: Readonly<Record<OrderAction, string>> = {
  paid: "Mark as paid",
  ready: "Mark as ready",
  sent: "Mark as sent",
  collected: "Mark as collected",
  refund: "Refund …",
  cancel: "Cancel …",
};

export function NoOrder() {
  const shop = useStudio((s) => s.shop.id);
  return (
    <Blank
      title="There is no such order"
      text="It may have been a test that was removed."
      action={
        <Button component={RouterLink} to={`/s/${shop}/orders`} variant="contained">
          All orders
        </Button>
      }
    />
  );
}

type DialogProps = {
  order: Order;
  onClose: () => void;
  onSend: (change: OrderRequest, good: string) => Promise<Wrong>;
  isBusy: boolean;
};

/** What is asked before an order is handed over or cancelled: a few words for whoever bought it, and whether to send them. */
function HandDialog({
  order,
  what,
  onClose,
  onSend,
  isBusy,
}: DialogProps & { what: "ready" | "sent" | "collected" | "cancel" }) {
  const [text, setText] = useState("");
  const [tells, setTells] = useState(what !== "collected");
  const [wrong, setWrong] = useState<Wrong>();
  const { id, version } = order;
  const isCancel = what === "cancel";
  const go = async () => {
    const change: OrderRequest = isCancel
      ? { do: "cancel", id, version, text, tells }
      : { do: "hand", id, version, handed: what, text, tells };
    const why = await onSend(change, isCancel ? "The order is cancelled." : "Noted.");
    setWrong(why);
    if (!why) onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>{isCancel ? `Cancel order ${order.number}?` : DOES[what]}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        {isCancel ? (
          <Typography variant="body2">
            Its goods go back into stock. What has been paid you give back with “Refund”.
          </Typography>
        ) : null}
        <TextField
          sx={{ mt: 1 }}
          label={what === "sent" ? "How to follow the parcel, or a few words" : "A few words"}
          value={text}
          onChange={(e) => setText(e.target.value)}
          multiline
          minRows={2}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
        <FormControlLabel
          control={<Checkbox checked={tells} onChange={(_e, is) => setTells(is)} />}
          label={`Send a letter to ${order.body.mail}`}
        />
        {wrong ? (
          <Typography variant="body2" color="error" role="alert">
            {wrong.why}
          </Typography>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Back</Button>
        <Button variant="contained" color={isCancel ? "error" : "primary"} disabled={isBusy} onClick={() => void go()}>
          {isCancel ? "Cancel the order" : DOES[what]}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** How much money goes back, and which goods. */
function RefundDialog({ order, onClose, onSend, isBusy }: DialogProps) {
  const { id, version, body, paid, refunded } = order;
  const most = paid - refunded;
  const [amount, setAmount] = useState<number | undefined>(most);
  const [back, setBack] = useState<readonly number[]>(body.lines.map(() => 0));
  const [text, setText] = useState("");
  const [tells, setTells] = useState(true);
  const [wrong, setWrong] = useState<Wrong>();
  const money = (sum: number) => formatMoney(sum, body.currency, body.moneyFormat);
  const onCards = backToCards(order, refunded, Math.min(amount ?? 0, most));
  const go = async () => {
    if (!amount) return setWrong({ field: "amount", why: "Write how much." });
    const why = await onSend(
      { do: "refund", id, version, amount, back: [...back], text, tells },
      `${money(amount)} are refunded.`,
    );
    setWrong(why);
    if (!why) onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>Refund</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <Box sx={{ mt: 1, display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
          <MoneyField label="How much" value={amount} onSet={setAmount} isNeeded />
          <Typography variant="body2" color="text.secondary">
            of {money(most)} that can be given back
            {onCards > 0 ? `; ${money(onCards)} of it goes back onto gift cards` : ""}
          </Typography>
        </Box>
        {wrong ? (
          <Typography variant="body2" color="error" role="alert">
            {wrong.why}
          </Typography>
        ) : null}
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, display: "grid", gap: 1 }}>
          <Typography component="legend" variant="h3">
            Back into stock
          </Typography>
          {body.lines.map((line, i) => (
            <Box key={i} sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
              <TextField
                select
                size="small"
                label="Pieces"
                value={back[i] ?? 0}
                onChange={(e) => setBack(back.with(i, Number(e.target.value)))}
                slotProps={{
                  select: { native: true },
                  htmlInput: { "aria-label": `Pieces of ${line.title} that go back into stock` },
                }}
                sx={{ width: 92 }}
              >
                {Array.from({ length: line.count + 1 }, (_n, count) => (
                  <option key={count} value={count}>
                    {count}
                  </option>
                ))}
              </TextField>
              <Typography variant="body2" sx={{ minWidth: 0, overflowWrap: "anywhere" }}>
                of {line.count} × {line.title}
              </Typography>
            </Box>
          ))}
        </Box>
        <TextField
          label="Why, in a few words"
          value={text}
          onChange={(e) => setText(e.target.value)}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
        <FormControlLabel
          control={<Checkbox checked={tells} onChange={(_e, is) => setTells(is)} />}
          label={`Send a letter to ${body.mail}`}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Back</Button>
        <Button variant="contained" disabled={isBusy} onClick={() => void go()}>
          Refund
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const GOES: Readonly<Record<ReturnType<typeof goesBy>, string>> = {
  parcel: "Goes to",
  mail: "Goes by mail to",
  collection: "Collected by",
};

/** Where an order goes, line by line. `home`: the country that needs no saying. */
export function goesTo(body: Order["body"], home: string | undefined): readonly string[] {
  const by = goesBy(body);
  if (by === "mail") return [body.cardFor?.to || body.mail];
  return by === "parcel" && body.to ? addressLines(body.to, countryName, home) : [body.name];
}

const Fact = ({ name, children }: { name: string; children: ReactNode }) => (
  <Box>
    <Typography variant="caption" color="text.secondary" component="h3">
      {name}
    </Typography>
    <Typography variant="body2" component="div" sx={{ whiteSpace: "pre-line", overflowWrap: "anywhere" }}>
      {children}
    </Typography>
  </Box>
);

/** Lines and sums of an order, as a table. */
export function OrderTable({ body, withPrices = true }: { body: Order["body"]; withPrices?: boolean }) {
  const money = (amount: number) => formatMoney(amount, body.currency, body.moneyFormat);
  const cell = { padding: "8px 12px 8px 0", borderTop: `1px solid ${INK.line}`, verticalAlign: "top" } as const;
  const right = { ...cell, textAlign: "right", whiteSpace: "nowrap", paddingRight: 0 } as const;
  const sum = (name: string, value: number, isStrong = false, key = name) => (
    <tr key={key}>
      <td style={{ ...cell, fontWeight: isStrong ? 700 : 400 }} colSpan={3}>
        {name}
      </td>
      <td style={{ ...right, fontWeight: isStrong ? 700 : 400 }}>{money(value)}</td>
    </tr>
  );
  return (
    <Box
      component="table"
      sx={{ width: "100%", borderCollapse: "collapse", fontSize: 14, fontVariantNumeric: "tabular-nums" }}
    >
      <thead>
        <tr style={{ textAlign: "left" }}>
          <th style={{ paddingRight: 12 }}>Pieces</th>
          <th style={{ width: "100%" }}>What</th>
          <th style={{ paddingRight: 12 }}>SKU</th>
          {withPrices ? <th style={{ textAlign: "right" }}>Price</th> : null}
        </tr>
      </thead>
      <tbody>
        {body.lines.map((line, i) => (
          <tr key={i}>
            <td style={cell}>{line.count}</td>
            <td style={{ ...cell, overflowWrap: "anywhere" }}>
              {line.title}
              {withPrices
                ? line.offs.map(({ name, amount }) => (
                    <Typography key={name} variant="caption" component="div" color="text.secondary">
                      {name}
                      {amount ? ` −${money(amount)}` : ""}
                    </Typography>
                  ))
                : null}
              {line.isGiftCard && body.cardFor?.to ? (
                <Typography variant="caption" component="div" color="text.secondary">
                  For {body.cardFor.to}
                </Typography>
              ) : null}
              {line.later ? (
                <Typography variant="caption" component="div" color="text.secondary">
                  {line.later}
                </Typography>
              ) : null}
            </td>
            <td style={{ ...cell, whiteSpace: "nowrap" }}>{line.sku}</td>
            {withPrices ? <td style={right}>{money(line.total)}</td> : null}
          </tr>
        ))}
        {withPrices ? (
          <>
            {sum(`Delivery: ${body.way.name}`, body.delivery.total)}
            {body.tax && !body.tax.isIncluded
              ? body.tax.rows
                  .filter((row) => row.tax)
                  .map((row) => sum(`${body.tax!.name} ${row.rate / 100} %`, row.tax))
              : null}
            {sum("Total", body.total, true)}
            {body.tax?.isIncluded
              ? body.tax.rows
                  .filter((row) => row.tax)
                  .map((row) => sum(`with ${body.tax!.name} ${row.rate / 100} %`, row.tax))
              : null}
            {body.byCards.map(({ last, amount }, i) => sum(`Gift card ${last}`, -amount, false, `card-${i}`))}
            {body.byCards.length ? sum("Left to pay", dueOf(body), true) : null}
          </>
        ) : null}
      </tbody>
    </Box>
  );
}

type OneProps = { order: Order; events: readonly OrderEvent[]; address: string };

/** One order: what was bought, by whom, what has happened, and what to do next. */
export function OneOrder({ order, events, address }: OneProps) {
  useNoSteps();
  const shop = useStudio((s) => s.shop.id);
  const home = useStudio((s) => sellingOf(s.draft.documents).from);
  const moment = useMoment();
  const { send, isBusy } = useOrderChange();
  const [open, setOpen] = useState<OrderAction>();
  const [note, setNote] = useState("");
  const [wrong, setWrong] = useState<Wrong>();
  const { body } = order;
  const money = (amount: number) => formatMoney(amount, body.currency, body.moneyFormat);
  const actions = actionsFor(order);
  const act = async (action: OrderAction) => {
    if (action !== "paid") return setOpen(action);
    setWrong(await send({ do: "paid", id: order.id, version: order.version }, "It is paid."));
  };
  const addNote = async () => {
    const why = await send({ do: "note", id: order.id, text: note });
    setWrong(why);
    if (!why) setNote("");
  };
  const dialog = { order, isBusy, onClose: () => setOpen(undefined), onSend: send };
  return (
    <Box sx={{ overflowY: "auto", minHeight: 0 }}>
      <Box
        component="article"
        aria-label={`Order ${order.number}`}
        sx={{ p: { xs: 2, md: 3 }, maxWidth: 1180, display: "grid", gap: 3, gridTemplateColumns: "minmax(0,1fr)" }}
      >
        <Box sx={{ display: "grid", gap: 1.5 }}>
          <Link
            component={RouterLink}
            to={`/s/${shop}/orders`}
            sx={{ display: "inline-flex", alignItems: "center", gap: 0.5, justifySelf: "start" }}
          >
            <ArrowLeft size={15} aria-hidden /> All orders
          </Link>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center" }}>
            <Typography variant="h1">
              Order {order.isTest ? "T" : ""}
              {order.number}
            </Typography>
            <Standing words={order.isTest ? ["Test", ...standingWords(order)] : standingWords(order)} />
            <Box sx={{ flex: 1 }} />
            <Button
              size="small"
              component="a"
              href={`/s/${shop}/print/${order.id}`}
              target="_blank"
              startIcon={<Printer size={15} aria-hidden />}
            >
              Print
            </Button>
            <Button
              size="small"
              component="a"
              href={`/s/${shop}/print/${order.id}?what=slip`}
              target="_blank"
              startIcon={<Printer size={15} aria-hidden />}
            >
              Packing slip
            </Button>
            <Button
              size="small"
              component="a"
              href={address}
              target="_blank"
              rel="noreferrer"
              startIcon={<ExternalLink size={15} aria-hidden />}
            >
              As the shopper sees it
            </Button>
          </Box>
          {actions.length ? (
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
              {actions.map((action, i) => (
                <Button
                  key={action}
                  variant={i === 0 && action !== "refund" && action !== "cancel" ? "contained" : "outlined"}
                  color={action === "cancel" ? "error" : "primary"}
                  size="small"
                  disabled={isBusy}
                  onClick={() => void act(action)}
                >
                  {DOES[action]}
                </Button>
              ))}
            </Box>
          ) : null}
          {wrong ? (
            <Typography variant="body2" color="error" role="alert">
              {wrong.why}
            </Typography>
          ) : null}
        </Box>
        <Box
          sx={{
            display: "grid",
            gap: 4,
            gridTemplateColumns: { xs: "minmax(0,1fr)", lg: "minmax(0,1.5fr) minmax(280px,1fr)" },
            alignItems: "start",
          }}
        >
          <Box sx={{ display: "grid", gap: 3, gridTemplateColumns: "minmax(0,1fr)" }}>
            <OrderTable body={body} />
            <Box sx={{ display: "grid", gap: 2, gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "1fr 1fr" } }}>
              <Fact name={GOES[goesBy(body)]}>{goesTo(body, home).join("\n")}</Fact>
              {body.bill ? (
                <Fact name="Bill goes to">{addressLines(body.bill, countryName, home).join("\n")}</Fact>
              ) : null}
              <Fact name="Mail and phone">
                <Link href={`mailto:${body.mail}`}>{body.mail}</Link>
                {body.phone ? `\n${body.phone}` : ""}
              </Fact>
              <Fact name="Paid by">
                {paidWith(body)}
                {body.pay === "card" ? " (test payments: no money is taken)" : ""}
              </Fact>
              <Fact name="Paid">
                {money(order.paid)}
                {order.refunded ? `, ${money(order.refunded)} of it given back` : ""}
              </Fact>
              {body.note ? <Fact name="Note of the shopper">{body.note}</Fact> : null}
              {body.giftMessage ? <Fact name="Message with the gift">{body.giftMessage}</Fact> : null}
              {body.codes.length ? <Fact name="Codes given">{body.codes.join(", ")}</Fact> : null}
            </Box>
          </Box>
          <Box component="section" aria-label="History" sx={{ display: "grid", gap: 1.5 }}>
            <Typography variant="h2">History</Typography>
            <Box component="ol" sx={{ m: 0, p: 0, listStyle: "none", display: "grid" }}>
              {events.map((event, i) => (
                <Box component="li" key={i} sx={{ py: 1, borderTop: `1px solid ${INK.line}` }}>
                  <Typography variant="body2" sx={{ fontWeight: 600 }}>
                    {HAPPENED[event.what]}
                    {event.amount === null ? "" : ` ${money(event.amount)}`}
                  </Typography>
                  {event.text ? (
                    <Typography variant="body2" sx={{ whiteSpace: "pre-line", overflowWrap: "anywhere" }}>
                      {event.text}
                    </Typography>
                  ) : null}
                  <Typography variant="caption" color="text.secondary">
                    {moment(event.at)}
                  </Typography>
                </Box>
              ))}
            </Box>
            <TextField
              label="A note for yourself"
              value={note}
              onChange={(e) => setNote(e.target.value)}
              multiline
              minRows={2}
              slotProps={{ htmlInput: { maxLength: 2000 } }}
            />
            <Button
              size="small"
              variant="outlined"
              startIcon={<StickyNote size={15} aria-hidden />}
              disabled={isBusy || note.trim() === ""}
              onClick={() => void addNote()}
              sx={{ justifySelf: "start" }}
            >
              Add the note
            </Button>
          </Box>
        </Box>
      </Box>
      {open === "refund" ? <RefundDialog {...dialog} /> : null}
      {open === "ready" || open === "sent" || open === "collected" || open === "cancel" ? (
        <HandDialog {...dialog} what={open} />
      ) : null}
    </Box>
  );
}
