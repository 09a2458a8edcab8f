import { memo, type ReactNode } from "react";
import { nodeAttributes } from "~/core/cascade";
import type { Look, Node } from "~/core/document";
import type { Theme } from "~/core/theme";
import { kindOf } from "~/kinds";
import { NodeIdProvider, useEnv } from "~/kinds/parts";
import { arrangementOf, nodeClass, sectionLayers } from "./style";

type SectionProps = { node: Node; theme: Theme; look: Look; first: boolean };

/** One section in its shell: the element that carries its class, its arrangement and its colour set. */
export const Section = memo(function Section({ node, theme, look, first }: SectionProps): ReactNode {
  const { studio } = useEnv();
  const kind = kindOf(node);
  // A kind that this version does not know is kept in the document, named in the studio and absent from the shop.
  if (!kind)
    return studio ? (
      <section className="s" data-node={node.id}>
        <div className="in">This version can’t draw “{node.kind}”. It is kept as it is.</div>
      </section>
    ) : null;
  if (!studio && !node.shown) return null;
  const arrangement = arrangementOf(kind, node, theme).id;
  const { tag: Tag, kind: name } = kind.definition;
  return (
    <Tag
      className={`s s-${name} a-${arrangement} ${nodeClass(node)}`}
      {...nodeAttributes(sectionLayers(node, theme, look))}
      {...(studio ? { "data-node": node.id, ...(node.shown ? {} : { "data-not-shown": "" }) } : {})}
      {...(Tag === "aside" ? { "aria-label": kind.definition.name } : {})}
    >
      <NodeIdProvider value={node.id}>
        <kind.View props={node.props} arrangement={arrangement} first={first} />
      </NodeIdProvider>
    </Tag>
  );
});
