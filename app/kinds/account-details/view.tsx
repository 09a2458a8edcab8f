import type { ReactNode } from "react";
import { SHORTEST_PASSWORD, type AccountPart } from "~/core/account";
import type { ViewProps } from "../definition";
import { AskField, FormSaid, useAccount, Words } from "../parts";
import type { AccountDetailsProps } from "./definition";

/** One form of it, folded or open; what was sent last is open. */
function Part({
  at,
  title,
  isFolded,
  children,
}: {
  at: AccountPart;
  title: string;
  isFolded: boolean;
  children: ReactNode;
}): ReactNode {
  const account = useAccount();
  if (!isFolded)
    return (
      <div className="ad-fold">
        <h3>{title}</h3>
        {children}
      </div>
    );
  return (
    <details className="ad-fold" open={account.at === at}>
      <summary>{title}</summary>
      {children}
    </details>
  );
}

export function View({ props, arrangement }: ViewProps<AccountDetailsProps>) {
  const { name, mail, problems, at } = useAccount();
  const problem = (part: AccountPart, field: string) => (at === part ? problems.get(field) : undefined);
  const isFolded = arrangement !== "open";
  const current = (part: AccountPart) => (
    <AskField
      of={`ad-${part}`}
      name="password"
      label={part === "password" ? "Password so far" : "Your password"}
      type="password"
      value=""
      problem={problem(part, "password")}
      autofill="current-password"
      isNeeded
    />
  );
  return (
    <section className="af" id="details">
      <Words at="heading" as="h2" text={props.heading} hint="Heading" />
      <form className="af-form" method="post" action="/account/details" noValidate>
        <FormSaid at="details" />
        <div className="fill-fields">
          <AskField
            of="ad"
            name="name"
            label="Your name"
            value={name}
            problem={problem("details", "name")}
            autofill="name"
            isNeeded
          />
        </div>
        <div className="af-end">
          <button className="button button-2" type="submit">
            Keep the name
          </button>
        </div>
      </form>
      <Part at="mail" title={`Mail address: ${mail}`} isFolded={isFolded}>
        <form className="af-form" method="post" action="/account/mail" noValidate>
          <FormSaid at="mail" />
          <div className="fill-fields">
            <AskField
              of="ad"
              name="mail"
              label="New mail address"
              type="email"
              keys="email"
              value=""
              problem={problem("mail", "mail")}
              autofill="email"
              isNeeded
              hint="We send a letter there; it counts once you have opened the link in it."
            />
            {current("mail")}
          </div>
          <div className="af-end">
            <button className="button button-2" type="submit">
              Send the letter
            </button>
          </div>
        </form>
      </Part>
      <Part at="password" title="Password" isFolded={isFolded}>
        <form className="af-form" method="post" action="/account/password-change" noValidate>
          <FormSaid at="password" />
          <input
            className="unseen"
            name="mail"
            value={mail}
            autoComplete="username"
            readOnly
            tabIndex={-1}
            aria-label="Mail address"
          />
          <div className="fill-fields">
            {current("password")}
            <AskField
              of="ad"
              name="fresh"
              label="New password"
              type="password"
              value=""
              problem={problem("password", "fresh")}
              autofill="new-password"
              isNeeded
              hint={`${SHORTEST_PASSWORD} characters or more. Other browsers are signed out.`}
            />
          </div>
          <div className="af-end">
            <button className="button button-2" type="submit">
              Change the password
            </button>
          </div>
        </form>
      </Part>
    </section>
  );
}
