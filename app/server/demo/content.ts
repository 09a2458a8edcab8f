import type { PageDocument, Draft, Json, Part } from "~/core/document";
import { FOOTER_MENU, freeze, MAIN_MENU } from "~/core/document";
import { makeColumn } from "~/core/commands";
import type { CollectionRules, Sort } from "~/core/goods";
import { makeNode } from "~/kinds";
import { firstLayouts } from "~/kinds/layouts";
import { placedAt } from "~/kinds/poster/placed-at";
import { demoJournal } from "./journal";
import { demoForms } from "./mail";
import { demoOffers } from "./offers";
import { demoSelling } from "./orders";
import { demoSeasons, WINTER } from "./seasons";
import { frameDocument, menuDocument, menuItem, pageDocument } from "../shops/index.server";

export const DEMO_OWNER = { name: "Ines and Tam", address: "demo@larkspindle.example", password: "kites-and-string" };
export const DEMO_SHOP = {
  name: "Larkspindle Kites",
  host: "larkspindle",
  currency: "EUR",
  timeZone: "Europe/Dublin",
} as const;

/** Words and picture of each collection. */
export const DEMO_COLLECTIONS: readonly {
  readonly title: string;
  readonly description: string;
  readonly picture: string;
  readonly parent?: string;
  readonly rules?: CollectionRules;
  readonly sort?: Sort;
}[] = [
  {
    title: "Single-line kites",
    description:
      "One line, one hand, all afternoon. Deltas, diamonds, boxes and birds, for every wind that lets you stand up.",
    picture: "scene-beach-dawn.webp",
  },
  {
    title: "Two-line kites",
    description: "Steer, turn, stall, laugh. From first loops to kites that do what you only half meant.",
    picture: "scene-gale.webp",
  },
  { title: "First kites", description: "Strong enough for small hands and large dogs.", picture: "scene-first.webp" },
  {
    title: "Windsocks",
    description: "For gardens, boats and masts. They move when nothing else does.",
    picture: "pollack.webp",
  },
  { title: "Line & reels", description: "Everything between you and the kite.", picture: "workshop-shelf.webp" },
  {
    title: "Repair parts",
    description: "Spars, ferrules, tape and thread. We would rather you mended it.",
    picture: "workshop-rolls.webp",
  },
  {
    title: "Build it yourself",
    description: "Kits and pattern sheets, cut and drawn at our own bench.",
    picture: "workshop-bench.webp",
  },
  {
    title: "For a light breeze",
    description: "They are up when the flags hang down.",
    picture: "scene-beach-dusk.webp",
    parent: "Single-line kites",
    rules: {
      all: true,
      rules: [
        { field: "attribute", name: "Wind (Beaufort)", op: "is", value: "2" },
        { field: "attribute", name: "Lines", op: "is", value: "1" },
      ],
    },
    sort: "bestselling",
  },
  {
    title: "For a stiff wind",
    description: "Vents, stout spars, and a seam more than there has to be.",
    picture: "skua-vented.webp",
    parent: "Single-line kites",
    rules: {
      all: true,
      rules: [
        { field: "attribute", name: "Wind (Beaufort)", op: "is", value: "6" },
        { field: "attribute", name: "Lines", op: "is", value: "1" },
      ],
    },
    sort: "bestselling",
  },
  {
    title: "Reduced",
    description: "Last season’s cloth, this season’s wind.",
    picture: "offcuts.webp",
    rules: { all: true, rules: [{ field: "reduced", op: "yes", value: "" }] },
    sort: "price-up",
  },
];

export type DemoGoods = {
  readonly collection: (title: string) => string;
  readonly picture: (name: string) => string;
  readonly product: (sku: string) => string;
};

/** The product layout that every shop begins with, with what this one has to say on it. */
function demoProductLayout(collection: DemoGoods["collection"]): PageDocument {
  const say = (node: Part): Part => {
    const slots = Object.fromEntries(Object.entries(node.slots).map(([slot, inside]) => [slot, inside.map(say)]));
    if (node.kind === "assurances") {
      const signs = [
        { sign: "parcel", words: "Leaves the loft the next morning" },
        { sign: "return", words: "30 days to fly it and send it back" },
        { sign: "mend", words: "Mended here for as long as we live" },
      ];
      return { ...node, props: { ...node.props, signs }, slots };
    }
    if (node.kind === "product-details") {
      const more = [
        {
          head: "Delivery and returns",
          text: "What is in stock leaves the loft the next morning, wrapped in last year’s sailcloth. If it does not fly for you, send it back within 30 days, sand and all.",
        },
        {
          head: "Care",
          text: "Dry it before you roll it up. Rinse it when it has been in the sea. Keep it out of the sun when it is not flying: the sun is what ages cloth.",
        },
      ];
      return { ...node, props: { ...node.props, more }, slots };
    }
    if (node.slots.widgets?.some((w) => w.kind === "product-buy")) {
      const message = makeNode("product-message", {
        text: "Bring a flying partner: two-line kites are steered, not only held. The first hour is quicker with somebody who has done it.",
        sign: "wave",
        goods: { products: [], collections: [collection("Two-line kites")], tags: [] },
      });
      const widgets = slots.widgets!.flatMap((w) =>
        w.kind === "assurances" ? [makeNode("goal-meter", { arrangement: "bar" }), message, w] : [w],
      );
      return { ...node, slots: { ...slots, widgets } };
    }
    return { ...node, slots };
  };
  const { product } = firstLayouts();
  return { ...product, root: say(product.root) };
}

/** The demo shop's look and pages. */
export function demoDraft({ collection, picture, product }: DemoGoods): Draft {
  const to = (title: string): Json => ({ to: "collection", id: collection(title) });
  /** An item that leads to a collection, and opens where it holds others. */
  const inMenu = (title: string, label = "", items: readonly Part[] = []): Part => {
    const item = menuItem(to(title), label);
    return items.length ? { ...item, slots: { items } } : item;
  };
  const offers = demoOffers(collection);
  return freeze({
    look: {
      theme: "pomelo",
      identity: {
        name: DEMO_SHOP.name,
        tagline: "Kites and windsocks, sewn by the sea",
        logo: { form: "sign", sign: "kite" },
      },
      brand: {},
      versions: { winter: { ...WINTER, at: "2026-11-20T18:00:00.000Z" } },
    },
    documents: {
      ...offers,
      ...demoSeasons(offers),
      ...demoSelling(),
      frame: frameDocument(
        [
          makeNode("notice", {
            messages: [
              {
                sign: "",
                text: "Autumn gales: the vented Skua flies from 18 knots",
                until: "",
                more: "See it",
                link: { to: "product", id: product("LK-311") },
              },
              {
                sign: "",
                text: "{name:free-delivery} from {goal:free-delivery} on, wrapped in last year’s sailcloth",
                until: "",
                more: "",
                link: { to: "nowhere" },
              },
              {
                sign: "",
                text: "The loft is open Thursday to Saturday, 10 to 5",
                until: "",
                more: "",
                link: { to: "nowhere" },
              },
            ],
          }),
          makeNode("header"),
        ],
        [
          makeNode("footer", {
            about:
              "Two people, three sewing machines and a loft above the slipway. Every kite is cut, sewn and test-flown here.",
            contact:
              "The Net Loft, Slipway 3\nSkerrow Bay\nopen Thursday to Saturday, 10 to 5\nhello@larkspindle.example",
            small: "© Larkspindle Kites. A made-up shop at a made-up place.",
          }),
        ],
      ),
      [MAIN_MENU]: menuDocument(MAIN_MENU, "Main menu", [
        inMenu("Single-line kites", "Single-line", [inMenu("For a light breeze"), inMenu("For a stiff wind")]),
        inMenu("Two-line kites", "Two-line"),
        inMenu("First kites"),
        inMenu("Windsocks"),
        inMenu("Line & reels", "Line & parts", [inMenu("Repair parts"), inMenu("Reduced")]),
        inMenu("Build it yourself", "Build"),
      ]),
      [FOOTER_MENU]: menuDocument(FOOTER_MENU, "Footer menu", [
        inMenu("Single-line kites"),
        inMenu("Two-line kites"),
        inMenu("Windsocks"),
        inMenu("Repair parts"),
        inMenu("Line & reels"),
        inMenu("Build it yourself"),
        menuItem({ to: "page", id: "journal" }),
        menuItem({ to: "page", id: "about" }),
        menuItem({ to: "page", id: "custom" }),
        menuItem({ to: "page", id: "contact" }),
      ]),
      home: pageDocument("home", "Home", [
        makeNode(
          "hero",
          {
            over: "",
            heading: "Made for wind",
            text: "Kites, windsocks and line, cut and sewn in a loft above Skerrow Bay, and flown before they leave it.",
            button: "Find your kite",
            link: to("Single-line kites"),
            more: "New to kites?",
            moreLink: to("First kites"),
            picture: picture("scene-dunes-noon.webp"),
          },
          // The dunes lie below, so on a wide screen the words' tint comes from their side.
          { style: { wide: { scrimFrom: "left" } } },
        ),
        makeNode("product-grid", {
          heading: "Up in any breeze",
          text: "Single-line kites that launch from your hand.",
          collection: collection("Single-line kites"),
          most: 8,
          more: "All single-line kites",
        }),
        makeNode("picture-words", {
          over: "In the loft",
          heading: "Every seam by the same two pairs of hands",
          text: "We cut along the weave, so a sail keeps its shape for years. Seams are folded twice and stitched three times where the spars push.\n\nAnd if a dog gets it anyway: we mend what we make.",
          more: "Parts for mending",
          link: to("Repair parts"),
          picture: picture("workshop-sewing.webp"),
        }),
        makeNode(
          "freehand",
          {},
          {
            style: { all: { gap: 5, spaceTop: 5, spaceBottom: 3 } },
            slots: {
              columns: [
                [
                  "wave",
                  "Flown before it leaves",
                  "Every kite goes down to the beach first. If it pulls to one side, it goes back upstairs.",
                ],
                [
                  "leaf",
                  "Mended, not replaced",
                  "A torn panel is an hour’s work. We keep every cloth we ever used, so the colours match.",
                ],
                [
                  "house",
                  "Two days to your door",
                  "What is in stock leaves the loft the next morning, wrapped in last year’s sailcloth.",
                ],
              ].map(([sign, heading, text]) =>
                makeColumn([makeNode("point", { sign: sign!, heading: heading!, text: text! })], 33.33),
              ),
            },
          },
        ),
        makeNode(
          "poster",
          { picture: picture("scene-gale.webp") },
          {
            style: {
              all: { scrim: 78, scrimFrom: "left" },
              phone: { scrimFrom: "bottom" },
            },
            slots: {
              placed: [
                makeNode(
                  "heading",
                  { text: "Bad weather is a matter of taste." },
                  {
                    style: placedAt(
                      { x: 27, y: 36, width: 46, letters: 5.4 },
                      { x: 50, y: 64, width: 88, letters: 10.5 },
                    ),
                  },
                ),
                makeNode(
                  "words",
                  { text: "The vented Skua is at its best when the ferry stays in port." },
                  {
                    style: placedAt(
                      { x: 19, y: 64, width: 30, letters: 1.6 },
                      { x: 50, y: 80, width: 88, letters: 4.3 },
                    ),
                  },
                ),
                makeNode(
                  "button",
                  { label: "The vented Skua", link: { to: "product", id: product("LK-311") } },
                  { style: placedAt({ x: 16, y: 83, width: 24 }, { x: 50, y: 92, width: 88 }) },
                ),
              ],
            },
          },
        ),
        makeNode("collection-tiles", {
          heading: "Where to start",
          tiles: [
            "Two-line kites",
            "First kites",
            "Windsocks",
            "Line & reels",
            "Repair parts",
            "Build it yourself",
          ].map((title): Json => ({ collection: collection(title), words: "" })),
        }),
        makeNode("text", {
          heading: "If it breaks on the beach, we mend it on Monday.",
          text: "Send it, or bring it by. Most repairs cost less than a fish supper.",
        }),
        makeNode(
          "product-grid",
          {
            arrangement: "shelf",
            heading: "When it really blows",
            text: "",
            collection: collection("Two-line kites"),
            most: 8,
            more: "All two-line kites",
          },
          { style: { all: { set: "tint", headSize: 4 } } },
        ),
        makeNode("look-points", {
          arrangement: "listed",
          heading: "What lies on the bench",
          picture: picture("workshop-bench.webp"),
          points: [
            { product: product("RP-660"), x: 9, y: 25 },
            { product: product("RP-610"), x: 57.5, y: 42.5 },
            { product: product("BK-730"), x: 70, y: 78 },
          ],
        }),
        makeNode("sign-up", {
          heading: "A letter when the wind changes",
          text: "New kites, old cloth, and the first good flying days of each season.",
          button: "Write to me",
          note: "Six letters a year at most.",
        }),
      ]),
      product: demoProductLayout(collection),
      ...demoJournal({ picture, product }),
      ...demoForms(picture),
      about: pageDocument("about", "About us", [
        makeNode("hero", {
          arrangement: "beside",
          over: "About us",
          heading: "Two people and a slipway",
          text: "Ines cuts, Tam sews, and whoever is done first goes down to the beach to see whether it flies.",
          button: "What we make",
          link: to("Single-line kites"),
          more: "",
          picture: picture("workshop-bench.webp"),
        }),
        makeNode("text", {
          arrangement: "beside",
          heading: "How we work",
          text: "We make in small runs, six to twelve of a kind, and change something each time. Cloth comes off the roll, not out of a catalogue: what is left from a delta becomes the tail of a windsock.\n\nNothing leaves the loft before it has been in the air. If there is no wind for a week, parcels wait for a week. We write to you then.",
        }),
        makeNode(
          "picture-words",
          {
            over: "Skerrow Bay",
            heading: "Come and fly one first",
            text: "Thursday to Saturday the loft is open. Bring a coat: the good wind is on the north side.",
            more: "First kites",
            link: to("First kites"),
            picture: picture("scene-beach-dusk.webp"),
          },
          { style: { all: { set: "tint" } } },
        ),
      ]),
    },
  });
}
