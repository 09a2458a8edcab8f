import type { ReactNode } from "react";

/** Fewer things than this are repeated, so that a line of them is longer than any screen. */
const LONG = 14;

type RunningProps = {
  count: number;
  /** The things, drawn once to be read (and edited), and again to be looked at only. */
  draw: (copy: boolean) => ReactNode;
  speed: "slow" | "usual" | "quick";
  className: string;
};

/**
 * A line that moves along, and can be stopped (WCAG 2.2, 2.2.2): by its own switch, which needs no script, and by pointing at it. Who
 * asked for less motion has it stand still and wrap. What is repeated is not read out twice, and can't be reached by the keyboard.
 */
export function Running({ count, draw, speed, className }: RunningProps): ReactNode {
  const copies = Math.max(1, Math.ceil(LONG / Math.max(1, count)));
  return (
    <div className={`runs runs-${speed}`}>
      <div className="runs-line">
        <ul className={`runs-part ${className}`}>{draw(false)}</ul>
        {Array.from({ length: copies }, (_, i) => (
          <ul className={`runs-part ${className}`} key={i} aria-hidden="true" inert>
            {draw(true)}
          </ul>
        ))}
      </div>
      <label className="runs-stop">
        <input type="checkbox" />
        <span>Stop moving</span>
      </label>
    </div>
  );
}

/** Each part moves to the left by its own width; then the next one stands where it stood, and all begins anew. */
export const RUNNING_CSS = `
.runs{position:relative;overflow:clip}
.runs-line{display:flex;width:max-content}
.runs-part{display:flex;flex:none;align-items:center;gap:var(--runs-gap,3rem);padding-right:var(--runs-gap,3rem);animation:runs var(--runs,45s) linear infinite}
.runs-slow{--runs:80s}
.runs-quick{--runs:24s}
.runs:hover .runs-part,.runs:has(:checked) .runs-part{animation-play-state:paused}
.runs-stop{position:absolute;inset:auto .5rem .25rem auto;display:inline-flex;align-items:center;gap:.4rem;min-height:2rem;padding:.1rem .7rem;border-radius:1rem;background:var(--page);color:var(--ink);font-size:var(--t-1);opacity:0}
.runs:hover .runs-stop,.runs:focus-within .runs-stop,.runs:has(:checked) .runs-stop{opacity:1}
@media (hover:none){.runs-stop{opacity:1}}
@media (prefers-reduced-motion:reduce){.runs-line{width:auto}.runs-part{flex-wrap:wrap;flex:auto}.runs-part[inert],.runs-stop{display:none}}
@keyframes runs{to{transform:translateX(-100%)}}
`;
