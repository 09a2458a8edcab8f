import { z } from "zod";
import type { Definition } from "../definition";
import { ASK_CSS } from "../parts/ask";

const heading = z.string().min(1, "It needs a heading.").max(120);
const button = z.string().min(1, "It needs words.").max(40);
const text = z.string().max(400);
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading,
  text,
  button,
  registerHeading: heading,
  registerText: text,
  registerButton: button,
  forgottenHeading: heading,
  forgottenText: text,
  passwordHeading: heading,
  sent: z.string().min(1, "It needs words.").max(400),
});
export type SignInProps = z.infer<typeof props>;

export const definition: Definition<SignInProps> = {
  kind: "sign-in",
  name: "Signing in",
  about: "Where shoppers sign in, make an account, or get a new password.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["sign-in"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [
    { id: "beside", name: "With the way to a new account beside it" },
    { id: "plain", name: "By itself" },
    { id: "card", name: "On a card" },
  ],
  fields: [
    { type: "line", key: "heading", label: "Heading to sign in", most: 120 },
    { type: "text", key: "text", label: "Text beneath", most: 400 },
    { type: "line", key: "button", label: "Button to sign in", most: 40 },
    { type: "line", key: "registerHeading", label: "Heading for a new account", most: 120 },
    { type: "text", key: "registerText", label: "What an account is good for", most: 400 },
    { type: "line", key: "registerButton", label: "Button for a new account", most: 40 },
    { type: "text", key: "sent", label: "Said when the letter is on its way", most: 400 },
    { type: "line", key: "forgottenHeading", seldom: true, label: "Heading for a forgotten password", most: 120 },
    { type: "text", key: "forgottenText", seldom: true, label: "Text beneath", most: 400 },
    { type: "line", key: "passwordHeading", seldom: true, label: "Heading for a new password", most: 120 },
  ],
  props,
  synonyms: ["login", "log in", "register", "password", "account"],
  defaults: {
    heading: "Sign in",
    text: "",
    button: "Sign in",
    registerHeading: "Make an account",
    registerText: "Your orders in one place, and your address where you need it. You can buy without one just as well.",
    registerButton: "Send me the link",
    forgottenHeading: "Forgotten your password?",
    forgottenText: "Write your mail address, and we send you a link to choose a new one.",
    passwordHeading: "Choose a password",
    sent: "A letter with a link is on its way. The link is good for an hour.",
  },
  style: { all: { set: "page", width: "content", headSize: 4, spaceTop: 5, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `${ASK_CSS}
.s-sign-in .in{display:grid;gap:var(--s4) var(--s6);grid-template-columns:minmax(0,1fr);justify-items:var(--align-box,start)}
.si-box{display:grid;gap:var(--s3);width:100%;max-width:26rem;grid-template-columns:minmax(0,1fr);text-align:start}
.si-form{display:grid;gap:var(--s3);grid-template-columns:minmax(0,1fr)}
.si-form .button{width:100%}
.si-ways{display:flex;flex-wrap:wrap;gap:.1rem 1.25rem}
.si-ways a{display:inline-flex;align-items:center;min-height:2.75rem}
.si-said{padding:.9rem 1.1rem;border:2px solid var(--danger);border-radius:min(var(--card),.75rem)}
.si-sent{padding:.9rem 1.1rem;background:var(--raised);border-radius:min(var(--card),.75rem)}
.si-sent b{overflow-wrap:anywhere}
.si-new h2{font-size:var(--t2);margin:0}
.a-card .si-box{padding:clamp(1.25rem,4vw,2.25rem);background:var(--page);border:1px solid var(--line);border-radius:var(--card);max-width:28rem}
@media (min-width:800px){.a-beside .in:has(.si-new){grid-template-columns:minmax(0,26rem) minmax(0,26rem);align-items:start;justify-content:var(--align-box,start)}.a-beside .si-new{padding-inline-start:var(--s5);border-inline-start:var(--rule) solid var(--line)}}
`,
};
