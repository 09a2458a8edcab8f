import type { Condition } from "~/core/conditions";
import { emptyDocument, type Json, type PageDocument, type Part } from "~/core/document";
import type { OfferRoot } from "~/core/offers";
import { DOCUMENT_VERSION } from "~/core/schema";

type Made = { readonly name: string; readonly root: OfferRoot; readonly conditions?: readonly Condition[] };

/** The demo shop's offers: percent with a code and dates, an amount, free delivery, and less for each of many. */
export function demoOffers(collection: (title: string) => string): Readonly<Record<string, PageDocument>> {
  const offers: Readonly<Record<string, Made>> = {
    "autumn-gales": {
      name: "Autumn gales",
      root: {
        gives: { sort: "percent", off: 1500, on: "all" },
        collections: [collection("Single-line kites")],
        code: "GALES15",
      },
      conditions: [{ when: "dates", from: "2026-10-24T00:00", until: "2026-12-16T00:00", yearly: true }],
    },
    "free-delivery": {
      name: "Free delivery",
      root: { gives: { sort: "delivery", off: 10_000, amount: null }, fromWorth: 6000 },
    },
    "large-orders": {
      name: "From the loft",
      root: { gives: { sort: "amount", amount: 2000, on: "all" }, fromWorth: 20_000, code: "LOFT20" },
    },
    "spare-parts": {
      name: "Spares by the handful",
      root: {
        gives: {
          sort: "steps",
          steps: [
            { from: 5, off: 1000 },
            { from: 10, off: 1500 },
          ],
        },
        collections: [collection("Repair parts")],
      },
    },
  };
  return Object.fromEntries(
    Object.entries(offers).map(([id, { name, root, conditions = [] }]) => {
      return [
        id,
        emptyDocument(DOCUMENT_VERSION, "offer", id, name, root as Part["props"], conditions as readonly Json[]),
      ];
    }),
  );
}
