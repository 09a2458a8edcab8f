import { defineConfig } from "vite";

/** Bundles the shop's browser script. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: "build/runtime",
    emptyOutDir: true,
    target: "es2020",
    modulePreload: false,
    rollupOptions: {
      input: { shop: "app/runtime/index.ts", goods: "app/runtime/goods.ts", frame: "app/runtime/shell.ts" },
      output: { entryFileNames: "[name].js" },
    },
  },
});
