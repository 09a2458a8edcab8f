import { SCRIM_COLOURS, type ScrimTone } from "~/core/pictures";

// Rows above the page that lie over its first picture, and rows that get lower while they stay at the top. Both follow how far the
// page was scrolled, by CSS alone. Where a browser can't do that, or nothing is to move, such a row stays behind with its picture,
// and keeps its height.

/**
 * How strong the tint beneath a row is, in percent: its words reach 4.5 : 1 (WCAG 2.2, 1.4.3) on whatever picture there may be, a
 * white one under light words, or a black one under dark ones.
 */
export const LYING_TINT = 60;

/** As many rows can lie over a page, each in a line of the grid. */
const MOST_ROWS = 8;
const lines = Array.from({ length: MOST_ROWS }, (_each, i) => i + 1);

const tinted = (tone: ScrimTone) => {
  const { scrim, words } = SCRIM_COLOURS[tone];
  const rgb = scrim.join(" ");
  return `.over-${tone}{--over-rgb:${tone === "dark" ? `var(--tint,${rgb})` : rgb};--over-ink:${words}}`;
};

/** How far a row lies over the page it was scrolled away from, before it stands on its own ground again. */
const ENDS = "5rem";

/** What a row wears while it lies over a picture. */
const LYING = [
  ...["ink", "soft", "link", "link-ink", "accent-ink", "focus"].map((role) => `--${role}:var(--over-ink)`),
  "--line:color-mix(in srgb,var(--over-ink) 35%,#0000)",
  "background:none",
  "border-color:transparent",
  "box-shadow:none",
].join(";");

export const LYING_CSS = `
.lies{flex:1 0 auto;display:grid;grid-template:repeat(${MOST_ROWS},auto) 1fr/minmax(0,1fr)}
.lies>main{grid-area:1/1/-1/2;min-width:0}
${lines.map((line) => `.lies>.lies-over:nth-child(${line}){grid-area:${line}/1}`).join("\n")}
.lies>.lies-over:nth-last-child(2){grid-row-end:-1}
.lies>main>.s:first-child{--screen:100svh;padding-top:calc(var(--space-top,0px) + 4.5rem)}
.lies>.lies-over{align-self:start;z-index:5}
${tinted("dark")}
${tinted("light")}
.lies-over::before{content:"";position:absolute;inset:0;z-index:-1;pointer-events:none;background:rgb(var(--over-rgb)/${LYING_TINT}%)}
.lies-over:nth-last-child(2)::before{bottom:-90%;background:linear-gradient(rgb(var(--over-rgb)/${LYING_TINT + 2}%),rgb(var(--over-rgb)/${LYING_TINT}%) 53%,rgb(var(--over-rgb)/${LYING_TINT / 3}%) 78%,#0000)}
.worn-own{position:absolute;inset-inline-start:0;visibility:hidden}
.wordmark:has(>.worn-own){position:relative}
@supports not (animation-timeline:scroll()){.lies>.lies-over{position:relative;${LYING}}}
@media (prefers-reduced-motion:reduce){.lies>.lies-over{position:relative;${LYING}}}
@supports (animation-timeline:scroll()){
@media (prefers-reduced-motion:no-preference){
[data-shrinks]{--gives:calc(max(0px,var(--space-top,0px) + var(--space-bottom,0px) - .6rem) + max(2.75rem,var(--logo,0px)) - max(2.75rem,var(--logo-least,0px)));--lower-top:calc((var(--space-top,0px) + var(--space-bottom,0px) + var(--gives))/2);--lower-bottom:calc((var(--space-top,0px) + var(--space-bottom,0px) - var(--gives))/2);--stays-at:calc(-1*var(--gives));animation:row-lowers linear both;animation-timeline:scroll();animation-range:0 var(--gives)}
[data-shrinks]:is(.a-stack,.a-rows){--lower-top:calc(var(--space-top,0px) + var(--space-bottom,0px) - .3rem);--lower-bottom:.3rem}
[data-shrinks].a-tall{--gives:calc(var(--space-top,0px) + .95*clamp(2.6rem,8.4vw,7.5rem));--lower-top:var(--space-top,0px);--lower-bottom:var(--space-bottom,0px)}
[data-shrinks] .wordmark-picture{transform-origin:0 50%;animation:logo-lowers linear both;animation-timeline:scroll();animation-range:0 6rem}
[data-shrinks]:is(.a-middle,.a-split) .wordmark-picture{transform-origin:50% 50%}
[data-shrinks]:is(.a-stack,.a-rows) .wordmark-picture{transform-origin:0 100%}
.lies-over{animation:over-ends step-end both;animation-timeline:scroll();animation-range:0 ${ENDS}}
.lies-over::before{animation:tint-ends step-end both;animation-timeline:scroll();animation-range:0 ${ENDS}}
.worn-over,.worn-own{animation:worn-over-ends step-end both;animation-timeline:scroll();animation-range:0 ${ENDS}}
.worn-own{animation-name:worn-own-begins}
.lies-over[data-shrinks]{animation-name:over-ends,row-lowers;animation-timing-function:step-end,linear;animation-timeline:scroll(),scroll();animation-range:0 ${ENDS},0 var(--gives)}
}
}
@keyframes over-ends{from{${LYING}}}
@keyframes worn-over-ends{to{visibility:hidden}}
@keyframes worn-own-begins{to{visibility:visible}}
@keyframes row-lowers{to{padding-block:var(--lower-top) var(--lower-bottom)}}
@keyframes logo-lowers{to{scale:var(--logo-shrunk,1)}}
@keyframes tint-ends{to{opacity:0}}
`;
