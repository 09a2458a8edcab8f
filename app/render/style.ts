import { layersOf, MEDIA, nodeCss as rulesOf, type Layer } from "~/core/cascade";
import { isPlaced, viewClass, viewCss, viewKey, type PictureView } from "~/core/pictures";
import { walk, type Brand, type Look, type PageDocument, type Part, type StyleSheet, entryOf } from "~/core/document";
import type { Theme } from "~/core/theme";
import { layoutPlaces } from "~/kinds/layouts";
import { chassisOf, kindOf, levelOf, type Arrangement, type Field, type Kind } from "~/kinds";
import { compileOwnCss, type CssScope } from "./own-css";

/** An arrangement as it is drawn in a theme. `as`: that of the kind whose elements it has; its own id where it is the kind's. */
export type DrawnArrangement = Arrangement & { readonly as: string };

const drawnIn = new WeakMap<Theme, Map<string, readonly DrawnArrangement[]>>();

/** All arrangements that a kind has in a theme: its own, and those that the theme brings for it. */
export function arrangementsOf({ definition }: Kind, theme: Theme): readonly DrawnArrangement[] {
  const { kind, arrangements } = definition;
  const ofTheme = drawnIn.get(theme) ?? new Map<string, readonly DrawnArrangement[]>();
  drawnIn.set(theme, ofTheme);
  const known = ofTheme.get(kind);
  if (known) return known;
  const own = arrangements.map((each): DrawnArrangement => ({ ...each, as: each.id }));
  const brought = (entryOf(theme.arrangements, kind) ?? []).map((each): DrawnArrangement => {
    const under = own.find(({ id }) => id === each.as) ?? own[0]!;
    return { ...under, ...each, as: under.id, style: over(under.style ?? {}, each.style ?? {}) };
  });
  const all = [...own, ...brought];
  ofTheme.set(kind, all);
  return all;
}

/**
 * The arrangement that a part is drawn in. Who is more exact is heard first: the part itself, the theme about just this part of a layout,
 * the layout, the theme about the kind, and then the kind, whose first it is.
 */
export function arrangementOf(kind: Kind, node: Part, theme: Theme): DrawnArrangement {
  const all = arrangementsOf(kind, theme);
  const known = (id: unknown) => (id === undefined ? undefined : all.find((a) => a.id === id));
  return (
    known(node.props.arrangement) ??
    known(placeIn(theme, node)?.arrangement) ??
    known(firstIn(node)?.arrangement) ??
    known(entryOf(theme.kinds, kind.definition.kind)?.arrangement) ??
    all[0]!
  );
}

const firstIn = ({ place }: Part) => (place === undefined ? undefined : layoutPlaces().get(place));
const placeIn = (theme: Theme, { place }: Part) => (place === undefined ? undefined : entryOf(theme.layouts, place));

/** A style sheet over another one: what it says of a device beats what the other says of the same. */
const over = (below: StyleSheet, above: StyleSheet): StyleSheet => {
  const devices = [...new Set([...Object.keys(below), ...Object.keys(above)])] as (keyof StyleSheet)[];
  return Object.fromEntries(devices.map((device) => [device, { ...below[device], ...above[device] }]));
};

/** The picture that a section's words stand on, by its id in the library; null where they stand on none. */
export function pictureUnderWords(section: Part, theme: Theme): string | null {
  const { backdrop } = chassisOf(section);
  if (backdrop) return backdrop;
  const kind = kindOf(section);
  const { picture } = section.props;
  return kind && arrangementOf(kind, section, theme).wordsOnPicture && typeof picture === "string" ? picture : null;
}

const onPictures = new WeakMap<PageDocument, { readonly theme: string; readonly parts: readonly Part[] }>();

/** The parts of a document whose words stand on a picture; read once for each state of it. */
export function partsOnPictures(document: PageDocument, theme: Theme): readonly Part[] {
  const known = onPictures.get(document);
  if (known?.theme === theme.id) return known.parts;
  const parts = [...walk(document.root)].filter((part) => pictureUnderWords(part, theme) !== null);
  onPictures.set(document, { theme: theme.id, parts });
  return parts;
}

/** How the picture is shown that a section's words stand on (`pictureUnderWords`), where the section says anything of that. */
export const viewUnderWords = (section: Part): PictureView | undefined => {
  const { backdrop } = chassisOf(section);
  return entryOf(section.props, viewKey(backdrop ? "backdrop" : "picture")) as PictureView | undefined;
};

/** What a brand or a theme says about the goods in a section, as a style sheet. */
function goodsSheet(kind: Kind, brand: Brand): StyleSheet {
  if (!kind.definition.ofGoods) return {};
  const { goodsShape: shape, "goods.fit": fit } = brand;
  return {
    all: { ...(typeof shape === "string" ? { shape } : {}), ...(typeof fit === "string" ? { fit } : {}) },
  };
}

function themeSheet(kind: Kind, node: Part, theme: Theme): StyleSheet {
  const goods = goodsSheet(kind, theme.defaults);
  const own = [entryOf(theme.kinds, kind.definition.kind), firstIn(node), placeIn(theme, node)];
  return own.reduce((sheet, worn) => (worn?.style ? over(sheet, worn.style) : sheet), goods);
}

/** A section that has a picture behind it has a tint between the two, unless its kind says otherwise. */
const withScrim = (sheet: StyleSheet): StyleSheet => ({
  ...sheet,
  all: { scrim: 45, scrimFrom: "even", scrimTone: "dark", ...sheet.all },
});

/** The share of its section's width that a column has by its theme and its layout, while it says nothing itself. */
export const usualShareIn =
  (theme: Theme) =>
  (column: Part): unknown => {
    const kind = kindOf(column);
    return kind && themeSheet(kind, column, theme).all?.share;
  };

/** Every layer of a part's style, weakest first: what Details explains and what the page's CSS is written from. */
export function nodeLayers(node: Part, theme: Theme, look: Look): readonly Layer[] {
  const kind = kindOf(node);
  if (!kind) return [];
  const below: Layer[] = [
    { name: "kind", sheet: chassisOf(node).backdrop ? withScrim(kind.definition.style) : kind.definition.style },
    { name: "theme", sheet: themeSheet(kind, node, theme) },
    { name: "brand", sheet: goodsSheet(kind, look.brand) },
    { name: "arrangement", sheet: arrangementOf(kind, node, theme).style ?? {} },
  ];
  return layersOf(node, below);
}

/** The class by which a part's own rules find it. */
export const nodeClass = (node: Part): string => `n-${node.id}`;

/** What of the look reaches the rules of single sections, besides the theme. */
export const GOODS_SETTINGS = ["goodsShape", "goods.fit"] as const;

const written = new WeakMap<Part, { readonly key: string; readonly css: string }>();

/**
 * The rules of a part and of everything in it. Nodes are frozen values, so each state of one is written once for each look
 * it is seen in, and a change of one widget writes only what leads to it.
 */
export function nodeCss(
  node: Part,
  theme: Theme,
  look: Look,
  /** Whether with the CSS that the seller wrote. */
  withOwn = true,
): string {
  const key = [theme.id, withOwn, ...GOODS_SETTINGS.map((name) => String(look.brand[name] ?? ""))].join(" ");
  const known = written.get(node);
  if (known?.key === key) return known.css;
  const own = rulesOf(`.${nodeClass(node)}`, nodeLayers(node, theme, look)) + viewsCss(node) + madeCss(node);
  const inside = Object.values(node.slots)
    .flat()
    .map((child) => nodeCss(child, theme, look, withOwn))
    .join("");
  const css = own + (withOwn ? ownCss(node) : "") + inside;
  written.set(node, { key, css });
  return css;
}

/** The rules of a part and of what is in it, as shoppers get them: of what is shown. */
export const shownCss = (node: Part, theme: Theme, look: Look): string =>
  !node.shown
    ? ""
    : [...walk(node)].every((n) => n.shown)
      ? nodeCss(node, theme, look)
      : nodeCss(pruned(node), theme, look);

const pruned = (node: Part): Part => ({
  ...node,
  slots: Object.fromEntries(
    Object.entries(node.slots).map(([slot, children]) => [slot, children.filter((c) => c.shown).map(pruned)]),
  ),
});

type Values = Readonly<Record<string, unknown>>;

/** How the pictures of a part are shown at their places, each with the path of the picture in the part's values. */
export function viewsIn(node: Part): readonly { readonly at: string; readonly view: PictureView }[] {
  const found: { at: string; view: PictureView }[] = [];
  const note = (values: Values, key: string, path: string) => {
    const view = entryOf(values, viewKey(key)) as PictureView | undefined;
    if (view) found.push({ at: path + key, view });
  };
  const enter = (fields: readonly Field[], values: Values, path: string): void => {
    for (const field of fields) {
      if (field.type === "picture" && field.views) note(values, field.key, path);
      else if (field.type === "list")
        ((entryOf(values, field.key) ?? []) as readonly Values[]).forEach((item, i) =>
          enter(field.fields, item, `${path}${field.key}.${i}.`),
        );
    }
  };
  enter(kindOf(node)?.definition.fields ?? [], node.props, "");
  note(node.props, "backdrop", "");
  return found;
}

/** What the values of a part make of its look. */
const madeCss = (node: Part): string =>
  (kindOf(node)?.definition.rules?.(node.props) ?? [])
    .map(([selector, declarations]) => `.${nodeClass(node)} ${selector}{${declarations}}`)
    .join("");

const viewsCss = (node: Part): string =>
  viewsIn(node)
    .filter(({ view }) => isPlaced(view))
    .map(({ at, view }) => viewCss(viewClass(node.id, at), view, MEDIA))
    .join("");

/** What CSS of a part's own reaches: the part and what is in it. */
export const partScope = (node: Part): CssScope => ({ of: "section", selector: `.${nodeClass(node)}` });
/** What CSS of a page or a layout reaches: what stands between header and footer. */
export const pageScope = (document: PageDocument): CssScope => ({ of: "page", selector: `.${pageClass(document)}` });
/** What CSS of the whole shop reaches: every page as a whole. */
export const SHOP_SCOPE: CssScope = { of: "shop", selector: "body" };

/** The class by which a page's own CSS finds it. */
const pageClass = (document: PageDocument): string => `p-${document.id}`;

/** The class of a page's main part, where the page has CSS of its own. */
export const classOfMain = (document: PageDocument | undefined): string | undefined =>
  document && entryOf(document.root.props, "css") ? pageClass(document) : undefined;

/** Whether a part can have CSS of its own in the page: every section, and what says so of itself. */
export const hasOwnCss = (node: Part): boolean =>
  levelOf(node) === "section" ||
  (kindOf(node)?.definition.fields ?? []).some((f) => f.type === "code" && f.language === "css" && f.into === "page");

/** What a seller wrote for a part, as it was compiled: it reaches nothing but this part. */
const ownCss = (node: Part): string => {
  const { css } = chassisOf(node);
  return css && hasOwnCss(node) ? compileOwnCss(css, partScope(node)).css : "";
};

/** What a seller wrote for a whole document, compiled: for a page or a layout, or in the site's document for the shop. */
export function documentCss(document: PageDocument | undefined): string {
  const css = document && entryOf(document.root.props, "css");
  if (typeof css !== "string" || !css) return "";
  return compileOwnCss(css, document.kind === "site" ? SHOP_SCOPE : pageScope(document)).css;
}
