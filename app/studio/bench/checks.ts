import { createContext, useContext, useEffect } from "react";
import { createStore, useStore, type StoreApi } from "zustand";
import { layoutFindings, type LayoutFinding, type LayoutRule } from "~/core/checks";
import { resolve } from "~/core/cascade";
import { setStyles, type Outcome } from "~/core/commands";
import type { Draft, StyleValue } from "~/core/document";
import { hasStyle, kindOf } from "~/kinds";
import { nodeLayers } from "~/render";
import { themeById } from "~/themes";
import { useStudio } from "../keeping";
import { DEVICE_WIDTH } from "./devices";
import type { BenchFrames, PaneDevice } from "./frames";
import { measurePage } from "./measure";
import { partAt } from "./parts";

// While somebody works, what is laid out is measured in both panes, a moment after it has come to rest.

export type PaneFinding = LayoutFinding & { readonly device: PaneDevice };
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

export const RULE_WORDS: Readonly<Record<LayoutRule, string>> = {
  overflow: "Past the edge",
  "small-text": "Too small to read",
  "small-target": "Too small to tap",
  overlap: "Words on words",
  "long-line": "Lines too long",
};

/** How long a page must stand still before it is measured, in ms. */
const STILL = 450;

/** Measures both panes whenever they have come to rest after a change. */
export function useLayoutChecks(frames: BenchFrames): void {
  const store = useChecksStore();
  const draft = useStudio((s) => s.draft);
  useEffect(() => {
    let timer = 0;
    const measure = () => {
      const findings = (["phone", "wide"] as const).flatMap((device) => {
        const frame = frames[device];
        return frame ? layoutFindings(measurePage(frame), DEVICE_WIDTH[device]).map((f) => ({ ...f, device })) : [];
      });
      const { pointed, findings: before } = store.getState();
      // The same findings are left alone, so that nothing is drawn anew for them.
      if (JSON.stringify(findings) === JSON.stringify(before)) return;
      store.setState({
        findings,
        pointed:
          findings.find((f) => f.rule === pointed?.rule && f.node === pointed.node && f.device === pointed.device) ??
          null,
      });
    };
    const soon = () => {
      clearTimeout(timer);
      timer = window.setTimeout(
        () => ("requestIdleCallback" in window ? requestIdleCallback(measure, { timeout: 800 }) : measure()),
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
      clearTimeout(timer);
      observers.forEach((o) => o.disconnect());
    };
  }, [frames, draft, store]);
}

/** What puts a finding right in one step, where there is such a thing; for the device on which it was found. */
export function mendOf(
  draft: Draft,
  finding: PaneFinding,
): { readonly label: string; readonly outcome: Outcome } | undefined {
  const part = partAt(draft, finding.node);
  const definition = part && kindOf(part.node)?.definition;
  if (!part || !definition) return undefined;
  const layers = nodeLayers(part.node, themeById(draft.look.theme), draft.look);
  const now = (property: string) => resolve(layers, property, finding.device)?.value;
  const can = (property: string) => hasStyle(definition, part.node, property);
  const set = (property: string, value: StyleValue, label: string) => ({
    label,
    outcome: setStyles(draft, [{ id: part.node.id, audience: finding.device, property, value }], label),
  });
  switch (finding.rule) {
    case "small-text":
      return can("size") ? set("size", 0, "Make it as large as text") : undefined;
    case "long-line":
      if (can("measure")) return set("measure", "62ch", "Shorten the lines");
      return can("width") && now("width") !== "narrow" ? set("width", "narrow", "Make the section narrow") : undefined;
    case "overflow": {
      const head = now("headSize");
      if (can("headSize") && typeof head === "number" && head > 1)
        return set("headSize", head - 1, "Make the head a step smaller");
      if (can("wide") && now("wide") !== "fill") return set("wide", "fill", "Fit it into its place");
      if (can("rows") && now("rows") !== 1) return set("rows", 1, "Put the columns below each other");
      return undefined;
    }
    case "overlap":
      return can("above") ? set("above", 3, "Give it room above") : undefined;
    case "small-target":
      return can("pad") ? set("pad", 2, "Give it room around") : undefined;
  }
}
