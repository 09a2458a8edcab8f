import { z } from "zod";
import { MOST_ZOOM, TONE_ROLES } from "../pictures";

const percent = z.number().min(0).max(100);
const both = z.number().int().min(-100).max(100);

const crop = {
  focus: z.tuple([percent, percent]).optional(),
  zoom: z.number().int().min(100).max(MOST_ZOOM).optional(),
};

/** The tone of a picture (`core/pictures`). */
export const toneSchema = z.object({
  light: both,
  contrast: both,
  warmth: both,
  colour: both,
  wash: z.object({ role: z.enum(TONE_ROLES), amount: z.number().int().min(0).max(100) }).optional(),
  inks: z.object({ dark: z.enum(TONE_ROLES), light: z.enum(TONE_ROLES) }).optional(),
  grain: z.number().int().min(0).max(100),
  blur: z.number().int().min(0).max(100).optional(),
});

/** How a picture is shown at one place. */
export const viewSchema = z
  .object({
    ...crop,
    mirror: z.boolean().optional(),
    tone: z.union([z.string().max(40), toneSchema]).optional(),
    phone: z.object(crop).optional(),
    tablet: z.object(crop).optional(),
    wide: z.object(crop).optional(),
  })
  .optional();

/** The shop's own tones, by id. */
export const tonesSchema = z.record(
  z.string().max(40),
  z.object({ name: z.string().trim().min(1).max(40), tone: toneSchema }),
);
