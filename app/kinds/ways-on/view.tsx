import { ALL_GOODS } from "~/core/addresses";
import type { ViewProps } from "../definition";
import { useEnv, WaysOn, Words } from "../parts";
import type { WaysOnProps } from "./definition";

export function View({ props, first }: ViewProps<WaysOnProps>) {
  const { goods } = useEnv();
  const hasGoods = goods.products.length > 0;
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      <Words at="text" as="p" className="lead" text={props.text} hint="Text" />
      <a className="button" href={hasGoods ? ALL_GOODS : "/"}>
        {hasGoods ? "See everything" : "Back to the start"}
      </a>
      <WaysOn />
    </div>
  );
}
