// @vitest-environment jsdom
import { act } from "react";
import { createRoot } from "react-dom/client";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, it, vi } from "vitest";
import { hasTrait } from "~/kinds";
import { EnvProvider } from "~/kinds/parts";
import { envOf, Section } from "~/render";
import { oneOfEachKind } from "~/render/fixtures/as-theme";
import { contentWith, everyLayoutPart, everySection } from "~/render/fixtures/content";
import { themeById, THEMES } from "~/themes";

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;
// jsdom lays nothing out, so nothing ever comes into view there.
vi.stubGlobal(
  "IntersectionObserver",
  class {
    observe() {}
    disconnect() {}
  },
);

const STUDIO_MARKS = [
  "data-at",
  "data-hint",
  "data-node",
  "data-picture-at",
  "data-dead",
  "data-level",
  "data-slot",
  "data-rich-at",
  "data-spot-at",
];

/** The structure of a page part without the marks that only the studio needs. */
function plain(html: string): string {
  const holder = document.createElement("div");
  holder.innerHTML = html;
  // Hints for fetching belong to a page's head; data for a script, or what stands in for one, is of no use in a pane.
  for (const element of holder.querySelectorAll("link, script, noscript")) element.remove();
  // Where words could stand, a pane has a place for them that takes no room; what shows nothing yet says so there.
  for (const element of holder.querySelectorAll("[data-at]:empty, .studio-empty")) element.remove();
  // What comes over a page by a script of the shop lies open below it in a pane.
  for (const element of holder.querySelectorAll("dialog")) element.removeAttribute("open");
  for (const element of holder.querySelectorAll("*")) {
    // The order of attributes carries no meaning; the two writers differ in it.
    const kept = element
      .getAttributeNames()
      .filter((name) => !STUDIO_MARKS.includes(name))
      .sort()
      .map((name) => [name, element.getAttribute(name)!] as const);
    for (const name of element.getAttributeNames()) element.removeAttribute(name);
    for (const [name, value] of kept) element.setAttribute(name, value);
  }
  return holder.innerHTML;
}

const CODE = { origin: "https://code.example", facts: {} };

// Where a script of the shop changes what was served, panes show what shoppers will see after it: tabs as tabs, and
// goods that stand in for those that were looked at.
const AFTER_SCRIPT = /^(What there is to know: Tabs|Tabs|Recently seen)/;

// Every part in each of its arrangements in one theme, and one of each kind as the others arrange it.
const cases = THEMES.flatMap((theme, i) =>
  (i === 0 ? [...everySection, ...everyLayoutPart] : oneOfEachKind([...everySection, ...everyLayoutPart]))
    .filter((s) => !AFTER_SCRIPT.test(s.name))
    // What only holds the place of a section that is gone is said in panes, and nothing in the shop.
    .filter((s) => !hasTrait(s.node, "stands-for"))
    .map((s) => [theme.id, s.name, s.node] as const),
);

it.each(cases)("in %s, a pane draws “%s” as the shop serves it", async (themeId, _name, node) => {
  const content = contentWith([node], themeId);
  const { look } = content.draft;
  const part = (studio?: { editing: null }) => (
    <EnvProvider value={{ ...envOf(content, content.draft, studio), code: CODE }}>
      <Section node={node} theme={themeById(themeId)} look={look} first />
    </EnvProvider>
  );
  const served = renderToStaticMarkup(part());
  const pane = document.createElement("div");
  const root = createRoot(pane);
  await act(async () => root.render(part({ editing: null })));
  expect(plain(pane.innerHTML)).toBe(plain(served));
  await act(async () => root.unmount());
});
