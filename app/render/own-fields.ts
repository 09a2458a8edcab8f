import { entryOf, OWN_PICTURE, ownFieldsOf, ownValuesOf, pageProps, type Draft, type OwnField } from "~/core/document";
import { dayWords, type Product } from "~/core/goods";
import type { Bound } from "~/kinds/chassis";
import type { PageSubject } from "~/kinds/parts";

/** Before the name of an attribute of goods, where it is a field. */
export const ATTRIBUTE = "attribute:";

type Given = {
  readonly documents: Draft["documents"];
  /** The page that is shown, or the post. */
  readonly page: string | undefined;
  readonly shown: PageSubject | undefined;
  readonly locale: string;
  readonly money: (amount: number) => string;
};

/** A day in words, of one as it is stored; of what is none, nothing. */
const day = (stored: string, locale: string): string =>
  /^\d{4}-\d\d-\d\d/.test(stored) ? dayWords(stored.slice(0, 10), locale, true) : "";

/** What one of the seller's own fields says: words, a day in words, the id of a picture, or where it leads as it is stored. */
function valueOf(own: OwnField, values: Readonly<Record<string, string>>, locale: string): string {
  const value = entryOf(values, own.id) ?? "";
  if (own.sort === "date") return day(value, locale);
  return own.sort === "picture" ? value.replace(OWN_PICTURE, "") : value;
}

function ofPage({ documents, page: id, locale }: Given, field: string): string | undefined {
  const page = id === undefined ? undefined : entryOf(documents, id);
  if (!page) return undefined;
  const { summary, author, at } = pageProps(page);
  const known: Readonly<Record<string, string>> = { title: page.title, summary, author, date: day(at, locale) };
  const own = ownFieldsOf(documents).find((each) => each.id === field);
  return own ? valueOf(own, ownValuesOf(page), locale) : entryOf(known, field);
}

function ofProduct(product: Product, field: string, { documents, locale, money }: Given): string | undefined {
  if (field.startsWith(ATTRIBUTE)) return entryOf(product.attributes, field.slice(ATTRIBUTE.length));
  const known: Readonly<Record<string, string>> = {
    title: product.title,
    sku: product.sku,
    price: money(product.price),
    tags: product.tags.join(", "),
  };
  const own = ownFieldsOf(documents, "product").find((each) => each.id === field);
  return own ? valueOf(own, product.own, locale) : entryOf(known, field);
}

/** What a field says of what is shown; undefined where there is no such thing, or it says nothing. */
export const fieldsOf =
  (given: Given) =>
  ({ of, field }: Bound): string | undefined => {
    const { shown } = given;
    const value =
      of === "page"
        ? ofPage(given, field)
        : of === "product"
          ? shown?.page === "product"
            ? ofProduct(shown.product, field, given)
            : undefined
          : shown?.page === "collection" && field === "title"
            ? shown.collection?.title
            : undefined;
    return value?.trim() ? value : undefined;
  };
