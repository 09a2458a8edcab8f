import type { ReactNode } from "react";
import type { Part } from "~/core/document";
import type { ViewProps } from "../definition";
import { slotMark, Thumb, useEnv, useInside, useNodeId, usePartId } from "../parts";
import type { SlidesProps } from "./definition";

const ARROWS = { back: "M15 5l-7 7 7 7", on: "M9 5l7 7-7 7" } as const;

/** A button for the script: without one it is not there. */
const Step = ({ way, label }: { way: "back" | "on"; label: string }) => (
  <button type="button" className={`slides-step slides-${way}`} aria-label={label}>
    <svg viewBox="0 0 24 24" fill="none" stroke="currentColor" strokeWidth="2" aria-hidden="true">
      <path d={ARROWS[way]} />
    </svg>
  </button>
);

const textOf = (value: unknown): string => (typeof value === "string" ? value : "");

/**
 * Slides to go through, as WAI-ARIA's carousel pattern has it (ARIA Authoring Practices, "Carousel"). They are a row to swipe, and
 * links below lead to each of them, also where there is no script.
 */
export function View({ props }: ViewProps<SlidesProps>): ReactNode {
  const { studio, picture: find } = useEnv();
  const { slots, draw } = useInside();
  const node = useNodeId();
  const id = usePartId("slide");
  const slides: readonly Part[] = slots.slides ?? [];
  if (slides.length === 0)
    return studio ? (
      <p className="studio-empty" {...slotMark(node, "slides")}>
        Add the first slide, in Details on the left.
      </p>
    ) : null;
  const nameOf = (slide: Part, at: number) => textOf(slide.props.heading) || `Slide ${at + 1}`;
  const picture = (slide: Part) => find(textOf(slide.props.picture) || null);
  const marks =
    props.marks === "none" || slides.length < 2 ? null : (
      <div className={`slides-marks slides-${props.marks}`} role="group" aria-label="Choose a slide">
        {slides.map((slide, at) => {
          const shown = props.marks === "pictures" ? picture(slide) : undefined;
          return (
            <a
              key={slide.id}
              href={`#${id}-${at + 1}`}
              {...(at === 0 ? { "aria-current": "true" } : {})}
              {...(props.marks === "names"
                ? {}
                : { "aria-label": `${at + 1} of ${slides.length}: ${nameOf(slide, at)}` })}
            >
              {props.marks === "names" ? nameOf(slide, at) : shown ? <Thumb picture={shown} /> : null}
            </a>
          );
        })}
      </div>
    );
  const changes = props.seconds !== "0" && slides.length > 1;
  return (
    <zest-slides
      className="slides"
      role="group"
      aria-roledescription="carousel"
      aria-label={nameOf(slides[0]!, 0)}
      data-seconds={changes ? props.seconds : undefined}
    >
      <div
        className="slides-track"
        tabIndex={0}
        role="group"
        aria-label="The slide that is shown"
        {...(studio ? slotMark(node, "slides") : {})}
      >
        {slides.map((slide, at) => (
          <div
            key={slide.id}
            className="slide"
            id={`${id}-${at + 1}`}
            role="group"
            aria-roledescription="slide"
            aria-label={`${at + 1} of ${slides.length}`}
          >
            {draw(slide)}
          </div>
        ))}
      </div>
      {slides.length > 1 ? (
        <div className="slides-bar">
          {changes ? (
            <button type="button" className="slides-step slides-stop" aria-label="Let the slides change">
              <svg viewBox="0 0 24 24" fill="currentColor" aria-hidden="true">
                <path className="playing" d="M7 5h4v14H7zm6 0h4v14h-4z" />
                <path className="standing" d="M8 5l11 7-11 7z" />
              </svg>
            </button>
          ) : null}
          {marks ?? <span className="slides-marks" />}
          <Step way="back" label="Back" />
          <Step way="on" label="Next" />
        </div>
      ) : null}
    </zest-slides>
  );
}
