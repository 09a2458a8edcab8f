import type { ReactNode } from "react";
import { ALL_GOODS, closedOf } from "~/core/addresses";
import type { Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import { WaysOn } from "~/kinds/parts";
import type { Target } from "../target";

/** A page that says one thing: not found, thank you, something went wrong. */
type Message = Omit<Extract<Target, { page: "message" }>, "page" | "address">;

export function MessagePage({ title, text, code, way, press, refuse, goods }: Message & { goods: Goods }): ReactNode {
  const on =
    way ??
    (goods.products.length
      ? { address: ALL_GOODS, label: "See everything" }
      : { address: "/", label: "Back to the start" });
  return (
    <div className="in message-page">
      <h1 className="head">{title}</h1>
      <p className="lead">{text}</p>
      {code ? <p className="message-code">{code}</p> : null}
      {press ? (
        <div className="message-presses">
          {[press, ...(refuse ? [refuse] : [])].map(({ action, label }, i) => (
            <form method="post" action={action} key={action}>
              <button className={i ? "button button-2" : "button"} type="submit">
                {label}
              </button>
            </form>
          ))}
        </div>
      ) : (
        <a className="button" href={on.address}>
          {on.label}
        </a>
      )}
      <WaysOn />
    </div>
  );
}

/** Where friends say the word with which they see a shop that is closed; nothing where there is no such word. */
export function FriendsDoor({ wrong, documents }: { wrong: boolean; documents: Draft["documents"] }): ReactNode {
  if (closedOf(documents).friends === "") return null;
  return (
    <section className="s">
      <form className="in friends" action="/friends" method="post">
        <label htmlFor="friends-word">Do you have the password?</label>
        <span className="friends-row">
          <input className="field" id="friends-word" name="word" type="password" required autoComplete="off" />
          <button className="button button-2" type="submit">
            Come in
          </button>
        </span>
        {wrong ? (
          <p className="message" data-state="care" role="alert">
            That is not the password.
          </p>
        ) : null}
      </form>
    </section>
  );
}
