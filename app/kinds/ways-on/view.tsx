import type { ViewProps } from "../definition";
import { WaysOn, Words } from "../parts";
import type { WaysOnProps } from "./definition";

export function View({ props, first }: ViewProps<WaysOnProps>) {
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      <Words at="text" as="p" className="lead" text={props.text} hint="Text" />
      <WaysOn />
    </div>
  );
}
