import { siteOf } from "~/core/addresses";
import { overIn, walk, type Draft, type PageDocument, type Part } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import type { Link } from "~/core/schema";

/** Whether a link leads to something: `none`: it was given nothing to lead to; `gone`: it is no longer there; `hidden`: not in the shop yet. */
export type LinkState = "fine" | "none" | "gone" | "hidden";

type Shop = { readonly documents: Draft["documents"]; readonly goods: Goods; readonly pictures: readonly Picture[] };

export function linkState(link: Link, { documents, goods, pictures }: Shop): LinkState {
  const found = (is: boolean): LinkState => (is ? "fine" : "gone");
  const page = (id: string): LinkState => {
    const there = siteOf(documents).byId.get(id);
    return there ? (there.props.hidden ? "hidden" : "fine") : "gone";
  };
  switch (link.to) {
    case "nowhere":
      return "none";
    case "page":
      return page(link.id);
    case "place":
      return page(link.page);
    case "over": {
      const part = overIn(documents).find((each) => each.id === link.id);
      return part && !part.shown ? "hidden" : found(part !== undefined);
    }
    case "product":
      return found(goods.products.some((p) => p.id === link.id));
    case "collection":
      return found(goods.collections.some((c) => c.id === link.id));
    case "list":
      return found(link.id === null || goods.collections.some((c) => c.id === link.id));
    case "file":
      return found(pictures.some((p) => p.id === link.id));
    default:
      return "fine";
  }
}

/** The items of a menu that lead to a page. */
export const itemsTo = (menu: PageDocument, page: string, isHome: boolean): readonly Part[] =>
  [...walk(menu.root)].filter((part) => {
    const link = part.kind === "menu-item" ? (part.props.link as Link | undefined) : undefined;
    return link !== undefined && ((link.to === "page" && link.id === page) || (isHome && link.to === "home"));
  });
