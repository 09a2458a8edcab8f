import { all, inCart, one, showCount } from "./page";

const parts = (within: ParentNode = document) => all("zest-checkout", within);
let asked = 0;

/** What stands in a field; nothing for what is only pressed. */
type Field = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;
const isWritten = (field: Field) => !/^(?:hidden|radio|checkbox|submit)$/.test(field.type);

/**
 * The checkout: another country or way shows at once what it comes to, and a form that is on its way is not sent twice. Without this, a
 * button asks for it.
 */
export class Checkout extends HTMLElement {
  /** It is on its way. */
  private isSent = false;
  /** Until nothing is being pressed: what was pressed would be gone before it is let go. */
  private released = Promise.resolve();

  connectedCallback(): void {
    this.addEventListener("pointerdown", () => {
      this.released = new Promise((done) => {
        for (const end of ["pointerup", "pointercancel"]) addEventListener(end, () => setTimeout(done), { once: true });
      });
    });
    this.addEventListener("change", (event) => {
      const { form, dataset } = event.target as HTMLInputElement;
      if (form && dataset.again !== undefined) void this.again(form);
    });
    this.addEventListener("submit", (event) => {
      if (this.isSent) return event.preventDefault();
      const form = event.target as HTMLFormElement;
      const { value = "" } = (event.submitter ?? {}) as HTMLButtonElement;
      if (value.startsWith("more:")) {
        event.preventDefault();
        return void this.again(form, value);
      }
      this.isSent = true;
      form.ariaBusy = "true";
    });
    // Who comes back to the page by the browser's own button may send it again.
    addEventListener("pageshow", () => {
      this.isSent = false;
      one("form", this)?.removeAttribute("aria-busy");
    });
    // What has to be put right is read out, and next.
    one("[role=alert]", this)?.focus();
  }

  /** Shows what it comes to with what is given now. `pressed`: what was asked for by it. */
  private async again(form: HTMLFormElement, pressed = "look"): Promise<void> {
    const mine = ++asked;
    const body = new URLSearchParams([...new FormData(form)].map(([name, value]) => [name, String(value)]));
    body.set("do", pressed);
    form.ariaBusy = "true";
    try {
      const answer = await fetch(form.action, { method: "POST", body });
      const page = new DOMParser().parseFromString(await answer.text(), "text/html");
      const now = parts(page);
      await this.released;
      // A later answer is on its way, or the form itself is.
      if (mine !== asked || this.isSent) return;
      if (now.length !== parts().length) {
        // Too often, or out of reach: nothing that was typed is given up for that.
        if (!answer.ok) throw new Error("it could not be asked");
        // It is another page, as an empty cart leads to one.
        return location.reload();
      }
      const { name = "", id = "" } = (document.activeElement ?? {}) as HTMLInputElement;
      const written = new Map(
        all<Field>("input,select,textarea", form)
          .filter(isWritten)
          .map((f) => [f.name, f.value]),
      );
      const open = all<HTMLDetailsElement>("details").map((each) => each.open);
      parts().forEach((part, i) => part.replaceChildren(...now[i]!.childNodes));
      all<HTMLDetailsElement>("details").forEach((each, i) => (each.open = open[i] ?? each.open));
      // Typed meanwhile, or never sent back, as what is on a card.
      for (const field of all<Field>("zest-checkout input,zest-checkout textarea"))
        if (isWritten(field)) field.value = written.get(field.name) ?? field.value;
      const field = one(`[name="${name}"]:checked`) ?? (id ? document.getElementById(id) : null);
      const said =
        pressed === "look" ? null : (one("zest-checkout [role=alert]") ?? one("zest-checkout [role=status][tabindex]"));
      (said ?? field)?.focus({ preventScroll: said === null });
      if (said) showCount(inCart());
    } catch {
      // What is shown is as it was, and ordering says what it comes to. What was pressed for is asked for by a page of its own.
      if (pressed !== "look" && mine === asked) {
        const asks = document.createElement("input");
        Object.assign(asks, { type: "hidden", name: "do", value: pressed });
        form.append(asks);
        form.submit();
      }
    }
    one("zest-checkout form")?.removeAttribute("aria-busy");
  }
}
