import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { PageDocument } from "~/core/document";
import { makeNode } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { codeOrigin } from "../config/index.server";
import { ownerWithShop } from "../fixtures/owner";
import { openStorefront } from "../fixtures/shoppers";
import { createShop, newShopSchema, starterDraft } from "../shops/index.server";
import { pendingChanges, publish } from "../publishing/index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
beforeAll(async () => {
  front = await openStorefront();
});
afterAll(() => front.close());

const directives = (policy: unknown) =>
  new Map(
    String(policy)
      .split("; ")
      .map((each) => [each.split(" ")[0]!, each.split(" ").slice(1)]),
  );

describe("the host of frames", () => {
  it("serves one empty page, which is of no origin and loads from nowhere but where it is told", async () => {
    const { status, headers, body } = await front.ask("/frame?load=https%3A%2F%2Fa.example%20javascript%3A", {
      host: "code",
    });
    expect(status).toBe(200);
    const policy = directives(headers["content-security-policy"]);
    expect(policy.get("sandbox")).not.toContain("allow-same-origin");
    expect(policy.get("sandbox")).toContain("allow-scripts");
    expect(policy.get("connect-src")).toEqual(["https://a.example"]);
    expect(policy.get("frame-ancestors")).toContain(`http://*.localhost:${front.port}`);
    expect(headers["x-frame-options"]).toBeUndefined();
    expect(headers["set-cookie"]).toBeUndefined();
    expect(body).not.toContain("a.example");
  });

  it.each(["/", "/cart", "/frame/x", "/media/x", "/draft"])("serves nothing else: %s", async (path) => {
    expect((await front.ask(path, { host: "code" })).status).toBe(404);
  });

  it("has a name that no shop can have", () => {
    const asked = { name: "Code", host: "code", currency: "EUR", timeZone: "Europe/London" };
    expect(newShopSchema.safeParse(asked).success).toBe(false);
    expect(newShopSchema.safeParse({ ...asked, host: "codes" }).success).toBe(true);
  });
});

it("a page with code may hold frames of that host alone, and the cart’s holds none, even where its header has code", async () => {
  const { ownerId } = await ownerWithShop();
  const code = () => sectionAround(makeNode("code", { html: "<p>Here</p>" }));
  const draft = starterDraft("Coded");
  const { home: first, frame } = draft.documents;
  const withCode = (document: PageDocument, slot: string): PageDocument => ({
    ...document,
    root: { ...document.root, slots: { ...document.root.slots, [slot]: [code()] } },
  });
  const documents = { ...draft.documents, home: withCode(first!, "main"), frame: withCode(frame!, "top") };
  const host = `coded-${process.pid}-${Date.now().toString(36)}`;
  const made = await createShop(
    ownerId,
    { name: "Coded", host, currency: "EUR", timeZone: "Europe/London" },
    { ...draft, documents },
  );
  if (!made.ok) throw new Error(made.why);
  const { shop } = made;
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
  const home = await front.ask("/", { host: shop.host });
  expect(home.body.match(/<iframe/g)).toHaveLength(2);
  expect(directives(home.headers["content-security-policy"]).get("frame-src")).toEqual([codeOrigin()]);
  const cart = await front.ask("/cart", { host: shop.host });
  expect(cart.body).not.toContain("<iframe");
});
