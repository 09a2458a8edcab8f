import { createContext, useContext } from "react";
import { createStore, useStore, type StoreApi } from "zustand";
import { addNode, carryNode } from "~/core/commands";
import { walk, type Part, entryOf } from "~/core/document";
import { placeIn, slotAt, type DropPlace, type DropSlot, type Point, type Rect } from "~/core/layout";
import { accepts, nameOf, strangerIn } from "~/kinds";
import type { StudioStore } from "../keeping";
import { followPointer } from "../ui";
import { edgeScroll } from "./drop";
import type { BenchFrames, PaneDevice } from "./frames";
import { partDropWords, partAt } from "./parts";

// Carrying a column or a widget: within its place, to any other, from one pane to the other, or from Add onto the page. Where
// it would go is worked out from what the panes measure, once at the start and again whenever something scrolls.

/** What is carried: a part of the page, or a new one. */
export type Load = { readonly id?: string; readonly node: Part };
export type Carrying = {
  readonly name: string;
  /** It was taken up outside of the panes, which would swallow the pointer. */
  readonly fromStudio: boolean;
  /** Where the pointer is, in the studio's window. */
  readonly at: Point;
  readonly pane: PaneDevice | null;
  readonly place: DropPlace | null;
  readonly words: string;
};
type CarryState = { readonly carrying: Carrying | null };
export type Carry = StoreApi<CarryState> & {
  readonly begin: (load: Load, down: PointerEvent, onStart?: () => void) => void;
};

/** How the studio's window sees a frame: where it is and how much it is shrunk. */
function standOf(frame: Document): { readonly rect: DOMRect; readonly scale: number } | undefined {
  const element = frame.defaultView?.frameElement as HTMLElement | null;
  if (!element) return undefined;
  const rect = element.getBoundingClientRect();
  return { rect, scale: rect.width / (element.offsetWidth || 1) };
}

const rectIn = (element: Element, scroll: number): Rect => {
  const { left, top, width, height } = element.getBoundingClientRect();
  return { left, top: top + scroll, width, height };
};

/** In which direction the things in a slot follow each other, as they are drawn. */
function flowOf(element: Element, inside: readonly { readonly rect: Rect }[]): "row" | "column" {
  const [first, second] = inside;
  if (first && second) return second.rect.top >= first.rect.top + first.rect.height - 1 ? "column" : "row";
  const { display, flexDirection } = element.ownerDocument.defaultView!.getComputedStyle(element);
  return display.includes("flex") && flexDirection.startsWith("row") ? "row" : "column";
}

/** The slots of a pane that can take a part, in the coordinates of its whole page. */
function slotsOf(frame: Document, store: StudioStore, load: Load): readonly DropSlot[] {
  const { draft } = store.getState();
  const scroll = frame.defaultView?.scrollY ?? 0;
  const within = new Set([...walk(load.node)].map((n) => n.id));
  const slots: DropSlot[] = [];
  for (const element of frame.querySelectorAll<HTMLElement>("[data-slot]")) {
    const [parent = "", slot = ""] = element.dataset.slot!.split(":");
    const part = partAt(draft, parent);
    const node = part?.node;
    const document = part && entryOf(draft.documents, part.document);
    if (
      !node ||
      !document ||
      strangerIn(document, load.node) ||
      within.has(parent) ||
      !accepts(node, slot, load.node) ||
      element.getClientRects().length === 0
    )
      continue;
    const inside = (entryOf(node.slots, slot) ?? []).flatMap((child) => {
      const found = element.querySelector(`:scope > [data-node="${child.id}"]`);
      // What is hidden on this device keeps its place in the order, as a line between its neighbours.
      return found ? [{ id: child.id, rect: rectIn(found, scroll) }] : [];
    });
    slots.push({ parent, slot, rect: rectIn(element, scroll), flow: flowOf(element, inside), inside });
  }
  return slots;
}

/** A hand that trembles does not carry; in CSS px. */
const FAR_ENOUGH = 6;

export function createCarry(store: StudioStore, framesNow: () => BenchFrames): Carry {
  const carry = createStore<CarryState>(() => ({ carrying: null }));

  const begin: Carry["begin"] = (load, down, onStart) => {
    if (down.button !== 0) return;
    const source = (down.target as Element).ownerDocument;
    const view = source.defaultView!;
    const measured = new Map<PaneDevice, readonly DropSlot[]>();
    const name = nameOf(load.node);

    /** Where the pointer is in the studio's window: events of a pane speak of the pane. */
    const inStudio = (event: PointerEvent): Point => {
      const stand = view === window ? undefined : standOf(source);
      return stand
        ? { x: stand.rect.left + event.clientX * stand.scale, y: stand.rect.top + event.clientY * stand.scale }
        : { x: event.clientX, y: event.clientY };
    };
    const paneAt = (at: Point) => {
      for (const pane of ["phone", "wide"] as const) {
        const frame = framesNow()[pane];
        const stand = frame && standOf(frame);
        if (!frame || !stand) continue;
        const { rect, scale } = stand;
        if (at.x < rect.left || at.x > rect.right || at.y < rect.top || at.y > rect.bottom) continue;
        return { pane, frame, point: { x: (at.x - rect.left) / scale, y: (at.y - rect.top) / scale } };
      }
      return undefined;
    };
    const follow = (event: PointerEvent) => {
      const at = inStudio(event);
      const over = paneAt(at);
      let place: DropPlace | undefined;
      if (over) {
        const { pane, frame, point } = over;
        if (!measured.has(pane)) measured.set(pane, slotsOf(frame, store, load));
        const scroll = frame.defaultView?.scrollY ?? 0;
        const onPage = { x: point.x, y: point.y + scroll };
        const slot = slotAt(measured.get(pane)!, onPage);
        place = slot && placeIn(slot, onPage);
      }
      const words = !over
        ? "Let go here to leave it as it is"
        : place
          ? partDropWords(store.getState().draft, place, load.id)
          : "Nothing can be put here. Columns of a Freehand section take anything.";
      carry.setState({
        carrying: { name, fromStudio: view === window, at, pane: over?.pane ?? null, place: place ?? null, words },
      });
    };
    const drop = ({ place, words }: Carrying) => {
      if (!place) return;
      const { draft, run, say } = store.getState();
      const { parent, slot, index } = place;
      const document = partAt(draft, parent)?.document;
      if (!document || (load.id !== undefined && words === "Stays here")) return;
      const outcome =
        load.id === undefined
          ? addNode(draft, document, { parent, slot, index }, load.node, name)
          : carryNode(draft, load.id, { document, parent, slot, index }, `${name} moved`);
      const why = run(outcome);
      if (why) say(why, "problem");
    };
    followPointer(down, {
      farEnough: FAR_ENOUGH,
      // Beyond the edge of its pane as well.
      captures: view !== window,
      documents: [document, framesNow().phone, framesNow().wide].filter((d) => d !== null),
      swallowsClick: true,
      ...(onStart ? { onStart } : {}),
      onMove: (_dx, _dy, event) => follow(event),
      onFrame: (last) => {
        const over = paneAt(inStudio(last));
        const by = over ? edgeScroll(over.point.y, over.frame.defaultView?.innerHeight ?? 0) : 0;
        if (!over || !by) return;
        over.frame.defaultView!.scrollBy(0, by);
        follow(last);
      },
      onEnd: (how) => {
        const { carrying } = carry.getState();
        carry.setState({ carrying: null });
        if (how === "dropped" && carrying) drop(carrying);
      },
    });
  };
  return Object.assign(carry, { begin });
}

const CarryContext = createContext<Carry | null>(null);
export const CarryProvider = CarryContext.Provider;
export function useCarry(): Carry {
  const carry = useContext(CarryContext);
  if (!carry) throw new Error("things can be carried only on the bench");
  return carry;
}
/** What is being carried, as far as `read` asks. */
export const useCarrying = <T>(read: (carrying: Carrying | null) => T): T =>
  useStore(useCarry(), (state) => read(state.carrying));
