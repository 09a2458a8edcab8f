import type { ViewProps } from "../definition";
import { AskField, useCart, useEnv, Words } from "../parts";
import type { CartReminderProps } from "./definition";

export function View({ props }: ViewProps<CartReminderProps>) {
  const { studio } = useEnv();
  const { lines, done } = useCart();
  if (lines.length === 0) return null;
  if (done === "remind")
    return (
      <p className="cr-done" role="status">
        <Words at="done" text={props.done} hint="What is said" />
      </p>
    );
  return (
    <details className="cr">
      <summary>
        <Words at="heading" text={props.heading} hint="What it is" />
      </summary>
      <form className="cr-form" method="post" action="/cart/remind">
        {props.text || studio ? <Words at="text" as="p" text={props.text} hint="Text" /> : null}
        <AskField
          of="cr"
          name="address"
          label="Mail address"
          type="email"
          keys="email"
          value=""
          autofill="email"
          isNeeded
        />
        <button className="button button-2" type="submit">
          <Words at="button" text={props.button} hint="Button words" />
        </button>
      </form>
    </details>
  );
}
