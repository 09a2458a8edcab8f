import { createContext, useContext, useMemo } from "react";
import { ABOUT, applyTheme, beginWith, homeSections, keepsHome, replacesStory, type Outcome } from "~/core/commands";
import type { Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import { applyAll } from "~/core/operations";
import type { Picture } from "~/core/pictures";
import type { Colourway, Theme } from "~/core/theme";
import { makeNode } from "~/kinds";
import { isAsOpened, ownIn, startFor, TRADES, type Given } from "~/kinds/designs";
import { themeById } from "~/themes";
import { givenFrom, useGiven } from "../add";
import { useStudio } from "../keeping";
import { SAMPLE_PICTURES, sampleFor, type SampleShop } from "../samples";
import { coloursOfWay } from "./colours-of-way";

/** A colourway of a theme; null: the theme's own colours; undefined: the colours stay as they are, whosever they are. */
export type Way = Colourway | null | undefined;

/** What themes are looked at with, and what using one does. */
export type Wearing = {
  /** The shop, with the pages that it would begin with where they are wanted. */
  readonly draft: Draft;
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  /** The made-up shop that stands in while there are no goods. */
  readonly sample: SampleShop | null;
  /** What becomes of the pages that there are, in words. */
  readonly pages: string;
  readonly use: (theme: Theme, way: Way) => Outcome;
};

/** What is sold, as it is said within a sentence. */
export function wordsOfTrade(id: string): string {
  const trade = TRADES.find((each) => each.id === id);
  if (!trade || trade.id === "any") return "any small shop";
  return trade.name.charAt(0).toLowerCase() + trade.name.slice(1);
}

/** The pages that a shop of this trade begins with, made with what is given. */
function beginning(draft: Draft, given: Given, theme: Theme, way: Way): Outcome {
  const { home, story, product } = startFor(given.trade.id);
  const about = { to: "page", id: ABOUT };
  const all = { ...given, about };
  return beginWith(draft, {
    theme: { id: theme.id, name: theme.name, brand: way === undefined ? {} : coloursOfWay(way) },
    parts: {
      home: home(all),
      story: story(all),
      product: product(all),
      aboutItem: makeNode("menu-item", { label: "", link: about }),
    },
    words: wordsOfTrade(given.trade.id),
    isOwn: ownIn(given.shop),
  });
}

/** What finished pages take the place of, and what stays, in words. */
function pagesMade({ look, documents }: Draft): string {
  const isOwn = ownIn(look.identity.name);
  const isStoryMade = replacesStory(documents, isOwn);
  const made = isStoryMade ? "Home, About us and what stands below a product" : "Home and what stands below a product";
  return [
    `${made}, arranged and worded for what you sell.`,
    ...(keepsHome(documents, isOwn) ? ["Your home page is kept, out of the shop."] : []),
    ...(isStoryMade ? [] : ["About us stays as you wrote it."]),
  ].join(" ");
}

/** Whether a shop is still as it was opened, so that it is best begun with pages for what it sells. */
export const isStillAsOpened = ({ look, documents }: Draft): boolean =>
  isAsOpened(look.identity.name, homeSections(documents));

/** The shop as themes are looked at on it: as it is, or begun anew for a trade; with its goods, or made-up ones while it has none. */
export function useWornBy(trade: string, withPages: boolean): Wearing {
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const own = useGiven(trade);
  const sample = goods.products.length ? null : sampleFor(trade);
  const drawn = useMemo(
    () =>
      sample
        ? {
            goods: sample.goods(goods.asOf),
            pictures: [...pictures, ...SAMPLE_PICTURES],
            scenes: SAMPLE_PICTURES.filter(({ id }) => sample.scenes.includes(id)),
          }
        : { goods, pictures, scenes: null },
    [sample, goods, pictures],
  );
  const shown = useMemo(() => {
    if (!withPages) return draft;
    const given = drawn.scenes ? givenFrom(own.shop, trade, drawn.goods, drawn.scenes) : own;
    const begun = beginning(draft, given, themeById(draft.look.theme), undefined);
    const next = begun.ok ? applyAll(draft, begun.transaction.operations) : undefined;
    return next?.ok ? next.draft : draft;
  }, [draft, drawn, own, trade, withPages]);
  return useMemo(
    () => ({
      draft: shown,
      goods: drawn.goods,
      pictures: drawn.pictures,
      sample,
      pages: withPages ? pagesMade(draft) : "Only the look changes. Your pages stay as they are.",
      use: (theme, way) =>
        withPages
          ? beginning(draft, own, theme, way)
          : applyTheme(draft, theme.id, theme.name, way === undefined ? {} : coloursOfWay(way)),
    }),
    [shown, drawn, sample, draft, own, withPages],
  );
}

const Worn = createContext<Wearing | null>(null);
export const WornProvider = Worn.Provider;

/** What themes are looked at with here. */
export function useWorn(): Wearing {
  const worn = useContext(Worn);
  if (!worn) throw new Error("themes are looked at without a shop that wears them");
  return worn;
}
