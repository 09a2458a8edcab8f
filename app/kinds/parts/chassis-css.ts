/** Rules of what any section, column or widget can have. */
export const CHASSIS_CSS = `
.s{background:var(--pattern,none),var(--ground,none),var(--page)}
.s.is-cut{padding-block:calc(var(--space-top,0px) + var(--edge-top,0px)) calc(var(--space-bottom,0px) + var(--edge-bottom,0px));margin-block:calc(-1*var(--edge-top,0px)) calc(-1*var(--edge-bottom,0px));z-index:1;mask:var(--edge-top-image,none) 0 0/var(--edge-top-tile,auto) repeat-x,linear-gradient(#000 0 0) 0 calc(var(--edge-top,0px) - 1px)/100% calc(100% - var(--edge-top,0px) - var(--edge-bottom,0px) + 2px) no-repeat,var(--edge-bottom-image,none) 0 100%/var(--edge-bottom-tile,auto) repeat-x}
.s.on-backdrop{isolation:isolate;--ink:var(--on-picture);--on-ink:rgb(var(--scrim-rgb,8 14 18));--soft:var(--on-picture);--link:var(--on-picture);--link-ink:var(--on-picture);--accent-ink:var(--on-picture);--focus:var(--on-picture)}
.pic.backdrop{position:absolute;inset:0;z-index:-2;border-radius:inherit}
.ground-film{display:contents}
.ground-film video{position:absolute;inset:0;z-index:-2;width:100%;height:100%;object-fit:cover;border-radius:inherit;opacity:0;transition:opacity .6s}
.ground-film.is-begun video{opacity:1}
@media (scripting:none){.ground-film .film-stop{display:none}}
.film-stop{position:absolute;z-index:2;right:.75rem;bottom:.75rem;display:grid;place-items:center;width:2.75rem;height:2.75rem;border:0;border-radius:50%;background:var(--page);color:var(--ink);cursor:pointer}
.ground-film .film-stop{background:rgb(10 16 20/.66);color:#fff}
.film-stop svg{width:1.5rem;height:1.5rem;fill:currentColor}
.film-stop .standing,.is-playing .film-stop .playing{display:block}
.film-stop .playing,.is-playing .film-stop .standing{display:none}
.s.on-backdrop::before{content:"";position:absolute;inset:0;z-index:-1;border-radius:inherit;background:linear-gradient(var(--scrim-to),rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-0))) 0,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-1))) 38%,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-2))) 62%,rgb(var(--scrim-rgb)/calc(var(--scrim)*var(--scrim-3))) 82%)}
.w{position:relative;min-width:0;max-width:100%}
.w:empty,.s:empty{display:none}
.in-set{background:var(--page);color:var(--ink)}
[data-hover]{transition:transform .18s,opacity .18s,outline-color .18s}
[data-hover=lift]:hover{transform:translateY(calc(-4px*var(--motion)))}
[data-hover=grow]:hover{transform:scale(calc(1 + .025*var(--motion)))}
[data-hover=dim]:hover{opacity:.72}
[data-hover=line]{outline:2px solid transparent;outline-offset:4px}
[data-hover=line]:hover{outline-color:var(--brand-edge)}
@supports (animation-timeline:view()){
@media (prefers-reduced-motion:no-preference){
main>.s+.s:not([data-in]){animation-name:var(--comes-in);animation-timing-function:linear;animation-fill-mode:both;animation-timeline:view();animation-range:entry 0% entry 70%}
[data-in]{animation:linear both;animation-timeline:view();animation-range:entry 0% entry 70%}
[data-in=fade]{animation-name:in-fade}
[data-in=rise]{animation-name:in-rise}
[data-in=left]{animation-name:in-left}
[data-in=right]{animation-name:in-right}
[data-in=grow]{animation-name:in-grow}
.drifts .pic img{animation:linear both;animation-timeline:view()}
.drifts[data-drift=slow] .pic img{animation-name:drift-slow;height:116%}
.drifts[data-drift=zoom] .pic img{animation-name:drift-zoom}
.drifts[data-drift=fixed]{view-timeline:--drift}
.drifts[data-drift=fixed] .pic{container-type:size;clip-path:inset(0 round inherit)}
.drifts[data-drift=fixed] .pic img{height:100svh;animation-name:drift-fixed;animation-timeline:--drift}
}
}
@keyframes in-fade{from{opacity:calc(1 - var(--motion))}}
@keyframes in-rise{from{opacity:calc(1 - var(--motion));translate:0 calc(2rem*var(--motion))}}
@keyframes in-left{from{opacity:calc(1 - var(--motion));translate:calc(-2.5rem*var(--motion)) 0}}
@keyframes in-right{from{opacity:calc(1 - var(--motion));translate:calc(2.5rem*var(--motion)) 0}}
@keyframes in-grow{from{opacity:calc(1 - var(--motion));scale:calc(1 - .08*var(--motion))}}
@keyframes drift-slow{from{translate:0 calc(-13.5%*min(1,var(--motion)))}to{translate:0 0}}
@keyframes drift-fixed{from{translate:0 -100svh}to{translate:0 100cqh}}
@keyframes drift-zoom{from{scale:1}to{scale:calc(1 + .14*var(--motion))}}
.reach{display:flex;flex-direction:column;gap:.5rem}
.reach a{display:inline-flex;align-items:center;min-height:1.75rem}
.reach address{font-style:normal;white-space:pre-line}
.rich{max-width:var(--measure);text-wrap:pretty}
.rich>*+*{margin-top:.85em}
.rich-h{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);line-height:var(--heads-leading);text-wrap:balance}
.rich-2{font-size:var(--t3)}
.rich-3{font-size:var(--t2)}
.rich-4{font-size:var(--t1)}
.rich-list{padding-inline-start:1.35em;text-align:start}
.rich-dots{list-style:disc}
.rich-numbers{list-style:decimal}
.rich-list>li+li,.rich-list>li>*+*{margin-top:.35em}
.rich-quote{margin:0;padding-inline-start:1.1em;border-inline-start:3px solid var(--line)}
.rich-rule{clear:both;border:0;border-top:max(1px,var(--rule)) solid var(--line)}
.rich-link{color:var(--link-ink);text-decoration:var(--link-line)}
.rich-link:hover{text-decoration:underline}
.rich-table{border-collapse:collapse;width:100%;text-align:start}
.rich-table th,.rich-table td{padding:.5em .8em .5em 0;border-bottom:max(1px,var(--rule)) solid var(--line);vertical-align:top;text-align:start}
.rich-table th{font-weight:var(--strong)}
.rich-callout{padding:1.1rem 1.35rem;border-radius:var(--card);text-align:start}
.rich-callout>*+*{margin-top:.5em}
.rich-callout.of-quiet{background:var(--raised);border-inline-start:4px solid var(--accent-ink)}
.rich-callout.of-brand{background:var(--brand);color:var(--on-brand);--link-ink:var(--on-brand);--focus:var(--on-brand)}
.rich-callout.of-accent{background:var(--accent);color:var(--on-accent);--link-ink:var(--on-accent);--focus:var(--on-accent)}
.rich-note{font-size:.75em;line-height:0}
.rich-note a,.rich-notes a{color:var(--link-ink);text-decoration:none;padding:.5em .3em}
.rich-notes{clear:both;padding-top:.9em;border-top:max(1px,var(--rule)) solid var(--line);font-size:var(--t-1);color:var(--soft);text-align:start}
.rich-notes ol{padding-inline-start:1.6em;list-style:decimal}
.rich-notes li+li{margin-top:.4em}
.rich-figure{--part:50%;width:max(var(--part),min(100%,(28rem - 100%)*999));clear:both;margin-inline:0;margin-bottom:0}
.rich-figure:first-child{margin-top:0}
.rich-figure.is-third{--part:36%}
.rich-figure.is-whole{--part:100%}
.rich-figure .pic{border-radius:var(--card)}
.rich-figure img,.rich-figure video{display:block;width:100%;height:auto}
.rich-figure video{aspect-ratio:16/9;background:var(--raised)}
.rich-figure figcaption{padding-top:.5rem;font-size:var(--t-1);color:var(--soft);text-align:start}
.rich>.rich-figure.at-middle{margin-inline:auto}
.rich-figure.at-start{float:inline-start;padding-inline-end:min(1.6rem,max(0px,(100% - 28rem)*999));padding-bottom:.4em}
.rich-figure.at-end{float:inline-end;padding-inline-start:min(1.6rem,max(0px,(100% - 28rem)*999));padding-bottom:.4em}
.rich:has(.rich-figure),.rich:has(.rich-figure)>:is(ul,ol,blockquote,.rich-callout){display:flow-root}
.in-heads{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking)}
.in-text{font-family:var(--text)}
.size--1{font-size:var(--t-1)}
.size-1{font-size:var(--t1)}
.size-2{font-size:var(--t2)}
.size-3{font-size:var(--t3)}
.size-4{font-size:var(--t4)}
.ink-ink{color:var(--ink)}
.ink-soft{color:var(--soft)}
.ink-link{color:var(--link)}
.ink-accent-ink{color:var(--accent-ink)}
.ink-sale{color:var(--sale)}
.back{padding-inline:.18em;border-radius:.15em;-webkit-box-decoration-break:clone;box-decoration-break:clone}
.back-brand{background:var(--brand);color:var(--on-brand)}
.back-accent{background:var(--accent);color:var(--on-accent)}
.back-new{background:var(--new);color:var(--on-new)}
.back-sale{background:var(--sale);color:var(--on-sale)}
.to-start{text-align:start}
.to-center{text-align:center}
.to-end{text-align:end}
`;
