import { createContext, useContext, useMemo } from "react";
import type { Draft } from "~/core/document";
import { solveLook, type SolvedLook } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio } from "../keeping";
import { useDesk } from "./desk";

/** The shop as it is seen now: the draft's look, or that look by night or by day when the desk asks for it. */
export type BrandLook = { readonly draft: Draft; readonly look: SolvedLook };

/** Works out what is seen now; once for the whole desk. */
export function useWorkOutShown(): BrandLook {
  const draft = useStudio((s) => s.draft);
  const shows = useDesk((d) => d.shows);
  return useMemo(() => {
    const theme = themeById(draft.look.theme);
    const look = solveLook(theme, draft.look);
    if ((shows ?? look.scheme) === look.scheme && look.appearance !== "auto") return { draft, look };
    const appearance = shows ?? look.scheme;
    const shown = { ...draft, look: { ...draft.look, brand: { ...draft.look.brand, appearance } } };
    return { draft: shown, look: solveLook(theme, shown.look) };
  }, [draft, shows]);
}

const ShownContext = createContext<BrandLook | null>(null);
export const ShownProvider = ShownContext.Provider;

/** What is seen now. While a colour is dragged, panels may be a moment behind the panes. */
export function useShown(): BrandLook {
  const shown = useContext(ShownContext);
  if (!shown) throw new Error("what is seen was asked for outside of the Brand area");
  return shown;
}
