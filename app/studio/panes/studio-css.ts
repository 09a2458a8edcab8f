/** What a pane adds to the shop's own rules. `--k` undoes the pane's scale, so that marks keep their size on the screen. */
export const paneCss = (scale: number): string => `
html{--k:${(1 / scale).toFixed(4)};scroll-behavior:auto!important}
body{position:relative;min-height:100vh}
a,button,[data-at]{cursor:default}
[data-at]:empty::before{content:attr(data-hint);opacity:.5;font-style:italic}
[data-at][contenteditable]{cursor:text;outline:calc(1.5px*var(--k)) solid #17241d;outline-offset:calc(3px*var(--k));box-shadow:0 0 0 calc(3px*var(--k)) #f5c518;border-radius:2px;min-width:1ch}
[data-dead]{outline:calc(1px*var(--k)) dashed currentColor;outline-offset:calc(2px*var(--k))}
.studio-hint{position:absolute;inset:0;display:grid;place-items:center;font:600 calc(13px*var(--k))/1.3 "Instrument Sans",sans-serif;color:var(--soft)}
[data-not-shown]::after{content:"";position:absolute;inset:0;z-index:3;pointer-events:none;background:radial-gradient(circle,rgb(23 36 29/.4) 0 calc(1px*var(--k)),transparent calc(1.3px*var(--k))) 0 0/calc(7px*var(--k)) calc(7px*var(--k))}
#zest-marks{position:absolute;inset:0;z-index:2147483000;pointer-events:none;font:500 calc(12px*var(--k))/1 "Instrument Sans",sans-serif;color:#faf8f2}
.zm-frame{position:absolute;display:flex;flex-direction:column;justify-content:flex-end}
.zm-edge{position:absolute;inset:0 0 calc(26px*var(--k)) 0;border:calc(2px*var(--k)) solid #17241d}
.zm-edge i{position:absolute;width:calc(9px*var(--k));height:calc(9px*var(--k));background:#f5c518;border:calc(1.5px*var(--k)) solid #17241d}
.zm-edge i:nth-child(1){left:calc(-5px*var(--k));top:calc(-5px*var(--k))}.zm-edge i:nth-child(2){right:calc(-5px*var(--k));top:calc(-5px*var(--k))}
.zm-edge i:nth-child(3){left:calc(-5px*var(--k));bottom:calc(-5px*var(--k))}.zm-edge i:nth-child(4){right:calc(-5px*var(--k));bottom:calc(-5px*var(--k))}
.zm-tab{position:sticky;bottom:0;align-self:flex-start;display:inline-flex;align-items:center;height:calc(26px*var(--k));background:#17241d;color:#faf8f2;border-radius:0 0 calc(6px*var(--k)) calc(6px*var(--k));pointer-events:auto;white-space:nowrap}
.zm-tab b{font-weight:600;padding:0 calc(10px*var(--k)) 0 calc(4px*var(--k))}
.zm-tab em{font-style:normal;padding-right:calc(10px*var(--k));color:#f5c518}
.zm-grip{all:unset;cursor:grab;display:grid;place-items:center;width:calc(24px*var(--k));height:calc(26px*var(--k));touch-action:none}
.zm-grip svg{width:calc(12px*var(--k));height:calc(12px*var(--k))}
.zm-hover{position:absolute;border:calc(1.5px*var(--k)) dotted #17241d;outline:calc(1px*var(--k)) solid rgb(255 255 255/.5)}
.zm-sill{position:absolute;left:0;right:0;height:calc(8px*var(--k));margin-top:calc(-4px*var(--k));background:#f5c518;border-block:calc(1.5px*var(--k)) solid #17241d}
.zm-sill span{position:absolute;left:50%;top:50%;transform:translate(-50%,-50%);background:#17241d;color:#faf8f2;padding:calc(6px*var(--k)) calc(10px*var(--k));border-radius:calc(6px*var(--k));white-space:nowrap}
.zm-dragged{opacity:.35}
`;
