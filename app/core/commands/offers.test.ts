import { describe, expect, it } from "vitest";
import { after, whyNot } from "../fixtures/outcomes";
import { contentWith } from "~/render/fixtures/content";
import { offerOf, offersOf, type OfferRoot } from "../offers";
import { differences, type Draft } from "../document";
import { changeWords } from "~/kinds/change-words";
import { addOffer, changeOffer, copyOffer, removeOffer, renameOffer, setOfferConditions, type Outcome } from ".";

const { draft: empty } = contentWith([]);
const TENTH: OfferRoot = { gives: { sort: "percent", off: 1000, on: "all" }, off: true };

const made = after(empty, addOffer(empty, " Autumn ", { ...TENTH, code: "LEAF" }, [], "autumn"));

describe("an offer", () => {
  it("is made, changed, renamed, dated, copied and removed, and each of it can be taken back", () => {
    expect(offersOf(made.documents)).toMatchObject([{ id: "autumn", name: "Autumn", code: "LEAF", isOff: true }]);
    let draft = after(made, changeOffer(made, "autumn", { fromWorth: 6000, alone: ["rest"], off: undefined }));
    draft = after(draft, renameOffer(draft, "autumn", "Late autumn"));
    draft = after(draft, setOfferConditions(draft, "autumn", [{ when: "dates", until: "2026-12-01T00:00" }]));
    const offer = offerOf(draft.documents.autumn)!;
    expect(offer).toMatchObject({
      name: "Late autumn",
      fromWorth: 6000,
      withGoods: true,
      withRest: false,
      isOff: false,
    });
    draft = after(draft, copyOffer(draft, "autumn", "copy"));
    // A copy is off, and two can't have one code.
    expect(offerOf(draft.documents.copy)).toEqual({
      ...offer,
      id: "copy",
      name: "Late autumn 2",
      code: "",
      isOff: true,
    });
    expect(offersOf(after(draft, removeOffer(draft, "autumn")).documents).map(({ id }) => id)).toEqual(["copy"]);
  });

  it.each<[string, (draft: Draft) => Outcome]>([
    ["An offer needs a name. Shoppers see it in their cart.", (d) => addOffer(d, " ", TENTH)],
    ["There is an offer called “autumn” already.", (d) => addOffer(d, "autumn", TENTH)],
    ["“Autumn” has this code already.", (d) => addOffer(d, "Another", { ...TENTH, code: "LEAF" })],
    ["A code has three letters at least.", (d) => changeOffer(d, "autumn", { code: "AB" })],
    ["A code has letters, digits and “-”.", (d) => changeOffer(d, "autumn", { code: "<B>ABC" })],
    [
      "No more than 100 % can be taken off.",
      (d) => changeOffer(d, "autumn", { gives: { sort: "percent", off: 10_001, on: "all" } }),
    ],
    [
      "Fewer have to be paid than are taken.",
      (d) => changeOffer(d, "autumn", { gives: { sort: "bundle", take: 2, pay: 2 } }),
    ],
    [
      "Each step needs more pieces than the one before.",
      (d) =>
        changeOffer(d, "autumn", {
          gives: {
            sort: "steps",
            steps: [
              { from: 3, off: 500 },
              { from: 3, off: 900 },
            ],
          },
        }),
    ],
    [
      "It ends before it begins.",
      (d) => setOfferConditions(d, "autumn", [{ when: "dates", from: "2026-12-01T00:00", until: "2026-11-01T00:00" }]),
    ],
    ["This offer is no longer there.", (d) => changeOffer(d, "home", { off: true })],
    ["It is like that already.", (d) => changeOffer(d, "autumn", { off: true })],
  ])("%s", (words, act) => expect(whyNot(act(made))).toContain(words.replace(/\.$/, "")));

  it("of a newer version gives nothing and takes no cart down", () => {
    const { autumn } = made.documents;
    const root = { ...autumn!.root, props: { ...autumn!.root.props, gives: { sort: "of tomorrow" } } };
    expect(offerOf({ ...autumn!, root })).toBeUndefined();
    // Whom it is for can't be understood: it is for nobody, not for everybody.
    const conditions = [{ when: "moon", is: "full" }];
    expect(offerOf({ ...autumn!, root: { ...autumn!.root, conditions } })).toBeUndefined();
  });
});

it("what changed in an offer is known before publishing, its dates alone as well, and said in words", () => {
  const words = (before: Draft, now: Draft) => differences(before, now).map((each) => changeWords(each).what);
  expect(words(empty, made)).toEqual(["new offer"]);
  expect(words(made, empty)).toEqual(["offer removed"]);
  const dated = after(made, setOfferConditions(made, "autumn", [{ when: "dates", until: "2026-12-01T00:00" }]));
  expect(words(made, dated)).toEqual(["holds until the end of 30 Nov 2026"]);
  const on = after(made, changeOffer(made, "autumn", { off: undefined, code: "LEAVES" }));
  expect(words(made, on)).toEqual(["code changed, switched on"]);
});
