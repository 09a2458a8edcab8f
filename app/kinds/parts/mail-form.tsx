import type { ReactNode } from "react";
import { useNodeId } from "./env";
import { Words } from "./words";

/** Where shoppers leave their mail address for a list; with script, the answer comes where they stand. */
export function MailForm({ list, button, note }: { list: string; button: string; note: string }): ReactNode {
  const id = `mail-${useNodeId()}`;
  return (
    <zest-sign-up>
      <form className="su-form" method="post" action="/sign-up">
        {list ? <input type="hidden" name="list" value={list} /> : null}
        <label htmlFor={id}>Your mail address</label>
        <div className="su-row">
          <input className="field" id={id} type="email" name="address" required autoComplete="email" maxLength={254} />
          <button className="button" type="submit">
            <Words at="button" text={button} hint="Button words" />
          </button>
        </div>
        <Words at="note" as="p" className="su-note" text={note} hint="Small print" />
        <p className="message" role="status" />
      </form>
    </zest-sign-up>
  );
}

export const MAIL_FORM_CSS = `
.su-form{width:100%;max-width:30rem;margin-inline:0}
.su-form label{display:block;margin-bottom:.35rem;font-size:var(--t-1);font-weight:var(--strong)}
.su-row{display:flex;flex-wrap:wrap;gap:.6rem}
.su-row .field{flex:1 1 13rem;width:100%;min-width:0}
.su-row .button{flex:0 1 auto}
.su-note{margin-top:.6rem;font-size:var(--t-1);color:var(--soft)}`;

/** What a mail form may be given besides its list: for every kind that has one. */
export const MAIL_FORM_FIELDS = [
  { type: "line", key: "button", label: "Button", most: 30 },
  { type: "line", key: "note", label: "Small print", most: 200 },
  { type: "line", key: "list", label: "List in Mail", most: 60, hint: "Empty: the usual one, News.", seldom: true },
] as const;
