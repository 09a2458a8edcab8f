import { expect, test } from "@playwright/test";
import { benchReady, details, expectAccessible, inPlan, kept, openShop, publish, shopAt } from "./studio";

test("what goes out at a set time is planned, refused where it can't be, listed, and taken back", async ({ page }) => {
  await openShop(page);
  await benchReady(page);
  await publish(page);
  await inPlan(page, "Hero").click();
  await details(page).getByLabel("Heading", { exact: true }).fill("Spring sale");
  await kept(page);
  await page.getByRole("button", { name: /^Publish, 1 change/ }).click();
  const dialog = page.getByRole("dialog", { name: "Publish" });
  await dialog.getByRole("button", { name: "At a set time …" }).click();
  const form = dialog.getByRole("form", { name: "At a set time" });
  await form.getByLabel("Goes out").fill("2020-01-01T09:00");
  await form.getByRole("button", { name: "Plan it" }).click();
  await expect(form.getByText("That time has passed. Choose a later one.")).toBeVisible();
  const year = new Date().getFullYear() + 1;
  await form.getByLabel("Goes out").fill(`${year}-03-04T09:00`);
  await form.getByLabel("and goes back to what is there now").check();
  await form.getByLabel("Goes back", { exact: true }).fill(`${year}-03-01T09:00`);
  await form.getByRole("button", { name: "Plan it" }).click();
  await expect(form.getByText("It can only go back after it has gone out.")).toBeVisible();
  await form.getByLabel("Goes back", { exact: true }).fill(`${year}-03-11T18:30`);
  await expectAccessible(page);
  await form.getByRole("button", { name: "Plan it" }).click();
  const planned = dialog.getByRole("list", { name: "Planned" }).getByRole("listitem");
  await expect(planned).toHaveText(
    new RegExp(`^Home will go out on .*4 March ${year}.* 09:00, and back on .*11 March ${year}.* 18:30`),
  );
  await expect(form).toBeHidden();

  // It is there for whoever comes again, and can be taken back.
  await page.keyboard.press("Escape");
  await page.reload();
  await benchReady(page);
  await page.keyboard.press("y");
  const inYear = page.getByRole("region", { name: "The year" }).getByRole("img");
  await expect(inYear).toHaveCount(2);
  await expect(inYear.first()).toHaveAccessibleName(`Home: Is published 4 Mar ${year}, 09:00`);
  await expect(inYear.last()).toHaveAccessibleName(`Home: Goes back 11 Mar ${year}, 18:30`);
  await page.getByRole("button", { name: /^Publish, 1 change/ }).click();
  await planned.getByRole("button", { name: "Take back" }).click();
  await expect(planned).toHaveCount(0);
});

test("the draft is looked at on another device by a link, which can be left and ended", async ({ page, browser }) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await publish(page);
  await page.goto(`${page.url().split("?")[0]}?page=about`);
  await benchReady(page);
  await inPlan(page, "Text").click();
  await details(page).getByLabel("Heading", { exact: true }).fill("Not for everybody yet");
  await kept(page);
  await page.getByRole("button", { name: "Look at it on a phone" }).click();
  const dialog = page.getByRole("dialog", { name: "Look at it on a phone" });
  await expect(dialog.getByRole("img", { name: "The link as a QR code" })).toBeVisible();
  const link = await dialog.getByLabel("The link").inputValue();
  await expectAccessible(page);

  const context = await browser.newContext({ viewport: { width: 390, height: 760 }, hasTouch: true });
  const phone = await context.newPage();
  await phone.goto(link);
  await expect(phone).toHaveURL(`${shopAt(host)}/about`);
  await expect(phone.getByRole("heading", { name: "Not for everybody yet" })).toBeVisible();
  await expect(phone.getByText("This is the draft.")).toBeVisible();
  await expectAccessible(phone);
  const strip = (await phone.getByRole("complementary", { name: "Draft" }).boundingBox())!;
  expect(strip.x + strip.width).toBeLessThanOrEqual(390);
  await phone.getByRole("link", { name: "Leave the draft" }).tap();
  await expect(phone.getByText("This is the draft.")).toBeHidden();
  await phone.goto(`${shopAt(host)}/about`);
  await expect(phone.getByRole("heading", { name: "Not for everybody yet" })).toBeHidden();

  await dialog.getByRole("button", { name: "End all links" }).click();
  await expect(dialog.getByText("All links have ended.")).toBeVisible();
  await phone.goto(link);
  await expect(phone.getByText("This link has ended")).toBeVisible();
  await context.close();
});
