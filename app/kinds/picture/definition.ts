import { z } from "zod";
import { linkSchema, NO_LINK, viewSchema } from "~/core/schema";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
  caption: z.string().max(200),
  link: linkSchema,
});
export type PictureProps = z.infer<typeof props>;

export const definition: Definition<PictureProps> = {
  kind: "picture",
  name: "Picture",
  about: "One picture, cropped to any shape around what must stay in view.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["picture", "small"],
  tag: "figure",
  arrangements: [{ id: "plain", name: "Plain" }],
  binds: { key: "picture", as: "picture" },
  fields: [
    { type: "picture", key: "picture", label: "Picture", views: true },
    { type: "line", key: "caption", label: "Caption", most: 200, hint: "Optional" },
    { type: "link", key: "link", label: "Leads to" },
  ],
  props,
  synonyms: ["image", "photo", "banner", "video still"],
  defaults: { picture: null, caption: "", link: NO_LINK },
  style: { all: { shape: "4/3", round: "card", drift: "none" } },
  styles: ["shape", "round", "drift", "align"],
  css: `
.w-picture{margin:0;text-align:var(--align,inherit)}
.w-picture .pic{aspect-ratio:var(--shape);border-radius:var(--round)}
.w-picture figcaption{padding-top:.5rem;font-size:var(--t-1);color:var(--soft)}
.w-picture a{display:block}
.w-group>.w-picture{flex:1 1 8rem}
`,
};
