import { z } from "zod";
import { mapSchema } from "~/core/map";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";
import { SAMPLE_MAP } from "./sample";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  map: mapSchema.nullable(),
  label: z.string().max(40),
});
export type MapProps = z.infer<typeof props>;

export const definition: Definition<MapProps> = {
  kind: "map",
  name: "Map",
  about: "Where your shop or workshop is, in the colours of your theme. Nothing is loaded from elsewhere.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  tag: "div",
  arrangements: [
    { id: "alone", name: "The map alone" },
    { id: "beside", name: "Address and hours beside it" },
    { id: "below", name: "Address and hours below it" },
  ],
  fields: [
    { type: "map", key: "map", label: "Place" },
    { type: "line", key: "label", seldom: true, label: "Name on the map", most: 40, hint: "Else that of the place" },
  ],
  props,
  synonyms: ["place", "location", "where", "directions", "address", "opening hours"],
  defaults: { map: null, label: "" },
  sample: { map: SAMPLE_MAP },
  // On a phone the names are large enough to be read when the map is higher than wide.
  style: { all: { shape: "4/3", round: "card" }, phone: { shape: "4/5" } },
  styles: ["shape", "round"],
  script: "goods",
  css: `
.w-map.a-beside{container-type:inline-size}
.map-and{display:grid;gap:var(--s3)}
@container (min-width:36rem){.a-beside .map-and{grid-template-columns:1.6fr 1fr;align-items:center;gap:var(--s4)}}
.map{position:relative;overflow:hidden;aspect-ratio:var(--shape);border-radius:var(--round);background:color-mix(in oklab,color-mix(in oklab,var(--brand) 22%,#5f97bd) 30%,var(--page));color:var(--ink)}
.map svg{display:block;width:100%;height:100%}
.map-land{fill:var(--raised);stroke:color-mix(in oklab,var(--ink) 30%,transparent);vector-effect:non-scaling-stroke}
.map-border{fill:none;stroke:color-mix(in oklab,var(--ink) 42%,transparent);stroke-width:1.25;stroke-dasharray:5 4;vector-effect:non-scaling-stroke}
.map text{font-family:var(--text);fill:var(--ink);paint-order:stroke;stroke:var(--raised);stroke-width:7;stroke-linejoin:round}
.map-town text{font-size:26px}
.map-town circle{fill:var(--ink)}
.map .map-name{font-family:var(--heads);font-weight:var(--heads-weight);font-size:36px;text-anchor:middle}
.map-pin{fill:var(--brand-edge);stroke:var(--raised);stroke-width:5}
.map-pin+circle{fill:var(--raised)}
.map-from{position:absolute;right:.5rem;bottom:.35rem;padding:.1rem .4rem;border-radius:.25rem;background:var(--page);color:var(--soft);font-size:.75rem;line-height:1.3}
@media (max-width:799px){.map-town.is-outer{display:none}}
.map-go{display:inline-flex;align-items:center;min-height:2.75rem;color:var(--link-ink);text-decoration:var(--link-line)}
@media (hover:hover) and (pointer:fine){.map-go{display:none}}
`,
};
