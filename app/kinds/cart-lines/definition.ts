import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  facts: z.number().int().min(0).max(4),
  remove: z.string().min(1, "A button needs words.").max(30),
});
export type CartLinesProps = z.infer<typeof props>;

export const definition: Definition<CartLinesProps> = {
  kind: "cart-lines",
  name: "What is in the cart",
  about: "Each thing with its picture, what was chosen, how many, and what it costs with the reason of a discount.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["cart"],
  tells: "The cart",
  tag: "div",
  arrangements: [
    { id: "rows", name: "Rows with pictures" },
    { id: "cards", name: "Cards with large pictures" },
    { id: "close", name: "Close rows without pictures" },
  ],
  fields: [
    { type: "number", key: "facts", label: "Facts of each", least: 0, most: 4 },
    { type: "line", key: "remove", seldom: true, label: "Button that takes it out", most: 30 },
  ],
  props,
  synonyms: ["basket", "bag", "items", "quantity", "lines"],
  defaults: { facts: 0, remove: "Remove" },
  style: {},
  styles: ["wide"],
  script: "goods",
  later: {
    tags: ["b", "ins", "del"],
    classes: ["cart-off", "cart-given", "cart-choice", "message"],
    data: ["data-state=care", "data-state=failed", "data-state=done"],
  },
  css: `
.cart{container-type:inline-size}
.cart-line{display:grid;grid-template:"pic words price" auto "pic count remove" 1fr/5.5rem minmax(0,1fr) auto;gap:.3rem var(--s3);padding-block:var(--s3);border-bottom:var(--rule) solid var(--line);align-items:start}
.w-cart-lines:not(.a-cards) .cart-line:first-child{padding-top:0}
.w-cart-lines:not(.a-close) .cart-line>.pic{grid-area:pic;aspect-ratio:1;border-radius:calc(var(--card)/2)}
.cart-line>.price{grid-area:price;align-self:start;font-weight:var(--strong)}
.cart-words{grid-area:words;display:grid;gap:.15rem;justify-items:start}
.cart-words>a{font-weight:var(--strong);text-decoration:none;line-height:1.3;min-height:1.5rem;overflow-wrap:anywhere}
.cart-words>a:hover{text-decoration:underline}
.cart-choice{color:var(--soft);font-size:var(--t-1)}
.cart-off{color:var(--accent-ink);font-size:var(--t-1)}
.cart-off b{font-weight:inherit;white-space:nowrap}
.cart-count{grid-area:count;justify-self:start;align-self:end;position:relative;display:inline-flex;align-items:stretch;min-height:2.5rem;border:1px solid var(--field-line);border-radius:var(--field-corners);overflow:hidden}
.cart-count input{width:2.6rem;border:0;background:none;text-align:center;font-variant-numeric:tabular-nums;appearance:textfield;-moz-appearance:textfield;border-radius:0}
.cart-count input::-webkit-inner-spin-button{appearance:none;margin:0}
.cart-step{width:2.5rem;border:0;background:none;cursor:pointer;font-size:1.15em;line-height:1}
.cart-step:hover{background:var(--raised)}
.cart-step:disabled{color:var(--soft);cursor:default}
.cart-count:focus-within{outline:2px solid var(--focus);outline-offset:2px}
.cart-count :focus-visible{outline-offset:-3px}
.cart-given{grid-area:count;align-self:end;color:var(--soft)}
.cart-remove{grid-area:remove;align-self:end;justify-self:end}
.cart-remove button{border:0;background:none;padding:.4rem 0;min-height:2.5rem;color:var(--soft);font-size:var(--t-1);text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.cart-remove button:hover{color:var(--ink)}
zest-cart[aria-busy=true]>.cart{opacity:.6;transition:opacity .2s .15s}
.a-close .cart-line{grid-template:"words price" auto "count remove" 1fr/minmax(0,1fr) auto;padding-block:var(--s2)}
.a-cards .cart{display:grid;gap:var(--s3)}
.a-cards .cart-line{grid-template-columns:8rem minmax(0,1fr) auto;padding:var(--s2);border:1px solid var(--line);border-radius:var(--card);background:var(--raised)}
@container (max-width:21.5rem){.cart-line,.a-cards .cart-line{grid-template-columns:4.5rem minmax(0,1fr) auto;column-gap:var(--s2)}.a-close .cart-line{grid-template-columns:minmax(0,1fr) auto}.cart-step{width:2.1rem}.cart-count input{width:2.1rem}}
@container (min-width:38rem){
.cart-line,.a-cards .cart-line{grid-template:"pic words count price" auto "pic words remove remove" 1fr/6.5rem minmax(0,1fr) auto minmax(5.5rem,auto);column-gap:var(--s4)}
.a-cards .cart-line{grid-template-columns:9.5rem minmax(0,1fr) auto minmax(5.5rem,auto)}
.a-close .cart-line{grid-template:"words count price remove"/minmax(0,1fr) auto minmax(5.5rem,auto) auto;column-gap:var(--s3)}
.cart-count{align-self:start}
.a-close .cart-remove{align-self:start}
.cart-line>.price{min-height:2.5rem;align-items:center;justify-self:end}
}
@container (max-width:37.99rem){.cart-line>.price{flex-flow:column;align-items:flex-end;text-align:end}.cart-line>.price del{font-weight:400}}
`,
};
