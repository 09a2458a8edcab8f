import { defineConfig } from "@playwright/test";

/** Files of journeys that go on side by side, on as many cores. */
export const WORKERS = 2;

// The browser is Debian's, in the build that has no window: with one, that nobody would see, a run takes half as long again. The
// server and its database are started by the tests on free ports.
export default defineConfig({
  testDir: "e2e",
  globalSetup: "./e2e/global-setup.ts",
  outputDir: "test-results/e2e",
  workers: WORKERS,
  // Each journey has a shop of its own or leaves the demo shop as it was.
  fullyParallel: true,
  retries: 0,
  forbidOnly: true,
  // What waits too long is broken; but a busy machine may take several times as long as a quiet one.
  timeout: 150_000,
  expect: { timeout: 25_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    // What moves takes time and a core. Where it matters whether something moves, a journey asks for it.
    contextOptions: { reducedMotion: "reduce" },
    screenshot: "only-on-failure",
    launchOptions: {
      executablePath: "/usr/bin/chromium-headless-shell",
      args: ["--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run"],
    },
  },
});
