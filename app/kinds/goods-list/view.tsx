import { ALL_GOODS } from "~/core/addresses";
import {
  isNarrowed,
  list,
  meantQuery,
  NO_QUERY,
  SORT_WORDS,
  SORTS,
  writeQuery,
  type GoodsQuery,
  type Listing,
  type Sort,
} from "~/core/goods";
import { listedCosts } from "~/core/offers";
import type { ViewProps } from "../definition";
import { ProductCard, useEnv, usePartId, WaysOn, Words, type PageSubject } from "../parts";
import type { GoodsListProps } from "./definition";
import { countWords, Filters } from "./filters";

type ListSubject = Extract<PageSubject, { page: "collection" | "search" }>;

/** What is listed where a miniature of Add stands on no page: everything. */
const EVERYTHING: ListSubject = {
  page: "collection",
  collection: undefined,
  query: NO_QUERY,
  address: ALL_GOODS,
};

function useAddress(shown: ListSubject): (query: GoodsQuery) => string {
  const { digits } = useEnv();
  return (query) => {
    const search = writeQuery(query, digits, shown.page === "search" ? { q: shown.sought } : {});
    return search ? `${shown.address}?${search}` : shown.address;
  };
}

/** The numbers that stand for pages: first, last, and those around the one that is shown; 0 where some are left out. */
export function pageNumbers(page: number, pages: number): readonly number[] {
  const wanted = [...new Set([1, page - 1, page, page + 1, pages])]
    .filter((n) => n >= 1 && n <= pages)
    .sort((a, b) => a - b);
  return wanted.flatMap((n, i) => {
    const gap = n - (wanted[i - 1] ?? n - 1);
    return gap === 2 ? [n - 1, n] : gap > 2 ? [0, n] : [n];
  });
}

function Pages({
  listing,
  address,
  query,
}: {
  listing: Listing;
  address: (q: GoodsQuery) => string;
  query: GoodsQuery;
}) {
  const { page, pages } = listing;
  const to = (n: number) => address({ ...query, page: n });
  return (
    <nav className="pages" aria-label="Pages">
      {page > 1 ? (
        <a href={to(page - 1)} rel="prev">
          Back
        </a>
      ) : null}
      {pageNumbers(page, pages).map((n, i) =>
        n === 0 ? (
          <span key={`gap ${i}`}>…</span>
        ) : n === page ? (
          <span key={n} aria-current="page">
            {n}
          </span>
        ) : (
          <a key={n} href={to(n)} aria-label={`Page ${n}`}>
            {n}
          </a>
        ),
      )}
      {page < pages ? (
        <a href={to(page + 1)} rel="next">
          Next
        </a>
      ) : null}
    </nav>
  );
}

/** What helps on when a search finds nothing: what may have been meant, collections, and what others buy. */
function NothingFound({ sought }: { sought: string }) {
  const { goods } = useEnv();
  const meant = meantQuery(goods, sought);
  return (
    <div className="list-none">
      <p className="lead">
        Nothing fits “{sought}”.
        {meant ? (
          <>
            {" "}
            Did you mean <a href={`/search?q=${encodeURIComponent(meant)}`}>{meant}</a>?
          </>
        ) : (
          " Try one word less, or another word for it."
        )}
      </p>
      <WaysOn />
    </div>
  );
}

/** The prices that are asked for, in words. */
function priceWords({ from, to }: GoodsQuery, money: (minor: number) => string): string {
  if (from === null) return `up to ${money(to!)}`;
  return to === null ? `from ${money(from)}` : `${money(from)} to ${money(to)}`;
}

export function View({ props }: ViewProps<GoodsListProps>) {
  const { goods, shown: given, studio, money, costs } = useEnv();
  const [id, filter] = [usePartId("list"), usePartId("filter")];
  const shown: ListSubject = given?.page === "collection" || given?.page === "search" ? given : EVERYTHING;
  const address = useAddress(shown);
  const isSearch = shown.page === "search";
  if (isSearch && shown.sought.trim() === "")
    return (
      <div className="in">
        <WaysOn />
      </div>
    );
  if (isSearch && shown.found.fit === "none")
    return (
      <div className="in">
        <NothingFound sought={shown.sought} />
      </div>
    );
  const { query } = shown;
  const base = isSearch ? { found: shown.found.products } : { collection: shown.collection };
  const listing = list(goods, base, query, {
    facets: props.filters ?? undefined,
    perPage: props.perPage,
    costs: listedCosts(costs),
  });
  const chips: { key: string; words: string; address: string }[] = [
    ...listing.facets.flatMap((f) =>
      f.values
        .filter((v) => v.isWanted)
        .map((v) => ({
          key: `${f.key} ${v.value}`,
          words: `${f.label}: ${v.value}${f.unit ? ` ${f.unit}` : ""}`,
          address: address({
            ...query,
            page: 1,
            wanted: Object.fromEntries(
              Object.entries(query.wanted)
                .map(([k, vs]) => [k, k === f.key ? vs.filter((x) => x !== v.value) : vs] as const)
                .filter(([, vs]) => vs.length),
            ),
          }),
        })),
    ),
    ...(query.from !== null || query.to !== null
      ? [
          {
            key: "price",
            words: `Price: ${priceWords(query, money)}`,
            address: address({ ...query, page: 1, from: null, to: null }),
          },
        ]
      : []),
    ...(query.now
      ? [{ key: "now", words: "Can be bought now", address: address({ ...query, page: 1, now: false }) }]
      : []),
    ...(query.reduced
      ? [{ key: "reduced", words: "Reduced", address: address({ ...query, page: 1, reduced: false }) }]
      : []),
  ];
  const whole = address({ ...NO_QUERY, sort: query.sort });
  // What a list is in by itself has to be asked for by nobody.
  const own = isSearch ? undefined : (shown.collection?.sort ?? "hand");
  const sorts: readonly Sort[] = SORTS.filter((s) => s !== "hand" || own === "hand");
  const hasFilters = listing.whole > 1 && (listing.facets.length > 0 || props.price || props.now || props.reduced);
  return (
    <div className="in">
      <zest-list className="list" id={id}>
        {hasFilters ? (
          <Filters
            props={props}
            listing={listing}
            query={query}
            action={shown.address}
            whole={whole}
            sought={isSearch ? shown.sought : null}
          />
        ) : null}
        <div className="list-main">
          {isSearch && shown.found.fit === "some" ? (
            <p className="lead">Nothing has all of “{shown.sought}”. This has some of it:</p>
          ) : null}
          <div className="list-bar">
            {props.count ? (
              <p className="list-count" aria-live="polite">
                {countWords(listing.total)}
                {isSearch && shown.found.fit === "all" ? ` for “${shown.sought}”` : ""}
              </p>
            ) : (
              <span />
            )}
            {props.sort && listing.total > 1 ? (
              <div className="list-sort">
                <label>
                  <span>Sort by</span>
                  <select
                    className="field"
                    name="sort"
                    form={filter}
                    defaultValue={query.sort === own ? "" : (query.sort ?? "")}
                    key={query.sort}
                  >
                    {isSearch ? <option value="">Best fit</option> : null}
                    {sorts.map((s) => (
                      <option key={s} value={s === own ? "" : s}>
                        {SORT_WORDS[s]}
                      </option>
                    ))}
                  </select>
                </label>
                {studio ? null : (
                  <noscript>
                    <button className="button button-2" type="submit" form={filter}>
                      Show
                    </button>
                  </noscript>
                )}
              </div>
            ) : null}
          </div>
          {chips.length ? (
            <div className="chips">
              {chips.map((chip) => (
                <a key={chip.key} className="chip" href={chip.address} aria-label={`Without ${chip.words}`}>
                  {chip.words} <span aria-hidden="true">×</span>
                </a>
              ))}
              <a className="chip chip-all" href={whole}>
                Clear all
              </a>
            </div>
          ) : null}
          {listing.products.length ? (
            <ul className="grid">
              {listing.products.map((product, i) => (
                <li key={product.id}>
                  <ProductCard
                    product={product}
                    level={2}
                    eager={i < 2}
                    sizes="(min-width:1024px) 25vw, (min-width:600px) 33vw, 50vw"
                  />
                </li>
              ))}
            </ul>
          ) : (
            <div className="list-none">
              <Words
                at="empty"
                as="p"
                className="lead"
                text={isNarrowed(query) || studio ? props.empty : "There is nothing here just now."}
                hint="When nothing fits"
              />
              <a className="button button-2" href={isNarrowed(query) ? whole : ALL_GOODS}>
                {isNarrowed(query) ? "Clear all" : "See everything"}
              </a>
            </div>
          )}
          {listing.pages > 1 ? (
            props.paging === "numbers" ? (
              <Pages listing={listing} address={address} query={query} />
            ) : listing.page < listing.pages ? (
              <div className="list-more">
                <p className="list-count">
                  {Math.min(listing.page * props.perPage, listing.total)} of {listing.total}
                </p>
                <a className="button button-2" rel="next" href={address({ ...query, page: listing.page + 1 })}>
                  Show more
                </a>
              </div>
            ) : null
          ) : null}
        </div>
      </zest-list>
    </div>
  );
}
