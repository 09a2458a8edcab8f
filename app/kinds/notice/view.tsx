import type { ReactNode } from "react";
import type { ViewProps } from "../definition";
import { Action, Count, SI_UNITS, Sign, useEnv, Words } from "../parts";
import { saidToAll } from "../said-to-all";
import { definition, type NoticeProps } from "./definition";

const ARROWS = { back: "M15 5l-7 7 7 7", on: "M9 5l7 7-7 7", close: "M5 5l14 14M19 5L5 19" } as const;

/** A button for the script: without one it is not there. */
const Step = ({ way, label }: { way: keyof typeof ARROWS; label: string }) => (
  <button type="button" className={`notice-step notice-${way}`} aria-label={label}>
    <svg viewBox="0 0 24 24" fill="none" stroke="currentColor" strokeWidth="2.5" aria-hidden="true">
      <path d={ARROWS[way]} />
    </svg>
  </button>
);

function Message({ message, at }: { message: NoticeProps["messages"][number]; at: number }): ReactNode {
  const { sign, text, more, link, until } = message;
  return (
    <div className="notice-message">
      <p>
        <Sign sign={sign} />
        <Words at={`messages.${at}.text`} text={text} hint="What should everyone know?" />
        {until ? <Count count={{ to: "moment", at: until }} units={SI_UNITS} /> : null}
      </p>
      {more ? <Action at={`messages.${at}.more`} className="more" label={more} link={link} /> : null}
    </div>
  );
}

/** What everyone should know. Several take turns, as WAI-ARIA's carousel pattern has it; without a script all of them are there. */
export function View({ props }: ViewProps<NoticeProps>): ReactNode {
  const { studio, clock } = useEnv();
  const messages = props.messages
    .map((message, at) => ({ message, at }))
    .filter(({ message: { text, until } }) => {
      const isOver = until !== "" && until <= clock;
      return !isOver && (studio !== undefined || text.trim() !== "");
    });
  if (messages.length === 0)
    return studio ? <p className="in studio-empty">Nothing is said here any more. Add a message, in Details.</p> : null;
  const all = messages.map(({ message, at }) => <Message key={at} message={message} at={at} />);
  const closes = definition.closes!(saidToAll(props));
  const takesTurns = all.length > 1;
  if (!takesTurns && closes === undefined) return <div className="in">{all}</div>;
  return (
    <zest-turns
      className="in notice-turns"
      {...(takesTurns ? { role: "group", "aria-roledescription": "carousel", "aria-label": "Notices" } : {})}
      data-seconds={props.seconds === "0" || !takesTurns ? undefined : props.seconds}
      data-closes={closes}
    >
      <div className="notice-all">{all}</div>
      <div className="notice-steps">
        {takesTurns ? <Step way="back" label="Notice before" /> : null}
        {props.seconds === "0" || !takesTurns ? null : (
          <button type="button" className="notice-step notice-stop" aria-label="Let the notices take turns">
            <svg viewBox="0 0 24 24" fill="currentColor" aria-hidden="true">
              <path className="playing" d="M7 5h4v14H7zm6 0h4v14h-4z" />
              <path className="standing" d="M8 5l11 7-11 7z" />
            </svg>
          </button>
        )}
        {takesTurns ? <Step way="on" label="Next notice" /> : null}
        {closes === undefined ? null : <Step way="close" label="Close" />}
      </div>
    </zest-turns>
  );
}
