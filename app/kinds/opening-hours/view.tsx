import { DAY_NAMES } from "~/core/document";
import { dayWords } from "~/core/goods";
import type { ViewProps } from "../definition";
import { innerHead, SectionHead, useEnv, Words } from "../parts";
import type { OpeningHoursProps } from "./definition";
import { aheadOf, clock, todayOf, weekOf, type Span } from "./week";

const times = (spans: readonly Span[]) => spans.map(([from, to]) => `${clock(from)}–${clock(to)}`);

export function View({ props, first }: ViewProps<OpeningHoursProps>) {
  const { studio, identity, goods, locale } = useEnv();
  const { day, timeZone } = goods.asOf;
  const hours = identity.hours ?? [];
  const today = todayOf(day, hours, props.exceptions);
  const ahead = aheadOf(props.exceptions, day);
  if (hours.length === 0 && ahead.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  return (
    <div className="in heads">
      <div className="week-words">
        <SectionHead heading={props.heading} text={props.text} first={first} />
        {hours.length ? (
          <zest-hours
            data-zone={timeZone}
            data-day={day}
            data-open={today.open.map((span) => span.join(" ")).join(",")}
            data-now="Open now, until {time}"
            data-later="Opens today at {time}"
          >
            <p className="week-now" role="status" />
          </zest-hours>
        ) : null}
        {props.address && identity.address ? <address className="week-place">{identity.address}</address> : null}
      </div>
      <div className="week-all">
        {hours.length ? (
          <dl className="week">
            {weekOf(hours).map(({ weekday, spans }) => {
              const isToday = weekday === today.weekday;
              const said = isToday && today.different !== undefined ? [today.different] : times(spans);
              const isShut = said.length === 0;
              return (
                <div key={weekday} className={isToday ? "is-today" : isShut ? "is-shut" : undefined}>
                  <dt>
                    {DAY_NAMES[weekday]![1]}
                    {isToday ? <span className="unseen">, today</span> : null}
                  </dt>
                  <dd>
                    {isShut ? (
                      <Words at="closed" text={props.closed} hint="Closed" />
                    ) : (
                      said.map((words) => <span key={words}>{words}</span>)
                    )}
                  </dd>
                </div>
              );
            })}
          </dl>
        ) : studio ? (
          <p className="studio-empty">Your week stands here once it is written in Brand, under “Contact and hours”.</p>
        ) : null}
        {ahead.length ? (
          <>
            <Words at="other" as={Tag} className="head week-other" text={props.other} hint="Other hours" />
            <dl className="week">
              {ahead.map(({ index, from, to, text }) => (
                <div key={index}>
                  <dt>
                    <time dateTime={from}>{dayWords(from, locale)}</time>
                    {to && to !== from ? (
                      <>
                        {" – "}
                        <time dateTime={to}>{dayWords(to, locale)}</time>
                      </>
                    ) : null}
                  </dt>
                  <dd>
                    <Words at={`exceptions.${index}.text`} text={text} hint="What holds then" />
                  </dd>
                </div>
              ))}
            </dl>
          </>
        ) : null}
      </div>
    </div>
  );
}
