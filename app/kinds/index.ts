import { isKnownValue, PROPERTIES } from "~/core/cascade";
import { newId, type Json, type Node } from "~/core/document";
import type { Kind } from "./definition";
import { collectionTiles } from "./collection-tiles";
import { footer } from "./footer";
import { header } from "./header";
import { hero } from "./hero";
import { notice } from "./notice";
import { pictureWords } from "./picture-words";
import { productGrid } from "./product-grid";
import { signUp } from "./sign-up";
import { text } from "./text";

/** Every kind, in the order in which Add offers them. Adding a kind is one folder and one line here. */
const LIST: readonly Kind[] = [hero, productGrid, collectionTiles, pictureWords, text, signUp, notice, header, footer];

export const KINDS: ReadonlyMap<string, Kind> = new Map(LIST.map((kind) => [kind.definition.kind, kind]));
if (KINDS.size !== LIST.length) throw new Error("two kinds have the same name");

export const kindOf = (node: Pick<Node, "kind">): Kind | undefined => KINDS.get(node.kind);

/** What a section's kind is called; unknown kinds keep their stored name. */
export const nameOf = (node: Pick<Node, "kind">): string => kindOf(node)?.definition.name ?? node.kind;

/** A new section of a kind with its defaults, changed by `props`. */
export function makeSection(kind: string, props: Readonly<Record<string, Json>> = {}, more: Partial<Node> = {}): Node {
  const found = KINDS.get(kind);
  if (!found) throw new Error(`no kind "${kind}"`);
  const defaults = found.definition.defaults as Record<string, Json>;
  return {
    id: newId(),
    kind,
    props: { ...defaults, ...props },
    style: {},
    conditions: [],
    shown: true,
    slots: {},
    ...more,
  };
}

/** Why a section's stored values are not what its kind allows; undefined where they are. */
export function problemOf(node: Node): { path: string; why: string } | undefined {
  const kind = kindOf(node);
  if (!kind) return { path: "kind", why: `This version does not know “${node.kind}”.` };
  for (const [audience, values] of Object.entries(node.style)) {
    for (const [property, value] of Object.entries(values)) {
      // A property that this version does not know is kept and never drawn.
      if (PROPERTIES[property] && !isKnownValue(property, value)) {
        return { path: `${audience}.${property}`, why: `${PROPERTIES[property].label} can’t be “${String(value)}”.` };
      }
    }
  }
  const parsed = kind.definition.props.safeParse(node.props);
  if (parsed.success) return undefined;
  const issue = parsed.error.issues[0]!;
  return { path: issue.path.join("."), why: issue.message };
}

export {
  PURPOSES,
  type Arrangement,
  type Definition,
  type Field,
  type Kind,
  type Purpose,
  type ViewProps,
} from "./definition";
