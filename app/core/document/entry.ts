/**
 * What a record holds under a name that came from outside; undefined where it holds nothing under it. Plain indexing would also
 * find what every object inherits: `constructor`, `toString`, `__proto__`.
 */
export function entryOf<T>(record: Readonly<Record<string, T>> | null | undefined, name: string): T | undefined {
  // eslint-disable-next-line zest/names-from-outside -- here it is known that the record has it itself
  return record && Object.hasOwn(record, name) ? record[name] : undefined;
}
