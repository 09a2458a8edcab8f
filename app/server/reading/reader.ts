import sharp from "sharp";
import { readArchive } from "./archive";
import type { ArchiveEntry, FromReader, Jobs, ToReader } from "./jobs";
import { iconOf, measurePicture, readPicture } from "./picture";
import { readTable } from "./table";
import { drawMap } from "./world";

// A process of its own that reads files from outside, one at a time. It holds nothing worth having: no database, no settings,
// no secrets. Whoever started it ends it when a file takes too much time or memory.

sharp.concurrency(1);
sharp.cache(false);

const say = (message: FromReader) => process.send?.(message);
let go: (() => void) | undefined;

const step = (entry: ArchiveEntry): Promise<void> =>
  new Promise((done) => {
    go = done;
    say({ type: "step", step: entry });
  });

function run({ job, ask }: Extract<ToReader, { type: "read" }>): Promise<Jobs[keyof Jobs]["answer"]> {
  switch (job) {
    case "picture":
      return readPicture((ask as Jobs["picture"]["ask"]).bytes);
    case "table":
      return readTable((ask as Jobs["table"]["ask"]).bytes);
    case "icon":
      return iconOf((ask as Jobs["icon"]["ask"]).bytes, (ask as Jobs["icon"]["ask"]).size);
    case "measure":
      return measurePicture((ask as Jobs["measure"]["ask"]).bytes);
    case "map": {
      const { point, reach, place, places } = ask as Jobs["map"]["ask"];
      return drawMap(point, reach, place, places);
    }
    case "font": {
      const { bytes, cut } = ask as Jobs["font"]["ask"];
      // Loaded when the first font is asked for: a reader of anything else starts without it.
      return import("./font").then(({ cutFont }) => cutFont(bytes, cut));
    }
    case "archive":
      return readArchive((ask as Jobs["archive"]["ask"]).path, step);
  }
}

process.on("message", (message: ToReader) => {
  if (message.type === "go") {
    go?.();
    return;
  }
  run(message).then(
    (answer) => say({ type: "done", answer }),
    (error: unknown) => say({ type: "failed", message: error instanceof Error ? error.message : String(error) }),
  );
});
// Whoever started it is gone.
process.on("disconnect", () => process.exit(0));
