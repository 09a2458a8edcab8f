import { expect, test, type Page } from "@playwright/test";
import ExcelJS from "exceljs";
import { zipSync } from "fflate";
import { readFileSync } from "node:fs";
import {
  area,
  askShop,
  benchReady,
  details,
  inPlan,
  kept,
  openShop,
  pane,
  publish,
  shopAt,
  signInToDemo,
} from "./studio";

const FILE = [
  "SKU,Title,Price,Collection,Stock,Taste,Picture,Variant of,Options",
  "J-1,Apple jam,4.50,Jams,10,Sweet,runner.webp,,",
  "J-2,Pear jam,5.20,Jams,0,Sweet|Sour,,,",
  "J-3,Quince jelly,6.00,Jellies,,Sour,,,",
  "J-3-S,,,,4,,,J-3,Size: Small",
  "J-3-L,,9.50,,2,,,J-3,Size: Large",
].join("\n");
const part = (page: Page, name: string) =>
  page.getByRole("navigation", { name: "Parts of Goods" }).getByRole("link", { name }).click();

async function withGoods(page: Page, file = FILE) {
  const shop = await openShop(page, { area: "goods", goods: file });
  await expect(page.getByRole("grid", { name: "Goods" })).toBeVisible();
  return shop;
}

test("the table is worked with by keyboard: a price in place, what can't be refused, and taken back", async ({
  page,
}) => {
  await withGoods(page);
  const row = page.getByRole("row", { name: /Apple jam/ });
  const price = row.getByRole("gridcell").last();
  await price.dblclick();
  await page.keyboard.type("4,80");
  await page.keyboard.press("Enter");
  await expect(price).toHaveText("€4.80");
  await price.dblclick();
  await page.keyboard.type("a lot");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "“a lot” is not an amount" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(price).toHaveText("€4.80");
  await page.getByRole("button", { name: /^Undo in Goods/ }).click();
  await expect(price).toHaveText("€4.50");
  await page.getByRole("button", { name: /^Redo in Goods/ }).click();
  await expect(price).toHaveText("€4.80");
});

test("many are changed at once, archived, found again, and a copy is made", async ({ page }) => {
  await withGoods(page);
  await page.getByRole("checkbox", { name: "Select all rows" }).check();
  const chosen = page.getByRole("toolbar", { name: "What is chosen" });
  await expect(chosen).toContainText("3 products chosen");
  await chosen.getByRole("button", { name: "Change all …" }).click();
  await page.getByRole("menuitem", { name: "Prices up or down …" }).click();
  await page.getByLabel("Percent, like 5 or -10").fill("10");
  await page.getByRole("button", { name: "Change", exact: true }).click();
  await expect(
    page
      .getByRole("row", { name: /Apple jam/ })
      .getByRole("gridcell")
      .last(),
  ).toHaveText("€4.95");
  await page
    .getByRole("row", { name: /Pear jam/ })
    .getByRole("checkbox")
    .check();
  await chosen.getByRole("button", { name: "Archive" }).click();
  await expect(page.getByRole("row", { name: /Pear jam/ })).toHaveCount(0);
  await page.getByRole("button", { name: "Archived (1)" }).click();
  await expect(page.getByRole("row", { name: /Pear jam/ })).toBeVisible();
  await page.getByRole("button", { name: "Archived (1)" }).click();
  await page.getByLabel("Find").fill("sour");
  await expect(page.getByRole("row")).toHaveCount(2);
  await page
    .getByRole("row", { name: /Quince/ })
    .getByRole("checkbox")
    .check();
  await chosen.getByRole("button", { name: "Duplicate" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Quince jelly (copy)" })).toBeVisible();
  await expect(page.getByText("Archived", { exact: true })).toBeVisible();
});

test("a product is written in full, seen on a phone while it is, kept, and in the shop", async ({ page }) => {
  const { host } = await withGoods(page);
  await publish(page);
  await page.getByRole("link", { name: "New product" }).click();
  await page.getByLabel("Title", { exact: true }).fill("Medlar cheese");
  const phone = page.frameLocator('iframe[title^="The product’s page"]');
  await expect(phone.getByRole("heading", { level: 1 })).toHaveText("Medlar cheese");
  await page.getByRole("textbox", { name: "Description", exact: true }).click();
  await page.keyboard.type("Made of ");
  await page.keyboard.press("Control+b");
  await page.keyboard.type("medlars");
  await page.getByRole("textbox", { name: "Price", exact: true }).fill("7.5");
  await page.getByLabel("Barcode (EAN-13)").fill("4006381333932");
  await expect(page.getByText("The last digit would be 1, not 2.")).toBeVisible();
  await page.getByLabel("Barcode (EAN-13)").fill("4006381333931");
  const variants = page.getByRole("region", { name: "Variants" });
  await variants.getByRole("button", { name: "Add an option" }).click();
  await variants.getByLabel("Option", { exact: true }).fill("Size");
  await variants.getByLabel("Another value of Size").fill("Slice, Whole");
  await page.keyboard.press("Enter");
  await variants.getByRole("button", { name: "Remove First" }).click();
  await variants.getByLabel("Price of Whole").fill("21");
  await variants.getByLabel("Stock of Whole").fill("0");
  await expect(phone.locator(".opt")).toHaveCount(2);
  const own = page.getByRole("region", { name: "Own fields" });
  await own.getByLabel("New field for all products").fill("Maker");
  await own.getByRole("button", { name: "Add it" }).click();
  await own.getByRole("textbox", { name: "Maker" }).fill("Ida");
  await page.getByLabel("SKU", { exact: true }).fill("J-1");
  await page.getByRole("button", { name: "Add to the shop" }).click();
  await expect(page.getByText("“Apple jam” has the SKU “J-1” already.").first()).toBeVisible();
  await page.getByLabel("SKU", { exact: true }).fill("M-1");
  await page.getByRole("button", { name: "Add to the shop" }).click();
  await expect(page.getByText("In the shop", { exact: true })).toBeVisible();
  await expect(own.getByRole("textbox", { name: "Maker" })).toHaveValue("Ida");
  const served = await (await askShop(page, host, "/products/medlar-cheese")).text();
  expect(served).toMatch(/<strong>\s*medlars<\/strong>/);
  expect(served).toContain('"@type":"Product"');
  expect(served).toContain("€7.50");
});

test("what was written and not kept survives a closed tab; another tab's change is not overwritten", async ({
  page,
  context,
}) => {
  await withGoods(page);
  await page.getByRole("link", { name: "Apple jam" }).click();
  await page.getByLabel("Title", { exact: true }).fill("Apple jam, spiced");
  await expect(page.getByText("Not saved yet")).toBeVisible();
  const address = page.url();
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await again.goto(address);
  await again.getByRole("button", { name: "Take it up" }).click();
  await expect(again.getByLabel("Title", { exact: true })).toHaveValue("Apple jam, spiced");
  const other = await context.newPage();
  await other.goto(address);
  await other.getByRole("button", { name: "Throw it away" }).click();
  await other.getByLabel("Title", { exact: true }).fill("Apple butter");
  await other.getByRole("button", { name: "Save", exact: true }).click();
  await expect(other.getByText("Saved. The shop shows it now.")).toBeVisible();
  await again.getByRole("button", { name: "Save", exact: true }).click();
  await expect(again.getByText(/was changed elsewhere while you wrote/)).toBeVisible();
  await again.getByRole("button", { name: "Keep mine" }).click();
  await expect(again.getByText("Saved. The shop shows it now.")).toBeVisible();
  await other.reload();
  await expect(other.getByLabel("Title", { exact: true })).toHaveValue("Apple jam, spiced");
});

test("a collection by rules counts live; one by hand is put into order; one stands inside of another", async ({
  page,
}) => {
  const { host } = await withGoods(page);
  await publish(page);
  await part(page, "Collections");
  await page.getByRole("button", { name: "New", exact: true }).click();
  await expect(page.getByRole("heading", { name: "New collection" })).toBeVisible();
  await page.getByLabel("Title", { exact: true }).fill("Under six");
  await page.getByRole("button", { name: "By rules" }).click();
  await page.getByRole("combobox", { name: "What" }).click();
  await page.getByRole("option", { name: "Price", exact: true }).click();
  await page.getByRole("combobox", { name: "Number" }).fill("cheap");
  await expect(page.getByText("“cheap” is not a number.")).toBeVisible();
  await page.getByRole("combobox", { name: "Number" }).fill("6");
  await expect(page.getByRole("status").filter({ hasText: "2 products" })).toBeVisible();
  await page.getByRole("combobox", { name: "Inside of" }).click();
  await page.getByRole("option", { name: "Jams" }).click();
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("button", { name: /^Under six/ })).toBeVisible();
  expect(await (await askShop(page, host, "/collections/under-six")).text()).toContain("Pear jam");
  await page.getByRole("button", { name: /^Jams/ }).click();
  const list = page.getByRole("list", { name: "Goods in order" });
  await expect(list.getByRole("listitem")).toHaveCount(2);
  // Keys that come faster than a drag begins or ends say nothing; whoever sees that nothing moved presses them again. Each is waited for
  // long enough: given up too soon, the next press would end what the one before is still beginning.
  await expect(async () => {
    await list
      .getByRole("button", { name: /Pear jam/ })
      .first()
      .focus();
    await page.keyboard.press("Space");
    await expect(page.locator("[data-dnd-dragging]")).toBeVisible({ timeout: 8000 });
    await page.keyboard.press("ArrowLeft");
    await expect(list.getByRole("listitem").first()).toContainText("Pear jam", { timeout: 4000 });
    await page.keyboard.press("Space");
    await expect(list.getByRole("button", { name: "1: Pear jam" })).toBeVisible({ timeout: 4000 });
  }).toPass();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Saved. The shop shows it now.")).toBeVisible();
  // The sentence may still be that of the collection that was saved before.
  await expect(async () => {
    const served = await (await askShop(page, host, "/collections/jams")).text();
    expect(served.indexOf("Pear jam</a>")).toBeLessThan(served.indexOf("Apple jam</a>"));
  }).toPass();
});

test("a workbook with columns of its own and a ZIP of pictures comes in, and is taken back whole", async ({ page }) => {
  await openShop(page);
  // Written by another spreadsheet library than the one that reads it.
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet("Ware");
  sheet.addRow(["Laufnummer", "Wie es heißt", "Kostet", "Bildname", "Ab"]);
  sheet.addRow(["K-1", "Kite, red", 12.5, "delta-dawn.webp", new Date("2027-03-01T00:00:00Z")]);
  sheet.addRow(["K-2", "Kite, blue", 14, "", null]);
  await area(page, "Goods");
  await page.getByRole("link", { name: "Import goods" }).click();
  const ware = {
    name: "ware.xlsx",
    mimeType: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    buffer: Buffer.from(await book.xlsx.writeBuffer()),
  };
  await page.getByLabel("File with goods").setInputFiles(ware);
  await expect(page.getByText("No column says the title. Say which one does.")).toBeVisible();
  for (const [column, means] of [
    ["Laufnummer", "SKU"],
    ["Wie es heißt", "title"],
    ["Kostet", "price"],
    ["Bildname", "pictures"],
    ["Ab", "available from"],
  ] as const) {
    await page.getByRole("region", { name: "Columns" }).getByRole("combobox", { name: column }).click();
    await page.getByRole("option", { name: means, exact: true }).click();
  }
  await expect(page.getByText("2 new products, 0 changed, 0 as they are")).toBeVisible();
  await expect(page.getByText("1 picture is not in your library yet")).toBeVisible();
  const zip = zipSync({
    "in/a/folder/delta-dawn.webp": new Uint8Array(readFileSync("demo/pictures/made/delta-dawn.webp")),
    "notes.txt": new TextEncoder().encode("not a picture"),
  });
  await page
    .getByLabel("ZIP of pictures")
    .setInputFiles({ name: "pictures.zip", mimeType: "application/zip", buffer: Buffer.from(zip) });
  await page.getByRole("button", { name: "Import 2 products" }).click();
  await expect(page.getByText("2 products added, 0 changed, 0 as they were. 1 picture added.")).toBeVisible();
  await part(page, "Products");
  await expect(page.getByRole("row", { name: /Kite, red/ }).locator("img")).toBeVisible();
  await page.getByRole("button", { name: /^Undo in Goods/ }).click();
  await expect(page.getByText("No goods yet")).toBeVisible();

  await test.step("the next time, the columns are known", async () => {
    await part(page, "Import");
    await page.getByLabel("File with goods").setInputFiles(ware);
    await expect(page.getByRole("combobox", { name: "Wie es heißt" })).toHaveText("title");
    await page.getByRole("button", { name: "Import 2 products" }).click();
    await expect(page.getByText("2 products added, 0 changed, 0 as they were.")).toBeVisible();
    await part(page, "Products");
    await expect(page.getByRole("row", { name: /Kite, blue/ })).toContainText("€14.00");
  });
});

test("ten thousand lines come in with progress, can be stopped, and are worked with afterwards", async ({ page }) => {
  await openShop(page);
  await area(page, "Goods");
  await page.getByRole("link", { name: "Import goods" }).click();
  const lines = Array.from({ length: 10_000 }, (_, i) => `S-${i},Thing ${i},${(i % 90) + 1}.00,Kind ${i % 7}`);
  const file = {
    name: "many.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(`Article no.,Name,Price incl. VAT,Kind\n${lines.join("\n")}`),
  };
  await page.getByLabel("File with goods").setInputFiles(file);
  await page.getByRole("button", { name: "Import 10,000 products" }).click();
  // Well under way, and not done.
  await expect(page.getByText(/^Goods: [1-9][\d,]* of 10,000$/)).toBeVisible();
  await page.getByRole("button", { name: "Stop" }).click();
  await expect(page.getByText("Stopped. Nothing of the goods was stored.")).toBeVisible();
  await part(page, "Products");
  await expect(page.getByText("No goods yet")).toBeVisible();
  await part(page, "Import");
  await page.getByLabel("File with goods").setInputFiles(file);
  await page.getByRole("button", { name: "Import 10,000 products" }).click();
  await expect(page.getByText("10,000 products added, 0 changed, 0 as they were.")).toBeVisible({ timeout: 60_000 });
  await page.getByRole("link", { name: "Look at them" }).click();
  await expect(page.getByText("1–100 of 10,000")).toBeVisible();
  await page.getByLabel("Find").fill("thing 9876");
  await expect(page.getByRole("row", { name: /Thing 9876/ })).toBeVisible();
  await page.getByRole("button", { name: /^Undo in Goods/ }).click();
  await expect(page.getByText("No goods yet")).toBeVisible();
});

test("what sells is told in sentences, with what is bought together and how often by chance", async ({ page }) => {
  await signInToDemo(page);
  await area(page, "Goods");
  await part(page, "What sells");
  await expect(page.getByText(/^From \d+ orders of the last year/)).toBeVisible();
  await expect(page.getByText(/\d+ sold and \d+ looks in 12 weeks: one sold in every \d+ looks/)).toBeVisible();
  // Which product sells best just now depends on the day; that line goes with a winder does not.
  await page
    .getByRole("list", { name: "Bestselling" })
    .getByRole("button", { name: /Hoop Winder 20 cm/ })
    .click();
  await expect(page.getByRole("heading", { name: "Hoop Winder 20 cm" })).toBeVisible();
  await expect(page.getByText(/In \d+ of \d+ orders \(\d+%\)/).first()).toContainText("times as many as by chance");
  await page.getByRole("link", { name: "Open the product" }).click();
  await expect(page.getByLabel("Title", { exact: true })).toHaveValue("Hoop Winder 20 cm");
});

test("reviews are let through, answered, and brought in from a file", async ({ page }) => {
  const { host } = await withGoods(page);
  await publish(page);
  await page.goto(`${shopAt(host)}/products/apple-jam`);
  await page.getByText("Write a review").click();
  await page.getByLabel("5 stars, wonderful").check();
  await page.getByLabel("Your review").fill("All gone by Tuesday.");
  await page.getByLabel("Your name, as it is shown").fill("Ida");
  await page.getByRole("button", { name: "Send it" }).click();
  await expect(page.getByText("It is shown once it has been read here.")).toBeVisible();
  await page.goBack();
  await part(page, "Reviews");
  await page.getByRole("button", { name: "Show it" }).click();
  await page.getByRole("button", { name: "Shown (1)" }).click();
  await page.getByRole("button", { name: "Answer" }).click();
  await page.getByLabel("Your answer").fill("Come by on Wednesday.");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("You: Come by on Wednesday.")).toBeVisible();
  await page.getByLabel("File with reviews").setInputFiles({
    name: "r.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("sku,stars,text,name\nJ-1,4,Sweet,Uwe\nJ-9,4,Sweet,Uwe\nJ-1,9,Sweet,Uwe\n"),
  });
  await expect(page.getByText("Line 3, sku: There is no product with the SKU “J-9”.")).toBeVisible();
  await page.getByRole("button", { name: "Import 1" }).click();
  await expect(page.getByText("1 reviews brought in; 0 were there already.")).toBeVisible();
  const served = await (await askShop(page, host, "/products/apple-jam")).text();
  expect(served).toContain("Come by on Wednesday.");
  expect(served).toContain('"ratingValue":4.5,"reviewCount":2');
});

test("the product layout is arranged on the bench: hard cases, a part dragged, another layout for chosen goods", async ({
  page,
}) => {
  const { host } = await withGoods(page);
  await area(page, "Pages");
  await benchReady(page);
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Product", exact: true }).click();
  const wide = pane(page, "Wide");
  await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Quince jelly");
  await page.getByRole("button", { name: /^as Quince jelly/ }).click();
  await page.getByRole("menuitem", { name: "Sold out" }).click();
  await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Pear jam");
  await expect(wide.locator(".state")).toHaveText("Sold out");
  // While the menu fades, it has no role any more and still takes what is clicked.
  await expect(page.locator(".MuiPopover-root")).toHaveCount(0);

  await test.step("a part goes elsewhere, and something of one's own goes between", async () => {
    await wide.locator(".w-product-state").click();
    await page.keyboard.press("Alt+ArrowUp");
    const order = () =>
      wide
        .locator(".w-product-title")
        .evaluate((title) =>
          [...title.parentElement!.children].map((c) => /w-(product-[a-z]+)/.exec(c.className)?.[1] ?? ""),
        );
    await expect
      .poll(async () => (await order()).filter((kind) => ["product-state", "product-options"].includes(kind)))
      .toEqual(["product-state", "product-options"]);
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await page.getByRole("button", { name: "Add Sign and words" }).click();
    await expect(wide.locator(".w-product-state + .w-point")).toBeVisible();
    await expect(inPlan(page, "The product")).toBeVisible();
  });

  await test.step("parts of a product make no sense on the home page", async () => {
    await page.getByRole("button", { name: "Product", exact: true }).click();
    await page.getByRole("menuitem", { name: "Home", exact: true }).click();
    await page.getByRole("button", { name: "Add", exact: true }).click();
    await expect(page.getByRole("button", { name: /^Add Buying/ })).toHaveCount(0);
    await page.keyboard.press("Escape");
  });

  await test.step("another layout for chosen goods", async () => {
    await page.getByRole("button", { name: "Home", exact: true }).click();
    await page.getByRole("menuitem", { name: /^Layouts, and who uses which/ }).click();
    const dialog = page.getByRole("dialog", { name: "Layouts, and who uses which" });
    const products = dialog.getByRole("region", { name: "Product layouts" });
    await expect(products.getByText("draws 3 products")).toBeVisible();
    await products.getByRole("button", { name: /^Another layout/ }).click();
    await products.getByLabel("For which").fill("Jell");
    await page.getByRole("option", { name: "Jellies" }).click();
    await expect(products.getByText("draws 2 products")).toBeVisible();
    await expect(products.getByText("draws 1 product", { exact: true })).toBeVisible();
    await products.getByRole("button", { name: "Open", exact: true }).nth(1).click();
    await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Quince jelly");
    await wide.locator(".s-reviews").click({ position: { x: 4, y: 4 } });
    await expect(details(page)).toContainText("Reviews");
    await page.keyboard.press("Delete");
    await expect(wide.locator(".s-reviews")).toHaveCount(0);
    await kept(page);
    await publish(page);
    expect(await (await askShop(page, host, "/products/quince-jelly")).text()).not.toContain('action="/reviews"');
    expect(await (await askShop(page, host, "/products/apple-jam")).text()).toContain('action="/reviews"');
  });

  await test.step("a product's own page says by which layout it is drawn, and takes another", async () => {
    await area(page, "Goods");
    await page.getByRole("link", { name: "Quince jelly" }).click();
    const choice = page.getByLabel("Layout of its page");
    await expect(choice).toHaveText("Product, another way, by its collection");
    await area(page, "Goods");
    await page.getByRole("link", { name: "Apple jam" }).click();
    await expect(choice).toHaveText("Product, as for all");
    await choice.click();
    await page.getByRole("option", { name: "Product, another way" }).click();
    await kept(page);
    await page.getByRole("link", { name: "Open it on the bench" }).click();
    await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Apple jam");
    await expect(wide.locator(".s-reviews")).toHaveCount(0);
  });
});

test("the collection layout says which attributes filter, and how further goods are shown", async ({ page }) => {
  const { host } = await withGoods(page);
  await area(page, "Pages");
  await benchReady(page);
  await page.goto(`${page.url()}?page=collection&show=/collections/all`);
  await benchReady(page);
  await inPlan(page, "Goods with filters").click();
  await expect(pane(page, "Wide").getByRole("group", { name: "Taste" })).toBeVisible();
  await details(page).getByRole("checkbox", { name: "Taste" }).uncheck();
  await expect(pane(page, "Wide").getByRole("group", { name: "Taste" })).toHaveCount(0);
  await details(page).getByRole("checkbox", { name: "Filter by price" }).uncheck();
  await kept(page);
  await publish(page);
  const served = await (await askShop(page, host, "/collections/all")).text();
  expect(served).not.toContain('name="taste"');
  expect(served).not.toContain('name="from"');
  expect(served).toContain('name="size"');
});
