import type { CountTo } from "~/core/countdown";
import type { ViewProps } from "../definition";
import { Count, SI_UNITS, useCounts, useEnv, Words } from "../parts";
import type { CountdownProps } from "./definition";

export function View({ props, arrangement }: ViewProps<CountdownProps>) {
  const { studio, offerEnds } = useEnv();
  const at = props.to === "offer" ? (offerEnds(props.offer) ?? "") : props.at;
  const count: CountTo =
    props.to === "hour" ? { to: "hour", days: props.days, time: props.time } : { to: "moment", at };
  const counts = useCounts(count);
  if (props.to === "moment" && at === "")
    return studio ? (
      <p className="studio-empty">Choose a date and a time in Details. Shoppers don’t see this yet.</p>
    ) : null;
  if (props.to === "offer" && at === "" && (studio || props.over === ""))
    return studio ? (
      <p className="studio-empty">
        {props.offer === null ? "No offer" : "The offer does not hold just now, or it"} has an end to count down to.
        Shoppers {props.over ? `read: ${props.over}` : "see nothing here"}.
      </p>
    ) : null;
  if (!counts) return props.over ? <Words at="over" as="p" text={props.over} hint="Said when it is over" /> : null;
  const units =
    arrangement === "line" ? SI_UNITS : ([props.dayWord, props.hourWord, props.minuteWord, props.secondWord] as const);
  return (
    <Count count={count} units={units} seconds={props.seconds} over={props.over}>
      <Words at="text" as="p" text={props.text} hint="Such as: Ends in" />
    </Count>
  );
}
