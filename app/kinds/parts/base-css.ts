/** Rules that every page of every theme starts from. Names of classes are short because every page carries them. */
export const BASE_CSS = `
*,*::before,*::after{box-sizing:border-box}
html{-webkit-text-size-adjust:100%;text-size-adjust:100%;scroll-behavior:smooth;--gutter:clamp(1.125rem,.7rem + 1.7vw,2.5rem)}
body{margin:0;background:var(--ground);color:var(--ink);font-family:var(--text);font-weight:var(--text-weight);font-size:var(--t0);line-height:var(--text-leading);-webkit-font-smoothing:antialiased;overflow-wrap:break-word}
h1,h2,h3,p,dl,dd,ul,ol,figure{margin:0;padding:0}
ul,ol{list-style:none}
img,svg{display:block;max-width:100%}
a{color:inherit;text-decoration-thickness:.07em;text-underline-offset:.2em}
button,input{font:inherit;color:inherit}
:focus-visible{outline:2px solid var(--focus);outline-offset:3px}
.unseen{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}
.skip{position:absolute;left:-999px;top:0;z-index:9;background:var(--ink);color:var(--ground);padding:.75rem 1rem}
.skip:focus{left:0}
.s{position:relative;background:var(--ground);color:var(--ink);padding-block:var(--space-top,0) var(--space-bottom,0)}
.in{width:100%;max-width:calc(var(--max,var(--content)) + 2*var(--gutter));margin-inline:auto;padding-inline:var(--gutter)}
.head{font-family:var(--heads);font-weight:var(--heads-weight);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);line-height:var(--heads-leading);font-size:var(--head,var(--t3));text-wrap:balance;white-space:pre-line;hyphens:none}
.lead{text-wrap:pretty;white-space:pre-line;max-width:62ch}
.over{font-size:var(--t-1);font-weight:var(--strong);color:var(--soft)}
.pic{position:relative;overflow:hidden;background:var(--raised)}
.pic img{width:100%;height:100%;object-fit:cover}
.pic-none{background:repeating-linear-gradient(135deg,var(--line) 0 1px,transparent 1px 14px),var(--raised)}
.button{display:inline-flex;align-items:center;justify-content:center;min-height:3rem;padding:.7rem 1.5rem;border:1px solid var(--button);border-radius:var(--control);background:var(--button);color:var(--on-button);font-weight:var(--strong);text-decoration:none;cursor:pointer;transition:background-color .15s}
.button:hover{background:var(--button-hover);border-color:var(--button-hover)}
.button:active{background:var(--button-pressed);border-color:var(--button-pressed)}
.more{display:inline-block;padding-block:.4rem;color:var(--link);font-weight:var(--strong);text-decoration:underline}
.more:hover{text-decoration-thickness:.14em}
.field{min-height:3rem;padding:.7rem 1rem;border:1px solid var(--field-line);border-radius:min(var(--control),1.5rem);background:var(--raised);color:var(--ink);width:100%}
.field::placeholder{color:var(--soft);opacity:1}
.price{font-variant-numeric:tabular-nums;white-space:nowrap}
.price ins{color:var(--sale);text-decoration:none;font-weight:var(--strong)}
.price del{color:var(--soft);margin-left:.35em}
.badge{position:absolute;left:.6rem;top:.6rem;padding:.2rem .55rem;border-radius:min(var(--control),.9rem);background:var(--badge);color:var(--on-badge);font-size:var(--t-2);font-weight:var(--strong);line-height:1.35}
.badge-sale{background:var(--sale);color:var(--ground)}
.card{position:relative;display:flex;flex-direction:column;min-width:0}
.card-picture{position:relative;border-radius:var(--card);overflow:hidden}
.card-picture .pic{aspect-ratio:var(--shape,4/5)}
.card-picture .pic-second{position:absolute;inset:0;opacity:0;transition:opacity .25s}
.card:hover .pic-second,.card:focus-within .pic-second{opacity:1}
.card-title{font:inherit;font-weight:var(--strong);line-height:1.3}
.card-title a{text-decoration:none}
.card-title a::after{content:"";position:absolute;inset:0;z-index:1}
.card:hover .card-title a{text-decoration:underline}
.card:has(a:focus-visible){outline:2px solid var(--focus);outline-offset:4px;border-radius:var(--card)}
.card-title a:focus-visible{outline:none}
.card-words{display:flex;flex-direction:column;gap:.2rem;padding-top:.75rem}
.card-facts{display:flex;flex-wrap:wrap;column-gap:.8em;font-size:var(--t-1);color:var(--soft)}
.card-facts dt{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.is-over .card-picture .pic{filter:saturate(.35);opacity:.75}
.grid{display:grid;grid-template-columns:repeat(var(--columns,4),minmax(0,1fr));gap:var(--s4) var(--s3)}
.sign{width:1.35em;height:1.35em;flex:none}
.wordmark{display:inline-flex;align-items:center;gap:.45em;min-height:2.75rem;font-family:var(--heads);font-weight:var(--heads-weight);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);font-size:var(--t1);line-height:1.1;text-decoration:none}
.wordmark img{height:2.5rem;width:auto;max-width:11rem;object-fit:contain}
.message{margin-top:.75rem;font-weight:var(--strong)}
.message[data-state=done]{color:var(--success)}
.message[data-state=failed]{color:var(--danger)}
@media (prefers-reduced-motion:reduce){*{transition:none!important;animation:none!important;scroll-behavior:auto!important}}
`;
