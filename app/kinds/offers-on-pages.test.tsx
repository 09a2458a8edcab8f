import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { addOffer } from "~/core/commands";
import type { Condition } from "~/core/conditions";
import type { Json, Part } from "~/core/document";
import { after } from "~/core/fixtures/outcomes";
import { offersOf, type OfferRoot } from "~/core/offers";
import { envOf, Section } from "~/render";
import { contentWith } from "~/render/fixtures/content";
import { themeById } from "~/themes";
import { fillStart } from "./fill";
import { withOffers } from "./live";
import { EnvProvider } from "./parts";
import { placeholdersOf } from "./placeholders";
import { kindOf, makeNode } from ".";

type Made = readonly [id: string, root: OfferRoot, conditions?: readonly Condition[]];
const empty = contentWith([]);
const shopWith = (...offers: readonly Made[]) =>
  offers.reduce(
    (draft, [id, root, conditions = []]) =>
      after(draft, addOffer(draft, id, root, conditions as unknown as Part["conditions"], id)),
    empty.draft,
  );

/** A part as shoppers see it, at noon of a day. */
function drawn(part: Part, draft: ReturnType<typeof shopWith>, day = "2026-11-30"): string {
  const { goods } = empty;
  const situation = { now: Date.parse(`${day}T12:00:00Z`), timeZone: "UTC" };
  return renderToStaticMarkup(
    <EnvProvider value={envOf({ ...empty, goods: { ...goods, asOf: { day, timeZone: "UTC" } }, situation }, draft)}>
      <Section node={part} theme={themeById("pomelo")} look={draft.look} first={false} />
    </EnvProvider>,
  );
}

const TENTH: OfferRoot = { gives: { sort: "percent", off: 1000, on: "all" } };
const until = (day: string): Condition => ({ when: "dates", until: `${day}T00:00` });
const countdown = (props: Readonly<Record<string, Json>>) =>
  makeNode("countdown", { to: "offer", text: "Ends in", ...props });

describe("a countdown to the end of an offer", () => {
  const draft = shopWith(
    ["soon", TENTH, [until("2026-12-02")]],
    ["later", TENTH, [until("2026-12-24")]],
    ["coded", { ...TENTH, code: "SECRET" }, [until("2026-12-01")]],
    ["endless", TENTH],
  );
  const ends = (html: string) => /data-moments="(\d+)/.exec(html)?.[1];
  const at = (day: string) => String(Date.parse(`${day}T00:00:00Z`));

  it("counts to the chosen one, or to the first that ends of those without a code", () => {
    expect(ends(drawn(countdown({ offer: "later" }), draft))).toBe(at("2026-12-24"));
    expect(ends(drawn(countdown({ offer: null }), draft))).toBe(at("2026-12-02"));
    expect(ends(drawn(countdown({ offer: "coded" }), draft))).toBe(at("2026-12-01"));
    expect(ends(drawn(countdown({ offer: null }), draft, "2026-12-03"))).toBe(at("2026-12-24"));
  });

  it("says nothing of one without an end, or what is said when it is over", () => {
    for (const offer of ["endless", "gone"]) {
      expect(drawn(countdown({ offer }), draft)).not.toContain("Ends in");
      expect(drawn(countdown({ offer, over: "It is over" }), draft)).toContain("It is over");
    }
  });
});

describe("offers on show", () => {
  const draft = shopWith(
    [
      "Steps",
      {
        gives: {
          sort: "steps",
          steps: [
            { from: 5, off: 500 },
            { from: 10, off: 1500 },
          ],
        },
      },
    ],
    ["Cheapest", { gives: { sort: "percent", off: 5000, on: "cheapest" }, fromCount: 2 }],
    ["Kites", { ...TENTH, collections: ["one"], fromWorth: 5000 }, [until("2026-12-02")]],
    ["Elsewhere", TENTH, [{ when: "country", countries: ["NZ"] }]],
    ["Off", { ...TENTH, off: true }],
  );
  const html = drawn(makeNode("offers-shown"), draft);
  const slip = (name: string) => html.split("<li").find((each) => each.includes(`>${name}<`)) ?? "";

  it("promise no more than they give, and say for what and from what on", () => {
    expect(slip("Steps")).toContain("From 5: −5%");
    expect(slip("Steps")).toContain("From 10: −15%");
    // Half off the cheapest piece is not half off.
    expect(slip("Cheapest")).not.toContain("50%");
    expect(slip("Kites")).toContain("−10%");
    expect(slip("Kites")).toContain("From €50.00");
    expect(slip("Kites")).toContain("Until 1 December");
    const { title } = empty.goods.collections.find(({ id }) => id === "one")!;
    expect(slip("Kites")).toContain(title.replace("&", "&amp;"));
  });

  it("are those that hold for whoever comes", () => {
    expect(slip("Elsewhere")).toBe("");
    expect(slip("Off")).toBe("");
    expect(drawn(makeNode("offers-shown"), draft, "2026-12-05")).not.toContain("Kites");
  });
});

describe("designs that speak of an offer", () => {
  const design = fillStart("pop-up", "code-middle", empty.goods, []);
  const said = (draft: ReturnType<typeof shopWith>) => JSON.stringify(withOffers(design, offersOf(draft.documents)));

  it("take up one that has all that they say, one that is on before others", () => {
    const coded: OfferRoot = { ...TENTH, code: "ALL" };
    expect(
      said(shopWith(["free", { gives: { sort: "gift", product: "plain", variant: null, count: 1 }, code: "GIFT" }])),
    ).toContain("{percent} off with {code}");
    expect(said(shopWith(["a", { ...coded, code: "OFF", off: true }], ["b", coded]))).toContain(
      "{percent:b} off with {code:b}",
    );
    expect(said(shopWith(["a", { ...coded, off: true }]))).toContain("{percent:a} off with {code:a}");
  });

  it("are asked about before publishing, sentence by sentence, as every other word of the studio's", () => {
    const starts = kindOf({ kind: "pop-up" })!.definition.starts!;
    const parts = starts.map(({ id }) => fillStart("pop-up", id, empty.goods, []));
    const frame = empty.draft.documents.frame!;
    const document = { ...frame, root: { ...frame.root, slots: { ...frame.root.slots, over: parts } } };
    const words = placeholdersOf(document, empty.draft.look).map((each) => each.words);
    for (const sentence of [
      "What is new, and what is nearly gone. A few letters a year.",
      "Only to write to you. You can leave at any time.",
      "Only for a while: ends in",
      "What is shown here is for grown-ups only.",
    ])
      expect(words).toContain(sentence);
  });
});
