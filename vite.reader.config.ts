import { defineConfig } from "vite";

/** Bundles the process that reads files from outside; `sharp` has native code, `subset-font` reads from beside itself: they stay outside of it. */
export default defineConfig({
  publicDir: false,
  resolve: { tsconfigPaths: true },
  ssr: { noExternal: true, external: ["sharp", "subset-font"] },
  build: {
    ssr: "app/server/reading/reader.ts",
    outDir: "build/reader",
    emptyOutDir: true,
    rollupOptions: { output: { entryFileNames: "reader.js" } },
  },
});
