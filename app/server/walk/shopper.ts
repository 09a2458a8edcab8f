import { createServer, request as ask, type IncomingMessage, type Server } from "node:http";
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

export class Shopper {
  readonly #server: Server;
  readonly #host: string;
  readonly #origin: string;
  readonly #jar = new Map<string, string>();

  private constructor(server: Server, origin: string) {
    this.#server = server;
    this.#origin = origin;
    this.#host = new URL(origin).host;
  }

  /** Opens the door of a shop to one shopper. `origin`: the shop’s own, without a slash at its end. */
  static async enter(origin: string): Promise<Shopper> {
    const server = createServer(storefront());
    await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
    return new Shopper(server, origin);
  }

  leave(): void {
    this.#server.close();
    this.#server.closeAllConnections();
  }

  setCookie(name: string, value: string): void {
    this.#jar.set(name, value);
  }

  #keep(cookies: readonly string[] = []): void {
    for (const cookie of cookies) {
      const [, name = "", value = ""] = /^([^=;]+)=([^;]*)/.exec(cookie) ?? [];
      if (/;\s*Max-Age=0(?:;|$)/i.test(cookie)) this.#jar.delete(name);
      else if (name) this.#jar.set(name, value);
    }
  }

  #send(method: string, path: string, body?: URLSearchParams): Promise<Answer> {
    const { port } = this.#server.address() as AddressInfo;
    const headers: Record<string, string> = {
      Host: this.#host,
      Accept: "text/html",
      "Accept-Language": "en",
      [WALK_HEADER]: walkSecret(),
      ...(this.#jar.size ? { Cookie: [...this.#jar].map(([name, value]) => `${name}=${value}`).join("; ") } : {}),
      ...(body ? { "Content-Type": "application/x-www-form-urlencoded", Origin: this.#origin } : {}),
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
          this.#keep(response.headers["set-cookie"]);
          done({
            status: response.statusCode ?? 0,
            to: this.below(response.headers.location),
            type: response.headers["content-type"] ?? "",
            body: Buffer.concat(chunks).toString("utf8"),
          });
        });
      });
      sent.on("error", fail);
      sent.end(body?.toString());
    });
  }

  /** An address below the shop’s own, with what stands after `#`; undefined for one that leads elsewhere. */
  below(address: string | undefined, from = "/"): string | undefined {
    if (address === undefined || !URL.canParse(address, this.#origin + from)) return undefined;
    const url = new URL(address, this.#origin + from);
    return url.host === this.#host && /^https?:$/.test(url.protocol) ? url.pathname + url.search + url.hash : undefined;
  }

  get(path: string): Promise<Answer> {
    return this.#send("GET", path.split("#")[0]!);
  }
  head(path: string): Promise<Answer> {
    return this.#send("HEAD", path);
  }

  /** Follows what an answer leads on to, a few times at most. */
  async follow(answer: Answer, from: string): Promise<Answer & { readonly at: string; readonly page: SeenPage }> {
    let now = answer;
    let at = from;
    for (let i = 0; i < 5 && now.to !== undefined && now.status >= 300 && now.status < 400; i++) {
      at = now.to;
      now = await this.get(at);
    }
    return { ...now, at, page: readPage(now.body) };
  }

  async open(path: string): Promise<Answer & { readonly at: string; readonly page: SeenPage }> {
    return this.follow(await this.get(path), path);
  }

  /** Sends a form as it stands, with some values written anew. */
  async submit(form: PageForm, from: string, values: Readonly<Record<string, string>> = {}) {
    const body = new URLSearchParams([...form.values]);
    for (const [name, value] of Object.entries(values)) body.set(name, value);
    const to = this.below(form.action || from, from) ?? from;
    if (form.method === "post") return this.follow(await this.#send("POST", to, body), to);
    return this.open(`${to.split("?")[0]}?${body.toString()}`);
  }
}
