/** An item is drawn by the header or footer that shows its menu. */
export const View = () => null;
