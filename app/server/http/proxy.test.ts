import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer, type IncomingHttpHeaders, type Server } from "node:http";
import { request } from "node:https";
import { createServer as createSocketServer, type AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { ServerBuild } from "react-router";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { config, configure, readConfig } from "../config/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { readCsv } from "~/core/formats";
import { goodsOf, importGoods } from "../goods/index.server";
import { freshShop } from "../shops/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { storefront } from "../storefront/index.server";
import { studio } from "./studio";

// A real nginx ends TLS before studio and shops, as it would on a machine that faces the world.

const listen = (server: Server): Promise<number> =>
  new Promise((done) => server.listen(0, "127.0.0.1", () => done((server.address() as AddressInfo).port)));
const freePort = () =>
  new Promise<number>((done) => {
    const probe = createSocketServer();
    probe.listen(0, "127.0.0.1", () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });

const before = config();
let folder: string;
let nginx: ChildProcess;
let port: number;
let host: string;
let product: string;
const servers: Server[] = [];
/** What the studio's routes are asked, as they see it. */
const seen: { url: string; from: string }[] = [];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "zest-nginx-"));
  // The workers of nginx are another user, who keeps pages below it.
  chmodSync(folder, 0o755);
  port = await freePort();
  configure({
    ...before,
    studioOrigin: `https://studio.example:${port}`,
    shopOrigin: `https://{shop}.shops.example:${port}`,
    trustedProxies: ["127.0.0.1"],
  });
  const { shop } = await ownerWithShop();
  host = `${shop.host}.shops.example`;
  await importGoods(shop, readCsv("SKU,Title,Price\nA,Apple,1.00\n"));
  product = (await goodsOf(await freshShop(shop))).products[0]!.id;
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
  // Routes are built with the whole application; whatever gets past the guards is noted here.
  const build = {
    entry: { module: { default: () => new Response("") } },
    routes: {
      root: {
        id: "root",
        path: "*",
        module: {
          action: ({ request: asked, context }: { request: Request; context: { from: string } }) => {
            seen.push({ url: asked.url, from: context.from });
            return new Response("done");
          },
        },
      },
    },
    assets: { routes: { root: {} } },
    future: {},
    basename: "/",
    publicPath: "/",
    assetsBuildDirectory: "",
    isSpaMode: false,
    ssr: true,
    prerender: [],
    routeDiscovery: { mode: "initial" },
  } as unknown as ServerBuild;
  servers.push(createServer(storefront()), createServer(studio(build, undefined, "production")));
  const [shopPort, studioPort] = await Promise.all(servers.map(listen));
  execFileSync(
    "openssl",
    [
      "req",
      "-x509",
      "-newkey",
      "rsa:2048",
      "-nodes",
      "-days",
      "2",
      "-subj",
      "/CN=shops.example",
      "-keyout",
      join(folder, "key.pem"),
      "-out",
      join(folder, "cert.pem"),
    ],
    { stdio: "ignore" },
  );
  // The configuration that is shipped, with the addresses and files of this test.
  const shipped = readFileSync("deploy/nginx.conf", "utf8")
    .replace("127.0.0.1:4311", `127.0.0.1:${shopPort}`)
    .replace("127.0.0.1:4310", `127.0.0.1:${studioPort}`)
    .replaceAll("listen 443 ssl", `listen 127.0.0.1:${port} ssl`)
    .replaceAll(/\/etc\/ssl\/zest\/\w+\.pem/g, join(folder, "cert.pem"))
    .replaceAll(/\/etc\/ssl\/zest\/\w+\.key/g, join(folder, "key.pem"))
    .replace("/var/cache/nginx/zest", join(folder, "cache"));
  writeFileSync(
    join(folder, "nginx.conf"),
    `daemon off;
pid ${join(folder, "pid")};
error_log ${join(folder, "error.log")};
events {}
http {
  access_log off;
  ${["client_body", "proxy", "fastcgi", "uwsgi", "scgi"].map((name) => `${name}_temp_path ${join(folder, name)};`).join("\n  ")}
  ${shipped}
}
`,
  );
  nginx = spawn("nginx", ["-c", join(folder, "nginx.conf"), "-p", folder], { stdio: "ignore" });
  await vi.waitFor(async () => expect((await ask("/robots.txt")).status).toBe(200), { timeout: 10_000 });
});

afterAll(async () => {
  configure(before);
  for (const server of servers) server.close();
  await new Promise((done) => {
    nginx.once("exit", done);
    nginx.kill("SIGTERM");
  });
  rmSync(folder, { recursive: true, force: true });
});

type Asked = {
  readonly method?: string;
  readonly name?: string;
  /** The visitor's own address; all of 127.0.0.0/8 is this machine. */
  readonly from?: string;
  readonly headers?: Record<string, string>;
  readonly body?: string;
};

const ask = (path: string, { method = "GET", name = host, from = "127.0.0.2", headers = {}, body = "" }: Asked = {}) =>
  new Promise<{ status: number; body: string; cookies: string; headers: IncomingHttpHeaders }>((done, fail) => {
    const sent = request(
      {
        host: "127.0.0.1",
        port,
        path,
        method,
        servername: name,
        localAddress: from,
        rejectUnauthorized: false,
        agent: false,
        headers: {
          Host: `${name}:${port}`,
          ...(method === "GET"
            ? {}
            : { "Content-Type": "application/x-www-form-urlencoded", "Content-Length": String(body.length) }),
          ...headers,
        },
      },
      (response) => {
        let text = "";
        response.setEncoding("utf8");
        response.on("data", (chunk: string) => (text += chunk));
        response.on("end", () =>
          done({
            status: response.statusCode ?? 0,
            body: text,
            cookies: String(response.headers["set-cookie"] ?? ""),
            headers: response.headers,
          }),
        );
      },
    );
    sent.on("error", fail);
    sent.end(body);
  });

const signUp = (from: string, headers: Record<string, string> = {}) =>
  ask("/sign-up", {
    method: "POST",
    from,
    headers: { Origin: `https://${host}:${port}`, Accept: "application/json", ...headers },
    body: "address=a%40b.example",
  });

describe("a shop behind nginx", () => {
  it("says of itself what browsers see, and takes forms from its own pages alone", async () => {
    const page = await ask("/");
    expect(page.body).toContain(`<link rel="canonical" href="https://${host}:${port}/">`);
    expect((await ask("/sitemap.xml")).body).toContain(`<loc>https://${host}:${port}/</loc>`);
    expect((await signUp("127.0.0.9")).status).toBe(200);
    for (const Origin of [`http://${host}:${port}`, "https://elsewhere.example", "null"])
      expect((await signUp("127.0.0.9", { Origin })).status).toBe(403);
  });

  it("limits each visitor by itself, and nobody by what they say of themselves", async () => {
    const statuses = async (from: string, headers: Record<string, string> = {}) =>
      (await Promise.all(Array.from({ length: 21 }, () => signUp(from, headers)))).map((a) => a.status);
    const many = await statuses("127.0.0.3");
    expect(many.filter((s) => s === 200)).toHaveLength(20);
    expect(many.filter((s) => s === 429)).toHaveLength(1);
    // Another visitor comes through the same proxy and is not held responsible.
    expect((await signUp("127.0.0.4")).status).toBe(200);
    // Whoever says to be somebody else each time is still the same.
    const liar = await Promise.all(
      Array.from({ length: 21 }, (_, i) => signUp("127.0.0.5", { "X-Forwarded-For": `10.0.0.${i}` })),
    );
    expect(liar.filter((a) => a.status === 429)).toHaveLength(1);
  });

  it("marks its cookies for encrypted connections only", async () => {
    const done = await ask("/cart/add", {
      method: "POST",
      headers: { Origin: `https://${host}:${port}` },
      body: `product=${product}`,
    });
    expect(done.status).toBe(303);
    expect(done.cookies).toMatch(/^cart=[\w-]{43}; HttpOnly; .*; Secure,items=1; .*; Secure$/);
  });
});

describe("what nginx keeps", () => {
  /** Requests that came through to the shop while something was done. */
  const cameThrough = async (what: () => Promise<unknown>): Promise<string[]> => {
    const [shopServer] = servers as [Server];
    const came: string[] = [];
    const note = ({ url = "" }: { url?: string }) => void came.push(url);
    shopServer.on("request", note);
    await what();
    shopServer.off("request", note);
    return came;
  };

  it("is a page for a second, so that a crowd is one request; each way of packing by itself", async () => {
    await ask("/collections/all");
    const came = await cameThrough(() => Promise.all(Array.from({ length: 40 }, () => ask("/collections/all"))));
    expect(came.length).toBeLessThanOrEqual(1);
    const packed = await ask("/collections/all", { headers: { "Accept-Encoding": "gzip, deflate, br" } });
    expect(packed.headers["content-encoding"]).toBe("br");
    expect(
      (await ask("/collections/all", { headers: { "Accept-Encoding": "gzip" } })).headers["content-encoding"],
    ).toBe("gzip");
    expect((await ask("/collections/all")).headers["content-encoding"]).toBeUndefined();
    expect((await ask("/collections/all")).headers["cache-control"]).toContain("s-maxage=1");
  });

  it("is never a cart, a search that one shopper made narrow, or an answer to a form", async () => {
    const came = await cameThrough(async () => {
      for (let i = 0; i < 2; i++) {
        await ask("/cart");
        await signUp("127.0.0.8");
      }
    });
    expect(came.filter((url) => url === "/cart")).toHaveLength(2);
    expect(came.filter((url) => url === "/sign-up")).toHaveLength(2);
  });

  it("is still sent while the shop does not answer", async () => {
    const [shopServer] = servers as [Server];
    await ask("/about");
    const all = shopServer.listeners("request") as ((...given: unknown[]) => void)[];
    shopServer.removeAllListeners("request");
    shopServer.on("request", (request: { socket: { destroy: () => void } }) => request.socket.destroy());
    // After its second it is asked for again, in vain.
    await vi.waitFor(async () => {
      const answers = await Promise.all([ask("/about"), ask("/about")]);
      expect(answers.map((a) => a.status)).toEqual([200, 200]);
      expect((await ask("/collections/nothing-kept")).status).toBe(502);
    });
    shopServer.removeAllListeners("request");
    for (const each of all) shopServer.on("request", each);
    expect((await ask("/about")).status).toBe(200);
  });
});

describe("the studio behind nginx", () => {
  const post = (headers: Record<string, string>, from = "127.0.0.6") =>
    ask("/x", { method: "POST", name: "studio.example", from, headers, body: "a=1" });

  it("takes what its own pages send, which routes see at the address that browsers use", async () => {
    expect((await post({ Origin: `https://studio.example:${port}` })).status).toBe(200);
    expect(seen.at(-1)).toEqual({ url: `https://studio.example:${port}/x`, from: "127.0.0.6" });
    await post({ Origin: `https://studio.example:${port}`, "X-Forwarded-For": "10.9.8.7" }, "127.0.0.7");
    expect(seen.at(-1)!.from).toBe("127.0.0.7");
  });

  it.each(["http://studio.example", "https://elsewhere.example", "null"])("refuses what %s sends", async (Origin) => {
    const count = seen.length;
    expect((await post({ Origin })).status).toBe(403);
    expect(seen).toHaveLength(count);
  });
});

describe("settings", () => {
  const env = { ZEST_DATABASE: "mariadb://a:b@127.0.0.1/zest" };
  it("are usual where nothing is said", () =>
    expect(readConfig(env)).toMatchObject({
      host: "127.0.0.1",
      port: 4310,
      shopOrigin: "http://{shop}.localhost:4311",
      trustedProxies: [],
      demo: false,
    }));

  it.each([
    [{ ZEST_DATABASE: "" }, "ZEST_DATABASE"],
    [{ ZEST_PORT: "many" }, "ZEST_PORT"],
    [{ ZEST_STUDIO_ORIGIN: "https://studio.example/" }, "ZEST_STUDIO_ORIGIN"],
    [{ ZEST_SHOP_ORIGIN: "https://shops.example" }, "ZEST_SHOP_ORIGIN"],
    [{ ZEST_TRUSTED_PROXIES: "10.0.0.1, everybody" }, "ZEST_TRUSTED_PROXIES"],
    [{ ZEST_DATABASE_CONNECTIONS: "1" }, "ZEST_DATABASE_CONNECTIONS"],
  ])("%j are refused with a sentence that names the setting", (wrong, name) =>
    expect(() => readConfig({ ...env, ...wrong })).toThrow(new RegExp(`^The setting ${name} can’t be used: `)),
  );
});
