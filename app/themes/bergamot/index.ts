import type { Theme } from "~/core/theme";

export const bergamot: Theme = {
  id: "bergamot",
  name: "Bergamot",
  trades: "Tea, coffee, ceramics, kitchen",
  mood: "Half and half. Things stand on shelves, their names before their pictures, and nothing hurries.",
  suits: {
    goods: ["few", "some"],
    words: ["some"],
    moods: ["gentle", "modern", "calm"],
    trades: ["tea", "coffee", "ceramics", "pottery", "kitchen", "spices", "chocolate"],
  },
  palette: {
    brand: "#3f5d3a",
    accent: "#a8562a",
    page: "#f4f1ea",
    raised: "#fbf9f4",
    tint: { lightness: 0.89, chroma: 0.03, hue: 128 },
    ink: "#242a22",
    dark: "#2b3a2c",
    onDark: "#f3f0e6",
    sale: "#9c3a22",
  },
  colourways: [
    { id: "roast", name: "Roast", brand: { colour: "#6b3f22", colour2: "#3f6058", colour3: "#b08968" } },
    { id: "hibiscus", name: "Hibiscus", brand: { colour: "#92304b", colour2: "#5b6b2f", colour3: "#c99aa6" } },
  ],
  defaults: {
    typePair: "tea-house",
    "type.basePhone": 16.5,
    "type.baseWide": 17.5,
    "type.ratioPhone": 1.19,
    "type.ratioWide": 1.3,
    corners: "soft",
    "corners.card": 2,
    "corners.control": 4,
    density: "airy",
    "space.content": 1240,
    goodsShape: "5/6",
    "goods.words": "first",
    "goods.facts": 1,
    "goods.fit": "cover",
    "sign.weight": 1.5,
    "button.height": 46,
    "button.padding": 22,
    "button.weight": 500,
    "field.style": "filled",
    "badge.shape": "soft",
    "badge.place": "bottom-right",
    "header.set": "tint",
    "footer.set": "tint",
    "notice.set": "page",
  },
  kinds: {
    header: { arrangement: "beside", style: { all: { spaceTop: 2, spaceBottom: 2 } } },
    hero: {
      arrangement: "halves",
      style: { all: { headSize: 6, set: "tint", spaceTop: 0, spaceBottom: 0, shape: "5/6" }, phone: { shape: "4/5" } },
    },
    "product-grid": {
      arrangement: "shelf",
      style: { all: { headSize: 3, columns: 4, spaceTop: 6, spaceBottom: 6 }, phone: { columns: 2 } },
    },
    "collection-tiles": { arrangement: "captions", style: { all: { headSize: 3, columns: 3, shape: "5/6" } } },
    "picture-words": {
      arrangement: "picture-left",
      style: { all: { headSize: 4, shape: "5/6", width: "full", spaceTop: 0, spaceBottom: 0, set: "page" } },
    },
    text: { arrangement: "beside", style: { all: { headSize: 3 } } },
    "sign-up": { arrangement: "band", style: { all: { set: "page", headSize: 3 } } },
    footer: { arrangement: "halves" },
  },
  layouts: {
    "p-main": {
      style: { all: { width: "full", sides: "none", gap: 0, spaceTop: 0, spaceBottom: 0, across: "stretch" } },
    },
    "p-left": { style: { all: { share: "50%" } } },
    "p-right": { style: { all: { share: "50%", gap: 3, down: "center", pad: 6 }, phone: { pad: 3 } } },
    "p-gallery": { arrangement: "below", style: { phone: { shape: "1/1" } } },
    "p-details": { arrangement: "tabs" },
    "p-goes-with": { arrangement: "shelf", style: { all: { set: "page" } } },
    "c-head": { arrangement: "beside", style: { all: { headSize: 5 } } },
    "c-list": { style: { all: { columns: 3 }, phone: { columns: 2 } } },
    "ca-lines": { arrangement: "rows" },
    "ca-main": { style: { all: { gap: 6 } } },
  },
  arrangements: {
    hero: [{ id: "halves", name: "Half words, half picture", as: "beside", style: { all: { width: "full" } } }],
  },
  css: {
    shop: `
.card-title{font-family:var(--heads);font-weight:var(--heads-weight);letter-spacing:-.015em}
.over{font-weight:var(--text-weight);font-style:italic}
.button:not(.button-2,.button-3){letter-spacing:0}
`,
    hero: `
.s-hero.a-halves .in{padding-inline:0;gap:0;max-width:none}
.s-hero.a-halves .hero-words{padding:var(--s5) var(--gutter)}
.s-hero.a-halves .pic{border-radius:0}
@media (min-width:800px){.s-hero.a-halves .in{grid-template-columns:1fr 1fr;min-height:min(44rem,84svh);align-items:stretch}.s-hero.a-halves .hero-words{justify-content:flex-end;padding:var(--s6) var(--s5) var(--s6) max(var(--gutter),calc((100vw - var(--content))/2))}.s-hero.a-halves .pic{aspect-ratio:auto;height:100%}}
`,
    "product-grid": `
.s-product-grid.a-shelf .shelf,.s-product-grid .grid{border-bottom:3px solid var(--ink);padding-bottom:0}
.s-product-grid .card{height:100%}
.s-product-grid .goods-top{align-items:baseline;margin-bottom:var(--s3)}
.s-product-grid .card-picture{order:2;margin-top:auto}
`,
    "picture-words": `
.s-picture-words{--sides:0px}
.s-picture-words .in{gap:0}
.s-picture-words .pw-words{padding:var(--s5) clamp(1.25rem,6vw,6rem)}
@media (min-width:800px){.s-picture-words.a-picture-left .in{grid-template-columns:1fr 1fr}.s-picture-words .pic{border-radius:0;height:100%}}
`,
    footer: `
.s-footer{border-top:3px solid var(--ink)}
`,
  },
  widths: [],
};
