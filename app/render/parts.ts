import type { SettingGroup } from "~/core/theme";

/** A part of the shop that the brand styles: how it is found in a page, and where in the brand sheet it is set. */
export type BrandPart = {
  readonly id: string;
  /** "Button › Primary". */
  readonly name: string;
  readonly selector: string;
  readonly group: SettingGroup;
  /** Beginnings of the keys of the settings that make it, most telling first. */
  readonly keys: readonly string[];
  /** The roles it draws from. */
  readonly roles: readonly string[];
};

const part = (
  id: string,
  name: string,
  selector: string,
  group: SettingGroup,
  keys: readonly string[],
  roles: readonly string[],
): BrandPart => ({
  id,
  name,
  selector,
  group,
  keys,
  roles,
});

/** Innermost first: a badge stands on a card, and is meant when it is clicked. */
export const PARTS: readonly BrandPart[] = [
  part(
    "button.secondary",
    "Button › Secondary",
    ".button-2",
    "button",
    ["button.secondary.", "button."],
    ["ink", "accent", "brand"],
  ),
  part(
    "button.quiet",
    "Button › Quiet",
    ".button-3",
    "button",
    ["button.quiet.", "button."],
    ["link", "accent-ink", "ink"],
  ),
  part(
    "button.primary",
    "Button › Primary",
    ".button",
    "button",
    ["button.primary.", "button."],
    ["brand", "on-brand", "brand-hover", "brand-pressed"],
  ),
  part("field", "Field", ".field", "field", ["field.", "corners"], ["field", "field-line", "ink", "soft"]),
  part("badge.sale", "Badge › Sale", ".badge-sale", "badge", ["badge."], ["sale", "on-sale"]),
  part("badge.soon", "Badge › Soon", ".badge-coming-soon", "badge", ["badge."], ["soon", "on-soon"]),
  part(
    "badge.sold-out",
    "Badge › Sold out",
    ".badge-sold-out,.badge-discontinued",
    "badge",
    ["badge."],
    ["sold-out", "on-sold-out"],
  ),
  part("badge", "Badge", ".badge", "badge", ["badge."], ["new", "on-new"]),
  part("rating", "Rating", ".rating", "rating", ["rating."], ["accent", "line"]),
  part("price", "Price", ".price", "price", ["price."], ["ink", "sale", "soft"]),
  part("tabs", "Tabs", ".tab,.tabs", "tabs", ["tabs."], ["ink", "soft", "brand", "line"]),
  part("toast", "Toast", ".toast", "toast", ["toast."], ["page", "ink"]),
  part("popup", "Pop-up", ".popup", "popup", ["popup.", "shadow", "corners"], ["page", "ink"]),
  part(
    "goods",
    "Product card",
    ".card",
    "goods",
    ["goods.", "goodsShape", "corners"],
    ["ink", "soft", "line", "raised"],
  ),
  part("link", "Link", ".more,.lead a,.crumbs a", "link", ["link."], ["link"]),
  part("card", "Card", ".box", "card", ["card.", "corners", "shadow"], ["raised", "line"]),
  part("heads", "Heads", ".head,.wordmark", "type", ["typePair", "type.heads"], ["ink"]),
  part("header", "Header", ".s-header", "frame", ["header.set"], ["page", "ink"]),
  part("footer", "Footer", ".s-footer", "frame", ["footer.set"], ["page", "ink", "soft"]),
  part("notice", "Notice strip", ".s-notice", "frame", ["notice.set"], ["page", "ink"]),
  part("text", "Text", "p,li,dd,dt,label", "type", ["typePair", "type."], ["ink", "soft"]),
];

export const partById = (id: string): BrandPart | undefined => PARTS.find((each) => each.id === id);
