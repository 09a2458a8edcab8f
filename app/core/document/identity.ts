import type { Look } from "./types";

type Identity = Look["identity"];

/** The picture that is the shop's logo, if one is. */
export const logoPicture = ({ logo }: Identity): string | undefined =>
  logo.form === "picture" ? logo.picture : undefined;

/** The picture that stands in the browser's tab: one chosen for it, or the logo; without either its icon is drawn. */
export const iconPicture = (identity: Identity): string | undefined => identity.icon ?? logoPicture(identity);
