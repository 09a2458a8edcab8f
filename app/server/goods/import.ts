import { newId, entryOf } from "~/core/document";
import { decimalMoney } from "~/core/money";
import { plainOf } from "~/core/rich";
import {
  AVAILABILITY_WORDS,
  combinationsOf,
  descriptionOf,
  makeCollection,
  makeProduct,
  MOST_VALUES,
  MOST_VARIANTS,
  readGoods,
  slugOf,
  type Collection,
  type ColumnChoice,
  type GoodsField,
  type GoodsFile,
  type GoodsLine,
  type ImportPlan,
  type LineDoes,
  type LineProblem,
  type Option,
  type Product,
  type Table,
  type Variant,
} from "~/core/goods";
import { PictureRow } from "../database/index.server";
import type { Shop } from "../shops/index.server";
import type { All } from "./rows";
import { changeGoods } from "./change";
import { allGoodsOf } from "./known";
import type { Steps } from "./write";

const baseName = (written: string) => written.split(/[\\/]/).at(-1)!.toLowerCase();

async function picturesByName(shopId: string): Promise<Map<string, string>> {
  const rows = await PictureRow.findAll({
    where: { shopId },
    attributes: ["id", "name"],
    order: [["createdAt", "ASC"]],
  });
  return new Map(rows.map((row) => [row.name.toLowerCase(), row.id]));
}

type ProductLines = { readonly line: GoodsLine; readonly variants: readonly GoodsLine[] };

/** Lines by product. A variant belongs to a product of the file or of the shop; one of nothing is a problem. */
function groupsOf(file: GoodsFile, all: All): { groups: readonly ProductLines[]; problems: readonly LineProblem[] } {
  const problems: LineProblem[] = [];
  const known = new Map(all.products.map((p) => [p.sku, p]));
  const groups = new Map<string, { line: GoodsLine; variants: GoodsLine[] }>();
  for (const line of file.lines) if (!line.variantOf) groups.set(line.sku, { line, variants: [] });
  for (const line of file.lines) {
    if (!line.variantOf) continue;
    const group = groups.get(line.variantOf);
    if (group) group.variants.push(line);
    else if (known.has(line.variantOf))
      problems.push({
        line: line.line,
        column: "variant of (SKU)",
        why: `Put the line of “${line.variantOf}” itself into the file as well, before its variants.`,
      });
    else
      problems.push({
        line: line.line,
        column: "variant of (SKU)",
        why: `There is no product with the SKU “${line.variantOf}”.`,
      });
  }
  for (const { variants } of groups.values()) {
    const [first] = variants;
    const names = first?.options.map((o) => o.name).join("|");
    const seen = new Set<string>();
    const good = variants.filter((v) => {
      const values = v.options.map((o) => o.value).join("|");
      const why =
        v.options.map((o) => o.name).join("|") !== names
          ? `Its options are not those of the first variant (${first!.options.map((o) => o.name).join(", ")}).`
          : seen.has(values)
            ? `“${v.options.map((o) => o.value).join(" / ")}” stands there twice.`
            : undefined;
      seen.add(values);
      if (why) problems.push({ line: v.line, column: "options", why });
      return why === undefined;
    });
    variants.splice(0, variants.length, ...good);
    const most = Math.max(
      0,
      ...(first?.options.map((_o, i) => new Set(variants.map((v) => v.options[i]!.value)).size) ?? []),
    );
    if (variants.length > MOST_VARIANTS || most > MOST_VALUES) {
      problems.push({
        line: first!.line,
        column: "options",
        why: `A product has ${MOST_VARIANTS} variants, and an option ${MOST_VALUES} values at most.`,
      });
      variants.length = 0;
    }
  }
  return { groups: [...groups.values()], problems };
}

/** The options that variants of a file have, with what was known of them: how they are picked, and colours. */
function optionsFrom(lines: readonly GoodsLine[], known: Product | undefined): readonly Option[] {
  return (lines[0]?.options ?? []).map(({ name }, i) => {
    const old = known?.options.find((o) => o.name === name);
    const values = [...new Set(lines.map((l) => l.options[i]!.value))];
    const colourOf = (value: string) =>
      lines.find((l) => l.options[i]!.value === value && l.options[i]!.colour)?.options[i]!.colour ??
      old?.values.find((v) => v.name === value)?.colour ??
      null;
    const coloured = values.map((value) => ({ name: value, colour: colourOf(value) }));
    const hasPictures = lines.some((l) => l.pictures.length);
    return {
      name,
      values: coloured,
      picker:
        old?.picker ??
        (coloured.every((v) => v.colour)
          ? hasPictures && values.length <= 8
            ? "pictures"
            : "swatches"
          : values.length > 8
            ? "list"
            : "buttons"),
    };
  });
}

type Context = {
  readonly given: ReadonlySet<GoodsField>;
  readonly pictures: Map<string, string>;
  readonly collections: Map<string, string>;
  readonly idOfSku: (sku: string) => string | undefined;
};

/**
 * What a line would be stored as. A column that the file does not have leaves what is known; so do pictures that are not
 * in the library.
 */
function wanted({ line, variants }: ProductLines, known: Product | undefined, context: Context): Product {
  const { given, pictures, collections } = context;
  const base = known ?? makeProduct({ id: "", title: line.title });
  const found = (l: GoodsLine) => l.pictures.map((p) => pictures.get(baseName(p))).filter((p) => p !== undefined);
  const keep = <K extends keyof Product>(field: GoodsField, key: K, value: Product[K]): Product[K] =>
    given.has(field) ? value : base[key];
  const own = found(line);
  // A file of stock alone brings back what had been called sold out.
  const isBack = !given.has("availability") && base.availability === "sold-out" && (line.stock ?? 0) > 0;
  const state = given.has("availability") ? line.availability : isBack ? "in-stock" : base.availability;
  const options = variants.length ? optionsFrom(variants, known) : base.options;
  const variantFrom = (l: GoodsLine): Variant => {
    const values = l.options.map((o) => o.value);
    const old =
      base.variants.find((v) => v.sku !== "" && v.sku === l.sku) ??
      base.variants.find((v) => JSON.stringify(v.values) === JSON.stringify(values));
    return {
      id: old?.id ?? "",
      values,
      sku: l.sku,
      price: l.price,
      compareAt: given.has("compareAt") ? l.compareAt : (old?.compareAt ?? null),
      stock: given.has("stock") ? l.stock : (old?.stock ?? null),
      barcode: given.has("barcode") ? l.barcode : (old?.barcode ?? ""),
      weight: given.has("weight") ? l.weight : (old?.weight ?? null),
      picture: found(l)[0] ?? old?.picture ?? null,
      availability: given.has("availability")
        ? l.availability === "in-stock"
          ? null
          : l.availability
        : (old?.availability ?? null),
    };
  };
  return {
    ...base,
    title: line.title,
    sku: line.sku,
    // Words without a shape leave a shape that says the same.
    description:
      given.has("description") && descriptionOf(base) !== line.description ? line.description : base.description,
    price: line.price ?? base.price,
    compareAt: keep("compareAt", "compareAt", line.compareAt),
    cost: keep("cost", "cost", line.cost),
    taxClass: keep("taxClass", "taxClass", line.taxClass),
    stock: keep("stock", "stock", line.stock),
    isGiftCard: keep("isGiftCard", "isGiftCard", line.isGiftCard),
    oversell: keep("oversell", "oversell", line.oversell),
    barcode: keep("barcode", "barcode", line.barcode),
    weight: keep("weight", "weight", line.weight),
    availability: state,
    availableFrom: keep("availableFrom", "availableFrom", line.availableFrom),
    featured: keep("featured", "featured", line.featured),
    tags: keep("tags", "tags", line.tags),
    attributes: { ...base.attributes, ...line.attributes },
    specification: keep("specification", "specification", line.specification),
    pictures: own.length ? own : base.pictures,
    related: given.has("related") ? line.related.map(context.idOfSku).filter((id) => id !== undefined) : base.related,
    search: {
      ...base.search,
      title: given.has("searchTitle") ? line.searchTitle : base.search.title,
      description: given.has("searchDescription") ? line.searchDescription : base.search.description,
    },
    collections: given.has("collections")
      ? [...new Set(line.collections.map((t) => collections.get(t.toLowerCase())).filter((id) => id !== undefined))]
      : base.collections,
    options,
    // In the order of the options, as the editor keeps them; what the file does not name is not made.
    variants: variants.length
      ? combinationsOf(options).flatMap((values) => {
          const l = variants.find((each) => each.options.every((o, i) => o.value === values[i]));
          return l ? [variantFrom(l)] : [];
        })
      : base.variants,
  };
}

const doesOf = (next: Product, known: Product | undefined): LineDoes => {
  if (!known) return "new";
  const plain = (p: Product) =>
    JSON.stringify({ ...p, description: plainOf(p.description), collections: p.collections.toSorted() });
  return plain(next) === plain(known) ? "same" : "changed";
};

type PreparedImport = {
  readonly file: GoodsFile;
  readonly problems: readonly LineProblem[];
  readonly products: readonly {
    readonly group: ProductLines;
    readonly next: Product;
    readonly known: Product | undefined;
  }[];
  readonly newCollections: readonly Collection[];
  readonly missingPictures: readonly string[];
};

function prepare(
  all: All,
  table: Table,
  currency: string,
  choice: ColumnChoice,
  pictures: Map<string, string>,
): PreparedImport {
  const file = readGoods(table, currency, choice);
  const { groups, problems } = groupsOf(file, all);
  const known = new Map<string, Product>(all.products.map((p) => [p.sku, p]));
  const collections = new Map(all.collections.map((c) => [c.title.toLowerCase(), c.id]));
  const slugs = new Set(["all", ...all.collections.map((c) => c.slug)]);
  const newCollections: Collection[] = [];
  for (const title of new Set(groups.flatMap((g) => g.line.collections))) {
    if (collections.has(title.toLowerCase())) continue;
    const made = makeCollection({ id: newId(), title, slug: freeSlug(slugOf(title) || "collection", slugs) });
    newCollections.push(made);
    collections.set(title.toLowerCase(), made.id);
  }
  // New products get their ids first, so that goods that go with each other can be new together.
  const ids = new Map(groups.map((g) => [g.line.sku, known.get(g.line.sku)?.id ?? newId()]));
  const context: Context = {
    given: new Set(file.given),
    pictures,
    collections,
    idOfSku: (sku) => ids.get(sku) ?? known.get(sku)?.id,
  };
  const taken = new Set(all.products.map((p) => p.slug));
  const now = new Date().toISOString();
  const products = groups.map((group) => {
    const old = known.get(group.line.sku);
    const next = wanted(group, old, context);
    const whole: Product = old
      ? next
      : {
          ...next,
          id: ids.get(group.line.sku)!,
          slug: freeSlug(slugOf(next.title) || "product", taken),
          createdAt: now,
        };
    return {
      group,
      known: old,
      next: { ...whole, variants: whole.variants.map((v) => (v.id ? v : { ...v, id: newId() })) },
    };
  });
  return {
    file,
    problems: [...file.problems, ...problems].sort((a, b) => a.line - b.line),
    products,
    newCollections,
    missingPictures: [...new Set(file.lines.flatMap((l) => l.pictures))].filter((p) => !pictures.has(baseName(p))),
  };
}

const freeSlug = (base: string, taken: Set<string>): string => {
  let slug = base;
  for (let n = 2; taken.has(slug); n++) slug = `${base}-${n}`;
  taken.add(slug);
  return slug;
};

/** Understands a goods file and says what importing it would do. Nothing is stored. */
export async function planImport(shop: Shop, table: Table, choice: ColumnChoice = {}): Promise<ImportPlan> {
  const [all, pictures] = await Promise.all([allGoodsOf(shop), picturesByName(shop.id)]);
  const prepared = prepare(all, table, shop.currency, choice, pictures);
  const counts = { new: 0, changed: 0, same: 0 };
  const lines = prepared.products.map(({ group, next, known }) => {
    const does = doesOf(next, known);
    counts[does]++;
    return { line: group.line, variants: group.variants.length, does };
  });
  return {
    columns: prepared.file.columns,
    lines,
    counts,
    problems: prepared.problems,
    newCollections: prepared.newCollections.map((c) => c.title),
    missingPictures: prepared.missingPictures,
  };
}

export type ImportDone = { readonly added: number; readonly changed: number; readonly same: number };

/**
 * Imports a goods file: products are known by SKU, so a second import changes and never doubles. All or nothing, as one
 * step that can be taken back. `step` hears of progress; `signal` makes it stop, and then nothing was stored.
 */
export async function importGoods(
  shop: Shop,
  table: Table,
  choice: ColumnChoice = {},
  steps: Steps = {},
): Promise<ImportDone> {
  const pictures = await picturesByName(shop.id);
  const { done } = await changeGoods(
    shop,
    "Goods brought in from a file",
    (all) => {
      const { products, newCollections } = prepare(all, table, shop.currency, choice, pictures);
      const done = { added: 0, changed: 0, same: 0 };
      const changed = new Map<string, Product>();
      for (const { next, known } of products) {
        const does = doesOf(next, known);
        done[does === "new" ? "added" : does] += 1;
        if (does !== "same") changed.set(next.id, next);
      }
      return { done, change: { products: changed, collections: new Map(newCollections.map((c) => [c.id, c])) } };
    },
    steps,
  );
  return done;
}

const HEAD = [
  "SKU",
  "Title",
  "Variant of",
  "Options",
  "Description",
  "Price",
  "Compare-at price",
  "Cost",
  "Tax class",
  "Collection",
  "Tags",
  "Pictures",
  "Stock",
  "Sell when out",
  "Gift card",
  "Availability",
  "Available from",
  "Barcode",
  "Weight (g)",
  "Featured",
  "Specification",
  "Goes with",
  "Search title",
  "Search description",
] as const;

/** The goods as a table; bringing it in again changes nothing. */
export async function exportTable(
  shop: Shop,
): Promise<{ readonly head: readonly string[]; readonly rows: readonly string[][] }> {
  const [all, pictures] = await Promise.all([
    allGoodsOf(shop),
    PictureRow.findAll({ where: { shopId: shop.id }, attributes: ["id", "name"] }),
  ]);
  const names = new Map(pictures.map((p) => [p.id, p.name]));
  const titles = new Map(all.collections.map((c) => [c.id, c.title]));
  const skus = new Map(all.products.map((p) => [p.id, p.sku]));
  const described = [...new Set(all.products.flatMap((p) => Object.keys(p.attributes)))];
  const known = (list: readonly (string | null)[], map: Map<string, string>) =>
    list
      .map((id) => (id === null ? undefined : map.get(id)))
      .filter((name) => name !== undefined)
      .join("|");
  const money = (amount: number | null) => (amount === null ? "" : decimalMoney(amount, shop.currency));
  const number = (value: number | null) => (value === null ? "" : String(value));
  const yes = (is: boolean) => (is ? "yes" : "");
  const rows = all.products.flatMap((p): string[][] => {
    const own: Record<(typeof HEAD)[number], string> = {
      SKU: p.sku,
      Title: p.title,
      "Variant of": "",
      Options: "",
      Description: descriptionOf(p),
      Price: money(p.price),
      "Compare-at price": money(p.compareAt),
      Cost: money(p.cost),
      "Tax class": p.taxClass,
      Collection: known(p.collections, titles),
      Tags: p.tags.join("|"),
      Pictures: known(p.pictures, names),
      Stock: number(p.stock),
      "Sell when out": yes(p.oversell),
      "Gift card": yes(p.isGiftCard),
      Availability: AVAILABILITY_WORDS[p.availability],
      "Available from": p.availableFrom ?? "",
      Barcode: p.barcode,
      "Weight (g)": number(p.weight),
      Featured: yes(p.featured),
      Specification: p.specification.map((s) => `${s.name}:${s.value}`).join("|"),
      "Goes with": known(p.related, skus),
      "Search title": p.search.title,
      "Search description": p.search.description,
    };
    const variants = p.variants.map((v): string[] => {
      const line: Partial<typeof own> = {
        SKU: v.sku,
        "Variant of": p.sku,
        Options: p.options
          .map((o, i) => {
            const colour = o.values.find((each) => each.name === v.values[i])?.colour;
            return `${o.name}: ${v.values[i]}${colour ? ` ${colour}` : ""}`;
          })
          .join("|"),
        Price: money(v.price),
        "Compare-at price": money(v.compareAt),
        Pictures: known([v.picture], names),
        Stock: number(v.stock),
        Availability: v.availability ? AVAILABILITY_WORDS[v.availability] : "",
        Barcode: v.barcode,
        "Weight (g)": number(v.weight),
      };
      return [...HEAD.map((name) => line[name] ?? ""), ...described.map(() => "")];
    });
    return [
      [...HEAD.map((name) => own[name]), ...described.map((name) => entryOf(p.attributes, name) ?? "")],
      ...variants,
    ];
  });
  return { head: [...HEAD, ...described], rows };
}
