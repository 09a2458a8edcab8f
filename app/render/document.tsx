import { renderToStaticMarkup } from "react-dom/server";
import type { ReactNode } from "react";
import { headAdditions, iconPicture, pageProps, SITE, type Draft, type PageDocument, type Part } from "~/core/document";
import { shareAddress, SHARE_SIZE, type Picture } from "~/core/pictures";
import { cutAddress, cutsOf, solveLook, type Cut } from "~/core/theme";
import { KINDS, kindOf, type Later, type Permission } from "~/kinds";
import { hasFilmInText } from "~/kinds/references";
import { EnvProvider, type KindEnv } from "~/kinds/parts";
import { themeById } from "~/themes";
import { pageCss } from "./css";
import { documentCss } from "./style";
import { codeOn, envOf, inSituation, type ShopContent } from "./shop";
import { structuredData } from "./structured-data";
import { isBeside } from "./cart-target";
import { frameOf, noFrame, Page, PAGE_BEGINS, PageBody, withoutAround } from "./page";
import { isNarrowed } from "~/core/goods";
import { feedAddress, journalOf, journalsOf, postsOf, tagsOf } from "~/core/journal";
import { Section } from "./section";
import { madeFrom, madeFromCollection, madeFromProduct, saidOf, sharedAs } from "./sharing";
import { documentOf, shownOf, type Target } from "./target";
import { addressOf, TARGET_KINDS } from "./target-names";

export type Scripts = { readonly every: string; readonly goods: string };

/** A section that failed while it was drawn. */
export type Broken = { readonly node: string; readonly kind: string; readonly why: unknown };

export type RenderedPage = {
  /** The whole document. */
  readonly html: string;
  /** What its parts need to be allowed, for the content security policy. */
  readonly permissions: ReadonlySet<Permission>;
  /** Sections that could not be drawn and are left out. */
  readonly broken: readonly Broken[];
  /** The text of its one style element, for the hash in the content security policy. */
  readonly css: string;
};

const escape = (text: string) =>
  text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");

type Head = {
  title: string;
  description: string;
  address: string | undefined;
  picture: Picture | undefined;
  type: "website" | "product" | "article";
};

/** The feed of the journal that a page is, or is a post of; elsewhere that of the shop's first. */
function feedFor(target: Target, documents: Draft["documents"]) {
  const open = journalsOf(documents).filter((journal) => !journal.props.hidden);
  const id = target.page === "text" ? target.id : "";
  const above = journalOf(documents, id)?.document.id;
  const own = open.find((j) => j.document.id === id || j.document.id === above) ?? open[0];
  return own && { title: own.document.title, address: feedAddress(own.address) };
}

/** The title of a page; that of a part of a journal's list says which. */
function partTitle(target: Target, documents: Draft["documents"], title: string): string {
  if (target.page !== "text" || !target.part) return title;
  const { tag, number } = target.part;
  const name = tag && tagsOf(postsOf(documents, target.id)).find((each) => each.slug === tag)?.name;
  return [name, title, number > 1 ? `page ${number}` : ""].filter(Boolean).join(", ");
}

function headOf(target: Target, content: ShopContent, page: PageDocument | undefined): Head {
  const { documents } = content.draft;
  const { identity } = content.draft.look;
  const find = (id: string | null | undefined) => content.pictures.find((p) => p.id === id);
  const withName = (title: string) => `${title} · ${identity.name}`;
  switch (target.page) {
    case "post":
    case "home":
    case "text": {
      const said = page ? sharedAs(page, target.page === "home", identity) : undefined;
      return {
        title: partTitle(target, documents, said?.title ?? identity.name),
        description: said?.description ?? identity.name,
        address: page && pageProps(page).unlisted ? undefined : addressOf(target, documents),
        picture: find(said?.picture),
        type: target.page === "text" && journalOf(documents, target.id) ? "article" : "website",
      };
    }
    case "collection": {
      const { collection } = target;
      const made = collection
        ? madeFromCollection(collection, identity, page)
        : { title: withName("Everything"), description: `Everything at ${identity.name}`, picture: undefined };
      const said = collection ? saidOf(collection.search, made) : made;
      // A list that somebody narrowed is for that one shopper; search engines are shown the whole.
      const isWhole = !target.query || !(isNarrowed(target.query) || target.query.sort);
      const further = isWhole && target.query && target.query.page > 1 ? `, page ${target.query.page}` : "";
      return {
        title: said.title + further,
        description: said.description,
        address: isWhole && !collection?.search.unlisted ? addressOf(target, documents) : undefined,
        picture: find(said.picture),
        type: "website",
      };
    }
    case "product": {
      const { search } = target.product;
      const said = saidOf(search, madeFromProduct(target.product, identity, page));
      return {
        title: said.title,
        description: said.description,
        address: search.unlisted ? undefined : addressOf(target, documents),
        picture: find(said.picture),
        type: "product",
      };
    }
    case "search":
      // Results are for whoever asked; there is no end of them for search engines.
      return {
        title: withName(target.sought ? `Search for ${target.sought}` : "Search"),
        description: `Search ${identity.name}`,
        address: undefined,
        picture: undefined,
        type: "website",
      };
    case "checkout":
    case "thanks":
    case "order":
    case "sign-in":
    case "account":
    case "gift-card":
      return {
        title: withName(TARGET_KINDS[target.page]),
        description: identity.name,
        address: undefined,
        picture: undefined,
        type: "website",
      };
    case "cart":
      return {
        title: withName("Cart"),
        description: `Your cart at ${identity.name}`,
        address: undefined,
        picture: undefined,
        type: "website",
      };
    case "not-found":
    case "closed": {
      const said = page ? madeFrom(page, false, identity) : undefined;
      return {
        title: target.page === "closed" ? identity.name : withName(page?.title ?? "Not found"),
        description: said?.description ?? identity.name,
        address: undefined,
        picture: undefined,
        type: "website",
      };
    }
    case "message":
      return {
        title: withName(target.title),
        description: target.text,
        address: target.address,
        picture: undefined,
        type: "website",
      };
  }
}

function headHtml(
  head: Head,
  content: ShopContent,
  origin: string,
  cuts: readonly Cut[],
  /** The colour of the window's own parts around the page. */
  ground: string,
  scripts: readonly string[],
  data: readonly object[],
  /** The journal whose feed readers of the page may want. */
  feed: { readonly title: string; readonly address: string } | undefined,
): string {
  const { identity } = content.draft.look;
  const { proofs, bar, early } = headAdditions(content.draft.documents);
  const meta = (name: string, value: string, key = "property") => `<meta ${key}="${name}" content="${escape(value)}">`;
  const parts = [
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${escape(head.title)}</title>`,
    meta("description", head.description, "name"),
    // Only the Latin subset is fetched ahead; the other one is fetched when a letter of it occurs.
    ...cuts.map(
      (cut) => `<link rel="preload" href="${cutAddress(cut, "latin")}" as="font" type="font/woff2" crossorigin>`,
    ),
    '<link rel="icon" href="/favicon.ico" sizes="32x32">',
    ...(iconPicture(identity) === undefined ? ['<link rel="icon" href="/favicon.svg" type="image/svg+xml">'] : []),
    '<link rel="manifest" href="/site.webmanifest">',
    meta("theme-color", bar ?? ground, "name"),
    ...proofs.map(({ name, content: said }) => meta(name, said, "name")),
    ...early.map((place) => `<link rel="preconnect" href="${escape(place)}">`),
    '<link rel="apple-touch-icon" href="/apple-touch-icon.png">',
    meta("og:site_name", identity.name),
    meta("og:title", head.title),
    meta("og:description", head.description),
    meta("og:type", head.type),
  ];
  if (feed)
    parts.push(
      `<link rel="alternate" type="application/atom+xml" href="${escape(feed.address)}" title="${escape(feed.title)}">`,
    );
  if (head.address !== undefined) {
    parts.push(`<link rel="canonical" href="${escape(origin + head.address)}">`, meta("og:url", origin + head.address));
  } else parts.push('<meta name="robots" content="noindex">');
  // Not everybody who shows links reads WebP, and none of them SVG.
  if (head.picture && !head.picture.vector) {
    const [width, height] = SHARE_SIZE;
    parts.push(
      meta("og:image", origin + shareAddress(head.picture)),
      meta("og:image:type", "image/jpeg"),
      meta("og:image:width", String(width)),
      meta("og:image:height", String(height)),
      ...(head.picture.alt ? [meta("og:image:alt", head.picture.alt)] : []),
    );
  }
  for (const thing of data)
    parts.push(`<script type="application/ld+json">${JSON.stringify(thing).replace(/</g, "\\u003c")}</script>`);
  for (const script of scripts) parts.push(`<script src="${script}" type="module"></script>`);
  return parts.join("");
}

const languageOf = (locale: string) => locale.split("-")[0] ?? "en";

/** What a page has in it where a film plays behind a section (`GroundFilm`). */
const GROUND_FILM_SIGN = 'class="ground-film"';
const GROUND_FILM_LATER: Later = { classes: ["is-playing", "is-begun"] };

/** A page that is shorter than the window has its footer at the window's bottom. Panes are as high as their page. */
const FILLS_WINDOW = "body{display:flex;flex-direction:column;min-height:100svh}main{flex:1 0 auto}";

/**
 * Draws one page of the published shop as a whole HTML document. `origin` is the shop's own, without a slash at the end;
 * `scripts` the addresses of the shop's browser scripts: the one of every page, and the one that pages with goods need as well.
 */
export function renderPage(
  target: Target,
  given: ShopContent,
  origin: string,
  scripts: Scripts,
  /** What stands at the end of the page besides, with its rules. */
  strip: { readonly css: string; readonly html: string } = { css: "", html: "" },
): RenderedPage {
  const content = inSituation(target, given);
  const { look } = content.draft;
  const theme = themeById(look.theme);
  const drawn = drawPage(target, content);
  const { frame, page, markup, used, parts } = drawn;
  // React puts what should be fetched early before the markup; its place is the head.
  const begin = markup.indexOf(PAGE_BEGINS);
  const [early, body] = [markup.slice(0, begin), markup.slice(begin)];
  const sections = [...sectionsOf(frame), ...sectionsOf(page)];
  const definitions = [...new Set(parts.map(({ kind }) => kind))].flatMap((kind) => KINDS.get(kind)?.definition ?? []);
  // A film is drawn over a picture; without one it waits in the section.
  const hasGroundFilm = body.includes(GROUND_FILM_SIGN);
  const later = [...definitions.flatMap((d) => d.later ?? []), ...(hasGroundFilm ? [GROUND_FILM_LATER] : [])];
  const written = documentCss(content.draft.documents[SITE]) + documentCss(page);
  const css = pageCss(body, sections, [...used], theme, look, later, written) + FILLS_WINDOW + strip.css;
  // A theme's further widths are small print; they can come when they come.
  const cuts = cutsOf(solveLook(theme, look).type);
  // A product that was looked at is remembered, whatever its layout shows of it.
  const needsGoods =
    target.page === "product" ||
    hasGroundFilm ||
    definitions.some((d) => d.script === "goods") ||
    parts.some((part) => kindOf(part)?.definition.needsScript?.(part.props) === true);
  const permissions = new Set<Permission>([
    ...definitions.flatMap((d) => d.permissions ?? []),
    ...parts.flatMap((part) => kindOf(part)?.definition.asks?.(part.props) ?? []),
    ...(hasGroundFilm || parts.some(hasFilmInText) ? (["media"] as const) : []),
  ]);
  const head = headHtml(
    headOf(target, content, page),
    content,
    origin,
    cuts,
    solveLook(theme, look).roles.sets.header.page,
    needsGoods ? [scripts.every, scripts.goods] : [scripts.every],
    structuredData(target, content, origin),
    feedFor(target, content.draft.documents),
  );
  // What is followed there leads away from the page that it stands beside.
  const leads = isBeside(target) ? '<base target="_parent">' : "";
  const html = `<!doctype html><html lang="${languageOf(content.locale)}"><head>${head}${leads}${early}<style>${css}</style></head><body>${body}${strip.html}</body></html>`;
  return { html, css, permissions, broken: drawn.broken };
}

const sectionsOf = (document: PageDocument | undefined): readonly Part[] =>
  document ? Object.values(document.root.slots).flat() : [];

const without = <D extends PageDocument | undefined>(document: D, ids: ReadonlySet<string>): D =>
  document && {
    ...document,
    root: {
      ...document.root,
      slots: Object.fromEntries(
        Object.entries(document.root.slots).map(([slot, parts]) => [slot, parts.filter((p) => !ids.has(p.id))]),
      ),
    },
  };

/** Draws a page's markup. A section that fails is left out, and the page is drawn once more without it. */
function drawPage(target: Target, content: ShopContent) {
  const { look, documents } = content.draft;
  const theme = themeById(look.theme);
  const used = new Set<Picture>();
  const whole = documentOf(target, documents, content.goods);
  const frame = isBeside(target) ? noFrame() : frameOf(documents, whole);
  const page = withoutAround(whole);
  const parts: Part[] = [];
  const env = envOf(content, content.draft, undefined, shownOf(target, content.goods, documents), page, frame);
  const watching: KindEnv = {
    ...env,
    ...codeOn(target, content, env, page),
    onDrawn: (part) => void parts.push(part),
    servesTones: true,
    picture: (id: string | null) => {
      const found = env.picture(id);
      if (found) used.add(found);
      return found;
    },
  };
  const inEnv = (children: ReactNode) => renderToStaticMarkup(<EnvProvider value={watching}>{children}</EnvProvider>);
  const draw = (frame: PageDocument, page: PageDocument | undefined) =>
    inEnv(
      <Page frame={frame} page={page} theme={theme} look={look}>
        <PageBody target={target} page={page} documents={documents} goods={content.goods} theme={theme} look={look} />
      </Page>,
    );
  try {
    return { frame, page, markup: draw(frame, page), used, parts, broken: [] };
  } catch (error) {
    const broken: Broken[] = [];
    for (const node of [...sectionsOf(frame), ...sectionsOf(page)]) {
      try {
        inEnv(<Section node={node} theme={theme} look={look} first={false} />);
      } catch (why) {
        broken.push({ node: node.id, kind: node.kind, why });
      }
    }
    if (broken.length === 0) throw error;
    const ids = new Set(broken.map((b) => b.node));
    const rest = without(page, ids);
    const left = without(frame, ids);
    return { frame: left, page: rest, markup: draw(left, rest), used, parts, broken };
  }
}
