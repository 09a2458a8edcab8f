/** Rules of the trail and of pages that say one thing. */
export const PAGES_CSS = `
.crumbs{font-size:var(--t-1);color:var(--soft);margin-bottom:var(--s4)}
.crumbs ol{display:flex;flex-wrap:wrap;gap:.25rem .6rem}
.crumbs li+li::before{content:"/";margin-right:.6rem}
.crumbs a{display:inline-block;min-height:1.5rem}
zest-cart{display:block}
.ways-on{width:100%;margin-top:var(--s5);--head:var(--t2)}
.ways-on .head{margin-block:var(--s4) var(--s2)}
.ways-on .grid{--columns:2}
@media (min-width:800px){
.ways-on .grid{--columns:4}
}
.message-presses{display:flex;flex-wrap:wrap;gap:var(--s2)}
.closed-name{display:flex;justify-content:center;padding-block:var(--s4) 0}
.closed-name .wordmark{font-size:clamp(.8125rem,calc((100vw - 7rem)/(.54*var(--letters,12))),var(--t2))}
.friends{display:grid;gap:var(--s1);justify-items:center;padding-block:var(--s3) var(--s6);text-align:center}
.friends-row{display:flex;gap:.5rem;max-width:24rem;width:100%}
.friends-row .button{flex:none}
.message-code{padding:.7rem 1.2rem;border:2px dashed var(--accent-ink);border-radius:min(var(--card),.75rem);font-weight:var(--strong);font-size:var(--t1);letter-spacing:.06em;user-select:all}
.message-page{padding-block:var(--s6);display:flex;flex-direction:column;gap:var(--s3);align-items:flex-start;--head:var(--t5)}
`;
