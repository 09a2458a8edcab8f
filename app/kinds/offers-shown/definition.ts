import { z } from "zod";
import type { Definition } from "../definition";

const words = z.string().max(120);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: words,
  text: z.string().max(400),
  chosen: z.array(z.object({ offer: z.string().max(40).nullable(), words })).max(12),
  take: z.string().max(40),
  from: z.string().max(60),
  ends: z.string().max(60),
});
export type OffersShownProps = z.infer<typeof props>;

export const definition: Definition<OffersShownProps> = {
  kind: "offers-shown",
  name: "Offers",
  about: "What there is to be had just now, with codes that are taken by one press.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "cards", name: "Cards, side by side" },
    { id: "rows", name: "One below the other, with rules between" },
    { id: "slips", name: "Slips to tear off" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "chosen",
      label: "Chosen offers (none: all without a code)",
      one: "offer",
      most: 12,
      fields: [
        { type: "offer", key: "offer", label: "Offer", none: "Choose one" },
        { type: "line", key: "words", label: "A few words on it", most: 120 },
      ],
      fresh: { offer: null, words: "" },
    },
    { type: "line", key: "take", label: "Button beside a code", most: 40 },
    { type: "line", key: "from", label: "Words before the worth from which one holds", most: 60, seldom: true },
    { type: "line", key: "ends", label: "Words before the day on which one ends", most: 60, seldom: true },
  ],
  props,
  synonyms: ["coupon", "coupons", "voucher", "discount", "deals", "sale", "promotion", "code", "special"],
  defaults: { heading: "To be had just now", text: "", chosen: [], take: "Take the code", from: "From", ends: "Until" },
  style: { all: { width: "content", spaceTop: 5, spaceBottom: 5 } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "gap", "hidden", "set"],
  script: "goods",
  byDay: true,
  later: { data: ["data-state=done", "data-state=failed"] },
  css: `
.s-offers-shown .head{margin-bottom:.4em}
.slips{display:grid;gap:var(--s3);margin:var(--s3) 0 0;padding:0;list-style:none;grid-template-columns:repeat(auto-fit,minmax(min(100%,16rem),1fr))}
.slip{display:grid;gap:.35rem;align-content:start;padding:var(--s3);background:var(--raised);color:var(--ink);border:var(--card-edge) solid var(--line);border-radius:var(--card);text-align:start}
.slip-gives{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:var(--t3);line-height:1.1}
.slip-name{font-weight:var(--strong)}
.slip-more{color:var(--soft);font-size:var(--t-1)}
.slip form{display:flex;flex-wrap:wrap;gap:.5rem .75rem;align-items:center;margin-top:.5rem}
.slip-code{padding:.3rem .7rem;border:max(1px,var(--rule)) dashed currentColor;border-radius:.25rem;font-weight:var(--strong);letter-spacing:.06em;overflow-wrap:anywhere}
.a-rows .slips{grid-template-columns:minmax(0,1fr);gap:0}
.a-rows .slip{background:none;color:inherit;border:0;border-top:max(1px,var(--rule)) solid var(--line);border-radius:0;padding-inline:0}
.a-slips .slip{border:0;border-radius:0;padding-inline:calc(var(--s3) + .75rem);mask:radial-gradient(circle .5rem at 0 50%,#0000 98%,#000) 0 0/51% 1.5rem repeat-y,radial-gradient(circle .5rem at 100% 50%,#0000 98%,#000) 100% 0/51% 1.5rem repeat-y}
`,
};
