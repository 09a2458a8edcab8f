import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { emptyDocument, pageProps, type Draft, type Json, type PageDocument } from "../document";
import { momentIn } from "../situation";
import {
  draftAt,
  journalOf,
  journalOfFeed,
  journalPartAt,
  journalsOf,
  nextPost,
  partAddress,
  postsOf,
  postsOut,
  tagsOf,
  withTag,
} from ".";

const page = (id: string, props: Readonly<Record<string, Json>> = {}): PageDocument => {
  const document = emptyDocument(2, "page", id, id.toUpperCase());
  return { ...document, root: { ...document.root, props: { slug: id, ...props } } };
};
const draftOf = (...pages: readonly PageDocument[]): Draft => ({
  look: {} as Draft["look"],
  documents: Object.fromEntries([page("home"), ...pages].map((p) => [p.id, p])),
});
const post = (id: string, at: string, more: Readonly<Record<string, Json>> = {}) =>
  page(id, { parent: "news", at, ...more });

const draft = draftOf(
  page("news", { journal: true }),
  post("early", "2026-01-01T09:00", { tags: ["Wind", "How to"] }),
  post("late", "2026-03-01T09:00", { tags: ["wind"] }),
  post("undated", ""),
  post("kept", "2026-02-01T09:00", { hidden: true }),
  page("about"),
  page("beneath", { parent: "late" }),
);
const { documents } = draft;
const ids = (posts: readonly { readonly document: PageDocument }[]) => posts.map((p) => p.document.id);

describe("a journal", () => {
  it("has the pages directly beneath it as posts, latest first, those without a date last", () => {
    expect(ids(journalsOf(documents))).toEqual(["news"]);
    expect(ids(postsOf(documents, "news"))).toEqual(["late", "kept", "early", "undated"]);
    expect(postsOf(documents, "about")).toEqual([]);
    expect(journalOf(documents, "late")?.document.id).toBe("news");
    for (const id of ["beneath", "about", "news", "nothing"]) expect(journalOf(documents, id)).toBeUndefined();
  });

  it("counts tags as they stand in addresses, and finds by them", () => {
    const posts = postsOf(documents, "news");
    expect(tagsOf(posts)).toEqual([
      { name: "wind", slug: "wind", count: 2 },
      { name: "How to", slug: "how-to", count: 1 },
    ]);
    expect(ids(withTag(posts, "wind"))).toEqual(["late", "early"]);
  });

  it("has an address for each tag and each further page of its list, and one for its feed", () => {
    const parts = [{ number: 2 }, { tag: "wind", number: 1 }, { tag: "räder", number: 3 }];
    for (const part of parts) {
      const path = decodeURIComponent(partAddress("/news", part));
      expect(journalPartAt(documents, path)).toMatchObject({ journal: { document: { id: "news" } }, part });
    }
    expect(partAddress("/news", { number: 1 })).toBe("/news");
    for (const path of [
      "/news",
      "/news/late",
      "/about/tag/x",
      "/news/page/0",
      "/news/tag/a/b",
      "/tag/x",
      "/news/page/",
    ])
      expect(journalPartAt(documents, path), path).toBeUndefined();
    expect(journalOfFeed(documents, "/news/feed.xml")?.document.id).toBe("news");
    expect(journalOfFeed(documents, "/about/feed.xml")).toBeUndefined();
  });
});

describe("a post whose time has not come", () => {
  it("is hidden until then, and the moment is known", () => {
    const hidden = (clock: string) =>
      Object.values(draftAt(draft, clock).documents)
        .filter((d) => pageProps(d).hidden)
        .map((d) => d.id)
        .sort();
    expect(hidden("2025-12-31T23:59")).toEqual(["early", "kept", "late"]);
    expect(hidden("2026-01-01T09:00")).toEqual(["kept", "late"]);
    expect(draftAt(draft, "2026-03-01T09:00")).toBe(draft);
    expect(draftAt(draft, "2026-02-01T00:00")).toBe(draftAt(draft, "2026-02-28T00:00"));
    expect(nextPost(documents, "2026-01-01T09:00", "Europe/Berlin")).toBe(Date.parse("2026-03-01T08:00:00Z"));
    expect(nextPost(documents, "2026-03-01T09:00", "Europe/Berlin")).toBe(Infinity);
  });

  it("is counted as going through all of them one by one would (property)", () => {
    const clock = fc
      .tuple(fc.integer({ min: 2020, max: 2030 }), fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 23 }))
      .map(([y, m, h]) => `${y}-${String(m).padStart(2, "0")}-15T${String(h).padStart(2, "0")}:00`);
    fc.assert(
      fc.property(fc.array(clock, { maxLength: 30 }), clock, (times, now) => {
        const many = draftOf(page("news", { journal: true }), ...times.map((at, i) => post(`p${i}`, at)));
        const { count, next } = postsOut(many.documents, now);
        expect(count).toBe(times.filter((at) => at <= now).length);
        expect(next).toBe([...times].sort().find((at) => at > now));
        const shown = draftAt(many, now).documents;
        for (const [i, at] of times.entries()) expect(pageProps(shown[`p${i}`]!).hidden).toBe(at > now);
        if (next) expect(nextPost(many.documents, now, "UTC")).toBe(momentIn(next, "UTC"));
      }),
    );
  });
});
