import { placed } from "./beside";
import { all, one, post, showCount } from "./page";

let asked = 0;
/** What was pressed goes to the server one after the other, or the last word would be anybody's. */
let sent: Promise<unknown> = Promise.resolve();

const parts = (within: ParentNode = document) => all("zest-cart", within);
/** Which sections stand on a page, and how many parts of the cart are in them. */
const shape = (within: ParentNode) =>
  [...all("#main>*", within).map((each) => each.className), parts(within).length].join();

/** Takes over what the server says of a part of the cart. What tells how it went stays itself, or nobody would hear of it. */
function takeOver(part: HTMLElement, now: HTMLElement): void {
  const [status, next] = [one("[role=status]", part), one("[role=status]", now)];
  if (status) {
    status.className = next?.className ?? UNSEEN;
    status.textContent = next?.textContent ?? "";
    status.dataset.state = "done";
    if (next) next.replaceWith(status);
    else now.prepend(status);
  }
  part.replaceChildren(...now.childNodes);
}

const UNSEEN = "message unseen";

/** Where it is said how it went. A seller may have taken out the head of the cart, which has a place for that. */
function statusOf(part: HTMLElement): HTMLElement {
  const known = one("zest-cart [role=status]");
  if (known) return known;
  const made = document.createElement("p");
  made.className = UNSEEN;
  made.setAttribute("role", "status");
  part.prepend(made);
  return made;
}

/** A part of the cart: what is pressed in it changes all of them where they stand. Without this every press is a page of its own. */
export class Cart extends HTMLElement {
  /** The form whose button is being pressed: it sends what was typed beside it as well. */
  private pressed: HTMLFormElement | null = null;

  connectedCallback(): void {
    // Where it is shown by its bar until one gets to it.
    if (one(".cart-bar", this))
      new IntersectionObserver(([entry]) =>
        this.classList.toggle("is-out", !entry!.isIntersecting && entry!.boundingClientRect.top > 0),
      ).observe(this);
    this.addEventListener("pointerdown", (event) => {
      this.pressed = (event.target as Element).closest<HTMLButtonElement>("button")?.form ?? null;
    });
    this.addEventListener("submit", (event) => {
      const form = event.target as HTMLFormElement;
      // What only asks for something is another page.
      if (form.matches("[method=get]")) return;
      event.preventDefault();
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
      if (!form || form === this.pressed || form.matches("[method=get]")) return;
      const before = asked;
      // Enter says that a number has changed, and sends it then.
      setTimeout(() => asked === before && void this.change(form, {}));
    });
  }

  private async change(form: HTMLFormElement, more: Record<string, string>): Promise<void> {
    const mine = ++asked;
    parts().forEach((part) => part.setAttribute("aria-busy", "true"));
    const answer = sent.then(() => post(form, more));
    sent = answer;
    const said = await answer;
    // A later press is on its way, and will show what all of them came to.
    if (mine !== asked) return;
    // What could not be taken is said where it was given, and stands there still.
    const beside = said.ok ? null : one(".message", form);
    if (beside) {
      parts().forEach((part) => part.removeAttribute("aria-busy"));
      beside.classList.remove("unseen");
      beside.textContent = said.text;
      return;
    }
    const focused = document.activeElement?.getAttribute("aria-label");
    const address = placed(said.page ?? "/cart");
    try {
      const page = new DOMParser().parseFromString(await (await fetch(address)).text(), "text/html");
      if (mine !== asked) return;
      // Another page, as an empty cart is one, has rules of its own.
      if (shape(page) !== shape(document)) return void location.assign(address);
      const now = parts(page);
      parts().forEach((part, i) => takeOver(part, now[i]!));
    } catch {
      // What is shown is as it was; the sentence says so.
    }
    parts().forEach((part) => part.removeAttribute("aria-busy"));
    const status = statusOf(parts()[0]!);
    if (!said.ok || said.text) {
      status.dataset.state = said.ok ? "done" : "failed";
      status.classList.remove("unseen");
      status.textContent = said.text;
    } else if (!status.textContent) status.textContent = one(".cart-total")?.textContent ?? "";
    if (said.count !== undefined) showCount(said.count);
    // What somebody works with stays under their hands; where it is gone, what brings it back is next, or the cart itself.
    const again = all("zest-cart [aria-label]").find(
      (each) => each.getAttribute("aria-label") === focused && !(each as HTMLButtonElement).disabled,
    );
    (again ?? one(".cart-back button") ?? one<HTMLElement>(".cart input"))?.focus({ preventScroll: true });
  }
}
