import { ALL_GOODS, siteOf } from "~/core/addresses";
import { entryOf, logoPicture, type Draft, type PageDocument } from "~/core/document";
import { plainOf } from "~/core/rich";
import { momentIn } from "~/core/situation";
import { askedIn, type QuestionsProps } from "~/kinds/questions";
import type {
  BlogPosting,
  BreadcrumbList,
  DayOfWeek,
  FAQPage,
  ItemAvailability,
  ItemList,
  Offer,
  Organization,
  Product as ProductThing,
  ProductGroup,
  WebSite,
  WithContext,
} from "schema-dts";
import { currencyDigits, decimalMoney } from "~/core/money";
import {
  descriptionOf,
  hasPrice,
  list,
  NO_QUERY,
  homeOf,
  pathOf,
  stateOf,
  type Availability,
  type Collection,
  type Goods,
  type Product,
  type Variant,
} from "~/core/goods";
import { renditionAddress, sourceOf, widthsFor } from "~/core/pictures";
import { postEntry } from "./posts";
import { costsIn } from "./facts";
import type { ShopContent } from "./shop";
import type { Target } from "./target";

// The types of `schema-dts` know every name and enumeration of schema.org, so that a mistyped one does not compile.

/** A list is told of as far as this; whoever wants all of it has the sitemap. */
const MOST_LISTED = 100;

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

/** schema.org DayOfWeek for the days of ISO 8601. */
const DAYS: ReadonlyMap<number, DayOfWeek> = new Map([
  [1, "https://schema.org/Monday"],
  [2, "https://schema.org/Tuesday"],
  [3, "https://schema.org/Wednesday"],
  [4, "https://schema.org/Thursday"],
  [5, "https://schema.org/Friday"],
  [6, "https://schema.org/Saturday"],
  [7, "https://schema.org/Sunday"],
]);

type StructuredThing =
  | WithContext<BlogPosting>
  | WithContext<BreadcrumbList>
  | WithContext<FAQPage>
  | WithContext<ItemList>
  | WithContext<Organization>
  | WithContext<ProductGroup>
  | WithContext<ProductThing>
  | WithContext<WebSite>;

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

/** How a shop is reached, as schema.org says it: `hoursAvailable` of its contact point, days by their names. */
function reached({ mail, phone, address, hours = [], social = [] }: Draft["look"]["identity"]) {
  const open = hours.map(({ days, from, to }) => ({
    "@type": "OpeningHoursSpecification" as const,
    dayOfWeek: days.flatMap((day) => DAYS.get(day) ?? []),
    opens: from,
    closes: to,
  }));
  return {
    ...(mail ? { email: mail } : {}),
    ...(phone ? { telephone: phone } : {}),
    ...(address ? { address } : {}),
    ...(social.length ? { sameAs: social.map((link) => link.address) } : {}),
    ...(open.length
      ? { contactPoint: { "@type": "ContactPoint" as const, contactType: "customer service", hoursAvailable: open } }
      : {}),
  };
}

const collectionSteps = (goods: Goods, collection: Collection | undefined) => [
  { name: "Home", path: "/" },
  ...pathOf(goods.collections, collection).map((c) => ({ name: c.title, path: `/collections/${c.slug}` })),
];

/** A product; one that comes in variants is a group of products that vary by its options. */
function productThing(
  product: Product,
  content: ShopContent,
  origin: string,
): WithContext<ProductThing> | WithContext<ProductGroup> {
  const { identity } = content.draft.look;
  const address = `${origin}/products/${product.slug}`;
  const addressesOf = (ids: readonly (string | null)[]) =>
    [...new Set(ids)].flatMap((id) => {
      const found = id === null ? undefined : content.pictures.find((p) => p.id === id);
      if (!found) return [];
      const width = widthsFor(found).findLast((w) => w <= 1280) ?? 0;
      return [origin + (found.vector ? sourceOf(found) : renditionAddress(found, width))];
    });
  const pictures = addressesOf([...product.pictures, ...product.variants.map((v) => v.picture)]);
  const pictureOf = (v: Variant) => {
    const [image] = addressesOf([v.picture ?? product.pictures[0] ?? null]);
    return image === undefined ? {} : { image };
  };
  const costs = costsIn(content.draft.documents, content);
  const offer = (variant?: Variant): Offer => {
    const state = stateOf(product, variant);
    const sku = variant?.sku || product.sku;
    const gtin = variant ? variant.barcode : product.barcode;
    return {
      "@type": "Offer",
      url: variant ? `${address}?variant=${variant.id}` : address,
      price: decimalMoney(costs.of(product, variant).now, content.currency),
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
  const about = {
    name: product.title,
    url: address,
    ...(descriptionOf(product) ? { description: descriptionOf(product).slice(0, 4000) } : {}),
    ...(pictures.length ? { image: pictures } : {}),
    brand: { "@type": "Brand" as const, name: identity.name },
    ...(product.weight
      ? { weight: { "@type": "QuantitativeValue" as const, value: product.weight, unitCode: "GRM" } }
      : {}),
    ...(product.rating
      ? {
          aggregateRating: {
            "@type": "AggregateRating" as const,
            ratingValue: Math.round(product.rating.average * 10) / 10,
            reviewCount: product.rating.count,
            bestRating: 5,
            worstRating: 1,
          },
          review: reviews.slice(0, 10).map((r) => ({
            "@type": "Review" as const,
            author: { "@type": "Person" as const, name: r.name },
            datePublished: r.at.slice(0, 10),
            ...(r.title ? { name: r.title } : {}),
            reviewBody: r.text,
            reviewRating: { "@type": "Rating" as const, ratingValue: r.stars, bestRating: 5, worstRating: 1 },
          })),
        }
      : {}),
  };
  if (product.variants.length === 0)
    return {
      "@context": "https://schema.org",
      "@type": "Product",
      ...about,
      sku: product.sku,
      ...(product.barcode ? { gtin13: product.barcode } : {}),
      ...(hasPrice(product) ? { offers: offer() } : {}),
    };
  return {
    "@context": "https://schema.org",
    "@type": "ProductGroup",
    ...about,
    productGroupID: product.sku || product.id,
    variesBy: product.options.map((o) => VARIES_BY.get(o.name.toLowerCase()) ?? o.name),
    hasVariant: product.variants.map((v) => ({
      "@type": "Product" as const,
      name: `${product.title}, ${v.values.join(", ")}`,
      url: `${address}?variant=${v.id}`,
      ...(v.sku ? { sku: v.sku } : {}),
      ...(v.barcode ? { gtin13: v.barcode } : {}),
      ...pictureOf(v),
      ...colourOf(product, v),
      ...(hasPrice(product, v) ? { offers: offer(v) } : {}),
    })),
  };
}

/** What options of these names are in schema.org's words. */
const VARIES_BY: ReadonlyMap<string, string> = new Map([
  ["colour", "https://schema.org/color"],
  ["color", "https://schema.org/color"],
  ["size", "https://schema.org/size"],
  ["material", "https://schema.org/material"],
  ["pattern", "https://schema.org/pattern"],
]);

/** A variant's own colour and size, where it varies by them. */
function colourOf(product: Product, variant: Variant): { color?: string; size?: string } {
  const said = product.options.map((o, i) => [VARIES_BY.get(o.name.toLowerCase()), variant.values[i]] as const);
  const color = said.find(([what]) => what === "https://schema.org/color")?.[1];
  const size = said.find(([what]) => what === "https://schema.org/size")?.[1];
  return { ...(color ? { color } : {}), ...(size ? { size } : {}) };
}

/** The shop itself, on its first page: who it is, and how to look for something in it. */
function shopThings({ draft, goods, pictures }: ShopContent, origin: string): StructuredThing[] {
  const { name } = draft.look.identity;
  const logo = logoPicture(draft.look.identity);
  const drawn = logo === undefined ? undefined : pictures.find((p) => p.id === logo);
  const mark = drawn ? origin + sourceOf(drawn, 640) : `${origin}/apple-touch-icon.png`;
  return [
    {
      "@context": "https://schema.org",
      "@type": "Organization",
      name,
      url: `${origin}/`,
      logo: mark,
      ...reached(draft.look.identity),
    },
    {
      "@context": "https://schema.org",
      "@type": "WebSite",
      name,
      url: `${origin}/`,
      ...(goods.products.length
        ? {
            // "query-input" is how the vocabulary's users write it; its types know the action without it.
            potentialAction: {
              "@type": "SearchAction" as const,
              target: { "@type": "EntryPoint" as const, urlTemplate: `${origin}/search?q={query}` },
              ...({ "query-input": "required name=query" } as object),
            },
          }
        : {}),
    },
  ];
}

/** The goods of a list in their order, by address: what each is, its own page says. */
function listThing(products: readonly Product[], name: string, origin: string): WithContext<ItemList> {
  return {
    "@context": "https://schema.org",
    "@type": "ItemList",
    name,
    numberOfItems: products.length,
    itemListElement: products.slice(0, MOST_LISTED).map((p, i) => ({
      "@type": "ListItem" as const,
      position: i + 1,
      url: `${origin}/products/${p.slug}`,
    })),
  };
}

/** The way to a page that stands beneath others; nothing to say of one at the top. */
function wayTo(id: string, documents: Draft["documents"], origin: string): readonly StructuredThing[] {
  const { byId } = siteOf(documents);
  const steps: { name: string; path: string }[] = [];
  for (let page = byId.get(id); page && page.address !== "/"; page = byId.get(page.parent ?? ""))
    steps.unshift({ name: page.document.title, path: page.address });
  return steps.length > 1 ? [breadcrumbs([{ name: "Home", path: "/" }, ...steps], origin)] : [];
}

/** What is asked and answered on a page, all of it together: there is one such thing on a page (schema.org FAQPage). */
function questionsOn(document: PageDocument | undefined): readonly StructuredThing[] {
  const asked = (document?.root.slots.main ?? [])
    .filter((part) => part.shown && part.kind === "questions")
    .flatMap((part) => askedIn(part.props as unknown as QuestionsProps));
  if (asked.length === 0) return [];
  const things: WithContext<FAQPage> = {
    "@context": "https://schema.org",
    "@type": "FAQPage",
    mainEntity: asked.map(({ question, answer }) => ({
      "@type": "Question",
      name: question.trim(),
      acceptedAnswer: { "@type": "Answer", text: plainOf(answer).trim() },
    })),
  };
  return [things];
}

/** A post (schema.org BlogPosting), for what is one. */
function postThing(id: string, content: ShopContent, origin: string): readonly StructuredThing[] {
  const { documents, look } = content.draft;
  const post = postEntry(documents, id);
  if (!post) return [];
  const moment = momentIn(post.at, content.goods.asOf.timeZone);
  const picture = content.pictures.find((p) => p.id === post.picture());
  const publisher = { "@type": "Organization" as const, name: look.identity.name, url: `${origin}/` };
  const things: WithContext<BlogPosting> = {
    "@context": "https://schema.org",
    "@type": "BlogPosting",
    headline: post.title,
    url: origin + post.address,
    mainEntityOfPage: origin + post.address,
    author: post.author ? { "@type": "Person", name: post.author } : publisher,
    publisher,
    ...(moment === undefined ? {} : { datePublished: new Date(moment).toISOString() }),
    ...(post.summary() ? { description: post.summary() } : {}),
    ...(post.tags.length ? { keywords: post.tags.map((tag) => tag.name).join(", ") } : {}),
    ...(picture && !picture.vector ? { image: origin + sourceOf(picture, 1280) } : {}),
    timeRequired: `PT${post.minutes()}M`,
  };
  return [things];
}

/** What search engines are told about a page in schema.org's words (JSON-LD 1.1): the way to it, and the product it shows. */
export function structuredData(target: Target, content: ShopContent, origin: string): readonly StructuredThing[] {
  const { goods } = content;
  const { documents } = content.draft;
  if (target.page === "home")
    return [...shopThings(content, origin), ...questionsOn(entryOf(documents, siteOf(documents).home))];
  if (target.page === "text")
    return [
      ...wayTo(target.id, documents, origin),
      ...postThing(target.id, content, origin),
      ...questionsOn(entryOf(documents, target.id)),
    ];
  if (target.page === "collection") {
    const steps = target.collection
      ? collectionSteps(goods, target.collection)
      : [
          { name: "Home", path: "/" },
          { name: "Everything", path: ALL_GOODS },
        ];
    const listed = list(goods, { collection: target.collection }, NO_QUERY, { perPage: MOST_LISTED }).products;
    return [
      breadcrumbs(steps, origin),
      ...(listed.length ? [listThing(listed, target.collection?.title ?? "Everything", origin)] : []),
    ];
  }
  if (target.page !== "product" || currencyDigits(content.currency) === undefined) return [];
  const { product } = target;
  const steps = [
    ...collectionSteps(goods, homeOf(goods, product)),
    { name: product.title, path: `/products/${product.slug}` },
  ];
  return [productThing(product, content, origin), breadcrumbs(steps, origin)];
}
