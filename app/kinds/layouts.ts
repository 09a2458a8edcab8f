import {
  emptyDocument,
  FOOTER_MENU,
  freeze,
  MAIN_MENU,
  SITE,
  type PageDocument,
  type Draft,
  type Json,
  type LayoutSort,
  type Part,
  type StyleSheet,
  entryOf,
  walk,
} from "~/core/document";
import { DOCUMENT_VERSION } from "~/core/schema";
import { SELLING } from "~/core/selling";
import { LETTERS } from "~/core/shop-letters";
import type { Worn } from "~/core/theme";
import { KINDS, kindVersion } from ".";

// The layouts that every shop begins with. Their ids are fixed: a shop from before there were layouts gets the same ones
// each time it is read, until one of them is changed and so stored. What is written of their looks here does not get into the parts
// (`bare`): then it is the theme's to say otherwise, also of a layout that the seller has changed something else in.

const part = (
  place: string,
  kind: string,
  props: Readonly<Record<string, Json>> = {},
  style: StyleSheet = {},
  slots: Part["slots"] = {},
): Part => ({
  id: `layout-${place}`,
  kind,
  ...kindVersion(kind),
  place,
  props: { ...(KINDS.get(kind)!.definition.defaults as Record<string, Json>), ...props },
  style,
  conditions: [],
  shown: true,
  slots,
});

const layout = (sort: LayoutSort, title: string, main: readonly Part[]): PageDocument => ({
  schemaVersion: DOCUMENT_VERSION,
  id: sort,
  kind: "layout",
  title,
  root: {
    id: `layout-${sort}`,
    kind: "root",
    props: { of: sort, products: [], collections: [] },
    style: {},
    conditions: [],
    shown: true,
    slots: { main },
  },
});

const product = (): PageDocument =>
  layout("product", "Product", [
    part(
      "p-way",
      "freehand",
      {},
      { all: { spaceTop: 2, spaceBottom: 2 } },
      {
        columns: [part("p-way-column", "column", {}, {}, { widgets: [part("p-trail", "trail")] })],
      },
    ),
    part(
      "p-main",
      "freehand",
      {},
      { all: { spaceTop: 0, spaceBottom: 5, gap: 6, across: "start" }, phone: { gap: 3 } },
      {
        columns: [
          part(
            "p-left",
            "column",
            {},
            { all: { share: "56%" } },
            { widgets: [part("p-gallery", "gallery", { arrangement: "beside" })] },
          ),
          part(
            "p-right",
            "column",
            {},
            { all: { share: "44%", gap: 3 } },
            {
              widgets: [
                part("p-title", "product-title"),
                part("p-rating", "product-rating"),
                part("p-price", "product-price"),
                part("p-options", "product-options"),
                part("p-state", "product-state"),
                part("p-buy", "product-buy"),
                part("p-signs", "assurances"),
                part("p-details", "product-details", { arrangement: "folded" }),
              ],
            },
          ),
        ],
      },
    ),
    part("p-goes-with", "goes-with", {}, { all: { set: "tint" } }),
    part("p-reviews", "reviews"),
    part("p-seen", "recently-seen", {}, { all: { spaceTop: 2 } }),
  ]);

const collection = (): PageDocument =>
  layout("collection", "Collection", [
    part("c-head", "collection-head"),
    part("c-inside", "collection-inside"),
    part("c-list", "goods-list"),
  ]);

const search = (): PageDocument =>
  layout("search", "Search", [
    part("s-head", "search-head"),
    part("s-list", "goods-list", { arrangement: "above", paging: "more" }, { all: { columns: 4 } }),
  ]);

const WITH_GOODS = [{ when: "cart", asks: "empty", not: true }];
const EMPTY = [{ when: "cart", asks: "empty" }];

const cart = (): PageDocument =>
  layout("cart", "Cart", [
    part("ca-head", "cart-head"),
    {
      ...part(
        "ca-main",
        "freehand",
        {},
        { all: { spaceTop: 3, spaceBottom: 6, gap: 6 }, phone: { spaceTop: 2, gap: 4 } },
        {
          columns: [
            part("ca-left", "column", {}, { all: { share: "66%" } }, { widgets: [part("ca-lines", "cart-lines")] }),
            part(
              "ca-right",
              "column",
              {},
              { all: { share: "34%", gap: 4 } },
              {
                widgets: [
                  part("ca-codes", "cart-codes"),
                  part("ca-delivery", "cart-delivery"),
                  part("ca-sum", "cart-sum"),
                ],
              },
            ),
          ],
        },
      ),
      conditions: WITH_GOODS,
    },
    { ...part("ca-goes-with", "goes-with", {}, { all: { set: "tint" } }), conditions: WITH_GOODS },
    {
      ...part("ca-empty", "ways-on", { heading: "There is nothing in it yet" }, { all: { headSize: 3, spaceTop: 3 } }),
      conditions: EMPTY,
    },
  ]);

/** Two columns that stand side by side where there is room. `rightFirst`: on phones the right one stands above the other. */
const beside = (id: string, left: readonly Part[], right: readonly Part[], rightFirst = false): Part => {
  const place = (order: number): StyleSheet => (rightFirst ? { phone: { order } } : {});
  return part(
    id,
    "freehand",
    {},
    { all: { spaceTop: 3, spaceBottom: 6, gap: 6, across: "start" }, phone: { spaceTop: 2, gap: 4 } },
    {
      columns: [
        part(`${id}-left`, "column", {}, { all: { share: "58%", gap: 4 }, ...place(2) }, { widgets: left }),
        part(`${id}-right`, "column", {}, { all: { share: "42%", gap: 4 }, ...place(1) }, { widgets: right }),
      ],
    },
  );
};

const checkout = (): PageDocument =>
  layout("checkout", "Checkout", [
    beside("ck-main", [part("ck-form", "checkout-form")], [part("ck-sum", "checkout-sum")], true),
  ]);

const thanks = (): PageDocument =>
  layout("thanks", "Thank you", [
    part("th-head", "order-head", {
      heading: "Thank you",
      text: "Your order has arrived. A letter with everything in it is on its way to you.",
    }),
    beside("th-main", [part("th-facts", "order-facts", { history: false })], [part("th-lines", "order-lines")]),
  ]);

const order = (): PageDocument =>
  layout("order", "Order", [
    part("or-head", "order-head"),
    beside("or-main", [part("or-facts", "order-facts")], [part("or-lines", "order-lines")]),
  ]);

const signIn = (): PageDocument => layout("sign-in", "Signing in", [part("si-form", "sign-in")]);

const account = (): PageDocument =>
  layout("account", "Account", [
    part("ac-head", "account-head"),
    beside(
      "ac-main",
      [part("ac-orders", "account-orders")],
      [
        part("ac-addresses", "account-addresses"),
        part("ac-details", "account-details"),
        part("ac-letters", "account-letters"),
        part("ac-data", "account-data"),
      ],
    ),
  ]);

const giftCard = (): PageDocument => layout("gift-card", "Gift card", [part("gc-balance", "gift-card-balance")]);

const post = (): PageDocument =>
  layout("post", "Post", [
    part("po-head", "post-head"),
    part("po-body", "post-body"),
    part("po-goods", "post-goods", {}, { all: { set: "tint" } }),
    part("po-ways", "post-ways"),
  ]);

const notFound = (): PageDocument =>
  layout("not-found", "Not found", [
    part("nf-ways", "ways-on", {
      heading: "There is nothing here",
      text: "The address may be mistyped, or what was here has gone. The rest of the shop is where it was.",
    }),
  ]);

const closed = (): PageDocument =>
  layout("closed", "Closed for now", [
    part(
      "cl-words",
      "text",
      {
        arrangement: "statement",
        heading: "We are closed for now",
        text: "Leave your mail address, and you hear from us when the door is open again.",
      },
      { all: { spaceTop: 6, spaceBottom: 3 } },
    ),
    part("cl-sign-up", "sign-up", { arrangement: "stack", heading: "Be told when we are back", button: "Tell me" }),
  ]);

/** How a part of a layout looks where no theme says otherwise, and what it is. */
type Place = Worn & { readonly kind: string };

type Made = {
  readonly layouts: Readonly<Record<LayoutSort, PageDocument>>;
  readonly places: ReadonlyMap<string, Place>;
};
let made: Made | undefined;

/** A part without what is said of its looks. */
const bare = ({ props: { arrangement: _worn, ...props }, ...part }: Part): Part => ({
  ...part,
  props,
  style: {},
  slots: Object.fromEntries(Object.entries(part.slots).map(([slot, inside]) => [slot, inside.map(bare)])),
});

function make(): Made {
  const written: Readonly<Record<LayoutSort, PageDocument>> = {
    product: product(),
    collection: collection(),
    search: search(),
    cart: cart(),
    checkout: checkout(),
    thanks: thanks(),
    order: order(),
    "sign-in": signIn(),
    account: account(),
    "gift-card": giftCard(),
    post: post(),
    "not-found": notFound(),
    closed: closed(),
  };
  const parts = Object.values(written).flatMap(({ root }) => [...walk(root)]);
  const places = parts.flatMap(({ place, kind, style, props: { arrangement } }) =>
    place === undefined
      ? []
      : [[place, { kind, style, ...(typeof arrangement === "string" ? { arrangement } : {}) }] as const],
  );
  const layouts = Object.fromEntries(
    Object.entries(written).map(([sort, { root, ...document }]) => [
      sort,
      { ...document, root: { ...root, slots: bare(root).slots } },
    ]),
  ) as Made["layouts"];
  return { layouts: freeze(layouts), places: new Map(places) };
}

export const firstLayouts = (): Made["layouts"] => (made ??= make()).layouts;

/** The parts of these layouts, by the names by which themes speak of them. */
export const layoutPlaces = (): Made["places"] => (made ??= make()).places;

let rest: Readonly<Record<string, PageDocument>> | undefined;

/** Everything that a shop has without having made it: its layouts, its menus, and what holds for it as a whole. */
export const firstDocuments = (): Readonly<Record<string, PageDocument>> =>
  (rest ??= freeze({
    ...firstLayouts(),
    [MAIN_MENU]: emptyDocument(DOCUMENT_VERSION, "menu", MAIN_MENU, "Main menu"),
    [FOOTER_MENU]: emptyDocument(DOCUMENT_VERSION, "menu", FOOTER_MENU, "Footer menu"),
    [SITE]: emptyDocument(DOCUMENT_VERSION, "site", SITE, "The shop as a whole"),
    [LETTERS]: emptyDocument(DOCUMENT_VERSION, "letters", LETTERS, "Letters of the shop"),
    [SELLING]: emptyDocument(DOCUMENT_VERSION, "selling", SELLING, "Delivery, tax and payment"),
  }));

/** A draft in which everything is that every shop has. */
export function withFirst(draft: Draft): Draft {
  const lacking = Object.entries(firstDocuments()).filter(([id]) => !entryOf(draft.documents, id));
  if (lacking.length === 0) return draft;
  return freeze({ ...draft, documents: { ...draft.documents, ...Object.fromEntries(lacking) } });
}
