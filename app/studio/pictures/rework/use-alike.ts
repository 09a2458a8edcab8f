import { useEffect, useMemo, useRef, useState } from "react";
import { lightsFor } from "~/core/cutout";
import { sourceOf, wholeAddress, FIRST_CUT, AS_IT_IS, type Light, type Picture, type Rework } from "~/core/pictures";
import { changeGoods, removePictures } from "~/core/protocol";
import { useReload, useStudioStore } from "../../keeping";
import { upload } from "../upload";
import type { Glance } from "~/workers/cutout.worker";
import { createCutter, type Cutter } from "./cutter";

/** What all pictures are to have in common. */
export type Alike = {
  readonly ratio: number;
  readonly fill: number;
  readonly stand: boolean;
  readonly shadow: boolean;
  readonly light: boolean;
};

/** The main picture of a product, and what was found in it; null while nobody has looked, "failed" where it can't be read. */
export type Sight = { readonly picture: Picture; readonly title: string; readonly glance: Glance | null | "failed" };

/** As large as pictures are looked at here, in px. */
const GLANCE = 640;

/** Looks through pictures of goods one after the other, in a worker. */
export function useSights(wanted: readonly { readonly picture: Picture; readonly title: string }[]): readonly Sight[] {
  const [glances, setGlances] = useState<ReadonlyMap<string, Glance | "failed">>(new Map());
  const known = useRef(new Set<string>());
  useEffect(() => {
    let isGone = false;
    let cutter: Cutter | null = null;
    const go = async () => {
      for (const { picture } of wanted) {
        if (known.current.has(picture.hash)) continue;
        cutter ??= createCutter();
        const said = await cutter.ask({ type: "glance", address: sourceOf(picture, GLANCE) });
        if (isGone) return;
        known.current.add(picture.hash);
        setGlances((before) => new Map(before).set(picture.hash, said?.glance ?? "failed"));
      }
      cutter?.end();
      cutter = null;
    };
    void go();
    return () => {
      isGone = true;
      cutter?.end();
    };
  }, [wanted]);
  return useMemo(
    () => wanted.map((each) => ({ ...each, glance: glances.get(each.picture.hash) ?? null })),
    [wanted, glances],
  );
}

const seenIn = ({ glance }: Sight): Glance | null => (glance === "failed" ? null : glance);

/** How the light of each picture is to change, by its hash. */
export function lightsOf(sights: readonly Sight[]): ReadonlyMap<string, Light | null> {
  const seen = sights.filter((sight) => seenIn(sight));
  const lights = lightsFor(seen.map((sight) => seenIn(sight)!.paper));
  return new Map(seen.map(({ picture }, i) => [picture.hash, lights[i]!]));
}

/** What is done to one picture so that it is like the others. */
export const reworkFor = (glance: Glance, light: Light | null | undefined, alike: Alike): Rework => ({
  ...AS_IT_IS,
  cut: {
    ...FIRST_CUT,
    holes: glance.opened.areHolesOpen,
    shadow: alike.shadow && glance.opened.hasShadow,
    frame: { ratio: alike.ratio, fill: alike.fill, stand: alike.stand },
    light: alike.light ? (light ?? null) : null,
  },
});

export type Making = { readonly at: number; readonly of: number };

/** Makes the chosen pictures and puts them in place of the old ones of goods, as one step. */
export function useMaking() {
  const store = useStudioStore();
  const reload = useReload();
  const [making, setMaking] = useState<Making | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const isStopped = useRef(false);

  /** Gives in how many products and collections pictures were replaced; null where nothing was. */
  const make = async (
    works: readonly { readonly picture: Picture; readonly rework: Rework }[],
  ): Promise<number | null> => {
    const { client } = store.getState();
    const cutter = createCutter();
    const pairs: [string, string][] = [];
    const fresh: string[] = [];
    isStopped.current = false;
    setProblem(null);
    let why: string | undefined;
    for (const [index, { picture, rework }] of works.entries()) {
      setMaking({ at: index + 1, of: works.length });
      await cutter.ask({ type: "open", address: wholeAddress(picture) });
      const made = isStopped.current ? null : (await cutter.ask({ type: "make", rework }))?.made;
      if (isStopped.current) break;
      if (!made) {
        why = `“${picture.alt || picture.name}” could not be made. Leave it out and try again.`;
        break;
      }
      const file = new File([made], picture.name, { type: made.type });
      const sent = await upload(client, file, { made: { of: picture.id, rework } });
      if (!sent.ok) {
        why = sent.why;
        break;
      }
      if (!store.getState().pictures.some((p) => p.id === sent.picture.id)) fresh.push(sent.picture.id);
      if (sent.picture.id !== picture.id) pairs.push([picture.id, sent.picture.id]);
    }
    cutter.end();
    const isWhole = why === undefined && !isStopped.current;
    const reply = isWhole && pairs.length ? await client.ask(changeGoods, { intent: "replace-pictures", pairs }) : null;
    if (reply && !reply.ok) why = reply.why;
    // All or nothing: what was made on the way does not stay about.
    if (!reply?.ok && fresh.length) await client.ask(removePictures, { ids: fresh, restore: false });
    await reload();
    setMaking(null);
    if (why !== undefined) setProblem(why);
    return reply?.ok ? (reply.value.count ?? pairs.length) : null;
  };
  return { make, making, problem, stop: () => (isStopped.current = true) };
}
