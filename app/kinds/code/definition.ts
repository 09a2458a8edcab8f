import { z } from "zod";
import { MOST_ORIGINS, originsIn } from "~/core/code";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const MOST_LETTERS = 12_000;

const props = z.object({
  arrangement: z.string().max(40).optional(),
  title: z.string().max(120),
  html: z.string().max(MOST_LETTERS),
  css: z.string().max(MOST_LETTERS),
  script: z.string().max(MOST_LETTERS),
  from: z
    .string()
    .max(2000)
    .superRefine((list, check) => {
      const { origins, wrong } = originsIn(list);
      if (wrong.length)
        check.addIssue({
          code: "custom",
          message: `Line ${wrong[0]} is no address that begins with https://, like https://book.example.`,
        });
      else if (origins.length > MOST_ORIGINS)
        check.addIssue({ code: "custom", message: `It can load from ${MOST_ORIGINS} places at most.` });
    }),
  height: z.number().int().min(20).max(4000),
});
export type CodeProps = z.infer<typeof props>;

export const definition: Definition<CodeProps> = {
  kind: "code",
  // Nothing of that sort runs where somebody is buying.
  never: ["cart"],
  name: "Own code",
  about: "HTML, CSS and scripts of yours, in a frame of their own. They can’t see the cart, nor who is signed in.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  calledBy: "title",
  tag: "div",
  arrangements: [{ id: "frame", name: "In a frame of its own" }],
  fields: [
    { type: "line", key: "title", label: "What it is", most: 120, hint: "For those who don’t see it" },
    { type: "code", key: "html", label: "HTML", language: "html", most: MOST_LETTERS },
    {
      type: "code",
      key: "css",
      label: "CSS",
      language: "css",
      most: MOST_LETTERS,
      hint: "The shop’s colours here are var(--ink), --soft, --page, --line and --brand.",
    },
    {
      type: "code",
      key: "script",
      label: "Script",
      language: "script",
      most: MOST_LETTERS,
      hint: "It finds what page it is on in shopFacts.page, shopFacts.product and shopFacts.shop.",
    },
    { type: "origins", key: "from", label: "It may load from" },
    { type: "number", key: "height", seldom: true, label: "Height before it is loaded, in px", least: 20, most: 4000 },
  ],
  props,
  synonyms: ["html", "script", "embed", "iframe", "javascript", "widget", "booking", "calculator", "custom code"],
  defaults: { title: "", html: "", css: "", script: "", from: "", height: 240 },
  style: {},
  styles: [],
  script: "goods",
  permissions: ["code"],
  css: `
zest-frame{display:block;--of-ink:var(--ink);--of-soft:var(--soft);--of-page:var(--page);--of-line:var(--line);--of-brand:var(--brand)}
.w-code iframe{display:block;width:100%;border:0}
.code-still{display:grid;place-items:center;min-height:8rem;padding:1rem;border:1px dashed currentColor;border-radius:var(--round-card,0);font-size:var(--t-1);text-align:center}
`,
};
