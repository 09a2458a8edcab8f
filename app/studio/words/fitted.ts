import type { Editor, JSONContent } from "@tiptap/core";
import { fitRich, storedOf, type Rich, type RichDocument } from "~/core/rich";

/**
 * What an editor holds, as it is stored: fitted to what a text of `most` characters can hold. Where something had to change for that,
 * the editor shows what is kept, and `say` hears what was left out.
 */
export function fittedText(editor: Editor, most: number, say: (text: string) => void): Rich {
  const { tree, isChanged, cut } = fitRich(editor.getJSON() as unknown as RichDocument, most);
  if (isChanged) {
    const { from } = editor.state.selection;
    editor.commands.setContent(tree as JSONContent, { emitUpdate: false });
    editor.commands.setTextSelection(Math.min(from, editor.state.doc.content.size));
  }
  if (cut.length) say(cut.join(" "));
  return storedOf(tree);
}
