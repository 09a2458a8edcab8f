import { z } from "zod";
import { MAIN_MENU } from "~/core/document";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  /** The menu that it shows, by its id; empty: none. */
  menu: z.string().max(40),
  heading: z.string().max(40),
});
export type MenuLinksProps = z.infer<typeof props>;

export const definition: Definition<MenuLinksProps> = {
  kind: "menu-links",
  name: "Menu",
  about: "One of your menus: in a row that opens, or one below the other.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "column", name: "One below the other" },
    { id: "line", name: "Side by side" },
    { id: "row", name: "In a row that opens; on phones behind a button" },
  ],
  fields: [
    { type: "menu", key: "menu", label: "Menu" },
    { type: "line", key: "heading", label: "Heading", most: 40 },
  ],
  props,
  synonyms: ["navigation", "links", "nav"],
  defaults: { menu: MAIN_MENU, heading: "" },
  style: {},
  styles: ["size", "ink"],
  css: `
.menu-head{font:inherit;font-weight:var(--strong);margin:0 0 .35rem;letter-spacing:0;text-transform:none}
.menu-col a{display:inline-flex;align-items:center;min-height:2.25rem}
.menu-col .sub-head{display:inline-flex;align-items:center;min-height:2.25rem;font-weight:var(--strong)}
.w-menu-links.a-line .menu-col>ul{display:flex;flex-wrap:wrap;gap:0 1.5rem;justify-content:var(--align,start)}
.w-menu-links:has(.nav){position:static;display:flex;align-items:center;justify-content:var(--align,start)}
.w-menu-links .nav,.w-menu-links .nav>ul{justify-content:var(--align,start)}
.s:has(.w-menu-links .nav){z-index:4}
@media (max-width:799.98px){
.col:has(>.w-menu-links>.drop){flex:none;order:1}
.col:has(>.w-shop-ways){flex:none}
}
`,
};
