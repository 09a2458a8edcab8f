import type { ReactNode } from "react";
import { ACCOUNT } from "~/core/account";
import type { MenuEntry } from "./menu";
import { MenuList } from "./menu";
import { usePartId } from "./env";

/** A sign of the header that leads somewhere, drawn in a square of 24. */
const Sign = ({ path }: { readonly path: string }): ReactNode => (
  <svg className="lined" viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
    <path d={path} fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round" />
  </svg>
);

/** Leads to the search, as a sign. */
export const SearchSign = (): ReactNode => (
  <a className="find search-link" href="/search" aria-label="Search">
    <Sign path="M10.500 4a6.500 6.500 0 1 1 0 13 6.500 6.500 0 0 1 0-13Zm4.800 11.300L20 20" />
  </a>
);

/** Leads to the account, or to the door of it. */
export const AccountSign = (): ReactNode => (
  <a className="find account-link" href={ACCOUNT} aria-label="Your account">
    <Sign path="M12 4a4 4 0 1 1 0 8 4 4 0 0 1 0-8ZM4.500 20c.6-3.500 3.600-5 7.500-5s6.900 1.500 7.500 5" />
  </a>
);

/** Leads to the cart; the shop's script writes how much is in it. */
export const CartSign = (): ReactNode => (
  <a className="find cart-link" href="/cart">
    <span className="unseen">Cart</span>
    <Sign path="M3.500 7.500h17l-1.600 12.500H5.100ZM8.500 10V7a3.500 3.500 0 0 1 7 0v3" />
    <span className="cart-n" hidden />
  </a>
);

/** A field to search in. */
export function SearchField(): ReactNode {
  const field = usePartId("find");
  return (
    <form className="find-field" action="/search" role="search">
      <label className="unseen" htmlFor={field}>
        Search
      </label>
      <input className="field" id={field} name="q" type="search" placeholder="Search" autoComplete="off" />
      <button className="button button-2" type="submit">
        Search
      </button>
    </form>
  );
}

type MenuRowProps = {
  readonly entries: readonly MenuEntry[];
  /** What it is called to assistive technology. */
  readonly label: string;
  /** On small screens it ends with the way to the account, for whose sign there is no room. */
  readonly withAccount?: boolean;
};

/** A menu as a row that opens downwards, and on small screens behind a button. */
export const MenuRow = ({ entries, label, withAccount }: MenuRowProps): ReactNode => (
  <>
    <nav className="nav" aria-label={label}>
      <MenuList entries={entries} place="wide" />
    </nav>
    <details className="drop">
      <summary>
        <span className="bars" aria-hidden="true" /> <span className="drop-word">Menu</span>
      </summary>
      <nav aria-label={`${label}, small screen`}>
        <MenuList
          entries={entries}
          place="small"
          last={
            withAccount ? (
              <li>
                <a href={ACCOUNT}>Your account</a>
              </li>
            ) : null
          }
        />
      </nav>
    </details>
  </>
);
