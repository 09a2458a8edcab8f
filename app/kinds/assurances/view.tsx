import type { ViewProps } from "../definition";
import { Sign, useEnv, Words } from "../parts";
import type { AssurancesProps } from "./definition";

export function View({ props }: ViewProps<AssurancesProps>) {
  const { studio } = useEnv();
  // A promise stands in the shop once the seller has written it.
  if (!studio && props.signs.every(({ words }) => !words)) return null;
  return (
    <ul className="signs">
      {props.signs.map(({ sign, words }, i) =>
        words || studio ? (
          <li key={i}>
            <Sign sign={sign} />
            <Words at={`signs.${i}.words`} text={words} hint="In a few words" />
          </li>
        ) : null,
      )}
    </ul>
  );
}
