/** Things of a list that follow each other and have something in common. */
export type Grouped<T> = {
  /** What they have in common; empty: nothing. */
  readonly name: string;
  readonly items: readonly [T, ...T[]];
};

/** The things of a list as they follow each other, those of one group under its name. A group goes on until another one is named. */
export function inGroups<T extends { readonly group: string }>(list: readonly T[]): readonly Grouped<T>[] {
  const groups: { name: string; items: [T, ...T[]] }[] = [];
  for (const each of list) {
    const name = each.group.trim();
    const last = groups.at(-1);
    if (last && (name === "" || name === last.name)) last.items.push(each);
    else groups.push({ name, items: [each] });
  }
  return groups;
}
