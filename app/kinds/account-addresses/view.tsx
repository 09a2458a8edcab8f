import { MOST_ADDRESSES } from "~/core/account";
import { addressFields, addressLines, countryName, deliveredTo } from "~/core/selling";
import type { ViewProps } from "../definition";
import { AddressFields, FormSaid, useAccount, useEnv, Words } from "../parts";
import type { AccountAddressesProps } from "./definition";

export function View({ props }: ViewProps<AccountAddressesProps>) {
  const { selling, studio } = useEnv();
  const { addresses, editing, problems, at } = useAccount();
  const own = at === "address" ? problems : new Map<string, string>();
  return (
    <section className="af" id="addresses">
      <Words at="heading" as="h2" text={props.heading} hint="Heading" />
      <FormSaid at="address" />
      {addresses.length === 0 && !editing && (props.none || studio) ? (
        <Words at="none" as="p" className="aa-none" text={props.none} hint="What is said" />
      ) : null}
      {addresses.length ? (
        <ul className="aa-list">
          {addresses.map((address) => (
            <li className="aa-one" key={address.id}>
              <p>{addressLines(address, countryName, selling.from).join("\n")}</p>
              <form className="aa-do" method="post" action="/account/address/remove">
                <a
                  href={`/account?address=${address.id}#addresses`}
                  aria-label={`Change: ${address.name}, ${address.street}`}
                >
                  Change
                </a>
                <input type="hidden" name="id" value={address.id} />
                <button type="submit" aria-label={`Remove: ${address.name}, ${address.street}`}>
                  Remove
                </button>
              </form>
            </li>
          ))}
        </ul>
      ) : null}
      {editing ? (
        <form className="af-form" method="post" action="/account/address" noValidate>
          <input type="hidden" name="id" value={editing.id} />
          <AddressFields
            of="aa"
            country={editing.country}
            countries={deliveredTo(selling)}
            fields={addressFields(editing.country)}
            values={editing}
            problems={own}
          />
          <div className="af-end">
            <button className="button" type="submit" name="do" value="keep">
              Keep the address
            </button>
            <noscript>
              <button className="button button-2" type="submit" name="do" value="country">
                Show the fields of this country
              </button>
            </noscript>
            <a href="/account#addresses">Cancel</a>
          </div>
        </form>
      ) : addresses.length < MOST_ADDRESSES ? (
        <p className="aa-do">
          <a href="/account?address=new#addresses">
            <Words at="add" text={props.add} hint="Link words" />
          </a>
        </p>
      ) : null}
    </section>
  );
}
