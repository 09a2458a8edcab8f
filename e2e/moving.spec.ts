import { expect, test, type Page } from "@playwright/test";
import {
  addStart,
  area,
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openAdd,
  openShop,
  pane,
  publish,
  shopAt,
} from "./studio";

/** A film of a second and a half, recorded by the browser itself, so that something plays. */
async function recorded(page: Page): Promise<Buffer> {
  const text = await page.evaluate(async () => {
    const canvas = document.createElement("canvas");
    canvas.width = 160;
    canvas.height = 90;
    const pen = canvas.getContext("2d")!;
    const recorder = new MediaRecorder(canvas.captureStream(20), { mimeType: "video/webm" });
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    const done = new Promise((end) => (recorder.onstop = end));
    recorder.start();
    const began = performance.now();
    await new Promise<void>((end) => {
      const draw = () => {
        const at = performance.now() - began;
        pen.fillStyle = `hsl(${at / 5} 60% 50%)`;
        pen.fillRect(0, 0, 160, 90);
        if (at < 1500) requestAnimationFrame(draw);
        else end();
      };
      draw();
    });
    recorder.stop();
    await done;
    const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
    return btoa(Array.from(bytes, (b) => String.fromCharCode(b)).join(""));
  });
  return Buffer.from(text, "base64");
}

async function addFilm(page: Page): Promise<void> {
  await inPlan(page, "Column").first().click();
  const sheet = await openAdd(page);
  await sheet.getByLabel("Find").fill("video");
  await sheet.getByRole("button", { name: "Add Film", exact: true }).click();
  await expect(details(page).getByRole("heading", { name: "Film", exact: true })).toBeVisible();
}

/** Gives the hero a picture: a shop that is new has none, so it comes from the stock room. */
async function takeScene(page: Page): Promise<void> {
  await inPlan(page, "Hero").first().click();
  await details(page)
    .getByRole("button", { name: /^(Choose|Change)/ })
    .first()
    .click();
  const chooser = page.getByRole("dialog", { name: "Choose a picture" });
  await chooser.getByRole("button", { name: "Stock room", exact: true }).click();
  const scenes = chooser.getByRole("group", { name: /^Pictures, / });
  await expect(scenes).toHaveAccessibleName("Pictures, 66");
  await expectAccessible(page);
  await chooser.getByLabel("Find by words").fill("autumn");
  await expect(scenes).not.toHaveAccessibleName("Pictures, 66");
  await chooser.getByLabel("Find by words").fill("");
  await chooser.getByRole("button", { name: /^Dunes \d/ }).click();
  await expect(scenes).toHaveAccessibleName("Pictures, 4");
  // Each tile has its picture.
  await expect
    .poll(() => scenes.locator("img").evaluateAll((all) => all.every((i) => (i as HTMLImageElement).naturalWidth > 0)))
    .toBe(true);
  await scenes.getByRole("button", { name: "Dunes in low morning light" }).click();
  await expect(chooser).toBeHidden();
  await expect(pane(page, "Wide").locator(".s-hero img").first()).toHaveAttribute("alt", "Dunes in low morning light");
}

test("films are fetched only when somebody wants to see them, stand behind a section, and ask before they load from elsewhere", async ({
  page,
  browser,
}) => {
  await page.emulateMedia({ reducedMotion: "no-preference" });
  const { host } = await openShop(page);
  await benchReady(page);
  const film = await recorded(page);
  await addStart(page, "One column");
  await addFilm(page);
  const list = page.getByRole("dialog", { name: "Choose a film" });
  const upload = list.locator("input[type=file]");
  await details(page).getByRole("button", { name: "Upload or choose a film …" }).click();
  await upload.setInputFiles({ name: "no.mp4", mimeType: "video/mp4", buffer: Buffer.alloc(200, 1) });
  await expect(list.getByText("This is no film that browsers play. Save it as MP4 or WebM.")).toBeVisible();
  // What is uploaded where one is to be chosen is the one that is meant.
  await upload.setInputFiles({ name: "flight.webm", mimeType: "video/webm", buffer: film });
  await expect(list).toBeHidden();
  await expect(pane(page, "Wide").locator(".film")).toBeVisible();
  await details(page).getByLabel("What it shows").fill("A kite climbs off the pier");
  await expect(pane(page, "Phone").getByRole("button", { name: "Play: A kite climbs off the pier" })).toBeVisible();

  // A second one, of somebody else's.
  await addFilm(page);
  await details(page).getByRole("button", { name: "More to say" }).click();
  const address = details(page).getByLabel("Or a film at another address");
  await address.fill("http://films.example/17");
  await expect(details(page).getByText(/This can’t be played/)).toBeVisible();
  await address.fill('<iframe src="https://films.example/embed/17"></iframe>');
  await expect(details(page).getByText(/it plays from films.example/)).toBeVisible();
  await address.press("Enter");
  await expect(pane(page, "Wide").getByText("It plays from films.example")).toBeVisible();

  // The first one again, behind the hero: chosen among the films of the shop.
  await takeScene(page);
  await details(page).getByRole("button", { name: "Colours and ground" }).click();
  await details(page)
    .getByRole("group", { name: "Film over that picture" })
    .getByRole("button", { name: "Upload or choose a film …" })
    .click();
  await expect(list.getByText("flight.webm")).toBeVisible();
  await expectAccessible(page);
  await list.getByRole("button", { name: "Take flight.webm" }).click();
  await expect(list).toBeHidden();
  // The picture stands still while the page moves over it.
  await details(page).getByRole("button", { name: "Pictures", exact: true }).click();
  await details(page).getByRole("combobox", { name: "While scrolled past" }).click();
  await page.getByRole("option", { name: "Picture stands still" }).click();
  await kept(page);
  await publish(page);

  const asked: string[] = [];
  page.on("request", (request) => void asked.push(request.url()));
  await page.route("https://films.example/**", (route) =>
    route.fulfill({ contentType: "text/html", body: "<!doctype html><title>Player</title><p>Playing</p>" }),
  );
  await page.goto(shopAt(host));
  const behind = page.locator(".s-hero .pic img").first();
  const top = () => behind.evaluate((img) => Math.abs(Math.round(img.getBoundingClientRect().top)));
  expect(await top()).toBe(0);
  await page.evaluate(() => scrollTo(0, 150));
  await expect
    .poll(() =>
      page
        .locator(".s-hero")
        .first()
        .evaluate((s) => s.getBoundingClientRect().top),
    )
    .toBeLessThan(0);
  await expect.poll(top).toBe(0);
  await page.evaluate(() => scrollTo(0, 0));
  // Behind the hero it plays without sound, and can be stopped.
  const ground = page.locator(".ground-film");
  await expect(ground).toHaveClass(/is-begun/);
  const stop = page.getByRole("button", { name: "Stop: the film behind this" });
  await stop.click();
  await expect(page.getByRole("button", { name: "Play: the film behind this" })).toBeVisible();
  expect(await ground.locator("video").evaluate((v: HTMLVideoElement) => [v.paused, v.muted])).toEqual([true, true]);
  const play = page.getByRole("button", { name: "Play: A kite climbs off the pier" });
  await play.scrollIntoViewIfNeeded();
  await expectAccessible(page);
  await play.click();
  await expect(play).toBeHidden();
  const own = page.locator(".w-film video").first();
  await expect.poll(() => own.evaluate((v: HTMLVideoElement) => v.currentTime)).toBeGreaterThan(0);

  expect(asked.filter((url) => url.includes("films.example"))).toEqual([]);
  const from = page.getByRole("link", { name: "Play from films.example: Film" });
  await from.click();
  await expect(page.frameLocator(".w-film iframe").getByText("Playing")).toBeVisible();
  await expect(from).toBeHidden();

  // Who spares motion gets the picture, and sees the film where they ask for it.
  const still = await browser.newPage({ reducedMotion: "reduce" });
  const fetched: string[] = [];
  still.on("request", (request) => void (request.url().endsWith(".webm") && fetched.push(request.url())));
  await still.goto(shopAt(host));
  const begin = still.getByRole("button", { name: "Play: the film behind this" });
  await expect(begin).toBeVisible();
  await expect(still.locator(".ground-film video")).toHaveCSS("opacity", "0");
  expect(fetched).toEqual([]);
  await begin.click();
  await expect(still.locator(".ground-film")).toHaveClass(/is-begun/);
  await still.close();
});

test("a link leads to a document of the shop: uploaded where it is wanted, and opened by its own name", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  const studio = page.url();
  await takeScene(page);
  const leads = details(page).getByRole("combobox", { name: "Button leads to" });
  const open = async () => {
    await leads.fill("document");
    await page.getByRole("option", { name: "A document (PDF) …" }).click();
  };
  await open();
  const files = page.getByRole("dialog", { name: "Choose a document" });
  await files.getByRole("button", { name: "Close" }).click();
  await expect(leads).toHaveValue("");
  await open();
  const upload = files.locator("input[type=file]");
  await upload.setInputFiles({ name: "no.pdf", mimeType: "application/pdf", buffer: Buffer.alloc(2000, 1) });
  await expect(files.getByText("This is no PDF. Save it as a PDF first.")).toBeVisible();
  // The first line of a PDF: ISO 32000-1, 7.5.2.
  const pdf = Buffer.from("%PDF-1.4\n%%EOF\n");
  await upload.setInputFiles({ name: "Sizes of sails.pdf", mimeType: "application/pdf", buffer: pdf });
  await expect(files).toBeHidden();
  await expect(leads).toHaveValue("Sizes of sails.pdf");
  await kept(page);
  await publish(page);
  await page.goto(shopAt(host));
  const href = await page.locator(".s-hero .button").getAttribute("href");
  expect(href).toMatch(/^\/media\/[0-9a-f]{64}\.pdf$/);
  const sent = await page.evaluate(async (address) => {
    const answer = await fetch(address);
    return [answer.status, answer.headers.get("content-type"), answer.headers.get("content-disposition")];
  }, href!);
  expect(sent).toEqual([200, "application/pdf", 'inline; filename="Sizes of sails.pdf"']);

  // It is removed: said where it stands, taken away there, brought back whole; the shop has it until it is published without it.
  await page.goto(studio);
  await area(page, "Pictures");
  await page.getByRole("button", { name: "Films and documents" }).click();
  const all = page.getByRole("dialog", { name: "Films and documents" });
  await all.getByRole("button", { name: "Documents (1)" }).click();
  const asked = page.getByRole("dialog", { name: "Remove “Sizes of sails.pdf”?" });
  const remove = async () => {
    await all.getByRole("button", { name: "Remove Sizes of sails.pdf …" }).click();
    await asked.getByRole("button", { name: "Remove" }).click();
    await expect(all.getByText("There are no documents yet.", { exact: false })).toBeVisible();
  };
  await expect(all.getByText("Stands in one place")).toBeVisible();
  await all.getByRole("button", { name: "Remove Sizes of sails.pdf …" }).click();
  await expect(asked.getByRole("listitem")).toHaveText(["Home › Hero"]);
  await expectAccessible(page);
  await asked.getByRole("button", { name: "Cancel" }).click();
  await remove();
  await all.getByRole("button", { name: "Undo" }).click();
  await expect(all.getByText("Stands in one place")).toBeVisible();
  await remove();
  await all.getByRole("button", { name: "Close" }).click();
  const status = async () => {
    const shopper = await page.context().newPage();
    await shopper.goto(shopAt(host));
    const code = await shopper.evaluate(async (address) => (await fetch(address, { cache: "no-store" })).status, href!);
    await shopper.close();
    return code;
  };
  await kept(page);
  expect(await status()).toBe(200);
  await area(page, "Pages");
  await benchReady(page);
  await publish(page);
  expect(await status()).toBe(404);
});

test("a place is found by its name, drawn as a map in the shop’s colours, and loads nothing from elsewhere", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await addStart(page, "Where we are");
  await inPlan(page, "Map").first().click();
  const place = details(page).getByRole("combobox", { name: "Place" });
  await place.fill("qqqq");
  await expect(page.getByText("No place is called that.")).toBeVisible();
  await place.fill("whitby, united");
  await page.getByRole("option", { name: /Whitby, United Kingdom/ }).click();
  const map = pane(page, "Wide").getByRole("img", { name: /^Map: / });
  await expect(map).toHaveAccessibleName("Map: Whitby, United Kingdom");
  const before = await map.locator(".map-land").getAttribute("d");
  await details(page).getByRole("combobox", { name: "What is seen" }).click();
  await page.getByRole("option", { name: /^The surroundings/ }).click();
  await expect.poll(() => map.locator(".map-land").getAttribute("d")).not.toBe(before);
  await kept(page);
  await publish(page);

  // A page of its own: what the studio still asks its server is not of the shop.
  const shop = await page.context().newPage();
  const elsewhere: string[] = [];
  shop.on("request", (request) => void (!request.url().startsWith(shopAt(host)) && elsewhere.push(request.url())));
  await shop.setViewportSize({ width: 390, height: 844 });
  await shop.goto(shopAt(host));
  const shown = shop.getByRole("img", { name: "Map: Whitby, United Kingdom" });
  await shown.scrollIntoViewIfNeeded();
  await expectAccessible(shop);
  const box = (await shown.boundingBox())!;
  const pin = (await shown.locator(".map-pin").boundingBox())!;
  expect(Math.abs(pin.x + pin.width / 2 - box.x - box.width / 2)).toBeLessThan(2);
  // Names can be read on a phone: the map stands upright there.
  const name = (await shown.locator(".map-town text").first().boundingBox())!;
  expect(name.height).toBeGreaterThan(13);
  expect(elsewhere).toEqual([]);
});
