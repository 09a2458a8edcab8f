import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  empty: z.string().max(160),
  button: z.string().min(1, "A button needs words.").max(40),
  most: z.number().int().min(1).max(20),
});
export type ReviewsProps = z.infer<typeof props>;

export const definition: Definition<ReviewsProps> = {
  kind: "reviews",
  name: "Reviews",
  about: "What buyers say, with stars, your answers, and a form to write one.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["product"],
  tag: "section",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "line", key: "empty", seldom: true, label: "Said while there is none", most: 160 },
    { type: "line", key: "button", label: "Words for writing one", most: 40 },
    { type: "number", key: "most", label: "How many are open", least: 1, most: 20 },
  ],
  props,
  synonyms: ["testimonials", "ratings", "stars", "voices", "feedback"],
  defaults: {
    heading: "What people say",
    empty: "Nobody has written about it yet. Be the first.",
    button: "Write a review",
    most: 4,
  },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 5, spaceBottom: 5, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  script: "goods",
  later: { data: ["data-state=done", "data-state=failed"] },
  css: `
.s-reviews .in{display:grid;gap:var(--s4) var(--s6)}
.reviews-sum{display:flex;flex-direction:column;gap:var(--s2);align-items:flex-start}
.reviews-average{font-size:var(--t4);font-family:var(--heads);font-weight:var(--heads-weight);line-height:1}
.bars-list{display:grid;gap:.25rem;width:100%;max-width:17rem;font-size:var(--t-1);color:var(--soft)}
.bars-list li{display:grid;grid-template-columns:1rem 1fr 2rem;gap:.6rem;align-items:center}
.bars-list progress{width:100%;height:.6rem;accent-color:var(--rating)}
.review{padding-block:var(--s3);border-bottom:var(--rule) solid var(--line);display:grid;gap:.4rem;max-width:var(--measure)}
.review:first-child{padding-top:0}
.review-head{font-weight:var(--strong)}
.review-by{color:var(--soft);font-size:var(--t-1)}
.review-text{white-space:pre-line}
.review-answer{border-inline-start:3px solid var(--line);padding-inline-start:1rem;margin-top:.4rem}
.review-write{margin-top:var(--s3)}
.review-write:first-child{margin-top:0}
.reviews-more summary,.review-write summary{cursor:pointer;list-style:none;width:max-content}
.reviews-more summary::-webkit-details-marker,.review-write summary::-webkit-details-marker{display:none}
.review-form{display:grid;gap:.9rem;max-width:34rem;padding-top:var(--s3)}
.review-form label{display:grid;gap:.3rem;font-weight:var(--strong);font-size:var(--t-1)}
.review-form .field{font-weight:var(--text-weight);font-size:var(--t0)}
textarea.field{min-height:8rem;resize:vertical}
.stars-in{border:0;padding:0;margin:0;display:flex;gap:.15rem}
.stars-in legend{font-weight:var(--strong);font-size:var(--t-1);padding:0}
.review-form .stars-in label{position:relative;display:block;width:2.5rem;height:2.75rem;cursor:pointer}
.stars-in input{position:absolute;inset:0;z-index:1;opacity:0;width:100%;height:100%;margin:0;cursor:pointer}
.stars-in i{display:block;width:1.9rem;height:1.9rem;margin:.4rem .3rem;background:var(--rating);clip-path:var(--rating-sign)}
.stars-in label:has(:checked)~label i{background:var(--line)}
.stars-in:not(:has(:checked)) i{background:var(--line)}
.stars-in label:has(:focus-visible){outline:2px solid var(--focus);border-radius:4px}
@media (min-width:800px){.s-reviews .in{grid-template-columns:minmax(14rem,1fr) 2fr}}
`,
};
