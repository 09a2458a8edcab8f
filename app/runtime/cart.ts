import { cartWords, one, post, showCount } from "./page";

/** The cart's lines change where they stand; without this every press is a page of its own. */
export class Cart extends HTMLElement {
  connectedCallback(): void {
    this.addEventListener("submit", (event) => {
      event.preventDefault();
      void this.change(event.target as HTMLFormElement, event.submitter as HTMLButtonElement | null);
    });
    this.addEventListener("change", (event) => {
      const { form } = event.target as HTMLInputElement;
      if (form) void this.change(form, null);
    });
  }

  private async change(form: HTMLFormElement, button: HTMLButtonElement | null): Promise<void> {
    const focused = document.activeElement?.getAttribute("aria-label");
    this.setAttribute("aria-busy", "true");
    const said = await post(form, button?.name ? { [button.name]: button.value } : {});
    try {
      const page = new DOMParser().parseFromString(await (await fetch("/cart")).text(), "text/html");
      const now = one("zest-cart", page);
      // An empty cart looks like another page, with rules of its own.
      if (now && !one(".cart", now)) return void location.assign("/cart");
      if (now) this.replaceChildren(...now.childNodes);
    } catch {
      // What is shown is as it was; the sentence says so.
    }
    this.removeAttribute("aria-busy");
    const message = one(".message", this);
    if (message) {
      message.dataset.state = said.ok ? "done" : "failed";
      message.classList.toggle("unseen", said.ok);
      message.textContent = said.text || (said.count === undefined ? "" : `${cartWords(said.count)}.`);
    }
    if (said.count !== undefined) showCount(said.count);
    // What somebody works with stays under their hands; where it is gone, the cart itself is next.
    const again = [...this.querySelectorAll<HTMLElement>("[aria-label]")].find(
      (each) => each.getAttribute("aria-label") === focused && !(each as HTMLButtonElement).disabled,
    );
    (again ?? one<HTMLElement>(".cart input, .button", this))?.focus({ preventScroll: true });
  }
}
