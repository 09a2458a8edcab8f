import type { ViewProps } from "../definition";
import { SectionHead, Table, useEnv, Words } from "../parts";
import type { TableProps } from "./definition";

export function View({ props, first }: ViewProps<TableProps>) {
  const { studio } = useEnv();
  // Rows and columns with nothing in them are the seller's to fill in.
  const isEmpty = props.rows.every((row) => row.every((cell) => cell.trim() === ""));
  if (isEmpty && !studio) return null;
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      <Table at="rows" rows={props.rows} name={props.heading || "Table"} />
      {props.note ? <Words at="note" as="p" className="table-note" text={props.note} hint="Small print" /> : null}
    </div>
  );
}
