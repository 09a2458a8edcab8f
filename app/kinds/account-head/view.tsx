import type { ViewProps } from "../definition";
import { useAccount, useEnv, Words } from "../parts";
import type { AccountHeadProps } from "./definition";

export function View({ props }: ViewProps<AccountHeadProps>) {
  const { studio } = useEnv();
  const { name, mail, said, at } = useAccount();
  return (
    <div className="in">
      <Words at="heading" as="h1" className="head" text={props.heading} hint="Heading" />
      {props.text || studio ? <Words at="text" as="p" text={props.text} hint="Text" /> : null}
      <form className="ac-who" method="post" action="/account/sign-out">
        <span>
          <b>{name}</b> {mail}
        </span>
        <button className="ac-out" type="submit">
          <Words at="out" text={props.out} hint="Button words" />
        </button>
      </form>
      {said && !at ? (
        <p className="ac-all" role="status">
          {said}
        </p>
      ) : null}
    </div>
  );
}
