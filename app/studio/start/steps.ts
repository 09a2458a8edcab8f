import { homeOf } from "~/core/addresses";
import { entryOf, MAIN_MENU, walk, type Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { Link } from "~/core/schema";
import { placeholdersOf } from "~/kinds/placeholders";

/** One of the things that make a shop out of a new one. */
export type NextStep = {
  readonly id: "logo" | "colours" | "goods" | "home" | "menu" | "publish";
  readonly title: string;
  readonly about: string;
  readonly done: boolean;
};

/** Whether a menu leads to goods; one that does not was never looked at. */
function leadsToGoods(draft: Draft): boolean {
  const menu = entryOf(draft.documents, MAIN_MENU);
  if (!menu) return false;
  return [...walk(menu.root)].some((part) => {
    const to = (part.props.link as Link | undefined)?.to;
    return to === "collection" || to === "product";
  });
}

/** What there is to do for a new shop, in working order; each step is done once the shop says so itself. */
export function nextSteps(draft: Draft, goods: Goods, published: Draft | undefined): readonly NextStep[] {
  const { look } = draft;
  const { identity, brand } = look;
  const home = homeOf(draft.documents);
  const page = entryOf(draft.documents, home);
  const isOwn = page !== undefined && placeholdersOf(page, look).length === 0;
  return [
    {
      id: "logo",
      title: "Your logo",
      about: "A picture, or a sign beside the name",
      done: identity.logo.form !== "words" || identity.icon !== undefined,
    },
    {
      id: "colours",
      title: "Your colours and type",
      about: "Chosen once, right on every page",
      done: Object.keys(brand).length > 0 || published !== undefined,
    },
    { id: "goods", title: "Your goods", about: "From a file, or one by one", done: goods.products.length > 0 },
    { id: "home", title: "The home page in your words", about: "Click words in a pane to change them", done: isOwn },
    { id: "menu", title: "The menu", about: "The ways to your goods", done: leadsToGoods(draft) },
    { id: "publish", title: "Publish", about: "Then shoppers can see it", done: published !== undefined },
  ];
}
