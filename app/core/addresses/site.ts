import { entryOf, pageProps, SITE, type Draft, type PageDocument, type PageProps, type SiteProps } from "../document";

type Documents = Draft["documents"];

/** A page with its place in the tree of the shop's pages. */
export type SitePage = {
  readonly document: PageDocument;
  readonly props: PageProps;
  /** The page beneath which it stands, as far as it is there. */
  readonly parent: string | null;
  /** How many pages it stands beneath. */
  readonly depth: number;
  /** Its address, as it goes over the wire: percent-encoded. */
  readonly address: string;
  /** The pages directly beneath it, in order. */
  readonly children: readonly SitePage[];
};

export type Site = {
  readonly home: string;
  /** Every page in reading order of the tree, the home page first. */
  readonly pages: readonly SitePage[];
  readonly top: readonly SitePage[];
  readonly byId: ReadonlyMap<string, SitePage>;
  /** Pages by their address without percent signs, each the first that has it. */
  readonly byAddress: ReadonlyMap<string, SitePage>;
};

/** The page at the shop's own address: the chosen one, or the one that every shop begins with. It may be one that can't be read. */
export const homeOf = (documents: Documents): string =>
  (entryOf(documents, SITE)?.root.props as Partial<SiteProps> | undefined)?.home ?? "home";

/** Whether a shop is closed for now, and the word with which friends come in all the same. */
export function closedOf(documents: Documents): { readonly closed: boolean; readonly friends: string } {
  const { closed = false, friends = "" } = (entryOf(documents, SITE)?.root.props ?? {}) as Partial<SiteProps>;
  return { closed, friends };
}

/** An address in letters, from one as it came over the wire; undefined where it can't be one. */
export function decodeAddress(path: string): string | undefined {
  try {
    return decodeURIComponent(path).normalize("NFC");
  } catch {
    return undefined;
  }
}

const known = new WeakMap<Documents, Site>();

/**
 * The tree of a shop's pages with their addresses. What can't be is drawn as well as it can: a page beneath one that is gone stands at
 * the top, and so does one that would stand beneath itself.
 */
export function siteOf(documents: Documents): Site {
  const have = known.get(documents);
  if (have) return have;
  const made = makeSite(documents);
  known.set(documents, made);
  return made;
}

function makeSite(documents: Documents): Site {
  const home = homeOf(documents);
  const all = Object.values(documents).filter((d) => d.kind === "page");
  const propsOf = new Map(all.map((d) => [d.id, pageProps(d)]));
  /** The parent that counts: there, and not beneath the page itself. */
  const parentOf = (id: string): string | null => {
    const parent = propsOf.get(id)!.parent;
    if (parent === null || id === home || !propsOf.has(parent)) return null;
    const seen = new Set<string>();
    for (let up: string | null = parent; up !== null && !seen.has(up); up = propsOf.get(up)?.parent ?? null) {
      if (up === id) return null;
      seen.add(up);
    }
    return parent;
  };
  const beneath = new Map<string | null, PageDocument[]>();
  for (const document of all) {
    const parent = parentOf(document.id);
    const list = beneath.get(parent);
    if (list) list.push(document);
    else beneath.set(parent, [document]);
  }
  const rank = (d: PageDocument) => propsOf.get(d.id)!.order;
  const byOrder = (a: PageDocument, b: PageDocument) =>
    Number(b.id === home) - Number(a.id === home) ||
    rank(a) - rank(b) ||
    (a.title < b.title ? -1 : a.title > b.title ? 1 : a.id < b.id ? -1 : 1);
  const build = (document: PageDocument, parent: string | null, above: string, depth: number): SitePage => {
    const props = propsOf.get(document.id)!;
    const path = `${above}/${props.slug}`;
    // What stands beneath the home page has its address at the top.
    const isHome = document.id === home;
    const inside = (beneath.get(document.id) ?? []).toSorted(byOrder);
    return {
      document,
      props,
      parent,
      depth,
      // RFC 3986: over the wire, letters of other scripts are percent-encoded.
      address: isHome ? "/" : encodeURI(path),
      children: inside.map((child) => build(child, document.id, isHome ? "" : path, depth + 1)),
    };
  };
  const top = (beneath.get(null) ?? []).toSorted(byOrder).map((d) => build(d, null, "", 0));
  const pages: SitePage[] = [];
  const enter = (page: SitePage) => {
    pages.push(page);
    page.children.forEach(enter);
  };
  top.forEach(enter);
  const byAddress = new Map<string, SitePage>();
  for (const page of pages) {
    const plain = decodeAddress(page.address)!;
    if (!byAddress.has(plain)) byAddress.set(plain, page);
  }
  return { home, pages, top, byId: new Map(pages.map((p) => [p.document.id, p])), byAddress };
}

/** The address of a page of the shop; undefined where there is none of this id. */
export const pageAddress = (documents: Documents, id: string): string | undefined =>
  siteOf(documents).byId.get(id)?.address;

/** The pages that shoppers can reach, in reading order. */
export const openPages = (documents: Documents): readonly SitePage[] =>
  siteOf(documents).pages.filter((p) => !p.props.hidden);

/** A page and all that stands beneath it. */
export const withBeneath = (page: SitePage): readonly SitePage[] => [page, ...page.children.flatMap(withBeneath)];

/** The addresses that stop being those of their pages from one state to another, and whose they were. Pages that are gone have none. */
export function addressesLeft(
  before: Documents,
  after: Documents,
): readonly { readonly address: string; readonly page: string }[] {
  const is = siteOf(after);
  return openPages(before).flatMap(({ document, address }) => {
    const now = is.byId.get(document.id);
    return now && now.address !== address && address !== "/" ? [{ address, page: document.id }] : [];
  });
}
