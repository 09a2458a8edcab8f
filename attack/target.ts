import { mkdtempSync, rmSync } from "node:fs";
import { request } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
// @ts-expect-error plain JavaScript, so that it can start before any package is installed
import { startDatabase } from "../bin/lib/database.mjs";
// @ts-expect-error plain JavaScript
import { startServer } from "../bin/lib/server.mjs";

// What is attacked: the built application on a database and a folder of its own, with two owners and their shops.

type Database = { address: string; port: number; pid: number; stop: () => Promise<void> };
type Server = {
  port: number;
  shopPort: number;
  pid: number;
  stop: () => Promise<void>;
  kill: () => void;
  gone: Promise<unknown>;
};

export type Asked = {
  readonly method?: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string | Buffer;
  /** How long to wait, in ms. */
  readonly patience?: number;
};
/** `status` 0: no answer came. */
export type Answer = {
  readonly status: number;
  readonly body: string;
  readonly ms: number;
  readonly headers: Readonly<Record<string, string | readonly string[] | undefined>>;
};

/** Asks a server on loopback just what it is told to ask. */
export function ask(port: number, path: string, asked: Asked = {}): Promise<Answer> {
  const { method = "GET", headers = {}, body, patience = 60_000 } = asked;
  const started = performance.now();
  return new Promise((done) => {
    const end = (status: number, text = "", got: Answer["headers"] = {}) =>
      done({ status, body: text, ms: performance.now() - started, headers: got });
    try {
      const sent = request(
        {
          port,
          host: "127.0.0.1",
          path,
          method,
          headers: { ...headers, ...(body === undefined ? {} : { "Content-Length": String(Buffer.byteLength(body)) }) },
        },
        (response) => {
          let text = "";
          response.setEncoding("utf8");
          response.on("data", (piece: string) => (text.length < 200_000 ? (text += piece) : undefined));
          response.on("end", () => end(response.statusCode ?? 0, text, response.headers));
          response.on("error", () => end(0));
        },
      );
      sent.on("error", () => end(0));
      sent.setTimeout(patience, () => sent.destroy());
      sent.end(body);
    } catch {
      // A path or a header that the client itself does not let through.
      end(400);
    }
  });
}

/** A form with files, as browsers send it (RFC 7578). */
export function multipart(
  fields: Readonly<Record<string, string | { readonly name: string; readonly bytes: Buffer }>>,
): {
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Buffer;
} {
  const boundary = "----attack-boundary-7d1f2c";
  const parts = Object.entries(fields).map(([name, value]) => {
    const head =
      typeof value === "string"
        ? `Content-Disposition: form-data; name="${name}"\r\n\r\n`
        : `Content-Disposition: form-data; name="${name}"; filename="${value.name}"\r\nContent-Type: application/octet-stream\r\n\r\n`;
    const bytes = typeof value === "string" ? Buffer.from(value) : value.bytes;
    return Buffer.concat([Buffer.from(`--${boundary}\r\n${head}`), bytes, Buffer.from("\r\n")]);
  });
  return {
    headers: { "Content-Type": `multipart/form-data; boundary=${boundary}` },
    body: Buffer.concat([...parts, Buffer.from(`--${boundary}--\r\n`)]),
  };
}

export type Owner = { readonly cookie: string; readonly shop: string; readonly host: string };

export async function openTarget(folder = mkdtempSync(join(tmpdir(), "zest-attack-"))) {
  const data = folder;
  let database = (await startDatabase(data, { quiet: true })) as Database;
  process.env.ZEST_ACCOUNTS_PER_HOUR = "100000";
  const launch = (ports: { port: number; shopPort: number }) =>
    startServer({
      database: database.address,
      data,
      ...ports,
      demo: false,
      reset: false,
      say: () => undefined,
    }) as Promise<Server>;
  let server = await launch({ port: 0, shopPort: 0 });
  const { port, shopPort } = server;
  const origin = `http://localhost:${port}`;

  const studio = (path: string, asked: Asked & { readonly as?: Owner | undefined } = {}) =>
    ask(port, path, {
      ...asked,
      headers: {
        Host: `localhost:${port}`,
        Origin: origin,
        ...(asked.as ? { Cookie: asked.as.cookie } : {}),
        ...asked.headers,
      },
    });
  const shop = (host: string, path: string, asked: Asked = {}) =>
    ask(shopPort, path, { ...asked, headers: { Host: `${host}.localhost:${shopPort}`, ...asked.headers } });

  const form = (fields: Readonly<Record<string, string>>) => ({
    method: "POST",
    headers: { "Content-Type": "application/x-www-form-urlencoded" },
    body: new URLSearchParams(fields).toString(),
  });
  let owners = 0;
  /** A new owner with a shop that is open. */
  async function openShop(): Promise<Owner> {
    const n = `${process.pid}-${++owners}`;
    const made = await studio(
      "/account",
      form({ name: "Owner", address: `owner-${n}@shop.example`, password: "a long enough password" }),
    );
    const set = made.headers["set-cookie"];
    const cookie = (Array.isArray(set) ? (set as string[]) : []).map((c) => c.split(";")[0]).join("; ");
    if (!cookie) throw new Error(`no account could be made: ${made.status} ${made.body.slice(0, 200)}`);
    const host = `attacked-${n}`;
    const opened = await studio("/shops/new", {
      ...form({ name: `Shop ${n}`, host, currency: "EUR", timeZone: "Europe/London" }),
      headers: { "Content-Type": "application/x-www-form-urlencoded", Cookie: cookie },
    });
    const id = /\/s\/(\w+)\//.exec(String(opened.headers.location))?.[1];
    if (!id) throw new Error(`no shop could be opened: ${opened.status} ${opened.body.slice(0, 200)}`);
    const owner = { cookie, shop: id, host };
    await publish(owner);
    return owner;
  }
  const json = (body: unknown) => ({
    method: "POST",
    headers: { "Content-Type": "application/json", Accept: "application/json" },
    body: JSON.stringify(body),
  });
  async function publish(as: Owner): Promise<number> {
    const pending = await studio(`/s/${as.shop}/publish`, { as, headers: { Accept: "application/json" } });
    const { seq } = JSON.parse(pending.body) as { seq: number };
    return (await studio(`/s/${as.shop}/publish`, { ...json({ seq }), as })).status;
  }
  const bringIn = (as: Owner, csv: string) =>
    studio(`/s/${as.shop}/goods/bring-in`, {
      as,
      method: "POST",
      ...multipart({ intent: "import", file: { name: "goods.csv", bytes: Buffer.from(csv) } }),
    });

  return {
    data,
    port,
    shopPort,
    studio,
    shop,
    form,
    json,
    publish,
    bringIn,
    openShop,
    /** Ends the application at once, and starts it again. */
    async restartServer() {
      server.kill();
      await server.gone;
      server = await launch({ port, shopPort });
    },
    /** Ends the database at once. */
    killDatabase: () => process.kill(database.pid, "SIGKILL"),
    async restartDatabase() {
      database = (await startDatabase(data, { quiet: true, port: database.port })) as Database;
    },
    async close() {
      await server.stop();
      await database.stop();
      rmSync(data, { recursive: true, force: true });
    },
  };
}
export type Target = Awaited<ReturnType<typeof openTarget>>;
