import { z } from "zod";
import { hoursProblem, SOCIAL_SORTS } from "../document";

// How a shop is reached. The fields where this is written ask the same, and say the same.

/** The most places elsewhere that a shop names, and the most lines of opening hours. */
export const MOST_SOCIAL = 12;
export const MOST_HOURS = 14;

const timeOfDay = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, "Write a time like 10:30.");

export const mailAddress = z.email("Write a mail address like hello@shop.example.").max(120);
export const phoneNumber = z
  .string()
  .regex(/^\+?[\d\s()/.-]{3,40}$/, "Write digits, spaces and brackets, with a + in front if you like.");
export const postalAddress = z.string().trim().min(1).max(300, "Keep the address to 300 characters.");
export const webAddress = z
  .url({
    protocol: /^https?$/,
    hostname: z.regexes.domain,
    error: "Write a web address like https://example.com/shop.",
  })
  .max(300, "Keep the address to 300 characters.");
export const openingHours = z
  .strictObject({ days: z.array(z.number().int().min(1).max(7)).max(7), from: timeOfDay, to: timeOfDay })
  .superRefine((hours, context) => {
    const why = hoursProblem(hours);
    if (why) context.addIssue({ code: "custom", message: why });
  });
const socialLink = z.strictObject({ sort: z.enum(SOCIAL_SORTS), address: webAddress, name: z.string().max(40) });

/** What a shop's identity says of it, each optional. */
export const contactFields = {
  mail: mailAddress.optional(),
  phone: phoneNumber.optional(),
  address: postalAddress.optional(),
  hours: z.array(openingHours).max(MOST_HOURS, "That is more than a week needs.").optional(),
  social: z.array(socialLink).max(MOST_SOCIAL, `A shop can have ${MOST_SOCIAL} of these links.`).optional(),
};
