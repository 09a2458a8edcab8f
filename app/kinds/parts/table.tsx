import type { ReactNode } from "react";
import { tickOf, type TableRows } from "../table-rows";
import { Words } from "./words";

type TableProps = {
  /** Path of the rows in the part's props. */
  at: string;
  rows: TableRows;
  /** What it is called to assistive technology. */
  name: string;
  /** What stands in a cell, or in the heading of a column, in place of what was written, where it does. */
  cell?: (text: string, column: number) => ReactNode;
  heading?: (text: string, column: number) => ReactNode;
};

/** A tick or a dash, and the word for it. */
const Tick = ({ is }: { is: "yes" | "no" }): ReactNode => (
  <>
    <i className={`tick tick-${is}`} />
    <span className="unseen">{is === "yes" ? "Yes" : "No"}</span>
  </>
);

/**
 * A table of words: the first row names the columns, the first column the rows. Where it is wider than the page it is slid, and the
 * first column stays.
 */
export function Table({ at, rows, name, cell, heading }: TableProps): ReactNode {
  const [head = [], ...body] = rows;
  const shown = (text: string, column: number): ReactNode => {
    const tick = tickOf(text);
    return tick ? <Tick is={tick} /> : cell?.(text, column);
  };
  const words = (row: number, column: number, text: string, Tag: "td" | "th") => {
    const label = Tag === "th" ? { scope: row === 0 ? "col" : "row" } : {};
    return (
      <Tag key={column} {...label}>
        <Words
          at={`${at}.${row}.${column}`}
          as="div"
          text={text}
          hint=" "
          shown={row === 0 ? heading?.(text, column) : shown(text, column)}
        />
      </Tag>
    );
  };
  return (
    <div className="sheet" role="group" aria-label={name} tabIndex={0}>
      <table className="facts-table">
        <thead>
          <tr>{head.map((text, column) => words(0, column, text, "th"))}</tr>
        </thead>
        <tbody>
          {body.map((row, i) => (
            <tr key={i}>{row.map((text, column) => words(i + 1, column, text, column === 0 ? "th" : "td"))}</tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

export const TABLE_CSS = `
.sheet{position:relative;overflow-x:auto;max-width:100%;scrollbar-width:thin}
.facts-table{border-collapse:separate;border-spacing:0;width:100%;font-variant-numeric:lining-nums tabular-nums}
.facts-table th,.facts-table td{padding:.75rem 1rem;text-align:start;vertical-align:top;border-bottom:max(1px,var(--rule)) solid var(--line);min-width:5.5rem}
.facts-table thead>tr>*{font-weight:var(--strong);border-bottom:max(2px,var(--rule)) solid var(--ink);vertical-align:bottom}
.facts-table tbody th{font-weight:var(--strong);position:sticky;left:0;z-index:1;background:var(--page);padding-inline-start:0}
.facts-table thead>tr>:first-child{padding-inline-start:0}
.tick{display:inline-block;width:1em;height:.58em;border:solid var(--success);border-width:0 0 .16em .16em;rotate:-45deg;translate:0 -.25em}
.tick-no{border-color:var(--soft);border-width:0 0 .14em;rotate:none;width:.9em}
`;
