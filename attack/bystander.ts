import { fork } from "node:child_process";
import { fileURLToPath } from "node:url";
import { ask } from "./target";

// Somebody who has nothing to do with the attack: a shopper who looks at a page, and a seller whose studio asks for news. They ask
// from a process of their own, so that the attacker's own work is not measured.

type Wish = {
  readonly name: string;
  readonly port: number;
  readonly path: string;
  readonly headers: Record<string, string>;
};
export type Watched = {
  readonly slowest: number;
  readonly p99: number;
  readonly failed: number;
  readonly count: number;
};

const EVERY_MS = 40;

if (process.argv[2] === "watch") {
  const wishes = JSON.parse(process.argv[3]!) as Wish[];
  const times: number[] = [];
  let failed = 0;
  let isOver = false;
  const watch = async (wish: Wish) => {
    while (!isOver) {
      const { status, ms } = await ask(wish.port, wish.path, { headers: wish.headers, patience: 60_000 });
      times.push(ms);
      if (status !== 200) failed++;
      await new Promise((next) => setTimeout(next, EVERY_MS));
    }
  };
  const all = Promise.all(wishes.map(watch));
  process.on("message", () => {
    isOver = true;
    void all.then(() => {
      const sorted = times.toSorted((a, b) => a - b);
      process.send!({
        slowest: Math.round(sorted.at(-1) ?? 0),
        p99: Math.round(sorted[Math.floor(sorted.length * 0.99)] ?? 0),
        failed,
        count: sorted.length,
      } satisfies Watched);
      process.exit(0);
    });
  });
}

/** Lets bystanders ask for as long as `work` takes, and says how long they waited. */
export async function whileWatched<T>(
  wishes: readonly Wish[],
  work: () => Promise<T>,
): Promise<{ value: T; watched: Watched }> {
  const child = fork(fileURLToPath(import.meta.url), ["watch", JSON.stringify(wishes)], {
    execArgv: ["--import", "tsx"],
  });
  // They are there before the attack begins.
  await new Promise((next) => setTimeout(next, 1_200));
  const value = await work();
  const watched = new Promise<Watched>((done) => child.once("message", (message) => done(message as Watched)));
  child.send("over");
  return { value, watched: await watched };
}
