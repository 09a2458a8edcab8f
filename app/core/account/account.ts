import { z } from "zod";
import { entryOf } from "../document";
import { standingWords, type Order } from "../orders";
import { addressInput, addressProblems, plainAddress, type PostalAddress } from "../selling";

// What a shopper can do who has an account, as forms ask for it and pages show it. A mail address is known to be somebody’s only once they
// have opened the link in a letter to it: until then there is no account, and orders to it are shown to nobody.

/** Mail address, as it is kept and compared: one spelling for all that mean the same. Letters that can't be seen are left out. */
export const plainMail = (address: string): string =>
  address
    .normalize("NFKC")
    .replace(/[\p{Cf}\p{Cc}\s]/gu, "")
    .toLowerCase();

export const SHORTEST_PASSWORD = 10;
export const LONGEST_PASSWORD = 200;
export const MOST_ADDRESSES = 12;
export const MOST_NAME = 120;

const text = z.string().max(1000).catch("");
const line = z
  .string()
  .max(1000)
  .catch("")
  .transform((given) => given.replace(/[\p{Cc}\u2028\u2029]+/gu, " ").trim());

/** What a form of an account sends, as it was typed. */
export const accountInput = z.object({
  mail: line,
  name: line,
  password: text,
  /** The new one, where the old one is asked for as well. */
  fresh: text,
  token: z.string().max(100).catch(""),
  /** Where to go on after signing in. */
  to: z.string().max(200).catch(""),
});
export type AccountValues = z.infer<typeof accountInput>;
export const NOTHING_WRITTEN: AccountValues = accountInput.parse({});

export type Problems = ReadonlyMap<string, string>;
export const NO_PROBLEMS: Problems = new Map();

const isMail = (address: string): boolean => address.length <= 254 && z.email().safeParse(address).success;

export const mailProblem = (address: string): string | undefined =>
  address === ""
    ? "Please write your mail address."
    : isMail(plainMail(address))
      ? undefined
      : "That is not a mail address. Please check it.";

export const nameProblem = (name: string): string | undefined =>
  name === ""
    ? "Please write your name."
    : name.length > MOST_NAME
      ? `Please keep it to ${MOST_NAME} characters.`
      : undefined;

/** Why a password can't be taken; length is all that is asked of one (ASVS 5.0, V6.2, from memory). */
export const passwordProblem = (password: string, { mail, name }: { readonly mail: string; readonly name: string }) =>
  password === ""
    ? "Please choose a password."
    : [...password].length < SHORTEST_PASSWORD
      ? `Please use at least ${SHORTEST_PASSWORD} characters.`
      : password.length > LONGEST_PASSWORD
        ? "That is too long."
        : [mail, mail.split("@")[0]!, name].some((own) => own !== "" && password.toLowerCase() === own.toLowerCase()) ||
            new Set(password).size < 4
          ? "That is too easily guessed. Please choose another one."
          : undefined;

/** Problems of some fields, without those that have none. */
export const problemsOf = (all: Readonly<Record<string, string | undefined>>): Problems =>
  new Map(Object.entries(all).filter((entry): entry is [string, string] => entry[1] !== undefined));

/** The parts of the page on which somebody signs in. */
export const DOORS = ["sign-in", "register", "forgotten", "password"] as const;
export type Door = (typeof DOORS)[number];

/** Where an account is seen. */
export const ACCOUNT = "/account";
export const ADDRESS_OF_DOOR: Readonly<Record<Door, string>> = {
  "sign-in": "/account/sign-in",
  register: "/account/register",
  forgotten: "/account/forgotten",
  password: "/account/password",
};
/** The door at an address; undefined where there is none. */
export const doorAt = (path: string): Door | undefined => DOORS.find((door) => ADDRESS_OF_DOOR[door] === path);

/** What is seen by somebody who is not signed in yet. */
export type DoorSeen = {
  readonly door: Door;
  readonly values?: AccountValues;
  readonly problems?: Problems;
  /** What is said above everything: why it did not work. */
  readonly said?: string;
  /** A letter is on its way, whether there is such an account or not. */
  readonly isSent?: boolean;
};

/** An address that is kept. */
export type SavedAddress = PostalAddress & { readonly id: string };

export const savedAddress = addressInput.extend({ id: z.string().min(1).max(40) });

/** An order as a list shows it to whoever bought it. */
export type OwnOrder = Pick<Order, "number" | "isTest" | "at"> & {
  /** Where it is seen, without what stands before it. */
  readonly address: string;
  readonly total: number;
  /** As they were when it was ordered; absent: the shop’s own. */
  readonly currency?: string;
  readonly moneyFormat?: string;
  readonly standing: readonly string[];
  readonly lines: readonly { readonly title: string; readonly picture: string | null; readonly count: number }[];
};

export const ownOrder = (order: Order, address: string): OwnOrder => ({
  number: order.number,
  isTest: order.isTest,
  at: order.at,
  address,
  total: order.body.total,
  currency: order.body.currency,
  moneyFormat: order.body.moneyFormat,
  standing: standingWords(order),
  lines: order.body.lines.map(({ title, picture, count }) => ({ title, picture, count })),
});

/** A list of letters, and whether they are on it. */
export type OwnList = { readonly name: string; readonly isOn: boolean };

/** The parts of an account’s page that have a form. */
export const ACCOUNT_PARTS = ["details", "mail", "password", "address", "lists", "delete"] as const;
export type AccountPart = (typeof ACCOUNT_PARTS)[number];

/** An account as its page shows it. */
export type AccountSeen = {
  readonly name: string;
  readonly mail: string;
  readonly addresses: readonly SavedAddress[];
  readonly orders: readonly OwnOrder[];
  /** There are more orders than are shown. */
  readonly older?: string | undefined;
  readonly lists: readonly OwnList[];
  /** Which form was sent last: its problems stand in it, and so does what became of it. */
  readonly at?: AccountPart;
  readonly problems?: Problems;
  /** What is said at that part, or above all of it where it is of none. */
  readonly said?: string;
  readonly isGood?: boolean;
  /** The address that is being written: one that is kept, or a new one (its id is empty). */
  readonly editing?: SavedAddress | undefined;
};

/** The address that a form sent, and what is wrong with it. */
export function addressSent(body: Readonly<Record<string, unknown>>): {
  readonly address: PostalAddress;
  readonly problems: Problems;
} {
  const text = (name: string) => {
    const given = entryOf(body, name);
    return typeof given === "string" ? given : "";
  };
  const loose = Object.fromEntries(
    ["country", "name", "company", "street", "more", "district", "town", "area", "postcode"].map((field) => [
      field,
      text(field).slice(0, 1000),
    ]),
  );
  const read = addressInput.safeParse(loose);
  if (!read.success) {
    const problems = new Map(read.error.issues.map((issue) => [String(issue.path[0]), issue.message]));
    return { address: loose as unknown as PostalAddress, problems };
  }
  const address = plainAddress(read.data);
  return { address, problems: new Map(addressProblems(address)) };
}

const flat = ({ country, name, company, street, more, district, town, area, postcode }: PostalAddress): string =>
  [country, name, company, street, more, district, town, area, postcode]
    .map((each) => each.trim().toLowerCase())
    .join("\n");

/** Whether two addresses are the same, whatever their capitals. */
export const sameAddress = (a: PostalAddress, b: PostalAddress): boolean => flat(a) === flat(b);

/** Addresses with one more, the latest first; one that is there already moves to the front. */
export function withAddress(all: readonly SavedAddress[], address: PostalAddress, id: string): readonly SavedAddress[] {
  const known = all.find((each) => sameAddress(each, address));
  const rest = all.filter((each) => each !== known);
  return [{ ...address, id: known?.id ?? id }, ...rest].slice(0, MOST_ADDRESSES);
}

/** Where somebody may be led on to inside of a shop: nothing that leads out of it. */
export const wayOn = (to: string): string => (/^\/(?![/\\])[\w\-/]*$/.test(to) ? to : "/account");
