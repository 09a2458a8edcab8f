import { expect, test, type Page } from "@playwright/test";
import { area, expectAccessible, kept, openShop, publish, shopAt } from "./studio";

const GOODS = "SKU,Title,Price,Stock\nKITE,Delta kite,64.00,3\nREEL,Line reel,18.00,";

const ADA = {
  "Mail address": "ada@quill.example",
  "Full name": "Ada Quill",
  "Street and number": "4 Quay Lane",
  "Town or city": "Howth",
  "Card number": "9000 1000 0000 0009",
  Expires: "08/39",
  "Security code": "123",
};

/** Puts the kite into the cart, and goes to the checkout. */
async function toCheckout(page: Page, host: string): Promise<void> {
  await page.goto(`${shopAt(host)}/products/delta-kite`);
  const added = page.waitForResponse((response) => response.url().endsWith("/cart/add"));
  await page.getByRole("button", { name: "Add to cart" }).first().click();
  await added;
  await page.goto(`${shopAt(host)}/cart`);
  await page.getByRole("link", { name: "Checkout" }).click();
  await expect(page).toHaveURL(/\/checkout$/);
}

test("a shop says how it delivers and is paid, sells, and follows an order to the end", async ({ page, browser }) => {
  const { host } = await openShop(page, { goods: GOODS });
  await area(page, "Orders");
  await expect(page.getByText("Nobody can buy yet")).toBeVisible();
  await expectAccessible(page);

  await test.step("delivery, with what a parcel costs", async () => {
    await page.getByRole("link", { name: "Set up delivery" }).click();
    await page.getByRole("combobox", { name: "You send from" }).fill("Irel");
    await page.getByRole("option", { name: "Ireland", exact: true }).click();
    const place = page.getByRole("button", { name: "Place", exact: true });
    await place.click();
    await page.getByRole("menuitem", { name: "Ireland" }).click();
    await expect(page.locator(".MuiPopover-root")).toHaveCount(0);
    const ireland = page.getByRole("region", { name: "Ireland" });
    await ireland.getByRole("button", { name: "Way of delivery" }).click();
    await ireland.getByLabel("Costs").fill("6,90");
    await expect(page.getByText("A parcel of 2 kg to Ireland costs €6.90 with “Parcel”.")).toBeVisible();
    // What can’t be read is said, and nothing is kept of it.
    await ireland.getByLabel("Free from a worth of").fill("lots");
    await expect(ireland.getByText("“lots” is not an amount.")).toBeVisible();
    await ireland.getByLabel("Free from a worth of").fill("");
    await place.click();
    await page.getByRole("menuitem", { name: "Everywhere else" }).click();
    await expect(page.locator(".MuiPopover-root")).toHaveCount(0);
    const rest = page.getByRole("region", { name: "Everywhere else" });
    await rest.getByRole("button", { name: "Way of delivery" }).click();
    await rest.getByLabel("What it is called").fill("Air parcel");
    await rest.getByLabel("Costs").fill("19.00");
    await expectAccessible(page);
  });

  await test.step("tax and payment", async () => {
    const parts = page.getByRole("navigation", { name: "Parts of Orders" });
    await parts.getByRole("link", { name: "Tax" }).click();
    await page.getByRole("switch", { name: "Show tax on orders" }).click();
    await page.getByRole("button", { name: "Country", exact: true }).click();
    await page.getByLabel("Standard, %").fill("23");
    await expect(page.getByRole("status", { name: "Check" })).toContainText(
      "a shopper pays €105.00, and €19.63 of it are VAT",
    );
    await parts.getByRole("link", { name: "Payment" }).click();
    await page.getByRole("switch", { name: "Card" }).click();
    await expectAccessible(page);
    await kept(page);
    await publish(page);
  });

  const phone = await browser.newContext({ viewport: { width: 320, height: 700 }, locale: "en-IE" });
  const shopper = await phone.newPage();
  await test.step("a shopper on a phone is told what is wrong, and loses nothing", async () => {
    await toCheckout(shopper, host);
    const total = shopper.locator(".ck-total");
    await expect(total).toHaveText("€70.90");
    // The summary is folded, with the total in sight.
    const folded = shopper.locator(".ck-sum");
    await expect(folded.getByText("€70.90").first()).toBeVisible();
    await expect(folded.getByText("Delta kite")).toBeHidden();
    await folded.locator("summary").click();
    await expect(folded.getByText("Delta kite")).toBeVisible();
    await shopper.getByLabel("Mail address").fill("ada@quill.example");
    await shopper.getByLabel("Card number").fill("9000 1000 0000 0009");
    await shopper.getByLabel("Country").focus();
    await shopper.getByLabel("Country").selectOption({ label: "United States" });
    await expect(total).toHaveText("€83.00");
    await expect(shopper.getByLabel("ZIP code")).toBeVisible();
    // What was typed is still there, and what one works with is under one’s hands.
    await expect(shopper.getByLabel("Mail address")).toHaveValue("ada@quill.example");
    await expect(shopper.getByLabel("Card number")).toHaveValue("9000 1000 0000 0009");
    await expect(shopper.getByLabel("Country")).toBeFocused();
    await expect(folded.getByText("Delta kite")).toBeVisible();
    await shopper.getByLabel("Country").selectOption({ label: "Ireland" });
    await expect(total).toHaveText("€70.90");
    await shopper.getByRole("button", { name: /^Order and pay/ }).click();
    const wrong = shopper.getByRole("alert");
    await expect(wrong).toBeFocused();
    await expect(wrong).toContainText("Please write the street and number.");
    await expect(shopper.getByLabel("Mail address")).toHaveValue("ada@quill.example");
    const sticksOut = await shopper.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(sticksOut).toBeLessThanOrEqual(0);
    await expectAccessible(shopper);
    // Each sentence leads to its field.
    await wrong.getByRole("link", { name: "Please write the full name." }).click();
    await expect(shopper.getByLabel("Full name")).toBeFocused();
  });

  await test.step("is declined once, then buys", async () => {
    await shopper.getByLabel("Full name").fill("Ada Quill");
    await shopper.getByLabel("Street and number").fill("4 Quay Lane");
    await shopper.getByLabel("Town or city").fill("Howth");
    const pay = async (number: string) => {
      await shopper.getByLabel("Card number").fill(number);
      await shopper.getByLabel("Expires").fill("08/39");
      await shopper.getByLabel("Security code").fill("123");
      await shopper.getByRole("button", { name: /^Order and pay/ }).click();
    };
    await pay("9000 2000 0000 0007");
    await expect(shopper.getByRole("alert")).toContainText("nothing was ordered");
    await expect(shopper.getByLabel("Street and number")).toHaveValue("4 Quay Lane");
    await expect(shopper.getByLabel("Card number")).toHaveValue("");
    await pay("9000 1000 0000 0009");
    await expect(shopper.getByRole("heading", { level: 1 })).toHaveText("Thank you");
    await expect(shopper.getByText("with VAT 23 %")).toBeVisible();
    await expectAccessible(shopper);
    // Loaded anew, it is still one order.
    await shopper.reload();
    await expect(shopper.getByText("Order 1", { exact: true })).toBeVisible();
    await shopper.goto(shopper.url().replace("?thanks=1", ""));
    await expect(shopper.getByText("You ordered it.")).toBeVisible();
  });

  await test.step("the seller sends it, gives some of the money back, and the shopper sees that", async () => {
    await area(page, "Orders");
    await page.getByRole("link", { name: "Orders", exact: true }).last().click();
    await page.getByRole("row", { name: /Ada Quill/ }).click();
    await expect(page.getByRole("heading", { level: 1 })).toHaveText("Order 1");
    await expectAccessible(page);
    await page.getByRole("button", { name: "Mark as sent" }).click();
    const dialog = page.getByRole("dialog");
    await dialog.getByLabel("How to follow the parcel, or a few words").fill("TP 4471");
    await dialog.getByRole("button", { name: "Mark as sent" }).click();
    await expect(dialog).toHaveCount(0);
    await page.getByRole("button", { name: "Refund …" }).click();
    await dialog.getByLabel("How much").fill("900");
    await dialog.getByRole("button", { name: "Refund", exact: true }).click();
    await expect(dialog.getByRole("alert")).toHaveText("€70.90 can be given back at most.");
    await dialog.getByLabel("How much").fill("6.90");
    await dialog.getByLabel("Pieces of Delta kite that go back into stock").selectOption("1");
    await dialog.getByRole("button", { name: "Refund", exact: true }).click();
    await expect(dialog).toHaveCount(0);
    await expect(page.getByText("€70.90, €6.90 of it given back")).toBeVisible();
    await shopper.reload();
    await expect(shopper.getByText("It is on its way. TP 4471")).toBeVisible();
    await expect(shopper.getByText("Refunded in part")).toBeVisible();
    // The last three are there again.
    await shopper.goto(`${shopAt(host)}/products/delta-kite`);
    await expect(shopper.getByRole("button", { name: "Add to cart" }).first()).toBeVisible();
  });

  await test.step("and buys something from the draft, which is a test that can be removed", async () => {
    await page.getByRole("link", { name: "All orders" }).click();
    const [tab] = await Promise.all([
      page.waitForEvent("popup"),
      page.getByRole("button", { name: "Buy something yourself" }).click(),
    ]);
    await expect(tab.getByText("This is the draft.")).toBeVisible();
    await tab.getByRole("link", { name: "Line reel" }).first().click();
    const added = tab.waitForResponse((response) => response.url().endsWith("/cart/add"));
    await tab.getByRole("button", { name: "Add to cart" }).first().click();
    await added;
    await tab.goto(`${shopAt(host)}/checkout`);
    await tab.getByLabel("Country").selectOption({ label: "Ireland" });
    await expect(tab.locator(".ck-total")).toHaveText("€24.90");
    for (const [label, text] of Object.entries(ADA)) await tab.getByLabel(label).fill(text);
    await tab.getByRole("button", { name: /^Order and pay/ }).click();
    await expect(tab.getByText("Order T1", { exact: true })).toBeVisible();
    await tab.close();
    await page.reload();
    await page.getByRole("button", { name: "Tests (1)" }).click();
    await expect(page.getByRole("row", { name: /T1/ })).toBeVisible();
    await page.getByRole("button", { name: "Remove all tests" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Remove" }).click();
    // What lies behind a dialog counts as not there: that nothing is there says something only once the dialog is gone.
    await expect(page.getByRole("dialog")).toHaveCount(0);
    await expect(page.getByRole("button", { name: /^Tests/ })).toHaveCount(0);
    await expect(page.getByRole("row", { name: /T1/ })).toHaveCount(0);
    await page.getByRole("row", { name: /Ada Quill/ }).click();
  });

  await test.step("it is printed for the parcel, without prices", async () => {
    const [slip] = await Promise.all([
      page.waitForEvent("popup"),
      page.getByRole("link", { name: "Packing slip" }).click(),
    ]);
    await expect(slip.getByRole("heading", { level: 1 })).toHaveText("Packing slip 1");
    await expect(slip.getByText("4 Quay Lane")).toBeVisible();
    await expect(slip.getByText("€")).toHaveCount(0);
    await slip.close();
  });
  await phone.close();
});
