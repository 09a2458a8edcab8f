import { describe, expect, it } from "vitest";
import {
  DOCUMENT_MIGRATIONS,
  DOCUMENT_VERSION,
  documentSchema,
  linkSchema,
  lookSchema,
  readDocument,
  transactionSchema,
} from ".";

const first = {
  schemaVersion: 1,
  id: "home",
  kind: "page",
  title: "Home",
  root: {
    id: "r",
    kind: "root",
    props: {},
    style: {},
    slots: { main: [{ id: "a", kind: "text", props: { heading: "Hi" }, style: {}, slots: {} }] },
  },
};

describe("stored documents", () => {
  it("are lifted from the first version to today's, on a copy", () => {
    const kept = JSON.stringify(first);
    const read = readDocument(first);
    expect(read).toMatchObject({
      ok: true,
      document: {
        schemaVersion: DOCUMENT_VERSION,
        root: { shown: true, slots: { main: [{ shown: true, conditions: [] }] } },
      },
    });
    expect(JSON.stringify(first)).toBe(kept);
    expect(read.ok && readDocument(read.document)).toEqual(read);
  });

  it("have a migration for every version there ever was", () => {
    expect(DOCUMENT_MIGRATIONS.map((m) => m.from)).toEqual(
      Array.from({ length: DOCUMENT_VERSION - 1 }, (_, i) => i + 1),
    );
  });

  it.each([
    [{ ...first, schemaVersion: DOCUMENT_VERSION + 1 }, "newer-version"],
    [{ ...first, schemaVersion: undefined }, "not-a-document"],
    [{ ...first, root: { id: "r" } }, "not-a-document"],
    [{ ...first, schemaVersion: 2 }, "not-a-document"],
    ["text", "not-a-document"],
    [null, "not-a-document"],
    [undefined, "not-a-document"],
  ])("that can't be read are a reason, not an exception (%#)", (stored, code) =>
    expect(readDocument(stored)).toMatchObject({ ok: false, code }),
  );
});

describe("what comes from outside", () => {
  it.each([
    [{ to: "place", page: "home", name: "our-loft" }, true],
    [{ to: "place", page: "home", name: "Our loft" }, false],
    [{ to: "file", id: "size-chart" }, true],
    [{ to: "web", address: "https://example.com/a?b" }, true],
    [{ to: "web", address: "javascript:alert(1)" }, false],
    [{ to: "web", address: "data:text/html,x" }, false],
    [{ to: "web", address: "https://" }, false],
    [{ to: "mail", address: "a@b.example" }, true],
    [{ to: "mail", address: "a@" }, false],
    [{ to: "phone", number: "+44 20 7946 0000" }, true],
    [{ to: "phone", number: "call me" }, false],
    [{ to: "product", id: "abc" }, true],
    [{ to: "product", id: "abc", also: 1 }, false],
  ])("is a link or not: %j", (link, good) => expect(linkSchema.safeParse(link).success).toBe(good));

  it("is a look only with a name and a colour that needs no guessing", () => {
    const look = {
      theme: "pomelo",
      identity: { name: "Shop", tagline: "", logo: { form: "words" } },
      brand: {},
      versions: {},
    };
    expect(lookSchema.safeParse(look).success).toBe(true);
    expect(lookSchema.safeParse({ ...look, identity: { ...look.identity, name: " " } }).success).toBe(false);
    expect(lookSchema.safeParse({ ...look, brand: { colour: "red;}body{display:none" } }).success).toBe(false);
  });

  it("is a transaction only with operations that we know", () => {
    const good = {
      id: "t1",
      group: "g1",
      intent: "x",
      label: "X",
      operations: [{ type: "setShown", document: "home", node: "a", before: true, after: false }],
    };
    expect(transactionSchema.safeParse(good).success).toBe(true);
    expect(transactionSchema.safeParse({ ...good, operations: [] }).success).toBe(false);
    expect(transactionSchema.safeParse({ ...good, operations: [{ type: "dropTables" }] }).success).toBe(false);
    expect(transactionSchema.safeParse({ ...good, id: "../../etc" }).success).toBe(false);
  });

  it("is a document only without anything that we don't know", () => {
    const read = readDocument(first);
    expect(read.ok && documentSchema.safeParse({ ...read.document, extra: 1 }).success).toBe(false);
  });
});
