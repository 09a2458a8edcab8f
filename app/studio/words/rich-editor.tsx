import { Editor, type JSONContent } from "@tiptap/core";
import { useEffect, useRef } from "react";
import { locate, setProp } from "~/core/commands";
import { sameJson, type Json } from "~/core/document";
import { readAt } from "~/core/operations";
import { plainOf, treeOf, type Rich } from "~/core/rich";
import { kindOf, nameOf } from "~/kinds";
import { useEnv, type RichEditorProps } from "~/kinds/parts";
import { useStudioStore } from "../keeping";
import { liveOf } from "../live";
import { useWordsStore } from "./editing";
import { extensionsFor } from "./extensions";
import { fittedText } from "./fitted";
import { fieldAt, pathOf } from "./path";

/** Running text while it is written, in the pane and in the place where it stands. */
export function RichEditor({ node, at, value }: RichEditorProps) {
  const store = useStudioStore();
  const words = useWordsStore();
  const { picture } = useEnv();
  const holder = useRef<HTMLDivElement>(null);
  const written = useRef<Rich>(value);
  const open = useRef<Editor | null>(null);
  const first = useRef(value);
  // Pictures that are uploaded meanwhile are found as well.
  const find = useRef(picture);
  useEffect(() => {
    find.current = picture;
  });

  useEffect(() => {
    const element = holder.current;
    const found = locate(store.getState().draft, node)?.node;
    if (!element || !found) return;
    const field = fieldAt(kindOf(found)?.definition.fields ?? [], pathOf(at));
    const most = field?.type === "rich" ? field.most : 6000;
    const room = { most, isFigured: field?.type === "rich" && field.figures === true };
    const { setEditing, say } = store.getState();
    const step = (by: "undo" | "redo") => () => {
      store.getState()[by]();
      return true;
    };
    const leave = () => {
      setEditing(null);
      return true;
    };
    const editor = new Editor({
      element,
      // Its few rules are in the panes' own sheet.
      injectCSS: false,
      extensions: extensionsFor({
        picture: (id) => find.current(id),
        live: () => liveOf(store.getState()),
        onProblem: (why) => say(why, "problem"),
        most,
        onFull: () => say(`There is room for ${most} characters here.`, "problem"),
        // The whole session has one list of steps; words are part of it.
        keys: {
          "Mod-z": step("undo"),
          "Mod-Shift-z": step("redo"),
          "Mod-y": step("redo"),
          Escape: leave,
          "Mod-Enter": leave,
        },
      }),
      content: treeOf(first.current) as JSONContent,
      editorProps: {
        attributes: { role: "textbox", "aria-multiline": "true", "aria-label": `Words in ${nameOf(found)}` },
      },
      autofocus: "end",
      onUpdate: ({ editor: changed }) => {
        const next = fittedText(changed, room, (text) => say(text, "problem"));
        const { draft, run } = store.getState();
        const now = locate(draft, node)?.node;
        if (!now || sameJson(readAt(now.props, pathOf(at)), next)) return;
        written.current = next;
        const why = run(setProp(draft, node, pathOf(at), next as unknown as Json, `Words changed in ${nameOf(now)}`));
        if (why) say(why, "problem");
      },
    });
    open.current = editor;
    // Begun from Details, the caret is in another window than the keyboard.
    element.ownerDocument.defaultView?.focus();
    words.setState({ editor, room });
    return () => {
      words.setState({ editor: null });
      open.current = null;
      editor.destroy();
    };
    // The editor lives for as long as these words are edited; what changes meanwhile reaches it below.
  }, [node, at, store, words]);

  useEffect(() => {
    // Undo, another tab: the words have changed under the editor. What is drawn may be a letter behind what is typed, so it
    // is the draft that is asked.
    const editor = open.current;
    const now = locate(store.getState().draft, node)?.node;
    const stored = now && (readAt(now.props, pathOf(at)) as unknown as Rich | undefined);
    if (!editor || stored === undefined || sameJson(stored, written.current)) return;
    written.current = stored;
    const { from } = editor.state.selection;
    editor.commands.setContent(treeOf(stored) as JSONContent, { emitUpdate: false });
    editor.commands.setTextSelection(Math.min(from, editor.state.doc.content.size));
  }, [value, node, at, store]);

  return <div ref={holder} data-characters={plainOf(value).length} />;
}
