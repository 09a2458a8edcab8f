/**
 * The places that a theme's own rules may reach for, by the classes that kinds give them. Kinds keep these names; everything else in
 * a kind is its own affair, and may change without a theme hearing of it. Beside them a theme may name kinds (`.s-hero`, `.w-gallery`)
 * and arrangements (`.a-rows`), and set the custom properties that a kind asks for (`--nav-case`, `--name-size`).
 */
export const HOOKS: Readonly<Record<string, readonly string[]>> = {
  "the page and its rhythm": ["s", "in", "grid", "shelf", "even", "col"],
  "heads of sections": ["head", "over", "lead", "goods-top", "more"],
  "a card of a product": [
    "card",
    "card-picture",
    "card-words",
    "card-title",
    "card-facts",
    "card-end",
    "price",
    "badge",
    "is-named",
  ],
  pictures: ["pic", "pic-none", "gallery", "stage", "shot", "thumbs"],
  "the header": ["wordmark", "nav", "drop", "head-signs"],
  "words of a section": ["hero-words", "hero-actions", "pw-words", "rich"],
  "tiles of collections": ["tile", "tile-name", "tile-count"],
  "the part to buy in": ["pick-row", "facts", "part-open", "crumbs"],
  "a cart’s line": ["cart-line"],
  controls: ["button", "button-2", "button-3", "field"],
  "the footer": ["foot-links"],
};
