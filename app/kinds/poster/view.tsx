import type { ViewProps } from "../definition";
import { Pic, useEnv, useSlot } from "../parts";
import type { PosterProps } from "./definition";

export function View({ props, first }: ViewProps<PosterProps>) {
  const { picture: find } = useEnv();
  const { inside, mark } = useSlot("placed");
  return (
    <>
      {find(props.picture) ? (
        <Pic picture={props.picture} view={props.pictureView} at="picture" sizes="100vw" eager={first} alt="" />
      ) : null}
      <div className="placed" {...mark}>
        {inside}
      </div>
    </>
  );
}
