/**
 * Times a shop of 200 pages, in milliseconds of wall clock against a real database: publishing all of it, publishing one page, and going
 * back to what was published before. Prints the result as JSON, with who can sign in to look at it. Made-up pages.
 */
import { addPage, restoreShop, setProp, type Outcome } from "../../app/core/commands";
import type { Draft } from "../../app/core/document";
import { makeNode } from "../../app/kinds";
import { createAccount } from "../../app/server/accounts/index.server";
import { configure, readConfig } from "../../app/server/config/index.server";
import { connect, disconnect } from "../../app/server/database/index.server";
import { keep, loadDraft } from "../../app/server/drafts/index.server";
import { pendingChanges, publicationOf, publish } from "../../app/server/publishing/index.server";
import { createShop } from "../../app/server/shops/index.server";

const PAGES = 200;
const settings = readConfig(process.env);
configure(settings);
connect(settings.database, settings.connections);
const SOMEBODY = { name: "Bench", address: "pages@shop.example", password: "a long enough password" };
const account = await createAccount(SOMEBODY);
if (!account.ok) throw new Error(account.why);
const made = await createShop(account.owner.id, {
  name: "Many pages",
  host: "many-pages",
  currency: "EUR",
  timeZone: "Europe/London",
});
if (!made.ok) throw new Error(made.why);
const { id } = made.shop;

let { draft, seq } = await loadDraft(id);
async function change(make: (draft: Draft) => Outcome): Promise<void> {
  const outcome = make(draft);
  if (!outcome.ok) throw new Error(outcome.why);
  const answer = await keep(id, seq, [outcome.transaction], {
    owner: account.ok ? account.owner.id : "",
    tab: "bench",
  });
  if (!answer.ok) throw new Error(JSON.stringify(answer));
  ({ draft, seq } = await loadDraft(id));
}
const sections = (n: number) => [
  makeNode("hero", { heading: `Page ${n}`, arrangement: "beside" }),
  makeNode("text", { heading: "What there is to say", text: `In a few words, for the ${n}th time.` }),
  makeNode("picture-words", { heading: "And more" }),
  makeNode("product-grid"),
];
for (let n = 1; n <= PAGES; n++) {
  const parent = n % 8 === 1 ? null : `page-${n - ((n - 2) % 8) - 1}`;
  await change((d) => addPage(d, { title: `Page ${n}`, parent, main: sections(n) }, `page-${n}`));
}
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const started = performance.now();
  await work();
  return Math.round((performance.now() - started) * 10) / 10;
};
const publishNow = async (parts?: readonly string[]) => {
  const done = await publish(id, (await pendingChanges(id)).seq, parts);
  if (!done.ok) throw new Error(JSON.stringify(done));
};
const publishAllMs = await timed(() => publishNow());
const hero = draft.documents["page-7"]!.root.slots.main![0]!.id;
await change((d) => setProp(d, hero, ["heading"], "Another heading", "Words"));
const publishOneMs = await timed(() => publishNow(["page-7"]));
const goBackMs = await timed(async () => {
  const before = await publicationOf(id, 1);
  await change((d) => restoreShop(d, before!, "No. 1"));
  await publishNow();
});
await disconnect();
console.log(JSON.stringify({ pages: PAGES, publishAllMs, publishOneMs, goBackMs, shop: id, ...SOMEBODY }));
