import type { ViewProps } from "../definition";
import { stateOf } from "~/core/goods";
import { Sign, useEnv, Words } from "../parts";
import type { AssurancesProps } from "./definition";

/** The sign that stands beside words about sending. */
const SENDING = "parcel";

export function View({ props }: ViewProps<AssurancesProps>) {
  const { studio, shown } = useEnv();
  const product = shown?.page === "product" ? shown.product : undefined;
  const state = product && stateOf(product, shown?.page === "product" ? shown.variant : undefined);
  // When something is sent is promised for what lies there, and not for what is gone, on its way, made first or only fetched.
  const isSent = state === undefined || state === "in-stock" || state === "low";
  // A promise stands in the shop once the seller has written it.
  if (!studio && props.signs.every(({ words }) => !words)) return null;
  return (
    <ul className="signs">
      {props.signs.map(({ sign, words }, i) =>
        (words || studio) && (isSent || sign !== SENDING) ? (
          <li key={i}>
            <Sign sign={sign} />
            <Words at={`signs.${i}.words`} text={words} hint="In a few words" />
          </li>
        ) : null,
      )}
    </ul>
  );
}
