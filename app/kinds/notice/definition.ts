import { z } from "zod";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  text: z.string().max(160),
  more: z.string().max(40),
  link: linkSchema,
});
export type NoticeProps = z.infer<typeof props>;

export const definition: Definition<NoticeProps> = {
  kind: "notice",
  name: "Notice strip",
  about: "One line at the very top of every page.",
  purpose: "On every page",
  level: "section",
  slots: ["top"],
  isOffered: true,
  tag: "aside",
  arrangements: [
    { id: "middle", name: "In the middle", style: { all: { align: "center" } } },
    { id: "ends", name: "Words left, link right", style: { all: { align: "start" } } },
  ],
  fields: [
    { type: "line", key: "text", label: "Notice", most: 160 },
    { type: "line", key: "more", label: "Link", most: 40, hint: "Optional" },
    { type: "link", key: "link", label: "Link leads to" },
  ],
  props,
  placeholders: ["text"],
  synonyms: ["announcement", "banner", "bar", "strip", "message"],
  defaults: { text: "Welcome in. Have a look around.", more: "", link: NO_LINK },
  style: { all: { set: "notice", width: "content", spaceTop: 1, spaceBottom: 1 } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set"],
  css: `
.s-notice{font-size:var(--t-1);line-height:1.4}
.s-notice .in{display:flex;flex-wrap:wrap;justify-content:var(--align-box);align-items:center;gap:0 1.25em;text-align:var(--align);min-height:1.75rem}
.s-notice .more{color:inherit;padding-block:.15rem}
.a-ends .in{justify-content:space-between}
`,
};
