import type { ViewProps } from "../definition";
import { Words } from "../parts";
import type { TextProps } from "./definition";

export function View({ props, first }: ViewProps<TextProps>) {
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      <Words at="text" as="p" className="lead" text={props.text} hint="Text" />
    </div>
  );
}
