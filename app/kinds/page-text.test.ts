import { expect, it } from "vitest";
import type { PageDocument } from "~/core/document";
import { markdownOf, richFromMarkdown } from "~/core/writing";
import { contentWith, everySection, pictures } from "~/render/fixtures/content";
import { makeNode } from ".";
import { sectionAround } from "./fill";
import { textOfPage } from "./page-text";

const picture = (id: string) => {
  const of = pictures.find((each) => each.id === id);
  return of && { src: `https://shop.example/${of.name}`, of };
};
const home = (main: PageDocument["root"]["slots"][string]): PageDocument => contentWith(main).draft.documents.home!;

it("says what a page says, in reading order, and nothing that only works on a page", () => {
  const page = home([
    makeNode("text", { heading: "A gale", text: "It blew." }),
    sectionAround(makeNode("heading", { text: "What held" })),
    sectionAround(makeNode("picture", { picture: "wide", caption: "At noon" })),
    sectionAround(makeNode("code", { html: "<b>run</b>", title: "Code" })),
    { ...makeNode("text", { heading: "Not shown", text: "Hidden" }), shown: false },
  ]);
  expect(markdownOf(textOfPage(page, picture), () => undefined)).toBe(
    "## A gale\n\nIt blew.\n\n## What held\n\n![A wide beach](https://shop.example/wide.webp)\n\nAt noon\n",
  );
});

it.each(everySection.filter((s) => s.slot === "main").map((s) => [s.name, s.node] as const))(
  "“%s” can be written as Markdown and read again",
  (_name, node) => {
    const markdown = markdownOf(textOfPage(home([node]), picture), () => undefined);
    expect(richFromMarkdown(markdown).others).toBe(0);
  },
);
