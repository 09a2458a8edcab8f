import { memo, useEffect, useState } from "react";
import { plainOf } from "~/core/rich";
import type { RichEditorProps } from "~/kinds/parts";
import { useStudioStore } from "../keeping";

// The editor of running text is a third of the bench's script. It is fetched once the bench is at rest, so that it is there
// before anybody has chosen some words, and opening the bench does not wait for it.

const fetchTools = async () => {
  const [{ RichEditor: Editor }, { WordsBar: Bar }] = await Promise.all([
    import("./rich-editor"),
    import("./words-bar"),
  ]);
  return { Editor, Bar };
};
type Tools = Awaited<ReturnType<typeof fetchTools>>;
let fetched: Tools | undefined;

/** The tools, once they are there. Without a connection words can't be edited here, and are left as they are. */
function useTools(): Tools | undefined {
  const store = useStudioStore();
  const [tools, setTools] = useState(fetched);
  useEffect(() => {
    if (tools) return;
    let isGone = false;
    fetchTools().then(
      (all) => {
        fetched = all;
        if (!isGone) setTools(all);
      },
      () => {
        if (isGone) return;
        store.getState().say("The tools for words could not be fetched. Try again when you are connected.", "problem");
        store.getState().setEditing(null);
      },
    );
    return () => {
      isGone = true;
    };
  }, [tools, store]);
  return tools;
}

/** Running text while it is written. Until the editor has come, the words stand where they are. */
export function RichEditor(props: RichEditorProps) {
  const tools = useTools();
  return tools ? <tools.Editor {...props} /> : <p style={{ whiteSpace: "pre-line" }}>{plainOf(props.value)}</p>;
}

/** The tools for running text, above the panes. They follow the editor by themselves, not each letter that reaches the draft. */
export const WordsBar = memo(function WordsBar() {
  const tools = useTools();
  return tools ? <tools.Bar /> : null;
});

/** Fetches the editor while nothing else is to be done. */
export function useEditorAhead(isReady: boolean): void {
  useEffect(() => {
    if (!isReady || fetched) return;
    const ahead = () =>
      void fetchTools().then(
        (all) => {
          fetched = all;
        },
        // It is asked for again when it is needed.
        () => undefined,
      );
    if (!("requestIdleCallback" in window)) return ahead();
    const waiting = requestIdleCallback(ahead, { timeout: 4000 });
    return () => cancelIdleCallback(waiting);
  }, [isReady]);
}
