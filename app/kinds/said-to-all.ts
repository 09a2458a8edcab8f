import type { Part } from "~/core/document";

// Words with facts in them that are not the same for everybody, and what was said to all before those were put in.

const forEverybody = new WeakMap<object, object>();

/** Notes what a part says to everybody, of one that says more to whoever looks. */
export const noteSaidToAll = (props: Part["props"], toAll: Part["props"]): void => void forEverybody.set(props, toAll);

/** What a part says to everybody: whoever closed it has closed that, whatever it says to them. */
export const saidToAll = <P extends object>(props: P): P => (forEverybody.get(props) as P | undefined) ?? props;
