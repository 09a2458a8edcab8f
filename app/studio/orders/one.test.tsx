import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { SAMPLE_ADDRESS } from "~/kinds/parts";
import { envOf } from "~/render";
import { contentWith } from "~/render/fixtures/content";
import { goesTo, OrderTable } from "./one";

const content = contentWith([]);
const { body } = envOf(content, content.draft).sampleOrder(null).order;
const textOf = (html: string) => html.replace(/<[^>]+>/g, " ").replace(/\s+/g, " ");

describe("an order as its seller sees it", () => {
  it("says what each gift card paid and what is left, and nothing of them where there were none", () => {
    const total = body.total;
    const byCards = [
      { last: "…WXYZ", amount: 500 },
      { last: "…WXYZ", amount: 700 },
    ];
    const said = textOf(renderToStaticMarkup(<OrderTable body={{ ...body, byCards }} />));
    expect(said.match(/Gift card …WXYZ/g)).toHaveLength(2);
    expect(said).toContain(`Left to pay €${((total - 1200) / 100).toFixed(2)}`);
    expect(textOf(renderToStaticMarkup(<OrderTable body={body} />))).not.toContain("Left to pay");
    expect(textOf(renderToStaticMarkup(<OrderTable body={{ ...body, byCards }} withPrices={false} />))).not.toContain(
      "€",
    );
  });

  it("says to whom a gift card goes, beside the card", () => {
    const lines = body.lines.map((line, i) => (i === 0 ? { ...line, isGiftCard: true } : line));
    const cardFor = { design: "plain" as const, to: "tom@quill.example", from: "", message: "" };
    expect(textOf(renderToStaticMarkup(<OrderTable body={{ ...body, lines, cardFor }} />))).toContain(
      "For tom@quill.example",
    );
  });

  it("goes to an address, by mail to whom it is for or who bought it, or is collected by name", () => {
    const way = { ...body.way, isCollected: false };
    const to = { ...SAMPLE_ADDRESS, country: "DE" };
    expect(goesTo({ ...body, way, to }, "IE").at(-1)).toBe("Germany");
    const mailed = { ...body, way: { ...way, isLetter: true as const }, to: null, mail: "ada@quill.example" };
    expect(goesTo(mailed, "IE")).toEqual(["ada@quill.example"]);
    const cardFor = { design: "plain" as const, to: "tom@quill.example", from: "", message: "" };
    expect(goesTo({ ...mailed, cardFor }, "IE")).toEqual(["tom@quill.example"]);
    expect(goesTo({ ...body, to: null, way: { ...way, isCollected: true } }, "IE")).toEqual([body.name]);
  });
});
