import type { ViewProps } from "../definition";
import { Words } from "../parts";
import type { QuoteProps } from "./definition";

export const View = ({ props }: ViewProps<QuoteProps>) => (
  <>
    <Words at="text" as="blockquote" text={props.text} hint="What was said" />
    {props.who ? <Words at="who" as="figcaption" text={props.who} hint="Who said it" /> : null}
  </>
);
