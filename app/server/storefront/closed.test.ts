import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addPage, setOpen, setProp, type Outcome } from "~/core/commands";
import type { Draft } from "~/core/document";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { openStorefront, type Asked } from "../fixtures/shoppers";
import { pendingChanges, publish } from "../publishing/index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
let owned: Awaited<ReturnType<typeof ownerWithShop>>;
const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: owned.shop.host, ...asked });
const say = (word: string, headers: Record<string, string> = {}) =>
  ask("/friends", {
    method: "POST",
    headers: {
      "Content-Type": "application/x-www-form-urlencoded",
      Origin: `http://${owned.shop.host}.localhost:${front.port}`,
      ...headers,
    },
    body: new URLSearchParams({ word }).toString(),
  });

/** Changes the shop and publishes it. */
async function make(change: (draft: Draft) => Outcome): Promise<void> {
  const { draft, seq } = await loadDraft(owned.shop.id);
  const outcome = change(draft);
  if (!outcome.ok) throw new Error(outcome.why);
  expect(await keep(owned.shop.id, { base: seq, transactions: [outcome.transaction] })).toMatchObject({ ok: true });
  expect(await publish(owned.shop.id, (await pendingChanges(owned.shop.id)).seq)).toMatchObject({ ok: true });
}

beforeAll(async () => {
  front = await openStorefront();
  owned = await ownerWithShop();
  await make((d) => addPage(d, { title: "Fair", parent: null, main: [] }, "fair"));
});
afterAll(() => front.close());

describe("a shop that is closed for now", () => {
  it("says so at every address, for now, to nobody's cache; pictures and sign-up go on", async () => {
    expect((await ask("/fair")).status).toBe(200);
    await make((d) => setOpen(d, true, ""));
    for (const path of ["/", "/fair", "/cart", "/collections/all", "/nowhere", "/search?q=x"]) {
      const { status, headers, body } = await ask(path);
      // RFC 9110, 15.6.4 and 10.2.3.
      expect([path, status, headers["retry-after"], headers["cache-control"]]).toEqual([
        path,
        503,
        "86400",
        "no-store",
      ]);
      expect(body).toContain("We are closed for now");
      expect(body).toContain('<meta name="robots" content="noindex">');
      expect(body).not.toContain("<nav");
      expect(body).not.toContain("friends-word");
    }
    expect((await ask("/sitemap.xml")).body).not.toContain("/fair");
    expect((await ask("/favicon.svg")).status).toBe(200);
    // Nobody comes in where there is no word.
    expect((await say("")).headers.location).toMatch(/\/$/);
    expect((await ask("/fair", { headers: { Cookie: "friend=undefined" } })).status).toBe(503);
  });

  it("is seen by friends who know the word, until it changes; what they see is kept for nobody else", async () => {
    await make((d) => setOpen(d, true, "kites & string"));
    expect((await ask("/")).body).toContain("friends-word");
    const wrong = await say("kites");
    expect([wrong.status, wrong.headers["set-cookie"]]).toEqual([401, undefined]);
    expect(wrong.body).toContain("That is not the password.");
    expect((await say("kites & string", { Origin: "http://elsewhere.example" })).headers["set-cookie"]).toBeUndefined();
    const right = await say(" kites & string ");
    expect(right.status).toBe(303);
    const [cookie] = right.headers["set-cookie"]!;
    expect(cookie).toMatch(/^friend=[0-9a-f]{64}; HttpOnly; Path=\/; SameSite=Lax; Max-Age=\d+$/);
    expect(cookie).not.toContain("kites");
    const friend = { headers: { Cookie: cookie!.split(";")[0]! } };
    for (let i = 0; i < 3; i++) {
      const seen = await ask("/fair", friend);
      expect([seen.status, seen.headers["cache-control"]]).toEqual([200, "private, no-store"]);
      expect((await ask("/fair")).status).toBe(503);
    }
    await make((d) => setOpen(d, true, "another word"));
    expect((await ask("/fair", friend)).status).toBe(503);
  });

  it("does not let words be tried for ever", async () => {
    const tried = await Promise.all(Array.from({ length: 30 }, (_, i) => say(`guess ${i}`)));
    expect(tried.filter((t) => t.status === 429).length).toBeGreaterThan(15);
    expect((await ask("/")).status).toBe(503);
  });

  it("has its page and the one for what is not there made by the seller, and is open again", async () => {
    await make((d) => setOpen(d, false, ""));
    expect((await ask("/fair")).status).toBe(200);
    const head = (d: Draft) => d.documents["not-found"]!.root.slots.main![0]!.id;
    await make((d) => setProp(d, head(d), ["heading"], "Blown away", "Words"));
    const gone = await ask("/nowhere");
    expect(gone.status).toBe(404);
    expect(gone.body).toMatch(/<h1[^>]*>Blown away/);
    expect((await ask("/sitemap.xml")).body).toContain("/fair");
  });
});
