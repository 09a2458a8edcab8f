// @vitest-environment jsdom
import { gzipSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { referencesOf } from "~/core/theme";
import { THEMES } from "~/themes";
import { contentWith, everySection, goods } from "./fixtures/content";
import { prune, vocabularyOf } from "./prune";
import { NOT_FOUND, renderPage, seenAt, type Target } from ".";

const main = everySection.filter((s) => s.slot === "main").map((s) => s.node);
const seen = (path: string, query = "") => seenAt(path, new URLSearchParams(query), {}, goods);
const TARGETS: readonly (readonly [string, Target])[] = [
  ["home", { page: "home" }],
  ["a collection", { page: "collection", collection: undefined }],
  ["a product", { page: "product", product: goods.products[1]! }],
  ["a product with variants", { page: "product", product: goods.products.find((p) => p.id === "many")! }],
  ["a cart", { page: "cart", lines: [{ product: goods.products[0]!, variant: undefined, count: 2 }] }],
  ["a checkout", { page: "checkout", lines: [{ product: goods.products[0]!, variant: undefined, count: 2 }] }],
  ["an order", { page: "order", sample: null }],
  ["a search", { page: "search", sought: "kite" }],
  ["nothing found", { page: "search", sought: "qqq" }],
  ["a door", seen("/account/sign-in")],
  ["an account", seen("/account", "case=address")],
  ["a gift card", seen("/gift-cards")],
  ["not found", NOT_FOUND],
];

/** Selectors of a sheet, without what depends on a state or draws beside an element. */
function selectorsIn(css: string): string[] {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css.replace(/@font-face\{[^}]*\}/g, ""));
  const found: string[] = [];
  const visit = (rules: CSSRuleList) => {
    for (const rule of rules) {
      if ("selectorText" in rule) found.push(String(rule.selectorText));
      else if ("cssRules" in rule) visit(rule.cssRules as CSSRuleList);
    }
  };
  visit(sheet.cssRules);
  return found
    .flatMap((s) => s.split(/,(?![^(]*\))/))
    .map((s) =>
      s
        .replace(
          /::?(hover|active|focus-visible|focus-within|focus|disabled|placeholder|before|after|first-letter|backdrop|-(?:webkit|moz)-[\w-]+|[\w-]*details[\w-]*)/g,
          "",
        )
        .trim(),
    );
}

/** What the parts of a cart bring along once something is taken off, given, told or taken out. */
const CART_LATER = `<form class="cart-back"><b class="button button-2"></b></form><p class="cart-saved"></p><div class="cart-words"><p class="cart-off"><b></b></p><p class="cart-choice"></p><p class="message"></p></div><b class="cart-given"></b>
<ul class="cart-offs"><li><b class="cart-choice"></b><b class="cart-take"></b><b class="cart-why"></b><b class="cart-drop"></b></li></ul><p class="cart-goal"></p><b class="cart-no-way"></b>`;

/** What another country or way brings into the checkout. */
const CHECKOUT_LATER = `<p class="ck-none"></p><dl class="sums"><div class="sum-saved"></div><div class="sum-tax"></div></dl><p class="sum-off"><b></b></p><b class="sum-way"></b>`;

/** Which elements of the page answer to a selector is asked of those with its last word alone: jsdom takes long to walk through a page. */
function elementsByWord(): ReadonlyMap<string, readonly Element[]> {
  const found = new Map<string, Element[]>();
  const add = (word: string, element: Element) => {
    const known = found.get(word);
    if (known) known.push(element);
    else found.set(word, [element]);
  };
  for (const element of document.querySelectorAll("*")) {
    add(element.localName, element);
    for (const name of (element.getAttribute("class") ?? "").split(" ")) add(`.${name}`, element);
  }
  return found;
}

/** Whether something on the page answers to a selector. */
function isThere(selector: string, byWord: ReadonlyMap<string, readonly Element[]>): boolean {
  const word = /(?:^|[ >+~]|(?=\.))(\.?[\w-]+)(?:\[[^\]]*\])?$/.exec(selector)?.[1];
  if (!word) return document.querySelector(selector) !== null;
  const elements = byWord.get(word) ?? [];
  return selector === word ? elements.length > 0 : elements.some((element) => element.matches(selector));
}

// What pages are made of is the same in all themes: each sort of page is looked at in one, and those in which themes differ most in all.
describe.each(THEMES.map((t, i) => [t.id, i] as const))("the CSS of a page in %s", (theme, i) => {
  it.each(i === 0 ? TARGETS : TARGETS.slice(0, 5))(
    "%s, holds nothing that the page can't use, and is under 26 KB packed",
    (_name, target) => {
      const { html, css } = renderPage(target, contentWith(main, theme), "http://shop.localhost", {
        every: "/assets/shop.js",
        goods: "/assets/goods.js",
      });
      expect(gzipSync(css).length).toBeLessThan(26 * 1024);
      document.documentElement.innerHTML = html
        .replace(/^<!doctype html><html[^>]*>/, "")
        .replace(/<style>[\s\S]*?<\/style>/, "");
      // Stand-ins for what the shop's scripts bring onto the page later.
      document.body.insertAdjacentHTML(
        "beforeend",
        `<div class="toast cart-toast" data-set="dark"><a></a></div><dialog class="zoom"><div class="zoom-stage"><div><img></div></div><b class="zoom-close"></b><b class="zoom-step"></b></dialog><p class="price"><ins></ins><del></del></p><div class="tabs"><b class="tab"></b></div><p class="rating"><span></span></p><div class="part-open"><p class="rich"></p></div><article class="card"><b class="badge"></b></article><div class="fm-thanks"><p class="fm-code"></p></div>${CART_LATER}${CHECKOUT_LATER}`,
      );
      const byWord = elementsByWord();
      const idle = [...new Set(selectorsIn(css))]
        // What belongs to a kind or an arrangement alone: each of its words is on the page; only all of them together may not be.
        .filter((s) => !/^[a-z.]*(a-|s-|w-)/.test(s))
        // States that the page's script or a shopper brings about, and combinations that depend on how much there is.
        .filter(
          (s) =>
            s &&
            !/\[data-state|\[open\]|\[aria-|is-|:has|:defined|\+|#|:empty|^\.button:not|\[hidden\]|^\.facet (svg|details)/.test(
              s,
            ),
        )
        .filter((s) => !isThere(s, byWord));
      expect(idle).toEqual([]);
      // Every custom property that is declared is asked for by some rule, or by the script of frames (`--of-`).
      const asked = new Set(referencesOf(css));
      const declared = new Set([...css.matchAll(/[{;](--[\w-]+):/g)].map((m) => m[1]!));
      // Words on a picture say what links are in, also where a theme has them in ink; a section says whether its columns can
      // stay in view, also where none is meant to; corners are said to whatever may lie in them.
      const mayRest = new Set(["--link", "--near", "--round"]);
      expect(
        [...declared].filter((name) => !asked.has(name) && !mayRest.has(name) && !name.startsWith("--of-")),
      ).toEqual([]);
      // And every one that is asked for without a fallback is declared.
      const needed = new Set([...css.matchAll(/var\((--[\w-]+)\)/g)].map((m) => m[1]!));
      expect([...needed].filter((name) => !declared.has(name))).toEqual([]);
    },
  );
});

describe("pruning", () => {
  const has = vocabularyOf('<main class="a b" data-set="tint"><p class="c"></p></main>');
  it.each([
    [".a{color:red}", ".a{color:red}"],
    [".z{color:red}", ""],
    ["@container (min-width:9rem){.z{color:red}.c{color:red}}", "@container (min-width:9rem){.c{color:red}}"],
    [".a,.z{color:red}", ".a{color:red}"],
    [".a .z{color:red}", ""],
    [".a:not(.z){color:red}", ".a:not(.z){color:red}"],
    [".a:is(.z,.b){color:red}", ".a:is(.z,.b){color:red}"],
    [".a:has(.z){color:red}", ""],
    ["article{color:red}", ""],
    ["p:hover::before{color:red}", "p:hover::before{color:red}"],
    ["[data-set=tint]{color:red}[data-set=dark]{color:red}", "[data-set=tint]{color:red}"],
    ["@media (min-width:800px){.z{color:red}}", ""],
    ["@media (min-width:800px){.z{color:red}.c{top:0}}", "@media (min-width:800px){.c{top:0}}"],
    ["@font-face{font-family:X}", "@font-face{font-family:X}"],
  ])("of %s leaves “%s”", (css, kept) => expect(prune(css, has)).toBe(kept));
});
