/**
 * Times a request for a page of 20 sections, and for the same page where each of them shows only at times, on pages and to some shoppers, in
 * milliseconds of CPU; prints the result as JSON. What a shopper's browser is told is left out: it is the same for both.
 */
import { pasteNodes, setConditions, type Outcome } from "../../app/core/commands";
import type { Condition } from "../../app/core/conditions";
import type { Draft } from "../../app/core/document";
import { FIRST_VISIT } from "../../app/core/situation";
import { makeNode } from "../../app/kinds";
import { createAccount } from "../../app/server/accounts/index.server";
import { configure, readConfig } from "../../app/server/config/index.server";
import { connect, disconnect } from "../../app/server/database/index.server";
import { keep, loadDraft } from "../../app/server/drafts/index.server";
import { situationNow } from "../../app/server/goods/index.server";
import { pendingChanges, publish } from "../../app/server/publishing/index.server";
import { createShop, shopAt } from "../../app/server/shops/index.server";
import { pageAt } from "../../app/server/storefront/pages";

const SECTIONS = 20;
const ROUNDS = 400;
const RULES: readonly (readonly Condition[])[] = [
  [{ when: "dates", from: "2020-10-24T00:00", until: "2021-10-23T00:00", yearly: true }],
  [{ when: "times", from: "00:00", until: "23:59" }],
  [{ when: "pages", sorts: ["home", "product"] }],
  [{ when: "visitor", is: "new" }],
  [{ when: "cart", asks: "empty" }],
];

const settings = readConfig(process.env);
configure(settings);
connect(settings.database, settings.connections);
const account = await createAccount({
  name: "Bench",
  address: "asked@shop.example",
  password: "a long enough password",
});
if (!account.ok) throw new Error(account.why);

/** A shop with a home page of 20 sections, published. */
async function shopWith(host: string, conditions: (i: number) => readonly Condition[]) {
  if (!account.ok) throw new Error(account.why);
  const owner = account.owner.id;
  const made = await createShop(owner, { name: host, host, currency: "EUR", timeZone: "Europe/London" });
  if (!made.ok) throw new Error(made.why);
  const { id } = made.shop;
  const change = async (make: (draft: Draft) => Outcome) => {
    const { draft, seq } = await loadDraft(id);
    const outcome = make(draft);
    if (!outcome.ok) throw new Error(outcome.why);
    const answer = await keep(id, seq, [outcome.transaction], { owner, tab: "bench" });
    if (!answer.ok) throw new Error(JSON.stringify(answer));
  };
  const nodes = Array.from({ length: SECTIONS }, (_, i) => makeNode("text", { heading: `Part ${i}`, text: "Words." }));
  await change((d) =>
    pasteNodes(d, "home", { parent: d.documents.home!.root.id, slot: "main", index: 0 }, nodes, "All"),
  );
  for (const [i, { id: node }] of nodes.entries()) {
    const asked = conditions(i);
    if (asked.length) await change((d) => setConditions(d, [node], asked, "Text"));
  }
  const done = await publish(id, (await pendingChanges(id)).seq);
  if (!done.ok) throw new Error(JSON.stringify(done));
  return (await shopAt(host))!;
}

const plain = await shopWith("asked-nothing", () => []);
const timed = await shopWith("asked-times", (i) => RULES[i % 3]!);
const personal = await shopWith("asked-all", (i) => RULES[i % RULES.length]!);
const request = (shop: typeof plain) =>
  pageAt(shop, "/", "http://shop.example", situationNow(shop), "", () => Promise.resolve(FIRST_VISIT));

/** The three in turns, so that whatever else the machine does falls on all of them. */
const times = { plain: [] as number[], timed: [] as number[], personal: [] as number[] };
for (let round = 0; round < ROUNDS * 1.25; round++)
  for (const [name, shop] of Object.entries({ plain, timed, personal })) {
    const before = process.cpuUsage();
    for (let n = 0; n < 5; n++) await request(shop);
    const { user, system } = process.cpuUsage(before);
    if (round >= ROUNDS * 0.25) times[name as keyof typeof times].push((user + system) / 5000);
  }
const percentile = (values: readonly number[], share: number) =>
  Math.round(values.toSorted((a, b) => a - b)[Math.floor((values.length - 1) * share)]! * 1000) / 1000;
await disconnect();
console.log(
  JSON.stringify(
    Object.fromEntries(
      Object.entries(times).map(([name, all]) => [name, { p50: percentile(all, 0.5), p95: percentile(all, 0.95) }]),
    ),
  ),
);
