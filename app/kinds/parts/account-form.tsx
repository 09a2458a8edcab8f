import type { ReactNode } from "react";
import type { AccountPart } from "~/core/account";
import { useAccount } from "./account";
import { AskField } from "./ask";

/** What became of a form of an account, where it stands. */
export function FormSaid({ at }: { at: AccountPart }): ReactNode {
  const account = useAccount();
  if (account.at !== at || !account.said) return null;
  return (
    <p className={account.isGood ? "af-said" : "af-said af-bad"} role={account.isGood ? "status" : "alert"}>
      {account.said}
    </p>
  );
}

/** A form of an account, with what became of it and what is pressed at its end. */
export const AccountForm = ({
  at,
  action,
  press,
  children,
}: {
  at: AccountPart;
  action: string;
  press: string;
  children: ReactNode;
}): ReactNode => (
  <form className="af-form" method="post" action={action} noValidate>
    <FormSaid at={at} />
    {children}
    <div className="af-end">
      <button className="button button-2" type="submit">
        {press}
      </button>
    </div>
  </form>
);

/** Asks for the password once more, before something is done that somebody else must not do. `of`: the part of the page that asks. */
export function CurrentPassword({
  of,
  at,
  label = "Your password",
  hint,
}: {
  of: string;
  at: AccountPart;
  label?: string;
  hint?: string;
}): ReactNode {
  const account = useAccount();
  return (
    <AskField
      of={of}
      name="password"
      label={label}
      type="password"
      value=""
      problem={account.at === at ? account.problems.get("password") : undefined}
      autofill="current-password"
      isNeeded
      {...(hint ? { hint } : {})}
    />
  );
}

/** So that a password manager keeps a new password under the right name. Nobody else sees it. */
export const PasswordOf = ({ mail }: { mail: string }): ReactNode => (
  <input
    className="unseen"
    type="email"
    name="mail"
    value={mail}
    autoComplete="username"
    readOnly
    tabIndex={-1}
    aria-label="Mail address"
  />
);

export const FORM_CSS = `
.af,.af-form{display:grid;gap:var(--s3);grid-template-columns:minmax(0,1fr);min-width:0}
.af h2{font-size:var(--t2);margin:0}
.af h3{font-size:var(--t1);margin:0}
.af-said{padding:.75rem 1rem;background:var(--raised);border-radius:min(var(--card),.75rem)}
.af-bad{background:none;border:2px solid var(--danger)}
.af-end{display:flex;flex-wrap:wrap;gap:.6rem 1rem;align-items:center}
.af-end a{display:inline-flex;align-items:center;min-height:2.75rem}`;
