import { createContext, useContext, useMemo } from "react";
import { askedIn, type Asked } from "~/core/conditions";
import type { Situation } from "~/core/situation";
import { situationOn, targetFor, type Target } from "~/render";
import { useStudio } from "../keeping";
import { useDrawnWith } from "./drawn-with";

/** The page of the shop as which layouts are looked at; null: the most telling one. */
const Show = createContext<string | null>(null);
export const ShowProvider = Show.Provider;

/** The page that panes show of a document. */
export function useTarget(page: string): Target {
  const show = useContext(Show);
  const goods = useStudio((s) => s.goods);
  // Which page a layout shows depends on which documents there are and for which goods they are, not on what is in them.
  const roots = useStudio((s) =>
    Object.values(s.draft.documents)
      .map((d) => `${d.id} ${d.kind === "layout" ? JSON.stringify(d.root.props) : ""}`)
      .join("\n"),
  );
  const documents = useStudio((s) => s.draft.documents);
  // `documents` changes with every letter; `roots` says when it matters here.
  // oxlint-disable-next-line react/exhaustive-deps
  return useMemo(() => targetFor(documents, goods, page, show), [roots, goods, page, show]);
}

/** What conditions are asked with on a page of a pane: the page, and the time and shopper that panes are turned to. The same object for as long as none of it changes. */
export function useAsked(target: Target): Asked {
  const situation = useStudio((s) => s.situation);
  const { goods } = useDrawnWith();
  const on = useStudio((s) => JSON.stringify(situationOn(target, s.draft.documents, situation)));
  return useMemo(() => askedIn(JSON.parse(on) as Situation, goods), [on, goods]);
}
