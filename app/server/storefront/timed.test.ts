import { describe, expect, it } from "vitest";
import { addNode, addSeason, setConditions, setSeasonLook, switchSeason, type Outcome } from "~/core/commands";
import type { Draft } from "~/core/document";
import { makeNode, problemOf } from "~/kinds";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { pendingChanges, publish } from "../publishing/index.server";
import { shopAt } from "../shops/index.server";
import { keptAt, pageAt } from "./pages";

const ORIGIN = "http://s.example";

async function shopWith(...changes: readonly ((draft: Draft) => Outcome)[]) {
  const { shop } = await ownerWithShop();
  for (const change of changes) {
    const { draft, seq } = await loadDraft(shop.id);
    const outcome = change(draft);
    if (!outcome.ok) throw new Error(outcome.why);
    expect(await keep(shop.id, { base: seq, transactions: [outcome.transaction] })).toMatchObject({ ok: true });
  }
  expect(await publish(shop.id, (await pendingChanges(shop.id)).seq)).toMatchObject({ ok: true });
  const now = (await shopAt(shop.host))!;
  const timeZone = "Europe/Dublin";
  const at = async (moment: string) =>
    (await pageAt(now, "/", ORIGIN, { now: Date.parse(moment), timeZone }))!.bytes("identity").toString();
  return { now, at };
}

describe("a section that shows at times", () => {
  it("comes and goes by the shop's own clocks, and a page that is kept ends with it", async () => {
    const gales = makeNode("text", { heading: "Gales are due", text: "Come in." });
    const { now, at } = await shopWith(
      (d) => addNode(d, "home", { parent: d.documents.home!.root.id, slot: "main", index: 0 }, gales, "Text"),
      (d) =>
        setConditions(
          d,
          [gales.id],
          [
            { when: "dates", from: "2026-10-24T00:00", until: "2026-10-26T00:00" },
            { when: "times", from: "09:00", until: "17:00" },
          ],
          "Text",
        ),
    );
    // Clocks in Dublin are an hour ahead of UTC until 25 October, 2026, 01:00 UTC.
    expect(await at("2026-10-24T07:59:00Z")).not.toContain("Gales are due");
    expect(await at("2026-10-24T08:00:00Z")).toContain("Gales are due");
    expect(keptAt(now, "/", Date.parse("2026-10-24T15:59:59Z"))).toBeDefined();
    expect(keptAt(now, "/", Date.parse("2026-10-24T16:00:00Z"))).toBeUndefined();
    expect(await at("2026-10-24T16:00:00Z")).not.toContain("Gales are due");
    expect(await at("2026-10-25T08:59:00Z")).not.toContain("Gales are due");
    expect(await at("2026-10-25T09:00:00Z")).toContain("Gales are due");
    expect(await at("2026-10-26T09:00:00Z")).not.toContain("Gales are due");
  });

  it("is refused where it can't be, by the studio and by the server", async () => {
    const text = makeNode("text", { heading: "A", text: "b" });
    const wrong = [{ when: "dates", from: "2026-12-01T00:00", until: "2026-11-01T00:00" }] as const;
    const { draft } = await loadDraft((await ownerWithShop()).shop.id);
    expect(setConditions(draft, [draft.documents.home!.root.slots.main![0]!.id], wrong, "A")).toEqual({
      ok: false,
      why: "It ends before it begins.",
    });
    expect(problemOf({ ...text, conditions: wrong })).toEqual({
      path: "conditions",
      why: "It ends before it begins.",
    });
  });
});

describe("a season", () => {
  const dates = { when: "dates", from: "2026-12-27T00:00", until: "2027-01-31T00:00", yearly: true } as const;
  const night = { name: "Night", theme: "pomelo", brand: { appearance: "dark" } };
  const isDark = (html: string) => html.includes("color-scheme:dark");

  it("wears another look while it lasts, every year, and a page that is kept ends with it", async () => {
    const { now, at } = await shopWith(
      (d) => addSeason(d, "Winter", dates, undefined, "winter"),
      (d) => setSeasonLook(d, "winter", night),
      (d) => switchSeason(d, "winter", true),
    );
    // Dublin has the time of UTC then.
    expect(isDark(await at("2026-12-26T23:59:00Z"))).toBe(false);
    expect(keptAt(now, "/", Date.parse("2026-12-26T23:59:30Z"))).toBeDefined();
    expect(keptAt(now, "/", Date.parse("2026-12-27T00:00:00Z"))).toBeUndefined();
    expect(isDark(await at("2026-12-27T00:00:00Z"))).toBe(true);
    expect(isDark(await at("2027-01-30T23:59:00Z"))).toBe(true);
    expect(isDark(await at("2027-01-31T00:00:00Z"))).toBe(false);
    expect(isDark(await at("2028-01-05T12:00:00Z"))).toBe(true);
  });

  it("wears nothing while it is off", async () => {
    const { at } = await shopWith(
      (d) => addSeason(d, "Winter", dates, undefined, "winter"),
      (d) => setSeasonLook(d, "winter", night),
    );
    expect(isDark(await at("2026-12-28T12:00:00Z"))).toBe(false);
  });

  it("is refused by the server where it has no end, or a look that can't be", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const made = addSeason(draft, "Winter", dates, undefined, "winter");
    const [operation] = made.ok ? made.transaction.operations : [];
    if (!made.ok || operation?.type !== "addDocument") throw new Error("no season was made");
    const { root } = operation.added;
    const sent = (change: Partial<typeof root>) =>
      keep(shop.id, {
        base: seq,
        transactions: [
          {
            ...made.transaction,
            operations: [{ type: "addDocument", added: { ...operation.added, root: { ...root, ...change } } }],
          },
        ],
      });
    expect(await sent({ conditions: [{ when: "dates", from: dates.from }] })).toMatchObject({ ok: false });
    expect(await sent({ props: { look: { ...night, brand: { colour: "red;}</style>" } } } })).toMatchObject({
      ok: false,
    });
    expect(await sent({})).toMatchObject({ ok: true });
  });
});
