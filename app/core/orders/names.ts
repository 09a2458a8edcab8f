import type { Line } from "../offers";

/** What a line is called where it stands alone: the product, and what was chosen of it. */
export const lineName = ({ product, variant }: Pick<Line, "product" | "variant">): string =>
  variant ? `${product.title}, ${variant.values.join(", ")}` : product.title;
