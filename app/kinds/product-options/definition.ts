import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ none: z.string().max(60) });
export type ProductOptionsProps = z.infer<typeof props>;

export const definition: Definition<ProductOptionsProps> = {
  kind: "product-options",
  name: "Choice of variant",
  about: "Colours as swatches or pictures, sizes as buttons, long lists as lists.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [{ type: "line", key: "none", label: "Words for what there is not", most: 60 }],
  props,
  synonyms: ["variants", "swatches", "colours", "sizes"],
  defaults: { none: "Not in this combination" },
  style: {},
  styles: [],
  script: "goods",
  later: { data: ["data-state=free", "data-state=unavailable", "data-state=none"] },
  css: `
.picks{display:flex;flex-direction:column;gap:var(--s2)}
.pick{border:0;margin:0;padding:0;min-width:0}
.pick legend,.pick-name{padding:0;margin-bottom:.5rem;font-weight:var(--strong)}
.pick legend span{font-weight:var(--text-weight)}
.pick-row{display:flex;flex-wrap:wrap;gap:.5rem}
.opt{position:relative;display:inline-flex;cursor:pointer}
.opt input{position:absolute;z-index:1;inset:0;opacity:0;width:100%;height:100%;margin:0;cursor:pointer}
.opt-face{display:inline-grid;place-items:center;min-width:3rem;min-height:2.75rem;padding:.4rem .9rem;border:1px solid var(--field-line);border-radius:var(--field-corners);background:var(--field);transition:border-color .15s}
.opt input:checked+.opt-face{border-color:var(--ink);box-shadow:inset 0 0 0 1px var(--ink)}
.opt input:focus-visible+.opt-face{outline:2px solid var(--focus);outline-offset:2px}
.opt:hover .opt-face{border-color:var(--ink)}
.opt[data-state=unavailable] .opt-face{color:var(--soft);background:linear-gradient(to top right,transparent calc(50% - .5px),var(--field-line) calc(50% - .5px) calc(50% + .5px),transparent calc(50% + .5px)),var(--field)}
.opt[data-state=none] .opt-face{color:var(--soft);border-style:dashed}
.opt-swatch .opt-face{padding:.25rem;min-width:2.75rem;border-radius:min(var(--control),50%);width:2.75rem;height:2.75rem}
.opt-swatch svg{width:100%;height:100%;border-radius:min(var(--control),50%)}
.opt-swatch[data-state=none] svg{opacity:.4}
.opt-swatch[data-state=unavailable] .opt-face{background:var(--field)}
.opt-swatch[data-state=unavailable] .opt-face::after{content:"";position:absolute;inset:calc(50% - 1px) 0 auto;height:2px;background:var(--page);box-shadow:0 0 0 .5px var(--ink);rotate:-45deg}
.opt-picture .opt-face{padding:.2rem;width:4rem;border-radius:calc(var(--card)/2 + .2rem)}
.opt-picture .pic{width:100%;aspect-ratio:4/5;border-radius:calc(var(--card)/2)}
.opt-picture[data-state=unavailable] .pic,.opt-picture[data-state=none] .pic{opacity:.45}
.pick select{max-width:24rem}
`,
};
