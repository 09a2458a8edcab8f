import { expect, test } from "@playwright/test";
import { addStart, area, benchReady, inPlan, kept, openShop, pane } from "./studio";

test.beforeEach(async ({ page }) => {
  await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
});

test("pasted office text is cleaned", async ({ page }) => {
  await addStart(page, "One column");
  const wide = pane(page, "Wide");
  await wide.locator(".s-freehand .w-words").click();
  await wide.locator(".s-freehand .w-words p").click();
  const editor = wide.getByRole("textbox", { name: "Words in Words" });
  await expect(editor).toBeFocused();
  await page.keyboard.press("Control+A");
  await editor.evaluate((element) => {
    const data = new DataTransfer();
    data.setData(
      "text/html",
      `<p class="MsoNormal" style="color:#ff0000;font-family:Papyrus"><b>Two</b> people</p><p class="MsoListParagraph" style="mso-list:l0 level1 lfo1"><span style="mso-list:Ignore">· </span>Kites</p><img src="https://tracker.example/x.gif"><script>window.hurt = 1</script>`,
    );
    element.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  const phone = pane(page, "Phone");
  await expect(phone.locator(".s-freehand .w-words strong")).toHaveText("Two");
  await expect(phone.locator(".s-freehand .w-words li")).toHaveText("Kites");
  const markup = await phone.locator(".s-freehand .w-words").innerHTML();
  expect(markup).not.toMatch(/style=|img|script|Papyrus|Mso/);
  // A click elsewhere ends the writing, and selects what was clicked.
  await wide.locator(".s-product-grid .head").click();
  await expect(wide.locator(".ProseMirror")).toHaveCount(0);
  await expect(page.getByRole("toolbar", { name: "Words" })).toHaveCount(0);
  await expect(inPlan(page, "Goods")).toHaveAttribute("aria-selected", "true");
});

test("a table that is too large is fitted when it is pasted, and what was left out is said", async ({ page }) => {
  await addStart(page, "One column");
  const wide = pane(page, "Wide");
  await wide.locator(".s-freehand .w-words").click();
  await wide.locator(".s-freehand .w-words p").click();
  const text = wide.getByRole("textbox", { name: "Words in Words" });
  await expect(text).toBeFocused();
  await page.keyboard.press("Control+A");
  await text.evaluate((element) => {
    const row = `<tr>${"<td>cell</td>".repeat(14)}</tr>`;
    const data = new DataTransfer();
    data.setData("text/html", `<table>${row.repeat(3)}</table>`);
    element.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(page.getByText("A table has 12 columns at most; the others were left out.")).toBeVisible();
  await expect(text.locator("td")).toHaveCount(36);
  await kept(page);
  await expect(pane(page, "Phone").locator(".s-freehand .rich-table td")).toHaveCount(36);
});
