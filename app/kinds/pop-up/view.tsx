import type { ReactNode } from "react";
import { markOf } from "~/core/document";
import type { ViewProps } from "../definition";
import { useInside, useSlot, Words } from "../parts";
import { isAlone, type PopUpProps } from "./definition";

const Cross = ({ label }: { label: string }) => (
  <button type="button" className="over-close" data-close="" aria-label={label}>
    <svg viewBox="0 0 24 24" fill="none" stroke="currentColor" strokeWidth="2.2" aria-hidden="true">
      <path d="M5 5l14 14M19 5L5 19" />
    </svg>
  </button>
);

/** What lies over a page. Without a script it never comes; with one, the first of several that it is time for. */
export function View({ props, arrangement }: ViewProps<PopUpProps>): ReactNode {
  const { inside, mark } = useSlot("columns");
  const { slots } = useInside();
  const { opens, seconds, far, often, closes, close, size } = props;
  return (
    <zest-over
      className={size === "large" ? "is-large" : undefined}
      data-opens={opens}
      data-at={opens === "far" ? far : seconds}
      data-often={often}
      // Known by what it says: something new is shown to those again who closed what was said before.
      data-name={markOf(JSON.stringify(slots))}
      data-alone={isAlone(arrangement) ? "" : undefined}
      data-answer={closes === "button" ? "" : undefined}
    >
      {closes === "button" ? null : <Cross label="Close" />}
      <div className="in">
        <div className="cols" {...mark}>
          {inside}
        </div>
        {closes === "cross" ? null : (
          <p className="over-end">
            <button type="button" className={closes === "button" ? "button" : "over-words"} data-close="">
              <Words at="close" text={close} hint="Words for closing it" />
            </button>
          </p>
        )}
      </div>
    </zest-over>
  );
}
