import { clockPlus, type DateRule } from "~/core/conditions";
import type { Beginning } from "~/core/commands";
import { entryOf, newId, OVER, type Draft, type Json, type Part } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { OfferRoot } from "~/core/offers";
import type { Picture } from "~/core/pictures";
import { NO_LINK } from "~/core/schema";
import type { SeasonDates } from "~/core/seasons";
import { fillStart } from "~/kinds/fill";
import { saidOf } from "~/kinds/live";
import { kindOf, makeNode } from "~/kinds";

/** What of the shop a season begins with. `clock`: now, as the shop's clocks show it. */
export type Given = {
  readonly draft: Draft;
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  readonly clock: string;
};

/** Something to begin a season with. `say`: what it is, as one reads it in a menu. */
export type SeasonStart = {
  readonly name: string;
  readonly say: string;
  readonly dates: (clock: string) => SeasonDates;
  readonly begin: (given: Given) => Beginning;
};

/** From the beginning of a day so many days ahead, for so many days. */
const ahead =
  (from: number, days: number) =>
  (clock: string): SeasonDates => {
    const begin = `${clockPlus(clock, from).slice(0, 10)}T00:00`;
    return { when: "dates", from: begin, until: clockPlus(begin, days) };
  };

/** Between two days of this year, or of the next where it is over: "11-25". `until`: the first day after it. */
const between =
  (from: string, until: string) =>
  (clock: string): SeasonDates => {
    const year = Number(clock.slice(0, 4)) + (until <= clock.slice(5, 10) ? 1 : 0);
    return { when: "dates", from: `${year}-${from}T00:00`, until: `${year}-${until}T00:00` } satisfies DateRule;
  };

/** A part that measures or counts down to one offer, where it would to whichever there is. */
function aboutOffer(part: Part, id: string): Part {
  const fields = kindOf(part)?.definition.fields ?? [];
  const named: [string, Json][] = fields.filter(({ type }) => type === "offer").map(({ key }) => [key, id]);
  const slots = Object.entries(part.slots).map(([slot, inside]) => [slot, inside.map((each) => aboutOffer(each, id))]);
  return {
    ...part,
    props: named.length ? { ...part.props, ...Object.fromEntries(named) } : part.props,
    slots: Object.fromEntries(slots) as Part["slots"],
  };
}

/** An offer that is off, and parts that say nothing but facts of it: they stay true whatever the seller makes of it. */
const withOffer =
  (name: string, root: (goods: Goods) => OfferRoot, parts: (given: Given) => readonly Part[]): SeasonStart["begin"] =>
  (given) => {
    const id = newId();
    const { frame } = given.draft.documents;
    const places = parts(given).flatMap((part) => {
      if (!frame) return [];
      const isOver = part.kind === "pop-up";
      const slot = isOver ? OVER : "top";
      const index = isOver ? (entryOf(frame.root.slots, OVER)?.length ?? 0) : 0;
      return [
        { document: frame.id, to: { parent: frame.root.id, slot, index }, node: aboutOffer(saidOf(part, id), id) },
      ];
    });
    return { offers: [{ id, name, root: { ...root(given.goods), off: true } }], parts: places };
  };

const notice = (text: string): Part =>
  makeNode("notice", {
    messages: [{ sign: "", text, until: "", more: "", link: NO_LINK }],
    closes: true,
  });
const popUp =
  (design: string) =>
  ({ goods, pictures }: Given): Part =>
    fillStart("pop-up", design, goods, pictures);

/** A round amount that about two pieces are worth, in minor units. */
function aboutTwo({ products, digits = 2 }: Goods): number {
  const prices = products.map(({ price }) => price).toSorted((a, b) => a - b);
  const unit = 5 * 10 ** digits;
  return Math.max(unit, Math.round(((prices[Math.floor(prices.length / 2)] ?? 0) * 2) / unit) * unit);
}

/** Ready seasons. All of it is off until the seller puts it on; then it is seen between its dates. */
export const SEASON_STARTS: readonly SeasonStart[] = [
  {
    name: "Sale",
    say: "Two weeks of 15 % off, a notice, and how long it lasts along the lower edge",
    dates: ahead(7, 14),
    begin: withOffer(
      "Sale",
      () => ({ gives: { sort: "percent", off: 1500, on: "all" } }),
      (given) => [notice("{percent} off until {ends}"), popUp("ends-edge")(given)],
    ),
  },
  {
    name: "Time for presents",
    say: "Late November to 20 December: free delivery, a notice, and how much is to go in the corner",
    dates: between("11-25", "12-21"),
    begin: withOffer(
      "Free delivery",
      (goods) => ({ gives: { sort: "delivery", off: 10_000, amount: null }, fromWorth: aboutTwo(goods) }),
      (given) => [notice("{name} from {goal} on, until {ends}"), popUp("goal-corner")(given)],
    ),
  },
  {
    name: "One day",
    say: "20 % off for a single day, said above every page",
    dates: ahead(7, 1),
    begin: withOffer(
      "One day",
      () => ({ gives: { sort: "percent", off: 2000, on: "all" } }),
      () => [notice("{percent} off until {ends}")],
    ),
  },
  {
    name: "A code for a week",
    say: "10 % with a code, which a pop-up says",
    dates: ahead(7, 7),
    begin: withOffer(
      "A week",
      () => ({ gives: { sort: "percent", off: 1000, on: "all" }, code: "WEEK10" }),
      (given) => [popUp("code-middle")(given)],
    ),
  },
  {
    name: "Something else",
    say: "Only a name and dates",
    dates: ahead(7, 7),
    begin: () => ({ offers: [], parts: [] }),
  },
];
