import { spawn, spawnSync } from "node:child_process";
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Tried } from "./requests";
import { ask, type Owner, type Target } from "./target";

// What a machine does to a service: processes that end, answers that are lost, a disk that is full.

const wait = (ms: number) => new Promise((next) => setTimeout(next, ms));
const until = async (is: () => Promise<boolean>, ms: number): Promise<boolean> => {
  const end = Date.now() + ms;
  while (Date.now() < end) {
    if (await is()) return true;
    await wait(150);
  }
  return false;
};

const rename = (n: number, before: string, after: string) => ({
  id: `edit-${n}`,
  group: `group-${n}`,
  intent: "set-title",
  label: "Title changed",
  operations: [{ type: "setTitle", document: "home", before, after }],
});

/**
 * Edits go on while the application is ended again and again; requests and answers get lost. In the end every edit that was confirmed
 * is there, and each once.
 */
export async function kills(target: Target, owner: Owner, rounds: number): Promise<Tried> {
  const failures: string[] = [];
  const news = async () => {
    const got = await target.studio(`/s/${owner.shop}/keep?since=0&tab=abcdefgh&place=`, {
      as: owner,
      headers: { Accept: "application/json" },
    });
    return JSON.parse(got.body) as { seq: number; missed: { id: string }[] };
  };
  const start = await news();
  let base = start.seq;
  let title = "Home";
  let n = 0;
  const confirmed = new Set<string>();
  for (let round = 0; round < rounds; round++) {
    const killing = wait(150 + Math.random() * 400).then(() => target.restartServer());
    let isRunning = true;
    void killing.finally(() => (isRunning = false));
    while (isRunning || n % 5) {
      const edit = rename(n, title, `Home ${n}`);
      const body = { base, transactions: [edit], tab: "abcdefgh" };
      const sent = await target.studio(`/s/${owner.shop}/keep`, { as: owner, ...target.json(body), patience: 8_000 });
      if (sent.status === 200) {
        base = (JSON.parse(sent.body) as { seq: number }).seq;
        confirmed.add(edit.id);
        title = `Home ${n}`;
        n++;
      } else if (sent.status === 409) {
        // Its answer was lost: it is there.
        const seen = await news();
        base = seen.seq;
        if (seen.missed.some((t) => t.id === edit.id)) {
          title = `Home ${n}`;
          n++;
        }
      } else await wait(60);
    }
    await killing;
  }
  const end = await news();
  const ids = end.missed.map((t) => t.id);
  for (const id of confirmed) if (!ids.includes(id)) failures.push(`the edit ${id} was confirmed and is lost`);
  if (new Set(ids).size !== ids.length) failures.push("an edit is there twice");
  return { tried: rounds + n, failures };
}

/** The database is ended: shops ask to come again in their own look, the studio says so, and both are back when it is. */
export async function deadDatabase(target: Target, owner: Owner): Promise<Tried> {
  const failures: string[] = [];
  for (let round = 0; round < 5; round++) {
    await target.shop(owner.host, "/");
    target.killDatabase();
    // What is kept in memory may be sent; what has to be looked up is not there.
    const studio = await target.studio(`/s/${owner.shop}/keep?since=0&tab=abcdefgh&place=`, {
      as: owner,
      headers: { Accept: "application/json" },
      patience: 20_000,
    });
    if (![503, 507].includes(studio.status))
      failures.push(`round ${round}: the studio answered ${studio.status} ${studio.body.slice(0, 80)}`);
    const isSorry = await until(async () => {
      const got = await target.shop(owner.host, `/search?q=${Math.random()}`, { patience: 20_000 });
      return got.status === 503 && got.headers["retry-after"] !== undefined && got.body.includes("One moment, please");
    }, 15_000);
    if (!isSorry) failures.push(`round ${round}: the shop did not ask to come again in its look`);
    await target.restartDatabase();
    const isBack = await until(async () => {
      const [shop, own] = await Promise.all([
        target.shop(owner.host, "/"),
        target.studio(`/s/${owner.shop}/keep?since=0&tab=abcdefgh&place=`, {
          as: owner,
          headers: { Accept: "application/json" },
        }),
      ]);
      return shop.status === 200 && own.status === 200;
    }, 15_000);
    if (!isBack) failures.push(`round ${round}: it did not come back`);
  }
  return { tried: 5, failures };
}

/** A first start is cut short at any moment; the folder it leaves starts. */
export async function firstStarts(rounds: number): Promise<Tried> {
  const failures: string[] = [];
  for (let round = 0; round < rounds; round++) {
    const folder = join(mkdtempSync(join(tmpdir(), "zest-first-")), "mit Leerzeichen und ü");
    const ports = ["--port", "4510", "--shop-port", "4511", "--data", folder];
    const begin = () => spawn("./bin/start", ports, { stdio: ["ignore", "pipe", "pipe"], detached: true });
    const cut = begin();
    const gone = new Promise((done) => cut.once("exit", done));
    await wait(300 + (round * 12_000) / rounds);
    // As Ctrl-C does: to everything in the foreground at once. Every third time there is no time to say goodbye.
    process.kill(-cut.pid!, round % 3 === 2 ? "SIGKILL" : "SIGINT");
    const ended = await Promise.race([gone.then(() => true), wait(45_000).then(() => false)]);
    if (!ended) {
      failures.push(`round ${round}: Ctrl-C did not end it`);
      process.kill(-cut.pid!, "SIGKILL");
    }
    const again = begin();
    let said = "";
    again.stdout.on("data", (text) => (said += String(text)));
    again.stderr.on("data", (text) => (said += String(text)));
    const starts = await until(async () => {
      if (!said.includes("Ctrl-C stops it")) return false;
      const got = await ask(4511, "/", { headers: { Host: "larkspindle.localhost:4511" } });
      return got.status === 200;
    }, 120_000);
    if (!starts) failures.push(`round ${round}: it does not start again: ${said.slice(-300)}`);
    // Two that write into one folder would destroy it.
    const second = round === 0 ? startOn(folder).stderr.trim() : "";
    if (round === 0 && !/^Zest Window runs on .* already\./.test(second))
      failures.push(`a second start on the same folder was not refused: ${second.slice(0, 200)}`);
    const over = new Promise((done) => again.once("exit", done));
    again.kill("SIGTERM");
    await Promise.race([over, wait(45_000)]);
    rmSync(join(folder, ".."), { recursive: true, force: true });
  }
  return { tried: rounds, failures };
}

const startOn = (folder: string) =>
  spawnSync("./bin/start", ["--port", "4520", "--shop-port", "4521", "--data", folder], {
    encoding: "utf8",
    timeout: 60_000,
  });

/** A folder that can't be written is refused in one sentence. */
export function refusedStarts(): Tried {
  // A file stands where the folder would be.
  const said = startOn("package.json/data").stderr.trim();
  const isOneSentence = /^The data folder .* can’t be written/.test(said) && !said.includes("\n");
  return { tried: 1, failures: isOneSentence ? [] : [`a folder that can't be written: ${said.slice(0, 200)}`] };
}

/** The disk is full: it is said, nothing that was confirmed is lost, and it goes on when there is room. */
export async function fullDisk(openOn: (folder: string) => Promise<Target>): Promise<Tried | "not possible here"> {
  const folder = mkdtempSync(join(tmpdir(), "zest-full-"));
  if (spawnSync("mount", ["-t", "tmpfs", "-o", "size=420m", "tmpfs", folder]).status !== 0) {
    rmSync(folder, { recursive: true, force: true });
    return "not possible here";
  }
  const failures: string[] = [];
  const filler = join(folder, "filler");
  try {
    const target = await openOn(folder);
    try {
      const owner = await target.openShop();
      spawnSync("sh", ["-c", `cat /dev/zero > ${filler} 2>/dev/null`]);
      const noise = Buffer.from(Array.from({ length: 3_000_000 }, (_, i) => (i * 7919) & 255));
      const { multipart } = await import("./target");
      const film = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from("ftypisom"), noise]);
      const full = await target.studio(`/s/${owner.shop}/film`, {
        as: owner,
        method: "POST",
        ...multipart({ film: { name: "a.mp4", bytes: film } }),
      });
      if (full.status === 200) failures.push("a film was taken without room for it");
      if (!/no room left|can’t reach|Something went wrong/.test(full.body))
        failures.push(`nothing was said: ${full.status} ${full.body.slice(0, 120)}`);
      const page = await target.shop(owner.host, "/");
      if (page.status !== 200 && page.status !== 503) failures.push(`the shop answered ${page.status}`);
      rmSync(filler, { force: true });
      const goesOn = await until(async () => {
        const again = await target.studio(`/s/${owner.shop}/film`, {
          as: owner,
          method: "POST",
          ...multipart({ film: { name: "a.mp4", bytes: film } }),
        });
        return again.status === 200;
      }, 30_000);
      if (!goesOn) failures.push("it did not go on when there was room again");
      const left = readdirSync(join(folder, "pictures"), { recursive: true }).filter((f) =>
        String(f).endsWith(".part"),
      );
      if (left.length) failures.push(`half written files are left: ${left.join(", ")}`);
    } finally {
      await target.close().catch(() => undefined);
    }
  } finally {
    spawnSync("umount", ["-l", folder]);
    rmSync(folder, { recursive: true, force: true });
  }
  return { tried: 1, failures };
}
