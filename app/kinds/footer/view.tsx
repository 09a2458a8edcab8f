import type { ViewProps } from "../definition";
import { MenuColumns, useEnv, useMenu, usePartId, Wordmark, Words } from "../parts";
import type { FooterProps } from "./definition";

/** One of the footer's menus, with the words above it. */
function FootMenu({
  menu,
  heading,
  index,
  isAlone,
}: FooterProps["menus"][number] & { index: number; isAlone: boolean }) {
  const { studio } = useEnv();
  const entries = useMenu(menu);
  const id = usePartId(`foot-${index}`);
  if (entries.length === 0 && !studio) return null;
  return (
    <nav
      className="foot-links"
      {...(heading ? { "aria-labelledby": id } : { "aria-label": isAlone ? "Footer" : `Footer, ${index + 1}` })}
    >
      <Words at={`menus.${index}.heading`} as="h2" id={id} className="foot-head" text={heading} hint="Heading" />
      {entries.length ? <MenuColumns entries={entries} /> : null}
    </nav>
  );
}

export function View({ props }: ViewProps<FooterProps>) {
  return (
    <div className="in">
      <Wordmark place="footer" />
      <Words at="about" as="p" className="foot-text foot-about" text={props.about} hint="About you" />
      {props.menus.map((each, index) => (
        <FootMenu key={index} {...each} index={index} isAlone={props.menus.length === 1} />
      ))}
      <Words at="contact" as="p" className="foot-text foot-contact" text={props.contact} hint="Contact" />
      <Words at="small" as="p" className="foot-small" text={props.small} hint="Small print" />
    </div>
  );
}
