import { z } from "zod";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  logos: z
    .array(z.object({ picture: z.string().max(40).nullable(), name: z.string().max(80), link: linkSchema }))
    .max(30),
  plain: z.boolean(),
});
export type LogoRowProps = z.infer<typeof props>;

export const definition: Definition<LogoRowProps> = {
  kind: "logo-row",
  name: "Logos",
  about: "Whose things you sell, who writes about you, who you belong to. All as large as each other to the eye.",
  purpose: "Show pictures",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "row", name: "In rows" },
    { id: "running", name: "In a line that moves" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120, hint: "Optional" },
    {
      type: "list",
      key: "logos",
      label: "Logos",
      one: "logo",
      most: 30,
      fields: [
        { type: "picture", key: "picture", label: "Logo" },
        { type: "line", key: "name", label: "Whose it is", most: 80, hint: "Shown where there is no picture" },
        { type: "link", key: "link", label: "Leads to" },
      ],
      fresh: { picture: null, name: "", link: NO_LINK },
    },
    { type: "yes", key: "plain", label: "Without colours" },
  ],
  props,
  synonyms: ["brands", "press", "partners", "suppliers", "as seen in", "makers", "clients", "trust"],
  defaults: { heading: "", logos: [], plain: true },
  sample: {
    logos: ["First maker", "Second maker", "A magazine", "A guild"].map((name) => ({
      picture: null,
      name,
      link: NO_LINK,
    })),
  },
  style: { all: { set: "page", width: "content", headSize: 2, spaceTop: 5, spaceBottom: 5, align: "center" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.s-logo-row .in>.head{margin-bottom:var(--s4);text-align:var(--align)}
.logos{display:flex;flex-wrap:wrap;justify-content:var(--align-box,center);align-items:center;gap:var(--s4) clamp(1.75rem,5vw,4.5rem)}
.logo a{display:block;color:inherit;text-decoration:none}
.logo img{width:auto;height:3.25rem;max-width:11rem;object-fit:contain}
.logos-plain .logo img{filter:grayscale(1)}
.logos-plain a:hover img{filter:none}
.logo-name{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-size:var(--t1);color:var(--soft);white-space:nowrap}
.runs-part.logos{flex-wrap:nowrap;--runs-gap:clamp(2rem,6vw,5rem)}
`,
};
