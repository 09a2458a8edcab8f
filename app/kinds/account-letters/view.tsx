import type { ViewProps } from "../definition";
import { AccountForm, useAccount, useEnv, Words } from "../parts";
import type { AccountLettersProps } from "./definition";

export function View({ props }: ViewProps<AccountLettersProps>) {
  const { studio } = useEnv();
  const { lists } = useAccount();
  if (lists.length === 0 && !studio) return null;
  return (
    <section className="af" id="letters">
      <Words at="heading" as="h2" text={props.heading} hint="Heading" />
      {props.text || studio ? <Words at="text" as="p" text={props.text} hint="Text" /> : null}
      <AccountForm at="lists" action="/account/lists" press="Keep this">
        <div>
          {lists.map(({ name, isOn }) => (
            <label className="fill-tick" key={name}>
              <input type="checkbox" name="list" value={name} defaultChecked={isOn} />
              <span>{name}</span>
            </label>
          ))}
        </div>
      </AccountForm>
    </section>
  );
}
