import type { StudioStore } from "../keeping";

/** How long to wait for what is on its way to the server, in ms. */
const PATIENCE_MS = 8000;

/** Resolves to true once the server has everything, and to false when that takes too long. */
export function whenKept(store: StudioStore): Promise<boolean> {
  if (store.getState().pending.length === 0) return Promise.resolve(true);
  return new Promise((done) => {
    const finish = (kept: boolean) => {
      clearTimeout(timer);
      unsubscribe();
      done(kept);
    };
    const timer = setTimeout(() => finish(false), PATIENCE_MS);
    const unsubscribe = store.subscribe((state) => {
      if (state.pending.length === 0) finish(true);
    });
  });
}

/** A date and time (ISO 8601) as it is said to the seller. */
export const whenWords = (at: string): string =>
  new Intl.DateTimeFormat("en-GB", { dateStyle: "medium", timeStyle: "short" }).format(new Date(at));
