import { reactRouter } from "@react-router/dev/vite";
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
  generateBundle(_options, bundle) {
    for (const file of Object.values(bundle)) {
      const source = file.type === "chunk" ? file.code : file.source;
      if (!/\.(?:js|css|svg|json)$/.test(file.fileName) || source.length < 1024) continue;
      const packedSource = brotliCompressSync(source, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } });
      this.emitFile({ type: "asset", fileName: `${file.fileName}.br`, source: packedSource });
    }
  },
};

export default defineConfig(({ isSsrBuild, command }) => ({
  plugins: [reactRouter(), packed],
  resolve: { tsconfigPaths: true },
  optimizeDeps: { entries: ["app/root.tsx", "app/entry.client.tsx", "app/routes/**/*.tsx", "app/studio/**/*.tsx"] },
  ssr: command === "build" ? { noExternal: true, external: outside } : { noExternal: [/^@mui\//] },
  build: isSsrBuild ? { rollupOptions: { input: "./app/server/http/entry.server.ts" } } : { assetsInlineLimit: 0 },
}));
