import type { ViewProps } from "../definition";
import { Action, Words } from "../parts";
import type { NoticeProps } from "./definition";

export function View({ props }: ViewProps<NoticeProps>) {
  return (
    <div className="in">
      <Words at="text" as="p" text={props.text} hint="What should everyone know?" />
      {props.more ? <Action at="more" className="more" label={props.more} link={props.link} /> : null}
    </div>
  );
}
