import { describe, expect, it } from "vitest";
import { restorePage, setProp, type Outcome } from "~/core/commands";
import { applyAll } from "~/core/operations";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { DraftPart, PageVersion } from "../database/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { pendingChanges, publish } from "../publishing/index.server";
import { keepVersion } from "~/core/protocol";
import { keepPageVersion, removePageVersion, versionOf, versionsOf } from "./index.server";

const made = (outcome: Outcome) => {
  if (!outcome.ok) throw new Error(outcome.why);
  return outcome.transaction;
};
/** Changes the heading of the first section of the home page, as a seller would. */
async function say(shopId: string, text: string) {
  const { draft, seq } = await loadDraft(shopId);
  const first = draft.documents.home!.root.slots.main![0]!;
  const transaction = made(setProp(draft, first.id, ["heading"], text, "Words changed"));
  expect(await keep(shopId, { base: seq, transactions: [transaction] })).toMatchObject({ ok: true });
}
const headingOf = async (shopId: string) =>
  (await loadDraft(shopId)).draft.documents.home!.root.slots.main![0]!.props.heading;

describe("versions of a page", () => {
  it("are kept by name as the page is then, listed latest first, and read back whole", async () => {
    const { shop } = await ownerWithShop();
    await say(shop.id, "First");
    expect(await keepPageVersion(shop.id, { part: "home", name: "Early" })).toMatchObject({ ok: true });
    await say(shop.id, "Second");
    await keepPageVersion(shop.id, { part: "home", name: "Late" });
    const listed = await versionsOf(shop.id, "home");
    expect(listed.map((v) => [v.name, v.publication])).toEqual([
      ["Late", null],
      ["Early", null],
    ]);
    const early = await versionOf(shop.id, listed[1]!.id);
    expect(early.ok && early.document.root.slots.main![0]!.props.heading).toBe("First");
    expect(await versionsOf(shop.id, "about")).toEqual([]);
  });

  it("bring the page back by changes like any others", async () => {
    const { shop } = await ownerWithShop();
    await say(shop.id, "Before");
    await keepPageVersion(shop.id, { part: "home", name: "Then" });
    await say(shop.id, "After");
    const [head] = await versionsOf(shop.id, "home");
    const version = await versionOf(shop.id, head!.id);
    const { draft, seq } = await loadDraft(shop.id);
    const back = made(restorePage(draft, version.ok ? version.document : draft.documents.home!, "Then"));
    expect(applyAll(draft, back.operations).ok).toBe(true);
    expect(await keep(shop.id, { base: seq, transactions: [back] })).toMatchObject({ ok: true });
    expect(await headingOf(shop.id)).toBe("Before");
  });

  it("are made by a publication, of the pages that it changes", async () => {
    const { shop } = await ownerWithShop();
    const goPublic = async () => publish(shop.id, (await pendingChanges(shop.id)).seq);
    await goPublic();
    expect((await versionsOf(shop.id, "about")).map((v) => v.publication)).toEqual([1]);
    await say(shop.id, "New");
    await goPublic();
    expect((await versionsOf(shop.id, "home")).map((v) => [v.name, v.publication])).toEqual([
      ["Published, no. 2", 2],
      ["Published, no. 1", 1],
    ]);
    expect(await versionsOf(shop.id, "about")).toHaveLength(1);
  });

  it("are one shop's own, and only those kept by hand can be removed", async () => {
    const { shop } = await ownerWithShop();
    const { shop: other } = await ownerWithShop();
    await keepPageVersion(shop.id, { part: "home", name: "Mine" });
    await publish(shop.id, (await pendingChanges(shop.id)).seq);
    const [published, mine] = await versionsOf(shop.id, "home");
    expect(await versionOf(other.id, mine!.id)).toEqual({ ok: false, why: "This version is no longer there." });
    expect(await removePageVersion(other.id, mine!.id)).toBe(false);
    expect(await removePageVersion(shop.id, published!.id)).toBe(false);
    expect(await removePageVersion(shop.id, mine!.id)).toBe(true);
    expect((await versionsOf(shop.id, "home")).map((v) => v.id)).toEqual([published!.id]);
  });

  it("say why not: no name, no such page, not a page, damaged or newer than this program", async () => {
    const { shop } = await ownerWithShop();
    expect(keepVersion.input.safeParse({ part: "home", name: "  " }).success).toBe(false);
    expect(await keepPageVersion(shop.id, { part: "nowhere", name: "x" })).toMatchObject({ ok: false });
    expect(await keepPageVersion(shop.id, { part: "look", name: "x" })).toMatchObject({ ok: false });
    await keepPageVersion(shop.id, { part: "home", name: "x" });
    const [head] = await versionsOf(shop.id, "home");
    await PageVersion.update({ body: '{"schemaVersion":99}' }, { where: { id: head!.id } });
    expect(await versionOf(shop.id, head!.id)).toMatchObject({
      ok: false,
      why: expect.stringContaining("newer version"),
    });
    expect(await DraftPart.count({ where: { shopId: shop.id, part: "home" } })).toBe(1);
  });
});
