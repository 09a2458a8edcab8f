import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Menu,
  MenuItem,
  Typography,
} from "@mui/material";
import { EllipsisVertical, Plus, Table2 } from "lucide-react";
import { useEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent } from "react";
import { readAt } from "~/core/operations";
import { nameOf } from "~/kinds";
import { LONGEST_CELL, MOST_COLUMNS, MOST_ROWS, type TableRows } from "~/kinds/table-rows";
import { IconAction, INK } from "../ui";
import { pasted, withColumn, withoutColumn, withoutRow, withRow, movedColumn, movedRow } from "./table-change";
import { useSet, type FieldProps } from "./use-set";

type Handle = { readonly of: "row" | "column"; readonly at: number; readonly element: HTMLElement };

/** A table's cells, to be written one after the other or pasted out of a spreadsheet. */
export function TableField({ node, field, path }: FieldProps) {
  const [isOpen, setOpen] = useState(false);
  const rows = readAt(node.props, path) as unknown as TableRows;
  return (
    <Box role="group" aria-label={field.label}>
      <Typography variant="caption" color="text.secondary">
        {field.label}, {rows.length} rows of {rows[0]!.length}
      </Typography>
      <Box sx={{ mt: 0.5 }}>
        <Button
          size="small"
          variant="outlined"
          startIcon={<Table2 size={16} aria-hidden />}
          onClick={() => setOpen(true)}
        >
          Fill in the table
        </Button>
      </Box>
      <Typography variant="caption" component="p" color="text.secondary" sx={{ mt: 0.5 }}>
        Single cells can be written in the pane as well.
      </Typography>
      {isOpen ? <TableDialog node={node} field={field} path={path} onClose={() => setOpen(false)} /> : null}
    </Box>
  );
}

function TableDialog({ node, field, path, onClose }: FieldProps & { onClose: () => void }) {
  const rows = readAt(node.props, path) as unknown as TableRows;
  const set = useSet(node, path, `${field.label} changed in ${nameOf(node)}`);
  const [said, setSaid] = useState<string | undefined>(undefined);
  const [handle, setHandle] = useState<Handle | null>(null);
  const grid = useRef<HTMLTableElement>(null);
  /** The cell that gets the keyboard once the table has been drawn with what is new in it. */
  const wanted = useRef<readonly [number, number] | null>(null);
  const width = rows[0]!.length;
  const change = (next: TableRows) => setSaid(set(next));
  const cell = (row: number, column: number) =>
    grid.current?.querySelector<HTMLInputElement>(`[data-cell="${row}.${column}"]`);
  useEffect(() => {
    if (!wanted.current) return;
    cell(...wanted.current)?.focus();
    wanted.current = null;
  });
  const write = (row: number, column: number, text: string) =>
    change(rows.map((each, r) => (r === row ? each.map((old, c) => (c === column ? text : old)) : each)));
  const onPaste = (row: number, column: number) => (event: ClipboardEvent) => {
    const text = event.clipboardData.getData("text/plain");
    if (!/[\t\n]/.test(text.trimEnd())) return;
    event.preventDefault();
    const { rows: next, left } = pasted(rows, row, column, text);
    const why = set(next);
    setSaid(
      why ??
        (left
          ? `A table can have ${MOST_COLUMNS} columns and ${MOST_ROWS} rows, and ${LONGEST_CELL} characters in a cell; what is beyond that was left out.`
          : undefined),
    );
  };
  const onKeyDown = (row: number, column: number) => (event: KeyboardEvent) => {
    const isDown = event.key === "ArrowDown" || (event.key === "Enter" && !event.shiftKey);
    const isUp = event.key === "ArrowUp" || (event.key === "Enter" && event.shiftKey);
    if (!isDown && !isUp) return;
    event.preventDefault();
    const to = row + (isDown ? 1 : -1);
    if (to === rows.length && event.key === "Enter" && rows.length < MOST_ROWS) {
      wanted.current = [to, column];
      change(withRow(rows, to));
    } else cell(to, column)?.focus();
  };
  const act = (next: TableRows) => {
    setHandle(null);
    change(next);
  };
  const handleOf = (of: Handle["of"], at: number, label: string) => (
    <IconAction
      label={label}
      icon={EllipsisVertical}
      size={15}
      onClick={(event) => setHandle({ of, at, element: event.currentTarget })}
    />
  );
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="table-dialog">
      <DialogTitle id="table-dialog">{field.label}</DialogTitle>
      <DialogContent>
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5, maxWidth: 640 }}>
          The first row names the columns. A cell with a + shows a tick, one with a – shows that it is not so. Rows out
          of a spreadsheet can be pasted into the cell where they begin.
        </Typography>
        <Box sx={{ overflowX: "auto", pb: 1 }}>
          <Box
            component="table"
            ref={grid}
            sx={{
              borderCollapse: "collapse",
              width: "100%",
              "& td, & th": { border: `1px solid ${INK.line}`, p: 0, minWidth: 116 },
              "& .handle": { border: 0, minWidth: 32, width: 32, textAlign: "center" },
              "& input": {
                width: "100%",
                border: 0,
                font: "inherit",
                fontSize: 13.5,
                px: 1,
                py: 0.9,
                bgcolor: "transparent",
                color: "inherit",
                background: "transparent",
              },
              "& input:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: -2 },
              "& tr:first-of-type input, & tr.is-head input": { fontWeight: 600 },
            }}
          >
            <tbody>
              <tr>
                <td className="handle" />
                {rows[0]!.map((head, column) => (
                  <td key={column} className="handle">
                    {handleOf("column", column, `Column ${column + 1}${head ? `, ${head}` : ""}`)}
                  </td>
                ))}
              </tr>
              {rows.map((row, r) => (
                <tr key={r} className={r === 0 ? "is-head" : undefined}>
                  <td className="handle">
                    {r === 0 ? null : handleOf("row", r, `Row ${r}${row[0] ? `, ${row[0]}` : ""}`)}
                  </td>
                  {row.map((text, c) => (
                    <td key={c}>
                      <input
                        data-cell={`${r}.${c}`}
                        autoFocus={r === 0 && c === 0}
                        value={text}
                        maxLength={LONGEST_CELL}
                        aria-label={
                          r === 0 ? `Heading of column ${c + 1}` : `Row ${r}, ${rows[0]![c] || `column ${c + 1}`}`
                        }
                        onChange={(event) => write(r, c, event.target.value)}
                        onPaste={onPaste(r, c)}
                        onKeyDown={onKeyDown(r, c)}
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Box>
        </Box>
        {said ? (
          <Typography variant="body2" role="alert" sx={{ color: INK.brick, mb: 1 }}>
            {said}
          </Typography>
        ) : null}
        <Box sx={{ display: "flex", gap: 1 }}>
          <Button
            size="small"
            startIcon={<Plus size={16} aria-hidden />}
            disabled={rows.length >= MOST_ROWS}
            onClick={() => {
              wanted.current = [rows.length, 0];
              change(withRow(rows, rows.length));
            }}
          >
            Row
          </Button>
          <Button
            size="small"
            startIcon={<Plus size={16} aria-hidden />}
            disabled={width >= MOST_COLUMNS}
            onClick={() => {
              wanted.current = [0, width];
              change(withColumn(rows, width));
            }}
          >
            Column
          </Button>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
      <Menu open={handle !== null} anchorEl={handle?.element ?? null} onClose={() => setHandle(null)}>
        {handle?.of === "row"
          ? [
              <MenuItem key="before" disabled={rows.length >= MOST_ROWS} onClick={() => act(withRow(rows, handle.at))}>
                Row before it
              </MenuItem>,
              <MenuItem key="up" disabled={handle.at < 2} onClick={() => act(movedRow(rows, handle.at, -1))}>
                Move up
              </MenuItem>,
              <MenuItem
                key="down"
                disabled={handle.at === rows.length - 1}
                onClick={() => act(movedRow(rows, handle.at, 1))}
              >
                Move down
              </MenuItem>,
              <MenuItem key="remove" disabled={rows.length < 3} onClick={() => act(withoutRow(rows, handle.at))}>
                Remove this row
              </MenuItem>,
            ]
          : handle
            ? [
                <MenuItem
                  key="before"
                  disabled={width >= MOST_COLUMNS}
                  onClick={() => act(withColumn(rows, handle.at))}
                >
                  Column before it
                </MenuItem>,
                <MenuItem key="left" disabled={handle.at === 0} onClick={() => act(movedColumn(rows, handle.at, -1))}>
                  Move left
                </MenuItem>,
                <MenuItem
                  key="right"
                  disabled={handle.at === width - 1}
                  onClick={() => act(movedColumn(rows, handle.at, 1))}
                >
                  Move right
                </MenuItem>,
                <MenuItem key="remove" disabled={width < 2} onClick={() => act(withoutColumn(rows, handle.at))}>
                  Remove this column
                </MenuItem>,
              ]
            : []}
      </Menu>
    </Dialog>
  );
}
