import * as fontkit from "fontkit";
import subsetFont from "subset-font";
import type { Cut } from "~/core/theme";

/** A font with all its letters, but only the weights and the width of a cut, as WOFF2. */
export async function cutFont(bytes: Uint8Array, { weights, stretch }: Pick<Cut, "weights" | "stretch">) {
  const source = Buffer.from(bytes);
  const [least, most] = weights;
  const letters = (fontkit.create(source) as fontkit.Font).characterSet;
  return subsetFont(source, String.fromCodePoint(...letters), {
    targetFormat: "woff2",
    variationAxes: {
      wght: least === most ? least : { min: least, max: most },
      ...(stretch === undefined ? {} : { wdth: stretch }),
    },
  });
}
