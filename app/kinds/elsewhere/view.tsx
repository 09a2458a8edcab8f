import { socialName } from "~/core/document";
import type { ViewProps } from "../definition";
import { SocialSign, useEnv, Words } from "../parts";
import type { ElsewhereProps } from "./definition";

export function View({ props, arrangement }: ViewProps<ElsewhereProps>) {
  const { identity, studio } = useEnv();
  const links = identity.social ?? [];
  if (links.length === 0)
    return studio ? (
      <p className="studio-empty">
        Links to where else you are stand here once they are in Brand, under “Contact and hours”.
      </p>
    ) : null;
  return (
    <>
      <Words at="heading" as="h2" className="menu-head" text={props.heading} hint="Heading" />
      <ul className="places">
        {links.map((link, i) => (
          <li key={i}>
            <a
              href={link.address}
              rel="me noopener"
              {...(arrangement === "signs" ? { "aria-label": socialName(link) } : {})}
            >
              {arrangement === "names" ? null : <SocialSign sort={link.sort} />}
              {arrangement === "signs" ? null : <span>{socialName(link)}</span>}
            </a>
          </li>
        ))}
      </ul>
    </>
  );
}
