import type { ViewProps } from "../definition";
import { Pic, useEnv, Words } from "../parts";
import type { PictureProps } from "./definition";

export function View({ props, first }: ViewProps<PictureProps>) {
  const { href, studio, picture } = useEnv();
  const address = href(props.link);
  // Nothing to see is nothing at all for shoppers.
  if (!studio && !picture(props.picture)) return null;
  const shown = (
    <Pic
      picture={props.picture}
      view={props.pictureView}
      at="picture"
      sizes="(min-width:1024px) 60vw, 100vw"
      eager={first}
    />
  );
  return (
    <>
      {address ? <a href={address}>{shown}</a> : shown}
      {props.caption ? <Words at="caption" as="figcaption" text={props.caption} hint="Caption" /> : null}
    </>
  );
}
