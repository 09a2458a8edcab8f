import { expect, it } from "vitest";
import { makeProduct } from "~/core/goods";
import { comparedFacts } from "./facts";

const one = makeProduct({ id: "a", title: "A", price: 100, attributes: { "Span (cm)": "190", Lines: "1" } });
const two = makeProduct({
  id: "b",
  title: "B",
  price: 200,
  attributes: { Lines: "1", Wind: "2–5" },
  specification: [{ name: "In the bag", value: "Kite & line" }],
});

it("facts of goods stand side by side, units with their numbers, gaps where one says nothing", () => {
  expect(comparedFacts([one, two], null, false)).toEqual([
    { name: "Span", values: ["190\u00a0cm", undefined] },
    { name: "Lines", values: ["1", "1"] },
    { name: "Wind", values: [undefined, "2–5"] },
    { name: "In the bag", values: [undefined, "Kite & line"] },
  ]);
});

it("what is the same for all is left out where only differences are asked for, and what nobody says always", () => {
  expect(comparedFacts([one, two], null, true).map((f) => f.name)).toEqual(["Span", "Wind", "In the bag"]);
  expect(comparedFacts([one, two], ["Wind", "Colour", "Lines"], false).map((f) => f.name)).toEqual(["Wind", "Lines"]);
  expect(comparedFacts([], null, false)).toEqual([]);
});
