import { spawn } from "node:child_process";
import { createInterface } from "node:readline";
import { Stop } from "./say.mjs";

/** How long the application may take to finish what is under way when it is told to stop, in ms. */
const GRACE_MS = 8_000;

/**
 * Starts the built application and waits until it serves. `say` gets its lines. Gives the ports and how to stop it.
 */
export function startServer({ database, data, port, shopPort, demo, reset, say }) {
  const child = spawn(process.execPath, ["--enable-source-maps", "build/server/index.js"], {
    stdio: ["ignore", "pipe", "pipe"],
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: "production",
      ZEST_DATABASE: database,
      ZEST_DATA: data,
      ZEST_PORT: String(port),
      ZEST_SHOP_PORT: String(shopPort),
      ZEST_DEMO: demo ? "1" : "0",
      ZEST_DEMO_RESET: reset ? "1" : "0",
    },
  });
  const errors = [];
  child.stderr.on("data", (chunk) => {
    errors.push(String(chunk));
    if (errors.length > 50) errors.shift();
  });
  let serving = false;
  const gone = new Promise((done) => child.once("exit", (code) => done(code)));
  const stop = async () => {
    if (child.exitCode === null) child.kill("SIGTERM");
    const force = setTimeout(() => {
      say("The application does not stop. Ending it by force …");
      child.kill("SIGKILL");
    }, GRACE_MS);
    await gone;
    clearTimeout(force);
  };
  return new Promise((done, fail) => {
    createInterface({ input: child.stdout }).on("line", (line) => {
      const ready = /^READY (\d+) (\d+)$/.exec(line);
      if (ready) {
        serving = true;
        child.stderr.pipe(process.stderr);
        done({
          port: Number(ready[1]),
          shopPort: Number(ready[2]),
          pid: child.pid,
          stop,
          kill: () => child.kill("SIGKILL"),
          gone,
        });
      } else say(line);
    });
    void gone.then(() => {
      if (serving) return;
      const said = errors.join("");
      const taken = /EADDRINUSE.*/.exec(said)?.[0].match(/:(\d+)/);
      if (taken) fail(new Stop(`Port ${taken[1]} is in use. Choose another one with --port or --shop-port.`));
      else fail(new Stop(`The application would not start:\n${said.trim()}`));
    });
  });
}
