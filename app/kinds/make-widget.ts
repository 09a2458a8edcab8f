import { newId, type Json, type Part, type StyleSheet } from "~/core/document";

// Starting points of sections are built before the table of kinds is there, so the defaults of what is in them are added when
// a section is made from them.

/** A widget that says no more than `props`; what it leaves out is its kind's to say. */
export const makeWidget = (
  kind: string,
  props: Readonly<Record<string, Json>>,
  style: StyleSheet = {},
  slots: Part["slots"] = {},
): Part => ({ id: newId(), kind, props, style, conditions: [], shown: true, slots });
