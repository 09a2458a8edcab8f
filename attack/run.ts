import { parseArgs } from "node:util";
import routes from "../app/routes";
// @ts-expect-error plain JavaScript
import { checkNode, ensureBuild, ensureDebian, ensurePackages } from "../bin/lib/setup.mjs";
import { whileWatched, type Watched } from "./bystander";
import { deadDatabase, firstStarts, fullDisk, kills, refusedStarts } from "./faults";
import { HOSTILE_FILES } from "./hostile-files";
import { load } from "./load";
import { markup } from "./markup";
import { addressesOf, foreign, fuzz, type Tried } from "./requests";
import { multipart, openTarget, type Owner, type Target } from "./target";

// Attacks the built application as a whole and says what came of it: what was tried, what failed, and how long a bystander waited.

const { values: only } = parseArgs({ options: { only: { type: "string" } } });
const wanted = (name: string) => only.only === undefined || only.only.split(",").includes(name);

type Line = {
  readonly name: string;
  readonly tried: number | string;
  readonly failures: readonly string[];
  readonly watched?: Watched;
};
const lines: Line[] = [];
const say = (text: string) => process.stdout.write(`${text}\n`);

/** The most that a bystander may wait for an answer, in ms: during hostile files, and under overload. */
const PATIENCE = { file: 500, overload: 2_000 };

async function hostileFiles(
  target: Target,
  owner: Owner,
  bystanders: Parameters<typeof whileWatched>[0],
): Promise<void> {
  const send = ({ as, make }: (typeof HOSTILE_FILES)[number]) => {
    const bytes = make();
    if (as === "picture")
      return target.studio(`/s/${owner.shop}/upload`, {
        as: owner,
        method: "POST",
        ...multipart({ picture: { name: "a.png", bytes } }),
      });
    const goods = { name: "goods.csv", bytes: Buffer.from("SKU,Title,Price\nA,Kite,1.00\n") };
    const fields =
      as === "archive"
        ? { intent: "import", file: goods, archive: { name: "a.zip", bytes } }
        : { intent: "plan", file: { name: "goods.xlsx", bytes } };
    return target.studio(`/s/${owner.shop}/goods/bring-in`, { as: owner, method: "POST", ...multipart(fields) });
  };
  for (const as of ["picture", "archive", "table"] as const) {
    const files = HOSTILE_FILES.filter((f) => f.as === as);
    const failures: string[] = [];
    const { watched } = await whileWatched(bystanders, async () => {
      for (const file of files) {
        const { status, body, ms } = await send(file);
        const isAnswered = status === 200 || status === 413 || status === 422 || status === 400;
        if (!isAnswered) failures.push(`${file.name}: ${status} ${body.slice(0, 100)}`);
        if (ms > 45_000) failures.push(`${file.name}: took ${Math.round(ms / 1000)} s`);
      }
    });
    if (watched.slowest > PATIENCE.file) failures.push(`a bystander waited ${watched.slowest} ms`);
    if (watched.failed) failures.push(`${watched.failed} answers to bystanders were not good`);
    lines.push({ name: `hostile files: ${as}s`, tried: files.length, failures, watched });
  }
  // Eight at once that each take as long as a picture may.
  const large = HOSTILE_FILES.find((f) => f.name === "a PNG of 49 megapixels in four channels of 16 bits")!;
  const { value, watched } = await whileWatched(bystanders, () =>
    Promise.all(Array.from({ length: 8 }, () => send(large))),
  );
  const failures = value.filter((v) => v.status >= 500).map((v) => `${v.status} ${v.body.slice(0, 80)}`);
  if (watched.slowest > PATIENCE.file) failures.push(`a bystander waited ${watched.slowest} ms`);
  lines.push({ name: "eight large pictures at once", tried: 8, failures, watched });
}

async function overload(target: Target, owner: Owner, bystanders: Parameters<typeof whileWatched>[0]): Promise<void> {
  const csv = Array.from(
    { length: 2_000 },
    (_, i) =>
      `G${i},Kite ${i} ${["red", "blue", "green"][i % 3]},${(i % 90) + 1}.00,${["Delta", "Sled", "Box"][i % 3]},${i % 9}`,
  );
  await target.bringIn(owner, `SKU,Title,Price,Collection,Wind\n${csv.join("\n")}\n`);
  const paths = Array.from({ length: 400 }, (_, i) =>
    i % 2 ? `/search?q=kite+${i}` : `/collections/all?wind=${i % 9}&from=${i % 40}`,
  );
  const { value, watched } = await whileWatched(bystanders, () =>
    load({
      port: target.shopPort,
      host: `${owner.host}.localhost:${target.shopPort}`,
      paths,
      connections: 200,
      ms: 10_000,
    }),
  );
  const failures: string[] = [];
  if (value.failed) failures.push(`${value.failed} requests got no answer, or one that is none`);
  if (watched.slowest > PATIENCE.overload) failures.push(`a bystander waited ${watched.slowest} ms`);
  if (watched.failed) failures.push(`${watched.failed} answers to bystanders were not good`);
  lines.push({
    name: "overload, 200 connections",
    tried: `${value.answered} + ${value.refused} asked to come again, p99 ${value.p99} ms`,
    failures,
    watched,
  });
}

checkNode();
ensureDebian([
  { command: "mariadbd", name: "mariadb-server" },
  { command: "chromium-headless-shell", name: "chromium-headless-shell" },
]);
ensurePackages();
ensureBuild();
const target = await openTarget();
const add = (name: string, { tried, failures }: Tried) => lines.push({ name, tried, failures });
try {
  const [mine, other] = [await target.openShop(), await target.openShop()];
  await target.bringIn(other, "SKU,Title,Price,Stock\nA,Kite,10.00,5\n");
  const bystanders = [
    {
      name: "a shopper",
      port: target.shopPort,
      path: "/",
      headers: { Host: `${other.host}.localhost:${target.shopPort}` },
    },
    {
      name: "a seller",
      port: target.port,
      path: `/s/${other.shop}/keep?since=0&tab=bystander&place=`,
      headers: { Host: `localhost:${target.port}`, Cookie: other.cookie, Accept: "application/json" },
    },
  ];
  const addresses = [...new Set(addressesOf(routes))];
  if (wanted("files")) {
    say("Hostile files …");
    await hostileFiles(target, mine, bystanders);
  }
  if (wanted("requests")) {
    say("Requests …");
    add("foreign ids over every route", await foreign(target, addresses, mine, other));
    add("anything over every route", await fuzz(target, addresses, mine));
  }
  if (wanted("markup")) {
    say("Markup …");
    add("markup in a browser", await markup(target, await target.openShop()));
  }
  if (wanted("overload")) {
    say("Overload …");
    await overload(target, mine, bystanders);
  }
  if (wanted("faults")) {
    say("Faults …");
    add("application ended while edits go on", await kills(target, mine, 10));
    add("database ended", await deadDatabase(target, other));
    add("starts that are refused", refusedStarts());
  }
} catch (error) {
  lines.push({ name: "the attack itself", tried: 1, failures: [String(error)] });
} finally {
  await target.close();
}
if (wanted("disk")) {
  say("Full disk …");
  const full = await fullDisk((folder) => openTarget(folder));
  if (full === "not possible here")
    lines.push({ name: "full disk", tried: "not possible here (needs the right to mount)", failures: [] });
  else add("full disk", full);
}
if (wanted("starts")) {
  say("First starts that are cut short …");
  add("first starts cut short", await firstStarts(12));
}
say("");
for (const { name, tried, failures, watched } of lines) {
  const wait = watched ? `  bystander: slowest ${watched.slowest} ms, p99 ${watched.p99} ms of ${watched.count}` : "";
  say(`${name.padEnd(40)} tried ${String(tried).padEnd(8)} failed ${failures.length}${wait}`);
  for (const failure of failures.slice(0, 12)) say(`    ${failure}`);
}
const failed = lines.reduce((n, l) => n + l.failures.length, 0);
say(`\n${failed === 0 ? "Nothing failed." : `${failed} failed.`}`);
process.exit(failed === 0 ? 0 : 1);
