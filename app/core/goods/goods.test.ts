import { SOME_DAY } from "./fixtures/day";
import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { readCsv } from "../formats";
import {
  badgeOf,
  chosenProducts,
  factWords,
  makeProduct,
  putRight,
  readGoods as readTable,
  slugOf,
  type Product,
} from ".";

const readGoods = (text: string, currency: string) => readTable(readCsv(text), currency);

const product = (more: Partial<Product> = {}): Product =>
  makeProduct({ id: "p", title: "P", price: 1000, stock: 10, ...more });

describe("a goods file", () => {
  it("of the demo shop is understood whole", () => {
    const file = readGoods(readFileSync("demo/goods.csv", "utf8"), "EUR");
    expect(file.problems).toEqual([]);
    expect(file.lines.filter((l) => !l.variantOf)).toHaveLength(45);
    expect(new Set(file.lines.flatMap((l) => l.collections)).size).toBe(7);
    expect(new Set(file.lines.map((l) => l.availability))).toEqual(
      new Set(["in-stock", "sold-out", "coming-soon", "collect-only", "made-to-order", "discontinued"]),
    );
    expect(file.columns.filter((c) => c.means === "attribute").map((c) => c.name)).toEqual([
      "Wind (Beaufort)",
      "Span (cm)",
      "Lines",
      "Level",
      "Material",
    ]);
  });

  it("may name its columns as people do", () => {
    const { lines, columns } = readGoods(
      "Product name;Was;Price;Category;In stock;Colour\nKite;20;15,50;Sale|New;0;red",
      "EUR",
    );
    expect(lines[0]).toMatchObject({
      title: "Kite",
      price: 1550,
      compareAt: 2000,
      collections: ["Sale", "New"],
      stock: 0,
      availability: "in-stock",
      attributes: { Colour: "red" },
      sku: "KITE",
    });
    expect(columns.map((c) => c.means)).toEqual(["title", "compareAt", "price", "collections", "stock", "attribute"]);
  });

  it.each([
    ["Article no.", "sku"],
    ["Price incl. VAT", "price"],
    ["Retail price (EUR)", "price"],
    ["Price in £", "price"],
    ["Cost (without tax)", "cost"],
    ["Qty", "stock"],
    ["RRP €", "compareAt"],
    ["EAN-13 *", "barcode"],
    ["product_name", "title"],
    ["Weight (kg)", "attribute"],
    ["Priceless", "attribute"],
    ["Stock min", "attribute"],
    ["Stock (minimum)", "attribute"],
    ["Title tag", "attribute"],
    ["Wind (Beaufort)", "attribute"],
    ["", "none"],
    ["Artikelbezeichnung kurz", "attribute"],
    ["Bezeichnung", "title"],
    ["Verkaufspreis (EUR)", "price"],
    ["Désignation", "title"],
    ["PRIX TTC", "price"],
    ["Catégorie", "collections"],
    ["Categorie", "collections"],
    ["Título", "title"],
    ["Precio (€)", "price"],
    ["Existencias", "stock"],
    ["Nome prodotto", "title"],
    ["Prezzo", "price"],
    ["Giacenza", "stock"],
    ["Productnaam", "title"],
    ["Verkoopprijs", "price"],
    ["Voorraad", "stock"],
    ["Preço", "price"],
    ["Descrição", "description"],
    ["Code-barres", "barcode"],
  ] as const)("takes a column called “%s” to mean %s", (name, means) => {
    expect(readGoods(`${name},other\n1,2`, "EUR").columns[0]!.means).toBe(means);
  });

  it("has its problems told line by line, and the good lines kept", () => {
    const text = [
      "title,price,stock,availability,available from,sku",
      "Good,5,1,,,A",
      ",5,1,,,B",
      "Dear,lots,1,,,C",
      "Many,5,a few,,,D",
      "State,5,1,maybe,,E",
      "Day,5,1,coming soon,next week,F",
      "Twin,5,1,,,A",
      "Split, this,5,1,,,G",
    ].join("\n");
    const { lines, problems } = readGoods(text, "EUR");
    expect(lines.map((l) => l.title)).toEqual(["Good"]);
    expect(problems.map((p) => [p.line, p.column])).toEqual([
      [3, "title"],
      [4, "price"],
      [5, "stock"],
      [6, "availability"],
      [7, "available from"],
      [8, "SKU"],
      [9, ""],
      [9, "price"],
      [9, "availability"],
    ]);
    expect(problems[5]!.why).toBe("“A” stands on line 2 already.");
  });

  it("without title or price is refused with one sentence for each", () => {
    expect(readGoods("name,colour\nx,red", "EUR").problems.map((p) => p.why)).toEqual([
      "No column says the price. Say which one does.",
    ]);
    expect(readGoods("", "EUR").problems).toEqual([{ line: 0, column: "", why: "The file is empty." }]);
  });
});

describe("what a card says", () => {
  it.each([
    [product(), undefined],
    [product({ compareAt: 1250 }), "Save 20%"],
    [product({ compareAt: 900 }), undefined],
    [product({ availability: "sold-out", compareAt: 2000 }), "Sold out"],
    [product({ availability: "coming-soon", availableFrom: "2027-03-14" }), "Coming 14 March"],
    [product({ availability: "coming-soon" }), "Coming soon"],
  ])("is the badge %#", (given, badge) => expect(badgeOf(given, SOME_DAY)?.words).toBe(badge));

  it("puts units to their values", () => {
    expect(factWords("Span (cm)", "190")).toEqual({ name: "Span", value: "190\u00a0cm" });
    expect(factWords("Span (cm)", "150| 100")).toEqual({ name: "Span", value: "100–150\u00a0cm" });
    expect(factWords("Length (m)", "2.5;10")).toEqual({ name: "Length", value: "2.5–10\u00a0m" });
    expect(factWords("Taste", "Sweet|Sour")).toEqual({ name: "Taste", value: "Sweet, Sour" });
    expect(factWords("Level", "Anyone")).toEqual({ name: "Level", value: "Anyone" });
  });
});

it("goods that can't be had stand last, the rest in the shop's order", () => {
  const products = [
    product({ id: "a", availability: "sold-out" }),
    product({ id: "b" }),
    product({ id: "c", availability: "coming-soon" }),
    product({ id: "d" }),
  ];
  const goods = { products, collections: [], asOf: SOME_DAY };
  expect(chosenProducts(goods, null, 3).map((p) => p.id)).toEqual(["b", "c", "d"]);
  expect(chosenProducts(goods, "none", 3)).toEqual([]);
});

it.each([
  ["Larkspindle Delta 190, Dawn", "larkspindle-delta-190-dawn"],
  ["Größe & Maß", "grosse-mass"],
  ["Łódź's Kite", "lodzs-kite"],
  ["  ", ""],
])("“%s” has the address %s", (title, slug) => expect(slugOf(title)).toBe(slug));

describe("cells that are wrong", () => {
  const table = readCsv("Title;Price;Stock\nApple jam;4,50;−4\nPear jam;lots;3\nPlum jam;5,00;2;more\n");

  it("are said with what stands there, in words of the file at hand", () => {
    const { problems } = readTable(table, "EUR");
    expect(problems).toEqual([
      {
        line: 2,
        column: "stock",
        why: "“−4”: there can’t be fewer than none. Write 0, or nothing where pieces are not counted.",
        cell: { at: 2, written: "−4" },
      },
      { line: 3, column: "price", why: "“lots” is not an amount.", cell: { at: 1, written: "lots" } },
      expect.objectContaining({ line: 4, why: expect.stringContaining("a value with a semicolon in it") as string }),
    ]);
  });

  it("are put right without the file being touched", () => {
    const right = putRight(table, [
      { line: 2, at: 2, value: "0" },
      { line: 3, at: 1, value: "4,20" },
      { line: 3, at: 9, value: "nowhere" },
      { line: 99, at: 0, value: "no such line" },
    ]);
    const { lines, problems } = readTable(right, "EUR");
    expect(lines.map((l) => [l.title, l.price, l.stock])).toEqual([
      ["Apple jam", 450, 0],
      ["Pear jam", 420, 3],
    ]);
    expect(problems.map((p) => p.line)).toEqual([4]);
    expect(table.rows[0]!.cells[2]).toBe("−4");
    expect(putRight(table, [])).toBe(table);
  });

  it("are none in the sample that is offered", () => {
    const { lines, problems, columns } = readTable(readCsv(readFileSync("public/sample-goods.csv", "utf8")), "EUR");
    expect(problems).toEqual([]);
    expect(lines).toHaveLength(6);
    expect(columns.filter((c) => c.means === "attribute").map((c) => c.name)).toEqual(["Taste", "Contents (g)"]);
  });
});
