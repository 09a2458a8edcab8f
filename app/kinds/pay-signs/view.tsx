import type { ViewProps } from "../definition";
import { PAY_SIGNS, useEnv } from "../parts";
import { LineSign } from "../parts/shop-signs";
import type { PaySignsProps } from "./definition";

export function View({ props, arrangement }: ViewProps<PaySignsProps>) {
  const { studio } = useEnv();
  if (props.ways.length === 0)
    return studio ? <p className="studio-empty">Say in Details how people can pay, and how things are sent.</p> : null;
  return (
    <ul className="pays">
      {props.ways.map(({ way, words }, i) => {
        const [name, path] = PAY_SIGNS[way];
        return (
          <li key={i}>
            <LineSign path={path} />
            <span className={arrangement === "both" ? undefined : "unseen"}>{words || name}</span>
          </li>
        );
      })}
    </ul>
  );
}
