/** The shop's whole browser script: what can't be done with HTML alone. Every page works without it. */

/** Signs up without leaving the page. */
class SignUp extends HTMLElement {
  connectedCallback(): void {
    const form = this.querySelector("form");
    const message = this.querySelector<HTMLElement>(".message");
    if (!form || !message) return;
    form.addEventListener("submit", async (event) => {
      event.preventDefault();
      const button = form.querySelector("button");
      if (button) button.disabled = true;
      try {
        const answer = await fetch(form.action, {
          method: "POST",
          headers: { Accept: "application/json", "Content-Type": "application/x-www-form-urlencoded" },
          body: new URLSearchParams([...new FormData(form)].map(([name, value]) => [name, String(value)])),
        });
        const said = (await answer.json()) as { ok: boolean; text: string };
        message.dataset.state = said.ok ? "done" : "failed";
        message.textContent = said.text;
        if (said.ok) form.reset();
      } catch {
        message.dataset.state = "failed";
        message.textContent = "That did not go through. Please try again in a moment.";
      } finally {
        if (button) button.disabled = false;
      }
    });
  }
}

customElements.define("zest-sign-up", SignUp);

/** What opens over the page closes as people expect: on Escape, and when something else is touched. */
const OPENS = "details.drop[open],details.spot[open],.nav details.sub[open]";
const opened = () => document.querySelectorAll<HTMLDetailsElement>(OPENS);
document.addEventListener("keydown", (event) => {
  if (event.key !== "Escape") return;
  for (const each of opened()) {
    each.open = false;
    each.querySelector("summary")?.focus();
  }
});
document.addEventListener("click", (event) => {
  for (const each of opened()) if (event.target instanceof Node && !each.contains(event.target)) each.open = false;
});

/** How much is in the cart, as the shop noted it beside the cart itself. */
const items = Number(/(?:^|; )items=(\d+)/.exec(document.cookie)?.[1] ?? 0);
for (const badge of document.querySelectorAll<HTMLElement>(".cart-n")) {
  badge.textContent = items ? String(items) : "";
  badge.hidden = items === 0;
}

/** Another choice changes what a form asks: it is sent as it is, and comes back with what is asked now. */
document.addEventListener("change", ({ target }) => {
  if (!(target instanceof HTMLSelectElement) || !target.dataset.sends || !target.form) return;
  const what = document.createElement("input");
  Object.assign(what, { type: "hidden", name: "do", value: target.dataset.sends });
  target.form.append(what);
  target.form.submit();
});

// A module of its own, so that nothing of it is global.
export {};
