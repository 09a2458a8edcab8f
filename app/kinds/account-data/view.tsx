import type { ViewProps } from "../definition";
import { AskField, FormSaid, useAccount, useEnv, Words } from "../parts";
import type { AccountDataProps } from "./definition";

export function View({ props }: ViewProps<AccountDataProps>) {
  const { studio } = useEnv();
  const { problems, at } = useAccount();
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
          <form className="af-form" method="post" action="/account/delete" noValidate>
            <FormSaid at="delete" />
            <div className="fill-fields">
              <AskField
                of="at"
                name="password"
                label="Your password"
                type="password"
                value=""
                problem={at === "delete" ? problems.get("password") : undefined}
                autofill="current-password"
                isNeeded
                hint="This can’t be undone."
              />
            </div>
            <div className="af-end">
              <button className="button button-2" type="submit">
                Delete my account
              </button>
            </div>
          </form>
        </details>
      </div>
    </section>
  );
}
