// Lengths and weights in the two systems that shoppers know. 1 in = 2.54 cm and 1 lb = 0.45359237 kg exactly (NIST Special
// Publication 811, 2008 edition, appendix B.8; agreed on in 1959).

export type Unit = "cm" | "in" | "kg" | "lb";
export const UNITS: readonly Unit[] = ["cm", "in", "kg", "lb"];
export const OTHER: Readonly<Record<Unit, Unit>> = { cm: "in", in: "cm", kg: "lb", lb: "kg" };

/** How many of the one are one of the other. */
const FACTOR: Readonly<Record<Unit, number>> = { cm: 1 / 2.54, in: 2.54, kg: 1 / 0.45359237, lb: 0.45359237 };
/** What measures are given to: half inches, whole centimetres, whole pounds, half kilos (common practice in clothes, no source). */
const STEP: Readonly<Record<Unit, number>> = { cm: 1, in: 0.5, kg: 0.5, lb: 1 };
/** Small measures are given more closely: to a quarter of an inch, half a centimetre … */
const SMALL = 10;

/** The unit that the heading of a column ends with, in brackets: "Chest (cm)". */
export function unitIn(head: string): Unit | undefined {
  const said = /\((cm|in|inch|inches|kg|lb|lbs)\.?\)\s*$/i.exec(head)?.[1]?.toLowerCase();
  if (said === undefined) return undefined;
  return said.startsWith("in") ? "in" : said.startsWith("lb") ? "lb" : (said as Unit);
}

/** The heading of a column with another unit in its brackets. */
export const withUnit = (head: string, unit: Unit): string => head.replace(/\([^()]*\)\s*$/, `(${unit})`);

const FRACTIONS: ReadonlyMap<string, number> = new Map([
  ["¼", 0.25],
  ["½", 0.5],
  ["¾", 0.75],
]);
const SIGNS: ReadonlyMap<number, string> = new Map([
  [0, ""],
  [0.25, "¼"],
  [0.5, "½"],
  [0.75, "¾"],
]);

/** A measure as it is written: inches with fractions, all else with decimals. */
function written(value: number, unit: Unit): string {
  if (unit !== "in") return String(value);
  const whole = Math.floor(value);
  const rest = SIGNS.get(value - whole) ?? "";
  return whole === 0 && rest ? rest : `${whole}${rest}`;
}

/** Numbers of a cell: "86", "86.5", "86,5", "34½", "½". */
const NUMBER = /\d+(?:[.,]\d+)?[¼½¾]?|[¼½¾]/g;

/** What a cell says in the other unit: each number in it is converted and rounded as measures are; all else stays. */
export function converted(cell: string, from: Unit): string {
  const to = OTHER[from];
  return cell.replace(NUMBER, (text) => {
    const fraction = FRACTIONS.get(text.at(-1)!) ?? 0;
    const digits = fraction ? text.slice(0, -1) : text;
    const value = ((digits === "" ? 0 : Number(digits.replace(",", "."))) + fraction) * FACTOR[from];
    const step = value < SMALL ? STEP[to] / 2 : STEP[to];
    return written(Math.round(value / step) * step, to);
  });
}
