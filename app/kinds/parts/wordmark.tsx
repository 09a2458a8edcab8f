import type { ReactNode } from "react";
import { MEDIA } from "~/core/cascade";
import { logoHeights, logoOn, type Logo, type LogoPlace, type LogoWay } from "~/core/document";
import { sourceOf, srcSetOf, type Picture } from "~/core/pictures";
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

/** How a logo is drawn on one ground. */
function Drawn({ picture, way, alt }: { picture: Picture; way: LogoWay | undefined; alt: string }): ReactNode {
  return (
    <img
      className={`wordmark-picture${way ? ` logo-${way}` : ""}`}
      src={sourceOf(picture, 320)}
      srcSet={srcSetOf(picture)}
      sizes={picture.vector ? undefined : "240px"}
      width={picture.width}
      height={picture.height}
      alt={alt}
    />
  );
}

/** The shop's logo as a link to its home page. */
export function Wordmark({ place }: { place: "header" | "footer" }): ReactNode {
  const { identity, picture, darkSets } = useEnv();
  const { set, over } = useGround();
  const { logo, name } = identity;
  const choose = (where: LogoPlace, isDark: boolean) => {
    if (logo.form !== "picture") return { way: undefined, drawn: undefined };
    const { picture: id, way } = logoOn(logo, where, isDark);
    return { way, drawn: way === "words" ? undefined : picture(id) };
  };
  const words = (
    <>
      {logo.form === "sign" ? <Sign sign={logo.sign} /> : null}
      <span>{name}</span>
    </>
  );
  const draw = ({ way, drawn }: ReturnType<typeof choose>, alt: string) =>
    drawn ? <Drawn picture={drawn} way={way} alt={alt} /> : words;
  const own = choose(place, darkSets.has(set));
  const lying = over ? choose("over", over === "dark") : own;
  const isSame = own.drawn === lying.drawn && own.way === lying.way;
  return (
    <a className={`wordmark name-${lengthOf(name, logo.form === "sign")}`} href="/">
      {isSame ? (
        draw(own, name)
      ) : (
        // One while it lies over the picture, the other once it stands on its own ground.
        <>
          <span className="worn-over">{draw(lying, name)}</span>
          <span className="worn-own" aria-hidden="true">
            {draw(own, "")}
          </span>
        </>
      )}
    </a>
  );
}
