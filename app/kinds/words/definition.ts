import { z } from "zod";
import { richSchema, type Rich } from "~/core/rich";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const MOST = 6000;
const props = z.object({ text: richSchema(MOST, true) });
export type WordsProps = { text: Rich };

export const definition: Definition<WordsProps> = {
  kind: "words",
  name: "Words",
  about: "Text with heads, lists, links and tables.",
  purpose: "Freehand",
  level: "widget",
  slots: [...WIDGET_SLOTS, "answers"],
  traits: ["words"],
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  binds: { key: "text", as: "words" },
  fields: [{ type: "rich", key: "text", label: "Text", most: MOST, figures: true }],
  props,
  sample: { text: "A paragraph in your own words: what it is, and why it is good." },
  synonyms: ["text", "paragraph", "copy", "rich text"],
  defaults: { text: "" },
  style: {},
  styles: ["size", "face", "weight", "ink", "leading", "measure", "align"],
  css: `.w-words{display:flex;flex-direction:column;align-items:var(--align-box,stretch);text-align:var(--align,inherit)}.w-words>*{width:100%}`,
};
