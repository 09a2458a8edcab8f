/** Keeps panes at the same place of the page: the same section, equally far through it. */
export class ScrollSync {
  private readonly panes = new Map<string, Document>();
  private leader: string | null = null;
  private quiet = 0;
  /** What has to be brought into view as soon as it is drawn. */
  private wanted: string | null = null;

  /** Lets a pane take part; gives back how to let it leave. */
  join(name: string, frame: Document): () => void {
    this.panes.set(name, frame);
    const lead = (event: Event) => {
      this.leader = name;
      // Whoever moves the page now knows where to.
      if (event.type !== "pointermove") this.wanted = null;
    };
    const follow = () => {
      if (this.leader === name && this.quiet === 0) this.align(name, frame);
    };
    const events = ["wheel", "pointerdown", "pointermove", "keydown", "touchstart"] as const;
    for (const event of events) frame.addEventListener(event, lead, { passive: true });
    frame.addEventListener("scroll", follow, { passive: true });
    const drawn = new (frame.defaultView as Window & typeof globalThis).ResizeObserver(() => {
      if (this.wanted !== null) this.reveal(this.wanted);
    });
    drawn.observe(frame.body);
    return () => {
      drawn.disconnect();
      this.panes.delete(name);
      for (const event of events) frame.removeEventListener(event, lead);
      frame.removeEventListener("scroll", follow);
    };
  }

  private align(name: string, frame: Document): void {
    const place = placeIn(frame);
    if (!place) return;
    for (const [other, document] of this.panes) if (other !== name) scrollTo(document, place);
  }

  /** Opens what a part stands in, in every pane. */
  unfold(node: string): void {
    for (const frame of this.panes.values()) unfold(frame, node);
  }

  /** Brings a part into view in every pane, unless it is there already; what is not drawn yet, when it is. */
  reveal(node: string): void {
    const isDrawn = [...this.panes.values()].some((frame) => frame.querySelector(`[data-node="${node}"]`));
    this.wanted = isDrawn ? null : node;
    this.quiet++;
    for (const frame of this.panes.values()) {
      const element = frame.querySelector<HTMLElement>(`[data-node="${node}"]`);
      const window = frame.defaultView;
      if (!element || !window) continue;
      bringAlong(element);
      const { top, bottom } = element.getBoundingClientRect();
      if (top < window.innerHeight * 0.75 && bottom > window.innerHeight * 0.2) continue;
      window.scrollTo({ top: window.scrollY + top - window.innerHeight * 0.12 });
    }
    requestAnimationFrame(() => requestAnimationFrame(() => void this.quiet--));
  }
}

/**
 * Opens what a part stands in, such as the item of a menu that holds it, and closes menus that were opened for another part. What is in
 * the part itself stays as it is: that opens and closes by being pressed.
 */
function unfold(frame: Document, node: string): void {
  const own = [...frame.querySelectorAll<HTMLElement>(`[data-node="${node}"]`)];
  for (const menu of frame.querySelectorAll<HTMLDetailsElement>("details.drop[open],details.sub[open]"))
    if (!own.some((element) => menu.contains(element) || element.contains(menu))) menu.open = false;
  for (const element of own)
    for (
      let around = element.parentElement?.closest("details");
      around;
      around = around.parentElement?.closest("details")
    )
      around.open = true;
}

/** Brings a part into sight within a row that it stands in, such as slides; the page stays where it is. */
function bringAlong(element: HTMLElement): void {
  const view = element.ownerDocument.defaultView;
  for (let row = element.parentElement; row; row = row.parentElement) {
    if (row.scrollWidth <= row.clientWidth + 1 || view?.getComputedStyle(row).overflowX !== "auto") continue;
    const own = element.getBoundingClientRect();
    const box = row.getBoundingClientRect();
    if (own.left >= box.left - 1 && own.right <= box.right + 1) return;
    row.scrollTo({ left: row.scrollLeft + own.left - box.left, behavior: "instant" });
    return;
  }
}

type ScrollPlace = { readonly node: string; readonly share: number };

const sectionsIn = (frame: Document) =>
  [...frame.querySelectorAll<HTMLElement>("[data-level=section]")].filter((s) => s.getClientRects().length > 0);

/** The section under a line a fifth down the pane, and how far through it that line is. */
function placeIn(frame: Document): ScrollPlace | undefined {
  const line = (frame.defaultView?.innerHeight ?? 0) * 0.2;
  for (const section of sectionsIn(frame)) {
    const { top, bottom, height } = section.getBoundingClientRect();
    if (bottom > line && height > 0) return { node: section.dataset.node!, share: (line - top) / height };
  }
  return undefined;
}

function scrollTo(frame: Document, { node, share }: ScrollPlace): void {
  const section = frame.querySelector<HTMLElement>(`[data-node="${node}"]`);
  const window = frame.defaultView;
  if (!section || !window || section.getClientRects().length === 0) return;
  const { top, height } = section.getBoundingClientRect();
  window.scrollTo(0, window.scrollY + top + height * share - window.innerHeight * 0.2);
}
