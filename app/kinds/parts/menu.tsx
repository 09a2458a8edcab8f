import type { ReactNode } from "react";
import type { Link } from "~/core/schema";
import { NodeIdProvider, useEnv, useOpened, usePartId } from "./env";
import { Pic } from "./pic";
import { Words } from "./words";

/** An item of a menu as it is drawn. */
export type MenuEntry = {
  readonly id: string;
  /** Its own words; empty: it is called what it leads to. */
  readonly label: string;
  readonly link: Link;
  readonly shows: "words" | "picture";
  readonly picture: string | null;
  readonly shown: boolean;
  readonly items: readonly MenuEntry[];
};

/** What stands on an item: its own words, or the name of what it leads to. */
const wordsOf = (entry: MenuEntry, titleOf: (link: Link) => string | undefined): string =>
  entry.label || (titleOf(entry.link) ?? "");

/**
 * The items of a menu that are drawn. In the shop an item needs words, and something to lead to or to hold; in the studio all are there,
 * so that what is lacking can be seen.
 */
export function useMenu(id: string): readonly MenuEntry[] {
  const { menu, studio, href, titleOf } = useEnv();
  const given = menu(id) ?? [];
  if (studio) return given;
  const drawn = (entries: readonly MenuEntry[]): readonly MenuEntry[] =>
    entries.flatMap((entry) => {
      if (!entry.shown) return [];
      const items = drawn(entry.items);
      const leads = href(entry.link) !== undefined;
      return wordsOf(entry, titleOf) && (leads || items.length) ? [{ ...entry, items }] : [];
    });
  return drawn(given);
}

/** The words of an item, as a link where it leads somewhere. */
function Label({ entry, className }: { entry: MenuEntry; className?: string }): ReactNode {
  const { studio, href, titleOf, picture, pictureOf } = useEnv();
  const address = href(entry.link);
  const words = <Words at="label" text={wordsOf(entry, titleOf)} hint="Menu words" />;
  const shown = entry.shows === "picture" ? (entry.picture ?? pictureOf(entry.link) ?? null) : null;
  const inside = picture(shown) ? (
    <>
      <Pic picture={shown} at="picture" className="menu-pic" sizes="(min-width:800px) 240px, 30vw" alt="" />
      {words}
    </>
  ) : (
    words
  );
  if (address !== undefined || (studio && entry.items.length === 0))
    return (
      <a className={className} href={address ?? "#"} {...(studio && address === undefined ? { "data-dead": "" } : {})}>
        {inside}
      </a>
    );
  return <span className={className}>{inside}</span>;
}

/** Marks by which the studio knows an item; none in the shop. */
function useItemMark(): (entry: MenuEntry) => object {
  const { studio } = useEnv();
  return (entry) =>
    studio ? { "data-node": entry.id, "data-level": "item", ...(entry.shown ? {} : { "data-not-shown": "" }) } : {};
}

/** Items one after the other, each with those in it beneath it as a heading. `inWords`: without pictures. */
function Entries({ entries, inWords = false }: { entries: readonly MenuEntry[]; inWords?: boolean }): ReactNode {
  const mark = useItemMark();
  return entries.map((entry) => {
    const isGroup = entry.items.length > 0;
    return (
      <NodeIdProvider key={entry.id} value={entry.id}>
        <li {...mark(entry)} {...(isGroup ? { className: "sub-group" } : {})}>
          <Label
            entry={inWords ? { ...entry, shows: "words" } : entry}
            {...(isGroup ? { className: "sub-head" } : {})}
          />
          {isGroup ? (
            <ul>
              <Entries entries={entry.items} inWords={inWords} />
            </ul>
          ) : null}
        </li>
      </NodeIdProvider>
    );
  });
}

/** What is in an item that opens: the item itself where it leads somewhere, and its items. */
function Panel({ entry, place }: { entry: MenuEntry; place: string }): ReactNode {
  const { href } = useEnv();
  const opened = useOpened();
  const isWide = entry.items.some((item) => item.items.length > 0 || item.shows === "picture");
  return (
    <ul className={isWide ? "sub-list sub-wide" : "sub-list"} {...(place === "wide" ? opened : {})}>
      {href(entry.link) === undefined ? null : (
        <li className="sub-self">
          <Label entry={{ ...entry, shows: "words" }} />
        </li>
      )}
      <Entries entries={entry.items} />
    </ul>
  );
}

/**
 * A menu as a list of links. An item with others in it opens and closes (a disclosure, as WAI-ARIA has it for navigation): by click,
 * touch, and key, and without a script. `place`: a name for this list, as the same menu can stand twice in a header.
 */
export function MenuList({
  entries,
  place,
  last,
}: {
  entries: readonly MenuEntry[];
  place: string;
  /** What stands after them. */
  last?: ReactNode;
}): ReactNode {
  const { titleOf } = useEnv();
  const mark = useItemMark();
  const group = usePartId(place);
  const opened = useOpened();
  return (
    <ul {...(place === "small" ? opened : {})}>
      {entries.map((entry) => (
        <NodeIdProvider key={entry.id} value={entry.id}>
          <li {...mark(entry)}>
            {entry.items.length ? (
              <details className="sub" name={group}>
                <summary>
                  <Words at="label" text={wordsOf(entry, titleOf)} hint="Menu words" />
                  <svg className="sub-sign" viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
                    <path d="m2 4 4 4 4-4" fill="none" stroke="currentColor" strokeWidth="1.600" />
                  </svg>
                </summary>
                <Panel entry={entry} place={place} />
              </details>
            ) : (
              <Label entry={{ ...entry, shows: "words" }} />
            )}
          </li>
        </NodeIdProvider>
      ))}
      {last}
    </ul>
  );
}

/** A menu with everything open: items, and those in them beneath a heading. */
export const MenuColumns = ({ entries }: { entries: readonly MenuEntry[] }): ReactNode => (
  <ul>
    <Entries entries={entries} inWords />
  </ul>
);
