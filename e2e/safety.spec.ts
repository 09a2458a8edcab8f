import { expect, test } from "@playwright/test";
// @ts-expect-error plain JavaScript
import { startServer } from "../bin/lib/server.mjs";
import { DATABASE, DATA } from "./place";
import { area, benchReady, details, inPlan, kept, openShop, pane, STUDIO } from "./studio";

type Server = { port: number; shopPort: number; stop: () => Promise<void>; kill: () => void; gone: Promise<unknown> };

/** A second application server on the same data, which a test may kill. */
const ownServer = (port = 0): Promise<Server> =>
  startServer({
    database: DATABASE,
    data: DATA,
    port,
    shopPort: 0,
    demo: true,
    reset: false,
    say: () => {},
  }) as Promise<Server>;

test("changes made while the server is dead wait in the browser, outlive the tab, and are kept when it is back", async ({
  browser,
}) => {
  const server = await ownServer();
  const context = await browser.newContext();
  const page = await context.newPage();
  await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  const address = page.url().replace(STUDIO, `http://localhost:${server.port}`);
  await page.goto(address);
  await benchReady(page);

  server.kill();
  await server.gone;
  await inPlan(page, "Hero").click();
  await details(page).getByLabel("Heading").fill("Written in the dark");
  await expect(page.getByText(/waiting here/)).toBeVisible();
  await expect(pane(page, "Phone").locator("h1")).toHaveText("Written in the dark");
  await page.close();

  const again = await ownServer(server.port);
  const next = await context.newPage();
  await next.goto(address);
  await benchReady(next);
  await expect(pane(next, "Wide").locator("h1")).toHaveText("Written in the dark");
  await kept(next);
  // It is on the server now: a browser that never saw it has it too.
  const elsewhere = await browser.newContext({ storageState: { cookies: await context.cookies(), origins: [] } });
  const fresh = await elsewhere.newPage();
  await fresh.goto(address);
  await benchReady(fresh);
  await expect(pane(fresh, "Wide").locator("h1")).toHaveText("Written in the dark");
  await context.close();
  await elsewhere.close();
  await again.stop();
});

test("two tabs on one page overwrite nothing of each other and get each other's changes", async ({ browser }) => {
  const context = await browser.newContext();
  const first = await context.newPage();
  await openShop(first);
  await area(first, "Pages");
  await benchReady(first);
  const second = await context.newPage();
  await second.goto(first.url());
  await benchReady(second);

  // Each is seen by the other.
  await second.bringToFront();
  await expect(second.getByText("open in 1 other tab")).toBeAttached();

  await inPlan(first, "Hero").click();
  await details(first).getByLabel("Heading").fill("From the first tab");
  await kept(first);
  await inPlan(second, "Sign-up").click();
  await details(second).getByLabel("Heading").fill("From the second tab");
  await kept(second);
  await expect(second.getByText("Changes from another tab are in.")).toBeVisible();
  await expect(pane(second, "Wide").locator("h1")).toHaveText("From the first tab");
  await expect(pane(second, "Wide").locator(".s-sign-up .head")).toHaveText("From the second tab");
  await first.reload();
  await benchReady(first);
  await expect(pane(first, "Wide").locator("h1")).toHaveText("From the first tab");
  await expect(pane(first, "Wide").locator(".s-sign-up .head")).toHaveText("From the second tab");
  await context.close();
});

test("a change that is on its way when the tab is closed is not lost", async ({ browser }) => {
  const context = await browser.newContext();
  const page = await context.newPage();
  await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  const address = page.url();
  await inPlan(page, "Hero").click();
  await details(page).getByLabel("Heading").fill("At the last moment");
  await page.close();
  const next = await context.newPage();
  await next.goto(address);
  await benchReady(next);
  await expect(pane(next, "Wide").locator("h1")).toHaveText("At the last moment");
  await context.close();
});
