import type { ReactNode } from "react";
import type { ViewProps } from "../definition";
import { Pic, SectionHead, Table, useEnv, usePartId, Words } from "../parts";
import type { SizeChartProps } from "./definition";
import { converted, OTHER, unitIn, withUnit } from "./units";

/** What is written and the same in the other unit; which of them is seen, the switch above says. */
const Both = ({ written, other }: { written: string; other: string }): ReactNode => (
  <>
    <span className="in-written">{written}</span>
    <span className="in-other">{other}</span>
  </>
);

export function View({ props, arrangement, first }: ViewProps<SizeChartProps>) {
  const { studio, picture: find } = useEnv();
  const name = usePartId("unit");
  const [head = [], ...body] = props.rows;
  const isEmpty = body.every((row) => row.slice(1).every((cell) => cell.trim() === ""));
  if (isEmpty && !studio) return null;
  const units = head.map(unitIn);
  const written = [...new Set(units.filter((unit) => unit !== undefined))];
  const switches = props.both && written.length > 0;
  const label = (each: readonly string[]) => each.join(", ");
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} first={first} />
      <div className="sizes-all">
        <div className="sizes">
          <Words at="text" as="p" className="lead" text={props.text} hint="How to measure" />
          {switches ? (
            <fieldset className="unit-switch">
              <legend className="unseen">Units</legend>
              <label>
                <input type="radio" name={name} value="written" defaultChecked />
                {label(written)}
              </label>
              <label>
                <input type="radio" name={name} value="other" className="unit-other" />
                {label(written.map((unit) => OTHER[unit]))}
              </label>
            </fieldset>
          ) : null}
          <Table
            at="rows"
            rows={props.rows}
            name={props.heading || "Sizes"}
            {...(switches
              ? {
                  heading: (text, column) => {
                    const unit = units[column];
                    return unit && <Both written={text} other={withUnit(text, OTHER[unit])} />;
                  },
                  cell: (text, column) => {
                    const unit = units[column];
                    return unit && <Both written={text} other={converted(text, unit)} />;
                  },
                }
              : {})}
          />
          {props.note ? <Words at="note" as="p" className="sizes-note" text={props.note} hint="Small print" /> : null}
        </div>
        {arrangement === "beside" && (find(props.picture) || studio) ? (
          <Pic picture={props.picture} at="picture" className="sizes-picture" sizes="22rem" />
        ) : null}
      </div>
    </div>
  );
}
