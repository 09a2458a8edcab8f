import { expect, test } from "@playwright/test";
import { resolve } from "node:path";
import {
  area,
  askShop,
  benchReady,
  details,
  inPlan,
  kept,
  openGroup,
  openShop,
  openShopByHand,
  pane,
  plan,
  publish,
  roleIn,
  shopAt,
  signInToDemo,
  STUDIO,
} from "./studio";

test("a new seller goes from an account to an open shop", async ({ page, context }) => {
  const { host, name } = await openShopByHand(page);

  await test.step("goods come from a file, after a look at what was understood", async () => {
    await area(page, "Goods");
    await page.getByRole("link", { name: "Import goods" }).click();
    await page.getByLabel("File with goods").setInputFiles({
      name: "goods.csv",
      mimeType: "text/csv",
      buffer: Buffer.from(
        "Title,Price,Collection\nApple jam,4.50,Jams\nPear jam,lots,Jams\nQuince jelly,5.20,Jellies\n",
      ),
    });
    await expect(page.getByText("2 new products, 0 changed, 0 as they are")).toBeVisible();
    await expect(page.getByRole("list", { name: "Problems" })).toContainText("Line 3, price: “lots” is not an amount.");
    await page.getByRole("button", { name: "Import 2 products" }).click();
    await expect(page.getByText("2 products added, 0 changed, 0 as they were.")).toBeVisible();
    await page.getByRole("link", { name: "Look at them" }).click();
    await expect(page.getByRole("link", { name: "Quince jelly" })).toBeVisible();
  });

  await test.step("a theme is put on and another one, and nothing is lost", async () => {
    await area(page, "Brand");
    await page.getByRole("link", { name: "Change theme" }).click();
    // The home page that a shop was opened with gives way to one for what it sells.
    await expect(page.getByRole("switch", { name: "With finished pages" })).toBeChecked();
    await page.getByRole("combobox", { name: "What you sell" }).click();
    await page.getByRole("option", { name: "Food and drink" }).click();
    // Looked at closely: what will be different is said, links lead through the shop, and another theme stands beside it.
    await page.getByRole("button", { name: "Look closer at Quince" }).click();
    const closer = page.getByRole("dialog", { name: "Quince" });
    await expect(closer.getByRole("definition").first()).toHaveText(
      "Fraunces and Karla, instead of Bricolage Grotesque and Instrument Sans",
    );
    const wide = (theme: string) => closer.frameLocator(`iframe[title="${theme}, wide"]`);
    await wide("Quince").getByRole("link", { name: "Quince jelly" }).first().click();
    await expect(closer.getByRole("status")).toHaveText("Quince jelly");
    await expect(closer.frameLocator('iframe[title="Quince, phone"]').getByRole("heading", { level: 1 })).toHaveText(
      "Quince jelly",
    );
    await closer.getByRole("combobox", { name: "Beside it" }).click();
    await page.getByRole("option", { name: "Sloe" }).click();
    await expect(wide("Sloe").getByRole("heading", { level: 1 })).toHaveText("Quince jelly");
    // They are scrolled together.
    await wide("Quince").locator(".s-footer").scrollIntoViewIfNeeded();
    await expect(wide("Sloe").locator(".s-footer")).toBeInViewport();
    await closer.getByRole("button", { name: "The next theme" }).click();
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog")).toHaveCount(0);
    await page.getByRole("button", { name: "Use Quince" }).click();
    await benchReady(page);
    await expect(pane(page, "Wide").locator(".card-title").first()).toContainText("Apple jam");
  });

  await test.step("the brand: colour with its reason, type, sign", async () => {
    const sheet = page.getByRole("complementary", { name: "Brand" });
    await sheet.getByLabel("Brand colour", { exact: true }).fill("gold");
    await expect(sheet.getByText(/links are much darker than your brand colour/)).toBeVisible();
    // The fill itself stays as pale as it is wished; its outline can be seen.
    await expect.poll(() => roleIn(pane(page, "Phone"), "brand")).toBe("#ffd700");
    expect(await roleIn(pane(page, "Phone"), "brand-edge")).not.toBe("#ffd700");
    await openGroup(page, "Type");
    await sheet.getByRole("radio", { name: /Newsreader/ }).click();
    await expect
      .poll(() =>
        pane(page, "Wide")
          .locator("h1")
          .evaluate((h) => getComputedStyle(h).fontFamily),
      )
      .toContain("Newsreader");
    await openGroup(page, "Name and logo");
    await sheet.getByRole("button", { name: "Sign", exact: true }).click();
    await sheet.getByRole("button", { name: "Cup" }).click();
    await expect(pane(page, "Wide").locator("header .wordmark svg")).toBeVisible();
    await sheet.getByLabel("Tagline").fill("Jam from one kitchen");
  });

  await test.step("the home page is laid out", async () => {
    await area(page, "Pages");
    await benchReady(page);
    await inPlan(page, "Hero").click();
    await details(page).getByLabel("Heading").fill("Jam that remembers the orchard");
    await expect(pane(page, "Phone").locator("h1")).toHaveText("Jam that remembers the orchard");
    await expect(pane(page, "Wide").locator("h1")).toHaveText("Jam that remembers the orchard");
    await details(page).getByRole("combobox", { name: "Button leads to", exact: true }).fill("Jam");
    await page.getByRole("option", { name: "Jams" }).click();
  });

  await test.step("publishing opens the shop", async () => {
    await kept(page);
    await page.getByRole("button", { name: "Publish for the first time" }).click();
    await expect(page.getByRole("heading", { name: "Open the shop" })).toBeVisible();
    await page.getByRole("button", { name: "Publish now" }).click();
    await expect(page.getByRole("heading", { name: "It is in the shop" })).toBeVisible();
    const [shop] = await Promise.all([
      context.waitForEvent("page"),
      page.getByRole("link", { name: "Open the shop" }).click(),
    ]);
    await expect(shop).toHaveURL(`${shopAt(host)}/`);
    await expect(shop).toHaveTitle(`${name} · Jam from one kitchen`);
    await expect(shop.getByRole("heading", { level: 1 })).toHaveText("Jam that remembers the orchard");
    await shop.getByRole("link", { name: "Quince jelly" }).click();
    await expect(shop.getByText("€5.20").first()).toBeVisible();
  });
});

test("drafts stay out of the shop until they are published, and the changes are read out in words", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  await page.getByRole("button", { name: "Publish for the first time" }).click();
  await page.getByRole("button", { name: "Publish now" }).click();
  await page.getByRole("button", { name: "Close" }).click();

  await inPlan(page, "Hero").click();
  await details(page).getByLabel("Heading").fill("A secret for now");
  await inPlan(page, "Sign-up").click();
  await details(page).getByLabel("Shown in the shop").click();
  await kept(page);
  const shop = await askShop(page, host);
  expect(await shop.text()).not.toContain("A secret for now");

  await page.getByRole("button", { name: "Publish, 2 changes" }).click();
  await expect(page.getByRole("list", { name: "What will change" }).getByRole("listitem")).toHaveText([
    /^Home/,
    "Hero: words changed",
    "Sign-up: no longer shown",
  ]);
  await page.getByRole("button", { name: "Publish now" }).click();
  await expect(page.getByText("2 changes are live")).toBeVisible();
  const after = await (await askShop(page, host)).text();
  expect(after).toContain("A secret for now");
  expect(after).not.toContain("/sign-up");
});

test("a logo is uploaded, a harmful one is cleaned, and what is no picture is refused in words", async ({ page }) => {
  const { host } = await openShop(page);
  await area(page, "Brand");
  await benchReady(page);
  const sheet = page.getByRole("complementary", { name: "Brand" });
  await openGroup(page, "Name and logo");
  await sheet.getByRole("button", { name: "Picture", exact: true }).click();
  await sheet
    .getByLabel("Upload a logo")
    .setInputFiles({ name: "notes.png", mimeType: "image/png", buffer: Buffer.from("not a picture at all") });
  await expect(sheet.getByText("This file can’t be read as a picture. Upload a PNG, JPEG, WebP or SVG.")).toBeVisible();
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 100"><script>window.top.hacked=1</script><rect width="300" height="100" fill="#175" onclick="hacked()"/></svg>';
  await sheet
    .getByLabel("Upload a logo")
    .setInputFiles({ name: "our-logo.svg", mimeType: "image/svg+xml", buffer: Buffer.from(svg) });
  const logo = pane(page, "Wide").locator("header .wordmark-picture");
  await expect(logo).toHaveAttribute("src", /\.svg$/);
  await publish(page);
  const address = await logo.getAttribute("src");
  const served = await askShop(page, host, address!);
  expect(await served.text()).toBe(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 100"><rect width="300" height="100" fill="#175"></rect></svg>',
  );
  expect(served.headers()["content-security-policy"]).toContain("sandbox");
});

test("an owner never reaches another owner's shop by its address", async ({ page, browser }) => {
  await signInToDemo(page);
  const demo = new URL(page.url()).pathname.split("/")[2]!;
  const stranger = await browser.newPage();
  await openShop(stranger);
  for (const path of [
    `/s/${demo}/pages`,
    `/s/${demo}/brand`,
    `/s/${demo}/goods`,
    `/s/${demo}/keep?since=0`,
    `/s/${demo}/publish`,
    `/s/${demo}/goods.csv`,
  ]) {
    expect((await stranger.request.get(`${STUDIO}${path}`)).status(), path).toBe(404);
  }
  for (const path of ["keep", "publish", "upload"]) {
    const answer = await stranger.request.post(`${STUDIO}/s/${demo}/${path}`, {
      headers: { Origin: STUDIO },
      data: {},
    });
    expect(answer.status(), path).toBe(404);
  }
  const elsewhere = await page.request.post(`${STUDIO}/s/${demo}/publish`, {
    headers: { Origin: "https://elsewhere.example" },
    data: { seq: 0 },
  });
  expect(elsewhere.status()).toBe(403);
  const picture = await pane(page, "Wide").locator(".s-hero img").getAttribute("src");
  expect((await page.request.get(`${STUDIO}${picture}`)).status()).toBe(200);
  expect((await stranger.request.get(`${STUDIO}${picture}`)).status()).toBe(404);
  await stranger.goto(`${STUDIO}/s/${demo}/pages`);
  await expect(stranger.getByRole("heading", { name: "There is nothing at this address" })).toBeVisible();
  await stranger.close();
});

test("signing out ends it, wrong passwords are told apart from nothing, and strangers are sent to sign in", async ({
  page,
}) => {
  await page.goto(`${STUDIO}/shops/new`);
  await expect(page).toHaveURL(/\/sign-in\?to=%2Fshops%2Fnew/);
  const { address, password, name } = await openShopByHand(page);
  await page.getByRole("button", { name }).click();
  await page.getByRole("menuitem", { name: /Sign out/ }).click();
  await expect(page.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await page.getByLabel("Mail address").fill(address);
  await page.getByLabel("Password").fill("wrong password");
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(page.getByText("The address or the password is wrong.")).toBeVisible();
  await page.getByLabel("Password").fill(password);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(plan(page)).toBeVisible();
});

test("the demo shop is one press away for whoever only looks", async ({ page }) => {
  await page.goto(`${STUDIO}/sign-in`);
  await page.getByRole("button", { name: "Use the demo account" }).click();
  await benchReady(page);
  await expect(page.getByRole("button", { name: "Larkspindle Kites" })).toBeVisible();
});

test("the goods of the demo shop can be saved as a file and brought in again without a change", async ({ page }) => {
  await signInToDemo(page);
  await area(page, "Goods");
  const saveAs = async (format: string) => {
    await page.getByRole("button", { name: "Save as a file" }).click();
    await page.getByRole("menuitem", { name: format }).click();
  };
  const [download] = await Promise.all([page.waitForEvent("download"), saveAs("Comma-separated (CSV)")]);
  await page.getByRole("link", { name: "Import goods" }).click();
  await page.getByLabel("File with goods").setInputFiles(await download.path());
  await expect(page.getByText("0 new products, 0 changed, 45 as they are")).toBeVisible();
  await expect(page.getByRole("button", { name: "Nothing to import" })).toBeDisabled();
  await page.getByLabel("File with goods").setInputFiles(resolve("demo/pictures/made/runner.webp"));
  await expect(page.getByText("This is neither a CSV file nor an XLSX workbook.")).toBeVisible();
  await page.goBack();
  const [workbook] = await Promise.all([page.waitForEvent("download"), saveAs("Workbook (XLSX)")]);
  await page.getByRole("link", { name: "Import goods" }).click();
  await page.getByLabel("File with goods").setInputFiles(await workbook.path());
  await expect(page.getByText("0 new products, 0 changed, 45 as they are")).toBeVisible();
});
