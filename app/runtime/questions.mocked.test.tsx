// @vitest-environment jsdom
import { beforeAll, describe, expect, it } from "vitest";
import { makeNode } from "~/kinds";
import { contentWith } from "~/render/fixtures/content";
import { renderPage } from "~/render";
import { Find } from "./questions";

const asked = (single: boolean, arrangement: string) =>
  makeNode("questions", {
    arrangement,
    heading: "Questions",
    single,
    find: true,
    questions: [
      { group: "Ordering", question: "How do I order?", answer: "Put it into the cart." },
      { group: "", question: "Can it be changed?", answer: "Until it is sent." },
      { group: "Delivery", question: "How long does it take?", answer: "A few days. Äpfel take longer." },
    ],
  });

function lay(single = false, arrangement = "folded"): void {
  const { html } = renderPage({ page: "home" }, contentWith([asked(single, arrangement)]), "http://s.example", {
    every: "/e.js",
    goods: "/g.js",
  });
  document.body.innerHTML = /<main[^>]*>([\s\S]*)<\/main>/.exec(html)![1]!;
}
const type = (text: string) => {
  const field = document.querySelector<HTMLInputElement>("zest-find input")!;
  field.value = text;
  field.dispatchEvent(new Event("input", { bubbles: true }));
  const seen = [...document.querySelectorAll<HTMLElement>(".asked,.asked-open")].filter(
    (each) => !each.hidden && !each.closest<HTMLElement>(".asked-group")!.hidden,
  );
  return {
    seen: seen.map((each) => each.querySelector(".asked-words")!.textContent),
    open: seen.filter((each) => (each as HTMLDetailsElement).open).length,
    said: document.querySelector("zest-find [role=status]")!.textContent,
    groups: [...document.querySelectorAll<HTMLElement>(".asked-group")].filter((g) => !g.hidden).length,
  };
};

beforeAll(() => customElements.define("zest-find", Find));

describe("searching in questions", () => {
  it("leaves those with all of the words, opens them where the answer has them, and says how many", () => {
    lay();
    expect(type("order")).toEqual({ seen: ["How do I order?"], open: 0, said: "1 of 3", groups: 1 });
    // Without capitals and accents, in the answer.
    expect(type("apfel LONGER")).toEqual({ seen: ["How long does it take?"], open: 1, said: "1 of 3", groups: 1 });
    expect(type("kites")).toEqual({
      seen: [],
      open: 0,
      said: "No question has these words in it. Try others.",
      groups: 0,
    });
    expect(type(" ")).toMatchObject({ open: 0, said: "", groups: 2 });
    expect(type("").seen).toHaveLength(3);
  });

  it("leaves open what somebody has opened where only one may be, and works where all are open", () => {
    lay(true);
    document.querySelector<HTMLDetailsElement>(".asked")!.open = true;
    expect(type("cart")).toMatchObject({ seen: ["How do I order?"], open: 1 });
    lay(false, "open");
    expect(type("sent")).toMatchObject({ seen: ["Can it be changed?"], groups: 1 });
  });
});
