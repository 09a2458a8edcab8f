import { createContext, useContext } from "react";
import type { Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { useStudio } from "../keeping";

type Drawn = { readonly goods: Goods; readonly pictures: readonly Picture[] };

/** Goods and pictures that pages within are drawn with instead of those of the shop; null: the shop’s. */
export const DrawnWith = createContext<Drawn | null>(null);

/** The goods and pictures that pages are drawn with here. */
export function useDrawnWith(): Drawn {
  const instead = useContext(DrawnWith);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  return instead ?? { goods, pictures };
}
