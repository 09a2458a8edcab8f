import { z } from "zod";
import { SHARED } from "~/core/document";
import type { Definition } from "../definition";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  /** The shared section, by its document. */
  of: z.string().max(40),
});
export type SharedProps = z.infer<typeof props>;

/** Holds the place of a shared section. Whoever draws puts that there; this one itself is seen only where it can't be found. */
export const definition: Definition<SharedProps> = {
  kind: SHARED,
  name: "Shared section",
  about: "A section that is edited once and stands on several pages.",
  purpose: "On every page",
  level: "section",
  slots: ["main", "top", "bottom"],
  traits: ["stands-for", "no-head"],
  tag: "section",
  arrangements: [{ id: "whole", name: "As it is" }],
  fields: [],
  props,
  defaults: { of: "" },
  style: { all: {} },
  styles: [],
  css: "",
};
