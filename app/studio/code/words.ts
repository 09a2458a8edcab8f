import type { Completion } from "@codemirror/autocomplete";

/** What is wrong in a piece of code, from where to where, in letters. */
export type Trouble = { readonly from: number; readonly to: number; readonly why: string };

export type CodeEditorProps = {
  language: "html" | "css" | "script";
  value: string;
  label: string;
  placeholder?: string;
  /** Offered while CSS is typed. */
  words?: readonly Completion[];
  /** Says what is wrong; absent: what the language's grammar can't read. */
  judge?: (text: string) => readonly Trouble[];
  isWrong?: boolean;
  /** It has a window to itself. */
  large?: boolean;
  onChange: (next: string) => void;
  /** Hears what was found wrong, a moment after typing. */
  onTroubles?: (troubles: readonly Trouble[]) => void;
  /** Hears where the cursor stands, in which text; null when the editor has no focus any more. */
  onPlace?: (at: number | null, text: string) => void;
};
