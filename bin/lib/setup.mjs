import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { say, Stop } from "./say.mjs";

export const has = (command) => spawnSync("sh", ["-c", `command -v ${command}`]).status === 0;

/** Runs a long step quietly; what it printed is shown only when it failed. */
export function step(what, command, args, options = {}) {
  say(`${what} …`);
  const done = spawnSync(command, args, { encoding: "utf8", maxBuffer: 1 << 28, ...options });
  if (done.status !== 0) {
    process.stderr.write(`${done.stdout ?? ""}${done.stderr ?? ""}\n`);
    throw new Stop(`${what} failed.`);
  }
  return done.stdout;
}

export function checkNode() {
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Zest Window needs Node 20.19 or newer; this is ${process.versions.node}.`);
}

/** Installs Debian packages whose command, or whose file, is not there. */
export function ensureDebian(wanted) {
  const missing = wanted.filter(({ command, file }) => (command ? !has(command) : !existsSync(file)));
  if (missing.length === 0) return;
  const names = missing.map((m) => m.name).join(" ");
  if (!has("apt-get"))
    throw new Stop(
      `${names} is missing, and there is no apt-get here to install it. Install it by hand and start again.`,
    );
  const root = process.getuid?.() === 0;
  if (!root && !has("sudo"))
    throw new Stop(`${names} is missing. Run this as root or install sudo, or install it by hand and start again.`);
  const run = (what, args) =>
    step(what, root ? "apt-get" : "sudo", root ? args : ["apt-get", ...args], {
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
  run("Reading the list of Debian packages", ["update", "-qq"]);
  run(`Installing ${names}`, ["install", "-y", "-qq", "--no-install-recommends", ...missing.map((m) => m.name)]);
}

const read = (file) => (existsSync(file) ? readFileSync(file, "utf8") : "");

/** Installs the npm packages when the lock file is not the one they were installed from. */
export function ensurePackages() {
  const lock = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
  const stamp = "node_modules/.zest-lock";
  if (read(stamp) === lock) return;
  step("Installing packages (about a minute)", "npm", ["ci", "--no-audit", "--no-fund"]);
  writeFileSync(stamp, lock);
}

function* filesIn(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesIn(path);
    else yield path;
  }
}

/** A fingerprint of everything that goes into the build. */
function sourcePrint() {
  const hash = createHash("sha256");
  const files = [
    "package-lock.json",
    "vite.config.ts",
    "vite.runtime.config.ts",
    "vite.reader.config.ts",
    "react-router.config.ts",
    "stock/list.json",
    "samples/list.json",
  ];
  for (const folder of ["app", "public", "demo"])
    for (const file of filesIn(folder)) if (!/\.(test\.tsx?|webp)$/.test(file)) files.push(file);
  for (const file of files.sort())
    hash.update(file).update(statSync(file).size < 4_000_000 ? readFileSync(file) : file);
  return hash.digest("hex");
}

/** Builds when the sources have changed since the last build. */
export function ensureBuild() {
  const print = sourcePrint();
  const stamp = "build/.zest-sources";
  if (read(stamp) === print && existsSync("build/server/index.js") && existsSync("build/reader/reader.js")) return;
  step("Building (about half a minute)", "npm", ["run", "build"], { env: { ...process.env, NODE_ENV: "production" } });
  mkdirSync("build", { recursive: true });
  writeFileSync(stamp, print);
}
