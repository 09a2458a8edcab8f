// @vitest-environment jsdom
import { afterEach, describe, expect, it } from "vitest";
import { addLayout, setLayoutFor } from "~/core/commands";
import { layoutProps } from "~/core/document";
import { withFirst } from "~/kinds/layouts";
import { contentWith } from "~/render/fixtures/content";
import { mount, studioOf } from "../fixtures/mount";
import { LayoutChoice } from "./layout-choice";

let end: (() => Promise<void>) | undefined;
afterEach(async () => {
  await end?.();
  end = undefined;
});

/** A shop with a layout "Kites" for the collection "c", and "Sale" for nothing yet, unless it is said `bare`. */
async function choiceFor(collections: readonly string[], bare = false) {
  const store = studioOf({ draft: withFirst(contentWith([]).draft) });
  const run = store.getState().run;
  if (!bare) {
    run(addLayout(store.getState().draft, "product", "Kites", "kites"));
    run(addLayout(store.getState().draft, "product", "Sale", "sale"));
    run(setLayoutFor(store.getState().draft, "kites", { products: [], collections: ["c"] }));
  }
  const mounted = await mount(
    <LayoutChoice sort="product" id="p" collections={collections} address="/products/p" />,
    store,
  );
  end = mounted.end;
  const named = (id: string) => layoutProps(store.getState().draft.documents[id]!)!.products;
  const link = () => document.querySelector("a")!.getAttribute("href");
  return { ...mounted, named, link };
}
const LABEL = "Layout of its page";

describe("the layout of a product's page", () => {
  it("is no choice where there is one alone", async () => {
    const { text, link } = await choiceFor([], true);
    expect(text()).toContain("Its page is drawn by the layout “Product”, like all others.");
    expect(link()).toBe("/s/s/pages?page=product&show=/products/p");
    expect(document.querySelector('[role="combobox"]')).toBeNull();
  });

  it("says what it is by, and offers the others", async () => {
    const { text, choose, link } = await choiceFor([]);
    expect(text()).toContain("Product, as for all");
    expect(await choose(LABEL)).toEqual(["Product, as for all", "Kites", "Sale"]);
    expect(link()).toBe("/s/s/pages?page=product&show=/products/p");
  });

  it("may be its collection's", async () => {
    const { text, link } = await choiceFor(["b", "c"]);
    expect(text()).toContain("Kites, by its collection");
    expect(link()).toBe("/s/s/pages?page=kites&show=/products/p");
  });

  it("is taken, changed for another, and given back, each a step that can be undone", async () => {
    const { choose, named, link, store } = await choiceFor(["c"]);
    await choose(LABEL, "Sale");
    expect(named("sale")).toEqual(["p"]);
    expect(link()).toBe("/s/s/pages?page=sale&show=/products/p");
    await choose(LABEL, "Kites");
    expect([named("sale"), named("kites")]).toEqual([[], ["p"]]);
    // What the collection says of the layout stays as it was.
    expect(layoutProps(store.getState().draft.documents.kites!)!.collections).toEqual(["c"]);
    await choose(LABEL, "Kites, by its collection");
    expect(named("kites")).toEqual([]);
    store.getState().undo();
    expect(named("kites")).toEqual(["p"]);
    expect(store.getState().history.past.at(-1)?.label).toBe("Layout “Kites”: which goods");
  });
});
