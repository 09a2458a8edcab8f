import { expect, test, type FrameLocator, type Locator, type Page } from "@playwright/test";
import { dragLine, widthsOf } from "../app/core/layout";
import {
  addStart,
  area,
  askShop,
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openAdd,
  openShop,
  pane,
  plan,
  publish,
} from "./studio";

// Columns and widgets laid out by hand: the daily work at the bench, in both panes.

let host = "";
test.beforeEach(async ({ page }) => {
  ({ host } = await openShop(page));
  await area(page, "Pages");
  await benchReady(page);
});

const columns = (frame: FrameLocator) => frame.locator(".s-freehand .col");
/** What stands in each column, in words, as the plan lists it. */
const rows = (page: Page) =>
  plan(page)
    .locator('[role=treeitem][aria-level="2"],[role=treeitem][aria-level="3"]')
    .evaluateAll((items) => items.map((i) => i.getAttribute("aria-label")));
const middle = async (locator: Locator) => {
  const box = (await locator.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2, box };
};

test("widgets are dragged from Add, between columns and across panes, with the place said in words; Escape cancels", async ({
  page,
}) => {
  await addStart(page, "Three reasons");
  const wide = pane(page, "Wide");
  const phone = pane(page, "Phone");
  expect(await rows(page)).toEqual([
    "Column 1",
    "Sign and words",
    "Column 2",
    "Sign and words",
    "Column 3",
    "Sign and words",
  ]);

  await test.step("out of the sheet, onto the page", async () => {
    const sheet = await openAdd(page);
    const tile = sheet.getByRole("button", { name: "Add Heading", exact: true });
    await tile.hover();
    const from = await middle(tile);
    await page.mouse.down();
    await page.mouse.move(from.x, from.y - 60, { steps: 5 });
    await expect(sheet).toBeHidden();
    const { box } = await middle(columns(wide).nth(1));
    await page.mouse.move(box.x + 30, box.y + 3, { steps: 8 });
    await expect(wide.getByText("Column 2 of Freehand, first")).toBeVisible();
    await page.mouse.up();
    await expect
      .poll(() => rows(page))
      .toEqual(["Column 1", "Sign and words", "Column 2", "Heading", "Sign and words", "Column 3", "Sign and words"]);
  });

  const carry = async () => {
    const { box } = await middle(wide.locator(".w-heading"));
    await page.mouse.move(box.x + 20, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x - 10, box.y + 20, { steps: 5 });
    const goal = (await phone.locator(".s-freehand .w-point").nth(2).boundingBox())!;
    await page.mouse.move(goal.x + 40, goal.y + goal.height - 2, { steps: 10 });
    await page.mouse.move(goal.x + 41, goal.y + goal.height - 1);
    await expect(phone.getByText("Column 3 of Freehand, last")).toBeVisible();
    await expect(page.getByRole("status").filter({ hasText: "Column 3 of Freehand, last" })).toBeAttached();
  };
  await test.step("from one pane into the other; Escape leaves it where it was", async () => {
    // What was put there is selected, and can be taken up at once.
    await carry();
    await page.keyboard.press("Escape");
    await page.mouse.up();
    expect((await rows(page))[3]).toBe("Heading");
    await carry();
    await page.mouse.up();
    await expect
      .poll(() => rows(page))
      .toEqual(["Column 1", "Sign and words", "Column 2", "Sign and words", "Column 3", "Sign and words", "Heading"]);
  });

  await test.step("by keys: up, to the next column, and far away by a list of places", async () => {
    const heading = plan(page).getByRole("treeitem", { name: "Heading", exact: true });
    await heading.focus();
    await page.keyboard.press("Alt+ArrowUp");
    await expect.poll(async () => (await rows(page)).slice(4)).toEqual(["Column 3", "Heading", "Sign and words"]);
    await page.keyboard.press("Alt+ArrowLeft");
    await expect.poll(async () => (await rows(page)).slice(2, 5)).toEqual(["Column 2", "Heading", "Sign and words"]);
    await page.keyboard.press("m");
    await page.getByRole("dialog", { name: "Move Heading to …" }).getByRole("button", { name: /^Hero/ }).click();
    await expect(wide.locator(".s-hero .w-heading")).toBeVisible();
    await expect(inPlan(page, "Hero")).toHaveAttribute("aria-expanded", "true");
  });

  await test.step("all of it undone to the start", async () => {
    const undo = page.getByRole("button", { name: /^Undo:/ });
    while (await undo.isVisible()) await undo.click();
    await expect(wide.locator(".s-freehand")).toHaveCount(0);
    await kept(page);
  });
});

test("the line between columns is dragged, snaps, is typed exactly, and columns come out as wide as they were worked out", async ({
  page,
}) => {
  await addStart(page, "Picture and words, 2 : 1");
  const wide = pane(page, "Wide");
  const measured = async (name: "Phone" | "Wide") =>
    pane(page, name)
      .locator(".s-freehand .cols")
      .evaluate((e) => ({
        width: e.getBoundingClientRect().width,
        gap: Number.parseFloat(getComputedStyle(e).columnGap),
        columns: [...e.children].map((c) => c.getBoundingClientRect().width),
      }));
  const close = (a: readonly number[], b: readonly number[]) =>
    a.forEach((x, i) => expect(Math.abs(x - b[i]!)).toBeLessThan(0.6));

  await test.step("geometry worked out in core is what the browser measures", async () => {
    const now = await measured("Wide");
    close(now.columns, widthsOf([66.67, 33.33], now.width, now.gap));
    // On a phone they stand below each other, each as wide as there is room.
    const small = await measured("Phone");
    close(small.columns, [small.width, small.width]);
  });

  await test.step("dragged, with the ratio it snaps to shown; one step of undo", async () => {
    const line = wide.getByRole("separator", { name: "Line between columns 1 and 2" });
    const { x, y } = await middle(line);
    const now = await measured("Wide");
    const scale = (await wide.locator(".s-freehand .cols").boundingBox())!.width / now.width;
    const room = now.width - now.gap;
    await page.mouse.move(x, y);
    await page.mouse.down();
    // 16.4 percent of the columns' width to the left: a hair beside the middle.
    const by = -0.164 * room * scale;
    await page.mouse.move(x + by / 2, y, { steps: 4 });
    await page.mouse.move(x + by, y, { steps: 4 });
    await expect(wide.getByText("1 : 1", { exact: true })).toBeVisible();
    await page.mouse.up();
    const after = await measured("Wide");
    close(after.columns, widthsOf(dragLine([66.67, 33.33], 0, -16.4, 1.6).shares, after.width, after.gap));
    close(after.columns, [room / 2, room / 2]);
    await page.getByRole("button", { name: /^Undo: Columns/ }).click();
    close((await measured("Wide")).columns, now.columns);
  });

  await test.step("by the arrow keys, and typed", async () => {
    const line = wide.getByRole("separator", { name: "Line between columns 1 and 2" });
    await line.focus();
    await page.keyboard.press("ArrowLeft");
    await expect(line).toHaveAttribute("aria-valuenow", "66");
    const box = details(page).getByLabel("Column 1, share of the width in percent");
    await box.fill("25");
    const now = await measured("Wide");
    close(now.columns, widthsOf([25, 75], now.width, now.gap));
    await box.fill("99");
    await expect(details(page).getByText("8 to 92")).toBeVisible();
    await box.blur();
    await details(page).getByRole("button", { name: "Add a column" }).click();
    await expect(columns(wide)).toHaveCount(3);
    await page.keyboard.press("Delete");
    await expect(columns(wide)).toHaveCount(2);
  });

  await test.step("for one device alone, put back all together", async () => {
    await inPlan(page, "Freehand").click();
    const audience = page.getByRole("group", { name: "Whom a change of style is for" });
    await audience.getByRole("button", { name: "Phone" }).click();
    await details(page).getByRole("combobox", { name: "Columns stand" }).click();
    await page.getByRole("option", { name: "Side by side" }).click();
    const small = await measured("Phone");
    expect(small.columns[0]!).toBeLessThan(small.width);
    await expect(details(page).getByText(/◆ 1 difference between devices/)).toBeVisible();
    await details(page).getByRole("button", { name: "put all back" }).click();
    close((await measured("Phone")).columns, [small.width, small.width]);
    await audience.getByRole("button", { name: "All" }).click();
  });
});

test("running text is written where it stands: heads, bold, lists, links, tables, live fields; both panes and the shop show it", async ({
  page,
}) => {
  await addStart(page, "One column");
  const wide = pane(page, "Wide");
  const phone = pane(page, "Phone");
  const words = wide.locator(".s-freehand .w-words");
  await words.click();
  await words.locator("p").click();
  const editor = wide.getByRole("textbox", { name: "Words in Words" });
  await expect(editor).toBeFocused();
  const bar = page.getByRole("toolbar", { name: "Words" });

  await test.step("letters and heads", async () => {
    await page.keyboard.press("Control+A");
    await page.keyboard.type("How it is sewn");
    await bar.getByRole("button", { name: /^Kind of paragraph/ }).click();
    await page.getByRole("menuitem", { name: "Smaller head" }).click();
    await expect(phone.locator(".s-freehand .w-words h3")).toHaveText("How it is sewn");
    await page.keyboard.press("End");
    await page.keyboard.press("Enter");
    await page.keyboard.type("Every seam is ");
    await page.keyboard.press("Control+b");
    await page.keyboard.type("folded twice");
    await page.keyboard.press("Control+b");
    await page.keyboard.type(" by ");
    await bar.getByRole("button", { name: "Live field" }).click();
    await page.getByRole("menuitem", { name: /^Shop name/ }).click();
    await expect(phone.locator(".s-freehand .w-words p").first()).toHaveText(/^Every seam is folded twice by Shop /);
    await expect(phone.locator(".s-freehand .w-words strong")).toHaveText("folded twice");
  });

  await test.step("a list, a colour, a link by its finder", async () => {
    await page.keyboard.press("Enter");
    await bar.getByRole("button", { name: "List with dots" }).click();
    await page.keyboard.type("Ripstop");
    await page.keyboard.press("Enter");
    await page.keyboard.type("About us");
    await page.keyboard.press("Shift+Home");
    await bar.getByRole("button", { name: "Link", exact: true }).click();
    const finder = page.getByRole("dialog", { name: "Where these words lead" });
    await finder.getByRole("combobox", { name: "These words lead to" }).fill("About");
    await page.getByRole("option", { name: "About us" }).click();
    await expect(phone.locator(".s-freehand .w-words li a")).toHaveAttribute("href", "/about");
    await page.keyboard.press("Shift+Home");
    await bar.getByRole("button", { name: "Colour of letters" }).click();
    await page.getByRole("menuitem", { name: "Sale" }).click();
    await expect(phone.locator(".s-freehand .w-words li .ink-sale")).toHaveText("About us");
  });

  await test.step("a table, and undo reaches into the words", async () => {
    await page.keyboard.press("End");
    await page.keyboard.press("Enter");
    await page.keyboard.press("Enter");
    await bar.getByRole("button", { name: "Table" }).click();
    await page.getByRole("menuitem", { name: "Table, 2 columns" }).click();
    await page.keyboard.type("Span");
    await expect(phone.locator(".s-freehand .w-words th").first()).toHaveText("Span");
    await bar.getByRole("button", { name: "Table" }).click();
    await page.getByRole("menuitem", { name: "Remove the table" }).click();
    await expect(phone.locator(".s-freehand .w-words table")).toHaveCount(0);
    await page.keyboard.press("Control+z");
    await expect(phone.locator(".s-freehand .w-words table")).toHaveCount(1);
    await expect(wide.locator(".s-freehand .w-words table")).toHaveCount(1);
  });

  await test.step("a call-out, a footnote, and a picture that words flow around", async () => {
    const first = editor.locator("p").first();
    await first.click();
    await page.keyboard.press("End");
    await bar.getByRole("button", { name: "Footnote" }).click();
    await page.getByRole("dialog", { name: "What the footnote says" }).getByRole("textbox").fill("By machine.");
    await page.keyboard.press("Enter");
    await expect(phone.locator(".s-freehand .rich-notes li")).toHaveText(/^By machine\./);
    await bar.getByRole("button", { name: /^Kind of paragraph/ }).click();
    await page.getByRole("menuitem", { name: "Call-out", exact: true }).click();
    await expect(phone.locator(".s-freehand .rich-callout.of-quiet strong")).toHaveText("folded twice");
    await bar.getByRole("button", { name: "Picture or film" }).click();
    await page.getByRole("menuitem", { name: "Picture among the words …" }).click();
    const picker = page.getByRole("dialog", { name: "Choose a picture" });
    await picker.getByRole("button", { name: "Stock room", exact: true }).click();
    await picker
      .getByRole("group", { name: /^Pictures, / })
      .getByRole("button")
      .first()
      .click();
    await expect(picker).toBeHidden();
    // Beside its words where there is room, above them where there is none.
    const beside = async (name: "Phone" | "Wide") => {
      const within = pane(page, name).locator(".s-freehand .w-words");
      const figure = (await within.locator("figure").boundingBox())!;
      const callout = (await within.locator(".rich-callout").boundingBox())!;
      return { figure, callout };
    };
    await expect(phone.locator(".s-freehand figure img")).toBeVisible();
    const onWide = await beside("Wide");
    expect(onWide.callout.x + onWide.callout.width).toBeLessThanOrEqual(onWide.figure.x + 1);
    expect(onWide.callout.y).toBeLessThan(onWide.figure.y + onWide.figure.height);
    const onPhone = await beside("Phone");
    // It keeps its distance from what stands above it.
    const head = (await phone.locator(".s-freehand .w-words h3").boundingBox())!;
    expect(onPhone.figure.y - head.y - head.height).toBeGreaterThan(5);
    expect(onPhone.callout.y).toBeGreaterThanOrEqual(onPhone.figure.y + onPhone.figure.height - 1);
    await editor.locator("figure").click();
    await bar.getByRole("button", { name: "Words beneath it" }).click();
    await page.getByRole("dialog", { name: "Words beneath it" }).getByRole("textbox").fill("In the loft");
    await page.keyboard.press("Enter");
    await expect(phone.locator(".s-freehand figcaption")).toHaveText("In the loft");
    await editor.locator("h3").click();
  });

  await test.step("the tools are a toolbar: one stop, arrow keys", async () => {
    await bar.getByRole("button", { name: "Bold" }).focus();
    await page.keyboard.press("ArrowRight");
    await expect(bar.getByRole("button", { name: "Italic" })).toBeFocused();
    await expect(bar.locator("[tabindex='0']")).toHaveCount(1);
    await page.keyboard.press("Home");
    await expect(bar.getByRole("button", { name: /^Kind of paragraph/ })).toBeFocused();
  });

  await test.step("Done; the shop serves it", async () => {
    await page.getByRole("button", { name: "Done", exact: true }).click();
    await expect(wide.locator(".ProseMirror")).toHaveCount(0);
    await kept(page);
    await publish(page);
    const html = await (await askShop(page, host)).text();
    expect(html).toMatch(/<h3 class="rich-h rich-3">How it is sewn<\/h3>/);
    expect(html).toMatch(/<p>Every seam is <strong>folded twice<\/strong> by Shop /);
    expect(html).toMatch(/role="doc-noteref" aria-label="Note 1">1<\/a>/);
    expect(html).toContain("<figcaption>In the loft</figcaption>");
    expect(html).toContain('<th scope="col"');
  });
});

test("parts are copied, pasted, and take on each other's look; several are changed at once; other pages take them too", async ({
  page,
}) => {
  await addStart(page, "Three reasons");
  const wide = pane(page, "Wide");
  const points = wide.locator(".s-freehand .w-point");
  await points.nth(0).click();
  await details(page).getByRole("group", { name: "Words" }).getByRole("button", { name: "Centred" }).click();
  await expect(points.nth(0)).toHaveCSS("text-align", "center");
  await page.keyboard.press("Control+c");
  await points.nth(1).click();
  await points.nth(2).click({ modifiers: ["Shift"] });
  await expect(details(page).getByRole("heading", { name: "2 parts" })).toBeVisible();
  await page.keyboard.press("l");
  await expect(points.nth(1)).toHaveCSS("text-align", "center");
  await expect(points.nth(2)).toHaveCSS("text-align", "center");

  // What they have in common is changed for all of them, in one step.
  await details(page).getByRole("group", { name: "Words" }).getByRole("button", { name: "Right" }).click();
  await expect(points.nth(1)).toHaveCSS("text-align", "end");
  await expect(points.nth(2)).toHaveCSS("text-align", "end");
  await page.getByRole("button", { name: /^Undo: Words changed/ }).click();
  await expect(points.nth(1)).toHaveCSS("text-align", "center");

  await inPlan(page, "Freehand").click();
  await page.keyboard.press("Control+c");
  await page.getByRole("button", { name: /^Home/ }).click();
  await page.getByRole("menuitem", { name: "About us" }).click();
  await expect(page.locator(".MuiMenu-root")).toHaveCount(0);
  await expect(wide.locator(".s-text")).toBeVisible();
  await page.keyboard.press("Control+v");
  await expect(wide.locator(".s-freehand .w-point")).toHaveCount(3);
  await kept(page);
});

test("what is laid out badly is found by measuring, pointed at, and mended in one click", async ({ page }) => {
  await addStart(page, "One column");
  const phone = pane(page, "Phone");
  await phone.locator(".s-freehand .w-words").click();
  await details(page).getByLabel("Size of words, exactly").fill("9");
  const chip = page.getByRole("button", { name: "1 thing to look at" });
  // Both panes show it: it is said once for each.
  await expect(page.getByRole("button", { name: /things to look at/ })).toBeVisible();
  await page.getByRole("button", { name: /things to look at/ }).click();
  const list = page.getByRole("dialog", { name: "Things to look at" });
  await expect(list.getByText("Too small to read").first()).toBeVisible();
  await list.getByRole("button", { name: "Show me" }).first().click();
  await list.getByRole("button", { name: "Make it as large as text" }).first().click();
  await page.keyboard.press("Escape");
  try {
    await expect(chip).toBeVisible();
  } catch {
    // A number says nothing; what was found does.
    await page.getByRole("button", { name: /things to look at/ }).click();
    expect(await list.innerText()).toBe("one thing");
  }
  await expect(phone.locator(".s-freehand .w-words")).not.toHaveCSS("font-size", "9px");
  await chip.click();
  await list.getByRole("button", { name: "Make it as large as text" }).click();
  await expect(page.getByRole("button", { name: /to look at/ })).toHaveCount(0);
});

test("arranging for phone shows before and after, and does what is chosen in one step, for phones only", async ({
  page,
}) => {
  await addStart(page, "Picture and words, 2 : 1");
  const wide = pane(page, "Wide");
  // The words to the left, the picture to the right: on a phone the picture should come first.
  await plan(page).getByRole("treeitem", { name: "Column 1" }).focus();
  await page.keyboard.press("Alt+ArrowRight");
  await expect(columns(wide).nth(0).locator(".w-heading")).toBeVisible();
  await page.getByRole("button", { name: "Arrange for phone" }).click();
  const dialog = page.getByRole("dialog", { name: "Arrange for phone" });
  await expect(dialog.getByText("Freehand: the picture first")).toBeVisible();
  await expect(dialog.locator("iframe[title='After, on a phone']")).toBeVisible();
  await dialog.getByRole("button", { name: /^Make/ }).click();
  const tops = (name: "Phone" | "Wide") =>
    pane(page, name)
      .locator(".s-freehand .col")
      .evaluateAll((all) => all.map((c) => c.getBoundingClientRect().top));
  const [words, picture] = (await tops("Phone")) as [number, number];
  expect(picture).toBeLessThan(words);
  await page.getByRole("button", { name: "Undo: Arranged for phone" }).click();
  const [wordsAgain, pictureAgain] = (await tops("Phone")) as [number, number];
  expect(pictureAgain).toBeGreaterThan(wordsAgain);
  // Asked again when nothing is to be done, it says so.
  await page.keyboard.press("Control+Shift+z");
  // The name of a button in the bar hangs over what is below it for as long as the pointer stays.
  await page.mouse.move(640, 500);
  await page.getByRole("button", { name: "Arrange for phone" }).click();
  await expect(dialog.getByText("There is nothing to arrange.")).toBeVisible();
});

test("a section gets CSS of its own, checked as it is typed and reaching nothing else", async ({ page }) => {
  await inPlan(page, "Hero").click();
  const looks = details(page).getByRole("region", { name: "How it looks" });
  await looks.getByRole("button", { name: "Name and code" }).click();
  await looks.getByRole("button", { name: "Write CSS for this section" }).click();
  await looks
    .getByRole("textbox", { name: "CSS of this section" })
    .fill(".head{letter-spacing:9px;colour:red} body{display:none}");
  await expect(looks.getByText("There is no property “colour”.")).toBeVisible();
  await expect(looks.getByText(/reaches only the section/)).toBeVisible();
  const wide = pane(page, "Wide");
  await expect(wide.locator(".s-hero .head")).toHaveCSS("letter-spacing", "9px");
  await expect(wide.locator(".s-product-grid .head")).not.toHaveCSS("letter-spacing", "9px");
  await expect(wide.locator("body")).not.toHaveCSS("display", "none");
  await kept(page);
  await publish(page);
  const html = await (await askShop(page, host)).text();
  expect(html).toMatch(/\.n-[\w-]+ \.head\{letter-spacing:9px\}/);
  expect(html).not.toContain("colour:red");
});

test("space is dragged at the edges of a section, with its amount shown", async ({ page }) => {
  await inPlan(page, "Hero").click();
  await inPlan(page, "Picture & words").click();
  const wide = pane(page, "Wide");
  const space = () =>
    wide.locator(".s-picture-words").evaluate((e) => Number.parseFloat(getComputedStyle(e).paddingTop));
  const before = await space();
  const grip = wide.getByRole("button", { name: /^Space above/ });
  const { x, y } = await middle(grip);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 6, { steps: 3 });
  await page.mouse.move(x, y + 21, { steps: 5 });
  await expect(wide.locator(".zm-value")).toHaveText(/px$/);
  await page.mouse.up();
  expect(await space()).toBeGreaterThan(before + 15);
  await details(page)
    .getByRole("button", { name: /^Spacing/ })
    .click();
  await expect(details(page).getByLabel("Space above, exactly")).toHaveValue(/^\d+$/);
  await page.getByRole("button", { name: /^Undo: Space above changed/ }).click();
  expect(await space()).toBe(before);
});

test("the bench passes axe in each of its states, and its tree follows the arrow keys", async ({ page }) => {
  await addStart(page, "Picture and words, 2 : 1");
  const wide = pane(page, "Wide");

  await test.step("the plan is one stop, and opens up what is in it (WAI-ARIA Authoring Practices, tree view)", async () => {
    const tree = plan(page);
    await expect(tree.locator("[tabindex='0']")).toHaveCount(1);
    await inPlan(page, "Freehand").focus();
    await expect(inPlan(page, "Freehand")).toHaveAttribute("aria-expanded", "true");
    await page.keyboard.press("ArrowDown");
    await expect(tree.getByRole("treeitem", { name: "Column 1" })).toBeFocused();
    // Each press counts where the one before has led.
    for (const [key, name] of [
      ["ArrowRight", "Column 2"],
      ["ArrowDown", "Heading"],
      ["ArrowDown", "Words"],
    ] as const) {
      await page.keyboard.press(key);
      await expect(tree.getByRole("treeitem", { name, exact: true })).toBeFocused();
    }
    await expect(tree.getByRole("treeitem", { name: "Words", exact: true })).toHaveAttribute("aria-selected", "true");
    await expect(details(page).getByRole("heading", { name: "Words", level: 2 })).toBeVisible();
    await page.keyboard.press("Shift+F10");
    await expect(page.getByRole("menuitem", { name: /^Move to …/ })).toBeVisible();
    await page.keyboard.press("Escape");
    await expect(page.locator(".MuiMenu-root")).toHaveCount(0);
  });
  await test.step("a widget selected", () => expectAccessible(page));
  await test.step("its words being written", async () => {
    await wide.locator(".s-freehand .w-words p").click();
    await expect(page.getByRole("toolbar", { name: "Words" })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole("button", { name: "Done", exact: true }).click();
  });
  await test.step("arranging for phone", async () => {
    await page.getByRole("button", { name: "Arrange for phone" }).click();
    const dialog = page.getByRole("dialog", { name: "Arrange for phone" });
    await expect(dialog.getByText(/nothing to arrange|phones only/)).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press("Escape");
    await expect(dialog).toBeHidden();
  });
  await test.step("versions", async () => {
    await page.getByRole("button", { name: "Versions of this page" }).click();
    const dialog = page.getByRole("dialog", { name: "Versions of Home" });
    await dialog.getByLabel("Save it as it is now, named").fill("Mine");
    await dialog.getByRole("button", { name: "Save this version" }).click();
    await dialog.getByRole("button", { name: /^Mine/ }).click();
    await expect(dialog.getByText("just as it was in this version")).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press("Escape");
  });
});
