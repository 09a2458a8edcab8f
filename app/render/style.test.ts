import { describe, expect, it } from "vitest";
import { resolve } from "~/core/cascade";
import { walk, type Part } from "~/core/document";
import type { Theme } from "~/core/theme";
import { KINDS, kindOf } from "~/kinds";
import { firstLayouts } from "~/kinds/layouts";
import { contentWith, goods } from "./fixtures/content";
import { starterLook } from "~/themes/fixtures/look";
import { themeById } from "~/themes";
import { arrangementOf, arrangementsOf, nodeLayers, renderPage, usualShareIn } from ".";

const at = (id: string): Part => [...walk(firstLayouts().product.root)].find((part) => part.id === id)!;
const plain: Theme = { ...themeById("pomelo"), kinds: {}, layouts: {}, arrangements: {} };
const shareOf = (part: Part, theme: Theme) =>
  resolve(nodeLayers(part, theme, starterLook(theme.id)), "share", "wide")?.value;

describe("how a part of a layout looks", () => {
  const left = at("layout-p-left");
  const own: Theme = { ...plain, layouts: { "p-left": { style: { all: { share: "40%" } } } } };

  it("is its layout's where the theme says nothing of it, and else the theme's", () => {
    expect(shareOf(left, plain)).toBe("56%");
    expect(shareOf(left, own)).toBe("40%");
    expect([usualShareIn(plain)(left), usualShareIn(own)(left)]).toEqual(["56%", "40%"]);
  });

  it("is the seller's from when on they say so, and that of the copy as well", () => {
    expect(shareOf({ ...left, style: { all: { share: "70%" } } }, own)).toBe("70%");
    expect(shareOf({ ...left, id: "copy" }, own)).toBe("40%");
    // A part that is in no layout has nothing of it.
    const { place: _place, ...elsewhere } = left;
    expect(shareOf(elsewhere, own)).toBeUndefined();
  });

  it("is arranged by whoever is most exact: itself, the theme about it, its layout, the theme about its kind", () => {
    const gallery = at("layout-p-gallery");
    const kind = kindOf(gallery)!;
    const idIn = (part: Part, theme: Theme) => arrangementOf(kind, part, theme).id;
    const ofKind: Theme = { ...plain, kinds: { gallery: { arrangement: "grid" } } };
    const ofPlace: Theme = { ...ofKind, layouts: { "p-gallery": { arrangement: "below" } } };
    expect(idIn(gallery, ofKind)).toBe("beside");
    expect(idIn(gallery, ofPlace)).toBe("below");
    expect(idIn({ ...gallery, props: { ...gallery.props, arrangement: "grid" } }, ofPlace)).toBe("grid");
    const { place: _place, ...elsewhere } = gallery;
    expect(idIn(elsewhere, ofKind)).toBe("grid");
  });
});

describe("an arrangement that a theme brings", () => {
  it("is offered beside the kind's, and drawn with the elements and under the names of both", () => {
    const sloe = themeById("sloe");
    const header = KINDS.get("header")!;
    expect(arrangementsOf(header, sloe).at(-1)).toMatchObject({ id: "behind", as: "drawer" });
    expect(arrangementsOf(header, plain).some(({ id }) => id === "behind")).toBe(false);
    const content = contentWith([], "sloe");
    const frame = content.draft.documents.frame!;
    const top = frame.root.slots.top!.map((part) =>
      part.kind === "header" ? { ...part, props: { ...part.props, arrangement: "behind" } } : part,
    );
    const root = { ...frame.root, slots: { ...frame.root.slots, top } };
    const draft = { ...content.draft, documents: { ...content.draft.documents, frame: { ...frame, root } } };
    const scripts = { every: "", goods: "" };
    const { html } = renderPage({ page: "product", product: goods.products[0]! }, { ...content, draft }, "", scripts);
    expect(html).toMatch(/class="[^"]*s-header a-drawer [^"]*a-behind/);
  });
});
