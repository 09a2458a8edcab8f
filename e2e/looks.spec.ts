import { readFileSync } from "node:fs";
import { kindOf } from "~/kinds";
import { EVEN_CSS, gridClass } from "~/kinds/parts";
import { expect, test, type Page } from "@playwright/test";
import { contentWith, everySection } from "~/render/fixtures/content";
import { renderPage } from "~/render";
import { publishedShop } from "./owners";
import { area, DEMO, openShop, shopAt } from "./studio";

// Faults of looks, as boxes that can be measured: in every theme, from the narrowest phone on.

const THEMES = ["pomelo", "quince", "yuzu"];
const NAMES = [
  "Oda",
  "Larkspindle Kites",
  "Hollingbourne & Daughters",
  "Grandmother Hollingbourne’s Preserves & Pickles",
];
const goods = readFileSync("demo/goods.csv", "utf8");

const box = (page: Page, selector: string) =>
  page
    .locator(selector)
    .first()
    .evaluate((element) => {
      const { left, right, top, bottom, width, height } = element.getBoundingClientRect();
      return { left, right, top, bottom, width, height };
    });

for (const theme of THEMES)
  test(`in ${theme}, the header is one line from 320 px on, whatever the shop is called`, async ({ page }) => {
    for (const name of NAMES) {
      const host = await publishedShop({ theme, name, goods: "Title,Price\nJam,4.00\n" });
      await page.goto(shopAt(host));
      for (const width of [320, 360, 375, 390, 412, 430]) {
        await page.setViewportSize({ width, height: 700 });
        const said = `${name} at ${width}`;
        const parts = await page
          .locator(".s-header .in > *:visible")
          .evaluateAll((all) =>
            all.map((e) => e.getBoundingClientRect()).map(({ left, right, top, bottom }) => [left, right, top, bottom]),
          );
        const inOrder = parts.sort((a, b) => a[0]! - b[0]!);
        inOrder.slice(1).forEach((part, i) => expect(part[0]!, said).toBeGreaterThanOrEqual(inOrder[i]![1]! - 0.5));
        expect(inOrder[0]![0]!, said).toBeGreaterThanOrEqual(0);
        expect(inOrder.at(-1)![1]!, said).toBeLessThanOrEqual(width);
        // One line: all of them share their middle.
        const middles = inOrder.map(([, , top, bottom]) => (top! + bottom!) / 2);
        expect(Math.max(...middles) - Math.min(...middles), said).toBeLessThan(2);
        const words = page.locator(".s-header .wordmark > span");
        const [height, size, isCut] = await words.evaluate(
          (e) =>
            [
              e.getBoundingClientRect().height,
              parseFloat(getComputedStyle(e).fontSize),
              e.scrollWidth > e.clientWidth + 1,
            ] as const,
        );
        expect(height, said).toBeLessThan(size * 1.8);
        if (name.length <= 18) expect(isCut, said).toBe(false);
      }
    }
  });

for (const theme of THEMES)
  for (const width of [390, 1280])
    test(`in ${theme}, nothing moves at ${width} px when fonts come late`, async ({ page }) => {
      const host = await publishedShop({ theme, name: "Ida", goods });
      await page.setViewportSize({ width, height: 800 });
      let release = () => {};
      let held = Promise.resolve();
      await page.route("**/fonts/**", async (route) => {
        await held;
        await route.continue();
      });
      await page.addInitScript(() => {
        const w = window as unknown as { shift: number };
        w.shift = 0;
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries() as (PerformanceEntry & { value: number })[]) w.shift += entry.value;
        }).observe({ type: "layout-shift", buffered: true });
      });
      for (const path of ["/", "/collections/single-line-kites", "/products/larkspindle-delta-190"]) {
        held = new Promise<void>((done) => (release = done));
        await page.goto(shopAt(host) + path, { waitUntil: "domcontentloaded" });
        await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
        release();
        await page.evaluate(() =>
          document.fonts.ready.then(
            () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
          ),
        );
        expect(
          await page.evaluate(() => [...document.fonts].filter((f) => f.status === "loaded").length),
          path,
        ).toBeGreaterThan(0);
        expect(await page.evaluate(() => (window as unknown as { shift: number }).shift), path).toBeLessThan(0.02);
      }
    });

test("a card of what is sold out shows one picture, also under the pointer", async ({ page }) => {
  await page.goto(`${DEMO}/collections/all?sort=name`);
  const over = page.locator(".card.is-over").first();
  await over.scrollIntoViewIfNeeded();
  await over.hover();
  await expect(over.locator(".pic:visible")).toHaveCount(1);
});

test("goods that were looked at stand in line with the page, and leave no band while there are none", async ({
  page,
}) => {
  await page.goto(`${DEMO}/products/larkspindle-delta-190`);
  await expect(page.locator(".s-recently-seen")).toBeHidden();
  expect((await box(page, ".s-recently-seen")).height).toBe(0);
  await page.goto(`${DEMO}/products/harbour-box`);
  await expect(page.locator(".s-recently-seen .card")).toHaveCount(1);
  const [seen, other] = [await box(page, ".s-recently-seen .head"), await box(page, ".s-reviews .head")];
  expect(Math.abs(seen.left - other.left)).toBeLessThan(1);
});

for (const theme of THEMES)
  test(`in ${theme}, short pages end at the window's bottom and lead on`, async ({ page }) => {
    const host = await publishedShop({ theme, name: "Larkspindle Kites", goods });
    for (const height of [844, 1800]) {
      await page.setViewportSize({ width: 390, height });
      for (const path of ["/search", "/cart", "/nowhere"]) {
        await page.goto(shopAt(host) + path);
        expect((await box(page, "footer")).bottom, path).toBeGreaterThanOrEqual(height - 1);
        await expect(page.locator("main .card").first(), path).toBeVisible();
        const [main, window] = [await box(page, "main"), 390];
        expect(main.right, path).toBeLessThanOrEqual(window);
      }
    }
  });

test("on a phone, filter and order of a list share one row that stays, and the filter says how many it would show", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${DEMO}/collections/single-line-kites`);
  const [filter, sort] = [await box(page, ".filters-open"), await box(page, ".list-sort select")];
  expect(Math.abs((filter.top + filter.bottom) / 2 - (sort.top + sort.bottom) / 2)).toBeLessThan(4);
  expect(sort.right).toBeLessThanOrEqual(390);
  await page.locator(".card").nth(8).scrollIntoViewIfNeeded();
  expect((await box(page, ".filters-open")).top).toBeGreaterThanOrEqual(0);
  await page.getByRole("link", { name: "Filter" }).click();
  await page.getByRole("checkbox", { name: "Anyone" }).check();
  const show = page.getByRole("button", { name: /^Show \d+ products?$/ });
  await expect(show).toBeVisible();
  // Nothing of the page lies over the sheet. It is measured anew at every look, for the sheet rises.
  await expect
    .poll(() =>
      show.evaluate((button) => {
        const { left, right, top, bottom } = button.getBoundingClientRect();
        return button.contains(document.elementFromPoint((left + right) / 2, (top + bottom) / 2));
      }),
    )
    .toBe(true);
  await page.getByRole("link", { name: "Close" }).click();
  await expect(show).toBeHidden();
});

test("the cart changes where it stands, by stepper and by number, at 320 px as well", async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 640 });
  for (const product of ["larkspindle-delta-190", "harbour-cone"]) {
    await page.goto(`${DEMO}/products/${product}`);
    await page.getByRole("button", { name: "Add to cart" }).first().click();
    await expect(page.getByRole("link", { name: "See the cart" })).toBeVisible();
  }
  await page.goto(`${DEMO}/cart`);
  const line = page.locator(".cart-line").first();
  await expect(page.locator(".cart-line")).toHaveCount(2);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  const before = await line.locator(".price").textContent();
  await line.getByRole("button", { name: /^One more of/ }).click();
  await expect(line.getByRole("spinbutton")).toHaveValue("2");
  await expect(line.locator(".price")).not.toHaveText(before!);
  await expect(page.getByRole("link", { name: "Cart 3" })).toBeVisible();
  await line.getByRole("spinbutton").fill("1");
  await page.keyboard.press("Enter");
  await expect(line.locator(".price")).toHaveText(before!);
  await expect(line.getByRole("spinbutton")).toHaveValue("1");
  await expect(page.getByRole("status").filter({ hasText: /^Total/ })).toHaveCount(1);
  // Presses that come faster than the server answers all count.
  const more = line.getByRole("button", { name: /^One more of/ });
  for (let i = 0; i < 3; i++) await more.dispatchEvent("click");
  await expect(page.getByRole("link", { name: "Cart 5" })).toBeVisible();
  await expect(line.getByRole("spinbutton")).toHaveValue("4");
  // A number that was typed is sent with the press on the button beside it.
  await line.getByRole("spinbutton").fill("2");
  await more.click();
  await expect(line.getByRole("spinbutton")).toHaveValue("3");
  await expect(page.getByRole("link", { name: "Cart 4" })).toBeVisible();
  // What is summed up stays in sight.
  await page.evaluate(() => window.scrollTo(0, 0));
  await expect(page.locator(".cart-bar")).toBeInViewport();
  await expect(page.locator(".cart-bar .price")).toHaveText((await page.locator(".cart-total .price").textContent())!);
  await page.locator(".cart-sum").scrollIntoViewIfNeeded();
  await expect(page.locator(".cart-bar")).toBeHidden();
  await line.getByRole("button", { name: /^Remove/ }).click();
  await expect(page.locator(".cart-line")).toHaveCount(1);
  await page.getByRole("button", { name: /^Remove/ }).click();
  await expect(page.getByText("There is nothing in it yet")).toBeVisible();
});

for (const theme of THEMES)
  test(`in ${theme}, goods without pictures stand on a ground of the brand, on cards and on their page`, async ({
    page,
  }) => {
    const host = await publishedShop({ theme, name: "Ida", goods: "Title,Price\nJam,4.00\n" });
    const ground = (selector: string) =>
      page
        .locator(selector)
        .first()
        .evaluate((e) => getComputedStyle(e).backgroundImage);
    await page.goto(shopAt(host));
    expect(await ground(".card .pic-none")).toContain("radial-gradient");
    await page.goto(`${shopAt(host)}/products/jam`);
    expect(await ground(".shot .pic-none")).toContain("radial-gradient");
  });

test("the studio's bar is one row above its areas on a phone, and an import of many wrong lines is no wider than it", async ({
  page,
}) => {
  await page.setViewportSize({ width: 320, height: 700 });
  await openShop(page);
  await page.locator("[data-panes-ready]").waitFor();
  for (const width of [320, 360, 390]) {
    await page.setViewportSize({ width, height: 700 });
    for (const to of ["Goods", "Pictures", "Pages"] as const) {
      await area(page, to);
      await expect(page.getByRole("button", { name: /^Publish/ })).toBeVisible();
      const [publish, areas] = [
        (await page.getByRole("button", { name: /^Publish/ }).boundingBox())!,
        (await page.getByRole("navigation", { name: "Areas" }).boundingBox())!,
      ];
      expect(publish.y + publish.height, `${to} at ${width}`).toBeLessThan(52);
      expect(publish.x + publish.width, `${to} at ${width}`).toBeLessThanOrEqual(width);
      expect(areas.y, `${to} at ${width}`).toBeGreaterThanOrEqual(publish.y + publish.height);
    }
  }
  await area(page, "Goods");
  await page.getByRole("link", { name: "Import goods" }).click();
  const lines = Array.from({ length: 130 }, (_each, i) => `A jam with quite a long name ${i},lots ${i}`).join("\n");
  await page
    .getByLabel("File with goods")
    .setInputFiles({ name: "g.csv", mimeType: "text/csv", buffer: Buffer.from(`Title,Price\nGood,3\n${lines}\n`) });
  const alone = page.getByRole("button", { name: "Import 1 product" });
  await expect(alone).toBeVisible();
  const seen = (await alone.boundingBox())!;
  expect(seen.x + seen.width).toBeLessThanOrEqual(390);
  // One of them is put right where it stands.
  await page.getByRole("textbox", { name: "Line 3, price" }).fill("4,20");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Import 2 products" })).toBeVisible();
});

test("rows of a grid are filled evenly, and a last tile reaches over what would stay empty", async ({ page }) => {
  const cases = [2, 3, 4, 5, 6].flatMap((columns) =>
    Array.from({ length: 11 }, (_, i) => ({ columns, count: i + 2, of: gridClass(i + 2) })),
  );
  const tiles = kindOf({ kind: "collection-tiles" })!.definition.css;
  await page.setContent(`<style>.grid{display:grid;grid-template-columns:repeat(var(--columns),1fr)}${EVEN_CSS}${tiles}</style>
    <div class="s-collection-tiles">${cases
      .map(
        ({ columns, count, of }) =>
          `<ul class="${of}" style="--columns:${columns};--shape:4/3;width:900px;padding:0">${"<li>x</li>".repeat(count)}</ul>`,
      )
      .join("")}</div>`);
  const rows = await page.locator("ul").evaluateAll((all) =>
    all.map((ul) => {
      const boxes = [...ul.children].map((e) => e.getBoundingClientRect());
      const tops = [...new Set(boxes.map((b) => b.top))];
      const last = boxes.filter((b) => b.top === tops.at(-1));
      return {
        first: boxes.filter((b) => b.top === tops[0]).length,
        count: tops.length,
        last: last.length,
        reaches: Math.round(last.at(-1)!.right - ul.getBoundingClientRect().left),
      };
    }),
  );
  cases.forEach(({ columns, count }, i) => {
    const name = `${count} in ${columns} columns`;
    const row = rows[i]!;
    // No more rows than were asked for, and from four columns on never a lone thing in the last one.
    expect(row.count, name).toBe(Math.ceil(count / columns));
    expect(row.first, name).toBeGreaterThanOrEqual(Math.min(count, Math.ceil((columns * 2) / 3)));
    if (columns > 3 && count > columns) expect(row.last, name).toBeGreaterThan(1);
    expect(row.reaches, name).toBe(900);
  });
});

/** A page as the shop draws it, whose header lies over the picture that it begins with, stays, and gets lower. */
function pageWithLyingHeader(): string {
  const [onPicture, ...rest] = everySection.filter((s) => s.slot === "main" && /^(Hero: Words on|Goods)/.test(s.name));
  const content = contentWith([onPicture!.node, ...rest.map((s) => s.node)]);
  const { frame } = content.draft.documents;
  const top = frame!.root.slots.top!.map((row) =>
    row.kind === "header"
      ? {
          ...row,
          style: {
            all: { ...row.style.all, lies: "over", sticky: "top", shrinks: "yes", spaceTop: 4, spaceBottom: 4 },
          },
        }
      : row,
  );
  const documents = {
    ...content.draft.documents,
    frame: { ...frame!, root: { ...frame!.root, slots: { ...frame!.root.slots, top } } },
  };
  const scripts = { every: "/assets/shop.js", goods: "/assets/goods.js" };
  return renderPage({ page: "home" }, { ...content, draft: { ...content.draft, documents } }, DEMO, scripts).html;
}

for (const width of [390, 1280])
  test(`a header over a picture wears its colours there, its own once scrolled away, and makes nothing jump, at ${width} px`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height: 800 });
    await page.emulateMedia({ reducedMotion: "no-preference" });
    await page.setContent(pageWithLyingHeader());
    const look = () =>
      page.evaluate(() => {
        const header = document.querySelector(".s-header")!;
        const { top, bottom, height } = header.getBoundingClientRect();
        const link = header.querySelector(".wordmark")!;
        const name = link.getBoundingClientRect();
        const hero = document.querySelector(".s-hero")!.getBoundingClientRect();
        return {
          ...{ top, bottom, height },
          hero: hero.top,
          words: document.querySelector(".hero-words > .head")!.getBoundingClientRect().top,
          ink: getComputedStyle(link).color,
          ground: getComputedStyle(header).backgroundColor,
          isSeen: name.top >= 0 && name.bottom <= bottom,
          long: document.documentElement.scrollHeight,
        };
      });
    const before = await look();
    expect(Math.abs(before.hero - before.top)).toBeLessThan(1);
    expect(before.words).toBeGreaterThan(before.bottom);
    expect([before.ink, before.ground]).toEqual(["rgb(255, 255, 255)", "rgba(0, 0, 0, 0)"]);
    await page.evaluate(() => window.scrollTo({ top: 900, behavior: "instant" }));
    await expect.poll(async () => (await look()).ink).not.toBe(before.ink);
    const after = await look();
    expect(after.ground).not.toBe("rgba(0, 0, 0, 0)");
    expect(Math.abs(after.height - before.height)).toBeLessThan(0.1);
    expect(after.long).toBe(before.long);
    // What is left of it is the room of its signs and little more, and its name stands in that.
    expect(after.bottom).toBeGreaterThan(44);
    expect(after.bottom).toBeLessThan(60);
    expect(after.isSeen).toBe(true);
    // Where nothing is to move, it is left behind with its picture.
    await page.emulateMedia({ reducedMotion: "reduce" });
    expect((await look()).bottom).toBeLessThan(0);
  });
