import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addPage, setPage, type Outcome } from "~/core/commands";
import type { Draft } from "~/core/document";
import { makeNode } from "~/kinds";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { openStorefront } from "../fixtures/shoppers";
import { pendingChanges, publish } from "../publishing/index.server";
import { shopAt } from "../shops/index.server";
import { feedOf } from "./feed";
import { pageAt, sitemapOf } from "./pages";

let front: Awaited<ReturnType<typeof openStorefront>>;
let owned: Awaited<ReturnType<typeof ownerWithShop>>;
const ask = (path: string) => front.ask(path, { host: owned.shop.host });
const ORIGIN = "http://s.example";

async function make(...changes: readonly ((draft: Draft) => Outcome)[]): Promise<void> {
  for (const change of changes) {
    const { draft, seq } = await loadDraft(owned.shop.id);
    const outcome = change(draft);
    if (!outcome.ok) throw new Error(outcome.why);
    expect(await keep(owned.shop.id, { base: seq, transactions: [outcome.transaction] })).toMatchObject({ ok: true });
  }
  expect(await publish(owned.shop.id, (await pendingChanges(owned.shop.id)).seq)).toMatchObject({ ok: true });
}
const post =
  (id: string, at: string, tags: readonly string[] = []) =>
  (d: Draft) =>
    addPage(
      d,
      {
        title: `Post ${id}`,
        parent: "news",
        main: [makeNode("text", { heading: "", text: `What ${id} says` })],
        props: { at, tags, author: "Ann" },
      },
      id,
    );
/** A page of the shop as it is at a moment. */
async function at(moment: string, path: string) {
  const shop = (await shopAt(owned.shop.host))!;
  const page = (await pageAt(shop, path, ORIGIN, { now: Date.parse(moment), timeZone: shop.timeZone }))!;
  return { status: page.status, body: page.bytes("identity").toString() };
}

beforeAll(async () => {
  front = await openStorefront();
  owned = await ownerWithShop();
  await make(
    (d) =>
      addPage(
        d,
        { title: "News", parent: null, main: [makeNode("posts", { most: 2, time: true })], props: { journal: true } },
        "news",
      ),
    post("a", "2026-01-01T09:00", ["Wind"]),
    post("b", "2026-02-01T09:00", ["Wind", "How to"]),
    post("c", "2026-03-01T09:00"),
    post("d", "2999-03-01T09:00", ["Ahead"]),
  );
});
afterAll(() => front.close());

const listed = (body: string) => [...body.matchAll(/href="\/news\/post-([a-z])"/g)].map((m) => m[1]);

describe("a journal in the shop", () => {
  it("lists its posts, latest first, a page of them at a time and by tag", async () => {
    const first = await ask("/news");
    expect(first.status).toBe(200);
    expect(listed(first.body)).toEqual(["c", "b"]);
    expect(first.body).toContain('href="/news/page/2"');
    expect(first.body).toContain('type="application/atom+xml" href="/news/feed.xml"');
    expect(listed((await ask("/news/page/2")).body)).toEqual(["a"]);
    const tagged = await ask("/news/tag/wind");
    expect(listed(tagged.body)).toEqual(["b", "a"]);
    expect(tagged.body).toContain("<title>Wind, News");
    for (const path of [
      "/news/page/3",
      "/news/tag/wind/page/2",
      "/news/tag/nothing",
      "/news/tag/ahead",
      "/news/post-d",
      "/tag/wind",
    ])
      expect([path, (await ask(path)).status]).toEqual([path, 404]);
  });

  it("shows a post in the layout of posts, with ways to the ones beside it, told to search engines", async () => {
    const { status, body } = await ask("/news/post-b");
    expect(status).toBe(200);
    expect(body.match(/<h1/g)).toHaveLength(1);
    expect(body).toContain("Post b</h1>");
    // Once: what lists make of it does not stand above it.
    expect(/<main.*<\/main>/s.exec(body)![0].match(/What b says/g)).toHaveLength(1);
    expect(listed(body).sort()).toEqual(["a", "c"]);
    const things = [...body.matchAll(/<script type="application\/ld\+json">(.*?)<\/script>/g)].map(
      (m) => JSON.parse(m[1]!) as Record<string, unknown>,
    );
    // schema.org BlogPosting; the time is that of the shop's zone.
    expect(things.find((t) => t["@type"] === "BlogPosting")).toMatchObject({
      headline: "Post b",
      datePublished: "2026-02-01T09:00:00.000Z",
      author: { "@type": "Person", name: "Ann" },
      keywords: "Wind, How to",
    });
    expect(body).toContain('<meta property="og:type" content="article">');
  });

  it("brings a post out by itself when its time has come, everywhere at once", async () => {
    const before = "2999-03-01T08:59:00Z";
    const after = "2999-03-01T09:00:00Z";
    expect((await at(before, "/news/post-d")).status).toBe(404);
    expect(listed((await at(before, "/news")).body)).toEqual(["c", "b"]);
    expect((await at(after, "/news/post-d")).status).toBe(200);
    expect(listed((await at(after, "/news")).body)).toEqual(["d", "c"]);
    expect((await at(after, "/news/tag/ahead")).status).toBe(200);
    expect(await sitemapOf((await shopAt(owned.shop.host))!, ORIGIN)).not.toContain("post-d");
  });

  it("has a feed of what is out, which goes with a journal that is hidden", async () => {
    const { status, headers, body } = await ask("/news/feed.xml");
    expect([status, headers["content-type"]]).toEqual([200, "application/atom+xml; charset=utf-8"]);
    expect([...body.matchAll(/<title>Post ([a-z])<\/title>/g)].map((m) => m[1])).toEqual(["c", "b", "a"]);
    expect(body).toContain("<summary>What c says</summary>");
    // What an entry is known by leads to it, wherever it has moved to.
    const id = /<entry><id>http:\/\/[^/]+(\/pages\/[^<]+)<\/id>/.exec(body)![1]!;
    const led = await ask(id);
    expect([led.status, led.headers.location]).toEqual([301, expect.stringContaining("/news/post-c")]);
    expect((await ask("/other/feed.xml")).status).toBe(404);
    await make((d) => setPage(d, "news", { hidden: true }, "hidden"));
    expect(await feedOf((await shopAt(owned.shop.host))!, "/news/feed.xml", ORIGIN)).toBeUndefined();
  });
});
