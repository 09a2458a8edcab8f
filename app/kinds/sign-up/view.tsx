import type { ViewProps } from "../definition";
import { Pic, useNodeId, Words } from "../parts";
import type { SignUpProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<SignUpProps>) {
  const id = `mail-${useNodeId()}`;
  const all = (
    <>
      <div className="su-words">
        <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
        <Words at="text" as="p" className="lead" text={props.text} hint="Text" />
      </div>
      <zest-sign-up>
        <form className="su-form" method="post" action="/sign-up">
          {props.list ? <input type="hidden" name="list" value={props.list} /> : null}
          <label htmlFor={id}>Your mail address</label>
          <div className="su-row">
            <input
              className="field"
              id={id}
              type="email"
              name="address"
              required
              autoComplete="email"
              maxLength={254}
            />
            <button className="button" type="submit">
              <Words at="button" text={props.button} hint="Button words" />
            </button>
          </div>
          <Words at="note" as="p" className="su-note" text={props.note} hint="Small print" />
          <p className="message" role="status" />
        </form>
      </zest-sign-up>
    </>
  );
  return (
    <div className="in">
      {arrangement === "card" ? <div className="su-card">{all}</div> : all}
      {arrangement === "picture" ? (
        <Pic
          picture={props.picture}
          view={props.pictureView}
          at="picture"
          sizes="(min-width:800px) 50vw, 100vw"
          eager={first}
        />
      ) : null}
    </div>
  );
}
