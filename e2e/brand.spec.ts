import { expect, test, type Download, type Locator, type Page } from "@playwright/test";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { readFile } from "node:fs/promises";
import sharp from "sharp";
import type { Draft } from "~/core/document";
import { makeNode } from "~/kinds";
import { firstLayouts } from "~/kinds/layouts";
import { violationsOf } from "./axe";
import {
  area,
  brandSheet,
  DEMO,
  expectAccessible,
  kept,
  openBrand,
  openGroup,
  openShop,
  pane,
  roleIn,
  shopAt,
  signInToDemo,
} from "./studio";

const strip = (page: Page) => page.getByRole("region", { name: "Colours in use" });
const view = (page: Page, name: string) =>
  page.getByRole("group", { name: "Panes" }).getByRole("button", { name, exact: true });
const picked = (page: Page) => page.getByRole("region", { name: /^Picked:/ });

/** A shop of one's own with its first pages, in the Brand area. */
async function ownBrand(page: Page) {
  const shop = await openShop(page, { area: "brand" });
  await openBrand(page);
  return shop;
}

test("all pages at once follow a colour, and one step of undo takes a whole drag back", async ({ page }) => {
  await signInToDemo(page);
  await openBrand(page);
  await view(page, "All pages").click();
  const kinds = ["Home", "Collection", "Product", "Text page", "Search", "Not found"];
  for (const kind of kinds) await expect(page.getByRole("article", { name: kind })).toBeVisible();
  const frames = kinds.flatMap((kind) =>
    [`${kind}, phone`, `${kind}, wide`].map((title) => page.frameLocator(`iframe[title="${title}"]`)),
  );
  for (const frame of frames) await frame.locator("#main").waitFor();
  const before = await roleIn(frames[0]!, "link");

  await brandSheet(page).getByRole("button", { name: "Pick: Brand colour" }).click();
  const field = page.getByRole("dialog", { name: "Brand colour" }).getByLabel("Color", { exact: true });
  const box = (await field.boundingBox())!;
  await page.mouse.move(box.x + 20, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.7, box.y + box.height * 0.5, { steps: 25 });
  await page.mouse.up();
  await page.keyboard.press("Escape");
  // Twelve pages follow one after the other, and in the end are all alike.
  const links = async () => [...new Set(await Promise.all(frames.map((frame) => roleIn(frame, "link"))))];
  await expect.poll(async () => (await links()).filter((link) => link !== before).length).toBe(1);
  await expect.poll(async () => (await links()).length).toBe(1);

  await page.getByRole("button", { name: "Undo: Brand colour changed" }).click();
  for (const frame of frames) await expect.poll(() => roleIn(frame, "link")).toBe(before);
  await expect(page.getByRole("button", { name: "Nothing to undo" })).toBeVisible();
  await kept(page);
});

test("clicking a part opens what styles it, with where that comes from and the way back", async ({ page }) => {
  await ownBrand(page);
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Not found", exact: true }).click();
  await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toHaveText("There is nothing here");
  // A menu that is still closing would take the click for itself.
  await expect(page.locator(".MuiMenu-root")).toHaveCount(0);
  await pane(page, "Wide").locator("main .button").click();
  await expect(picked(page)).toHaveAttribute("aria-label", "Picked: Button › Primary");
  await expect(picked(page).getByText(/^from theme Pomelo, on Page/)).toBeVisible();
  await picked(page).getByRole("button", { name: "Ink", exact: true }).first().click();
  await expect(picked(page).getByText(/^from Brand, on Page/)).toBeVisible();
  const fill = () =>
    pane(page, "Phone")
      .locator("main .button")
      .first()
      .evaluate((b) => getComputedStyle(b).backgroundColor);
  await expect.poll(fill).toBe("rgb(20, 36, 44)");
  await picked(page).getByRole("button", { name: "Put back: Primary: colour" }).click();
  await expect.poll(fill).toBe("rgb(201, 58, 23)");
  await picked(page).getByRole("button", { name: "Where else is it?" }).click();
  await expect(page.getByRole("status").filter({ hasText: /^Button › Primary: \d+ places/ })).toBeVisible();
  await expect(page.getByRole("article", { name: "Search" }).getByText(/\d+ here/)).toBeVisible();
  await page.getByRole("article", { name: "Not found" }).getByRole("button", { name: "Open Not found" }).click();
  await pane(page, "Wide").locator(".s-footer .foot-text").first().click();
  await expect(picked(page).getByText(/on Footer/)).toBeVisible();
});

test("a fixed colour that can’t be read is flagged in the panes, and the nearest that can is one click away", async ({
  page,
}) => {
  await ownBrand(page);
  await strip(page)
    .getByRole("button", { name: /^Ink, / })
    .click();
  const card = page.getByRole("dialog", { name: "Ink in Page" });
  await card.getByRole("textbox").first().fill("#e6dfcf");
  await expect(
    card.getByText(/In the page: Ink on Ground has a contrast of 1\.\d and needs 4\.5, because Ink is fixed\./),
  ).toBeVisible();
  await expect(pane(page, "Wide").locator("[data-zest-failing]").first()).toBeAttached();
  await expect(page.getByRole("button", { name: /hard to read$/ }).first()).toBeVisible();
  await card
    .getByRole("button", { name: /^Use #/ })
    .first()
    .click();
  await expect(card.getByText(/because Ink is fixed/)).toHaveCount(0);
  await expect(pane(page, "Wide").locator("[data-zest-failing]")).toHaveCount(0);
  await card.getByRole("button", { name: "let it be worked out again" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "ink")).toBe("#14242c");
});

test("where a role is used is marked on all pages, and leads there", async ({ page }) => {
  await signInToDemo(page);
  await openBrand(page);
  await strip(page)
    .getByRole("button", { name: /^Sale, / })
    .click();
  await page.getByRole("dialog", { name: "Sale in Page" }).getByRole("button", { name: "Where is it used?" }).click();
  await expect(page.getByRole("status").filter({ hasText: /^Sale of Page: \d+ places/ })).toBeVisible();
  const collection = page.getByRole("article", { name: "Collection" });
  await expect(collection.getByText(/\d+ here/)).toBeVisible();
  await expect(page.getByRole("article", { name: "Not found" }).getByText("not here")).toBeVisible();
  await collection.getByRole("button", { name: "Open Collection" }).click();
  await expect(pane(page, "Wide").locator("[data-zest-used]").first()).toBeInViewport();
  await page.keyboard.press("Escape");
  await expect(pane(page, "Wide").locator("[data-zest-used]")).toHaveCount(0);
});

test("one can walk through the shop by its links while styling it", async ({ page }) => {
  await signInToDemo(page);
  await openBrand(page);
  await page.keyboard.press("w");
  await pane(page, "Wide").getByRole("link", { name: "Windsocks" }).first().click();
  await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toHaveText("Windsocks");
  await expect(pane(page, "Phone").getByRole("heading", { level: 1 })).toHaveText("Windsocks");
  await pane(page, "Phone")
    .getByRole("link", { name: /Pollack Windsock/ })
    .click();
  await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toHaveText("Pollack Windsock");
  await pane(page, "Wide").getByRole("link", { name: "Search" }).click();
  await pane(page, "Wide").getByRole("searchbox").fill("reel");
  await pane(page, "Wide").getByRole("button", { name: "Search" }).click();
  await expect(pane(page, "Wide").getByText(/products? for “reel”/)).toBeVisible();
  await page.getByRole("button", { name: "Back to the page before" }).click();
  await page.getByRole("button", { name: "Back to the page before" }).click();
  await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toHaveText("Pollack Windsock");
});

test("a gradient keeps its words legible and reaches the shop as it was seen", async ({ page }) => {
  const { host } = await ownBrand(page);
  const group = await openGroup(page, "Buttons");
  await group
    .getByRole("combobox", { name: "Made" })
    .or(group.locator("[data-setting='button.primary.style'] [role=combobox]"))
    .first()
    .click();
  await page.getByRole("option", { name: "Gradient" }).click();
  await expect(group.getByText(/reach (at least )?\d+\.\d along its whole length; 4\.5 is needed/)).toBeVisible();
  await group.getByRole("button", { name: "Add a stop" }).click();
  await group.getByRole("combobox", { name: "Colour of this stop" }).click();
  await page.getByRole("option", { name: "A colour of its own" }).click();
  await group.getByLabel("Its colour", { exact: true }).fill("#fff3a0");
  await expect(group.getByText(/reach (at least )?\d+\.\d along its whole length/)).toBeVisible();
  const image = (frame: ReturnType<typeof pane> | Page) =>
    frame
      .locator("main .button")
      .first()
      .evaluate((b) => getComputedStyle(b).backgroundImage);
  await expect.poll(() => image(pane(page, "Wide"))).toContain("linear-gradient");
  const seen = await image(pane(page, "Wide"));
  await area(page, "Pages");
  await page.getByRole("button", { name: "Publish for the first time" }).click();
  await page.getByRole("button", { name: "Publish now" }).click();
  await expect(page.getByRole("heading", { name: "It is in the shop" })).toBeVisible();
  await page.goto(shopAt(host));
  expect(await image(page)).toBe(seen);
});

test("colours are taken from a picture", async ({ page }) => {
  await ownBrand(page);
  const width = 400;
  const patch = (colour: string, w: number) =>
    sharp({ create: { width: w, height: 200, channels: 3, background: colour } })
      .png()
      .toBuffer();
  const picture = await sharp({ create: { width, height: 200, channels: 3, background: "#ffffff" } })
    .composite([
      { input: await patch("#0b5d3b", 120), left: 0, top: 0 },
      { input: await patch("#d1495b", 60), left: 120, top: 0 },
    ])
    .png()
    .toBuffer();
  const sheet = brandSheet(page);
  await sheet
    .getByLabel("Picture to take colours from")
    .setInputFiles({ name: "logo.png", mimeType: "image/png", buffer: picture });
  const found = sheet.getByRole("group", { name: "Colours found" }).getByRole("button");
  await expect(found).toHaveCount(3);
  expect(await found.evaluateAll((all) => all.map((b) => b.getAttribute("aria-label")))).toEqual([
    "Use #ffffff, 55 %",
    "Use #0b5d3b, 30 %",
    "Use #d1495b, 15 %",
  ]);
  await found.nth(1).click();
  await page.getByRole("menuitem", { name: "as brand colour" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#0b5d3b");
  // The menu of this one is gone before that of the next is pressed.
  await expect(page.getByRole("menu")).toHaveCount(0);
  await found.nth(2).click();
  await page.getByRole("menuitem", { name: "as accent colour" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "accent")).toBe("#d1495b");
  await sheet
    .getByLabel("Picture to take colours from")
    .setInputFiles({ name: "x.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(sheet.getByText(/No colours could be read from this file/)).toBeVisible();
});

/** Saves the look in one of its ways. */
async function saved(page: Page, files: Locator, how: string): Promise<Download> {
  await files.getByRole("button", { name: "Save the look" }).click();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("menuitem", { name: how }).click(),
  ]);
  // A menu that is still closing would take the next key for itself.
  await expect(page.locator(".MuiMenu-root")).toHaveCount(0);
  return download;
}

test("a whole look goes into a file and is worn by another shop, after a look at what would change", async ({
  page,
}) => {
  const header = (draft: Draft): Draft => {
    const frame = draft.documents.frame!;
    const top = frame.root.slots.top!.map((p) => ({ ...p, props: { ...p.props, arrangement: "middle" } }));
    const root = { ...frame.root, slots: { ...frame.root.slots, top } };
    return { ...draft, documents: { ...draft.documents, frame: { ...frame, root } } };
  };
  await openShop(page, { area: "brand", theme: "verbena", also: header });
  await openBrand(page);
  await brandSheet(page).getByLabel("Brand colour", { exact: true }).fill("#0b6b4a");
  await kept(page);
  const download = await saved(page, await openGroup(page, "Files"), "For another shop");
  expect(download.suggestedFilename()).toMatch(/^shop-.*\.look\.zip$/);
  const packed = unzipSync(await readFile(await download.path()));
  expect(Object.keys(packed).toSorted()).toEqual(["README.txt", "look.json", "look.tokens.json"]);

  // Somebody adds a section with a picture to it, by hand.
  const look = JSON.parse(strFromU8(packed["look.json"]!)) as { layouts: object; pictures: object[] };
  const section = makeNode("picture-words", { heading: "Packed by hand", picture: "p1" });
  look.layouts = { product: [...firstLayouts().product.root.slots.main!, section] };
  look.pictures = [{ id: "p1", file: "p1.webp", name: "Parcel", alt: "A parcel", focus: [50, 50] }];
  const picture = await readFile("samples/made/jam-three.webp");
  const archive = zipSync({ ...packed, "look.json": strToU8(JSON.stringify(look)), "pictures/p1.webp": picture });

  await openShop(page, { area: "brand" });
  await openBrand(page);
  const files = await openGroup(page, "Files");
  const give = (bytes: Uint8Array) =>
    files
      .getByLabel("File with a look")
      .setInputFiles({ name: "theirs.look.zip", mimeType: "application/zip", buffer: Buffer.from(bytes) });
  await give(strToU8("no archive"));
  await expect(files.getByText("theirs.look.zip: This file can’t be unpacked. Is it a ZIP archive?")).toBeVisible();
  await give(archive);
  const review = page.getByRole("dialog", { name: "What “theirs.look.zip” would change" });
  await expect(review.getByRole("row", { name: /^Theme Pomelo Verbena/ })).toBeVisible();
  await expect(review.getByRole("row", { name: /^Header .* Logo in the middle/ })).toBeVisible();
  await expect(review.getByRole("row", { name: "Layout Product 5 sections 6 sections of the file" })).toBeVisible();
  await expect(review.getByText("One picture comes along into your library.")).toBeVisible();
  await expectAccessible(page);
  await review.getByRole("button", { name: "Take it over" }).click();
  await expect(review).toHaveCount(0);
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#0b6b4a");
  await kept(page);
  // What came along goes out again.
  const again = unzipSync(await readFile(await (await saved(page, files, "For another shop")).path()));
  const [file] = Object.keys(again).filter((name) => name.startsWith("pictures/"));
  expect(again[file!]!.length).toBeGreaterThan(10_000);
  expect(strFromU8(again["look.json"]!)).toContain("Packed by hand");
  await page.keyboard.press("Control+z");
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#c93a17");
});

test("the look is written to a token file, and a file made elsewhere is shown before it is taken over", async ({
  page,
}) => {
  await ownBrand(page);
  const sheet = brandSheet(page);
  await sheet.getByLabel("Brand colour", { exact: true }).fill("#0b6b4a");
  const files = await openGroup(page, "Files");
  const download = await saved(page, files, "For other programs");
  expect(download.suggestedFilename()).toMatch(/^shop-.*\.tokens\.json$/);
  const own = await readFile(await download.path(), "utf8");
  expect(JSON.parse(own).brand.colour.$value.hex).toBe("#0b6b4a");

  const foreign = {
    color: { $type: "color", primary: { $value: "#884400" }, odd: { $value: "#123123" } },
    font: { $type: "fontFamily", heading: { $value: "Lora" } },
  };
  const give = (name: string, text: string) =>
    files
      .getByLabel("File with a look")
      .setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(text) });
  await give("other.json", JSON.stringify(foreign));
  const review = page.getByRole("dialog", { name: "What “other.json” would change" });
  await expect(review.getByRole("row")).toHaveCount(3);
  await expect(review.getByRole("list", { name: "Not used" })).toContainText(
    "color.odd: no colour of the brand has such a name",
  );
  await review.getByRole("button", { name: "Leave everything as it is" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#0b6b4a");
  await give("other.json", JSON.stringify(foreign));
  await review.getByRole("button", { name: "Take it over" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#884400");
  await give("own.json", own);
  await page.getByRole("button", { name: "Take it over" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#0b6b4a");
  await give("broken.json", "{");
  await expect(
    files.getByText("broken.json: This file is not JSON, so it is not a file of design tokens."),
  ).toBeVisible();
});

test("brands are put aside, compared and worn again", async ({ page }) => {
  await ownBrand(page);
  const sheet = brandSheet(page);
  await sheet.getByLabel("Brand colour", { exact: true }).fill("#0b6b4a");
  const versions = await openGroup(page, "Versions");
  await versions.getByRole("button", { name: "Save", exact: true }).click();
  await expect(versions.getByText("Give the version a name, so that you find it again.")).toBeVisible();
  await versions.getByLabel("Name for the brand as it is").fill("Spring");
  await versions.getByRole("button", { name: "Save", exact: true }).click();
  await sheet.getByRole("button", { name: "put everything back" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#c93a17");
  await versions.getByRole("button", { name: "Compare" }).click();
  const dialog = page.getByRole("dialog", { name: "“Spring” and the brand as it is" });
  await expect(dialog.getByRole("row", { name: /Brand colour #0b6b4a/ })).toBeVisible();
  await dialog.getByRole("button", { name: "Close" }).click();
  await versions.getByRole("button", { name: "Use this one" }).click();
  await expect.poll(() => roleIn(pane(page, "Wide"), "brand")).toBe("#0b6b4a");
  await kept(page);
  await page.reload();
  await openGroup(page, "Versions");
  await expect(page.getByRole("group", { name: "Spring" })).toBeVisible();
});

test("pages that follow the device are dark where it asks for it; strongest contrast is met by every word", async ({
  page,
}) => {
  const { host } = await ownBrand(page);
  const colour = await openGroup(page, "Colour");
  await colour.getByLabel("Brand colour", { exact: true }).fill("#e0a33a");
  await colour
    .getByRole("group", { name: "Contrast of words" })
    .getByRole("button", { name: "Strongest (AAA)" })
    .click();
  await colour.locator("[data-setting=appearance] [role=combobox]").click();
  await page.getByRole("option", { name: "As the shopper’s device" }).click();
  await page.getByRole("button", { name: "See the dark pages" }).click();
  await expect
    .poll(() =>
      pane(page, "Wide")
        .locator("body")
        .evaluate((b) => getComputedStyle(b).colorScheme),
    )
    .toBe("dark");
  await kept(page);
  await page.getByRole("button", { name: "Publish for the first time" }).click();
  await page.getByRole("button", { name: "Publish now" }).click();
  await expect(page.getByRole("heading", { name: "It is in the shop" })).toBeVisible();
  const grounds = new Set<string>();
  for (const scheme of ["light", "dark"] as const) {
    await page.emulateMedia({ colorScheme: scheme });
    for (const path of ["/", "/about", "/search?q=nothing", "/nowhere"]) {
      await page.goto(shopAt(host) + path);
      // axe-core judges 1.4.6 by itself: at least 7 for text, 4.5 for large text.
      const found = await violationsOf(page, { runOnly: ["color-contrast", "color-contrast-enhanced"] });
      expect(found, `${scheme} ${path}`).toEqual([]);
    }
    grounds.add(await roleIn(page, "page"));
  }
  expect(grounds.size).toBe(2);
});

test("only the fonts in use are served, cut to their weights, and nothing moves when they arrive", async ({ page }) => {
  const fonts: string[] = [];
  page.on("request", (r) => r.url().includes("/fonts/") && fonts.push(new URL(r.url()).pathname));
  await page.goto(DEMO, { waitUntil: "networkidle" });
  expect([...new Set(fonts)].sort()).toEqual([
    "/fonts/bricolage-grotesque-latin-760-760.woff2",
    "/fonts/instrument-sans-latin-420-620.woff2",
  ]);
  // The stand-in and the font set the same words to nearly the same width.
  const off = await page.evaluate(async () => {
    await document.fonts.ready;
    return [".head", ".lead", ".card-title"].map((selector) => {
      const element = document.querySelector<HTMLElement>(`main ${selector}`)!;
      const span = document.createElement("span");
      span.style.cssText = "position:absolute;white-space:nowrap;visibility:hidden";
      span.textContent = "The vented Skua flies from eighteen knots, and lands where you want it";
      element.append(span);
      const real = span.getBoundingClientRect().width;
      const families = getComputedStyle(span).fontFamily.split(",");
      span.style.fontFamily = families.slice(1).join(",");
      const standIn = span.getBoundingClientRect().width;
      span.remove();
      return Math.abs(standIn / real - 1);
    });
  });
  for (const share of off) expect(share).toBeLessThan(0.06);
});

test("the Brand area is accessible, shows how others see colours, and works on a phone", async ({ page }) => {
  await signInToDemo(page);
  await openBrand(page);
  await expectAccessible(page);
  await openGroup(page, "Type");
  await openGroup(page, "Buttons");
  await openGroup(page, "Product card");
  await expectAccessible(page);
  await view(page, "Parts").click();
  await expect(pane(page, "Wide").getByRole("button", { name: "Primary" }).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Seen by" }).click();
  await page.getByRole("menuitem", { name: "No green sense" }).click();
  expect(await page.locator("[data-panes-ready]").evaluate((e) => getComputedStyle(e).filter)).toBe(
    'url("#zest-deuteranopia")',
  );
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole("button", { name: "Brand", exact: true }).click();
  await page.getByRole("dialog", { name: "Brand" }).getByLabel("Brand colour", { exact: true }).fill("#2a6fb0");
  await page.keyboard.press("Escape");
  await expect.poll(() => roleIn(pane(page, "Phone"), "brand")).toBe("#2a6fb0");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await kept(page);
});

test("names of colour sets are the seller’s own, wherever a set is chosen", async ({ page }) => {
  await ownBrand(page);
  await strip(page).getByRole("tab", { name: "Tint" }).click();
  await strip(page)
    .getByRole("button", { name: /^Ground, / })
    .click();
  await page
    .getByRole("dialog", { name: /^Ground in/ })
    .getByLabel(/^Name of this set/)
    .fill("Sea");
  await expect(strip(page).getByRole("tab", { name: "Sea" })).toBeVisible();
  await page.keyboard.press("Escape");
  await area(page, "Pages");
  await page.getByRole("treeitem", { name: /^Picture & words/ }).click();
  await expect(page.getByRole("complementary", { name: "Details" }).getByText("Sea")).toBeVisible();
  await kept(page);
  await page.getByRole("button", { name: /^Publish/ }).click();
  await expect(page.getByRole("heading", { name: "Open the shop" })).toBeVisible();
  await page.getByRole("button", { name: "Not now" }).click();
});

test("how sections come in is said once for the whole shop, and nothing moves where nothing is to", async ({
  page,
}) => {
  // What moves is seen here.
  await page.emulateMedia({ reducedMotion: "no-preference" });
  await ownBrand(page);
  const group = await openGroup(page, "Movement");
  const second = pane(page, "Wide").locator("main > .s").nth(1);
  const moved = () => second.evaluate((section) => getComputedStyle(section).animationName);
  expect(await moved()).toBe("none");
  await group.getByRole("group", { name: "Sections come in" }).getByRole("button", { name: "Rise" }).click();
  await expect.poll(moved).toBe("in-rise");
  // The first section is never waited for.
  expect(
    await pane(page, "Wide")
      .locator("main > .s")
      .first()
      .evaluate((s) => getComputedStyle(s).animationName),
  ).toBe("none");
  await group.locator("[data-setting=motion] [role=combobox]").click();
  await page.getByRole("option", { name: "Nothing" }).click();
  const strength = () => second.evaluate((section) => getComputedStyle(section).getPropertyValue("--motion"));
  await expect.poll(strength).toBe("0");
});
