import Validator from "@adobe/structured-data-validator";
import WebAutoExtractor from "@marbec/web-auto-extractor";
import { describe, expect, it } from "vitest";
import { AVAILABILITIES } from "~/core/goods";
import { makeNode } from "~/kinds";
import { contentWith, goods } from "./fixtures/content";
import { renderPage, structuredData, type Target } from ".";

const ORIGIN = "http://shop.localhost:4311";
const content = contentWith([]);
const product = (id: string) => goods.products.find((p) => p.id === id)!;

/** What a validator of schema.org for search results makes of a whole page, as it is served. */
async function problemsOf(target: Target) {
  const { html } = renderPage(target, content, ORIGIN, { every: "/a.js", goods: "/b.js" });
  const data = new WebAutoExtractor({ addLocation: true, embedSource: [] }).parse(html);
  const issues = await new Validator().validate(data);
  return {
    types: Object.keys(data.jsonld ?? {}),
    errors: issues.filter((i) => i.severity === "ERROR").map((i) => i.issueMessage),
  };
}

describe("structured data", () => {
  it.each(goods.products.map((p) => [p.id, p] as const))(
    "of product %s has what search engines ask for",
    async (id, p) => {
      const { types, errors } = await problemsOf({ page: "product", product: p });
      expect(types).toEqual([p.variants.length ? "ProductGroup" : "Product", "BreadcrumbList"]);
      // A product without a picture is one that the seller has to give a picture; the page says nothing untrue of it.
      expect(errors.filter((e) => !(id === "bare" && /image/.test(e)))).toEqual([]);
    },
  );

  it("of the first page is who the shop is and how to search it", async () => {
    const { types, errors } = await problemsOf({ page: "home" });
    expect([types, errors]).toEqual([["Organization", "WebSite"], []]);
    const [shop, site] = structuredData({ page: "home" }, content, ORIGIN);
    expect(shop).toMatchObject({ name: content.draft.look.identity.name, url: `${ORIGIN}/` });
    expect(site).toMatchObject({ potentialAction: { target: { urlTemplate: `${ORIGIN}/search?q={query}` } } });
  });

  it("of a page with questions is what is asked and answered on it, all of it together", async () => {
    const asked = (question: string, answer: string) =>
      makeNode("questions", { questions: [{ group: "", question, answer }] });
    const of = contentWith([
      asked("How do I order?", "Put it into the cart."),
      asked("Not answered yet?", ""),
      { ...asked("Not shown?", "It is not."), shown: false },
      asked("And then?", "Wait."),
    ]);
    const faq = structuredData({ page: "home" }, of, ORIGIN).at(-1);
    expect(faq).toEqual({
      "@context": "https://schema.org",
      "@type": "FAQPage",
      mainEntity: [
        ["How do I order?", "Put it into the cart."],
        ["And then?", "Wait."],
      ].map(([name, text]) => ({ "@type": "Question", name, acceptedAnswer: { "@type": "Answer", text } })),
    });
    const { html } = renderPage({ page: "home" }, of, ORIGIN, { every: "/a.js", goods: "/b.js" });
    const data = new WebAutoExtractor({ addLocation: true, embedSource: [] }).parse(html);
    expect((await new Validator().validate(data)).filter((i) => i.severity === "ERROR")).toEqual([]);
    expect(Object.keys(data.jsonld ?? {})).toContain("FAQPage");
  });

  it("of a page beneath others is the way to it; of one at the top there is none", () => {
    const home = content.draft.documents.home!;
    const beneath = (id: string, title: string, parent?: string) => ({
      ...home,
      id,
      title,
      root: { ...home.root, props: parent === undefined ? {} : { parent } },
    });
    const documents = {
      ...content.draft.documents,
      about: beneath("about", "About"),
      loft: beneath("loft", "Loft", "about"),
    };
    const of = { ...content, draft: { ...content.draft, documents } };
    expect(structuredData({ page: "text", id: "about" }, of, ORIGIN)).toEqual([]);
    expect(structuredData({ page: "text", id: "loft" }, of, ORIGIN)).toMatchObject([
      {
        "@type": "BreadcrumbList",
        itemListElement: [
          { position: 1, name: "Home", item: `${ORIGIN}/` },
          { position: 2, name: "About", item: `${ORIGIN}/about` },
          { position: 3, name: "Loft", item: `${ORIGIN}/about/loft` },
        ],
      },
    ]);
  });

  it("of a collection is the way to it, and its goods in their order", async () => {
    const { types, errors } = await problemsOf({ page: "collection", collection: goods.collections[1] });
    expect([types, errors]).toEqual([["BreadcrumbList"], []]);
    const [crumbs] = structuredData({ page: "collection", collection: goods.collections[1] }, content, ORIGIN);
    const [collection] = goods.collections;
    const [, listed] = structuredData({ page: "collection", collection }, content, ORIGIN);
    const inside = goods.products.filter((p) => p.collections.includes(collection!.id));
    expect(inside.length).toBeGreaterThan(1);
    expect(listed).toMatchObject({ "@type": "ItemList", numberOfItems: inside.length });
    expect(JSON.stringify(listed)).toContain(`"position":1,"url":"${ORIGIN}/products/`);
    expect(crumbs).toMatchObject({
      itemListElement: [
        { name: "Home" },
        { name: "One & only" },
        { name: "Two", item: `${ORIGIN}/collections/two`, position: 3 },
      ],
    });
  });

  it("says each variant's own price, state and number, and the average of the reviews", () => {
    const [thing] = structuredData({ page: "product", product: product("many") }, content, ORIGIN);
    expect(thing).toMatchObject({
      hasVariant: [
        {
          sku: "MANY-0",
          offers: { price: "64.00", priceCurrency: "EUR", availability: "https://schema.org/LimitedAvailability" },
        },
        { offers: { price: "64.00", availability: "https://schema.org/SoldOut", name: "S, Kelp, Short" } },
        {
          url: `${ORIGIN}/products/many?variant=v2`,
          offers: { price: "84.00", availability: "https://schema.org/InStock" },
        },
      ],
      aggregateRating: { ratingValue: 4.5, reviewCount: 2 },
    });
  });

  it("knows a state of schema.org for every state there is", () => {
    for (const availability of AVAILABILITIES) {
      const [thing] = structuredData(
        { page: "product", product: { ...product("plain"), availability, availableFrom: "2027-03-14" } },
        content,
        ORIGIN,
      );
      expect(JSON.stringify(thing)).toMatch(/"availability":"https:\/\/schema\.org\/\w+"/);
    }
  });

  it("never ends the element that it stands in", () => {
    const { html } = renderPage({ page: "product", product: product("odd") }, content, ORIGIN, {
      every: "/a.js",
      goods: "/b.js",
    });
    const block = /<script type="application\/ld\+json">(.*?)<\/script>/.exec(html)![1]!;
    expect((JSON.parse(block) as { name: string }).name).toBe(product("odd").title);
  });
});
