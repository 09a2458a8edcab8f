import { Box, FormControlLabel, Radio, RadioGroup, Switch, TextField, Typography } from "@mui/material";
import { Check, Copy, Files, Shuffle, Trash2 } from "lucide-react";
import { useState } from "react";
import { changeOffer, copyOffer, removeOffer, renameOffer, setOfferConditions, type Outcome } from "~/core/commands";
import {
  CODE_KEY,
  givesWords,
  LONGEST_CODE,
  LONGEST_OFFER_NAME,
  plainCode,
  type Offer,
  type OfferRoot,
} from "~/core/offers";
import { entryOf } from "~/core/document";
import { useStudio, useStudioStore } from "../keeping";
import { SeasonChoice } from "../seasons";
import { IconAction, INK, useWhenChanged } from "../ui";
import { AmountField, MoneyField, useNames, WhenSentence, Word } from "../when";
import { Did } from "./did";
import { GivesEditor } from "./gives";

// Letters that can't be taken for one another when a code is read out or copied from paper.
const CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

/** A code that nobody guesses: eight letters of 31 are 40 bits. */
const madeUp = (): string =>
  [...crypto.getRandomValues(new Uint32Array(8))].map((n) => CODE_LETTERS[n % CODE_LETTERS.length]).join("");

const readCount = (text: string): number | string =>
  /^\d{1,4}$/.test(text.trim()) ? Number(text) : "Write a whole number.";

type Set = (values: Partial<OfferRoot>) => void;

/** A name, kept as it is typed; one that can't be kept says why and stays to be mended. */
function Name({ offer }: { offer: Offer }) {
  const store = useStudioStore();
  const [text, setText] = useState(offer.name);
  const [why, setWhy] = useState<string>();
  useWhenChanged(offer.name, (name) => name !== text.trim() && (setText(name), setWhy(undefined)));
  return (
    <TextField
      label="Name, as shoppers read it in their cart"
      value={text}
      error={why !== undefined}
      helperText={why}
      onChange={(e) => {
        const next = e.target.value;
        setText(next);
        if (next.trim() === offer.name) return setWhy(undefined);
        const outcome = renameOffer(store.getState().draft, offer.id, next);
        setWhy(outcome.ok ? store.getState().run(outcome) : outcome.why);
      }}
      slotProps={{ htmlInput: { maxLength: LONGEST_OFFER_NAME } }}
      fullWidth
    />
  );
}

/** By itself, or for whoever gives a code. */
function HowEditor({ offer, onSet }: { offer: Offer; onSet: Set }) {
  const address = useStudio((s) => s.shop.address);
  const [text, setText] = useState(offer.code);
  const [isCopied, setCopied] = useState(false);
  useWhenChanged(offer.code, (code) => code !== plainCode(text) && setText(code));
  const link = `${address}/?${CODE_KEY}=${encodeURIComponent(offer.code)}`;
  return (
    <>
      <RadioGroup
        aria-label="How it is had"
        value={offer.code === "" ? "itself" : "code"}
        onChange={(_e, how) => onSet({ code: how === "code" ? madeUp() : undefined })}
      >
        <FormControlLabel value="itself" control={<Radio size="small" />} label="By itself, for everybody" />
        <FormControlLabel value="code" control={<Radio size="small" />} label="With a code, or a link that brings it" />
      </RadioGroup>
      {offer.code === "" ? null : (
        <>
          <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
            <TextField
              size="small"
              label="The code"
              value={text}
              onChange={(e) => {
                setText(e.target.value);
                const code = plainCode(e.target.value);
                if (code && code !== offer.code) onSet({ code });
              }}
              error={plainCode(text) !== offer.code}
              helperText={plainCode(text) === "" ? "Write a code, or let it come by itself." : undefined}
              slotProps={{ htmlInput: { maxLength: LONGEST_CODE, spellCheck: false } }}
              sx={{ flex: 1, input: { textTransform: "uppercase", letterSpacing: "0.06em" } }}
            />
            <IconAction label="Make one up" icon={Shuffle} size={17} onClick={() => onSet({ code: madeUp() })} />
          </Box>
          <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
            <Typography variant="caption" sx={{ flex: 1, overflowWrap: "anywhere" }}>
              {link}
            </Typography>
            <IconAction
              label={isCopied ? "Copied" : "Copy the link"}
              icon={isCopied ? Check : Copy}
              size={16}
              onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
            />
          </Box>
          <Typography variant="caption" color="text.secondary">
            The link can lead to any page of your shop: put ?{CODE_KEY}={offer.code} behind its address.
          </Typography>
        </>
      )}
    </>
  );
}

const fromWords = ({ fromWorth, fromCount }: Offer, money: (amount: number) => string): string =>
  [
    ...(fromWorth ? [`from ${money(fromWorth)} on`] : []),
    ...(fromCount ? [`from ${fromCount} ${fromCount === 1 ? "piece" : "pieces"} on`] : []),
  ].join(" and ") || "whatever is in the cart";

const times = (n: number): string => (n === 1 ? "once" : n === 2 ? "twice" : `${n.toLocaleString("en")} times`);
const oftenWords = ({ mostUses, mostEach }: Offer): string =>
  [...(mostUses ? [`${times(mostUses)} in all`] : []), ...(mostEach ? [`${times(mostEach)} each shopper`] : [])].join(
    " and ",
  ) || "as often as they like";

const togetherWords = ({ withGoods, withRest }: Offer): string =>
  withGoods && withRest
    ? "with all other offers"
    : withGoods
      ? "with other offers on goods only"
      : withRest
        ? "with gifts and delivery only"
        : "with no other offer";

/** One offer: sentences whose words are pressed to change it. */
export function Slip({
  offer,
  onGone,
  onCopied,
}: {
  offer: Offer;
  onGone: () => void;
  onCopied: (id: string) => void;
}) {
  const store = useStudioStore();
  const names = useNames();
  const [why, setWhy] = useState<string>();
  useWhenChanged(offer, () => setWhy(undefined));
  const conditions = useStudio((s) => JSON.stringify(entryOf(s.draft.documents, offer.id)?.root.conditions ?? []));
  const root = useStudio((s) => entryOf(s.draft.documents, offer.id)?.root.id);
  const go = (outcome: Outcome): string | undefined => {
    const problem = outcome.ok ? store.getState().run(outcome) : outcome.why;
    setWhy(problem);
    return problem;
  };
  const set: Set = (values) => void go(changeOffer(store.getState().draft, offer.id, values));
  const alone = (goods: boolean, rest: boolean) =>
    set({
      alone: goods && rest ? undefined : [...(goods ? [] : ["goods" as const]), ...(rest ? [] : ["rest" as const])],
    });
  const list = (ids: readonly string[] | undefined) => (ids?.length ? [...ids] : undefined);
  return (
    <Box sx={{ display: "grid", gap: 2, alignContent: "start", gridTemplateColumns: "minmax(0,1fr)" }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
        <FormControlLabel
          sx={{ flex: 1 }}
          control={<Switch checked={!offer.isOff} onChange={(_e, on) => set({ off: on ? undefined : true })} />}
          label={
            <Typography component="span" variant="body2" sx={{ fontWeight: 600 }}>
              {offer.isOff ? "Off: nobody gets it" : "On, once it is published"}
            </Typography>
          }
        />
        <IconAction
          label="Make a copy"
          icon={Files}
          onClick={() => {
            const outcome = copyOffer(store.getState().draft, offer.id);
            if (go(outcome) !== undefined || !outcome.ok) return;
            const [added] = outcome.transaction.operations;
            if (added?.type === "addDocument") onCopied(added.added.id);
          }}
        />
        <IconAction
          label="Remove this offer"
          icon={Trash2}
          onClick={() => {
            if (go(removeOffer(store.getState().draft, offer.id)) === undefined) onGone();
          }}
        />
      </Box>
      <Name key={offer.id} offer={offer} />
      <Box sx={{ borderLeft: `4px solid ${INK.lemon}`, pl: 2 }}>
        <Typography component="p" sx={{ lineHeight: 2 }}>
          Gives{" "}
          <Word said={givesWords(offer, names)} label="What it gives" width={380} why={why}>
            <GivesEditor
              offer={offer}
              onSet={({ gives, products, collections }) =>
                set({
                  ...(gives ? { gives } : {}),
                  ...(products ? { products: list(products) } : {}),
                  ...(collections ? { collections: list(collections) } : {}),
                })
              }
            />
          </Word>
          ,{" "}
          <Word
            said={offer.code === "" ? "by itself" : `with the code ${offer.code}`}
            label="How it is had"
            width={340}
            why={why}
          >
            <HowEditor offer={offer} onSet={set} />
          </Word>
          ,{" "}
          <Word said={fromWords(offer, names.money)} label="From what on" why={why}>
            <MoneyField
              label="From a worth of"
              value={offer.fromWorth || undefined}
              onSet={(worth) => set({ fromWorth: worth || undefined })}
            />
            <AmountField
              label="From so many pieces"
              value={offer.fromCount || undefined}
              written={String}
              read={readCount}
              onSet={(count) => set({ fromCount: count || undefined })}
            />
            <Typography variant="caption" color="text.secondary">
              Counted are the goods that it is for, at their prices before any offer.
            </Typography>
          </Word>
          ,{" "}
          <Word said={oftenWords(offer)} label="How often" why={why}>
            <AmountField
              label="So many times in all"
              value={offer.mostUses || undefined}
              written={String}
              read={readCount}
              onSet={(times) => set({ mostUses: times || undefined })}
            />
            <AmountField
              label="So many times each shopper"
              value={offer.mostEach || undefined}
              written={String}
              read={readCount}
              onSet={(times) => set({ mostEach: times || undefined })}
            />
            <Typography variant="caption" color="text.secondary">
              Counted when an order is placed; one that is declined or cancelled gives it back. Shoppers are known by
              the mail address that they order with.
            </Typography>
          </Word>
          . Goes together{" "}
          <Word said={togetherWords(offer)} label="With which others" why={why}>
            <FormControlLabel
              control={<Switch checked={offer.withGoods} onChange={(_e, on) => alone(on, offer.withRest)} />}
              label="With other offers on goods"
            />
            <FormControlLabel
              control={<Switch checked={offer.withRest} onChange={(_e, on) => alone(offer.withGoods, on)} />}
              label="With gifts and delivery"
            />
            <Typography variant="caption" color="text.secondary">
              Of offers that don’t go together, shoppers get those that save them most.
            </Typography>
          </Word>
          .
        </Typography>
        <WhenSentence
          key={offer.id}
          conditions={conditions}
          document={undefined}
          of="offer"
          onSet={(next) => {
            const { draft, run } = store.getState();
            const outcome = setOfferConditions(draft, offer.id, next);
            return outcome.ok ? run(outcome) : outcome.why;
          }}
        />
      </Box>
      <Did offer={offer} />
      {root === undefined ? null : <SeasonChoice ids={[root]} name={`“${offer.name}”`} />}
      {why ? (
        <Typography variant="body2" color="error" role="alert">
          {why}
        </Typography>
      ) : null}
    </Box>
  );
}
