// @vitest-environment jsdom
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { removeNodes, setAround, type Outcome } from "~/core/commands";
import { emptyDocument, integrityOf, type Draft, type Part } from "~/core/document";
import { applyAll, invertAll } from "~/core/operations";
import { DOCUMENT_VERSION } from "~/core/schema";
import { SCRIM_COLOURS, tintOfShade } from "~/core/pictures";
import { contrast } from "~/core/theme";
import { LYING_TINT } from "~/kinds/parts";
import { contentWith, everySection, pictures } from "./fixtures/content";
import { invalidIn } from "./fixtures/validator";
import { renderPage, type ShopContent, type Target } from ".";

const SCRIPTS = { every: "/assets/shop.js", goods: "/assets/goods.js" };
const HOME: Target = { page: "home" };

const section = (name: string, more: (node: Part) => Part = (node) => node) =>
  more(everySection.find((s) => s.name === name)!.node);
const onPicture = section("Hero: Words on the picture");
const beside = section("Hero: Words beside the picture");

/** The shop with `main`, whose rows above the page are `top`, in the order given. */
function shop(main: readonly Part[], change: (top: readonly Part[]) => readonly Part[]) {
  const content = contentWith(main);
  const frame = content.draft.documents.frame!;
  const slots = { ...frame.root.slots, top: change(frame.root.slots.top!) };
  const documents = { ...content.draft.documents, frame: { ...frame, root: { ...frame.root, slots } } };
  return { ...content, draft: { ...content.draft, documents } };
}
const lying = (node: Part, more: object = {}): Part => ({
  ...node,
  style: { all: { ...node.style.all, lies: "over", ...more } },
});
const lies = (top: readonly Part[]) => top.map((row) => (row.kind === "header" ? lying(row) : row));

function drawn(content: ReturnType<typeof shop>, target = HOME) {
  const { html, css } = renderPage(target, content, "http://shop.localhost", SCRIPTS);
  document.documentElement.innerHTML = html
    .replace(/^<!doctype html><html[^>]*>/, "")
    .replace(/<style>[\s\S]*?<\/style>/, "");
  return { html, css, lies: document.querySelector(".lies"), over: [...document.querySelectorAll(".lies-over")] };
}

describe("a header that lies over a picture", () => {
  it("does where the page begins with words on a picture, and nowhere else", () => {
    expect(drawn(shop([onPicture, beside], lies)).over.map((e) => e.tagName)).toEqual(["HEADER"]);
    expect(drawn(shop([beside, onPicture], lies)).lies).toBeNull();
    expect(drawn(shop([], lies)).lies).toBeNull();
    expect(drawn(shop([onPicture], (top) => top)).lies).toBeNull();
    expect(drawn(shop([onPicture], lies), { page: "search", sought: "kite" }).lies).toBeNull();
    // A section that isn't shown, or has no picture yet, begins no page.
    expect(drawn(shop([{ ...beside, shown: false }, onPicture], lies)).over).toHaveLength(1);
    const without = { ...onPicture, props: { ...onPicture.props, picture: null } };
    expect(drawn(shop([without], lies)).lies).toBeNull();
    // A picture behind any section will do.
    const backdrop = { ...beside, props: { ...beside.props, backdrop: "wide" } };
    expect(drawn(shop([backdrop], lies)).over).toHaveLength(1);
  });

  it("lies there with the rows beneath it, and not with those above that stand", async () => {
    const content = shop([onPicture], lies);
    const { lies: place, over, html } = drawn(content);
    expect(document.querySelector(".s-notice")!.closest(".lies")).toBeNull();
    expect([...place!.children].map((e) => e.tagName)).toEqual(["HEADER", "MAIN"]);
    expect(over[0]!.className).toContain("over-dark");
    expect(await invalidIn(html)).toEqual([]);
    // A row that stands between it and the page keeps it from lying on the picture.
    expect(drawn(shop([onPicture], (top) => [...lies(top), { ...top[0]!, id: "under" }])).lies).toBeNull();
    // One that isn't shown does not.
    expect(
      drawn(shop([onPicture], (top) => [...lies(top), { ...top[0]!, id: "under", shown: false }])).over,
    ).toHaveLength(1);
  });

  it("opens its menus in its own colours", () => {
    const { over } = drawn(shop([onPicture], lies));
    const panels = [...over[0]!.querySelectorAll(".sub-list, .drop nav > ul")].filter(
      (e) => !e.parentElement!.closest("ul .drop ul"),
    );
    expect(panels.length).toBeGreaterThan(1);
    for (const panel of over[0]!.querySelectorAll(".nav .sub-list, .drop nav > ul"))
      expect(panel.getAttribute("data-set")).toBe("header");
    drawn(shop([onPicture], (top) => top));
    expect(document.querySelectorAll(".s-header [data-set]")).toHaveLength(0);
  });

  it("goes with the tone of the picture's tint", () => {
    const light = { ...onPicture, style: { all: { scrimTone: "light" } } };
    expect(drawn(shop([light], lies)).over[0]!.className).toContain("over-light");
  });
});

describe("the tint beneath it", () => {
  const hex = (rgb: readonly number[]) => `#${rgb.map((v) => Math.round(v).toString(16).padStart(2, "0")).join("")}`;
  /** Two layers as CSS Compositing mixes them in sRGB: the upper one at the strength of the tint. */
  const over = (tint: readonly number[], picture: number) =>
    hex(tint.map((v) => v * (LYING_TINT / 100) + picture * (1 - LYING_TINT / 100)));

  it("lets its words be read on any picture: 4.5 : 1, as WCAG 2.2 has it in 1.4.3", () => {
    const byte = fc.nat(255);
    fc.assert(
      fc.property(fc.tuple(byte, byte, byte), (shade) => {
        // The worst that can lie under light words is white.
        expect(contrast(SCRIM_COLOURS.dark.words, over(tintOfShade(hex(shade)), 255))).toBeGreaterThanOrEqual(4.5);
      }),
      { seed: 7, numRuns: 300 },
    );
    expect(contrast(SCRIM_COLOURS.dark.words, over(SCRIM_COLOURS.dark.scrim, 255))).toBeGreaterThanOrEqual(4.5);
    expect(contrast(SCRIM_COLOURS.light.words, over(SCRIM_COLOURS.light.scrim, 0))).toBeGreaterThanOrEqual(4.5);
  });
});

describe("a picture as a logo", () => {
  const withLogo = (logo: object, set = "header") => {
    const content = shop([onPicture], (top) =>
      top.map((row) => (row.kind === "header" ? { ...row, style: { all: { ...row.style.all, set } } } : row)),
    );
    const { look } = content.draft;
    const identity = { ...look.identity, logo: { form: "picture" as const, picture: "tall", ...logo } };
    return { ...content, draft: { ...content.draft, look: { ...look, identity } } };
  };
  const hashOf = (id: string) => pictures.find((p) => p.id === id)!.hash;
  const source = () => document.querySelector(".s-header .wordmark img")?.getAttribute("src") ?? "";

  it("takes its version for dark grounds where the ground is dark", () => {
    drawn(withLogo({ onDark: "wide" }, "page"));
    expect(source()).toContain(hashOf("tall"));
    drawn(withLogo({ onDark: "wide" }, "dark"));
    expect(source()).toContain(hashOf("wide"));
    // Over a picture it is the tint's tone that counts, and a way that was chosen for there.
    const content = withLogo({ over: "words" }, "page");
    const frame = content.draft.documents.frame;
    const top = lies(frame.root.slots.top);
    const documents = {
      ...content.draft.documents,
      frame: { ...frame, root: { ...frame.root, slots: { ...frame.root.slots, top } } },
    };
    drawn({ ...content, draft: { ...content.draft, documents } });
    expect(document.querySelector(".worn-over")!.textContent).toBe("Test & Sons");
    // Once it stands on its own ground again, it is what it is there; it is named once.
    const own = document.querySelector(".worn-own")!;
    expect(own.querySelector("img")!.getAttribute("src")).toContain(hashOf("tall"));
    expect([own.getAttribute("aria-hidden"), own.querySelector("img")!.alt]).toEqual(["true", ""]);
  });

  it("has heights of its own on phones and in a header that has got lower", () => {
    const { css } = drawn(withLogo({ height: 64, onPhone: 32, least: 48 }));
    expect(css).toContain(":root{--logo:4rem;--logo-least:3rem;--logo-shrunk:0.75}");
    expect(css).toContain("@media (max-width:599.98px){:root{--logo:2rem;--logo-least:2rem;--logo-shrunk:1}}");
    expect(drawn(withLogo({})).css).toContain(":root{--logo:2.5rem;--logo-least:1.75rem;--logo-shrunk:0.7}");
    expect(drawn(shop([onPicture], (top) => top)).css).not.toContain("--logo:");
  });
});

describe("what stands above and below a page", () => {
  const content = contentWith([onPicture]);
  const text = emptyDocument(DOCUMENT_VERSION, "page", "about", "About");
  const base: ShopContent = {
    ...content,
    draft: { ...content.draft, documents: { ...content.draft.documents, about: text } },
  };
  const apply = (draft: Draft, outcome: Outcome): Draft => {
    if (!outcome.ok) throw new Error(outcome.why);
    const next = applyAll(draft, outcome.transaction.operations);
    if (!next.ok) throw new Error("it does not apply");
    return next.draft;
  };
  const heads = (draft: Draft) => {
    const { html } = renderPage({ page: "text", id: text.id }, { ...base, draft }, "http://shop.localhost", SCRIPTS);
    document.documentElement.innerHTML = html.replace(/^<!doctype html><html[^>]*>/, "");
    return [...document.body.querySelectorAll(".s-header, .s-notice, .s-footer")].map(
      (e) => e.className.match(/n-(\S+)/)![1]!,
    );
  };
  const shops = heads(base.draft);

  it("is the shop’s, nothing, or rows of its own that begin as copies", () => {
    const without = apply(base.draft, setAround(base.draft, text.id, "header", false));
    expect(heads(without)).toEqual(shops.slice(-1));
    const own = apply(base.draft, setAround(base.draft, text.id, "header", "own"));
    expect(heads(own)).toHaveLength(shops.length);
    expect(heads(own).slice(0, -1)).not.toEqual(shops.slice(0, -1));
    expect(integrityOf(own.documents[text.id]!)).toEqual([]);
    // They are its own: without them there is nothing, and the shop's stay as they are.
    const rows = own.documents[text.id]!.root.slots.top!;
    const bare = apply(
      own,
      removeNodes(
        own,
        rows.map((r) => r.id),
        "Rows",
      ),
    );
    expect(heads(bare)).toEqual(shops.slice(-1));
    expect(bare.documents.frame).toBe(base.draft.documents.frame);
  });

  it("goes back to the shop’s in one step that can be undone", () => {
    const own = apply(base.draft, setAround(base.draft, text.id, "footer", "own"));
    const outcome = setAround(own, text.id, "footer", true);
    const back = apply(own, outcome);
    expect(heads(back)).toEqual(shops);
    expect(back.documents[text.id]!.root.slots.bottom ?? []).toEqual([]);
    if (!outcome.ok) return;
    const undone = applyAll(back, invertAll(outcome.transaction.operations));
    expect(undone.ok && undone.draft.documents[text.id]).toEqual(own.documents[text.id]);
    expect(setAround(own, text.id, "footer", "own")).toMatchObject({ ok: false });
  });
});
