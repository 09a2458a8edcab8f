/**
 * What a record holds under a name that came from outside; undefined where it holds nothing under it. Plain indexing would also
 * find what every object inherits: `constructor`, `toString`, `__proto__`.
 */
export function entryOf<T>(record: Readonly<Record<string, T>> | null | undefined, name: string): T | undefined {
  return record && Object.hasOwn(record, name) ? record[name] : undefined;
}
