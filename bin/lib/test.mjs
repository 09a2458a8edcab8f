import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { runMain, say } from "./say.mjs";
import { checkNode, ensureBuild, ensureDebian, ensurePackages } from "./setup.mjs";

const reports = "test-results";

/** Runs one part and shows what it prints. Gives whether it went well. */
const part = (name, command, args, env = {}) =>
  new Promise((done) => {
    say(`\n── ${name}`);
    const started = Date.now();
    const child = spawn(command, args, { stdio: "inherit", env: { ...process.env, ...env } });
    child.once("close", (status) => {
      say(`── ${name}: ${status === 0 ? "passed" : "FAILED"} (${Math.round((Date.now() - started) / 1000)} s)`);
      done(status === 0);
    });
  });

/** The same beside others: what it prints is shown when it is done. */
const beside = (name, command, args) =>
  new Promise((done) => {
    const started = Date.now();
    const child = spawn(command, args, { stdio: ["ignore", "pipe", "pipe"] });
    let said = "";
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (text) => (said += text));
    child.once("close", (status) => {
      const seconds = Math.round((Date.now() - started) / 1000);
      say(`\n── ${name}\n${said}── ${name}: ${status === 0 ? "passed" : "FAILED"} (${seconds} s)`);
      done(status === 0);
    });
  });

const readReport = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : undefined);

/** Tests with how long each took, in seconds: those of Vitest's report and those of Playwright's. */
function* timesOf(units, journeys) {
  for (const { assertionResults } of units?.testResults ?? [])
    for (const { duration, fullName } of assertionResults) yield [(duration ?? 0) / 1000, fullName];
  const suites = [...(journeys?.suites ?? [])];
  for (let suite = suites.pop(); suite; suite = suites.pop()) {
    suites.push(...(suite.suites ?? []));
    for (const { title, tests } of suite.specs ?? [])
      yield [tests.flatMap((t) => t.results).reduce((sum, r) => sum + r.duration, 0) / 1000, title];
  }
}

await runMain(async () => {
  checkNode();
  ensureDebian([
    { command: "mariadbd", name: "mariadb-server" },
    { command: "chromium-headless-shell", name: "chromium-headless-shell" },
    { command: "nginx", name: "nginx-light" },
    { command: "openssl", name: "openssl" },
    { command: "xmllint", name: "libxml2-utils" },
    { command: "convert-im6.q16", name: "imagemagick" },
    // Measured fallbacks stand in for fonts that come late; nearly every computer has one of them, a bare test machine has none.
    { file: "/usr/share/fonts/truetype/liberation/LiberationSans-Regular.ttf", name: "fonts-liberation" },
  ]);
  ensurePackages();
  rmSync(reports, { recursive: true, force: true });
  mkdirSync(reports, { recursive: true });

  let passed = 0;
  let failed = 0;
  const count = (good) => void (good ? passed++ : failed++);
  // The types of routes are made first and once, because several read them. Lint keeps one core busy for as long as it takes, and what
  // comes meanwhile has the other.
  spawnSync("npx", ["react-router", "typegen"], { stdio: "ignore" });
  const lint = beside("lint", "npm", ["run", "--silent", "lint"]);
  // Lint checks all types; here is only what the core may not know of: browsers and Node.
  count(await beside("types of the core", "npx", ["tsc", "-p", "tsconfig.core.json"]));
  count(await beside("boundaries", "npm", ["run", "--silent", "boundaries"]));
  ensureBuild();

  const vitest = `${reports}/vitest.json`;
  const unit = await part("unit and server tests", "npx", [
    "vitest",
    "run",
    "--reporter=default",
    "--reporter=json",
    `--outputFile.json=${vitest}`,
  ]);
  const units = readReport(vitest);
  passed += units?.numPassedTests ?? 0;
  failed += units?.numFailedTests ?? 0;
  if (!unit && !units?.numFailedTests) failed++;

  const playwright = `${reports}/playwright.json`;
  count(await lint);
  const browser = await part("journeys in a browser", "npx", ["playwright", "test", "--reporter=list,json"], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: playwright,
  });
  const journeys = readReport(playwright);
  const stats = journeys?.stats;
  passed += (stats?.expected ?? 0) + (stats?.flaky ?? 0);
  failed += stats?.unexpected ?? 0;
  if (!browser && !stats?.unexpected) failed++;

  say("\n── the ten slowest");
  const slowest = [...timesOf(units, journeys)].toSorted(([a], [b]) => b - a).slice(0, 10);
  for (const [seconds, name] of slowest) say(`${seconds.toFixed(1).padStart(6)} s  ${name}`);

  say(`\n${passed} passed, ${failed} failed`);
  if (failed) process.exitCode = 1;
});
