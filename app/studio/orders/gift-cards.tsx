import {
  Alert,
  Box,
  Button,
  Chip,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Link,
  MenuItem,
  Pagination,
  Switch,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from "@mui/material";
import { FlaskConical, Plus } from "lucide-react";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import {
  CARD_DESIGN_NAMES,
  CARD_DESIGNS,
  giftCardChange,
  lastOf,
  LONGEST_CARD_MESSAGE,
  writtenCard,
  type CardDesign,
  type GiftCard,
  type GiftCards,
  type GiftCardsAsked,
} from "~/core/gift-cards";
import { formatMoney } from "~/core/money";
import { changeGiftCards } from "~/core/protocol";
import { notSelling, takesCards } from "~/core/selling";
import { useMoment, useStudio } from "../keeping";
import { Blank, ConfirmDialog, FindField, INK } from "../ui";
import { AmountField, MoneyField } from "../when";
import { useChange, useNoSteps, usePages, type Wrong } from "./data";
import { useSelling } from "./kept-field";

const NEW = { amount: undefined as number | undefined, to: "", from: "", message: "", design: "plain" as CardDesign };

/** Makes a card that is given away, or was sold elsewhere. */
function MakeCard({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [card, setCard] = useState(NEW);
  const [wrong, setWrong] = useState<Wrong>();
  const [made, setMade] = useState<string>();
  const { send, isBusy } = useChange(changeGiftCards);
  const set = (change: Partial<typeof NEW>) => setCard((now) => ({ ...now, ...change }));
  const close = () => {
    onClose();
    setCard(NEW);
    setWrong(undefined);
    setMade(undefined);
  };
  const make = async () => {
    const asked = giftCardChange.safeParse({ do: "make", ...card, amount: card.amount ?? 0 });
    if (!asked.success) {
      const [issue] = asked.error.issues;
      return setWrong({ field: issue!.path.join("."), why: issue!.message });
    }
    const done = await send(asked.data);
    setWrong(done.wrong);
    setMade(done.value?.code);
  };
  const at = (field: string) => (wrong?.field === field ? { error: true, helperText: wrong.why } : {});
  return (
    <Dialog open={open} onClose={close} fullWidth maxWidth="sm">
      <DialogTitle>{made ? "The card is made" : "Make a gift card"}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
        {made ? (
          <>
            <Typography>
              {card.to ? `Its code is on its way to ${card.to}.` : "This is its code. Write it down, or give it on:"}
            </Typography>
            <Typography
              sx={{ fontSize: 22, fontWeight: 700, letterSpacing: ".06em", fontVariantNumeric: "tabular-nums" }}
            >
              {writtenCard(made)}
            </Typography>
          </>
        ) : (
          <>
            <Box sx={{ pt: 1 }}>
              <MoneyField label="Worth" value={card.amount} onSet={(amount) => set({ amount })} />
              {wrong?.field === "amount" ? (
                <Typography variant="body2" color="error" role="alert">
                  {wrong.why}
                </Typography>
              ) : null}
            </Box>
            <TextField
              size="small"
              label="Mail address of who gets it"
              value={card.to}
              helperText="Empty: you see the code here, and give it on yourself."
              onChange={(e) => set({ to: e.target.value })}
              {...at("to")}
            />
            <TextField
              size="small"
              label="From"
              value={card.from}
              onChange={(e) => set({ from: e.target.value })}
              {...at("from")}
            />
            <TextField
              size="small"
              multiline
              minRows={2}
              label="A few words"
              value={card.message}
              onChange={(e) => set({ message: e.target.value })}
              slotProps={{ htmlInput: { maxLength: LONGEST_CARD_MESSAGE } }}
              {...at("message")}
            />
            <TextField
              select
              size="small"
              label="Picture"
              value={card.design}
              onChange={(e) => set({ design: e.target.value as CardDesign })}
            >
              {CARD_DESIGNS.map((design) => (
                <MenuItem key={design} value={design}>
                  {CARD_DESIGN_NAMES[design]}
                </MenuItem>
              ))}
            </TextField>
            {wrong && !["amount", "to", "from", "message"].includes(wrong.field) ? (
              <Alert severity="error">{wrong.why}</Alert>
            ) : null}
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>{made ? "Done" : "Cancel"}</Button>
        {made ? null : (
          <Button variant="contained" disabled={isBusy} onClick={() => void make()}>
            Make it
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

function Standing({ card }: { card: GiftCard }) {
  const moment = useMoment();
  const words = card.isOff
    ? "Ended"
    : card.left === 0
      ? "Used up"
      : card.until === null
        ? "Good"
        : `Good until ${moment(card.until).split(",")[0]}`;
  return <Chip size="small" variant="outlined" label={words} />;
}

type PageProps = GiftCards & { asked: GiftCardsAsked };

/** All gift cards: what was bought and given, what is left, and how long they are good. */
export function GiftCardsPage({ asked, cards, total, pages, open }: PageProps) {
  useNoSteps();
  const { id: shop, moneyFormat } = useStudio((s) => s.shop);
  const products = useStudio((s) => s.goods.products);
  const sellsCards = products.some(({ isGiftCard }) => isGiftCard);
  const { selling, set } = useSelling();
  const moment = useMoment();
  const { find, setFind, go } = usePages(asked);
  const [isMaking, setMaking] = useState(false);
  const [ending, setEnding] = useState<GiftCard | null>(null);
  const { send } = useChange(changeGiftCards);
  const money = (amount: number, currency: string) => formatMoney(amount, currency, moneyFormat);
  const takes = takesCards(selling, { products });
  return (
    <Box sx={{ display: "grid", gridTemplateRows: "auto minmax(0,1fr)", minHeight: 0 }}>
      <Box sx={{ display: "grid", gap: 1.25, p: 2, borderBottom: `1px solid ${INK.line}`, bgcolor: INK.raised }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1 }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            Gift cards
          </Typography>
          <Button size="small" startIcon={<Plus size={15} aria-hidden />} onClick={() => setMaking(true)}>
            Make a card
          </Button>
        </Box>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
          <Box sx={{ flex: 1, minWidth: 220, maxWidth: 380 }}>
            <FindField label="Find by code, mail or name" value={find} onChange={setFind} width="100%" />
          </Box>
          <Box sx={{ width: 190 }}>
            <AmountField
              label="Good for years"
              value={selling.cardYears}
              written={String}
              read={(text) => (/^[1-9]\d?$/.test(text.trim()) && Number(text) <= 30 ? Number(text) : "1 to 30 years.")}
              onSet={(cardYears) => void set({ cardYears })}
            />
          </Box>
          <Typography variant="body2" color="text.secondary" sx={{ flex: "1 1 16rem" }}>
            {open.length
              ? `Still to be spent: ${open.map(({ currency, left }) => money(left, currency)).join(" and ")}.`
              : "Nothing is still to be spent."}{" "}
            {selling.cardYears === undefined
              ? "Cards have no end."
              : "Years count for cards that are sold from now on."}
          </Typography>
          {sellsCards ? null : (
            <FormControlLabel
              control={
                <Switch
                  checked={selling.takesCards === true}
                  onChange={(_e, is) => void set({ takesCards: is ? true : undefined })}
                />
              }
              label="The checkout asks for gift cards"
            />
          )}
        </Box>
        {total > 0 && !takes && notSelling(selling) === undefined ? (
          <Alert severity="info">
            Nobody can pay with these cards yet: let the checkout ask for them, and publish.
          </Alert>
        ) : null}
      </Box>
      <Box sx={{ overflow: "auto", minHeight: 0 }}>
        {cards.length === 0 ? (
          asked.find ? (
            <Blank title="No card is like that" text="Look for something else." />
          ) : (
            <Blank
              title="No gift cards yet"
              text={
                sellsCards
                  ? "Cards that are bought come here."
                  : "Sell them like anything else: make a product, and say under Goods that it is a gift card. Its variants can be the amounts."
              }
              action={
                sellsCards ? undefined : (
                  <Button component={RouterLink} to={`/s/${shop}/goods`} variant="contained">
                    To the goods
                  </Button>
                )
              }
            />
          )
        ) : (
          <>
            <Table size="small" stickyHeader aria-label="Gift cards" sx={{ minWidth: 680, "& td,& th": { px: 2 } }}>
              <TableHead>
                <TableRow>
                  <TableCell>Code</TableCell>
                  <TableCell>When</TableCell>
                  <TableCell>For</TableCell>
                  <TableCell align="right">Worth</TableCell>
                  <TableCell align="right">Left</TableCell>
                  <TableCell>How it stands</TableCell>
                  <TableCell />
                </TableRow>
              </TableHead>
              <TableBody>
                {cards.map((card) => (
                  <TableRow key={card.id} hover>
                    <TableCell sx={{ whiteSpace: "nowrap", fontWeight: 700 }}>
                      {lastOf(card.code)}
                      {card.isTest ? <FlaskConical size={14} aria-label="A test" style={{ marginLeft: 6 }} /> : null}
                    </TableCell>
                    <TableCell sx={{ whiteSpace: "nowrap" }}>
                      {moment(card.at)}
                      <Typography variant="body2" color="text.secondary">
                        {card.order === null ? (
                          "Made by hand"
                        ) : (
                          <Link component={RouterLink} to={`/s/${shop}/orders?find=${card.order}`}>
                            Order {card.order}
                          </Link>
                        )}
                      </Typography>
                    </TableCell>
                    <TableCell sx={{ maxWidth: 240 }}>
                      <Typography variant="body2" noWrap>
                        {card.to || (card.order === null ? "Given on by you" : "Whoever bought it")}
                      </Typography>
                    </TableCell>
                    <TableCell align="right" sx={{ whiteSpace: "nowrap" }}>
                      {money(card.amount, card.currency)}
                    </TableCell>
                    <TableCell align="right" sx={{ whiteSpace: "nowrap" }}>
                      {money(card.left, card.currency)}
                    </TableCell>
                    <TableCell>
                      <Standing card={card} />
                    </TableCell>
                    <TableCell align="right">
                      {card.isOff ? (
                        <Button
                          size="small"
                          onClick={() => void send({ do: "off", id: card.id, isOff: false }, "The card is good again.")}
                        >
                          Make good again
                        </Button>
                      ) : (
                        <Button
                          size="small"
                          aria-label={`End card ${lastOf(card.code)}`}
                          onClick={() => setEnding(card)}
                        >
                          End
                        </Button>
                      )}
                    </TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
            <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2, p: 2 }}>
              <Typography variant="body2" color="text.secondary" role="status">
                {total === 1 ? "1 gift card" : `${total.toLocaleString("en")} gift cards`}
              </Typography>
              {pages > 1 ? (
                <Pagination count={pages} page={asked.page} onChange={(_e, page) => go({ page })} size="small" />
              ) : null}
            </Box>
          </>
        )}
      </Box>
      <MakeCard open={isMaking} onClose={() => setMaking(false)} />
      <ConfirmDialog
        open={ending !== null}
        title={`End the card ${ending ? lastOf(ending.code) : ""}?`}
        confirm="End it"
        onClose={() => setEnding(null)}
        onConfirm={() => {
          if (ending) void send({ do: "off", id: ending.id, isOff: true }, "The card is no longer good.");
          setEnding(null);
        }}
      >
        Nobody can pay with it any more; {ending ? money(ending.left, ending.currency) : ""} are left on it. It can be
        made good again.
      </ConfirmDialog>
    </Box>
  );
}
