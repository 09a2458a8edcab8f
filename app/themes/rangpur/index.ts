import type { Theme } from "~/core/theme";

export const rangpur: Theme = {
  id: "rangpur",
  name: "Rangpur",
  trades: "Streetwear, sport, posters, records",
  mood: "Type as the picture: heads across the whole width, hard black lines, nothing soft.",
  suits: {
    goods: ["some", "many"],
    words: ["few"],
    moods: ["loud", "bold", "quick"],
    trades: ["clothes", "streetwear", "shirts", "sport", "skate", "posters", "records", "shoes"],
  },
  palette: {
    brand: "#ee4d10",
    accent: "#1a1aff",
    page: "#f6f5f1",
    raised: "#e9e7e0",
    tint: { lightness: 0.9, chroma: 0.12, hue: 120 },
    ink: "#0c0c0c",
    dark: "#0c0c0c",
    onDark: "#f6f5f1",
    sale: "#c21a1a",
  },
  colourways: [
    { id: "cobalt", name: "Cobalt", brand: { colour: "#1d3bff", colour2: "#d1270b", colour3: "#ffb300" } },
    { id: "moss", name: "Moss", brand: { colour: "#0d6b3a", colour2: "#b3420e", colour3: "#d7e04a" } },
  ],
  defaults: {
    typePair: "posters",
    "type.basePhone": 15.5,
    "type.baseWide": 16,
    "type.ratioPhone": 1.2,
    "type.ratioWide": 1.36,
    "type.headsCase": "uppercase",
    "type.headsLeading": 0.95,
    corners: "square",
    density: "compact",
    "space.content": 1680,
    "line.weight": 2,
    goodsShape: "1/1",
    "goods.facts": 0,
    "goods.rating": false,
    "goods.words": "line",
    "sign.weight": 2.2,
    "button.primary.role": "ink",
    "link.role": "ink",
    "button.height": 54,
    "button.case": "uppercase",
    "button.weight": 700,
    "price.weight": 620,
    "badge.shape": "square",
    "badge.case": "uppercase",
    "badge.place": "top-left",
    "tabs.style": "boxed",
    "card.style": "framed",
    "header.set": "page",
    "footer.set": "brand",
    "notice.set": "dark",
  },
  kinds: {
    header: { arrangement: "beside", style: { all: { spaceTop: 1, spaceBottom: 1, width: "full" } } },
    hero: {
      arrangement: "type",
      style: {
        all: { headSize: 6, spaceTop: 3, spaceBottom: 0, shape: "5/2", width: "full" },
        phone: { shape: "1/1" },
      },
    },
    "product-grid": {
      arrangement: "cards",
      style: { all: { headSize: 6, columns: 5, width: "full", spaceTop: 3, spaceBottom: 0 }, phone: { columns: 2 } },
    },
    "collection-tiles": {
      arrangement: "index",
      style: { all: { headSize: 2, width: "full", spaceTop: 4, spaceBottom: 4 } },
    },
    "picture-words": {
      arrangement: "picture-left",
      style: { all: { headSize: 5, shape: "1/1", set: "brand", width: "full", spaceTop: 0, spaceBottom: 0 } },
    },
    text: { arrangement: "beside", style: { all: { headSize: 6, width: "full", spaceTop: 5, spaceBottom: 5 } } },
    "sign-up": { arrangement: "line", style: { all: { set: "dark", headSize: 6, width: "full" } } },
    footer: { arrangement: "wide-name", style: { all: { width: "full" } } },
  },
  layouts: {
    "p-main": { style: { all: { rows: 1, width: "full", spaceTop: 0, gap: 3 } } },
    "p-left": { style: { all: { share: "100%" } } },
    "p-right": { style: { all: { share: "100%", gap: 2 } } },
    "p-gallery": { arrangement: "strip" },
    "p-details": { arrangement: "open" },
    "p-title": { style: { all: { headSize: 6 } } },
    "p-goes-with": { style: { all: { set: "page", width: "full" } } },
    "c-head": { style: { all: { headSize: 6, width: "full", spaceTop: 3, spaceBottom: 2 } } },
    "c-inside": { style: { all: { width: "full" } } },
    "c-list": { arrangement: "above", style: { all: { columns: 5, width: "full" }, phone: { columns: 2 } } },
    "s-head": { style: { all: { headSize: 6, width: "full" } } },
    "s-list": { style: { all: { columns: 5, width: "full" }, phone: { columns: 2 } } },
    "ca-head": { style: { all: { headSize: 6, width: "full" } } },
    "ca-main": { style: { all: { width: "full" } } },
    "ca-lines": { arrangement: "cards" },
    "nf-ways": { style: { all: { headSize: 6, width: "full" } } },
  },
  arrangements: {
    hero: [{ id: "type", name: "Words across the whole width", as: "above" }],
    gallery: [{ id: "strip", name: "In a row, from edge to edge", as: "grid" }],
  },
  css: {
    shop: `
main>.s+.s{border-top:var(--edge) solid var(--ink)}
.head{text-wrap:wrap;hyphens:auto;letter-spacing:-.05em}
.over{text-transform:uppercase;letter-spacing:.04em}
.card-words{padding:.6rem .7rem .8rem}
.card-title{font-size:var(--t-1);text-transform:uppercase;line-height:1.25}
.card .price{font-size:var(--t-1)}
.card-picture .pic:not(.pic-none){background:none}
.more{text-transform:uppercase;font-size:var(--t-1)}
`,
    header: `
.s-header{border-bottom:var(--edge) solid var(--ink)}
.s-header{--name-size:var(--t0)}
@media (max-width:479.98px){.s-header{--letter:.66}.s-header .wordmark{font-family:var(--text);font-weight:var(--strong);letter-spacing:-.01em}}
.s-header{--nav-size:var(--t-1);--nav-weight:var(--strong);--nav-case:uppercase}
`,
    hero: `
.s-hero.a-type .in{padding-inline:0;gap:var(--s3)}
.s-hero.a-type .hero-words{display:grid;gap:var(--s2);padding-inline:var(--gutter);max-width:none}
.s-hero.a-type .head{font-size:clamp(2.5rem,10.6vw,13rem);line-height:.86;letter-spacing:-.065em;grid-column:1/-1;grid-row:auto;max-width:none}
.s-hero.a-type .pic{border-radius:0;border-block:var(--edge) solid var(--ink)}
@media (min-width:800px){.s-hero.a-type .hero-words{grid-template-columns:1.2fr 1fr}.s-hero.a-type .hero-actions{justify-self:end;align-self:end}}
`,
    "product-grid": `
.s-product-grid{--sides:0px}
.s-product-grid .goods-top{padding-inline:var(--gutter)}
.s-product-grid .grid{gap:0;border-top:var(--edge) solid var(--ink)}
.s-product-grid .grid>li{border-right:var(--edge) solid var(--ink);border-bottom:var(--edge) solid var(--ink);margin-right:calc(-1*var(--edge));margin-bottom:calc(-1*var(--edge))}
.s-product-grid{overflow:clip}
`,
    "goods-list": `
.s-goods-list .grid{gap:0;border:var(--edge) solid var(--ink);overflow:clip}
.s-goods-list .grid>li{border-right:var(--edge) solid var(--ink);border-bottom:var(--edge) solid var(--ink);margin-right:calc(-1*var(--edge));margin-bottom:calc(-1*var(--edge))}
`,
    "collection-tiles": `
.a-index .tile{border-color:var(--ink);border-width:var(--edge) 0 0}
.a-index .tile-name{font-size:clamp(1.4rem,5.4vw,5rem);letter-spacing:-.05em;padding-block:var(--s2);text-transform:uppercase}
@media (max-width:599.98px){.tile-count{display:none}}
.a-index .tile:hover{background:var(--ink);color:var(--on-ink)}
`,
    "picture-words": `
.s-picture-words{--sides:0px}
.s-picture-words .in{gap:0}
.s-picture-words .pw-words{padding:var(--s5) var(--gutter)}
.s-picture-words .pic{border-radius:0;height:100%}
`,
    gallery: `
@media (min-width:800px){
.w-gallery.a-strip .stage{grid-auto-flow:column;grid-template-columns:none;grid-auto-columns:minmax(25%,1fr);gap:0;overflow-x:auto;border-block:var(--edge) solid var(--ink);margin-inline:calc(-1*var(--gutter))}
.w-gallery.a-strip .shot:first-child{grid-column:auto}
.w-gallery.a-strip .shot+.shot{border-left:var(--edge) solid var(--ink)}
}
`,
    "product-title": `
.w-product-title .head{font-size:clamp(2.2rem,8.2vw,9rem);line-height:.88;letter-spacing:-.065em}
`,
    "collection-head": `
.s-collection-head .head{font-size:clamp(2.2rem,8.8vw,10rem);line-height:.88;letter-spacing:-.065em}
`,
    column: `
@media (min-width:800px){
.col:has(>.w-product-title){display:grid;grid-template-columns:1fr 1fr;gap:var(--s3) var(--s6);align-content:start}
.col:has(>.w-product-title)>*{grid-column:1}
.col>.w-product-title{grid-column:1/-1}
.col:has(>.w-product-title)>.w-product-details{grid-column:2;grid-row:2/span 8}
}
`,
    footer: `
.s-footer{border-top:var(--edge) solid var(--ink)}
.s-footer .wordmark{text-transform:uppercase;letter-spacing:-.07em}
`,
  },
  widths: [],
};
