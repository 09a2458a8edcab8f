import { reactRouter } from "@react-router/dev/vite";
import { readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { brotliCompressSync, constants } from "node:zlib";
import { defineConfig, type Plugin } from "vite";

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

/** Puts a packed copy beside each of the browser's files, so that the server packs none of them while somebody waits. */
const packed: Plugin = {
  name: "packed",
  apply: "build",
  applyToEnvironment: (environment) => environment.name === "client",
  // What is on the disk is whole: until then some names still stand for others.
  async writeBundle({ dir = "" }, bundle) {
    for (const name of Object.keys(bundle)) {
      const source = await readFile(join(dir, name));
      if (!/\.(?:js|css|svg|json)$/.test(name) || source.length < 1024) continue;
      const quality = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };
      await writeFile(join(dir, `${name}.br`), brotliCompressSync(source, quality));
    }
  },
};

export default defineConfig(({ isSsrBuild, command }) => ({
  plugins: [reactRouter(), packed],
  // For browsers it would decode with a document, which workers have not.
  resolve: {
    tsconfigPaths: true,
    alias: {
      "decode-named-character-reference": fileURLToPath(import.meta.resolve("decode-named-character-reference")),
    },
  },
  optimizeDeps: { entries: ["app/root.tsx", "app/entry.client.tsx", "app/routes/**/*.tsx", "app/studio/**/*.tsx"] },
  ssr: command === "build" ? { noExternal: true, external: outside } : { noExternal: [/^@mui\//] },
  build: isSsrBuild ? { rollupOptions: { input: "./app/server/http/entry.server.ts" } } : { assetsInlineLimit: 0 },
}));
