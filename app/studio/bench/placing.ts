import { amountOf, resolve } from "~/core/cascade";
import { setStyles } from "~/core/commands";
import type { Audience, Device, Part } from "~/core/document";
import { placeAt, spotOf, widened, type Guide, type Rect, type Spot } from "~/core/layout";
import { hasTrait, nameOf } from "~/kinds";
import { nodeLayers } from "~/render";
import { themeById } from "~/themes";
import type { StudioStore } from "../keeping";
import { followPointer } from "../ui";
import { partAt } from "./parts";
import { boxOf } from "./use-measured";

// Things that are placed freely on a frame, such as a poster: moved by hand within it and made wider.

/** What is seen while a thing is held: the lines on which it stands, and where it is, in words. */
export type Held = {
  readonly id: string;
  readonly frame: Rect;
  readonly guides: readonly Guide[];
  readonly words: string;
};

/** Near enough to a line to be drawn to it, in px of the screen. */
const REACH = 7;

/** The part that a thing is placed on; undefined where it is not placed freely. */
export function frameAround(store: StudioStore, id: string): Part | undefined {
  const around = partAt(store.getState().draft, id)?.path.at(-2);
  return around && hasTrait(around, "places") ? around : undefined;
}

/** For whom a hand in a pane moves something: on a phone for phones, on a wide screen for all that have no place of their own. */
export const whomFor = (audience: Audience, device: Device): Audience =>
  audience === "all" ? (device === "wide" ? "all" : device) : audience;

/** A share that a thing says on a device, in percent; undefined where it says none. Keys are pressed faster than panes are measured. */
function saidOf(store: StudioStore, id: string, property: string, device: Device): number | undefined {
  const { draft } = store.getState();
  const node = partAt(draft, id)?.node;
  const value = node && resolve(nodeLayers(node, themeById(draft.look.theme), draft.look), property, device)?.value;
  return value === undefined ? undefined : amountOf(value)?.amount;
}

const spotStyles = (id: string, audience: Audience, { x, y }: Spot) => [
  { id, audience, property: "fromLeft", value: `${x}%` },
  { id, audience, property: "fromTop", value: `${y}%` },
];

const run = (store: StudioStore, changes: Parameters<typeof setStyles>[1], label: string, key: string) => {
  const { draft, run: change } = store.getState();
  return change(setStyles(draft, changes, label, key));
};

/** Moves a thing on its frame by so much, in percent: the keyboard's way. */
export function nudgePlaced(
  store: StudioStore,
  frame: Document,
  node: Part,
  device: Device,
  dx: number,
  dy: number,
): void {
  const around = frameAround(store, node.id);
  const [own, box] = [boxOf(frame, node.id), around && boxOf(frame, around.id)];
  if (!own || !box) return;
  const measured = spotOf(own, box);
  const x = saidOf(store, node.id, "fromLeft", device) ?? measured.x;
  const y = saidOf(store, node.id, "fromTop", device) ?? measured.y;
  const middle = { x: ((x + dx) / 100) * box.width, y: ((y + dy) / 100) * box.height };
  const { spot } = placeAt(middle, own, box, [], 0);
  const audience = whomFor(store.getState().audience, device);
  run(store, spotStyles(node.id, audience, spot), `${nameOf(node)} moved`, `place:${node.id}:${audience}`);
}

/** Makes a thing wider by so much of its frame, in percent; its left edge stays. */
export function widenByKey(store: StudioStore, frame: Document, node: Part, device: Device, by: number): void {
  const around = frameAround(store, node.id);
  const [own, box] = [boxOf(frame, node.id), around && boxOf(frame, around.id)];
  if (!own || !box) return;
  const width = ((saidOf(store, node.id, "spread", device) ?? (own.width / box.width) * 100) / 100) * box.width;
  const x = ((saidOf(store, node.id, "fromLeft", device) ?? spotOf(own, box).x) / 100) * box.width;
  widen(
    store,
    node,
    device,
    widened({ ...own, left: box.left + x - width / 2, width }, box, (by / 100) * box.width),
    by > 0,
  );
}

function widen(store: StudioStore, node: Part, device: Device, to: ReturnType<typeof widened>, isWider: boolean): void {
  const audience = whomFor(store.getState().audience, device);
  const changes = [
    { id: node.id, audience, property: "spread", value: `${to.width}%` },
    { id: node.id, audience, property: "fromLeft", value: `${to.x}%` },
  ];
  run(store, changes, `${nameOf(node)} made ${isWider ? "wider" : "narrower"}`, `spread:${node.id}:${audience}`);
}

type DragGiven = {
  readonly store: StudioStore;
  readonly frame: Document;
  readonly device: Device;
  /** How much the pane is shrunk. */
  readonly scale: number;
  readonly node: Part;
  readonly down: PointerEvent;
  readonly onHeld: (held: Held | null) => void;
};

/** A change that is one step however long the hand stays on; Escape takes it back. */
function hold({ store, down, onHeld }: DragGiven, onMove: (dx: number, dy: number, event: PointerEvent) => void): void {
  const { history } = store.getState();
  followPointer(down, {
    farEnough: 3,
    swallowsClick: true,
    onStart: () => store.getState().hold(true),
    onMove,
    onEnd: (how) => {
      store.getState().hold(false);
      if (how === "cancelled" && store.getState().history !== history) store.getState().undo();
      onHeld(null);
    },
  });
}

/** Moves a thing with the hand: drawn to edges, middles and neighbours, unless Alt is held. */
export function dragPlaced(given: DragGiven): void {
  const { store, frame, device, scale, node, onHeld } = given;
  const around = frameAround(store, node.id);
  const [own, box] = [boxOf(frame, node.id), around && boxOf(frame, around.id)];
  if (!around || !own || !box) return;
  const neighbours = (around.slots.placed ?? []).flatMap((each): Rect[] => {
    const rect = each.id === node.id ? undefined : boxOf(frame, each.id);
    return rect ? [{ ...rect, left: rect.left - box.left, top: rect.top - box.top }] : [];
  });
  const audience = whomFor(store.getState().audience, device);
  const start = { x: own.left + own.width / 2 - box.left, y: own.top + own.height / 2 - box.top };
  hold(given, (dx, dy, event) => {
    const reach = event.altKey ? 0 : REACH / scale;
    const middle = { x: start.x + dx, y: start.y + dy };
    const { spot, guides } = placeAt(middle, own, box, event.altKey ? [] : neighbours, reach);
    run(store, spotStyles(node.id, audience, spot), `${nameOf(node)} moved`, `place:${node.id}:${audience}`);
    const left = Math.round((spot.x / 100) * box.width - own.width / 2);
    const top = Math.round((spot.y / 100) * box.height - own.height / 2);
    onHeld({ id: node.id, frame: box, guides, words: `${left} px from the left, ${top} px from the top` });
  });
}

/** Makes a thing wider or narrower by its right edge; the left one stays. */
export function widenPlaced(given: DragGiven): void {
  const { store, frame, device, node, onHeld } = given;
  const around = frameAround(store, node.id);
  const [own, box] = [boxOf(frame, node.id), around && boxOf(frame, around.id)];
  if (!own || !box) return;
  hold(given, (dx) => {
    const to = widened(own, box, dx);
    widen(store, node, device, to, dx > 0);
    onHeld({ id: node.id, frame: box, guides: [], words: `${Math.round(to.width)} % of the width` });
  });
}
