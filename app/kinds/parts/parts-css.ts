/**
 * Rules of the parts that a brand styles: what they draw from are custom properties that `core/theme/look-css` declares. A
 * state is a class as well (`is-hover` …), so that the sheet of all parts can show each of them at once.
 */
export const PARTS_CSS = `
.button:not(.button-2,.button-3){--bg:var(--b1);--on:var(--b1-on);--edge-ink:var(--b1-edge);--bg-h:var(--b1-h);--on-h:var(--b1-h-on);--edge-h:var(--b1-h-edge);--bg-p:var(--b1-p)}
.button{display:inline-flex;align-items:center;justify-content:center;min-height:var(--button-height);padding:.5rem var(--button-pad);border:var(--edge) solid var(--edge-ink);border-radius:var(--control);background:var(--bg) border-box;color:var(--on);font-weight:var(--button-weight);text-transform:var(--button-case);text-decoration:none;text-align:center;line-height:1.25;cursor:pointer;transition:background-color .15s,color .15s}
.button-2{--bg:var(--b2);--on:var(--b2-on);--edge-ink:var(--b2-edge);--bg-h:var(--b2-h);--on-h:var(--b2-h-on);--edge-h:var(--b2-h-edge);--bg-p:var(--b2-p)}
.button-3{--bg:var(--b3);--on:var(--b3-on);--edge-ink:var(--b3-edge);--bg-h:var(--b3-h);--on-h:var(--b3-h-on);--edge-h:var(--b3-h-edge);--bg-p:var(--b3-p)}
.button:hover,.button.is-hover{background:var(--bg-h) border-box;color:var(--on-h);border-color:var(--edge-h)}
.button:active,.button.is-pressed{background:var(--bg-p) border-box;color:var(--on-h);border-color:var(--edge-h)}
.button.is-focus{outline:2px solid var(--focus);outline-offset:3px}
.button:disabled,.button[aria-disabled=true]{background:var(--disabled);color:var(--on-disabled);border-color:transparent;cursor:default}
.field{min-height:var(--field-height);padding:.5rem var(--field-pad);border:0 solid;border-width:var(--field-edges);border-color:var(--field-edge);border-radius:var(--field-corners);background:var(--field-bg);color:var(--ink);width:100%}
.field::placeholder{color:var(--soft);opacity:1}
.field.is-focus{outline:2px solid var(--focus);outline-offset:3px}
.field::-webkit-inner-spin-button,.field::-webkit-outer-spin-button{appearance:none;margin:0}
.field::-webkit-search-cancel-button{appearance:none;width:1.5rem;height:1.5rem;cursor:pointer;background:linear-gradient(45deg,#0000 46%,currentColor 0 54%,#0000 0) 50%/.9rem .9rem no-repeat,linear-gradient(-45deg,#0000 46%,currentColor 0 54%,#0000 0) 50%/.9rem .9rem no-repeat}
select.field{appearance:none;padding-inline-end:2.4rem;background-image:linear-gradient(45deg,#0000 50%,currentColor 0),linear-gradient(135deg,currentColor 50%,#0000 0);background-size:.4rem .4rem;background-position:right 1.25rem center,right .85rem center;background-repeat:no-repeat;text-overflow:ellipsis}
.field:disabled{background:var(--disabled);color:var(--on-disabled);border-color:transparent}
.field[aria-invalid=true]{border-color:var(--danger)}
.price{display:inline-flex;flex-wrap:wrap;flex-direction:var(--price-flow);align-items:baseline;gap:0 .4em;align-self:var(--goods-justify);border:var(--price-edge) solid var(--field-line);padding:var(--price-pad);font-size:calc(var(--t0)*var(--price-size));font-weight:var(--price-weight);font-variant-numeric:tabular-nums;white-space:nowrap}
.price ins{color:var(--sale);text-decoration:none;font-weight:var(--strong)}
.price del{order:var(--price-order);color:var(--soft)}
.badge{position:absolute;inset:var(--badge-place);display:inline-grid;place-items:center;min-width:var(--badge-size);min-height:var(--badge-size);max-width:calc(100% - 1.2rem);padding:var(--badge-pad);border-radius:var(--badge-corners);background:var(--new);color:var(--on-new);font-size:var(--t-2);font-weight:var(--strong);text-transform:var(--badge-case);text-align:center;line-height:1.3;rotate:var(--badge-turn)}
.badge-sale{background:var(--sale);color:var(--on-sale)}
.badge-coming-soon{background:var(--soon);color:var(--on-soon)}
.badge-sold-out,.badge-discontinued{background:var(--sold-out);color:var(--on-sold-out)}
.badge-still{position:static}
.card{position:relative;display:flex;flex-direction:column;min-width:0;border:var(--goods-card-edge) solid var(--line);border-radius:var(--card);background:var(--goods-bg);box-shadow:var(--goods-shadow)}
.card-picture{position:relative;border:var(--goods-edge) solid var(--line);border-radius:var(--pic-corners)}
.card-picture .pic{aspect-ratio:var(--shape,4/5);border-radius:inherit}
.card-picture .pic img{object-fit:var(--goods-fit)}
.card-picture .pic-second{position:absolute;inset:0;opacity:0;transition:opacity .25s}
.card:hover .pic-second,.card:focus-within .pic-second{opacity:1}
.card-title{font:inherit;font-weight:var(--strong);line-height:1.3}
.card-title a{text-decoration:none}
.card-title a::after{content:"";position:absolute;inset:0;z-index:1}
.card:hover .card-title a{text-decoration:underline}
.card:has(a:focus-visible){outline:2px solid var(--focus);outline-offset:4px}
.card-title a:focus-visible{outline:none}
.grid>li>.card{height:100%}
.card-words{flex:1;display:flex;flex-direction:column;gap:.2rem;padding:.75rem var(--goods-pad) var(--goods-pad);text-align:var(--goods-align)}
.card-end{display:flex;flex-direction:column;align-items:var(--goods-justify);gap:.2rem;margin-top:auto}
.card-end>*{max-width:100%}
.card-facts{display:flex;flex-wrap:wrap;justify-content:var(--goods-justify);column-gap:.8em;font-size:var(--t-1);color:var(--soft)}
.card-facts>div:not(.is-named) dt{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.card-facts .is-named{display:flex;gap:.3em}
.card-line .card-words{display:grid;grid-template-columns:minmax(0,1fr) auto;grid-template-rows:auto 1fr;column-gap:.9rem;text-align:start}
.card-line .card-end{grid-area:1/2/3/3;align-items:flex-end;margin:0}
.card-line .card-facts{justify-content:flex-start}
@media (max-width:599.98px){.card-line .card-words{grid-template-columns:minmax(0,1fr)}.card-line .card-end{grid-area:auto;align-items:flex-start}}
.card-first>.card-words{display:contents;text-align:inherit}
.card-first{text-align:var(--goods-align)}
.card-first .card-title{order:-1;padding:0 0 .6rem}
.card-first :is(.card-facts,.card-end){order:1;padding-top:.55rem}
.card-over .card-words{--ink:#fff;--soft:#fff;--sale:#fff;position:absolute;inset:auto 0 0;padding:3rem 1rem .9rem;color:#fff;background:linear-gradient(to top,rgb(8 12 16/.86),rgb(8 12 16/.72) calc(100% - 3rem),rgb(8 12 16/0));pointer-events:none}
.card-over .card-title a{pointer-events:auto}
.is-over .card-picture .pic{filter:saturate(.35);opacity:.75}
.is-over .card-picture .pic-second{display:none}
.box{border:var(--card-edge) solid var(--line);border-radius:var(--card);padding:var(--card-pad);background:var(--card-bg);box-shadow:var(--card-shadow)}
.lined{stroke-width:var(--stroke)}
.rating{display:inline-flex;flex-wrap:wrap;align-items:center;gap:.12em;color:var(--rating)}
.rating i{width:1.05em;height:1.05em;background:currentColor;clip-path:var(--rating-sign)}
.rating i.is-off{background:var(--line)}
.rating i.is-half{background:linear-gradient(90deg,currentColor 50%,var(--line) 50%)}
.rating span{margin-left:.4em;color:var(--soft);font-size:var(--t-1)}
.tabs{display:flex;flex-wrap:wrap;gap:var(--tab-gap)}
.tab{min-height:2.75rem;padding:var(--tab-pad);border:0 solid;border-width:var(--tab-edges);border-color:var(--tab-edge);border-radius:var(--tab-corners);background:none;color:var(--soft);font-weight:var(--strong);cursor:pointer}
.tab:hover,.tab.is-hover{color:var(--ink)}
.tab[aria-selected=true]{color:var(--tab-on);background:var(--tab-on-bg);border-color:var(--tab-on-edge)}
.tab.is-focus{outline:2px solid var(--focus);outline-offset:3px}
.popup{position:relative;background:var(--page);color:var(--ink);border:var(--card-edge) solid var(--line);border-radius:var(--card);box-shadow:var(--shadow),0 18px 50px -12px rgb(10 16 20/.35);padding:var(--s4);max-width:27rem;display:flex;flex-direction:column;gap:var(--s2);align-items:flex-start}
.popup-close{position:absolute;top:.5rem;right:.5rem;width:2.5rem;height:2.5rem;border:0;background:none;cursor:pointer;font-size:1.4rem;line-height:1}
.toast{display:inline-flex;align-items:center;gap:1rem;background:var(--page);color:var(--ink);border-radius:min(var(--control),1.25rem);padding:.75rem 1.25rem;box-shadow:0 8px 28px -8px rgb(10 16 20/.45);font-weight:var(--strong)}
.toast a{color:var(--link-ink)}
`;
