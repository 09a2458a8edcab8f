import type { Condition, DateRule, Rule, TimeRule } from "~/core/conditions";

// Conditions as their sentence tells them: dates and hours first, then what else is asked, one after the other, with “and” or “or”
// between them.

/** `isOr`: one of it and the rule before is enough. */
export type ToldRule = { readonly rule: Rule; readonly isOr: boolean };
export type Told = { readonly dates: DateRule; readonly times: TimeRule; readonly rules: readonly ToldRule[] };

/** Conditions as they are told. */
export function split(conditions: readonly Condition[]): Told {
  const dates = conditions.find((c) => c.when === "dates");
  const times = conditions.find((c) => c.when === "times");
  const rules = conditions.flatMap((each): readonly ToldRule[] => {
    if (each === dates || each === times) return [];
    return (each.when === "any" ? each.of : [each]).map((rule, i) => ({ rule, isOr: i > 0 }));
  });
  return { dates: dates ?? { when: "dates" }, times: times ?? { when: "times" }, rules };
}

const without = <T extends object>(rule: T): T =>
  Object.fromEntries(Object.entries(rule).filter(([, value]) => value !== undefined)) as T;

/** What is told, as conditions; what says nothing is none. */
export function joined({ dates, times, rules }: Told): readonly Condition[] {
  const groups: Rule[][] = [];
  for (const { rule, isOr } of rules) {
    const last = groups.at(-1);
    if (isOr && last) last.push(without(rule));
    else groups.push([without(rule)]);
  }
  return [
    ...(dates.from || dates.until ? [without(dates)] : []),
    ...(times.days || times.from || times.until ? [without(times)] : []),
    ...groups.map((of): Condition => (of.length > 1 ? { when: "any", of } : of[0]!)),
  ];
}

/** Rules with one of them changed, or taken out. */
export const withRule = (rules: readonly ToldRule[], at: number, rule: Rule | undefined): readonly ToldRule[] => {
  if (rule) return rules.with(at, { ...rules[at]!, rule });
  const rest = rules.toSpliced(at, 1);
  // What stands where it stood is joined to what stood before it as it was.
  const next = rest[at];
  return next && !rules[at]!.isOr ? rest.with(at, { ...next, isOr: false }) : rest;
};

/** Rules with “and” turned to “or” before one of them, or back. */
export const turnedAt = (rules: readonly ToldRule[], at: number): readonly ToldRule[] =>
  rules.with(at, { ...rules[at]!, isOr: !rules[at]!.isOr });

/** What can be asked besides time, each as it begins. */
export const startersFor = (locale: string): readonly { readonly name: string; readonly rule: Rule }[] => [
  { name: "On certain pages", rule: { when: "pages", sorts: ["product"] } },
  { name: "For certain goods", rule: { when: "goods", asks: [{ field: "reduced", op: "yes", value: "" }] } },
  { name: "To certain visitors", rule: { when: "visitor", is: "new" } },
  { name: "With a certain cart", rule: { when: "cart", asks: "empty" } },
  { name: "In certain countries", rule: { when: "country", countries: [/-([A-Z]{2})$/.exec(locale)?.[1] ?? "GB"] } },
];
