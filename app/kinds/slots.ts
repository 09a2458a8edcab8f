/** Where widgets may stand: in a column or a section's own place for more, in a group, and freely placed. */
export const WIDGET_SLOTS = ["widgets", "inside", "placed"] as const;
