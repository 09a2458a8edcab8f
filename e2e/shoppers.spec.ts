import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { expect, test, type Page } from "@playwright/test";
import PostalMime from "postal-mime";
import type { Draft, Part } from "~/core/document";
import { TEST_CARDS } from "~/core/selling";
import { makeNode } from "~/kinds";
import { firstLayouts } from "~/kinds/layouts";
import { publishedShop } from "./owners";
import { DATA } from "./place";
import { area, expectAccessible, openShop, publish, shopAt } from "./studio";

const GOODS =
  "SKU,Title,Price,Stock,Gift card,Goes with\nKITE,Delta kite,64.00,9,,REEL\nCARD,Gift card,50.00,,yes,\nREEL,Line reel,18.00,,,";
const SELLS = {
  from: "IE",
  zones: [
    {
      id: "ie",
      name: "Ireland",
      countries: ["IE"],
      ways: [{ id: "post", name: "Post", rate: { by: "flat" as const, price: 500 } }],
    },
  ],
  pays: { card: true as const, transfer: "IBAN XX00" },
};

/** The checkout with one more thing below what is bought. */
function withOneMore(draft: Draft): Draft {
  const below = (part: Part): Part => ({
    ...part,
    slots: Object.fromEntries(
      Object.entries(part.slots).map(([slot, children]) => [
        slot,
        children.flatMap((child) =>
          child.kind === "checkout-sum" ? [child, makeNode("checkout-more")] : [below(child)],
        ),
      ]),
    ),
  });
  const { checkout } = firstLayouts();
  return { ...draft, documents: { ...draft.documents, checkout: { ...checkout, root: below(checkout.root) } } };
}

/** What a letter to somebody says; empty until there is one. */
async function letterTo(address: string, subject: RegExp): Promise<string> {
  const outbox = join(DATA, "outbox");
  for (const file of await readdir(outbox).catch(() => [])) {
    if (!file.endsWith(".eml")) continue;
    const read = await PostalMime.parse(await readFile(join(outbox, file)));
    if (read.to?.some((to) => to.address === address) && subject.test(read.subject ?? "")) return read.text ?? "";
  }
  return "";
}

async function toCheckout(page: Page, host: string, product: string): Promise<void> {
  await page.goto(`${shopAt(host)}/products/${product}`);
  const added = page.waitForResponse((response) => response.url().endsWith("/cart/add"));
  await page.getByRole("button", { name: "Add to cart" }).first().click();
  await added;
  await page.goto(`${shopAt(host)}/checkout`);
}

/** A page fits, at 320 px as well, and axe finds nothing on it. */
async function isSound(page: Page): Promise<void> {
  const wide = page.viewportSize()!;
  await page.setViewportSize({ width: 320, height: 700 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  await expectAccessible(page);
  await page.setViewportSize(wide);
}

test("a shopper makes an account by the link in a letter, buys with it, and orders again", async ({ page }) => {
  const host = await publishedShop({ goods: GOODS, sells: SELLS });
  const mail = `ada-${Date.now().toString(36)}@quill.example`;
  await page.goto(shopAt(host));
  await page.getByRole("link", { name: "Your account" }).first().click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Sign in");
  await isSound(page);
  await page.getByRole("link", { name: "Make an account" }).click();
  await page.getByRole("button", { name: "Send me the link" }).click();
  await expect(page.getByText("Please write your name.")).toBeVisible();
  await isSound(page);
  await page.getByLabel("Your name").fill("Ada Quill");
  await page.getByLabel("Mail address").fill(mail);
  await page.getByRole("button", { name: "Send me the link" }).click();
  await expect(page.getByText("A letter with a link is on its way.")).toBeVisible();
  await expect.poll(() => letterTo(mail, /Your account at/)).toContain("/account/password?token=");
  const link = /\/account\/password\?token=[\w-]+/.exec(await letterTo(mail, /Your account at/))![0];
  await page.goto(shopAt(host) + link);
  await page.getByLabel("New password").fill("four words fly high");
  await isSound(page);
  // The form is sent from a page whose address is told to no other site.
  await page.getByRole("button", { name: "Keep it, and sign in" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Your account");
  await expect(page.getByText("You have not ordered anything yet.")).toBeVisible();

  await toCheckout(page, host, "delta-kite");
  await expect(page.getByText(`Signed in as ${mail}`)).toBeVisible();
  await expect(page.getByLabel("Mail address")).toHaveValue(mail);
  await expect(page.getByLabel("Full name")).toHaveValue("Ada Quill");
  await page.getByLabel("Street and number").fill("4 Quay Lane");
  await page.getByLabel("Town or city").fill("Howth");
  await page.getByLabel("Card number").fill(TEST_CARDS.asked);
  await page.getByLabel("Expires").fill("08/39");
  await page.getByLabel("Security code").fill("123");
  await page.getByRole("button", { name: /^Order and pay/ }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Your bank asks whether it is you");
  await page.getByRole("button", { name: "Yes, it is me" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Thank you");

  await page.goto(`${shopAt(host)}/account`);
  await expect(page.getByText("4 Quay Lane")).toBeVisible();
  await isSound(page);
  await page.getByRole("link", { name: "See order 1" }).click();
  await expect(page.getByText("You ordered it.")).toBeVisible();
  await page.goBack();
  await page.getByRole("link", { name: "Add an address" }).click();
  await page.getByRole("button", { name: "Keep the address" }).click();
  await expect(page.getByText("Please write the street and number.")).toBeVisible();
  await isSound(page);
  await page.goto(`${shopAt(host)}/account`);
  await page.getByRole("button", { name: "Order again: order 1" }).click();
  await expect(page).toHaveURL(/\/cart$/);
  await expect(page.getByText("Delta kite").first()).toBeVisible();
  await page.goto(`${shopAt(host)}/account`);
  await page.getByRole("button", { name: "Sign out" }).click();
  await page.goto(`${shopAt(host)}/account`);
  await expect(page).toHaveURL(/\/account\/sign-in$/);
});

test("a gift card is bought, comes by letter, shows what is left on it, and pays", async ({ page }) => {
  const host = await publishedShop({ goods: GOODS, sells: SELLS });
  const to = `tom-${Date.now().toString(36)}@quill.example`;
  await toCheckout(page, host, "gift-card");
  await expect(page.getByLabel("Street and number")).toHaveCount(0);
  await page.getByLabel("Mail address", { exact: true }).fill("ada@quill.example");
  await page.getByLabel("Your name").fill("Ada Quill");
  await page.getByText("Birthday").click();
  await page.getByLabel("Their mail address").fill(to);
  await page.getByLabel("A few words").fill("For your next kite.");
  await isSound(page);
  await page.getByLabel("Card number").fill(TEST_CARDS.paid);
  await page.getByLabel("Expires").fill("08/39");
  await page.getByLabel("Security code").fill("123");
  await page.getByRole("button", { name: /^Order and pay/ }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Thank you");
  await expect.poll(() => letterTo(to, /^A gift card/)).toContain("For your next kite.");
  const code = /(?:[A-Z\d]{4} ){3}[A-Z\d]{4}/.exec(await letterTo(to, /^A gift card/))![0];

  await page.goto(`${shopAt(host)}/gift-cards`);
  await page.getByLabel("Code of the card").fill(code.toLowerCase());
  await page.getByRole("button", { name: "Show it" }).click();
  await expect(page.getByRole("status")).toContainText("€50.00");
  await isSound(page);

  await toCheckout(page, host, "delta-kite");
  await page.getByText("Pay with a gift card").click();
  await page.getByLabel("Code of the card").fill(code);
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(page.getByText("pays €50.00")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Order and pay €19.00/ })).toBeVisible();
  await isSound(page);
  await page.getByRole("button", { name: /^Don’t use gift card/ }).click();
  await expect(page.getByRole("button", { name: /^Order and pay €69.00/ })).toBeVisible();
});

test("one more thing is put in by a press before paying, and nothing that was typed is lost", async ({
  page,
  browser,
}) => {
  const host = await publishedShop({ goods: GOODS, sells: SELLS, also: withOneMore });
  await toCheckout(page, host, "delta-kite");
  const fields = [page.getByLabel("Mail address", { exact: true }), page.getByLabel("Card number")] as const;
  for (const [i, field] of fields.entries()) await field.fill(["ada@quill.example", TEST_CARDS.paid][i]!);
  const add = page.getByRole("button", { name: "Add: Line reel" });
  await add.click();
  const said = page.getByRole("status").filter({ hasText: "Line reel: It is in your order." });
  await expect(said).toBeFocused();
  await expect(page.getByRole("button", { name: /^Order and pay €87.00/ })).toBeVisible();
  for (const [i, field] of fields.entries())
    await expect(field).toHaveValue(["ada@quill.example", TEST_CARDS.paid][i]!);
  await expect(add).toHaveCount(0);
  await isSound(page);
  // Without a script it is a page of its own, and a card’s number alone is to be typed once more.
  const context = await browser.newContext({ javaScriptEnabled: false });
  const plain = await context.newPage();
  await plain.goto(`${shopAt(host)}/products/delta-kite`);
  await plain.getByRole("button", { name: "Add to cart" }).first().click();
  await plain.goto(`${shopAt(host)}/checkout`);
  await plain.getByLabel("Mail address", { exact: true }).fill("ada@quill.example");
  await plain.getByRole("button", { name: "Add: Line reel" }).click();
  await expect(plain.getByText("Line reel: It is in your order.")).toBeVisible();
  await expect(plain.getByLabel("Mail address", { exact: true })).toHaveValue("ada@quill.example");
  await context.close();
});

test("a seller changes what a letter says, makes a gift card, and sends the automatic shopper through", async ({
  page,
}) => {
  test.slow();
  await openShop(page, { goods: GOODS, sells: SELLS });
  await publish(page);
  await area(page, "Mail");
  await page.getByRole("link", { name: "Automatic" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Order");
  await expectAccessible(page);
  const letter = page.frameLocator('iframe[title="The letter as it arrives"]');
  await expect(letter.getByText("Thank you for your order")).toBeVisible();
  await page.getByLabel("Heading").fill("Thanks, {nobody}");
  await expect(page.getByText("“{nobody}” is no fact of this letter.")).toBeVisible();
  await page.getByLabel("Heading").fill("Thanks, ");
  await page.getByRole("button", { name: "Who it goes to" }).click();
  await expect(letter.getByText("Thanks, Ada Quill")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(letter.getByText("Thanks, Ada Quill")).toHaveCount(0);

  await area(page, "Orders");
  await page.getByRole("link", { name: "Gift cards" }).click();
  await expect(page.getByText("No gift cards yet")).toBeVisible();
  await page.getByRole("button", { name: "Make a card" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByRole("button", { name: "Make it" }).click();
  await expect(dialog.getByText("Write an amount.")).toBeVisible();
  await dialog.getByLabel("Worth").fill("25");
  await dialog.getByRole("button", { name: "Make it" }).click();
  await expect(dialog.getByText("This is its code.")).toBeVisible();
  await dialog.getByRole("button", { name: "Done" }).click();
  await expect(page.getByRole("row", { name: /Made by hand/ })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole("link", { name: "Walk-through" }).click();
  await page.getByRole("button", { name: "What is published" }).click();
  await page.getByRole("button", { name: "Walk through it" }).click();
  await expect(page.getByRole("button", { name: "Walk through again" })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText("A card that is paid")).toBeVisible();
  await expect(page.getByText("Nothing is wrong anywhere the shopper came.")).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("link", { name: "Orders", exact: true }).last().click();
  await expect(page.getByText("No orders yet")).toBeVisible();
});
