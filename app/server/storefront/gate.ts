// Pages that are not kept are drawn one after the other, and after each there is a pause as long as it took, for everybody who only
// wants what is there: the studio, kept pages, pictures. Such answers are made in many small steps, each of which waits for the
// thread; without the pause every step would wait for a drawing. Whoever comes when too many wait is asked to come again, at once and politely.

/** The most drawings that wait, and the most of them for one place. */
const MOST_WAITING = 24;
const MOST_OF_A_PLACE = 8;
const LONGEST_PAUSE_MS = 100;

type Waiting = { readonly place: string; readonly draw: () => void };

/** There is no place to wait for a drawing any more. */
export class TooMany extends Error {}

/** A queue for work that takes the whole thread; `most` and `ofAPlace` bound how many wait. */
export function createGate(most = MOST_WAITING, ofAPlace = MOST_OF_A_PLACE) {
  const waiting: Waiting[] = [];
  let isOpen = true;
  const next = () => {
    const first = waiting.shift();
    if (!first) {
      isOpen = true;
      return;
    }
    const started = performance.now();
    first.draw();
    if (waiting.length) setTimeout(next, Math.min(LONGEST_PAUSE_MS, performance.now() - started));
    else isOpen = true;
  };
  /** Does the work in its turn. `place`: who asks. @throws TooMany where there is no place to wait */
  return <T>(place: string, work: () => T): Promise<T> => {
    if (waiting.length >= most || waiting.filter((w) => w.place === place).length >= ofAPlace)
      return Promise.reject(new TooMany("too many drawings wait"));
    return new Promise((done, fail) => {
      const draw = () => {
        try {
          done(work());
        } catch (error) {
          fail(error instanceof Error ? error : new Error(String(error)));
        }
      };
      waiting.push({ place, draw });
      if (!isOpen) return;
      isOpen = false;
      setImmediate(next);
    });
  };
}
