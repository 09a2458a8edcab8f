import { useState, type ElementType, type ReactNode } from "react";
import type { Link } from "~/core/schema";
import { useEnv, useNodeId } from "./env";

type EditableWordsProps = {
  /** Path of the text in the section's props, joined by dots. */
  at: string;
  text: string;
  as?: ElementType;
  className?: string;
  /** What belongs here, shown in the studio while it is empty. */
  hint: string;
  id?: string;
  /** What stands in place of the text while nobody writes it. */
  shown?: ReactNode;
};

/**
 * Text that the seller can edit in place. Empty text is absent from the shop. While it is being edited in a pane, its
 * element is the browser's: the text that React last put there is held still, and what is typed shows in other panes.
 */
export function Words({ at, text, as: Tag = "span", className, hint, id, shown }: EditableWordsProps): ReactNode {
  const { studio } = useEnv();
  const node = useNodeId();
  const [held, setHeld] = useState<string | null>(null);
  const isEditing = studio?.editing?.node === node && studio.editing.at === at;
  if (isEditing && held === null) setHeld(text);
  if (!isEditing && held !== null) setHeld(null);
  if (!studio)
    return text ? (
      <Tag className={className} id={id}>
        {shown ?? text}
      </Tag>
    ) : null;
  return (
    <Tag className={className} id={id} data-at={at} data-hint={hint} suppressContentEditableWarning>
      {isEditing ? (held ?? text) : (shown ?? text)}
    </Tag>
  );
}

type ActionProps = { at: string; label: string; link: Link; className?: string; hint?: string };

/** A link with words. One that leads nowhere, or says nothing, is absent from the shop and marked in the studio. */
export function Action({ at, label, link, className, hint = "Button words" }: ActionProps): ReactNode {
  const { studio, href } = useEnv();
  const address = href(link);
  if (!studio && (!address || !label)) return null;
  return (
    <a className={className} href={address ?? "#"} {...(studio && !address ? { "data-dead": "" } : {})}>
      <Words at={at} text={label} hint={hint} />
    </a>
  );
}
