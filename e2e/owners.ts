import type { Page } from "@playwright/test";
import { changeSelling } from "~/core/commands";
import { applyAll } from "~/core/operations";
import type { SellingRoot } from "~/core/selling";
import { OVER, type Draft, type Part } from "~/core/document";
import { readCsv } from "~/core/formats";
import { createAccount, openSession, sessionCookie } from "~/server/accounts/index.server";
import { configure, readConfig } from "~/server/config/index.server";
import { connect, Owner } from "~/server/database/index.server";
import { DEMO_OWNER } from "~/server/demo/index.server";
import { importGoods } from "~/server/goods/index.server";
import { pendingChanges, publish } from "~/server/publishing/index.server";
import { createShop, shopsOf, starterDraft, type Shop } from "~/server/shops/index.server";
import { DATABASE, DATA, STUDIO } from "./place";

// Owners, shops and sessions as the application makes them, without the way through its pages: that way is a journey of its
// own, and to walk it before each of the others would take longer than they do.

let count = 0;
let isConnected = false;

function atWork(): void {
  if (isConnected) return;
  const settings = readConfig({ ZEST_DATABASE: DATABASE, ZEST_DATA: DATA });
  configure(settings);
  connect(settings.database, 2);
  isConnected = true;
}

async function enter(page: Page, ownerId: string, path: string): Promise<void> {
  const [name, value] = sessionCookie(await openSession(ownerId), false)
    .split(";")[0]!
    .split("=");
  await page.context().addCookies([{ name: name!, value: value!, url: STUDIO }]);
  await page.goto(STUDIO + path);
}

/** What an owner is called and signs in with, unlike any other of this run. */
export function somebody() {
  const n = `${Date.now().toString(36)}${process.env.TEST_PARALLEL_INDEX ?? ""}${++count}`;
  return {
    host: `shop-${n}`,
    name: `Shop ${n}`,
    address: `owner-${n}@shop.example`,
    password: "a long enough password",
  };
}

/** A new account with a shop of its own, so that a journey disturbs no other; signed in, in the area that is given. */
export async function openShop(page: Page, { area = "pages", ...making }: Making & { readonly area?: string } = {}) {
  const { owner, ownerId, shop } = await makeShop(making);
  await enter(page, ownerId, `/s/${shop.id}/${area}`);
  return owner;
}

type Making = {
  readonly theme?: string;
  readonly name?: string;
  readonly goods?: string;
  /** The sections of its home page; absent: those that a new shop has. */
  readonly main?: readonly Part[] | undefined;
  /** What lies over its pages. */
  readonly over?: readonly Part[] | undefined;
  /** How it sells; absent: not yet. */
  readonly sells?: SellingRoot;
  /** What else is otherwise than in a new shop. */
  readonly also?: (draft: Draft) => Draft;
};

const withSelling = (draft: Draft, sells: SellingRoot | undefined): Draft => {
  const made = sells && changeSelling(draft, sells);
  if (!made) return draft;
  if (!made.ok) throw new Error(made.why);
  const done = applyAll(draft, made.transaction.operations);
  if (!done.ok) throw new Error(done.code);
  return done.draft;
};

const withOver = (draft: Draft, over: readonly Part[] | undefined): Draft => {
  const frame = draft.documents.frame!;
  if (!over) return draft;
  const root = { ...frame.root, slots: { ...frame.root.slots, [OVER]: over } };
  return { ...draft, documents: { ...draft.documents, frame: { ...frame, root } } };
};

const withHome = (draft: Draft, main: readonly Part[] | undefined): Draft => {
  const home = draft.documents.home!;
  if (!main) return draft;
  const root = { ...home.root, slots: { ...home.root.slots, main } };
  return { ...draft, documents: { ...draft.documents, home: { ...home, root } } };
};

/** A shop that is published already, in a theme and under a name, without anybody signed in. Gives its host name. */
export async function publishedShop(making: Making = {}): Promise<string> {
  const { shop } = await makeShop(making);
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
  return shop.host;
}

async function makeShop({
  goods = "",
  theme = "pomelo",
  name: shopName = "",
  main,
  over,
  sells,
  also = (draft) => draft,
}: Making) {
  atWork();
  const owner = somebody();
  const { name, address, password, host } = owner;
  const account = await createAccount({ name: "Owner", address, password });
  if (!account.ok) throw new Error(account.why);
  const draft = also(withSelling(withOver(withHome(starterDraft(shopName || name), main), over), sells));
  const made = await createShop(
    account.owner.id,
    { name, host, currency: "EUR", timeZone: "Europe/London" },
    { ...draft, look: { ...draft.look, theme } },
  );
  if (!made.ok) throw new Error(made.why);
  if (goods) await importGoods(made.shop, readCsv(goods));
  return { owner, ownerId: account.owner.id, shop: made.shop };
}

/** The demo shop. */
export async function demoShop(): Promise<Shop> {
  atWork();
  const owner = (await Owner.findOne({ where: { address: DEMO_OWNER.address } }))!;
  const [shop] = await shopsOf(owner.id);
  return shop!;
}

/** The demo shop and its owner's session, in the area that is given. */
export async function openDemo(page: Page, { area = "pages" } = {}): Promise<Shop> {
  const shop = await demoShop();
  await enter(page, shop.ownerId, `/s/${shop.id}/${area}`);
  return shop;
}
