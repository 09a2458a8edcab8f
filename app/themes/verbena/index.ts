import type { Theme } from "~/core/theme";

export const verbena: Theme = {
  id: "verbena",
  name: "Verbena",
  trades: "Plants, soap, wellbeing",
  mood: "A glasshouse in the morning: arches, grey greens, soft shadows, thin lines.",
  suits: {
    goods: ["few", "some"],
    words: ["some", "many"],
    moods: ["calm", "natural", "gentle", "fresh"],
    trades: ["plants", "flowers", "seeds", "soap", "candles", "oils", "herbs", "wellbeing", "yoga", "care"],
  },
  palette: {
    brand: "#3f6151",
    accent: "#a8623f",
    page: "#fbfbf7",
    raised: "#eef1ea",
    tint: { lightness: 0.925, chroma: 0.013, hue: 155 },
    ink: "#20302a",
    dark: "#24382f",
    onDark: "#eef2ea",
    sale: "#a63a2b",
  },
  colourways: [
    { id: "lavender", name: "Lavender", brand: { colour: "#5b5187", colour2: "#8c6a3f", colour3: "#9a8fb8" } },
    { id: "clay", name: "Clay", brand: { colour: "#8d4a35", colour2: "#51705f", colour3: "#c39a83" } },
  ],
  defaults: {
    typePair: "conservatory",
    "type.basePhone": 16.5,
    "type.baseWide": 17,
    "type.ratioPhone": 1.21,
    "type.ratioWide": 1.31,
    corners: "round",
    density: "airy",
    "space.air": 125,
    "space.content": 1200,
    "corners.card": 18,
    "pictures.mask": "arch",
    goodsShape: "4/5",
    "goods.align": "center",
    "goods.facts": 1,
    "goods.second": false,
    "sign.weight": 1.1,
    shadow: "soft",
    "button.height": 50,
    "button.padding": 30,
    "button.weight": 600,
    "button.secondary.style": "outline",
    "button.secondary.role": "brand",
    "link.thickness": 1,
    "field.style": "box",
    "field.height": 50,
    "card.style": "raised",
    "badge.shape": "pill",
    "badge.place": "bottom-left",
    "tabs.style": "pill",
    "header.set": "page",
    "footer.set": "tint",
    "notice.set": "tint",
  },
  kinds: {
    header: { arrangement: "left", style: { all: { spaceTop: 1, spaceBottom: 1, sticky: "top" } } },
    hero: {
      arrangement: "arch",
      style: {
        all: { headSize: 6, set: "tint", shape: "4/5", spaceTop: 5, spaceBottom: 6 },
        phone: { shape: "1/1", spaceTop: 3, spaceBottom: 4 },
      },
    },
    "product-grid": {
      arrangement: "cards",
      style: { all: { headSize: 4, columns: 4, align: "center" }, phone: { columns: 2 } },
    },
    "collection-tiles": {
      arrangement: "captions",
      style: { all: { headSize: 4, columns: 4, shape: "3/4", align: "center", set: "tint" } },
    },
    "picture-words": { arrangement: "overlap", style: { all: { headSize: 4, shape: "4/3", set: "page" } } },
    text: { arrangement: "statement", style: { all: { align: "center", headSize: 4, width: "narrow" } } },
    "sign-up": { arrangement: "card", style: { all: { set: "brand", headSize: 4, align: "center" } } },
    footer: { arrangement: "columns" },
  },
  layouts: {
    "p-main": {
      style: { all: { set: "tint", gap: 4, across: "start", spaceTop: 3, spaceBottom: 6 }, phone: { spaceTop: 2 } },
    },
    "p-left": { style: { all: { share: "54%" } } },
    "p-right": {
      style: {
        all: { share: "46%", gap: 3, set: "page", pad: 5, lift: "high", round: "card" },
        phone: { pad: 3 },
      },
    },
    "p-gallery": { arrangement: "below", style: { phone: { shape: "1/1" } } },
    "p-details": { arrangement: "folded" },
    "p-goes-with": { style: { all: { set: "page", align: "center" } } },
    "c-head": { arrangement: "beside", style: { all: { set: "tint", headSize: 5, spaceTop: 4, spaceBottom: 5 } } },
    "c-inside": { style: { all: { spaceTop: 4 } } },
    "c-list": { arrangement: "side", style: { all: { columns: 3, spaceTop: 5 }, phone: { columns: 2 } } },
    "s-head": { style: { all: { set: "tint", headSize: 5, align: "center", spaceTop: 4, spaceBottom: 4 } } },
    "s-list": { style: { all: { columns: 4, spaceTop: 5 }, phone: { columns: 2 } } },
    "ca-head": { style: { all: { headSize: 5, align: "center", spaceBottom: 2 } } },
    "ca-main": { style: { all: { gap: 6 } } },
    "ca-lines": { arrangement: "cards" },
    "nf-ways": { style: { all: { align: "center", headSize: 5 } } },
  },
  arrangements: {
    hero: [{ id: "arch", name: "An arch, and a card of words before it", as: "beside" }],
  },
  css: {
    shop: `
.head{letter-spacing:-.005em}
.over{font-weight:var(--text-weight);color:var(--accent-ink)}
.card-picture{background:var(--raised)}
.card-title{font-family:var(--heads);font-weight:var(--heads-weight);font-size:var(--t1);line-height:1.2;text-wrap:balance}
`,
    header: `
.s-header{--name-size:var(--t2);--nav-size:var(--t-1);border-bottom:1px solid var(--line)}
.s-header .wordmark{font-family:var(--heads);font-weight:var(--heads-weight);letter-spacing:0}
@media (max-width:479.98px){.s-header{--name-size:var(--t1)}}
`,
    hero: `
.s-hero.a-arch .in{gap:0}
.s-hero.a-arch .pic{order:-1;width:min(100%,30rem);justify-self:center}
.s-hero.a-arch .hero-words{position:relative;background:var(--raised);border-radius:var(--card);box-shadow:0 24px 60px -28px rgb(20 40 30/.45);padding:var(--s4);margin-top:-3.5rem}
@media (min-width:800px){
.s-hero.a-arch .in{grid-template-columns:repeat(12,minmax(0,1fr));align-items:center}
.s-hero.a-arch .hero-words{grid-area:1/1/2/8;padding:var(--s5);margin:0}
.s-hero.a-arch .pic{grid-area:1/7/2/13;width:100%;max-height:min(46rem,84svh)}
}
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
.s-picture-words.a-overlap .pic{border-radius:var(--card)}
.s-picture-words.a-overlap .pw-words{background:var(--page);box-shadow:0 24px 60px -28px rgb(20 40 30/.45)}
@media (min-width:800px){.s-picture-words.a-overlap .pw-words{padding:var(--s5)}}
`,
    gallery: `
.w-gallery .shot .pic{border-radius:var(--pic-corners)}
.thumbs{justify-content:center}
`,
  },
  widths: [],
};
