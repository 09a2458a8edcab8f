import { describe, expect, it } from "vitest";
import { addPage, setBrand, setPage, setProp, type Outcome } from "~/core/commands";
import type { Draft } from "~/core/document";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { freshShop } from "../shops/index.server";
import {
  carryOutDue,
  dropPlan,
  pendingChanges,
  planPublication,
  plansOf,
  publicationsOf,
  publish,
  publishedDraft,
} from "./index.server";

async function openShop(isPublished = true) {
  const { shop } = await ownerWithShop();
  const change = async (make: (draft: Draft) => Outcome) => {
    const { draft, seq } = await loadDraft(shop.id);
    const outcome = make(draft);
    if (!outcome.ok) throw new Error(outcome.why);
    expect(await keep(shop.id, { base: seq, transactions: [outcome.transaction] })).toMatchObject({ ok: true });
  };
  const seq = async () => (await pendingChanges(shop.id)).seq;
  if (isPublished) await publish(shop.id, await seq());
  const heading = (text: string) =>
    change((d) => setProp(d, d.documents.home!.root.slots.main![0]!.id, ["heading"], text, "Heading"));
  const shown = async () => {
    const id = (await freshShop(shop)).publicationId;
    const draft = id ? await publishedDraft(id) : undefined;
    return draft && String(draft.documents.home!.root.slots.main![0]!.props.heading);
  };
  return { shop, change, seq, heading, shown };
}
const NOW = Date.now();
const HOUR = 3_600_000;
/** Plans of other tests that run at the same time come due as well. */
const due = (at: number) => carryOutDue(at);

describe("a publication at a set time", () => {
  it("goes out once, when it is due, as it was when it was planned", async () => {
    const { shop, seq, heading, shown } = await openShop();
    const before = await shown();
    await heading("Spring sale");
    expect(await planPublication(shop.id, await seq(), undefined, NOW + HOUR, null)).toEqual({ ok: true });
    await heading("Not yet");
    await due(NOW + HOUR - 1);
    expect(await shown()).toBe(before);
    // Two processes look at the same moment.
    await Promise.all([due(NOW + HOUR), due(NOW + HOUR)]);
    expect(await shown()).toBe("Spring sale");
    expect(await publicationsOf(shop.id)).toHaveLength(2);
    await due(NOW + 2 * HOUR);
    expect(await publicationsOf(shop.id)).toHaveLength(2);
    expect(await plansOf(shop.id)).toMatchObject([{ what: "publish", state: "done", why: null, parts: ["Home"] }]);
    // The draft is the seller's own all along.
    expect((await pendingChanges(shop.id)).changes.map((c) => c.part)).toEqual(["home"]);
  });

  it("takes only what was chosen, leaves what went out meanwhile, and goes back at a set time", async () => {
    const { shop, change, seq, heading, shown } = await openShop();
    const before = await shown();
    await heading("Autumn gales");
    await change((d) => setBrand(d, "colour", "#225577"));
    expect(await planPublication(shop.id, await seq(), ["home"], NOW + HOUR, NOW + 3 * HOUR)).toEqual({ ok: true });
    // The colour goes out by hand before that, and a page after it.
    await publish(shop.id, await seq(), ["look"]);
    await due(NOW + HOUR);
    expect(await shown()).toBe("Autumn gales");
    expect(await plansOf(shop.id)).toMatchObject([
      { what: "publish", state: "done" },
      { what: "back", state: "waiting", at: new Date(NOW + 3 * HOUR).toISOString(), parts: ["Home"] },
    ]);
    await change((d) => addPage(d, { title: "Fair", parent: null, main: [] }, "fair"));
    await publish(shop.id, await seq(), ["fair"]);
    await due(NOW + 3 * HOUR);
    expect(await shown()).toBe(before);
    const now = (await publishedDraft((await freshShop(shop)).publicationId!))!;
    expect([now.look.brand.colour, now.documents.fair?.title]).toEqual(["#225577", "Fair"]);
  });

  it("opens a shop that was never published", async () => {
    const { shop, seq, heading, shown } = await openShop(false);
    await heading("Hello");
    expect(await planPublication(shop.id, await seq(), undefined, NOW + HOUR, NOW + 2 * HOUR)).toMatchObject({
      ok: false,
      field: "back",
    });
    expect(await planPublication(shop.id, await seq(), undefined, NOW + HOUR, null)).toEqual({ ok: true });
    expect(await shown()).toBeUndefined();
    await due(NOW + HOUR);
    expect(await shown()).toBe("Hello");
  });

  it("can be taken back, and says what is wrong with it", async () => {
    const { shop, seq, heading, shown } = await openShop();
    const before = await shown();
    expect(await planPublication(shop.id, await seq(), undefined, NOW + HOUR, null)).toMatchObject({ code: "nothing" });
    await heading("Never seen");
    const plan = async (at: number, back: number | null = null, parts?: readonly string[]) =>
      planPublication(shop.id, await seq(), parts, at, back);
    expect(await plan(NOW - HOUR)).toMatchObject({ field: "at", why: expect.stringContaining("has passed") });
    expect(await plan(NOW + 3 * 365 * 24 * HOUR)).toMatchObject({ field: "at" });
    expect(await plan(NOW + 2 * HOUR, NOW + HOUR)).toMatchObject({ field: "back" });
    expect(await plan(NOW + HOUR, null, ["nothing-of-this-name"])).toMatchObject({ code: "nothing" });
    expect(await planPublication(shop.id, (await seq()) - 1, undefined, NOW + HOUR, null)).toMatchObject({
      code: "moved-on",
    });
    expect(await plan(NOW + HOUR)).toEqual({ ok: true });
    const [waiting] = await plansOf(shop.id);
    const { shop: other } = await ownerWithShop();
    expect(await dropPlan(other.id, waiting!.id)).toBe(false);
    expect(await dropPlan(shop.id, waiting!.id)).toBe(true);
    await due(NOW + HOUR);
    expect(await shown()).toBe(before);
    expect(await plansOf(shop.id)).toEqual([]);
  });

  it("says why it could not go out: an address that another page has taken by then", async () => {
    const { shop, change, seq } = await openShop();
    await change((d) => addPage(d, { title: "Fair", parent: null, main: [] }, "fair"));
    expect(await planPublication(shop.id, await seq(), ["fair"], NOW + HOUR, null)).toEqual({ ok: true });
    await change((d) => setPage(d, "fair", { slug: "market" }, "Address"));
    await change((d) => addPage(d, { title: "Fair", parent: null, main: [] }, "other"));
    await publish(shop.id, await seq(), ["other"]);
    await due(NOW + HOUR);
    const [plan] = await plansOf(shop.id);
    expect(plan).toMatchObject({ state: "failed" });
    expect(plan?.why).toContain("has the address /fair already");
  });
});
