import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import {
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openDemo,
  openShop,
  pane,
  publish,
  shopAt,
} from "./studio";

test("a journal is made, a post is written and dated, and shoppers find it by its tag and in the feed", async ({
  page,
  browser,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  const pages = page.getByRole("button", { name: "Home", exact: true });
  await pages.click();
  await page.getByRole("menuitem", { name: "New page …" }).click();
  const making = page.getByRole("dialog", { name: "New page" });
  await making.getByLabel("Find a design").fill("blog");
  await making.getByRole("radio", { name: /^Journal/ }).click();
  await making.getByRole("checkbox", { name: "Main menu" }).check();
  await making.getByRole("button", { name: "Make the page" }).click();
  await expect(pane(page, "Wide").getByRole("heading", { name: "Journal", level: 1 })).toBeVisible();

  await page.getByRole("button", { name: "Journal", exact: true }).click();
  await page.getByRole("menuitem", { name: "Posts …" }).click();
  const list = page.getByRole("dialog", { name: "Posts of “Journal”" });
  await expect(list).toContainText("Nothing is written yet");
  await list.getByRole("button", { name: "New post" }).click();
  await page.getByRole("dialog", { name: "New post" }).getByLabel("Title").fill("A calm week");
  await page.keyboard.press("Enter");
  // It is written where it stands; its title is above it, from the layout of posts.
  await expect(pane(page, "Wide").getByRole("heading", { name: "A calm week", level: 1 })).toBeVisible();
  await expect(inPlan(page, "Text")).toHaveAttribute("aria-selected", "true");
  await details(page).getByLabel("Text", { exact: true }).fill("No wind at all, and nobody minded.");
  await expect(pane(page, "Phone").locator(".s-text")).toContainText("nobody minded");
  // What all posts have is changed for all of them.
  await pane(page, "Wide").locator(".s-post-head h1").click();
  await expect(details(page)).toContainText("changes are for every post");
  await details(page).getByRole("checkbox", { name: "How long it takes to read" }).uncheck();

  await page.getByRole("button", { name: "About this page" }).click();
  const about = page.getByRole("dialog", { name: "About “A calm week”" });
  await about.getByLabel("Author").fill("Ines");
  await about.getByLabel("Tags").fill("Wind");
  await page.keyboard.press("Enter");
  await about.getByLabel("From", { exact: true }).fill("2026-03-01T09:30");
  await about.getByLabel("Summary").fill("A week without wind.");
  await about.getByRole("switch", { name: "Not in the shop yet" }).check();
  await expect(about.getByRole("switch", { name: "In the shop", exact: true })).toBeChecked();
  await expectAccessible(page);
  await about.getByRole("button", { name: "Close" }).click();
  await kept(page);
  await publish(page);

  const shopper = await browser.newPage({ viewport: { width: 390, height: 760 } });
  await shopper.goto(`${shopAt(host)}/journal`);
  await expectAccessible(shopper);
  await shopper.getByRole("link", { name: "A calm week" }).click();
  await expect(shopper).toHaveURL(/\/journal\/a-calm-week$/);
  await expect(shopper.getByText("1 March 2026")).toBeVisible();
  await expect(shopper.getByText("min read")).toBeHidden();
  await expectAccessible(shopper);
  await shopper.getByRole("link", { name: "Wind", exact: true }).click();
  await expect(shopper).toHaveURL(/\/journal\/tag\/wind$/);
  await expect(shopper.getByText("A week without wind.")).toBeVisible();
  expect(await shopper.evaluate(async () => (await fetch("/journal/feed.xml")).text())).toContain(
    "<title>A calm week</title>",
  );
  await shopper.close();
});

test("posts come in from Markdown files, seen first, and go out as files that come in again", async ({ page }) => {
  await openDemo(page);
  await benchReady(page);
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Posts …" }).click();
  const posts = page.getByRole("dialog", { name: "Posts of “Journal”" });
  const download = page.waitForEvent("download");
  await posts.getByRole("button", { name: "Take out" }).click();
  const archive = await (await download).path();
  await posts.getByRole("button", { name: "Bring in …" }).click();
  const dialog = page.getByRole("dialog", { name: "Bring posts into “Journal”" });
  const files = dialog.getByLabel("Files with posts");
  // What went out is read, and not taken twice by itself.
  await files.setInputFiles({ name: "out.zip", mimeType: "application/zip", buffer: readFileSync(archive) });
  const found = dialog.getByRole("list", { name: "Posts in the files" }).getByRole("listitem");
  await expect(found).toHaveCount(4);
  await expect(found.first().getByText("A post of this title is there already.")).toBeVisible();
  await expect(dialog.getByRole("button", { name: "Bring in", exact: true })).toBeDisabled();
  const markdown =
    "---\ntitle: A gale in May\ndate: 2026-05-04\ntags: [wind]\n---\nIt blew **hard**.\n\n- the line\n\n![x](y.png)";
  await files.setInputFiles([
    { name: "gale.md", mimeType: "text/markdown", buffer: Buffer.from(markdown) },
    { name: "letter.docx", mimeType: "application/msword", buffer: Buffer.from("nothing") },
  ]);
  await expect(dialog.getByText("letter.docx is neither Markdown nor a feed.")).toBeVisible();
  await expect(found).toHaveCount(1);
  await expect(found.getByText("Stays out: 1 picture.")).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Bring in (1)" }).click();
  await posts.getByRole("button", { name: /^A gale in May/ }).click();
  const wide = pane(page, "Wide");
  await expect(wide.getByRole("heading", { name: "A gale in May" })).toBeVisible();
  await expect(wide.getByRole("listitem").filter({ hasText: "the line" })).toBeVisible();
  await expect(wide.locator("strong").filter({ hasText: "hard" })).toBeVisible();
  // The demo shop is left as it was.
  await page.keyboard.press("Control+z");
  await expect(wide.getByRole("heading", { name: "A gale in May" })).toHaveCount(0);
  await kept(page);
});
