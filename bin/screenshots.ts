/** Takes the pictures of docs/screenshots from a running `./bin/start` with the demo shop, on its usual ports. */
import { chromium, type Page } from "@playwright/test";
import sharp from "sharp";

const STUDIO = process.env.STUDIO ?? "http://localhost:4310";
const SHOP = process.env.SHOP ?? "http://larkspindle.localhost:4311";
const folder = "docs/screenshots";

const browser = await chromium.launch({ executablePath: "/usr/bin/chromium-headless-shell" });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

/** Waits until fonts and pictures are there, in every frame; lazy ones that nobody sees are not waited for. */
const settled = async (of: Page) => {
  for (const frame of of.frames()) {
    // A frame that goes while it is asked never answers.
    const ready = frame.evaluate(async () => {
      await document.fonts.ready;
      const seen = [...document.images].filter(
        (img) => img.getBoundingClientRect().bottom > 0 && img.getBoundingClientRect().top < innerHeight,
      );
      await Promise.all(seen.map((img) => img.decode().catch(() => undefined)));
    });
    await Promise.race([ready.catch(() => undefined), of.waitForTimeout(5_000)]);
  }
};
const take = async (name: string, of = page) => {
  await settled(of);
  const png = await of.screenshot();
  await sharp(png).png({ palette: true, quality: 90, effort: 9 }).toFile(`${folder}/${name}.png`);
};
const area = (name: string) => page.getByRole("navigation", { name: "Areas" }).getByRole("link", { name }).click();
const wide = () => page.frameLocator('iframe[title^="Wide view"]');

await page.goto(`${STUDIO}/sign-in`);
await page.getByRole("button", { name: "Use the demo account" }).click();
await wide().locator("#main").waitFor();
await wide().locator(".s-hero .lead").click();
await page.getByRole("treeitem", { name: /^Hero/ }).locator("svg rect").nth(3).waitFor({ state: "attached" });
await take("bench");
await page.getByRole("treeitem", { name: /^Freehand/ }).click();
await wide().locator(".w-point").nth(1).click();
await page.getByRole("treeitem", { name: /^Hero/ }).click();
await page.getByRole("button", { name: "Add", exact: true }).click();
await page.frameLocator('iframe[title="Hero, Half and half on dark"]').locator(".s-hero").first().waitFor();
await take("add");
await page.keyboard.press("Escape");
await page.getByRole("complementary", { name: "Details" }).getByLabel("Heading").fill("Made for gales");
await page.getByRole("button", { name: /^Publish/ }).click();
await page.getByRole("list", { name: "What will change" }).waitFor();
for (const when of ["As shoppers see it now", "As they will see it"])
  await page.frameLocator(`iframe[title="${when}, wide"]`).locator("#main").waitFor();
await page.getByText("nothing stands out").waitFor();
await take("publish");
await page.getByRole("button", { name: "Not now" }).click();
await page.getByRole("button", { name: /^Undo/ }).click();
await page.goto(page.url().replace(/pages.*/, "pages/all"));
await page.frameLocator('iframe[title="Journal, wide"]').locator("#main").waitFor();
await take("all-pages");
await page.getByRole("button", { name: "New page" }).click();
await page.frameLocator('iframe[title="Care and repair, wide"]').locator("#main").waitFor();
await take("new-page");
await page.keyboard.press("Escape");
await area("Brand");
await page.getByLabel("Colours in use").waitFor();
await wide().locator("main .button").first().click();
await page.getByRole("region", { name: "Picked: Button › Primary" }).waitFor();
await take("brand");
await page.getByRole("link", { name: "Change theme" }).click();
await page.frameLocator('iframe[title="Home in Sloe, phone"]').locator(".card").first().waitFor();
await take("themes");
await area("Goods");
await page.getByRole("grid", { name: "Goods" }).getByRole("row").nth(9).waitFor();
await take("goods");
await page.getByRole("link", { name: "Fulmar Diamond" }).click();
await page.getByRole("region", { name: "Variants" }).waitFor();
await page.getByRole("region", { name: "Variants" }).scrollIntoViewIfNeeded();
await take("goods-product");
await page.goto(page.url().replace(/goods.*/, "pages?page=product"));
await wide().locator(".w-product-options").click();
await take("product-layout");
await area("Offers");
await page
  .getByRole("list", { name: "Offers" })
  .getByRole("button", { name: /^Autumn gales/ })
  .click();
await page.frameLocator('iframe[title="The cart on a phone"]').getByRole("heading", { name: "Your cart" }).waitFor();
await take("offers");
await page.keyboard.press("y");
await page
  .getByRole("list", { name: "Seasons" })
  .getByRole("button", { name: /^Winter evenings/ })
  .click();
await page.getByRole("textbox", { name: "Name of the season" }).waitFor();
await page.getByRole("button", { name: "On its first day" }).click();
await page.frameLocator('iframe[title="The home page on a phone"]').locator("#main").waitFor();
await take("season");
await page.getByLabel("Back to a first visit now").click();
await page.getByRole("button", { name: "Close the year" }).click();
await area("Orders");
await page.getByRole("table", { name: "Orders" }).waitFor();
await take("orders");
await page.goto(page.url().replace(/orders.*/, "pages?page=checkout"));
await wide().locator(".ck-sum").first().click();
await take("checkout");
await area("Mail");
await page.getByRole("button", { name: /Oda Brennick/ }).click();
await page.getByRole("article").waitFor();
await take("mail");
await area("Pictures");
await page.getByRole("complementary", { name: "About this picture" }).waitFor();
await take("pictures");
await page.getByLabel("Find by words").fill("Harbour Box kite");
await page.getByRole("button", { name: "Harbour Box kite", exact: true }).click();
await page.getByRole("button", { name: "Straighten or cut out …" }).click();
await page.getByRole("button", { name: "Take the ground away" }).click();
await page.getByText(/^Its edge|^Some of its edge/).waitFor();
await page.getByRole("radio", { name: "Your brand’s colour" }).click();
await take("cut-out");
await page.getByRole("button", { name: "Cancel" }).click();

const shop = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await shop.goto(SHOP);
await take("shop-wide", shop);
await shop.setViewportSize({ width: 390, height: 844 });
await shop.goto(SHOP);
await take("shop-phone", shop);
await browser.close();
