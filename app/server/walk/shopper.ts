import { createServer, request as ask, type IncomingMessage } from "node:http";
import type { AddressInfo } from "node:net";
import { storefront, WALK_HEADER, walkSecret } from "../storefront/index.server";
import { readPage, type PageForm, type SeenPage } from "./page";

// Somebody without a browser who goes through a shop: asks for pages, keeps cookies, sends forms. They come to the same handlers as everybody
// else, through a server of their own that nobody else can reach.

export type Answer = {
  readonly status: number;
  /** Below the shop’s own address, where it leads on; undefined where it doesn’t. */
  readonly to: string | undefined;
  readonly type: string;
  readonly body: string;
};

const LONGEST = 8_000_000;

/** What an automatic shopper can do. Paths are below the shop’s own address. */
export type Shopper = {
  readonly setCookie: (name: string, value: string) => void;
  readonly get: (path: string) => Promise<Answer>;
  readonly head: (path: string) => Promise<Answer>;
  /** An address below the shop’s own, with what stands after `#`; undefined for one that leads elsewhere. */
  readonly below: (address: string | undefined, from?: string) => string | undefined;
  /** Asks for a page, and follows what leads on. */
  readonly open: (path: string) => Promise<Opened>;
  /** Sends a form as it stands, with some values written anew. */
  readonly submit: (form: PageForm, from: string, values?: Readonly<Record<string, string>>) => Promise<Opened>;
  readonly leave: () => void;
};
type Opened = Answer & { readonly at: string; readonly page: SeenPage };

/** Opens the door of a shop to one shopper. `origin`: the shop’s own, without a slash at its end. */
export async function enterShop(origin: string): Promise<Shopper> {
  const server = createServer(storefront());
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
  const { host } = new URL(origin);
  const { port } = server.address() as AddressInfo;
  const jar = new Map<string, string>();

  const keep = (cookies: readonly string[] = []) => {
    for (const cookie of cookies) {
      const [, name = "", value = ""] = /^([^=;]+)=([^;]*)/.exec(cookie) ?? [];
      if (/;\s*Max-Age=0(?:;|$)/i.test(cookie)) jar.delete(name);
      else if (name) jar.set(name, value);
    }
  };
  const below = (address: string | undefined, from = "/") => {
    if (address === undefined || !URL.canParse(address, origin + from)) return undefined;
    const url = new URL(address, origin + from);
    return url.host === host && /^https?:$/.test(url.protocol) ? url.pathname + url.search + url.hash : undefined;
  };
  const send = (method: string, path: string, body?: URLSearchParams): Promise<Answer> => {
    const headers: Record<string, string> = {
      Host: host,
      Accept: "text/html",
      "Accept-Language": "en",
      [WALK_HEADER]: walkSecret(),
      ...(jar.size ? { Cookie: [...jar].map(([name, value]) => `${name}=${value}`).join("; ") } : {}),
      ...(body ? { "Content-Type": "application/x-www-form-urlencoded", Origin: origin } : {}),
    };
    return new Promise((done, fail) => {
      const sent = ask({ port, host: "127.0.0.1", method, path, headers }, (response: IncomingMessage) => {
        const chunks: Buffer[] = [];
        let length = 0;
        response.on("data", (chunk: Buffer) => {
          length += chunk.length;
          if (length <= LONGEST) chunks.push(chunk);
        });
        response.on("error", fail);
        response.on("end", () => {
          keep(response.headers["set-cookie"]);
          done({
            status: response.statusCode ?? 0,
            to: below(response.headers.location),
            type: response.headers["content-type"] ?? "",
            body: Buffer.concat(chunks).toString("utf8"),
          });
        });
      });
      sent.on("error", fail);
      sent.end(body?.toString());
    });
  };
  const get = (path: string) => send("GET", path.split("#")[0]!);
  /** Follows what an answer leads on to, a few times at most. */
  const follow = async (answer: Answer, from: string): Promise<Opened> => {
    let now = answer;
    let at = from;
    for (let i = 0; i < 5 && now.to !== undefined && now.status >= 300 && now.status < 400; i++) {
      at = now.to;
      now = await get(at);
    }
    return { ...now, at, page: readPage(now.body) };
  };
  const open = async (path: string) => follow(await get(path), path);
  return {
    setCookie: (name, value) => void jar.set(name, value),
    get,
    head: (path) => send("HEAD", path),
    below,
    open,
    submit: async (form, from, values = {}) => {
      const body = new URLSearchParams([...form.values]);
      for (const [name, value] of Object.entries(values)) body.set(name, value);
      const to = below(form.action || from, from) ?? from;
      if (form.method === "post") return follow(await send("POST", to, body), to);
      return open(`${to.split("?")[0]}?${body.toString()}`);
    },
    leave: () => {
      server.close();
      server.closeAllConnections();
    },
  };
}
