import type { ReactNode } from "react";
import { sourceOf, srcSetOf } from "~/core/pictures";
import { useEnv } from "./env";
import { Sign } from "./signs";

/** The shop's logo as a link to its home page. */
export function Wordmark(): ReactNode {
  const { identity, picture } = useEnv();
  const { logo, name } = identity;
  const drawn = logo.form === "picture" ? picture(logo.picture) : undefined;
  return (
    <a className="wordmark" href="/">
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
