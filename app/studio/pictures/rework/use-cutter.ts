import { useEffect, useRef, useState } from "react";
import type { Judgement } from "~/core/cutout";
import type { Cut, Rework } from "~/core/pictures";
import type { Opened } from "~/workers/cutout.worker";
import { createCutter, type Cutter } from "./cutter";

export type Look = { readonly picture: ImageBitmap; readonly judgement: Judgement };

export type CutterState = {
  /** The picture itself; null until it is open. */
  readonly picture: ImageBitmap | null;
  /** What was found of the picture; null while it is looked at. */
  readonly opened: Opened | null;
  /** The latest look at the cut; null without one. */
  readonly look: Look | null;
  /** Whether a newer look is being worked at. */
  readonly isBusy: boolean;
  readonly hasFailed: boolean;
  /** Makes the picture as it is kept; null where nothing is left of it, undefined where it could not be made. */
  readonly make: (rework: Rework) => Promise<Blob | null | undefined>;
};

/** Looks at a picture and at the cut that is asked for. What is asked while it works waits, and only the latest of it is done. */
export function useCutter(address: string, cut: Cut | null): CutterState {
  const cutter = useRef<Cutter | null>(null);
  const [picture, setPicture] = useState<ImageBitmap | null>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [look, setLook] = useState<Look | null>(null);
  const [isBusy, setBusy] = useState(false);
  const [hasFailed, setFailed] = useState(false);
  const wanted = useRef<Cut | null>(null);
  const isWorking = useRef(false);

  useEffect(() => {
    const made = createCutter();
    cutter.current = made;
    let isGone = false;
    const start = async () => {
      const said = await made.ask({ type: "open", address });
      if (isGone) return;
      if (!said?.picture) return setFailed(true);
      setPicture(said.picture);
      const found = await made.ask({ type: "find" });
      if (isGone) return;
      if (found?.opened) setOpened(found.opened);
      else setFailed(true);
    };
    void start();
    return () => {
      isGone = true;
      cutter.current = null;
      isWorking.current = false;
      made.end();
      setPicture(null);
      setOpened(null);
      setLook(null);
    };
  }, [address]);

  useEffect(() => {
    if (!opened || !cut) return;
    wanted.current = cut;
    if (isWorking.current) return;
    const work = async () => {
      isWorking.current = true;
      setBusy(true);
      for (let next = wanted.current; next; next = wanted.current) {
        wanted.current = null;
        const at = cutter.current;
        const said = await at?.ask({ type: "look", cut: next });
        // It was closed, or has another picture open.
        if (at !== cutter.current) return;
        if (said?.look) setLook(said.look);
        else setFailed(true);
      }
      isWorking.current = false;
      setBusy(false);
    };
    void work();
  }, [opened, cut]);

  return {
    picture,
    opened,
    look: cut ? look : null,
    isBusy,
    hasFailed,
    make: async (rework) => (await cutter.current?.ask({ type: "make", rework }))?.made,
  };
}
