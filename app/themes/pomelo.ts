import type { Theme } from "~/core/theme";

export const pomelo: Theme = {
  id: "pomelo",
  name: "Pomelo",
  trades: "Outdoor, toys, makers",
  mood: "Big tight heads under a wide sky. Pictures do the talking.",
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
  css: `
.head{max-width:11em}
.s-hero .head{max-width:6.6em;line-height:.94}
.s-text.a-statement .head{max-width:12em}
.s-header{--name-size:calc(var(--t1)*1.12)}
.nav a,.nav summary{font-weight:540}
.over{color:var(--link)}
.a-on-picture:not(:has(>.pic-none)) .over{color:var(--on-picture)}
@media (min-width:800px){.s-picture-words .pic{min-height:26rem}}
`,
  widths: [],
};
