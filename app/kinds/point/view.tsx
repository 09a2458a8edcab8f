import type { ViewProps } from "../definition";
import { Sign, Words } from "../parts";
import type { PointProps } from "./definition";

export const View = ({ props }: ViewProps<PointProps>) => (
  <>
    <Sign sign={props.sign} />
    <div>
      <Words at="heading" as="p" className="point-head" text={props.heading} hint="In a few words" />
      <Words at="text" as="p" className="point-text" text={props.text} hint="In a sentence" />
    </div>
  </>
);
