import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { applyTheme, setOpen, setProp, type Outcome } from "~/core/commands";
import type { Draft } from "~/core/document";
import { DraftLink } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { openStorefront, type Asked } from "../fixtures/shoppers";
import { countDraftLinks, endDraftLinks, makeDraftLink, pendingChanges, publish } from "../publishing/index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
let owned: Awaited<ReturnType<typeof ownerWithShop>>;
const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: owned.shop.host, ...asked });

async function change(make: (draft: Draft) => Outcome): Promise<void> {
  const { draft, seq } = await loadDraft(owned.shop.id);
  const outcome = make(draft);
  if (!outcome.ok) throw new Error(outcome.why);
  expect(await keep(owned.shop.id, { base: seq, transactions: [outcome.transaction] })).toMatchObject({ ok: true });
}
const heading = (text: string) =>
  change((d) => setProp(d, d.documents.home!.root.slots.main![0]!.id, ["heading"], text, "Heading"));
const publishNow = async () => publish(owned.shop.id, (await pendingChanges(owned.shop.id)).seq);
const cookieFrom = (headers: Record<string, unknown>) => String(headers["set-cookie"]).split(";")[0]!;

beforeAll(async () => {
  front = await openStorefront();
  owned = await ownerWithShop();
});
afterAll(() => front.close());

describe("a link to the draft", () => {
  it("shows the draft to whoever has it, before the shop was ever published, and nobody else anything of it", async () => {
    await heading("Only a draft");
    const { secret, endsAt } = await makeDraftLink(owned.shop.id);
    expect(Math.round((endsAt - Date.now()) / 3_600_000)).toBe(24);
    const came = await ask(`/draft/${secret}?to=/about`);
    expect([came.status, came.headers.location]).toEqual([303, expect.stringMatching(/\/about$/)]);
    expect(String(came.headers["set-cookie"])).toMatch(/HttpOnly; Path=\/; SameSite=Lax; Max-Age=86[34]\d\d/);
    const Cookie = cookieFrom(came.headers);
    const { status, headers, body } = await ask("/", { headers: { Cookie } });
    expect([status, headers["cache-control"], headers["x-robots-tag"]]).toEqual([200, "private, no-store", "noindex"]);
    expect(body).toContain("Only a draft");
    expect(body).toContain("This is the draft. Shoppers don’t see it.");
    // What the page says of its own styles holds for the strip as well.
    expect(String(headers["content-security-policy"])).toContain("style-src 'sha256-");
    expect((await ask("/")).body).not.toContain("Only a draft");
    // Nothing else is let in by it, and it leads nowhere else.
    for (const to of ["//evil.example", "/\\evil.example", "https://evil.example"])
      expect((await ask(`/draft/${secret}?to=${encodeURIComponent(to)}`)).headers.location).toMatch(/localhost:\d+\/$/);
  });

  it("is not answered from what is kept for everybody, nor kept for anybody", async () => {
    await heading("Published");
    await publishNow();
    for (let i = 0; i < 3; i++) expect((await ask("/")).body).toContain("Published");
    await heading("Changed since");
    const { secret } = await makeDraftLink(owned.shop.id);
    const Cookie = `draft=${secret}`;
    expect((await ask("/", { headers: { Cookie } })).body).toContain("Changed since");
    expect((await ask("/")).body).toContain("Published");
    // A theme that is not in the shop yet brings its fonts along.
    await change((d) => applyTheme(d, "yuzu", "Yuzu"));
    const page = await ask("/", { headers: { Cookie } });
    const font = /\/fonts\/[^"']+\.woff2/.exec(page.body)![0];
    expect((await ask(font)).status).toBe(404);
    expect((await ask(font, { headers: { Cookie } })).status).toBe(200);
    expect((await ask("/cart", { headers: { Cookie } })).body).toContain("This is the draft");
  });

  it("comes in where the shop is closed, and ends: after a day, when it is left, and when the seller says so", async () => {
    await change((d) => setOpen(d, true, ""));
    await publishNow();
    const { secret } = await makeDraftLink(owned.shop.id);
    const Cookie = `draft=${secret}`;
    expect((await ask("/about", { headers: { Cookie } })).status).toBe(200);
    const left = await ask("/draft/leave", { headers: { Cookie } });
    expect(String(left.headers["set-cookie"])).toContain("draft=; HttpOnly; Path=/; SameSite=Lax; Max-Age=0");
    await DraftLink.update({ endsAt: new Date(Date.now() - 1) }, { where: { shopId: owned.shop.id } });
    expect((await ask("/about", { headers: { Cookie } })).status).toBe(503);
    const ended = await ask(`/draft/${secret}`);
    expect([ended.status, ended.headers["set-cookie"]]).toEqual([410, undefined]);
    expect(ended.body).toContain("This link has ended");
    const next = await makeDraftLink(owned.shop.id);
    expect(await countDraftLinks(owned.shop.id)).toBe(1);
    await endDraftLinks(owned.shop.id);
    expect((await ask("/about", { headers: { Cookie: `draft=${next.secret}` } })).status).toBe(503);
    for (const made of ["x", "'; DROP TABLE draftLinks", "a".repeat(32)])
      expect((await ask(`/draft/${encodeURIComponent(made)}`)).status).toBe(410);
  });

  it("is of one shop, and there are only so many", async () => {
    const other = await ownerWithShop();
    const { secret } = await makeDraftLink(other.shop.id);
    expect((await ask(`/draft/${secret}`)).status).toBe(410);
    for (let i = 0; i < 25; i++) await makeDraftLink(other.shop.id);
    expect(await countDraftLinks(other.shop.id)).toBe(20);
    // What is kept of a link is of no use to whoever reads it.
    const rows = await DraftLink.findAll({ where: { shopId: other.shop.id } });
    expect(rows.some((row) => row.id === secret)).toBe(false);
  });
});
