import { all, one } from "./page";

const SHOWN = "zest-over";
const DAYS: ReadonlyMap<string, number> = new Map([
  ["day", 1],
  ["week", 7],
  ["month", 30],
  ["once", 3650],
]);
const DAY_MS = 86_400_000;
/** On a narrow screen nothing lies over the page in the first seconds: it would be all that is seen. */
const FIRST_MS = 5_000;
const isNarrow = () => matchMedia("(max-width: 640px)").matches;
/** Somebody is writing, or has something else open: later, then. */
const AGAIN_MS = 8_000;

/** When things were shown, by what they said; known to this browser alone. */
function shownBefore(): ReadonlyMap<string, number> {
  try {
    return new Map(JSON.parse(localStorage.getItem(SHOWN) ?? "[]") as [string, number][]);
  } catch {
    return new Map();
  }
}

function note(name: string, until: number): void {
  try {
    const now = Date.now();
    const kept = [...shownBefore()].filter(([, end]) => end > now);
    localStorage.setItem(SHOWN, JSON.stringify([...kept.slice(-30), [name, until]]));
    sessionStorage.setItem(`${SHOWN} ${name}`, "1");
  } catch {
    // A browser that keeps nothing shows it on the next page once more.
  }
}

function wasShown(name: string): boolean {
  try {
    if (sessionStorage.getItem(`${SHOWN} ${name}`)) return true;
  } catch {
    return false;
  }
  return (shownBefore().get(name) ?? 0) > Date.now();
}

let isTaken = false;

/** What lies over a page: one at most on each page, once it is time for it. */
export class Over extends HTMLElement {
  connectedCallback(): void {
    const dialog = this.closest("dialog");
    const { name = "", opens, at = "0" } = this.dataset;
    if (!dialog || !this.isWhole) return;
    let isAnswered = !this.asks;
    for (const button of all("[data-close]", this))
      button.addEventListener("click", () => {
        isAnswered = true;
        dialog.close();
      });
    // Pressed twice, Escape closes a dialog whatever is said to the first.
    dialog.addEventListener("close", () => !isAnswered && dialog.showModal());
    dialog.addEventListener("click", (event) => {
      // Beside it is what is behind it.
      const { left, right, top, bottom } = dialog.getBoundingClientRect();
      const isIn = event.clientX >= left && event.clientX <= right && event.clientY >= top && event.clientY <= bottom;
      if (event.target === dialog && !isIn && !this.asks) dialog.close();
    });
    // Whoever has answered it is not asked again for a year.
    dialog.addEventListener("submit", () => note(name, Date.now() + 365 * DAY_MS));
    // Whoever presses a link to it wants to see it, whatever came before.
    document.addEventListener("click", (event) => {
      const link = (event.target as Element).closest?.(`a[href="#${dialog.id}"]`);
      if (!link || dialog.open) return;
      event.preventDefault();
      this.show(dialog);
      // What was asked for gets the keyboard, and gives it back.
      (one<HTMLElement>("a[href],button,input", dialog) ?? dialog).focus();
      dialog.addEventListener("close", () => (link as HTMLElement).focus(), { once: true });
    });
    if (!this.isAlone)
      document.addEventListener("keydown", (event) => event.key === "Escape" && !this.asks && dialog.close());
    if (opens === "link" || wasShown(name)) return;
    // What asks for an answer first comes first.
    const least = isNarrow() && !this.asks ? FIRST_MS : 0;
    if (opens === "after") this.soon(dialog, Math.max(Number(at) * 1000, least));
    else if (opens === "far") this.onceFar(dialog, Number(at) / 100);
    else document.documentElement.addEventListener("mouseleave", (event) => event.clientY <= 0 && this.open(dialog));
  }

  /** Everything in it has something to say: a meter without a goal, or goods that are gone, would come with an empty box. */
  private get isWhole(): boolean {
    const isEmpty = (part: Element) => !part.textContent.trim() && !one("img,svg,video,iframe,hr,input", part);
    return all(".w:not(.w-picture)", this).every((part) => !isEmpty(part));
  }

  /** It asks for an answer, and is closed by that alone. */
  private get asks(): boolean {
    return this.dataset.answer !== undefined;
  }

  /** Nothing else can be worked with until it is closed. */
  private get isAlone(): boolean {
    return this.dataset.alone !== undefined;
  }

  private soon(dialog: HTMLDialogElement, ms: number): void {
    setTimeout(() => this.open(dialog), ms);
  }

  private onceFar(dialog: HTMLDialogElement, share: number): void {
    const look = () => {
      const { scrollHeight, clientHeight } = document.documentElement;
      if (scrollY + clientHeight < share * scrollHeight) return;
      removeEventListener("scroll", look);
      this.soon(dialog, isNarrow() ? Math.max(0, FIRST_MS - performance.now()) : 0);
    };
    addEventListener("scroll", look, { passive: true });
    look();
  }

  private open(dialog: HTMLDialogElement): void {
    const { name = "", often = "month", opens } = this.dataset;
    if (isTaken || dialog.open) return;
    if (document.activeElement?.matches("input,select,textarea") || all("dialog[open]").length)
      // Whoever has come back from the edge of the window is no longer leaving.
      return opens === "leave" ? undefined : this.soon(dialog, AGAIN_MS);
    note(name, Date.now() + (DAYS.get(often) ?? 0) * DAY_MS);
    this.show(dialog);
  }

  private show(dialog: HTMLDialogElement): void {
    isTaken = true;
    // What is open besides, a menu on a phone say, gives way.
    for (const other of all<HTMLDialogElement>("dialog[open]")) other.close();
    if (this.isAlone) return dialog.showModal();
    // It comes from the side and leaves the keyboard where it is.
    const at = document.activeElement as HTMLElement | null;
    dialog.show();
    if (at && at !== document.body) at.focus({ preventScroll: true });
    else (document.activeElement as HTMLElement | null)?.blur();
  }
}
