import type { ViewProps } from "../definition";
import { FormSaid, useAccount, useEnv, Words } from "../parts";
import type { AccountLettersProps } from "./definition";

export function View({ props }: ViewProps<AccountLettersProps>) {
  const { studio } = useEnv();
  const { lists } = useAccount();
  if (lists.length === 0 && !studio) return null;
  return (
    <section className="af" id="letters">
      <Words at="heading" as="h2" text={props.heading} hint="Heading" />
      {props.text || studio ? <Words at="text" as="p" text={props.text} hint="Text" /> : null}
      <form className="af-form" method="post" action="/account/lists">
        <FormSaid at="lists" />
        <div>
          {lists.map(({ name, isOn }) => (
            <label className="fill-tick" key={name}>
              <input type="checkbox" name="list" value={name} defaultChecked={isOn} />
              <span>{name}</span>
            </label>
          ))}
        </div>
        <div className="af-end">
          <button className="button button-2" type="submit">
            Keep this
          </button>
        </div>
      </form>
    </section>
  );
}
