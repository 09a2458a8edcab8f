import { z } from "zod";
import { viewSchema } from "~/core/schema";
import type { Definition } from "../definition";
import { MAIL_FORM_CSS, MAIL_FORM_FIELDS } from "../parts/mail-form";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(120),
  text: z.string().max(300),
  button: z.string().min(1, "The button needs words.").max(30),
  note: z.string().max(200),
  list: z.string().trim().max(60),
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
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
    { id: "picture", name: "Beside a picture" },
    { id: "card", name: "A card, raised from its ground", style: { all: { align: "center", width: "narrow" } } },
    { id: "line", name: "Large, with a line to write on", style: { all: { set: "page", headSize: 4 } } },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 300 },
    ...MAIL_FORM_FIELDS,
    { type: "picture", key: "picture", label: "Picture, where it stands beside one", views: true },
  ],
  props,
  placeholders: ["text"],
  synonyms: ["newsletter", "mail", "email", "mailing list", "subscribe", "contact"],
  defaults: {
    heading: "Hear from us now and then",
    text: "",
    button: "Sign up",
    note: "",
    list: "",
    picture: null,
  },
  migrations: [
    {
      from: 1,
      name: "a picture can stand beside it",
      up: (props) => {
        props.picture ??= null;
      },
    },
    {
      from: 2,
      name: "it names the list that people get onto",
      up: (props) => {
        props.list ??= "";
      },
    },
  ],
  style: { all: { set: "tint", width: "content", headSize: 3, spaceTop: 5, spaceBottom: 5, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  later: { data: ["data-state=done", "data-state=failed"] },
  css: `
.s-sign-up .in{display:grid;gap:var(--s3)}
.su-words{display:flex;flex-direction:column;gap:var(--s2);text-align:var(--align,start);align-items:var(--align-box,flex-start)}
${MAIL_FORM_CSS}
.s-sign-up.a-stack .in{justify-items:var(--align)}
.s-sign-up.a-picture .in{gap:var(--s3) var(--s5)}
.s-sign-up.a-picture .pic{aspect-ratio:4/3;border-radius:var(--card)}
.s-sign-up.a-card .in{justify-items:var(--align-box,center)}
.su-card{display:grid;gap:var(--s3);justify-items:var(--align-box,center);width:100%;background:var(--page);border:max(1px,var(--card-edge)) solid var(--line);border-radius:var(--card);box-shadow:0 18px 44px -22px rgb(10 16 20/.4);padding:clamp(1.6rem,5vw,3rem)}
.s-sign-up.a-line .su-form{max-width:none}
.s-sign-up.a-line .field{border-width:0 0 2px;border-color:var(--ink);border-radius:0;background:none;padding-inline:0;font-size:var(--t2);min-height:3.6rem}
.s-sign-up.a-line .su-row{align-items:flex-end;gap:1rem}
@media (min-width:800px){.s-sign-up.a-picture .in{grid-template-columns:1fr 1fr;align-items:center}.s-sign-up.a-picture .pic{grid-column:2;grid-row:1/span 2;align-self:stretch;aspect-ratio:auto;min-height:22rem}.s-sign-up.a-picture .su-words{align-self:end}.s-sign-up.a-picture zest-sign-up{align-self:start}}
@media (min-width:800px){.s-sign-up.a-band .in{grid-template-columns:1.2fr 1fr;gap:var(--s5);align-items:center}.s-sign-up.a-band .su-form{justify-self:end}}
`,
};
