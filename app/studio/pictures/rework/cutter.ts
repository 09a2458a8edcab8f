import type { CutoutAnswer, CutoutAsk } from "~/workers/cutout.worker";

type Said = { readonly id: number; readonly said?: CutoutAnswer };

/** A worker that has a picture open; `ask` gives undefined where it could not do what was asked. */
export type Cutter = { readonly ask: (ask: CutoutAsk) => Promise<CutoutAnswer | undefined>; readonly end: () => void };

/** Starts a worker of one's own; `end` lets it go. */
export function createCutter(): Cutter {
  const worker = new Worker(new URL("../../../workers/cutout.worker.ts", import.meta.url), { type: "module" });
  let last = 0;
  return {
    ask: (ask) =>
      new Promise((done) => {
        const id = ++last;
        const listen = ({ data }: MessageEvent<Said>) => {
          if (data.id !== id) return;
          worker.removeEventListener("message", listen);
          done(data.said);
        };
        worker.addEventListener("message", listen);
        worker.addEventListener("error", () => done(undefined), { once: true });
        worker.postMessage({ id, ask });
      }),
    end: () => worker.terminate(),
  };
}
