import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { colourDrag, cssWeight, galleryOfThemes, paletteOfLargePicture, repaintOfTheme } from "./bench-brand.mjs";
import { labFigures } from "./bench-shop.mjs";
import { serving } from "./bench-serving.mjs";
import { glance } from "./bench-glance.mjs";
import { chooser, cutOut, toneDrag } from "./bench-pictures.mjs";
import { benchAtWork } from "./bench-work.mjs";
import { orders } from "./bench-orders.mjs";
import { startDatabase } from "./database.mjs";
import { runMain, say, Stop } from "./say.mjs";
import { startServer } from "./server.mjs";
import { checkNode, ensureBuild, ensureDebian, ensurePackages } from "./setup.mjs";

const round = (value) => Math.round(value * 100) / 100;
const HOST = "larkspindle";
const PAGES = [
  ["home", "/"],
  ["collection", "/collections/single-line-kites"],
  ["product", "/products/larkspindle-delta-190"],
  ["search", "/search?q=delta"],
  ["checkout", "/checkout"],
];

/** What the browser of somebody holds who has something in the cart. */
async function withCart(browser, shop) {
  const context = await browser.newContext();
  const page = await context.newPage();
  await page.goto(`${shop}/products/skua`);
  await Promise.all([
    page.waitForResponse((response) => response.url().endsWith("/cart/add")),
    page.getByRole("button", { name: "Add to cart" }).first().click(),
  ]);
  const cookies = await context.cookies();
  await context.close();
  return cookies;
}

/** Bytes over the wire by type, for a phone that comes for the first time. */
async function pageWeight(browser, shop, cookies) {
  const weights = {};
  for (const [name, path] of PAGES) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, deviceScaleFactor: 2 });
    await context.addCookies(cookies);
    const page = await context.newPage();
    const byType = {};
    const waits = [];
    page.on("requestfinished", (request) =>
      waits.push(
        request.sizes().then(({ responseBodySize }) => {
          const type = request.resourceType();
          byType[type] = (byType[type] ?? 0) + responseBodySize;
        }),
      ),
    );
    await page.goto(shop + path, { waitUntil: "networkidle" });
    await Promise.all(waits);
    weights[name] = Object.fromEntries(Object.entries(byType).map(([type, bytes]) => [type, round(bytes / 1024)]));
    await context.close();
  }
  return weights;
}

await runMain(async () => {
  checkNode();
  ensureDebian([
    { command: "mariadbd", name: "mariadb-server" },
    { command: "chromium-headless-shell", name: "chromium-headless-shell" },
    { command: "wrk", name: "wrk" },
    { command: "nginx", name: "nginx-light" },
    { command: "curl", name: "curl" },
  ]);
  ensurePackages();
  ensureBuild();
  const { chromium } = await import("@playwright/test");
  const folder = mkdtempSync(join(tmpdir(), "zest-bench-"));
  const database = await startDatabase(folder, { quiet: true });
  const server = await startServer({
    database: database.address,
    data: folder,
    port: 0,
    shopPort: 0,
    demo: true,
    reset: false,
    say,
  });
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium-headless-shell",
    args: ["--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run"],
  });
  try {
    const shop = `http://${HOST}.localhost:${server.shopPort}`;
    say("Page weight …");
    const cookies = await withCart(browser, shop);
    const weight = await pageWeight(browser, shop, cookies);
    say("What a shopper on a phone waits for …");
    const lab = await labFigures(browser, shop, [...PAGES.slice(0, 3), PAGES.at(-1)], cookies);
    say("Serving …");
    const served = await serving(HOST, server.shopPort, folder);
    say("Rendering …");
    const measured = (script) => {
      const done = spawnSync("npx", ["tsx", script], {
        encoding: "utf8",
        env: { ...process.env, NODE_ENV: "production", ZEST_DATABASE: database.address, ZEST_DATA: folder },
      });
      if (done.status !== 0) throw new Stop(done.stderr);
      return JSON.parse(done.stdout.trim().split("\n").at(-1));
    };
    const render = measured("bin/lib/bench-render.ts");
    const conditions = measured("bin/lib/bench-conditions.ts");
    const asked = measured("bin/lib/bench-asked.ts");
    say("Many goods …");
    const goods = measured("bin/lib/bench-goods.ts");
    say("Many pages …");
    const { name: _name, address, password, shop: pagesShop, ...site } = measured("bin/lib/bench-site.ts");
    const seen = await glance(browser, `http://localhost:${server.port}`, { shop: pagesShop, address, password });
    // Built as the product is; a runner that compiles while it runs would be part of what is measured.
    const { build } = await import("vite");
    const built = join(folder, "bench");
    await build({
      configFile: false,
      logLevel: "error",
      ssr: { noExternal: true },
      build: { ssr: "bin/lib/bench-solve.ts", outDir: built },
    });
    const solve = JSON.parse(spawnSync("node", [join(built, "bench-solve.js")], { encoding: "utf8" }).stdout);
    say("Brand …");
    const css = await cssWeight(browser, shop);
    const drag = await colourDrag(browser, `http://localhost:${server.port}`);
    const palette = await paletteOfLargePicture(browser, `http://localhost:${server.port}`);
    const gallery = await galleryOfThemes(browser, `http://localhost:${server.port}`);
    const repaint = await repaintOfTheme(browser, `http://localhost:${server.port}`);
    say("The bench at work …");
    const work = await benchAtWork(browser, `http://localhost:${server.port}`);
    say("Pictures …");
    const cut = await cutOut(browser, `http://localhost:${server.port}`);
    const tones = await toneDrag(browser, `http://localhost:${server.port}`);
    const choosing = await chooser(browser, `http://localhost:${server.port}`, { address: database.address, folder });
    say("Orders …");
    await server.stop();
    const ordered = await orders({ database: database.address, data: folder, host: HOST });
    const results = {
      at: new Date().toISOString(),
      bench: work,
      render,
      serving: served,
      pageWeightKB: weight,
      phone: lab,
      goods,
      conditions,
      asked,
      orders: ordered,
      site: { ...site, ...seen },
      pictures: { cut, tones, choosing },
      brand: { solve, cssKB: css, drag, palette, gallery, repaint },
    };
    if (!existsSync("bench-results")) mkdirSync("bench-results");
    writeFileSync("bench-results/latest.json", `${JSON.stringify(results, null, 2)}\n`);
    console.table([
      {
        what: `change in Details to paint in both panes, ${work.sections} sections (ms)`,
        p50: work.changeToPaint.p50,
        p95: work.changeToPaint.p95,
        target: work.changeToPaint.target,
      },
      { what: "home page drawn on the server (ms of CPU)", p50: render.p50, p95: render.p95, target: "under 4" },
      { what: "a whole brand solved and written as CSS (ms)", p50: solve.p50, p95: solve.p95, target: "under 10" },
    ]);
    console.table([{ what: `bench opened, ${work.sections} sections (ms)`, ...work.open }]);
    console.table([{ what: `a widget carried, ${work.sections} sections (frames per second)`, ...work.carry }]);
    console.table([{ what: "memory of the studio over 1,000 edits (MB)", ...work.memoryMB }]);
    console.table(Object.entries(conditions).map(([what, ms]) => ({ what: `${what} (ms of CPU)`, ...ms })));
    console.table(
      Object.entries({ plain: "nothing", timed: "times and pages", personal: "times, pages and the shopper" }).map(
        ([key, what]) => ({
          what: `request for a page of 20 sections that ask for ${what} (ms of CPU)`,
          ...asked[key],
          toPlain: round(asked[key].p50 / asked.plain.p50),
          target: key === "plain" ? "" : "under 1.1",
        }),
      ),
    );
    console.table([
      { what: `${ordered.race.orders} of 50 who want the last 10`, ...ordered.race, target: "10 orders, 40 refused" },
      { what: `killed ${ordered.killed.times} times meanwhile`, ...ordered.killed, target: "10 or fewer, no gap" },
      {
        what: "orders a second, for a minute",
        ...ordered.orderMs,
        perSecond: ordered.perSecond,
        wrong: ordered.wrong,
        target: 30,
      },
    ]);
    console.table(render.growth);
    console.table([
      { what: `list of ${render.journal.posts} posts (ms of CPU)`, ...render.journal.list, target: 20 },
      { what: "its feed (ms of CPU)", ...render.journal.feed, target: 50 },
      { what: `words found in ${render.finding.pages} pages (ms of CPU)`, ...render.finding, target: 300 },
    ]);
    console.table([
      { ...site, ...seen },
      { pages: "target", publishAllMs: 3000, publishOneMs: 500, goBackMs: 1000, openMs: 2000, framesPerSecond: 50 },
    ]);
    console.table([
      {
        what: `brand colour dragged, ${drag.panes} panes (frames per second)`,
        median: drag.framesPerSecond,
        slowest5percent: drag.slowest5percent,
        target: "40 or more",
      },
    ]);
    console.table([{ what: "colours of a 12-megapixel picture (ms)", ...palette }]);
    console.table([
      { what: "gallery of ten themes opened (ms)", ...gallery },
      { what: "both panes in another theme (ms)", ...repaint },
    ]);
    console.table([{ what: "a picture cut out (ms)", ...cut }]);
    console.table([{ what: "a picture chosen", ...choosing }]);
    console.table([{ what: "the light of a tone drawn to and fro, both panes", ...tones }]);
    console.table([{ what: "CSS of a page (KB, gzip)", ...css, target: "under 20" }]);
    console.table([
      { what: "home page, requests per second", ...served },
      { what: "target", shopToBareNode: "0.7 or more", throughNginxToFile: "0.9 or more" },
    ]);
    console.table(weight);
    console.table(lab);
    console.table(
      goods.growth.map(({ products, requestMs, searchMs, firstMs, searchIndexMs }) => ({
        products,
        "collection page p50 (ms of CPU)": requestMs.p50,
        p95: requestMs.p95,
        "first after a change": firstMs,
        "search p50": searchMs.p50,
        "search p95": searchMs.p95,
        "search index": searchIndexMs,
      })),
    );
    console.table([goods.import]);
    say("Written to bench-results/latest.json (page weight in KB).");
  } finally {
    await browser.close();
    await server.stop();
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
