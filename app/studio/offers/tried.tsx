import { Box, Checkbox, FormControlLabel, Typography, useMediaQuery, type Theme } from "@mui/material";
import { Minus, Plus } from "lucide-react";
import { useMemo, useState } from "react";
import { askedIn, type Asked } from "~/core/conditions";
import { entryOf, type Draft } from "~/core/document";
import {
  canBuy,
  firstVariant,
  isInCollection,
  mostOf,
  productWith,
  variantById,
  type Goods,
  type Product,
} from "~/core/goods";
import { offersOf, price, whyWords, type Line, type Offer, type OfferGoods, type Priced } from "~/core/offers";
import { useStudio } from "../keeping";
import { BoxedFrame } from "../panes";
import { IconAction, INK } from "../ui";
import { useNames } from "../when";
import { ProductChoice } from "./product-choice";

/** How wide and high the pane with the cart is, in px: two lines and what stands below them. */
const PANE_WIDTH = 320;
const PANE_HEIGHT = 840;

/** What lies in a cart that is only tried. */
type Kept = { readonly product: string; readonly variant: string | null; readonly count: number };

/** The first goods that can be bought and that an offer is for; of ten thousand, only as many are looked at as it takes. */
function firstFor({ products, collections }: OfferGoods, goods: Goods): readonly Product[] {
  const named = goods.collections.filter(({ id }) => collections.includes(id));
  const isForAll = products.length + collections.length === 0;
  const found: Product[] = [];
  for (const product of goods.products) {
    if (found.length === 2) break;
    const isMeant = () => products.includes(product.id) || named.some((each) => isInCollection(goods, product, each));
    if (canBuy(product) && (isForAll || isMeant())) found.push(product);
  }
  return found;
}

/** A cart in which an offer can be seen at work: two of what it is for, of the first as many as it takes. */
const firstCart = (goods: Goods, { goods: meant, gives, fromCount }: Offer): readonly Kept[] =>
  firstFor(meant, goods).map((product, i) => {
    const variant = firstVariant(product);
    const needs = Math.max(1, fromCount, gives.sort === "bundle" ? gives.take : 1);
    const count = i === 0 ? Math.min(needs, mostOf(product, variant), 99) : 1;
    return { product: product.id, variant: variant?.id ?? null, count };
  });

const linesOf = (kept: readonly Kept[], goods: Goods): readonly Line[] =>
  kept.flatMap(({ product: id, variant: variantId, count }) => {
    const product = productWith(goods, id);
    return product ? [{ product, variant: variantById(product, variantId), count }] : [];
  });

/** The draft as it would be with this offer switched on. */
const withOn = (draft: Draft, id: string): Draft => {
  const document = entryOf(draft.documents, id);
  if (!document || document.root.props.off === undefined) return draft;
  const { off: _off, ...props } = document.root.props;
  return { ...draft, documents: { ...draft.documents, [id]: { ...document, root: { ...document.root, props } } } };
};

type ReasonsProps = { priced: Priced; offers: readonly Offer[]; chosen: string; asked: Asked };

/** Each offer, with what it does for the cart or why it does nothing; the one that is chosen first. */
function Reasons({ priced, offers, chosen, asked }: ReasonsProps) {
  const names = useNames();
  const byId = new Map(offers.map((offer) => [offer.id, offer]));
  const off = new Map(priced.applied.map((each) => [each.offer, each.amount]));
  const rank = ({ id }: Offer) => (id === chosen ? 0 : off.has(id) ? 1 : 2);
  return (
    <Box component="ul" aria-label="What each offer does" sx={{ m: 0, p: 0, listStyle: "none" }}>
      {offers
        .filter(({ id, isOff }) => id === chosen || !isOff)
        .toSorted((a, b) => rank(a) - rank(b))
        .map((offer) => {
          const amount = off.get(offer.id);
          const why = priced.refused.get(offer.id);
          return (
            <Box
              component="li"
              key={offer.id}
              sx={{ py: 0.75, borderTop: `1px solid ${INK.line}`, display: "flex", gap: 1.5, alignItems: "baseline" }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Typography variant="body2" noWrap sx={{ fontWeight: offer.id === chosen ? 700 : 500 }}>
                  {offer.name}
                </Typography>
                {why ? (
                  <Typography variant="caption" color="text.secondary" component="p">
                    {whyWords(offer, why, { asked, names, nameOf: (id) => byId.get(id)?.name ?? "" })}
                  </Typography>
                ) : null}
              </Box>
              {amount === undefined ? null : (
                <Typography variant="body2" sx={{ fontWeight: 700, whiteSpace: "nowrap" }}>
                  {amount > 0 ? `− ${names.money(amount)}` : offer.gives.sort === "gift" ? "given" : "free delivery"}
                </Typography>
              )}
            </Box>
          );
        })}
    </Box>
  );
}

/** Whether the code of an offer is given: that of the one that is looked at, until it is taken out; others when they are put in. */
const isGiven = (id: string, chosen: string, turned: ReadonlySet<string>): boolean =>
  (id === chosen) !== turned.has(id);

/** A cart put together by hand: what the offers make of it, why not, and how shoppers see it. */
export function Tried({ offer }: { offer: Offer }) {
  const goods = useStudio((s) => s.goods);
  const whole = useStudio((s) => s.draft);
  const situation = useStudio((s) => s.situation);
  const names = useNames();
  const [own, setOwn] = useState<readonly Kept[]>();
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const hasRoom = useMediaQuery((theme: Theme) => theme.breakpoints.up("lg"));
  const kept = useMemo(() => own ?? firstCart(goods, offer), [own, goods, offer]);
  const draft = useMemo(() => withOn(whole, offer.id), [whole, offer.id]);
  const offers = offersOf(draft.documents);
  const coded = offers.filter(({ id, code, isOff }) => code !== "" && (id === offer.id || !isOff));
  const { target, asked, priced } = useMemo(() => {
    const lines = linesOf(kept, goods);
    const all = offersOf(draft.documents);
    const codes = all.flatMap(({ id, code }) => (code !== "" && isGiven(id, offer.id, turned) ? [code] : []));
    const here = askedIn(situation, goods);
    return {
      target: { page: "cart" as const, lines, codes },
      asked: here,
      priced: price({ lines, offers: all, codes, goods, asked: here }),
    };
  }, [kept, goods, situation, draft, offer.id, turned]);
  const set = (at: number, count: number) =>
    setOwn(count > 0 ? kept.with(at, { ...kept[at]!, count }) : kept.toSpliced(at, 1));
  return (
    <Box
      component="section"
      aria-label="A cart to try it"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", lg: `minmax(0,1fr) ${PANE_WIDTH}px` },
        gap: 3,
        minHeight: 0,
      }}
    >
      <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 1.5, alignContent: "start", minWidth: 0 }}>
        <Typography variant="h3" component="h2">
          A cart to try it
        </Typography>
        <Box component="ul" aria-label="What lies in the cart" sx={{ m: 0, p: 0, listStyle: "none" }}>
          {target.lines.map(({ product, variant, count }, i) => (
            <Box
              component="li"
              key={`${product.id} ${variant?.id ?? ""}`}
              sx={{ display: "flex", alignItems: "center", gap: 0.5, minHeight: 36 }}
            >
              <Typography variant="body2" noWrap sx={{ flex: 1, minWidth: 0 }}>
                {product.title}
                {variant ? `, ${variant.values.join(", ")}` : ""}
              </Typography>
              <IconAction
                label={`One less of ${product.title}`}
                icon={Minus}
                size={15}
                onClick={() => set(i, count - 1)}
              />
              <Typography variant="body2" sx={{ minWidth: 20, textAlign: "center", fontWeight: 600 }}>
                {count}
              </Typography>
              <IconAction
                label={`One more of ${product.title}`}
                icon={Plus}
                size={15}
                disabled={count >= 99}
                onClick={() => set(i, count + 1)}
              />
              <Typography variant="body2" sx={{ minWidth: 64, textAlign: "end", whiteSpace: "nowrap" }}>
                {names.money(priced.lines[i]!.total)}
              </Typography>
            </Box>
          ))}
        </Box>
        <ProductChoice
          key={kept.length}
          label="Put something in"
          value=""
          onSet={(id) => {
            const product = productWith(goods, id);
            const variant = product && (firstVariant(product)?.id ?? null);
            const at = kept.findIndex((each) => each.product === id && each.variant === variant);
            if (at >= 0) set(at, kept[at]!.count + 1);
            else if (product) setOwn([...kept, { product: id, variant: variant ?? null, count: 1 }]);
          }}
        />
        {coded.length ? (
          <Box role="group" aria-label="Codes that are given" sx={{ display: "flex", flexWrap: "wrap", columnGap: 1 }}>
            {coded.map((each) => (
              <FormControlLabel
                key={each.id}
                control={
                  <Checkbox
                    size="small"
                    checked={isGiven(each.id, offer.id, turned)}
                    onChange={() => {
                      const next = new Set(turned);
                      if (!next.delete(each.id)) next.add(each.id);
                      setTurned(next);
                    }}
                  />
                }
                label={<Typography variant="body2">{each.code}</Typography>}
              />
            ))}
          </Box>
        ) : null}
        <Box sx={{ display: "flex", justifyContent: "space-between", borderTop: `2px solid ${INK.ink}`, pt: 1 }}>
          <Typography sx={{ fontWeight: 700 }}>
            {priced.off > 0 ? `${names.money(priced.full)} less ${names.money(priced.off)}` : "Nothing taken off"}
          </Typography>
          <Typography sx={{ fontWeight: 700 }} aria-label={`Total ${names.money(priced.total)}`}>
            {names.money(priced.total)}
          </Typography>
        </Box>
        <Reasons priced={priced} offers={offers} chosen={offer.id} asked={asked} />
        {offer.isOff ? (
          <Typography variant="caption" color="text.secondary">
            Here it is tried as if it were on.
          </Typography>
        ) : null}
      </Box>
      {hasRoom ? (
        <BoxedFrame
          title="The cart on a phone"
          draft={draft}
          target={target}
          device="phone"
          width={PANE_WIDTH}
          height={PANE_HEIGHT}
        />
      ) : null}
    </Box>
  );
}
