import { z } from "zod";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().min(1, "It needs a heading.").max(120),
  text: z.string().max(400),
  button: z.string().min(1, "It needs words.").max(40),
});
export type GiftCardBalanceProps = z.infer<typeof props>;

export const definition: Definition<GiftCardBalanceProps> = {
  kind: "gift-card-balance",
  name: "What is left on a gift card",
  about: "A field for the code of a card, and what is left on it.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["gift-card"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [
    { id: "plain", name: "Plain" },
    { id: "card", name: "On a card" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 400 },
    { type: "line", key: "button", label: "Button", most: 40 },
  ],
  props,
  synonyms: ["gift card", "voucher", "balance", "credit"],
  defaults: {
    heading: "What is left on your gift card",
    text: "The code is in the letter or on the card that you were given.",
    button: "Show it",
  },
  style: { all: { set: "page", width: "content", headSize: 4, spaceTop: 5, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `${ASK_CSS}
.s-gift-card-balance .in{display:grid;grid-template-columns:minmax(0,1fr);justify-items:var(--align-box,start)}
.gb{display:grid;gap:var(--s3);width:100%;max-width:28rem;grid-template-columns:minmax(0,1fr);text-align:start}
.gb-form{display:grid;gap:var(--s2);grid-template-columns:minmax(0,1fr)}
.gb-form .button{justify-self:start}
.gb-card{display:grid;gap:.35rem;padding:clamp(1.25rem,4vw,2rem);border-radius:var(--card);background:var(--brand);color:var(--on-brand)}
.gb-left{font-size:var(--t4);font-weight:var(--strong);line-height:1.1;font-variant-numeric:tabular-nums}
.gb-uses{list-style:none;margin:0;padding:0}
.gb-uses li{display:flex;gap:1rem;justify-content:space-between;padding-block:.6rem;border-top:var(--rule) solid var(--line)}
.gb-uses time{color:var(--soft);font-size:var(--t-1)}
.a-card .gb{padding:clamp(1.25rem,4vw,2.25rem);background:var(--page);border:1px solid var(--line);border-radius:var(--card);max-width:30rem}
`,
};
