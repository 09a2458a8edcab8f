import { freeze, type Json, type Node } from "~/core/document";
import type { Goods, Product } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { KINDS } from "~/kinds";
import { fillSection } from "~/kinds/fill";
import type { ShopContent } from "~/render";

// A made-up shop for tests, with each hard case once.

const hash = (n: number) => n.toString(16).padStart(2, "0").repeat(32);

export const pictures: readonly Picture[] = [
  {
    id: "wide",
    hash: hash(1),
    name: "wide.webp",
    alt: "A wide beach",
    width: 1600,
    height: 1000,
    focus: [30, 60],
    vector: false,
  },
  {
    id: "tall",
    hash: hash(2),
    name: "tall.webp",
    alt: "A kite",
    width: 1280,
    height: 1600,
    focus: [50, 50],
    vector: false,
  },
  { id: "small", hash: hash(3), name: "small.webp", alt: "", width: 120, height: 90, focus: [50, 50], vector: false },
  { id: "drawn", hash: hash(4), name: "logo.svg", alt: "Logo", width: 300, height: 100, focus: [50, 50], vector: true },
];

const product = (id: string, more: Partial<Product> = {}): Product => ({
  id,
  slug: id,
  title: `Kite ${id}`,
  description: "Flies.\n\nWell.",
  price: 6400,
  compareAt: null,
  availability: "in-stock",
  availableFrom: null,
  stock: 3,
  sku: id.toUpperCase(),
  tags: [],
  attributes: { "Span (cm)": "190", Level: "Anyone" },
  pictures: ["tall", "wide"],
  collections: ["one"],
  ...more,
});

export const goods: Goods = {
  products: [
    product("plain"),
    product("reduced", { compareAt: 8000 }),
    product("gone", { availability: "sold-out", stock: 0 }),
    product("soon", { availability: "coming-soon", availableFrom: "2027-03-14" }),
    product("bare", { pictures: [], attributes: {}, description: "" }),
    product("odd", {
      title: `<script>alert("x")</script> & 'quotes' ${"long ".repeat(20)}`.trim(),
      pictures: ["small"],
    }),
  ],
  collections: [
    { id: "one", slug: "one", title: "One & only", description: "All of them", picture: "wide" },
    { id: "two", slug: "two", title: "Two", description: "", picture: null },
  ],
};

/** Every kind in every arrangement, filled from the shop. */
export const everySection: readonly { readonly name: string; readonly node: Node; readonly slot: string }[] = [
  ...KINDS.values(),
].flatMap(({ definition }) =>
  definition.arrangements.map((a) => ({
    name: `${definition.name}: ${a.name}`,
    node: filled(definition.kind, a.id),
    slot: definition.slots[0]!,
  })),
);

function filled(kind: string, arrangement: string): Node {
  const node = fillSection(kind, goods, pictures, arrangement);
  const props: Record<string, Json> = { ...node.props };
  const links: Json = [
    { label: "One", link: { to: "collection", id: "one" } },
    { label: "Away", link: { to: "web", address: "https://example.com/?a=1&b=2" } },
  ];
  if (kind === "header") props.menu = links;
  if (kind === "footer")
    Object.assign(props, { links, about: "About us", contact: "Here\nand there", small: "© Shop" });
  if (kind === "notice") Object.assign(props, { more: "See", link: { to: "product", id: "plain" } });
  if (kind === "hero") Object.assign(props, { over: "Line above", more: "More", moreLink: { to: "home" } });
  if (kind === "product-grid") props.text = "A few words";
  if (kind === "picture-words") Object.assign(props, { over: "Line above", more: "More" });
  return { ...node, id: `${kind}-${arrangement}`, props };
}

const root = (id: string, slots: Record<string, readonly Node[]>): Node => ({
  id,
  kind: "root",
  props: {},
  style: {},
  conditions: [],
  shown: true,
  slots,
});
const byKind = (kind: string) => everySection.find((s) => s.node.kind === kind)!.node;

/** The shop with `main` on its home page. */
export function contentWith(main: readonly Node[], theme = "pomelo"): ShopContent {
  return {
    draft: freeze({
      look: {
        theme,
        identity: { name: "Test & Sons", tagline: "Kites", logo: { form: "sign" as const, sign: "kite" } },
        brand: {},
      },
      documents: {
        frame: {
          schemaVersion: 2,
          id: "frame",
          kind: "frame" as const,
          title: "Every page",
          root: root("fr", { top: [byKind("notice"), byKind("header")], bottom: [byKind("footer")] }),
        },
        home: { schemaVersion: 2, id: "home", kind: "page" as const, title: "Home", root: root("hr", { main }) },
      },
    }),
    goods,
    pictures,
    currency: "EUR",
    locale: "en-GB",
  };
}
