import { bitsFor, either, type Bits } from "./bits";

/** More numbers than this are looked for by spans of them; each alone would stand for a thing or two. */
const MOST_NUMBERS = 12;
const MOST_SPANS = 7;
const NUMBER = /^-?\d{1,9}(?:[.,]\d{1,6})?$/;
const SPAN = /^(-?[\d.,]+)–(-?[\d.,]+)$/;

const numberOf = (text: string): number => (NUMBER.test(text) ? Number(text.replace(",", ".")) : Number.NaN);

/** How many whole steps there are up to a number; 0.3 is three steps of 0.1, whatever its binary fraction says. */
const placeOf = (n: number, step: number): number => Math.floor(n / step + 1e-9);

/** The span in which the most of all numbers is: where it is a whole number of steps, the one that ends there. */
const lastOf = (n: number, step: number): number => Math.ceil(n / step - 1e-9) - 1;

/** The smallest of 1, 2 and 5 times a power of ten by which `least` to `most` is at most `MOST_SPANS` spans. */
function stepFor(least: number, most: number): number {
  for (let power = -6; ; power++)
    for (const factor of [1, 2, 5]) {
      const step = factor * 10 ** power;
      if (lastOf(most, step) - placeOf(least, step) < MOST_SPANS) return step;
    }
}

/**
 * Values of an attribute as spans of numbers ("55–100", "100–150"), with what bears each, least first; undefined where they
 * are few, or not all of them numbers. A span holds its lower end and not its upper one, but for the last.
 */
export function spansOf(values: ReadonlyMap<string, Bits>, size: number): ReadonlyMap<string, Bits> | undefined {
  if (values.size <= MOST_NUMBERS) return undefined;
  const numbers = [...values].map(([value, bits]) => [numberOf(value), bits] as const).sort(([a], [b]) => a - b);
  if (numbers.some(([n]) => Number.isNaN(n))) return undefined;
  const [least, most] = [numbers[0]![0], numbers.at(-1)![0]];
  const step = stepFor(least, most);
  const groups = new Map<number, Bits[]>();
  for (const [n, bits] of numbers) {
    const at = n === most ? lastOf(n, step) : placeOf(n, step);
    const group = groups.get(at);
    if (group) group.push(bits);
    else groups.set(at, [bits]);
  }
  const written = (n: number) => String(Number(n.toFixed(6)));
  return new Map(
    [...groups].map(([at, sets]) => [
      `${written(Math.max(least, at * step))}–${written(Math.min(most, (at + 1) * step))}`,
      either(size, sets),
    ]),
  );
}

/** What bears a number of a span that is no longer offered, as an address that somebody kept may ask for. */
export function inSpan(values: ReadonlyMap<string, Bits>, span: string, size: number): Bits | undefined {
  const [, from = "", to = ""] = SPAN.exec(span) ?? [];
  const [a, b] = [numberOf(from), numberOf(to)];
  if (!(a <= b)) return undefined;
  const sets = [...values].flatMap(([value, bits]) => {
    const n = numberOf(value);
    return n >= a && n <= b ? [bits] : [];
  });
  return sets.length ? either(size, sets) : bitsFor(size);
}
