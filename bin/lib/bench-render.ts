/** Times the drawing of the demo shop's home page, in milliseconds of CPU, and prints the result as JSON. */
import { renderPage } from "../../app/render";
import { disconnect } from "../../app/server/database/index.server";
import { shopAt } from "../../app/server/shops/index.server";
import { contentOf } from "../../app/server/storefront/pages";

const shop = await shopAt("larkspindle");
const content = shop && (await contentOf(shop));
if (!content) throw new Error("the demo shop is not loaded");
const times: number[] = [];
for (let i = 0; i < 260; i++) {
  const before = process.cpuUsage();
  renderPage({ page: "home" }, content, "http://larkspindle.localhost", "/assets/shop.js");
  const { user, system } = process.cpuUsage(before);
  // The first ones are spent on warming up.
  if (i >= 60) times.push((user + system) / 1000);
}
await disconnect();
times.sort((a, b) => a - b);
const at = (share: number) => Math.round(times[Math.floor(times.length * share)]! * 100) / 100;
console.log(JSON.stringify({ p50: at(0.5), p95: at(0.95), target: 5 }));
