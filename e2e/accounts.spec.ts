import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { expect, test, type Page } from "@playwright/test";
import PostalMime from "postal-mime";
import { DATA } from "./place";
import { area, benchReady, expectAccessible, openShop, STUDIO } from "./studio";

async function signIn(page: Page, address: string, password: string): Promise<void> {
  await page.goto(`${STUDIO}/sign-in`);
  await page.getByLabel("Mail address").fill(address);
  await page.getByLabel("Password").fill(password);
  await page.getByRole("button", { name: "Sign in" }).click();
}

test("an owner changes the password, sees where they are signed in, and other browsers are signed out", async ({
  page,
  browser,
}) => {
  const { address, password, name } = await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  const elsewhere = await browser.newContext({ userAgent: "Mozilla/5.0 (Windows NT 10.0) Firefox/130.0" });
  const other = await elsewhere.newPage();
  await signIn(other, address, password);
  await benchReady(other);

  await page.getByRole("button", { name }).click();
  await page.getByRole("menuitem", { name: "Your account" }).click();
  const list = page.getByRole("region", { name: "Where you are signed in" });
  await expect(list.getByRole("listitem")).toHaveCount(2);
  await expect(list.getByRole("listitem").first()).toContainText("This browser");
  await expect(list.getByRole("listitem").last()).toContainText("Firefox on Windows");
  await expectAccessible(page);

  await page.getByLabel("Current password").fill("not my password");
  await page.getByLabel("New password").fill("a better long one");
  await page.getByRole("button", { name: "Change it" }).click();
  await expect(page.getByText("This is not your password.")).toBeVisible();
  await page.getByLabel("Current password").fill(password);
  await page.getByLabel("New password").fill("a better long one");
  await page.getByRole("button", { name: "Change it" }).click();
  await expect(page.getByText("Your password is changed. All other browsers are signed out.")).toBeVisible();
  await expect(list.getByRole("listitem")).toHaveCount(1);
  await expect(page.getByLabel("New password")).toHaveValue("");

  await other.reload();
  await expect(other.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await signIn(other, address, password);
  await expect(other.getByText("The address or the password is wrong.")).toBeVisible();
  await signIn(other, address, "a better long one");
  await benchReady(other);
  await page.reload();
  await list.getByRole("button", { name: "Sign out Firefox on Windows" }).click();
  await expect(page.getByText("That browser is signed out.")).toBeVisible();
  await other.reload();
  await expect(other.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await elsewhere.close();
});

test("a forgotten password is chosen anew with the link from the letter", async ({ page, context }) => {
  const { address } = await openShop(page);
  await context.clearCookies();
  await page.goto(`${STUDIO}/sign-in`);
  await page.getByRole("link", { name: "I have forgotten my password" }).click();
  await page.getByLabel("Mail address").fill("no address");
  await page.getByRole("button", { name: "Send me a link" }).click();
  await expect(page.getByText("This is not a mail address.")).toBeVisible();
  await page.getByLabel("Mail address").fill(address);
  await page.getByRole("button", { name: "Send me a link" }).click();
  await expect(page.getByRole("alert")).toContainText("If there is an account with this address");

  const outbox = join(DATA, "outbox");
  const letter = async () => {
    for (const file of await readdir(outbox).catch(() => [])) {
      if (!file.endsWith(".eml")) continue;
      const read = await PostalMime.parse(await readFile(join(outbox, file)));
      if (read.to?.some((to) => to.address === address)) return read.text ?? "";
    }
    return "";
  };
  await expect.poll(letter).toContain("/new-password?token=");
  const link = /\/new-password\?token=[\w-]+/.exec(await letter())![0];
  await page.goto(`${STUDIO}${link}`);
  await page.getByLabel("New password").fill("short");
  await page.getByRole("button", { name: "Set it and sign in" }).click();
  await expect(page.getByText("Use at least 10 characters.")).toBeVisible();
  await page.getByLabel("New password").fill("quite another long one");
  await page.getByRole("button", { name: "Set it and sign in" }).click();
  await benchReady(page);

  await page.goto(`${STUDIO}${link}`);
  await page.getByLabel("New password").fill("and one more long one");
  await page.getByRole("button", { name: "Set it and sign in" }).click();
  await expect(page.getByText("This link is no longer good. Ask for a new one.")).toBeVisible();
});
