/** Writes the schemas of the files that the studio saves and reads into docs/formats, from what it checks them with. */
import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { FORMATS } from "./lib/formats";

for (const [name, schema] of Object.entries(FORMATS))
  writeFileSync(
    fileURLToPath(new URL(`../docs/formats/${name}.schema.json`, import.meta.url)),
    `${JSON.stringify(schema(), null, 2)}\n`,
  );
