import { defineConfig } from "@playwright/test";

// The browser is Debian's; the server and its database are started by the tests on free ports.
export default defineConfig({
  testDir: "e2e",
  globalSetup: "./e2e/global-setup.ts",
  outputDir: "test-results/e2e",
  workers: 1,
  retries: 0,
  forbidOnly: true,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: "only-on-failure",
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: ["--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run"],
    },
  },
});
