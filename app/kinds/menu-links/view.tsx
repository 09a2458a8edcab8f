import { MAIN_MENU } from "~/core/document";
import type { ViewProps } from "../definition";
import { MenuColumns, MenuRow, useEnv, useMenu, useNodeId, Words } from "../parts";
import type { MenuLinksProps } from "./definition";

/** What a menu in a row is called to assistive technology: unlike any other on the page. */
function useRowName(menu: string): string {
  const { partsOf } = useEnv();
  const at = partsOf("menu-links").indexOf(useNodeId());
  return menu === MAIN_MENU && at <= 0 && partsOf("header").length === 0 ? "Main menu" : `Menu ${at + 1}`;
}

export function View({ props, arrangement }: ViewProps<MenuLinksProps>) {
  const { studio } = useEnv();
  const entries = useMenu(props.menu);
  const name = useRowName(props.menu);
  if (entries.length === 0)
    return studio ? <p className="studio-empty">Choose a menu that has something in it.</p> : null;
  if (arrangement === "row") return <MenuRow entries={entries} label={name} />;
  return (
    <div className="menu-col">
      <Words at="heading" as="h2" className="menu-head" text={props.heading} hint="Heading" />
      <MenuColumns entries={entries} />
    </div>
  );
}
