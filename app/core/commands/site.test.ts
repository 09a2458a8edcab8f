import { describe, expect, it } from "vitest";
import { after, whyNot } from "../fixtures/outcomes";
import { siteOf } from "../addresses";
import { entryOf, headAdditions, ownValuesOf, pageProps, spellingsOf, ownFieldsOf } from "../document";
import { withFirst } from "~/kinds/layouts";
import { starterDraft } from "~/server/shops/starter";
import { addPages, setDocumentCss, setHead, setOwnFields, setOwnValue, setSpellings } from ".";

const DRAFT = withFirst(starterDraft("Kites"));

describe("several pages at once", () => {
  const page = (id: string, title: string, slug?: string) => ({
    id,
    title,
    main: [],
    props: { at: "2026-01-01T09:00" },
    ...(slug === undefined ? {} : { slug }),
  });
  const parent = siteOf(DRAFT.documents).top[0]!.document.id;

  it("get addresses of their own, in the order in which they came", () => {
    const draft = after(
      DRAFT,
      addPages(DRAFT, parent, [
        page("one", " Gale "),
        page("two", "Gale"),
        page("three", "Other", "gale"),
        page("four", "Übung macht’s", "No Slug!"),
      ]),
    );
    const props = ["one", "two", "three", "four"].map((id) => pageProps(entryOf(draft.documents, id)!));
    expect(props.map((p) => p.slug)).toEqual(["gale", "gale-2", "gale-3", "no-slug"]);
    expect(props.map((p) => p.order)).toEqual([0, 1, 2, 3].map((i) => props[0]!.order + i));
    expect(entryOf(draft.documents, "one")).toMatchObject({ title: "Gale", root: { props: { parent } } });
  });

  it("are all made, or none", () => {
    expect(whyNot(addPages(DRAFT, parent, [page("one", "Gale"), page("two", " ")]))).toMatch(/name/i);
    expect(addPages(DRAFT, "gone", [page("one", "Gale")]).ok).toBe(false);
  });
});

describe("what the shop says besides its pages", () => {
  it("is kept, taken back, and forgotten where it is nothing any more", () => {
    const head = {
      proofs: [{ name: "site-verification", content: "a7" }],
      bar: "#102030",
      early: ["https://a.example"],
    };
    const words = [{ say: "kite string", instead: ["kitestring"] }];
    let draft = after(DRAFT, setHead(DRAFT, head));
    expect(headAdditions(draft.documents)).toEqual(head);
    expect(whyNot(setHead(draft, head))).toMatch(/already/);
    draft = after(draft, setHead(draft, { proofs: [], bar: null, early: [] }));
    expect(entryOf(draft.documents, "site")!.root.props).not.toHaveProperty("head");
    draft = after(draft, setSpellings(draft, words));
    expect(spellingsOf(draft.documents)).toEqual(words);
    draft = after(draft, setSpellings(draft, []));
    expect(draft).toEqual(DRAFT);
  });

  it.each(["site", "home"])("CSS of %s is kept, and forgotten where it is empty", (id) => {
    const draft = after(DRAFT, setDocumentCss(DRAFT, id, "p{top:0}"));
    expect(entryOf(draft.documents, id)!.root.props.css).toBe("p{top:0}");
    expect(after(draft, setDocumentCss(draft, id, ""))).toEqual(DRAFT);
    expect(setDocumentCss(DRAFT, "gone", "x").ok).toBe(false);
  });

  it("own fields of goods stand beside those of pages, and may be called the same", () => {
    const of = (name: string, id: string) => ({ id, name, sort: "words" }) as const;
    let draft = after(DRAFT, setOwnFields(DRAFT, [of("Maker", "a")]));
    draft = after(draft, setOwnFields(draft, [of("Maker", "b"), of("Manual", "c")], "product"));
    draft = after(draft, setOwnFields(draft, [of("Maker", "a"), of("Place", "d")]));
    expect(ownFieldsOf(draft.documents).map((f) => f.id)).toEqual(["a", "d"]);
    expect(ownFieldsOf(draft.documents, "product").map((f) => f.id)).toEqual(["b", "c"]);
    draft = after(draft, setOwnFields(draft, []));
    expect(after(draft, setOwnFields(draft, [], "product"))).toEqual(DRAFT);
  });

  it("own fields are filled in on pages, each by itself", () => {
    const [place, maker] = [
      { id: "place", name: " Place ", sort: "words" },
      { id: "maker", name: "Maker", sort: "words" },
    ] as const;
    let draft = after(DRAFT, setOwnFields(DRAFT, [place, maker]));
    expect(ownFieldsOf(draft.documents).map((f) => f.name)).toEqual(["Place", "Maker"]);
    draft = after(draft, setOwnValue(draft, "home", place, "Whitby"));
    draft = after(draft, setOwnValue(draft, "home", maker, "Ida"));
    expect(ownValuesOf(entryOf(draft.documents, "home")!)).toEqual({ place: "Whitby", maker: "Ida" });
    expect(whyNot(setOwnValue(draft, "home", maker, "Ida"))).toMatch(/already/);
    draft = after(draft, setOwnValue(draft, "home", place, ""));
    draft = after(draft, setOwnValue(draft, "home", maker, ""));
    expect(entryOf(draft.documents, "home")!.root.props).not.toHaveProperty("own");
  });
});
