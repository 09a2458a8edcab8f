import { expect, test, type Page } from "@playwright/test";
import {
  addSection,
  benchReady,
  details,
  expectAccessible,
  kept,
  openShop,
  pane,
  plan,
  publish,
  shopAt,
} from "./studio";

type Name = "Phone" | "Wide";

/** Where a thing stands on its poster: its middle, in percent of the poster, and its width. */
const spotIn = (scope: ReturnType<typeof pane> | Page, selector = ".w-heading") =>
  scope.locator(`.placed ${selector}`).evaluate((thing) => {
    const [own, frame] = [thing.getBoundingClientRect(), thing.closest(".s-poster")!.getBoundingClientRect()];
    const percent = (value: number, of: number) => Math.round((value / of) * 1000) / 10;
    return {
      x: percent(own.left + own.width / 2 - frame.left, frame.width),
      y: percent(own.top + own.height / 2 - frame.top, frame.height),
      width: percent(own.width, frame.width),
      inside: own.left >= frame.left - 1 && own.right <= frame.right + 1 && own.top >= frame.top - 1,
    };
  });

/** Drags the middle of a heading by so much of the screen; `held` looks on before it is let go. */
async function drag(page: Page, name: Name, dx: number, dy: number, held = async () => {}) {
  const box = (await pane(page, name).locator(".placed .w-heading").boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 });
  await page.mouse.move(x + dx, y + dy, { steps: 4 });
  await held();
  await page.mouse.up();
}

test("things on a poster are put where they are wanted, on a phone elsewhere, by hand and by keys", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await addSection(page, "Poster", "A line in the middle", "poster");
  await plan(page).getByRole("treeitem", { name: "Heading" }).click();
  const [wide, phone] = [pane(page, "Wide"), pane(page, "Phone")];
  await expect(wide.locator(".zm-widen")).toBeVisible();
  const start = { wide: await spotIn(wide), phone: await spotIn(phone) };
  expect(start.wide.x).toBeCloseTo(50, 0);

  // A hand on a wide screen moves it there; phones have a place of their own.
  await drag(page, "Wide", -25, 30, async () => {
    await expect(wide.locator(".zm-value")).toHaveText(/^\d+ px from the left, \d+ px from the top$/);
  });
  await expect.poll(async () => (await spotIn(wide)).y).toBeGreaterThan(start.wide.y + 5);
  const moved = await spotIn(wide);
  expect(moved.x).toBeLessThan(start.wide.x - 2);
  expect(await spotIn(phone)).toEqual(start.phone);
  // Near the middle it is drawn to it, and a rule says so.
  await drag(page, "Wide", 23, -20, async () => {
    await expect(wide.locator(".zm-rule:not(.zm-rule-flat)[data-words='in the middle']")).toBeVisible();
  });
  await expect.poll(async () => (await spotIn(wide)).x).toBe(50);
  // On the phone, only the phone's is moved; it can't be pushed beyond its poster.
  const wideNow = await spotIn(wide);
  await drag(page, "Phone", -400, -400);
  await expect.poll(async () => (await spotIn(phone)).y).toBeLessThan(start.phone.y - 5);
  expect((await spotIn(phone)).inside).toBe(true);
  expect(await spotIn(wide)).toEqual(wideNow);
  // One drag is one step.
  await page.keyboard.press("Control+z");
  await expect.poll(() => spotIn(phone)).toEqual(start.phone);

  // Keys move it by a hundredth, and make it wider.
  await plan(page).getByRole("treeitem", { name: "Heading" }).click();
  await wide.locator(".zm-move").focus();
  await page.keyboard.press("Shift+ArrowDown");
  await expect.poll(async () => (await spotIn(wide)).y).toBeCloseTo(wideNow.y + 5, 0);
  await wide.locator(".zm-widen").focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press("ArrowLeft");
  await expect.poll(async () => (await spotIn(wide)).width).toBeCloseTo(wideNow.width - 10, 0);
  await expect(details(page).getByText(/differences? between devices/)).toBeVisible();
  await expectAccessible(page);

  // What lies over what is said in the order of the plan.
  const rows = plan(page).getByRole("treeitem", { name: /^(Words|Heading|Button)/ });
  await expect(rows).toHaveText(["Words", "Heading", "Button"]);
  await plan(page).getByRole("treeitem", { name: "Heading" }).click();
  await page.keyboard.press("Alt+ArrowUp");
  await expect(rows).toHaveText(["Words", "Button", "Heading"]);
  await kept(page);
  const there = { wide: await spotIn(wide), phone: await spotIn(phone) };
  await publish(page);

  for (const [width, spot] of [
    [1280, there.wide],
    [390, there.phone],
  ] as const) {
    await page.setViewportSize({ width, height: 800 });
    await page.goto(shopAt(host));
    await page.evaluate(() => document.fonts.ready);
    const shown = await spotIn(page);
    expect(shown.x).toBeCloseTo(spot.x, 0);
    expect(shown.y).toBeCloseTo(spot.y, 0);
    // All letters are within the poster, and none is too small to be read.
    const letters = await page.locator(".placed .w").evaluateAll((all) =>
      all.map((e) => ({
        size: Number.parseFloat(getComputedStyle(e.querySelector(".head,.rich,.button,p") ?? e).fontSize),
        over: e.scrollWidth > e.clientWidth + 1,
      })),
    );
    for (const { size, over } of letters) {
      expect(size).toBeGreaterThanOrEqual(12);
      expect(over).toBe(false);
    }
  }
  await expectAccessible(page);
});
