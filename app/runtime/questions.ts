import { all, one } from "./page";

/** Folded to what a search goes by: without capitals and accents. */
const plain = (text: string): string => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/** Questions among which one can search: those that lack a word are put away; those whose answer has it are opened. */
export class Find extends HTMLElement {
  connectedCallback(): void {
    const field = one<HTMLInputElement>("input", this);
    const status = one("[role=status]", this);
    if (!field || !status) return;
    const asked = all(".asked,.asked-open", this).map((element) => ({
      element,
      question: plain(one(".asked-words", element)?.textContent ?? ""),
      whole: plain(element.textContent ?? ""),
    }));
    const groups = all(".asked-group", this);
    field.addEventListener("input", () => {
      const words = plain(field.value).split(/\s+/).filter(Boolean);
      let count = 0;
      for (const { element, question, whole } of asked) {
        const has = words.every((word) => whole.includes(word));
        element.hidden = !has;
        if (has) count++;
        if (element instanceof HTMLDetailsElement && !element.name)
          element.open = words.length > 0 && has && !words.every((word) => question.includes(word));
      }
      for (const group of groups) group.hidden = !one(".asked:not([hidden]),.asked-open:not([hidden])", group);
      status.textContent =
        words.length === 0 ? "" : count ? `${count} of ${asked.length}` : (status.dataset.none ?? "");
    });
  }
}
