import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  words: z.array(z.object({ text: z.string().max(80) })).max(12),
  sign: z.string().max(20),
  speed: z.enum(["slow", "usual", "quick"]),
});
export type RunningLineProps = z.infer<typeof props>;

export const definition: Definition<RunningLineProps> = {
  kind: "running-line",
  name: "Running line",
  about: "A few words that move along in one line. Shoppers can stop it.",
  purpose: "Welcome",
  level: "section",
  slots: ["main"],
  traits: ["no-head"],
  tag: "section",
  arrangements: [
    { id: "large", name: "Large, like a headline", style: { all: { headSize: 5 } } },
    { id: "strip", name: "A narrow strip", style: { all: { headSize: 1, spaceTop: 2, spaceBottom: 2 } } },
  ],
  fields: [
    {
      type: "list",
      key: "words",
      label: "Words",
      one: "line",
      most: 12,
      fields: [{ type: "line", key: "text", label: "Words", most: 80 }],
      fresh: { text: "" },
    },
    { type: "sign", key: "sign", label: "Sign between them" },
    {
      type: "choice",
      key: "speed",
      label: "Speed",
      options: [
        ["slow", "Slow"],
        ["usual", "Usual"],
        ["quick", "Quick"],
      ],
    },
  ],
  props,
  synonyms: ["ticker", "marquee", "scrolling text", "announcement", "banner"],
  defaults: {
    words: [{ text: "" }],
    sign: "sun",
    speed: "usual",
  },
  sample: { words: ["New things now and then", "Worth a look", "Come back soon"].map((text) => ({ text })) },
  style: { all: { set: "brand", headSize: 5, width: "full", sides: "none", spaceTop: 4, spaceBottom: 4 } },
  styles: ["spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.s-running-line{overflow:clip}
.line-part{display:flex;align-items:center;gap:var(--runs-gap);--runs-gap:.6em;padding-right:.6em;font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);text-transform:var(--heads-case);font-size:var(--head,var(--t3));line-height:1.3;white-space:nowrap}
.line-part li{display:flex;align-items:center;gap:.6em}
.line-part .sign{width:.7em;height:.7em}
.a-strip .line-part{font-family:var(--text);font-weight:var(--strong);letter-spacing:normal;--runs-gap:1.5em;padding-right:1.5em}
.a-strip .line-part li{gap:1.5em}
@media (prefers-reduced-motion:reduce){.line-part{white-space:normal;padding-inline:var(--gutter)}}
`,
};
