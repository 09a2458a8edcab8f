import fc from "fast-check";
import { parse } from "parse5";
import { describe, expect, it } from "vitest";
import {
  cleanMarkup,
  frameAddress,
  framePolicy,
  isNoCode,
  leftOutOf,
  MOST_ORIGINS,
  namedIn,
  originIn,
  originsIn,
} from ".";

const code = (html: string, css = "", script = "") => ({ html, css, script });

describe("origins that code may load from", () => {
  it.each([
    ["https://book.example", "https://book.example"],
    ["  HTTPS://Book.Example/widget.js?x=1#y ", "https://book.example"],
    ["https://*.cdn.example", "https://*.cdn.example"],
    ["https://book.example:8443/a", "https://book.example:8443"],
  ])("“%s” is of %s", (written, origin) => expect(originIn(written)).toBe(origin));

  it.each([
    "http://book.example",
    "https://localhost",
    "https://127.0.0.1",
    "https://user@book.example",
    "https://book.example;script-src *",
    "https://a.example https://b.example",
    "https://*.*.example",
    "https://*",
    "//book.example",
    "javascript:alert(1)",
    "data:text/html,x",
    "'unsafe-eval'",
    "",
  ])("“%s” is of none", (written) => expect(originIn(written)).toBeUndefined());

  it("are read from lines, each once, and the wrong lines are counted", () => {
    const list = "https://a.example/x\n\nno address\nhttps://a.example\nhttps://b.example";
    expect(originsIn(list)).toEqual({ origins: ["https://a.example", "https://b.example"], wrong: [3] });
  });

  it("are found in what code loads, not in where it leads", () => {
    const html = `<a href="https://links.example">x</a><script src="https://book.example/w.js"></script>
      <!-- https://said.example --><svg xmlns="http://www.w3.org/2000/svg"></svg>`;
    const css = `@import url(https://fonts.example/a.css);`;
    expect(namedIn(code(html, css, `fetch("https://api.example/x")`))).toEqual([
      "https://book.example",
      "https://fonts.example",
      "https://api.example",
    ]);
  });
});

describe("the frame", () => {
  it("gets back from its address what was written, whatever it is", () => {
    fc.assert(
      fc.property(
        fc.record({ html: fc.string({ unit: "binary" }), css: fc.string(), script: fc.string({ unit: "grapheme" }) }),
        (own) => {
          const address = new URL(frameAddress("https://code.example", own, ["https://a.example"], { page: "x" }));
          expect(JSON.parse(decodeURIComponent(address.hash.slice(1)))).toEqual({ ...own, facts: { page: "x" } });
          expect(address.searchParams.get("load")).toBe("https://a.example");
          expect(address.origin + address.pathname).toBe("https://code.example/frame");
        },
      ),
    );
  });

  // CSP 3: a directive ends at `;`, a policy at `,`; a sandbox without `allow-same-origin` is of an opaque origin.
  it("is of no origin, and nothing that is asked for can open its policy", () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc
            .array(fc.constantFrom(";", ",", "'unsafe-eval'", "*", "https://a.example", "script-src", "\n", "https:"))
            .map((p) => p.join(" ")),
        ),
        (load) => {
          const policy = framePolicy(load, ["https://shop.example"]);
          expect(policy).not.toMatch(/[,\n]|allow-same-origin|allow-top-navigation|unsafe-eval| \*(?![.\w])/);
          const directives = policy.split("; ").map((d) => d.split(" ")[0]);
          expect(new Set(directives).size).toBe(directives.length);
          expect(directives).toHaveLength(12);
        },
      ),
    );
  });

  it("loads from nowhere unless it is said", () => {
    expect(framePolicy("", ["x"])).toContain("connect-src 'none'; frame-src 'none'; form-action 'none'");
    expect(framePolicy("https://a.example", ["x"])).toContain(
      "connect-src https://a.example; frame-src https://a.example",
    );
    const many = Array.from({ length: 40 }, (_, i) => `https://a${i}.example`).join(" ");
    expect(/connect-src ([^;]*)/.exec(framePolicy(many, ["x"]))![1]!.split(" ")).toHaveLength(MOST_ORIGINS);
  });

  it("is none where there is nothing but comments", () => {
    expect(isNoCode(code(" <!-- paste here -->\n"))).toBe(true);
    expect(isNoCode(code("<!-- never closed"))).toBe(true);
    expect(isNoCode(code("<!-- a --><b></b>"))).toBe(false);
    expect(isNoCode(code("", "", "x()"))).toBe(false);
  });
});

/** What elements a tree has, by an independent walk over the text that a browser would be given. */
type Node = { nodeName: string; attrs?: { name: string; value: string }[]; childNodes?: Node[] };
function* elementsOf(node: Node): Generator<Node> {
  yield node;
  for (const child of node.childNodes ?? []) yield* elementsOf(child);
}
const namesIn = (tree: ReturnType<typeof cleanMarkup>) => {
  const found: { tag: string; properties: Record<string, unknown> }[] = [];
  const visit = (node: {
    type: string;
    tagName?: string;
    properties?: Record<string, unknown>;
    children?: unknown[];
  }) => {
    if (node.type === "element") found.push({ tag: node.tagName!, properties: node.properties ?? {} });
    for (const child of node.children ?? []) visit(child as never);
  };
  visit(tree);
  return found;
};

describe("HTML that is set into a page", () => {
  // Kinds of vectors of the OWASP XSS Filter Evasion Cheat Sheet, from memory.
  it.each([
    `<script>x()</script>`,
    `<SCRIPT SRC=https://evil.example/x.js></SCRIPT>`,
    `<img src=x onerror=x()>`,
    `<img src="javascript:x()">`,
    `<a href="javascript:x()">a</a>`,
    `<a href="jav&#x09;ascript:x()">a</a>`,
    `<a href=" &#14; javascript:x()">a</a>`,
    `<a href="data:text/html,<script>x()</script>">a</a>`,
    `<svg onload=x()><script>x()</script></svg>`,
    `<math><mtext><table><mglyph><style><img src=x onerror=x()>`,
    `<iframe srcdoc="<script>x()</script>"></iframe>`,
    `<object data="javascript:x()"></object><embed src="javascript:x()">`,
    `<form action="https://evil.example"><button>Go</button></form>`,
    `<base href="https://evil.example/"><meta http-equiv=refresh content="0;url=javascript:x()">`,
    `<link rel=stylesheet href="javascript:x()"><style>@import "javascript:x()"</style>`,
    `<p style="background:url(javascript:x())" onclick=x()>t</p>`,
    `<noscript><p title="</noscript><img src=x onerror=x()>">`,
    `<template><script>x()</script></template>`,
    `<textarea><script>x()</script></textarea><title><img src=x onerror=x()></title>`,
    `<details open ontoggle=x()>a</details>`,
    `<div id=body name=cookie>clobbers</div>`,
    `<b <script>x()</script>0`,
    `<a href="https://fine.example" target=_blank ping="https://evil.example">a</a>`,
    `<img src="https://evil.example/x.png"><img src="//evil.example/x.png"><img src="/media/../x">`,
  ])("keeps nothing that runs, sends or fetches: %s", (html) => {
    for (const { tag, properties } of namesIn(cleanMarkup(html))) {
      expect([
        "script",
        "style",
        "iframe",
        "object",
        "embed",
        "form",
        "button",
        "base",
        "meta",
        "link",
        "svg",
        "math",
        "template",
      ]).not.toContain(tag);
      for (const [name, value] of Object.entries(properties)) {
        expect(name).not.toMatch(/^on|^style$|^id$|^name$|^target$|^ping$|^srcDoc$/i);
        if (name === "href") expect(String(value)).toMatch(/^(?:https?:|mailto:|tel:|[^:]*$)/);
        if (name === "src") expect(String(value)).toMatch(/^\/media\//);
      }
    }
  });

  it("keeps what words need, as it was written", () => {
    const html = `<h2 class="big">A <em>b</em></h2><table><caption>c</caption><tbody><tr><th scope="row">d</th><td colspan="2">e</td></tr></tbody></table><a href="/pages/about">f</a><details open><summary>g</summary>h</details>`;
    const given = [...elementsOf(parse(html) as unknown as Node)]
      .map((n) => n.nodeName)
      .filter((n) => !/^#|^(html|head|body)$/.test(n));
    expect(namesIn(cleanMarkup(html)).map((e) => e.tag)).toEqual(given);
    expect(leftOutOf(html)).toEqual([]);
  });

  it("says what is left out, and where that belongs", () => {
    const said = leftOutOf(
      `<script>x()</script><style>b{}</style><p onclick="x()">a</p><h1>b</h1><img src="https://e.example/x.png"><marquee>c</marquee>`,
    );
    expect(said.join("\n")).toMatch(/Own code/);
    expect(said.join("\n")).toMatch(/under CSS/);
    expect(said.join("\n")).toMatch(/begin with h2/);
    expect(said.join("\n")).toMatch(/pictures of this shop/);
    expect(said.at(-1)).toBe("Left out: onClick, <marquee>.");
  });
});
