import { all, one } from "./page";

const TROUBLE = "That did not go through. Please try again in a moment.";

/** What the shop answers: what is wrong, by the name of its field; or thanks, and what comes with them. */
type Answer = {
  readonly ok: boolean;
  readonly text: string;
  readonly problems?: Readonly<Record<string, string>>;
  readonly title?: string;
  readonly code?: string;
  readonly link?: { readonly address: string; readonly label: string };
};

type Control = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;
const CONTROLS = "input,select,textarea";

/** Asks only what has to be asked, sends what was answered in place, and says beside each field what is wrong with it. */
export class Form extends HTMLElement {
  readonly #since = Date.now();

  connectedCallback(): void {
    const form = one<HTMLFormElement>("form", this);
    if (!form) return;
    // The shop says what is wrong, in its own words and where it is.
    form.noValidate = true;
    this.#ask(form);
    form.addEventListener("input", (event) => {
      this.#ask(form);
      if (event.target instanceof Element) this.#say(event.target.closest(".fm-ask"), "");
    });
    form.addEventListener("submit", (event) => {
      event.preventDefault();
      void this.#send(form);
    });
  }

  /** Puts away what is not asked where the earlier fields say what they say; what is put away is not sent. */
  #ask(form: HTMLFormElement): void {
    for (const asked of all<HTMLElement>(".fm-ask", form)) {
      const { when, how = "", value = "" } = asked.dataset;
      if (when === undefined) continue;
      // What is put away says nothing: its fields are disabled, and data of forms leave those out.
      const said = new FormData(form)
        .getAll(when)
        .map((each) => (typeof each === "string" ? each.trim() : each.name))
        .filter(Boolean);
      const is = value === "" ? said.length > 0 : said.includes(value);
      const shows = { is, "is-not": !is, filled: said.length > 0, empty: said.length === 0 }[how] ?? true;
      asked.hidden = !shows;
      for (const control of all<Control>(CONTROLS, asked)) control.disabled = !shows;
    }
  }

  #say(asked: Element | null, why: string): void {
    const place = asked && one(".fm-wrong", asked);
    if (!asked || !place) return;
    place.textContent = why;
    for (const control of all(CONTROLS, asked)) {
      if (why) control.setAttribute("aria-invalid", "true");
      else control.removeAttribute("aria-invalid");
    }
  }

  async #send(form: HTMLFormElement): Promise<void> {
    const button = one<HTMLButtonElement>("button[type=submit]", form);
    const message = one(".message", form);
    if (button) button.disabled = true;
    if (message) message.textContent = "";
    const body = new FormData(form);
    body.set("took", String(Date.now() - this.#since));
    try {
      const reply = await fetch(form.action, { method: "POST", headers: { Accept: "application/json" }, body });
      const said = (await reply.json()) as Answer;
      if (said.ok) return this.#thank(said);
      const problems = new Map(Object.entries(said.problems ?? {}));
      let first: HTMLElement | undefined;
      for (const asked of all(".fm-ask", form)) {
        const control = one(CONTROLS, asked);
        const why = problems.get((control as Control | null)?.name ?? "") ?? "";
        this.#say(asked, why);
        if (why) first ??= control ?? undefined;
      }
      if (message) {
        message.dataset.state = "failed";
        message.textContent = said.text;
      }
      first?.focus();
    } catch {
      if (message) {
        message.dataset.state = "failed";
        message.textContent = TROUBLE;
      }
    }
    if (button) button.disabled = false;
  }

  #thank({ title = "", text, code, link }: Answer): void {
    const box = document.createElement("div");
    box.className = "fm-thanks";
    box.tabIndex = -1;
    box.setAttribute("role", "status");
    const put = (tag: string, className: string, words: string) => {
      const element = document.createElement(tag);
      element.className = className;
      element.textContent = words;
      box.append(element);
      return element;
    };
    put("p", "head", title);
    if (text) put("p", "lead", text);
    if (code) put("p", "fm-code", code);
    if (link) (put("a", "button", link.label) as HTMLAnchorElement).href = link.address;
    this.replaceChildren(box);
    box.focus();
    box.scrollIntoView({ block: "center" });
  }
}
