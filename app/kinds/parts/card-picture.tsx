import type { ReactNode } from "react";
import { CARD_HEIGHT, CARD_WIDTH, shapesOf, type CardDesign } from "~/core/gift-cards";

/** The picture of a gift card, in the colours of wherever it stands. */
export const CardPicture = ({ design }: { design: CardDesign }): ReactNode => (
  <svg className="card-pic" viewBox={`0 0 ${CARD_WIDTH} ${CARD_HEIGHT}`} aria-hidden="true">
    {shapesOf(design).map(({ path, in: tone, stroke }, i) => (
      <path
        key={i}
        className={`card-${tone}`}
        d={path}
        {...(stroke
          ? {
              fill: "none",
              stroke: "currentColor",
              strokeWidth: stroke,
              strokeLinecap: "round",
              strokeLinejoin: "round",
            }
          : { fill: "currentColor" })}
      />
    ))}
  </svg>
);
