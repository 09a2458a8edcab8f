import { entryOf } from "~/core/document";
import type { BreadcrumbList, ItemAvailability, Offer, Product as ProductThing, WithContext } from "schema-dts";
import { currencyDigits, decimalMoney } from "~/core/money";
import {
  descriptionOf,
  homeOf,
  pathOf,
  priceOf,
  stateOf,
  type Availability,
  type Collection,
  type Goods,
  type Product,
  type Variant,
} from "~/core/goods";
import { renditionAddress, sourceOf, widthsFor } from "~/core/pictures";
import type { ShopContent } from "./shop";
import type { Target } from "./target";

// The types of `schema-dts` know every name and enumeration of schema.org, so that a mistyped one does not compile.

/** schema.org ItemAvailability for each of our states. */
const AVAILABILITY: Readonly<Record<Availability, ItemAvailability>> = {
  "in-stock": "https://schema.org/InStock",
  low: "https://schema.org/LimitedAvailability",
  "sold-out": "https://schema.org/SoldOut",
  "coming-soon": "https://schema.org/PreSale",
  "pre-order": "https://schema.org/PreOrder",
  "made-to-order": "https://schema.org/MadeToOrder",
  "collect-only": "https://schema.org/InStoreOnly",
  discontinued: "https://schema.org/Discontinued",
};

type StructuredThing = WithContext<BreadcrumbList> | WithContext<ProductThing>;

function breadcrumbs(
  steps: readonly { readonly name: string; readonly path: string }[],
  origin: string,
): WithContext<BreadcrumbList> {
  return {
    "@context": "https://schema.org",
    "@type": "BreadcrumbList",
    itemListElement: steps.map(({ name, path }, i) => ({
      "@type": "ListItem",
      position: i + 1,
      name,
      item: origin + path,
    })),
  };
}

const collectionSteps = (goods: Goods, collection: Collection | undefined) => [
  { name: "Home", path: "/" },
  ...pathOf(goods.collections, collection).map((c) => ({ name: c.title, path: `/collections/${c.slug}` })),
];

function productThing(product: Product, content: ShopContent, origin: string): WithContext<ProductThing> {
  const { identity } = content.draft.look;
  const address = `${origin}/products/${product.slug}`;
  const pictures = [...new Set([...product.pictures, ...product.variants.flatMap((v) => v.picture ?? [])])].flatMap(
    (id) => {
      const found = content.pictures.find((p) => p.id === id);
      if (!found) return [];
      const width = widthsFor(found).findLast((w) => w <= 1280) ?? 0;
      return [origin + (found.vector ? sourceOf(found) : renditionAddress(found, width))];
    },
  );
  const offer = (variant?: Variant): Offer => {
    const state = stateOf(product, variant);
    const sku = variant?.sku || product.sku;
    const gtin = variant ? variant.barcode : product.barcode;
    return {
      "@type": "Offer",
      url: variant ? `${address}?variant=${variant.id}` : address,
      price: decimalMoney(priceOf(product, variant), content.currency),
      priceCurrency: content.currency,
      availability: AVAILABILITY[state],
      itemCondition: "https://schema.org/NewCondition",
      ...(variant ? { name: variant.values.join(", ") } : {}),
      ...(sku ? { sku } : {}),
      ...(gtin ? { gtin13: gtin } : {}),
      ...((state === "coming-soon" || state === "pre-order") && product.availableFrom
        ? { availabilityStarts: product.availableFrom }
        : {}),
      seller: { "@type": "Organization", name: identity.name },
    };
  };
  const reviews = entryOf(content.goods.reviews, product.id) ?? [];
  return {
    "@context": "https://schema.org",
    "@type": "Product",
    name: product.title,
    url: address,
    sku: product.sku,
    ...(product.barcode ? { gtin13: product.barcode } : {}),
    ...(descriptionOf(product) ? { description: descriptionOf(product).slice(0, 4000) } : {}),
    ...(pictures.length ? { image: pictures } : {}),
    brand: { "@type": "Brand", name: identity.name },
    ...(product.weight ? { weight: { "@type": "QuantitativeValue", value: product.weight, unitCode: "GRM" } } : {}),
    offers: product.variants.length ? product.variants.map((v) => offer(v)) : offer(),
    ...(product.rating
      ? {
          aggregateRating: {
            "@type": "AggregateRating",
            ratingValue: Math.round(product.rating.average * 10) / 10,
            reviewCount: product.rating.count,
            bestRating: 5,
            worstRating: 1,
          },
          review: reviews.slice(0, 10).map((r) => ({
            "@type": "Review",
            author: { "@type": "Person", name: r.name },
            datePublished: r.at.slice(0, 10),
            ...(r.title ? { name: r.title } : {}),
            reviewBody: r.text,
            reviewRating: { "@type": "Rating", ratingValue: r.stars, bestRating: 5, worstRating: 1 },
          })),
        }
      : {}),
  };
}

/** What search engines are told about a page in schema.org's words (JSON-LD 1.1): the way to it, and the product it shows. */
export function structuredData(target: Target, content: ShopContent, origin: string): readonly StructuredThing[] {
  const { goods } = content;
  if (target.page === "collection") {
    const steps = target.collection
      ? collectionSteps(goods, target.collection)
      : [
          { name: "Home", path: "/" },
          { name: "Everything", path: "/collections/all" },
        ];
    return [breadcrumbs(steps, origin)];
  }
  if (target.page !== "product" || currencyDigits(content.currency) === undefined) return [];
  const { product } = target;
  const steps = [
    ...collectionSteps(goods, homeOf(goods, product)),
    { name: product.title, path: `/products/${product.slug}` },
  ];
  return [productThing(product, content, origin), breadcrumbs(steps, origin)];
}
