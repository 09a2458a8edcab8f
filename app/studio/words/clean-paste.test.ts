// @vitest-environment jsdom
import { describe, expect, it } from "vitest";
import { cleanPasted } from "./clean-paste";

// What office programs and browsers put on the clipboard; written from memory of their output, no source.
describe("pasted text", () => {
  it("of an office program keeps what it means: heads, bold, lists in lists", () => {
    const pasted = `
      <html xmlns:o="urn:schemas-microsoft-com:office:office"><head><style>p.MsoNormal{font-size:11pt}</style></head><body>
      <h1 style="color:#2f5496"><span style="font-size:16pt">About us</span></h1>
      <p class="MsoNormal" style="margin:0"><b><span style="font-family:Calibri">Two</span></b> people.<o:p></o:p></p>
      <p class="MsoNormal">&nbsp;</p>
      <p class="MsoListParagraphCxSpFirst" style="mso-list:l0 level1 lfo1"><!--[if !supportLists]--><span style="mso-list:Ignore">·<span>&nbsp;&nbsp;</span></span><!--[endif]-->Kites</p>
      <p class="MsoListParagraphCxSpMiddle" style="mso-list:l0 level2 lfo1"><span style="mso-list:Ignore">o </span>Deltas</p>
      <p class="MsoListParagraphCxSpLast" style="mso-list:l0 level1 lfo1"><span style="mso-list:Ignore">· </span>Socks</p>
      <p class="MsoNormal">After.</p></body></html>`;
    expect(cleanPasted(pasted).replace(/\s*\n\s*/g, "")).toBe(
      "<h2><span>About us</span></h2>" +
        "<p><b><span>Two</span></b> people.</p>" +
        "<ul><li><p>Kites</p><ul><li><p>Deltas</p></li></ul></li><li><p>Socks</p></li></ul>" +
        "<p>After.</p>",
    );
  });

  it("numbered by hand becomes a numbered list", () => {
    const item = (text: string) => `<p style="mso-list:l1 level1 lfo2"><span style="mso-list:Ignore">${text}</p>`;
    expect(cleanPasted(item("1.</span> Cut") + item("2.</span> Sew"))).toBe(
      "<ol><li><p> Cut</p></li><li><p> Sew</p></li></ol>",
    );
  });

  it("of a web editor is not bold because its wrapper is called so", () => {
    const pasted = `<b style="font-weight:normal" id="docs-internal-guid-1"><p><span style="font-weight:700">Bold</span><span style="font-style:italic">, slanted</span><span style="text-decoration:line-through"> gone</span></p></b>`;
    expect(cleanPasted(pasted)).toBe(
      "<p><span><strong>Bold</strong></span><span><em>, slanted</em></span><span><s> gone</s></span></p>",
    );
  });

  it("brings no looks, scripts, pictures or handlers along, and no addresses but those of links", () => {
    const pasted = `<p onclick="x()" class="a" style="color:red">a<img src="https://t.example/x.gif"><script>alert(1)</script><a href="https://shop.example" onmouseover="y()">b</a></p><iframe src="x"></iframe>`;
    expect(cleanPasted(pasted)).toBe('<p>a<a href="https://shop.example">b</a></p>');
  });

  it("keeps tables and where lines begin", () => {
    const pasted = `<table border="1"><tbody><tr><td colspan="2" style="background:red"><p style="text-align:center">1</p></td></tr></tbody></table>`;
    expect(cleanPasted(pasted)).toBe(
      '<table><tbody><tr><td colspan="2"><p style="text-align: center;">1</p></td></tr></tbody></table>',
    );
  });

  it.each([
    [
      "a word processor",
      `<p class="MsoNormal">Wind<a style="mso-footnote-id:ftn1" href="#_ftn1" name="_ftnref1"><span class="MsoFootnoteReference">[1]</span></a> blows.</p>
       <div style="mso-element:footnote-list"><hr><div id="ftn1"><p class="MsoFootnoteText"><a href="#_ftnref1" name="_ftn1">[1]</a> From the <b>west</b>.</p></div></div>`,
    ],
    [
      "an office in the browser",
      `<p>Wind<sup><a href="#ftnt1" id="ftnt_ref1">[1]</a></sup> blows.</p><hr><div><p><a href="#ftnt_ref1" id="ftnt1">[1]</a> From the west.</p></div>`,
    ],
    [
      "a page out of Markdown",
      `<p>Wind<sup id="fnref:1"><a href="#fn:1" rel="footnote">1</a></sup> blows.</p><ol><li id="fn:1"><p>From the west. <a href="#fnref:1">↩</a></p></li></ol>`,
    ],
  ])("of %s keeps its footnotes where they stand", (_where, pasted) => {
    expect(cleanPasted(pasted)).toMatch(/^<p>Wind<sup data-footnote="From the west\."><\/sup> blows\.<\/p>/);
    expect(cleanPasted(pasted)).not.toMatch(/\[1\]|↩|<li>/);
  });

  it("keeps a note that is too long for a footnote where it is written", () => {
    const long = "long ".repeat(200);
    const pasted = `<p>Wind<a href="#n" id="r">1</a></p><p id="n"><a href="#r">1</a> ${long}</p>`;
    expect(cleanPasted(pasted)).toContain(long.trim());
    expect(cleanPasted(pasted)).not.toContain("footnote");
  });

  it("with links within its page has no footnotes for that", () => {
    const contents = `<ul><li><a href="#one">One</a></li></ul><h2 id="one">One</h2><p>Text <a href="#top">up</a></p>`;
    expect(cleanPasted(contents)).not.toContain("footnote");
    // A way up from the text, to what holds the list of contents, makes no footnote of the text.
    const up = `<div id="top"><a href="#one">One</a></div><div><h2 id="one">One</h2><p>Text <a href="#top">up</a></p></div>`;
    expect(cleanPasted(up)).toContain("Text");
    expect(cleanPasted(up)).not.toContain("footnote");
  });
});
