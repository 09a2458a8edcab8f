import type { ReactNode } from "react";
import { DOCUMENT_VERSION } from "~/core/schema";
import {
  emptyDocument,
  entryOf,
  layoutProps,
  OVER,
  pageProps,
  spread,
  walk,
  type PageDocument,
  type Around,
  type Draft,
  type Look,
  type Part,
} from "~/core/document";
import type { Goods } from "~/core/goods";
import { journalOf } from "~/core/journal";
import type { Theme } from "~/core/theme";
import { hasTrait } from "~/kinds";
import { canCome } from "~/kinds/designs";
import { RegionProvider, useEnv, Wordmark } from "~/kinds/parts";
import { lyingRows, type Lying } from "./lying";
import { FriendsDoor, MessagePage } from "./pages/views";
import { Section } from "./section";
import { classOfMain } from "./style";
import { isPersonal, targetName } from "./target-names";
import type { Target } from "./target";

/** What stands around a page whose frame can't be read: nothing. The page itself is there all the same. */
export const noFrame = (): PageDocument => emptyDocument(DOCUMENT_VERSION, "frame", "frame", "");

/** What stands around a page, as it is drawn: a page can do without the shop's header or footer, or have rows of its own. */
export function frameOf(documents: Draft["documents"], page: PageDocument | undefined): PageDocument {
  const frame = spread(documents, documents.frame ?? noFrame());
  const around = aroundPage(page);
  if (around.top === true && around.bottom === true && !isOnesOwn(page)) return frame;
  const own = page && spread(documents, page);
  const rows = (slot: "top" | "bottom") =>
    around[slot] === "own" ? (own?.root.slots[slot] ?? []) : around[slot] ? (frame.root.slots[slot] ?? []) : [];
  // Nothing comes between somebody and what they are buying.
  const over = isClosed(page) || isOnesOwn(page) ? undefined : entryOf(frame.root.slots, OVER);
  const slots = { top: rows("top"), bottom: rows("bottom"), ...(over ? { [OVER]: over } : {}) };
  return { ...frame, root: { ...frame.root, slots } };
}

/** A page without the rows around it, which are drawn with those that every page has. */
export const withoutAround = <D extends PageDocument | undefined>(page: D): D =>
  page && (page.root.slots.top?.length || page.root.slots.bottom?.length)
    ? { ...page, root: { ...page.root, slots: { main: page.root.slots.main ?? [] } } }
    : page;

/** Behind a closed door there is nowhere to go. */
const isClosed = (page: PageDocument | undefined): boolean => page !== undefined && layoutProps(page)?.of === "closed";

const isOnesOwn = (page: PageDocument | undefined): boolean => {
  const of = page && layoutProps(page)?.of;
  return of !== undefined && isPersonal(of);
};

/** On the way from the cart to the order there is nothing that leads elsewhere. */
const isCheckout = (page: PageDocument | undefined): boolean =>
  page !== undefined && layoutProps(page)?.of === "checkout";

/** What stands above and below a page. Behind a closed door there is nowhere to go. */
export function aroundPage(page: PageDocument | undefined): { readonly top: Around; readonly bottom: Around } {
  if (isClosed(page) || isCheckout(page)) return { top: false, bottom: false };
  if (page?.kind !== "page") return { top: true, bottom: true };
  const { header, footer } = pageProps(page);
  return { top: header, bottom: footer };
}

type PageProps = {
  frame: PageDocument;
  /** The page itself; what begins it decides whether rows lie over it. */
  page?: PageDocument | undefined;
  theme: Theme;
  look: Look;
  children: ReactNode;
};

const sections = (nodes: readonly Part[] | undefined, theme: Theme, look: Look, firstIsHead: boolean) =>
  (nodes ?? []).map((node, index) => (
    <Section key={node.id} node={node} theme={theme} look={look} first={firstIsHead && index === 0} />
  ));

/** What every page has above or below its own part. Each row is a region of its own to assistive technology, and has a name. */
const around = (
  nodes: readonly Part[] | undefined,
  theme: Theme,
  look: Look,
  region: "top" | "bottom" | "over",
  from = 0,
  over?: Lying,
) => (
  <RegionProvider value={region}>
    {(nodes ?? []).map((node, index) => (
      <Section key={node.id} node={node} theme={theme} look={look} first={false} row={from + index + 1} over={over} />
    ))}
  </RegionProvider>
);

/** How the markup of every page begins. */
export const PAGE_BEGINS = '<a class="skip"';

/** What every page has around its own part: skip link, notice, header, footer. */
export function Page({ frame, page, theme, look, children }: PageProps): ReactNode {
  const { picture } = useEnv();
  const { top = [] } = frame.root.slots;
  const lying = lyingRows(top, page, theme, look, picture);
  const main = (
    <main id="main" className={classOfMain(page)}>
      {children}
    </main>
  );
  return (
    <>
      <a className="skip" href="#main">
        Skip to the page
      </a>
      {lying ? (
        <>
          {around(top.slice(0, lying.from), theme, look, "top")}
          <div className="lies">
            {around(top.slice(lying.from), theme, look, "top", lying.from, lying.over)}
            {main}
          </div>
        </>
      ) : (
        <>
          {around(top, theme, look, "top")}
          {main}
        </>
      )}
      {around(frame.root.slots.bottom, theme, look, "bottom")}
      {page ? <OverPage nodes={entryOf(frame.root.slots, OVER)} theme={theme} look={look} /> : null}
    </>
  );
}

/** What can lie over a page. In the studio all of it stands below the page, where it can be worked on. */
function OverPage({ nodes, theme, look }: { nodes: readonly Part[] | undefined; theme: Theme; look: Look }): ReactNode {
  const { studio } = useEnv();
  if (!nodes?.length) return null;
  if (studio) return <div className="studio-over">{around(nodes, theme, look, "over")}</div>;
  return around(nodes.filter(canCome), theme, look, "over");
}

/** Whether the first section that is shown holds the page's first heading; one that is put together freely may not. */
function hasHead(main: readonly Part[]): boolean {
  const [first] = main;
  if (!first) return false;
  return (
    !hasTrait(first, "no-head") || [...walk(first)].some((n) => hasTrait(n, "head") && n.shown && n.props.text !== "")
  );
}

/** Whether a part of a layout says what the page is about, as its first heading. */
const namesPage = (main: readonly Part[]): boolean =>
  main.some((section) => section.shown && [...walk(section)].some((n) => n.shown && hasTrait(n, "names-page")));

type BodyProps = {
  target: Target;
  /** What it is drawn from (`documentOf`); undefined for what is only said. */
  page: PageDocument | undefined;
  documents: Draft["documents"];
  goods: Goods;
  theme: Theme;
  look: Look;
  /** Only this many sections, while the rest of a long page is on its way. */
  most?: number;
};

/** A page's own part: its sections, or what its kind shows. */
export function PageBody({ target, page, documents, goods, theme, look, most = Infinity }: BodyProps): ReactNode {
  const main = page?.root.slots.main ?? [];
  // A part of the layout says what the page is about.
  const inLayout = (
    <>
      {namesPage(main) ? null : <h1 className="unseen">{targetName(target, documents)}</h1>}
      {sections(main.length > most ? main.slice(0, most) : main, theme, look, false)}
    </>
  );
  switch (target.page) {
    case "home":
    case "text": {
      if (!page) return null;
      if (target.page === "text" && journalOf(documents, target.id)) return inLayout;
      return (
        <>
          {hasHead(main) ? null : (
            <h1 className="unseen">{target.page === "home" ? look.identity.name : page.title}</h1>
          )}
          {sections(main.length > most ? main.slice(0, most) : main, theme, look, true)}
        </>
      );
    }
    case "not-found":
    case "closed": {
      return (
        <>
          {hasHead(main) ? null : <h1 className="unseen">{targetName(target, documents)}</h1>}
          {target.page === "closed" ? (
            <div className="in closed-name">
              <Wordmark place="header" />
            </div>
          ) : null}
          {sections(main.length > most ? main.slice(0, most) : main, theme, look, true)}
          {target.page === "closed" ? <FriendsDoor wrong={target.wrong ?? false} documents={documents} /> : null}
        </>
      );
    }
    case "product":
    case "collection":
    case "search":
    case "cart":
    case "thanks":
    case "order":
    case "account":
    case "sign-in":
    case "gift-card":
    case "post":
      return inLayout;
    case "checkout":
      return (
        <>
          <div className="in closed-name">
            <Wordmark place="header" />
          </div>
          {inLayout}
        </>
      );
    case "message":
      return <MessagePage {...target} goods={goods} />;
  }
}
