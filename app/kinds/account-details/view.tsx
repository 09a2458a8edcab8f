import type { ReactNode } from "react";
import { SHORTEST_PASSWORD, type AccountPart } from "~/core/account";
import type { ViewProps } from "../definition";
import { AccountForm, AskField, CurrentPassword, PasswordOf, useAccount, Words } from "../parts";
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
  return (
    <section className="af" id="details">
      <Words at="heading" as="h2" text={props.heading} hint="Heading" />
      <AccountForm at="details" action="/account/details" press="Keep the name">
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
      </AccountForm>
      <Part at="mail" title={`Mail address: ${mail}`} isFolded={isFolded}>
        <AccountForm at="mail" action="/account/mail" press="Send the letter">
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
            <CurrentPassword of="ad-mail" at="mail" />
          </div>
        </AccountForm>
      </Part>
      <Part at="password" title="Password" isFolded={isFolded}>
        <AccountForm at="password" action="/account/password-change" press="Change the password">
          <PasswordOf mail={mail} />
          <div className="fill-fields">
            <CurrentPassword of="ad-password" at="password" label="Password so far" />
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
        </AccountForm>
      </Part>
    </section>
  );
}
