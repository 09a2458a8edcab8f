import { NOTHING_WRITTEN, type AccountSeen, type Door, type DoorSeen, type SavedAddress } from "~/core/account";
import { GIFT_CARD, type GiftCardSeen } from "~/core/gift-cards";
import type { Goods } from "~/core/goods";
import { SAMPLE_ADDRESS, SAMPLE_PERSON, sampleAccount, sampleOrders } from "~/kinds/parts";
import { NO_PRODUCT } from "./cart-target";

/** The page on which somebody signs in, makes an account, or asks for a new password. */
export type DoorTarget = { readonly page: "sign-in" } & DoorSeen;
export type AccountTarget = { readonly page: "account" } & AccountSeen;
export type GiftCardTarget = { readonly page: "gift-card" } & GiftCardSeen;

export const DOOR_NAMES: Readonly<Record<Door, string>> = {
  "sign-in": "Sign in",
  register: "Make an account",
  forgotten: "Forgotten password",
  password: "New password",
};

const CASE = "case";
const wished = (address: string | null): string | null =>
  address === null ? null : new URL(address, "http://shop.example").searchParams.get(CASE);

const LONG_NAME = "Maximiliana Featherstonehaugh-Cholmondeley of the Northern Lighthouse Board";
const LONG_MAIL = "maximiliana.featherstonehaugh-cholmondeley@an-unusually-long-name-of-a-house.example";

type DoorCase = { readonly name: string; readonly seen: DoorSeen };
const DOOR_CASES: ReadonlyMap<string, DoorCase> = new Map(
  Object.entries({
    wrong: {
      name: "Wrong password",
      seen: { door: "sign-in", values: SAMPLE_PERSON, said: "The address or the password is wrong." },
    },
    register: { name: "Make an account", seen: { door: "register" } },
    blank: {
      name: "Something is missing",
      seen: {
        door: "register",
        values: NOTHING_WRITTEN,
        problems: new Map([
          ["name", "Please write your name."],
          ["mail", "Please write your mail address."],
        ]),
      },
    },
    sent: { name: "Letter on its way", seen: { door: "register", values: SAMPLE_PERSON, isSent: true } },
    forgotten: { name: "Forgotten password", seen: { door: "forgotten" } },
    password: { name: "New password", seen: { door: "password", values: SAMPLE_PERSON } },
  } satisfies Readonly<Record<string, DoorCase>>),
);

export const doorCases = () =>
  [...DOOR_CASES].map(([id, { name }]) => ({ name, address: `/account/sign-in?${CASE}=${id}` }));

/** The page to sign in, to look at: one of the hard cases, by its address, or with nothing written yet. */
export const doorShown = (door: Door, address: string | null): DoorTarget => ({
  page: "sign-in",
  ...(DOOR_CASES.get(wished(address) ?? "")?.seen ?? { door }),
});

const LONG_ADDRESS: SavedAddress = {
  ...SAMPLE_ADDRESS,
  id: "long",
  name: LONG_NAME,
  company: "The Honourable Society of Kite Makers, Menders and Flyers",
  street: "The Old Lighthouse Keepers’ Cottages, Upper Saint Bartholomew’s Causeway 1184",
  more: "Third floor, the door on the left behind the stairs",
  town: "Llanfairpwllgwyngyllgogerychwyrndrobwllllantysiliogogogoch",
};
const orders = (goods: Goods, count: number) =>
  sampleOrders(goods.products.length ? goods : { products: [NO_PRODUCT] }, count);

type AccountCase = { readonly name: string; readonly seen: (goods: Goods) => AccountSeen };
const usual = (goods: Goods): AccountSeen => ({ ...sampleAccount(goods), orders: orders(goods, 3) });
const ACCOUNT_CASES: ReadonlyMap<string, AccountCase> = new Map(
  Object.entries({
    empty: {
      name: "Nothing in it yet",
      seen: (goods) => ({ ...usual(goods), addresses: [], orders: [], lists: [{ name: "News", isOn: false }] }),
    },
    many: { name: "20 orders", seen: (goods) => ({ ...usual(goods), orders: orders(goods, 20), older: "/account" }) },
    long: {
      name: "Longest names",
      seen: (goods) => ({
        ...usual(goods),
        name: LONG_NAME,
        mail: LONG_MAIL,
        addresses: [LONG_ADDRESS, SAMPLE_ADDRESS],
        lists: [
          { name: "News", isOn: true },
          { name: "First to hear of new kites and of what is mended in the workshop", isOn: false },
        ],
      }),
    },
    address: {
      name: "An address is wrong",
      seen: (goods) => ({
        ...usual(goods),
        at: "address",
        editing: { ...SAMPLE_ADDRESS, postcode: "12" },
        problems: new Map([["postcode", "“12” can’t be the postcode there. Please check it."]]),
      }),
    },
    wrong: {
      name: "Wrong password",
      seen: (goods) => ({
        ...usual(goods),
        at: "password",
        problems: new Map([["password", "This is not your password."]]),
      }),
    },
    saved: {
      name: "Just saved",
      seen: (goods) => ({ ...usual(goods), at: "details", said: "Your name is saved.", isGood: true }),
    },
  } satisfies Readonly<Record<string, AccountCase>>),
);

export const accountCases = () =>
  [...ACCOUNT_CASES].map(([id, { name }]) => ({ name, address: `/account?${CASE}=${id}` }));

/** An account to look at its page with. */
export const accountShown = (goods: Goods, address: string | null): AccountTarget => ({
  page: "account",
  ...(ACCOUNT_CASES.get(wished(address) ?? "")?.seen ?? usual)(goods),
});

/** Moments that are the same each time. */
const AT = Date.UTC(2026, 8, 14, 9, 20);
const DAY = 86_400_000;
const CARD = {
  code: "ACDEFGHJKMNPQRTW",
  amount: 5000,
  left: 3250,
  currency: "",
  until: Date.UTC(2029, 11, 31),
  isOff: false,
  uses: [{ at: AT, amount: 1750, order: 1042 }],
};
const CARD_CASES: ReadonlyMap<string, { readonly name: string; readonly seen: GiftCardSeen }> = new Map(
  Object.entries({
    blank: { name: "Nothing asked yet", seen: {} },
    spent: {
      name: "Nothing left",
      seen: {
        card: {
          ...CARD,
          left: 0,
          uses: Array.from({ length: 6 }, (_each, i) => ({ at: AT - i * DAY, amount: 800 + i * 13, order: 1042 - i })),
        },
      },
    },
    unknown: {
      name: "No such card",
      seen: { asked: "ACDE FGHJ", problem: "There is no card with this code. Please check it." },
    },
  } satisfies Readonly<Record<string, { readonly name: string; readonly seen: GiftCardSeen }>>),
);
export const giftCardCases = () =>
  [...CARD_CASES].map(([id, { name }]) => ({ name, address: `${GIFT_CARD}?${CASE}=${id}` }));

/** A gift card to look at its page with. */
export const giftCardShown = (address: string | null): GiftCardTarget => ({
  page: "gift-card",
  ...(CARD_CASES.get(wished(address) ?? "")?.seen ?? { card: CARD }),
});
