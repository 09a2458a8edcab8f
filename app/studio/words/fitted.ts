import type { Editor, JSONContent } from "@tiptap/core";
import { fitRich, storedOf, type Rich, type RichDocument } from "~/core/rich";

/** What a text can hold: so many characters, and pictures and films or none. */
export type Room = { readonly most: number; readonly isFigured: boolean };

/**
 * What an editor holds, as it is stored: fitted to what the text can hold. Where something had to change for that,
 * the editor shows what is kept, and `say` hears what was left out.
 */
export function fittedText(editor: Editor, { most, isFigured }: Room, say: (text: string) => void): Rich {
  const { tree, isChanged, cut } = fitRich(editor.getJSON() as unknown as RichDocument, most, isFigured);
  if (isChanged) {
    const { from } = editor.state.selection;
    editor.commands.setContent(tree as JSONContent, { emitUpdate: false });
    editor.commands.setTextSelection(Math.min(from, editor.state.doc.content.size));
  }
  if (cut.length) say(cut.join(" "));
  return storedOf(tree);
}
