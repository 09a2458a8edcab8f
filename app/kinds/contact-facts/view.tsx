import { hoursWords } from "~/core/document";
import type { ViewProps } from "../definition";
import { useEnv, Words } from "../parts";
import type { ContactFactsProps } from "./definition";

/** A phone number stays on one line. */
const unbroken = (phone: string) => phone.replace(/\s+/g, "\u00a0");

export function View({ props }: ViewProps<ContactFactsProps>) {
  const { identity, studio } = useEnv();
  const address = props.address ? identity.address : undefined;
  const mail = props.mail ? identity.mail : undefined;
  const phone = props.phone ? identity.phone : undefined;
  const hours = props.hours ? (identity.hours ?? []) : [];
  if (!address && !mail && !phone && hours.length === 0)
    return studio ? (
      <p className="studio-empty">
        Your contact facts stand here once they are written in Brand, under “Contact and hours”.
      </p>
    ) : null;
  return (
    <>
      <Words at="heading" as="h2" className="menu-head" text={props.heading} hint="Heading" />
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
    </>
  );
}
