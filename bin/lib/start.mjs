import { resolve } from "node:path";
import { parseArgs } from "node:util";
import { isFree, startDatabase } from "./database.mjs";
import { runMain, say, Stop } from "./say.mjs";
import { startServer } from "./server.mjs";
import { checkNode, ensureBuild, ensureDebian, ensurePackages } from "./setup.mjs";
import { createPatience, lockFolder } from "./watch.mjs";

const HELP = `Starts Zest Window: its own database, the studio, and the shops that it publishes.

  ./bin/start [options]

  --port N        port of the studio (4310)
  --shop-port N   port of the shops (4311)
  --data DIR      where everything is kept (.data)
  --reset         load the demo shop anew; your other shops stay
  --no-demo       don't load the demo shop
  --help          this text`;

function options() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: "string", default: "4310" },
        "shop-port": { type: "string", default: "4311" },
        data: { type: "string", default: ".data" },
        reset: { type: "boolean", default: false },
        "no-demo": { type: "boolean", default: false },
        help: { type: "boolean", default: false },
      },
    });
    return values;
  } catch (error) {
    throw new Stop(`${error.message.split(".")[0]}. See ./bin/start --help`);
  }
}

const portOf = (text, name) => {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`${name} takes a number from 1 to 65535, not “${text}”.`);
  return port;
};

await runMain(async () => {
  const given = options();
  if (given.help) return say(HELP);
  const port = portOf(given.port, "--port");
  const shopPort = portOf(given["shop-port"], "--shop-port");
  if (port === shopPort) throw new Stop("Studio and shops need different ports.");
  checkNode();
  for (const wanted of [port, shopPort]) {
    if (!(await isFree(wanted)))
      throw new Stop(`Port ${wanted} is in use. Choose another one with --port or --shop-port.`);
  }
  const data = resolve(given.data);
  const unlock = lockFolder(data);
  try {
    ensureDebian([{ command: "mariadbd", name: "mariadb-server" }]);
    ensurePackages();
    ensureBuild();
  } catch (error) {
    unlock();
    throw error;
  }
  let database;
  let server;
  let ending;
  const end = () => {
    ending ??= (async () => {
      say("\nStopping …");
      await server?.stop();
      await database?.stop();
      unlock();
      say("Stopped. Everything is kept.");
    })();
    return ending;
  };
  process.on("SIGINT", () => void end());
  process.on("SIGTERM", () => void end());
  const startApplication = (reset) =>
    startServer({ database: database.address, data, port, shopPort, demo: !given["no-demo"], reset, say });
  try {
    database = await startDatabase(data);
    if (ending) return end();
    server = await startApplication(given.reset);
  } catch (error) {
    if (ending) return ending;
    await database?.stop();
    unlock();
    throw error;
  }
  if (ending) return end();
  say(`
  Studio   http://localhost:${server.port}
  Shop     http://larkspindle.localhost:${server.shopPort}${
    given["no-demo"]
      ? "  (your shops: their address, then this port)"
      : `

  Demo     demo@larkspindle.example   kites-and-string`
  }

  Ctrl-C stops it.`);
  // Whatever of the two ends by itself is started again; one that ends again and again is not.
  const again = createPatience();
  const watchDatabase = async () => {
    for (;;) {
      await database.gone;
      if (ending) return;
      again(`The database ended unexpectedly. Starting it again …`, "The database");
      database = await startDatabase(data, { quiet: true, port: database.port });
      say("The database is back.");
    }
  };
  const watchApplication = async () => {
    for (;;) {
      const code = await server.gone;
      if (ending) return;
      again(`The application ended unexpectedly (${code ?? "by force"}). Starting it again …`, "The application");
      server = await startApplication(false);
      say("The application is back.");
    }
  };
  try {
    await Promise.all([watchDatabase(), watchApplication()]);
  } catch (error) {
    if (!ending) {
      await server.stop();
      await database.stop();
      unlock();
      throw error;
    }
  }
  await ending;
});
