import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import {
  addStart,
  askShop,
  benchReady,
  details,
  expectAccessible,
  fromPageMenu,
  inPlan,
  kept,
  openAdd,
  openShop,
  pane,
  plan,
  publish,
  shopAt,
} from "./studio";

const GOODS = readFileSync(new URL("../demo/goods.csv", import.meta.url), "utf8");

const atAGlance = (page: Page) => page.getByRole("tree", { name: "Pages of the shop" });
const inTree = (page: Page, name: string) => atAGlance(page).getByRole("treeitem", { name, exact: true });
const names = (page: Page) =>
  atAGlance(page)
    .getByRole("treeitem")
    .evaluateAll((all) => all.map((e) => e.getAttribute("aria-label")));

test("a page is made from a design, goes into a menu, stands in the shop, and leads on when its address changes", async ({
  page,
}) => {
  const { host } = await openShop(page, { goods: GOODS });
  await benchReady(page);
  await fromPageMenu(page, "New page …");
  const dialog = page.getByRole("dialog", { name: "New page" });
  await dialog.getByLabel("Find a design").fill("newsletter");
  await expect(dialog.getByRole("radio")).toHaveCount(1);
  await dialog.getByLabel("Find a design").fill("");
  await dialog.getByRole("combobox", { name: "What you sell" }).click();
  await page.getByRole("option", { name: "Food and drink" }).click();
  await dialog.getByRole("radio", { name: /^Our workshop/ }).click();
  await dialog.getByLabel("Name", { exact: true }).fill("Unsere Küche");
  await expect(dialog.getByLabel("Address")).toHaveValue("unsere-kuche");
  await dialog.getByLabel("Main menu").check();
  await dialog.getByRole("button", { name: "Make the page" }).click();
  await expect(page.getByRole("heading", { name: "Unsere Küche", level: 1 })).toBeVisible();
  await benchReady(page);
  await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toHaveText("In our kitchen");
  await expect(pane(page, "Wide").getByRole("navigation", { name: "Main menu" }).first()).toContainText("Unsere Küche");
  await kept(page);
  await publish(page);
  const answer = await askShop(page, host, "/unsere-kuche");
  expect(answer.status()).toBe(200);
  expect(await (await askShop(page, host)).text()).toContain('href="/unsere-kuche"');

  await page.getByRole("button", { name: "About this page" }).click();
  // Its name follows that of the page.
  const about = page.getByRole("dialog", { name: /^About “/ });
  await expectAccessible(page);
  await about.getByLabel("Address", { exact: true }).fill("cart");
  await about.getByLabel("Name", { exact: true }).click();
  await expect(about.getByRole("alert")).toContainText("/cart is an address of the shop itself");
  await about.getByLabel("Address", { exact: true }).fill("küche");
  await about.getByLabel("Name", { exact: true }).fill("Küche");
  await about.getByLabel("Title", { exact: true }).fill("Where it is cooked");
  await expect(about.getByRole("figure", { name: "In search results" })).toContainText("Where it is cooked");
  await about.getByRole("button", { name: "Close" }).click();
  await kept(page);
  await publish(page);
  const moved = await page.request.get(`http://127.0.0.1:${new URL(shopAt(host)).port}/unsere-kuche`, {
    headers: { Host: new URL(shopAt(host)).host },
    maxRedirects: 0,
  });
  expect([moved.status(), moved.headers().location]).toEqual([301, `${shopAt(host)}${encodeURI("/küche")}`]);
  expect(await (await askShop(page, host, encodeURI("/küche"))).text()).toContain("<title>Where it is cooked</title>");
  // The menu calls it what it is called now.
  expect(await (await askShop(page, host)).text()).toContain("<span>Küche</span>");
});

test("all pages at a glance are ordered and nested by hand and by keys, hidden, deleted, and brought back", async ({
  page,
}) => {
  await openShop(page, { area: "pages/all" });
  await expect(inTree(page, "Home")).toBeVisible();
  for (const name of ["Fair", "Loft"]) {
    await page.getByRole("button", { name: "New page" }).click();
    const dialog = page.getByRole("dialog", { name: "New page" });
    await dialog.getByRole("radio", { name: /^New page/ }).click();
    await dialog.getByLabel("Name", { exact: true }).fill(name);
    if (name === "Fair") await dialog.getByLabel("Footer menu").check();
    await dialog.getByRole("button", { name: "Make the page" }).click();
    await page.getByRole("button", { name, exact: true }).click();
    await page.getByRole("menuitem", { name: "All pages at a glance" }).click();
    await expect(inTree(page, name)).toBeVisible();
  }
  expect((await names(page)).slice(0, 4)).toEqual(["Home", "About us", "Fair", "Loft"]);
  await expect(inTree(page, "Loft")).toContainText("Nothing leads here");
  await expectAccessible(page);

  // By keys: into the one above, out again, and up.
  await inTree(page, "Loft").focus();
  await page.keyboard.press("Alt+ArrowRight");
  await expect(inTree(page, "Loft")).toHaveAttribute("aria-level", "2");
  await expect(inTree(page, "Loft")).toContainText("/fair/loft");
  await expect(inTree(page, "Loft")).toBeFocused();
  await page.keyboard.press("Alt+ArrowLeft");
  await expect(inTree(page, "Loft")).toHaveAttribute("aria-level", "1");
  await page.keyboard.press("Alt+ArrowUp");
  await expect.poll(() => names(page)).toEqual(expect.arrayContaining(["Loft", "Fair"]));
  expect((await names(page)).slice(0, 4)).toEqual(["Home", "About us", "Loft", "Fair"]);

  // By hand: beneath “About us”.
  const grip = (await inTree(page, "Fair").locator("> *").first().boundingBox())!;
  const about = (await inTree(page, "About us").boundingBox())!;
  await page.mouse.move(grip.x + 12, grip.y + 40);
  await page.mouse.down();
  await page.mouse.move(grip.x + 40, about.y + about.height - 10, { steps: 6 });
  await page.mouse.move(grip.x + 60, about.y + about.height - 4, { steps: 3 });
  await expect(page.getByText("Beneath About us")).toBeVisible();
  await page.mouse.up();
  await expect(inTree(page, "Fair")).toContainText("/about/fair");
  await page.keyboard.press("Control+z");
  await expect(inTree(page, "Fair")).toHaveAttribute("aria-level", "1");

  // What leads there is named before it goes, and can lead elsewhere.
  await inTree(page, "Fair").focus();
  await page.keyboard.press("Delete");
  const asked = page.getByRole("dialog", { name: "Delete “Fair”?" });
  await expect(asked.getByRole("list", { name: "What leads to it" })).toContainText("Footer menu");
  await asked.getByRole("button", { name: "Delete" }).click();
  await expect(inTree(page, "Fair")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(inTree(page, "Fair")).toContainText("Footer menu");
  await page.getByLabel("Find a page").fill("lof");
  await expect(atAGlance(page).getByRole("treeitem")).toHaveCount(1);
  await kept(page);
});

test("menus are made, filled, nested and shown; on the shop they open by keys and by touch, with and without a script", async ({
  page,
  browser,
}) => {
  const { host } = await openShop(page, { goods: GOODS });
  await benchReady(page);
  await fromPageMenu(page, "Menus …");
  const dialog = page.getByRole("dialog", { name: "Menus" });
  const main = dialog.getByRole("region", { name: "Main menu" });
  const item = (name: string) => main.getByRole("treeitem", { name, exact: true });
  await main.getByRole("button", { name: "Add an item" }).click();
  await main.getByLabel("Lead to …").fill("Windsocks");
  await page.getByRole("option", { name: "Windsocks", exact: true }).first().click();
  await expect(item("Windsocks")).toHaveAttribute("aria-selected", "true");
  await item("Windsocks").focus();
  await page.keyboard.press("Alt+ArrowRight");
  await expect(item("Windsocks")).toHaveAttribute("aria-level", "2");
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Close" }).click();
  await expect(dialog).toBeHidden();

  // What was added is selected, and seen where it stands: the item around it is open. With another one, it is closed.
  const wide = pane(page, "Wide");
  const inside = wide.locator(".nav").getByText("Windsocks");
  await expect(inside).toBeVisible();
  const mark = wide.locator("#zest-marks .zm-frame");
  await expect
    .poll(async () => Math.abs(((await mark.boundingBox())?.y ?? 0) - (await inside.boundingBox())!.y))
    .toBeLessThan(20);
  await inPlan(page, "Hero").click();
  await expect(inside).toBeHidden();

  // It is clicked where it is seen, and named there.
  await wide.locator(".nav > ul > li").nth(1).click();
  await expect(details(page).getByRole("heading", { name: "Menu item", level: 2 })).toBeVisible();
  await details(page).getByLabel("Words").fill("Who we are");
  await expect(wide.locator(".nav").getByText("Who we are").first()).toBeVisible();
  await kept(page);
  await publish(page);

  await page.goto(shopAt(host));
  const nav = page.getByRole("navigation", { name: "Main menu", exact: true });
  const opens = nav.locator("summary");
  await expect(nav.getByRole("link", { name: "Windsocks" })).toBeHidden();
  await opens.focus();
  await page.keyboard.press("Enter");
  await expect(nav.getByRole("link", { name: "Windsocks" })).toBeVisible();
  // It stands below its own item, within the window.
  const [list, word] = [(await nav.locator(".sub-list").boundingBox())!, (await opens.boundingBox())!];
  expect(list.y).toBeGreaterThanOrEqual(word.y + word.height - 2);
  expect(list.x).toBeGreaterThanOrEqual(0);
  expect(list.x + list.width).toBeLessThanOrEqual(1280);
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  await expect(nav.getByRole("link", { name: "Windsocks" })).toBeHidden();
  await expect(opens).toBeFocused();
  await opens.click();
  await nav.getByRole("link", { name: "Windsocks" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Windsocks");

  const context = await browser.newContext({
    javaScriptEnabled: false,
    viewport: { width: 390, height: 760 },
    hasTouch: true,
  });
  const phone = await context.newPage();
  await phone.goto(shopAt(host));
  await phone.locator(".drop > summary").tap();
  const sheet = phone.getByRole("navigation", { name: "Main menu, small screen" });
  await sheet.locator("summary").tap();
  const link = sheet.getByRole("link", { name: "Windsocks" });
  expect((await link.boundingBox())!.height).toBeGreaterThanOrEqual(44);
  await link.tap();
  await expect(phone.getByRole("heading", { level: 1 })).toHaveText("Windsocks");
  await context.close();
});

test("what goes out is chosen, what hangs together is said, and the rest waits", async ({ page }) => {
  const { host } = await openShop(page, { goods: GOODS });
  await benchReady(page);
  await publish(page);
  await fromPageMenu(page, "New page …");
  const dialog = page.getByRole("dialog", { name: "New page" });
  await dialog.getByRole("radio", { name: /^Care and repair/ }).click();
  await dialog.getByLabel("Main menu").check();
  await dialog.getByRole("button", { name: "Make the page" }).click();
  await benchReady(page);
  await kept(page);
  await page.getByRole("button", { name: /^Publish/ }).click();
  const asked = page.getByRole("dialog", { name: "Publish" });
  await expect(asked.getByRole("checkbox", { name: "All of it" })).toBeChecked();
  await expect(asked.getByRole("figure", { name: "As they will see it" })).toBeVisible();
  await expectAccessible(page);
  await asked.getByRole("checkbox", { name: "Publish Care and repair" }).uncheck();
  await expect(asked.getByRole("alert").first()).toContainText(
    "Main menu leads to “Care and repair”, which is not in the shop yet.",
  );
  await asked.getByRole("button", { name: "Publish it too" }).click();
  await expect(asked.getByRole("checkbox", { name: "Publish Care and repair" })).toBeChecked();
  await asked.getByRole("checkbox", { name: "Publish Main menu" }).uncheck();
  await asked.getByRole("button", { name: "Publish now" }).click();
  await expect(page.getByRole("heading", { name: "It is in the shop" })).toBeVisible();
  await page.getByRole("dialog").getByRole("button", { name: "Close" }).click();
  expect((await askShop(page, host, "/care-and-repair")).status()).toBe(200);
  expect(await (await askShop(page, host)).text()).not.toContain("care-and-repair");
  await expect(page.getByRole("button", { name: "Publish, 1 change" })).toBeVisible();
});

test("a section is copied to another page, kept as a piece, added from there, and taken to another shop as a file", async ({
  page,
  browser,
}) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Picture & words").click({ button: "right" });
  await page.getByRole("menuitem", { name: "Copy to another page …" }).click();
  await page
    .getByRole("dialog", { name: /^Copy Picture & words to/ })
    .getByRole("button", { name: /^About us/ })
    .click();
  await expect(page.getByText("copied to the end of “About us”")).toBeVisible();
  await inPlan(page, "Picture & words").click({ button: "right" });
  await page.getByRole("menuitem", { name: "Keep as your own piece …" }).click();
  const keep = page.getByRole("dialog", { name: "Keep as your own piece" });
  await keep.getByLabel("Name").fill("Our story");
  await keep.getByRole("button", { name: "Keep it" }).click();
  await expect(keep).toHaveCount(0);
  const count = await plan(page).getByRole("treeitem").count();
  const sheet = await openAdd(page);
  await sheet.getByRole("button", { name: "Add your piece Our story" }).click();
  await expect(plan(page).getByRole("treeitem")).toHaveCount(count + 1);
  await openAdd(page);
  await sheet.getByRole("button", { name: "More about Our story" }).click();
  const saved = page.waitForEvent("download");
  await page.getByRole("menuitem", { name: /^Save as a file/ }).click();
  const path = await (await saved).path();
  await page.keyboard.press("Escape");
  await kept(page);
  // A piece is the seller's own affair: nothing of it is in the shop, and nothing says that it will be.
  await page.getByRole("button", { name: /^Publish/ }).click();
  await expect(page.getByRole("dialog")).not.toContainText("Our story");

  const context = await browser.newContext();
  const other = await context.newPage();
  await openShop(other);
  await benchReady(other);
  const theirs = await openAdd(other);
  await theirs
    .getByLabel("A file with a piece")
    .setInputFiles({ name: "x.json", mimeType: "application/json", buffer: Buffer.from("[]") });
  await expect(other.getByText("This is not a file with a piece in it.")).toBeVisible();
  await theirs.getByLabel("A file with a piece").setInputFiles(path);
  await expect(theirs.getByRole("button", { name: "Add your piece Our story" })).toBeVisible();
  await context.close();
});

test("a new shop says what comes next, each step leads to its place, and the list can be put away", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  const next = page.getByRole("region", { name: "What next" });
  await expect(next).toContainText("0 of 6 done");
  await next.getByRole("button", { name: "The menu" }).click();
  await expect(details(page).getByRole("tree", { name: "Main menu" })).toBeVisible();
  await page.keyboard.press("Escape");
  await next.getByRole("link", { name: "Your colours and type" }).click();
  await expect(page.getByRole("complementary", { name: "Brand" })).toBeVisible();
  await page.goBack();
  await benchReady(page);
  await publish(page);
  // Whoever has published has chosen a look.
  await expect(next).toContainText("2 of 6 done");
  await next.getByRole("button", { name: "Put this list away" }).click();
  await expect(next).toHaveCount(0);
  await page.reload();
  await benchReady(page);
  await expect(next).toHaveCount(0);
});

test("a shop is closed for now, friends come in by a word, and its page is made on the bench", async ({
  page,
  browser,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await fromPageMenu(page, "Open or close the shop …");
  const asked = page.getByRole("dialog", { name: "Open or closed" });
  await asked.getByRole("radio", { name: "Closed for now" }).check();
  await asked.getByLabel("Password for friends").fill("sea breeze");
  await expectAccessible(page);
  await asked.getByRole("button", { name: "Save" }).click();
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Closed for now" }).click();
  await expect(page.getByRole("heading", { name: "Closed for now", level: 1 })).toBeVisible();
  await inPlan(page, "Text").click();
  await details(page).getByRole("textbox", { name: "Heading" }).fill("Back with the swallows");
  await expect(pane(page, "Phone").getByRole("heading", { level: 1 })).toHaveText("Back with the swallows");
  await kept(page);
  await publish(page);

  const context = await browser.newContext({ viewport: { width: 390, height: 760 } });
  const shopper = await context.newPage();
  await shopper.goto(`${shopAt(host)}/about`);
  await expect(shopper.getByRole("heading", { level: 1 })).toHaveText("Back with the swallows");
  await expectAccessible(shopper);
  await shopper.getByLabel("Do you have the password?").fill("wrong");
  await shopper.getByRole("button", { name: "Come in" }).click();
  await expect(shopper.getByRole("alert")).toHaveText("That is not the password.");
  await shopper.getByLabel("Do you have the password?").fill("sea breeze");
  await shopper.getByRole("button", { name: "Come in" }).click();
  await expect(shopper.getByRole("heading", { level: 1 })).toContainText("Welcome to");
  await context.close();
});

test("on a phone, pages at a glance and the designs of a new page keep to the window, and nothing lies over anything", async ({
  page,
}) => {
  await openShop(page, { area: "pages/all" });
  for (const width of [320, 390]) {
    await page.setViewportSize({ width, height: 760 });
    const row = inTree(page, "About us");
    await expect(row).toBeVisible();
    for (const name of ["About About us", "Open About us"]) {
      const box = (await row.getByRole("button", { name }).boundingBox())!;
      expect(box.x + box.width, `${name} at ${width}`).toBeLessThanOrEqual(width);
    }
    const title = (await row.getByText("About us", { exact: true }).boundingBox())!;
    const about = (await row.getByRole("button", { name: "About About us" }).boundingBox())!;
    expect(title.width).toBeGreaterThan(40);
    expect(title.x + title.width).toBeLessThanOrEqual(about.x + 1);
    await page.getByRole("button", { name: "New page" }).click();
    const dialog = page.getByRole("dialog", { name: "New page" });
    const designs = (await dialog.getByRole("radiogroup", { name: "Designs" }).boundingBox())!;
    const name = (await dialog.getByLabel("Name", { exact: true }).boundingBox())!;
    expect(name.y).toBeGreaterThanOrEqual(designs.y + designs.height - 1);
    await dialog.getByRole("button", { name: "Cancel" }).click();
    await expect(dialog).toHaveCount(0);
  }
});

test("the items of a menu are gone along by keys in Details, and the one that is chosen keeps the focus", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Header").click();
  const menu = details(page).getByRole("tree", { name: "Main menu" });
  await menu.getByRole("treeitem", { name: "Home" }).focus();
  await page.keyboard.press("ArrowDown");
  await expect(menu.getByRole("treeitem", { name: "About us" })).toBeFocused();
  // Going along selects nothing: what is shown stays the header's.
  await expect(details(page).getByRole("heading", { name: "Header", level: 2 })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(details(page).getByRole("heading", { name: "Menu item", level: 2 })).toBeVisible();
  await expect(menu.getByRole("treeitem", { name: "About us" })).toBeFocused();
  await page.keyboard.press("Delete");
  await expect(menu.getByRole("treeitem")).toHaveCount(1);
  // The header itself is still there.
  await expect(inPlan(page, "Header")).toBeVisible();
});

test("what search engines and shared links say is gone through, of pages and of goods", async ({ page }) => {
  const { host } = await openShop(page, { goods: "Title,Price\nJam,4.50\nHoney,6.00\n" });
  await benchReady(page);
  await page.keyboard.press("4");
  await page.getByRole("button", { name: "Search and sharing" }).click();
  const dialog = page.getByRole("dialog", { name: "Search and sharing" });
  const pages = dialog.getByRole("list", { name: "Pages" });
  await expect(pages.getByRole("listitem")).toHaveCount(2);
  await dialog.getByLabel("Title", { exact: true }).fill("Kites ".repeat(30));
  await expect(pages.getByRole("listitem").first()).toContainText("title too long");
  await expect(dialog.getByText("One to see to.")).toBeVisible();
  await dialog.getByLabel("Title", { exact: true }).fill("Kites from a small loft");
  await dialog.getByLabel("Description").fill("Single-line and two-line kites, sewn by hand.");
  await expect(pages.getByRole("listitem").first()).toContainText("in your words");
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Next: About us" }).click();
  await expect(dialog.getByRole("region", { name: "About us" })).toBeVisible();
  await dialog.getByLabel("Keep it out of search engines").check();
  await expect(pages.getByRole("listitem").nth(1)).toContainText("kept out of search engines");
  await expect(dialog.getByRole("button", { name: "That was the last" })).toBeDisabled();

  // What is written about a product is kept when the next one is gone to, and holds at once.
  await dialog.getByRole("button", { name: "Products" }).click();
  const goods = dialog.getByRole("list", { name: "Products" });
  await expect(goods.getByRole("listitem")).toHaveCount(2);
  await goods.getByRole("button", { name: /^Jam/ }).click();
  await expect(dialog.getByRole("region", { name: "Jam" })).toBeVisible();
  await dialog.getByLabel("Title", { exact: true }).fill("Plum jam from Skerrow");
  await dialog.getByLabel("Description").fill("Made in small pots.");
  await goods.getByRole("button", { name: /^Honey/ }).click();
  await expect(dialog.getByRole("region", { name: "Honey" })).toBeVisible();
  await expect(goods.getByRole("listitem").filter({ hasText: "Jam" })).toContainText("in your words");
  await dialog.getByLabel("Keep it out of search engines").check();
  await dialog.getByRole("button", { name: "Save" }).click();
  await expect(dialog.getByRole("button", { name: "Saved" })).toBeDisabled();
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Close" }).click();
  await expect(dialog).toBeHidden();
  await kept(page);
  await publish(page);
  const jam = await askShop(page, host, "/products/jam");
  expect(await jam.text()).toContain("<title>Plum jam from Skerrow</title>");
  const honey = await (await askShop(page, host, "/products/honey")).text();
  expect(honey).toContain('<meta name="robots" content="noindex">');
  const map = await (await askShop(page, host, "/sitemap.xml")).text();
  expect(map).toContain("/products/jam");
  expect(map).not.toContain("/products/honey");
});

test("a page says facts in fields of the seller’s own, and what stands on it takes its words from them", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await page.getByRole("button", { name: "About this page" }).click();
  const about = page.getByRole("dialog", { name: "About “Home”" });
  const own = about.getByRole("region", { name: "Own fields" });
  await own.getByLabel("New field for all pages").fill("Place");
  await own.getByRole("button", { name: "Add it" }).click();
  await own.getByRole("textbox", { name: "Place" }).fill("Whitby");
  await own.getByLabel("New field for all pages").fill("Place");
  await own.getByRole("button", { name: "Add it" }).click();
  await expect(about.getByText("Two fields have the same name.")).toBeVisible();
  await expectAccessible(page);
  await about.getByRole("button", { name: "Close" }).click();
  await addStart(page, "One column");
  await inPlan(page, "Heading").click();
  await details(page).getByRole("combobox", { name: "Taken from" }).click();
  await page.getByRole("option", { name: "Place", exact: true }).click();
  await expect(page.getByRole("listbox")).toHaveCount(0);
  await expect(pane(page, "Phone").getByRole("heading", { name: "Whitby" })).toBeVisible();
  await kept(page);
  await publish(page);
  await page.goto(shopAt(host));
  await expect(page.getByRole("heading", { name: "Whitby" })).toBeVisible();
});
