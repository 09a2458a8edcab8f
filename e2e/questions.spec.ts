import { expect, test } from "@playwright/test";
import {
  addSection,
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openShop,
  pane,
  publish,
  shopAt,
} from "./studio";

test("questions are written, grouped, folded without a script, and searched in where there is one", async ({
  page,
  browser,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await addSection(page, "Questions", "Folded", "faq");
  const list = details(page).getByRole("group", { name: "Questions" });
  await expect(list.getByRole("button", { name: "How do I order?", exact: true })).toBeVisible();
  await list.getByRole("button", { name: "Add a question" }).click();
  await list.getByLabel("Question", { exact: true }).fill("Do you mend kites?");
  await list.getByLabel("Begins a group called").fill("After you bought");
  await expect(pane(page, "Wide").getByRole("heading", { name: "After you bought" })).toBeVisible();
  // The answer is written where it stands, which opens for it.
  await list.getByRole("button", { name: /^Write in the pane/ }).click();
  const writing = pane(page, "Wide").locator(".asked-body [contenteditable=true]");
  await expect(writing).toBeFocused();
  await page.keyboard.type("Yes, all that are ours.");
  await page.keyboard.press("Escape");
  await expect(pane(page, "Phone").locator(".asked").last()).toContainText("Yes, all that are ours.");
  await details(page).getByRole("checkbox", { name: "Shoppers can search in them" }).check();
  await expect(inPlan(page, "Questions")).toHaveAttribute("aria-selected", "true");
  await kept(page);
  await publish(page);

  const plain = await browser.newPage({ javaScriptEnabled: false, viewport: { width: 390, height: 760 } });
  await plain.goto(shopAt(host));
  const section = plain.locator(".s-questions");
  await expect(section.getByText("Yes, all that are ours.")).toBeHidden();
  await section.getByText("Do you mend kites?").click();
  await expect(section.getByText("Yes, all that are ours.")).toBeVisible();
  await expect(section.getByLabel("Search in the questions")).toBeHidden();
  // Closed ones take no more room than their words and the space around them.
  const closed = (await section.locator(".asked-head").first().boundingBox())!;
  expect(closed.height).toBeLessThan(64);
  expect((await section.locator(".asked").first().boundingBox())!.height - closed.height).toBeLessThan(4);
  await plain.close();

  await page.goto(shopAt(host));
  await expectAccessible(page);
  await page.getByLabel("Search in the questions").fill("THAT ARE OURS");
  await expect(page.locator(".asked:visible")).toHaveCount(1);
  await expect(page.getByText("Yes, all that are ours.")).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "1 of 4" })).toBeVisible();
});
