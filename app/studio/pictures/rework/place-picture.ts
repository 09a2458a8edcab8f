import { changeGoods } from "~/core/protocol";
import type { Picture, Rework } from "~/core/pictures";
import { replacePicture } from "~/kinds/replaced";
import type { StudioStore } from "../../keeping";
import { upload } from "../upload";
import { goodsShow } from "../uses";

/** Where a picture goes that was made of another one: wherever that stands, to the place it was made for, or nowhere yet. */
export type Goal = "everywhere" | "here" | "library";

export type Placed = { readonly ok: true; readonly picture: Picture } | { readonly ok: false; readonly why: string };

/** Keeps a picture that was made of another one in the library, and puts it wherever that one stands, where that is wanted. */
export async function placePicture(
  store: StudioStore,
  old: Picture,
  made: { readonly blob: Blob; readonly of: string; readonly rework: Rework },
  goal: Goal,
): Promise<Placed> {
  const { client } = store.getState();
  const file = new File([made.blob], old.name, { type: made.blob.type });
  const sent = await upload(client, file, { made: { of: made.of, rework: made.rework } });
  if (!sent.ok) return sent;
  const { picture } = sent;
  const { pictures } = store.getState();
  if (!pictures.some((p) => p.id === picture.id)) store.setState({ pictures: [picture, ...pictures] });
  if (goal !== "everywhere" || picture.id === old.id) return { ok: true, picture };
  const { draft, stored, run } = store.getState();
  const outcome = replacePicture(draft, old.id, picture.id, old.alt || old.name);
  // Where it stands on no page there is nothing to change.
  if (outcome.ok) run(outcome);
  if (goodsShow(stored, old.id)) {
    const reply = await client.ask(changeGoods, { intent: "replace-picture", from: old.id, to: picture.id });
    if (!reply.ok)
      return { ok: false, why: `The new picture is in your library, but goods show the old one still. ${reply.why}` };
  }
  return { ok: true, picture };
}
