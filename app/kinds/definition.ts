import type { ComponentType } from "react";
import type { z } from "zod";
import type { OfferFact } from "~/core/live";
import type { Migration } from "~/core/schema";
import type { Json, LayoutSort, Part, StyleSheet } from "~/core/document";

/** What a widget takes from a field: words, a picture, or where it leads. */
export type BoundAs = "words" | "picture" | "link";

/** A value of a section that a seller can set; Details draws its controls from these. */
export type Field = FieldShape & {
  /** It is rarely changed, and shown only to whoever asks for more. */
  readonly seldom?: true;
  /** A new part begins without it, whatever the shop has. */
  readonly bare?: true;
  /** It is there only where another value is one of these. */
  readonly where?: readonly [key: string, values: readonly string[]];
};

type FieldShape =
  | {
      readonly type: "line" | "text";
      readonly key: string;
      readonly label: string;
      readonly most: number;
      readonly hint?: string;
    }
  /** Running text with a shape. `figures`: pictures and films may stand in it. */
  | {
      readonly type: "rich";
      readonly key: string;
      readonly label: string;
      readonly most: number;
      readonly figures?: boolean;
    }
  | { readonly type: "link" | "product"; readonly key: string; readonly label: string }
  /** `none`: it can do without. */
  | { readonly type: "sign"; readonly key: string; readonly label: string; readonly none?: true }
  /** A film of the shop, by the name under which it is served. */
  | { readonly type: "film"; readonly key: string; readonly label: string }
  /** A map of where something is. */
  | { readonly type: "map"; readonly key: string; readonly label: string }
  /** A film at another address, which is asked before anything of it is loaded. */
  | { readonly type: "outside"; readonly key: string; readonly label: string }
  /** Code of the seller's own. `into`: it stands in the page itself, and not in a frame. */
  | {
      readonly type: "code";
      readonly key: string;
      readonly label: string;
      readonly language: "html" | "css" | "script";
      readonly most: number;
      readonly hint?: string;
      readonly into?: "page";
    }
  /** The places from which code in a frame may load, one on a line. */
  | { readonly type: "origins"; readonly key: string; readonly label: string }
  /** `views`: beside it stands how it is shown at this place (`viewKey`). */
  | { readonly type: "picture"; readonly key: string; readonly label: string; readonly views?: true }
  | {
      readonly type: "choice";
      readonly key: string;
      readonly label: string;
      readonly options: readonly (readonly [value: string, label: string])[];
    }
  | { readonly type: "collection"; readonly key: string; readonly label: string; readonly none: string }
  /** One of the shop's journals; null: that of the page, or the first. */
  | { readonly type: "journal"; readonly key: string; readonly label: string; readonly none: string }
  /** An offer; null: as `none` says. */
  | { readonly type: "offer"; readonly key: string; readonly label: string; readonly none: string }
  /** One of the shop's menus. */
  | { readonly type: "menu"; readonly key: string; readonly label: string }
  | { readonly type: "yes"; readonly key: string; readonly label: string }
  /** A day as ISO 8601 writes it; empty: none. */
  | { readonly type: "date"; readonly key: string; readonly label: string; readonly hint?: string }
  /** A date and a time ("2026-12-24T18:00"), or an hour ("15:00"), as the shop's clocks show them; empty: none. */
  | { readonly type: "moment" | "hour"; readonly key: string; readonly label: string; readonly hint?: string }
  /** Chosen goods: products, collections and tags. */
  | { readonly type: "goods"; readonly key: string; readonly label: string }
  /** Single products in an order of their own; `none`: what is shown while none is picked. */
  | {
      readonly type: "products";
      readonly key: string;
      readonly label: string;
      readonly most: number;
      readonly none: string;
    }
  /** Reviews of goods, picked one by one; `none`: what is shown while none is. */
  | {
      readonly type: "reviews";
      readonly key: string;
      readonly label: string;
      readonly most: number;
      readonly none: string;
    }
  /** When a field of a form is asked, by what an earlier one says. */
  | { readonly type: "when"; readonly key: string; readonly label: string }
  /** Rows of words in columns, the first row of which names them. */
  | { readonly type: "table"; readonly key: string; readonly label: string }
  /** Attributes of goods, in an order; null: all of them. */
  | { readonly type: "attributes"; readonly key: string; readonly label: string; readonly none: string }
  | {
      readonly type: "number";
      readonly key: string;
      readonly label: string;
      readonly least: number;
      readonly most: number;
    }
  | {
      readonly type: "list";
      readonly key: string;
      readonly label: string;
      /** What one of them is called. */
      readonly one: string;
      readonly most: number;
      readonly fields: readonly Field[];
      readonly fresh: Readonly<Record<string, Json>>;
      /** What of the shop a new one is filled with, and how much of it. Where there are no collections, with pictures. */
      readonly begins?: { readonly with: "pictures" | "collections" | "product"; readonly most: number };
    };

export type Arrangement = {
  readonly id: string;
  readonly name: string;
  readonly style?: StyleSheet;
  /** Words stand on the section's picture, which must let them be read. */
  readonly wordsOnPicture?: true;
};

/** What a seller wants to do with a section; Add is grouped by it. */
export const PURPOSES = [
  "Welcome",
  "Show goods",
  "Show pictures",
  "Sell a product",
  "Tell the story",
  "Give facts",
  "Keep in touch",
  "Freehand",
  "On every page",
  "Over the page",
] as const;
export type Purpose = (typeof PURPOSES)[number];

/** Whether a part is a section of a page, a column of one, what stands in columns, or an item of a menu. */
export type Level = "section" | "column" | "widget" | "item";

/**
 * What shared code may ask of a kind without knowing its name. `no-head`: it brings no heading of its own. `head`: it is a
 * heading. `names-page`: it says what its page is about, as its first heading. `picture`, `words`, `rule`: what it is mainly, for
 * arranging on phones. `small`: two of it can stand side by side on a phone. `wraps`: a section that can hold any widget. `stands-for`: it
 * holds the place of a section that is kept elsewhere. `places`: what is in it stands where it is put, not one after the other.
 */
export type Trait =
  "no-head" | "head" | "names-page" | "picture" | "words" | "rule" | "small" | "wraps" | "stands-for" | "places";

export type Definition<Props extends Record<string, unknown> = Record<string, unknown>> = {
  readonly kind: string;
  readonly name: string;
  /** What it is good for, in a sentence. */
  readonly about: string;
  readonly purpose: Purpose;
  readonly level: Level;
  /** The slots in which it may stand: of a document's root, or of another part. */
  readonly slots: readonly string[];
  /** The layouts on which alone it makes sense; absent: on every page. */
  readonly only?: readonly LayoutSort[];
  /** The layouts on which it must not stand. */
  readonly never?: readonly LayoutSort[];
  /** It shows goods as cards: the shape and fit of their pictures are the brand's, unless it says otherwise. */
  readonly ofGoods?: true;
  /** The slots that it has itself, each with the most that it holds. */
  readonly holds?: Readonly<Record<string, number>>;
  /** By which of its words it is called among others of its kind. */
  readonly calledBy?: string;
  /** What each of them is called, where it is a section within this one. */
  readonly eachIs?: string;
  readonly tag: "section" | "header" | "footer" | "aside" | "div" | "figure" | "blockquote" | "dialog";
  readonly arrangements: readonly [Arrangement, ...Arrangement[]];
  readonly starts?: readonly Start[];
  readonly traits?: readonly Trait[];
  /** What a section is called in the plan that is mainly there for this part. */
  readonly tells?: string;
  /** Add offers it also where it stands on every page. */
  readonly isOffered?: true;
  /** What Add shows in it, so that it can be seen what it is for. */
  readonly example?: (make: (kind: string, props?: Readonly<Record<string, Json>>) => Part) => Part["slots"];
  /** The part of the brand sheet that styles it, by one of its values. */
  readonly brandPart?: { readonly by: string; readonly parts: Readonly<Record<string, string>> };
  readonly fields: readonly Field[];
  /** The value that it can take from a field of the page or the product that it stands on. */
  readonly binds?: { readonly key: string; readonly as: BoundAs };
  readonly props: z.ZodType<Props>;
  /** How what an earlier version stored becomes what `props` asks for: steps 1 → 2, 2 → 3 … */
  readonly migrations?: readonly Migration[];
  readonly defaults: Props;
  readonly style: StyleSheet;
  /** Names of the style properties that make sense for it. */
  readonly styles: readonly string[];
  readonly css: string;
  /** Rules that what it says makes, for elements of one part of this kind: what is below it, and declarations. */
  readonly rules?: (props: Props) => readonly (readonly [selector: string, declarations: string])[];
  /** The part of the shop's script that it needs, besides the one that every page has. */
  readonly script?: "goods";
  /** Whether one part of this kind needs that part of the script, by what it says. */
  readonly needsScript?: (props: Props) => boolean;
  /** How it looks depends on which day it is. */
  readonly byDay?: true;
  /** When one part of this kind looks otherwise from then on, as the shop's clocks show it, by what it says. */
  readonly changesAt?: (props: Props) => readonly string[];
  /** What one part of this kind is known by once a shopper has closed it; undefined where they can't. */
  readonly closes?: (props: Props) => string | undefined;
  /** Facts that it says itself where they stand in its words without an offer: `{to-go}`. */
  readonly says?: readonly OfferFact[];
  /** What it shows depends on what lies in the cart. */
  readonly byCart?: true;
  /** What it needs to be allowed on its page. */
  readonly permissions?: readonly Permission[];
  /** What one part of this kind needs to be allowed besides, by what it says. */
  readonly asks?: (props: Props) => readonly Permission[];
  /** Words that Add shows in it where it begins empty, so that it can be seen what it is for; they never get onto a page. */
  readonly sample?: Partial<Props>;
  /** Other words by which people look for it. */
  readonly synonyms?: readonly string[];
  /** Keys of words in the defaults that are the studio's own: whoever publishes them is told so. */
  readonly placeholders?: readonly string[];
  /** What the shop's script brings onto the page with it later; rules for that are sent although the markup has none of it yet. */
  readonly later?: Later;
};

/** What a page does not allow by itself: sound and film, and frames, of its own or of another origin; and frames with a seller's code. */
export type Permission = "media" | "frame" | "code" | `${"media" | "frame"} https://${string}`;

export type Later = {
  /** The element that brings it, where not every arrangement of the kind has it. */
  readonly element?: string;
  readonly tags?: readonly string[];
  readonly classes?: readonly string[];
  /** Attributes of ours: `data-state=done`. */
  readonly data?: readonly string[];
  /** It wears the colour set in which the shop's short messages are. */
  readonly toast?: true;
};

/** A section to begin with, where its kind can hold anything: built from the shop's own goods and pictures. */
export type Start = {
  readonly id: string;
  readonly name: string;
  /** It is a row above or below every page, or lies over them; absent: a section of one page. */
  readonly region?: "top" | "bottom" | "over";
  readonly build: (given: {
    readonly picture: string | null;
    /** Several, none of them twice. */
    readonly pictures: readonly string[];
    readonly product: string | null;
    readonly link: Json;
  }) => Pick<Part, "slots" | "style"> & Partial<Pick<Part, "props">>;
};

export type ViewProps<Props> = { readonly props: Props; readonly arrangement: string; readonly first: boolean };

export type Kind<Props extends Record<string, unknown> = Record<string, unknown>> = {
  readonly definition: Definition<Props>;
  readonly View: ComponentType<ViewProps<Props>>;
};

/** Ties a definition to its view, so that a missing or mismatched one is a compile error. */
export const defineKind = <Props extends Record<string, unknown>>(
  definition: Definition<Props>,
  View: ComponentType<ViewProps<Props>>,
): Kind => ({ definition, View }) as unknown as Kind;
