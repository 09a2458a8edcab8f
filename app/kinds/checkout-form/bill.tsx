import type { ReactNode } from "react";
import { BILL, billTyped, NOTHING_GIVEN, type CheckoutValues } from "~/core/checkout";
import { addressFields } from "~/core/selling";
import { AddressFields, useCheckout, usePartId, Words } from "../parts";
import type { CheckoutFormProps } from "./definition";

/** The fields of the bill’s address, by name. */
export const OF_BILL = (Object.keys(NOTHING_GIVEN) as (keyof CheckoutValues)[]).filter(
  (name) => name === "bills" || name.startsWith(BILL),
);

/** Where the bill goes, where that is not where the order goes. */
export function Bill({ props }: { props: CheckoutFormProps }): ReactNode {
  const { country, values, problems } = useCheckout();
  const id = usePartId("ck-bills");
  if (!props.bill) return null;
  const typed = billTyped(values, country);
  return (
    <div className="ck-bill">
      <label className="fill-tick">
        <input type="checkbox" id={id} name="bills" value="1" defaultChecked={values.bills} data-again="" />
        <Words at="bill" text={props.bill} hint="Tick" />
      </label>
      {values.bills ? (
        <section aria-label={props.bill}>
          <AddressFields
            of="ck"
            isBill
            country={typed.country}
            countries={undefined}
            fields={addressFields(typed.country)}
            values={typed}
            problems={problems}
            again
          />
        </section>
      ) : null}
    </div>
  );
}
