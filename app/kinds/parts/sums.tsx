import type { ReactNode } from "react";
import { Pic } from "./pic";
import { useEnv } from "./env";

// What somebody buys and what it comes to, as the checkout and an order show it.

export type SumLine = {
  readonly key: string;
  readonly title: string;
  readonly choice: string;
  readonly picture: string | null;
  readonly count: number;
  readonly full: number;
  readonly total: number;
  readonly offs: readonly { readonly name: string; readonly amount: number }[];
  /** It doesn't come at once. */
  readonly later: string;
};

export function SumLines({ lines, withPictures }: { lines: readonly SumLine[]; withPictures: boolean }): ReactNode {
  const { money } = useEnv();
  return (
    <ul className={withPictures ? "sum-lines" : "sum-lines sum-bare"}>
      {lines.map((line) => (
        <li key={line.key}>
          {withPictures ? <Pic picture={line.picture} sizes="4rem" alt="" /> : null}
          <div>
            <p className="sum-title">
              <span className="sum-count">{line.count} ×</span> {line.title}
            </p>
            {line.choice ? <p className="sum-choice">{line.choice}</p> : null}
            {line.offs.map(({ name, amount }) => (
              <p className="sum-off" key={name}>
                {name}
                {amount > 0 ? <b> −{money(amount)}</b> : null}
              </p>
            ))}
            {line.later ? <p className="sum-choice">{line.later}</p> : null}
          </div>
          <span className="amount">{line.total === 0 && line.full === 0 ? "Free" : money(line.total)}</span>
        </li>
      ))}
    </ul>
  );
}

export type Sum = {
  readonly full: number;
  readonly off: number;
  readonly goods: number;
  readonly delivery: { readonly name: string; readonly full: number; readonly total: number } | undefined;
  readonly tax:
    | {
        readonly name: string;
        readonly isIncluded: boolean;
        readonly rows: readonly { readonly rate: number; readonly tax: number }[];
      }
    | undefined;
  readonly total: number;
  /** What gift cards pay of it, each by the last letters of its code. */
  readonly byCards?: readonly { readonly last: string; readonly amount: number }[];
};

export type SumWords = {
  readonly goods: ReactNode;
  readonly off: ReactNode;
  readonly total: ReactNode;
};

const percent = (rate: number) => `${rate / 100} %`;

export function Sums({ sum, words, delivery }: { sum: Sum; words: SumWords; delivery: ReactNode }): ReactNode {
  const { money } = useEnv();
  const { tax, byCards = [] } = sum;
  const taxed = tax?.rows.filter((row) => row.tax > 0) ?? [];
  const row = (key: string, name: ReactNode, value: ReactNode, className?: string) => (
    <div key={key} className={className}>
      <dt>{name}</dt> <dd className="amount">{value}</dd>
    </div>
  );
  return (
    <dl className="sums">
      {sum.off > 0 || sum.delivery || (tax && !tax.isIncluded) ? row("goods", words.goods, money(sum.full)) : null}
      {sum.off > 0 ? row("off", words.off, `−${money(sum.off)}`, "sum-saved") : null}
      {sum.delivery
        ? row(
            "delivery",
            <>
              {delivery} <span className="sum-way">{sum.delivery.name}</span>
            </>,
            sum.delivery.total === 0 ? "Free" : money(sum.delivery.total),
          )
        : null}
      {tax && !tax.isIncluded
        ? taxed.map((each) => row(`tax-${each.rate}`, `${tax.name} ${percent(each.rate)}`, money(each.tax)))
        : null}
      {row("total", words.total, money(sum.total), "sum-total")}
      {tax?.isIncluded
        ? taxed.map((each) =>
            row(`tax-${each.rate}`, `with ${tax.name} ${percent(each.rate)}`, money(each.tax), "sum-tax"),
          )
        : null}
      {byCards.map(({ last, amount }) => row(`card-${last}`, `Gift card ${last}`, `−${money(amount)}`, "sum-saved"))}
      {byCards.length
        ? row("due", "Left to pay", money(byCards.reduce((left, { amount }) => left - amount, sum.total)), "sum-total")
        : null}
    </dl>
  );
}

/** What both look like; each kind that shows them brings it along. */
export const SUMS_CSS = `
.sum-lines{list-style:none;margin:0;padding:0;display:grid}
.sum-lines li{display:grid;grid-template-columns:4rem minmax(0,1fr) auto;gap:.25rem var(--s2);align-items:start;padding-block:.85rem;border-bottom:var(--rule) solid var(--line)}
.sum-bare li{grid-template-columns:minmax(0,1fr) auto}
.sum-lines .pic{aspect-ratio:1;border-radius:calc(var(--card)/2)}
.sum-lines .amount{font-weight:var(--strong)}
.sum-title{font-weight:var(--strong);line-height:1.3;overflow-wrap:anywhere}
.sum-count{font-weight:var(--text-weight);color:var(--soft);white-space:nowrap}
.sum-choice{color:var(--soft);font-size:var(--t-1)}
.sum-off{color:var(--accent-ink);font-size:var(--t-1)}
.sum-off b{font-weight:inherit;white-space:nowrap}
.sums{display:grid;gap:.4rem;margin-top:var(--s2)}
.sums>div{display:flex;flex-wrap:wrap;justify-content:space-between;gap:0 1rem;align-items:baseline}
.amount{white-space:nowrap;font-variant-numeric:tabular-nums;text-align:end}
.sum-way{color:var(--soft);font-size:var(--t-1)}
.sum-saved{color:var(--accent-ink)}
.sums>.sum-total{font-weight:var(--strong);font-size:var(--t1);padding-top:.5rem;border-top:var(--rule) solid var(--line)}
.sums>.sum-tax{color:var(--soft);font-size:var(--t-1)}
`;
/** What of it another country or way may bring. */
export const SUMS_LATER = ["sum-off", "sum-saved", "sum-tax", "sum-way"] as const;
