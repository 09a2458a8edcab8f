export type PointerDrag = {
  /** How far a hand has to move before it is a drag, in CSS px: a hand that trembles is none. */
  readonly farEnough: number;
  /** It has become a drag. */
  readonly onStart?: () => void;
  /** The pointer has moved, by so much since it went down. */
  readonly onMove: (dx: number, dy: number, event: PointerEvent) => void;
  /** Every frame while it is held, with the latest event: for what scrolls by itself near an edge. */
  readonly onFrame?: (last: PointerEvent) => void;
  /**
   * It is over, once. `dropped`: let go after a drag. `cancelled`: by Escape, or because the system took the pointer away.
   * `clicked`: let go without having become a drag.
   */
  readonly onEnd: (how: "dropped" | "cancelled" | "clicked") => void;
  /** Whose keys are listened to for Escape; usually the document in which it began. */
  readonly documents?: readonly Document[];
  /** Follow the pointer beyond the edge of the document in which it began. */
  readonly captures?: boolean;
  /** The click that ends a drag is no click for what lies below. */
  readonly swallowsClick?: boolean;
};

/** Follows a pointer that went down until it is let go. The one place where the studio does so, beside dnd-kit's lists. */
export function followPointer(down: PointerEvent, drag: PointerDrag): void {
  const { farEnough, onStart, onMove, onFrame, onEnd, captures = true, swallowsClick = false } = drag;
  const target = down.target as Element;
  const view = target.ownerDocument.defaultView!;
  const documents = drag.documents ?? [target.ownerDocument];
  let hasMoved = false;
  let last = down;
  let timer = 0;

  const move = (event: PointerEvent) => {
    last = event;
    const [dx, dy] = [event.clientX - down.clientX, event.clientY - down.clientY];
    if (!hasMoved) {
      if (Math.hypot(dx, dy) < farEnough) return;
      hasMoved = true;
      onStart?.();
    }
    onMove(dx, dy, event);
  };
  const tick = () => {
    if (hasMoved) onFrame!(last);
    timer = view.requestAnimationFrame(tick);
  };
  const swallow = (event: Event) => {
    event.preventDefault();
    event.stopPropagation();
  };
  const swallowNext = () => {
    view.addEventListener("click", swallow, { capture: true, once: true });
    view.setTimeout(() => view.removeEventListener("click", swallow, true), 0);
  };
  const end = (how: "dropped" | "cancelled") => {
    view.cancelAnimationFrame(timer);
    view.removeEventListener("pointermove", move);
    view.removeEventListener("pointerup", drop);
    view.removeEventListener("pointercancel", cancel);
    for (const each of documents) each.removeEventListener("keydown", onKey, true);
    if (hasMoved && swallowsClick) swallowNext();
    onEnd(hasMoved ? how : how === "dropped" ? "clicked" : "cancelled");
  };
  const drop = () => end("dropped");
  const cancel = () => end("cancelled");
  const onKey = (event: KeyboardEvent) => {
    if (event.key !== "Escape") return;
    swallow(event);
    cancel();
    // The button is still down; letting go of it is not meant either.
    if (hasMoved && swallowsClick) view.addEventListener("pointerup", swallowNext, { once: true });
  };
  if (captures && "setPointerCapture" in target) target.setPointerCapture(down.pointerId);
  view.addEventListener("pointermove", move);
  view.addEventListener("pointerup", drop);
  view.addEventListener("pointercancel", cancel);
  for (const each of documents) each.addEventListener("keydown", onKey, true);
  if (onFrame) timer = view.requestAnimationFrame(tick);
}
