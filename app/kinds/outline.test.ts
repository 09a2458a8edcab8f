import { describe, expect, it } from "vitest";
import { emptyDocument, type Json, type Part } from "~/core/document";
import type { RichDocument } from "~/core/rich";
import { envOf } from "~/render";
import { contentWith } from "~/render/fixtures/content";
import { makeNode } from ".";
import { outlineOf } from "./outline";

const text = (...blocks: readonly (readonly [type: string, words: string, level?: number])[]): RichDocument => ({
  type: "doc",
  content: blocks.map(([type, words, level]) => ({
    type,
    ...(level ? { attrs: { level } } : {}),
    content: [{ type: "text", text: words }],
  })),
});

const page = (...main: readonly Part[]) => {
  const document = emptyDocument(2, "page", "p", "A page");
  return { ...document, root: { ...document.root, slots: { main } } };
};
const part = (kind: string, id: string, props: Parameters<typeof makeNode>[1], more?: Partial<Part>) =>
  makeNode(kind, props, { id, ...more });

describe("the headings of a page", () => {
  const rich = text(["paragraph", "First"], ["heading", "Wood", 2], ["heading", "Oak", 3], ["heading", "Cloth", 2]);
  const main = [
    part("text", "first", { heading: "The page’s own", text: rich as unknown as Json }),
    part("contents", "list", {}),
    part("text", "second", { heading: "How we work", anchor: "how", text: "Plain" }),
    part("text", "hidden", { heading: "Not yet" }, { shown: false }),
    part("people", "third", { heading: " Who " }),
    part("figures", "none", { heading: "" }),
    part(
      "freehand",
      "free",
      {},
      {
        slots: { columns: [part("column", "c", {}, { slots: { widgets: [part("heading", "h", { text: "Free" })] } })] },
      },
    ),
  ];

  it("are those of its sections and, deeper, of their texts; its own, what is not shown and the list itself are not among them", () => {
    expect(outlineOf(page(...main))).toEqual([
      { id: "to-first-text-1", title: "Wood", isDeep: true },
      { id: "to-first-text-3", title: "Cloth", isDeep: true },
      { id: "how", title: "How we work", isDeep: false },
      { id: "to-third", title: "Who", isDeep: false },
      { id: "to-free", title: "Free", isDeep: false },
    ]);
    expect(outlineOf(undefined)).toEqual([]);
  });

  it("are known to whatever is drawn on it", () => {
    const content = contentWith([]);
    expect(envOf(content, content.draft, undefined, undefined, page(...main)).outline()).toHaveLength(5);
    expect(envOf(content, content.draft).outline()).toEqual([]);
  });
});
