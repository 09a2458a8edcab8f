import { withParts } from "~/core/document";
import { publishDraft } from "~/core/protocol";
import type { StudioStore } from "../keeping";

export type PutOut =
  /** `number`: of the publication; null where there was nothing to publish. */
  | { readonly ok: true; readonly number: number | null }
  /** `isBehind`: the draft has changed since its changes were read. */
  | { readonly ok: false; readonly isBehind: boolean; readonly why: string };

/** Publishes the draft as it was at `seq`, and notes what shoppers see from then on. `parts`: what goes out; undefined: all of it. */
export async function putOut(store: StudioStore, seq: number, parts: readonly string[] | undefined): Promise<PutOut> {
  const { client } = store.getState();
  const reply = await client.ask(publishDraft, { seq, ...(parts ? { parts: [...parts] } : {}) });
  if (!reply.ok) return { ok: false, isBehind: reply.code === "behind", why: reply.why };
  const { number } = reply.value;
  if (number === null) return { ok: true, number };
  const { published, confirmed } = store.getState();
  store.setState({ published: parts && published ? withParts(published, confirmed, new Set(parts)) : confirmed });
  return { ok: true, number };
}
