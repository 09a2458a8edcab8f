import { z } from "zod";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";

/** The most items in one place of a menu. */
export const MOST_ITEMS = 60;

const props = z.object({
  label: z.string().max(60),
  link: linkSchema,
  shows: z.enum(["words", "picture"]),
  picture: z.string().max(40).nullable(),
});
export type MenuItemProps = z.infer<typeof props>;

/** One item of a menu. What it leads to, it is called; where it leads nowhere, it is a heading for what is in it. */
export const definition: Definition<MenuItemProps> = {
  kind: "menu-item",
  name: "Menu item",
  about: "Leads to a page, to goods, or to another site.",
  purpose: "On every page",
  level: "item",
  slots: ["items"],
  holds: { items: MOST_ITEMS },
  tag: "div",
  arrangements: [{ id: "usual", name: "As it is" }],
  fields: [
    { type: "link", key: "link", label: "Leads to" },
    {
      type: "line",
      key: "label",
      label: "Words",
      most: 60,
      hint: "Empty: it is called what it leads to.",
    },
    {
      type: "choice",
      key: "shows",
      label: "In a menu that opens, it shows",
      options: [
        ["words", "Words"],
        ["picture", "A picture with words"],
      ],
      seldom: true,
    },
    { type: "picture", key: "picture", label: "Its picture, instead of that of what it leads to", seldom: true },
  ],
  props,
  defaults: { label: "", link: NO_LINK, shows: "words", picture: null },
  style: {},
  styles: [],
  css: "",
};
