import { Action, Pic, Rich, useSlot, Words } from "../parts";
import type { ViewProps } from "../definition";
import type { HeroProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<HeroProps>) {
  const { inside, mark } = useSlot("widgets");
  const sizes = arrangement === "beside" ? "(min-width:800px) 55vw, 100vw" : "100vw";
  const picture = <Pic picture={props.picture} view={props.pictureView} at="picture" sizes={sizes} eager={first} />;
  const words = (
    <div className={arrangement === "on-picture" ? "hero-words with-scrim" : "hero-words"} {...mark}>
      <Words at="over" as="p" className="over" text={props.over} hint="Line above" />
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      <Rich at="text" className="lead" text={props.text} hint="Text" />
      <div className="hero-actions">
        <Action at="button" className="button" label={props.button} link={props.link} />
        {props.more ? <Action at="more" className="more" label={props.more} link={props.moreLink} /> : null}
      </div>
      {inside}
    </div>
  );
  if (arrangement === "on-picture") {
    return (
      <>
        {picture}
        <div className="in">{words}</div>
      </>
    );
  }
  return (
    <div className="in">
      {words}
      {picture}
    </div>
  );
}
