import { describe, expect, it } from "vitest";
import { walk, type Draft, type Json, type Part } from "~/core/document";
import { addOffer, changeOffer, removeOffer } from "~/core/commands";
import { after } from "~/core/fixtures/outcomes";
import type { Live } from "~/core/live";
import type { Offer } from "~/core/offers";
import { contentWith } from "~/render/fixtures/content";
import { closedBy } from "./closing";
import { livePartsIn, showsCart, withLive, type SayLive } from "./live";
import { lostLinksIn } from "./lost-links";
import { referencesOf, whereUsed } from "./references";
import { makeNode } from ".";

const say: SayLive = ({ field }: Live) =>
  new Map([
    ["percent", "15%"],
    ["code", "GALES"],
    ["shop", "Kites & Co"],
  ]).get(field);

const part = (kind: string, props: Readonly<Record<string, Json>>): Part => ({ ...makeNode(kind, props), id: kind });
const withParts = (...parts: readonly Part[]): Draft => contentWith(parts).draft;
const said = (draft: Draft, id: string): Part => [...walk(draft.documents.home!.root)].find((p) => p.id === id)!;
const RICH = {
  type: "doc",
  content: [
    {
      type: "paragraph",
      content: [
        { type: "text", text: "Now " },
        { type: "liveField", attrs: { field: "percent", offer: "k" }, marks: [{ type: "bold" }] },
      ],
    },
  ],
};

describe("facts in the words of parts", () => {
  const draft = withParts(
    part("heading", { text: "Get {percent:k} off at {shop}" }),
    part("words", { text: RICH }),
    part("questions", { questions: [{ group: "", question: "Which code?", answer: "{code:k}" }] }),
    part("rule", {}),
  );

  it("are put into lines, running text and lists, and nothing else becomes another object", () => {
    const filled = withLive(draft, { say });
    expect(said(filled, "heading").props.text).toBe("Get 15% off at Kites & Co");
    expect(JSON.stringify(said(filled, "words").props.text)).toContain(
      '{"type":"text","text":"15%","marks":[{"type":"bold"}]}',
    );
    expect(said(filled, "questions").props.questions).toEqual([
      { group: "", question: "Which code?", answer: "GALES" },
    ]);
    expect(said(filled, "rule")).toBe(said(draft, "rule"));
    expect(filled.documents.frame).toBe(draft.documents.frame);
    // The same words give the same draft, so that nothing is drawn twice.
    expect(withLive(draft, { say: (live) => say(live) })).toBe(filled);
    expect(withLive(draft, { say: (live) => (live.field === "percent" ? "20%" : say(live)) })).not.toBe(filled);
  });

  it("that can't be said keep their part from shoppers, and stand in braces in the studio", () => {
    const none: SayLive = ({ field }) => (field === "shop" ? "Kites" : undefined);
    const shop = withLive(draft, { say: none });
    expect(said(shop, "heading").shown).toBe(false);
    expect(said(shop, "rule").shown).toBe(true);
    const pane = withLive(draft, { say: none, studio: { editing: null, offers: [] } });
    expect(said(pane, "heading")).toMatchObject({ shown: true, props: { text: "Get {percent} off at Kites" } });
    const typed = withParts(part("heading", { text: "Get {percent of Winter}" }));
    expect(said(withLive(typed, { say }), "heading").shown).toBe(false);
  });

  it("are what was stored where they are being written: by the name of their offer in a line, as nodes in running text", () => {
    const offers = [{ id: "k", name: "Gales" }] as unknown as readonly Offer[];
    const writing = (node: string, at: string) => withLive(draft, { say, studio: { editing: { node, at }, offers } });
    expect(said(writing("heading", "text"), "heading").props.text).toBe("Get {percent of Gales} off at {shop}");
    expect(said(writing("heading", "text"), "words").props.text).not.toEqual(RICH);
    expect(said(writing("words", "text"), "words").props.text).toEqual(RICH);
  });

  it("of a goal meter are its own", () => {
    const meter = withParts(part("goal-meter", { way: "{to-go} to go" }));
    expect(livePartsIn(meter.documents.home!)).toEqual([]);
    expect(said(withLive(meter, { say }), "goal-meter")).toBe(said(meter, "goal-meter"));
    expect(showsCart(meter.documents)).toBe(true);
    expect(showsCart(meter.documents, new Set(["about"]))).toBe(false);
  });

  it("that depend on a cart make their page one's own, and change nothing of what was closed", () => {
    const message = { sign: "", text: "{to-go:k} to go", until: "", more: "", link: { to: "nowhere" } };
    const notice = withParts(part("notice", { messages: [message], closes: true }));
    expect(showsCart(notice.documents)).toBe(true);
    expect(showsCart(draft.documents)).toBe(false);
    const [one, two] = ["€34.00", "€8.00"].map((words) =>
      said(withLive(notice, { say: () => words, isPersonal: true }), "notice"),
    );
    expect(JSON.stringify(one!.props)).toContain("€34.00 to go");
    // Closed once, it stays closed when there is less to go.
    expect(closedBy(one!)).toBe(closedBy(two!));
    expect(closedBy(one!)).toBe(closedBy(said(notice, "notice")));
    // What is said to all is another thing once it says something else.
    const [before, now] = ["15%", "20%"].map((words) =>
      closedBy(said(withLive(notice, { say: () => words }), "notice")),
    );
    expect(before).not.toBe(now);
  });
});

describe("offers that words speak of", () => {
  const content = contentWith([part("heading", { text: "Get {percent:k} off" }), part("goal-meter", { offer: "k" })]);
  const made = after(
    content.draft,
    addOffer(content.draft, "Gales", { gives: { sort: "percent", off: 1500, on: "all" }, fromWorth: 5000 }, [], "k"),
  );
  const lost = (draft: Draft) => lostLinksIn(draft, content).map(({ part: { id }, why }) => `${id}: ${why}`);

  it("are known by their ids, and missed when they are gone, off, or say something else", () => {
    expect(referencesOf(made.documents.home!)).toContainEqual({ to: "offer", id: "k" });
    expect(whereUsed(made, (r) => r.to === "offer" && r.id === "k").map((use) => use.part?.id)).toEqual([
      "heading",
      "goal-meter",
    ]);
    const before = lost(made);
    const more = (draft: Draft) => lost(draft).filter((each) => !before.includes(each));
    expect(before.filter((each) => each.includes("offer"))).toEqual([]);
    expect(more(after(made, removeOffer(made, "k")))).toEqual([
      "heading: an offer that is no longer there",
      "goal-meter: an offer that is no longer there",
    ]);
    expect(more(after(made, changeOffer(made, "k", { off: true })))[0]).toBe(
      "heading: the offer “Gales”, which is switched off",
    );
    const free = changeOffer(made, "k", { gives: { sort: "delivery", off: 10_000, amount: null } });
    expect(more(after(made, free))).toEqual([
      "heading: {percent} of the offer “Gales”, which has nothing to say of it any more",
    ]);
  });
});
