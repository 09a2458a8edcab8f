// @vitest-environment jsdom
import fc from "fast-check";
import { act } from "react";
import { createRoot } from "react-dom/client";
import { expect, it } from "vitest";
import { addColumn, carryNode, duplicateNodes, setProp, setStyle, type Outcome } from "~/core/commands";
import { walk, type Draft } from "~/core/document";
import { applyAll } from "~/core/operations";
import { kindOf, levelOf } from "~/kinds";
import { EnvProvider } from "~/kinds/parts";
import { envOf, nodeCss, Page, PageBody } from "~/render";
import { contentWith, everySection } from "~/render/fixtures/content";
import { themeById } from "~/themes";

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

const main = everySection
  .filter((s) => /freehand-(three|picture)|w-words|w-group|hero-on|text-plain/.test(s.node.id))
  .map((s) => s.node);
const content = contentWith(main);
const theme = themeById("pomelo");

function commandOf(draft: Draft, [what, pick, other]: readonly [number, number, number]): Outcome {
  const all = [...walk(draft.documents.home!.root)].filter((n) => n.kind !== "root");
  const node = all[pick % all.length]!;
  const goal = all[other % all.length]!;
  switch (what % 5) {
    case 0: {
      const field = kindOf(node)?.definition.fields.find((f) => f.type === "line" || f.type === "text");
      return field
        ? setProp(draft, node.id, [field.key], `said ${other}`, "x")
        : setStyle(draft, [node.id], "all", "spaceTop", other % 8, "x");
    }
    case 1:
      return setStyle(
        draft,
        [node.id],
        other % 2 ? "phone" : "all",
        "align",
        (["start", "center", "end"] as const)[other % 3],
        "x",
      );
    case 2:
      return duplicateNodes(draft, [node.id], "x");
    case 3:
      return levelOf(node) === "widget" && goal.kind === "column"
        ? carryNode(draft, node.id, { document: "home", parent: goal.id, slot: "widgets", index: 0 }, "x")
        : { ok: false, why: "" };
    default:
      return node.kind === "freehand" ? addColumn(draft, node.id, 0, () => undefined) : { ok: false, why: "" };
  }
}

const drawn = (draft: Draft) => (
  <EnvProvider value={envOf(content, content.draft, { editing: null })}>
    <Page frame={draft.documents.frame!} theme={theme} look={draft.look}>
      <PageBody
        target={{ page: "home" }}
        page={draft.documents.home}
        documents={draft.documents}
        goods={content.goods}
        theme={theme}
        look={draft.look}
      />
    </Page>
  </EnvProvider>
);

it("a page that follows change after change is the page drawn from scratch, markup and rules", async () => {
  const run = fc.array(fc.tuple(fc.nat(999), fc.nat(999), fc.nat(999)), { minLength: 1, maxLength: 8 });
  await fc.assert(
    fc.asyncProperty(run, async (steps) => {
      const pane = document.createElement("div");
      const root = createRoot(pane);
      let draft = content.draft;
      await act(async () => root.render(drawn(draft)));
      for (const numbers of steps) {
        const outcome = commandOf(draft, numbers);
        const applied = outcome.ok ? applyAll(draft, outcome.transaction.operations) : undefined;
        if (!applied?.ok) continue;
        draft = applied.draft;
        await act(async () => root.render(drawn(draft)));
      }
      const fresh = document.createElement("div");
      const again = createRoot(fresh);
      const copy = JSON.parse(JSON.stringify(draft)) as Draft;
      await act(async () => again.render(drawn(copy)));
      expect(pane.innerHTML).toBe(fresh.innerHTML);
      const css = (d: Draft) => d.documents.home!.root.slots.main!.map((n) => nodeCss(n, theme, d.look)).join("");
      expect(css(draft)).toBe(css(copy));
      await act(async () => {
        root.unmount();
        again.unmount();
      });
    }),
    { seed: 77, numRuns: 40 },
  );
});
