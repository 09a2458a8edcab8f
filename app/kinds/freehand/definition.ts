import { z } from "zod";
import { makeColumn } from "~/core/commands";
import { MOST_COLUMNS } from "~/core/layout";
import type { Definition } from "../definition";
import { makeWidget } from "../make-widget";
import { AROUND_STARTS } from "./around";
import { CODE_STARTS } from "./code-starts";

const props = z.object({ arrangement: z.string().max(40).optional() });
export type FreehandProps = z.infer<typeof props>;

const words = (heading: string, text: string) => [
  makeWidget("heading", { text: heading }),
  makeWidget("words", { text }),
];

export const definition: Definition<FreehandProps> = {
  kind: "freehand",
  name: "Freehand",
  about: "One to six columns, and whatever you put into them.",
  purpose: "Freehand",
  level: "section",
  slots: ["main", "top", "bottom"],
  holds: { columns: MOST_COLUMNS },
  traits: ["no-head", "wraps"],
  tag: "section",
  arrangements: [{ id: "columns", name: "Columns" }],
  starts: [
    {
      id: "one",
      name: "One column",
      build: () => ({
        style: { all: { width: "narrow" } },
        slots: { columns: [makeColumn(words("A closer look", "Everything here was chosen with care."))] },
      }),
    },
    {
      id: "picture-and-words",
      name: "Picture and words, 2 : 1",
      build: ({ picture, link }) => ({
        style: { all: { across: "center" } },
        slots: {
          columns: [
            makeColumn([makeWidget("picture", { picture })], 66.67),
            makeColumn(
              [
                ...words("Made to be used", "Have a closer look, and ask if you would like to know more."),
                makeWidget("button", { label: "Have a look", link }),
              ],
              33.33,
            ),
          ],
        },
      }),
    },
    {
      id: "goals",
      name: "What is still to go for an offer",
      build: () => ({
        style: { all: { width: "narrow" } },
        slots: { columns: [makeColumn([makeWidget("goal-meter", { arrangement: "steps" })])] },
      }),
    },
    {
      id: "where-we-are",
      name: "Where we are",
      build: () => ({
        style: { all: { across: "center", gap: 5 } },
        slots: {
          columns: [
            makeColumn(
              [...words("Where we are", "How to find us, and how to reach us."), makeWidget("contact-facts", {})],
              38,
            ),
            makeColumn([makeWidget("map", {})], 62),
          ],
        },
      }),
    },
    {
      id: "three-points",
      name: "Three reasons",
      build: () => ({
        style: { all: { gap: 5 } },
        slots: {
          columns: [
            makeColumn(
              [
                makeWidget("point", {
                  sign: "house",
                  heading: "A small shop",
                  text: "Run by people who know what they sell.",
                }),
              ],
              33.33,
            ),
            makeColumn(
              [
                makeWidget("point", {
                  sign: "leaf",
                  heading: "Chosen with care",
                  text: "We look after what we sell.",
                }),
              ],
              33.33,
            ),
            makeColumn(
              [
                makeWidget("point", {
                  sign: "sun",
                  heading: "Welcome in",
                  text: "Take your time and have a look around.",
                }),
              ],
              33.34,
            ),
          ],
        },
      }),
    },
    {
      id: "product-and-quote",
      name: "A product and what is said of it",
      build: ({ product }) => ({
        style: { all: { across: "center" } },
        slots: {
          columns: [makeColumn([makeWidget("product", { product })], 40), makeColumn([makeWidget("quote", {})], 60)],
        },
      }),
    },
    {
      id: "four",
      name: "Four empty columns",
      build: () => ({
        style: { tablet: { rows: 2 } },
        slots: { columns: [25, 25, 25, 25].map((share) => makeColumn([], share)) },
      }),
    },
    ...CODE_STARTS,
    ...AROUND_STARTS,
  ],
  fields: [],
  props,
  synonyms: [
    "columns",
    "columns of text",
    "layout",
    "grid",
    "blocks",
    "custom",
    "two columns",
    "three columns",
    "four columns",
    "own code",
    "booking",
    "embed",
    "calculator",
    "snow",
  ],
  defaults: {},
  style: {
    all: {
      set: "page",
      width: "content",
      height: "content",
      align: "start",
      rows: 0,
      gap: 4,
      across: "stretch",
      spaceTop: 6,
      spaceBottom: 6,
    },
    phone: { rows: 1 },
  },
  styles: ["rows", "gap", "across", "width", "height", "align", "spaceTop", "spaceBottom", "hidden", "set"],
  css: `
.s-freehand{display:flex;flex-direction:column;justify-content:center;min-height:var(--min-height)}
.cols{display:flex;flex-wrap:var(--wrap);gap:var(--gap);align-items:var(--across)}
.s-freehand{text-align:var(--align,start)}
`,
};
