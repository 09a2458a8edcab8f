import { z } from "zod";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  label: z.string().max(40),
  link: linkSchema,
  look: z.enum(["first", "second", "quiet", "link"]),
});
export type ButtonProps = z.infer<typeof props>;

export const definition: Definition<ButtonProps> = {
  kind: "button",
  name: "Button",
  about: "The one thing to do next.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  brandPart: {
    by: "look",
    parts: { first: "button.primary", second: "button.secondary", quiet: "button.quiet", link: "link" },
  },
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  binds: { key: "link", as: "link" },
  fields: [
    { type: "line", key: "label", label: "Words", most: 40 },
    { type: "link", key: "link", label: "Leads to" },
    {
      type: "choice",
      key: "look",
      label: "Drawn as",
      options: [
        ["first", "Primary button"],
        ["second", "Second button"],
        ["quiet", "Quiet button"],
        ["link", "Link"],
      ],
    },
  ],
  props,
  synonyms: ["link", "call to action", "cta"],
  defaults: { label: "Have a look", link: NO_LINK, look: "first" },
  style: {},
  styles: ["align", "size"],
  css: `
.w-button{display:flex;justify-content:var(--align-box,flex-start)}
.w-button .button{font-size:inherit}
`,
};
