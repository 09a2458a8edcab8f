import type { Theme } from "~/core/theme";

export const sloe: Theme = {
  id: "sloe",
  name: "Sloe",
  trades: "Jewellery, fine craft, small editions",
  mood: "Much air, tall pictures from edge to edge, words that hardly raise their voice.",
  suits: {
    goods: ["few", "some"],
    words: ["few"],
    moods: ["fine", "quiet", "precious"],
    trades: ["jewellery", "rings", "silver", "fine craft", "glass", "perfume", "watches"],
  },
  palette: {
    brand: "#3b3145",
    accent: "#8a6a3d",
    page: "#fbfaf8",
    raised: "#f1efec",
    tint: { lightness: 0.93, chroma: 0.012, hue: 320 },
    ink: "#221d26",
    dark: "#221c28",
    onDark: "#f4f0ea",
    sale: "#96313a",
  },
  colourways: [
    { id: "verdigris", name: "Verdigris", brand: { colour: "#2f4f4a", colour2: "#8a6a3d", colour3: "#7c9a92" } },
    { id: "garnet", name: "Garnet", brand: { colour: "#6b1f2e", colour2: "#7d6b4f", colour3: "#b08d8d" } },
  ],
  defaults: {
    typePair: "gallery",
    "type.basePhone": 16.5,
    "type.baseWide": 17,
    "type.ratioPhone": 1.24,
    "type.ratioWide": 1.36,
    corners: "square",
    density: "airy",
    "space.air": 150,
    "space.content": 1320,
    goodsShape: "3/4",
    "goods.facts": 0,
    "goods.rating": false,
    "goods.words": "line",
    "sign.weight": 1.2,
    "button.primary.style": "outline",
    "button.primary.role": "ink",
    "button.secondary.style": "plain",
    "button.secondary.role": "ink",
    "button.height": 52,
    "button.padding": 40,
    "button.weight": 450,
    "button.case": "uppercase",
    "link.role": "ink",
    "link.thickness": 0.75,
    "field.style": "line",
    "card.style": "plain",
    "badge.shape": "square",
    "badge.place": "bottom-left",
    "badge.case": "uppercase",
    "header.set": "page",
    "footer.set": "page",
    "notice.set": "dark",
  },
  kinds: {
    header: {
      arrangement: "behind",
      style: { all: { spaceTop: 3, spaceBottom: 3 }, phone: { spaceTop: 1, spaceBottom: 1 } },
    },
    hero: {
      arrangement: "half",
      style: {
        all: { headSize: 6, align: "center", spaceTop: 0, spaceBottom: 0, shape: "3/4" },
        phone: { shape: "4/5" },
      },
    },
    "product-grid": {
      arrangement: "cards",
      style: { all: { headSize: 4, columns: 4, align: "center", width: "full" }, phone: { columns: 2 } },
    },
    "collection-tiles": {
      arrangement: "captions",
      style: { all: { headSize: 4, columns: 4, shape: "3/4", align: "center", width: "full" } },
    },
    "picture-words": {
      arrangement: "picture-right",
      style: { all: { headSize: 4, shape: "3/4", set: "dark", width: "content" } },
    },
    text: { arrangement: "statement", style: { all: { align: "center", headSize: 5 } } },
    "sign-up": { arrangement: "line", style: { all: { set: "page", headSize: 4, align: "center", width: "narrow" } } },
    footer: { arrangement: "line" },
  },
  layouts: {
    "p-main": {
      style: {
        all: { set: "dark", width: "full", sides: "none", gap: 0, spaceTop: 0, spaceBottom: 0, across: "stretch" },
      },
    },
    "p-left": { style: { all: { share: "58%" } } },
    "p-right": { style: { all: { share: "42%", gap: 4, down: "center", pad: 6 }, phone: { pad: 3 } } },
    "p-gallery": { arrangement: "grid", style: { phone: { shape: "1/1" } } },
    "p-details": { arrangement: "open" },
    "p-goes-with": { style: { all: { set: "page" } } },
    "c-head": { style: { all: { align: "center", headSize: 5 } } },
    "c-list": { arrangement: "above", style: { all: { columns: 3, width: "full" } } },
    "s-head": { style: { all: { align: "center", headSize: 5 } } },
    "s-list": { style: { all: { columns: 4, width: "full" } } },
    "ca-head": { style: { all: { align: "center", headSize: 5 } } },
    "ca-main": { style: { all: { width: "narrow", rows: 1 } } },
    "nf-ways": { style: { all: { align: "center" } } },
  },
  arrangements: {
    header: [{ id: "behind", name: "Logo in the middle, menu behind a button", as: "drawer" }],
    hero: [{ id: "half", name: "A tall picture beside words", as: "beside", style: { all: { width: "full" } } }],
  },
  css: {
    shop: `
.head{font-weight:400;letter-spacing:-.012em}
.over,.crumbs{font-size:var(--t-2);font-weight:var(--text-weight);letter-spacing:.16em;text-transform:uppercase}
.button{font-size:var(--t-1);letter-spacing:.14em}
.button-2{text-decoration:underline;text-underline-offset:.4em;text-decoration-thickness:.75px}
.card-title{font-family:var(--heads);font-weight:500;font-size:var(--t1);line-height:1.1}
.card .price{line-height:1.45}
.card-words{padding-inline:var(--card-inset,0)}
.badge{font-size:.6875rem;letter-spacing:.1em;font-weight:450}
`,
    header: `
.s-header{--name-size:var(--t2)}
.s-header .drop>summary{font-size:var(--t-2);font-weight:var(--text-weight);letter-spacing:.14em;text-transform:uppercase}
@media (min-width:800px){
.s-header.a-behind .in{display:grid;grid-template-columns:1fr auto 1fr}
.s-header.a-behind .drop{grid-area:1/1;justify-self:start;--drop-left:0}
.s-header.a-behind .wordmark{grid-area:1/2;margin:0}
.s-header.a-behind .head-signs{grid-area:1/3;justify-self:end}
}
`,
    hero: `
.s-hero.a-half .in{padding-inline:0;gap:0}
.s-hero.a-half .hero-words{padding:var(--s5) var(--gutter)}
.s-hero.a-half .hero-words .lead{max-width:22em}
@media (min-width:800px){.s-hero.a-half .in{grid-template-columns:1fr 1fr;min-height:min(46rem,88svh)}.s-hero.a-half .pic{aspect-ratio:auto;height:100%;order:-1}}
`,
    "product-grid": `
.s-product-grid .grid{gap:var(--s5) .5rem}
.s-product-grid{--sides:.5rem;--card-inset:.6rem}
.s-product-grid .goods-top{padding-inline:calc(var(--gutter) - .5rem);flex-direction:column;align-items:center}
.goods-top>div{flex:none}
`,
    "goods-list": `
.s-goods-list .grid{gap:var(--s5) .5rem}
.s-goods-list{--sides:var(--gutter)}
`,
    freehand: `
.s-freehand .gallery{gap:.5rem}
`,
    gallery: `
.w-gallery.a-grid .stage{gap:.5rem}
`,
    "product-title": `
.w-product-title .head{--head:var(--t5)}
`,
    "product-details": `
.part-open>.head{--head:var(--t1);font-style:italic}
`,
    footer: `
.s-footer .foot-links a{font-size:var(--t-2);letter-spacing:.12em;text-transform:uppercase;text-decoration:none}
`,
  },
  widths: [],
};
