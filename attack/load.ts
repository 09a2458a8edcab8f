import { fork } from "node:child_process";
import { fileURLToPath } from "node:url";
import { Agent, request } from "node:http";

// Many connections that ask as fast as they get answers, from a process of their own.

export type Load = {
  readonly answered: number;
  readonly refused: number;
  readonly failed: number;
  readonly p99: number;
};
type Ask = {
  readonly port: number;
  readonly host: string;
  readonly paths: readonly string[];
  readonly connections: number;
  readonly ms: number;
};

if (process.argv[2] === "load") {
  const { port, host, paths, connections, ms } = JSON.parse(process.argv[3]!) as Ask;
  const agent = new Agent({ keepAlive: true, maxSockets: connections });
  const until = Date.now() + ms;
  const times: number[] = [];
  const count = { answered: 0, refused: 0, failed: 0 };
  let n = 0;
  const once = () =>
    new Promise<void>((done) => {
      const started = performance.now();
      const sent = request(
        // Every connection comes from a place of its own, as from many visitors.
        {
          agent,
          port,
          host: "127.0.0.1",
          localAddress: `127.0.0.${2 + (n % 200)}`,
          path: paths[n++ % paths.length]!,
          headers: { Host: host },
        },
        (response) => {
          response.resume();
          response.on("end", () => {
            if (response.statusCode === 200) {
              count.answered++;
              times.push(performance.now() - started);
            } else if (response.statusCode === 503 && response.headers["retry-after"]) count.refused++;
            else count.failed++;
            done();
          });
        },
      );
      sent.on("error", () => {
        count.failed++;
        done();
      });
      sent.end();
    });
  const work = async () => {
    while (Date.now() < until) await once();
  };
  void Promise.all(Array.from({ length: connections }, work)).then(() => {
    const sorted = times.toSorted((a, b) => a - b);
    process.send!({ ...count, p99: Math.round(sorted[Math.floor(sorted.length * 0.99)] ?? 0) } satisfies Load);
    process.exit(0);
  });
}

/** Runs a load and gives what came of it. */
export const load = (asked: Ask): Promise<Load> =>
  new Promise((done) => {
    const child = fork(fileURLToPath(import.meta.url), ["load", JSON.stringify(asked)], {
      execArgv: ["--import", "tsx"],
    });
    child.once("message", (message) => done(message as Load));
  });
