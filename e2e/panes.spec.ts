import { expect, test, type Page } from "@playwright/test";
import { openDemo, openShop } from "./owners";
import { area, benchReady, details, inPlan, kept, pane } from "./studio";

type PaneName = Parameters<typeof pane>[1];

/** How high each section of a pane is, in px, as text. */
const heights = (page: Page, name: PaneName) =>
  pane(page, name)
    .locator("[data-level=section]")
    .evaluateAll((all) =>
      all.map((e) => `${e.className.split(" ")[1]} ${e.getBoundingClientRect().height.toFixed(1)}`),
    );

/** Whether the top of a part is within what its pane shows. */
const isInView = (page: Page, name: PaneName, part: string) =>
  pane(page, name)
    .locator(part)
    .first()
    .evaluate((e) => {
      const { top, bottom } = e.getBoundingClientRect();
      return bottom > 20 && top < innerHeight - 20;
    });

test("what is empty shows itself only in the section that is worked on, and takes no room there", async ({ page }) => {
  await openShop(page);
  await benchReady(page);
  await page.keyboard.press("v");
  await expect(page.getByRole("button", { name: "As shoppers see it" })).toHaveAttribute("aria-pressed", "true");
  const bare = { phone: await heights(page, "Phone"), wide: await heights(page, "Wide") };
  await page.keyboard.press("v");
  await expect(page.getByRole("button", { name: "As shoppers see it" })).toHaveAttribute("aria-pressed", "false");
  const over = pane(page, "Wide").locator(".s-hero .over");
  await expect(over).toBeHidden();
  for (const section of ["Hero", "Goods", "Picture & words", "Sign-up"]) {
    await inPlan(page, section).click();
    await expect(details(page).getByRole("heading", { name: section, level: 2 })).toBeVisible();
    if (section === "Hero") await expect(over).toBeVisible();
    expect(await heights(page, "Phone"), section).toEqual(bare.phone);
    expect(await heights(page, "Wide"), section).toEqual(bare.wide);
  }
  await expect(over).toBeHidden();
});

test("a tablet takes the place of either pane, and a pane can be had at full size", async ({ page }) => {
  await openDemo(page);
  await benchReady(page);
  await page.getByRole("button", { name: "This pane shows: Wide" }).click();
  await page.getByRole("menuitemradio", { name: "Tablet, 820 px wide" }).click();
  const tablet = page.getByRole("region", { name: "Tablet pane" });
  await expect(tablet).toBeVisible();
  expect(
    await pane(page, "Tablet")
      .locator("body")
      .evaluate(() => innerWidth),
  ).toBe(820);
  // What is worked on for tablets is seen there.
  await inPlan(page, "Goods, 4").click();
  await page
    .getByRole("group", { name: "Whom a change of style is for" })
    .getByRole("button", { name: "Tablet" })
    .click();
  await details(page).getByRole("group", { name: "Side by side" }).getByRole("button", { name: "2" }).click();
  const columns = (name: PaneName) =>
    pane(page, name)
      .locator(".s-product-grid >> nth=0")
      .evaluate((e) => getComputedStyle(e).getPropertyValue("--columns"));
  expect([await columns("Tablet"), await columns("Phone")]).toEqual(["2", "2"]);
  await details(page).getByRole("group", { name: "Side by side" }).getByRole("button", { name: "3" }).click();
  await expect.poll(() => columns("Tablet")).toBe("3");
  expect(await columns("Phone")).toBe("2");
  // One step, or two where the machine was slow between them.
  const undo = page.getByRole("button", { name: /^Undo: / });
  while (await undo.isVisible()) await undo.click();
  await kept(page);

  await tablet.getByRole("button", { name: /^Full size; now at \d\d %$/ }).click();
  const full = tablet.getByRole("button", { name: "Full size; now at 100 %" });
  await expect(full).toHaveAttribute("aria-pressed", "true");
  const frame = (await tablet.locator("iframe").boundingBox())!;
  expect(Math.round(frame.width)).toBe(820);
  // Nothing of the studio is pushed out of the window.
  expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBeLessThanOrEqual(0);
  await full.click();
  await expect(tablet.getByRole("button", { name: /^Full size; now at \d\d %$/ })).toBeVisible();
});

test("what is selected stays selected and in view after another area, and the plan brings it back into view", async ({
  page,
}) => {
  await openDemo(page);
  await benchReady(page);
  await inPlan(page, "Sign-up").click();
  await expect.poll(() => isInView(page, "Wide", ".s-sign-up")).toBe(true);
  await area(page, "Brand");
  await benchReady(page);
  await area(page, "Pages");
  await benchReady(page);
  await expect(details(page).getByRole("heading", { name: "Sign-up", level: 2 })).toBeVisible();
  await expect.poll(() => isInView(page, "Wide", ".s-sign-up")).toBe(true);
  await expect.poll(() => isInView(page, "Phone", ".s-sign-up")).toBe(true);
  await pane(page, "Wide")
    .locator("body")
    .evaluate(() => scrollTo(0, 0));
  await expect.poll(() => isInView(page, "Wide", ".s-sign-up")).toBe(false);
  await inPlan(page, "Sign-up").click();
  await expect.poll(() => isInView(page, "Wide", ".s-sign-up")).toBe(true);

  // Another page is found again as well.
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "About us" }).click();
  await expect(page.getByRole("button", { name: "About us", exact: true })).toBeVisible();
  await area(page, "Pictures");
  await area(page, "Pages");
  await expect(page.getByRole("button", { name: "About us", exact: true })).toBeVisible();
});

test("style for one device alone is said above the panes as long as it lasts; what is moved then is moved for all", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Goods").click();
  await page.keyboard.press("p");
  const chip = page.getByRole("button", { name: "◆ Style for phones only" });
  await expect(chip).toBeVisible();
  await expect(
    details(page).getByText(/is changed for phones only\. Words, pictures and order are the same/),
  ).toBeVisible();
  await page.keyboard.press("Alt+ArrowRight");
  await expect(page.getByText(/, on all devices\. Only style can differ between devices\./)).toBeVisible();
  // It lasts from one part to the next, and until somebody ends it.
  await inPlan(page, "Hero").click();
  await expect(chip).toBeVisible();
  await chip.click();
  await expect(chip).toHaveCount(0);
  await expect(details(page).getByText("Changes of style are for all devices.")).toBeVisible();
});

test("by the Tab key the plan comes soon, and each pane is one stop until Enter", async ({ page }) => {
  await openDemo(page);
  await benchReady(page);
  const focused = () =>
    page.evaluate(() => {
      const e = document.activeElement!;
      return e.tagName === "IFRAME"
        ? "inside a pane"
        : e.closest("[role=treeitem]")
          ? "plan"
          : (e.getAttribute("aria-label") ?? e.textContent ?? "").slice(0, 40);
    });
  const stops: string[] = [];
  await page.locator("body").focus();
  for (let i = 0; i < 60 && !stops.at(-1)?.startsWith("Wide view"); i++) {
    await page.keyboard.press("Tab");
    stops.push(await focused());
  }
  expect(stops.at(-1)).toMatch(/^Wide view of the page/);
  expect(stops.indexOf("plan"), stops.join("\n")).toBeLessThan(22);
  expect(stops.filter((s) => s === "plan")).toHaveLength(1);
  expect(stops).not.toContain("inside a pane");
  // In, along its own links, and out again to where one was.
  await page.keyboard.press("Enter");
  await expect.poll(focused).toBe("inside a pane");
  await page.keyboard.press("Tab");
  expect(await focused()).toBe("inside a pane");
  await page.keyboard.press("Escape");
  await expect.poll(focused).toMatch(/^Wide view of the page/);
});
