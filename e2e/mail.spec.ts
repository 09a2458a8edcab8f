import { expect, test } from "@playwright/test";
import {
  addSection,
  area,
  benchReady,
  details,
  dragHandle,
  expectAccessible,
  inPlan,
  kept,
  openShop,
  pane,
  publish,
  shopAt,
} from "./studio";

test("a form is made, asks what it has to, brings a message, and is answered; a letter goes to a list", async ({
  page,
  browser,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await addSection(page, "Form", "Something made to order", "form");
  const wide = pane(page, "Wide");
  await expect(wide.getByRole("heading", { name: "Have one made for you" })).toBeVisible();
  await expect(inPlan(page, "Form")).toHaveAttribute("aria-selected", "true");

  // A field is added, told what it asks, and made to depend on another one.
  await details(page).getByRole("button", { name: "Add a field" }).click();
  await details(page).getByLabel("Question").fill("Which sail cloth?");
  await details(page).getByLabel("It asks for").click();
  await page.getByRole("option", { name: "One of several choices" }).click();
  await details(page).getByLabel("Choices, each on a line of its own").fill("Light\nStrong");
  await expect(wide.getByText("Strong", { exact: true })).toBeVisible();
  // A slow press: near the window's foot the choices lie over their own field before it is let go.
  await details(page).getByRole("combobox", { name: "Asked" }).click({ delay: 700 });
  await page.getByRole("option", { name: /Does it have to be there by a day/ }).click();
  await details(page).getByLabel("this").click();
  await page.getByRole("option", { name: "No", exact: true }).click();
  await expect(wide.getByText("Only if “Does it have to be there by a day?” is “No”.")).toBeVisible();

  // Its right edge gives it less of its row, and the keyboard more.
  const question = wide.locator(".w-form-field", { hasText: "Which sail cloth?" });
  const whole = (await question.boundingBox())!;
  const edge = wide.getByRole("button", { name: /^Width in its row/ });
  // Until the list of choices is gone, it lies over the panes.
  await expect(page.getByRole("listbox")).toHaveCount(0);
  await dragHandle(page, edge, whole.width * -0.48, wide.locator(".zm-value", { hasText: "Half" }));
  await expect(edge).toHaveAccessibleName("Width in its row: Half, arrow keys");
  await expect.poll(async () => (await question.boundingBox())!.width).toBeLessThan(whole.width * 0.55);
  await edge.focus();
  await page.keyboard.press("ArrowRight");
  await expect(edge).toHaveAccessibleName("Width in its row: Two thirds, arrow keys");
  await kept(page);
  await publish(page);

  const shopper = await browser.newPage({ viewport: { width: 390, height: 760 } });
  await shopper.clock.install();
  await shopper.goto(shopAt(host));
  await expect(shopper.getByLabel("By which day?")).toBeHidden();
  await expect(shopper.getByRole("group", { name: "Which sail cloth?" })).toBeHidden();
  await shopper.getByRole("radio", { name: "No", exact: true }).check();
  await expect(shopper.getByRole("group", { name: "Which sail cloth?" })).toBeVisible();
  await shopper.getByRole("button", { name: "Ask for it" }).click();
  await expect(shopper.getByText("3 things are missing or can’t be read.")).toBeVisible();
  await expect(shopper.getByLabel("Your name")).toBeFocused();
  await expect(shopper.getByLabel("Your name")).toHaveAccessibleDescription("Please fill this in.");
  await expectAccessible(shopper);
  await shopper.getByLabel("Your name").fill("Oda");
  await shopper.locator(".s-form").getByLabel("Your mail address").fill("oda@post.example");
  await shopper.getByLabel("What should we make for you?").fill("A heron with legs that trail");
  await shopper.getByRole("radio", { name: "Strong" }).check();
  await shopper
    .getByLabel("A drawing or a picture")
    .setInputFiles({ name: "heron.gif", mimeType: "image/gif", buffer: Buffer.from("GIF89a heron") });
  // Whoever writes takes longer than a machine that fills it in.
  await shopper.clock.fastForward(20_000);
  await shopper.getByRole("button", { name: "Ask for it" }).click();
  await expect(shopper.getByText("It has arrived.")).toBeVisible();
  await expectAccessible(shopper);
  await shopper.locator(".s-sign-up").getByLabel("Your mail address").fill("reader@post.example");
  await shopper.getByRole("button", { name: "Sign up" }).click();
  await expect(shopper.getByText("You are on the list.")).toBeVisible();
  await shopper.close();

  await area(page, "Mail");
  await page.getByRole("button", { name: /Oda/ }).click();
  const message = page.getByRole("article");
  await expect(message).toContainText("A heron with legs that trail");
  await expect(message).toContainText("Strong");
  const file = page.waitForEvent("download");
  await message.getByRole("link", { name: /heron\.gif/ }).click();
  expect((await file).suggestedFilename()).toBe("heron.gif");
  await expectAccessible(page);
  await message.getByLabel("Your answer to oda@post.example").fill("We can do that.");
  await message.getByRole("button", { name: "Send the answer" }).click();
  await expect(page.getByText("Your answer is in the outbox.")).toBeVisible();
  await expect(page.getByText("Nothing waits for you")).toBeVisible();
  await page.getByRole("button", { name: "Done (1)" }).click();
  await page.getByLabel("Find", { exact: true }).fill("legs");
  await page.getByRole("button", { name: /Oda/ }).click();
  await expect(message).toContainText("You answered on");

  const parts = page.getByRole("navigation", { name: "Parts of Mail" });
  await parts.getByRole("link", { name: "Lists" }).click();
  await expect(page.getByRole("list", { name: "People" })).toContainText("reader@post.example");
  await expectAccessible(page);
  await parts.getByRole("link", { name: "Letters" }).click();
  await page.getByRole("button", { name: "Write to a list" }).click();
  await page.getByRole("textbox", { name: "Subject" }).fill("It blows again");
  await page.getByLabel("Words", { exact: true }).fill("Come and fly.");
  const letter = page.frameLocator('iframe[title="The letter as it arrives"]');
  await expect(letter.getByText("Come and fly.")).toBeVisible();
  await expect(page.getByText("Saved", { exact: true }).last()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Send to 1" }).click();
  await page.getByRole("button", { name: "Send now" }).click();
  await expect(page.getByText("It is going out, to the outbox.")).toBeVisible();
  await parts.getByRole("link", { name: "Letters" }).click();
  await expect(page).toHaveURL(/\/letters$/);
  const row = page.getByRole("list", { name: "To everybody on a list" }).getByRole("listitem");
  // The server looks for what is due every few seconds.
  await expect(async () => {
    await page.reload();
    await expect(row).toContainText("1 sent", { timeout: 1000 });
  }).toPass({ timeout: 30_000 });
  await expectAccessible(page);
});
