/** Rules of the trail, of the cart and of pages that say one thing. */
export const PAGES_CSS = `
.plain{padding-block:var(--s5) var(--s7)}
.crumbs{font-size:var(--t-1);color:var(--soft);margin-bottom:var(--s4)}
.crumbs ol{display:flex;flex-wrap:wrap;gap:.25rem .6rem}
.crumbs li+li::before{content:"/";margin-right:.6rem}
.crumbs a{display:inline-block;min-height:1.5rem}
.plain-head{display:flex;flex-direction:column;gap:var(--s2);margin-bottom:var(--s4);--head:var(--t5)}
.cart{border-top:var(--rule) solid var(--line)}
.cart-line{display:grid;grid-template-columns:6rem 1fr auto;gap:var(--s2) var(--s3);padding-block:var(--s3);border-bottom:var(--rule) solid var(--line);align-items:start}
.cart-line .pic{aspect-ratio:4/5;border-radius:calc(var(--card)/2)}
.cart-words{display:grid;gap:.3rem;justify-items:start}
.cart-words>a{font-weight:var(--strong);text-decoration:none;min-height:1.5rem}
.cart-words>a:hover{text-decoration:underline}
.cart-count{display:flex;flex-wrap:wrap;gap:.4rem;align-items:center;margin-top:.4rem}
.cart-count .field{width:5rem}
.cart-count .button-3{padding-inline:.6rem}
.cart-choice{color:var(--soft);font-size:var(--t-1)}
.cart-total{display:flex;justify-content:space-between;gap:1rem;padding-block:var(--s3);font-weight:var(--strong);font-size:var(--t1)}
.message-page{min-height:52svh;display:flex;flex-direction:column;justify-content:center;gap:var(--s3);align-items:flex-start;--head:var(--t5)}
`;
