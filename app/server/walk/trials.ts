import { entryOf } from "~/core/document";
import { canBuy, mostOf, stateOf, stateWords, type Goods, type Product } from "~/core/goods";
import { productAddress } from "~/core/addresses";
import { offersOf } from "~/core/offers";
import { notSelling, PAYMENT_WORDS, sellingOf, TEST_CARDS, type Payment } from "~/core/selling";
import type { WalkFinding, WalkTrial } from "~/core/walk";
import type { ShopContent } from "~/render";
import type { PageForm, SeenPage } from "./page";
import type { Shopper } from "./shopper";

/** By which orders of the walk-through are known, so that they are taken away again. */
export const WALK_MAIL = "walk-through@zest-window.example";

export type Trial = {
  readonly name: string;
  readonly page: string;
  readonly carryOut: () => Promise<Omit<WalkTrial, "name">>;
};

const good = (says: string) => ({ isGood: true, says });
const bad = (says: string) => ({ isGood: false, says });
const skipped = (says: string) => ({ isGood: true, says, isSkipped: true as const });

const formTo = (page: SeenPage, action: string, product?: string): PageForm | undefined =>
  page.forms.find(
    (form) => form.action.split("?")[0] === action && (product === undefined || form.values.get("product") === product),
  );

/** Postcodes that exist, of countries that sellers name most; from memory of each country’s own post. */
const POSTCODES: Readonly<Record<string, string>> = {
  AT: "1010",
  AU: "2000",
  BE: "1000",
  BR: "01310-100",
  CA: "K1A 0B1",
  CH: "3003",
  CZ: "110 00",
  DE: "10115",
  DK: "1050",
  ES: "28001",
  FI: "00100",
  FR: "75001",
  GB: "SW1A 1AA",
  GR: "105 57",
  HU: "1051",
  IE: "D02 AF30",
  IN: "110001",
  IT: "00118",
  JP: "100-0001",
  LU: "1111",
  MX: "06000",
  NL: "1011 AB",
  NO: "0150",
  NZ: "6011",
  PL: "00-001",
  PT: "1000-001",
  RO: "010011",
  SE: "111 20",
  SG: "018956",
  SK: "811 01",
  US: "10001",
  ZA: "0001",
};

/** What somebody writes at the checkout who buys to try it. */
const written = (country: string): Readonly<Record<string, string>> => ({
  mail: WALK_MAIL,
  name: "Automatic Shopper",
  phone: "+1 555 0100",
  street: "1 Test Street",
  town: "Testing",
  district: "Testing",
  area: "Testing",
  postcode: entryOf(POSTCODES, country) ?? "",
});

const card = (result: keyof typeof TEST_CARDS) => ({
  number: TEST_CARDS[result],
  expires: "12/39",
  code: "123",
});

type Buying = {
  readonly pay: Payment;
  readonly name: string;
  readonly card?: keyof typeof TEST_CARDS;
  readonly answer?: "yes" | "no";
};

/** Puts something into the cart and goes to the checkout with it. */
async function toCheckout(shopper: Shopper, product: Product): Promise<string | { page: SeenPage; form: PageForm }> {
  const shown = await shopper.open(productAddress(product));
  const add = formTo(shown.page, "/cart/add", product.id);
  if (!add) return "its page has no button to buy it";
  const variant = product.variants.find((each) => canBuy(product, each));
  await shopper.submit(add, productAddress(product), { count: "1", ...(variant ? { variant: variant.id } : {}) });
  const { page, at } = await shopper.open("/checkout");
  const form = formTo(page, "/checkout");
  return form && at === "/checkout" ? { page, form } : "the cart led to no checkout";
}

async function buys(shopper: Shopper, product: Product, { pay, card: number, answer }: Buying) {
  const began = await toCheckout(shopper, product);
  if (typeof began === "string") return bad(`Nothing was bought: ${began}.`);
  const country = began.form.values.get("country") ?? "";
  const values = { ...written(country), pay, ...(number ? card(number) : {}), do: "place" };
  // What is collected can be paid otherwise than what is sent.
  const ways = began.form.choices.get("way") ?? [];
  const way = pay === "on-collection" ? ways.find((each) => each === "collect") : ways[0];
  const asked = await shopper.submit(began.form, "/checkout", { ...values, ...(way ? { way } : {}), do: "look" });
  const form = formTo(asked.page, "/checkout");
  if (!form) return bad("The checkout was gone once everything was filled in.");
  if (!form.choices.get("pay")?.includes(pay)) return bad(`The checkout doesn’t offer “${PAYMENT_WORDS[pay]}”.`);
  const sent = await shopper.submit(form, "/checkout", { ...values, ...(way ? { way } : {}) });
  const said = sent.page.headings[0] ?? "";
  const where = `It led to “${said || sent.page.title}”.`;
  if (number === "declined")
    return sent.status === 402 && sent.at === "/checkout"
      ? good("The card was declined, and nothing was ordered.")
      : bad(`The card was declined, but the shop did not say so. ${where}`);
  if (number === "late") return /\/order\//.test(sent.at) ? good("No answer came, and the shop said so.") : bad(where);
  if (number === "asked") {
    const press = sent.page.forms.find((each) => each.action.endsWith(`/${answer}`));
    if (!press) return bad(`The bank’s question was not shown. ${where}`);
    const done = await shopper.submit(press, sent.at);
    const isOrdered = done.at.includes("thanks=1");
    return isOrdered === (answer === "yes")
      ? good(
          answer === "yes"
            ? "The bank’s question was answered, and it was ordered."
            : "It was left, and nothing was ordered.",
        )
      : bad(`After the answer it led to “${done.page.headings[0] ?? done.page.title}”.`);
  }
  if (!sent.at.includes("thanks=1") || sent.status !== 200) {
    const problems = /Something has to be put right first:(.{0,200})/.exec(sent.page.text)?.[1]?.trim();
    return bad(`It was not ordered. ${problems ? `The checkout says: ${problems}` : where}`);
  }
  const order = await shopper.open(sent.at.split("?")[0]!);
  return order.status === 200
    ? good(`It was ordered, and its page says “${said}”.`)
    : bad("It was ordered, but its own page can’t be seen.");
}

/** Everything that is tried besides following links. `found`: notes what is wrong on a page. */
export function trialsFor(
  shopper: Shopper,
  content: ShopContent,
  found: (finding: WalkFinding) => void,
): readonly Trial[] {
  const { goods } = content;
  const { documents } = content.draft;
  const selling = sellingOf(documents);
  const trials: Trial[] = [];
  const add = (name: string, page: string, carryOut: Trial["carryOut"]) => trials.push({ name, page, carryOut });

  const word = goods.products[0]?.title.split(/\s+/).find((each) => each.length > 3) ?? "";
  add("Search for something there is", "/search", async () => {
    if (!word) return skipped("There are no goods to be found.");
    const { page } = await shopper.open(`/search?q=${encodeURIComponent(word)}`);
    return page.links.some(({ to }) => to.startsWith("/products/"))
      ? good(`“${word}” found something.`)
      : bad(`“${word}” found nothing, although a product is called that.`);
  });
  add("Search for nothing there is", "/search", async () => {
    const { page, status } = await shopper.open("/search?q=qqzzxxq");
    return status === 200 && page.text.length > 40
      ? good("The page says that nothing was found.")
      : bad("The page says nothing.");
  });
  add("An address at which nothing stands", "/", async () => {
    const { status, page } = await shopper.open("/there-is-nothing-here");
    return status === 404 && page.links.length > 0
      ? good("The page for that leads on to others.")
      : bad(status === 404 ? "The page for that leads nowhere." : `It answered ${status} instead of 404.`);
  });
  const list = goods.collections[0] ? `/collections/${goods.collections[0].slug}` : "/collections/all";
  add("Filter a list of goods", list, async () => {
    if (goods.products.length === 0) return skipped("There are no goods to be filtered.");
    const { page } = await shopper.open(list);
    const form = page.forms.find(
      (each) => each.method === "get" && [...each.choices.keys()].length > 0 && !each.action.includes("/search"),
    );
    if (!form) return skipped("The list has no filter.");
    const [name, values] = [...form.choices].find(([key]) => key !== "sort") ?? [...form.choices][0]!;
    const value = values.find((each) => each !== "") ?? "";
    const narrowed = await shopper.submit(form, list, { [name]: value });
    return narrowed.status === 200 ? good(`Narrowed by “${value}”.`) : bad(`It answered ${narrowed.status}.`);
  });

  const states = new Map<string, Product>();
  for (const product of goods.products) if (!states.has(stateOf(product))) states.set(stateOf(product), product);
  for (const product of states.values()) {
    const says = stateWords(product, undefined, { day: goods.asOf.day, words: goods.words ?? {} });
    add(`A product that is “${says}”`, productAddress(product), async () => {
      const { page, status } = await shopper.open(productAddress(product));
      if (status !== 200) return bad(`Its page answered ${status}.`);
      const form = formTo(page, "/cart/add", product.id);
      const open = form?.buttons.some(({ words }) => words !== "");
      if (!canBuy(product))
        return open
          ? bad("Its page has a button to buy it, although it can’t be had.")
          : good("It can be seen, and not bought.");
      if (!form || !open) {
        found({
          page: productAddress(product),
          what: "It can be had, but there is no button to buy it.",
          mend: "Put “Buy” onto the layout of product pages.",
        });
        return bad("Its page has no button to buy it.");
      }
      const variant = product.variants.find((each) => canBuy(product, each));
      const added = await shopper.submit(form, productAddress(product), {
        count: "1",
        ...(variant ? { variant: variant.id } : {}),
      });
      return added.at.startsWith("/cart")
        ? good("It was put into the cart.")
        : bad(`It was not put into the cart: “${added.page.headings[0] ?? added.page.title}”.`);
    });
  }

  for (const offer of offersOf(documents)
    .filter(({ code, isOff }) => code !== "" && !isOff)
    .slice(0, 10))
    add(`The code ${offer.code}`, "/cart", async () => {
      const { page } = await shopper.open("/cart");
      const form = formTo(page, "/cart/code");
      if (!form) return skipped("The cart has no field for codes.");
      const done = await shopper.submit(form, "/cart", { code: offer.code });
      return done.at.includes("done=code")
        ? good("The cart took it.")
        : bad(`The cart did not take it: “${done.page.headings[0] ?? ""}”.`);
    });

  const lacks = notSelling(selling);
  const product = buyable(goods);
  const ways: readonly Buying[] = [
    ...(selling.pays.card
      ? ([
          { pay: "card", card: "declined", name: "A card that is declined" },
          { pay: "card", card: "asked", answer: "no", name: "A card whose bank asks, answered with no" },
          { pay: "card", card: "asked", answer: "yes", name: "A card whose bank asks, answered with yes" },
          { pay: "card", card: "late", name: "A card of which no answer comes" },
          { pay: "card", card: "paid", name: "A card that is paid" },
        ] as const)
      : []),
    ...(selling.pays.transfer === undefined ? [] : [{ pay: "transfer", name: "Bank transfer" } as const]),
    ...(selling.pays.onDelivery ? [{ pay: "on-delivery", name: "Paid on delivery" } as const] : []),
    ...(selling.pays.onCollection && selling.collect !== undefined
      ? [{ pay: "on-collection", name: "Paid on collection" } as const]
      : []),
  ];
  if (lacks || !product)
    add("Buying something", "/cart", () =>
      Promise.resolve(
        skipped(
          lacks ? `Nobody can buy yet: ${lacks} is not set up.` : "There is nothing that can be bought just now.",
        ),
      ),
    );
  else {
    add("A checkout that is left empty", "/checkout", async () => {
      const began = await toCheckout(shopper, product);
      if (typeof began === "string") return bad(`It could not be reached: ${began}.`);
      const sent = await shopper.submit(began.form, "/checkout", { mail: "", name: "", do: "place" });
      return sent.status === 422
        ? good("It says what is missing.")
        : bad(`It answered ${sent.status} instead of saying what is missing.`);
    });
    for (const way of ways) add(way.name, "/checkout", () => buys(shopper, product, way));
  }

  const signUp = { name: "Signing up with something that is no address", page: "/" };
  add(signUp.name, signUp.page, async () => {
    const { page } = await shopper.open("/");
    const form = formTo(page, "/sign-up");
    if (!form) return skipped("The home page has no sign-up.");
    const sent = await shopper.submit(form, "/", { address: "nobody@" });
    return sent.status === 422 ? good("It says so, and nobody is signed up.") : bad(`It answered ${sent.status}.`);
  });
  return trials;
}

/** What there is most of, of what can be sent at once: nobody is to miss what is tried. */
function buyable({ products }: Goods): Product | undefined {
  const left = (product: Product) =>
    Math.max(...(product.variants.length ? product.variants.map((each) => mostOf(product, each)) : [mostOf(product)]));
  return products
    .filter((product) => ["in-stock", "low"].includes(stateOf(product)) && !product.isGiftCard && product.price > 0)
    .reduce<Product | undefined>((best, each) => (best && left(best) >= left(each) ? best : each), undefined);
}
