import type { Theme } from "~/core/theme";

export const damson: Theme = {
  id: "damson",
  name: "Damson",
  trades: "Vintage finds, one-offs, antiques",
  mood: "A dark room full of things of which there is only one, hung close, lit by one hot colour.",
  suits: {
    goods: ["some", "many"],
    words: ["few", "some"],
    moods: ["dark", "dramatic", "curious"],
    trades: ["vintage", "antiques", "second hand", "one-offs", "furniture", "lamps", "records", "art", "prints"],
  },
  palette: {
    brand: "#d8391f",
    accent: "#a07434",
    page: "#f5efe9",
    raised: "#ebe2d9",
    tint: { lightness: 0.9, chroma: 0.025, hue: 20 },
    ink: "#1e1216",
    dark: "#1c1116",
    onDark: "#f6ece3",
    sale: "#c4261d",
  },
  colourways: [
    { id: "absinthe", name: "Absinthe", brand: { colour: "#8fae1b", colour2: "#a37b45", colour3: "#4a5a2c" } },
    { id: "peacock", name: "Peacock", brand: { colour: "#0f7f86", colour2: "#c07a3e", colour3: "#2a4a5e" } },
  ],
  defaults: {
    appearance: "dark",
    typePair: "salvage",
    "type.basePhone": 16,
    "type.baseWide": 17,
    "type.ratioPhone": 1.25,
    "type.ratioWide": 1.42,
    corners: "square",
    density: "even",
    "space.content": 1480,
    goodsShape: "4/5",
    "goods.words": "over",
    "goods.facts": 0,
    "goods.rating": false,
    "sign.weight": 1.6,
    "button.height": 50,
    "button.padding": 28,
    "button.weight": 640,
    "link.role": "ink",
    "link.thickness": 2,
    "field.style": "line",
    "badge.shape": "pill",
    "badge.place": "top-left",
    "price.weight": 640,
    "header.set": "page",
    "footer.set": "brand",
    "notice.set": "brand",
  },
  kinds: {
    header: { arrangement: "beside", style: { all: { spaceTop: 2, spaceBottom: 2, width: "full" } } },
    hero: {
      arrangement: "plate",
      style: {
        all: { headSize: 6, spaceTop: 0, spaceBottom: 6, shape: "16/9" },
        phone: { shape: "4/5", spaceBottom: 4 },
      },
    },
    "product-grid": {
      arrangement: "mosaic",
      style: { all: { headSize: 6, columns: 4, width: "full", spaceTop: 5, spaceBottom: 6 }, phone: { columns: 2 } },
    },
    "collection-tiles": {
      arrangement: "doors",
      style: { all: { headSize: 4, columns: 3, shape: "3/4", width: "full", spaceTop: 5, spaceBottom: 6 } },
    },
    "picture-words": {
      arrangement: "picture-right",
      style: { all: { headSize: 5, shape: "4/5", width: "full", spaceTop: 6, spaceBottom: 6 } },
    },
    text: { arrangement: "statement", style: { all: { headSize: 6, set: "brand" } } },
    "sign-up": { arrangement: "line", style: { all: { set: "accent", headSize: 5 } } },
    footer: { arrangement: "halves", style: { all: { width: "full" } } },
  },
  layouts: {
    "p-main": {
      style: { all: { width: "full", sides: "none", gap: 0, spaceTop: 0, spaceBottom: 0, across: "stretch" } },
    },
    "p-left": { style: { all: { share: "62%" }, tablet: { order: 2 }, wide: { order: 2 } } },
    "p-right": {
      style: { all: { share: "38%", gap: 3, pad: 6 }, tablet: { order: 1 }, wide: { order: 1 }, phone: { pad: 3 } },
    },
    "p-gallery": { arrangement: "hung", style: { phone: { shape: "1/1" } } },
    "p-title": { style: { all: { headSize: 6 } } },
    "p-goes-with": { arrangement: "shelf", style: { all: { set: "page", width: "full" } } },
    "p-reviews": { style: { all: { width: "full" } } },
    "c-head": { style: { all: { headSize: 6, width: "full", spaceTop: 5, spaceBottom: 3 } } },
    "c-inside": { style: { all: { width: "full" } } },
    "c-list": { arrangement: "wall", style: { all: { columns: 3, width: "full" }, phone: { columns: 2 } } },
    "s-head": { style: { all: { headSize: 6, width: "full" } } },
    "s-list": { style: { all: { columns: 5, width: "full" }, phone: { columns: 2 } } },
    "ca-head": { style: { all: { headSize: 6, width: "full" } } },
    "ca-main": { style: { all: { width: "full" } } },
    "ca-lines": { arrangement: "cards" },
    "nf-ways": { style: { all: { headSize: 6 } } },
  },
  arrangements: {
    hero: [
      { id: "plate", name: "Words on a plate in the picture’s corner", as: "above", style: { all: { width: "full" } } },
    ],
    "product-grid": [{ id: "mosaic", name: "Mosaic of large and small", as: "cards" }],
    "collection-tiles": [{ id: "doors", name: "Doors, high and narrow", as: "on-pictures" }],
    "goods-list": [{ id: "wall", name: "Hung on a wall", as: "above" }],
    gallery: [{ id: "hung", name: "Hung close, one large", as: "grid" }],
  },
  css: {
    shop: `
.card-title{font-family:var(--heads);font-weight:var(--heads-weight);font-size:var(--t1);line-height:1.1}
.over{letter-spacing:.02em;color:var(--accent-ink)}
`,
    header: `
.s-header{--name-size:var(--t2);--nav-size:var(--t-1);--nav-weight:var(--strong)}
.s-header .wordmark{font-family:var(--heads);font-weight:var(--heads-weight);letter-spacing:-.02em}
@media (max-width:479.98px){.s-header{--name-size:var(--t1)}}
`,
    hero: `
.s-hero.a-plate .in{padding-inline:0;gap:0;max-width:none}
.s-hero.a-plate .pic{border-radius:0;order:-1}
.s-hero.a-plate .hero-words{display:flex;align-items:flex-start;background:var(--page);padding:var(--s4) var(--gutter) 0;position:relative;max-width:none}
@media (min-width:800px){
.s-hero.a-plate .pic{aspect-ratio:auto;height:min(52rem,88svh);margin-left:14vw}
.s-hero.a-plate .hero-words{width:min(62vw,58rem);margin-top:calc(-1*var(--s7));padding:var(--s5) var(--s6) 0 var(--gutter);gap:var(--s3)}
}
`,
    "product-grid": `
.s-product-grid{--sides:.75rem}
.s-product-grid .goods-top{padding-inline:calc(var(--gutter) - .75rem)}
.s-product-grid.a-mosaic .grid{grid-template-columns:repeat(2,minmax(0,1fr));grid-auto-rows:58vw;grid-auto-flow:dense;gap:.75rem}
.s-product-grid.a-mosaic .card-picture,.s-product-grid.a-mosaic .card-picture .pic{height:100%;aspect-ratio:auto}
.s-product-grid.a-mosaic .grid>li:nth-child(5n+1){grid-column:span 2}
.s-product-grid.a-mosaic .grid>li:nth-child(5n+1):nth-last-child(2),.s-product-grid.a-mosaic .grid>li:nth-child(5n+1):nth-last-child(4){grid-column:auto}
@media (min-width:800px){
.s-product-grid.a-mosaic .grid{grid-template-columns:repeat(4,minmax(0,1fr));grid-auto-rows:min(27vw,30rem)}
.s-product-grid.a-mosaic .grid>li:nth-child(5n+1):nth-last-child(n+5){grid-area:span 2/span 2}
.s-product-grid.a-mosaic .grid>li:nth-child(10n+6):nth-last-child(n+5){grid-column:3/span 2}
.s-product-grid.a-mosaic .grid>li:nth-child(5n+1):last-child{grid-area:span 2/span 4}
.s-product-grid.a-mosaic .grid>li:nth-child(5n+1):nth-last-child(2),.s-product-grid.a-mosaic .grid>li:nth-child(5n+2):last-child{grid-column:span 2}
}
`,
    "goods-list": `
.s-goods-list.a-wall .grid{gap:.75rem}
.s-goods-list.a-wall .grid>li:nth-child(2n){translate:0 2.5rem}
.s-goods-list.a-wall .grid{padding-bottom:2.5rem}
@media (min-width:800px){
.s-goods-list.a-wall .grid{gap:1.25rem;padding-bottom:6rem}
.s-goods-list.a-wall .grid>li:nth-child(n){translate:0}
.s-goods-list.a-wall .grid>li:nth-child(3n+2){translate:0 6rem}
}
`,
    "collection-tiles": `
.s-collection-tiles.a-doors .grid{gap:0;--last:1}
.s-collection-tiles.a-doors .tile-name{font-size:var(--t2);line-height:1}
@media (min-width:800px){
.s-collection-tiles{--sides:0px}
.s-collection-tiles .in>.head{padding-inline:var(--gutter)}
.s-collection-tiles.a-doors .grid{display:flex}
.s-collection-tiles.a-doors .grid>li{flex:1;min-width:0;transition:flex .35s}
.s-collection-tiles.a-doors .grid>li:hover,.s-collection-tiles.a-doors .grid>li:focus-within{flex:1.7}
.s-collection-tiles.a-doors .tile .pic{aspect-ratio:auto;height:min(36rem,64svh);border-radius:0}
}
`,
    gallery: `
.w-gallery.a-hung .stage{gap:.5rem}
`,
    "product-title": `
.w-product-title .head{--head:clamp(var(--t3),4vw,var(--t5))}
`,
    footer: `
.s-footer.a-halves .wordmark{font-size:clamp(1.8rem,5.4vw,var(--t6))}
`,
  },
  widths: [],
};
