import { describe, expect, it } from "vitest";
import { setPage } from "~/core/commands";
import { emptyDocument, type Draft, type PageDocument, type Part } from "~/core/document";
import { applyAll } from "~/core/operations";
import { DOCUMENT_VERSION } from "~/core/schema";
import { contentWith, goods, pictures } from "~/render/fixtures/content";
import { makeNode } from ".";
import { offerOf } from "~/core/offers";
import { lostLinksIn } from "./lost-links";
import { makeWidget } from "./make-widget";
import { mapReferences, placeWords, referencesOf, whereUsed } from "./references";

const shop = { goods, pictures };
const button = (link: Readonly<Record<string, string>>) => makeWidget("button", { label: "Go", link });

function draftWith(parts: readonly Part[], more: readonly PageDocument[] = []): Draft {
  const { draft } = contentWith(parts);
  return { ...draft, documents: { ...draft.documents, ...Object.fromEntries(more.map((d) => [d.id, d])) } };
}
const fair = emptyDocument(DOCUMENT_VERSION, "page", "fair", "The fair");
const lostIn = (draft: Draft, document = "home") =>
  lostLinksIn(draft, shop, [draft.documents[document]!]).map((lost) => lost.why);
const held = (...parts: readonly Part[]) => [
  makeNode("freehand", {}, { slots: { columns: [makeNode("column", {}, { slots: { widgets: parts } })] } }),
];

describe("what leads nowhere", () => {
  it("is found however deep a part stands, and in its words; what is there is not", () => {
    const to = (link: Readonly<Record<string, string>>) => ({
      type: "text",
      text: "see",
      marks: [{ type: "link", attrs: { link } }],
    });
    const words = { type: "doc", content: [{ type: "paragraph", content: [to({ to: "collection", id: "none" })] }] };
    const draft = draftWith(
      held(
        button({ to: "page", id: "gone" }),
        button({ to: "page", id: "fair" }),
        button({ to: "product", id: goods.products[0]!.id }),
        button({ to: "product", id: "nothing" }),
        button({ to: "web", address: "https://example.com" }),
        makeWidget("picture", { picture: pictures[0]!.id }),
        makeWidget("picture", { picture: "lost" }),
        makeWidget("words", { text: words }),
      ),
      [fair],
    );
    expect(lostIn(draft)).toEqual(
      ["page", "product", "picture", "collection"].map((what) => `a ${what} that is no longer there`),
    );
  });

  it("is a page that is not in the shop yet, and nothing of what shoppers don’t see", () => {
    const draft = draftWith(held(button({ to: "page", id: "fair" })), [fair]);
    expect(lostIn(draft)).toEqual([]);
    const outcome = setPage(draft, "fair", { hidden: true }, "hidden");
    const next = outcome.ok ? applyAll(draft, outcome.transaction.operations) : undefined;
    if (!next?.ok) throw new Error("the page could not be hidden");
    expect(lostIn(next.draft)).toEqual(["“The fair”, which is not in the shop yet"]);
    const hidden = draftWith(held({ ...button({ to: "page", id: "gone" }), shown: false }), []);
    expect(lostIn(hidden)).toEqual([]);
  });
});

it("an offer about goods that are gone is told of while it is on, and stays with what it was for", () => {
  const gone = { gives: { sort: "percent", off: 500, on: "all" }, products: ["no-such"] };
  const made = (id: string, props: Part["props"]) => emptyDocument(DOCUMENT_VERSION, "offer", id, "Tenth", props);
  const draft = draftWith([], [made("on", gone), made("none", { ...gone, off: true })]);
  expect(lostIn(draft, "on")).toEqual(["a product that is no longer there"]);
  expect(lostIn(draft, "none")).toEqual([]);
  const gift = {
    gives: { sort: "gift", product: goods.products[0]!.id, variant: null, count: 1 },
    collections: ["no-such"],
  };
  const document = made("gift", gift);
  expect(referencesOf(document)).toEqual([
    { to: "collection", id: "no-such" },
    { to: "product", id: goods.products[0]!.id },
  ]);
  const uses = whereUsed(draftWith([], [document]), (r) => r.id === goods.products[0]!.id);
  expect(uses.map(placeWords)).toContain("the offer “Tenth”");
  expect(offerOf(mapReferences(document, () => null))).toEqual(offerOf(document));
});
