import { createServer, request, type IncomingMessage, type ServerResponse } from "node:http";
import type { AddressInfo } from "node:net";
import { brotliDecompressSync, gunzipSync } from "node:zlib";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { forgetShops } from "../shops/index.server";
import { importGoods } from "../goods/index.server";
import { openStorefront, type Asked } from "../fixtures/shoppers";
import { ownerWithShop } from "../fixtures/owner";
import { pendingChanges, publish } from "../publishing/index.server";
import { answerKept, hostLabel } from "./front";
import { hasAlready } from "./sending";

let front: Awaited<ReturnType<typeof openStorefront>>;
let owned: Awaited<ReturnType<typeof ownerWithShop>>;
/** Answers what lies ready, and nothing else. */
let ready: ReturnType<typeof createServer>;

const PACKED = { "Accept-Encoding": "gzip, deflate, br, zstd" };

const long = (path: string, asked: Asked = {}) => front.ask(path, { host: owned.shop.host, ...asked });
const short = (path: string, { method = "GET", headers = {} }: Asked = {}) =>
  new Promise<{ status: number; headers: IncomingMessage["headers"]; bytes: Buffer }>((done, fail) => {
    const { port } = ready.address() as AddressInfo;
    const Host = `${owned.shop.host}.localhost:${front.port}`;
    request({ port, host: "127.0.0.1", path, method, headers: { Host, ...headers } }, (answer) => {
      const chunks: Buffer[] = [];
      answer.on("data", (chunk: Buffer) => chunks.push(chunk));
      answer.on("end", () =>
        done({ status: answer.statusCode!, headers: answer.headers, bytes: Buffer.concat(chunks) }),
      );
    })
      .on("error", fail)
      .end();
  });
const NOT_HERE = 599;

beforeAll(async () => {
  front = await openStorefront();
  owned = await ownerWithShop();
  await importGoods(owned.shop, readCsv("SKU,Title,Price,Stock\nA,Harbour delta,20.00,4\n"));
  await publish(owned.shop.id, (await pendingChanges(owned.shop.id)).seq);
  ready = createServer((asked: IncomingMessage, response: ServerResponse) => {
    if (!answerKept(asked, response)) response.writeHead(NOT_HERE).end();
  });
  await new Promise<void>((done) => ready.listen(0, "127.0.0.1", done));
});
afterAll(() => {
  front.close();
  ready.close();
});

const withoutDate = ({ date: _date, ...headers }: IncomingMessage["headers"]) => headers;

describe("a page that lies ready", () => {
  it.each([
    ["unpacked", {}, (bytes: Buffer) => bytes],
    ["as gzip", { "Accept-Encoding": "gzip" }, gunzipSync],
    ["as brotli", PACKED, brotliDecompressSync],
  ] as const)("is answered as the long way does, %s", async (_how, headers, unpack) => {
    await long("/", { headers });
    const [slow, quick] = [await long("/", { headers }), await short("/", { headers })];
    expect(quick.status).toBe(200);
    expect(withoutDate(quick.headers)).toEqual(withoutDate(slow.headers));
    expect(quick.bytes.equals(slow.bytes)).toBe(true);
    expect(unpack(quick.bytes).toString()).toContain("</html>");
    const head = await short("/", { method: "HEAD", headers });
    expect(withoutDate(head.headers)).toEqual(withoutDate(slow.headers));
    expect(head.bytes).toHaveLength(0);
  });

  it("is known by a tag for each way it is packed, and not sent again to whoever has it (RFC 9110, 8.8.3 and 13.1.2)", async () => {
    const ways = [{}, { "Accept-Encoding": "gzip" }, PACKED];
    for (const headers of ways) await long("/", { headers });
    const tags = await Promise.all(ways.map(async (headers) => (await short("/", { headers })).headers.etag!));
    expect(new Set(tags).size).toBe(3);
    for (const ask of [short, long]) {
      for (const said of [tags[2]!, `W/${tags[2]}`, `"other", W/${tags[2]}`, "*"]) {
        const answer = await ask("/", { headers: { ...PACKED, "If-None-Match": said } });
        expect([said, answer.status, answer.bytes.length]).toEqual([said, 304, 0]);
        expect(answer.headers).toMatchObject({ etag: tags[2], vary: "Accept-Encoding" });
        expect(answer.headers["cache-control"]).toBe("public, max-age=0, s-maxage=1, must-revalidate");
        expect(answer.headers["content-security-policy"]).toContain("default-src 'none'");
        expect(answer.headers["content-encoding"]).toBeUndefined();
      }
      for (const said of [tags[0]!, '"other"', tags[2]!.slice(1, -1), ""])
        expect((await ask("/", { headers: { ...PACKED, "If-None-Match": said } })).status, said).toBe(200);
    }
  });

  it("is no longer answered from there once goods or publication have changed, or the shop was not looked at for a moment", async () => {
    await long("/collections/all", { headers: PACKED });
    expect((await short("/collections/all", { headers: PACKED })).status).toBe(200);
    await importGoods(owned.shop, readCsv("SKU,Title,Price,Stock\nA,Harbour delta,21.00,4\n"));
    // The change forgets the shop; the first who asks reads it again, and has the new price.
    expect((await short("/collections/all", { headers: PACKED })).status).toBe(NOT_HERE);
    const { bytes } = await long("/collections/all", { headers: PACKED });
    expect(brotliDecompressSync(bytes).toString()).toContain("21.00");
    const again = await short("/collections/all", { headers: PACKED });
    expect(brotliDecompressSync(again.bytes).toString()).toContain("21.00");
    forgetShops();
    expect((await short("/collections/all", { headers: PACKED })).status).toBe(NOT_HERE);
  });

  it("is left to the long way when it is asked to do something, for what is not kept, and for what is not there", async () => {
    for (const path of ["/", "/search?q=delta", "/cart", "/nowhere", "/robots.txt"]) {
      await long(path);
      if (path !== "/") expect((await short(path)).status, path).toBe(NOT_HERE);
    }
    expect((await short("/", { method: "POST" })).status).toBe(NOT_HERE);
    expect((await short("/", { headers: { Host: "elsewhere.example" } })).status).toBe(NOT_HERE);
  });
});

it("slashes at the end of an address lead to the page without them, within the shop, with what was asked", async () => {
  const origin = `http://${owned.shop.host}.localhost:${front.port}`;
  for (const [path, to] of [
    ["/collections/all/", "/collections/all"],
    ["/collections/all//?page=2&sort=name", "/collections/all?page=2&sort=name"],
    ["//", "/"],
    ["//elsewhere.example/", "//elsewhere.example"],
  ] as const) {
    const answer = await long(path);
    expect([answer.status, answer.headers.location], path).toEqual([301, origin + to]);
  }
});

it("what a form sent without anything in it is left out of the address", async () => {
  const origin = `http://${owned.shop.host}.localhost:${front.port}`;
  for (const [path, to] of [
    ["/collections/all?from=&to=&sort=name", "/collections/all?sort=name"],
    ["/collections/all?from=&to=", "/collections/all"],
    ["/search?q=&sort=", "/search?q="],
  ] as const) {
    const answer = await long(path);
    expect([answer.status, answer.headers.location], path).toEqual([302, origin + to]);
  }
  for (const path of ["/search?q=", "/collections/all?page=1", "/collections/all?level=a%3D"])
    expect((await long(path)).status, path).toBe(200);
});

it("tags are compared as they are written, strong or weak", () => {
  expect(hasAlready(undefined, '"a"')).toBe(false);
  expect(hasAlready('"b",W/"a"', '"a"')).toBe(true);
  expect(hasAlready('"b,a"', '"a"')).toBe(false);
  expect(hasAlready("a", '"a"')).toBe(false);
});

it("a shop is named by the first label below the domain in the settings", () => {
  const of = (host: string | undefined) => hostLabel({ headers: { host } } as IncomingMessage);
  expect(of("larkspindle.localhost:4311")).toBe("larkspindle");
  expect(of("LARKSPINDLE.LocalHost")).toBe("larkspindle");
  for (const host of [undefined, "", "localhost", "a.b.localhost", "larkspindle.localhost.example", "x_y.localhost"])
    expect(of(host), host).toBeUndefined();
});
