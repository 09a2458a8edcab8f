/** Checks the import arrows, and that the check itself would notice: one file breaks them on purpose. */
import { cruise } from "dependency-cruiser";
import { createRequire } from "node:module";

const configuration = createRequire(import.meta.url)("../.dependency-cruiser.cjs");
const tsConfig = (await import("dependency-cruiser/config-utl/extract-ts-config")).default("tsconfig.json");
const run = async (paths, exclude) => {
  const { options, ...ruleSet } = configuration;
  const { output } = await cruise(paths, { ...options, ruleSet, validate: true, exclude }, undefined, { tsConfig });
  return output.summary.violations.filter((v) => v.rule.severity === "error");
};

const found = await run(["app", "demo", "samples", "stock", "geo"], {
  path: "^(build|\\.react-router)/|boundary-fixture",
});
for (const { rule, from, to } of found) console.error(`${rule.name}: ${from} imports ${to}`);

const caught = await run(["app/core/boundary-fixture"], undefined);
const expected = caught.filter(
  (v) => v.rule.name === "core-imports-core-only" && v.from.includes("boundary-fixture"),
).length;
if (expected < 2) console.error(`the file that breaks the arrows on purpose was not caught (${expected} of 2)`);

if (found.length || expected < 2) process.exit(1);
console.log("import arrows: kept, and the deliberate violation was caught");
