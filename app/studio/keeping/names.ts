import { newId } from "~/core/document";

// Every open tab has a name of its own, so that what it has stored in this browser can be told from what others have.

const KEY = "zest.tab";
const lockOf = (name: string) => `${KEY}.${name}`;

/** Gives this tab a name that no other open tab has; it keeps it over a reload. Resolves once the name is held. */
export function claimName(): Promise<string> {
  const wish = sessionStorage.getItem(KEY) ?? newId();
  return new Promise((named) => {
    const hold = (name: string, ifAvailable: boolean) =>
      navigator.locks.request(lockOf(name), { ifAvailable }, (lock) => {
        if (!lock) {
          // A duplicated tab copies the other one's name.
          void hold(newId(), false);
          return undefined;
        }
        sessionStorage.setItem(KEY, name);
        named(name);
        return new Promise<never>(() => {});
      });
    void hold(wish, true);
  });
}

/** Runs `work` if no open tab has this name any more. */
export const ifOrphaned = (name: string, work: () => Promise<void>): Promise<unknown> =>
  navigator.locks.request(lockOf(name), { ifAvailable: true }, (lock) => (lock ? work() : undefined));
