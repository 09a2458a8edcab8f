import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";

// The server is bundled whole (it then starts about twice as fast); packages with native code or with files that they
// read from beside themselves stay outside.
const outside = [
  "sharp",
  "@node-rs/argon2",
  "mariadb",
  "sequelize",
  "umzug",
  "express",
  "compression",
  "helmet",
  "css-tree",
];

export default defineConfig(({ isSsrBuild, command }) => ({
  plugins: [reactRouter()],
  resolve: { tsconfigPaths: true },
  optimizeDeps: { entries: ["app/root.tsx", "app/entry.client.tsx", "app/routes/**/*.tsx", "app/studio/**/*.tsx"] },
  ssr: command === "build" ? { noExternal: true, external: outside } : { noExternal: [/^@mui\//] },
  build: isSsrBuild ? { rollupOptions: { input: "./app/server/http/entry.server.ts" } } : { assetsInlineLimit: 0 },
}));
