import type { Definition } from "../definition";

/** How sections look that show some goods below a heading. */
export const GOODS_ROW = {
  ofGoods: true,
  style: {
    all: {
      set: "page",
      width: "content",
      headSize: 3,
      columns: 4,
      shape: "4/5",
      spaceTop: 5,
      spaceBottom: 6,
      align: "start",
    },
    phone: { columns: 2 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize", "shape", "fit"],
} as const satisfies Pick<Definition, "ofGoods" | "style" | "styles">;
