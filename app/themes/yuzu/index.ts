import type { Theme } from "~/core/theme";

export const yuzu: Theme = {
  id: "yuzu",
  name: "Yuzu",
  trades: "Tools, instruments, parts",
  mood: "Ruled cells, facts first, nothing that is not needed.",
  suits: {
    goods: ["some", "many"],
    words: ["many"],
    moods: ["exact", "plain", "technical"],
    trades: ["tools", "instruments", "electronics", "parts", "machines", "spares"],
  },
  palette: {
    brand: "#0b6b4a",
    accent: "#8a4b12",
    page: "#ffffff",
    raised: "#f3f4f1",
    tint: { lightness: 0.955, chroma: 0.05, hue: 112 },
    ink: "#14181a",
    dark: "#171d1f",
    onDark: "#f4f6f2",
    sale: "#b02318",
  },
  colourways: [
    { id: "signal", name: "Signal", brand: { colour: "#c2410c", colour2: "#1d4e89", colour3: "#9aa5b1" } },
    { id: "blueprint", name: "Blueprint", brand: { colour: "#1d4e89", colour2: "#a15c07", colour3: "#5b8fb9" } },
  ],
  defaults: {
    typePair: "workbench",
    "type.basePhone": 15,
    "type.baseWide": 15,
    "type.ratioPhone": 1.165,
    "type.ratioWide": 1.215,
    corners: "square",
    density: "compact",
    "space.content": 1440,
    goodsShape: "1/1",
    "goods.facts": 3,
    "button.height": 44,
    "field.height": 44,
    "badge.shape": "square",
    "price.weight": 640,
    "price.size": 1.15,
    "tabs.style": "boxed",
    "header.set": "page",
    "footer.set": "dark",
    "notice.set": "dark",
  },
  kinds: {
    notice: { arrangement: "ends" },
    header: { arrangement: "rows", style: { all: { spaceTop: 1, spaceBottom: 0 } } },
    hero: { arrangement: "beside", style: { all: { headSize: 5, spaceTop: 0, spaceBottom: 0, shape: "3/2" } } },
    "product-grid": {
      arrangement: "cards",
      style: { all: { headSize: 2, columns: 5, spaceTop: 5, spaceBottom: 5 } },
    },
    "collection-tiles": { arrangement: "index", style: { all: { headSize: 2, spaceTop: 5, spaceBottom: 5 } } },
    "picture-words": {
      arrangement: "picture-right",
      style: { all: { headSize: 3, shape: "3/2", spaceTop: 5, spaceBottom: 5 } },
    },
    text: { arrangement: "beside", style: { all: { headSize: 2, spaceTop: 5, spaceBottom: 5 } } },
    "sign-up": { arrangement: "band", style: { all: { headSize: 2, spaceTop: 4, spaceBottom: 4 } } },
    footer: { arrangement: "columns" },
  },
  layouts: {
    "p-way": { style: { all: { spaceTop: 1, spaceBottom: 1 } } },
    "p-main": { style: { all: { gap: 5, spaceTop: 2, spaceBottom: 4 } } },
    "p-left": { style: { all: { share: "42%", order: 2 }, phone: { order: 1 } } },
    "p-right": { style: { all: { share: "58%", gap: 3, order: 1 }, phone: { order: 2 } } },
    "p-gallery": { arrangement: "contacts" },
    "p-details": { arrangement: "open" },
    "p-goes-with": { style: { all: { set: "page" } } },
    "c-head": { style: { all: { headSize: 4, spaceTop: 2, spaceBottom: 2 } } },
    "c-list": { arrangement: "side", style: { all: { columns: 4 }, phone: { columns: 2 } } },
    "s-head": { style: { all: { headSize: 3, spaceTop: 3 } } },
    "s-list": { arrangement: "side", style: { all: { columns: 4 }, phone: { columns: 2 } } },
    "ca-head": { style: { all: { headSize: 3, spaceTop: 3 } } },
    "ca-lines": { arrangement: "close" },
    "ca-goes-with": { style: { all: { set: "page" } } },
  },
  arrangements: {
    gallery: [{ id: "contacts", name: "A contact sheet", as: "grid" }],
  },
  css: {
    shop: `
.s-header{border-bottom:1px solid var(--ink)}
.s-header{--name-size:var(--t2);--nav-weight:560}
main>.s:not(:has(.w-trail))+.s:not(.s-goods-list,.s-collection-inside){border-top:1px solid var(--ink)}
.head{max-width:18em}
.over{font-stretch:86%;letter-spacing:.04em;color:var(--soft)}
.s-hero.a-beside .in{padding-inline:0;max-width:none;gap:0;grid-auto-flow:row}
.s-hero.a-beside .hero-words{padding:var(--s5) var(--gutter)}
.s-hero.a-beside .pic{aspect-ratio:3/2;height:100%;border-radius:0}
.grid:has(.card),.s-collection-tiles .grid{gap:0;border-top:var(--rule) solid var(--line);border-left:var(--rule) solid var(--line)}
.grid:has(.card)>li,.s-collection-tiles .grid>li{border-right:var(--rule) solid var(--line);border-bottom:var(--rule) solid var(--line)}
.card{padding:.75rem}
.card:hover{background:var(--raised)}
.card-picture .pic:not(.pic-none){background:none}
.card-words{gap:.35rem}
.card-title{order:1;font-weight:600}
.card-facts{order:2;display:grid;grid-template-columns:1fr;row-gap:0;font-stretch:86%}
.card-facts>div{display:flex;justify-content:space-between;gap:.5rem;border-top:var(--rule) solid var(--line);padding-block:.2rem}
.card-facts>div:not(.is-named) dt{position:static;width:auto;height:auto;clip-path:none;overflow:visible}
.card-facts dd{text-align:right;color:var(--ink)}
.card-end{order:3}
.card .price{padding-top:.4rem;font-stretch:86%}
.badge{font-stretch:86%}
.a-index .grid{grid-template-columns:repeat(auto-fill,minmax(min(100%,17rem),1fr))}
.a-index .tile{border:0}
.a-index .tile-name{font-size:var(--t1);padding:var(--s2) .9rem}
`,
    gallery: `
.w-gallery.a-contacts .stage{grid-template-columns:repeat(3,minmax(0,1fr));gap:0;border:var(--rule) solid var(--line)}
.w-gallery.a-contacts .shot{border:var(--rule) solid var(--line)}
.w-gallery.a-contacts .shot .pic{min-height:0}
@media (max-width:799.98px){.w-gallery.a-contacts .stage{grid-template-columns:none;border:0}}
`,
    "product-details": `
.facts{font-stretch:86%}
.facts>div{padding-block:.3rem}
`,
    header: `
.s-header.a-rows .nav{border-color:var(--ink)}
@media (max-width:479.98px){.s-header{--letter:.56}.s-header .wordmark{font-stretch:100%}}
`,
  },
  widths: [86],
};
