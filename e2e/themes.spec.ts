import { expect, test, type Page } from "@playwright/test";
import sharp from "sharp";
import { fontFileName, familyById, readCutFileName } from "~/core/theme";
import { contentOf } from "~/server/storefront/pages";
import { NOT_FOUND, renderPage, seenAt, type ShopContent, type Target } from "~/render";
import { THEMES } from "~/themes";
import { demoShop } from "./owners";
import { DEMO, expectAccessible } from "./studio";

// The demo shop as it would be in each theme, page by page, measured in a browser: what no look at the CSS alone can tell.

const SIZES = { phone: 390, small: 320, wide: 1280 };
const HEIGHT = 844;
/** As much of a page may move, where a line is a hair longer in the letters that come: a tenth of what counts as good (web.dev, CLS). */
const MOST_MOVED = 0.01;

let content: ShopContent | undefined;
const demo = async () => (content ??= (await contentOf(await demoShop()))!);

const pagesOf = ({ goods }: ShopContent): readonly (readonly [string, Target])[] => {
  const seen = (path: string, query = "") => seenAt(path, new URLSearchParams(query), {}, goods);
  const lines = goods.products.slice(0, 3).map((product) => ({ product, variant: product.variants[0], count: 2 }));
  return [
    ["home", { page: "home" }],
    ["collection", seen("/collections/single-line-kites")],
    ["product", seen("/products/larkspindle-delta-190")],
    ["cart", { page: "cart", lines }],
    ["search", seen("/search", "q=kite")],
    ["checkout", { page: "checkout", lines }],
    ["door", seen("/account/sign-in")],
    ["missing", NOT_FOUND],
  ];
};

test.beforeEach(({ page }) =>
  // Cuts of fonts are made only for shops that use them.
  page.route(`${DEMO}/fonts/*`, (route) => {
    const found = readCutFileName(new URL(route.request().url()).pathname.split("/").at(-1)!);
    return found
      ? route.continue({ url: `${DEMO}/fonts/${fontFileName(familyById(found.cut.family), found.subset)}` })
      : route.continue();
  }),
);

/** Opens a page of the demo shop in a theme. Pictures are the shop's own, fonts come whole, scripts don’t. */
async function open(page: Page, theme: string, target: Target): Promise<void> {
  const drawn = await demo();
  const look = { ...drawn.draft.look, theme, brand: {} };
  const { html } = renderPage(target, { ...drawn, draft: { ...drawn.draft, look } }, DEMO, { every: "", goods: "" });
  await page.route(`${DEMO}/in/${theme}`, (route) =>
    route.fulfill({
      contentType: "text/html; charset=utf-8",
      body: html.replace(/<script[^>]*src=""[^>]*><\/script>/g, ""),
    }),
  );
  await page.goto(`${DEMO}/in/${theme}`);
  await page.evaluate(() => document.fonts.ready);
}

/** What sticks out of the window, is cut, or stands where other words stand; each in words. */
const faultsOn = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    const name = (e: Element) => `${e.className || e.tagName} “${(e.textContent ?? "").trim().slice(0, 24)}”`;
    const over = document.documentElement.scrollWidth - innerWidth;
    if (over > 0) {
      const wide = [...document.querySelectorAll("body *")].filter(
        (e) => e.getBoundingClientRect().right > innerWidth + 1 && !e.closest(".stage,.shelf,.thumbs"),
      );
      found.push(`the page is ${over} px too wide: ${wide.slice(-1).map(name).join()}`);
    }
    const words = document.querySelector(".s-header .wordmark>span");
    if (words && words.scrollWidth > words.clientWidth + 1) found.push(`the shop’s name is cut: ${name(words)}`);
    // Letters in a row, each with the box in which they are drawn; what lies over the page on purpose is left out.
    const boxes: { box: DOMRect; of: Element }[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const of = node.parentElement!;
      if (!node.textContent?.trim() || of.closest(".unseen,.skip,script,style,.s-poster,.buy-bar,[hidden]")) continue;
      // Words for those who hear a page are a pixel large.
      if (of.getBoundingClientRect().width < 3) continue;
      if (!of.checkVisibility({ opacityProperty: true, visibilityProperty: true })) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      // A tight line is lower than the box of its letters, in which there is room for accents and tails.
      const line = Number.parseFloat(getComputedStyle(of).lineHeight);
      for (const box of range.getClientRects()) {
        const spare = Math.max(0, (box.height - (line || box.height)) / 2);
        if (box.width > 2 && box.height > 2)
          boxes.push({ box: new DOMRect(box.x, box.y + spare, box.width, box.height - 2 * spare), of });
      }
    }
    // A line's box is higher than its letters: three tenths of it may be shared.
    for (const [i, a] of boxes.entries())
      for (const b of boxes.slice(i + 1)) {
        if (a.of === b.of || a.of.contains(b.of) || b.of.contains(a.of)) continue;
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        if (across > 2 && down > Math.min(a.box.height, b.box.height) * 0.3)
          found.push(`${name(a.of)} lies over ${name(b.of)}`);
      }
    return [...new Set(found)];
  });

for (const { id, name } of THEMES) {
  test(`in ${name} nothing sticks out, is cut or lies over anything, on any page at any width`, async ({ page }) => {
    const faults: string[] = [];
    for (const [sort, target] of pagesOf(await demo())) {
      await page.setViewportSize({ width: SIZES.phone, height: HEIGHT });
      await open(page, id, target);
      for (const [size, width] of Object.entries(SIZES)) {
        await page.setViewportSize({ width, height: HEIGHT });
        for (const fault of await faultsOn(page)) faults.push(`${sort}, ${size}: ${fault}`);
        if (sort === "product" && size === "phone")
          for (const part of [".w-product-title", ".w-product-price .price"]) {
            const box = (await page.locator(part).first().boundingBox())!;
            if (box.y + box.height > HEIGHT) faults.push(`product, phone: ${part} is below the first screen`);
          }
      }
      if (sort === "home" || sort === "product") await expectAccessible(page);
    }
    expect(faults).toEqual([]);
  });
}

/** How much of what was seen moved until now (Layout Instability: the cumulative score), as noted since the page began. */
const movedOn = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((done) => {
        const moves: number[] = [];
        new PerformanceObserver((list) => {
          for (const each of list.getEntries() as (PerformanceEntry & { value: number })[]) moves.push(each.value);
        }).observe({ type: "layout-shift", buffered: true });
        // Entries come before the next frame but one.
        requestAnimationFrame(() => requestAnimationFrame(() => done(moves.reduce((sum, each) => sum + each, 0))));
      }),
  );

test("letters that come late move nothing, in any theme", async ({ page }) => {
  test.setTimeout(240_000);
  await page.setViewportSize({ width: SIZES.phone, height: HEIGHT });
  let letGo = (): void => {};
  let gate = Promise.resolve();
  await page.route(`${DEMO}/fonts/*`, async (route) => {
    await gate;
    await route.fallback();
  });
  const moved: string[] = [];
  // No page has more letters above the fold.
  const [, target] = pagesOf(await demo()).find(([sort]) => sort === "product")!;
  for (const { id, name } of THEMES) {
    gate = new Promise((done) => (letGo = done));
    const opened = open(page, id, target);
    await page.waitForURL(`**/in/${id}`, { waitUntil: "commit" });
    await page.locator(".s-footer").waitFor();
    // It has been drawn in the letters that stand in.
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
    expect(await page.evaluate(() => [...document.fonts].some((font) => font.status === "loading"))).toBe(true);
    letGo();
    await opened;
    expect(await page.evaluate(() => [...document.fonts].some((font) => font.status === "loaded"))).toBe(true);
    const much = await movedOn(page);
    if (much > MOST_MOVED) moved.push(`${name}: ${much.toFixed(4)}`);
    await page.goto("about:blank");
  }
  expect(moved).toEqual([]);
});

/** How far two thumbnails are from one another on average, of 255 steps of grey. */
const apart = (a: Buffer, b: Buffer): number =>
  a.reduce((sum, value, at) => sum + Math.abs(value - b[at]!), 0) / a.length;
const LEAST_APART = 12;

test("thumbnails without colour tell any two themes apart", async ({ page }) => {
  await page.setViewportSize({ width: SIZES.wide, height: 800 });
  for (const sort of ["home", "collection", "product"]) {
    const target = pagesOf(await demo()).find(([name]) => name === sort)![1];
    const draw = async (theme: string): Promise<Buffer> => {
      await open(page, theme, target);
      await page.waitForLoadState("networkidle");
      // Normalised, so that a darker ground alone makes no difference.
      return sharp(await page.screenshot())
        .greyscale()
        .resize(64, 40)
        .normalise()
        .raw()
        .toBuffer();
    };
    const drawn: { theme: string; pixels: Buffer }[] = [];
    for (const { id } of THEMES) drawn.push({ theme: id, pixels: await draw(id) });
    // Another drawing of the same is told from nothing.
    expect(apart(drawn[0]!.pixels, await draw(drawn[0]!.theme))).toBeLessThan(1);
    const near = drawn.flatMap((a, i) =>
      drawn
        .slice(i + 1)
        .filter((b) => apart(a.pixels, b.pixels) < LEAST_APART)
        .map((b) => `${sort}: ${a.theme} and ${b.theme} are ${apart(a.pixels, b.pixels).toFixed(1)} apart`),
    );
    expect(near).toEqual([]);
  }
});
