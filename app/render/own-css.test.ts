import fc from "fast-check";
import { parse, walk } from "css-tree";
import { describe, expect, it } from "vitest";
import { compileOwnCss, reachedAt } from ".";

const SECTION = { of: "section", selector: ".n-x" } as const;
const css = (written: string) => compileOwnCss(written, SECTION).css;
const why = (written: string) => compileOwnCss(written, SECTION).problems.map((p) => p.why);

describe("CSS of a section", () => {
  it.each([
    [".head{letter-spacing:.04em}", ".n-x .head{letter-spacing:.04em}"],
    ["letter-spacing:.04em", ".n-x{letter-spacing:.04em}"],
    ["&{color:red}&:hover{color:blue}", ".n-x{color:red}.n-x:hover{color:blue}"],
    [":scope > .in{gap:1rem}", ".n-x>.in{gap:1rem}"],
    ["a,.b c{top:0}", ".n-x a,.n-x .b c{top:0}"],
    [
      "@media (max-width:600px){.head{color:red}color:blue}",
      "@media (max-width:600px){.n-x{color:blue}.n-x .head{color:red}}",
    ],
    ["color:var(--brand)", ".n-x{color:var(--brand)}"],
    ["--mine:3px", ".n-x{--mine:3px}"],
    ["/* nothing */", ""],
  ])("%s", (written, compiled) => {
    expect(css(written)).toBe(compiled);
    expect(why(written)).toEqual([]);
  });

  it.each([
    ["colour:red", "There is no property “colour”."],
    ["color:reddish", "“reddish” is not a value of color."],
    ["body{color:red}", "reaches only the section"],
    [":root{--brand:red}", "reaches only the section"],
    ["@import 'x.css';", "@import can’t be used"],
    ["@font-face{font-family:X}", "@font-face can’t be used"],
    ["background:url(https://elsewhere.example/x.png)", "Pictures and files from elsewhere"],
    ["position:fixed", "stays in its place"],
    ["}.s{display:none}", "no partner"],
    [".a{color:red", "no partner"],
    ["content:'", "no partner"],
    ["</style><script>alert(1)</script>", "no HTML"],
  ])("%s is refused and said", (written, reason) => {
    expect(why(written).join(" ")).toContain(reason);
    expect(css(written)).toBe("");
  });

  it("leaves out what can't be used and keeps the rest, with where it stands", () => {
    const { css: kept, problems } = compileOwnCss("color:red;colour:blue;margin:0", SECTION);
    expect(kept).toBe(".n-x{color:red;margin:0}");
    expect(problems).toMatchObject([{ from: 10, to: 21 }]);
  });

  it("is judged as far as there is room, and says where that ends", () => {
    const { css: kept, problems } = compileOwnCss("top:0;".repeat(399) + "left:0;bottom:0;right:0", SECTION);
    expect(kept.endsWith("top:0;left:0}")).toBe(true);
    expect(problems).toMatchObject([{ from: 399 * 6 + 7, why: expect.stringContaining("room for 400") as string }]);
  });

  it("never reaches beyond the section, whatever is written", () => {
    const scraps = [
      "&",
      ".a",
      "{",
      "}",
      "color:red",
      ";",
      "*",
      ",",
      ">",
      "@media print",
      "html",
      ":root",
      "/*",
      "*/",
      '"',
      "(",
      ")",
      "url(x)",
      ":is(",
      "body",
      "+",
      "~",
      "\\",
    ];
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...scraps), { maxLength: 14 }), (parts) => {
        const compiled = css(parts.join(""));
        walk(parse(compiled), (node) => {
          if (node.type !== "Rule" || node.prelude.type !== "SelectorList") return;
          for (const selector of node.prelude.children) {
            // What the browser matches has to be the section, or to stand below it.
            expect(selector.type === "Selector" && selector.children.first).toMatchObject({
              type: "ClassSelector",
              name: "n-x",
            });
          }
        });
        expect(compiled).not.toMatch(/url\(|<\//);
      }),
      { seed: 5, numRuns: 600 },
    );
  });

  it.each([
    ['&[title="R&D"]{color:red}', '.n-x[title="R&D"]{color:red}'],
    ['a[href*=":scope"]{color:red}', '.n-x a[href*=":scope"]{color:red}'],
    ["&:hover .b + .c{color:red}", ".n-x:hover .b+.c{color:red}"],
    [":scope>p{color:red}", ".n-x>p{color:red}"],
    ["p:not(& > p){color:red}", ""],
    // What an attack found: ways to what is beside the section, and out of the style element.
    ["~ *{color:red}", ""],
    ["+ *{color:red}", ""],
    ["|| col{color:red}", ""],
    ["&:not(.a .b) ~ *{color:red}", ""],
    ["&:not(.a .b) + *, i{color:red}", ".n-x i{color:red}"],
    ["&:SCOPE ~ *{color:red}", ""],
    [":\\73 cope ~ *{color:red}", ""],
    ["> p ~ q{color:red}", ".n-x>p~q{color:red}"],
    ["position:FIXED", ""],
    ["position:f\\69 xed", ""],
    ["p\\6fsition:fixed", ""],
    ["--p:fixed;position:var(--p)", ".n-x{--p:fixed}"],
    ["position:STICKY", ".n-x{position:STICKY}"],
    ["background:u\\72l(//elsewhere.example/a)", ""],
    ["--x:u\\72l(//elsewhere.example/a)", ""],
    ['--x:-webkit-image-set("a" 1x)', ""],
    [`content:"\\3c/style>"`, `.n-x{content:"<\\/style>"}`],
    ['--x:"a\fb"', ""],
    ['--x:"\f}*{color:red}"', ""],
    ['--x:"\r}*{color:red}"', ""],
    [`--a:"/*"; } b{ --b:"*/"`, ""],
    [`--a:"/*";color:red/* ; */;--b:"*/"`, `.n-x{--a:"/*";color:red;--b:"*/"}`],
    [`${":is(".repeat(480)}a${")".repeat(480)}{color:red}`, ""],
    [`width:${"calc(".repeat(1500)}1px${")".repeat(1500)}`, ""],
    ["&:not(& + b) i{color:red}", ".n-x:not(.n-x+b) i{color:red}"],
    ["> p, q{color:red}", ".n-x>p,.n-x q{color:red}"],
    [".a\\&b{color:red}", ".n-x .a\\&b{color:red}"],
    ["--x: url(//elsewhere.example/a); color: red", ".n-x{color:red}"],
    ['background: IMAGE-SET("a.png" 1x)', ""],
    ['content: "url(a)"', '.n-x{content:"url(a)"}'],
  ])("replaces what stands for the section, and no text that looks like it: %s", (written, css) =>
    expect(compileOwnCss(written, SECTION).css).toBe(css),
  );
});

describe("CSS of a page and of the whole shop", () => {
  const PAGE = { of: "page", selector: ".p-home" } as const;
  const SHOP = { of: "shop", selector: "body" } as const;
  it.each([
    ["h2{color:red}", PAGE, ".p-home h2{color:red}"],
    ["gap:1rem", PAGE, ".p-home{gap:1rem}"],
    ["&>.s-hero{margin:0}", PAGE, ".p-home>.s-hero{margin:0}"],
    [".button{color:red}", SHOP, "body .button{color:red}"],
    ["&{margin:0}", SHOP, "body{margin:0}"],
    ["@media print{.s-footer{display:none}}", SHOP, "@media print{body .s-footer{display:none}}"],
    [".badge{position:fixed}", SHOP, "body .badge{position:fixed}"],
  ] as const)("“%s” reaches what it is for", (written, scope, compiled) => {
    expect(compileOwnCss(written, scope)).toEqual({ css: compiled, problems: [] });
  });

  it("fetches nothing, and says what it can't reach", () => {
    expect(compileOwnCss("a{background:url(https://x.example/y)}", SHOP).css).toBe("");
    expect(compileOwnCss("html{color:red}", SHOP)).toMatchObject({
      css: "",
      problems: [{ why: expect.stringMatching(/leave out html/) }],
    });
    expect(compileOwnCss("&+footer{color:red}", PAGE)).toMatchObject({
      css: "",
      problems: [{ why: expect.stringMatching(/beside it/) }],
    });
  });

  it.each([
    ["h2 { color: red }\n.a, .b { top: 0 }", "red", ".p-home h2"],
    ["h2 { color: red }\n.a, .b { top: 0 }", "top", ".p-home .a,.p-home .b"],
    ["/* h1 {} */ @media print { & > p { top: 0 } }", "top", ".p-home>p"],
    ["gap: 1rem; h2 { top: 0 }", "gap", ".p-home"],
  ])("in “%s” at “%s” it is %s that is reached", (written, at, selectors) => {
    expect(reachedAt(written, PAGE, written.indexOf(at))).toBe(selectors);
  });

  it.each([
    ["h2 { color: red }   ", 20],
    ["h2 { color: red", 5],
    ["html { color: red }", 8],
    ["", 0],
  ])("in “%s” at %i nothing is", (written, at) => expect(reachedAt(written, PAGE, at)).toBeUndefined());
});
