import { makeColumn } from "~/core/commands";
import type { Json, Part, StyleSheet } from "~/core/document";
import type { RichNode } from "~/core/rich";
import { makeNode } from "..";
import { FORM_STARTS } from "../form/starts";
import type { Trade } from "./trades";

/** What a design is made with: the shop's own name, goods and pictures. */
export type Given = {
  readonly shop: string;
  readonly trade: Trade;
  /** The n-th picture that may stand anywhere, counted around; null where the shop has none. */
  readonly picture: (n: number) => string | null;
  /** The n-th product, counted around, those with pictures first; null where there is none. */
  readonly product: (n: number) => string | null;
  readonly collections: readonly string[];
};

type Props = Readonly<Record<string, Json>>;

const styled = (all: StyleSheet["all"], more: StyleSheet = {}): Partial<Part> => ({ style: { all: all!, ...more } });

/** A section of a kind. */
export const section = (kind: string, props: Props, all?: StyleSheet["all"]): Part =>
  makeNode(kind, props, all ? styled(all) : {});

export const widget = section;

/** A form, begun as one of its starting points. */
export function form(start: (typeof FORM_STARTS)[number]["id"], props: Props, all?: StyleSheet["all"]): Part {
  const found = FORM_STARTS.find(({ id }) => id === start);
  if (!found) throw new Error(`no form begins as “${start}”`);
  const { slots, props: own = {} } = found.build({
    picture: null,
    pictures: [],
    product: null,
    link: { to: "nowhere" },
  });
  // Fields say by id which others they depend on.
  const answers = (slots.answers ?? []).map(({ id, kind, props: said, style }) => makeNode(kind, said, { id, style }));
  return makeNode("form", { ...own, ...props }, { slots: { answers }, ...(all ? styled(all) : {}) });
}

/** A section with columns of widgets; shares in percent. */
export const columns = (
  given: readonly (readonly [share: number, widgets: readonly Part[]])[],
  all: NonNullable<StyleSheet["all"]> = {},
): Part =>
  makeNode(
    "freehand",
    {},
    { ...styled(all), slots: { columns: given.map(([share, widgets]) => makeColumn(widgets, share)) } },
  );

/** One narrow column, for reading. */
export const reading = (widgets: readonly Part[], all: NonNullable<StyleSheet["all"]> = {}): Part =>
  columns([[100, widgets]], { width: "narrow", ...all });

export const heading = (text: string, level: "2" | "3" = "2", all?: StyleSheet["all"]): Part =>
  widget("heading", { text, level }, all);

const paragraph = (text: string): RichNode =>
  text === "" ? { type: "paragraph" } : { type: "paragraph", content: [{ type: "text", text }] };

/** Running text: a paragraph for each line. */
export const words = (...lines: readonly string[]): Part =>
  widget("words", { text: { type: "doc", content: lines.map(paragraph) } as unknown as Json });

/** A table of words, the first row its head. */
export const table = (rows: readonly (readonly string[])[]): Part =>
  widget("words", {
    text: {
      type: "doc",
      content: [
        {
          type: "table",
          content: rows.map((row, i) => ({
            type: "tableRow",
            content: row.map((cell) => ({ type: i === 0 ? "tableHeader" : "tableCell", content: [paragraph(cell)] })),
          })),
        },
      ],
    } as unknown as Json,
  });

export const point = (sign: string, head: string, text: string): Part => widget("point", { sign, heading: head, text });

/** A question and its answer. */
export const question = (asked: string, answer: string): readonly Part[] => [
  heading(asked, "3", { headSize: 1 }),
  words(answer),
];

export const toCollection = ({ collections }: Given, n = 0): Json =>
  collections[n] === undefined ? { to: "home" } : { to: "collection", id: collections[n] };

export function toProduct(given: Given): Json {
  const id = given.product(0);
  return id === null ? toCollection(given) : { to: "product", id };
}
