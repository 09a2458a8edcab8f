import { useMemo } from "react";
import { accountInput, NO_PROBLEMS, type AccountSeen, type DoorSeen, type OwnOrder } from "~/core/account";
import type { GiftCardSeen } from "~/core/gift-cards";
import { priceOf, type Goods } from "~/core/goods";
import { lineTitle } from "~/core/offers";
import { sampleLines } from "./cart";
import { useEnv } from "./env";

/** When the orders were placed that pages are looked at with: moments that are the same each time. */
const AT = Date.UTC(2026, 8, 14, 9, 20);
const DAY = 86_400_000;
const STANDING = [
  ["Paid", "To be sent"],
  ["Paid", "Sent"],
  ["Paid", "Collected"],
  ["Refunded in part", "Sent"],
];

/** Somebody made up, who looks at pages. */
export const SAMPLE_PERSON = accountInput.parse({ mail: "ada@quill.example", name: "Ada Quill" });
export const SAMPLE_ADDRESS = {
  id: "home",
  country: "GB",
  name: "Ada Quill",
  company: "",
  street: "4 Quay Lane",
  more: "",
  district: "",
  town: "Larkspindle",
  area: "",
  postcode: "EX1 2AB",
};

/** Orders to look at an account with. */
export function sampleOrders(goods: Pick<Goods, "products">, count: number): readonly OwnOrder[] {
  const lines = sampleLines(goods, 12);
  return Array.from({ length: lines.length ? count : 0 }, (_each, i) => {
    const own = Array.from({ length: 1 + (i % 3) }, (_line, n) => ({
      ...lines[(i * 2 + n) % lines.length]!,
      count: 1 + (n % 2),
    }));
    return {
      number: 1042 - i * 7,
      isTest: false,
      at: AT - i * 31 * DAY,
      address: "/account/orders/sample",
      total: own.reduce((sum, { product, variant, count }) => sum + priceOf(product, variant) * count, 0),
      standing: STANDING[Math.min(i, STANDING.length - 1)]!,
      lines: own.map(({ product, variant, count }) => ({
        title: lineTitle({ product, variant }),
        picture: variant?.picture ?? product.pictures[0] ?? null,
        count,
      })),
    };
  });
}

/** An account to look at its page with. */
export const sampleAccount = (goods: Pick<Goods, "products">): AccountSeen => ({
  name: SAMPLE_PERSON.name,
  mail: SAMPLE_PERSON.mail,
  addresses: [
    SAMPLE_ADDRESS,
    { ...SAMPLE_ADDRESS, id: "work", company: "Quill and Daughters", street: "12 Mill Road" },
  ],
  orders: sampleOrders(goods, 3),
  lists: [{ name: "News", isOn: true }],
});

/** The account that the page shows; miniatures of Add show the one that pages are looked at with. */
export function useAccount(): AccountSeen & Required<Pick<AccountSeen, "problems">> {
  const { shown, goods } = useEnv();
  return useMemo(() => {
    const seen = shown?.page === "account" ? shown : sampleAccount(goods);
    return { ...seen, problems: seen.problems ?? NO_PROBLEMS };
  }, [shown, goods]);
}

/** What somebody sees who is not signed in. */
export function useDoor(): DoorSeen & Required<Pick<DoorSeen, "problems">> {
  const { shown } = useEnv();
  const seen: DoorSeen = shown?.page === "sign-in" ? shown : { door: "sign-in" };
  return { ...seen, problems: seen.problems ?? NO_PROBLEMS };
}

/** The gift card that is asked about. */
export function useGiftCard(): GiftCardSeen {
  const { shown } = useEnv();
  return shown?.page === "gift-card" ? shown : {};
}
