import { z } from "zod";
import type { Definition } from "../definition";

const props = z.object({ arrangement: z.string().max(40).optional() });
export type PostBodyProps = z.infer<typeof props>;

/** Holds the place of what a post itself says; whoever draws a post puts that there. */
export const definition: Definition<PostBodyProps> = {
  kind: "post-body",
  name: "The post itself",
  about: "Where the sections of each post stand among those that all of them have.",
  purpose: "Tell the story",
  level: "section",
  slots: ["main"],
  only: ["post"],
  traits: ["no-head"],
  tag: "section",
  arrangements: [{ id: "whole", name: "As it is" }],
  fields: [],
  props,
  synonyms: ["content", "body", "text", "article"],
  defaults: {},
  style: { all: { set: "page", width: "narrow", spaceTop: 3, spaceBottom: 3 } },
  styles: [],
  css: `.s-post-body .lead{max-width:none}`,
};
