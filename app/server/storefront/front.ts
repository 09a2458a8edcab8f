import type { IncomingMessage, ServerResponse } from "node:http";
import { config } from "../config/index.server";
import { shopJustRead } from "../shops/index.server";
import { keptAt } from "./pages";
import { DRAFT_COOKIE } from "./draft";
import { CLOSED_COOKIE } from "./came-by";
import { encodingJustRead, hasAlready } from "./sending";

// Most of what shoppers ask for lies ready. That is answered here, before a framework has looked at it; whatever is not
// certain at first sight goes the long way, which also writes down what is sent from here the next time.

let domain = { of: "", is: "" };
let latest: { host: string; end: string; label: string | undefined } = { host: "", end: "", label: undefined };

/** What shops' names stand before, as in `localhost`. */
function domainOfShops(): string {
  const { shopOrigin } = config();
  if (domain.of !== shopOrigin)
    domain = { of: shopOrigin, is: /^https?:\/\/\{shop\}\.([^:]+)/.exec(shopOrigin)?.[1] ?? "" };
  return domain.is;
}

/** The shop's name in a request's host name: the first label of `larkspindle.localhost`, and of no other domain. */
export function hostLabel({ headers }: IncomingMessage): string | undefined {
  const end = `.${domainOfShops()}`;
  const host = headers.host ?? "";
  // One crowd comes to one shop.
  if (host === latest.host && end === latest.end) return latest.label;
  const [name = ""] = host.toLowerCase().split(":");
  const wanted = name.endsWith(end) ? name.slice(0, -end.length) : "";
  const label = /^[a-z0-9-]{1,40}$/.test(wanted) ? wanted : undefined;
  latest = { host, end, label };
  return label;
}

/** Sends a page that is kept and that nothing has changed since; false where somebody else has to answer. */
export function answerKept(request: IncomingMessage, response: ServerResponse): boolean {
  const { method, url = "", headers } = request;
  if (method !== "GET" && method !== "HEAD") return false;
  // Whoever looks at a draft is sent something else.
  if (headers.cookie?.includes(`${DRAFT_COOKIE}=`)) return false;
  // Whoever has closed something may see less than others.
  if (headers.cookie?.includes(`${CLOSED_COOKIE}=`)) return false;
  const label = hostLabel(request);
  const shop = label === undefined ? undefined : shopJustRead(label);
  const encoding = encodingJustRead(request);
  if (!shop || !encoding) return false;
  const page = keptAt(shop, url, Date.now());
  const head = page?.heads[encoding];
  if (!page || !head) return false;
  if (hasAlready(headers["if-none-match"], head.etag)) response.writeHead(304, head.unchanged).end();
  else response.writeHead(page.status, head.whole).end(page.bytes(encoding));
  return true;
}
