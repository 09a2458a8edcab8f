/** Rules of the trail, of the cart and of pages that say one thing. */
export const PAGES_CSS = `
.plain{padding-block:var(--s5) var(--s7)}
.crumbs{font-size:var(--t-1);color:var(--soft);margin-bottom:var(--s4)}
.crumbs ol{display:flex;flex-wrap:wrap;gap:.25rem .6rem}
.crumbs li+li::before{content:"/";margin-right:.6rem}
.crumbs a{display:inline-block;min-height:1.5rem}
.plain-head{display:flex;flex-direction:column;gap:var(--s2);margin-bottom:var(--s4);--head:var(--t5)}
zest-cart{display:block}
.cart-both{display:grid;gap:var(--s4)}
.cart{border-top:var(--rule) solid var(--line)}
.cart-line{display:grid;grid-template:"pic words price" auto "pic count remove" 1fr/5.5rem minmax(0,1fr) auto;gap:.3rem var(--s3);padding-block:var(--s3);border-bottom:var(--rule) solid var(--line);align-items:start}
.cart-line>.pic{grid-area:pic;aspect-ratio:1;border-radius:calc(var(--card)/2)}
.cart-line>.price{grid-area:price;align-self:start;font-weight:var(--strong)}
.cart-words{grid-area:words;display:grid;gap:.15rem;justify-items:start}
.cart-words>a{font-weight:var(--strong);text-decoration:none;line-height:1.3;min-height:1.5rem}
.cart-words>a:hover{text-decoration:underline}
.cart-choice{color:var(--soft);font-size:var(--t-1)}
.cart-count{grid-area:count;justify-self:start;align-self:end;position:relative;display:inline-flex;align-items:stretch;min-height:2.5rem;border:1px solid var(--field-line);border-radius:var(--field-corners);overflow:hidden}
.cart-count input{width:2.6rem;border:0;background:none;text-align:center;font-variant-numeric:tabular-nums;appearance:textfield;-moz-appearance:textfield;border-radius:0}
.cart-count input::-webkit-inner-spin-button{appearance:none;margin:0}
.cart-step{width:2.5rem;border:0;background:none;cursor:pointer;font-size:1.15em;line-height:1}
.cart-step:hover{background:var(--raised)}
.cart-step:disabled{color:var(--soft);cursor:default}
.cart-count:focus-within{outline:2px solid var(--focus);outline-offset:2px}
.cart-count :focus-visible{outline-offset:-3px}
.cart-remove{grid-area:remove;align-self:end;justify-self:end}
.cart-remove button{border:0;background:none;padding:.4rem 0;min-height:2.5rem;color:var(--soft);font-size:var(--t-1);text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.cart-remove button:hover{color:var(--ink)}
.cart-sum{display:grid;gap:var(--s2);align-self:start}
.cart-total{display:flex;justify-content:space-between;gap:1rem;font-weight:var(--strong);font-size:var(--t1)}
.cart-total .price{font-size:inherit;line-height:inherit}
.cart-none{display:grid;gap:var(--s3);justify-items:start}
.ways-on{width:100%;margin-top:var(--s5);--head:var(--t2)}
.ways-on .head{margin-block:var(--s4) var(--s2)}
.ways-on .grid{--columns:2}
zest-cart[aria-busy=true] .cart-both{opacity:.6;transition:opacity .2s .15s}
@media (max-width:359.98px){.cart-line{column-gap:var(--s2)}.cart-step{width:2.1rem}.cart-count input{width:2.1rem}}
@media (min-width:800px){
.ways-on .grid{--columns:4}
.cart-line{grid-template:"pic words count price" auto "pic words remove remove" 1fr/6.5rem minmax(0,1fr) auto minmax(5.5rem,auto);column-gap:var(--s4)}
.cart-count{align-self:start}
.cart-line>.price{min-height:2.5rem;align-items:center;justify-self:end}
}
@media (max-width:799.98px){.cart-line>.price{flex-flow:column;align-items:flex-end;text-align:end}.cart-line>.price del{font-weight:400}}
.cart-off{color:var(--accent-ink);font-size:var(--t-1)}
.cart-off b{font-weight:inherit;white-space:nowrap}
.cart-given{grid-area:count;align-self:end;color:var(--soft)}
.cart-offers{display:grid;gap:var(--s3);align-content:start}
.cart-offs{display:grid;gap:.5rem}
.cart-offs li{display:flex;flex-wrap:wrap;gap:0 1rem;justify-content:space-between;align-items:baseline}
.cart-take{flex-basis:100%}
.cart-goal{padding:.6rem .8rem;background:var(--raised);border-radius:calc(var(--card)/2)}
.cart-why{display:block;color:var(--soft);font-size:var(--t-1)}
.cart-drop{border:0;background:none;padding:0;min-height:1.75rem;color:var(--soft);font-size:var(--t-1);text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.cart-drop:hover{color:var(--ink)}
.cart-code{display:grid;gap:.35rem}
.cart-code-row{display:flex;gap:.5rem}
.cart-code-row input{flex:1;min-width:0;text-transform:uppercase}
.cart-code-row .button{flex:none}
@media (min-width:1000px){
.cart-both{grid-template:auto 1fr/minmax(0,1fr) 19rem;gap:var(--s4) var(--s6)}
.cart{grid-row:1/3}
.cart-sum{position:sticky;top:1.5rem;padding:var(--s3);background:var(--raised);border-radius:var(--card)}
}
@media (max-width:999.98px){
.cart-sum{position:sticky;bottom:0;z-index:2;margin-inline:calc(-1*var(--gutter));padding:.8rem var(--gutter) calc(.8rem + env(safe-area-inset-bottom));background:var(--page);border-top:1px solid var(--line)}
}
.closed-name{display:flex;justify-content:center;padding-block:var(--s4) 0}
.closed-name .wordmark{font-size:var(--t2)}
.friends{display:grid;gap:var(--s1);justify-items:center;padding-block:var(--s3) var(--s6);text-align:center}
.friends-row{display:flex;gap:.5rem;max-width:24rem;width:100%}
.friends-row .button{flex:none}
.message-code{padding:.7rem 1.2rem;border:2px dashed var(--accent-ink);border-radius:min(var(--card),.75rem);font-weight:var(--strong);font-size:var(--t1);letter-spacing:.06em;user-select:all}
.message-page{padding-block:var(--s6);display:flex;flex-direction:column;gap:var(--s3);align-items:flex-start;--head:var(--t5)}
`;
