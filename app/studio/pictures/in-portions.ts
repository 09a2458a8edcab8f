import type { Reply } from "../client";

/** As many pictures as one request can name. */
const PORTION = 200;

/** Asks about any number of pictures, as many at once as a request can name. Gives why it can't be; undefined where all was done. */
export async function inPortions(
  ids: readonly string[],
  ask: (ids: string[]) => Promise<Reply<unknown>>,
): Promise<string | undefined> {
  for (let from = 0; from < ids.length; from += PORTION) {
    const reply = await ask(ids.slice(from, from + PORTION));
    if (!reply.ok) return reply.why;
  }
  return undefined;
}
