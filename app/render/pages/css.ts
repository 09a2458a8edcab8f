/** Rules of the plain product, collection and message pages. */
export const PAGES_CSS = `
.plain{padding-block:var(--s5) var(--s7)}
.crumbs{font-size:var(--t-1);color:var(--soft);margin-bottom:var(--s4)}
.crumbs ol{display:flex;flex-wrap:wrap;gap:.25rem .6rem}
.crumbs li+li::before{content:"/";margin-right:.6rem}
.crumbs a{display:inline-block;min-height:1.5rem}
.search{display:flex;flex-wrap:wrap;gap:.6rem;max-width:36rem;margin-block:var(--s2)}
.search .field{flex:1 1 14rem;width:auto}
.plain-head{display:flex;flex-direction:column;gap:var(--s2);margin-bottom:var(--s5);--head:var(--t5)}
.plain .grid{--columns:2}
@media (min-width:600px){.plain .grid{--columns:3}}
@media (min-width:1024px){.plain .grid{--columns:4}}
.product{display:grid;gap:var(--s4) var(--s6)}
.product-pictures{display:grid;gap:var(--s2);grid-template-columns:1fr 1fr;align-content:start}
.product-pictures .pic{aspect-ratio:var(--shape);border-radius:var(--card)}
.product-pictures .pic:first-child{grid-column:1/-1}
.product-words{display:flex;flex-direction:column;gap:var(--s3);align-items:flex-start;--head:var(--t4)}
.product-words>.price{font-size:var(--t2)}
.state{display:flex;gap:.5em;align-items:baseline;font-weight:var(--strong)}
.state::before{content:"";width:.6em;height:.6em;border-radius:50%;background:var(--success);flex:none}
.state-sold-out::before,.state-discontinued::before{background:none;border:1.5px solid var(--soft)}
.state-coming-soon::before,.state-made-to-order::before,.state-collect-only::before{background:var(--link)}
.facts{width:100%;border-top:var(--rule) solid var(--line)}
.facts>div{display:grid;grid-template-columns:10rem 1fr;gap:1rem;padding-block:.55rem;border-bottom:var(--rule) solid var(--line)}
.facts dt{color:var(--soft)}
@media (min-width:800px){.product{grid-template-columns:1.25fr 1fr}.product-words{position:sticky;top:var(--s3);align-self:start}}
.message-page{min-height:52svh;display:flex;flex-direction:column;justify-content:center;gap:var(--s3);align-items:flex-start;--head:var(--t5)}
`;
