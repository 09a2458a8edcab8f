import { factWords, type Product } from "~/core/goods";

export type ComparedFact = {
  readonly name: string;
  /** What it is of each product, in their order; undefined where one does not say. */
  readonly values: readonly (string | undefined)[];
};

/**
 * What products say of themselves, side by side: their attributes and specifications, in the order in which they first occur.
 * `chosen`: these alone, in this order; null: all of them. `differs`: only those that are not the same for all.
 */
export function comparedFacts(
  products: readonly Product[],
  chosen: readonly string[] | null,
  differs: boolean,
): readonly ComparedFact[] {
  const saidBy = products.map(
    (p) =>
      new Map([
        ...p.specification.map(({ name, value }) => [name, { name, value }] as const),
        ...Object.entries(p.attributes).map(([name, value]) => [name, factWords(name, value)] as const),
        ...p.options.map(
          (o) => [o.name, { name: o.name, value: o.values.map((value) => value.name).join(", ") }] as const,
        ),
      ]),
  );
  const names = chosen ?? [
    ...new Set(
      products.flatMap((p) => [
        ...p.options.map((o) => o.name),
        ...Object.keys(p.attributes),
        ...p.specification.map((s) => s.name),
      ]),
    ),
  ];
  return names.flatMap((name) => {
    const facts = saidBy.map((said) => said.get(name));
    const values = facts.map((fact) => fact?.value);
    if (values.every((value) => value === undefined)) return [];
    if (differs && new Set(values).size < 2) return [];
    return [{ name: facts.find((fact) => fact)?.name ?? name, values }];
  });
}
