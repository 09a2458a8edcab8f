import { checkoutOf, laterWords, NOTHING_GIVEN, wishesOf } from "~/core/checkout";
import { emptyDocument, type PageDocument, type Part } from "~/core/document";
import { productWith, type Goods } from "~/core/goods";
import { writeOrder, type OrderRequest } from "~/core/orders";
import { price, type Line } from "~/core/offers";
import { DOCUMENT_VERSION } from "~/core/schema";
import { SELLING, sellingOf, type PostalAddress, type SellingRoot } from "~/core/selling";
import { OrderEventRow, OrderLetterRow, OrderRow } from "../database/index.server";
import { makeGiftCard } from "../gift-cards/index.server";
import { addShopper } from "../shoppers/index.server";
import { changeOrder, orderOf, placeOrder, settleOrder } from "../orders/index.server";
import type { Shop } from "../shops/index.server";

/** How the demo shop sells: from the sea to everywhere, or over the counter of the workshop. */
const ROOT: SellingRoot = {
  from: "IE",
  zones: [
    {
      id: "home",
      name: "Ireland",
      countries: ["IE"],
      ways: [
        {
          id: "post",
          name: "Parcel",
          says: "Two to three working days",
          rate: {
            by: "weight",
            steps: [
              { upTo: 2_000, price: 590 },
              { upTo: 10_000, price: 990 },
            ],
          },
        },
        { id: "quick", name: "By courier", says: "The day after tomorrow", rate: { by: "flat", price: 1490 } },
      ],
    },
    {
      id: "europe",
      name: "Europe",
      countries: ["AT", "BE", "CH", "DE", "DK", "ES", "FI", "FR", "GB", "IT", "LU", "NL", "NO", "PL", "PT", "SE"],
      ways: [{ id: "europe-parcel", name: "Parcel", says: "Four to eight working days", rate: { by: "carrier" } }],
    },
    {
      id: "far",
      name: "Everywhere else",
      countries: ["*"],
      ways: [{ id: "far-parcel", name: "Air parcel", says: "Ten to fifteen working days", rate: { by: "carrier" } }],
    },
  ],
  collect: "The workshop, 3 Pier Road, Larkspindle. Tuesday to Saturday, ten to five.",
  pieceWeight: 300,
  takesCards: true,
  tax: {
    prices: "with",
    rounding: "total",
    name: "VAT",
    rates: [
      { country: "IE", standard: 2300, reduced: 1350 },
      { country: "DE", standard: 1900, reduced: 700 },
      { country: "FR", standard: 2000, reduced: 550 },
      { country: "NL", standard: 2100, reduced: 900 },
    ],
  },
  pays: {
    card: true,
    transfer: "Larkspindle Kites, IBAN XX00 LARK 0000 0000 0000",
    onCollection: true,
  },
};

export const demoSelling = (): Readonly<Record<string, PageDocument>> => ({
  [SELLING]: emptyDocument(
    DOCUMENT_VERSION,
    "selling",
    SELLING,
    "Delivery, tax and payment",
    ROOT as unknown as Part["props"],
  ),
});

type Bought = {
  /** How long ago, in hours. */
  readonly ago: number;
  readonly to: readonly [name: string, street: string, town: string, postcode: string, country: string];
  readonly lines: readonly (readonly [sku: string, count: number])[];
  readonly pay: "card" | "transfer" | "on-collection";
  readonly note?: string;
  readonly then?: readonly ("paid" | "sent" | "ready" | "collected" | "refund" | "cancel")[];
};

/** Invented people, and what they bought. */
const BOUGHT: readonly Bought[] = [
  {
    ago: 600,
    to: ["Orla Penhallow", "14 Strand Street", "Skerries", "", "IE"],
    lines: [["LK-110", 1]],
    pay: "card",
    then: ["sent"],
  },
  {
    ago: 520,
    to: ["Jonas Brinkmann", "Deichweg 7", "Husum", "25813", "DE"],
    lines: [
      ["LK-310", 1],
      ["LK-110", 1],
    ],
    pay: "card",
    then: ["sent"],
  },
  {
    ago: 410,
    to: ["Maud Kerrigan", "", "", "", "IE"],
    lines: [["LK-110", 2]],
    pay: "on-collection",
    then: ["ready", "paid", "collected"],
  },
  {
    ago: 330,
    to: ["Tess Aldous", "2 Lighthouse Row", "Whitby", "YO22 4AB", "GB"],
    lines: [["LK-311", 1]],
    pay: "card",
    then: ["sent", "refund"],
  },
  {
    ago: 190,
    to: ["Benoît Carrel", "8 rue des Dunes", "Berck", "62600", "FR"],
    lines: [["LK-110", 1]],
    pay: "transfer",
    then: ["cancel"],
  },
  {
    ago: 97,
    to: ["Ilse van Veen", "Zeestraat 31", "Zandvoort", "2042 LB", "NL"],
    lines: [["LK-310", 2]],
    pay: "transfer",
    then: ["paid", "sent"],
  },
  {
    ago: 49,
    to: ["Fergus Tolan", "9 Harbour View", "Dingle", "", "IE"],
    lines: [
      ["LK-110", 1],
      ["LK-311", 1],
    ],
    pay: "card",
    note: "Please leave it with the harbour office.",
  },
  { ago: 26, to: ["Signe Aaberg", "Strandvejen 112", "Skagen", "9990", "DK"], lines: [["LK-110", 3]], pay: "transfer" },
  { ago: 8, to: ["Nell Dunmore", "", "", "", "IE"], lines: [["LK-310", 1]], pay: "on-collection", then: ["ready"] },
  { ago: 2, to: ["Patrick Quayle", "The Old Net Loft", "Howth", "", "IE"], lines: [["LK-311", 1]], pay: "card" },
];

const HOUR = 3_600_000;

/** Places invented orders as a shopper would, and lets happen with them what a seller does. */
export async function fillOrders(shop: Shop, goods: Goods, idOf: (sku: string) => string): Promise<void> {
  const selling = sellingOf(demoSelling());
  const orders: string[] = [];
  for (const [i, bought] of BOUGHT.entries()) {
    const lines = bought.lines.flatMap(([sku, count]): readonly Line[] => {
      const product = productWith(goods, idOf(sku));
      return product ? [{ product, variant: product.variants[0], count }] : [];
    });
    const [name, street, town, postcode, country] = bought.to;
    const isCollected = bought.pay === "on-collection";
    const mail = `${name.split(" ")[0]!.normalize("NFD").replace(/\W/g, "").toLowerCase()}@example.org`;
    const bill = (more: Partial<Parameters<typeof price>[0]>) =>
      price({ lines, offers: [], codes: [], goods, asked: { clock: `${goods.asOf.day}T12:00`, goods }, ...more });
    const values = { ...NOTHING_GIVEN, country, postcode, way: isCollected ? "collect" : "", pay: bought.pay };
    const { way, tax, priced, pay } = checkoutOf(selling, lines, values, bill, shop.currency);
    if (!way || !pay) throw new Error(`the demo order of ${name} can't be placed`);
    const to: PostalAddress = { country, name, company: "", street, more: "", district: "", town, area: "", postcode };
    const body = writeOrder({
      lines,
      priced,
      offerName: () => "",
      laterWords,
      way,
      tax,
      buyer: { mail, phone: "", name, to: isCollected ? null : to, note: bought.note ?? "", giftMessage: "" },
      pay,
      payTo: pay === "transfer" ? selling.pays.transfer! : "",
      codes: [],
      currency: shop.currency,
      moneyFormat: shop.moneyFormat,
    });
    const waits = pay === "card";
    const placed = await placeOrder(shop, {
      body,
      wishes: wishesOf(lines),
      pressed: `demo-${shop.id}-${i}`,
      isTest: false,
      waits,
    });
    if (!placed.ok) throw new Error(`the demo order of ${name} lacks goods`);
    const { id } = placed.order;
    orders.push(id);
    if (waits) await settleOrder(id, true);
    for (const what of bought.then ?? []) await changeOrder(shop.id, await asked(shop.id, id, what));
    const at = Date.now() - bought.ago * HOUR;
    await OrderRow.update({ createdAt: new Date(at) }, { where: { id } });
    const events = await OrderEventRow.findAll({ where: { orderId: id }, order: [["id", "ASC"]] });
    for (const [n, event] of events.entries())
      await event.update({ createdAt: new Date(Math.min(at + n * Math.min(20, bought.ago / 4) * HOUR, Date.now())) });
  }
  // People who are made up get no letters.
  await OrderLetterRow.destroy({ where: { orderId: orders } });
}

/** A shopper with an account, and gift cards that were given away. Everybody in it is made up. */
export async function fillShoppers(shop: Shop): Promise<void> {
  await addShopper(shop.id, { mail: "orla@example.org", name: "Orla Penhallow", password: "kites-and-string" });
  const cards = [
    [5000, "maud@example.org", "The whole crew", "birthday"],
    [2500, "", "", "plain"],
    [10_000, "jonas@example.org", "Orla", "wedding"],
  ] as const;
  for (const [amount, to, from, design] of cards)
    await makeGiftCard(shop.id, { amount, currency: shop.currency, until: null, to, from, design, message: "" });
}

async function asked(
  shopId: string,
  id: string,
  what: NonNullable<Bought["then"]>[number],
): Promise<Exclude<OrderRequest, { readonly do: "remove-tests" }>> {
  const { order } = (await orderOf(shopId, id))!;
  const { version } = order;
  switch (what) {
    case "paid":
      return { do: "paid", id, version };
    case "refund":
      return {
        do: "refund",
        id,
        version,
        amount: Math.round(order.paid / 4),
        back: [],
        text: "A spar came bent.",
        tells: false,
      };
    case "cancel":
      return { do: "cancel", id, version, text: "", tells: false };
    default:
      return { do: "hand", id, version, handed: what, text: what === "sent" ? "TP 4471 2209 IE" : "", tells: false };
  }
}
