import { expect, test, type Page } from "@playwright/test";
import { area, benchReady, details, expectAccessible, inPlan, kept, openShop, publish, shopAt } from "./studio";

const GOODS = "SKU,Title,Price,Stock\nKITE,Delta kite,64.00,20\nTAIL,Spinner tail,12.00,20";

const seasons = (page: Page) => page.getByRole("list", { name: "Seasons" });
const offers = (page: Page) => page.getByRole("list", { name: "Offers" });
const belongs = (page: Page) => page.getByRole("list", { name: "What belongs to it" });
const word = (page: Page, label: string) => page.getByRole("button", { name: new RegExp(`^${label}:`) });
const season = (page: Page) => page.getByRole("textbox", { name: "Name of the season" });

async function setDate(page: Page, which: "From" | "Until", clock: string): Promise<void> {
  await word(page, `${which} when`).click();
  const dialog = page.getByRole("dialog", { name: `${which} when` });
  await dialog.getByLabel(which, { exact: true }).fill(clock);
  await page.keyboard.press("Escape");
  await expect(dialog).toBeHidden();
}

test("a season is begun, moved with all of it, put on, published, copied to the next year, and removed", async ({
  page,
}) => {
  const { host } = await openShop(page, { goods: GOODS, area: "offers" });
  await expectAccessible(page);
  await page.getByRole("button", { name: /^Sale ?Two weeks/ }).click();
  await expect(season(page)).toHaveValue("Sale");
  await expect(page.getByRole("switch")).not.toBeChecked();
  await expect(belongs(page).getByRole("listitem")).toHaveCount(3);
  await expect(belongs(page)).toContainText("Notice strip “{percent} off until {ends}”");

  await test.step("what belongs to it moves along", async () => {
    const year = new Date().getFullYear();
    await setDate(page, "From", `${year}-01-01T00:00`);
    await setDate(page, "Until", `${year + 1}-02-01T00:00`);
    await expect(seasons(page).getByRole("button", { name: /^Sale/ })).toContainText(
      `1 Jan ${year} to 31 Jan ${year + 1}`,
    );
    // Nothing of it has other dates, or is there when the season is not.
    await expect(belongs(page)).not.toContainText("Jan");
    await page.getByRole("button", { name: "The year" }).click();
    const bars = page
      .getByRole("region", { name: "The year" })
      .getByRole("button", { name: /1 Jan .* until the end of 31 Jan/ });
    await expect(bars).toHaveCount(4);
    await bars.first().press("ArrowRight");
    await expect(
      page.getByRole("region", { name: "The year" }).getByRole("button", { name: /from 2 Jan/ }),
    ).toHaveCount(4);
    // Where the dial stands at the beginning, as on the first of a month, its handle lies over nothing.
    const dial = page.getByRole("slider", { name: "Day that all panes show" });
    await dial.press("Home");
    const handle = (await page.locator(".MuiSlider-thumb").boundingBox())!;
    const close = page.getByRole("button", { name: "Close the year" });
    expect((await close.boundingBox())!.width + (await close.boundingBox())!.x).toBeLessThan(handle.x);
    await close.click();
    await expectAccessible(page);
  });

  await test.step("it is put on as a whole, and what of it is not is said", async () => {
    await page.getByRole("switch").click();
    await expect(page.getByText("On, once it is published")).toBeVisible();
    await offers(page).getByRole("button", { name: /^Sale/ }).click();
    await expect(page.getByRole("switch")).toBeChecked();
    await expect(page.getByRole("combobox", { name: "Belongs to the season" })).toContainText("Sale");
    await page.getByRole("switch").click();
    await seasons(page).getByRole("button", { name: /^Sale/ }).click();
    await expect(belongs(page)).toContainText("It is off, but the season is on.");
    await expect(belongs(page)).toContainText("It speaks of “Sale”, which is off.");
    await page.getByRole("button", { name: /^Undo: / }).click();
    await expect(belongs(page)).not.toContainText("off, but");
  });

  await test.step("a section of a page joins it, and gets its dates", async () => {
    await area(page, "Pages");
    await benchReady(page);
    await inPlan(page, "Hero").click();
    const when = details(page).getByRole("region", { name: "When it shows" });
    await when.getByRole("combobox", { name: "Belongs to the season" }).click();
    await page.getByRole("option", { name: /^Sale/ }).click();
    await expect(when.getByRole("button", { name: /^From when: from 2 Jan/ })).toBeVisible();
    await area(page, "Offers");
    await seasons(page).getByRole("button", { name: /^Sale/ }).click();
    await belongs(page)
      .getByRole("button", { name: /^Take out Hero/ })
      .click();
    await expect(belongs(page).getByRole("listitem")).toHaveCount(3);
  });

  await kept(page);
  await publish(page);

  await test.step("it is copied to the next year, switched off, and removed again", async () => {
    await page.getByRole("button", { name: "Copy to the next year" }).click();
    const next = new Date().getFullYear() + 1;
    await expect(season(page)).toHaveValue(`Sale ${next}`);
    await expect(page.getByRole("switch")).not.toBeChecked();
    await expect(belongs(page)).toContainText(`“Sale ${next}”`);
    await page.getByRole("button", { name: "Remove this season" }).click();
    await page.getByRole("menuitem", { name: /with all that belongs/ }).click();
    await expect(seasons(page).getByRole("listitem")).toHaveCount(1);
    await expect(offers(page).getByRole("listitem")).toHaveCount(1);
    await kept(page);
  });

  await test.step("shoppers see its notice, its prices and how long it lasts", async () => {
    await page.goto(shopAt(host));
    await expect(page.locator(".s-notice", { hasText: /15% off until 1 February/ })).toBeVisible();
    await page.goto(`${shopAt(host)}/collections/all`);
    await expect(page.locator(".price", { hasText: "€54.40" }).first()).toBeVisible();
  });
});
