import type { Theme } from "~/core/theme";

export const medlar: Theme = {
  id: "medlar",
  name: "Medlar",
  trades: "Books, paper, stationery, prints",
  mood: "Set like a page: a masthead, numbered parts, a narrow column, goods in a list.",
  suits: {
    goods: ["some", "many"],
    words: ["many"],
    moods: ["bookish", "calm", "literate"],
    trades: ["books", "paper", "stationery", "prints", "maps", "pens", "cards", "notebooks"],
  },
  palette: {
    brand: "#8f2d22",
    accent: "#2f4a63",
    page: "#fdfcf9",
    raised: "#f4f1ea",
    tint: { lightness: 0.94, chroma: 0.018, hue: 84 },
    ink: "#1d1a17",
    dark: "#26211d",
    onDark: "#f7f2e9",
    sale: "#8f2d22",
  },
  colourways: [
    { id: "ink", name: "Blue-black", brand: { colour: "#24405e", colour2: "#8a4b2a", colour3: "#8095a8" } },
    { id: "bottle", name: "Bottle", brand: { colour: "#23513f", colour2: "#8a3324", colour3: "#8aa38f" } },
  ],
  defaults: {
    typePair: "reading-room",
    "type.basePhone": 17,
    "type.baseWide": 17.5,
    "type.ratioPhone": 1.17,
    "type.ratioWide": 1.25,
    "type.measure": 60,
    corners: "square",
    density: "even",
    "space.content": 1080,
    goodsShape: "3/4",
    "goods.facts": 3,
    "goods.fit": "contain",
    "goods.frame": "framed",
    "sign.weight": 1.4,
    "button.height": 44,
    "button.padding": 22,
    "field.style": "line",
    "link.role": "ink",
    "badge.shape": "square",
    "tabs.style": "underline",
    "header.set": "page",
    "footer.set": "page",
    "notice.set": "page",
  },
  kinds: {
    notice: { arrangement: "middle" },
    header: {
      arrangement: "masthead",
      style: { all: { spaceTop: 3, spaceBottom: 0 }, phone: { spaceTop: 1, spaceBottom: 1 } },
    },
    hero: { arrangement: "leader", style: { all: { headSize: 6, spaceTop: 5, spaceBottom: 5, shape: "3/2" } } },
    "product-grid": {
      arrangement: "rows",
      style: { all: { headSize: 3, columns: 2, spaceTop: 5, spaceBottom: 5 }, phone: { columns: 1 } },
    },
    "collection-tiles": { arrangement: "index", style: { all: { headSize: 3, spaceTop: 5, spaceBottom: 5 } } },
    "picture-words": {
      arrangement: "picture-right",
      style: { all: { headSize: 3, shape: "3/4", spaceTop: 5, spaceBottom: 5 } },
    },
    text: { arrangement: "initial", style: { all: { headSize: 3, spaceTop: 5, spaceBottom: 5, width: "narrow" } } },
    "sign-up": { arrangement: "stack", style: { all: { set: "page", headSize: 3, align: "center" } } },
    footer: { arrangement: "middle" },
  },
  layouts: {
    "p-main": { style: { all: { gap: 6, spaceTop: 3 } } },
    "p-left": { style: { all: { share: "36%" } } },
    "p-right": { style: { all: { share: "64%", gap: 3 } } },
    "p-gallery": { arrangement: "below", style: { phone: { shape: "1/1" } } },
    "p-details": { arrangement: "open" },
    "p-title": { style: { all: { headSize: 5 }, phone: { headSize: 3 } } },
    "p-goes-with": { style: { all: { set: "page" } } },
    "c-head": { style: { all: { align: "center", headSize: 5 } } },
    "c-list": { arrangement: "register", style: { all: { columns: 1 } } },
    "s-head": { style: { all: { align: "center", headSize: 5 } } },
    "s-list": { arrangement: "register", style: { all: { columns: 1 } } },
    "ca-head": { style: { all: { headSize: 5 } } },
    "ca-lines": { arrangement: "close" },
    "ca-sum": { arrangement: "plain" },
    "nf-ways": { style: { all: { align: "center" } } },
  },
  arrangements: {
    header: [{ id: "masthead", name: "A masthead between rules", as: "middle" }],
    hero: [{ id: "leader", name: "A leading article", as: "above" }],
    "goods-list": [{ id: "register", name: "A list with small pictures", as: "side" }],
  },
  css: {
    shop: `
main{counter-reset:part}
.card-title{font-family:var(--heads);font-weight:var(--heads-weight);font-size:var(--t1)}
.card .price{font-variant-numeric:tabular-nums lining-nums}
.over{font-style:italic;font-weight:var(--text-weight)}
`,
    notice: `
.s-notice{border-bottom:1px solid var(--ink)}
`,
    header: `
.s-header.a-masthead{--name-size:clamp(1.9rem,5.4vw,4rem)}
@media (min-width:800px){
.s-header.a-masthead .nav{align-self:stretch;justify-content:center;border-top:3px double var(--ink);border-bottom:1px solid var(--ink);margin-top:var(--s2)}
.s-header{--nav-size:var(--t-1);--nav-slant:italic}
}
`,
    hero: `
.s-hero.a-leader .head{max-width:9em}
.s-hero.a-leader .pic{border:1px solid var(--line)}
@media (min-width:800px){.s-hero.a-leader .in{display:grid;grid-template-columns:1.1fr 1fr;align-items:center}.s-hero.a-leader .hero-words{display:flex;align-items:flex-start}.s-hero.a-leader .pic{aspect-ratio:4/5}}
`,
    "product-grid": `
.s-product-grid .head::before{counter-increment:part;content:counter(part,upper-roman) ".";display:block;font-size:var(--t1);font-style:italic;color:var(--soft);margin-bottom:.4em}
.s-product-grid.a-rows .card-picture{flex-basis:6.5rem}
.s-product-grid .goods-top{border-bottom:1px solid var(--ink);padding-bottom:var(--s2);margin-bottom:0}
`,
    "collection-tiles": `
.s-collection-tiles .in>.head::before{counter-increment:part;content:counter(part,upper-roman) ".";display:block;font-size:var(--t1);font-style:italic;color:var(--soft);margin-bottom:.4em}
.a-index .tile{border-top-style:dotted}
.a-index .tile-name{font-size:var(--t2);padding-block:var(--s2)}
`,
    "picture-words": `
.s-picture-words .head::before{counter-increment:part;content:counter(part,upper-roman) ".";display:block;font-size:var(--t1);font-style:italic;color:var(--soft);margin-bottom:.4em}
@media (min-width:800px){.s-picture-words.a-picture-right .in{grid-template-columns:1.6fr 1fr}}
`,
    text: `
.s-text .head::before{counter-increment:part;content:counter(part,upper-roman) ".";display:block;font-size:var(--t1);font-style:italic;color:var(--soft);margin-bottom:.4em}
`,
    "goods-list": `
.s-goods-list.a-register .grid{gap:0;grid-template-columns:minmax(0,1fr)}
.s-goods-list.a-register .card{flex-direction:row;gap:var(--s3);padding-block:var(--s2);border-bottom:1px solid var(--line)}
.s-goods-list.a-register .card-picture{flex:0 0 5.5rem}
.s-goods-list.a-register .card-words{padding:0;text-align:start}
.s-goods-list.a-register .card-facts{justify-content:flex-start}
.s-goods-list.a-register .badge{position:static;justify-self:start;rotate:none;min-height:0;margin-top:.3rem;max-width:100%}
@media (min-width:600px){.s-goods-list.a-register .card-picture{flex-basis:7rem}.s-goods-list.a-register .card-words{display:grid;grid-template-columns:minmax(0,1fr) auto;align-content:start;column-gap:1.5rem}.s-goods-list.a-register .card-end{grid-area:1/2/3/3;align-items:flex-end;margin:0}}
`,
    "product-details": `
.part-open>.head{font-style:italic}
.part-open .rich::first-letter{float:left;font-family:var(--heads);font-size:3.3em;line-height:.8;padding:.08em .1em 0 0;color:var(--brand)}
`,
    footer: `
.s-footer{border-top:3px double var(--ink)}
`,
  },
  widths: [],
};
