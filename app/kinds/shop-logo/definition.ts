import { z } from "zod";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({ arrangement: z.string().max(40).optional() });
export type ShopLogoProps = z.infer<typeof props>;

export const definition: Definition<ShopLogoProps> = {
  kind: "shop-logo",
  name: "Logo",
  about: "Your logo or name; leads to the home page.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["small"],
  tag: "div",
  arrangements: [
    { id: "usual", name: "As in the header" },
    { id: "large", name: "Large" },
  ],
  fields: [],
  props,
  synonyms: ["wordmark", "brand", "name"],
  defaults: {},
  style: {},
  styles: [],
  css: `
.w-shop-logo{display:flex;justify-content:var(--align,start)}
.w-shop-logo.a-large .wordmark{font-size:clamp(2.2rem,7vw,5.5rem);line-height:.95;letter-spacing:-.035em}
.w-shop-logo.a-large .wordmark .sign{width:.8em;height:.8em}
`,
};
