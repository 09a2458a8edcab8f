import type { ViewProps } from "../definition";
import { Rich, Sign, Words } from "../parts";
import type { CallOutProps } from "./definition";

export const View = ({ props }: ViewProps<CallOutProps>) => (
  <>
    <Sign sign={props.sign} />
    <div className="call-words">
      <Words at="heading" as="p" className="call-head" text={props.heading} hint="Heading" />
      <Rich at="text" text={props.text} hint="Text" />
    </div>
  </>
);
