/**
 * Times the drawing of the demo shop's home page, in milliseconds of CPU, and how time and CSS grow with the number of its
 * sections; prints the result as JSON.
 */
import { gzipSync } from "node:zlib";
import { copyWithNewIds } from "../../app/core/document";
import { renderPage, type ShopContent } from "../../app/render";
import { configure, readConfig } from "../../app/server/config/index.server";
import { connect, disconnect } from "../../app/server/database/index.server";
import { shopAt } from "../../app/server/shops/index.server";
import { contentOf } from "../../app/server/storefront/pages";

const settings = readConfig(process.env);
configure(settings);
connect(settings.database, settings.connections);
const shop = await shopAt("larkspindle");
const content = shop && (await contentOf(shop));
if (!content) throw new Error("the demo shop is not loaded");
const percentile = (sorted: readonly number[], share: number) =>
  Math.round(sorted[Math.floor(sorted.length * share)]! * 100) / 100;
const draw = (of: ShopContent) =>
  renderPage({ page: "home" }, of, "http://larkspindle.localhost", {
    every: "/assets/shop.js",
    goods: "/assets/goods.js",
  });

function timed(of: ShopContent, rounds: number) {
  const times: number[] = [];
  for (let i = 0; i < rounds * 1.3; i++) {
    const before = process.cpuUsage();
    draw(of);
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
await disconnect();
console.log(JSON.stringify({ ...home, target: 4, growth }));
