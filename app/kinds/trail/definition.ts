import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({});
export type TrailProps = z.infer<typeof props>;

export const definition: Definition<TrailProps> = {
  kind: "trail",
  name: "Where you are",
  about: "The way from the start of the shop to this page.",
  purpose: "Sell a product",
  level: "widget",
  slots: WIDGET_SLOTS,
  only: ["product", "collection"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [],
  props,
  synonyms: ["breadcrumbs", "path", "navigation"],
  defaults: {},
  style: {},
  styles: ["align"],
  css: `.w-trail .crumbs{margin:0}`,
};
