/**
 * Times the drawing of the demo shop's home page, in milliseconds of CPU, and how time and CSS grow with the number of its
 * sections; prints the result as JSON.
 */
import { gzipSync } from "node:zlib";
import { copyWithNewIds } from "../../app/core/document";
import { findWords } from "../../app/kinds/find-words";
import { renderPage, type ShopContent, type Target } from "../../app/render";
import { configure, readConfig } from "../../app/server/config/index.server";
import { connect, disconnect } from "../../app/server/database/index.server";
import { shopAt } from "../../app/server/shops/index.server";
import { journalFeed } from "../../app/server/storefront/feed";
import { contentOf } from "../../app/server/storefront/pages";

const settings = readConfig(process.env);
configure(settings);
connect(settings.database, settings.connections);
const shop = await shopAt("larkspindle");
const content = shop && (await contentOf(shop));
if (!content) throw new Error("the demo shop is not loaded");
const percentile = (sorted: readonly number[], share: number) =>
  Math.round(sorted[Math.floor(sorted.length * share)]! * 100) / 100;
const draw = (of: ShopContent, target: Target = { page: "home" }) =>
  renderPage(target, of, "http://larkspindle.localhost", {
    every: "/assets/shop.js",
    goods: "/assets/goods.js",
  });

/** `what`: the page that is drawn, or anything else that is made from the shop. */
function timed(of: ShopContent, rounds: number, what: Target | ((of: ShopContent) => unknown) = { page: "home" }) {
  const times: number[] = [];
  for (let i = 0; i < rounds * 1.3; i++) {
    const before = process.cpuUsage();
    if (typeof what === "function") what(of);
    else draw(of, what);
    const { user, system } = process.cpuUsage(before);
    // The first ones are spent on warming up.
    if (i >= rounds * 0.3) times.push((user + system) / 1000);
  }
  times.sort((a, b) => a - b);
  return { p50: percentile(times, 0.5), p95: percentile(times, 0.95) };
}

/** The shop with its home page made of this many sections: its own, over and over, each with rules of its own. */
function withSections(count: number): ShopContent {
  const { documents, look } = content!.draft;
  const home = documents.home!;
  const own = home.root.slots.main!;
  const main = Array.from({ length: count }, (_, i) => ({
    ...copyWithNewIds(own[i % own.length]!),
    style: { all: { spaceTop: i % 8 }, phone: { spaceBottom: (i * 3) % 8 } },
  }));
  return {
    ...content!,
    draft: { look, documents: { ...documents, home: { ...home, root: { ...home.root, slots: { main } } } } },
  };
}

const home = timed(content, 200);
const growth = [10, 20, 40, 60, 120].map((sections) => {
  const page = withSections(sections);
  const { css, html } = draw(page);
  return {
    sections,
    p50: timed(page, 40).p50,
    cssKB: Math.round(css.length / 102.4) / 10,
    cssPackedKB: Math.round(gzipSync(css).length / 102.4) / 10,
    pageKB: Math.round(html.length / 102.4) / 10,
  };
});

/** The shop with a journal of this many posts. */
function withPosts(count: number): ShopContent {
  const { documents, look } = content!.draft;
  const journal = documents.journal!;
  const like = documents["gale-of-october"]!;
  const posts = Array.from({ length: count }, (_, i) => {
    const { id, root } = { id: `post-${i}`, root: copyWithNewIds(like.root) };
    const at = `20${10 + (i % 15)}-0${1 + (i % 9)}-1${i % 10}T09:00`;
    const props = { ...root.props, slug: id, parent: journal.id, at, tags: [`tag ${i % 40}`] };
    return [id, { ...like, id, title: `Post ${i}`, root: { ...root, props } }] as const;
  });
  return { ...content!, draft: { look, documents: { ...documents, ...Object.fromEntries(posts) } } };
}

const MANY_POSTS = 2_000;
const journalOfMany = withPosts(MANY_POSTS);
const journal = {
  posts: MANY_POSTS,
  list: timed(journalOfMany, 60, { page: "text", id: "journal" }),
  feed: timed(journalOfMany, 60, (of) => journalFeed(of, "/journal/feed.xml", "http://larkspindle.localhost", "")),
};

const MANY_PAGES = 500;
const manyPages = withPosts(MANY_PAGES).draft;
const finding = {
  pages: MANY_PAGES,
  ...timed(content, 20, () => findWords(manyPages, { words: "wind", matchCase: false, whole: true })),
};
await disconnect();
console.log(JSON.stringify({ ...home, target: 4, growth, journal, finding }));
