import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { setProp, setShown } from "~/core/commands";
import { Publication, SignUp } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { invalidIn } from "~/render/fixtures/validator";
import { goodsOf, importGoods, shareGoods, stepGoods } from "../goods/index.server";
import { addPicture } from "../pictures/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { openStorefront, type Asked } from "../fixtures/shoppers";
import { forgetShops, freshShop } from "../shops/index.server";

type Owned = Awaited<ReturnType<typeof ownerWithShop>>;

let front: Awaited<ReturnType<typeof openStorefront>>;
let owned: Owned;

const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: owned.shop.host, ...asked });

const publishNow = async (id: string) => publish(id, (await pendingChanges(id)).seq);

beforeAll(async () => {
  front = await openStorefront();
  owned = await ownerWithShop();
  await importGoods(owned.shop, readCsv(readFileSync("demo/goods.csv", "utf8")));
});
afterAll(() => front.close());

describe("a shop before and after it is published", () => {
  it("is not open, then is; drafts never show", async () => {
    const closed = await ask("/");
    expect(closed.status).toBe(404);
    expect(closed.body).toContain("not open yet");

    expect(await pendingChanges(owned.shop.id)).toMatchObject({ first: true });
    expect(await publishNow(owned.shop.id)).toMatchObject({ ok: true, number: 1 });
    const open = await ask("/");
    expect(open.status).toBe(200);
    expect(open.body).toContain("Welcome to Shop");

    const { draft, seq } = await loadDraft(owned.shop.id);
    const hero = draft.documents.home!.root.slots.main![0]!;
    const change = setProp(draft, hero.id, ["heading"], "Only a draft", "Words changed");
    if (!change.ok) throw new Error();
    await keep(owned.shop.id, { base: seq, transactions: [change.transaction] });
    expect((await ask("/")).body).not.toContain("Only a draft");

    expect((await pendingChanges(owned.shop.id)).changes).toEqual([
      { where: "Home › Hero", what: "words changed", part: "home" },
    ]);
    // Published is what the seller has read out, or nothing.
    expect(await publish(owned.shop.id, seq)).toEqual({ ok: false, code: "moved-on" });
    expect(await publishNow(owned.shop.id)).toMatchObject({ ok: true, number: 2 });
    expect((await ask("/")).body).toContain("Only a draft");
    expect(await publishNow(owned.shop.id)).toEqual({ ok: false, code: "nothing" });
  });

  it("leaves out what is not shown yet", async () => {
    const { draft, seq } = await loadDraft(owned.shop.id);
    const signUp = draft.documents.home!.root.slots.main!.find((n) => n.kind === "sign-up")!;
    expect((await ask("/")).body).toContain("/sign-up");
    const hide = setShown(draft, [signUp.id], false, "Sign-up");
    if (!hide.ok) throw new Error();
    await keep(owned.shop.id, { base: seq, transactions: [hide.transaction] });
    await publishNow(owned.shop.id);
    expect((await ask("/")).body).not.toContain('action="/sign-up"');
  });

  it("keeps its first publication as it was", async () => {
    const first = await Publication.findOne({ where: { shopId: owned.shop.id, number: 1 } });
    expect(first!.body).toContain("Welcome to Shop");
    expect(first!.body).not.toContain("Only a draft");
  });
});

describe("pages", () => {
  it("are there for every product, collection and page of the sitemap, and nowhere else", async () => {
    const map = await ask("/sitemap.xml");
    const paths = [...map.body.matchAll(/<loc>http:\/\/[^/]+([^<]*)<\/loc>/g)].map((m) => m[1]!);
    expect(paths).toHaveLength(1 + 1 + 7 + 45 + 1);
    for (const path of [paths[0]!, paths[1]!, paths[4]!, paths[20]!]) expect((await ask(path)).status, path).toBe(200);
    for (const path of ["/nowhere", "/products/nothing", "/collections", "/products/a/b", "/%00", "/studio"]) {
      const answer = await ask(path);
      expect(answer.status, path).toBe(404);
      expect(answer.body, path).toContain("There is nothing here");
    }
  });

  it("are in a sitemap that the schema of sitemaps.org 0.9 allows (xmllint; the schema is in the package sitemap)", async () => {
    const { body } = await ask("/sitemap.xml");
    const judge = (xml: string) =>
      spawnSync("xmllint", ["--noout", "--nonet", "--schema", "node_modules/sitemap/schema/sitemap.xsd", "-"], {
        input: xml,
        encoding: "utf8",
      });
    const { status, stderr } = judge(body);
    expect([status, stderr.trim()]).toEqual([0, "- validates"]);
    // It would notice a day that is none.
    expect(judge(body.replace(/<lastmod>[^<]*/, "<lastmod>yesterday")).status).not.toBe(0);
  });

  it("say of goods what their seller wrote for search engines, and keep to themselves what is to stay unlisted", async () => {
    const { products, collections } = await goodsOf(await freshShop(owned.shop));
    const [delta, other] = products;
    const search = { title: "Delta & co", description: "Flies.", unlisted: true };
    expect(await shareGoods(await freshShop(owned.shop), "product", delta!.id, search)).toBe(true);
    const told = { title: "For one hand", description: "", picture: null };
    expect(await shareGoods(await freshShop(owned.shop), "collection", collections[0]!.id, told)).toBe(true);
    expect(await shareGoods(await freshShop(owned.shop), "collection", delta!.id, told)).toBe(false);
    forgetShops();
    const page = (await ask(`/products/${delta!.slug}`)).body;
    expect(page).toContain("<title>Delta &amp; co</title>");
    expect(page).toContain('<meta name="robots" content="noindex">');
    expect((await ask(`/collections/${collections[0]!.slug}`)).body).toContain("<title>For one hand</title>");
    const map = (await ask("/sitemap.xml")).body;
    expect([map.includes(`/products/${delta!.slug}<`), map.includes(`/products/${other!.slug}<`)]).toEqual([
      false,
      true,
    ]);
    // It is one step, which can be taken back.
    expect(await stepGoods(await freshShop(owned.shop), "undo")).toBe("Search and sharing changed");
    expect(await stepGoods(await freshShop(owned.shop), "undo")).toBe("Search and sharing changed");
    forgetShops();
    expect((await ask(`/products/${delta!.slug}`)).body).not.toContain("noindex");
  });

  it.each([
    "/",
    "/collections/single-line-kites?level=Anyone&sort=price-up",
    "/collections/windsocks?from=9999",
    "/products/larkspindle-delta-190",
    "/products/kittiwake-ul",
    "/products/turnstone",
    "/about",
    "/search?q=delta",
    "/search?q=nothing-at-all",
    "/cart",
    "/nowhere",
  ])("%s is valid HTML", async (path) => expect(await invalidIn((await ask(path)).body)).toEqual([]));

  it("of a search show what fits, say when nothing does, and keep what was asked for from doing harm", async () => {
    const some = await ask("/search?q=delta");
    expect(some.status).toBe(200);
    expect(some.body).toContain("Larkspindle Delta 190");
    expect(some.body).toContain('<meta name="robots" content="noindex">');
    const none = await ask("/search?q=zzzz");
    expect(none.body).toContain("Nothing fits “");
    expect(none.body).toContain('href="/collections/all"');
    const hostile = await ask(`/search?q=${encodeURIComponent('"><script>alert(1)</script>')}`);
    expect(hostile.status).toBe(200);
    expect(hostile.body).not.toContain("<script>alert");
    expect((await ask("/search?q=%E0%A4%A")).status).toBeLessThan(500);
    expect((await ask("/search")).body).toContain('role="search"');
  });

  it("of text are found under their own address and in menus", async () => {
    const { body } = await ask("/about");
    expect(body).toMatch(/<h1[^>]*>About /);
    expect((await ask("/")).body).toContain('href="/about"');
    expect((await ask("/pages/none")).status).toBe(404);
    // RFC 9110, 15.4.2: what was once known by another address is there for good.
    const moved = await ask("/pages/about?from=letter");
    expect([moved.status, moved.headers.location]).toEqual([
      301,
      expect.stringMatching(/^http[^?]+\/about\?from=letter$/),
    ]);
  });

  it("are served only the cuts of fonts that they use, which are there", async () => {
    const { body } = await ask("/");
    const fonts = [...body.matchAll(/href="(\/fonts\/[^"]+)"/g)].map((m) => m[1]!);
    expect(fonts).toHaveLength(2);
    for (const font of fonts) {
      const answer = await ask(font);
      expect([answer.status, answer.headers["content-type"]], font).toEqual([200, "font/woff2"]);
      expect(answer.bytes.subarray(0, 4).toString("latin1")).toBe("wOF2");
      expect(answer.headers["cache-control"]).toContain("immutable");
    }
    expect((await ask("/fonts/nothing-latin-400-400.woff2")).status).toBe(404);
    // Nobody makes the server cut fonts that this shop has no use for.
    expect((await ask("/fonts/lora-latin-401-402.woff2")).status).toBe(404);
  });

  it("carry a policy that lets only their own style and script run", async () => {
    const { headers, body } = await ask("/");
    const policy = headers["content-security-policy"]!;
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain("unsafe");
    const style = /<style>([\s\S]*?)<\/style>/.exec(body)![1]!;
    const { createHash } = await import("node:crypto");
    expect(policy).toContain(`'sha256-${createHash("sha256").update(style).digest("base64")}'`);
    expect(headers["x-content-type-options"]).toBe("nosniff");
    expect(headers["x-powered-by"]).toBeUndefined();
  });

  it("are sent packed, and not at all to whoever has them already", async () => {
    const packed = await ask("/", { headers: { "Accept-Encoding": "br" } });
    expect(packed.headers["content-encoding"]).toBe("br");
    const { brotliDecompressSync } = await import("node:zlib");
    expect(brotliDecompressSync(packed.bytes).toString("utf8")).toContain("<!doctype html>");
    const again = await ask("/", { headers: { "Accept-Encoding": "br", "If-None-Match": packed.headers.etag! } });
    expect([again.status, again.body]).toEqual([304, ""]);
  });

  it("say to the outside what they are: icons, manifest, a picture to share, and when they changed", async () => {
    const { body } = await ask("/");
    expect(body).toContain('<link rel="manifest" href="/site.webmanifest">');
    expect(body).toMatch(/<meta name="theme-color" content="#[0-9a-f]{6}">/);
    const manifest = await ask("/site.webmanifest");
    const { icons, name } = JSON.parse(manifest.body) as { name: string; icons: { src: string; sizes: string }[] };
    expect(body).toContain(`<title>${name}`);
    for (const { src, sizes } of icons) {
      const { width, height, format } = await sharp((await ask(src)).bytes).metadata();
      expect([`${width}x${height}`, format]).toEqual([sizes, "png"]);
    }
    const drawing = await ask("/favicon.svg");
    expect([drawing.status, drawing.headers["content-type"]]).toEqual([200, "image/svg+xml; charset=utf-8"]);
    expect((await sharp(drawing.bytes).metadata()).width).toBe(64);
    const map = await ask("/sitemap.xml");
    // It was published a moment ago, which may have been before midnight.
    const days = [Date.now(), Date.now() - 600_000].map((at) => new Date(at).toISOString().slice(0, 10));
    expect(days).toContain(/<\/loc><lastmod>([\d-]+)<\/lastmod><\/url>/.exec(map.body)?.[1]);
    expect(map.body).not.toContain(`</loc></url>`);
    for (const path of ["/sitemap.xml", "/robots.txt"])
      expect((await ask(path)).headers["cache-control"], path).toBe("public, max-age=3600");
  });

  it("are shared with a JPEG of the size that is said", async () => {
    const bytes = await sharp({ create: { width: 1000, height: 1400, channels: 3, background: "#a03020" } })
      .png()
      .toBuffer();
    const added = await addPicture(owned.shop.id, bytes, "tall.png");
    if (!added.ok) throw new Error(added.why);
    const share = await ask(`/media/${added.picture.hash}-share.jpg`);
    expect([share.status, share.headers["content-type"]]).toEqual([200, "image/jpeg"]);
    const { width, height, format } = await sharp(share.bytes).metadata();
    expect([width, height, format]).toEqual([1200, 630, "jpeg"]);
    expect((await ask(`/media/${"0".repeat(64)}-share.jpg`)).status).toBe(404);
  });

  it("have an icon made from the logo, as a whole ICO and PNG", async () => {
    const ico = await ask("/favicon.ico");
    expect(ico.bytes.readUInt16LE(2)).toBe(1);
    expect(await sharp(ico.bytes.subarray(22)).metadata()).toMatchObject({ format: "png", width: 32, height: 32 });
    expect(await sharp((await ask("/apple-touch-icon.png")).bytes).metadata()).toMatchObject({
      width: 180,
      height: 180,
    });
  });

  it("serve fonts and pictures for ever, and pictures of this shop only", async () => {
    const font = await ask("/fonts/instrument-sans-latin-wght-normal.woff2");
    expect([font.status, font.headers["cache-control"]]).toEqual([200, "public, max-age=31536000, immutable"]);
    expect((await ask("/fonts/..%2f..%2fpackage.json")).status).toBe(404);
    const added = await addPicture(
      owned.shop.id,
      await sharp({ create: { width: 300, height: 200, channels: 3, background: "#123" } })
        .png()
        .toBuffer(),
      "x.png",
    );
    const path = `/media/${added.ok ? added.picture.hash : ""}-160.webp`;
    expect((await ask(path)).headers["content-type"]).toBe("image/webp");
    const other = await ownerWithShop();
    expect((await ask(path, { host: other.shop.host })).status).toBe(404);
    expect((await ask("/", { host: "no-such-shop" })).status).toBe(404);
  });
});

describe("signing up", () => {
  const post = (address: string, headers: Record<string, string> = {}) =>
    ask("/sign-up", {
      method: "POST",
      headers: { "Content-Type": "application/x-www-form-urlencoded", ...headers },
      body: `address=${encodeURIComponent(address)}`,
    });

  it("works without a script, with a page, and with one, with a sentence; twice is once", async () => {
    const page = await post("Ann@Shop.example", { Accept: "text/html" });
    expect([page.status, page.body.includes("Thank you")]).toEqual([200, true]);
    const json = await post("ann@shop.example", { Accept: "application/json" });
    expect(JSON.parse(json.body)).toMatchObject({ ok: true });
    expect(await SignUp.count({ where: { shopId: owned.shop.id } })).toBe(1);
  });

  it("refuses what is no address, what comes from elsewhere, and what comes too often", async () => {
    expect((await post("not an address", { Accept: "text/html" })).status).toBe(422);
    expect((await post("a@b.example", { Origin: "https://elsewhere.example" })).status).toBe(403);
    const many = await Promise.all(
      Array.from({ length: 25 }, () => post("a@b.example", { Accept: "application/json" })),
    );
    expect(many.some((a) => a.status === 429)).toBe(true);
  });
});
