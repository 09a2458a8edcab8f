/** As many outcomes of one thing are remembered: products of a layout may each have one of their own. */
const MOST_OUTCOMES = 24;

/** What was made of something for an outcome, the same object each time; of many, the oldest is forgotten. */
export function remembered<K extends object, V extends object>(
  all: WeakMap<K, Map<string, V>>,
  of: K,
  outcome: string,
  make: () => V,
): V {
  let known = all.get(of);
  if (!known) all.set(of, (known = new Map<string, V>()));
  const found = known.get(outcome);
  if (found !== undefined) return found;
  if (known.size >= MOST_OUTCOMES) known.delete(known.keys().next().value!);
  const made = make();
  known.set(outcome, made);
  return made;
}
