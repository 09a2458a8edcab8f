import { strToU8, zipSync } from "fflate";
import sharp from "sharp";
import { beforeAll, describe, expect, it } from "vitest";
import { openSession } from "~/server/accounts/index.server";
import { ownerWithShop } from "~/server/fixtures/owner";
import { allGoodsOf, goodsSteps, reviewsOf, settingsOf } from "~/server/goods/index.server";
import { picturesOf } from "~/server/pictures/index.server";
import { freshShop } from "~/server/shops/index.server";
import { action as bringIn } from "./goods-bring-in";
import { action as change } from "./goods-change";
import { loader as goodsFile } from "./goods-file";
import { action as film } from "./film";
import { action as keep, loader as missed } from "./keep";
import { action as draftLink, loader as draftLinks } from "./draft-link";
import { action as money } from "./money";
import { loader as rework } from "./picture-rework";
import { action as plans, loader as planned } from "./plans";
import { action as publish, loader as pending } from "./publish";
import { action as upload } from "./upload";
import { action as versions, loader as versionsOf } from "./versions";

// What routes do with whatever comes, from whomever: every one of them asks who it is, and believes nothing that is sent.

type Route = (args: { request: Request; params: { shop: string } }) => Promise<Response>;
const ACTIONS = {
  bringIn,
  change,
  draftLink,
  film,
  keep,
  money,
  plans,
  publish,
  upload,
  versions,
} as unknown as Record<string, Route>;
const LOADERS = { draftLinks, goodsFile, missed, pending, planned, rework, versionsOf } as unknown as Record<
  string,
  Route
>;

type Owned = Awaited<ReturnType<typeof ownerWithShop>> & { cookie: string };
const owner = async (): Promise<Owned> => {
  const owned = await ownerWithShop();
  return { ...owned, cookie: `zest_session=${await openSession(owned.ownerId)}` };
};

/** What a route answers, thrown or returned, and as what status. */
async function answered(run: Promise<Response>): Promise<{ status: number; response: Response | undefined }> {
  try {
    const response = await run;
    return { status: response.status, response };
  } catch (thrown) {
    if (thrown instanceof Response) return { status: thrown.status, response: thrown };
    // What `data()` makes carries its status beside what it says.
    const init = (thrown as { init?: ResponseInit | null }).init;
    if (init?.status) return { status: init.status, response: undefined };
    throw thrown;
  }
}
const request = (body: BodyInit | undefined, cookie: string, signal?: AbortSignal) =>
  new Request("http://studio.example/s/x/y.csv", {
    method: body === undefined ? "GET" : "POST",
    headers: {
      ...(cookie ? { Cookie: cookie } : {}),
      ...(typeof body === "string" ? { "Content-Type": "application/json" } : {}),
    },
    ...(body === undefined ? {} : { body }),
    ...(signal ? { signal } : {}),
  });
const ask = (route: Route, shop: string, body: BodyInit | undefined, cookie: string, signal?: AbortSignal) =>
  answered(route({ request: request(body, cookie, signal), params: { shop } }));

const form = (fields: Record<string, string | File>): FormData => {
  const body = new FormData();
  for (const [name, value] of Object.entries(fields)) body.append(name, value);
  return body;
};
const csv = (text: string, name = "goods.csv") => new File([text], name, { type: "text/csv" });
const FILE = "SKU,Title,Price\nA,Apple,1.00\nB,Banana,2.00\n";

let mine: Owned;
let other: Owned;
beforeAll(async () => {
  [mine, other] = [await owner(), await owner()];
});

describe.each(Object.entries(ACTIONS))("%s", (_name, route) => {
  it("asks who it is, and has nothing to do with another's shop", async () => {
    expect((await ask(route, mine.shop.id, "{}", "")).status).toBe(401);
    expect((await ask(route, mine.shop.id, "{}", "zest_session=made-up")).status).toBe(401);
    expect((await ask(route, mine.shop.id, "{}", other.cookie)).status).toBe(404);
    expect((await ask(route, "no-such-shop", "{}", mine.cookie)).status).toBe(404);
  });
});

describe.each(Object.entries(LOADERS))("%s", (_name, route) => {
  it("sends strangers to sign in, and shows nobody another's shop", async () => {
    const stranger = await ask(route, mine.shop.id, undefined, "");
    expect(stranger.status).toBe(302);
    expect(stranger.response!.headers.get("Location")).toMatch(/^\/sign-in\?to=%2Fs%2F/);
    expect((await ask(route, mine.shop.id, undefined, other.cookie)).status).toBe(404);
  });

  it("tells a script that nobody is signed in, which could make nothing of a page", async () => {
    const asked = new Request("http://studio.example/s/x/y", { headers: { Accept: "application/json" } });
    expect((await answered(route({ request: asked, params: { shop: mine.shop.id } }))).status).toBe(401);
  });
});

describe("changes of goods", () => {
  const send = async (body: unknown) => {
    const { status, response } = await ask(
      ACTIONS.change!,
      mine.shop.id,
      typeof body === "string" ? body : JSON.stringify(body),
      mine.cookie,
    );
    return { status, said: (await response!.json()) as Record<string, unknown> };
  };

  it.each([
    ["no JSON", "{"],
    ["nothing", "null"],
    ["no intent", {}],
    ["an unheard-of intent", { intent: "give-away" }],
    ["more than belongs there", { intent: "undo", really: true }],
    ["no ids", { intent: "remove", ids: [] }],
    ["an id as long as a book", { intent: "duplicate", id: "x".repeat(41) }],
    ["a number for an id", { intent: "remove-review", id: 7 }],
    ["a change of everything", { intent: "bulk", change: { ids: ["a"], set: { version: 9 } } }],
    ["a price below nothing", { intent: "bulk", change: { ids: ["a"], set: { price: -5 } } }],
    ["a state of no review", { intent: "reviews", change: { ids: ["a"], state: "loved" } }],
  ])("that are %s are refused with a reason", async (_what, body) => {
    const { status, said } = await send(body);
    expect(status).toBe(422);
    expect(said).toMatchObject({ problems: [{ why: expect.any(String) as string }] });
  });

  it("of what is not there any more are answered, and nothing is made up", async () => {
    const before = await allGoodsOf(await freshShop(mine.shop));
    expect(await send({ intent: "duplicate", id: "gone" })).toMatchObject({
      status: 404,
      said: { problems: [{ why: "This product is no longer there." }] },
    });
    expect(await send({ intent: "remove", ids: ["gone"] })).toEqual({ status: 200, said: {} });
    expect(await send({ intent: "remove-collection", id: "gone" })).toEqual({ status: 200, said: {} });
    expect(await send({ intent: "undo" })).toEqual({ status: 200, said: { label: null } });
    expect(await allGoodsOf(await freshShop(mine.shop))).toEqual(before);
    expect(await goodsSteps(mine.shop.id)).toEqual({ undo: null, redo: null });
  });
});

describe("bringing in", () => {
  const send = async (fields: Record<string, string | File>, to: Owned = mine, signal?: AbortSignal) => {
    const { status, response } = await ask(ACTIONS.bringIn!, to.shop.id, form(fields), to.cookie, signal);
    return { status, type: response!.headers.get("Content-Type"), body: response! };
  };
  const lines = async (response: Response) =>
    (await response.text())
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line) as { step: string; at?: number; of?: number; why?: string; added?: number });

  it.each([
    ["no file", { intent: "plan" }],
    ["a word for a file", { intent: "plan", file: "goods.csv" }],
    ["no intent", { file: csv(FILE) }],
    ["columns that are no JSON", { intent: "plan", file: csv(FILE), columns: "{" }],
    ["columns that are a list", { intent: "import", file: csv(FILE), columns: "[1]" }],
    ["a column that means nothing known", { intent: "import", file: csv(FILE), columns: '{"SKU":"soul"}' }],
  ])("with %s is refused, and nothing is stored", async (_what, fields) => {
    const { status, body } = await send(fields);
    expect(status).toBe(422);
    expect(await body.json()).toMatchObject({ step: "refused" });
    expect((await allGoodsOf(await freshShop(mine.shop))).products).toEqual([]);
  });

  it("looks first, and stores nothing by looking", async () => {
    const { status, body } = await send({ intent: "plan", file: csv(`${FILE}C,Cherry,lots\n`) });
    expect(status).toBe(200);
    expect(await body.json()).toMatchObject({
      step: "planned",
      plan: { counts: { new: 2, changed: 0, same: 0 }, problems: [{ line: 4, column: "price" }] },
      problems: 1,
    });
    expect((await allGoodsOf(await freshShop(mine.shop))).products).toEqual([]);
  });

  it("tells how far it is, brings pictures and goods, and remembers what columns were said to mean", async () => {
    const to = await owner();
    const red = await sharp({ create: { width: 40, height: 40, channels: 3, background: "#a00" } })
      .png()
      .toBuffer();
    const archive = new File(
      [new Uint8Array(zipSync({ "red.png": new Uint8Array(red), "x.txt": strToU8("x") }))],
      "pictures.zip",
    );
    const file = csv("Nr,Was,Wert,Bild\nA,Apple,1.00,red.png\n");
    const columns = JSON.stringify({ Nr: "sku", Was: "title", Wert: "price", Bild: "pictures" });
    const first = await send({ intent: "import", file, archive, columns }, to);
    expect(first.type).toBe("application/x-ndjson");
    const told = await lines(first.body);
    expect(told.map((l) => l.step)).toEqual(["pictures", "lines", "lines", "done"]);
    expect(told.at(-1)).toMatchObject({ added: 1, pictures: { added: 1, known: 0, problems: [] } });
    const { products } = await allGoodsOf(await freshShop(to.shop));
    expect(products).toMatchObject([{ sku: "A", title: "Apple", price: 100 }]);
    expect(products[0]!.pictures).toEqual((await picturesOf(to.shop.id)).map((p) => p.id));
    expect((await settingsOf(to.shop.id)).columns).toMatchObject({ Wert: "price" });
    // The next file of that make is understood without a word, when it is looked at and when it comes in.
    const next = csv("Nr,Was,Wert\nA,Apple,1.50\nB,Banana,2.00\n");
    expect(await (await send({ intent: "plan", file: next }, to)).body.json()).toMatchObject({
      plan: { counts: { new: 1, changed: 1, same: 0 } },
    });
    expect((await lines((await send({ intent: "import", file: next }, to)).body)).at(-1)).toMatchObject({
      step: "done",
      added: 1,
    });
  });

  it("stops when whoever asked hangs up, and then none of the goods is there", async () => {
    const to = await owner();
    const many = Array.from({ length: 6000 }, (_, i) => `S-${i},Thing ${i},${i}.00`).join("\n");
    const hangUp = new AbortController();
    const { body } = await send({ intent: "import", file: csv(`SKU,Title,Price\n${many}`) }, to, hangUp.signal);
    const reader = body.body!.pipeThrough(new TextDecoderStream()).getReader();
    let heard = "";
    for (let { done, value } = await reader.read(); !done; { done, value } = await reader.read()) {
      heard += value;
      // It is well under way, and not done.
      if (/"at":500,/.test(heard)) hangUp.abort();
    }
    expect(heard).toMatch(/"step":"stopped"\}\n$/);
    expect((await allGoodsOf(await freshShop(to.shop))).products).toEqual([]);
    expect((await goodsSteps(to.shop.id)).undo).toBeNull();
  });

  it("takes a broken archive for what it is, before any of the goods", async () => {
    const to = await owner();
    const archive = new File(["PK nothing of the kind"], "pictures.zip");
    const told = await lines((await send({ intent: "import", file: csv(FILE), archive }, to)).body);
    expect(told).toMatchObject([{ step: "refused", why: expect.stringContaining("archive") as string }]);
    expect((await allGoodsOf(await freshShop(to.shop))).products).toEqual([]);
  });

  it("of reviews looks first, then brings in what was understood, once", async () => {
    const to = await owner();
    await lines((await send({ intent: "import", file: csv(FILE) }, to)).body);
    const file = csv("sku,stars,text,name\nA,5,Crisp,Ann\nX,5,Good,Bo\n");
    expect(await (await send({ intent: "plan-reviews", file }, to)).body.json()).toMatchObject({
      count: 1,
      problems: [{ line: 3, column: "sku" }],
    });
    expect(await reviewsOf(to.shop.id)).toEqual([]);
    const bring = async () => (await send({ intent: "import-reviews", file }, to)).body.json();
    expect(await bring()).toEqual({ step: "done", added: 1, known: 0 });
    expect(await bring()).toEqual({ step: "done", added: 0, known: 1 });
  });

  it("what is saved as a file is brought in again without a change", async () => {
    const to = await owner();
    await lines((await send({ intent: "import", file: csv(FILE) }, to)).body);
    const saved = await ask(LOADERS.goodsFile!, to.shop.id, undefined, to.cookie);
    expect(saved.response!.headers.get("Content-Disposition")).toBe(`attachment; filename="${to.shop.host}-goods.csv"`);
    const again = csv(await saved.response!.text());
    expect(await (await send({ intent: "plan", file: again }, to)).body.json()).toMatchObject({
      plan: { counts: { new: 0, changed: 0, same: 2 }, problems: [] },
    });
  });
});

describe("uploads", () => {
  it("without a file, and files that are something else, are refused with a sentence", async () => {
    const send = async (route: Route, fields: Record<string, string | File>) => {
      const { status, response } = await ask(route, mine.shop.id, form(fields), mine.cookie);
      return [status, ((await response!.json()) as { why?: string }).why];
    };
    const page = new File(["<!doctype html><script>alert(1)</script>".padEnd(200)], "x.png");
    expect(await send(ACTIONS.upload!, {})).toEqual([400, "No picture arrived."]);
    expect(await send(ACTIONS.film!, { film: "words" })).toEqual([400, "No file arrived."]);
    expect((await send(ACTIONS.upload!, { picture: page }))[0]).toBe(422);
    expect(await send(ACTIONS.film!, { film: page })).toEqual([
      422,
      "This is no film that browsers play. Save it as MP4 or WebM.",
    ]);
    expect(await picturesOf(mine.shop.id)).toEqual([]);
  });
});

describe("pictures made of others in the studio", () => {
  const picture = async (background: string) =>
    new File(
      [
        await sharp({ create: { width: 20, height: 20, channels: 3, background } })
          .png()
          .toBuffer(),
      ],
      "x.png",
    );
  const rework = { turn: 90, lean: 0, mirror: false, cut: null };

  it("are taken in only with what was done, and of a picture of this shop", async () => {
    const [own, other] = [await owner(), await owner()];
    const send = async (fields: Record<string, string | File>, who = own) => {
      const { status, response } = await ask(ACTIONS.upload!, who.shop.id, form(fields), who.cookie);
      return { status, body: (await response!.json()) as { why?: string; picture?: { id: string; madeOf?: string } } };
    };
    const first = (await send({ picture: await picture("#c00") })).body.picture!;
    const foreign = (await send({ picture: await picture("#00c") }, other)).body.picture!;
    const made = await picture("#0c0");
    for (const bad of [
      "",
      "{",
      "[]",
      JSON.stringify({ of: first.id }),
      JSON.stringify({ of: first.id, rework: { ...rework, turn: 1 } }),
    ])
      expect(await send({ picture: made, made: bad }), bad).toMatchObject({
        status: 422,
        body: { why: "What was done to this picture can’t be saved." },
      });
    expect(await send({ picture: made, made: JSON.stringify({ of: foreign.id, rework }) })).toMatchObject({
      status: 422,
      body: { why: "The picture that this was made of is no longer there." },
    });
    expect(await picturesOf(own.shop.id)).toHaveLength(1);
    const kept = await send({ picture: made, made: JSON.stringify({ of: first.id, rework }) });
    expect(kept).toMatchObject({ status: 200, body: { picture: { madeOf: first.id } } });
    const read = async (who: Owned, id: string) => {
      const address = `http://studio.example/s/x/picture/rework?id=${id}`;
      const asked = new Request(address, { headers: { Cookie: who.cookie } });
      return answered(LOADERS.rework!({ request: asked, params: { shop: who.shop.id } }));
    };
    expect(await (await read(own, kept.body.picture!.id)).response!.json()).toEqual({ rework });
    expect((await read(other, kept.body.picture!.id)).status).toBe(404);
  });
});

describe("drafts, versions and publishing", () => {
  it.each([
    ["keep", "{"],
    ["keep", '{"base":-1,"transactions":[]}'],
    ["keep", '{"base":0,"transactions":[{"id":"x","operations":[{"type":"dropTables"}]}]}'],
    ["publish", "{}"],
    ["publish", '{"seq":"last"}'],
    ["publish", '{"seq":-1}'],
    ["plans", "{}"],
    ["plans", '{"what":"plan","seq":-1,"at":"2030-01-01T09:00"}'],
    ["draftLink", '{"what":"make","to":"https://evil.example"}'],
    ["versions", "{}"],
    ["versions", '{"page":"","name":""}'],
  ] as const)("%s does nothing with %s", async (name, body) => {
    expect((await ask(ACTIONS[name]!, mine.shop.id, body, mine.cookie)).status).toBe(400);
  });

  it.each([
    ["currency", { currency: "XXX" }, "Choose a currency."],
    ["moneyFormat", { moneyFormat: "xx" }, "Choose how prices are written."],
    ["timeZone", { timeZone: "Mars/Base" }, "Choose a time zone."],
  ])("money says at %s what is wrong with %j", async (path, wrong, why) => {
    const body = JSON.stringify({ currency: "EUR", moneyFormat: "en-GB", timeZone: "Europe/London", ...wrong });
    const { status, response } = await ask(ACTIONS.money!, mine.shop.id, body, mine.cookie);
    expect([status, await response!.json()]).toEqual([422, { problems: [{ path, why }] }]);
  });

  it.each([
    ["at", '{"what":"plan","seq":0,"at":"2030-02-31T09:00"}'],
    ["at", '{"what":"plan","seq":0,"at":"tomorrow"}'],
    ["back", '{"what":"plan","seq":0,"at":"2030-02-01T09:00","back":""}'],
  ])("a plan says at %s what is wrong with %s", async (path, body) => {
    const { status, response } = await ask(ACTIONS.plans!, mine.shop.id, body, mine.cookie);
    expect([status, await response!.json()]).toEqual([422, { problems: [{ path, why: "Choose a day and a time." }] }]);
  });
});
