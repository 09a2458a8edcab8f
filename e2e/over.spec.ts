import { expect, test, type Page } from "@playwright/test";
import { walk, type Json, type Part } from "~/core/document";
import { KINDS, makeNode } from "~/kinds";
import { fillStart, sectionAround } from "~/kinds/fill";
import { publishedShop } from "./owners";
import { addSection, benchReady, details, expectAccessible, kept, openShop, pane, publish, shopAt } from "./studio";

/** A part with all that is to be filled in filled in. */
const filled = (part: Part): Part => ({
  ...part,
  props: Object.fromEntries(
    Object.entries(part.props).map(([key, value]) => [
      key,
      typeof value === "string" ? value.replace(/\{(\w+)\}/g, "some $1") : value,
    ]),
  ),
  slots: Object.fromEntries(Object.entries(part.slots).map(([slot, inside]) => [slot, inside.map(filled)])),
});

const GOODS = { products: [], collections: [] } as unknown as Parameters<typeof fillStart>[2];
const starts = KINDS.get("pop-up")!.definition.starts!;
const popUp = (start: string, props: Readonly<Record<string, Json>> = {}): Part => {
  const made = filled(fillStart("pop-up", start, GOODS, []));
  return { ...made, props: { ...made.props, ...props } };
};
/** A page that is long enough to be scrolled. */
const LONG = [
  makeNode("hero"),
  ...Array.from({ length: 5 }, () => makeNode("text", { heading: "On", text: "Words. ".repeat(200) })),
];

/** Time stands still until it is let run. */
async function stopClock(page: Page): Promise<void> {
  await page.clock.install({ time: new Date("2026-12-01T10:00:00Z") });
  await page.clock.pauseAt(new Date("2026-12-01T10:00:01Z"));
}

const dialog = (page: Page, name: string | RegExp) => page.getByRole("dialog", { name });
const open = (page: Page) => page.locator("dialog[open]");

test("a pop-up is made from a design, worked on below the page, and comes again only when it says something new", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await addSection(page, "Pop-up", "A word to everybody, in the middle", "pop-up word");
  await details(page).getByLabel("Seconds").fill("2");
  const heading = pane(page, "Wide").locator(".s-pop-up").getByRole("heading");
  await expect(pane(page, "Wide").getByRole("dialog", { name: "Good to have you here" })).toBeVisible();
  await heading.dblclick();
  await page.keyboard.press("ControlOrMeta+a");
  await page.keyboard.type("Welcome in");
  await page.keyboard.press("Escape");
  await expect(pane(page, "Phone").getByRole("dialog", { name: "Welcome in" })).toBeVisible();
  await kept(page);
  await publish(page);

  const shop = await page.context().newPage();
  await stopClock(shop);
  await shop.goto(shopAt(host));
  await expect(open(shop)).toHaveCount(0);
  await shop.clock.runFor(1_900);
  await expect(open(shop)).toHaveCount(0);
  await shop.getByRole("link", { name: "Skip to the page" }).focus();
  await shop.clock.runFor(200);
  await expect(dialog(shop, "Welcome in")).toBeVisible();
  await expect(dialog(shop, "Welcome in").getByRole("button", { name: "Close" })).toBeFocused();
  await shop.keyboard.press("Escape");
  await expect(open(shop)).toHaveCount(0);
  await expect(shop.getByRole("link", { name: "Skip to the page" })).toBeFocused();
  await shop.reload();
  await shop.clock.runFor(60_000);
  await expect(open(shop)).toHaveCount(0);

  // In the cart nothing comes between.
  await shop.goto(`${shopAt(host)}/cart`);
  await expect(shop.locator("dialog")).toHaveCount(0);

  await heading.dblclick();
  await page.keyboard.press("ControlOrMeta+a");
  await page.keyboard.type("Something new");
  await page.keyboard.press("Escape");
  await kept(page);
  await publish(page);
  await shop.goto(shopAt(host));
  await shop.clock.runFor(2_100);
  await expect(dialog(shop, "Something new")).toBeVisible();
});

test("what comes from the side leaves the keyboard alone, never two come on one page, and writing is not disturbed", async ({
  page,
}) => {
  const host = await publishedShop({
    main: [...LONG, makeNode("sign-up")],
    over: [popUp("mail-corner", { opens: "after", seconds: 1 }), popUp("word-middle", { seconds: 2 })],
  });
  await stopClock(page);
  await page.goto(shopAt(host));
  const mail = page.getByRole("textbox", { name: "Your mail address" }).first();
  await mail.focus();
  await page.clock.runFor(4_000);
  await expect(open(page)).toHaveCount(0);
  await mail.blur();
  await page.getByRole("link", { name: "Skip to the page" }).focus();
  await page.clock.runFor(20_000);
  await expect(open(page)).toHaveCount(1);
  await expect(dialog(page, "Hear from us now and then")).toBeVisible();
  await expect(page.getByRole("link", { name: "Skip to the page" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(open(page)).toHaveCount(0);
  // The other one has its turn on the next page.
  await page.reload();
  await page.clock.runFor(3_000);
  await expect(dialog(page, "Good to have you here")).toBeVisible();
  // A press beside it closes it.
  await page.mouse.click(5, 5);
  await expect(open(page)).toHaveCount(0);
});

test("one that comes on a press is opened by its link, as often as somebody wants; without a script it stands below", async ({
  page,
  browser,
}) => {
  const corner = popUp("mail-corner", { opens: "link" });
  const button = makeNode("button", { label: "Letters from us", link: { to: "over", id: corner.id } });
  const main = [sectionAround(button), ...LONG];
  const host = await publishedShop({ main, over: [corner, popUp("word-middle", { seconds: 30 })] });
  await page.goto(shopAt(host));
  const link = page.getByRole("link", { name: "Letters from us" });
  for (const _time of ["once", "again"]) {
    await link.click();
    await expect(dialog(page, "Hear from us now and then")).toBeVisible();
    await expect(dialog(page, "Hear from us now and then").locator(":focus")).toHaveCount(1);
    await page.keyboard.press("Escape");
    await expect(open(page)).toHaveCount(0);
    await expect(link).toBeFocused();
  }
  expect(new URL(page.url()).hash).toBe("");

  const plain = await browser.newPage({ javaScriptEnabled: false });
  await plain.goto(shopAt(host));
  const heading = plain.getByRole("heading", { name: "Hear from us now and then" });
  await expect(heading).toBeHidden();
  await plain.getByRole("link", { name: "Letters from us" }).click();
  await expect(heading).toBeInViewport();
  await plain.close();
});

test("what is for whoever leaves comes when the pointer leaves over the top, and not elsewhere", async ({ page }) => {
  const host = await publishedShop({ main: LONG, over: [popUp("word-middle", { opens: "leave" })] });
  await page.goto(shopAt(host));
  const leave = (clientY: number) =>
    page.evaluate(
      (y) => document.documentElement.dispatchEvent(new MouseEvent("mouseleave", { clientX: 400, clientY: y })),
      clientY,
    );
  await leave(300);
  await expect(open(page)).toHaveCount(0);
  await leave(-2);
  await expect(dialog(page, "Good to have you here")).toBeVisible();
});

test("what would come with an empty box does not come", async ({ page }) => {
  // There is no offer to be reached, none that ends, no product, and nothing is said of how to reach the seller.
  const over = ["goal-corner", "ends-edge", "product-side", "hours-corner"].map((id) =>
    popUp(id, { opens: "after", seconds: 1 }),
  );
  const host = await publishedShop({ main: LONG, over: [...over, popUp("word-middle", { seconds: 3 })] });
  await stopClock(page);
  await page.goto(shopAt(host));
  await page.clock.runFor(2_500);
  await expect(open(page)).toHaveCount(0);
  await page.clock.runFor(1_000);
  await expect(dialog(page, "Good to have you here")).toBeVisible();
});

test("on a phone it waits, and comes from below; what asks for an answer can't be put away without one", async ({
  page,
}) => {
  await page.setViewportSize({ width: 320, height: 640 });
  const host = await publishedShop({ main: LONG, over: [popUp("mail-corner")] });
  await stopClock(page);
  await page.goto(shopAt(host));
  await page.evaluate(() => scrollTo(0, document.documentElement.scrollHeight));
  await page.clock.runFor(3_000);
  await expect(open(page)).toHaveCount(0);
  await page.clock.runFor(3_000);
  const sheet = dialog(page, "Hear from us now and then");
  await expect(sheet).toBeVisible();
  // Once it has come up.
  const box = async () => (await sheet.boundingBox())!;
  await expect.poll(async () => Math.round((await box()).y + (await box()).height)).toBe(640);
  expect((await box()).height).toBeLessThanOrEqual(640 * 0.6 + 1);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(320);

  const asks = await publishedShop({ main: LONG, over: [popUp("age-middle")] });
  await page.goto(shopAt(asks));
  await page.clock.runFor(100);
  await expect(dialog(page, "Are you 18 or older?")).toBeVisible();
  // Browsers close a dialog at the second time, whatever is said to the first.
  for (let i = 0; i < 3; i++) await page.keyboard.press("Escape");
  await expect(open(page)).toHaveCount(1);
  await page.getByRole("button", { name: "I am 18 or older" }).click();
  await expect(open(page)).toHaveCount(0);
});

test("every design keeps to what WCAG asks, is whole in its window, and moves nothing behind it", async ({ page }) => {
  expect(starts.length).toBeGreaterThanOrEqual(12);
  const over = starts.map(({ id }) => popUp(id));
  // What there is no offer for has nothing to say, and is empty.
  const said = over.filter(
    (part) => ![...walk(part)].some(({ kind }) => kind === "goal-meter" || kind === "countdown"),
  );
  const host = await publishedShop({ main: LONG, over: said });
  for (const width of [390, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    await page.goto(shopAt(host));
    const dialogs = page.locator("dialog");
    await expect(dialogs).toHaveCount(said.length);
    for (let i = 0; i < said.length; i++) {
      const each = dialogs.nth(i);
      await each.evaluate((element: HTMLDialogElement) => element.showModal());
      await expectAccessible(page);
      const box = (await each.boundingBox())!;
      expect(box.x, said[i]!.props.arrangement as string).toBeGreaterThanOrEqual(0);
      expect(box.x + box.width).toBeLessThanOrEqual(width);
      expect(box.y + box.height).toBeLessThanOrEqual(800);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width);
      await each.evaluate((element: HTMLDialogElement) => element.close());
    }
  }
});
