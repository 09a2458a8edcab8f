import type { Theme } from "~/core/theme";

// A pen line that wavers a little, repeated along the top of a section.
const RULE = `url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='420' height='8' viewBox='0 0 420 8'%3E%3Cpath d='M0 4.300C18 2.900 31 5.400 52 4.500s34-2.200 57-.9 37 2.300 60 .8 33-2.100 55-.6 39 2 61 .4 35-1.600 56-.2 41 1.800 79 .3' fill='none' stroke='black' stroke-width='1.500' stroke-linecap='round'/%3E%3C/svg%3E")`;

export const quince: Theme = {
  id: "quince",
  name: "Quince",
  trades: "Food, preserves, farm shops",
  mood: "Warm paper, a soft serif and a drawn line between things.",
  suits: {
    goods: ["few", "some"],
    words: ["some", "many"],
    moods: ["warm", "homely", "calm"],
    trades: ["jam", "preserves", "honey", "bread", "cheese", "wine", "farm", "food"],
  },
  palette: {
    brand: "#8c4a1c",
    accent: "#6d7434",
    page: "#faf3e6",
    raised: "#fffaf0",
    tint: { lightness: 0.915, chroma: 0.044, hue: 92 },
    ink: "#34241a",
    dark: "#3d2a1e",
    onDark: "#fbf3e3",
    sale: "#9c2f1f",
  },
  colourways: [
    { id: "plum", name: "Plum", brand: { colour: "#6d2e46", colour2: "#7a6a1f", colour3: "#a26769" } },
    { id: "sage", name: "Sage", brand: { colour: "#4a6741", colour2: "#a4571d", colour3: "#7f9172" } },
  ],
  defaults: {
    typePair: "larder",
    "type.basePhone": 17,
    "type.baseWide": 18,
    "type.ratioPhone": 1.18,
    "type.ratioWide": 1.26,
    corners: "square",
    density: "even",
    "space.content": 1080,
    goodsShape: "1/1",
    "goods.frame": "framed",
    "goods.align": "center",
    "price.frame": "label",
    "button.padding": 30,
    "badge.shape": "square",
    "badge.place": "top-right",
    "tabs.style": "boxed",
    "header.set": "page",
    "footer.set": "tint",
    "notice.set": "tint",
  },
  kinds: {
    header: { arrangement: "middle", style: { all: { spaceTop: 3, spaceBottom: 3 } } },
    hero: {
      arrangement: "above",
      style: { all: { align: "center", headSize: 6, spaceTop: 5, shape: "16/9" }, phone: { shape: "4/5" } },
    },
    "product-grid": {
      arrangement: "cards",
      style: { all: { headSize: 4, columns: 4, align: "center" } },
    },
    "collection-tiles": {
      arrangement: "captions",
      style: { all: { headSize: 4, columns: 4, shape: "3/4", align: "center" } },
    },
    "picture-words": { arrangement: "overlap", style: { all: { headSize: 4 } } },
    text: { arrangement: "plain", style: { all: { align: "center", width: "narrow" } } },
    "sign-up": { arrangement: "stack", style: { all: { set: "tint" } } },
    footer: { arrangement: "middle" },
  },
  layouts: {
    "p-way": { style: { all: { align: "center" } } },
    "p-main": { style: { all: { rows: 1, gap: 4, spaceTop: 3, spaceBottom: 5, width: "narrow" } } },
    "p-left": { style: { all: { share: "100%" } } },
    "p-right": { style: { all: { share: "100%", gap: 3, align: "center" } } },
    "p-gallery": { arrangement: "plate" },
    "p-title": { style: { all: { align: "center", headSize: 5 } } },
    "p-price": { style: { all: { align: "center" } } },
    "p-details": { arrangement: "open" },
    "c-head": { style: { all: { align: "center", headSize: 5 } } },
    "c-inside": { style: { all: { align: "center" } } },
    "c-list": { arrangement: "above", style: { all: { columns: 3 } } },
    "s-head": { style: { all: { align: "center", headSize: 5 } } },
    "s-list": { style: { all: { columns: 3 } } },
    "ca-head": { style: { all: { align: "center", headSize: 5 } } },
    "ca-main": { style: { all: { rows: 1, width: "narrow", gap: 4 } } },
    "nf-ways": { style: { all: { align: "center", headSize: 5 } } },
  },
  arrangements: {
    gallery: [{ id: "plate", name: "A framed plate, the others beneath", as: "below" }],
  },
  css: {
    shop: `
.card-title{font-family:var(--heads);font-weight:var(--heads-weight);font-size:var(--t1);line-height:1.2}
.card .price{margin-top:.35rem}
.cart-line .price{border:0;padding:0}
.s-footer::before,.s+.s-product-grid:not([data-set=brand],[data-set=dark])::before,.s+.s-collection-tiles::before,.s+.s-text::before,.s+.s-reviews::before,.s+.s-recently-seen::before{content:"";position:absolute;top:-4px;left:var(--gutter);right:var(--gutter);height:8px;max-width:var(--content);margin-inline:auto;background:var(--soft);-webkit-mask:${RULE} 0 0 repeat-x;mask:${RULE} 0 0 repeat-x}
`,
    header: `
.s-header{--name-size:var(--t3)}
`,
    hero: `
.s-hero.a-above .hero-words{display:flex;align-items:var(--align-box,center);max-width:46rem;margin-inline:auto}
.s-hero .pic{border:var(--rule) solid var(--line)}
`,
    "product-grid": `
.goods-top{justify-content:center}
.goods-top>div{flex:1 1 100%}
`,
    "collection-tiles": `
.tile .pic{border:var(--rule) solid var(--line)}
.tile-name{justify-content:center;font-family:var(--heads);font-weight:var(--heads-weight)}
.tile-count{display:none}
`,
    "picture-words": `
.s-picture-words .pic{border:var(--rule) solid var(--line)}
.a-overlap .pw-words{border:var(--rule) solid var(--line)}
`,
    gallery: `
.w-gallery.a-plate .stage{width:min(100%,34rem);justify-self:center;border:var(--s2) solid var(--raised);outline:var(--rule) solid var(--line)}
.w-gallery.a-plate .shot .pic{min-height:0}
.w-gallery.a-plate .thumbs{justify-content:center}
`,
    "product-rating": `
.w-product-rating{align-self:center}
`,
    "product-options": `
.col>.w-product-options{align-self:center}
.pick-row{justify-content:center}
`,
    "product-state": `
.w-product-state{align-self:center}
`,
    "product-details": `
.w-product-details,.w-assurances{text-align:start}
`,
  },
  widths: [],
};
