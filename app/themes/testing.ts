import type { Look } from "~/core/document";

/** The look of a shop that has chosen nothing but a theme. */
export const starterLook = (theme: string): Look => ({
  theme,
  identity: { name: "Shop", tagline: "", logo: { form: "words" } },
  brand: {},
});
