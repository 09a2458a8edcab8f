import { expect, type FrameLocator, type Locator, type Page } from "@playwright/test";
import { violationsOf } from "./axe";
import { openDemo, somebody } from "./owners";
import { SHOP_PORT, STUDIO } from "./place";

export { openDemo, openShop } from "./owners";
export { STUDIO } from "./place";
export const shopAt = (host: string) => `http://${host}.localhost:${SHOP_PORT}`;
export const DEMO = shopAt("larkspindle");

/** Asks a shop without a browser. Node does not resolve names below `localhost` by itself, so the name goes into the head. */
export const askShop = (page: Page, host: string, path = "/") =>
  page.request.get(`http://127.0.0.1:${SHOP_PORT}${path}`, {
    headers: { Host: `${host}.localhost:${SHOP_PORT}` },
  });

/** The demo shop on the bench, its owner signed in. */
export async function signInToDemo(page: Page): Promise<void> {
  await openDemo(page);
  await benchReady(page);
}

/** An account and a shop as a new seller makes them, by hand; ends where a theme is chosen. */
export async function openShopByHand(page: Page) {
  const shop = somebody();
  await page.goto(`${STUDIO}/account`);
  await page.getByLabel("Your name").fill("Owner");
  await page.getByLabel("Mail address").fill(shop.address);
  await page.getByLabel("Password").fill(shop.password);
  await page.getByRole("button", { name: "Make the account" }).click();
  await page.getByLabel("Shop name").fill(shop.name);
  await page.getByLabel("Web address").fill(shop.host);
  await page.getByRole("button", { name: "Open it and choose a theme" }).click();
  await expect(page.getByRole("heading", { name: "Choose a theme" })).toBeVisible();
  return shop;
}

/** Waits until both panes are drawn and can be worked in. */
export async function benchReady(page: Page): Promise<void> {
  await page.locator("[data-panes-ready]").waitFor();
  await pane(page, "Wide").locator("#main").waitFor();
}

export const pane = (page: Page, name: "Phone" | "Tablet" | "Wide"): FrameLocator =>
  page.frameLocator(`iframe[title^="${name} view"]`);
export const plan = (page: Page): Locator => page.getByRole("tree", { name: "Plan of the page" });
export const inPlan = (page: Page, name: string): Locator =>
  plan(page).getByRole("treeitem", { name: new RegExp(`^${name}`) });
/** Opens Add by its key and waits until it has come up: before, a press would land beside what it is meant for. */
export async function openAdd(page: Page): Promise<Locator> {
  await page.keyboard.press("a");
  const sheet = page.getByRole("dialog", { name: "Add a section" });
  await expect(sheet.getByLabel("Find")).toBeFocused();
  await atRest(page);
  return sheet;
}

/** Adds a section after the hero, in one of its arrangements or settings out, found by typing. */
export async function addSection(page: Page, kind: string, name: string, sought = name): Promise<void> {
  await inPlan(page, "Hero").click();
  const sheet = await openAdd(page);
  await sheet.getByLabel("Find").fill(sought);
  await sheet.getByRole("button", { name: `Add ${kind}: ${name}`, exact: true }).click();
  await expect(inPlan(page, kind)).toHaveAttribute("aria-selected", "true");
  await expect(sheet).toBeHidden();
}

/** Adds a freehand section in one of its settings out. */
export const addStart = (page: Page, name: string): Promise<void> => addSection(page, "Freehand", name);

/**
 * Takes hold of a handle in a pane and moves it by so many pixels. Panes follow one another and go to what was chosen, so a
 * handle is taken only once it stands still; that it has been taken is seen while it is held.
 */
export async function dragHandle(page: Page, handle: Locator, dx: number, held: Locator): Promise<void> {
  let before = "";
  await expect
    .poll(async () => {
      const [now, last] = [JSON.stringify(await handle.boundingBox()), before];
      before = now;
      return now === last;
    })
    .toBe(true);
  await handle.hover();
  const at = (await handle.boundingBox())!;
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
  await page.mouse.down();
  await page.mouse.move(x + dx * 0.6, y, { steps: 6 });
  await page.mouse.move(x + dx, y, { steps: 4 });
  await expect(held).toBeVisible();
  await page.mouse.up();
}

export const details = (page: Page): Locator => page.getByRole("complementary", { name: "Details" });

/** Every change has reached the server. */
export const kept = (page: Page) =>
  expect(page.getByRole("status").filter({ hasText: /^Saved \d\d:\d\d/ })).toBeVisible();

/** Goes to an area by its name in the top bar. */
export async function area(
  page: Page,
  name: "Brand" | "Pages" | "Goods" | "Offers" | "Orders" | "Pictures" | "Mail",
): Promise<void> {
  const link = page.getByRole("navigation", { name: "Areas" }).getByRole("link", { name });
  await link.click();
  // Until then the panes are those of the area that is left.
  await expect(link).toHaveAttribute("aria-current", "page");
}

export async function publish(page: Page): Promise<void> {
  await page.getByRole("button", { name: /^Publish/ }).click();
  await page.getByRole("button", { name: "Publish now" }).click();
  await expect(page.getByRole("heading", { name: "It is in the shop" })).toBeVisible();
  await page.getByRole("button", { name: "Close" }).click();
}

/** Waits until what fades or slides has come to its end. */
const atRest = (page: Page) =>
  page.evaluate(() =>
    Promise.all(
      document
        .getAnimations()
        // What goes with the scrolling never ends.
        .filter((a) => a.timeline instanceof DocumentTimeline)
        .filter((a) => a.effect?.getComputedTiming().endTime !== Infinity)
        .map((a) => a.finished.catch(() => undefined)),
    ),
  );

/** axe-core finds nothing to object to (WCAG 2.0 to 2.2, levels A and AA). */
export async function expectAccessible(page: Page): Promise<void> {
  // What is still fading in has another contrast than what it will be read with.
  await atRest(page);
  const found = await violationsOf(page, {
    runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"],
    // The Tab key leads past what is in a pane; Enter on the pane leads in (tried in panes.spec.ts), which axe can't know.
    rules: { "frame-focusable-content": { enabled: false } },
  });
  expect(found).toEqual([]);
}

/** What a role comes out as in a pane or a page of the shop. */
export const roleIn = (frame: FrameLocator | Page, role: string, at = "body"): Promise<string> =>
  frame
    .locator(at)
    .first()
    .evaluate((element, name) => getComputedStyle(element).getPropertyValue(`--${name}`).trim(), role);

export const brandSheet = (page: Page): Locator => page.getByRole("complementary", { name: "Brand" });

/** Opens a group of the brand sheet, if it is not open. */
export async function openGroup(page: Page, name: string): Promise<Locator> {
  const group = brandSheet(page).getByRole("region", { name, exact: true });
  const head = group.getByRole("button").first();
  if ((await head.getAttribute("aria-expanded")) !== "true") await head.click();
  return group;
}

/** The Brand area of a shop of one's own, dressed with the demo's goods where `demo` says so. */
export async function openBrand(page: Page): Promise<void> {
  await area(page, "Brand");
  await expect(page.getByLabel("Colours in use")).toBeVisible();
  await benchReady(page);
}

/** Opens what can be done with pages, under the page's name. */
export async function fromPageMenu(page: Page, item: string): Promise<void> {
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: item }).click();
  await expect(page.locator(".MuiMenu-root")).toHaveCount(0);
}
