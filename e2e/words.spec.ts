import { expect, test } from "@playwright/test";
import type { Json, Part } from "~/core/document";
import { KINDS, makeNode } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { wordy } from "~/render/fixtures/wordy";
import { publishedShop } from "./owners";
import { addSection, benchReady, details, expectAccessible, kept, openShop, pane, publish, shopAt } from "./studio";

/** Every kind for words in every arrangement, one after the other, filled with what each can say. */
function everyKind(): readonly Part[] {
  const nothing = { type: "doc", content: [] } as const;
  const said = wordy(nothing, nothing);
  const parts = [...Object.keys(said), "contents"].flatMap((kind) => {
    const { arrangements, level } = KINDS.get(kind)!.definition;
    return arrangements.map(({ id }) => {
      const props = { ...said[kind], arrangement: id } as Record<string, Json>;
      // A list of headings and a table that stand twice are told apart by theirs.
      const part = makeNode(kind, "heading" in props ? props : { ...props, heading: `${kind} ${id}` });
      return level === "widget" ? sectionAround(part) : part;
    });
  });
  return [makeNode("hero"), ...parts];
}

test("each kind for words in each arrangement fits a phone and a wide screen, and keeps to what WCAG asks", async ({
  page,
}) => {
  const goods = "Title,Price,Span (cm),Wind\nDelta,64,190,2-5\nSled,26,,3-6\nFacet,108,140,";
  const host = await publishedShop({ main: everyKind(), goods });
  for (const width of [320, 390, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    await page.goto(shopAt(host));
    await expect(page.getByRole("tab", { name: "Care" }).first()).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width);
    if (width !== 320) await expectAccessible(page);
  }
  // Tabs, by the keyboard.
  const tabs = page.locator(".s-tabs").first();
  await tabs.getByRole("tab", { name: "Care" }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(tabs.getByRole("tab", { name: "Sending" })).toBeFocused();
  await expect(tabs.getByRole("tabpanel")).toContainText("On Mondays");
  // A heading that is listed is led to.
  const list = page.locator(".s-contents").first();
  await list.getByRole("link", { name: "In numbers" }).first().click();
  await expect(page.locator(".s-figures").first()).toBeInViewport();
});

test("a size chart is pasted out of a spreadsheet, and shoppers read it in inches without a script", async ({
  page,
  browser,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await addSection(page, "Size chart", "Chart alone", "inches");
  await details(page).getByRole("button", { name: "Fill in the table" }).click();
  const dialog = page.getByRole("dialog", { name: "Chart" });
  await dialog.getByLabel("Heading of column 1").focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData("text/plain", "Size\tHips (cm)\tEU\nS\t84–90\t36\nM\t91–98\t38");
    document.activeElement!.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(dialog.getByLabel("Row 2, Hips (cm)")).toHaveValue("91–98");
  await dialog.getByRole("button", { name: "Row 3, L" }).click();
  await page.getByRole("menuitem", { name: "Remove this row" }).click();
  await dialog.getByLabel("Row 2, EU").focus();
  await page.keyboard.press("Enter");
  await page.keyboard.type("L");
  await expect(dialog.getByLabel("Row 3, EU")).toHaveValue("L");
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Done" }).click();
  // A cell is written in the pane as well.
  await pane(page, "Wide").getByText("84–90").dblclick();
  await page.keyboard.press("ControlOrMeta+a");
  await page.keyboard.type("82–90");
  await page.keyboard.press("Escape");
  await expect(pane(page, "Phone").getByText("82–90")).toBeVisible();
  await kept(page);
  await publish(page);

  const plain = await browser.newPage({ javaScriptEnabled: false, viewport: { width: 390, height: 760 } });
  await plain.goto(shopAt(host));
  await expect(plain.getByText("82–90")).toBeVisible();
  await plain.getByRole("radio", { name: "in" }).check();
  await expect(plain.getByText("82–90")).toBeHidden();
  // 82 cm are 32.28 in and 90 cm 35.43 in, to half an inch.
  await expect(plain.getByText("32½–35½")).toBeVisible();
  await expect(plain.getByRole("columnheader", { name: "Hips (in)" })).toBeVisible();
  await plain.close();
});
