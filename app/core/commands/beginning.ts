import { homeOf } from "../addresses";
import { copyWithNewIds, entryOf, MAIN_MENU, type Draft, type PageDocument, type Part } from "../document";
import { applyAll, type Operation } from "../operations";
import { applyTheme, type BrandValues } from "./look";
import { addPage } from "./pages";
import { refuse, transaction, type Outcome } from "./transaction";

/** The page that says who stands behind a shop has this id in every shop that has not taken it away. */
export const ABOUT = "about";

/** What a shop begins with. */
export type StartParts = {
  readonly home: readonly Part[];
  /** The page that says who they are. */
  readonly story: readonly Part[];
  /** What is put below every product. */
  readonly product: readonly Part[];
  /** The item by which the main menu leads to the page that says who they are, where there was no such page. */
  readonly aboutItem: Part;
};

export type Begun = {
  readonly theme: { readonly id: string; readonly name: string; readonly brand: BrandValues };
  readonly parts: StartParts;
  /** What it is for, in words: "food and drink". */
  readonly words: string;
  /** Whether a section holds something that the seller made; others may be replaced. */
  readonly isOwn: (section: Part) => boolean;
};

const mainOf = (document: PageDocument): readonly Part[] => document.root.slots.main ?? [];

/** Takes some sections of a page out and puts others in, at `index` of what is left. */
function exchange(document: PageDocument, out: readonly Part[], into: readonly Part[], index: number): Operation[] {
  const at = (place: number) => ({ parent: document.root.id, slot: "main", index: place });
  const removed = mainOf(document).flatMap((node, i): Operation[] =>
    out.includes(node) ? [{ type: "removeNode", document: document.id, from: at(i), node }] : [],
  );
  return [
    ...removed.toReversed(),
    ...into.map((node, i): Operation => ({ type: "insertNode", document: document.id, to: at(index + i), node })),
  ];
}

/** What is kept of a home page that the seller had worked on: a page beside it that nobody sees. */
export const KEPT_HOME = "Home, as it was";

/** Whether the page that says who they are is replaced: not where the seller has written on it. */
export function replacesStory(documents: Draft["documents"], isOwn: Begun["isOwn"]): boolean {
  const about = entryOf(documents, ABOUT);
  return about?.kind !== "page" || !mainOf(about).some(isOwn);
}

/** The sections of the home page. */
export function homeSections(documents: Draft["documents"]): readonly Part[] {
  const home = entryOf(documents, homeOf(documents));
  return home ? mainOf(home) : [];
}

/** Whether something of the seller's own is on the home page, so that a copy of it is kept. */
export const keepsHome = (documents: Draft["documents"], isOwn: Begun["isOwn"]): boolean =>
  homeSections(documents).some(isOwn);

/**
 * A theme with finished pages for what is sold, in one step: the home page, the page that says who they are, and what stands below every
 * product. Nothing is lost that the seller made: a home page with something of theirs on it is kept beside the new one and out of the
 * shop; their own page about themselves and their own sections of the product layout stay as they are.
 */
export function beginWith(draft: Draft, { theme, parts, words, isOwn }: Begun): Outcome {
  const { documents } = draft;
  const home = entryOf(documents, homeOf(documents));
  const layout = entryOf(documents, "product");
  if (!home || !layout) return refuse("There is no home page to begin with.");
  const operations: Operation[] = [];
  let now = draft;
  const carryOut = (more: readonly Operation[]): void => {
    const next = applyAll(now, more);
    if (!next.ok) throw new Error(`a beginning can’t be carried out: ${next.code} at ${next.at}`);
    now = next.draft;
    operations.push(...more);
  };
  const also = (outcome: Outcome): void => {
    if (outcome.ok) carryOut(outcome.transaction.operations);
  };

  also(applyTheme(draft, theme.id, theme.name, theme.brand));
  const about = entryOf(documents, ABOUT);
  if (about?.kind !== "page")
    also(
      addPage(
        now,
        {
          title: "About us",
          parent: null,
          main: parts.story,
          menus: [{ menu: MAIN_MENU, item: parts.aboutItem }],
        },
        ABOUT,
      ),
    );
  else if (replacesStory(documents, isOwn)) carryOut(exchange(about, mainOf(about), parts.story, 0));

  // What every shop has in this layout has a name by which themes speak of it (`place`); what has none was put in by somebody.
  const begunBefore = mainOf(layout).filter((part) => part.place === undefined && !isOwn(part));
  const left = mainOf(layout).filter((part) => !begunBefore.includes(part));
  const after = left.findIndex((part) => part.place === "p-main");
  carryOut(exchange(layout, begunBefore, parts.product, after < 0 ? left.length : after + 1));

  // Last, so that whoever takes it back comes to the home page.
  if (keepsHome(documents, isOwn))
    also(
      addPage(now, {
        title: KEPT_HOME,
        parent: null,
        main: mainOf(home).map((part) => copyWithNewIds(part)),
        props: { hidden: true },
      }),
    );
  carryOut(exchange(home, mainOf(home), parts.home, 0));

  return transaction("beginWith", `Begun in ${theme.name}, with pages for ${words}`, operations);
}
