import type { ViewProps } from "../definition";
import { AccountForm, CurrentPassword, useAccount, useEnv, Words } from "../parts";
import type { AccountDataProps } from "./definition";

export function View({ props }: ViewProps<AccountDataProps>) {
  const { studio } = useEnv();
  const { at } = useAccount();
  return (
    <section className="af" id="data">
      <Words at="heading" as="h2" text={props.heading} hint="Heading" />
      {props.text || studio ? <Words at="text" as="p" text={props.text} hint="Text" /> : null}
      <div>
        <a className="at-out" href="/account/data.json" download>
          Take out all that is known of you
        </a>
        <details className="at-fold" open={at === "delete"}>
          <summary>Delete the account</summary>
          <AccountForm at="delete" action="/account/delete" press="Delete my account">
            <div className="fill-fields">
              <CurrentPassword of="at" at="delete" hint="This can’t be undone." />
            </div>
          </AccountForm>
        </details>
      </div>
    </section>
  );
}
