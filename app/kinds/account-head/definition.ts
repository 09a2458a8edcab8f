import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({
  heading: z.string().min(1, "It needs a heading.").max(120),
  text: z.string().max(400),
  out: z.string().min(1, "It needs words.").max(40),
});
export type AccountHeadProps = z.infer<typeof props>;

export const definition: Definition<AccountHeadProps> = {
  kind: "account-head",
  name: "Head of an account",
  about: "Its heading, who is signed in, and the way out.",
  purpose: "Sell a product",
  level: "section",
  slots: ["main"],
  only: ["account"],
  traits: ["names-page"],
  tag: "section",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    { type: "line", key: "heading", label: "Heading", most: 120 },
    { type: "text", key: "text", label: "Text", most: 400 },
    { type: "line", key: "out", label: "Button to sign out", most: 40 },
  ],
  props,
  synonyms: ["account", "profile", "sign out", "log out"],
  defaults: { heading: "Your account", text: "", out: "Sign out" },
  style: { all: { set: "page", width: "content", headSize: 5, spaceTop: 5, spaceBottom: 2, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.s-account-head .in{display:flex;flex-direction:column;gap:var(--s2);align-items:var(--align-box,flex-start);text-align:var(--align,start)}
.ac-who{display:flex;flex-wrap:wrap;gap:.35rem 1rem;align-items:center;overflow-wrap:anywhere}
.ac-out{border:0;background:none;padding:.4rem 0;min-height:2.75rem;text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.ac-all{padding:.9rem 1.1rem;background:var(--raised);border-radius:min(var(--card),.75rem)}
`,
};
