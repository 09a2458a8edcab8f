import { layersOf, MEDIA, nodeCss as rulesOf, type Layer } from "~/core/cascade";
import { isPlaced, viewClass, viewCss, viewKey, type PictureView } from "~/core/pictures";
import { walk, type Brand, type Look, type PageDocument, type Part, type StyleSheet, entryOf } from "~/core/document";
import type { Theme } from "~/core/theme";
import { chassisOf, kindOf, levelOf, type Arrangement, type Field, type Kind } from "~/kinds";
import { compileOwnCss, type CssScope } from "./own-css";

/** The arrangement that a section is drawn in: its own choice, else the theme's, else the kind's first. */
export function arrangementOf(kind: Kind, node: Part, theme: Theme): Arrangement {
  const { arrangements } = kind.definition;
  const known = (id: unknown) => arrangements.find((a) => a.id === id);
  return (
    known(node.props.arrangement) ?? known(entryOf(theme.kinds, kind.definition.kind)?.arrangement) ?? arrangements[0]
  );
}

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

function themeSheet(kind: Kind, theme: Theme): StyleSheet {
  const own = entryOf(theme.kinds, kind.definition.kind)?.style ?? {};
  const goods = goodsSheet(kind, theme.defaults).all;
  return goods ? { ...own, all: { ...goods, ...own.all } } : own;
}

/** A section that has a picture behind it has a tint between the two, unless its kind says otherwise. */
const withScrim = (sheet: StyleSheet): StyleSheet => ({
  ...sheet,
  all: { scrim: 45, scrimFrom: "even", scrimTone: "dark", ...sheet.all },
});

/** Every layer of a part's style, weakest first: what Details explains and what the page's CSS is written from. */
export function nodeLayers(node: Part, theme: Theme, look: Look): readonly Layer[] {
  const kind = kindOf(node);
  if (!kind) return [];
  const below: Layer[] = [
    { name: "kind", sheet: chassisOf(node).backdrop ? withScrim(kind.definition.style) : kind.definition.style },
    { name: "theme", sheet: themeSheet(kind, theme) },
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
