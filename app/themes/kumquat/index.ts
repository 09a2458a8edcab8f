import type { Theme } from "~/core/theme";

export const kumquat: Theme = {
  id: "kumquat",
  name: "Kumquat",
  trades: "Children, gifts, party, sweets",
  mood: "Round all over, blocks of colour with wavy edges, stickers and chunky buttons.",
  suits: {
    goods: ["few", "some"],
    words: ["few", "some"],
    moods: ["playful", "cheerful", "round"],
    trades: ["toys", "children", "baby", "gifts", "party", "sweets", "cakes", "games"],
  },
  palette: {
    brand: "#c23c0a",
    accent: "#7048b6",
    page: "#fffaf2",
    raised: "#fff0dc",
    tint: { lightness: 0.925, chroma: 0.075, hue: 88 },
    ink: "#3a2418",
    dark: "#43266b",
    onDark: "#fff6e9",
    sale: "#b3264f",
  },
  colourways: [
    { id: "berry", name: "Berry", brand: { colour: "#b3264f", colour2: "#2a6f97", colour3: "#e79ab0" } },
    { id: "pond", name: "Pond", brand: { colour: "#0f766e", colour2: "#b4530a", colour3: "#7cc6b8" } },
  ],
  defaults: {
    typePair: "playroom",
    "type.basePhone": 17,
    "type.baseWide": 18,
    "type.ratioPhone": 1.2,
    "type.ratioWide": 1.3,
    corners: "round",
    "corners.card": 32,
    density: "even",
    "space.content": 1200,
    "pictures.mask": "round",
    goodsShape: "1/1",
    "goods.align": "center",
    "goods.facts": 1,
    "sign.weight": 2.4,
    "button.height": 58,
    "button.padding": 34,
    "button.weight": 800,
    "price.weight": 800,
    "price.size": 1.15,
    "field.height": 54,
    "card.style": "tinted",
    "badge.shape": "sticker",
    "badge.place": "top-right",
    "tabs.style": "pill",
    "rating.sign": "heart",
    "header.set": "page",
    "footer.set": "brand",
    "notice.set": "dark",
  },
  kinds: {
    header: { arrangement: "left", style: { all: { spaceTop: 2, spaceBottom: 2 } } },
    hero: {
      arrangement: "beside",
      style: { all: { headSize: 6, set: "tint", shape: "1/1", spaceTop: 5, spaceBottom: 6, edgeBottom: "wave" } },
    },
    "product-grid": {
      arrangement: "cards",
      style: { all: { headSize: 5, columns: 4, align: "center", spaceTop: 6, spaceBottom: 6 }, phone: { columns: 2 } },
    },
    "collection-tiles": {
      arrangement: "captions",
      style: {
        all: {
          headSize: 5,
          columns: 4,
          shape: "1/1",
          align: "center",
          set: "tint",
          spaceTop: 6,
          spaceBottom: 6,
          edgeTop: "wave",
          edgeBottom: "wave",
        },
      },
    },
    "picture-words": {
      arrangement: "picture-left",
      style: {
        all: {
          headSize: 5,
          shape: "1/1",
          set: "dark",
          spaceTop: 6,
          spaceBottom: 6,
          edgeTop: "scallop",
          edgeBottom: "scallop",
        },
      },
    },
    text: { arrangement: "statement", style: { all: { align: "center", headSize: 5 } } },
    "sign-up": { arrangement: "card", style: { all: { set: "accent", headSize: 4 } } },
    footer: { arrangement: "columns", style: { all: { edgeTop: "wave" } } },
  },
  layouts: {
    "p-main": { style: { all: { gap: 5, across: "center", spaceTop: 3, spaceBottom: 6 } } },
    "p-left": { style: { all: { share: "50%" } } },
    "p-right": { style: { all: { share: "50%", gap: 3 } } },
    "p-gallery": { arrangement: "below" },
    "p-title": { style: { all: { headSize: 5 } } },
    "p-goes-with": {
      style: { all: { set: "tint", edgeTop: "wave", edgeBottom: "wave", spaceTop: 6, spaceBottom: 6 } },
    },
    "c-head": {
      style: { all: { set: "tint", headSize: 6, align: "center", edgeBottom: "wave", spaceTop: 4, spaceBottom: 5 } },
    },
    "c-inside": { style: { all: { align: "center", spaceTop: 5 } } },
    "c-list": { arrangement: "above", style: { all: { columns: 3, spaceTop: 5 }, phone: { columns: 2 } } },
    "s-head": {
      style: { all: { set: "tint", headSize: 5, align: "center", edgeBottom: "wave", spaceTop: 4, spaceBottom: 5 } },
    },
    "ca-head": {
      style: { all: { set: "tint", headSize: 5, align: "center", edgeBottom: "wave", spaceTop: 4, spaceBottom: 5 } },
    },
    "s-list": { style: { all: { spaceTop: 5 } } },
    "ca-main": { style: { all: { spaceTop: 5 } } },
    "ca-lines": { arrangement: "cards" },
    "nf-ways": { style: { all: { align: "center", headSize: 6 } } },
  },
  arrangements: {},
  css: {
    shop: `
.card-picture{background:color-mix(in oklab,var(--brand) 14%,var(--page));border-radius:50%}
.card:hover .card-picture{rotate:-2deg}
.card-picture{transition:rotate .2s}
.card .badge{inset:0 0 auto auto}
.card-title{font-family:var(--heads);font-weight:var(--heads-weight);font-size:var(--t1)}
.button:not(.button-2,.button-3){box-shadow:0 .3rem 0 color-mix(in oklab,var(--bg) 68%,#000)}
.button:not(.button-2,.button-3):active{translate:0 .2rem;box-shadow:0 .1rem 0 color-mix(in oklab,var(--bg) 68%,#000)}
.over{color:var(--accent-ink)}
`,
    header: `
.s-header{--name-size:var(--t2)}
.s-header .nav>ul{gap:.25rem}
.s-header{--nav-size:var(--t-1);--nav-weight:var(--strong);--nav-pad:.7rem}
.nav a:hover{background:var(--raised);border-radius:99px;text-decoration:none}
`,
    hero: `
.s-hero.a-beside .pic{border-radius:50%;justify-self:center;width:min(100%,34rem);box-shadow:0 0 0 1.1rem color-mix(in oklab,var(--brand) 16%,var(--page))}
`,
    "product-grid": `
.s-product-grid .goods-top{flex-direction:column;align-items:center}
.goods-top>div{flex:none}
`,
    "collection-tiles": `
.tile-name{justify-content:center;font-family:var(--heads);font-weight:var(--heads-weight)}
.tile-count{display:none}
`,
    "picture-words": `
.s-picture-words .pic{width:min(100%,30rem);justify-self:center}
`,
    gallery: `
.shot .pic{border-radius:50%}
.thumbs{justify-content:center}
.thumbs a{border-radius:50%}
`,
  },
  widths: [],
};
