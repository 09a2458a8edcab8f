import { expect, test } from "@playwright/test";
import {
  area,
  benchReady,
  DEMO,
  details,
  expectAccessible,
  inPlan,
  kept,
  openShop,
  pane,
  publish,
  shopAt,
} from "./studio";

const GOODS = "SKU,Title,Price,Stock\nKITE,Delta kite,64.00,20\nTAIL,Spinner tail,12.00,20\nREEL,Line reel,18.00,20";

test("the cart’s page is made on the bench, looked at in its hard cases, and sold from", async ({ page }) => {
  const { host } = await openShop(page, { goods: GOODS });
  await area(page, "Pages");
  await benchReady(page);
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Cart", exact: true }).click();
  await expect(page.locator(".MuiPopover-root")).toHaveCount(0);
  const wide = pane(page, "Wide");
  await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Your cart");
  await expect(wide.locator(".cart-line")).toHaveCount(2);
  const nothing = wide.locator("section", { hasText: "There is nothing in it yet" });
  await expect(nothing).toHaveAttribute("data-not-shown", "");

  await test.step("as an empty one", async () => {
    await page.getByRole("button", { name: /^as Cart/ }).click();
    await page.getByRole("menuitem", { name: "Nothing in it" }).click();
    await expect(nothing).not.toHaveAttribute("data-not-shown");
    await expect(wide.locator(".cart-line")).toHaveCount(0);
    await expect(page.locator(".MuiPopover-root")).toHaveCount(0);
    await page.getByRole("button", { name: /^as Cart/ }).click();
    await page.getByRole("menuitem", { name: "Just taken out" }).click();
    await expect(wide.getByText("“Delta kite” is out of your cart.")).toBeVisible();
    await expect(page.locator(".MuiPopover-root")).toHaveCount(0);
  });

  await test.step("its parts are arranged and worded like any others", async () => {
    await inPlan(page, "Head of the cart").click();
    await details(page).getByLabel("Heading", { exact: true }).fill("Your basket");
    await wide.locator(".w-cart-sum").click();
    await details(page).getByLabel("Below it: taxes, delivery …").fill("Prices include VAT.");
    await expect(wide.getByText("Prices include VAT.")).toBeVisible();
    await page.getByRole("button", { name: "Add", exact: true }).click();
    const sheet = page.getByRole("dialog", { name: /^Add/ });
    // Code of one's own has no place where somebody is buying.
    await sheet.getByLabel("Find").fill("code");
    await expect(sheet.getByRole("button", { name: /^Add Discounts and codes/ }).first()).toBeVisible();
    await expect(sheet.getByRole("button", { name: /own code/i })).toHaveCount(0);
    await page.keyboard.press("Escape");
    await kept(page);
    await publish(page);
  });

  await page.goto(`${shopAt(host)}/products/delta-kite`);
  await page.getByRole("button", { name: "Add to cart" }).first().click();
  await page.getByRole("link", { name: "See the cart" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Your basket");
  await expect(page.getByText("Prices include VAT.")).toBeVisible();
  await expectAccessible(page);
});

test("what is taken out of the cart can be put back, with and without a script", async ({ page, browser }) => {
  const plain = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 390, height: 800 } });
  for (const each of [page, await plain.newPage()]) {
    await each.setViewportSize({ width: 390, height: 800 });
    for (const product of ["larkspindle-delta-190", "harbour-cone"]) {
      await each.goto(`${DEMO}/products/${product}`);
      const added = each.waitForResponse((response) => response.url().endsWith("/cart/add"));
      await each.getByRole("button", { name: "Add to cart" }).first().click();
      await added;
    }
    await each.goto(`${DEMO}/cart`);
    const lines = each.locator(".cart-line");
    await expect(lines).toHaveCount(2);
    const name = await lines.first().locator(".cart-words a").innerText();
    await lines
      .first()
      .getByRole("button", { name: /^Remove/ })
      .click();
    await expect(lines).toHaveCount(1);
    await expect(each.getByRole("status").filter({ hasText: "is out of your cart." })).toContainText(name);
    const back = each.getByRole("button", { name: "Put it back" });
    // Made as a button of the brand, though nothing on the page was one before.
    expect((await back.boundingBox())!.height).toBeGreaterThanOrEqual(24);
    if (each === page) await expect(back).toBeFocused();
    await back.click();
    await expect(lines).toHaveCount(2);
    // The last thing as well; the page is another one then.
    for (const left of [1, 0]) {
      await lines
        .first()
        .getByRole("button", { name: /^Remove/ })
        .click();
      await expect(lines).toHaveCount(left);
    }
    await expect(each.getByText("There is nothing in it yet")).toBeVisible();
    await expect(each.getByRole("link", { name: "See everything" })).toBeVisible();
    if (each === page) await expectAccessible(page);
    await each.getByRole("button", { name: "Put it back" }).click();
    await expect(lines).toHaveCount(1);
    await expect(each.getByText("There is nothing in it yet")).toHaveCount(0);
  }
  await plain.close();
});

test("a discount that comes while the cart is looked at is drawn like one that was there before", async ({ page }) => {
  await page.goto(`${DEMO}/products/larkspindle-delta-190`);
  await page.getByLabel("How many").first().fill("4");
  await page.getByRole("button", { name: "Add to cart" }).first().click();
  await expect(page.getByRole("link", { name: "See the cart" })).toBeVisible();
  await page.goto(`${DEMO}/cart`);
  await page.getByLabel("A code").fill("loft20");
  await page.getByRole("button", { name: "Apply" }).click();
  await expect(page.locator(".cart-offs")).toContainText("LOFT20");
  const looks = () =>
    page.locator(".cart-offs, .cart-offs li, .cart-drop, .cart-saved, .cart-off, .cart-total").evaluateAll((all) =>
      all.map((each) => {
        const { display, color, gap, fontSize, textDecorationLine } = getComputedStyle(each);
        return [each.className, display, color, gap, fontSize, textDecorationLine, each.getBoundingClientRect().width];
      }),
    );
  const at = await looks();
  expect(at.length).toBeGreaterThan(4);
  await page.reload();
  expect(await looks()).toEqual(at);
});

test("once something is put in, the cart comes from the side, where a seller wants that", async ({ page }) => {
  const { host } = await openShop(page, { goods: GOODS });
  await area(page, "Pages");
  await benchReady(page);
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Product", exact: true }).click();
  await expect(page.locator(".MuiPopover-root")).toHaveCount(0);
  await pane(page, "Wide").locator(".w-product-buy").click();
  await details(page).getByRole("combobox", { name: "Once it is in the cart" }).click();
  await page.getByRole("option", { name: "Shows the cart from the side" }).click();
  await inPlan(page, "Header").first().click();
  await details(page).getByRole("combobox", { name: "The cart’s sign" }).click();
  await page.getByRole("option", { name: "Shows the cart from the side" }).click();
  await kept(page);
  await publish(page);
  await page.goto(`${shopAt(host)}/products/delta-kite`);
  const buy = page.getByRole("button", { name: "Add to cart" }).first();
  await buy.click();
  const side = page.getByRole("dialog", { name: "Your cart" });
  const cart = page.frameLocator('iframe[title="Your cart"]');
  await expect(cart.getByRole("heading", { level: 1 })).toHaveText("Your cart");
  await expect(cart.getByText("It is in your cart.")).toBeVisible();
  await expect(cart.locator("header")).toHaveCount(0);
  // It slides in.
  const ends = async () => {
    const { x, width, height } = (await side.boundingBox())!;
    return [Math.round(x + width), height];
  };
  await expect.poll(ends).toEqual([1280, 800]);
  await expectAccessible(page);
  // It is used like the cart's own page, and what comes of it is known around it.
  await cart.getByRole("button", { name: "One more of Delta kite" }).click();
  await expect(cart.locator(".cart-total .price")).toHaveText("€128.00");
  await page.keyboard.press("Escape");
  await expect(side).toBeHidden();
  await expect(buy).toBeFocused();
  await expect(page.getByRole("link", { name: "Cart 2" })).toBeVisible();
  // The sign of the cart shows it as well, on any page.
  await page.goto(`${shopAt(host)}/collections/all`);
  await page.getByRole("link", { name: "Cart 2" }).click();
  await expect(cart.getByRole("heading", { level: 1 })).toHaveText("Your cart");
  await expect(cart.getByText("It is in your cart.")).toHaveCount(0);
  await expect.poll(ends).toEqual([1280, 800]);
  await expectAccessible(page);
  await cart.getByRole("button", { name: "One more of Delta kite" }).click();
  await expect(cart.locator(".cart-total .price")).toHaveText("€192.00");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("link", { name: "Cart 3" })).toBeFocused();
  await page.goto(`${shopAt(host)}/products/delta-kite`);
  await buy.click();
  await cart.getByRole("link", { name: "Continue shopping" }).click();
  await expect(side).toBeHidden();
  await expect(page).toHaveURL(/\/products\/delta-kite$/);
  await buy.click();
  await cart.getByRole("button", { name: "Remove Delta kite" }).click();
  await expect(cart.getByText("There is nothing in it yet")).toBeVisible();
  await expect(cart.locator("header")).toHaveCount(0);
  await cart.getByRole("link", { name: "See everything" }).click();
  await expect(page).toHaveURL(/\/collections\/all$/);
});
