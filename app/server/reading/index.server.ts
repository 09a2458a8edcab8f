import { fork, type ChildProcess } from "node:child_process";
import { readFile } from "node:fs/promises";
import { availableParallelism, constants, setPriority } from "node:os";
import { resolve } from "node:path";
import type { FromReader, JobName, Jobs, ToReader } from "./jobs";

export type { ArchiveEntry, PictureRead, PreparedPicture } from "./jobs";
export type { TableRead } from "./table";

// Files that came from outside are read in processes of their own (`reader.ts`), which are ended when one takes too much. What a
// file does to its reader, it does to nobody else.

type Limits = {
  /** How long a reader may be silent, in ms. */
  readonly ms: number;
  /** What it may hold, in megabytes. */
  readonly megabytes: number;
};

const LIMITS: Readonly<Record<JobName, Limits>> = {
  picture: { ms: 15_000, megabytes: 900 },
  table: { ms: 15_000, megabytes: 900 },
  icon: { ms: 4_000, megabytes: 500 },
  measure: { ms: 4_000, megabytes: 500 },
  archive: { ms: 15_000, megabytes: 900 },
  map: { ms: 15_000, megabytes: 900 },
  font: { ms: 30_000, megabytes: 900 },
};
const TOO_MUCH: Readonly<Record<JobName, string>> = {
  picture: "This picture takes too much time or memory to read. Save it anew with another program, or make it smaller.",
  table: "This file takes too much time or memory to read. Split it, or save it as CSV.",
  icon: "This picture takes too long to draw.",
  measure: "This picture takes too long to look at.",
  map: "This map takes too long to draw. Try again in a moment.",
  font: "This font takes too long to cut.",
  archive: "This archive takes too much time or memory to read. Split it.",
};
const BUSY = "Many files are being read just now. Try again in a moment.";

/** As many at once as leave the machine room for everybody else. */
const MOST_AT_ONCE = Math.max(1, Math.min(4, availableParallelism() - 1));
const MOST_WAITING = 60;
/** A reader that has read so many is replaced, so that nothing of them adds up. */
const MOST_READ = 200;
/** How often it is looked at what a reader holds, in ms. */
const LOOK_EVERY_MS = 40;
const PAGE_BYTES = 4096;

export type Apart<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly why: string };

type Reader = { readonly child: ChildProcess; read: number };

/** Who is being served, who waits, and the readers that have nothing to do. `isBehind`: with what the machine has left over. */
type Queue = {
  readonly places: number;
  readonly isBehind: boolean;
  busy: number;
  readonly waiting: (() => void)[];
  readonly idle: Reader[];
};
const queueOf = (places: number, isBehind: boolean): Queue => ({ places, isBehind, busy: 0, waiting: [], idle: [] });
/** Shoppers come before uploads. */
const files = queueOf(MOST_AT_ONCE, true);
/**
 * Somebody waits for these, and doesn't wait for somebody else's archive: fonts of shoppers, and maps, which are drawn from our own
 * data in a moment, but not by a reader that gets a tenth of a busy machine.
 */
const soon = queueOf(1, false);
const queueFor = (job: JobName): Queue => (job === "font" || job === "map" ? soon : files);

function startReader({ isBehind, idle }: Queue): Reader {
  const child = fork(resolve("build/reader/reader.js"), [], {
    serialization: "advanced",
    execArgv: ["--max-old-space-size=600"],
    // Nothing of what this process knows.
    env: { PATH: process.env.PATH ?? "", NODE_ENV: "production", UV_THREADPOOL_SIZE: "2" },
    stdio: ["ignore", "ignore", "ignore", "ipc"],
  });
  try {
    if (isBehind && child.pid) setPriority(child.pid, constants.priority.PRIORITY_BELOW_NORMAL);
  } catch {
    // Not allowed here: then they share alike.
  }
  child.unref();
  child.channel?.unref();
  const reader = { child, read: 0 };
  child.once("exit", () => {
    const at = idle.indexOf(reader);
    if (at >= 0) idle.splice(at, 1);
  });
  // Sending to one that has just ended is found out by its end.
  child.on("error", () => undefined);
  return reader;
}

/** What a process holds in memory, in megabytes; 0 where the system does not say. */
const heldBy = async (pid: number): Promise<number> => {
  const text = await readFile(`/proc/${pid}/statm`, "utf8").catch(() => "");
  return (Number(text.split(" ")[1] ?? 0) * PAGE_BYTES) / 1_000_000;
};

async function turn(queue: Queue): Promise<boolean> {
  if (queue.busy < queue.places) {
    queue.busy++;
    return true;
  }
  if (queue.waiting.length >= MOST_WAITING) return false;
  await new Promise<void>((next) => queue.waiting.push(next));
  return true;
}
const leave = (queue: Queue) => {
  const next = queue.waiting.shift();
  // Whoever waits takes the place as it is.
  if (next) next();
  else queue.busy--;
};

type Options<J extends JobName> = {
  /** Takes what is said on the way; the reader waits for it. */
  readonly step?: (step: Jobs[J]["step"]) => Promise<void>;
  readonly signal?: AbortSignal | undefined;
};

function readWith<J extends JobName>(
  reader: Reader,
  job: J,
  ask: Jobs[J]["ask"],
  { step, signal }: Options<J>,
): Promise<Apart<Jobs[J]["answer"]>> {
  const { child } = reader;
  const limits = LIMITS[job];
  return new Promise((done, fail) => {
    let silence: ReturnType<typeof setTimeout> | undefined;
    const tooMuch = () => child.kill("SIGKILL");
    const watch = setInterval(() => {
      if (child.pid) void heldBy(child.pid).then((held) => held > limits.megabytes && tooMuch());
    }, LOOK_EVERY_MS);
    const listen = () => {
      clearTimeout(silence);
      silence = setTimeout(tooMuch, limits.ms);
    };
    const finish = (how: () => void) => {
      clearTimeout(silence);
      clearInterval(watch);
      child.off("message", onMessage);
      child.off("exit", onExit);
      signal?.removeEventListener("abort", onAbort);
      how();
    };
    const onMessage = (message: FromReader) => {
      if (message.type === "done") return finish(() => done({ ok: true, value: message.answer }));
      if (message.type === "failed") {
        console.error(`a file could not be read (${job}): ${message.message}`);
        return finish(() => done({ ok: false, why: "This file can’t be read." }));
      }
      // While its step is being taken, the reader is not the one that is slow.
      clearTimeout(silence);
      (step?.(message.step as Jobs[J]["step"]) ?? Promise.resolve()).then(
        () => {
          listen();
          child.send({ type: "go" } satisfies ToReader);
        },
        (error: unknown) => {
          finish(() => fail(error instanceof Error ? error : new Error(String(error))));
          child.kill("SIGKILL");
        },
      );
    };
    const onExit = (code: number | null, how: string | null) => {
      // One that was not ended here is a fault of ours, or has hit a limit of its own; either is worth knowing.
      if (how !== "SIGKILL") console.error(`a reader ended by itself (${job}): ${how ?? code}`);
      finish(() => done({ ok: false, why: TOO_MUCH[job] }));
    };
    const onAbort = () => {
      finish(() => fail(signal?.reason instanceof Error ? signal.reason : new Error("stopped")));
      child.kill("SIGKILL");
    };
    child.on("message", onMessage);
    child.once("exit", onExit);
    signal?.addEventListener("abort", onAbort);
    listen();
    child.send({ type: "read", job, ask } satisfies ToReader);
  });
}

/**
 * Has a file read in a process apart, and gives what came of it. A file that takes too much time or memory costs its reader and
 * nothing else; then, and when too many wait, `why` says so to whoever brought it.
 * @throws what `step` throws, and when `signal` aborts.
 */
export async function readApart<J extends JobName>(
  job: J,
  ask: Jobs[J]["ask"],
  options: Options<J> = {},
): Promise<Apart<Jobs[J]["answer"]>> {
  const queue = queueFor(job);
  if (!(await turn(queue))) return { ok: false, why: BUSY };
  const reader = queue.idle.pop() ?? startReader(queue);
  try {
    return await readWith(reader, job, ask, options);
  } finally {
    reader.read++;
    if (reader.child.exitCode === null && !reader.child.killed && reader.child.connected) {
      if (reader.read < MOST_READ) queue.idle.push(reader);
      else reader.child.kill();
    }
    leave(queue);
  }
}
