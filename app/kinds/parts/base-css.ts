import { CHASSIS_CSS } from "./chassis-css";
import { PARTS_CSS } from "./parts-css";
import { POST_CSS } from "./post-facts";
import { TABLE_CSS } from "./table";
import { LYING_CSS } from "./lying-css";
import { RUNNING_CSS } from "./running";

/** Rules that every page of every theme starts from. Names of classes are short because every page carries them. */
export const BASE_CSS = `
*,*::before,*::after{box-sizing:border-box}
html{-webkit-text-size-adjust:100%;text-size-adjust:100%;scroll-behavior:smooth;--gutter:clamp(1.125rem,.7rem + 1.7vw,2.5rem)}
body{margin:0;background:var(--page);color:var(--ink);font-family:var(--text);font-weight:var(--text-weight);font-size:var(--t0);line-height:var(--text-leading);-webkit-font-smoothing:antialiased;overflow-wrap:break-word}
h1,h2,h3,p,dl,dd,ul,ol,figure{margin:0;padding:0}
ul,ol{list-style:none}
img,svg{display:block;max-width:100%}
a{color:inherit;text-decoration-thickness:var(--link-thickness);text-underline-offset:.2em}
button,input,select,textarea{font:inherit;color:inherit}
:focus-visible{outline:2px solid var(--focus);outline-offset:3px}
.unseen{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}
.skip{position:absolute;left:-999px;top:0;z-index:9;background:var(--ink);color:var(--on-ink);padding:.75rem 1rem}
.skip:focus{left:0}
.s{position:relative;color:var(--ink);padding-block:var(--space-top,0) var(--space-bottom,0)}
.in{width:100%;max-width:calc(var(--max,var(--content)) + 2*var(--sides,var(--gutter)));margin-inline:auto;padding-inline:var(--sides,var(--gutter))}
.heads{display:grid;grid-template-columns:minmax(0,1fr);gap:var(--s4)}
.heads>.head,.heads>.lead{text-align:var(--align,start);justify-self:var(--align-box,start)}
.heads>.head+.lead{margin-top:calc(var(--s2) - var(--s4))}
.head{font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);line-height:var(--heads-leading);font-size:var(--head,var(--t3));text-transform:var(--heads-case);text-wrap:balance;white-space:var(--breaks,pre-line);hyphens:none}
.lead{text-wrap:pretty;white-space:pre-line;max-width:var(--measure)}
.over{font-size:var(--t-1);font-weight:var(--strong);color:var(--soft)}
.pic{position:relative;overflow:hidden;background:var(--raised)}
.pic img{width:100%;height:100%;object-fit:cover}
.pic-tone{position:absolute}
.blurs::before{content:"";position:absolute;inset:0;z-index:1;pointer-events:none;backdrop-filter:blur(var(--blur))}
.blur-1{--blur:3px}
.blur-2{--blur:7px}
.blur-3{--blur:15px}
.blur-4{--blur:28px}
.grain::after{content:"";position:absolute;inset:0;pointer-events:none;background:url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='180' height='180'%3E%3Cfilter id='g'%3E%3CfeTurbulence type='fractalNoise' baseFrequency='.8' numOctaves='2' stitchTiles='stitch'/%3E%3CfeColorMatrix values='1.5 0 0 0 -.25 1.5 0 0 0 -.25 1.5 0 0 0 -.25 0 0 0 0 1'/%3E%3C/filter%3E%3Crect width='180' height='180' filter='url(%23g)'/%3E%3C/svg%3E");mix-blend-mode:overlay;opacity:var(--grain)}
.blurs.grain::after{z-index:2}
.grain-1{--grain:.25}
.grain-2{--grain:.45}
.grain-3{--grain:.7}
.grain-4{--grain:1}
.pic-none{background:radial-gradient(115% 95% at 12% 118%,color-mix(in oklab,var(--brand) 30%,var(--raised)) 0 50%,#0000 50.2%),radial-gradient(75% 62% at 92% -6%,color-mix(in oklab,var(--brand) 17%,var(--raised)) 0 50%,#0000 50.2%),color-mix(in oklab,var(--brand) 8%,var(--raised))}
.more{display:inline-block;padding-block:.4rem;color:var(--link-ink);font-weight:var(--strong);text-decoration:var(--link-line)}
.more:hover{text-decoration:underline;text-decoration-thickness:calc(var(--link-thickness)*2)}
.grid{display:grid;grid-template-columns:repeat(var(--columns,4),minmax(0,1fr));gap:var(--s4) var(--s3)}
.sign{width:1.35em;height:1.35em;flex:none}
.wordmark{display:inline-flex;align-items:center;gap:.45em;min-height:2.75rem;font-family:var(--heads);font-weight:var(--heads-weight);font-variation-settings:var(--heads-drawn);font-stretch:var(--heads-stretch);letter-spacing:var(--heads-tracking);text-transform:var(--heads-case);font-size:var(--t1);line-height:1.1;text-decoration:none}
.wordmark-picture{height:var(--logo);width:auto;max-width:min(15rem,100%);object-fit:contain;object-position:0 50%}
.logo-light{filter:brightness(0) invert(1)}
.logo-dark{filter:brightness(0)}
.logo-on-light,.logo-on-dark{box-sizing:content-box;padding:.35rem .6rem;border-radius:min(var(--card),.6rem);background:#fff}
.logo-on-dark{background:#16191b}
.message{margin-top:.75rem;font-weight:var(--strong)}
.message[data-state=done]{color:var(--success)}
.message[data-state=failed]{color:var(--danger)}
${PARTS_CSS}
${TABLE_CSS}
${POST_CSS}
${CHASSIS_CSS}
${LYING_CSS}
${RUNNING_CSS}
@media (prefers-reduced-motion:reduce){*{transition:none!important;animation:none!important;scroll-behavior:auto!important}}
`;
