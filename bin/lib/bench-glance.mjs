// How soon all pages of a shop are seen at a glance, and how smoothly they scroll, in a browser.

/** @returns {Promise<{ openMs: number, framesPerSecond: number }>} */
export async function glance(browser, studio, { shop, address, password }) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${studio}/sign-in`);
  await page.getByLabel("Mail address").fill(address);
  await page.getByLabel("Password").fill(password);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await page.waitForURL(/\/s\//);
  const started = performance.now();
  await page.goto(`${studio}/s/${shop}/pages/all`);
  await page.getByRole("treeitem").nth(3).waitFor();
  const openMs = Math.round(performance.now() - started);
  // Down the whole list, as fast as a wheel turns.
  const framesPerSecond = await page.getByRole("tree").evaluate(async (tree) => {
    const list = tree.parentElement;
    const begun = performance.now();
    let frames = 0;
    while (performance.now() - begun < 3_000) {
      list.scrollTop = ((performance.now() - begun) / 3_000) * (list.scrollHeight - list.clientHeight);
      await new Promise((next) => requestAnimationFrame(next));
      frames++;
    }
    return Math.round(frames / 3);
  });
  await page.close();
  return { openMs, framesPerSecond };
}
