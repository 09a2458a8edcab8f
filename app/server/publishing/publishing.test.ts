import { describe, expect, it } from "vitest";
import {
  addLayout,
  addPage,
  keepPiece,
  movePage,
  removeNodes,
  removePage,
  restoreShop,
  setBrand,
  setHome,
  setPage,
  setProp,
  setShown,
  type Outcome,
} from "~/core/commands";
import type { Draft } from "~/core/document";
import { DraftPart, Publication } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { freshShop } from "../shops/index.server";
import { leadsTo, pageAt, sitemapOf } from "../storefront/pages";
import { pendingChanges, publicationOf, publicationsOf, publish, publishedDraft } from "./index.server";

async function openShop() {
  const { shop } = await ownerWithShop();
  const change = async (make: (draft: Draft) => Outcome) => {
    const { draft, seq } = await loadDraft(shop.id);
    const outcome = make(draft);
    if (!outcome.ok) throw new Error(outcome.why);
    const kept = await keep(shop.id, { base: seq, transactions: [outcome.transaction] });
    expect(kept.ok).toBe(true);
  };
  const publishNow = async () => publish(shop.id, (await pendingChanges(shop.id)).seq);
  const shown = async () => publishedDraft((await freshShop(shop)).publicationId!);
  return { shop, change, publishNow, shown };
}
const hero = (draft: Draft) => draft.documents.home!.root.slots.main![0]!;

describe("publishing", () => {
  it("says before what it will change, in words that name the place", async () => {
    const { shop, change, publishNow } = await openShop();
    const first = await pendingChanges(shop.id);
    expect(first.first).toBe(true);
    expect(first.changes).toContainEqual({ where: "Home", what: "published for the first time", part: "home" });
    expect(first.changes.map((c) => c.where)).toContain("Product");
    await publishNow();
    expect((await pendingChanges(shop.id)).changes).toEqual([]);
    await change((d) => setBrand(d, "colour", "#225577"));
    await change((d) => setShown(d, [hero(d).id], false, "Hero"));
    await change((d) => addLayout(d, "product", "Kites", "kites"));
    const { first: again, changes } = await pendingChanges(shop.id);
    expect(again).toBe(false);
    expect(changes.some((c) => c.where.startsWith("Home"))).toBe(true);
    expect(changes.some((c) => c.where.includes("Kites"))).toBe(true);
    expect(changes).toHaveLength(3);
  });

  it("freezes what there is: nothing that is changed afterwards shows, and what was shown stays as it was", async () => {
    const { shop, change, publishNow, shown } = await openShop();
    await publishNow();
    const before = await shown();
    await change((d) => setProp(d, hero(d).id, ["heading"], "Later", "Words"));
    expect(await shown()).toBe(before);
    expect(await publishNow()).toMatchObject({ ok: true, number: 2 });
    expect(hero((await shown())!).props.heading).toBe("Later");
    const [one] = await Publication.findAll({ where: { shopId: shop.id }, order: [["number", "ASC"]] });
    expect(await publishedDraft(one!.id)).toEqual(before);
  });

  it("keeps every publication with its look and pages, and gives each back whole; of this shop alone", async () => {
    const { shop, change, publishNow, shown } = await openShop();
    await publishNow();
    const first = await shown();
    await change((d) => setBrand(d, "colour", "#225577"));
    await change((d) => setShown(d, [hero(d).id], false, "Hero"));
    await publishNow();
    expect(await publicationsOf(shop.id)).toMatchObject([
      { number: 2, changes: 2, at: expect.stringMatching(/^\d{4}-.*Z$/) },
      { number: 1 },
    ]);
    expect(await publicationOf(shop.id, 1)).toEqual(first);
    expect((await publicationOf(shop.id, 2))?.look.brand.colour).toBe("#225577");
    expect(await publicationOf(shop.id, 3)).toBeUndefined();
    const { shop: other } = await ownerWithShop();
    expect(await publicationOf(other.id, 1)).toBeUndefined();
    expect(await publicationsOf(other.id)).toEqual([]);
    // Brought back, the draft is what was published, and can be published as it is.
    await change((d) => restoreShop(d, first!, "Published, no. 1"));
    expect(await publishNow()).toMatchObject({ ok: true, number: 3 });
    expect(await shown()).toEqual(first);
  });

  it("of twelve who publish at once, one does; the others are told that there is nothing, and nobody waits for ever", async () => {
    const { shop } = await ownerWithShop();
    const { seq } = await pendingChanges(shop.id);
    const all = await Promise.all(Array.from({ length: 12 }, () => publish(shop.id, seq)));
    expect(all.filter((done) => done.ok)).toHaveLength(1);
    expect(all.filter((done) => !done.ok).every((done) => !done.ok && done.code === "nothing")).toBe(true);
  });

  it("takes only what was read out: of two who publish at once, one has to look again", async () => {
    const { shop, change, publishNow } = await openShop();
    await publishNow();
    await change((d) => setBrand(d, "corners", "soft"));
    const { seq } = await pendingChanges(shop.id);
    await change((d) => removeNodes(d, [hero(d).id], "Hero"));
    expect(await publish(shop.id, seq)).toEqual({ ok: false, code: "moved-on" });
    const now = (await pendingChanges(shop.id)).seq;
    const answers = await Promise.all([publish(shop.id, now), publish(shop.id, now), publish(shop.id, now)]);
    expect(answers.filter((a) => a.ok).length).toBeGreaterThanOrEqual(1);
    const numbers = (await Publication.findAll({ where: { shopId: shop.id } })).map((p) => p.number);
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(await publish(shop.id, now)).toEqual({ ok: false, code: "nothing" });
  });

  it("of a shop from before there were layouts shows goods in those that every shop begins with", async () => {
    const { shop, publishNow } = await openShop();
    await publishNow();
    const row = await Publication.findOne({ where: { shopId: shop.id } });
    const body = JSON.parse(row!.body) as { documents: Record<string, unknown> };
    for (const sort of ["product", "collection", "search"]) delete body.documents[sort];
    const old = await Publication.create({
      ...row!.get({ plain: true }),
      id: "from-before",
      number: 99,
      body: JSON.stringify(body),
    });
    const draft = await publishedDraft(old.id);
    expect(draft!.documents.product!.root.slots.main!.length).toBeGreaterThan(2);
    expect(await publishedDraft("none")).toBeUndefined();
  });
});

describe("publishing what is chosen", () => {
  it("brings that and nothing else, in one publication, and the rest waits", async () => {
    const { shop, change, publishNow, shown } = await openShop();
    await publishNow();
    await change((d) => setProp(d, hero(d).id, ["heading"], "Later", "Words"));
    await change((d) => setBrand(d, "colour", "#225577"));
    await change((d) => addPage(d, { title: "Fair", parent: null, main: [] }, "fair"));
    // What is kept to be used again is the seller's own affair.
    await change((d) => keepPiece(d, [hero(d)], "A hero", "kept"));
    const pending = await pendingChanges(shop.id);
    expect(pending.changes.map((c) => c.part).toSorted()).toEqual(["fair", "home", "look"]);
    expect(await publish(shop.id, pending.seq, ["look"])).toMatchObject({
      ok: true,
      number: 2,
      changes: [{ part: "look" }],
    });
    const now = (await shown())!;
    expect([now.look.brand.colour, hero(now).props.heading === "Later", "fair" in now.documents]).toEqual([
      "#225577",
      false,
      false,
    ]);
    expect((await pendingChanges(shop.id)).changes.map((c) => c.part).toSorted()).toEqual(["fair", "home"]);
    expect(await publish(shop.id, pending.seq, ["look"])).toEqual({ ok: false, code: "nothing" });
    // Beneath a page that is not there, there is no address.
    await change((d) => addPage(d, { title: "Stall", parent: "fair", main: [] }, "stall"));
    const { seq } = await pendingChanges(shop.id);
    expect(await publish(shop.id, seq, ["stall"])).toMatchObject({ ok: false, code: "blocked" });
    expect(await publish(shop.id, seq, ["stall", "fair"])).toMatchObject({ ok: true, number: 3 });
    expect((await pageAt(await freshShop(shop), "/fair/stall", "http://s.example"))!.status).toBe(200);
    expect(await publishNow()).toMatchObject({ ok: true, number: 4 });
    expect((await shown())!.documents.kept).toBeUndefined();
    expect((await loadDraft(shop.id)).draft.documents.kept).toBeDefined();
  });
});

describe("addresses of pages", () => {
  const ORIGIN = "http://s.example";

  it("that were published lead on to where their pages are now, in one step; those of drafts never did", async () => {
    const { shop, change, publishNow } = await openShop();
    await publishNow();
    const led = async (path: string) => leadsTo(await freshShop(shop), path);
    await change((d) => setPage(d, "about", { slug: "who-we-are" }, "address changed"));
    expect(await led("/who-we-are")).toBeUndefined();
    await publishNow();
    expect(await led("/about")).toBe("/who-we-are");
    // A draft's address that was never published is nobody's.
    await change((d) => setPage(d, "about", { slug: "never-shown" }, "address changed"));
    await change((d) => setPage(d, "about", { slug: "о-нас" }, "address changed"));
    await publishNow();
    const now = encodeURI("/о-нас");
    for (const former of ["/about", "/who-we-are", "/pages/about"]) expect(await led(former)).toBe(now);
    expect(await led("/never-shown")).toBeUndefined();
    expect(await led(now)).toBeUndefined();
    expect((await pageAt(await freshShop(shop), now, ORIGIN))!.status).toBe(200);
    // Another page can have an address that was left: then it is that page's.
    await change((d) => addPage(d, { title: "About", slug: "about", parent: null, main: [] }, "second"));
    await publishNow();
    expect(await led("/about")).toBeUndefined();
    expect((await pageAt(await freshShop(shop), "/about", ORIGIN))!.status).toBe(200);
    // Back again: what leads on never goes in a circle.
    await change((d) => removePage(d, "second"));
    await change((d) => setPage(d, "about", { slug: "about" }, "address changed"));
    await publishNow();
    expect(await led("/about")).toBeUndefined();
    for (const former of ["/who-we-are", now]) expect(await led(former)).toBe("/about");
  });

  it("are kept by one page each, whoever asks; what is not in the shop has none, and no search engine hears of it", async () => {
    const { shop, change, publishNow } = await openShop();
    const { draft, seq } = await loadDraft(shop.id);
    // Two tabs that each made a sound page, one after the other.
    const add = (id: string) => addPage(draft, { title: "Fair", slug: "fair", parent: null, main: [] }, id);
    const [one, two] = [add("one"), add("two")];
    if (!one.ok || !two.ok) throw new Error();
    expect(await keep(shop.id, { base: seq, transactions: [one.transaction] })).toMatchObject({ ok: true });
    expect(await keep(shop.id, { base: seq + 1, transactions: [two.transaction] })).toMatchObject({
      code: "refused",
      why: expect.stringContaining("has the address /fair already"),
    });
    await change((d) => movePage(d, "one", "about"));
    await change((d) => setPage(d, "one", { unlisted: true }, "unlisted"));
    await publishNow();
    const page = async (path: string) => (await pageAt(await freshShop(shop), path, ORIGIN))!;
    const html = (await page("/about/fair")).bytes("identity").toString();
    expect(html).toContain('<meta name="robots" content="noindex">');
    expect(await sitemapOf(await freshShop(shop), ORIGIN)).not.toContain("/fair");
    await change((d) => setPage(d, "one", { hidden: true }, "hidden"));
    await publishNow();
    expect((await page("/about/fair")).status).toBe(404);
    await change((d) => setHome(d, "about"));
    await publishNow();
    expect((await page("/")).bytes("identity").toString()).toContain("About ");
    expect((await page("/home")).status).toBe(200);
  });
});

describe("what can't be read", () => {
  const newer = (body: string, id: string) => {
    const stored = JSON.parse(body) as { look: object; documents: Record<string, object> };
    return { ...stored, documents: { ...stored.documents, [id]: { ...stored.documents[id], schemaVersion: 99 } } };
  };

  it("of a publication is left out, and the shop stays open: a page, the frame, a setting of the look", async () => {
    for (const damage of [
      (body: string) => newer(body, "home"),
      (body: string) => newer(body, "frame"),
      (body: string) => {
        const stored = newer(body, "home");
        return { ...stored, look: { ...stored.look, brand: { "scent.top": "pine" }, theme: 7 } };
      },
    ]) {
      const { shop, publishNow, shown } = await openShop();
      await publishNow();
      const row = (await Publication.findOne({ where: { shopId: shop.id } }))!;
      await row.update({ body: JSON.stringify(damage(row.body)) });
      const draft = (await shown())!;
      expect(draft.look.identity.name.length).toBeGreaterThan(0);
      const now = await freshShop(shop);
      for (const path of ["/", "/about", "/collections/all"]) {
        const page = (await pageAt(now, path, "http://s.example"))!;
        expect(page.status, path).toBe(200);
        expect(page.bytes("identity").toString()).toContain("<main");
      }
    }
  });

  it("of the draft is never published over what shoppers see", async () => {
    const { shop, change, publishNow, shown } = await openShop();
    await publishNow();
    const before = await shown();
    await change((d) => setBrand(d, "corners", "soft"));
    const part = (await DraftPart.findOne({ where: { shopId: shop.id, part: "about" } }))!;
    await part.update({ body: JSON.stringify({ ...(JSON.parse(part.body) as object), schemaVersion: 99 }) });
    const pending = await pendingChanges(shop.id);
    expect(pending.blocked).toContain("a newer version of Zest Window");
    expect(await publish(shop.id, pending.seq)).toMatchObject({ ok: false, code: "blocked" });
    expect(await shown()).toBe(before);
  });
});
