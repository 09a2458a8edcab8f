import { sourceOf, srcSetOf } from "~/core/pictures";
import type { ViewProps } from "../definition";
import { Running, useEnv, Words } from "../parts";
import type { LogoRowProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<LogoRowProps>) {
  const { studio, href, picture: find } = useEnv();
  const logos = props.logos
    .map((logo, index) => ({ ...logo, index, found: find(logo.picture) }))
    .filter((logo) => studio || logo.found || logo.name);
  if (logos.length === 0 && !studio) return null;
  const one = (logo: (typeof logos)[number], copy: boolean) => {
    const { found, name, index, link } = logo;
    const mark = studio && !copy ? { "data-picture-at": `logos.${index}.picture` } : {};
    const inside = found ? (
      <img
        src={sourceOf(found, 320)}
        srcSet={srcSetOf(found)}
        sizes={found.vector ? undefined : "176px"}
        width={found.width}
        height={found.height}
        alt={copy ? "" : name || found.alt}
        loading={first ? undefined : "lazy"}
        decoding="async"
        {...mark}
      />
    ) : copy ? (
      <span className="logo-name">{name}</span>
    ) : (
      <Words at={`logos.${index}.name`} className="logo-name" text={name} hint="Whose it is" />
    );
    const address = href(link);
    return (
      <li className="logo" key={index}>
        {address ? <a href={address}>{inside}</a> : inside}
      </li>
    );
  };
  const looks = `logos${props.plain ? " logos-plain" : ""}`;
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      {logos.length === 0 ? (
        <p className="goods-none studio-empty">Add the first logo, in Details on the left.</p>
      ) : arrangement === "running" ? (
        <Running
          count={logos.length}
          speed="slow"
          className={looks}
          draw={(copy) => logos.map((logo) => one(logo, copy))}
        />
      ) : (
        <ul className={looks}>{logos.map((logo) => one(logo, false))}</ul>
      )}
    </div>
  );
}
