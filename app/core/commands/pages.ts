import {
  homeOf,
  LONGEST_SLUG,
  pageProblem,
  siteOf,
  slugOfName,
  slugProblem,
  TAKEN_SLUGS,
  withBeneath,
  type SitePage,
} from "../addresses";
import {
  copyWithNewIds,
  emptyDocument,
  entryOf,
  MAIN_MENU,
  newId,
  pageProps,
  sameJson,
  SITE,
  usualOfPage,
  type Draft,
  type Json,
  type PageDocument,
  type Around,
  type PageProps,
  type Part,
  type HeadAdditions,
  type Spelling,
  ownFieldsOf,
  ownValuesOf,
  type OwnField,
} from "../document";
import { applyAll, type Operation } from "../operations";
import { DOCUMENT_VERSION } from "../schema/migrations";
import { rootOperations } from "./root";
import { refuse, transaction, type Outcome } from "./transaction";

/** The longest title of a page that can be typed. */
export const LONGEST_PAGE_TITLE = 120;
const GONE = "This page is no longer there.";
const SAME = "It is like that already.";

/** Gives addresses beneath a page that nothing has there, one after another, each like a wish (a name or an address). */
function slugsBeneath(documents: Draft["documents"], parent: string | null, but?: string): (wish: string) => string {
  const site = siteOf(documents);
  const siblings = parent === null ? site.top : (site.byId.get(parent)?.children ?? []);
  // What stands beneath the home page has its address at the top.
  const isAtTop = parent === null || parent === site.home;
  const beside = isAtTop ? [...site.top, ...(site.byId.get(site.home)?.children ?? [])] : siblings;
  const taken = new Set(beside.filter((p) => p.document.id !== but).map((p) => p.props.slug));
  const isFree = (slug: string) => !taken.has(slug) && !(isAtTop && TAKEN_SLUGS.has(slug));
  const take = (slug: string) => {
    taken.add(slug);
    return slug;
  };
  return (wish) => {
    const base = slugProblem(wish) === undefined ? wish : slugOfName(wish) || "page";
    if (isFree(base)) return take(base);
    for (let n = 2; ; n++) {
      // A name that is as long as it may be loses its end to the number.
      const numbered = `${slugOfName([...base].slice(0, LONGEST_SLUG - 1 - String(n).length).join(""))}-${n}`;
      if (isFree(numbered)) return take(numbered);
    }
  };
}

/** A slug like `wish` that no page beneath `parent` has. `but`: a page that may have it. */
export const freeSlug = (documents: Draft["documents"], wish: string, parent: string | null, but?: string): string =>
  slugsBeneath(documents, parent, but)(wish);

const titleProblem = (title: string): string | undefined =>
  title === ""
    ? "A page needs a name."
    : title.length > LONGEST_PAGE_TITLE
      ? `Keep the name to ${LONGEST_PAGE_TITLE} characters.`
      : undefined;

/** What a page is to say; what is usual is not written down. */
function pageOperations(document: PageDocument, values: Partial<PageProps>): Operation[] {
  const said = Object.entries(values).map(([key, value]): [string, Json | undefined] => [
    key,
    sameJson(value, usualOfPage(key as keyof PageProps)) ? undefined : value,
  ]);
  return rootOperations(document, Object.fromEntries(said));
}

/** The transaction of operations after which the pages of the shop are sound; refused otherwise. */
function soundly(
  draft: Draft,
  intent: string,
  label: string,
  operations: readonly Operation[],
  changed: readonly string[],
  more: { mergeKey?: string } = {},
): Outcome {
  if (operations.length === 0) return refuse(SAME);
  const next = applyAll(draft, operations);
  if (!next.ok) return refuse(GONE);
  const problem = pageProblem(next.draft.documents, new Set(changed));
  return problem ? refuse(problem) : transaction(intent, label, operations, more);
}

/** The order with which a page stands last beneath another one. */
function lastBeneath(documents: Draft["documents"], parent: string | null): number {
  const site = siteOf(documents);
  const siblings = parent === null ? site.top : (site.byId.get(parent)?.children ?? []);
  return siblings.reduce((most, p) => Math.max(most, p.props.order + 1), 0);
}

/** The operation that puts an item which leads to a page last into a menu. */
const menuItemOperation = (menu: PageDocument, item: Part): Operation => ({
  type: "insertNode",
  document: menu.id,
  to: { parent: menu.root.id, slot: "items", index: menu.root.slots.items?.length ?? 0 },
  node: item,
});

export type NewPage = {
  readonly title: string;
  /** As it was typed; absent: made from the title. */
  readonly slug?: string;
  readonly parent: string | null;
  readonly main: readonly Part[];
  readonly props?: Partial<PageProps>;
  /** The menus into which an item that leads to it is put. */
  readonly menus?: readonly { readonly menu: string; readonly item: Part }[];
};

/** A new page, and an item that leads to it in each of the menus. */
export function addPage(draft: Draft, page: NewPage, id: string = newId()): Outcome {
  const title = page.title.trim();
  const problem = titleProblem(title) ?? (page.slug === undefined ? undefined : slugProblem(page.slug));
  if (problem) return refuse(problem);
  if (page.parent !== null && !siteOf(draft.documents).byId.has(page.parent))
    return refuse("The page beneath which it was to stand is no longer there.");
  const empty = emptyDocument(DOCUMENT_VERSION, "page", id, title);
  const slug = page.slug ?? freeSlug(draft.documents, title, page.parent);
  const said = { slug, ...page.props, parent: page.parent, order: lastBeneath(draft.documents, page.parent) };
  const props = Object.fromEntries(
    Object.entries(said).filter(([key, value]) => !sameJson(value, usualOfPage(key as keyof PageProps))),
  );
  const added: PageDocument = { ...empty, root: { ...empty.root, props, slots: { main: page.main } } };
  const menus = (page.menus ?? []).flatMap(({ menu, item }): Operation[] => {
    const document = entryOf(draft.documents, menu);
    return document?.kind === "menu" ? [menuItemOperation(document, item)] : [];
  });
  return soundly(draft, "addPage", `Page “${title}” made`, [{ type: "addDocument", added }, ...menus], [id]);
}

/** New pages beneath one page, as one step; those whose wish for an address is taken get another one. In no menu. */
export function addPages(
  draft: Draft,
  parent: string,
  pages: readonly (Omit<NewPage, "parent" | "menus"> & { readonly id: string })[],
): Outcome {
  if (!siteOf(draft.documents).byId.has(parent)) return refuse(GONE);
  const slugFor = slugsBeneath(draft.documents, parent);
  const order = lastBeneath(draft.documents, parent);
  const operations: Operation[] = [];
  for (const [index, { id, title, slug, main, props }] of pages.entries()) {
    const problem = titleProblem(title.trim());
    if (problem) return refuse(problem);
    const said = { ...props, slug: slugFor(slug || title), parent, order: order + index };
    const kept = Object.entries(said).filter(([key, value]) => !sameJson(value, usualOfPage(key as keyof PageProps)));
    const empty = emptyDocument(DOCUMENT_VERSION, "page", id, title.trim());
    const root = { ...empty.root, props: Object.fromEntries(kept), slots: { main } };
    operations.push({ type: "addDocument", added: { ...empty, root } });
  }
  const label = pages.length === 1 ? `Page “${pages[0]!.title.trim()}” made` : `${pages.length} pages made`;
  return soundly(
    draft,
    "addPages",
    label,
    operations,
    pages.map(({ id }) => id),
  );
}

/** A copy of a page beside it, in no menu; a page of the same name gets a number. */
export function duplicatePage(draft: Draft, id: string, copy: string = newId()): Outcome {
  const page = siteOf(draft.documents).byId.get(id);
  if (!page) return refuse(GONE);
  const { document, parent } = page;
  const names = new Set(siteOf(draft.documents).pages.map((p) => p.document.title));
  let title = `${document.title}, copy`;
  for (let n = 2; names.has(title); n++) title = `${document.title}, copy ${n}`;
  const root = copyWithNewIds(document.root);
  const props = {
    ...root.props,
    slug: freeSlug(draft.documents, title, parent),
    order: lastBeneath(draft.documents, parent),
  };
  const added: PageDocument = {
    ...document,
    id: copy,
    title: title.slice(0, LONGEST_PAGE_TITLE),
    root: { ...root, props },
  };
  return soundly(
    draft,
    "duplicatePage",
    `Page “${document.title}” duplicated`,
    [{ type: "addDocument", added }],
    [copy],
  );
}

/** Gives a page, layout or menu another name. Its address stays. */
export function renamePage(draft: Draft, id: string, name: string): Outcome {
  const document = entryOf(draft.documents, id);
  if (!document) return refuse(GONE);
  const title = name.trim();
  if (title === document.title) return refuse(SAME);
  const problem = titleProblem(title);
  if (problem) return refuse(problem);
  const operation: Operation = { type: "setTitle", document: id, before: document.title, after: title };
  return transaction("renamePage", `“${document.title}” renamed to “${title}”`, [operation], {
    mergeKey: `title:${id}`,
  });
}

/** Changes what a page says of itself: its slug, whether it is in the shop, its search and sharing data. `what`: in the past tense. */
export function setPage(draft: Draft, id: string, values: Partial<PageProps>, what: string): Outcome {
  const document = entryOf(draft.documents, id);
  if (document?.kind !== "page") return refuse(GONE);
  if (values.hidden && id === homeOf(draft.documents)) return refuse("The home page is always in the shop.");
  const problem = values.slug === undefined ? undefined : slugProblem(values.slug);
  if (problem) return refuse(problem);
  const keys = Object.keys(values).join(",");
  return soundly(draft, "setPage", `${document.title}: ${what}`, pageOperations(document, values), [id], {
    mergeKey: `page:${id}:${keys}`,
  });
}

const AROUND = {
  header: ["top", "header"],
  footer: ["bottom", "footer"],
} as const;

/**
 * Changes what stands above or below a page. Rows of its own begin as copies of the shop's; when it goes without them again, they go,
 * in the same step.
 */
export function setAround(draft: Draft, id: string, which: keyof typeof AROUND, around: Around): Outcome {
  const document = entryOf(draft.documents, id);
  if (document?.kind !== "page") return refuse(GONE);
  const [slot, name] = AROUND[which];
  const own = entryOf(document.root.slots, slot) ?? [];
  const place = (index: number) => ({ parent: document.root.id, slot, index });
  const removed = own
    .map((node, index): Operation => ({ type: "removeNode", document: id, from: place(index), node }))
    .toReversed();
  const shops = entryOf(draft.documents.frame?.root.slots ?? {}, slot) ?? [];
  const added = shops.map((row, index): Operation => ({
    type: "insertNode",
    document: id,
    to: place(index),
    node: copyWithNewIds(row),
  }));
  const label = around === "own" ? `a ${name} of its own` : around ? `the shop’s ${name}` : `no ${name}`;
  const rows = around === "own" ? (own.length ? [] : added) : removed;
  return soundly(
    draft,
    "setAround",
    `${document.title}: ${label}`,
    [...pageOperations(document, { [which]: around }), ...rows],
    [id],
  );
}

/** Puts a page beneath another one (null: at the top), before one of those there; `before` absent: last. */
export function movePage(draft: Draft, id: string, parent: string | null, before?: string): Outcome {
  const site = siteOf(draft.documents);
  const page = site.byId.get(id);
  if (!page) return refuse(GONE);
  if (id === site.home) return refuse("The home page stands first.");
  const goal = parent === null ? undefined : site.byId.get(parent);
  if (parent !== null && !goal) return refuse("The page beneath which it was to stand is no longer there.");
  if (goal && withBeneath(page).includes(goal)) return refuse("A page can’t stand beneath itself.");
  const there = (goal ? goal.children : site.top).filter((p) => p.document.id !== id && p.document.id !== site.home);
  const at = before === undefined ? there.length : there.findIndex((p) => p.document.id === before);
  if (at < 0) return refuse("That place is no longer there.");
  const now = page.parent === null ? site.top : site.byId.get(page.parent)!.children;
  const next = now.filter((p) => p.document.id !== site.home).findIndex((p) => p.document.id === id);
  if (page.parent === parent && next === at) return refuse("It stands there already.");
  const slug = page.parent === parent ? page.props.slug : freeSlug(draft.documents, page.props.slug, parent, id);
  const [above, below] = [there[at - 1], there[at]];
  const orders = between(above, below);
  const operations = pageOperations(page.document, {
    parent,
    slug,
    ...(orders === undefined ? {} : { order: orders }),
  });
  // Where there is no number between its neighbours, all of them are counted anew.
  if (orders === undefined)
    there.toSpliced(at, 0, page).forEach((p, order) => {
      const values = p === page ? { parent, slug, order } : { order };
      if (p === page) operations.length = 0;
      operations.push(...pageOperations(p.document, values));
    });
  return soundly(draft, "movePage", `Page “${page.document.title}” moved`, operations, [id]);
}

/** An order between those of two pages; undefined where there is none. */
function between(above: SitePage | undefined, below: SitePage | undefined): number | undefined {
  const [a, b] = [above?.props.order, below?.props.order];
  if (a === undefined) return b === undefined ? 0 : b - 1;
  if (b === undefined) return a + 1;
  const middle = (a + b) / 2;
  return middle > a && middle < b ? middle : undefined;
}

/** Makes a page the one at the shop's own address. The one that was it stands first among the others. */
export function setHome(draft: Draft, id: string): Outcome {
  const document = entryOf(draft.documents, id);
  const site = entryOf(draft.documents, SITE);
  if (document?.kind !== "page" || !site) return refuse(GONE);
  const before = homeOf(draft.documents);
  if (before === id) return refuse(`“${document.title}” is the home page already.`);
  const old = entryOf(draft.documents, before);
  const first = Math.min(0, ...siteOf(draft.documents).top.map((p) => p.props.order)) - 1;
  const operations = [
    ...rootOperations(site, { home: id }),
    ...pageOperations(document, { parent: null, hidden: false }),
    ...(old ? pageOperations(old, { order: first }) : []),
  ];
  // What stands beneath the home page has its address at the top, where others may have the same.
  const page = siteOf(draft.documents).byId.get(id)!;
  let here = applyAll(draft, operations);
  for (const { document: each } of [...page.children, ...(old ? [{ document: old }] : [])]) {
    if (!here.ok) break;
    const now = entryOf(here.draft.documents, each.id)!;
    const { slug, parent } = pageProps(now);
    const free = pageOperations(now, { slug: freeSlug(here.draft.documents, slug, parent, each.id) });
    operations.push(...free);
    here = applyAll(here.draft, free);
  }
  const ids = [id, before].flatMap((each) => {
    const found = siteOf(draft.documents).byId.get(each);
    return found ? withBeneath(found).map((p) => p.document.id) : [];
  });
  return soundly(draft, "setHome", `“${document.title}” is the home page`, operations, ids);
}

/** Opens the shop or closes it for now; with a word for friends, who see it all the same. Goes out with the next publication. */
export function setOpen(draft: Draft, closed: boolean, friends: string): Outcome {
  const site = entryOf(draft.documents, SITE);
  if (!site) return refuse(GONE);
  const word = friends.trim();
  const operations = rootOperations(site, { closed: closed || undefined, friends: word || undefined });
  if (operations.length === 0) return refuse(SAME);
  const isSwitched = operations.some((o) => o.type === "setProp" && o.path[0] === "closed");
  const label = isSwitched ? (closed ? "Shop closed for now" : "Shop open") : "Password for friends changed";
  return transaction("setOpen", label, operations, { mergeKey: "open" });
}

/** Says what stands in the head of every page besides. */
export function setHead(draft: Draft, { proofs, bar, early }: HeadAdditions): Outcome {
  const isNothing = proofs.length === 0 && bar === null && early.length === 0;
  const head = isNothing ? undefined : { proofs: proofs.map((p) => ({ ...p })), bar, early: [...early] };
  return ofSite(draft, "setHead", "What search engines and browsers are told", { head });
}

/** Says how the shop writes words. */
export function setSpellings(draft: Draft, words: readonly Spelling[]): Outcome {
  const spellings = words.length ? words.map(({ say, instead }) => ({ say, instead: [...instead] })) : undefined;
  return ofSite(draft, "setSpellings", "Word list changed", { spellings });
}

/** Says which fields of the seller's own pages have. */
export function setOwnFields(draft: Draft, fields: readonly OwnField[], of: "page" | "product" = "page"): Outcome {
  const others = ownFieldsOf(draft.documents, of === "page" ? "product" : "page");
  const own = fields.map(({ id, name, sort }) => ({
    id,
    name: name.trim(),
    sort,
    ...(of === "product" ? { of } : {}),
  }));
  const all = of === "page" ? [...own, ...others] : [...others, ...own];
  return ofSite(draft, "setOwnFields", "Own fields changed", { fields: all.length ? (all as Json) : undefined });
}

/** Fills in one of the seller's own fields on a page; empty: it says nothing there. */
export function setOwnValue(draft: Draft, page: string, field: OwnField, value: string): Outcome {
  const document = entryOf(draft.documents, page);
  if (!document) return refuse(GONE);
  const { [field.id]: _before, ...others } = ownValuesOf(document);
  const own = value === "" ? others : { ...others, [field.id]: value };
  const operations = rootOperations(document, { own: Object.keys(own).length ? own : undefined });
  if (operations.length === 0) return refuse(SAME);
  const label = `${field.name} of ${document.title} filled in`;
  return transaction("setOwnValue", label, operations, { mergeKey: `own ${page} ${field.id}` });
}

function ofSite(
  draft: Draft,
  intent: string,
  label: string,
  values: Readonly<Record<string, Json | undefined>>,
): Outcome {
  const site = entryOf(draft.documents, SITE);
  if (!site) return refuse(GONE);
  const operations = rootOperations(site, values);
  return operations.length ? transaction(intent, label, operations) : refuse(SAME);
}

/** Gives a page, a layout, or (as the site) the whole shop CSS of its own; empty: none. */
export function setDocumentCss(draft: Draft, id: string, css: string): Outcome {
  const document = entryOf(draft.documents, id);
  if (!document) return refuse(GONE);
  const operations = rootOperations(document, { css: css || undefined });
  if (operations.length === 0) return refuse(SAME);
  const label = document.kind === "site" ? "CSS of the shop changed" : `CSS of ${document.title} changed`;
  return transaction("setDocumentCss", label, operations, { mergeKey: `css ${id}` });
}

/**
 * Takes a page away. What stood beneath it stands where it stood. `more`: what has to change elsewhere with it, such as links that
 * led there.
 */
export function removePage(draft: Draft, id: string, more: readonly Operation[] = []): Outcome {
  const site = siteOf(draft.documents);
  const page = site.byId.get(id);
  if (!page) return refuse(GONE);
  if (id === site.home) return refuse("This is the home page. Make another one the home page first.");
  // One after the other, so that each finds a slug that those before it have left.
  const moved: Operation[] = [];
  let here = draft;
  page.children.forEach((child, i) => {
    const slug = freeSlug(here.documents, child.props.slug, page.parent, id);
    const order = page.props.order + i / 1000;
    const step = pageOperations(child.document, { parent: page.parent, slug, order });
    moved.push(...step);
    const next = applyAll(here, step);
    if (next.ok) here = next.draft;
  });
  // What else is to change may be on the page itself, which is removed as it is then.
  const before = applyAll(here, more);
  const going = before.ok ? entryOf(before.draft.documents, id) : undefined;
  if (!going) return refuse(GONE);
  return soundly(
    draft,
    "removePage",
    `Page “${page.document.title}” deleted`,
    [...moved, ...more, { type: "removeDocument", added: going }],
    page.children.map((c) => c.document.id),
  );
}

/** A new menu with nothing in it. */
export function addMenu(draft: Draft, name: string, id: string = newId()): Outcome {
  const title = name.trim();
  const problem = menuNameProblem(draft, title);
  if (problem) return refuse(problem);
  const added = emptyDocument(DOCUMENT_VERSION, "menu", id, title);
  return transaction("addMenu", `Menu “${title}” made`, [{ type: "addDocument", added }]);
}

function menuNameProblem(draft: Draft, title: string, but?: string): string | undefined {
  if (title === "") return "A menu needs a name.";
  if (title.length > 60) return "Keep the name to 60 characters.";
  const isTaken = Object.values(draft.documents).some(
    (d) => d.kind === "menu" && d.id !== but && d.title.toLowerCase() === title.toLowerCase(),
  );
  return isTaken ? `There is a menu called “${title}” already.` : undefined;
}

export function renameMenu(draft: Draft, id: string, name: string): Outcome {
  const title = name.trim();
  const problem = menuNameProblem(draft, title, id);
  return problem ? refuse(problem) : renamePage(draft, id, title);
}

/** Takes a menu away; headers and footers that showed it show none. */
export function removeMenu(draft: Draft, id: string, more: readonly Operation[] = []): Outcome {
  const document = entryOf(draft.documents, id);
  if (document?.kind !== "menu") return refuse("This menu is no longer there.");
  if (id === MAIN_MENU) return refuse("Every shop has this menu. It can be empty.");
  return transaction("removeMenu", `Menu “${document.title}” removed`, [
    ...more,
    { type: "removeDocument", added: document },
  ]);
}
