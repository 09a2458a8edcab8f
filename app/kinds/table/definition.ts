import { z } from "zod";
import type { Definition } from "../definition";
import { tableRows } from "../table-rows";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  rows: tableRows,
  note: z.string().max(300),
});
export type TableProps = z.infer<typeof props>;

export const definition: Definition<TableProps> = {
  kind: "table",
  name: "Table",
  about: "Facts side by side, in rows and columns, with ticks where something is so.",
  purpose: "Give facts",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "lines", name: "With lines" },
    { id: "striped", name: "Every second row tinted" },
    { id: "grid", name: "With lines on all sides" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    { type: "table", key: "rows", label: "Table" },
    { type: "line", key: "note", label: "Small print", most: 300 },
  ],
  props,
  synonyms: ["comparison", "compare", "chart", "matrix", "columns", "rows", "specification", "data", "features"],
  defaults: {
    heading: "At a glance",
    text: "",
    rows: [
      ["", "", ""],
      ["", "", ""],
      ["", "", ""],
    ],
    note: "",
  },
  sample: {
    rows: [
      ["", "Linen", "Cotton", "Wool"],
      ["Soft at once", "–", "+", "+"],
      ["Warm", "–", "–", "+"],
      ["Washes at", "60 °C", "60 °C", "30 °C"],
    ],
  },
  style: { all: { set: "page", width: "content", headSize: 3, spaceTop: 6, spaceBottom: 6, align: "start" } },
  styles: ["width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.table-note{font-size:var(--t-1);color:var(--soft);text-align:var(--align,start)}
.a-striped .facts-table tbody>tr:nth-child(odd)>*{background:var(--raised);border-bottom-color:#0000}
.a-striped .facts-table tr>:first-child{padding-inline-start:1rem}
.a-grid .facts-table th,.a-grid .facts-table td{border-inline-end:max(1px,var(--rule)) solid var(--line)}
.a-grid .facts-table tr>:first-child{border-inline-start:max(1px,var(--rule)) solid var(--line);padding-inline-start:1rem}
.a-grid .facts-table thead>tr>*{border-top:max(1px,var(--rule)) solid var(--line);background:var(--raised);border-bottom-width:max(1px,var(--rule))}
`,
};
