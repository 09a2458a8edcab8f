import type { ReactNode } from "react";
import type { CheckoutValues } from "~/core/checkout";
import { AskField, useCheckout, type AskProps } from "../parts";

/** One thing that is asked, with what was given and what is wrong with it. */
export function Ask({
  name,
  isSecret,
  ...more
}: Omit<AskProps, "of" | "value" | "name"> & { name: keyof CheckoutValues; isSecret?: boolean }): ReactNode {
  const { values, problems } = useCheckout();
  const value = values[name];
  return (
    <AskField
      of="ck"
      name={name}
      problem={problems.get(name)}
      // What is on a card is never sent back to the page.
      value={isSecret || typeof value !== "string" ? "" : value}
      {...more}
    />
  );
}
