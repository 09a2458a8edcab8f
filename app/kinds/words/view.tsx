import type { ViewProps } from "../definition";
import { Rich } from "../parts";
import type { WordsProps } from "./definition";

export const View = ({ props }: ViewProps<WordsProps>) => <Rich at="text" text={props.text} hint="Text" />;
