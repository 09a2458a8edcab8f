import type { Picture, Rework } from "~/core/pictures";
import type { StudioStore } from "../../keeping";
import { replaceEverywhere } from "../replace";
import { upload } from "../upload";

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
  const file = new File([made.blob], old.name, { type: made.blob.type });
  const sent = await upload(store.getState().client, file, { made: { of: made.of, rework: made.rework } });
  if (!sent.ok) return sent;
  const { picture } = sent;
  const { pictures } = store.getState();
  if (!pictures.some((p) => p.id === picture.id)) store.setState({ pictures: [picture, ...pictures] });
  const why = goal === "everywhere" ? await replaceEverywhere(store, old, picture) : undefined;
  return why === undefined
    ? { ok: true, picture }
    : { ok: false, why: `The new picture is in your library, but the old one still stands where it stood. ${why}` };
}
