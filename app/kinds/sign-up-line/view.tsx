import type { ViewProps } from "../definition";
import { MailForm } from "../parts";
import type { SignUpLineProps } from "./definition";

export const View = ({ props: { list, button, note } }: ViewProps<SignUpLineProps>) => (
  <MailForm list={list} button={button} note={note} />
);
