import { expect, test } from "@playwright/test";
import { makeNode } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { publishedShop } from "./owners";
import { addSection, benchReady, details, inPlan, kept, openShop, pane, publish, shopAt } from "./studio";

/** Tries all that code in a frame must not be able to do, and writes down what came of it. */
const BURGLAR = `
const said = {};
const attempt = async (name, what) => {
  try { said[name] = String(await what()) || "nothing"; } catch (error) { said[name] = "refused"; }
};
(async () => {
  await attempt("parent", () => parent.document.title);
  await attempt("cookies", () => document.cookie);
  await attempt("store", () => localStorage.length);
  await attempt("top", () => { top.location.href = "https://evil.example/"; return "led away"; });
  await attempt("cart", async () => (await fetch(location.ancestorOrigins[0] + "/cart", { credentials: "include" })).status);
  await attempt("facts", () => { "use strict"; shopFacts.page.title = "mine"; return shopFacts.page.title; });
  document.body.append(Object.entries({ ...said, origin: self.origin }).map(([k, v]) => k + ": " + v).join("\\n"));
  document.body.style.whiteSpace = "pre";
  document.body.append(Object.assign(document.createElement("p"), { style: "height:777px" }));
})();`;

test("a seller's code runs in a frame that is of no origin: it sees neither cart, cookies nor page, and is as high as it wants", async ({
  page,
}) => {
  const code = makeNode("code", {
    title: "A burglar",
    html: "<p>Here</p>",
    script: BURGLAR,
    css: "p { color: var(--brand) }",
  });
  const host = await publishedShop({ goods: "Title,Price\nJam,4.00\n", main: [sectionAround(code)] });
  await page.goto(shopAt(host));
  const frame = page.frameLocator('iframe[title="A burglar"]');
  await expect(frame.locator("body")).toContainText("origin: null");
  const said = await frame.locator("body").innerText();
  for (const name of ["parent", "cookies", "store", "cart"]) expect(said).toContain(`${name}: refused`);
  expect(said).not.toContain("led away");
  expect(said).toContain("facts: refused");
  expect(new URL(page.url()).hostname).toBe(`${host}.localhost`);
  // It is high enough for all that is in it, and in the colours of the place where it stands.
  await expect.poll(async () => (await page.locator("iframe").boundingBox())!.height).toBeGreaterThan(777);
  const brand = await page.locator("zest-frame").evaluate((e) => getComputedStyle(e).getPropertyValue("--of-brand"));
  await expect
    .poll(() =>
      frame
        .locator("p")
        .first()
        .evaluate((p) => getComputedStyle(p.ownerDocument.documentElement).getPropertyValue("--brand")),
    )
    .toBe(brand);
  // Opened by itself, its address shows nothing of anybody's.
  const address = await page.locator("iframe").getAttribute("src");
  await page.goto(address!);
  await expect(page.locator("body")).toHaveText("");
});

test("own CSS of a page and of the shop is written with what it reaches marked, looked at without, and published", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await page.keyboard.press("g");
  await page.getByRole("combobox").fill("Own CSS");
  await page.getByRole("option", { name: /Own CSS of the shop/ }).click();
  const shopCss = page.getByRole("textbox", { name: "CSS of the whole shop" });
  await shopCss.fill(".button { letter-spacing: 7px }");
  const spacing = () =>
    pane(page, "Wide")
      .locator(".s-hero .button")
      .first()
      .evaluate((e) => getComputedStyle(e).letterSpacing);
  await expect.poll(spacing).toBe("7px");
  // What the rule at the cursor reaches is marked.
  const marked = () =>
    pane(page, "Wide")
      .locator(".s-hero .button")
      .first()
      .evaluate((e) => getComputedStyle(e).outlineStyle);
  await expect.poll(marked).toBe("dashed");
  const pageCss = page.getByRole("textbox", { name: "CSS of Home" });
  await pageCss.fill("h1 { text-decoration: underline } html { color: red }");
  await expect(details(page).getByText(/leave out html/)).toBeVisible();
  await page.getByRole("switch", { name: "Look at the shop without it" }).click();
  await expect.poll(spacing).not.toBe("7px");
  await page.getByRole("switch", { name: "Look at the shop without it" }).click();
  await expect.poll(spacing).toBe("7px");
  await kept(page);
  await publish(page);
  await page.goto(shopAt(host));
  expect(
    await page
      .locator(".button")
      .first()
      .evaluate((e) => getComputedStyle(e).letterSpacing),
  ).toBe("7px");
  expect(await page.locator("h1").evaluate((e) => getComputedStyle(e).textDecorationLine)).toBe("underline");
});

test("code that a seller pastes says what it may not load and where it stops, and loads what is let", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  await addSection(page, "Freehand", "A frame to book in", "booking");
  await inPlan(page, "Book a time").click();
  const html = details(page).getByRole("textbox", { name: "HTML" });
  await html.fill('<p>Pick a day</p><script src="https://book.example/w.js"></script>');
  const frame = pane(page, "Wide").frameLocator('iframe[title="Book a time"]');
  await expect(frame.getByText("Pick a day")).toBeVisible();
  await expect(pane(page, "Wide").getByText("It wanted to load https://book.example/w.js")).toBeVisible();
  await details(page).getByRole("button", { name: "Let it load" }).click();
  await expect(details(page).getByText("book.example", { exact: true })).toBeVisible();
  await expect(pane(page, "Wide").locator("iframe").first()).toHaveAttribute("src", /load=https%3A%2F%2Fbook\.example/);
  await details(page).getByRole("textbox", { name: "Script" }).fill("const a = 1;\nnothing.here();");
  await expect(pane(page, "Wide").getByText(/The script stopped: ReferenceError.*\(line 2\)/)).toBeVisible();
  // Bad addresses are said where they are written, and nothing of them is kept.
  await details(page).getByLabel("Another place").fill("http://plain.example");
  await expect(details(page).getByText("That is no address that begins with https://")).toBeVisible();
});
