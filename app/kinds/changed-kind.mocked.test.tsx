import { createElement } from "react";
import { describe, expect, it, vi } from "vitest";
import { z } from "zod";
import { setProp } from "~/core/commands";
import { differences, findNode, walk, type Part } from "~/core/document";
import { judge } from "~/core/keeping";
import { renderPage } from "~/render";
import type { Kind } from ".";
import { contentWith } from "~/render/fixtures/content";
import stored from "./fixtures/stored-2026-11.json";

// The hero of tomorrow: its heading is called `title`, what stood over it is gone, and it has to have a tone. It is read, drawn,
// edited and published from what is stored today.
vi.mock("./hero", async (original) => {
  const { hero } = await original<{ readonly hero: Kind }>();
  const { heading, text, picture, link, ...others } = hero.definition.defaults;
  const definition = {
    ...hero.definition,
    props: z.object({
      arrangement: z.string().optional(),
      title: z.string().max(140),
      text: z.unknown(),
      tone: z.enum(["calm", "loud"]),
      picture: z.string().nullable(),
    }),
    defaults: { title: heading, text, tone: "calm", picture, link, button: others.button },
    fields: [{ type: "text", key: "title", label: "Title", most: 140 }],
    migrations: [
      {
        from: 1,
        name: "the heading is called title",
        up: (props: Record<string, unknown>) => {
          props.title = props.heading;
          delete props.heading;
        },
      },
      {
        from: 2,
        name: "nothing stands over it",
        up: (props: Record<string, unknown>) => void delete props.over,
      },
    ],
  };
  const View = ({ props }: { props: { title: string; tone: string } }) =>
    createElement("h1", { className: `tone-${props.tone}` }, props.title);
  return { hero: { definition, View } };
});

const { KINDS, makeNode, problemOf } = await import(".");
const { problemOfChange } = await import("./changes");
const { readPage, readPart, readTransaction } = await import("./reading");
const { unreadable } = await import("./readable");

const old = stored.starter.documents.home.root.slots.main[0] as unknown as Part;
const page = readPage(stored.starter.documents.home);
if (!page.ok) throw new Error(page.why);
const main = page.document.root.slots.main!;
const hero = main[0]!;

describe("a kind that has changed", () => {
  it("is read: what was renamed, what is gone, and what is new", () => {
    expect(hero.props).toMatchObject({ title: old.props.heading, tone: "calm", text: old.props.text });
    expect(hero.props).not.toHaveProperty("heading");
    expect(hero.props).not.toHaveProperty("over");
    expect([hero.version, old.version]).toEqual([3, undefined]);
    expect(unreadable(hero)).toBeUndefined();
    expect(problemOf(hero)).toBeUndefined();
    expect(readPart(hero)).toBe(hero);
    expect(makeNode("hero").version).toBe(3);
    expect(KINDS.get("hero")!.definition.migrations!.map((m) => m.from)).toEqual([1, 2]);
    // From the middle of the way it goes on from there.
    const { heading, ...rest } = old.props;
    expect(readPart({ ...old, version: 2, props: { ...rest, title: heading! } }).props).toEqual(hero.props);
  });

  it("is drawn, edited, kept, undone and published as any other", () => {
    const content = contentWith(main);
    const { html } = renderPage({ page: "home" }, content, "http://s.example", { every: "/a.js", goods: "/b.js" });
    expect(html).toContain(`<h1 class="tone-calm">${String(old.props.heading)}</h1>`);
    const made = setProp(content.draft, hero.id, ["title"], "Tomorrow", "Words changed");
    if (!made.ok) throw new Error(made.why);
    const stored = { seq: 1, draft: content.draft, since: [], known: new Set<string>() };
    const { answer, store } = judge(stored, [made.transaction], problemOfChange);
    expect(answer).toEqual({ ok: true, seq: 2 });
    expect(findNode(store!.draft.documents.home!.root, hero.id)!.props.title).toBe("Tomorrow");
    expect(differences(content.draft, store!.draft)).toMatchObject([{ what: "props", keys: ["title"] }]);
    const again = JSON.parse(JSON.stringify(store!.draft.documents.home)) as unknown;
    expect(readPage(again)).toEqual({ ok: true, document: store!.draft.documents.home });
  });

  it("comes back in its new form from a log that was written in the old", () => {
    const { draft } = contentWith([]);
    const root = draft.documents.home!.root;
    const operation = {
      type: "insertNode" as const,
      document: "home",
      to: { parent: root.id, slot: "main", index: 0 },
      node: old,
    };
    const read = readTransaction({ id: "t", group: "g", intent: "add", label: "Hero added", operations: [operation] });
    const stored = { seq: 1, draft, since: [], known: new Set<string>() };
    const { store } = judge(stored, [read], problemOfChange);
    expect([...walk(store!.draft.documents.home!.root)].find((p) => p.id === old.id)).toEqual(hero);
  });

  it("does not take its page down when it can't be drawn", () => {
    const content = contentWith([{ ...hero, props: { ...hero.props, tone: "shrill" } }, ...main.slice(1)]);
    const { html, broken } = renderPage({ page: "home" }, content, "http://s.example", {
      every: "/a.js",
      goods: "/b.js",
    });
    expect(broken).toEqual([]);
    expect(html).not.toContain("tone-");
    expect(html).toContain("<footer");
  });
});
