import { changeGoods } from "~/core/protocol";
import type { Picture } from "~/core/pictures";
import { replacePicture } from "~/kinds/replaced";
import type { StudioStore } from "../keeping";
import { goodsShow } from "./uses";

/** Wherever pages, goods, collections and the logo show one picture, they show another from now on. Gives why not, where it can't be. */
export async function replaceEverywhere(store: StudioStore, old: Picture, next: Picture): Promise<string | undefined> {
  if (old.id === next.id) return undefined;
  const { draft, stored, run, client } = store.getState();
  if (goodsShow(stored, old.id)) {
    const reply = await client.ask(changeGoods, { intent: "replace-pictures", pairs: [[old.id, next.id]] });
    if (!reply.ok) return reply.why;
  }
  const outcome = replacePicture(draft, old.id, next.id, old.alt || old.name);
  // Where it stands on no page there is nothing to change.
  return outcome.ok ? run(outcome) : undefined;
}
