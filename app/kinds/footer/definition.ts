import { z } from "zod";
import { FOOTER_MENU } from "~/core/document";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  about: z.string().max(400),
  contact: z.string().max(300),
  /** The menus that it shows, each with the words above it. */
  menus: z.array(z.object({ heading: z.string().max(40), menu: z.string().max(40) })).max(4),
  small: z.string().max(200),
});
export type FooterProps = z.infer<typeof props>;

export const definition: Definition<FooterProps> = {
  kind: "footer",
  name: "Footer",
  about: "Who you are, how to reach you, and the links people look for down here.",
  purpose: "On every page",
  level: "section",
  isOffered: true,
  slots: ["bottom"],
  tag: "footer",
  arrangements: [
    { id: "wide-name", name: "Large name, then columns" },
    { id: "columns", name: "Columns" },
    { id: "middle", name: "In the middle" },
    { id: "line", name: "All in one row" },
    { id: "halves", name: "Name left, everything else right" },
    { id: "statement", name: "A large sentence, then columns" },
  ],
  fields: [
    { type: "text", key: "about", label: "About you", most: 400 },
    { type: "text", key: "contact", label: "Contact", most: 300 },
    {
      type: "list",
      key: "menus",
      label: "Menus",
      one: "menu",
      most: 4,
      fields: [
        { type: "line", key: "heading", label: "Heading", most: 40 },
        { type: "menu", key: "menu", label: "Menu" },
      ],
      fresh: { heading: "", menu: FOOTER_MENU },
    },
    { type: "line", key: "small", label: "Small print", most: 200 },
  ],
  props,
  migrations: [
    {
      from: 1,
      name: "its links are a menu of their own",
      up: (props) => {
        if (!Array.isArray(props.menus)) props.menus = [{ heading: "", menu: FOOTER_MENU }];
        delete props.links;
      },
    },
  ],
  defaults: { about: "", contact: "", menus: [{ heading: "", menu: FOOTER_MENU }], small: "" },
  style: { all: { set: "footer", width: "content", spaceTop: 5, spaceBottom: 4 } },
  styles: ["width", "spaceTop", "spaceBottom", "set"],
  css: `
.s-footer .in{display:grid;gap:var(--s4)}
.s-footer .wordmark{justify-self:start}
.foot-text{white-space:pre-line;text-wrap:pretty;max-width:25em}
.foot-head{font:inherit;font-weight:var(--strong);margin:0 0 .35rem;letter-spacing:0;text-transform:none}
.foot-links>ul{display:grid;grid-template-columns:1fr 1fr;gap:0 var(--s3);align-items:start}
.foot-links .sub-head{display:inline-flex;align-items:center;min-height:2.25rem;font-weight:var(--strong)}
.foot-links a{display:inline-flex;align-items:center;min-height:2.25rem}
.foot-small{font-size:var(--t-1);color:var(--soft);border-top:var(--rule) solid var(--line);padding-top:var(--s2)}
.s-footer.a-wide-name .wordmark{font-size:clamp(1.4rem,calc(9.2vw*min(1,.56/var(--letter))),8.5rem);line-height:.95;letter-spacing:-.045em;margin-bottom:var(--s2)}
.s-footer.a-wide-name .wordmark .sign{width:.8em;height:.8em}
.s-footer.a-middle .in{justify-items:center;text-align:center}
.s-footer.a-middle .wordmark{justify-self:center}
.s-footer.a-middle .foot-links>ul{display:flex;flex-wrap:wrap;justify-content:center;gap:0 1.5rem}
.s-footer.a-middle .foot-small{width:100%}
.s-footer.a-statement .foot-about{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:var(--t4);line-height:1.15;max-width:22em;text-wrap:balance}
.s-footer.a-statement .wordmark{order:1}
.s-footer.a-statement .foot-small{order:2}
@media (min-width:800px){
.s-footer.a-line .in{grid-template-columns:auto 1fr auto;align-items:start;column-gap:var(--s5)}
.s-footer.a-line .foot-about{display:none}
.s-footer.a-line .foot-links>ul{display:flex;flex-wrap:wrap;gap:0 1.5rem}
.s-footer.a-line .foot-small{grid-column:1/-1}
.s-footer.a-halves .in{grid-template-columns:1.2fr 1fr;column-gap:var(--s6)}
.s-footer.a-halves .wordmark{grid-row:1;font-size:var(--t5);align-self:start}
.s-footer.a-halves .foot-about{grid-column:1;grid-row:2/span 4;align-self:end}
.s-footer.a-halves .foot-links,.s-footer.a-halves .foot-contact{grid-column:2}
.s-footer.a-statement .in{grid-template-columns:1fr 1fr 1fr}
.s-footer.a-statement .foot-about,.s-footer.a-statement .foot-small{grid-column:1/-1}
.s-footer.a-wide-name .in,.s-footer.a-columns .in{grid-template-columns:1.4fr 1fr 1fr}
.in:has(.foot-links~.foot-links){grid-template-columns:1.4fr 1fr 1fr 1fr}
.in:has(.foot-links~.foot-links) .foot-links>ul{grid-template-columns:1fr}
.s-footer.a-wide-name .wordmark,.foot-small{grid-column:1/-1}
.s-footer.a-columns .wordmark{grid-column:1/-1}
.s-footer.a-middle .foot-small{grid-column:auto}
}
`,
};
