import type { ViewProps } from "../definition";
import { useContact, useEnv, Words } from "../parts";
import type { ContactFactsProps } from "./definition";

export function View({ props }: ViewProps<ContactFactsProps>) {
  const { studio } = useEnv();
  const facts = useContact(props);
  if (facts === undefined)
    return studio ? (
      <p className="studio-empty">
        Your contact facts stand here once they are written in Brand, under “Contact and hours”.
      </p>
    ) : null;
  return (
    <>
      <Words at="heading" as="h2" className="menu-head" text={props.heading} hint="Heading" />
      {facts}
    </>
  );
}
