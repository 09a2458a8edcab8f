import { describe, expect, it } from "vitest";
import { walk, type Part } from "~/core/document";
import { readLook } from "~/core/schema";
import { KINDS, problemOf } from ".";
import stored from "./fixtures/stored-2026-11.json";
import { unreadable } from "./readable";
import { readPage, readPart } from "./reading";

// What shops had stored in November 2026. Every later version reads it: this file is never changed, others are added to it.
const documents = [
  ...Object.values(stored.demo.documents),
  ...Object.values(stored.starter.documents),
  ...Object.values(stored.layouts),
  stored.every,
];

describe("documents as they were stored", () => {
  it("are of every kind that there was", () => {
    const kinds = new Set(documents.flatMap((d) => [...walk(d.root as unknown as Part)].map((p) => p.kind)));
    expect(kinds.size).toBeGreaterThanOrEqual(39);
  });

  it.each(documents.map((d) => [d.title, d] as const))(
    "“%s” is read, and all of it can be drawn and edited",
    (_t, d) => {
      const read = readPage(d);
      if (!read.ok) throw new Error(read.why);
      for (const part of walk(read.document.root)) {
        if (part.kind === "root") continue;
        expect(unreadable(part), part.kind).toBeUndefined();
        expect(problemOf(part), part.kind).toBeUndefined();
      }
    },
  );

  it("have looks that are read whole", () => {
    for (const { look } of [stored.demo, stored.starter]) expect(readLook(look).unread).toEqual({});
  });
});

describe("a part", () => {
  const hero = stored.starter.documents.home.root.slots.main[0] as unknown as Part;

  it("that is in today's form is the very same object", () => {
    expect(readPart(hero)).toBe(hero);
    const page = readPage(stored.every);
    expect(page.ok && readPart(page.document.root)).toBe(page.ok && page.document.root);
  });

  it("that lacks a value gets what is usual, and keeps all that it says, what is not understood among it", () => {
    const { text: _text, ...rest } = hero.props;
    const read = readPart({ ...hero, props: { ...rest, unheardOf: 7 } });
    const usual = KINDS.get("hero")!.definition.defaults;
    expect(read.props).toEqual({ ...rest, text: usual.text, unheardOf: 7 });
    expect(unreadable(read)).toBeUndefined();
  });

  it.each([
    ["of a kind that is not known", { ...hero, kind: "hologram" }, "does not know it"],
    ["of a newer version", { ...hero, version: 99 }, "A newer version"],
    ["that is damaged", { ...hero, props: { ...hero.props, link: "nowhere" } }, "can’t be read (link)"],
  ])("%s is kept as it is, with a reason", (_what, part, why) => {
    expect(readPart(part)).toBe(part);
    expect(unreadable(part)).toContain(why);
  });
});

describe("a look", () => {
  const look = stored.demo.look;
  it("is read around what it can't be read for, and that is kept beside it", () => {
    const { look: read, unread } = readLook({ ...look, brand: { corners: "soft", "scent.top": "pine", density: 12 } });
    expect(read.brand).toEqual({ corners: "soft" });
    expect(unread).toEqual({ "scent.top": "pine", density: 12 });
    expect(read.identity.name).toBe(look.identity.name);
  });

  it.each([undefined, null, 7, {}, { identity: { name: "" } }, { ...look, versions: { a: 1 } }, { ...look, theme: 4 }])(
    "that is %j is a look all the same",
    (damaged) => {
      const { look: read } = readLook(damaged);
      expect(read.identity.name.length).toBeGreaterThan(0);
      expect(readLook(read).look).toEqual(read);
    },
  );

  it("is lifted by its own sequence of migrations", () => {
    const { colour: _colour, ...rest } = { ...look.brand, colour: "" };
    const old = { ...look, brand: { ...rest, roundness: "soft" } };
    const migration = {
      from: 1,
      name: "roundness is called corners",
      up: (value: Record<string, unknown>) => {
        const { roundness, ...brand } = value.brand as Record<string, unknown>;
        value.brand = { ...brand, corners: roundness };
      },
    };
    expect(readLook(old, [migration])).toMatchObject({ look: { brand: { corners: "soft" } }, unread: {} });
    expect(old.brand).toHaveProperty("roundness");
  });
});
