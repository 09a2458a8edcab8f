import { readFileSync } from "node:fs";
import { createServer, request as httpRequest, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import type { ServerBuild } from "react-router";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addPicture } from "../pictures/index.server";
import { openSession } from "../accounts/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { studio } from "./studio";
import sharp from "sharp";

let server: Server;
let port: number;

/** Routes are of no concern here: whatever gets past the guards meets an error of the missing build. */
const noRoutes = () => Promise.reject<ServerBuild>(new Error("no build"));

beforeAll(async () => {
  server = createServer(studio(noRoutes, undefined, "production"));
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
  port = (server.address() as AddressInfo).port;
});
afterAll(() => server.close());

type Asked = { method?: string; headers?: Record<string, string>; body?: string };

function ask(
  path: string,
  { method = "GET", headers = {}, body }: Asked = {},
): Promise<{ status: number; body: string; headers: Record<string, unknown> }> {
  return new Promise((done, fail) => {
    const sent = httpRequest(
      { port, host: "127.0.0.1", path, method, headers: { Host: `localhost:${port}`, ...headers } },
      (response) => {
        let text = "";
        response.setEncoding("utf8");
        response.on("data", (chunk: string) => (text += chunk));
        response.on("end", () => {
          sent.destroy();
          done({ status: response.statusCode ?? 0, body: text, headers: response.headers });
        });
      },
    );
    sent.on("error", fail);
    // A body that was announced and does not come: the answer has to come without it.
    if (body === undefined && headers["Content-Length"]) sent.flushHeaders();
    else sent.end(body);
  });
}

describe("mutations", () => {
  const post = (headers: Record<string, string>, body = "x=1") =>
    ask("/s/x/publish", { method: "POST", headers: { "Content-Length": String(body.length), ...headers }, body });

  it.each([
    ["no origin", {}],
    ["another site's origin", { Origin: "https://elsewhere.example" }],
    ["the shop's origin", { Origin: "http://larkspindle.localhost:4311" }],
    ["an opaque origin", { Origin: "null" }],
    ["another port", { Origin: "http://localhost:1" }],
  ])("with %s are refused", async (_what, headers) => {
    const answer = await post(headers);
    expect([answer.status, answer.body]).toEqual([403, "This request came from another site and was refused."]);
  });

  it("that are too large, or don't say how large, are refused before they are read", async () => {
    const Origin = `http://localhost:${port}`;
    const large = await ask("/s/x/upload", {
      method: "POST",
      headers: { Origin, "Content-Length": String(64 * 1024 * 1024) },
    });
    expect(large.status).toBe(413);
    const endless = await ask("/s/x/upload", {
      method: "POST",
      headers: { Origin, "Transfer-Encoding": "chunked" },
      body: "x",
    });
    expect(endless.status).toBe(411);
  });
});

describe("pictures in the studio", () => {
  it("are shown to the owner of their shop and to nobody else", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    const bytes = await sharp({ create: { width: 200, height: 200, channels: 3, background: "#456" } })
      .png()
      .toBuffer();
    const added = await addPicture(mine.shop.id, bytes, "x.png");
    const path = `/media/${added.ok ? added.picture.hash : ""}-160.webp`;
    const as = async (ownerId: string) =>
      ask(path, { headers: { Cookie: `zest_session=${await openSession(ownerId)}` } });
    expect((await as(mine.ownerId)).status).toBe(200);
    expect((await as(other.ownerId)).status).toBe(404);
    expect((await ask(path)).status).toBe(404);
  });

  it("those of the made-up shops every owner sees, in the sizes of any picture, and nobody else does", async () => {
    const { ownerId } = await ownerWithShop();
    const [{ hash }] = JSON.parse(readFileSync("samples/list.json", "utf8")) as [{ hash: string }];
    const path = `/media/${hash}-320.webp`;
    const seen = await ask(path, { headers: { Cookie: `zest_session=${await openSession(ownerId)}` } });
    expect(seen).toMatchObject({ status: 200 });
    expect(seen.headers["content-type"]).toBe("image/webp");
    expect((await ask(path)).status).toBe(404);
  });
});

it("says whether it is well", async () => expect(await ask("/health")).toMatchObject({ status: 200, body: "ok" }));

it("does not say what it is made with", async () => {
  const { headers } = await ask("/health");
  expect(headers["x-powered-by"]).toBeUndefined();
  expect(headers.server).toBeUndefined();
});
