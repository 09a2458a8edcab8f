/** The same for a pane that shows the page as shoppers see it: nothing of the studio. */
export const BARE_CSS = `
html{scroll-behavior:auto!important}
body{position:relative;min-height:100vh}
a,button{cursor:default}
.count-units{visibility:visible!important}
[data-at]:empty,[data-rich-at]:empty,.studio-hint,.undrawable,[data-not-shown],.is-elsewhere,.studio-empty,.studio-over{display:none!important}
[data-dead]{display:none!important}
`;

/**
 * Shows what is empty in the section that is worked on, and in all of them while something is carried that could go there.
 * None of it takes room: the page is as high with it as without.
 */
export function ghostCss(section: string | null, isCarrying: boolean): string {
  const near = section === null ? [] : [`[data-node="${section}"]`];
  const places = isCarrying ? ["body"] : near;
  const show = (inside: readonly string[], what: string, display: string) =>
    inside.map((each) => `${each} ${what}{display:${display}!important}`).join("");
  return [
    show(near, ":is([data-at],[data-rich-at]):empty", "block"),
    show(near, "[data-dead]", "inline-block"),
    show(near, ".studio-hint", "grid"),
    show(places, ":is(.col,.w-group)[data-slot]:empty::before", "grid"),
  ].join("");
}

/** Marks what the rule reaches that is being written; nothing where none is. */
export const reachedCss = (selectors: string): string =>
  selectors
    ? `:is(${selectors}){outline:calc(2.5px*var(--k)) dashed #17241d!important;outline-offset:calc(2px*var(--k))!important;box-shadow:0 0 0 calc(2.5px*var(--k)) #f5c518!important}`
    : "";

/** What a pane adds to the shop's own rules. `--k` undoes the pane's scale, so that marks keep their size on the screen. */
export const paneCss = (scale: number): string => `
html{--k:${(1 / scale).toFixed(4)};scroll-behavior:auto!important}
body{position:relative;min-height:100vh}
a,button,[data-at]{cursor:default}
.count-units{visibility:visible!important}
[data-at]:empty:not([contenteditable]),[data-rich-at]:empty:not([data-editing]){position:absolute;display:none;min-width:0;max-width:none;margin:0;z-index:2}
:is([data-at],[data-rich-at]):empty:not([contenteditable],[data-editing])::before{content:"+ " attr(data-hint);display:block;width:max-content;transform:translateY(-100%);padding:calc(3px*var(--k)) calc(7px*var(--k));border:calc(1px*var(--k)) dashed #17241d;border-radius:calc(4px*var(--k));background:#faf8f2;color:#17241d;font:500 calc(12px*var(--k))/1.2 "Instrument Sans",sans-serif;letter-spacing:0;text-transform:none}
[data-at][contenteditable]{cursor:text;outline:calc(1.5px*var(--k)) solid #17241d;outline-offset:calc(3px*var(--k));box-shadow:0 0 0 calc(3px*var(--k)) #f5c518;border-radius:2px;min-width:1ch}
[data-dead]{position:absolute;display:none;opacity:.75;outline:calc(1px*var(--k)) dashed currentColor;outline-offset:calc(2px*var(--k))}
.studio-hint{position:absolute;inset:0;display:none;place-items:center;font:600 calc(13px*var(--k))/1.3 "Instrument Sans",sans-serif;color:var(--soft)}
.studio-empty{margin:0;max-width:24em;padding:calc(7px*var(--k)) calc(10px*var(--k));border:calc(1px*var(--k)) dashed color-mix(in srgb,currentColor 55%,transparent);border-radius:calc(5px*var(--k));font:500 calc(12px*var(--k))/1.4 "Instrument Sans",sans-serif;color:inherit}
.undrawable{margin:0;padding:calc(12px*var(--k)) calc(14px*var(--k));border:calc(1.5px*var(--k)) dashed currentColor;border-radius:calc(6px*var(--k));font:500 calc(13px*var(--k))/1.45 "Instrument Sans",sans-serif;color:#b3402a;background:#faf8f2}
[data-rich-at]{cursor:default}
[data-node]{user-select:none}
[contenteditable],[data-editing]{user-select:text}
[data-rich-at][data-editing]{cursor:text;outline:calc(1.5px*var(--k)) solid #17241d;outline-offset:calc(3px*var(--k));box-shadow:0 0 0 calc(3px*var(--k)) #f5c518;border-radius:2px}
[data-rich-at] .ProseMirror{outline:none;min-height:1.2em;white-space:pre-wrap;word-wrap:break-word}
[data-rich-at] .ProseMirror>*+*{margin-top:.85em}
.ProseMirror p.is-empty:first-child:last-child::before{content:"Write here";opacity:.5;float:left;height:0;pointer-events:none}
.ProseMirror .live-field{background:color-mix(in srgb,currentColor 14%,transparent);border-radius:99px;padding:0 .45em}
.ProseMirror .selectedCell{background:color-mix(in srgb,#f5c518 40%,transparent)}
.ProseMirror>.rich-figure.at-middle{margin-inline:auto}
.ProseMirror:has(.rich-figure),.ProseMirror:has(.rich-figure)>:is(ul,ol,blockquote,.rich-callout){display:flow-root}
.ProseMirror-hideselection *::selection{background:none}
.ProseMirror .ProseMirror-selectednode{outline:calc(3px*var(--k)) solid #f5c518;box-shadow:0 0 0 calc(4.5px*var(--k)) #17241d}
.ProseMirror sup.rich-note{cursor:pointer;background:color-mix(in srgb,currentColor 14%,transparent);border-radius:99px;padding:.1em .5em;counter-increment:rich-note}
.ProseMirror sup.rich-note::before{content:counter(rich-note)}
.ProseMirror{counter-reset:rich-note}
.ProseMirror-gapcursor{position:relative}
.col[data-slot]:empty,.w-group[data-slot]:empty{position:relative}
.col[data-slot]:empty::before,.w-group[data-slot]:empty::before{content:"Put something here";position:absolute;inset:0;z-index:1;display:none;place-items:center;min-height:calc(44px*var(--k));border:calc(1.5px*var(--k)) dashed color-mix(in srgb,currentColor 40%,transparent);border-radius:6px;font:500 calc(12.5px*var(--k))/1.3 "Instrument Sans",sans-serif;color:var(--soft)}
[data-not-shown]{position:relative}
[data-not-shown]::after{content:"";position:absolute;inset:0;z-index:3;pointer-events:none;background:radial-gradient(circle,rgb(23 36 29/.4) 0 calc(1px*var(--k)),transparent calc(1.3px*var(--k))) 0 0/calc(7px*var(--k)) calc(7px*var(--k))}
.studio-over{position:relative;display:grid;grid-template-columns:minmax(0,1fr);gap:calc(36px*var(--k));padding:calc(44px*var(--k)) calc(20px*var(--k)) calc(60px*var(--k));background:#2c3831}
.studio-over::before{content:"Over the page, once it is time for it";position:absolute;inset:calc(14px*var(--k)) auto auto calc(20px*var(--k));font:500 calc(12.5px*var(--k))/1.3 "Instrument Sans",sans-serif;color:#faf8f2}
.studio-over>.s-pop-up{position:relative!important;inset:auto!important;margin:0 auto!important;max-width:100%!important;max-height:none!important;z-index:0!important;animation:none!important}
.studio-over>:is(.a-corner,.a-side){margin-right:0!important}
.studio-over>:is(.a-edge,.a-whole){width:100%!important}
.studio-over>.a-whole{min-height:calc(420px*var(--k))!important;display:grid}
#zest-marks{position:absolute;inset:0;z-index:2147483000;pointer-events:none;font:500 calc(12px*var(--k))/1 "Instrument Sans",sans-serif;color:#faf8f2}
.zm-frame{position:absolute;display:flex;flex-direction:column;justify-content:flex-end}
.zm-edge{position:absolute;inset:0 0 calc(26px*var(--k)) 0;border:calc(2px*var(--k)) solid #17241d}
.zm-edge i{position:absolute;width:calc(9px*var(--k));height:calc(9px*var(--k));background:#f5c518;border:calc(1.5px*var(--k)) solid #17241d}
.zm-edge i:nth-child(1){left:calc(-5px*var(--k));top:calc(-5px*var(--k))}.zm-edge i:nth-child(2){right:calc(-5px*var(--k));top:calc(-5px*var(--k))}
.zm-edge i:nth-child(3){left:calc(-5px*var(--k));bottom:calc(-5px*var(--k))}.zm-edge i:nth-child(4){right:calc(-5px*var(--k));bottom:calc(-5px*var(--k))}
.zm-edge.is-shared{border-image:repeating-linear-gradient(45deg,#17241d 0 calc(3px*var(--k)),#f5c518 0 calc(7px*var(--k))) 1;border-width:calc(5px*var(--k))}
.zm-tab{position:sticky;bottom:0;align-self:flex-start;display:inline-flex;align-items:center;height:calc(26px*var(--k));background:#17241d;color:#faf8f2;border-radius:0 0 calc(6px*var(--k)) calc(6px*var(--k));pointer-events:auto;white-space:nowrap}
.zm-tab.is-stuck{align-self:flex-end}
.zm-tab.is-stuck:not(:hover) :is(b,em){display:none}
.zm-tab b{font-weight:600;padding:0 calc(10px*var(--k)) 0 calc(4px*var(--k))}
.zm-tab em{font-style:normal;padding-right:calc(10px*var(--k));color:#f5c518}
.zm-small .zm-edge{inset:calc(-4px*var(--k)) calc(-4px*var(--k)) calc(22px*var(--k))}
.zm-small .zm-tab{align-self:flex-end;height:calc(20px*var(--k));margin-right:calc(-4px*var(--k));margin-bottom:calc(2px*var(--k));font-size:calc(11px*var(--k))}
.zm-small .zm-grip{height:calc(20px*var(--k))}
.zm-also{position:absolute;border:calc(2px*var(--k)) dashed #17241d;outline:calc(1.5px*var(--k)) solid #f5c518;outline-offset:calc(-3.5px*var(--k))}
.zm-parent{position:absolute;border:calc(1px*var(--k)) solid rgb(23 36 29/.45)}
.zm-line,.zm-edge-grip{all:unset;position:absolute;pointer-events:auto;touch-action:none}
.zm-line{width:calc(16px*var(--k));margin-left:calc(-8px*var(--k));cursor:ew-resize}
.zm-line::before{content:"";position:absolute;inset:0 calc(50% - .75px*var(--k));background:#17241d;opacity:.55}
.zm-line::after{content:"";position:absolute;left:calc(50% - 4px*var(--k));top:calc(50% - 13px*var(--k));width:calc(8px*var(--k));height:calc(26px*var(--k));border-radius:calc(4px*var(--k));background:#f5c518;border:calc(1.5px*var(--k)) solid #17241d;box-sizing:border-box}
.zm-line:hover::before,.zm-line:focus-visible::before{opacity:1}
.zm-line:focus-visible::after{outline:calc(2px*var(--k)) solid #17241d;outline-offset:calc(2px*var(--k))}
.zm-focus{all:unset;position:absolute;pointer-events:auto;touch-action:none;cursor:grab;box-sizing:border-box;width:calc(22px*var(--k));height:calc(22px*var(--k));margin:calc(-11px*var(--k)) 0 0 calc(-11px*var(--k));border-radius:50%;background:radial-gradient(circle,#17241d 0 calc(3px*var(--k)),#f5c518 calc(3.5px*var(--k)));border:calc(2px*var(--k)) solid #17241d;box-shadow:0 0 0 calc(2px*var(--k)) #faf8f2}
.zm-focus:active{cursor:grabbing}
.zm-focus:focus-visible{outline:calc(2px*var(--k)) solid #17241d;outline-offset:calc(4px*var(--k))}
.zm-edge-grip{width:calc(34px*var(--k));height:calc(12px*var(--k));margin:calc(-6px*var(--k)) 0 0 calc(-17px*var(--k));cursor:ns-resize}
.zm-edge-grip::after{content:"";position:absolute;inset:calc(4px*var(--k)) calc(5px*var(--k));border-radius:calc(2px*var(--k));background:#faf8f2;border:calc(1px*var(--k)) solid #17241d}
.zm-edge-grip:hover::after{background:#f5c518}
.zm-space{position:absolute;background:repeating-linear-gradient(45deg,rgb(23 36 29/.3) 0 calc(1px*var(--k)),transparent 0 calc(7px*var(--k)))}
.zm-value{position:absolute;transform:translate(-50%,calc(8px*var(--k)));background:#17241d;color:#faf8f2;border-radius:calc(4px*var(--k));padding:calc(4px*var(--k)) calc(7px*var(--k));font-variant-numeric:tabular-nums;white-space:nowrap;z-index:1}
.zm-rule{position:absolute;width:0;border-left:calc(1px*var(--k)) solid #17241d}
.zm-rule-flat{width:auto;height:0;border-left:0;border-top:calc(1px*var(--k)) solid #17241d}
.zm-move{all:unset;position:absolute;pointer-events:none}
.zm-move:focus-visible{outline:calc(2px*var(--k)) solid #17241d;outline-offset:calc(3px*var(--k))}
.zm-widen{all:unset;position:absolute;pointer-events:auto;touch-action:none;cursor:ew-resize;width:calc(24px*var(--k));height:calc(34px*var(--k));margin:calc(-17px*var(--k)) 0 0 calc(-12px*var(--k))}
.zm-widen::after{content:"";position:absolute;inset:calc(2px*var(--k)) calc(6px*var(--k));border-radius:calc(4px*var(--k));background:#f5c518;border:calc(1.5px*var(--k)) solid #17241d}
.zm-widen:focus-visible::after{outline:calc(2px*var(--k)) solid #17241d;outline-offset:calc(2px*var(--k))}
.zm-rule::after{content:attr(data-words);position:absolute;top:50%;left:calc(4px*var(--k));background:#faf8f2;color:#17241d;padding:0 calc(3px*var(--k));white-space:nowrap}
.zm-drop{position:absolute;background:#f5c518;box-shadow:0 0 0 calc(1.5px*var(--k)) #17241d;border-radius:calc(1px*var(--k))}
.zm-drop span{position:absolute;left:0;top:calc(8px*var(--k));background:#17241d;border-radius:calc(4px*var(--k));padding:calc(5px*var(--k)) calc(9px*var(--k));font-weight:600;white-space:nowrap}
.zm-check{all:unset;position:absolute;pointer-events:auto;cursor:pointer;width:calc(18px*var(--k));height:calc(18px*var(--k));border-radius:50% 50% 50% 2px;background:#b3402a;color:#fff;display:grid;place-items:center;font-weight:700;box-shadow:0 0 0 calc(1.5px*var(--k)) #faf8f2}
.zm-check-box{position:absolute;outline:calc(2px*var(--k)) dashed #b3402a;outline-offset:calc(1px*var(--k))}
.zm-grip{all:unset;cursor:grab;display:grid;place-items:center;width:calc(24px*var(--k));height:calc(26px*var(--k));touch-action:none}
.zm-grip svg{width:calc(12px*var(--k));height:calc(12px*var(--k))}
.zm-hover{position:absolute;border:calc(1.5px*var(--k)) dotted #17241d;outline:calc(1px*var(--k)) solid rgb(255 255 255/.5)}
.zm-sill{position:absolute;left:0;right:0;height:calc(8px*var(--k));margin-top:calc(-4px*var(--k));background:#f5c518;border-block:calc(1.5px*var(--k)) solid #17241d}
.zm-sill span{position:absolute;left:50%;top:50%;transform:translate(-50%,-50%);background:#17241d;color:#faf8f2;padding:calc(6px*var(--k)) calc(10px*var(--k));border-radius:calc(6px*var(--k));white-space:nowrap}
`;

/** The studio looks on: what is still to be filled in is seen, and nothing is being written. */
export const NOT_EDITING = { editing: null } as const;
