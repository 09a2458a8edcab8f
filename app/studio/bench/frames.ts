import { createContext, useContext } from "react";

export type BenchFrames = { readonly phone: Document | null; readonly wide: Document | null };

const FramesContext = createContext<BenchFrames>({ phone: null, wide: null });
export const BenchFramesProvider = FramesContext.Provider;

/** The documents of the panes on the bench, for what is measured in them. */
export const useBenchFrames = (): BenchFrames => useContext(FramesContext);

const EditWordsContext = createContext<((node: string) => void) | null>(null);
export const EditWordsProvider = EditWordsContext.Provider;

/** How the words of a part are begun to be edited in a pane; null where there is no pane. */
export const useEditWords = () => useContext(EditWordsContext);
