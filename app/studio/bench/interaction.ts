import { nameOf } from "~/kinds";
import { locate } from "~/core/commands";
import type { StudioStore } from "../keeping";
import { fieldAt, pathOf } from "../words";
import { writeWords } from "./words";
import { kindOf } from "~/kinds";

// Elements of a pane belong to the pane's own window, so `instanceof` of this one would not know them.
const asElement = (target: EventTarget | null): HTMLElement | null =>
  target && "closest" in target ? (target as HTMLElement) : null;

const nodeOf = (element: HTMLElement | null) => element?.closest<HTMLElement>("[data-node]")?.dataset.node ?? null;

/** The path of the words under an element. */
const wordsAt = (element: HTMLElement | null): string | undefined => {
  const found = element?.closest<HTMLElement>("[data-at],[data-rich-at]");
  return found?.dataset.at ?? found?.dataset.richAt;
};

// What is folded away has a box in some browsers, and is not seen all the same.
const isVisible = (element: HTMLElement) => element.getClientRects().length > 0 && element.checkVisibility();

/**
 * The element that shows some words in this pane; of several (a menu for each device) the one that can be seen. What is folded
 * away is opened for it.
 */
function wordsElement(frame: Document, node: string, at: string): HTMLElement | undefined {
  const all = [
    ...frame.querySelectorAll<HTMLElement>(`[data-node="${node}"] :is([data-at="${at}"],[data-rich-at="${at}"])`),
  ].filter((e) => nodeOf(e) === node);
  const seen = all.find(isVisible);
  if (seen) return seen;
  const folded = all.find((e) => e.closest("details:not([open])"));
  folded?.closest("details")?.setAttribute("open", "");
  return folded && isVisible(folded) ? folded : undefined;
}

/** Begins to edit words in place. `select`: all of them are selected, as when coming by key. */
export function beginEditing(
  store: StudioStore,
  frame: Document,
  pane: string,
  node: string,
  at: string,
  select: boolean,
): boolean {
  const element = wordsElement(frame, node, at);
  const found = locate(store.getState().draft, node)?.node;
  if (!element || !found) return false;
  const isLine = fieldAt(kindOf(found)?.definition.fields ?? [], pathOf(at))?.type === "line";
  store.getState().setEditing({ pane, node, at });
  // Running text brings its own editor, which takes the element's place.
  if (element.dataset.richAt !== undefined) return true;
  element.setAttribute("contenteditable", "plaintext-only");
  element.setAttribute("role", "textbox");
  element.setAttribute("aria-label", `Words in ${nameOf(found)}`);
  element.focus();
  if (select) frame.getSelection()?.selectAllChildren(element);

  const onInput = () => writeWords(store, node, at, element.innerText);
  const end = () => {
    element.removeAttribute("contenteditable");
    element.removeAttribute("role");
    element.removeAttribute("aria-label");
    element.removeEventListener("input", onInput);
    element.removeEventListener("blur", end);
    element.removeEventListener("keydown", onKey);
    store.getState().setEditing(null);
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === "Escape" || (event.key === "Enter" && (isLine || event.ctrlKey || event.metaKey))) {
      event.preventDefault();
      event.stopPropagation();
      element.blur();
    }
  };
  element.addEventListener("input", onInput);
  element.addEventListener("blur", end);
  element.addEventListener("keydown", onKey);
  return true;
}

/** Begins to edit the first words of a section. */
export function editFirstWords(store: StudioStore, frame: Document, pane: string, node: string): boolean {
  const first = [...frame.querySelectorAll<HTMLElement>(`[data-node="${node}"] :is([data-at],[data-rich-at])`)].find(
    isVisible,
  );
  // The words may be those of a widget in it.
  const owner = first ? nodeOf(first) : null;
  return first && owner ? beginEditing(store, frame, pane, owner, wordsAt(first)!, true) : false;
}

export type PaneEvents = {
  readonly onHover: (node: string | null) => void;
  readonly onPicture: (node: string, at: string) => void;
  /** A hand has been put on a selected widget; it may carry it off. */
  readonly onGrab: (node: string, event: PointerEvent) => void;
};

/** Makes the parts of a pane selectable and its words editable. Nothing in it leads away or is sent. */
export function attachPane(frame: Document, pane: string, store: StudioStore, events: PaneEvents): () => void {
  // A click counts where it was begun: the end of a drag that came from elsewhere, or that Escape has called off, is none.
  let isPressed = false;
  const onClick = (event: MouseEvent) => {
    const target = asElement(event.target);
    const isByKey = event.detail === 0;
    if (!isPressed && !isByKey) return event.preventDefault();
    isPressed = false;
    if (target?.closest("#zest-marks, [data-editing]") || target?.isContentEditable) return;
    const inMenu = target?.closest("summary");
    if (!inMenu) event.preventDefault();
    const node = nodeOf(target);
    const state = store.getState();
    // Beside the words, also of the same part: they are done.
    if (state.editing) state.setEditing(null);
    const besides = event.shiftKey || event.ctrlKey || event.metaKey;
    const wasSelected = node !== null && state.selected === node && !besides;
    state.select(node, besides);
    if (!node || inMenu || besides) return;
    const words = wordsAt(target);
    if (words && wasSelected) {
      beginEditing(store, frame, pane, node, words, false);
      return;
    }
    const picture = target!.closest<HTMLElement>("[data-picture-at]");
    if (picture && wasSelected) events.onPicture(node, picture.dataset.pictureAt!);
  };
  const onDouble = (event: MouseEvent) => {
    const target = asElement(event.target);
    const node = nodeOf(target);
    const words = wordsAt(target);
    if (node && words && !target?.isContentEditable) beginEditing(store, frame, pane, node, words, false);
  };
  const onEscape = (event: KeyboardEvent) => {
    if (event.key === "Escape") isPressed = false;
  };
  const onDown = (event: PointerEvent) => {
    isPressed = true;
    const target = asElement(event.target);
    const node = nodeOf(target);
    if (!node || node !== store.getState().selected || event.shiftKey || event.ctrlKey || event.metaKey) return;
    if (target?.isContentEditable || target?.closest("#zest-marks, [data-editing], input")) return;
    events.onGrab(node, event);
  };
  // A shopper's fields are parts to be chosen here: keys pressed afterwards mean the part, and nothing is typed into it.
  const onPress = (event: MouseEvent) => {
    const target = asElement(event.target);
    if (!target?.closest("input,textarea,select") || target.closest("#zest-marks")) return;
    event.preventDefault();
    frame.defaultView?.focus();
    if (frame.activeElement instanceof frame.defaultView!.HTMLElement) frame.activeElement.blur();
  };
  const onMove = (event: PointerEvent) => events.onHover(nodeOf(asElement(event.target)));
  const onLeave = () => events.onHover(null);
  const never = (event: Event) => event.preventDefault();
  const within: readonly (readonly [string, EventListener])[] = [
    ["click", onClick as EventListener],
    ["dblclick", onDouble as EventListener],
    ["pointerdown", onDown as EventListener],
    ["mousedown", onPress as EventListener],
    ["keydown", onEscape as EventListener],
    ["pointermove", onMove as EventListener],
    ["submit", never],
    ["dragstart", never],
  ];
  for (const [name, listener] of within) frame.addEventListener(name, listener, true);
  frame.documentElement.addEventListener("pointerleave", onLeave);
  return () => {
    for (const [name, listener] of within) frame.removeEventListener(name, listener, true);
    frame.documentElement.removeEventListener("pointerleave", onLeave);
  };
}
