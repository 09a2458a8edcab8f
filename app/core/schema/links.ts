import { z } from "zod";

/** Pages that every shop has besides those that its seller makes. */
export const OWN_PAGES = ["cart", "account", "gift-cards", "search"] as const;
export type OwnPage = (typeof OWN_PAGES)[number];
export const OWN_PAGE_NAMES: Readonly<Record<OwnPage, string>> = {
  cart: "Cart",
  account: "Your account",
  "gift-cards": "What is left on a gift card",
  search: "Search",
};

/** Links point at things, not at typed addresses, so that a thing can be renamed without breaking what leads to it. */
export type Link =
  | { readonly to: "nowhere" }
  | { readonly to: "home" }
  /** A page that every shop has and nobody makes. */
  | { readonly to: "own"; readonly page: OwnPage }
  | { readonly to: "product" | "collection" | "page"; readonly id: string }
  /** A list of goods that is narrowed or in an order. `id`: of a collection; null: everything. `query`: as after `?` in its address. */
  | { readonly to: "list"; readonly id: string | null; readonly query: string }
  /** A section of a page, by the name of its place there. */
  | { readonly to: "place"; readonly page: string; readonly name: string }
  /** What lies over the page, a pop-up say: it comes when the link is pressed. */
  | { readonly to: "over"; readonly id: string }
  /** A file of the library: it is opened by itself. */
  | { readonly to: "file"; readonly id: string }
  /** A document of the library, such as a size chart as a PDF: by the name under which it is served, and what its file is called. */
  | { readonly to: "document"; readonly file: string; readonly name: string }
  | { readonly to: "web"; readonly address: string }
  | { readonly to: "mail"; readonly address: string }
  | { readonly to: "phone"; readonly number: string };

export const NO_LINK: Link = { to: "nowhere" };

/** The name of a place on a page, as it stands in the address after `#`. */
export const placeName = z
  .string()
  .max(40)
  .regex(/^[a-z][a-z0-9-]*$/, "A place is named with small letters, digits and hyphens, like our-workshop.");

const isWebAddress = (text: string) =>
  /^https?:\/\/[^\s/.]+\.[^\s]+$/i.test(text) || /^https?:\/\/localhost(:\d+)?(\/\S*)?$/i.test(text);

export const linkSchema: z.ZodType<Link> = z.discriminatedUnion("to", [
  z.strictObject({ to: z.literal("nowhere") }),
  z.strictObject({ to: z.literal("home") }),
  z.strictObject({ to: z.literal("own"), page: z.enum(OWN_PAGES) }),
  z.strictObject({ to: z.enum(["product", "collection", "page", "file", "over"]), id: z.string().min(1).max(40) }),
  z.strictObject({
    to: z.literal("document"),
    file: z.string().regex(/^[0-9a-f]{64}\.pdf$/),
    name: z.string().min(1).max(160),
  }),
  z.strictObject({
    to: z.literal("list"),
    id: z.string().min(1).max(40).nullable(),
    query: z
      .string()
      .max(2000)
      .regex(/^[\w.%+*&=-]*$/),
  }),
  z.strictObject({ to: z.literal("place"), page: z.string().min(1).max(40), name: placeName }),
  z.strictObject({
    to: z.literal("web"),
    address: z.string().max(2000).refine(isWebAddress, "Write the whole address, like https://example.com."),
  }),
  z.strictObject({
    to: z.literal("mail"),
    address: z.email("This is not a mail address."),
  }),
  z.strictObject({
    to: z.literal("phone"),
    number: z.string().regex(/^\+?[\d\s()-]{5,24}$/, "Write the number with digits, like +44 20 7946 0000."),
  }),
]);
