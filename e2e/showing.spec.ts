import { expect, test, type Page } from "@playwright/test";
import sharp from "sharp";
import type { Json, Part } from "~/core/document";
import { applyTone, filterValues, matrixOf, readToneCode, toneCode, TONES } from "~/core/pictures";
import { makeNode } from "~/kinds";
import { fillStart } from "~/kinds/fill";
import { renderPage } from "~/render";
import { contentWith, goods, pictures } from "~/render/fixtures/content";
import {
  addSection,
  benchReady,
  DEMO,
  details,
  expectAccessible,
  inPlan,
  kept,
  openShop,
  pane,
  plan,
  publish,
  shopAt,
} from "./studio";

test("slides are made like heroes, stand in sight when they are chosen, and are gone through in the shop", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await addSection(page, "Slides", "Three slides", "carousel");
  await expect(plan(page).getByRole("treeitem", { name: /^Slide \d/ })).toHaveCount(3);

  // What is chosen is brought into sight within its row, and written where it stands.
  await details(page)
    .getByRole("button", { name: /^Slide 2: / })
    .click();
  await expect(details(page).getByRole("heading", { name: "Slide 2" })).toBeVisible();
  const wide = pane(page, "Wide");
  const second = wide.locator(".slide").nth(1);
  await expect(second).toBeInViewport({ ratio: 0.5 });
  await second.locator(".head").click();
  await second.locator(".head").fill("Kites for a calm day");
  await page.keyboard.press("Escape");
  await expect(pane(page, "Phone").locator(".slide").nth(1).locator(".head")).toHaveText("Kites for a calm day");
  await page.keyboard.press("Alt+ArrowLeft");
  await expect(wide.locator(".slide").first().locator(".head")).toHaveText("Kites for a calm day");

  // One more, and one less; the plan follows, undo as well.
  await inPlan(page, "Slides").click();
  await details(page).getByRole("button", { name: "Add a poster" }).click();
  await expect(plan(page).getByRole("treeitem", { name: /^Slide 4/ })).toHaveAttribute("aria-selected", "true");
  // A poster has proportions of its own; among slides it fills its slide and is no wider.
  const fourth = pane(page, "Phone").locator(".slide").nth(3);
  await expect(fourth.locator(".s-poster")).toBeVisible();
  const sides = (e: Element) => [e.getBoundingClientRect().width, e.getBoundingClientRect().height];
  expect(await fourth.locator(".s-poster").evaluate(sides)).toEqual(await fourth.evaluate(sides));
  await page.keyboard.press("Control+z");
  await inPlan(page, "Slides").click();
  await expect(plan(page).getByRole("treeitem", { name: /^Slide \d/ })).toHaveCount(3);
  await details(page).getByRole("combobox", { name: "Below the slides" }).click();
  await page.getByRole("option", { name: "Their headings" }).click();
  await expect(wide.locator(".slides-names a").first()).toHaveText("Kites for a calm day");
  await kept(page);
  await expectAccessible(page);
  await publish(page);

  await page.goto(shopAt(host));
  const slides = page.getByRole("group", { name: "Kites for a calm day" });
  const shown = () => page.locator(".slide:not([inert])");
  await expect(shown()).toHaveCount(1);
  await expect(slides.getByRole("button", { name: "Back" })).toBeDisabled();
  await slides.getByRole("button", { name: "Next" }).scrollIntoViewIfNeeded();
  const before = await page.evaluate(() => window.scrollY);
  await slides.getByRole("button", { name: "Next" }).click();
  await expect(page.locator(".slide").nth(1)).toBeInViewport({ ratio: 0.5 });
  await expect(slides.locator(".slides-marks a").nth(1)).toHaveAttribute("aria-current", "true");
  expect(await page.evaluate(() => window.scrollY)).toBe(before);
  await page.locator(".slides-track").focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.locator(".slide").nth(2)).toBeInViewport({ ratio: 0.5 });
  await expect(slides.getByRole("button", { name: "Next" })).toBeDisabled();
  await expectAccessible(page);
});

test("without a script, links lead to each slide, and compared pictures stand side by side", async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await lay(page, [slides({ marks: "lines" }), shots("before")]);
  await expect(page.locator(".slides-step")).toHaveCount(2);
  await expect(page.locator(".slides-step").first()).toBeHidden();
  await page.locator(".slides-marks a").nth(2).click();
  await expect(page.locator(".slide").nth(2)).toBeInViewport({ ratio: 0.4 });
  await expect(page.locator(".compare-at")).toBeHidden();
  const [before, after] = await boxes(page, ".compare figure");
  expect(after!.x).toBeGreaterThan(before!.x + before!.width);
  await context.close();
});

test("nothing moves when the shop's script comes late", async ({ page }) => {
  let come = () => {};
  const late = new Promise<void>((resolve) => (come = resolve));
  await page.route(/\/assets\/.*\.js/, async (route) => {
    await late;
    await route.continue();
  });
  await page.addInitScript(() => {
    Object.assign(window, { moved: 0, from: Infinity });
    new PerformanceObserver((list) => {
      for (const each of list.getEntries())
        if (each.startTime >= Reflect.get(window, "from"))
          Object.assign(window, { moved: Reflect.get(window, "moved") + Reflect.get(each, "value") });
    }).observe({ type: "layout-shift", buffered: true });
  });
  await lay(page, [slides({ marks: "none" }), shots("before"), runningLine, shots("swipe", 4)], "commit");
  await expect(page.locator(".compare")).toBeVisible();
  const tall = () => page.evaluate(() => document.documentElement.scrollHeight);
  const before = await tall();
  await expect(page.locator(".slide:not([inert])")).toHaveCount(3);
  // Letters may have come a moment before, and what they moved may not have been told yet; what the script moves is counted.
  await page.waitForFunction(() => document.readyState === "interactive" && document.fonts.status === "loaded");
  const afterAFrame = (from?: true) =>
    page.evaluate(
      (from) =>
        new Promise<void>((done) =>
          requestAnimationFrame((now) => {
            if (from) Object.assign(window, { from: now });
            setTimeout(done);
          }),
        ),
      from,
    );
  await afterAFrame(true);
  come();
  await expect(page.locator(".slide:not([inert])")).toHaveCount(1);
  expect(await tall()).toBe(before);
  await afterAFrame();
  await afterAFrame();
  expect(await page.evaluate(() => Reflect.get(window, "moved"))).toBe(0);
});

const boxes = (page: Page, selector: string) =>
  page
    .locator(selector)
    .evaluateAll((all) =>
      all.map((e) => e.getBoundingClientRect()).map(({ x, y, width, height }) => ({ x, y, width, height })),
    );

/** A page of a made-up shop with these sections, with the scripts of the real one. */
async function lay(page: Page, main: readonly Part[], waitUntil: "commit" | "load" = "load"): Promise<void> {
  const served = await (
    await page.request.get(`http://127.0.0.1:${new URL(DEMO).port}/collections/all`, {
      headers: { Host: new URL(DEMO).host },
    })
  ).text();
  const [every, more] = [...served.matchAll(/<script src="([^"]+)"/g)].map(([, src]) => src!);
  const { html } = renderPage({ page: "home" }, contentWith(main), DEMO, { every: every!, goods: more! });
  await page.route(`${DEMO}/laid`, (route) => route.fulfill({ contentType: "text/html", body: html }));
  await page.route("**/media/**", (route) => route.fulfill({ status: 404 }));
  await page.goto(`${DEMO}/laid`, { waitUntil });
}

const slides = (props: Readonly<Record<string, Json>>): Part => {
  const made = fillStart("slides", "three", goods, pictures);
  return { ...made, props: { ...made.props, ...props } };
};
const runningLine = makeNode("running-line", { words: ["One", "Two more", "Three"].map((text) => ({ text })) });
const shots = (arrangement: string, count = 2): Part =>
  makeNode("pictures", {
    arrangement,
    pictures: Array.from({ length: count }, (_, i) => ({
      picture: i % 2 ? "tall" : "wide",
      caption: "",
      link: { to: "nowhere" },
    })),
  });
const ways = (arrangement: string, count: number): Part =>
  makeNode("split-tiles", {
    arrangement,
    tiles: Array.from({ length: count }, (_, i) => ({
      picture: "wide",
      heading: `Way ${i + 1} with a name`,
      text: "A few words",
      more: "",
      link: { to: "home" },
    })),
  });

test("slides that change by themselves wait under the pointer, and stop for good when somebody says so", async ({
  page,
}) => {
  // What moves is seen here.
  await page.emulateMedia({ reducedMotion: "no-preference" });
  await page.clock.install();
  await lay(page, [slides({ seconds: "5" })]);
  const current = page.locator(".slides-marks a[aria-current]");
  const track = page.locator(".slides-track");
  await expect(track).toHaveAttribute("aria-live", "off");
  await expect(current).toHaveAttribute("aria-label", /^1 of 3/);
  await page.mouse.move(600, 5);
  await page.clock.runFor(5100);
  await expect(current).toHaveAttribute("aria-label", /^2 of 3/);
  await page.locator(".slides-bar").hover();
  await page.clock.runFor(11_000);
  await expect(current).toHaveAttribute("aria-label", /^2 of 3/);
  await page.getByRole("button", { name: "Stop the slides" }).click();
  await page.mouse.move(600, 5);
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.clock.runFor(11_000);
  await expect(current).toHaveAttribute("aria-label", /^2 of 3/);
  await expect(page.getByRole("button", { name: "Let the slides change" })).toBeVisible();
  await expect(track).toHaveAttribute("aria-live", "polite");
});

test("who asked for less motion sees slides and running lines stand still", async ({ page }) => {
  await page.emulateMedia({ reducedMotion: "reduce" });
  await lay(page, [slides({ seconds: "5" }), runningLine]);
  await expect(page.getByRole("button", { name: "Let the slides change" })).toBeVisible();
  expect(
    await page
      .locator(".runs-part")
      .first()
      .evaluate((e) => e.getAnimations().length),
  ).toBe(0);
  await expect(page.locator(".runs-part:visible")).toHaveCount(1);
  await expectAccessible(page);
});

test("a running line runs on without a gap and is stopped by its switch", async ({ page }) => {
  // What moves is seen here.
  await page.emulateMedia({ reducedMotion: "no-preference" });
  await lay(page, [runningLine]);
  const parts = await boxes(page, ".runs-part");
  // Whatever has moved out, the rest still reaches from edge to edge.
  expect(parts.slice(1).reduce((sum, { width }) => sum + width, 0)).toBeGreaterThan(1280);
  for (const [i, part] of parts.slice(1).entries()) expect(part.x).toBeCloseTo(parts[i]!.x + parts[i]!.width, 0);
  await page.getByRole("checkbox", { name: "Stop moving" }).focus();
  await page.keyboard.press("Space");
  expect(
    await page
      .locator(".runs-part")
      .first()
      .evaluate((e) => getComputedStyle(e).animationPlayState),
  ).toBe("paused");
});

test("pictures and tiles fill their rows, on a phone and a wide screen, however many there are", async ({ page }) => {
  const pictureCases = [
    ["unequal", 7],
    ["unequal", 5],
    ["even", 6],
  ] as const;
  const tileCases = ["abreast", "large", "steps", "below"].flatMap((a) =>
    [2, 3, 4, 5, 6, 7].map((n) => [a, n] as const),
  );
  await lay(page, [
    ...pictureCases.map(([arrangement, count]) => shots(arrangement, count)),
    ...tileCases.map(([arrangement, count]) => ways(arrangement, count)),
  ]);
  for (const width of [390, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    const rows = await page.locator(".shots,.splits").evaluateAll((all) =>
      all.map((row) => {
        const boxOf = (e: Element) => {
          const { left, top, right, bottom } = e.getBoundingClientRect();
          return { left, top, right, bottom, width: right - left, height: bottom - top };
        };
        const words = [...row.querySelectorAll(".split-words")].map((e) => boxOf(e).height);
        return { whole: boxOf(row), tiles: [...row.children].map(boxOf), words };
      }),
    );
    const cases = [...pictureCases, ...tileCases];
    expect(rows).toHaveLength(cases.length);
    for (const [i, { whole, tiles, words }] of rows.entries()) {
      const [arrangement, count] = cases[i]!;
      const said = `${arrangement} ${count} at ${width} px`;
      expect(tiles, said).toHaveLength(count);
      // What the tiles cover is what they stand in, but for the gaps between them.
      const covered = tiles.reduce((sum, box) => sum + box.width * box.height, 0);
      expect(covered / (whole.width * whole.height), said).toBeGreaterThan(arrangement === "below" ? 0.84 : 0.88);
      for (const [at, tile] of tiles.entries()) {
        expect(Math.min(tile.width, tile.height), said).toBeGreaterThan(90);
        expect(tile.left, said).toBeGreaterThanOrEqual(whole.left - 1);
        expect(tile.bottom, said).toBeLessThanOrEqual(whole.bottom + 1);
        // Words stay within their tile.
        expect(words[at] ?? 0, said).toBeLessThanOrEqual(tile.height + 1);
      }
    }
  }
});

test("pictures open large by script, and the slider shows more of one picture or the other", async ({ page }) => {
  await lay(page, [shots("even", 3), shots("before")]);
  await page.locator(".shots .shot-open").nth(1).click();
  const large = page.getByRole("dialog", { name: "Pictures, large" });
  await expect(large).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(large).toBeHidden();
  await expect(page.locator(".shots .shot-open").nth(1)).toBeFocused();
  const slider = page.getByRole("slider");
  await slider.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press("ArrowLeft");
  await expect(slider).toHaveValue("40");
  expect(await page.locator(".compare figure:nth-of-type(2)>.pic").evaluate((e) => getComputedStyle(e).clipPath)).toBe(
    "inset(0px 0px 0px 40%)",
  );
});

/** A chart of every sort of colour, as a file to upload. */
const chart = async (width = 900, height = 600) => {
  const data = Buffer.alloc(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 3;
      data[at] = Math.round((255 * x) / (width - 1));
      data[at + 1] = Math.round((255 * y) / (height - 1));
      data[at + 2] = (Math.floor(x / 60) + Math.floor(y / 60)) % 2 ? 200 : 40;
    }
  return sharp(data, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer();
};
const pixelsOf = (bytes: Buffer) => sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true });

test("Chromium's filter draws a tone by the same numbers as the file that shoppers get", async ({ page }) => {
  const png = await chart(240, 160);
  const colourOf = () => "#c8401f";
  for (const [name, { tone }] of Object.entries(TONES)) {
    const matrix = readToneCode(toneCode(matrixOf(tone, colourOf)))!;
    await page.setContent(
      `<style>body{margin:0}img{display:block;filter:url(#t)}</style><svg width="0" height="0" style="position:absolute"><filter id="t" color-interpolation-filters="sRGB"><feColorMatrix values="${filterValues(matrix)}"/></filter></svg><img src="data:image/png;base64,${png.toString("base64")}">`,
    );
    await page.locator("img").evaluate((image: HTMLImageElement) => image.decode());
    const shown = await pixelsOf(await page.locator("img").screenshot());
    const { data } = await pixelsOf(png);
    applyTone(data, 3, matrix);
    const off = data.map((v, i) => Math.abs(v - shown.data[i]!));
    expect(Math.max(...off), name).toBeLessThanOrEqual(2);
  }
});

test("a picture is cropped and toned where it stands, on the phone another way; the shop serves what the panes show", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  await details(page).getByRole("button", { name: "Choose a picture" }).click();
  const chooser = page.getByRole("dialog", { name: "Choose a picture" });
  await chooser
    .locator("input[type=file]")
    .setInputFiles({ name: "chart.png", mimeType: "image/png", buffer: await chart() });
  await expect(chooser).toBeHidden();
  const image = (name: "Phone" | "Wide") => pane(page, name).locator(".s-hero > .pic img");
  const drawn = (name: "Phone" | "Wide") =>
    image(name).evaluate((e) => {
      const { transform, objectPosition, filter } = getComputedStyle(e);
      return { transform, objectPosition, filter };
    });
  await expect(image("Wide")).toBeVisible();
  // 900 px are too few for a whole wide screen, and for a phone whose screen has two points for each.
  await expect(details(page).getByText(/^900 px wide\. To look sharp here it needs [12],\d\d0 px\.$/)).toBeVisible();

  await details(page).getByRole("button", { name: "Crop and tone" }).click();
  await details(page).getByRole("radio", { name: "Evening" }).click();
  await expect.poll(async () => (await drawn("Wide")).filter).toMatch(/^url\(.*#tone-/);
  // Only the phone is enlarged, and shows another part.
  await details(page).getByRole("button", { name: "Phone", exact: true }).click();
  await details(page).getByRole("slider", { name: "Enlarged" }).focus();
  for (let i = 0; i < 40; i++) await page.keyboard.press("ArrowRight");
  await details(page).getByRole("slider", { name: "From the left" }).focus();
  await page.keyboard.press("End");
  await expect.poll(async () => (await drawn("Phone")).transform).toBe("matrix(1.4, 0, 0, 1.4, 0, 0)");
  expect((await drawn("Phone")).objectPosition).toBe("100% 50%");
  expect((await drawn("Wide")).transform).toBe("none");

  // A tone of one's own is kept for other pictures; changed, it is changed for all of them.
  await details(page).getByRole("button", { name: "All", exact: true }).click();
  await details(page).getByRole("slider", { name: "Softer – stronger" }).focus();
  await page.keyboard.press("Home");
  await details(page).getByRole("button", { name: "Keep this tone for other pictures" }).click();
  await details(page).getByLabel("Name of the tone").fill("Quay at night");
  await page.keyboard.press("Enter");
  await expect(details(page).getByRole("radio", { name: "Quay at night" })).toBeChecked();
  const before = (await drawn("Wide")).filter;
  await details(page).getByRole("slider", { name: "Cooler – warmer" }).focus();
  await page.keyboard.press("End");
  await expect.poll(async () => (await drawn("Wide")).filter).not.toBe(before);
  const code = /#tone-([\w-]+)/.exec((await drawn("Wide")).filter)![1]!;
  await expectAccessible(page);
  await kept(page);
  await publish(page);

  await page.goto(shopAt(host));
  const served = page.locator(".s-hero > .pic img");
  await expect(served).toHaveAttribute("src", new RegExp(`\\.${code}\\.webp$`));
  await expect(served).not.toHaveAttribute("style");
  const address = (await served.getAttribute("src"))!;
  const ask = (path: string) =>
    page.request.get(`http://127.0.0.1:${new URL(DEMO).port}${path}`, {
      headers: { Host: new URL(shopAt(host)).host },
    });
  const toned = await pixelsOf(await (await ask(address)).body());
  const plain = await pixelsOf(await (await ask(address.replace(`.${code}`, ""))).body());
  applyTone(plain.data, 3, readToneCode(code)!);
  const off = plain.data.map((v, i) => Math.abs(v - toned.data[i]!));
  // Both are packed with losses.
  expect(off.reduce((a, b) => a + b, 0) / off.length).toBeLessThan(3);
  // A tone that no page shows is not made.
  expect((await ask(address.replace(code, "5k_0_0_0_0_rs_0_0_0_0_rs_0"))).status()).toBe(404);
  await page.setViewportSize({ width: 390, height: 800 });
  await expect.poll(() => served.evaluate((e) => getComputedStyle(e).transform)).toBe("matrix(1.4, 0, 0, 1.4, 0, 0)");
});

test("points on a picture are put where they belong, and lead into the cart", async ({ page }) => {
  const { host } = await openShop(page, {
    goods:
      "Title,Price,Stock,Description\nCalm kite,64.00,5,Flies in little wind\nGale kite,80.00,3,Flies in much wind\n",
  });
  await benchReady(page);
  await addSection(page, "Look with points", "The goods beside it", "hotspots");
  await details(page).getByRole("button", { name: "Choose a picture" }).click();
  const chooser = page.getByRole("dialog", { name: "Choose a picture" });
  await chooser
    .locator("input[type=file]")
    .setInputFiles({ name: "chart.png", mimeType: "image/png", buffer: await chart() });
  await expect(chooser).toBeHidden();
  await details(page).getByRole("button", { name: "Add a point" }).click();
  await details(page).getByRole("combobox", { name: "Product" }).fill("Gale");
  await page.getByRole("option", { name: "Gale kite" }).click();
  const wide = pane(page, "Wide");
  const grip = wide.getByRole("button", { name: /^Gale kite: 50 % from the left/ });
  const box = (await grip.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 40, { steps: 6 });
  await page.mouse.up();
  const moved = wide.getByRole("button", { name: /^Gale kite: \d/ });
  await expect(moved).not.toHaveAttribute("aria-label", /: 50 %/);
  await moved.focus();
  const said = (await moved.getAttribute("aria-label"))!;
  await page.keyboard.press("ArrowRight");
  await expect(moved).not.toHaveAttribute("aria-label", said);
  const [, left] = /: ([\d.]+) %/.exec((await moved.getAttribute("aria-label"))!)!;
  await kept(page);
  await publish(page);

  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto(shopAt(host));
  const spot = page.locator(".spot");
  await spot.locator("summary").scrollIntoViewIfNeeded();
  const at = () =>
    spot.evaluate((e) => {
      const [own, look] = [
        e.querySelector("summary")!.getBoundingClientRect(),
        e.parentElement!.getBoundingClientRect(),
      ];
      return ((own.left + own.width / 2 - look.left) / look.width) * 100;
    });
  await expect.poll(at).toBeCloseTo(Number(left), 0);
  await page.getByLabel("Gale kite", { exact: true }).click();
  // On a phone what opens stands at the window's lower edge.
  const card = (await spot.locator(".spot-card").boundingBox())!;
  expect(card.y + card.height).toBeCloseTo(800, 0);
  expect(card.width).toBeCloseTo(390, 0);
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  await expect(spot.locator(".spot-card")).toBeHidden();
  await page.getByLabel("Gale kite", { exact: true }).click();
  await spot.getByRole("button", { name: "Add to cart" }).click();
  await expect(page).toHaveURL(/\/cart/);
  await expect(page.getByRole("link", { name: "Gale kite" }).first()).toBeVisible();
});
