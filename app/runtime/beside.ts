import { inCart, one, showCount } from "./page";

/** The cart as it is reached from another page, beside which it stands. */
const BESIDE = "/cart?in=side";
export const isBeside = (): boolean => new URLSearchParams(location.search).get("in") === "side";

/** An address of the cart, to be seen where this one is. */
export function placed(address: string): string {
  if (!isBeside()) return address;
  const { pathname, searchParams } = new URL(address, location.href);
  searchParams.set("in", "side");
  return `${pathname}?${searchParams.toString()}`;
}

function made(within: HTMLElement): HTMLDialogElement {
  const dialog = document.createElement("dialog");
  dialog.className = "cart-side";
  dialog.setAttribute("aria-label", "Your cart");
  const close = document.createElement("button");
  close.type = "button";
  close.className = "cart-side-close";
  close.setAttribute("aria-label", "Close");
  close.textContent = "×";
  close.addEventListener("click", () => dialog.close());
  const frame = document.createElement("iframe");
  frame.title = "Your cart";
  frame.addEventListener("load", () => {
    // What is pressed in there is not heard out here.
    frame.contentWindow?.addEventListener("keydown", (event) => {
      if (event.key === "Escape") dialog.close();
    });
    // The way back to the goods is to where one was.
    frame.contentDocument?.addEventListener("click", (event) => {
      if (!(event.target as Element).closest("[data-back]")) return;
      event.preventDefault();
      dialog.close();
    });
  });
  dialog.append(close, frame);
  dialog.addEventListener("click", (event) => {
    if (event.target === dialog) dialog.close();
  });
  // What was changed in it is said around it.
  dialog.addEventListener("close", () => showCount(inCart()));
  within.append(dialog);
  return dialog;
}

/** Shows the cart at the side of the page, in what asks for it. `isAdded`: something was just put in. */
export function showBeside(within: HTMLElement, isAdded: boolean): void {
  const dialog = one<HTMLDialogElement>(".cart-side", within) ?? made(within);
  one<HTMLIFrameElement>("iframe", dialog)!.src = isAdded ? `${BESIDE}&done=added` : BESIDE;
  dialog.showModal();
}

/** The sign of the cart, which shows it beside the page. Opened in a tab of its own, it is the page that it leads to. */
export class Beside extends HTMLElement {
  connectedCallback(): void {
    one(".cart-link", this)?.addEventListener("click", (event) => {
      if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
      event.preventDefault();
      showBeside(this, false);
    });
  }
}
