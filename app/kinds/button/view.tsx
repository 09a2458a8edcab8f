import type { ViewProps } from "../definition";
import { Action } from "../parts";
import type { ButtonProps } from "./definition";

const CLASSES: Readonly<Record<ButtonProps["look"], string>> = {
  first: "button",
  second: "button button-2",
  quiet: "button button-3",
  link: "more",
};

export const View = ({ props }: ViewProps<ButtonProps>) => (
  <Action at="label" className={CLASSES[props.look]} label={props.label} link={props.link} />
);
