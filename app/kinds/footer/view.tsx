import type { ViewProps } from "../definition";
import { Action, useEnv, Wordmark, Words } from "../parts";
import type { FooterProps } from "./definition";

export function View({ props }: ViewProps<FooterProps>) {
  const { studio, href } = useEnv();
  const links = props.links
    .map((entry, index) => ({ ...entry, index }))
    .filter((entry) => studio || (entry.label && href(entry.link)));
  return (
    <div className="in">
      <Wordmark place="footer" />
      <Words at="about" as="p" className="foot-text" text={props.about} hint="About you" />
      {links.length ? (
        <nav className="foot-links" aria-label="Footer">
          <ul>
            {links.map((entry) => (
              <li key={entry.index}>
                <Action at={`links.${entry.index}.label`} label={entry.label} link={entry.link} hint="Link words" />
              </li>
            ))}
          </ul>
        </nav>
      ) : null}
      <Words at="contact" as="p" className="foot-text" text={props.contact} hint="Contact" />
      <Words at="small" as="p" className="foot-small" text={props.small} hint="Small print" />
    </div>
  );
}
