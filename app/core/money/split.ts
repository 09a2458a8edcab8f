import type { Minor } from "./currency";

/**
 * Splits an amount over shares by largest remainder (Hamilton's method): each gets its part rounded down, and what is left goes, a
 * unit each, to those that lost most by that; of equal ones, to the first. The parts are whole and add up to the amount exactly; none is
 * more than its share where the amount is no more than all of them. Where all shares are nothing, nobody gets anything.
 */
export function split(amount: Minor, shares: readonly Minor[]): readonly Minor[] {
  const all = shares.reduce((sum, share) => sum + share, 0);
  if (all === 0) return shares.map(() => 0);
  const parts = new Array<Minor>(shares.length);
  const lost = new Array<Minor>(shares.length);
  let left = amount;
  for (let i = 0; i < shares.length; i++) {
    const product = amount * shares[i]!;
    if (product <= Number.MAX_SAFE_INTEGER) {
      parts[i] = Math.floor(product / all);
      lost[i] = product % all;
    } else {
      // Amounts go up to 1e12, so their product may be more than a number holds exactly.
      const [exact, by] = [BigInt(amount) * BigInt(shares[i]!), BigInt(all)];
      parts[i] = Number(exact / by);
      lost[i] = Number(exact % by);
    }
    left -= parts[i]!;
  }
  const order = shares.map((_share, i) => i);
  if (left > 0) order.sort((a, b) => lost[b]! - lost[a]! || a - b);
  for (const i of order.slice(0, left)) parts[i]!++;
  return parts;
}

/** What hundredths of a percent of an amount come to, rounded to whole minor units, half up: 12.5 % is 1250. */
export const portion = (amount: Minor, hundredths: number): Minor =>
  amount * hundredths + 5_000 <= Number.MAX_SAFE_INTEGER
    ? Math.floor((amount * hundredths + 5_000) / 10_000)
    : Number((BigInt(amount) * BigInt(hundredths) + 5_000n) / 10_000n);
