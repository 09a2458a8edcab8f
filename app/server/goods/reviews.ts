import { z } from "zod";
import { newId } from "~/core/document";
import { isDay, MOST_REVIEW_CHARACTERS, type LineProblem, type ReviewChange, type Table } from "~/core/goods";
import { atomically, ProductRow, ReviewRow } from "../database/index.server";
import type { Shop } from "../shops/index.server";
import { allGoodsOf, goodsMoved } from "./known";

/** What a shopper says of a product. */
export const reviewInput = z.object({
  stars: z.coerce.number().int().min(1, "Give one to five stars.").max(5, "Give one to five stars."),
  title: z.string().trim().max(120, "Keep the heading to 120 characters.").default(""),
  text: z
    .string()
    .trim()
    .min(3, "Say in a few words what you think of it.")
    .max(MOST_REVIEW_CHARACTERS, "That is longer than 4,000 characters."),
  name: z.string().trim().min(1, "Say who you are; a first name is enough.").max(60),
});

/** Takes a review; it waits until the seller lets it be seen. False where there is no such product. */
export async function takeReview(
  shopId: string,
  productId: string,
  input: z.infer<typeof reviewInput>,
): Promise<boolean> {
  if ((await ProductRow.count({ where: { id: productId, shopId } })) === 0) return false;
  await ReviewRow.create({
    id: newId(),
    shopId,
    productId,
    ...input,
    state: "held",
    answer: "",
    createdAt: new Date(),
  });
  return true;
}

/** Shows, hides or answers reviews. */
export async function changeReviews(shop: Shop, { ids, ...set }: ReviewChange): Promise<void> {
  const { state, answer } = set;
  await ReviewRow.update(
    { ...(state ? { state } : {}), ...(answer === undefined ? {} : { answer }) },
    { where: { shopId: shop.id, id: ids } },
  );
  await goodsMoved(shop.id);
}

export async function removeReview(shop: Shop, id: string): Promise<void> {
  await ReviewRow.destroy({ where: { shopId: shop.id, id } });
  await goodsMoved(shop.id);
}

const NAMES = {
  sku: ["sku", "product", "product sku"],
  stars: ["stars", "rating", "score"],
  title: ["title", "heading", "headline"],
  text: ["text", "review", "body", "comment"],
  name: ["name", "author", "reviewer", "who"],
  at: ["date", "at", "written on"],
  answer: ["answer", "reply", "response"],
} as const;

export type ReviewsRead = {
  readonly reviews: readonly (z.infer<typeof reviewInput> & {
    readonly product: string;
    readonly at: Date;
    readonly answer: string;
  })[];
  readonly problems: readonly LineProblem[];
};

/** Reads reviews from a file; a line with a problem is told and left out. */
export async function readReviews(shop: Shop, table: Table): Promise<ReviewsRead> {
  const { products } = await allGoodsOf(shop);
  const bySku = new Map(
    products.flatMap((p) => [p.sku, ...p.variants.map((v) => v.sku)].map((sku) => [sku, p.id] as const)),
  );
  const bySlug = new Map(products.map((p) => [p.slug, p.id]));
  const at = Object.fromEntries(
    Object.entries(NAMES).map(([field, names]) => [
      field,
      table.columns.findIndex((c) => (names as readonly string[]).includes(c.toLowerCase().trim())),
    ]),
  ) as Record<keyof typeof NAMES, number>;
  const missing = (["sku", "stars", "text"] as const).filter((f) => at[f] < 0);
  if (missing.length)
    return {
      reviews: [],
      problems: missing.map((f) => ({ line: 0, column: f, why: `No column is called “${NAMES[f][0]}”.` })),
    };
  const problems: LineProblem[] = table.problems.map((p) => ({ ...p, column: "" }));
  const reviews = table.rows.flatMap(({ line, cells }) => {
    const cell = (field: keyof typeof NAMES) => cells[at[field]]?.trim() ?? "";
    const product = bySku.get(cell("sku")) ?? bySlug.get(cell("sku"));
    const parsed = reviewInput.safeParse({
      stars: cell("stars").replace(",", "."),
      title: cell("title"),
      text: cell("text"),
      name: cell("name") || "A customer",
    });
    const day = cell("at");
    // Only the ISO way of writing a day reads the same everywhere (ISO 8601).
    const written = day ? new Date(isDay(day.slice(0, 10)) ? day : Number.NaN) : new Date();
    if (!product) problems.push({ line, column: "sku", why: `There is no product with the SKU “${cell("sku")}”.` });
    if (!parsed.success)
      for (const issue of parsed.error.issues)
        problems.push({ line, column: issue.path.join("."), why: issue.message });
    if (Number.isNaN(written.getTime()))
      problems.push({ line, column: "date", why: `“${day}” is not a day. Write it like 2026-03-01.` });
    return product && parsed.success && !Number.isNaN(written.getTime())
      ? [{ ...parsed.data, product, at: written, answer: cell("answer").slice(0, 2000) }]
      : [];
  });
  return { reviews, problems };
}

/** Brings reviews in; the same one twice is one. They are shown at once: the seller has them from somewhere. */
export async function importReviews(shop: Shop, { reviews }: ReviewsRead): Promise<{ added: number; known: number }> {
  const done = await atomically(async (transaction) => {
    const have = new Set(
      (
        await ReviewRow.findAll({ where: { shopId: shop.id }, attributes: ["productId", "name", "text"], transaction })
      ).map((r) => `${r.productId}\n${r.name}\n${r.text}`),
    );
    const fresh = reviews.filter((r) => {
      const key = `${r.product}\n${r.name}\n${r.text}`;
      if (have.has(key)) return false;
      have.add(key);
      return true;
    });
    await ReviewRow.bulkCreate(
      fresh.map(({ product, at, ...rest }) => ({
        id: newId(),
        shopId: shop.id,
        productId: product,
        ...rest,
        state: "shown" as const,
        createdAt: at,
      })),
      { transaction },
    );
    return { added: fresh.length, known: reviews.length - fresh.length };
  });
  await goodsMoved(shop.id);
  return done;
}
