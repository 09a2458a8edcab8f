import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  text: z.string().max(300),
  button: z.string().min(1, "The button needs words.").max(30),
  note: z.string().max(200),
});
export type SignUpProps = z.infer<typeof props>;

export const definition: Definition<SignUpProps> = {
  kind: "sign-up",
  name: "Sign-up",
  about: "Shoppers leave their mail address and hear from you.",
  purpose: "Keep in touch",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "band", name: "In a row" },
    { id: "stack", name: "One below the other", style: { all: { align: "center", width: "narrow" } } },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 300 },
    { type: "line", key: "button", label: "Button", most: 30 },
    { type: "line", key: "note", label: "Small print", most: 200 },
  ],
  props,
  placeholders: ["text"],
  synonyms: ["newsletter", "mail", "email", "mailing list", "subscribe", "contact"],
  defaults: {
    heading: "Hear from us now and then",
    text: "",
    button: "Sign up",
    note: "",
  },
  style: { all: { set: "tint", width: "content", headSize: 3, spaceTop: 5, spaceBottom: 5, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  later: { data: ["data-state=done", "data-state=failed"] },
  css: `
.s-sign-up .in{display:grid;gap:var(--s3)}
.su-words{display:flex;flex-direction:column;gap:var(--s2);text-align:var(--align,start);align-items:var(--align-box,flex-start)}
.su-form{width:100%;max-width:30rem;margin-inline:0}
.su-form label{display:block;margin-bottom:.35rem;font-size:var(--t-1);font-weight:var(--strong)}
.su-row{display:flex;flex-wrap:wrap;gap:.6rem}
.su-row .field{flex:1 1 13rem;width:auto;min-width:0}
.su-row .button{flex:0 1 auto}
.su-note{margin-top:.6rem;font-size:var(--t-1);color:var(--soft)}
.a-stack .in{justify-items:var(--align)}
@media (min-width:800px){.a-band .in{grid-template-columns:1.2fr 1fr;gap:var(--s5);align-items:center}.a-band .su-form{justify-self:end}}
`,
};
