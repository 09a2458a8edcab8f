import { layersOf, nodeCss, type Layer } from "~/core/cascade";
import type { Look, Node, StyleSheet } from "~/core/document";
import type { Theme } from "~/core/theme";
import { kindOf, type Arrangement, type Kind } from "~/kinds";

/** The arrangement that a section is drawn in: its own choice, else the theme's, else the kind's first. */
export function arrangementOf(kind: Kind, node: Node, theme: Theme): Arrangement {
  const { arrangements } = kind.definition;
  const known = (id: unknown) => arrangements.find((a) => a.id === id);
  return known(node.props.arrangement) ?? known(theme.kinds[kind.definition.kind]?.arrangement) ?? arrangements[0];
}

/** What a brand or a theme says about the goods in a section, as a style sheet. */
const goodsSheet = (kind: string, shape: unknown): StyleSheet =>
  kind === "product-grid" && typeof shape === "string" ? { all: { shape } } : {};

function themeSheet(kind: string, theme: Theme): StyleSheet {
  const own = theme.kinds[kind]?.style ?? {};
  const goods = goodsSheet(kind, theme.defaults.goodsShape).all;
  return goods ? { ...own, all: { ...goods, ...own.all } } : own;
}

/** Every layer of a section's style, weakest first: what Details explains and what the page's CSS is written from. */
export function sectionLayers(node: Node, theme: Theme, look: Look): readonly Layer[] {
  const kind = kindOf(node);
  if (!kind) return [];
  const below: Layer[] = [
    { name: "kind", sheet: kind.definition.style },
    { name: "theme", sheet: themeSheet(kind.definition.kind, theme) },
    { name: "brand", sheet: goodsSheet(kind.definition.kind, look.brand.goodsShape) },
    { name: "arrangement", sheet: arrangementOf(kind, node, theme).style ?? {} },
  ];
  return layersOf(node, below);
}

/** The class by which a section's own rules find it. */
export const nodeClass = (node: Node): string => `n-${node.id}`;

const written = new WeakMap<Node, { readonly key: string; readonly css: string }>();

/** A section's own rules. Nodes are frozen values, so each state of one is written once for each look it is seen in. */
export function sectionCss(node: Node, theme: Theme, look: Look): string {
  const key = `${theme.id} ${String(look.brand.goodsShape ?? "")}`;
  const known = written.get(node);
  if (known?.key === key) return known.css;
  const css = nodeCss(`.${nodeClass(node)}`, sectionLayers(node, theme, look));
  written.set(node, { key, css });
  return css;
}
