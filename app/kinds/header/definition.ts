import { z } from "zod";
import { MAIN_MENU } from "~/core/document";
import type { Definition } from "../definition";
import { CART_SIDE, CART_SIDE_CSS } from "../parts/cart-side";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  /** The menu that it shows, by its id; empty: none. */
  menu: z.string().max(40),
  /** How it is arranged where there is little room. */
  small: z.enum(["behind", "middle", "open"]),
  /** Leads to the account, in a shop that has some. */
  account: z.boolean(),
  /** Where the sign of the cart leads. */
  cart: z.enum(["page", "side"]),
});
export type HeaderProps = z.infer<typeof props>;

export const definition: Definition<HeaderProps> = {
  kind: "header",
  name: "Header",
  about: "Your logo and the way around the shop.",
  purpose: "On every page",
  level: "section",
  isOffered: true,
  slots: ["top"],
  tag: "header",
  arrangements: [
    { id: "left", name: "Logo left, menu right" },
    { id: "middle", name: "Logo in the middle, menu below" },
    { id: "split", name: "Menu left, logo in the middle" },
    { id: "beside", name: "Menu beside the logo" },
    { id: "stack", name: "Menu beneath the logo" },
    { id: "rows", name: "Two rows, the search in the first" },
    { id: "tall", name: "A large logo, the menu beneath" },
    { id: "drawer", name: "Menu behind a button" },
    { id: "over", name: "Over the picture that begins the page", style: { all: { lies: "over" } } },
  ],
  fields: [
    { type: "menu", key: "menu", label: "Menu" },
    {
      type: "choice",
      key: "small",
      label: "On phones",
      options: [
        ["behind", "Logo left, menu behind a button"],
        ["middle", "Logo in the middle"],
        ["open", "Menu in a line to swipe"],
      ],
    },
    { type: "yes", key: "account", label: "Sign that leads to the account" },
    {
      type: "choice",
      key: "cart",
      label: "The cart’s sign",
      options: [
        ["page", "Leads to the cart"],
        ["side", "Shows the cart from the side"],
      ],
    },
  ],
  props,
  migrations: [
    {
      from: 1,
      name: "the menu is a document of its own",
      up: (props) => {
        if (typeof props.menu !== "string") props.menu = MAIN_MENU;
      },
    },
    {
      from: 2,
      name: "a sign for the account comes only where it is asked for",
      up: (props) => {
        props.account ??= false;
      },
    },
    {
      from: 3,
      name: "the sign of the cart leads where it is said",
      up: (props) => {
        props.cart ??= "page";
      },
    },
  ],
  defaults: { menu: MAIN_MENU, small: "behind", account: true, cart: "page" },
  needsScript: ({ cart }) => cart === "side",
  asks: ({ cart }) => (cart === "side" ? ["frame"] : []),
  later: { element: "zest-beside", ...CART_SIDE },
  style: { all: { set: "header", width: "content", sticky: "no", spaceTop: 2, spaceBottom: 2 } },
  styles: ["width", "sticky", "lies", "shrinks", "spaceTop", "spaceBottom", "set"],
  css: `${CART_SIDE_CSS}
.s-header .in{display:flex;align-items:center;justify-content:space-between;gap:var(--s3)}
.s-header .wordmark{font-size:var(--name-size,var(--t1))}
.nav>ul{display:flex;flex-wrap:wrap;gap:.25rem clamp(.9rem,1.8vw,1.9rem)}
.nav a{display:inline-flex;align-items:center;min-height:2.5rem;text-decoration:none}
.nav>ul>li>a,.nav>ul>li>.sub>summary{font-size:var(--nav-size,inherit);font-weight:var(--nav-weight,inherit);font-style:var(--nav-slant,inherit);letter-spacing:var(--nav-tracking,inherit);text-transform:var(--nav-case,inherit);padding-inline:var(--nav-pad,0)}
.nav a:hover{text-decoration:underline;text-decoration-thickness:.1em}
.nav{flex:1;display:flex;justify-content:flex-end}
.s-header{z-index:4}
.sub summary{display:inline-flex;align-items:center;gap:.35em;min-height:2.5rem;cursor:pointer;list-style:none;white-space:nowrap}
.sub summary::-webkit-details-marker{display:none}
.sub-sign{flex:none}
.sub[open] .sub-sign{transform:rotate(180deg)}
.sub-self,.sub-head{font-weight:var(--strong)}
.menu-pic{aspect-ratio:4/3;width:100%;object-fit:cover;border-radius:var(--card)}
.find{display:grid;place-items:center;width:2.75rem;height:2.75rem;flex:none}
.head-signs{display:flex;align-items:center;gap:.4rem;flex:none}
.cart-link{position:relative}
.cart-n{position:absolute;top:.1rem;right:0;min-width:1.2rem;height:1.2rem;padding:0 .25rem;border-radius:9px;background:var(--brand);color:var(--on-brand);font-size:.75rem;font-weight:var(--strong);line-height:1.2rem;text-align:center;font-variant-numeric:tabular-nums}
.cart-n[hidden]{display:none}
.drop{display:none}
.drop>summary{display:flex;align-items:center;gap:.5rem;min-height:2.75rem;padding-inline:.25rem;cursor:pointer;list-style:none;font-weight:var(--strong)}
.drop>summary::-webkit-details-marker{display:none}
.bars{width:1.25rem;height:.8rem;border-block:2px solid currentColor;position:relative}
.bars::after{content:"";position:absolute;inset:auto 0;top:calc(50% - 1px);height:2px;background:currentColor}
.drop[open] .bars{border-color:transparent}
.drop nav>ul{color:var(--ink);position:absolute;z-index:5;left:0;right:0;top:100%;padding:var(--s2) var(--gutter) var(--s4);background:var(--page);border-bottom:var(--rule) solid var(--line);max-height:calc(100svh - 5rem);overflow-y:auto}
.drop li+li{border-top:var(--rule) solid var(--line)}
.drop a,.drop .sub summary,.drop .sub-head{display:flex;align-items:center;min-height:3.1rem;font-size:var(--t1);text-decoration:none}
.drop .sub summary{justify-content:space-between;padding:0;font-weight:inherit}
.drop ul ul{padding:0 0 var(--s2) 1rem}
.drop .sub-list a,.drop .sub-list .sub-head{min-height:2.75rem;font-size:inherit}
.drop .menu-pic{width:3.2rem;aspect-ratio:1;margin-block:.4rem;margin-inline-end:.8rem}
.s-header.a-middle .in,.s-header.a-split .in{flex-wrap:wrap}
.find-field{display:none;align-items:center}
.find-field .field{border-start-end-radius:0;border-end-end-radius:0}
.find-field .button{border-start-start-radius:0;border-end-start-radius:0;white-space:nowrap}
@media (min-width:800px){
.nav li{position:relative}
.nav .sub-list{position:absolute;z-index:6;top:calc(100% + .25rem);inset-inline-start:-1rem;display:grid;gap:0;width:max-content;min-width:12rem;max-width:min(22rem,80vw);max-height:min(80vh,44rem);overflow:auto;padding:.6rem 1rem .8rem;background:var(--page);color:var(--ink);border:var(--rule) solid var(--line)}
.nav>ul>li:nth-last-child(-n+2)>.sub>.sub-list{inset-inline:auto -1rem}
.nav .sub-list li{position:static}
.nav li:has(>.sub>.sub-wide){position:static}
.nav>ul>li>.sub>.sub-wide{top:100%;inset-inline:0;width:auto;max-width:none;grid-template-columns:repeat(auto-fit,minmax(10rem,15rem));gap:var(--s2) var(--s4);align-items:start;padding:var(--s3) var(--gutter) var(--s4);border-inline:0}
.nav .sub-wide .sub-self{grid-column:1/-1}
.nav .sub-wide a:has(.menu-pic){display:grid;gap:.4rem;align-content:start}
.nav .sub-list ul{display:grid;gap:0}
.s-header.a-middle .in{flex-direction:column;gap:var(--s1);position:relative}
.s-header.a-middle .head-signs{position:absolute;right:var(--gutter);top:0;gap:0}
.s-header.a-split .in{display:grid;grid-template-columns:1fr auto 1fr}
.s-header.a-split .head-signs{grid-column:3;grid-row:1;justify-self:end;gap:0}
.s-header.a-split .nav{justify-content:flex-start}
.s-header.a-split .wordmark{grid-column:2;grid-row:1}
.s-header.a-split .nav{grid-column:1;grid-row:1}
.s-header.a-beside .in{justify-content:flex-start;gap:clamp(1.5rem,3vw,3.5rem)}
.s-header.a-beside .nav{justify-content:flex-start}
.s-header.a-beside .head-signs{margin-inline-start:auto}
.s-header.a-stack .in,.s-header.a-rows .in,.s-header.a-tall .in{display:grid;grid-template-columns:1fr auto;gap:var(--s1) .4rem}
.s-header:is(.a-stack,.a-rows) .wordmark{grid-area:1/1}
.s-header.a-stack .head-signs{grid-area:1/2}
.s-header.a-rows .head-signs{grid-area:1/3}
.s-header.a-stack .wordmark{font-size:calc(var(--name-size,var(--t1))*1.25)}
.s-header:is(.a-stack,.a-rows) .nav{grid-column:1/-1;grid-row:2;justify-content:flex-start}
.s-header.a-rows .in{grid-template-columns:auto minmax(12rem,34rem) auto;justify-content:space-between;column-gap:.4rem}
.s-header.a-rows .nav{border-top:var(--rule) solid var(--line);padding-top:.35rem}
.s-header.a-rows .search-link{display:none}
.s-header.a-rows .find-field{display:flex;grid-area:1/2}
.s-header.a-tall .wordmark{grid-column:1/-1;gap:.18em;font-size:clamp(2.6rem,8.4vw,7.5rem);line-height:.95;letter-spacing:-.035em;justify-self:start}
.s-header.a-tall .wordmark .sign{width:.8em;height:.8em}
.s-header.a-tall .nav{justify-content:flex-start}
.s-header.a-drawer .nav{display:none}
.s-header.a-drawer .wordmark{margin-inline-end:auto}
.s-header.a-drawer .drop{display:block;order:2}
.s-header.a-drawer .head-signs{order:1}
.s-header.a-drawer .drop nav>ul{left:var(--drop-left,auto);width:min(28rem,90vw);border-inline-start:var(--rule) solid var(--line)}
}
@media (max-width:799.98px){
.nav{display:none}
.s-header .wordmark{flex:1}
.s-header .wordmark>span{min-width:0;overflow:hidden;text-overflow:ellipsis;white-space:nowrap}
.s-header .wordmark{font-size:clamp(.8125rem,calc((100vw - 11.25rem)/(var(--letter)*var(--letters,12))),var(--name-size,var(--t1)))}
.s-header .in{gap:.25rem}
.s-header .wordmark{min-width:0}
.head-signs{order:1;gap:.25rem}
.s-header .in:not(.small-open) .account-link{display:none}
.drop{display:block;order:2}
.s-header .small-middle{display:grid;grid-template-columns:1fr auto 1fr}
.s-header .small-middle .wordmark{grid-area:1/2;font-size:clamp(.8125rem,calc((100vw - 14.5rem)/(var(--letter)*var(--letters,12))),var(--name-size,var(--t1)))}
.s-header .small-middle .head-signs{grid-area:1/3;justify-self:end;gap:0}
.s-header .small-middle .drop{grid-area:1/1;justify-self:start}
.s-header .small-open{flex-wrap:wrap}
.s-header .small-open .drop{display:none}
.s-header .small-open .nav{display:block;order:3;flex-basis:100%;margin-inline:calc(-1*var(--gutter));padding-inline:var(--gutter);overflow-x:auto;scrollbar-width:none}
.s-header .small-open .nav>ul{flex-wrap:nowrap;gap:1.25rem;width:max-content}
.s-header .small-open .nav :is(a,summary){min-height:2.75rem;white-space:nowrap}
.s-header .small-open .sub-list{position:absolute;z-index:6;inset-inline:0;top:100%;padding:.5rem var(--gutter) 1rem;background:var(--page);color:var(--ink);border-bottom:var(--rule) solid var(--line);max-height:70svh;overflow-y:auto}
.s-header .small-open .menu-pic{width:3.2rem;aspect-ratio:1;margin-inline-end:.8rem}
}
@media (max-width:479.98px){
.drop-word{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.drop>summary{min-width:2.75rem;justify-content:center}
}
.name-16{--letters:16}
.name-20{--letters:20}
.name-26{--letters:26}
.name-34{--letters:34}
.name-60{--letters:60}
`,
};
