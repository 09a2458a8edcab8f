import type { ViewProps } from "../definition";
import { innerHead, Pic, SectionHead, useEnv, Words } from "../parts";
import type { TimeLineProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<TimeLineProps>) {
  const { studio, picture: find } = useEnv();
  const events = props.events
    .map((event, index) => ({ ...event, index }))
    .filter((event) => studio ?? (event.when || event.heading || event.text || find(event.picture)));
  if (events.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  // What can be slid along can be reached by the keyboard.
  const slides = arrangement === "along" ? { tabIndex: 0, "aria-label": props.heading || "Time line" } : {};
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      {events.length ? (
        <ol className="events" {...slides}>
          {events.map((event) => {
            const at = `events.${event.index}`;
            return (
              <li key={event.index} className="event">
                <Words at={`${at}.when`} as="p" className="event-when" text={event.when} hint="When" />
                <Words at={`${at}.heading`} as={Tag} className="head event-head" text={event.heading} hint="What" />
                <Words at={`${at}.text`} as="p" className="event-text" text={event.text} hint="In a few sentences" />
                {find(event.picture) ? (
                  <Pic
                    picture={event.picture}
                    view={event.pictureView}
                    at={`${at}.picture`}
                    sizes="(min-width:600px) 26rem, 90vw"
                  />
                ) : null}
              </li>
            );
          })}
        </ol>
      ) : (
        <p className="studio-empty">Add the first event, in Details on the left.</p>
      )}
    </div>
  );
}
