import type { Judgement } from "~/core/cutout";
import type { Opened } from "~/workers/cutout.worker";

const SIDES = { top: "above", bottom: "below", left: "on the left", right: "on the right" } as const;

/** Outlines of which more than this share is a guess are spoken of. */
const WEAK = 0.12;
/** Less than this share of a picture is no thing, more is no ground. */
const SHARE = { least: 0.004, most: 0.97 };

/** What is to be said of a cut honestly: how sure it is, and what the seller can do. */
export function saidOfCut(
  { sort }: Pick<Opened, "sort">,
  { share, weak, touches }: Judgement,
  hasStrokes: boolean,
): { readonly isWell: boolean; readonly words: string } {
  if (share < SHARE.least)
    return { isWell: false, words: "Nothing is left. Paint over what stays with the brush “Keep”." };
  if (share > SHARE.most)
    return { isWell: false, words: "No ground was found. Paint over it with the brush “Take away”." };
  if (sort === "clear") return { isWell: true, words: "This picture has no ground any more." };
  if (sort === "busy" && !hasStrokes)
    return {
      isWell: false,
      words:
        "The ground is busy, so this is a guess. Paint over what stays and over what goes; a few strokes are enough.",
    };
  if (weak > WEAK)
    return {
      isWell: false,
      words: "Some of its edge hardly differs from the ground. Look at it closely, and go over it with the brush.",
    };
  if (touches.length)
    return {
      isWell: true,
      words: `Its edge is clear. The picture ends ${touches.map((side) => SIDES[side]).join(" and ")} within it: there it stays straight.`,
    };
  return { isWell: true, words: "Its edge is clear all around." };
}
