import type { Theme } from "~/core/theme";

export const pomelo: Theme = {
  id: "pomelo",
  name: "Pomelo",
  trades: "Outdoor, toys, makers",
  mood: "Big tight heads under a wide sky. Pictures do the talking.",
  suits: {
    goods: ["some", "many"],
    words: ["few", "some"],
    moods: ["open", "lively", "bold"],
    trades: ["kites", "outdoor", "toys", "bikes", "makers", "camping", "gardens"],
  },
  palette: {
    brand: "#c93a17",
    accent: "#0f6f86",
    page: "#fdfbf5",
    raised: "#f2efe4",
    tint: { lightness: 0.925, chroma: 0.034, hue: 222 },
    ink: "#14242c",
    dark: "#0f333e",
    onDark: "#f8f5ea",
    sale: "#b3261a",
  },
  colourways: [
    { id: "dune", name: "Dune", brand: { colour: "#8a5a12", colour2: "#2d6a5f", colour3: "#c9a24a" } },
    { id: "lagoon", name: "Lagoon", brand: { colour: "#0b7285", colour2: "#c2410c", colour3: "#2a9d8f" } },
  ],
  defaults: {
    typePair: "open-air",
    "type.basePhone": 17,
    "type.baseWide": 18,
    "type.ratioPhone": 1.215,
    "type.ratioWide": 1.345,
    corners: "round",
    density: "even",
    "space.content": 1280,
    goodsShape: "4/5",
    "button.padding": 27,
    "badge.shape": "pill",
    "header.set": "page",
    "footer.set": "dark",
    "notice.set": "brand",
  },
  kinds: {
    header: { arrangement: "left" },
    hero: { arrangement: "on-picture", style: { all: { headSize: 6 } } },
    "product-grid": { arrangement: "cards", style: { all: { headSize: 5, columns: 4 } } },
    "collection-tiles": { arrangement: "on-pictures", style: { all: { headSize: 4, columns: 3 } } },
    "picture-words": { arrangement: "picture-left", style: { all: { headSize: 5, shape: "4/3", set: "tint" } } },
    text: { arrangement: "statement" },
    "sign-up": { arrangement: "band", style: { all: { set: "brand", headSize: 4 } } },
    footer: { arrangement: "wide-name" },
  },
  layouts: {
    "p-main": {
      style: { all: { width: "full", gap: 4, spaceTop: 0 } },
    },
    "p-left": { style: { all: { share: "62%" } } },
    "p-right": { style: { all: { share: "38%", gap: 3, sticky: "near" } } },
    "p-gallery": { arrangement: "grid" },
    "c-head": { arrangement: "over", style: { all: { headSize: 6 } } },
    "s-head": { style: { all: { headSize: 6, set: "tint" } } },
    "ca-head": { style: { all: { headSize: 6 } } },
    "nf-ways": { style: { all: { headSize: 6 } } },
  },
  arrangements: {},
  css: {
    shop: `
.head{max-width:11em}
.over{color:var(--link)}
`,
    hero: `
.s-hero .head{max-width:6.6em;line-height:.94}
.a-on-picture:not(:has(>.pic-none)) .over{color:var(--on-picture)}
`,
    header: `
.s-header{--name-size:calc(var(--t1)*1.12);--nav-weight:540}
`,
    text: `
.s-text.a-statement .head{max-width:12em}
`,
    "picture-words": `
@media (min-width:800px){.s-picture-words .pic{min-height:26rem}}
`,
  },
  widths: [],
};
