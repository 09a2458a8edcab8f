import { z } from "zod";
import { entryOf, markOf } from "~/core/document";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";
import { COUNT_CSS } from "../parts/count";

const MOST = 6;
const message = z.object({
  sign: z.string().max(20),
  text: z.string().max(160),
  until: z.union([z.literal(""), z.iso.datetime({ local: true, precision: -1, error: "Choose a date and a time." })]),
  more: z.string().max(40),
  link: linkSchema,
});
const props = z.object({
  arrangement: z.string().max(40).optional(),
  messages: z.array(message).max(MOST),
  /** After how many seconds they take turns; "0": by the shopper's hand alone. */
  seconds: z.enum(["0", "5", "8", "12"]),
  closes: z.boolean(),
});
export type NoticeProps = z.infer<typeof props>;

const FRESH = { sign: "", text: "", until: "", more: "", link: NO_LINK };

export const definition: Definition<NoticeProps> = {
  kind: "notice",
  name: "Notice strip",
  about: "One line at the very top of every page. Several messages take turns.",
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
    {
      type: "list",
      key: "messages",
      label: "Messages",
      one: "message",
      most: MOST,
      fields: [
        { type: "text", key: "text", label: "Notice", most: 160 },
        { type: "line", key: "more", label: "Link", most: 40, hint: "Optional" },
        { type: "link", key: "link", label: "Link leads to" },
        { type: "moment", key: "until", label: "Counts down to", hint: "Gone by itself when it is over. Optional" },
        { type: "sign", key: "sign", label: "Sign before it", none: true },
      ],
      fresh: FRESH,
    },
    {
      type: "choice",
      key: "seconds",
      label: "Several take turns",
      options: [
        ["5", "Every 5 seconds"],
        ["8", "Every 8 seconds"],
        ["12", "Every 12 seconds"],
        ["0", "When shoppers press"],
      ],
    },
    { type: "yes", key: "closes", label: "Shoppers can close it" },
  ],
  props,
  synonyms: ["announcement", "banner", "bar", "strip", "message", "rotating", "countdown"],
  defaults: { messages: [{ ...FRESH, text: "Welcome in. Have a look around." }], seconds: "8", closes: false },
  migrations: [
    {
      from: 1,
      name: "several messages take turns",
      up: (props) => {
        const [text = "", more = "", link = NO_LINK] = ["text", "more", "link"].map((key) => entryOf(props, key));
        delete props.text;
        delete props.more;
        delete props.link;
        props.messages = [{ sign: "", text, until: "", more, link }];
        props.seconds = "8";
        props.closes = false;
      },
    },
  ],
  style: { all: { set: "notice", width: "content", spaceTop: 1, spaceBottom: 1 } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set"],
  needsScript: ({ messages, closes }) => closes || messages.length > 1 || messages.some(({ until }) => until !== ""),
  closes: ({ messages, closes }) => (closes ? markOf(JSON.stringify(messages)) : undefined),
  changesAt: ({ messages }) => messages.flatMap(({ until }) => until || []),
  later: { element: "zest-turns", classes: ["is-playing", "is-turning", "is-now", "is-on"] },
  css: `
.s-notice{font-size:var(--t-1);line-height:1.4}
.notice-message{display:flex;flex-wrap:wrap;justify-content:var(--align-box);align-items:center;gap:0 1.25em;text-align:var(--align);min-height:1.75rem}
.notice-message p{display:flex;align-items:center;gap:.5em}
.notice-message .sign{width:1.15em;height:1.15em;flex:none}
.s-notice .more{color:inherit;padding-block:.15rem}
.s-notice.a-ends .notice-message{justify-content:space-between}
.notice-turns{display:flex;align-items:center;gap:.5rem}
.notice-all{flex:1;min-width:0;display:grid}
@media (scripting:enabled){.notice-turns .notice-message{grid-area:1/1}.notice-turns:not(.is-turning) .notice-message:not(:first-child),.is-turning .notice-message:not(.is-now){visibility:hidden}}
.s-notice[hidden]{display:none}
.notice-steps{display:flex;flex:none}
.notice-step{display:grid;place-items:center;width:1.75rem;height:1.75rem;padding:0;border:0;border-radius:var(--control);background:none;color:inherit;cursor:pointer}
.notice-step:hover{background:color-mix(in srgb,currentColor 16%,transparent)}
.notice-step svg{width:.95rem;height:.95rem}
.notice-step .playing,.is-playing .notice-step .standing{display:none}
.is-playing .notice-step .playing{display:block}
@media (scripting:none){.notice-steps{display:none}}
@media (max-width:600px){.notice-back,.notice-on{display:none}.notice-turns .notice-message{display:block;align-self:center}.notice-turns .notice-message p{display:inline}.notice-turns .more{margin-inline-start:.6em}.notice-turns .sign{display:inline-block;vertical-align:-.2em;margin-inline-end:.4em}}
@media (prefers-reduced-motion:no-preference){.is-turning .is-now{animation:notice-in .35s ease-out}@keyframes notice-in{from{opacity:0;transform:translateY(.35em)}}}
${COUNT_CSS}`,
};
