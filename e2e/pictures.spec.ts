import { expect, test, type Page } from "@playwright/test";
import sharp from "sharp";
import { newId } from "~/core/document";
import { PictureRow, ShopRow } from "~/server/database/index.server";
import {
  area,
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openDemo,
  openGroup,
  openShop,
  pane,
  shopAt,
} from "./studio";

/** A picture of a plain colour, as a file to upload. */
const file = async (name: string, background: string, width = 900, height = 700) => ({
  name,
  mimeType: "image/png",
  buffer: await sharp({ create: { width, height, channels: 3, background } })
    .png()
    .toBuffer(),
});
const tiles = (page: Page) => page.getByRole("group", { name: /^Pictures, / }).getByRole("button");
const chooser = (page: Page) => page.getByRole("dialog", { name: "Choose a picture" });

test("the library of the demo shop and its chooser have tiles of a size to see, that scroll", async ({ page }) => {
  await openDemo(page, { area: "pictures" });
  await expect(tiles(page).first()).toBeVisible();
  const sizes = () =>
    tiles(page).evaluateAll((all) =>
      all.map((e) => e.getBoundingClientRect()).map(({ width, height }) => [width, height]),
    );
  for (const [width, height] of await sizes()) {
    expect(width).toBeGreaterThan(120);
    expect(Math.abs(width! - height!)).toBeLessThan(2);
  }
  await area(page, "Pages");
  await benchReady(page);
  await inPlan(page, "Hero").click();
  await details(page).getByRole("button", { name: "Choose another" }).click();
  await expect(tiles(page).first()).toBeVisible();
  for (const [width, height] of await sizes()) expect(Math.min(width!, height!)).toBeGreaterThan(120);
  // All of them can be reached, by wheel and by key.
  const before = await tiles(page).first().getAttribute("aria-label");
  await tiles(page).first().focus();
  await page.keyboard.press("End");
  await expect(tiles(page).last()).toBeFocused();
  await expect(tiles(page).last()).toBeInViewport();
  await page.keyboard.press("Home");
  await expect(tiles(page).first()).toHaveAttribute("aria-label", before!);
  await expect(tiles(page).first()).toBeFocused();
});

test("five thousand pictures are a few tiles at a time", async ({ page }) => {
  const { host } = await openShop(page, { area: "goods" });
  const shop = (await ShopRow.findOne({ where: { host } }))!;
  await PictureRow.bulkCreate(
    Array.from({ length: 5_000 }, (_each, i) => ({
      id: newId(),
      shopId: shop.id,
      hash: i.toString(16).padStart(64, "0"),
      name: `picture-${i}.webp`,
      alt: `Picture ${i}`,
      width: 1200,
      height: 900,
      bytes: 1,
      focusX: 50,
      focusY: 50,
      vector: false,
      createdAt: new Date(1_700_000_000_000 + i * 1000),
    })),
  );
  await page.reload();
  await area(page, "Pictures");
  await expect(page.getByText("5000 pictures")).toBeVisible();
  // The newest first.
  await expect(tiles(page).first()).toHaveAttribute("aria-label", "Picture 4999");
  expect(await tiles(page).count()).toBeLessThan(120);
  await tiles(page).first().focus();
  await page.keyboard.press("End");
  await expect(page.getByRole("button", { name: "Picture 0", exact: true })).toBeFocused();
  await page.getByLabel("Find by words").fill("Picture 4321");
  await expect(tiles(page)).toHaveCount(1);
});

test("several pictures come at once; one says where it is used, is removed, and brought back", async ({ page }) => {
  const { host } = await openShop(page, { area: "pictures" });
  await page
    .getByLabel("Upload pictures", { exact: true })
    .setInputFiles([await file("red-barn.png", "#a03020"), await file("blue-door.png", "#204080")]);
  await expect(page.getByText("2 pictures")).toBeVisible();
  await area(page, "Pages");
  await benchReady(page);
  await inPlan(page, "Hero").click();
  await details(page).getByRole("button", { name: "Choose a picture" }).first().click();
  await chooser(page).getByRole("button", { name: "red barn" }).click();
  await expect(pane(page, "Wide").locator(".s-hero img")).toHaveAttribute("alt", "red barn");
  await kept(page);
  await area(page, "Pictures");
  await page.getByRole("button", { name: "red barn" }).click();
  const about = page.getByRole("complementary", { name: "About this picture" });
  await expect(about.getByRole("list", { name: "Where it is used" })).toContainText("Home › Hero");
  await about.getByRole("button", { name: "Remove" }).click();
  await page.getByRole("dialog", { name: "Remove this picture?" }).getByRole("button", { name: "Remove" }).click();
  await expect(page.getByText("1 picture", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByText("2 pictures")).toBeVisible();
  await area(page, "Pages");
  await benchReady(page);
  await expect(pane(page, "Wide").locator(".s-hero img")).toHaveAttribute("alt", "red barn");

  await test.step("publishing names the words that are still the studio's", async () => {
    await page.getByRole("button", { name: /^Publish/ }).click();
    const list = page.getByRole("list", { name: "Words of the studio" });
    const own = list.getByRole("listitem").filter({ hasText: "Home › Hero" });
    await expect(own).toContainText("“Take your time.");
    await expectAccessible(page);
    // Each is true, is changed, or is taken out; what was answered is not asked again.
    const count = await list.getByRole("listitem").count();
    await own.getByRole("button", { name: "Yes, it is true" }).click();
    await expect(own).toHaveCount(0);
    const next = list.getByRole("listitem").first();
    const words = /“(.*)”/.exec(await next.innerText())![1]!;
    await next.getByRole("button", { name: "Take it out" }).click();
    await expect(list.getByRole("listitem").filter({ hasText: words })).toHaveCount(0);
    await expect(list.getByRole("listitem")).toHaveCount(count - 2);
    await list.getByRole("button", { name: "Change it" }).first().click();
    await expect(page.getByRole("dialog")).toBeHidden();
    await expect(details(page).getByRole("heading", { level: 2 }).first()).toBeVisible();
    await page.getByRole("button", { name: /^Publish/ }).click();
    await page.getByRole("button", { name: "Publish now" }).click();
    await expect(page.getByRole("heading", { name: "It is in the shop" })).toBeVisible();
    await page.goto(shopAt(host));
    await expect(page.locator("body")).toContainText("Take your time.");
    await expect(page.locator("body")).not.toContainText(words);
    await expect(page.locator("body")).not.toContainText(/One or two sentences|@mail|30 days/);
  });
});

test("a white logo that can't be seen is found in the header, and mended with one press", async ({ page }) => {
  await openShop(page, { area: "brand" });
  await benchReady(page);
  const sheet = await openGroup(page, "Name and logo");
  await sheet.getByRole("button", { name: "Picture", exact: true }).click();
  const white = await sharp({
    create: { width: 600, height: 160, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  })
    .composite([
      { input: { create: { width: 420, height: 90, channels: 3, background: "#ffffff" } }, left: 90, top: 35 },
    ])
    .png()
    .toBuffer();
  await sheet
    .getByLabel("Upload a logo", { exact: true })
    .setInputFiles({ name: "white.png", mimeType: "image/png", buffer: white });
  const header = sheet.getByRole("group", { name: "Logo in the header" });
  await expect(sheet.getByText("Your logo can hardly be seen in the header.")).toBeVisible();
  await expect(sheet.getByText("Your logo can hardly be seen in the footer.")).toBeHidden();
  await header.getByRole("button", { name: "All black" }).click();
  const logo = pane(page, "Wide").locator(".s-header .wordmark-picture");
  await expect(logo).toHaveCSS("filter", "brightness(0)");
  await header.getByRole("button", { name: "The name instead" }).click();
  await expect(logo).toHaveCount(0);
  await expect(pane(page, "Wide").locator(".s-header .wordmark span")).toBeVisible();
  await header.getByRole("button", { name: "As it is" }).click();
  await expect(logo).toHaveCSS("filter", "none");
  // Its height is dragged, in one step of undo.
  const slider = sheet.getByRole("slider", { name: /^Height/ });
  const knob = (await slider.locator("xpath=..").boundingBox())!;
  await page.mouse.move(knob.x + knob.width / 2, knob.y + knob.height / 2);
  await page.mouse.down();
  await page.mouse.move(knob.x + 40, knob.y + knob.height / 2, { steps: 4 });
  await page.mouse.move(knob.x + 80, knob.y + knob.height / 2, { steps: 4 });
  await page.mouse.up();
  const height = () => logo.evaluate((e) => Math.round(e.getBoundingClientRect().height));
  const wanted = Number(await slider.getAttribute("aria-valuenow"));
  expect(wanted).toBeGreaterThan(44);
  await expect.poll(height).toBe(wanted);
  await page.getByRole("button", { name: "Undo: Logo changed" }).click();
  await expect.poll(height).toBe(40);

  await test.step("a picture of its own for the browser's tab is a change to publish", async () => {
    await sheet.getByRole("button", { name: "Choose a picture for the browser’s tab" }).click();
    await chooser(page).getByRole("button", { name: "white" }).click();
    await expect(sheet.getByText("A picture of its own.")).toBeVisible();
    await kept(page);
    await page.getByRole("button", { name: /^Publish/ }).click();
    await page.getByRole("button", { name: "Publish now" }).click();
    await page.getByRole("button", { name: "Close" }).click();
    await sheet.getByRole("button", { name: "Make it from the logo" }).click();
    await kept(page);
    await page.getByRole("button", { name: /^Publish, 1 change/ }).click();
    await expect(page.getByRole("list", { name: "What will change" })).toHaveText(
      /^Brand\s*icon of the browser’s tab changed$/,
    );
  });
});

test("what must stay in view of a picture is set where the picture stands, for every place that crops it", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  await details(page).getByRole("button", { name: "Choose a picture" }).click();
  await chooser(page)
    .getByLabel("Upload pictures")
    .setInputFiles([await file("coast.png", "#3a6f8f", 1600, 700)]);
  const point = (name: "Phone" | "Wide") => pane(page, name).getByRole("button", { name: /^What stays in view/ });
  await expect(point("Phone")).toHaveAccessibleName(/: 50 % from the left, 50 % from the top$/);
  const where = (name: "Phone" | "Wide") =>
    pane(page, name)
      .locator(".s-hero .pic img")
      .evaluate((e) => getComputedStyle(e).objectPosition);
  const from = (await point("Phone").boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y + 10, { steps: 4 });
  await page.mouse.move(from.x + 70, from.y + 12, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText("Every place that crops this picture keeps that in view now.")).toBeVisible();
  const [left] = (await where("Phone")).split(" ");
  // The phone shows little of so wide a picture: what lay two thirds of the way to its edge is not far from the middle.
  expect(Number.parseFloat(left!)).toBeGreaterThan(52);
  expect(Number.parseFloat(left!)).toBeLessThan(75);
  expect(await where("Wide")).toBe(await where("Phone"));
  await point("Wide").focus();
  await page.keyboard.press("ArrowLeft");
  const last = Number.parseFloat(left!) - 4;
  const stored = page.waitForResponse((r) => r.request().postData()?.includes(`"focusX":${last}`) === true);
  await page.keyboard.press("ArrowLeft");
  await stored;
  const moved = `${last}%`;
  await expect.poll(async () => (await where("Phone")).split(" ")[0]).toBe(moved);
  await page.reload();
  await benchReady(page);
  await expect.poll(async () => (await where("Wide")).split(" ")[0]).toBe(moved);
});
