import type { ViewProps } from "../definition";
import { Sign, useEnv } from "../parts";
import type { RuleProps } from "./definition";

export function View({ arrangement }: ViewProps<RuleProps>) {
  const { identity } = useEnv();
  if (arrangement !== "sign") return <hr />;
  // A shop whose logo is a picture has no sign of its own.
  const sign = identity.logo.form === "sign" ? identity.logo.sign : "flower";
  return (
    <>
      <hr />
      <Sign sign={sign} />
      <hr aria-hidden="true" />
    </>
  );
}
