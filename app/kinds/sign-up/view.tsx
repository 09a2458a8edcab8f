import type { ViewProps } from "../definition";
import { MailForm, Pic, Words } from "../parts";
import type { SignUpProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<SignUpProps>) {
  const all = (
    <>
      <div className="su-words">
        <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
        <Words at="text" as="p" className="lead" text={props.text} hint="Text" />
      </div>
      <MailForm list={props.list} button={props.button} note={props.note} />
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
