import { useState, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from "react";
import { amountOf, PROPERTIES, resolve, type Layer } from "~/core/cascade";
import { columnsOf, setShares, setStyle, sharesIn } from "~/core/commands";
import type { Device, Audience, Part } from "~/core/document";
import { alignmentsOf, dragLine, ratioOf } from "~/core/layout";
import { usualShareIn } from "~/render";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { useHeld } from "./use-held";
import { boxOf, useMeasured } from "./use-measured";

/** How near to a common ratio a line has to come to be drawn to it, in percent of the columns' width. */
const REACH = 1.6;

/** The lines between a section's columns: dragged, or moved with the arrow keys. */
export function ColumnLines({ frame, section, audience }: { frame: Document; section: Part; audience: Audience }) {
  const store = useStudioStore();
  const held = useHeld();
  const [active, setActive] = useState<{ line: number; words: string; rules: ReturnType<typeof alignmentsOf> } | null>(
    null,
  );
  const columns = columnsOf(section);
  const rects = useMeasured(frame, () => columns.map((c) => boxOf(frame, c.id))) ?? [];
  const usual = usualShareIn(themeById(useStudio((s) => s.draft.look.theme)));
  const shares = sharesIn(section, audience, usual);
  const set = (next: readonly number[], words?: string) =>
    store.getState().run(setShares(store.getState().draft, section.id, audience, next, words));
  const words = (next: readonly number[], line: number) =>
    ratioOf(next[line]!, next[line + 1]!) ?? `${Math.round(next[line]!)} % : ${Math.round(next[line + 1]!)} %`;

  return columns.slice(0, -1).map((column, line) => {
    const [left, right] = [rects[line], rects[line + 1]];
    // Only neighbours in one row have a line between them.
    if (!left || !right || right.left < left.left + left.width - 1) return null;
    const x = (left.left + left.width + right.left) / 2;
    const top = Math.min(left.top, right.top);
    const bottom = Math.max(left.top + left.height, right.top + right.height);
    const begin = (down: ReactPointerEvent) => {
      const start = shares;
      const room = rects.reduce((sum, r) => sum + (r?.width ?? 0), 0);
      held(
        down,
        (dx, _dy, event) => {
          const dragged = dragLine(start, line, (dx / room) * 100, REACH, event.altKey);
          set(dragged.shares);
          const edge = boxOf(frame, column.id);
          const others = [...frame.querySelectorAll<HTMLElement>('[data-level="widget"],[data-level="column"],.pic')]
            .filter((e) => !e.closest(`[data-node="${section.id}"]`) && e.getClientRects().length > 0)
            .map((e) => {
              const r = e.getBoundingClientRect();
              return { left: r.left, top: r.top + (frame.defaultView?.scrollY ?? 0), width: r.width, height: r.height };
            });
          setActive({
            line,
            words: dragged.snapped ?? words(dragged.shares, line),
            rules: edge
              ? alignmentsOf({ ...edge, left: edge.left + edge.width, width: 0 }, others)
                  .filter((r) => r.axis === "x")
                  .slice(0, 3)
              : [],
          });
        },
        () => setActive(null),
      );
    };
    const onKey = (event: KeyboardEvent) => {
      const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
      if (!by) return;
      event.preventDefault();
      event.stopPropagation();
      set(dragLine(shares, line, by * (event.shiftKey ? 5 : 1), 0, true).shares);
    };
    return (
      <div key={column.id}>
        <button
          type="button"
          className="zm-line"
          role="separator"
          aria-orientation="vertical"
          aria-label={`Line between columns ${line + 1} and ${line + 2}`}
          aria-valuenow={Math.round(shares[line]!)}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuetext={words(shares, line)}
          style={{ left: x, top, height: bottom - top }}
          onPointerDown={begin}
          onKeyDown={onKey}
        />
        {active?.line === line ? (
          <>
            <span className="zm-value" style={{ left: x, top: top + 8 }}>
              {active.words}
            </span>
            {active.rules.map((rule, i) => (
              <span
                key={i}
                className="zm-rule"
                style={{ left: rule.at, top: rule.from, height: rule.to - rule.from }}
                data-words={rule.distance ? `${Math.round(rule.distance)} px` : ""}
              />
            ))}
          </>
        ) : null}
      </div>
    );
  });
}

/** Which value an edge of a part moves. */
const EDGES = {
  section: { top: "spaceTop", bottom: "spaceBottom" },
  column: { top: "above", bottom: "below" },
  widget: { top: "above", bottom: "below" },
} as const;

/** How near to a step an amount has to come to become that step, in px. */
const STEP_REACH = 3;

type SpaceProps = {
  frame: Document;
  node: Part;
  level: keyof typeof EDGES;
  layers: readonly Layer[];
  audience: Audience;
  device: Device;
};

/** Space above and below a part, dragged at its edges with its amount shown; it snaps to the steps. */
export function SpaceHandles({ frame, node, level, layers, audience, device }: SpaceProps) {
  const store = useStudioStore();
  const held = useHeld();
  const [active, setActive] = useState<{ edge: "top" | "bottom"; words: string } | null>(null);
  const elementNow = () => frame.querySelector<HTMLElement>(`[data-node="${node.id}"]`);
  const measured = useMeasured(frame, () => {
    const element = elementNow();
    const rect = boxOf(frame, node.id);
    const computed = element && frame.defaultView?.getComputedStyle(element);
    if (!rect || !computed) return null;
    const space = (edge: "top" | "bottom") =>
      Number.parseFloat(computed.getPropertyValue(level === "section" ? `padding-${edge}` : `margin-${edge}`)) || 0;
    return { rect, space: { top: space("top"), bottom: space("bottom") } };
  });
  if (!measured) return null;
  const { rect, space } = measured;

  return (["top", "bottom"] as const).map((edge) => {
    const property = EDGES[level][edge];
    const now = space[edge];
    // A section's space lies inside of it, that of other parts outside.
    const inner = level === "section";
    const y =
      edge === "top"
        ? inner
          ? rect.top + now
          : rect.top
        : inner
          ? rect.top + rect.height - now
          : rect.top + rect.height;
    const grows = (dy: number) => (edge === "bottom" && inner ? -dy : dy);
    const said = resolve(layers, property, device)?.value;
    const nameOf = (value: string | number | boolean | undefined) =>
      value === undefined
        ? ""
        : amountOf(value)
          ? ""
          : (PROPERTIES[property]!.choices.find((c) => c.value === value)?.label ?? "");
    const words = (px: number, step: string) => (step ? `${step}, ${Math.round(px)} px` : `${Math.round(px)} px`);
    const begin = (down: ReactPointerEvent) => {
      const { exact, choices } = PROPERTIES[property]!;
      const element = elementNow();
      if (!element) return;
      const sizes = choices.map((c) => {
        const probe = frame.createElement("i");
        probe.style.cssText = `position:absolute;visibility:hidden;width:var(--s${String(c.value)})`;
        element.append(probe);
        const width = probe.getBoundingClientRect().width;
        probe.remove();
        return { choice: c, width };
      });
      held(
        down,
        (_dx, dy, event) => {
          const px = Math.round(Math.max(exact!.least, Math.min(exact!.most, now + grows(dy))));
          const near = event.altKey
            ? undefined
            : sizes
                .filter((s) => Math.abs(s.width - px) <= STEP_REACH)
                .sort((a, b) => Math.abs(a.width - px) - Math.abs(b.width - px))[0];
          const value = near ? near.choice.value : `${px}px`;
          const { draft, run } = store.getState();
          run(setStyle(draft, [node.id], audience, property, value, PROPERTIES[property]!.label));
          setActive({ edge, words: words(near?.width ?? px, near?.choice.label ?? "") });
        },
        () => setActive(null),
      );
    };
    return (
      <div key={edge}>
        {now > 0 && active?.edge === edge ? (
          <span
            className="zm-space"
            style={{
              left: rect.left,
              width: rect.width,
              top: edge === "top" ? y - now : y,
              height: now,
            }}
          />
        ) : null}
        <button
          type="button"
          className="zm-edge-grip"
          tabIndex={-1}
          aria-label={`${PROPERTIES[property]!.label}: ${words(now, nameOf(said))}`}
          title={`${PROPERTIES[property]!.label}: ${words(now, nameOf(said))}`}
          style={{ left: rect.left + rect.width / 2, top: y }}
          onPointerDown={begin}
        />
        {active?.edge === edge ? (
          <span className="zm-value" style={{ left: rect.left + rect.width / 2, top: y }}>
            {active.words}
          </span>
        ) : null}
      </div>
    );
  });
}
