import { defineConfig } from "vitest/config";

// Two files of tests run side by side, on as many cores. Most of them share the modules that were loaded for others, which
// saves more than half of the time; those that replace a module for themselves are named `*.mocked.test.*` and run apart.
const shared = { resolve: { tsconfigPaths: true } };
const workers = { environment: "node", maxWorkers: 2 } as const;
const outsideServer = { exclude: ["app/server/**", "app/routes/**"], testTimeout: 60_000 };
const mocked = "**/*.mocked.test.{ts,tsx}";

export default defineConfig({
  test: {
    projects: [
      {
        ...shared,
        test: {
          ...workers,
          ...outsideServer,
          name: "unit",
          include: ["app/**/*.test.{ts,tsx}", "demo/**/*.test.ts", "stock/**/*.test.ts", "samples/**/*.test.ts"],
          exclude: [...outsideServer.exclude, mocked],
          isolate: false,
          setupFiles: ["./app/studio/fixtures/leave-nothing.ts"],
        },
      },
      { ...shared, test: { ...workers, ...outsideServer, name: "mocked", include: [`app/${mocked}`] } },
      {
        ...shared,
        test: {
          ...workers,
          name: "server",
          isolate: false,
          include: ["app/server/**/*.test.ts", "app/routes/**/*.test.ts"],
          globalSetup: ["./app/server/fixtures/database.setup.ts"],
          setupFiles: ["./app/server/fixtures/connect.ts"],
          testTimeout: 30_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
