import { defineConfig } from "vite";

/** Bundles the shop's browser script. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: "build/runtime",
    emptyOutDir: true,
    target: "es2020",
    modulePreload: false,
    rollupOptions: { input: "app/runtime/index.ts", output: { entryFileNames: "shop.js" } },
  },
});
