import { createContext, useContext, type ComponentType, type ReactNode } from "react";
import type { AccountSeen, DoorSeen } from "~/core/account";
import type { CodeFacts } from "~/core/code";
import type { GiftCardSeen } from "~/core/gift-cards";
import { entryOf, type Look, type Part } from "~/core/document";
import {
  productWith,
  type Collection,
  type Goods,
  type GoodsQuery,
  type Product,
  type SearchResult,
  type Variant,
} from "~/core/goods";
import { sourceOf, type DrawnTone, type Picture, type PictureView, type ScrimTone } from "~/core/pictures";
import type { Live } from "~/core/live";
import type { Bill, Costs, Goal, Line, Offer, Priced } from "~/core/offers";
import type { Rich } from "~/core/rich";
import type { Link, OwnPage } from "~/core/schema";
import { ALL_GOODS, collectionAddress, productAddress, type SitePage } from "~/core/addresses";
import type { JournalPart } from "~/core/journal";
import type { Bound } from "../chassis";
import { hasAccounts, takesCards, type Selling } from "~/core/selling";
import type { CartSeen } from "./cart";
import type { CheckoutSeen, OrderSeen } from "./checkout";
import type { OutlineEntry } from "../outline-places";
import type { MenuEntry } from "./menu";

/** The thing that the page is about, where it is about one; its layout shows it. */
export type PageSubject =
  | { readonly page: "product"; readonly product: Product; readonly variant: Variant | undefined }
  /** `collection`: undefined for everything there is. `address`: of the list without anything asked of it. */
  | {
      readonly page: "collection";
      readonly collection: Collection | undefined;
      readonly query: GoodsQuery;
      readonly address: string;
    }
  /** Which post is shown: a page of the shop draws it, and the layout of posts shows one. */
  | { readonly page: "post"; readonly id: string | undefined }
  | { readonly page: "journal"; readonly part: JournalPart }
  /** `offers`: all that the shop has. */
  | ({ readonly page: "cart"; readonly offers: readonly Offer[] } & CartSeen)
  | ({ readonly page: "checkout"; readonly offers: readonly Offer[] } & CheckoutSeen)
  | ({ readonly page: "thanks" | "order" } & OrderSeen)
  /** An order to look at: the one that an address of the studio asks for. */
  | { readonly page: "thanks" | "order"; readonly sample: string | null }
  | ({ readonly page: "sign-in" } & DoorSeen)
  | ({ readonly page: "account" } & AccountSeen)
  | ({ readonly page: "gift-card" } & GiftCardSeen)
  | {
      readonly page: "search";
      readonly sought: string;
      readonly found: SearchResult;
      readonly query: GoodsQuery;
      readonly address: string;
    };

/** A post as lists and its own page ask for it. */
export type PostEntry = {
  readonly id: string;
  readonly title: string;
  readonly address: string;
  /** As clocks of the shop show it, "2026-11-28T09:00"; empty: not said. */
  readonly at: string;
  readonly author: string;
  readonly tags: readonly { readonly name: string; readonly slug: string }[];
  /** What the seller chose or wrote for it; its own page shows these alone, since what is made from it stands there anyway. */
  readonly own: { readonly picture: string | null; readonly summary: string };
  /** What lists show: the seller's, or how the post begins. */
  readonly picture: () => string | undefined;
  readonly summary: () => string;
  /** How long it takes to read, in minutes. */
  readonly minutes: () => number;
};

/** A journal with the posts that are out, latest first. */
export type JournalPosts = {
  readonly id: string;
  readonly title: string;
  readonly address: string;
  /** It is the page that asks. */
  readonly isHere: boolean;
  readonly pages: readonly SitePage[];
  /** Some of them, of those with a tag where one is named by its name in an address. */
  readonly slice: (from: number, to: number, tag?: string) => readonly PostEntry[];
};

/** What was sent with a form and could not be taken: it is shown once more with why. */
export type SentForm = {
  readonly form: string;
  /** What was given, by the id of its field. */
  readonly given: ReadonlyMap<string, readonly string[]>;
  readonly problems: ReadonlyMap<string, string>;
};

/** What views need to know about the shop they draw; the same for panes and shop, but for `studio`. */
export type KindEnv = {
  readonly identity: Look["identity"];
  readonly goods: Goods;
  /** What the shop's clocks show while it is drawn. A page is kept: only what a kind says of when it changes may depend on it. */
  readonly clock: string;
  readonly picture: (id: string | null) => Picture | undefined;
  /** A tone as it is drawn, with the shop's colours in it; undefined where it changes nothing. */
  readonly tone: (tone: PictureView["tone"]) => DrawnTone | undefined;
  /** Pictures are served in the tone that they are shown in. Elsewhere, in panes, they are drawn through a filter. */
  readonly servesTones?: true;
  /** The address that a link leads to; undefined where it leads nowhere (any more). */
  readonly href: (link: Link) => string | undefined;
  readonly money: (amount: number) => string;
  /** What single pieces cost with the offers that hold for everybody. */
  readonly costs: Costs;
  /** What a cart costs with the shop's offers, asked for by these codes, for whoever looks. */
  readonly bill: (lines: readonly Line[], codes?: readonly string[], more?: Pick<Bill, "delivery" | "tax">) => Priced;
  /** Where the shop delivers, how it is taxed and paid. */
  readonly selling: Selling;
  /** ISO 4217. */
  readonly currency: string;
  /** When something was, in the shop's time zone. `at`: ms since 1970. */
  readonly when: (at: number) => string;
  /** An order to look at pages with: the one that an address of the studio asks for, or the usual one. */
  readonly sampleOrder: (address: string | null) => OrderSeen;
  /** What a product card lists, as the brand says. */
  readonly card: {
    /** Where its words stand: one of the choices of the setting `goods.words`. */
    readonly words: string;
    readonly facts: number;
    readonly second: boolean;
    readonly badge: boolean;
    readonly price: boolean;
    readonly compareAt: boolean;
    readonly rating: boolean;
  };
  /** The shop's own pages that shoppers can reach; in the studio, all. */
  readonly pages: readonly { readonly id: string; readonly title: string; readonly address: string }[];
  /** The items of a menu; undefined where there is none of this id. */
  readonly menu: (id: string) => readonly MenuEntry[] | undefined;
  /** What the thing is called that a link leads to; undefined where it leads to nothing that has a name. */
  readonly titleOf: (link: Link) => string | undefined;
  /** The picture of what a link leads to. */
  readonly pictureOf: (link: Link) => string | undefined;
  /** Only in the studio: words can be edited, and what is missing says so. */
  readonly studio?: {
    readonly editing: { readonly node: string; readonly at: string } | null;
    /** Takes the place of running text while it is edited. */
    readonly RichEditor?: ComponentType<RichEditorProps>;
  };
  /** It is drawn small, to be seen and not used: there is no page around it, and no script will come to it. */
  readonly still?: true;
  readonly shown?: PageSubject;
  /** Where the frames of a seller's own code are served, and what such code may know; absent where none may run. */
  readonly code?: { readonly origin: string; readonly facts: CodeFacts };
  readonly sent?: SentForm;
  /** What a field says of the page, the product or the collection that is shown: words, or the id of a picture. */
  readonly field: (bound: Bound) => string | undefined;
  /** Ids of the parts of a kind that the page shows, in reading order; a part that works together with another finds it so. */
  readonly partsOf: (kind: string) => readonly string[];
  /** A journal: by its page, or, with null, that of the page that is shown or the shop's first. Undefined where there is none. */
  readonly journal: (id: string | null) => JournalPosts | undefined;
  /** The post that the page shows, and those before and after it in time. */
  readonly post: () =>
    | { readonly post: PostEntry; readonly earlier?: PostEntry | undefined; readonly later?: PostEntry | undefined }
    | undefined;
  /** Products that the post shows or leads to. */
  readonly postGoods: () => readonly Product[];
  /** The headings of the page, where something lists them. */
  readonly outline: () => readonly OutlineEntry[];
  /** Hears of every kind that is drawn, where a page is put together from what it needs. */
  readonly onDrawn?: (part: Part) => void;
  /** Colour sets whose ground is dark. */
  readonly darkSets: ReadonlySet<string>;
  /** Digits after the point in the shop's currency. */
  readonly digits: number;
  readonly locale: string;
  /** The colour set that short messages of the shop wear. */
  readonly toast: string;
  /** What a fact in words says; undefined where it can't be said. */
  readonly live: (live: Live) => string | undefined;
  /** When an offer that holds now ends, as the shop's clocks show it; null: the one that ends first. Undefined where none does. */
  readonly offerEnds: (offer: string | null) => string | undefined;
  /** The offers that hold for everybody just now, by name. */
  readonly offers: () => readonly Offer[];
  /** How far the cart of whoever looks is from the offers that come by themselves, the smallest goal first. */
  readonly goals: () => readonly Goal[];
};
export type RichEditorProps = { readonly node: string; readonly at: string; readonly value: Rich };

const Env = createContext<KindEnv | null>(null);
const NodeId = createContext("");
export const EnvProvider = Env.Provider;
export const NodeIdProvider = NodeId.Provider;
export const useNodeId = () => useContext(NodeId);

/** Where on the page the section stands that is being drawn: above its own part, in it, or below. */
export type Region = "top" | "main" | "bottom" | "over";
const RegionContext = createContext<Region>("main");
export const RegionProvider = RegionContext.Provider;
export const useRegion = () => useContext(RegionContext);

/** What is being drawn stands on: a colour set, or a picture with a tint of a tone, where it lies over one. */
export type Ground = { readonly set: string; readonly over?: ScrimTone | undefined };
const GroundContext = createContext<Ground>({ set: "page" });
export const GroundProvider = GroundContext.Provider;
export const useGround = () => useContext(GroundContext);

/** Marks of what opens from a row that lies over a picture, so that it stands in the colours of its own set. */
export function useOpened(): { readonly "data-set"?: string } {
  const { set, over } = useGround();
  return over ? { "data-set": set } : {};
}

/** An id of an element in the part that is being drawn, unlike any other on the page: two of a kind can stand on it. */
export const usePartId = (name: string): string => `${name}-${useNodeId()}`;

/**
 * The same for an element in another part: of several of that kind, the one that stands where this part stands among those of
 * `own`. Undefined where there is none.
 */
export function usePartnerId(name: string, kind: string, own: string): string | undefined {
  const { partsOf } = useEnv();
  const at = Math.max(0, partsOf(own).indexOf(useNodeId()));
  const partners = partsOf(kind);
  const partner = partners[Math.min(at, partners.length - 1)];
  return partner === undefined ? undefined : `${name}-${partner}`;
}

/** What stands in the slots of the part that is being drawn, and how each of it is drawn. */
export type Inside = {
  readonly slots: Part["slots"];
  readonly draw: (node: Part) => ReactNode;
  /** The heading that is the page's first: its `h1`. */
  readonly headId: string | undefined;
};
const InsideContext = createContext<Inside>({ slots: {}, draw: () => null, headId: undefined });
export const InsideProvider = InsideContext.Provider;
export const useInside = () => useContext(InsideContext);

/** The mark by which the studio finds an element that things can be put into; none in the shop. */
export const slotMark = (node: string, slot: string) => ({ "data-slot": `${node}:${slot}` }) as const;

/** What stands in a slot, and the marks for the element that holds it. */
export function useSlot(name: string): {
  readonly inside: ReactNode;
  readonly mark: { readonly "data-slot"?: string };
} {
  const { studio } = useEnv();
  const { slots, draw } = useInside();
  const node = useNodeId();
  return { inside: (entryOf(slots, name) ?? []).map(draw), mark: studio ? slotMark(node, name) : {} };
}

export function useEnv(): KindEnv {
  const env = useContext(Env);
  if (!env) throw new Error("a kind's view was drawn outside EnvProvider");
  return env;
}

/** The place on the page of a part that lies over it, by which links make it come. */
export const overPlace = (id: string): string => `over-${id}`;

type LinkTo = {
  readonly goods: Goods;
  readonly pages: KindEnv["pages"];
  readonly file: KindEnv["picture"];
  /** Whether such a part can come on this page. */
  readonly lies: (id: string) => boolean;
  readonly selling: Selling;
};

/** Whether a shop has one of the pages that nobody makes. */
const hasOwnPage = (page: OwnPage, selling: Selling, goods: Goods): boolean =>
  page === "account" ? hasAccounts(selling) : page === "gift-cards" ? takesCards(selling, goods) : true;

/** Makes `href` for a set of goods, the shop's own pages, and the files of its library. */
export const hrefFor =
  ({ goods, pages, file, lies, selling }: LinkTo) =>
  (link: Link): string | undefined => {
    switch (link.to) {
      case "nowhere":
        return undefined;
      case "home":
        return "/";
      case "own":
        return hasOwnPage(link.page, selling, goods) ? `/${link.page}` : undefined;
      case "page":
        return pages.find((p) => p.id === link.id)?.address;
      case "place": {
        const page = pages.find((p) => p.id === link.page);
        return page && `${page.address}#${link.name}`;
      }
      case "over":
        return lies(link.id) ? `#${overPlace(link.id)}` : undefined;
      case "file": {
        const found = file(link.id);
        return found && sourceOf(found, found.width);
      }
      case "document":
        return `/media/${link.file}`;
      case "product": {
        const product = productWith(goods, link.id);
        return product && productAddress(product);
      }
      case "collection": {
        const collection = goods.collections.find((c) => c.id === link.id);
        return collection && collectionAddress(collection);
      }
      case "list": {
        const collection = goods.collections.find((c) => c.id === link.id);
        if (link.id !== null && !collection) return undefined;
        const address = collection ? collectionAddress(collection) : ALL_GOODS;
        return link.query ? `${address}?${link.query}` : address;
      }
      case "web":
        return link.address;
      case "mail":
        return `mailto:${link.address}`;
      case "phone":
        return `tel:${link.number.replace(/[^\d+]/g, "")}`;
    }
  };
