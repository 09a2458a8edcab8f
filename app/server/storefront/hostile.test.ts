import { connect as connectSocket } from "node:net";
import { DatabaseError } from "sequelize";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { readCsv } from "~/core/formats";
import { isDiskFull, isOutOfReach, ShopRow } from "../database/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { openStorefront } from "../fixtures/shoppers";
import { importGoods } from "../goods/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { forgetShops, freshShop } from "../shops/index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
let host: string;
beforeAll(async () => {
  front = await openStorefront();
  const { shop } = await ownerWithShop();
  host = shop.host;
  // Columns that are called as every object's own properties are.
  const file = [
    "SKU,Title,Price,Stock,Collection,constructor,toString,__proto__,hasOwnProperty,Wind",
    "A,Kite,10.00,5,Kites,one,two,three,four,5",
    "B,Reel,8.00,5,constructor,one,two,three,four,4",
    "C,__proto__,3.00,5,Kites,,,,,3",
  ].join("\n");
  await importGoods(shop, readCsv(file));
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
  host = (await freshShop(shop)).host;
});
afterAll(() => front.close());

/**
 * What a visitor sends as it stands, without a client that would put it right; gives the status. `hangUp`: nothing more comes, so
 * that nobody waits for the rest of what is no request.
 */
const raw = (text: string, hangUp = false): Promise<number> =>
  new Promise((done) => {
    const socket = connectSocket(front.port, "127.0.0.1", () => (hangUp ? socket.end(text) : socket.write(text)));
    let answer = "";
    socket.setEncoding("latin1");
    socket.on("data", (piece: string) => {
      answer += piece;
      if (answer.includes("\r\n")) socket.destroy();
    });
    socket.on("close", () => done(Number(/^HTTP\/1\.1 (\d+)/.exec(answer)?.[1] ?? 0)));
    socket.on("error", () => done(0));
  });

const NAMES = ["constructor", "__proto__", "toString", "hasOwnProperty", "valueOf", "then", "length", "prototype"];
const LISTS = [
  "/",
  "/collections/all",
  "/collections/kites",
  "/collections/constructor",
  "/search",
  "/cart",
  "/products/kite",
];
const PATHS = [
  "/%",
  "/%zz",
  "/%00",
  "/%c0%ae%c0%ae/",
  "//",
  "///a//b",
  "/..",
  "/../../etc/passwd",
  "/a%2f..%2f..",
  "/.git/config",
  "/media/",
  "/media/x",
  `/media/${"0".repeat(64)}-9999.webp`,
  "/media/..%2f..%2fpackage.json",
  "/fonts/x",
  "/fonts/..%2fx.woff2",
  "/products/",
  "/products/constructor",
  "/products/__proto__",
  "/collections/__proto__",
  "/pages/constructor",
  "/pages/__proto__",
  "/constructor",
  `/${"a".repeat(6_000)}`,
  `/search?q=${"a".repeat(6_000)}`,
  "/search?q=%",
  "/search?q=%ff%fe",
  "/search?q[]=1&q[constructor]=2",
  "/collections/all?page=-1&page=1e9&from=1e99&to=-0&sort=constructor",
  "/cards?ids=" + "a,".repeat(2_000),
  "/cards?ids[]=a&ids[]=b",
  "/suggest?q=(((((((((((((((((((((",
  "/suggest",
  "/sitemap.xml/x",
  "/robots.txt?x",
  "/cart/add",
  "/seen",
];

describe("nothing that a visitor can send", () => {
  it.each(LISTS.flatMap((path) => NAMES.map((name) => `${path}?${name}=x&${name}=y`)))("%s answers 500", async (path) =>
    expect((await front.ask(path, { host })).status).toBeLessThan(500),
  );

  it.each(PATHS)("%s answers 500", async (path) => {
    const status = await raw(`GET ${path} HTTP/1.1\r\nHost: ${host}.localhost\r\nConnection: close\r\n\r\n`);
    expect(status).toBeGreaterThan(0);
    expect(status).toBeLessThan(500);
  });

  it.each(["POST", "PUT", "DELETE", "PATCH", "OPTIONS", "TRACE", "PROPFIND"])("%s answers 500", async (method) => {
    for (const path of ["/", "/cart", "/cart/add", "/sign-up", "/tell-me", "/reviews", "/seen", "/search", "/media/x"])
      expect(
        await raw(
          `${method} ${path} HTTP/1.1\r\nHost: ${host}.localhost\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`,
        ),
        path,
      ).toBeLessThan(500);
  });

  it.each([
    ["application/json", "{"],
    ["application/json", '{"product":{"__proto__":1}}'],
    ["application/json", "[".repeat(900)],
    ["application/x-www-form-urlencoded", "product[constructor]=1&__proto__=2&count=1e400&variant=%"],
    ["application/x-www-form-urlencoded", "%=%&%=%"],
    ["application/x-www-form-urlencoded; charset=utf-7", "product=x"],
    ["multipart/form-data; boundary=x", "--x\r\n\r\n"],
    ["multipart/form-data", ""],
    ["text/plain", "x"],
    ["", "x"],
  ])("as %s, %s, answers 500", async (type, body) => {
    for (const path of ["/cart/add", "/cart/change", "/sign-up", "/tell-me", "/reviews", "/seen"]) {
      const { status } = await front.ask(path, { host, method: "POST", headers: { "Content-Type": type }, body });
      expect(status, path).toBeLessThan(500);
    }
  });

  it("as a request that is none gets an answer, or none, and the next one is answered", async () => {
    for (const text of [
      "GET / HTTP/1.1\r\n\r\n",
      "GET / HTTP/9.9\r\nHost: x\r\n\r\n",
      "\r\n\r\n",
      "GET /\r\n\r\n",
      `GET / HTTP/1.1\r\nHost: ${host}.localhost\r\nHost: other\r\n\r\n`,
      `GET / HTTP/1.1\r\nHost: ${host}.localhost\r\nCookie: ${"a=b; ".repeat(2_000)}\r\n\r\n`,
      `GET / HTTP/1.1\r\nHost: ${host}.localhost\r\nAccept-Encoding: ${"br;q=x,".repeat(500)}\r\n\r\n`,
      `POST /cart/add HTTP/1.1\r\nHost: ${host}.localhost\r\nContent-Length: 5\r\nTransfer-Encoding: chunked\r\n\r\n0\r\n\r\n`,
    ])
      expect(await raw(text, true), text.slice(0, 60)).toBeLessThan(500);
    expect((await front.ask("/", { host })).status).toBe(200);
  });
});

describe("when the database is out of reach", () => {
  const gone = () => {
    const parent = Object.assign(new Error("closed"), { code: "ER_SOCKET_UNEXPECTED_CLOSE", sql: "" });
    return new DatabaseError(parent);
  };

  it("a shop asks to come again in a moment, in its own look, and is back when it is back", async () => {
    expect((await front.ask("/", { host })).status).toBe(200);
    forgetShops();
    const broken = vi.spyOn(ShopRow, "findAll").mockRejectedValue(gone());
    const quiet = vi.spyOn(console, "error").mockImplementation(() => undefined);
    const answer = await front.ask("/", { host });
    expect([answer.status, answer.headers["retry-after"], answer.headers["cache-control"]]).toEqual([
      503,
      "3",
      "no-store",
    ]);
    expect(answer.body).toContain("One moment, please");
    expect(answer.body).toContain('class="s s-header');
    // A shop that nobody has looked at yet has no look to show.
    const unknown = await front.ask("/", { host: "nobody-looked" });
    expect([unknown.status, unknown.body]).toEqual([503, expect.stringContaining("try again in a few seconds")]);
    broken.mockRestore();
    quiet.mockRestore();
    expect((await front.ask("/", { host })).status).toBe(200);
  });

  it.each([
    [gone(), true, false],
    [Object.assign(new Error("full"), { code: "ENOSPC" }), false, true],
    [new DatabaseError(Object.assign(new Error("full"), { code: "ER_RECORD_FILE_FULL", sql: "" })), false, true],
    [new DatabaseError(Object.assign(new Error("syntax"), { code: "ER_PARSE_ERROR", sql: "" })), false, false],
    [new Error("other"), false, false],
    ["text", false, false],
  ])("%s is told from other trouble", (error, outOfReach, full) => {
    expect([isOutOfReach(error), isDiskFull(error)]).toEqual([outOfReach, full]);
  });
});
