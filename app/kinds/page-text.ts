import { entryOf, type Json, type PageDocument } from "~/core/document";
import type { Picture } from "~/core/pictures";
import { treeOf, type Rich, type RichNode } from "~/core/rich";
import type { Field } from "./definition";
import { boundOf, kindOf } from ".";

type Values = Readonly<Record<string, Json>>;

const paragraphs = (text: string): readonly RichNode[] => treeOf(text).content ?? [];
const isSaid = (node: RichNode): boolean => node.type === "horizontalRule" || (node.content?.length ?? 0) > 0;

/**
 * What a page says, as blocks of running text in reading order: headings, texts, and pictures as `image` in a paragraph of their own
 * (`src`, `alt`). What only works on a page (forms, goods, buttons) is not in it.
 */
export function textOfPage(
  document: PageDocument,
  picture: (id: string) => { readonly src: string; readonly of: Picture } | undefined,
): readonly RichNode[] {
  const out: RichNode[] = [];
  const heading = (text: string, level: number) => {
    if (text.trim()) out.push({ type: "heading", attrs: { level }, content: [{ type: "text", text: text.trim() }] });
  };
  const shows = (id: string, caption = "") => {
    const found = picture(id);
    if (found)
      out.push({ type: "paragraph", content: [{ type: "image", attrs: { src: found.src, alt: found.of.alt } }] });
    out.push(...paragraphs(caption).filter(isSaid));
  };
  const say = (fields: readonly Field[], values: Values, level: number): void => {
    for (const field of fields) {
      const value = entryOf(values, field.key);
      if (field.type === "rich") {
        for (const block of treeOf(value as Rich).content ?? []) {
          if (block.type === "figure") shows(String(block.attrs?.picture), String(block.attrs?.caption ?? ""));
          else if (isSaid(block)) out.push(block);
        }
      } else if (field.type === "picture" && typeof value === "string") shows(value);
      else if (field.type === "list")
        for (const each of (value ?? []) as readonly Values[]) say(field.fields, each, level + 1);
      else if (typeof value !== "string") continue;
      else if (field.key === "heading" || (level > 2 && (field.key === "name" || field.key === "title")))
        heading(value, Math.min(4, level));
      else if (field.type === "text") out.push(...paragraphs(value).filter(isSaid));
      else if (field.key === "caption") out.push(...paragraphs(value).filter(isSaid));
    }
  };
  const visit = (parts: PageDocument["root"]["slots"][string]): void => {
    for (const part of parts) {
      if (!part.shown || boundOf(part)) continue;
      const kind = kindOf(part);
      if (part.kind === "heading") heading(String(part.props.text ?? ""), Number(part.props.level ?? 2));
      else if (kind) say(kind.definition.fields, part.props, 2);
      Object.values(part.slots).forEach(visit);
    }
  };
  visit(document.root.slots.main ?? []);
  return out;
}
