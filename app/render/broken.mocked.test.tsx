// @vitest-environment jsdom
import { act } from "react";
import { createRoot } from "react-dom/client";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { EnvProvider } from "~/kinds/parts";
import { themeById } from "~/themes";
import { contentWith, everySection } from "./fixtures/content";
import { envOf, Page, PageBody, renderPage } from ".";

vi.mock("~/kinds/quote/view", () => ({
  View: ({ props }: { props: { text: unknown } }) => {
    if (JSON.stringify(props).includes("break")) throw new Error("it can't be drawn");
    return "drawn";
  },
}));
(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

const { makeNode } = await import("~/kinds");
const SCRIPTS = { every: "/a.js", goods: "/b.js" };
const holding = (text: string) =>
  makeNode(
    "freehand",
    {},
    { slots: { columns: [makeNode("column", {}, { slots: { widgets: [makeNode("quote", { text })] } })] } },
  );
const others = everySection.filter((s) => s.slot === "main" && s.node.kind !== "freehand").map((s) => s.node);

describe("a section that fails while it is drawn", () => {
  it("is left out in the shop and named, and the rest of the page is what it would be without it", () => {
    const broken = holding("break");
    const page = renderPage(
      { page: "home" },
      contentWith([others[0]!, broken, others[1]!]),
      "http://s.example",
      SCRIPTS,
    );
    expect(page.broken).toMatchObject([{ node: broken.id, kind: "freehand", why: new Error("it can't be drawn") }]);
    const without = renderPage({ page: "home" }, contentWith([others[0]!, others[1]!]), "http://s.example", SCRIPTS);
    expect(page.html).toBe(without.html);
    expect(without.broken).toEqual([]);
  });

  describe("in a pane", () => {
    let place: HTMLElement;
    let root: ReturnType<typeof createRoot>;
    beforeEach(() => {
      place = document.body.appendChild(document.createElement("div"));
      root = createRoot(place);
      // React tells of every failure that a boundary has caught.
      vi.spyOn(console, "error").mockImplementation(() => {});
    });
    afterEach(async () => {
      await act(async () => root.unmount());
      place.remove();
      vi.restoreAllMocks();
    });

    it("is shown as such with what can be done, and drawn again once it has changed", async () => {
      const section = holding("break");
      const draw = async (main: Parameters<typeof contentWith>[0]) => {
        const content = contentWith(main);
        const { look, documents } = content.draft;
        const env = envOf(content, content.draft, { editing: null });
        const theme = themeById(look.theme);
        await act(async () =>
          root.render(
            <EnvProvider value={env}>
              <Page frame={documents.frame!} theme={theme} look={look}>
                <PageBody
                  target={{ page: "home" }}
                  page={documents.home}
                  documents={documents}
                  goods={content.goods}
                  theme={theme}
                  look={look}
                />
              </Page>
            </EnvProvider>,
          ),
        );
      };
      await draw([section, others[0]!]);
      expect(place.textContent).toContain("can’t be drawn here. Something went wrong while drawing it.");
      const widget = section.slots.columns![0]!.slots.widgets![0]!;
      // The smallest part that failed, where it can be chosen and removed.
      expect(place.querySelector(`[data-node="${widget.id}"][data-undrawable]`)).toBeTruthy();
      expect(place.querySelector(`[data-node="${others[0]!.id}"]`)).toBeTruthy();
      const column = section.slots.columns![0]!;
      const mended = {
        ...section,
        slots: {
          columns: [{ ...column, slots: { widgets: [{ ...widget, props: { ...widget.props, text: "whole" } }] } }],
        },
      };
      await draw([mended, others[0]!]);
      expect(place.querySelector("[data-undrawable]")).toBeNull();
      expect(place.textContent).toContain("drawn");
    });

    it("says of what it can't read whose it is", async () => {
      const content = contentWith([{ ...others[0]!, version: 9 }]);
      const env = envOf(content, content.draft, { editing: null });
      const { look, documents } = content.draft;
      const theme = themeById(look.theme);
      await act(async () =>
        root.render(
          <EnvProvider value={env}>
            <PageBody
              target={{ page: "home" }}
              page={documents.home}
              documents={documents}
              goods={content.goods}
              theme={theme}
              look={look}
            />
          </EnvProvider>,
        ),
      );
      expect(place.textContent).toContain("A newer version of Zest Window has written it.");
    });
  });
});
