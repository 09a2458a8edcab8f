import type { Minor } from "../money";

// A stand-in for a carrier: it gives quotes from a table of tariffs, as one would over its interface. Its name and its prices are invented.

export const CARRIER = "Tern Parcels (stand-in)";

type Step = { readonly upTo: number; readonly price: number };
/** Up to so many grams, for so much, in hundredths of whatever the shop's currency is. */
const TARIFF: Readonly<Record<"home" | "near" | "far", readonly Step[]>> = {
  home: [
    { upTo: 1_000, price: 450 },
    { upTo: 2_000, price: 550 },
    { upTo: 5_000, price: 690 },
    { upTo: 10_000, price: 990 },
    { upTo: 31_500, price: 1_690 },
  ],
  near: [
    { upTo: 1_000, price: 990 },
    { upTo: 2_000, price: 1_290 },
    { upTo: 5_000, price: 1_690 },
    { upTo: 10_000, price: 2_290 },
    { upTo: 20_000, price: 3_490 },
  ],
  far: [
    { upTo: 1_000, price: 1_890 },
    { upTo: 2_000, price: 2_690 },
    { upTo: 5_000, price: 4_190 },
    { upTo: 10_000, price: 6_490 },
  ],
};

/** What the carrier takes for a parcel; undefined where it doesn't take it. `digits`: after the point in the currency. */
export function quote(
  from: string,
  to: string,
  grams: number,
  isNear: (country: string) => boolean,
  digits: number,
): Minor | undefined {
  const row = TARIFF[from === to ? "home" : isNear(from) && isNear(to) ? "near" : "far"];
  const step = row.find(({ upTo }) => grams <= upTo);
  return step && Math.round((step.price * 10 ** digits) / 100);
}
