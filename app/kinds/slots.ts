/** Where widgets may stand: in a column or a section's own place for more, and in a group. */
export const WIDGET_SLOTS = ["widgets", "inside"] as const;
