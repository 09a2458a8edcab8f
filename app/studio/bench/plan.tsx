import { Box, Typography } from "@mui/material";
import {
  memo,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
} from "react";
import { selectionOf, useStudio, useStudioStore } from "../keeping";
import { whereWords } from "../shared";
import { useAsked, useTarget } from "../panes";
import { INK, useLatest, VISUALLY_HIDDEN } from "../ui";
import type { BenchActions } from "./actions";
import { useCarry } from "./carry";
import { thingsWords, useFindingsBySection } from "./checks";
import { partAt, unseenWords } from "./parts";
import { PartMenu, type MenuState } from "./part-menu";
import { insideOf, neighbourOf } from "./plan-tree";
import { standings } from "./sections";
import { useSectionDrag } from "./use-drag";
import { entryOf, sharedOf, type Draft } from "~/core/document";
import { useWires } from "./wireframe";
import { GAP, Insertion, Item, ITEM, Row, type Hands } from "./plan-parts";

type PlanProps = {
  page: string;
  /** The pane from which the drawings are measured. */
  frame: Document | null;
  actions: BenchActions;
  onAdd: (at: number) => void;
  onEditWords: (id: string) => void;
  onMove: (id: string) => void;
  onCopyTo: (ids: readonly string[]) => void;
  onKeep: (ids: readonly string[]) => void;
  onShare: (id: string) => void;
  /** Brings a part into view, also one that is selected already. */
  onReveal: (id: string) => void;
};

/** The strip that shows a page's sections in order, drawn to scale. Panes come first when words are typed; the plan follows. */
export function Plan(props: PlanProps) {
  const draft = useDeferredValue(useStudio((s) => s.draft));
  return <Strip {...props} draft={draft} />;
}

const COLUMN = 104;

/** The plan itself; a tree to assistive technology. The section in which something is selected is opened up. */
const Strip = memo(function Strip({
  page,
  frame,
  draft,
  actions,
  onAdd,
  onEditWords,
  onMove,
  onCopyTo,
  onKeep,
  onShare,
  onReveal,
}: PlanProps & { draft: Draft }) {
  const store = useStudioStore();
  const asked = useAsked(useTarget(page));
  const problems = useFindingsBySection(draft);
  const wires = useWires(frame, draft);
  const carry = useCarry();
  const selected = useStudio((s) => s.selected);
  const also = useStudio((s) => s.also);
  const [menu, setMenu] = useState<MenuState | null>(null);
  const strip = useRef<HTMLDivElement>(null);
  const items = useRef(new Map<string, HTMLElement>());
  const all = standings(draft, page);
  const open = selected ? partAt(draft, selected)?.path[0] : undefined;
  const groups = open ? insideOf(open, asked) : [];
  const openWidth = groups.length ? groups.length * (COLUMN + 6) + 10 : 0;
  const openIndex = all.findIndex((s) => s.node.id === open?.id);
  const offset = (index: number) => index * (ITEM + GAP) + (openIndex >= 0 && index > openIndex ? openWidth : 0);
  const { dragging, begin } = useSectionDrag(page, {
    extents: (ids) =>
      ids.map((id) => {
        const index = all.findIndex((s) => s.node.id === id);
        return { start: offset(index), end: offset(index) + ITEM + (index === openIndex ? openWidth : 0) };
      }),
    position: (event) => event.clientX - (strip.current?.getBoundingClientRect().left ?? 0),
    scroller: () => ({
      at: (event) => event.clientX - (strip.current?.parentElement?.getBoundingClientRect().left ?? 0),
      size: strip.current?.parentElement?.clientWidth ?? 0,
      by: (px) => strip.current?.parentElement?.scrollBy(px, 0),
    }),
  });
  useEffect(() => {
    if (selected) items.current.get(selected)?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [selected]);

  const openMenu = (event: MouseEvent | KeyboardEvent, id: string) => {
    event.preventDefault();
    event.stopPropagation();
    if (store.getState().selected !== id) store.getState().select(id);
    const box = items.current.get(id)!.getBoundingClientRect();
    setMenu({ id, x: box.left + 8, y: box.top });
  };
  const focusAfterDraw = (id: string) => {
    store.getState().select(id);
    const drawn = items.current.get(id);
    // What is drawn already has the focus at once, so that keys that follow quickly go on from there.
    if (drawn) drawn.focus();
    else requestAnimationFrame(() => items.current.get(id)?.focus());
  };
  const onKey = (event: KeyboardEvent, id: string) => {
    const go = () => {
      const next = neighbourOf(draft, page, id, event.key);
      if (next) focusAfterDraw(next);
    };
    const ways = { ArrowRight: "right", ArrowLeft: "left", ArrowUp: "up", ArrowDown: "down" } as const;
    const way = ways[event.key as keyof typeof ways];
    const table: Record<string, () => void> = {
      Home: go,
      End: go,
      Enter: () => onEditWords(id),
      " ": () => store.getState().select(id, event.ctrlKey || event.shiftKey),
      Delete: actions.remove,
      ContextMenu: () => openMenu(event, id),
      F10: () => (event.shiftKey ? openMenu(event, id) : undefined),
    };
    const action = way
      ? event.altKey
        ? () => {
            actions.nudge(way);
            requestAnimationFrame(() => items.current.get(id)?.focus());
          }
        : go
      : entryOf(table, event.key);
    if (!action) return;
    event.preventDefault();
    event.stopPropagation();
    // What is done is done to what the keyboard is on.
    const state = store.getState();
    if (action !== go && event.key !== " " && !selectionOf(state).includes(id)) state.select(id);
    action();
  };
  const insertions = all.flatMap((s, i) => {
    const next = all[i + 1];
    const left = offset(i) + ITEM + (i === openIndex ? openWidth : 0);
    if (s.slot === "main") return [{ left, at: s.index + 1, words: `Add after ${s.name}` }];
    return next?.slot === "main" ? [{ left, at: 0, words: `Add before ${next.name}` }] : [];
  });
  const known = new Set([...all.map((s) => s.node.id), ...groups.flatMap((g) => g.rows.map((r) => r.id))]);
  const focusable = selected && known.has(selected) ? selected : all[0]?.node.id;
  const isChosen = (id: string) => id === selected || also.includes(id);
  const keep = useLatest((id: string, element: HTMLElement | null) => {
    if (element) items.current.set(id, element);
    else items.current.delete(id);
  });
  const press = useLatest((event: MouseEvent, id: string) => {
    event.stopPropagation();
    store.getState().select(id, event.shiftKey || event.ctrlKey || event.metaKey);
    onReveal(id);
  });
  const write = useLatest((event: MouseEvent, id: string) => {
    event.stopPropagation();
    onEditWords(id);
  });
  const showMenu = useLatest(openMenu);
  const key = useLatest(onKey);
  const grab = useLatest((event: PointerEvent, id: string, isSection: boolean) => {
    if (isSection) return begin(id, event);
    const part = partAt(draft, id);
    if (part) carry.begin({ id, node: part.node }, event);
  });
  const hands = useMemo<Hands>(
    () => ({ keep, press, write, menu: showMenu, key, grab }),
    [keep, press, write, showMenu, key, grab],
  );

  return (
    <Box sx={{ position: "relative", overflowX: "auto", overflowY: "hidden", flex: 1, height: "100%" }}>
      <Box ref={strip} sx={{ position: "relative", width: offset(all.length), height: "100%" }}>
        <Box
          role="tree"
          aria-label="Plan of the page"
          aria-orientation="horizontal"
          aria-multiselectable="true"
          sx={{ display: "flex", gap: `${GAP}px`, height: "100%", alignItems: "center" }}
        >
          {all.map((standing, index) => {
            const { node, name, stands } = standing;
            const shared = sharedOf(stands);
            const where = shared === undefined ? undefined : whereWords(draft.documents, shared);
            const isOpen = index === openIndex && groups.length > 0;
            const found = problems.get(node.id) ?? 0;
            const unseen = unseenWords(node, asked);
            const item = (
              <Item
                key={node.id}
                id={node.id}
                name={name}
                label={`${name}${unseen === undefined ? "" : `, ${unseen}`}, ${where === undefined ? "" : `shared, ${where}, `}${index + 1} of ${all.length}${found ? `, ${thingsWords(found)}` : ""}`}
                shown={unseen === undefined}
                isChosen={isChosen(node.id)}
                isStop={node.id === focusable}
                isDragged={dragging?.id === node.id}
                isOpen={insideOf(node, asked).length ? isOpen : undefined}
                where={where}
                problems={found}
                wire={wires.get(node.id)}
                hands={hands}
              />
            );
            if (!isOpen) return item;
            return (
              <Box key={node.id} role="none" sx={{ display: "flex", alignItems: "center", flex: "none" }}>
                {item}
                <Box role="none" sx={{ display: "flex", gap: "6px", pl: "10px", height: 92 }}>
                  {groups.map((group) => (
                    <Box
                      key={group.key}
                      role="none"
                      sx={{
                        width: COLUMN,
                        display: "flex",
                        flexDirection: "column",
                        gap: "2px",
                        overflowY: "auto",
                        p: "2px",
                      }}
                    >
                      {group.rows.map(({ id, name, level, unseen, kind }) => (
                        <Row
                          key={id}
                          {...{ id, name, level, unseen, kind, hands }}
                          isChosen={isChosen(id)}
                          isStop={id === focusable}
                        />
                      ))}
                    </Box>
                  ))}
                </Box>
              </Box>
            );
          })}
        </Box>
        {insertions.map((each) => (
          <Insertion key={each.left} {...each} onAdd={onAdd} />
        ))}
        {dragging ? (
          <Box
            sx={{
              position: "absolute",
              left: dragging.sill - 4,
              top: 2,
              bottom: 2,
              width: 8,
              bgcolor: INK.lemon,
              borderInline: `1.5px solid ${INK.ink}`,
            }}
          >
            <Typography
              variant="caption"
              sx={{
                position: "absolute",
                left: "50%",
                top: -2,
                transform: "translate(-50%, 0)",
                whiteSpace: "nowrap",
                bgcolor: INK.ink,
                color: INK.paper,
                px: 1,
                py: 0.25,
                borderRadius: 1,
              }}
            >
              {dragging.words}
            </Typography>
          </Box>
        ) : null}
      </Box>
      <span role="status" aria-live="assertive" style={VISUALLY_HIDDEN}>
        {dragging?.words}
      </span>
      <PartMenu
        state={menu}
        actions={actions}
        onClose={() => setMenu(null)}
        onEditWords={onEditWords}
        onMove={onMove}
        onCopyTo={onCopyTo}
        onKeep={onKeep}
        onShare={onShare}
      />
    </Box>
  );
});
