import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { isNarrowed, NO_QUERY, readQuery, SORTS, writeQuery } from "~/core/goods";
import { linkSchema } from "~/core/schema";
import { hrefFor } from "~/kinds/parts";
import { contentWith, goods } from "~/render/fixtures/content";
import { narrowedWords } from "./narrow";
import { listLink, readOwnAddress } from "./own-address";

const shop = { documents: contentWith([]).draft.documents, goods };
const read = (text: string) => readOwnAddress(text, "http://kites.localhost:4311", shop);
const href = hrefFor({
  goods,
  pages: [],
  file: () => undefined,
  lies: () => false,
  selling: { zones: [], pays: {} },
});

describe("an address of the shop itself", () => {
  it.each([
    ["http://kites.localhost:4311/", { to: "home" }],
    ["http://kites.localhost:4311/products/plain", { to: "product", id: "plain" }],
    ["http://kites.localhost:4311/collections/one", { to: "collection", id: "one" }],
    ["http://kites.localhost:4311/collections/one?page=2", { to: "collection", id: "one" }],
    ["http://kites.localhost:4311/collections/all", { to: "list", id: null, query: "" }],
    [
      "http://kites.localhost:4311/collections/one?sort=newest&now=1&junk=%3Cb%3E",
      { to: "list", id: "one", query: "junk=%3Cb%3E&now=1&sort=newest" },
    ],
    ["http://kites.localhost:4311/nowhere", undefined],
    ["http://other.example/collections/one", undefined],
    ["kites", undefined],
  ])("%s leads to %j", (text, link) => expect(read(text)).toEqual(link));

  it("leads to the same list again, whatever narrows it", () => {
    const words = fc.string({ unit: "grapheme", minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom("level", "colour"), fc.uniqueArray(words, { minLength: 1, maxLength: 3 })),
        fc.boolean(),
        fc.option(fc.constantFrom(...SORTS)),
        (wanted, now, sort) => {
          const query = { ...NO_QUERY, wanted, now, sort };
          const link = listLink("one", isNarrowed(query) || sort ? writeQuery(query, 2) : "");
          expect(linkSchema.safeParse(link).success).toBe(true);
          const address = href(link)!;
          const asked = new URL(address, "http://kites.localhost:4311");
          expect(asked.pathname).toBe("/collections/one");
          expect(writeQuery(readQuery(asked.searchParams, 2), 2)).toBe(link.to === "list" ? link.query : "");
        },
      ),
      { seed: 3, numRuns: 200 },
    );
  });

  it("says in words what narrows a list", () => {
    const link = listLink("one", "level=Anyone&now=1&sort=price-up");
    expect(narrowedWords(link, goods)).toBe("Anyone, can be had now, price, low to high");
    expect(href({ to: "list", id: "gone", query: "" })).toBeUndefined();
  });
});
