import type { ReactNode } from "react";
import { ADDRESS_OF_DOOR, NOTHING_WRITTEN, SHORTEST_PASSWORD } from "~/core/account";
import type { ViewProps } from "../definition";
import { AskField, PasswordOf, useDoor, useEnv, Words } from "../parts";
import type { SignInProps } from "./definition";

const HEADING = {
  "sign-in": "heading",
  register: "registerHeading",
  forgotten: "forgottenHeading",
  password: "passwordHeading",
} as const;

const Way = ({ to, children }: { to: keyof typeof ADDRESS_OF_DOOR; children: ReactNode }) => (
  <a href={ADDRESS_OF_DOOR[to]}>{children}</a>
);

/** What whoever has asked for a letter is told: the same whether there is an account or not. */
function Sent({ props }: { props: SignInProps }): ReactNode {
  const { values = NOTHING_WRITTEN } = useDoor();
  return (
    <>
      <div className="si-sent" role="status">
        <p>
          <b>{values.mail}</b>
        </p>
        <Words at="sent" as="p" text={props.sent} hint="What is said" />
      </div>
      <p className="si-ways">
        <Way to="sign-in">Back to signing in</Way>
      </p>
    </>
  );
}

function Form({ props }: { props: SignInProps }): ReactNode {
  const { door, values = NOTHING_WRITTEN, problems } = useDoor();
  const name = (
    <AskField
      of="si"
      name="name"
      label="Your name"
      value={values.name}
      problem={problems.get("name")}
      autofill="name"
      isNeeded
    />
  );
  const mail = (
    <AskField
      of="si"
      name="mail"
      label="Mail address"
      type="email"
      keys="email"
      value={values.mail}
      problem={problems.get("mail")}
      // To a password manager the address is what an account is called.
      autofill={door === "sign-in" ? "username" : "email"}
      isNeeded
    />
  );
  const password = (
    <AskField
      of="si"
      name="password"
      label={door === "password" ? "New password" : "Password"}
      type="password"
      value=""
      problem={problems.get("password")}
      autofill={door === "password" ? "new-password" : "current-password"}
      isNeeded
      {...(door === "password" ? { hint: `${SHORTEST_PASSWORD} characters or more; a few words are good, too.` } : {})}
    />
  );
  return (
    <form className="si-form" method="post" action={ADDRESS_OF_DOOR[door]} noValidate>
      {values.to ? <input type="hidden" name="to" value={values.to} /> : null}
      {door === "password" ? (
        <>
          <input type="hidden" name="token" value={values.token} />
          <PasswordOf mail={values.mail} />
        </>
      ) : null}
      <div className="fill-fields">
        {door === "register" ? name : null}
        {door === "password" ? null : mail}
        {door === "sign-in" || door === "password" ? password : null}
      </div>
      <button className="button" type="submit">
        {door === "sign-in" ? (
          <Words at="button" text={props.button} hint="Button words" />
        ) : door === "password" ? (
          "Keep it, and sign in"
        ) : (
          <Words at="registerButton" text={props.registerButton} hint="Button words" />
        )}
      </button>
    </form>
  );
}

export function View({ props, arrangement }: ViewProps<SignInProps>) {
  const { studio } = useEnv();
  const { door, said, isSent, values = NOTHING_WRITTEN } = useDoor();
  const text = { "sign-in": props.text, register: props.registerText, forgotten: props.forgottenText, password: "" };
  const at = { "sign-in": "text", register: "registerText", forgotten: "forgottenText", password: "" } as const;
  const isBeside = arrangement === "beside" && door === "sign-in";
  return (
    <div className="in">
      <div className="si-box">
        <Words at={HEADING[door]} as="h1" className="head" text={props[HEADING[door]]} hint="Heading" />
        {at[door] && (text[door] || studio) && !isSent ? (
          <Words at={at[door]} as="p" text={text[door]} hint="Text" />
        ) : null}
        {door === "password" && values.mail ? (
          <p>
            For <b>{values.mail}</b>
          </p>
        ) : null}
        {said ? (
          <p className="si-said" role="alert">
            {said}
          </p>
        ) : null}
        {isSent ? (
          <Sent props={props} />
        ) : (
          <>
            <Form props={props} />
            <p className="si-ways">
              {door === "sign-in" ? <Way to="forgotten">Forgotten your password?</Way> : null}
              {door === "sign-in" && !isBeside ? <Way to="register">Make an account</Way> : null}
              {door === "register" ? <Way to="sign-in">You have an account? Sign in</Way> : null}
              {door === "forgotten" ? <Way to="sign-in">Back to signing in</Way> : null}
            </p>
          </>
        )}
      </div>
      {isBeside ? (
        <div className="si-box si-new">
          <Words at="registerHeading" as="h2" text={props.registerHeading} hint="Heading" />
          {props.registerText || studio ? (
            <Words at="registerText" as="p" text={props.registerText} hint="Text" />
          ) : null}
          <p className="si-ways">
            <a className="button button-2" href={ADDRESS_OF_DOOR.register}>
              Make an account
            </a>
          </p>
        </div>
      ) : null}
    </div>
  );
}
