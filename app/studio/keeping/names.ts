import { newId } from "~/core/document";

// Every open tab has a name of its own, so that what it has stored in this browser can be told from what others have.

const KEY = "zest.tab";
const lockOf = (name: string) => `${KEY}.${name}`;

/** How long a page that is being left may hold on to its name while it is loaded anew, in ms. */
const PATIENCE_MS = 1_500;

/** Gives this tab a name that no other open tab has; it keeps it over a reload. Resolves once the name is held. */
export function claimName(): Promise<string> {
  const wish = sessionStorage.getItem(KEY) ?? newId();
  return new Promise((named) => {
    const hold = (name: string, options: LockOptions) =>
      navigator.locks.request(lockOf(name), options, () => {
        sessionStorage.setItem(KEY, name);
        named(name);
        return new Promise<never>(() => {});
      });
    // A duplicated tab copies the other one's name, and that one keeps it.
    hold(wish, { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => void hold(newId(), {}));
  });
}

/** Runs `work` if no open tab has this name any more. */
export const ifOrphaned = (name: string, work: () => Promise<void>): Promise<unknown> =>
  navigator.locks.request(lockOf(name), { ifAvailable: true }, (lock) => (lock ? work() : undefined));
