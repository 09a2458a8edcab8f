import type { Editor } from "@tiptap/core";
import { createContext, useContext, useSyncExternalStore } from "react";
import { createStore, useStore, type StoreApi } from "zustand";
import type { Letters } from "~/core/rich";
import type { Room } from "./fitted";

/** The editor that is open in a pane, for the bar of tools in the studio. */
export type WordsStore = StoreApi<{ readonly editor: Editor | null; readonly room: Room }>;
export const createWordsStore = (): WordsStore =>
  createStore(() => ({ editor: null, room: { most: 0, isFigured: false } }));

const WordsContext = createContext<WordsStore | null>(null);
export const WordsProvider = WordsContext.Provider;
export function useWordsStore(): WordsStore {
  const store = useContext(WordsContext);
  if (!store) throw new Error("running text can be edited only on the bench");
  return store;
}
export const useOpenEditor = (): Editor | null => useStore(useWordsStore(), (s) => s.editor);

/** What `read` finds in the editor; drawn again whenever that changes. */
export function useEditorFact<T extends string | number | boolean>(editor: Editor, read: (editor: Editor) => T): T {
  return useSyncExternalStore(
    (changed) => {
      editor.on("transaction", changed);
      return () => {
        editor.off("transaction", changed);
      };
    },
    () => read(editor),
  );
}

/** Changes how the selected letters differ, and leaves what else each of them says; with nothing selected, what comes next. */
export function setLetters(editor: Editor, change: Partial<Letters>): void {
  editor
    .chain()
    .focus()
    .command(({ tr, state, dispatch }) => {
      const type = state.schema.marks.letters!;
      const { from, to, empty } = state.selection;
      const merged = (attrs: Letters) => ({ ...attrs, ...change });
      const says = (attrs: Letters) => Object.values(attrs).some((v) => v !== null && v !== undefined);
      if (empty) {
        const now = (state.storedMarks ?? state.selection.$from.marks()).find((m) => m.type === type);
        const next = merged(now?.attrs ?? {});
        if (dispatch) {
          if (says(next)) tr.addStoredMark(type.create(next));
          else tr.removeStoredMark(type);
        }
        return true;
      }
      state.doc.nodesBetween(from, to, (node, at) => {
        if (!node.isText) return;
        const start = Math.max(from, at);
        const end = Math.min(to, at + node.nodeSize);
        const next = merged(node.marks.find((m) => m.type === type)?.attrs ?? {});
        tr.removeMark(start, end, type);
        if (says(next)) tr.addMark(start, end, type.create(next));
      });
      return true;
    })
    .run();
}
