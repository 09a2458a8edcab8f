// @vitest-environment jsdom
import { describe, expect, it } from "vitest";
import { atomFeed, type Feed, type FeedEntry } from "./atom";

const entry = (id: string, more: Partial<FeedEntry> = {}): FeedEntry => ({
  id: `http://s.example/pages/${id}`,
  title: id,
  address: `http://s.example/news/${id}`,
  published: "2026-03-01T08:00:00.000Z",
  author: "",
  summary: "Words",
  tags: [],
  ...more,
});
const feed = (entries: readonly FeedEntry[], more: Partial<Feed> = {}): Feed => ({
  id: "http://s.example/pages/news",
  title: "News",
  subtitle: "",
  address: "http://s.example/news/feed.xml",
  page: "http://s.example/news",
  author: "A shop",
  updated: "2026-01-01T00:00:00.000Z",
  language: "en-GB",
  entries,
  ...more,
});

const ATOM = "http://www.w3.org/2005/Atom";
/** Read by a parser that is none of ours. */
function read(xml: string): Element {
  const document = new DOMParser().parseFromString(xml, "application/xml");
  expect(document.querySelector("parsererror")).toBeNull();
  return document.documentElement;
}
const children = (parent: Element, name: string) =>
  [...parent.children].filter((child) => child.namespaceURI === ATOM && child.localName === name);
const only = (parent: Element, name: string) => {
  const found = children(parent, name);
  expect(found, name).toHaveLength(1);
  return found[0]!;
};
/** RFC 3339, as RFC 4287, 3.3, asks for it. */
const DATE = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d+)?(?:Z|[+-]\d\d:\d\d)$/;

describe("an Atom feed", () => {
  const hostile = `<b>"Ä & 'x'"</b> ]]> \u0000\u000b${"\u{1f600}"}`;
  it("has what RFC 4287 asks of a feed (4.1.1) and of each entry (4.1.2), once", () => {
    const xml = atomFeed(
      feed([
        entry("one", { author: "Ann", tags: [{ name: "How to", slug: "how-to" }] }),
        entry("two", { published: "2026-04-01T08:00:00.000Z" }),
      ]),
    );
    const root = read(xml);
    expect([root.localName, root.namespaceURI]).toEqual(["feed", ATOM]);
    for (const name of ["id", "title", "updated"]) expect(only(root, name).textContent).not.toBe("");
    // 4.2.15: the latest of what is in it.
    expect(only(root, "updated").textContent).toBe("2026-04-01T08:00:00.000Z");
    // 4.1.1: an author of the feed, since not every entry has one.
    expect(only(only(root, "author"), "name").textContent).toBe("A shop");
    const links = children(root, "link").map((link) => [link.getAttribute("rel"), link.getAttribute("href")]);
    expect(links).toEqual([
      ["self", "http://s.example/news/feed.xml"],
      ["alternate", "http://s.example/news"],
    ]);
    const entries = children(root, "entry");
    expect(entries).toHaveLength(2);
    for (const each of entries) {
      for (const name of ["id", "title", "updated", "published", "summary"]) only(each, name);
      expect(only(each, "updated").textContent).toMatch(DATE);
      // 4.1.2: without content, a link to the page itself.
      expect(only(each, "link").getAttribute("rel")).toBe("alternate");
      // 4.2.6: an id is an IRI.
      expect(URL.canParse(only(each, "id").textContent)).toBe(true);
    }
    expect(only(entries[0]!, "category").getAttribute("term")).toBe("how-to");
    expect(new Set(entries.map((e) => only(e, "id").textContent)).size).toBe(2);
  });

  it("is well-formed whatever is written, and says when it was made where it has no entries", () => {
    const one = entry(hostile, { author: hostile, summary: hostile, tags: [{ name: hostile, slug: hostile }] });
    const root = read(atomFeed(feed([one], { title: hostile, subtitle: hostile, author: hostile })));
    expect(only(children(root, "entry")[0]!, "summary").textContent).toBe(hostile.replace(/[\u0000\u000b]/g, ""));
    expect(root.querySelector("b")).toBeNull();
    expect(only(read(atomFeed(feed([]))), "updated").textContent).toBe("2026-01-01T00:00:00.000Z");
  });
});
