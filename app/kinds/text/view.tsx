import type { ViewProps } from "../definition";
import { Rich, useSlot, Words } from "../parts";
import type { TextProps } from "./definition";

export function View({ props, first }: ViewProps<TextProps>) {
  const { inside, mark } = useSlot("widgets");
  return (
    <div className="in" {...mark}>
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      <Rich at="text" className="lead" text={props.text} hint="Text" />
      {inside}
    </div>
  );
}
