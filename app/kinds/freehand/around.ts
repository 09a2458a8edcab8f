import { makeColumn } from "~/core/commands";
import { FOOTER_MENU, MAIN_MENU, type Part, type StyleSheet } from "~/core/document";
import type { Start } from "../definition";
import { makeWidget } from "../make-widget";

// Rows above and below every page, put together from what stands there: a shop's header and footer need not be of a fixed form.

/** A column whose things stand at an end of it. */
function column(widgets: readonly Part[], share: number, align: "start" | "center" | "end" = "start"): Part {
  const made = makeColumn(widgets, share);
  return { ...made, style: { all: { ...made.style.all, align, gap: 2 } } };
}

/** A row stays a row on phones: what stands in it is small. */
const row = (set: "header" | "footer", space: number): StyleSheet => ({
  all: { set, across: "center", spaceTop: space, spaceBottom: space, gap: 3 },
  phone: { rows: 0 },
});

/** A part of a footer: on phones its columns stand below each other. */
const part = (space: number): StyleSheet => ({
  all: { set: "footer", spaceTop: space, spaceBottom: space, gap: 4 },
  tablet: { rows: 2 },
});

export const AROUND_STARTS: readonly Start[] = [
  {
    id: "header-row",
    name: "Header row: logo, menu, search and cart",
    region: "top",
    build: () => ({
      style: row("header", 2),
      slots: {
        columns: [
          column([makeWidget("shop-logo", {})], 24),
          column([makeWidget("menu-links", { arrangement: "row", menu: MAIN_MENU })], 64, "end"),
          column([makeWidget("shop-ways", {})], 12, "end"),
        ],
      },
    }),
  },
  {
    id: "facts-row",
    name: "Header row: how to reach you, and where else you are",
    region: "top",
    build: () => ({
      style: row("header", 1),
      slots: {
        columns: [
          column(
            [makeWidget("contact-facts", { arrangement: "row", address: false, hours: false }, { all: { size: -1 } })],
            60,
          ),
          column([makeWidget("elsewhere", {})], 40, "end"),
        ],
      },
    }),
  },
  {
    id: "name-row",
    name: "Header row: a large logo in the middle",
    region: "top",
    build: () => ({
      style: row("header", 3),
      slots: { columns: [column([makeWidget("shop-logo", { arrangement: "large" })], 100, "center")] },
    }),
  },
  {
    id: "goal-row",
    name: "Header row: how much is still to go for an offer",
    region: "top",
    build: () => ({
      style: row("header", 1),
      slots: { columns: [column([makeWidget("goal-meter", { arrangement: "line" })], 100, "center")] },
    }),
  },
  {
    id: "footer-columns",
    name: "Footer row: logo, two menus, how to reach you",
    region: "bottom",
    build: () => ({
      style: part(5),
      slots: {
        columns: [
          column([makeWidget("shop-logo", {}), makeWidget("elsewhere", {})], 34),
          column([makeWidget("menu-links", { menu: FOOTER_MENU, heading: "Look around" })], 20),
          column([makeWidget("menu-links", { menu: MAIN_MENU, heading: "In the shop" })], 20),
          column([makeWidget("contact-facts", { heading: "Reach us" })], 26),
        ],
      },
    }),
  },
  {
    id: "pay-row",
    name: "Footer row: ways to pay and send",
    region: "bottom",
    build: () => ({
      style: part(3),
      slots: {
        columns: [
          column([makeWidget("pay-signs", {})], 60),
          column([makeWidget("menu-links", { arrangement: "line", menu: FOOTER_MENU })], 40, "end"),
        ],
      },
    }),
  },
];
