import { spawn } from "node:child_process";
import { existsSync, mkdirSync } from "node:fs";
import { parseArgs } from "node:util";
import { resolve } from "node:path";
import { createServer } from "vite";
import { freePort, startDatabase } from "./database.mjs";
import { runMain, say } from "./say.mjs";
import { checkNode, ensureDebian, ensurePackages } from "./setup.mjs";

// The studio with hot reload, and the shops drawn by whatever the code is at that moment, on a database of their own.

await runMain(async () => {
  const { values } = parseArgs({
    options: {
      port: { type: "string", default: "4320" },
      "shop-port": { type: "string", default: "4321" },
      data: { type: "string", default: ".data/dev" },
    },
  });
  checkNode();
  ensureDebian([{ command: "mariadbd", name: "mariadb-server" }]);
  ensurePackages();
  const data = resolve(values.data);
  mkdirSync(data, { recursive: true });
  const database = await startDatabase(data);

  // The shop's own script, and the process that reads files, are built again whenever they change.
  const built = ["vite.runtime.config.ts", "vite.reader.config.ts"].map((config) =>
    spawn(
      process.execPath,
      ["node_modules/vite/bin/vite.js", "build", "--watch", "--config", config, "--logLevel", "warn"],
      { stdio: ["ignore", "inherit", "inherit"] },
    ),
  );
  while (!existsSync("build/runtime/shop.js") || !existsSync("build/reader/reader.js"))
    await new Promise((done) => setTimeout(done, 100));

  const vite = await createServer({
    server: {
      middlewareMode: true,
      hmr: { host: "127.0.0.1", port: await freePort() },
      watch: { ignored: ["**/.data/**"] },
    },
  });
  const load = (path) => vite.ssrLoadModule(path);
  vite.watcher.add(resolve("build/runtime"));
  vite.watcher.on("change", (file) => {
    if (!file.startsWith(resolve("build/runtime"))) return;
    for (const module of vite.moduleGraph.getModulesByFile(resolve("app/server/http/static.ts")) ?? [])
      vite.moduleGraph.invalidateModule(module);
  });

  const { readConfig } = await load("/app/server/config/index.server.ts");
  const { start } = await load("/app/server/http/main.server.ts");
  const settings = readConfig({
    ZEST_DATABASE: database.address,
    ZEST_DATA: data,
    ZEST_PORT: values.port,
    ZEST_SHOP_PORT: values["shop-port"],
    ZEST_DEMO: "1",
  });
  const running = await start(settings, () => load("virtual:react-router/server-build"), {
    say,
    mode: "development",
    before: vite.middlewares,
    shops: async (request, response, next) => {
      try {
        const { storefront } = await load("/app/server/storefront/index.server.ts");
        storefront()(request, response, next);
      } catch (error) {
        vite.ssrFixStacktrace(error);
        next(error);
      }
    },
  });
  say(`
  Studio   http://localhost:${running.port}
  Shop     http://larkspindle.localhost:${running.shopPort}

  What is changed in the code is seen at once. Ctrl-C stops it.`);
  const end = async () => {
    for (const each of built) each.kill();
    await running.stop();
    await vite.close();
    await database.stop();
    process.exit(0);
  };
  process.on("SIGINT", () => void end());
  process.on("SIGTERM", () => void end());
});
