import { one, post, showCount } from "./page";

/** The cart's lines change where they stand; without this every press is a page of its own. */
export class Cart extends HTMLElement {
  private asked = 0;
  /** What was pressed goes to the server one after the other, or the last word would be anybody's. */
  private sent: Promise<unknown> = Promise.resolve();
  /** The form whose button is being pressed: it sends what was typed beside it as well. */
  private pressed: HTMLFormElement | null = null;

  connectedCallback(): void {
    this.addEventListener("pointerdown", (event) => {
      this.pressed = (event.target as Element).closest<HTMLButtonElement>("button")?.form ?? null;
    });
    this.addEventListener("submit", (event) => {
      event.preventDefault();
      const form = event.target as HTMLFormElement;
      const button = event.submitter as HTMLButtonElement | null;
      const count = one<HTMLInputElement>("[type=number]", form);
      this.pressed = null;
      // The next press counts from here, though the server has not answered yet.
      if (button?.name === "step" && count)
        count.value = String(Math.max(0, Math.min(Number(count.max), Number(count.value) + Number(button.value))));
      void this.change(form, button?.name === "remove" ? { remove: "1" } : {});
    });
    this.addEventListener("change", (event) => {
      const { form } = event.target as HTMLInputElement;
      if (!form || form === this.pressed) return;
      const before = this.asked;
      // Enter says that a number has changed, and sends it then.
      setTimeout(() => this.asked === before && void this.change(form, {}));
    });
  }

  private async change(form: HTMLFormElement, more: Record<string, string>): Promise<void> {
    const mine = ++this.asked;
    this.setAttribute("aria-busy", "true");
    const answer = this.sent.then(() => post(form, more));
    this.sent = answer;
    const said = await answer;
    // A later press is on its way, and will show what all of them came to.
    if (mine !== this.asked) return;
    // What could not be taken is said where it was given, and stands there still.
    const beside = said.ok ? null : one(".message", form);
    if (beside) {
      this.removeAttribute("aria-busy");
      beside.classList.remove("unseen");
      beside.textContent = said.text;
      return;
    }
    const focused = document.activeElement?.getAttribute("aria-label");
    try {
      const page = new DOMParser().parseFromString(await (await fetch("/cart")).text(), "text/html");
      if (mine !== this.asked) return;
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
      message.classList.toggle("unseen", said.ok && said.text === "");
      // Whoever does not see the sum hears it.
      message.textContent = said.text || (one(".cart-total", this)?.textContent ?? "");
    }
    if (said.count !== undefined) showCount(said.count);
    // What somebody works with stays under their hands; where it is gone, the cart itself is next.
    const again = [...this.querySelectorAll<HTMLElement>("[aria-label]")].find(
      (each) => each.getAttribute("aria-label") === focused && !(each as HTMLButtonElement).disabled,
    );
    (again ?? one<HTMLElement>(".cart input, .button", this))?.focus({ preventScroll: true });
  }
}
