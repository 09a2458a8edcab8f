import { expect, test, type Page } from "@playwright/test";
import { zipSync } from "fflate";
import sharp from "sharp";
import { ShopRow } from "~/server/database/index.server";
import { inputOf } from "~/server/fixtures/products";
import { allGoodsOf, keepProduct } from "~/server/goods/index.server";
import { picturesOf } from "~/server/pictures/index.server";
import { freshShop } from "~/server/shops/index.server";
import { area, benchReady, details, expectAccessible, inPlan, kept, openShop, pane, publish, shopAt } from "./studio";

/** A disc of one colour upon another, as a file to upload; the ground is lit from above, as that of a photograph. */
async function disc(name: string, thing = "#b3261e", ground = "#d9e2e6") {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600">
    <linearGradient id="g" x2="0" y2="1"><stop stop-color="${ground}"/><stop offset="1" stop-color="#b9c6cc"/></linearGradient>
    <rect width="900" height="600" fill="url(#g)"/><circle cx="360" cy="300" r="180" fill="${thing}"/></svg>`;
  return { name, mimeType: "image/png", buffer: await sharp(Buffer.from(svg)).png().toBuffer() };
}
const dialog = (page: Page) => page.getByRole("dialog", { name: "Straighten and cut out" });

/** Size and colours of a picture on a page, at places given as shares of its width and height: red, green, blue, alpha. */
const readImage = (img: HTMLImageElement, places: readonly (readonly [number, number])[]) => {
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [img.naturalWidth, img.naturalHeight];
  const context = canvas.getContext("2d")!;
  context.drawImage(img, 0, 0);
  const colours = places.map(([x, y]) => [
    ...context.getImageData(Math.floor(x * canvas.width), Math.floor(y * canvas.height), 1, 1).data,
  ]);
  return { size: [canvas.width, canvas.height], colours };
};

/** What the dialog shows at a place of its picture. */
const seen = (page: Page, x: number, y: number) =>
  dialog(page)
    .locator("canvas")
    .evaluate(
      (canvas: HTMLCanvasElement, [x, y]) => [
        ...canvas.getContext("2d")!.getImageData(Math.floor(x * canvas.width), Math.floor(y * canvas.height), 1, 1)
          .data,
      ],
      [x, y] as const,
    );

test("a picture is cut out, mended with the brush, kept as a new one, and stands where the old one stood", async ({
  page,
}) => {
  const { host } = await openShop(page, { area: "pictures" });
  await page.getByLabel("Upload pictures", { exact: true }).setInputFiles([await disc("red-disc.png")]);
  await expect(page.getByText("1 picture", { exact: true })).toBeVisible();
  await area(page, "Pages");
  await benchReady(page);
  await inPlan(page, "Hero").click();
  await details(page).getByRole("button", { name: "Choose a picture" }).first().click();
  await page.getByRole("dialog", { name: "Choose a picture" }).getByRole("button", { name: "red disc" }).click();
  const shown = pane(page, "Wide").locator(".s-hero img");
  await expect(shown).toHaveAttribute("alt", "red disc");
  const before = await shown.getAttribute("src");
  await kept(page);

  await area(page, "Pictures");
  await page.getByRole("button", { name: "Straighten or cut out …" }).click();
  await dialog(page).getByRole("button", { name: "Take the ground away" }).click();
  await expect(dialog(page).getByText("Its edge is clear all around.")).toBeVisible();
  await expect(dialog(page).getByRole("radio", { name: "Nothing" })).toBeChecked();
  await expectAccessible(page);
  await dialog(page).getByRole("radio", { name: "Your brand’s colour" }).click();
  const ground = await seen(page, 0.95, 0.1);
  expect((await seen(page, 0.4, 0.5))[0]).toBeGreaterThan(150);
  expect(await seen(page, 0.95, 0.9)).toEqual(ground);

  // A stroke over the ground brings it back there; undo takes the stroke away, by key as well.
  await dialog(page).getByRole("button", { name: "Keep", exact: true }).click();
  const canvas = dialog(page).locator("canvas");
  const box = (await canvas.boundingBox())!;
  const brush = async (x: number, y: number) => {
    await page.mouse.move(box.x + box.width * (x - 0.03), box.y + box.height * y);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * (x + 0.03), box.y + box.height * y, { steps: 5 });
    await page.mouse.up();
    await page.mouse.move(box.x + box.width * 0.4, box.y + box.height * 0.5);
  };
  await brush(0.9, 0.3);
  const faint = await seen(page, 0.9, 0.6);
  await expect.poll(async () => (await seen(page, 0.9, 0.3))[2]).toBeGreaterThan(190);
  expect(await seen(page, 0.9, 0.6)).toEqual(faint);
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await seen(page, 0.9, 0.3))[2]).toBeLessThan(150);
  await dialog(page).getByRole("switch", { name: "Cut the frame close to it" }).click();
  await expect(dialog(page).getByRole("radio", { name: "Where the old one stands: Home › Hero" })).toBeChecked();
  await dialog(page).getByRole("button", { name: "Keep the new picture" }).click();
  await expect(dialog(page)).toBeHidden();
  await expect(page.getByText("2 pictures", { exact: true })).toBeVisible();
  await expect(page.getByText("The new picture stands wherever “red disc” stood.")).toBeVisible();

  await area(page, "Pages");
  await benchReady(page);
  await expect(shown).not.toHaveAttribute("src", before!);
  await kept(page);
  await publish(page);
  await page.goto(shopAt(host));
  const { size, colours } = await page.locator(".s-hero img").evaluate(readImage, [
    [0.03, 0.03],
    [0.5, 0.5],
  ] as const);
  // As wide as high, as a disc is; nothing is left of the ground, and all of the thing.
  expect(size[0]! / size[1]!).toBeCloseTo(1, 1);
  expect(colours[0]![3]).toBe(0);
  expect(colours[1]![3]).toBe(255);
  expect(colours[1]![0]).toBeGreaterThan(160);
  expect(colours[1]![1]).toBeLessThan(60);
});

test("a picture is turned at one place alone, taken up again later, and replaced by another one everywhere", async ({
  page,
}) => {
  await openShop(page, { area: "pictures" });
  // They come in an archive, from among other things.
  const [red, blue] = [await disc("red-disc.png"), await disc("blue-disc.png", "#14418b")];
  const buffer = Buffer.from(
    zipSync({ "discs/red-disc.png": red.buffer, "discs/blue-disc.png": blue.buffer, "notes.txt": Buffer.from("x") }),
  );
  await page
    .getByLabel("Upload pictures", { exact: true })
    .setInputFiles({ name: "discs.zip", mimeType: "application/zip", buffer });
  await expect(page.getByText("2 pictures", { exact: true })).toBeVisible();
  const byColour = page.getByRole("group", { name: "By colour" });
  await byColour.getByRole("button", { name: "Red, 1" }).click();
  await expect(page.getByRole("button", { name: "red disc" })).toBeVisible();
  await expect(page.getByRole("button", { name: "blue disc" })).toBeHidden();
  await byColour.getByRole("button", { name: "Red, 1" }).click();
  await expect(page.getByRole("button", { name: "blue disc" })).toBeVisible();
  await area(page, "Pages");
  await benchReady(page);
  await inPlan(page, "Hero").click();
  await details(page).getByRole("button", { name: "Choose a picture" }).first().click();
  await page.getByRole("dialog", { name: "Choose a picture" }).getByRole("button", { name: "red disc" }).click();
  await details(page).getByRole("button", { name: "Crop and tone" }).click();
  await details(page).getByRole("button", { name: "Straighten or cut out …" }).click();
  await dialog(page).getByRole("button", { name: "Turn right" }).click();
  const slider = dialog(page).getByRole("slider", { name: "Straighten" });
  await slider.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press("ArrowRight");
  await expect(slider).toHaveAttribute("aria-valuetext", "0.5°");
  const canvas = dialog(page).locator("canvas");
  const sides = await canvas.evaluate((c: HTMLCanvasElement) => c.width / c.height);
  expect(sides).toBeCloseTo(600 / 900, 1);
  // The drag of a slider is one step back, the turn another one.
  await dialog(page).getByRole("button", { name: "Undo" }).click();
  await expect(slider).toHaveAttribute("aria-valuetext", "0°");
  await expect(dialog(page).getByRole("radio", { name: "Only here" })).toBeChecked();
  await dialog(page).getByRole("button", { name: "Keep the new picture" }).click();
  await expect(dialog(page)).toBeHidden();
  const shown = pane(page, "Wide").locator(".s-hero img");
  await expect(shown).toHaveAttribute("height", "900");
  await expect(shown).toHaveAttribute("width", "600");
  await page.keyboard.press("Control+z");
  await expect(shown).toHaveAttribute("width", "900");
  await page.keyboard.press("Control+Shift+z");
  await expect(shown).toHaveAttribute("width", "600");
  await kept(page);

  // What was made is known as such: it opens with what was done, upon its original.
  await area(page, "Pictures");
  await page.getByRole("button", { name: "red disc" }).first().click();
  await page.getByRole("button", { name: "Straighten or cut out …" }).click();
  await expect(dialog(page).getByRole("button", { name: "Keep the new picture" })).toBeDisabled();
  expect(await canvas.evaluate((c: HTMLCanvasElement) => c.width / c.height)).toBeCloseTo(600 / 900, 1);
  await dialog(page).getByRole("button", { name: "Turn left" }).click();
  await expect.poll(() => canvas.evaluate((c: HTMLCanvasElement) => c.width / c.height)).toBeCloseTo(900 / 600, 1);
  await page.keyboard.press("Escape");
  await expect(dialog(page)).toBeHidden();

  await page.getByRole("button", { name: "Put another in its place …" }).click();
  await page.getByRole("dialog", { name: "Choose a picture" }).getByRole("button", { name: "blue disc" }).click();
  await expect(page.getByText("The new picture stands wherever “red disc” stood.")).toBeVisible();
  await area(page, "Pages");
  await benchReady(page);
  await expect(shown).toHaveAttribute("alt", "blue disc");
});

test("on a phone the whole of it can be reached and nothing is cut off", async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await openShop(page, { area: "pictures" });
  await page.getByLabel("Upload pictures", { exact: true }).setInputFiles([await disc("red-disc.png")]);
  await page.getByRole("button", { name: "red disc" }).click();
  await page.getByRole("button", { name: "Straighten or cut out …" }).click();
  await dialog(page).getByRole("button", { name: "Take the ground away" }).click();
  await expect(dialog(page).getByText("Its edge is clear all around.")).toBeVisible();
  const inside = await dialog(page).evaluate((d) => d.scrollWidth <= d.clientWidth);
  expect(inside).toBe(true);
  // With a brush in hand, keys paint: arrows move it, the space bar presses.
  await dialog(page).getByRole("button", { name: "Take away", exact: true }).click();
  const canvas = dialog(page).locator("canvas");
  await canvas.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press("ArrowLeft");
  await page.keyboard.press(" ");
  await expect(dialog(page).getByRole("button", { name: "Undo" })).toBeEnabled();
  for (const name of ["Keep the new picture", "Cancel"]) {
    const button = dialog(page).getByRole("button", { name });
    await button.scrollIntoViewIfNeeded();
    await expect(button).toBeInViewport();
  }
  await expectAccessible(page);
});

test("pictures of goods are made alike where that is accepted, as one step that can be taken back", async ({
  page,
}) => {
  const goods = "SKU,Title,Price\nA,Plate,1.00\nB,Bowl,2.00\nC,Wreath,3.00\n";
  const { host } = await openShop(page, { area: "pictures", goods });
  // Two discs on pale grounds, and one picture whose ground can't be told.
  const leaves = Array.from({ length: 400 }, (_u, i) => {
    const [x, y] = [(i * 137) % 620, (i * 89) % 520];
    return `<ellipse cx="${x}" cy="${y}" rx="34" ry="13" fill="hsl(${80 + ((i * 7) % 50)} 50% ${16 + ((i * 31) % 50)}%)" transform="rotate(${(i * 47) % 180} ${x} ${y})"/>`;
  });
  const wreath = `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="500"><rect width="600" height="500" fill="#1c3a12"/>${leaves.join("")}<circle cx="300" cy="250" r="120" fill="#b3261e"/></svg>`;
  await page
    .getByLabel("Upload pictures", { exact: true })
    .setInputFiles([
      await disc("Plate.png"),
      await disc("Bowl.png", "#14418b", "#f0e8dc"),
      { name: "Wreath.png", mimeType: "image/png", buffer: await sharp(Buffer.from(wreath)).png().toBuffer() },
    ]);
  await expect(page.getByText("3 pictures", { exact: true })).toBeVisible();
  const shop = await freshShop((await ShopRow.findOne({ where: { host } }))!);
  const pictures = await picturesOf(shop.id);
  for (const product of (await allGoodsOf(shop)).products) {
    const own = pictures.filter((p) => p.alt === product.title).map((p) => p.id);
    const kept = await keepProduct(await freshShop(shop), product.id, product.version, {
      ...inputOf(product),
      pictures: own,
    });
    expect(kept).toMatchObject({ ok: true });
  }
  await page.reload();
  await area(page, "Pictures");
  await page.getByRole("button", { name: "Make product pictures alike …" }).click();
  const alike = page.getByRole("dialog", { name: "Make product pictures alike" });
  await expect(alike.getByText("2 of 3 accepted")).toBeVisible();
  await expect(alike.getByRole("checkbox", { name: "Wreath" })).not.toBeChecked();
  await expect(alike.getByText("Its ground is busy. Cut it out by hand first.")).toBeVisible();
  await expectAccessible(page);
  // What is doubtful is one press away from the brush, and this stays as it was meanwhile.
  await alike.getByRole("button", { name: "Cut out Wreath by hand" }).click();
  await expect(dialog(page).getByRole("button", { name: "Take the ground away" })).toBeEnabled();
  await dialog(page).getByRole("button", { name: "Cancel" }).click();
  await expect(alike.getByText("2 of 3 accepted")).toBeVisible();
  await alike.getByRole("checkbox", { name: "Bowl" }).uncheck();
  await alike.getByRole("button", { name: "Replace 1 picture" }).click();
  await expect(alike).toBeHidden();
  await expect(page.getByText("4 pictures", { exact: true })).toBeVisible();
  const about = page.getByRole("complementary", { name: "About this picture" });
  await page.getByRole("button", { name: "Plate" }).first().click();
  await expect(about.getByRole("list", { name: "Where it is used" })).toHaveText("Plate");
  // A disc of 360 px that fills 80 % of a frame of 3 : 2, as most of these pictures are.
  await expect(about.getByText(/675 × 450|676 × 450|675 × 451/)).toBeVisible();
  await area(page, "Goods");
  await page.getByRole("button", { name: "Undo in Goods: Picture replaced" }).click();
  await area(page, "Pictures");
  await page.getByRole("button", { name: "Plate" }).first().click();
  await expect(about.getByText("Nowhere yet.")).toBeVisible();
});

test("several pictures are tagged at once, found by it, removed together and brought back", async ({ page }) => {
  await openShop(page, { area: "pictures" });
  await page
    .getByLabel("Upload pictures", { exact: true })
    .setInputFiles([await disc("one.png"), await disc("two.png", "#14418b"), await disc("three.png", "#2b6b2a")]);
  await expect(page.getByText("3 pictures", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Choose several" }).click();
  const several = page.getByRole("complementary", { name: "Chosen pictures" });
  for (const name of ["one", "two"]) await page.getByRole("button", { name, exact: true }).click();
  await expect(several.getByText("2 chosen")).toBeVisible();
  await several.getByLabel("Tags").fill("Autumn");
  await page.keyboard.press("Enter");
  await expect(several.getByRole("button", { name: "Autumn" })).toBeVisible();
  await expectAccessible(page);
  const byTag = page.getByRole("group", { name: "By tag" });
  await byTag.getByRole("button", { name: "Autumn 2" }).click();
  await expect(page.getByRole("button", { name: "three", exact: true })).toBeHidden();
  await several.getByRole("button", { name: "Remove …" }).click();
  const ask = page.getByRole("dialog", { name: "Remove these 2 pictures?" });
  await ask.getByRole("button", { name: "Remove", exact: true }).click();
  await expect(page.getByText("1 picture", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByText("3 pictures", { exact: true })).toBeVisible();
  await expect(byTag.getByRole("button", { name: "Autumn 2" })).toBeVisible();
  await several.getByRole("button", { name: "Done" }).click();
  // One of them loses the tag again; what is sought by words finds the other.
  await page.getByRole("button", { name: "one", exact: true }).click();
  const about = page.getByRole("complementary", { name: "About this picture" });
  await about.getByLabel("Tags").press("Backspace");
  await expect(byTag.getByRole("button", { name: "Autumn 1" })).toBeVisible();
  await byTag.getByRole("button", { name: "Autumn 1" }).click();
  await page.getByLabel("Find by words").fill("autumn");
  await expect(page.getByRole("button", { name: "two", exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: "three", exact: true })).toBeHidden();

  // On a phone, pictures and what can be done with them are seen together.
  await page.getByLabel("Find by words").fill("");
  await page.setViewportSize({ width: 390, height: 800 });
  // What is said of the chosen one lies over them now.
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await page.getByRole("button", { name: "Choose several" }).click();
  await page.getByRole("button", { name: "two", exact: true }).click();
  await expect(several.getByRole("button", { name: "Done" })).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole("button", { name: "two", exact: true })).toBeInViewport({ ratio: 0.9 });
});
