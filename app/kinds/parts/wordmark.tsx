import type { ReactNode } from "react";
import { MEDIA } from "~/core/cascade";
import { logoHeights, logoOn, type Logo } from "~/core/document";
import { sourceOf, srcSetOf } from "~/core/pictures";
import { useEnv, useGround } from "./env";
import { Sign } from "./signs";

/** How many letters a name is set for where room is scarce: the next of a few lengths, for which there are classes. */
const LENGTHS = [12, 16, 20, 26, 34, 60] as const;
/** A sign beside the name takes as much room as so many letters. */
const SIGN_LETTERS = 3;

const lengthOf = (name: string, hasSign: boolean): number =>
  LENGTHS.find((length) => [...name].length + (hasSign ? SIGN_LETTERS : 0) <= length) ?? 60;

const rem = (px: number) => `${px / 16}rem`;

/** How high a shop's logo stands, on wide screens and phones, and how low it gets; nothing where it is no picture. */
export function logoCss(logo: Logo): string {
  if (logo.form !== "picture") return "";
  const { height, onPhone, least } = logoHeights(logo);
  const measures = (now: number) => {
    const then = Math.min(now, least);
    return `:root{--logo:${rem(now)};--logo-least:${rem(then)};--logo-shrunk:${Number((then / now).toFixed(3))}}`;
  };
  return measures(height) + (onPhone === height ? "" : `@media ${MEDIA.phone}{${measures(onPhone)}}`);
}

/** The shop's logo as a link to its home page. */
export function Wordmark({ place }: { place: "header" | "footer" }): ReactNode {
  const { identity, picture, darkSets } = useEnv();
  const { set, over } = useGround();
  const { logo, name } = identity;
  const isDark = over ? over === "dark" : darkSets.has(set);
  const { picture: wanted = null, way } = logo.form === "picture" ? logoOn(logo, over ? "over" : place, isDark) : {};
  const drawn = way === "words" ? undefined : picture(wanted);
  return (
    <a className={`wordmark name-${lengthOf(name, logo.form === "sign")}`} href="/">
      {drawn ? (
        <img
          className={`wordmark-picture${way ? ` logo-${way}` : ""}`}
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
