import { mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { say, Stop } from "./say.mjs";

/** Whether a process is a start of Zest Window, and not another one that got its number. */
const isStart = (pid) => {
  try {
    return /\bstart\.mjs/.test(readFileSync(`/proc/${pid}/cmdline`, "utf8"));
  } catch {
    return false;
  }
};

/**
 * Takes a data folder for this process, and gives what lets go of it. Two that write into one folder would destroy it.
 * @throws Stop where another start has it, or the folder can't be written
 */
export function lockFolder(data) {
  const file = join(data, "start.pid");
  try {
    mkdirSync(data, { recursive: true });
    for (let tries = 0; ; tries++) {
      try {
        writeFileSync(file, String(process.pid), { flag: "wx" });
        return () => rmSync(file, { force: true });
      } catch (error) {
        if (error.code !== "EEXIST" || tries > 2) throw error;
        const pid = Number(readFileSync(file, "utf8"));
        if (pid !== process.pid && isStart(pid))
          throw new Stop(`Zest Window runs on ${data} already. Stop it there, or choose another folder with --data.`);
        // Left over by one that was killed.
        rmSync(file, { force: true });
      }
    }
  } catch (error) {
    if (error instanceof Stop) throw error;
    throw new Stop(`The data folder ${data} can’t be written: ${error.code ?? error.message}.`);
  }
}

/** How often something may be started again in a stretch of time, in ms. */
const MOST = 5;
const STRETCH = 60_000;

/** Says that something is started again, until it has been too often. @throws Stop then */
export function createPatience() {
  const times = [];
  return (text, what) => {
    const now = Date.now();
    times.push(now);
    while (times[0] < now - STRETCH) times.shift();
    if (times.length > MOST) throw new Stop(`${what} ends again and again. Its last words stand above.`);
    say(text);
  };
}
