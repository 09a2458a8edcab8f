import { createContext, useContext } from "react";
import { createStore, type StoreApi } from "zustand";

/** The device that a pane shows. */
export type PaneDevice = "phone" | "wide";

export type BenchFrames = Readonly<Record<PaneDevice, Document | null>>;

/** Holds the panes' documents, for what is drawn and for drags that outlive a drawing. */
export const createFrames = (): StoreApi<BenchFrames> => createStore<BenchFrames>(() => ({ phone: null, wide: null }));

const FramesContext = createContext<BenchFrames>({ phone: null, wide: null });
export const BenchFramesProvider = FramesContext.Provider;

/** The documents of the panes on the bench, for what is measured in them. */
export const useBenchFrames = (): BenchFrames => useContext(FramesContext);

const EditWordsContext = createContext<((node: string, at?: string) => void) | null>(null);
export const EditWordsProvider = EditWordsContext.Provider;

/** How the words of a part are begun to be edited in a pane; null where there is no pane. */
export const useEditWords = () => useContext(EditWordsContext);
