import type { ReactNode } from "react";
import { LOGO_HEIGHT } from "~/core/document";
import { sourceOf, srcSetOf } from "~/core/pictures";
import { useEnv } from "./env";
import { Sign } from "./signs";

/** How many letters a name is set for where room is scarce: the next of a few lengths, for which there are classes. */
const LENGTHS = [12, 16, 20, 26, 34, 60] as const;
/** A sign beside the name takes as much room as so many letters. */
const SIGN_LETTERS = 3;

const lengthOf = (name: string, hasSign: boolean): number =>
  LENGTHS.find((length) => [...name].length + (hasSign ? SIGN_LETTERS : 0) <= length) ?? 60;

/** Heights come in steps of so many px, for each of which there is a class. */
const LOGO_STEP = 4;
export const LOGO_CSS = Array.from(
  { length: (LOGO_HEIGHT.most - LOGO_HEIGHT.least) / LOGO_STEP + 1 },
  (_each, i) => LOGO_HEIGHT.least + i * LOGO_STEP,
)
  .map((px) => `.logo-h-${px}{height:${px / 16}rem}`)
  .join("\n");

/** The shop's logo as a link to its home page. */
export function Wordmark({ place }: { place: "header" | "footer" }): ReactNode {
  const { identity, picture } = useEnv();
  const { logo, name } = identity;
  const way = logo.form === "picture" ? logo[place] : undefined;
  const drawn = logo.form === "picture" && way !== "words" ? picture(logo.picture) : undefined;
  const height = logo.form === "picture" ? (logo.height ?? LOGO_HEIGHT.usual) : 0;
  return (
    <a className={`wordmark name-${lengthOf(name, logo.form === "sign")}`} href="/">
      {drawn ? (
        <img
          className={`wordmark-picture logo-h-${Math.round(height / LOGO_STEP) * LOGO_STEP}${way ? ` logo-${way}` : ""}`}
          src={sourceOf(drawn, 320)}
          srcSet={srcSetOf(drawn)}
          sizes={drawn.vector ? undefined : "240px"}
          width={drawn.width}
          height={drawn.height}
          alt={name}
        />
      ) : (
        <>
          {logo.form === "sign" ? <Sign sign={logo.sign} /> : null}
          <span>{name}</span>
        </>
      )}
    </a>
  );
}
