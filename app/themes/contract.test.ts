// @vitest-environment jsdom
import * as csstree from "css-tree";
import { describe, expect, it } from "vitest";
import { isKnownValue } from "~/core/cascade";
import { freeze } from "~/core/document";
import { problemWithBrand, solveBrand, SETTINGS, problemWithValue, type Theme } from "~/core/theme";
import { KINDS } from "~/kinds";
import { layoutPlaces } from "~/kinds/layouts";
import { arrangementsOf, NOT_FOUND, renderPage, seenAt, type Target } from "~/render";
import { asTheme } from "~/render/fixtures/as-theme";
import { contentWith, everySection, goods } from "~/render/fixtures/content";
import { HOOKS } from "./hooks";
import { THEMES } from ".";

// What a theme has to keep to, whichever it is. That its colours can be read for hundreds of brand colours is asked in
// `core/theme/solver.test.ts`, that no page gets a rule it has no use for in `render/prune.test.tsx`, and that nothing overflows or lies over
// something else in a browser, in `e2e/themes.spec.ts`.

const rulesOf = (theme: Theme) =>
  Object.entries(theme.css).flatMap(([kind, css]) => {
    const found: { kind: string; selector: string }[] = [];
    csstree.walk(csstree.parse(css), {
      visit: "Rule",
      enter: ({ prelude }) => {
        if (prelude.type === "SelectorList")
          prelude.children.forEach((each) => found.push({ kind, selector: csstree.generate(each) }));
      },
    });
    return found;
  });

const classesIn = (selector: string) => [...selector.matchAll(/\.(-?[a-z_][\w-]*)/gi)].map((m) => m[1]!);

/** What one page of each sort has in it, every kind in every arrangement among it. */
const TARGETS: readonly Target[] = [
  { page: "home" },
  { page: "collection", collection: undefined },
  { page: "product", product: goods.products.find((p) => p.id === "many")! },
  { page: "cart", lines: [{ product: goods.products[0]!, variant: undefined, count: 2 }] },
  { page: "search", sought: "kite" },
  seenAt("/checkout", new URLSearchParams(), {}, goods),
  NOT_FOUND,
];

/** What none of the sample goods is at the moment. */
const REDUCED = `<article class="card"><span class="badge"></span></article>`;

describe.each(THEMES.map((theme) => [theme.name, theme] as const))(
  "the contract of a theme, kept by %s",
  (_, theme) => {
    it("names only kinds, arrangements, parts of layouts and values that exist", () => {
      const places = layoutPlaces();
      expect(Object.keys(theme.kinds).filter((kind) => !KINDS.has(kind))).toEqual([]);
      expect(Object.keys(theme.layouts).filter((place) => !places.has(place))).toEqual([]);
      const arranged = [
        ...Object.entries(theme.kinds),
        ...Object.entries(theme.layouts).map(([place, said]) => [places.get(place)!.kind, said] as const),
      ];
      for (const [kind, { arrangement }] of arranged) {
        const ids = arrangementsOf(KINDS.get(kind)!, theme).map((a) => a.id);
        if (arrangement) expect(ids, kind).toContain(arrangement);
      }
      for (const [name, { style }] of [...Object.entries(theme.kinds), ...Object.entries(theme.layouts)])
        for (const sheet of Object.values(style ?? {}))
          for (const [property, value] of Object.entries(sheet))
            expect(isKnownValue(property, value), `${name}: ${property} ${String(value)}`).toBe(true);
    });

    it("brings arrangements that are drawn as one of their kind, under a name that the kind has not", () => {
      for (const [kind, brought] of Object.entries(theme.arrangements)) {
        const own = KINDS.get(kind)!.definition.arrangements.map((a) => a.id);
        for (const { id, as } of brought) {
          expect(own, `${kind} ${id}`).toContain(as);
          expect(own, `${kind} ${id}`).not.toContain(id);
        }
      }
    });

    it("says of settings only what they can be, and has two further colourways that a brand can have", () => {
      for (const [key, value] of Object.entries(theme.defaults)) {
        const setting = SETTINGS.get(key);
        expect(setting, key).toBeDefined();
        expect(problemWithValue(setting!, value as never), key).toBeUndefined();
      }
      expect(theme.colourways).toHaveLength(2);
      for (const { brand } of theme.colourways) {
        expect(problemWithBrand(brand)).toBeUndefined();
        for (const appearance of ["light", "dark"]) {
          const { roles } = solveBrand(theme, { ...brand, appearance });
          expect(roles.failing).toEqual([]);
        }
      }
    });

    it("reaches for named places alone, two deep at most, with valid CSS and no force", () => {
      const named = new Set(Object.values(HOOKS).flat());
      for (const { kind, selector } of rulesOf(theme)) {
        expect(kind === "shop" || KINDS.has(kind), kind).toBe(true);
        for (const name of classesIn(selector).filter((c) => !/^(?:a|s|w)-/.test(c)))
          expect(named.has(name), `${selector}: ${name}`).toBe(true);
        const depth = selector.replace(/:(?:is|has|not|where|nth-child)\([^)]*\)/g, "").split(/[ >]/).length;
        expect(depth, selector).toBeLessThanOrEqual(3);
      }
      for (const css of Object.values(theme.css)) {
        expect(css).not.toContain("!important");
        // Values are checked against the grammar of CSS that css-tree carries; what holds a variable can't be.
        csstree.walk(csstree.parse(css, { parseCustomProperty: false }), {
          visit: "Declaration",
          enter: ({ property, value }) => {
            if (property.startsWith("--") || csstree.generate(value).includes("var(")) return;
            const { error } = csstree.lexer.matchProperty(property, value);
            expect(error, `${property}: ${csstree.generate(value)}`).toBeNull();
          },
        });
      }
    });

    it("has no rule that nothing ever answers to", () => {
      const main = everySection.filter((each) => each.slot === "main").map(({ node }) => node);
      const pages = [...TARGETS, { page: "home" } as const].map((target, i) => {
        // Sections in each of their arrangements, and once more as the theme arranges them.
        const content = contentWith(i === 0 ? main : i === TARGETS.length ? main.map(asTheme) : [], theme.id);
        const frame = content.draft.documents.frame!;
        const documents = { ...content.draft.documents, frame: { ...frame, root: asTheme(frame.root) } };
        const scripts = { every: "/assets/shop.js", goods: "/assets/goods.js" };
        const drawn = { ...content, draft: freeze({ ...content.draft, documents }) };
        const { html } = renderPage(target, drawn, "http://shop.localhost", scripts);
        return html.replace(/<style>[\s\S]*?<\/style>/, "") + REDUCED;
      });
      const parsed = new Map<string, Document>();
      const answers = (html: string, selector: string): boolean => {
        // To read a page takes long; one without the words of a selector has nothing that answers to it.
        if (!(selector.split(":not(")[0]!.match(/\.[\w-]+/g) ?? []).every((word) => html.includes(word.slice(1))))
          return false;
        const page = parsed.get(html) ?? new DOMParser().parseFromString(html, "text/html");
        parsed.set(html, page);
        return page.querySelector(selector) !== null;
      };
      const idle = rulesOf(theme)
        .map(({ selector }) =>
          selector.replace(/::?(?:before|after|hover|active|first-letter|focus-(?:visible|within))/g, ""),
        )
        // Which of many: that depends on how many there are.
        .map((selector) => selector.replace(/:(?:nth-(?:last-)?child\([^)]*\)|last-child)/g, ""))
        .filter((selector) => !pages.some((html) => answers(html, selector)));
      expect(idle).toEqual([]);
    });
  },
);
