import { expect, test, type Page } from "@playwright/test";
import {
  DEMO,
  addStart,
  area,
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

const GOODS = ["SKU,Title,Price,Stock", "KITE,Delta kite,26.00,20", "TAIL,Spinner tail,4.00,20"].join("\n");

/** Makes an offer from a ready start, and switches it on. */
async function offer(page: Page, start: RegExp): Promise<void> {
  await page.getByRole("button", { name: start }).click();
  await page.getByRole("switch").click();
  await expect(page.getByRole("switch")).toBeChecked();
}

test("words say what an offer gives, whatever becomes of it, and nothing that it can't say", async ({ page }) => {
  const { host } = await openShop(page, { goods: GOODS, area: "offers" });
  await offer(page, /^Welcome/);
  await area(page, "Pages");
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const heading = details(page).getByRole("textbox", { name: "Heading" }).first();
  await heading.fill("Get ");
  await heading.press("End");
  await heading.pressSequentially("{per");
  const list = page.getByRole("listbox", { name: "Live fields" });
  await expect(list.getByRole("option")).toHaveText(["Percent off10%"]);
  await expectAccessible(page);
  await heading.press("Enter");
  await expect(heading).toHaveValue("Get {percent of Welcome}");
  await heading.pressSequentially(" off");
  await expect(heading).toHaveValue("Get {percent of Welcome} off");
  const title = (name: "Phone" | "Wide") => pane(page, name).locator("h1");
  for (const name of ["Phone", "Wide"] as const) await expect(title(name)).toHaveText("Get 10% off");

  await test.step("what means no offer is said beside it, and not kept", async () => {
    await heading.fill("Get {percent of Winter} off");
    await expect(details(page).getByText("There is no offer called “Winter”.")).toBeVisible();
    await expect(title("Wide")).toHaveText("Get 10% off");
    await heading.fill("Get {percent} off");
    await expect(heading).toHaveValue("Get {percent of Welcome} off");
  });

  await test.step("in a pane they are typed by the offer's name, and read by what they say", async () => {
    await title("Wide").dblclick();
    await expect(title("Wide")).toHaveText("Get {percent of Welcome} off");
    await page.keyboard.press("End");
    await page.keyboard.type(" with {code}");
    await expect(title("Phone")).toHaveText("Get 10% off with WELCOME10");
    await page.keyboard.press("Escape");
    await expect(title("Wide")).toHaveText("Get 10% off with WELCOME10");
  });

  await kept(page);
  await publish(page);
  const shop = await page.context().newPage();
  const shown = async () => {
    await shop.goto(shopAt(host));
    return shop.locator("h1");
  };
  await expect(await shown()).toHaveText("Get 10% off with WELCOME10");

  await test.step("the offer is changed, and the page says so without having been touched", async () => {
    await area(page, "Offers");
    await page.getByRole("button", { name: /^What it gives:/ }).click();
    await page.getByRole("dialog", { name: "What it gives" }).getByLabel("Percent", { exact: true }).fill("20");
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog", { name: "What it gives" })).toBeHidden();
    await kept(page);
    await publish(page);
    await expect(await shown()).toHaveText("Get 20% off with WELCOME10");
  });

  await test.step("the offer goes: it is said before publishing, and shoppers see no words with holes", async () => {
    await page.getByRole("button", { name: "Remove this offer" }).click();
    await kept(page);
    await page.getByRole("button", { name: /^Publish/ }).click();
    await expect(page.getByText(/Hero speaks of an offer that is no longer there/)).toBeVisible();
    await page.getByRole("button", { name: "Publish now" }).click();
    await expect(page.getByRole("heading", { name: "It is in the shop" })).toBeVisible();
    await shop.goto(shopAt(host));
    await expect(shop.locator("main")).not.toContainText("Get");
    await expect(shop.locator("body")).not.toContainText("{");
  });
});

test("a goal meter says how much is to go in the cart of whoever looks, and fits a narrow phone", async ({ page }) => {
  const { host } = await openShop(page, { goods: GOODS, area: "offers" });
  await offer(page, /^Free delivery/);
  await page.getByRole("button", { name: /^From what on:/ }).click();
  await page.getByLabel("From a worth of").fill("60");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("button", { name: "From what on: from €60.00 on" })).toBeVisible();
  await area(page, "Pages");
  await benchReady(page);
  await addStart(page, "What is still to go for an offer");
  await expect(pane(page, "Phone").getByText("Free delivery from €60.00 on")).toBeVisible();
  await expect(pane(page, "Wide").getByRole("progressbar", { name: "Free delivery" })).toBeVisible();
  await kept(page);
  await publish(page);

  const shop = await page.context().newPage();
  await shop.setViewportSize({ width: 320, height: 640 });
  await shop.goto(shopAt(host));
  const meter = shop.getByRole("progressbar", { name: "Free delivery" });
  await expect(meter).toHaveAttribute("value", "0");
  await expect(shop.locator(".goal-words")).toHaveText("Free delivery from €60.00 on");
  await expectAccessible(shop);
  expect(await shop.evaluate(() => document.documentElement.scrollWidth)).toBe(320);
  const put = (sku: string) =>
    shop.evaluate(async (title) => {
      const page = new DOMParser().parseFromString(await (await fetch("/collections/all")).text(), "text/html");
      const link = [...page.querySelectorAll("a")].find((a) => a.textContent.includes(title))!;
      const product = new DOMParser().parseFromString(await (await fetch(link.href)).text(), "text/html");
      const form = product.querySelector<HTMLFormElement>("form[action='/cart/add']")!;
      await fetch("/cart/add", {
        method: "POST",
        body: new URLSearchParams([...new FormData(form)].map(([k, v]) => [k, String(v)])),
      });
    }, sku);
  // With a goal of 60 and 26 in the cart, 34 are to go (common practice, no source).
  await put("Delta kite");
  await shop.reload();
  await expect(shop.locator(".goal-words")).toHaveText("€34.00 to go: Free delivery");
  await expect(meter).toHaveAttribute("value", String(Math.round((26 / 60) * 1000)));
  // Another shopper has another cart.
  const other = await page.context().browser()!.newPage();
  await other.goto(shopAt(host));
  await expect(other.locator(".goal-words")).toHaveText("Free delivery from €60.00 on");
  await other.close();
});

test("a goal meter moves on when something is put into the cart, without another page", async ({ page }) => {
  await page.goto(`${DEMO}/products/larkspindle-delta-190`);
  const words = page.locator(".goal-words");
  await expect(words).toHaveText("Free delivery from €60.00 on");
  await page.getByRole("button", { name: "Add to cart" }).first().click();
  await expect(words).toHaveText("Reached: Free delivery");
  await expect(page.getByRole("progressbar", { name: "Free delivery" })).toHaveAttribute("value", "1000");
});
