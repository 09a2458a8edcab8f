import type { ReactNode } from "react";
import { sourceOf, srcSetOf } from "~/core/pictures";
import { useEnv } from "./env";
import { Sign } from "./signs";

/** How many letters a name is set for where room is scarce: the next of a few lengths, for which there are classes. */
const LENGTHS = [12, 16, 20, 26, 34, 60] as const;
/** A sign beside the name takes as much room as so many letters. */
const SIGN_LETTERS = 3;

const lengthOf = (name: string, hasSign: boolean): number =>
  LENGTHS.find((length) => [...name].length + (hasSign ? SIGN_LETTERS : 0) <= length) ?? 60;

/** The shop's logo as a link to its home page. */
export function Wordmark(): ReactNode {
  const { identity, picture } = useEnv();
  const { logo, name } = identity;
  const drawn = logo.form === "picture" ? picture(logo.picture) : undefined;
  return (
    <a className={`wordmark name-${lengthOf(name, logo.form === "sign")}`} href="/">
      {drawn ? (
        <img
          className="wordmark-picture"
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
