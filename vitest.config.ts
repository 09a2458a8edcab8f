import { defineConfig } from "vitest/config";

const shared = { resolve: { tsconfigPaths: true } };

export default defineConfig({
  test: {
    projects: [
      {
        ...shared,
        test: {
          name: "unit",
          include: ["app/**/*.test.{ts,tsx}", "demo/**/*.test.ts"],
          exclude: ["app/server/**", "app/routes/**"],
          environment: "node",
          // Property tests share two cores with each other.
          testTimeout: 60_000,
        },
      },
      {
        ...shared,
        test: {
          name: "server",
          include: ["app/server/**/*.test.ts", "app/routes/**/*.test.ts"],
          environment: "node",
          globalSetup: ["./app/server/fixtures/database.setup.ts"],
          setupFiles: ["./app/server/fixtures/connect.ts"],
          fileParallelism: false,
          testTimeout: 30_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
