import { z } from "zod";
import type { Definition } from "../definition";

const percent = z.number().min(0).max(100);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  picture: z.string().max(40).nullable(),
  points: z.array(z.object({ product: z.string().max(40).nullable(), x: percent, y: percent })).max(10),
});
export type LookPointsProps = z.infer<typeof props>;

export const definition: Definition<LookPointsProps> = {
  kind: "look-points",
  name: "Look with points",
  about: "A picture with points on it: each shows one of your products, with its price and a way into the cart.",
  purpose: "Show goods",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "alone", name: "Points alone" },
    { id: "listed", name: "The goods beside it" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120, hint: "Optional" },
    { type: "picture", key: "picture", label: "Picture" },
    {
      type: "list",
      key: "points",
      label: "Points",
      one: "point",
      most: 10,
      begins: { with: "product", most: 1 },
      fields: [
        { type: "product", key: "product", label: "Product" },
        { type: "number", key: "x", label: "From the left, %", least: 0, most: 100 },
        { type: "number", key: "y", label: "From the top, %", least: 0, most: 100 },
      ],
      fresh: { product: null, x: 50, y: 50 },
    },
  ],
  props,
  synonyms: ["hotspots", "shop the look", "tagged picture", "lookbook", "pins", "interactive image"],
  defaults: { heading: "", picture: null, points: [] },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  // Where points stand is a part's own; pages allow no style in an element.
  rules: ({ points }) => points.map(({ x, y }, i) => [`.spot-${i + 1}`, `left:${x}%;top:${y}%`]),
  css: `
.s-look-points .in>.head{margin-bottom:var(--s4);text-align:var(--align)}
.look{position:relative}
.look>.pic{border-radius:var(--card)}
.look>.pic img{height:auto}
.look.is-tall{max-width:38rem;margin-inline:auto}
.s-look-points .pic-none{aspect-ratio:16/9}
.spot{position:absolute;margin:-1.375rem 0 0 -1.375rem}
.spot>summary{display:grid;place-items:center;width:2.75rem;height:2.75rem;cursor:pointer;list-style:none}
.spot>summary::-webkit-details-marker{display:none}
.spot-n{display:grid;place-items:center;width:1.75rem;height:1.75rem;border-radius:50%;background:var(--page);color:var(--ink);font-size:var(--t-1);font-weight:var(--strong);line-height:1;box-shadow:0 0 0 .3rem rgb(255 255 255/.45),0 2px 10px rgb(10 16 20/.4);transition:scale .15s}
.spot>summary:hover .spot-n{scale:1.12}
.spot[open]{z-index:3}
.spot[open] .spot-n{background:var(--ink);color:var(--page)}
.spot-card{position:absolute;top:calc(100% + .25rem);left:50%;width:15rem;margin-left:-7.5rem;display:flex;flex-direction:column;gap:.5rem;padding:.85rem;background:var(--page);color:var(--ink);border-radius:min(var(--card),1rem);box-shadow:0 14px 44px -12px rgb(10 16 20/.5)}
.spot-left .spot-card{left:0;margin-left:0}
.spot-right .spot-card{left:auto;right:0;margin-left:0}
.spot-low .spot-card{top:auto;bottom:calc(100% + .25rem)}
.spot-card a{font-weight:var(--strong)}
.spot-card .button{width:100%}
.look-goods{display:grid;gap:var(--s3);align-content:start}
.look-goods li{display:grid;grid-template-columns:auto 5rem minmax(0,1fr);gap:.9rem;align-items:center}
.look-goods li>:last-child{display:grid;gap:.15rem}
.look-goods .pic{aspect-ratio:1;border-radius:calc(var(--card)/2)}
.look-goods .spot-n{background:var(--raised);box-shadow:none}
.look-goods a{font-weight:var(--strong)}
@media (min-width:800px){.a-listed .look-in{display:grid;grid-template-columns:minmax(0,1.7fr) minmax(0,1fr);gap:var(--s5);align-items:center}}
@media (max-width:799.98px){.look-goods{margin-top:var(--s4)}}
@media (max-width:599.98px){.spot[open] .spot-card{position:fixed;inset:auto 0 0;width:auto;margin:0;padding:1.1rem var(--gutter) 1.4rem;border-radius:1rem 1rem 0 0}}
`,
};
