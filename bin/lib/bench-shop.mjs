// What a shopper waits for, on a phone profile: a CPU four times slower than this one, 1.6 Mbit/s down, 150 ms there and back
// (the usual lab profile of a slow fourth-generation network; common practice, no source). Metrics: LCP, CLS and total
// blocking time between first contentful paint and rest, as web.dev defines them.

const THROTTLE = {
  offline: false,
  latency: 150,
  downloadThroughput: (1.6 * 1024 * 1024) / 8,
  uploadThroughput: (750 * 1024) / 8,
};

/** Largest contentful paint in ms, cumulative layout shift, total blocking time in ms: the middle of three first visits. */
export async function labFigures(browser, shop, pages, cookies = []) {
  const figures = {};
  for (const [name, path] of pages) {
    const runs = [];
    for (let run = 0; run < 3; run++) {
      const context = await browser.newContext({
        viewport: { width: 390, height: 844 },
        deviceScaleFactor: 2,
        isMobile: true,
      });
      await context.addCookies(cookies);
      const page = await context.newPage();
      const session = await context.newCDPSession(page);
      await session.send("Network.enable");
      await session.send("Network.emulateNetworkConditions", THROTTLE);
      await session.send("Emulation.setCPUThrottlingRate", { rate: 4 });
      await page.addInitScript(() => {
        const seen = { lcp: 0, cls: 0, tbt: 0 };
        window.lab = seen;
        new PerformanceObserver((list) => (seen.lcp = list.getEntries().at(-1).startTime)).observe({
          type: "largest-contentful-paint",
          buffered: true,
        });
        new PerformanceObserver((list) =>
          list.getEntries().forEach((e) => (seen.cls += e.hadRecentInput ? 0 : e.value)),
        ).observe({ type: "layout-shift", buffered: true });
        new PerformanceObserver((list) =>
          list.getEntries().forEach((e) => (seen.tbt += Math.max(0, e.duration - 50))),
        ).observe({ type: "longtask", buffered: true });
      });
      await page.goto(shop + path, { waitUntil: "networkidle" });
      runs.push(await page.evaluate(() => window.lab));
      await context.close();
    }
    const middle = (key) => runs.map((r) => r[key]).toSorted((a, b) => a - b)[1];
    figures[name] = {
      lcpMs: Math.round(middle("lcp")),
      cls: Math.round(middle("cls") * 1000) / 1000,
      tbtMs: Math.round(middle("tbt")),
    };
  }
  return figures;
}
