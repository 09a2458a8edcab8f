import { expect, test } from "@playwright/test";
import {
  area,
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openAdd,
  openShop,
  pane,
  plan,
  publish,
  shopAt,
} from "./studio";

test("contact, hours and links elsewhere are written once, checked where they are written, and shown by rows of widgets", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await area(page, "Brand");
  await page.getByRole("button", { name: "Contact and hours" }).click();
  const group = page.getByRole("region", { name: "Contact and hours" });
  await group.getByLabel("Mail address").fill("hello@");
  await group.getByLabel("Phone number").fill("+44 (0)1632 960 144");
  await expect(group.getByText("Write a mail address like hello@shop.example.")).toBeVisible();
  await group.getByLabel("Mail address").fill("hello@kites.example");
  await expect(group.getByText("Write a mail address like hello@shop.example.")).toBeHidden();
  await group.getByLabel("Address", { exact: true }).fill("The Net Loft\nSkerrow Bay");
  await group.getByRole("button", { name: "Add opening hours" }).click();
  for (const day of ["Monday", "Tuesday", "Wednesday", "Sunday"])
    await group.getByRole("button", { name: day, exact: true }).click();
  for (const address of ["https://films.example/kites", "https://www.pictures.example/kites"]) {
    await group.getByRole("button", { name: "Add a link" }).click();
    await group.getByLabel("Address of your page there").fill("pictures");
    await group.getByRole("button", { name: "Add it" }).click();
    await expect(group.getByText("Write a web address like https://example.com/shop.")).toBeVisible();
    await group.getByLabel("Address of your page there").fill(address);
    await group.getByRole("button", { name: "Add it" }).click();
  }
  // In an order by keys, as by hand.
  const places = group.getByRole("tree", { name: "Where else you are" }).getByRole("treeitem");
  await expect(places).toHaveText(["films.example", "pictures.example"]);
  await places.nth(1).focus();
  await page.keyboard.press("Alt+ArrowUp");
  await expect(places).toHaveText(["pictures.example", "films.example"]);
  await expectAccessible(page);
  await kept(page);

  // A header and a footer of rows take the place of those of a fixed form.
  await area(page, "Pages");
  await benchReady(page);
  for (const name of ["Header", "Footer"]) {
    await inPlan(page, name).click();
    await page.keyboard.press("Delete");
    await expect(inPlan(page, name)).toHaveCount(0);
  }
  for (const start of ["Header row: how to reach you", "Header row: logo, menu", "Footer row: logo, two menus"]) {
    const sheet = await openAdd(page);
    await sheet.getByRole("button", { name: new RegExp(`^Add Freehand: ${start}`) }).click();
    await expect(sheet).toBeHidden();
  }
  await expect(plan(page).getByRole("treeitem", { name: /^Header row/ })).toHaveCount(2);
  await expect(pane(page, "Wide").getByText("Thu–Sat 10:00–17:00")).toBeVisible();
  await kept(page);
  await publish(page);

  await page.goto(shopAt(host));
  await expectAccessible(page);
  const reach = page.getByRole("region", { name: "Bottom of the page, row 1" });
  await expect(reach.getByRole("link", { name: "hello@kites.example" })).toHaveAttribute(
    "href",
    "mailto:hello@kites.example",
  );
  const top = page.getByRole("region", { name: "Top of the page, row 1" });
  await expect(top.getByRole("link", { name: /1632/ })).toHaveAttribute("href", "tel:+4401632960144");
  await expect(top.getByRole("link", { name: "pictures.example" })).toHaveAttribute("href", /^https:/);
  const data = (await page.locator('script[type="application/ld+json"]').allTextContents()).join();
  for (const said of ["hello@kites.example", "https://schema.org/Saturday", "https://films.example/kites"])
    expect(data).toContain(said);

  // On a phone the row keeps to the window, its parts beside each other, and the menu opens over its full width.
  await page.setViewportSize({ width: 390, height: 760 });
  const row = page.getByRole("region", { name: "Top of the page, row 2" });
  const boxes = await Promise.all(
    [row.locator(".wordmark"), row.locator(".drop > summary")].map(async (each) => (await each.boundingBox())!),
  );
  expect(boxes[0]!.x + boxes[0]!.width).toBeLessThanOrEqual(boxes[1]!.x);
  expect(boxes[1]!.x + boxes[1]!.width).toBeLessThanOrEqual(390);
  await row.locator(".drop > summary").click();
  const list = (await row.locator(".drop nav > ul").boundingBox())!;
  expect([list.x, list.width]).toEqual([0, 390]);
  await page.keyboard.press("Escape");
  await expect(row.locator(".drop")).not.toHaveAttribute("open");
});

test("a page has a header of its own, does without the footer, and goes back to the shop’s", async ({ page }) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await page.getByRole("button", { name: /^Home/ }).click();
  await page.getByRole("menuitem", { name: "About us" }).click();
  const wide = pane(page, "Wide");
  await expect(wide.locator(".s-text")).toBeVisible();
  await inPlan(page, "Header").click();
  const note = details(page).getByText("Part of the shop’s header: changes are for every page.");
  await expect(note).toBeVisible();
  await details(page).getByRole("button", { name: "Another header on this page" }).click();
  await expect(details(page).getByText("Part of this page’s own header.")).toBeVisible();
  await details(page).getByRole("radio", { name: "Menu behind a button" }).click();
  await expect(wide.locator(".s-header")).toHaveClass(/a-drawer/);

  await page.getByRole("button", { name: "About this page" }).click();
  const about = page.getByRole("dialog", { name: /^About “About us”/ });
  await expect(about.getByRole("combobox", { name: "Header" })).toHaveText("One of its own");
  await about.getByRole("combobox", { name: "Footer" }).click();
  await page.getByRole("option", { name: "None" }).click();
  await about.getByRole("button", { name: "Close" }).click();
  await expect(about).toBeHidden();
  await expect(wide.locator(".s-footer")).toHaveCount(0);
  await kept(page);
  await publish(page);

  const shop = await page.context().newPage();
  await shop.goto(`${shopAt(host)}/about`);
  await expect(shop.locator(".s-header")).toHaveClass(/a-drawer/);
  await expect(shop.locator(".s-footer")).toHaveCount(0);
  await shop.goto(shopAt(host));
  await expect(shop.locator(".s-header")).not.toHaveClass(/a-drawer/);
  await expect(shop.locator(".s-footer")).toBeVisible();

  await inPlan(page, "Header").click();
  await details(page).getByRole("button", { name: "Back to the shop’s header" }).click();
  await expect(note).toBeVisible();
  await expect(wide.locator(".s-header")).not.toHaveClass(/a-drawer/);
  await page.getByRole("button", { name: /^Undo: About us: the shop’s header/ }).click();
  await expect(wide.locator(".s-header")).toHaveClass(/a-drawer/);
});
