import type { ReactNode } from "react";
import { hoursWords } from "~/core/document";
import { useEnv } from "./env";

/** A phone number stays on one line. */
const unbroken = (phone: string) => phone.replace(/\s+/g, "\u00a0");

export type ContactParts = {
  readonly address: boolean;
  readonly mail: boolean;
  readonly phone: boolean;
  readonly hours: boolean;
};

/** What is said in Brand of where the shop is, how it is reached and when it is open; undefined where nothing of what is asked for is. */
export function useContact(asked: ContactParts): ReactNode | undefined {
  const { identity } = useEnv();
  const address = asked.address ? identity.address : undefined;
  const mail = asked.mail ? identity.mail : undefined;
  const phone = asked.phone ? identity.phone : undefined;
  const hours = asked.hours ? (identity.hours ?? []) : [];
  if (!address && !mail && !phone && hours.length === 0) return undefined;
  return (
    <ul className="reach">
      {address ? (
        <li>
          <address>{address}</address>
        </li>
      ) : null}
      {mail ? (
        <li>
          <a href={`mailto:${mail}`}>{mail}</a>
        </li>
      ) : null}
      {phone ? (
        <li>
          <a href={`tel:${phone.replace(/[^+\d]/g, "")}`}>{unbroken(phone)}</a>
        </li>
      ) : null}
      {hours.length ? (
        <li>
          <ul className="hours">
            {hours.map((each, i) => (
              <li key={i}>{hoursWords(each)}</li>
            ))}
          </ul>
        </li>
      ) : null}
    </ul>
  );
}
