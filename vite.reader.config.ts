import { defineConfig } from "vite";

/** Bundles the process that reads files from outside; `sharp` has native code and stays outside of it. */
export default defineConfig({
  publicDir: false,
  resolve: { tsconfigPaths: true },
  ssr: { noExternal: true, external: ["sharp"] },
  build: {
    ssr: "app/server/reading/reader.ts",
    outDir: "build/reader",
    emptyOutDir: true,
    rollupOptions: { output: { entryFileNames: "reader.js" } },
  },
});
