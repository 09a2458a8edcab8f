import type { ViewProps } from "../definition";
import { Action, Pic, Rich, useSlot, Words } from "../parts";
import type { PictureWordsProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<PictureWordsProps>) {
  const { inside, mark } = useSlot("widgets");
  return (
    <div className="in">
      <Pic
        picture={props.picture}
        view={props.pictureView}
        at="picture"
        sizes={arrangement === "overlap" ? "(min-width:800px) 75vw, 100vw" : "(min-width:800px) 55vw, 100vw"}
      />
      <div className="pw-words" {...mark}>
        <Words at="over" as="p" className="over" text={props.over} hint="Line above" />
        <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
        <Rich at="text" className="lead" text={props.text} hint="Text" />
        {props.more ? <Action at="more" className="more" label={props.more} link={props.link} /> : null}
        {inside}
      </div>
    </div>
  );
}
