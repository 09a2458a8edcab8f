import type { Tone } from "../pictures/tone";

/** Anything that survives JSON unchanged. */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/** The device widths a page is laid out for, narrowest first. */
export const DEVICES = ["phone", "tablet", "wide"] as const;
export type Device = (typeof DEVICES)[number];

/** Whom a style value is for: every device, or one of them (a *device difference*). */
export const AUDIENCES = ["all", ...DEVICES] as const;
export type Audience = (typeof AUDIENCES)[number];

export type StyleValue = string | number | boolean;
export type StyleSheet = { readonly [A in Audience]?: Readonly<Record<string, StyleValue>> };

/**
 * A part of a page: a section, or the root that holds sections. Plain frozen JSON; children live in named slots, so a
 * node never needs to know its parent.
 */
export type Part = {
  readonly id: string;
  readonly kind: string;
  /** The version of its kind that wrote what it says; absent: the first. */
  readonly version?: number | undefined;
  /** Which part of the layouts that every shop begins with it is, or is a copy of: what a theme says of that part holds for it. */
  readonly place?: string | undefined;
  readonly props: Readonly<Record<string, Json>>;
  readonly style: StyleSheet;
  readonly conditions: readonly Json[];
  /** `false`: "not yet shown". Drawn in the studio, absent from the shop. */
  readonly shown: boolean;
  readonly slots: Readonly<Record<string, readonly Part[]>>;
};

/**
 * `page`: one page's own sections. `frame`: what stands above and below the sections of every page. `layout`: the
 * arrangement that all pages of one sort share; its root says which sort, and for which goods it is. `menu`: items that lead
 * to pages, up to three deep. `site`: what holds for the shop as a whole. `piece`: sections that the seller keeps to use again; shoppers never see it.
 * `shared`: one section that stands on several pages and is edited once. `offer`: what shoppers get cheaper, or given (`core/offers`).
 * `season`: dates for what belongs together (`core/seasons`). `selling`: where the shop delivers, how it is taxed and paid (`core/selling`).
 */
export const DOCUMENT_KINDS = [
  "page",
  "frame",
  "layout",
  "menu",
  "site",
  "piece",
  "shared",
  "offer",
  "season",
  "selling",
  "letters",
] as const;
export type DocumentKind = (typeof DOCUMENT_KINDS)[number];

/** The sorts of pages that have a layout. */
export const LAYOUT_SORTS = [
  "product",
  "collection",
  "search",
  "cart",
  "checkout",
  "thanks",
  "order",
  "sign-in",
  "account",
  "gift-card",
  "post",
  "not-found",
  "closed",
] as const;
export type LayoutSort = (typeof LAYOUT_SORTS)[number];

/** What the root of a layout says: without goods or collections named, it is the one for all that have no other. */
export type LayoutProps = {
  readonly of: LayoutSort;
  readonly products: readonly string[];
  readonly collections: readonly string[];
  /** How titles and descriptions of its pages are made for search engines (`fillPattern`); absent: from name and words. */
  readonly titlePattern?: string | undefined;
  readonly descriptionPattern?: string | undefined;
};

/** What the root of a page says; a page says only what differs from what is usual. */
export type PageProps = {
  /** The last part of its address. */
  readonly slug: string;
  /** The page beneath which it stands; null: it stands at the top. */
  readonly parent: string | null;
  /** Where it stands among the pages beneath the same one: smaller first, then by title. */
  readonly order: number;
  /** It is not in the shop yet: no address leads to it. */
  readonly hidden: boolean;
  /** Title and description for search engines and shared links; empty: made from the page. */
  readonly searchTitle: string;
  readonly description: string;
  /** The picture of a shared link; null: the first large one of the page. */
  readonly picture: string | null;
  /** Search engines are asked not to list it. */
  readonly unlisted: boolean;
  /** What stands above it and below it: the shop's header and footer, nothing, or rows of its own. */
  readonly header: Around;
  readonly footer: Around;
  /** The pages directly beneath it are posts, the latest first. */
  readonly journal: boolean;
  /** When a post is from, as clocks of the shop's time zone show it: "2026-11-28T09:00". Ahead: it appears then. Empty: not said. */
  readonly at: string;
  /** Who wrote it; empty: not said. */
  readonly author: string;
  readonly tags: readonly string[];
  /** What lists say of it; empty: how it begins. */
  readonly summary: string;
};

/** Whether the shop's rows stand above or below a page; `own`: those in the page's own slots. */
export type Around = boolean | "own";

/** What the root of the site's document says. */
export type SiteProps = {
  /** The page at the shop's own address. */
  readonly home: string;
  /** The shop is not open: shoppers see the page that says so, whatever they ask for. */
  readonly closed: boolean;
  /** A word with which friends see the shop all the same; empty: nobody does. */
  readonly friends: string;
};

/** The document that says what holds for the shop as a whole. */
export const SITE = "site";
/** The menu that a shop's header has from the beginning, and the one of its footer. */
export const MAIN_MENU = "main-menu";
export const FOOTER_MENU = "footer-menu";
/** How deep a menu goes. */
export const MENU_LEVELS = 3;

export type PageDocument = {
  readonly schemaVersion: number;
  readonly id: string;
  readonly kind: DocumentKind;
  readonly title: string;
  readonly root: Part;
};

/** The whole state that a seller changes: the shop-wide look and every document, by id. */
export type Draft = {
  readonly look: Look;
  readonly documents: Readonly<Record<string, PageDocument>>;
};

/** A logo: the shop's name as a wordmark, a sign from the icon set beside the wordmark, or an uploaded picture. */
export type Logo =
  | { readonly form: "words" }
  | { readonly form: "sign"; readonly sign: string }
  | {
      readonly form: "picture";
      readonly picture: string;
      /** The same logo for dark grounds, where it has one. */
      readonly onDark?: string | undefined;
      /** In px; as `LOGO_HEIGHT` where it says nothing. */
      readonly height?: number | undefined;
      /** Its height on phones; as elsewhere where it says nothing. */
      readonly onPhone?: number | undefined;
      /** Its height in a header that has got lower. */
      readonly least?: number | undefined;
      /** How it is shown where its own colours can't be seen; as it is where nothing is said. */
      readonly header?: LogoWay | undefined;
      readonly footer?: LogoWay | undefined;
      /** In a header that lies over a picture. */
      readonly over?: LogoWay | undefined;
    };
export type PictureLogo = Extract<Logo, { readonly form: "picture" }>;

/** A logo that can't be seen as it is: all white, all black, on a white or a black plate, or the name in its stead. */
export const LOGO_WAYS = ["light", "dark", "on-light", "on-dark", "words"] as const;
export type LogoWay = (typeof LOGO_WAYS)[number];
/** Where a logo is seen. */
export type LogoPlace = "header" | "footer" | "over";
/** How high a logo stands, in px: the least, the usual, the most. */
export const LOGO_HEIGHT = { least: 24, usual: 40, most: 96 } as const;

/** Days, as ISO 8601 counts them from Monday, on which a shop is open, and from when to when: `HH:MM` of its own zone. */
export type OpeningHours = { readonly days: readonly number[]; readonly from: string; readonly to: string };

/** What somebody finds at a place elsewhere; each sort has a sign of our own drawing. */
export const SOCIAL_SORTS = [
  "pictures",
  "films",
  "posts",
  "talk",
  "boards",
  "sound",
  "community",
  "market",
  "letters",
  "web",
] as const;
export type SocialSort = (typeof SOCIAL_SORTS)[number];
/** A place elsewhere where the shop can be found. `address`: http or https. `name`: empty: called by its host. */
export type SocialLink = { readonly sort: SocialSort; readonly address: string; readonly name: string };

/**
 * What a brand says for itself: values by the keys of the table of settings (`core/theme`); a key that is absent is the
 * theme's to decide.
 */
export type Brand = Readonly<Record<string, Json>>;

/** A brand that was put aside under a name, with the theme it was made in. */
export type BrandVersion = {
  readonly name: string;
  /** When, as an ISO 8601 date and time. */
  readonly at: string;
  readonly theme: string;
  readonly brand: Brand;
};

export type Look = {
  readonly theme: string;
  readonly identity: {
    readonly name: string;
    readonly tagline: string;
    readonly logo: Logo;
    /** A picture for the browser's tab; made from the logo or the name where there is none. */
    readonly icon?: string | undefined;
    /** How the shop is reached; each is absent until the seller writes it. */
    readonly mail?: string | undefined;
    readonly phone?: string | undefined;
    /** As it is written on a letter, line by line. */
    readonly address?: string | undefined;
    readonly hours?: readonly OpeningHours[] | undefined;
    readonly social?: readonly SocialLink[] | undefined;
  };
  readonly brand: Brand;
  /** Brands put aside, by id. */
  readonly versions: Readonly<Record<string, BrandVersion>>;
  /** Sentences of the studio that the seller has found to be true of the shop, each by its mark (`markOf`). */
  readonly accepted?: readonly string[] | undefined;
  /** Tones of pictures that the seller keeps, by id. */
  readonly tones?: Readonly<Record<string, { readonly name: string; readonly tone: Tone }>> | undefined;
};

/** The slots of a document's root, in the order in which a page shows them. */
export const ROOT_SLOTS: Readonly<Record<DocumentKind, readonly string[]>> = {
  page: ["main"],
  layout: ["main"],
  frame: ["top", "bottom"],
  menu: ["items"],
  site: [],
  piece: ["main"],
  shared: ["main"],
  offer: [],
  season: [],
  selling: [],
  letters: [],
};

/** The slots that a page's root has besides, while it has rows of its own above or below it. */
export const OWN_ROWS: readonly string[] = ["top", "bottom"];

/** The slot of what stands around every page that holds what can lie over it, while there is any. */
export const OVER = "over";

/** Where a node stands. */
export type Place = { readonly parent: string; readonly slot: string; readonly index: number };
