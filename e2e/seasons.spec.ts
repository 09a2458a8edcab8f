import { expect, test, type Page } from "@playwright/test";
import { area, benchReady, details, expectAccessible, inPlan, kept, openShop, pane, publish, shopAt } from "./studio";

const sentenceOf = (page: Page) => details(page).getByRole("region", { name: "When it shows" });
/** Closes what a word of the sentence has opened. */
const done = async (page: Page) => {
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
};

test("a section shows between days and at hours, said in a sentence; panes and the shop go by it", async ({ page }) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const sentence = sentenceOf(page);
  const change = async (word: RegExp, label: string) => {
    await sentence.getByRole("button", { name: word }).click();
    return page.getByRole("dialog", { name: label });
  };
  const year = new Date().getFullYear() + 1;
  // A month in which it is not now, since it comes every year.
  const [month, name, before] = new Date().getMonth() === 11 ? ["06", "Jun", "05"] : ["12", "Dec", "11"];
  const from = await change(/^From when: from now on/, "From when");
  await from.getByLabel("From").fill(`${year}-${month}-01T00:00`);
  await expectAccessible(page);
  await done(page);
  await expect(
    sentence.getByText(`It doesn’t show now, but from 1 ${name} ${year} on.`, { exact: false }),
  ).toBeVisible();
  const until = await change(/^Until when: without an end/, "Until when");
  await until.getByLabel("Until").fill(`${year}-${before}-01T00:00`);
  await done(page);
  await expect(sentence.getByRole("alert")).toHaveText("It ends before it begins.");
  const again = await change(/^Until when/, "Until when");
  await again.getByLabel("Until").fill(`${year}-${month}-24T18:00`);
  await again.getByRole("switch", { name: "Every year" }).click();
  await done(page);
  await expect(sentence.getByRole("button", { name: `Until when: until 24 ${name}, 18:00` })).toBeVisible();
  await expect(inPlan(page, "Hero")).toHaveAccessibleName(/not at this time/);
  await expect(pane(page, "Wide").locator(".s-hero[data-not-shown]")).toBeVisible();
  await kept(page);
  await publish(page);
  await page.goto(shopAt(host));
  await expect(page.locator("main")).toBeVisible();
  await expect(page.locator(".s-hero")).toHaveCount(0);
});

const GOODS = "SKU,Title,Price,Tags\nA,Apple cake,10.00,new\nB,Banana bread,80.00,\n";

test("a footer shows on some pages, to some shoppers, with some carts: the sentence, the panes and the shop agree", async ({
  page,
  context,
}) => {
  const { host } = await openShop(page, { goods: GOODS });
  await benchReady(page);
  await inPlan(page, "Footer").click();
  const sentence = sentenceOf(page);
  const add = async (name: string) => {
    await sentence.getByRole("button", { name: "Only where, or for whom" }).click();
    await page.getByRole("menuitem", { name }).click();
  };
  // What was added is open at once.
  await add("For certain goods");
  const goods = page.getByRole("dialog", { name: "For which goods" });
  await expectAccessible(page);
  await goods.getByRole("combobox", { name: "What" }).click();
  await page.getByRole("option", { name: "Tag" }).click();
  await goods.getByLabel("Value").fill("new");
  // What is offered for the field closes first.
  await goods.getByLabel("Value").press("Escape");
  await done(page);
  await expect(sentence.getByRole("button", { name: "For which goods: for goods whose tag is “new”" })).toBeVisible();
  await expect(sentence.getByText(/^Now on 1 of \d+ pages\.$/)).toBeVisible();
  await expect(inPlan(page, "Footer")).toHaveAccessibleName(/not with these goods/);

  // One of two is enough.
  await add("With a certain cart");
  const cart = page.getByRole("dialog", { name: "With what cart" });
  await cart.getByLabel("What is in it is worth").check();
  await cart.getByLabel(/^From, in/).fill("much");
  await expect(cart.getByText(/“much”/)).toBeVisible();
  await cart.getByLabel(/^From, in/).fill("60");
  await done(page);
  await sentence.getByRole("button", { name: /^and: both have to be so/ }).click();
  await expect(sentence).toContainText(/or while the cart is worth .*60.* or more/);

  // Looked at with such a cart, it is there on the home page as well.
  await page.getByRole("button", { name: "Look at another time, or as somebody else" }).click();
  const looking = page.getByRole("dialog", { name: "Look at another time, or as somebody else" });
  await expectAccessible(page);
  await looking.getByRole("combobox", { name: "In the cart" }).fill("Banana");
  await page.getByRole("option", { name: "Banana bread" }).click();
  await looking.getByRole("button", { name: "Close" }).click();
  await expect(inPlan(page, "Footer")).not.toHaveAccessibleName(/not/);
  await expect(pane(page, "Wide").locator(".s-footer[data-not-shown]")).toHaveCount(0);
  await page.getByRole("button", { name: /^As with a cart of .*80/ }).press("Delete");
  await expect(inPlan(page, "Footer")).toHaveAccessibleName(/not as you are looking/);
  await expect(pane(page, "Phone").locator(".s-footer[data-not-shown]")).toBeVisible();

  await kept(page);
  await publish(page);
  const shopper = await context.browser()!.newContext();
  const shop = await shopper.newPage();
  const footer = shop.locator(".s-footer");
  await shop.goto(`${shopAt(host)}/products/apple-cake`);
  await expect(footer).toBeVisible();
  await shop.goto(`${shopAt(host)}/products/banana-bread`);
  await expect(shop.locator("main h1")).toBeVisible();
  await expect(footer).toHaveCount(0);
  await shop.getByRole("button", { name: "Add to cart" }).click();
  await expect(shop.locator(".cart-n")).toHaveText("1");
  await shop.goto(shopAt(host));
  await expect(footer).toBeVisible();
  await shopper.close();
});

test("what contradicts itself is said, a ready condition and a copied one take the place of others", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const sentence = sentenceOf(page);
  const choose = async (name: string | RegExp) => {
    await sentence.getByRole("button", { name: "Only where, or for whom" }).click();
    await page.getByRole("menuitem", { name }).click();
  };
  await choose("On certain pages");
  await done(page);
  await expect(sentence.getByText("It can’t show on the page on which it stands.")).toBeVisible();
  await sentence.getByRole("button", { name: /^On which pages/ }).click();
  await page.getByRole("dialog").getByLabel("Product pages").click();
  await expect(page.getByRole("dialog").getByRole("alert")).toHaveText("Choose at least one page.");
  await page.getByRole("dialog").getByRole("button", { name: "Take this out" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await choose("To certain visitors");
  await done(page);
  await choose("To certain visitors");
  await page.getByRole("dialog").getByLabel("Visitors who come again").check();
  await done(page);
  await expect(sentence.getByText("Nobody can ever see it: what is asked contradicts itself.")).toBeVisible();
  await choose("At weekends");
  await expect(sentence.getByRole("button", { name: "Which days: on weekends" })).toBeVisible();
  await expect(sentence.getByRole("button", { name: /^To whom/ })).toHaveCount(0);
  await choose("Copy when it shows");
  await inPlan(page, "Footer").click();
  await choose("Put what was copied here");
  await expect(sentence.getByRole("button", { name: "Which days: on weekends" })).toBeVisible();
});

test("the dial turns all panes to another time, and says so until it is turned back", async ({ page }) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const year = new Date().getFullYear() + 1;
  const sentence = sentenceOf(page);
  await sentence.getByRole("button", { name: /^From when/ }).click();
  await page.getByRole("dialog", { name: "From when" }).getByLabel("From").fill(`${year}-02-14T09:00`);
  await done(page);
  const hero = pane(page, "Wide").locator(".s-hero");
  await expect(hero).toHaveAttribute("data-not-shown", "");
  await page.getByRole("button", { name: "Look at another time, or as somebody else" }).click();
  const looking = page.getByRole("dialog", { name: "Look at another time, or as somebody else" });
  await looking
    .getByRole("button", { name: new RegExp(`^14 Feb ${year}, 09:00: Hero .*begins to show \\(Home\\)$`) })
    .click();
  await expect(hero).not.toHaveAttribute("data-not-shown", "");
  // The dial, by its keys: a day back.
  await looking.getByRole("slider", { name: "Day of the coming year" }).press("ArrowLeft");
  await expect(hero).toHaveAttribute("data-not-shown", "");
  await looking.getByRole("slider", { name: "Day of the coming year" }).press("ArrowRight");
  await expect(hero).not.toHaveAttribute("data-not-shown", "");
  await looking.getByRole("button", { name: "Close" }).click();
  // Pages has such a chip, and such panes, as well.
  await area(page, "Brand");
  const chip = page.getByRole("button", { name: `As on 14 Feb ${year}, 09:00` });
  await expect(chip).toBeVisible();
  await expect(pane(page, "Wide").locator(".s-hero")).not.toHaveAttribute("data-not-shown", "");
  await chip.press("Delete");
  await expect(chip).toHaveCount(0);
});

test("notices take turns, count down and are closed; without a script all of them are there", async ({
  page,
  browser,
}) => {
  const { host } = await openShop(page, { goods: GOODS });
  await benchReady(page);
  await page.getByRole("button", { name: "Add", exact: true }).click();
  const sheet = page.getByRole("dialog", { name: "Add a section" });
  await sheet.getByLabel("Find").fill("notice");
  await sheet.getByRole("button", { name: /^Add Notice strip: In the middle/ }).click();
  const form = details(page);
  await form.getByRole("button", { name: /^Welcome in/ }).click();
  await form.getByLabel("Notice", { exact: true }).fill("Last orders before Christmas");
  const year = new Date().getFullYear() + 1;
  await form.getByLabel("Counts down to").fill(`${year}-12-18T15:00`);
  await form.getByRole("button", { name: "Add a message" }).click();
  await form.getByLabel("Notice", { exact: true }).last().fill("Closed on the 24th");
  await form.getByLabel("Shoppers can close it").check();
  const strip = pane(page, "Wide").locator(".s-notice");
  await expect(strip.locator(".count-unit").first()).toHaveText(/^\d\d+ d$/);
  await kept(page);
  await publish(page);

  // What moves is seen here.
  const shopper = await browser.newContext({ viewport: { width: 390, height: 760 }, reducedMotion: "no-preference" });
  const shop = await shopper.newPage();
  await shop.goto(shopAt(host));
  const notice = shop.locator(".s-notice");
  const first = notice.getByText("Last orders before Christmas");
  const second = notice.getByText("Closed on the 24th");
  await expect(notice.getByRole("timer")).toHaveText(/^\d+ d\s*\d\d h\s*\d\d min$/);
  await expectAccessible(shop);
  await notice.getByRole("button", { name: "Stop the notices" }).click();
  const high = (await notice.boundingBox())!.height;
  // Each takes the place of the other, and nothing below moves.
  await expect(first).toBeVisible();
  await expect(second).toBeHidden();
  await shop.setViewportSize({ width: 1000, height: 760 });
  await notice.getByRole("button", { name: "Next notice" }).click();
  await expect(first).toBeHidden();
  await expect(second).toBeVisible();
  await shop.setViewportSize({ width: 390, height: 760 });
  expect((await notice.boundingBox())!.height).toBe(high);
  await notice.getByRole("button", { name: "Close" }).click();
  await expect(notice).toBeHidden();
  await shop.goto(`${shopAt(host)}/products/apple-cake`);
  await expect(shop.locator("main h1")).toBeVisible();
  await expect(notice).toHaveCount(0);
  await shopper.close();

  const plain = await browser.newContext({ javaScriptEnabled: false });
  const still = await plain.newPage();
  await still.goto(shopAt(host));
  await expect(still.getByText("Last orders before Christmas")).toBeVisible();
  await expect(still.getByText("Closed on the 24th")).toBeVisible();
  await expect(still.locator(".s-notice").getByText("18 December")).toBeVisible();
  await expect(still.getByRole("timer")).toBeHidden();
  await plain.close();
});

test("the year shows what shows when: bars are moved by hand and by keys, and the dial on it turns the panes", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  await page.keyboard.press("y");
  const year = page.getByRole("region", { name: "The year" });
  await expect(year.getByText(/Nothing has dates yet/)).toBeVisible();
  await inPlan(page, "Hero").click();
  const next = new Date().getFullYear() + 1;
  const sentence = sentenceOf(page);
  for (const [word, label, value] of [
    [/^From when/, "From when", `${next}-02-10T00:00`],
    [/^Until when/, "Until when", `${next}-02-20T00:00`],
  ] as const) {
    await sentence.getByRole("button", { name: word }).click();
    await page
      .getByRole("dialog", { name: label })
      .getByLabel(/^(From|Until)$/)
      .fill(value);
    await done(page);
  }
  const bar = year.getByRole("button", { name: /^Hero.*, shows/ });
  await expect(bar).toHaveAccessibleName(
    new RegExp(`^Hero .*, shows from 10 Feb ${next} until the end of 19 Feb ${next}$`),
  );
  await bar.focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowRight");
  await expect(bar).toHaveAccessibleName(
    new RegExp(`^Hero .*, shows from 11 Feb ${next} until the end of 21 Feb ${next}$`),
  );
  await expectAccessible(page);

  // By hand: as far as the pointer goes, in whole days; Escape puts it back.
  const box = (await bar.boundingBox())!;
  const lane = (await bar.locator("xpath=..").boundingBox())!;
  const day = lane.width / 366;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 30 * day, y, { steps: 5 });
  await page.mouse.up();
  await expect(bar).toHaveAccessibleName(
    new RegExp(`^Hero .*, shows from 13 Mar ${next} until the end of 23 Mar ${next}$`),
  );
  const there = (await bar.boundingBox())!;
  expect(Math.abs(there.x - box.x - 30 * day)).toBeLessThan(2);
  await page.mouse.move(there.x + 10, y);
  await page.mouse.down();
  await page.mouse.move(there.x - 90, y, { steps: 4 });
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await expect(bar).toHaveAccessibleName(
    new RegExp(`^Hero .*, shows from 13 Mar ${next} until the end of 23 Mar ${next}$`),
  );
  // An end that would come before the beginning is refused, and said.
  await bar.focus();
  for (let i = 0; i < 11; i++) await page.keyboard.press("Shift+ArrowLeft");
  await expect(page.getByText("It ends before it begins.")).toBeVisible();

  const hero = pane(page, "Wide").locator(".s-hero");
  await expect(hero).toHaveAttribute("data-not-shown", "");
  const dial = year.getByRole("slider", { name: "Day that all panes show" });
  await dial.press("End");
  await expect(hero).toHaveAttribute("data-not-shown", "");
  await expect(page.getByRole("button", { name: /^As on / })).toBeVisible();
  await dial.press("Home");
  const first = (await dial.boundingBox())!;
  await page.mouse.click(there.x + 0.3 * day, first.y + first.height / 2);
  await expect(hero).not.toHaveAttribute("data-not-shown", "");
  await year.getByRole("button", { name: "Close the year" }).click();
  await expect(year).toHaveCount(0);
});
