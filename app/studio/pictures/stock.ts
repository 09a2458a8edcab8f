import { useEffect, useState } from "react";
import type { Picture } from "~/core/pictures";

/**
 * The scenes of the stock room as pictures, so that they are found and drawn as all others. Their names are their ids;
 * they are not in the shop's library before somebody takes them.
 */
async function read(): Promise<readonly Picture[]> {
  const { default: scenes } = await import("../../../stock/list.json");
  return scenes.map(({ name, alt, group, words, width, height, focus, colours }) => ({
    id: name,
    hash: name,
    // What is sought is sought in the name as well.
    name: `${alt} ${words.join(" ")}`,
    alt,
    width,
    height,
    focus: [focus[0] ?? 50, focus[1] ?? 50],
    vector: false,
    shade: null,
    colours,
    tags: [group],
  }));
}

let reading: Promise<readonly Picture[]> | undefined;

/** Where the small picture of a scene is. */
export const stockSource = ({ id }: Picture): string => `/stock/${id}.webp`;

/** The scenes; null while they are on their way, undefined where they did not come. */
export function useStock(isWanted: boolean): readonly Picture[] | null | undefined {
  const [scenes, setScenes] = useState<readonly Picture[] | null | undefined>(null);
  useEffect(() => {
    if (!isWanted) return;
    let isHere = true;
    reading ??= read();
    reading.then(
      (all) => isHere && setScenes(all),
      () => {
        // The next one who asks tries again.
        reading = undefined;
        if (isHere) setScenes(undefined);
      },
    );
    return () => void (isHere = false);
  }, [isWanted]);
  return scenes;
}
