import { z } from "zod";
import { MOST_LEAN, MOST_POINTS, MOST_SOFT, MOST_STROKES } from "../pictures";

const gain = z.number().min(0.25).max(4);
const share = z.number().min(-0.5).max(1.5);

/** What was done to a picture in the studio (`core/pictures`). */
export const reworkSchema = z.strictObject({
  turn: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
  lean: z.number().min(-MOST_LEAN).max(MOST_LEAN),
  mirror: z.boolean(),
  cut: z
    .strictObject({
      strokes: z
        .array(
          z.strictObject({
            way: z.enum(["keep", "take"]),
            size: z.number().min(0).max(0.5),
            points: z
              .array(z.tuple([share, share]))
              .min(1)
              .max(MOST_POINTS),
          }),
        )
        .max(MOST_STROKES),
      holes: z.boolean(),
      shadow: z.boolean(),
      soft: z.number().min(0).max(MOST_SOFT),
      frame: z
        .strictObject({
          ratio: z.number().min(0.2).max(5).nullable(),
          fill: z.number().min(0.2).max(1),
          stand: z.boolean(),
        })
        .nullable(),
      light: z.tuple([gain, gain, gain]).nullable(),
    })
    .nullable(),
});
