import type { Theme } from "~/core/theme";

// A pen line that wavers a little, repeated along the top of a section.
const RULE = `url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='420' height='8' viewBox='0 0 420 8'%3E%3Cpath d='M0 4.300C18 2.900 31 5.400 52 4.500s34-2.200 57-.9 37 2.300 60 .8 33-2.100 55-.6 39 2 61 .4 35-1.600 56-.2 41 1.800 79 .3' fill='none' stroke='black' stroke-width='1.500' stroke-linecap='round'/%3E%3C/svg%3E")`;

export const quince: Theme = {
  id: "quince",
  name: "Quince",
  trades: "Food, preserves, farm shops",
  mood: "Warm paper, a soft serif and a drawn line between things.",
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
  defaults: {
    typePair: "larder",
    "type.basePhone": 17,
    "type.baseWide": 18,
    "type.ratioPhone": 1.18,
    "type.ratioWide": 1.26,
    corners: "square",
    density: "even",
    "space.content": 1120,
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
      style: { all: { headSize: 4, columns: 3, align: "center" } },
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
  css: `
main>.s:not(.s-collection-head):not(.s-search-head):not(:has(.w-trail))+.s:not(.s-collection-inside):not([data-set=brand]):not([data-set=dark])::before,.s-footer::before{content:"";position:absolute;top:-4px;left:var(--gutter);right:var(--gutter);height:8px;max-width:var(--content);margin-inline:auto;background:var(--soft);-webkit-mask:${RULE} 0 0 repeat-x;mask:${RULE} 0 0 repeat-x}
.s-header{--name-size:var(--t3)}
.s-header .nav a,.s-header .nav summary{font-size:var(--t0);font-style:normal}
.head{max-width:15.5em}
.s-hero.a-above .hero-words{display:flex;align-items:var(--align-box,center);max-width:46rem;margin-inline:auto}
.tile .pic,.s-hero .pic,.s-picture-words .pic{border:var(--rule) solid var(--line)}
.card-title{font-family:var(--heads);font-weight:var(--heads-weight);font-size:var(--t1);line-height:1.2}
.card .price{margin-top:.35rem}
.goods-top{justify-content:center}
.goods-top>div{flex:1 1 100%}
.tile-name{justify-content:center;font-family:var(--heads);font-weight:var(--heads-weight)}
.tile-count{display:none}
.a-overlap .pw-words{border:var(--rule) solid var(--line)}
`,
  widths: [],
};
