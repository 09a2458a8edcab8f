import type { Draft } from "~/core/document";
import { createContext, useContext, useEffect, useMemo, useState } from "react";
import { createStore, useStore, type StoreApi } from "zustand";
import { createContrastWorker, layoutOf, onPicturesOf, type Finding } from "../checks";
import { useStudio } from "../keeping";
import type { BenchFrames, PaneDevice } from "./frames";
import { partAt } from "./parts";

// While somebody works, what is laid out is measured in both panes, a moment after it has come to rest.

export type PaneFinding = Finding & { readonly pane: PaneDevice };
export type ChecksStore = StoreApi<{ readonly findings: readonly PaneFinding[]; readonly pointed: PaneFinding | null }>;
export const createChecksStore = (): ChecksStore => createStore(() => ({ findings: [], pointed: null }));

const ChecksContext = createContext<ChecksStore | null>(null);
export const ChecksProvider = ChecksContext.Provider;
export function useChecksStore(): ChecksStore {
  const store = useContext(ChecksContext);
  if (!store) throw new Error("checks are made on the bench");
  return store;
}
export const useFindings = (): readonly PaneFinding[] => useStore(useChecksStore(), (s) => s.findings);
export const usePointed = (): PaneFinding | null => useStore(useChecksStore(), (s) => s.pointed);

/** How long a page must stand still before it is measured, in ms. */
const STILL = 450;

export const thingsWords = (count: number): string =>
  count === 1 ? "1 thing to look at" : `${count} things to look at`;

/** How many findings there are in each section of the page, by its id. */
export function useFindingsBySection(draft: Draft): ReadonlyMap<string, number> {
  const findings = useFindings();
  return useMemo(() => {
    const counts = new Map<string, number>();
    for (const { node } of findings) {
      const section = partAt(draft, node)?.path[0]?.id;
      if (section) counts.set(section, (counts.get(section) ?? 0) + 1);
    }
    return counts;
  }, [findings, draft]);
}

/** Measures both panes whenever they have come to rest after a change. */
export function useLayoutChecks(frames: BenchFrames): void {
  const store = useChecksStore();
  const draft = useStudio((s) => s.draft);
  const pictures = useStudio((s) => s.pictures);
  const panes = useStudio((s) => s.panes);
  const [worker] = useState(createContrastWorker);
  useEffect(() => worker.end, [worker]);
  useEffect(() => {
    let timer = 0;
    let isOver = false;
    const measure = async () => {
      const found: PaneFinding[] = [];
      for (const pane of ["phone", "wide"] as const) {
        const frame = frames[pane];
        if (!frame) continue;
        const { device } = panes[pane];
        const onPictures = await onPicturesOf(frame, device, draft, pictures, worker.ask);
        if (isOver) return;
        found.push(...[...layoutOf(frame, device), ...onPictures].map((f) => ({ ...f, pane })));
      }
      const findings = found.toSorted((a, b) => a.rect.top - b.rect.top);
      const { pointed, findings: before } = store.getState();
      // The same findings are left alone, so that nothing is drawn anew for them.
      if (JSON.stringify(findings) === JSON.stringify(before)) return;
      store.setState({
        findings,
        pointed:
          findings.find((f) => f.rule === pointed?.rule && f.node === pointed.node && f.pane === pointed.pane) ?? null,
      });
    };
    const soon = () => {
      clearTimeout(timer);
      timer = window.setTimeout(
        () =>
          "requestIdleCallback" in window
            ? requestIdleCallback(() => void measure(), { timeout: 800 })
            : void measure(),
        STILL,
      );
    };
    const observers = [frames.phone, frames.wide].flatMap((frame) => {
      const view = frame?.defaultView;
      if (!frame || !view) return [];
      const observer = new view.ResizeObserver(soon);
      observer.observe(frame.body);
      return [observer];
    });
    soon();
    return () => {
      isOver = true;
      clearTimeout(timer);
      observers.forEach((o) => o.disconnect());
    };
  }, [frames, draft, pictures, panes, worker, store]);
}
