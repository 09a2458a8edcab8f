import type { ViewProps } from "../definition";
import { useInside, useNodeId, Words } from "../parts";
import type { HeadingProps } from "./definition";

export function View({ props }: ViewProps<HeadingProps>) {
  const { headId } = useInside();
  const tag = headId === useNodeId() ? "h1" : (`h${props.level}` as const);
  return <Words at="text" as={tag} className="head" text={props.text} hint="Heading" />;
}
